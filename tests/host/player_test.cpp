// SPDX-License-Identifier: GPL-3.0-or-later
// The player's thread: steady, in time after a stall, and never waiting for those who feed it.
#include "host/player.h"
#include "support/places.h"

#include "host/library.h"
#include "host/support.h"
#include "play/stage.h"
#include "show/edits.h"

#include <gtest/gtest.h>
#include <pthread.h>

namespace zelo::host {
namespace {

using Steady = std::chrono::steady_clock;

class Recorder : public light::FrameSink {
public:
    struct Heard {
        std::mutex mutex;
        std::vector<Steady::time_point> at;
        std::vector<int> first; // of each frame, the value of slot 1
        light::Frame last;
        std::chrono::milliseconds stall{0}; // behind the next frame
        std::chrono::milliseconds late{0};  // before it goes out

        int value(std::size_t slot) {
            const std::lock_guard lock(mutex);
            return last.universes.empty() ? -1 : last.universes[0].values[slot];
        }
        std::size_t frames() {
            const std::lock_guard lock(mutex);
            return at.size();
        }
    };
    explicit Recorder(std::shared_ptr<Heard> heard) : heard_(std::move(heard)) {}
    void send(const light::Frame& frame) override {
        std::chrono::milliseconds stall{0};
        std::chrono::milliseconds late{0};
        {
            const std::lock_guard lock(heard_->mutex);
            std::swap(late, heard_->late);
        }
        std::this_thread::sleep_for(late);
        {
            const std::lock_guard lock(heard_->mutex);
            heard_->at.push_back(Steady::now());
            heard_->first.push_back(frame.universes[0].values[0]);
            heard_->last = frame;
            std::swap(stall, heard_->stall);
        }
        std::this_thread::sleep_for(stall);
    }

private:
    std::shared_ptr<Heard> heard_;
};

class PlayerTest : public ::testing::Test {
protected:
    // One lamp with a dimmer at slot 1, at this intensity.
    std::shared_ptr<play::Playing> lampAt(double intensity) {
        show::Fixture f;
        f.type = "gannet-8";
        auto show = *show::addFixture(show::emptyState().show, f);
        const auto hand = show::withIntensity(show::emptyHand(), {{1}}, intensity);
        return std::make_shared<play::Playing>(std::make_shared<const play::Compiled>(
            play::compiled({show, hand}, *library.sources(), mixes)));
    }
    Library library{fs::path(places::data)};
    play::Mixes mixes;
    std::shared_ptr<Recorder::Heard> heard = std::make_shared<Recorder::Heard>();
};

TEST_F(PlayerTest, SendsSteadilyWhatIsNewest) {
    Player player(std::make_unique<Recorder>(heard));
    std::this_thread::sleep_for(100ms);
    EXPECT_EQ(heard->frames(), 0u) << "nothing to send yet";
    player.put(lampAt(1), 0);
    EXPECT_TRUE(eventually([&] { return heard->value(0) == 255 && heard->frames() > 50; }));
    EXPECT_TRUE(eventually([&] { return player.framesPerSecond() > 0; }));
    EXPECT_LE(player.framesPerSecond(), kFramesPerSecond + 0.1) << "in the first second too";
    player.put(lampAt(0.2), 0);
    EXPECT_TRUE(eventually([&] { return heard->value(0) == 51; }));
    player.hold(true);
    player.waitForFrame();
    const std::size_t then = heard->frames();
    player.put(lampAt(0.6), 0);
    EXPECT_TRUE(eventually([&] { return heard->frames() > then + 5; })) << "it goes on sending";
    EXPECT_EQ(heard->value(0), 51) << "what was there when rehearsal began";
    player.hold(false);
    EXPECT_TRUE(eventually([&] { return heard->value(0) == 153; }));
}

TEST_F(PlayerTest, AfterAStallItGoesOnInTimeWithoutABurst) {
    Player player(std::make_unique<Recorder>(heard));
    player.put(lampAt(1), 0);
    for (const int stall_ms : {8, 30, 95, 210}) {
        const std::size_t then = heard->frames();
        EXPECT_TRUE(eventually([&] { return heard->frames() > then + 4; }));
        const std::lock_guard lock(heard->mutex);
        heard->stall = std::chrono::milliseconds(stall_ms);
    }
    const std::size_t stalled = heard->frames();
    EXPECT_TRUE(eventually([&] { return heard->frames() > stalled + 4; }));
    {
        const std::lock_guard lock(heard->mutex);
        heard->late = 8ms; // the frames behind it are on time: within a second of it one too many
    }
    const std::size_t then = heard->frames();
    EXPECT_TRUE(eventually([&] { return heard->frames() > then + 50; }));
    const std::lock_guard lock(heard->mutex);
    for (std::size_t i = 1; i < heard->at.size(); ++i)
        EXPECT_GE(heard->at[i] - heard->at[i - 1], 10ms) << i;
    for (std::size_t i = 44; i < heard->at.size(); ++i)
        EXPECT_GE(heard->at[i] - heard->at[i - 44], 997ms) << "44 in a second, not one more";
    EXPECT_GE(player.late(), 210u * 44 / 1000) << "frames are left out, not made up for";
}

// Nothing is left to do when a frame is due but to send it, and what comes until then is in it.
TEST_F(PlayerTest, FramesAreMadeAheadAndTakeWhatComesUntilTheyAreDue) {
    Player player(std::make_unique<Recorder>(heard));
    player.put(lampAt(0), 0);
    EXPECT_TRUE(player.waitForFrame());
    player.put(lampAt(1), 2);
    EXPECT_TRUE(player.waitForFrame());
    const auto playing = player.now().playing;
    EXPECT_TRUE(eventually([&] {
        const double made = playing->newest().shown.intensity[0];
        std::this_thread::sleep_for(5ms);
        return 255 * made > heard->value(0) + 1;
    })) << "of the fade";
    player.hold(true);
    std::size_t then = heard->frames();
    EXPECT_TRUE(eventually([&] { return heard->frames() > then + 1; }));
    const int held = heard->value(0);
    then = heard->frames();
    EXPECT_TRUE(eventually([&] { return heard->frames() > then + 8; }));
    EXPECT_EQ(heard->value(0), held) << "the frame that was made by then, and none that follow";
    player.hold(false);
    EXPECT_TRUE(eventually([&] { return heard->value(0) == 255; }));
    double master = 1;
    EXPECT_TRUE(eventually([&] {
        then = heard->frames();
        while (heard->frames() == then)
            std::this_thread::sleep_for(100us);
        std::this_thread::sleep_for(5ms); // the next one is made
        then = heard->frames();
        master = master < 1 ? 1 : 0.4;
        player.press({play::Command::What::Master, 0, master, {}});
        while (heard->frames() < then + 2)
            std::this_thread::sleep_for(1ms);
        const std::lock_guard lock(heard->mutex);
        const int wanted = master < 1 ? 102 : 255;
        return heard->first[then - 1] != wanted && heard->first[then] == wanted;
    })) << "a press is in the next one";
}

// Something that matters more than anything else has a processor for itself for a while.
TEST_F(PlayerTest, AProcessorThatIsTakenHoldsUpNoFrame) {
    cpu_set_t processors;
    ASSERT_EQ(sched_getaffinity(0, sizeof processors, &processors), 0);
    if (CPU_COUNT(&processors) < 2)
        GTEST_SKIP() << "one processor: nobody could stand in";
    Player player(std::make_unique<Recorder>(heard));
    player.put(lampAt(1), 0);
    EXPECT_TRUE(eventually([&] { return heard->frames() > 4; }));
    const auto framesWhileTaken = [&](int processor) {
        std::size_t frames = 0;
        std::jthread([&] {
            sched_param most{};
            most.sched_priority = sched_get_priority_max(SCHED_FIFO);
            pthread_setschedparam(pthread_self(), SCHED_FIFO, &most); // as far as it is allowed
            cpu_set_t one;
            CPU_ZERO(&one);
            CPU_SET(processor, &one);
            pthread_setaffinity_np(pthread_self(), sizeof one, &one);
            const std::size_t before = heard->frames();
            const auto until = Steady::now() + 150ms; // of more than six frames
            while (Steady::now() < until) {
            }
            frames = heard->frames() - before;
        }).join();
        return frames;
    };
    for (int processor = 0; processor < CPU_SETSIZE; ++processor)
        if (CPU_ISSET(processor, &processors))
            EXPECT_TRUE(eventually([&] { return framesWhileTaken(processor) >= 5; })) << processor;
}

TEST_F(PlayerTest, APressIsInTheNextFrameAndAFadeInTime) {
    double now = 0;
    Player player([&] { return now; });
    const auto value = [&] { return player.now().playing->frame().universes[0].values[0]; };
    player.put(lampAt(1), 0);
    player.step();
    EXPECT_EQ(value(), 255);
    player.press({play::Command::What::Master, 0, 0.4, {}});
    player.step();
    EXPECT_EQ(value(), 102);
    player.press({play::Command::What::Master, 0, 1, {}});
    player.put(lampAt(0), 2);
    now = 1;
    player.step();
    EXPECT_EQ(value(), 255) << "the fade begins with the frame that takes it";
    for (const auto& [t, wanted] : {std::pair(1.5, 191), {2.0, 128}, {3.0, 0}, {9.0, 0}}) {
        now = t;
        player.step();
        EXPECT_NEAR(value(), wanted, 1) << t;
    }
    player.put(lampAt(1), 2);
    player.put(lampAt(1), 0); // before a frame was made: the first one's time stays
    player.step();
    now = 10;
    player.step();
    EXPECT_NEAR(value(), 128, 1);
}

// Many lamps solo at once are no flood of presses, and stay so in the programs to come.
TEST_F(PlayerTest, TwoThousandLampsAreSoloAtOnce) {
    std::vector<show::Fixture> lamps(3000);
    for (std::size_t i = 0; i < lamps.size(); ++i) {
        lamps[i].type = "gannet-8";
        lamps[i].universe = static_cast<std::uint16_t>(1 + i / 25);
        lamps[i].address = 1 + static_cast<int>(i % 25) * 20;
    }
    const auto show = *show::addFixtures(show::emptyState().show, lamps);
    show::Lineup all;
    std::vector<int> solo;
    for (const auto& [id, fixture] : show->fixtures) {
        all.push_back(id);
        if (id.value <= 2000)
            solo.push_back(id.value);
    }
    const auto made = std::make_shared<const play::Compiled>(play::compiled(
        {show, show::withIntensity(show::emptyHand(), all, 1)}, *library.sources(), mixes));
    Player player([] { return 0.0; });
    const auto lit = [&] {
        player.step();
        const auto& shown = player.now().playing->newest().shown.intensity;
        return std::count(shown.begin(), shown.end(), 1.0);
    };
    player.solo(solo); // before anything is played
    player.put(std::make_shared<play::Playing>(made), 0);
    EXPECT_EQ(lit(), 2000);
    player.put(std::make_shared<play::Playing>(made), 0);
    EXPECT_EQ(lit(), 2000);
    player.solo({7});
    EXPECT_EQ(lit(), 1);
    player.solo({99'999}); // nobody there
    EXPECT_EQ(lit(), 3000);
    player.solo({7});
    player.solo({});
    EXPECT_EQ(lit(), 3000);
}

TEST_F(PlayerTest, FarTooManyPressesAreRefusedAndNothingWaits) {
    Player player([] { return 0.0; });
    player.put(lampAt(1), 0);
    int taken = 0;
    while (player.press({play::Command::What::Master, 0, 0.5, {}}) && taken < 100'000)
        ++taken;
    EXPECT_GE(taken, 1000);
    EXPECT_LT(taken, 100'000);
    player.step();
    EXPECT_TRUE(player.press({play::Command::What::Master, 0, 1, {}})) << "there is room again";
    player.step();
    EXPECT_EQ(player.now().playing->frame().universes[0].values[0], 255);
}

} // namespace
} // namespace zelo::host
