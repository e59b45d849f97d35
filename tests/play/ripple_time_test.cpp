// SPDX-License-Identifier: GPL-3.0-or-later
// Where lamps of a ripple are at a moment: the formulas of docs/play.md, worked out by hand.
#include "play/ripple_time.h"

#include "route/arrangement.h"

#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

#include <cmath>

namespace zelo::play {
namespace {

using show::Pattern;
using show::Ripple;
using show::RippleEnd;

Ripple rippleOf(Pattern pattern, const std::vector<double>& times, double change) {
    Ripple r;
    r.pattern = pattern;
    for (const double t : times) {
        show::RippleStep step{light::Asked(light::AskedUv{0.2, 0.47}), {0.2, 0.47}};
        step.time_s = t;
        step.change = change;
        r.steps.push_back(step);
    }
    return r;
}

std::vector<double> inOrder(int lamps) {
    return route::arranged(lamps, {});
}

void expectBeat(const Beat& beat, int from, int to, double share, const char* where) {
    EXPECT_EQ(beat.from, from) << where;
    EXPECT_EQ(beat.to, to) << where;
    EXPECT_NEAR(beat.share, share, 1e-9) << where;
}

TEST(RippleTime, CycleStaysAndThenGoesOn) {
    auto r = rippleOf(Pattern::Cycle, {2, 1, 1}, 0.5);
    r.after_s = 0.5;
    const auto d = rippleDelays(r, inOrder(4));
    EXPECT_EQ(d.times.turn_s, 4);
    EXPECT_EQ(d.delay_s, (std::vector<double>{0, 0.5, 1, 1.5}));
    expectBeat(beatAt(d.times, 0, 0), 0, 0, 0, "at its beginning");
    expectBeat(beatAt(d.times, 1, 0), 0, 0, 0, "it stays for half of its time");
    expectBeat(beatAt(d.times, 1.5, 0), 0, 1, 0.5, "half way");
    expectBeat(beatAt(d.times, 2.6, 0), 1, 2, 0.2, "the second one changes from 2.5 on");
    expectBeat(beatAt(d.times, 3.75, 0), 2, 0, 0.5, "the last meets the first");
    expectBeat(beatAt(d.times, 2, d.delay_s[1]), 0, 1, 0.5, "the next lamp is half a second later");
    expectBeat(beatAt(d.times, 0, d.delay_s[2]), 2, 2, 0, "before the beginning it is in its turn");
}

TEST(RippleTime, SoManyTurnsLieAlongTheLamps) {
    auto r = rippleOf(Pattern::Cycle, {1, 1, 1, 1}, 0);
    r.turns = 1;
    const auto d = rippleDelays(r, inOrder(8));
    for (std::size_t i = 0; i < 8; ++i)
        EXPECT_NEAR(d.delay_s[i], 0.5 * static_cast<double>(i), 1e-12)
            << "all of it, and the first lamp follows on the last";
    r.turns = 0;
    for (const double delay : rippleDelays(r, inOrder(8)).delay_s)
        EXPECT_EQ(delay, 0) << "all together";
}

TEST(RippleTime, ToAndFroAndStop) {
    auto r = rippleOf(Pattern::Cycle, {1, 1, 1}, 0);
    r.end = RippleEnd::ToAndFro;
    auto times = rippleTimes(r, 1);
    EXPECT_EQ(times.turn_s, 4) << "0 1 2 1";
    for (int k = 0; k < 8; ++k)
        EXPECT_EQ(beatAt(times, k + 0.5, 0).from, (std::vector<int>{0, 1, 2, 1})[k % 4]) << k;
    r.end = RippleEnd::Stop;
    times = rippleTimes(r, 1);
    EXPECT_EQ(beatAt(times, 100, 0), (Beat{2, 2, 0})) << "it holds the last";
    EXPECT_EQ(beatAt(times, -1, 0), (Beat{0, 0, 0}));
    EXPECT_EQ(endOf(times, 2), 5);
    r.lets_go = true;
    EXPECT_EQ(beatAt(rippleTimes(r, 1), 3.1, 0), (Beat{kBelow, kBelow, 0}));
}

TEST(RippleTime, MarchEntersLampByLamp) {
    auto r = rippleOf(Pattern::March, {1, 1}, 0.5);
    r.after_s = 1;
    r.pause_s = 2;
    const auto d = rippleDelays(r, inOrder(4));
    EXPECT_EQ(d.times.every_s, 6) << "four lamps and a pause";
    expectBeat(beatAt(d.times, 0.25, 0), kBelow, 0, 0.5,
               "the first colour comes over what lies below");
    expectBeat(beatAt(d.times, 0.25, 1), kBelow, kBelow, 0, "the next lamp still shows that");
    expectBeat(beatAt(d.times, 3, 0), 0, 0, 0, "it stays");
    expectBeat(beatAt(d.times, 6.25, 0), 0, 1, 0.5, "until the one after it");
    r.band = 2;
    EXPECT_EQ(rippleTimes(r, 4).every_s, 2) << "bands of two lamps";
}

TEST(RippleTime, PulsePassesOverARest) {
    auto r = rippleOf(Pattern::Pulse, {1, 1, 1}, 0);
    r.after_s = 0.5;
    r.every_s = 4;
    r.rise_s = 1;
    r.stay_s = 1;
    r.fall_s = 2;
    const auto d = rippleDelays(r, inOrder(3));
    expectBeat(beatAt(d.times, 0.5, 0), 0, 1, 0.5, "it rises");
    expectBeat(beatAt(d.times, 1.5, 0), 1, 1, 0, "it stays");
    expectBeat(beatAt(d.times, 3, 0), 0, 1, 0.5, "it falls");
    expectBeat(beatAt(d.times, 5, 0), 2, 2, 0, "the next accent");
    expectBeat(beatAt(d.times, 0.5, 0.5), 0, 0, 0, "the next lamp rests still");
    r.every_s = 1; // tails lie over one another: the largest counts
    expectBeat(beatAt(rippleTimes(r, 3), 1.25, 0), 1, 1, 0, "the first one is still the largest");
    r.over_below = true;
    expectBeat(beatAt(rippleTimes(r, 3), 0.5, 0), kBelow, 0, 0.5, "over what lies below");
}

TEST(RippleTime, NothingIsFasterThanCanBePlayed) {
    const auto times = rippleTimes(rippleOf(Pattern::Cycle, {0, 0}, 1), 1);
    EXPECT_EQ(times.turn_s, kShortestTurn_s);
    EXPECT_FALSE(std::isnan(beatAt(times, 12.3456, 0).share));
    auto pulse = rippleOf(Pattern::Pulse, {1, 1}, 1);
    pulse.every_s = 0;
    pulse.fall_s = 86'400;
    EXPECT_GT(rippleTimes(pulse, 1).every_s, 1000) << "tails are looked back for: so many at most";
}

TEST(RippleTime, MirroredHalvesAndTheSeed) {
    auto r = rippleOf(Pattern::Cycle, {1, 1}, 0.5);
    route::Arrangement mirrored;
    mirrored.mirrored = true;
    const auto d = rippleDelays(r, route::arranged(8, mirrored));
    for (std::size_t i = 0; i < 4; ++i)
        EXPECT_EQ(d.delay_s[i], d.delay_s[7 - i]);
    EXPECT_NEAR(d.delay_s[3], 3 * r.after_s, 1e-12) << "a lamp after the other in each half";
    r.chance = show::Chance::OneAfterAnother;
    auto once = rippleDelays(r, inOrder(8)).delay_s;
    EXPECT_EQ(once, rippleDelays(r, inOrder(8)).delay_s) << "the same every time";
    r.seed = 2;
    EXPECT_NE(once, rippleDelays(r, inOrder(8)).delay_s);
    std::sort(once.begin(), once.end());
    for (std::size_t i = 0; i < 8; ++i)
        EXPECT_NEAR(once[i], r.after_s * static_cast<double>(i), 1e-12) << "each has its turn";
    r.chance = show::Chance::EachItsOwn;
    for (const double delay : rippleDelays(r, inOrder(8)).delay_s) {
        EXPECT_GE(delay, 0);
        EXPECT_LT(delay, 2);
    }
}

// --- properties

Ripple anyRipple() {
    std::vector<double> times;
    for (int n = *rc::gen::inRange(2, 6); n > 0; --n)
        times.push_back(*rc::gen::inRange(0, 9) / 4.0);
    auto r = rippleOf(*rc::gen::element(Pattern::Cycle, Pattern::March, Pattern::Pulse), times,
                      *rc::gen::inRange(0, 5) / 4.0);
    r.after_s = *rc::gen::inRange(0, 9) / 8.0;
    r.every_s = *rc::gen::inRange(1, 9) / 2.0;
    r.rise_s = *rc::gen::inRange(0, 5) / 4.0;
    r.fall_s = *rc::gen::inRange(0, 9) / 4.0;
    r.band = *rc::gen::inRange(0, 4);
    r.end = *rc::gen::element(RippleEnd::Again, RippleEnd::ToAndFro);
    return r;
}

double value(const Beat& b) { // a number that moves as the colour does
    return b.from + b.share * (b.to - b.from);
}

RC_GTEST_PROP(RippleTime, ATurnIsPeriodic, ()) {
    const auto times = rippleTimes(anyRipple(), *rc::gen::inRange(1, 9));
    double turn = times.turn_s;
    if (times.pattern == Pattern::Pulse) // accents there and back take two rounds less their ends
        turn = times.every_s * (times.end == RippleEnd::ToAndFro && times.steps() > 3
                                    ? 2.0 * static_cast<double>(times.steps() - 1) - 2
                                    : static_cast<double>(times.steps() - 1));
    const double settled = turn + times.rise_s + times.stay_s + times.fall_s + times.every_s;
    const double t = settled + *rc::gen::inRange(0, 4000) / 997.0;
    RC_ASSERT(std::abs(value(beatAt(times, t, 0)) - value(beatAt(times, t + turn, 0))) < 1e-6);
}

RC_GTEST_PROP(RippleTime, AChangeOfSpeedIsContinuous, ()) {
    auto r = anyRipple();
    const auto before = rippleTimes(r, 4);
    const double factor = *rc::gen::element(0.5, 0.8, 2.0, 5.0);
    for (auto& step : r.steps)
        step.time_s *= factor;
    r.after_s *= factor;
    r.every_s *= factor;
    r.rise_s *= factor;
    r.stay_s *= factor;
    r.fall_s *= factor;
    const auto now = rippleTimes(r, 4);
    if (before.turn_s <= 2 * kShortestTurn_s || now.turn_s <= 2 * kShortestTurn_s ||
        before.every_s <= 2 * kShortestTurn_s || now.every_s <= 2 * kShortestTurn_s)
        return;
    const double t = *rc::gen::inRange(0, 20'000) / 991.0;
    RC_ASSERT(std::abs(value(beatAt(before, t, 0)) -
                       value(beatAt(now, samePhase(before, now, t), 0))) < 1e-6);
}

} // namespace
} // namespace zelo::play
