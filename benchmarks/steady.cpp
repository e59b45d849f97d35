// SPDX-License-Identifier: GPL-3.0-or-later
// How steadily frames go out: 512 lamps of eight emitters fade without end over the network to this
// computer, while the show is changed as fast as it goes and this thread is held up on purpose, as
// an interface that hangs. Prints when each frame was sent, against its place on the grid.
//   zelo_steady [SECONDS] [idle]     idle: this thread hangs without working
#include "host/session.h"
#include "show/edits.h"
#include "support/places.h"
#include "wire/net/e131_sender.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <thread>
#include <vector>

namespace zelo {
namespace {

using Clock = std::chrono::steady_clock;

// Notes when each frame is out, with all its packets.
class Noting : public light::FrameSink {
public:
    Noting(std::unique_ptr<light::FrameSink> to, std::vector<Clock::time_point>& sent)
        : to_(std::move(to)), sent_(sent) {}
    void send(const light::Frame& frame) override {
        to_->send(frame);
        if (sent_.size() < sent_.capacity())
            sent_.push_back(Clock::now());
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

// Against the grid that the earliest tenth of them stands on. A frame that was left out was not on
// time either.
void tell(const char* who, const std::vector<Clock::time_point>& sent) {
    const double period_ms = 1000 / host::kFramesPerSecond;
    std::vector<double> off, gaps;
    for (std::size_t i = 0; i < sent.size(); ++i) {
        const double t = std::chrono::duration<double, std::milli>(sent[i] - sent.front()).count();
        const double o = t - period_ms * std::round(t / period_ms); // the first may be late itself
        off.push_back(o);
        if (i > 0)
            gaps.push_back(
                std::chrono::duration<double, std::milli>(sent[i] - sent[i - 1]).count());
    }
    auto sorted = off;
    std::sort(sorted.begin(), sorted.end());
    const double phase = sorted[sorted.size() / 10];
    const auto within =
        std::count_if(off.begin(), off.end(), [&](double o) { return std::abs(o - phase) <= 2; });
    const double span_ms =
        std::chrono::duration<double, std::milli>(sent.back() - sent.front()).count();
    const double due = std::round(span_ms / period_ms) + 1;
    std::sort(gaps.begin(), gaps.end());
    const auto part = [&](double share) {
        return gaps[static_cast<std::size_t>(share * static_cast<double>(gaps.size() - 1))];
    };
    std::printf("%s: within 2 ms of their time %.3f %%; gaps, ms: least %.2f, median %.2f, 99 %% "
                "%.2f, 99.9 %% %.2f, most %.2f\n",
                who, 100.0 * static_cast<double>(within) / due, gaps.front(), part(0.5), part(0.99),
                part(0.999), gaps.back());
}

void run(double seconds, bool idle) {
    host::Library library{std::filesystem::path(places::data)};
    std::vector<Clock::time_point> sent;
    sent.reserve(static_cast<std::size_t>(60 * seconds) + 1000);
    // What this machine lets any thread do meanwhile that works as long for each frame.
    std::vector<Clock::time_point> bare;
    bare.reserve(sent.capacity());
    std::jthread beside([&bare](const std::stop_token& stop) {
        host::beOnTime();
        for (auto next = Clock::now(); !stop.stop_requested() && bare.size() < bare.capacity();) {
            std::this_thread::sleep_until(next);
            bare.push_back(Clock::now());
            volatile double work = 0; // as much as a frame
            while (Clock::now() < bare.back() + std::chrono::microseconds(600))
                work = work + 1;
            while (next <= bare.back())
                next += std::chrono::nanoseconds(static_cast<long>(1e9 / host::kFramesPerSecond));
        }
    });
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
                if (idle)
                    std::this_thread::sleep_for(std::chrono::milliseconds(50));
                else
                    busy = busy + 1;
        }
        std::printf("frames %zu, left out %llu\n", sent.size(),
                    static_cast<unsigned long long>(session.player()->late()));
    }
    beside.request_stop();
    beside.join();
    tell("the player", sent);
    tell("a plain thread beside it", bare);
}

} // namespace
} // namespace zelo

int main(int argc, char** argv) {
    zelo::run(argc > 1 ? std::atof(argv[1]) : 300, argc > 2);
}
