// SPDX-License-Identifier: GPL-3.0-or-later
// How steadily frames go out: 512 lamps of eight emitters fade without end over the network to this
// computer, while the show is changed as fast as it goes and this thread is held up on purpose, as
// an interface that hangs. Prints when each frame was sent, against its place on the grid.
//   zelo_steady [SECONDS]
#include "host/session.h"
#include "show/edits.h"
#include "wire/net/e131_sender.h"

#include <algorithm>
#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <vector>

namespace zelo {
namespace {

using Clock = std::chrono::steady_clock;

// Notes when each frame goes on to the network.
class Noting : public light::FrameSink {
public:
    Noting(std::unique_ptr<light::FrameSink> to, std::vector<Clock::time_point>& sent)
        : to_(std::move(to)), sent_(sent) {}
    void send(const light::Frame& frame) override {
        if (sent_.size() < sent_.capacity())
            sent_.push_back(Clock::now());
        to_->send(frame);
    }

private:
    std::unique_ptr<light::FrameSink> to_;
    std::vector<Clock::time_point>& sent_;
};

show::ShowPtr rig() {
    std::vector<show::Fixture> lamps;
    for (int i = 0; i < 512; ++i) {
        show::Fixture f;
        f.type = "gannet-8";
        f.universe = static_cast<std::uint16_t>(1 + i / 25);
        f.address = 1 + i % 25 * 20;
        lamps.push_back(f);
    }
    return *show::addFixtures(show::emptyState().show, std::move(lamps));
}

void run(double seconds) {
    host::Library library{std::filesystem::path(ZELO_DATA)};
    std::vector<Clock::time_point> sent;
    sent.reserve(static_cast<std::size_t>(60 * seconds) + 1000);
    {
        auto network = wire::E131Sender::open({});
        if (!network) {
            std::fprintf(stderr, "%s\n", network.error().text().c_str());
            std::exit(1);
        }
        host::Session session(library, std::make_unique<Noting>(std::move(*network), sent));
        session.start(rig(), show::emptyHand());
        show::Lineup all;
        for (const auto& [id, fixture] : session.show()->fixtures)
            all.push_back(id);
        session.setHand("full", show::withIntensity(session.hand(), all, 1));
        session.waitUntilIdle();
        session.setTimeInHand(7);
        const auto until = Clock::now() + std::chrono::duration<double>(seconds);
        for (int i = 0; Clock::now() < until; ++i) {
            show::ColourWish wish;
            wish.asked = light::AskedWhite{2500.0 + i * 97 % 6000, {}};
            session.setHand("colour", show::withColour(session.hand(), all, wish));
            const auto held_up = Clock::now() + std::chrono::seconds(i % 3 == 0 ? 2 : 1);
            volatile double busy = 0;
            while (Clock::now() < held_up && Clock::now() < until)
                busy = busy + 1;
        }
        std::printf("frames %zu, left out %llu\n", sent.size(),
                    static_cast<unsigned long long>(session.player()->late()));
    }
    // Off the grid: each gap is a whole number of periods and so much.
    const double period_ms = 1000 / host::kFramesPerSecond;
    std::vector<double> off, gaps;
    double phase = 0; // the grid's, taken as the least lateness of a while
    std::vector<double> at;
    for (const auto& t : sent)
        at.push_back(std::chrono::duration<double, std::milli>(t - sent.front()).count());
    for (const double t : at)
        off.push_back(t - period_ms * std::floor(t / period_ms));
    // The first frame may have been late itself: measure from the tenth of the earliest.
    std::vector<double> turned;
    for (double& o : off)
        turned.push_back(o > period_ms / 2 ? o - period_ms : o);
    std::nth_element(turned.begin(),
                     turned.begin() + static_cast<std::ptrdiff_t>(turned.size() / 10),
                     turned.end());
    phase = turned[turned.size() / 10];
    std::size_t within = 0;
    for (const double o : off) {
        const double late = o > period_ms / 2 ? o - period_ms - phase : o - phase;
        within += std::abs(late) <= 2;
    }
    for (std::size_t i = 1; i < at.size(); ++i)
        gaps.push_back(at[i] - at[i - 1]);
    std::sort(gaps.begin(), gaps.end());
    const auto part = [&](double share) {
        return gaps[static_cast<std::size_t>(share * static_cast<double>(gaps.size() - 1))];
    };
    std::printf("within 2 ms of their time: %.3f %%\n",
                100.0 * static_cast<double>(within) / static_cast<double>(off.size()));
    std::printf("gaps, ms: least %.2f, median %.2f, 99 %% %.2f, 99.9 %% %.2f, most %.2f\n",
                gaps.front(), part(0.5), part(0.99), part(0.999), gaps.back());
}

} // namespace
} // namespace zelo

int main(int argc, char** argv) {
    zelo::run(argc > 1 ? std::atof(argv[1]) : 300);
}
