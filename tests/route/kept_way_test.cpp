// SPDX-License-Identifier: GPL-3.0-or-later
// Ways as they are kept, and what is made of them: other ends, as needed, eased, on a console.
#include "colour/cct.h"
#include "colour/oklab.h"
#include "mix/together.h"
#include "route/detail/tube.h"
#include "route/fade.h"
#include "support/near_way.h"
#include "support/shipped.h"

#include <cmath>

namespace zelo::route {
namespace {

using colour::Uv;

const Uv kWhite = colour::planckianUv({4300});

light::Drives drivesFor(const mix::Mixer& mixer, const char* gel) {
    return mixer.solve(test::gelWanted(gel), {}).drives;
}

TEST(KeptWay, FitsItselfToOtherEnds) {
    StopWay way;
    way.kind = Kind::Around;
    way.floor = 0.6;
    way.side = Side::Ccw;
    way.via = {{0.25, 0.55}, {0.2, 0.5}};
    const Uv from{0.4, 0.5};
    const Uv to{0.15, 0.45};
    const StopWay loose = loosened(way, from, to);
    EXPECT_EQ(loose.floor, 0.6);
    const StopWay again = fitted(loose, from, to);
    for (std::size_t i = 0; i < 2; ++i)
        EXPECT_NEAR(colour::distance(again.via[i], way.via[i]), 0, 1e-12);
    // The same shape, moved, turned by a right angle and half as large.
    const Uv a{0.2, 0.4};
    const StopWay other = fitted(loose, a, a + 0.5 * Uv{to.v - from.v, -(to.u - from.u)});
    for (std::size_t i = 0; i < 2; ++i) {
        const Uv off = 0.5 * (way.via[i] - from);
        EXPECT_NEAR(colour::distance(other.via[i], a + Uv{off.v, -off.u}), 0, 1e-12);
    }
    // Led the other way round it goes through the same points, on the other side.
    const StopWay back = fitted(turnedRound(loose), to, from);
    EXPECT_EQ(back.side, Side::Cw);
    EXPECT_NEAR(colour::distance(back.via[0], way.via[1]), 0, 1e-12);
    EXPECT_NEAR(colour::distance(back.via[1], way.via[0]), 0, 1e-12);
    const StopWay twice = turnedRound(turnedRound(loose));
    EXPECT_EQ(twice.side, loose.side);
    EXPECT_NEAR(colour::distance(twice.via[0], loose.via[0]), 0, 1e-12);
    EXPECT_TRUE(loosened(way, from, from).via.empty()) << "equal ends have no way between";
    EXPECT_TRUE(fitted(loose, a, a).via.empty());
    // Where they stand, points stay there: only the order turns.
    const StopWay led = ledBack(way);
    EXPECT_EQ(led.via, (std::vector<Uv>{way.via[1], way.via[0]}));
    EXPECT_EQ(led.side, Side::Cw);
    EXPECT_EQ(ledBack(led), way);
}

TEST(KeptWay, SidesAreCalledByTheHuesTheyGoBy) {
    const auto mixer = test::shippedMixer("gannet-8");
    const auto disc = *Disc::of(mixer.hull(), kWhite);
    const Uv red = test::gelWanted("104").uv();
    const Uv cyan = test::gelWanted("338").uv();
    const SideWords words = sideWords(disc, red, cyan, 0.8);
    for (const auto& [word, side] : {std::pair(words.ccw, Side::Ccw), {words.cw, Side::Cw}}) {
        ASSERT_TRUE(word);
        const auto sector = parseSector(word);
        ASSERT_TRUE(sector);
        bool met = false;
        for (int i = 1; i < 20; ++i) {
            const Uv off = aroundWay(disc, red, cyan, 0.8, side).curve(i / 20.0) - kWhite;
            met = met || sector->holds(std::atan2(off.v, off.u));
        }
        EXPECT_TRUE(met) << word;
    }
    EXPECT_STRNE(words.ccw, words.cw);
    const SideWords same = sideWords(disc, red, red, 1);
    EXPECT_TRUE(!same.ccw || std::string(same.ccw) != same.cw);
}

TEST(KeptWay, AsNeededGoesRoundTheWhiteOnlyWhereItMust) {
    const auto mixer = test::shippedMixer("gannet-8");
    FadeWish wish;
    wish.white = kWhite;
    const auto red = drivesFor(mixer, "104");
    const auto orange = mixer.solve(test::gelWanted("214"), {}).drives;
    const auto cyan = drivesFor(mixer, "338");
    const auto near = planAsNeeded(mixer, red, orange, wish);
    ASSERT_TRUE(near);
    EXPECT_EQ(near->kind, Kind::Straight);
    const auto far = planAsNeeded(mixer, red, cyan, wish);
    ASSERT_TRUE(far);
    EXPECT_EQ(far->kind, Kind::Around);
    EXPECT_LT(far->white_dip, 0.22);
}

TEST(KeptWay, EasedItIsSlowAtBothEnds) {
    const auto mixer = test::shippedMixer("gannet-8");
    StopWay way;
    way.eased = true;
    const auto from = drivesFor(mixer, "104");
    const auto to = drivesFor(mixer, "214");
    const auto fade = planFade(mixer, from, to, fadeWish(way, kWhite, mixer.hull()));
    ASSERT_TRUE(fade);
    const colour::OklabSpace space(colour::toXyz(kWhite));
    const auto speed = [&](std::size_t i) {
        return distance(space.from(colour::toXyz(fade->points[i].uv)),
                        space.from(colour::toXyz(fade->points[i + 1].uv)));
    };
    EXPECT_LT(speed(0), speed(50) / 10);
    EXPECT_LT(speed(99), speed(50) / 10);
    EXPECT_NEAR(speed(25), speed(74), speed(50) / 100) << "the same at both";
    EXPECT_LT(colour::distance(fade->points.front().uv, colour::toUv(mixer.xyzOf(from))), 1e-6);
    EXPECT_LT(colour::distance(fade->points.back().uv, colour::toUv(mixer.xyzOf(to))), 1e-6);
}

TEST(KeptWay, PointsFromAnotherLampAreTakenIntoTheReach) {
    const auto mixer = test::shippedMixer("petrel-4");
    StopWay way;
    way.via = {{0.9, 0.9}, {-0.5, -1}, {0.2, 0}};
    const auto wish = fadeWish(way, kWhite, mixer.hull());
    ASSERT_EQ(wish.via.size(), 3u);
    for (const Uv& via : wish.via)
        EXPECT_LT(colour::distance(via, mix::intoReach(mixer.hull(), via)), 1e-9);
    const auto fade = planFade(mixer, drivesFor(mixer, "104"), drivesFor(mixer, "338"), wish);
    ASSERT_TRUE(fade);
    for (const auto& p : fade->points)
        EXPECT_LT(colour::distance(p.uv, colour::toUv(mixer.xyzOf(p.drives))), 0.004);
}

// Each channel in a straight line from step to step, as the steps' own figure says.
TEST(Console, ShowsWhatItsStepsPromise) {
    for (const char* type : {"petrel-4", "gannet-8"}) {
        const auto mixer = test::shippedMixer(type);
        StopWay way;
        way.kind = Kind::Around;
        const auto fade = planFade(mixer, drivesFor(mixer, "104"), drivesFor(mixer, "338"),
                                   fadeWish(way, kWhite, mixer.hull()));
        ASSERT_TRUE(fade);
        for (const double tolerance : {0.003, 0.006, 0.03}) {
            const auto steps = stepsFor(mixer, *fade, tolerance);
            const auto shown = asConsole(mixer, steps, kWhite, 101);
            ASSERT_EQ(shown.points.size(), fade->points.size());
            double worst = 0;
            for (std::size_t i = 0; i < shown.points.size(); ++i)
                worst = std::max(worst, test::offWay(*fade, shown.points[i].t, shown.points[i].uv,
                                                     kEarlyOrLate));
            EXPECT_NEAR(worst, steps.worst_uv, 2e-4) << type << " " << tolerance;
            EXPECT_LE(worst, tolerance) << type;
        }
    }
}

// A leap is no way: steps do not cut across it, through the colours between.
TEST(Console, KeepsAJumpAJump) {
    const auto mixer = test::shippedMixer("gannet-8");
    FadeWish wish;
    wish.kind = Kind::Jump;
    wish.white = kWhite;
    const auto from = drivesFor(mixer, "104");
    const auto to = drivesFor(mixer, "346");
    const auto fade = planFade(mixer, from, to, wish);
    ASSERT_TRUE(fade);
    const auto steps = stepsFor(mixer, *fade);
    double between = 0; // of the time
    for (const auto& p : asConsole(mixer, steps, kWhite, 1001).points)
        if (colour::distance(p.uv, fade->points.front().uv) > 0.01 &&
            colour::distance(p.uv, fade->points.back().uv) > 0.01)
            between += 0.001;
    EXPECT_LT(between, 0.0101) << "from one point of the plan to the next";
    EXPECT_EQ(steps.steps.size(), 4u);
}

// Nodes may leave the way within the tolerance, so that chords lie on both its sides: fewer than
// from point to point of it (217 of these 24, none early or late), never more, and as good as they
// say.
TEST(Console, NeedsFewStepsForWideChanges) {
    std::size_t all = 0;
    for (const char* type : {"petrel-4", "tern-6", "gannet-8", "avocet-7"}) {
        const auto mixer = test::shippedMixer(type);
        const auto drives = [&](const char* asked) {
            return mixer.solve(light::parseColour(asked, test::Gels()).value(), {}).drives;
        };
        for (const auto& [from, to] : {std::pair("gel:104", "gel:338"),
                                       {"gel:214", "gel:310"},
                                       {"gel:104", "gel:346"},
                                       {"srgb:#ff2010", "srgb:#10d0e0"},
                                       {"srgb:#ff8010", "srgb:#10d0e0"},
                                       {"cct:3200", "cct:6500"}}) {
            StopWay way;
            way.kind = Kind::Around;
            const auto fade =
                planFade(mixer, drives(from), drives(to), fadeWish(way, kWhite, mixer.hull()));
            ASSERT_TRUE(fade);
            const auto steps = stepsFor(mixer, *fade);
            all += steps.steps.size();
            EXPECT_LE(steps.worst_uv, 0.006) << type << " " << from << " " << to;
            EXPECT_LE(steps.worst_brightness, 0.05) << type << " " << from << " " << to;
        }
    }
    std::printf("[ figures  ] %zu steps in all\n", all);
    EXPECT_LE(all, 165u);
}

// Flags move together too: a warm correction goes from its start to its end, and no flag leaps.
TEST(Flags, AreMixedTogetherAlongTheWay) {
    const auto mixer = test::shippedMixer("skua-cmy");
    StopWay way;
    way.kind = Kind::Around;
    const auto fade = planFade(mixer, drivesFor(mixer, "104"), drivesFor(mixer, "338"),
                               fadeWish(way, kWhite, mixer.hull()));
    ASSERT_TRUE(fade);
    EXPECT_LT(fade->largest_step, 0.06);
    for (const auto& p : fade->points) {
        const auto xyz = mixer.xyzOf(p.drives);
        EXPECT_LT(colour::distance(colour::toUv(xyz), p.uv), 0.001);
        EXPECT_NEAR(xyz.Y, p.brightness_cd, 0.002 * xyz.Y) << "it says the light that it gives";
    }
    for (const auto& flag : mixer.type().flags) {
        std::size_t part = 0;
        while (mixer.type().part(part).kind != light::PartKind::Flag ||
               &mixer.type().flags[mixer.type().part(part).index] != &flag)
            ++part;
        double travel = 0;
        for (std::size_t i = 1; i < fade->points.size(); ++i)
            travel += std::abs(fade->points[i].drives[part] - fade->points[i - 1].drives[part]);
        EXPECT_LT(travel, 2.5) << "no to and fro";
    }
}

// Of all mixes with little movement those near the intent: the brightest way stays near the
// brightest mixes, more so than the leanest one does.
TEST(Intent, PullsTheMixesALittle) {
    const auto mixer = test::shippedMixer("gannet-8");
    const auto off = [&](mix::Intent pulled, mix::Intent from) {
        FadeWish wish;
        wish.kind = Kind::Around;
        wish.white = kWhite;
        wish.mixing.intent = pulled;
        const auto fade = planFade(mixer, drivesFor(mixer, "104"), drivesFor(mixer, "338"), wish);
        EXPECT_TRUE(fade);
        double sum = 0;
        for (const auto& p : fade->points) {
            const auto mix = mixer.solve(light::wantedUv(p.uv), test::wishOf(from));
            const auto want = mixer.dimmed(mix.drives, p.brightness_cd / mix.got.Y);
            for (std::size_t e = 0; e < want.size(); ++e)
                sum += std::abs(want[e] - p.drives[e]);
        }
        return sum;
    };
    for (const auto intent : {mix::Intent::Truest, mix::Intent::Brightest})
        EXPECT_LT(off(intent, intent), 0.98 * off(mix::Intent::Kindest, intent))
            << mix::nameOf(intent) << "; Kindest pulls nowhere";
}

TEST(MostAlong, IsNeverLessThanWhatIsThere) {
    const auto mixer = test::shippedMixer("gannet-8");
    StopWay way;
    way.kind = Kind::Around;
    const auto fade = planFade(mixer, drivesFor(mixer, "104"), drivesFor(mixer, "338"),
                               fadeWish(way, kWhite, mixer.hull()));
    ASSERT_TRUE(fade);
    const auto most = mostAlong(mixer, *fade);
    ASSERT_EQ(most.size(), fade->points.size());
    bool more = false;
    for (std::size_t i = 0; i < most.size(); ++i) {
        EXPECT_GE(most[i], fade->points[i].brightness_cd);
        more = more || most[i] > 1.2 * fade->points[i].brightness_cd;
    }
    EXPECT_TRUE(more) << "eight emitters have some to spare";
}

} // namespace
} // namespace zelo::route
