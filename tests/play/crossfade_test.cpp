// SPDX-License-Identifier: GPL-3.0-or-later
// The crossfade that is worked on, as it is worked out over the lineup.
#include "colour/cct.h"
#include "play/compile.h"
#include "play/crossfade.h"
#include "play/planned.h"
#include "play/shipped.h"
#include "show/kept.h"
#include "show/routes.h"
#include "support/asked.h"
#include "support/cameras.h"
#include "support/near_way.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using colour::Uv;
using route::Kind;

class CrossfadeTest : public ::testing::Test {
protected:
    void add(const char* type) {
        show::Fixture f;
        f.type = type;
        f.address = 1 + 40 * static_cast<int>(lineup.size());
        state.show = *show::addFixture(state.show, f);
        lineup.push_back({state.show->last_fixture_id});
    }
    static show::FadeEnd colour(const char* asked) {
        show::FadeEnd end;
        end.colour = test::wishFor(asked);
        return end;
    }
    void between(show::FadeEnd from, show::FadeEnd to) {
        fade.from = std::move(from);
        fade.to = std::move(to);
    }
    CrossfadePicture picture(const char* type = "") {
        const auto next =
            show::withCrossfade(state.show, std::make_shared<const show::Crossfade>(fade));
        EXPECT_TRUE(next) << next.error().text();
        state.show = *next;
        return crossfadePicture(state, lineup, type, "", shipped, mixes);
    }
    void around(double floor) {
        fade.way = route::StopWay{};
        fade.way->kind = Kind::Around;
        fade.way->floor = floor;
    }

    Shipped shipped;
    Mixes mixes;
    show::State state = show::emptyState();
    show::Lineup lineup;
    show::Crossfade fade;
};

TEST_F(CrossfadeTest, RedToCyanAsItWouldAndAsPlanned) {
    add("gannet-8");
    add("petrel-4");
    add("gannet-8");
    between(colour("gel:104"), colour("gel:338"));
    around(0.7);
    const auto seen = picture("petrel-4");
    ASSERT_TRUE(seen.trouble.empty());
    ASSERT_EQ(seen.cases.size(), 2u) << "lamps of a type between the same ends are one case";
    EXPECT_EQ(seen.focus().fading.mixer->type().id, "petrel-4");
    EXPECT_EQ(seen.of, (std::vector<std::size_t>{1, 0, 1}));
    for (const auto& one : seen.cases) {
        EXPECT_GT(one.would.white_dip, 0.8);
        EXPECT_GT(one.would.dip_to, one.would.dip_from);
        EXPECT_LT(one.planned.white_dip, 0.32);
        // Each moment is what its drives give.
        for (const auto* way : {&one.would, &one.planned})
            for (std::size_t i = 0; i < way->fade.points.size(); ++i) {
                const auto& p = way->fade.points[i];
                const auto xyz = one.fading.mixer->xyzOf(p.drives);
                EXPECT_NEAR(way->brightness_cd[i], xyz.Y * way->level[i], 0.005 * xyz.Y);
                EXPECT_LT(colour::distance(colour::toUv(xyz), p.uv), 0.002);
            }
        EXPECT_EQ(one.planned.drivesAt(0), one.fading.from.drives);
        EXPECT_EQ(one.planned.drivesAt(1), one.fading.to.drives);
    }
    EXPECT_LE(seen.steps.worst_uv, fade.tolerance_uv);
    for (const auto& p : seen.console.fade.points)
        EXPECT_LE(test::offWay(seen.focus().planned.fade, p.t, p.uv, 0.03),
                  fade.tolerance_uv + 2e-4);
    ASSERT_TRUE(seen.sides.ccw);
    EXPECT_STRNE(seen.sides.ccw, seen.sides.cw);
}

// What is shown is what is played: the engine's planned way of the same change.
TEST_F(CrossfadeTest, ThePlannedWayIsTheOneThatIsPlayed) {
    add("gannet-8");
    between(colour("gel:104"), colour("gel:338"));
    for (const bool needed : {true, false}) {
        around(0.7);
        if (needed)
            fade.way.reset();
        const auto seen = picture();
        const auto& f = seen.focus().fading;
        Ways ways;
        const auto way = ways.planned({f.mixer,
                                       f.from.drives,
                                       f.to.drives,
                                       colour::planckianUv({state.show->white_cct_k}),
                                       {fade.way},
                                       f.mixing});
        ASSERT_TRUE(way);
        for (int i = 0; i <= 100; ++i) {
            light::Drives at(way->parts);
            way->at(i / 100.0, at.begin());
            const auto shown = seen.focus().planned.drivesAt(i / 100.0);
            for (std::size_t e = 0; e < at.size(); ++e)
                EXPECT_NEAR(at[e], shown[e], 1e-9) << i;
        }
    }
}

// The mixes between two ends mind the cameras that there are now.
TEST_F(CrossfadeTest, AWayIsPlannedAnewForAnotherCamera) {
    add("gannet-8");
    between(colour("gel:104"), colour("gel:338"));
    const auto seen = picture();
    const auto& f = seen.focus().fading;
    Ways ways;
    Ways::Ask ask{f.mixer, f.from.drives, f.to.drives,
                  colour::planckianUv({state.show->white_cct_k})};
    ask.mixing.intent = mix::Intent::Filmed;
    ask.mixing.cameras = test::shippedCameras({"fulmar"});
    const auto first = ways.planned(ask);
    ask.mixing.cameras = test::shippedCameras({"fulmar"});
    EXPECT_EQ(ways.planned(ask), first) << "the same camera";
    ask.mixing.cameras = test::shippedCameras({"fulmar"}, 5600);
    const auto balanced = ways.planned(ask);
    ASSERT_TRUE(balanced);
    EXPECT_NE(balanced, first) << "another white";
    light::Drives a(first->parts), b(first->parts);
    double apart = 0;
    for (int i = 10; i < 100; i += 10) {
        first->at(i / 100.0, a.begin());
        balanced->at(i / 100.0, b.begin());
        for (std::size_t e = 0; e < a.size(); ++e)
            apart = std::max(apart, std::abs(a[e] - b[e]));
    }
    EXPECT_GT(apart, 0.001);
}

TEST_F(CrossfadeTest, ADarkEndTakesTheOtherOnesColourInTheDarkFirst) {
    add("gannet-8");
    between({}, colour("gel:104"));
    auto seen = picture();
    ASSERT_TRUE(seen.trouble.empty());
    const Uv red = seen.focus().fading.to.uv;
    for (const auto& p : seen.focus().planned.fade.points)
        EXPECT_LT(colour::distance(p.uv, red), 0.002) << "the colour is there before the light";
    EXPECT_EQ(seen.focus().planned.level.front(), 0);
    EXPECT_EQ(seen.focus().planned.level.back(), 1);
    EXPECT_TRUE(seen.faults.empty());
    // Without it the first light is how the lamp rests; a plain desk always does that.
    EXPECT_GT(colour::distance(seen.focus().would.fade.points[10].uv, red), 0.05);
    show::Show off = *state.show;
    off.dark_first = false;
    state.show = show::nextShow(off);
    seen = picture();
    ASSERT_FALSE(seen.faults.empty());
    EXPECT_EQ(seen.faults[0].kind, route::Fault::FromDark);
    EXPECT_FALSE(seen.cures.empty());
}

TEST_F(CrossfadeTest, LooksAndLampsAreEndsLampByLamp) {
    add("gannet-8");
    add("gannet-8");
    auto hand = show::withIntensity(
        show::withColour(show::emptyHand(), {lineup[0]}, test::wishFor("gel:104")), lineup, 0.5);
    hand = show::withColour(hand, {lineup[1]}, test::wishFor("gel:214"));
    state.show = *show::keepLook(state.show, *hand, lineup, "evening");
    show::FadeEnd look;
    look.look = {1};
    between(look, show::endOf(lineup, [&](show::FixtureId id) {
                return show::shownValue(*state.show, *hand, id);
            }));
    const auto seen = picture();
    ASSERT_EQ(seen.cases.size(), 2u) << "two colours";
    for (const auto& one : seen.cases) {
        EXPECT_EQ(one.fading.from.level, 0.5);
        EXPECT_EQ(one.fading.from, one.fading.to) << "the look is what was kept of these lamps";
        EXPECT_LT(one.planned.length, 0.01);
        EXPECT_EQ(one.planned.white_dip, 0);
    }
    EXPECT_GT(colour::distance(seen.cases[0].fading.from.uv, seen.cases[1].fading.from.uv), 0.05);
}

// A look says nothing of other lamps: they stay.
TEST_F(CrossfadeTest, LampsThatALookDoesNotNameStay) {
    add("gannet-8");
    add("gannet-8");
    const auto hand = show::withIntensity(
        show::withColour(show::emptyHand(), lineup, test::wishFor("gel:214")), lineup, 0.4);
    state.show = *show::keepLook(state.show, *hand, {lineup[0]}, "one lamp");
    show::FadeEnd look;
    look.look = {1};
    between(colour("gel:104"), look);
    const auto seen = picture();
    EXPECT_EQ(seen.caseOf(0)->fading.to.level, 0.4);
    const Fading& other = seen.caseOf(1)->fading;
    EXPECT_EQ(other.from, other.to);
    EXPECT_EQ(other.to.level, 1);
    between({}, look); // nothing from dark either: it stays dark
    EXPECT_EQ(picture().caseOf(1)->fading.to.level, 0);
}

// Of lamps as they are some may be dark: these fade up.
TEST_F(CrossfadeTest, DarkLampsAmongThoseThatWereTakenFadeUp) {
    add("gannet-8");
    add("gannet-8");
    const auto hand = show::withIntensity(
        show::withColour(show::emptyHand(), {lineup[0]}, test::wishFor("gel:214")), {lineup[0]}, 1);
    between(
        show::endOf(lineup,
                    [&](show::FixtureId id) { return show::shownValue(*state.show, *hand, id); }),
        colour("gel:104"));
    const auto seen = picture();
    EXPECT_EQ(seen.caseOf(0)->fading.from.level, 1);
    EXPECT_EQ(seen.caseOf(1)->fading.from.level, 0);
    EXPECT_EQ(seen.caseOf(1)->fading.to.level, 1);
}

// Eased, brightness runs otherwise; it is capped only where the reach takes some.
TEST_F(CrossfadeTest, EasingIsNoCap) {
    add("gannet-8");
    between(colour("gel:104"), colour("gel:214"));
    around(0);
    auto seen = picture();
    ASSERT_TRUE(seen.capped.empty());
    fade.way->eased = true;
    seen = picture();
    EXPECT_TRUE(seen.capped.empty());
    EXPECT_LT(seen.focus().planned.brightness_cd[5] - seen.focus().planned.brightness_cd[0],
              0.05 * std::abs(seen.focus().planned.brightness_cd[100] -
                              seen.focus().planned.brightness_cd[0]))
        << "it starts slowly";
}

// What both ends keep out stays out, and the intent of both is what mixes are pulled to.
TEST_F(CrossfadeTest, WhatBothEndsWantHoldsAlongTheWay) {
    add("gannet-8");
    auto from = test::wishFor("gel:104");
    auto to = test::wishFor("gel:338");
    from.keep_out = to.keep_out = {"Indigo"};
    from.intent = to.intent = mix::Intent::Brightest;
    between({from, {}, {}, {}}, {to, {}, {}, {}});
    around(0.7);
    const auto seen = picture();
    EXPECT_EQ(seen.focus().fading.mixing.intent, mix::Intent::Brightest);
    const auto& emitters = seen.focus().fading.mixer->type().emitters;
    std::size_t indigo = 0;
    while (emitters[indigo].name != "Indigo")
        ++indigo;
    for (const auto& p : seen.focus().planned.fade.points)
        EXPECT_EQ(p.drives[indigo], 0);
    const auto free_wish = test::wishFor("gel:338");
    between({from, {}, {}, {}}, {free_wish, {}, {}, {}});
    EXPECT_TRUE(picture().focus().fading.mixing.keep_out.empty()) << "one of them uses it";
}

TEST_F(CrossfadeTest, AllWaysAreComparedBetweenTheSameEnds) {
    add("gannet-8");
    between(colour("gel:104"), colour("gel:338"));
    around(0.7);
    fade.way->side = route::Side::Cw;
    const auto seen = picture();
    const auto ways = comparedWays(*state.show, seen);
    ASSERT_EQ(ways.size(), 6u);
    std::vector<Kind> kinds;
    for (const auto& way : ways) {
        kinds.push_back(way.way->kind);
        EXPECT_LT(colour::distance(way.seen.fade.points.front().uv, seen.focus().fading.from.uv),
                  1e-6);
        EXPECT_LT(colour::distance(way.seen.fade.points.back().uv, seen.focus().fading.to.uv),
                  1e-6);
        EXPECT_GE(way.steps, 2u);
    }
    EXPECT_EQ(kinds, (std::vector{Kind::Levels, Kind::Straight, Kind::Around, Kind::Around,
                                  Kind::Dark, Kind::Jump}));
    EXPECT_GT(ways[0].seen.white_dip, 0.8);
    EXPECT_LT(ways[2].seen.white_dip, 0.32);
    EXPECT_STRNE(ways[2].by, ways[3].by);
    EXPECT_EQ(ways[4].seen.dimmest_cd, 0) << "through dark";
    EXPECT_GT(ways[5].seen.largest_step, 0.3) << "a jump";
    EXPECT_EQ(ways[3].seen.length, seen.focus().planned.length) << "the one that is planned";
}

TEST_F(CrossfadeTest, InTheCommonReachAllTypesGoOneWay) {
    add("gannet-8");
    add("petrel-4");
    between(colour("cct:3200"), colour("xy:0.25,0.2"));
    around(1);
    fade.way->common = true;
    const auto seen = picture();
    ASSERT_EQ(seen.cases.size(), 2u);
    double apart = 0;
    for (std::size_t i = 0; i < 101; ++i)
        apart = std::max(apart, colour::distance(seen.cases[0].planned.fade.points[i].uv,
                                                 seen.cases[1].planned.fade.points[i].uv));
    fade.way->common = false;
    const auto own = picture();
    double own_apart = 0;
    for (std::size_t i = 0; i < 101; ++i)
        own_apart = std::max(own_apart, colour::distance(own.cases[0].planned.fade.points[i].uv,
                                                         own.cases[1].planned.fade.points[i].uv));
    EXPECT_LT(apart, 0.002);
    EXPECT_GT(own_apart, 2 * apart);
}

TEST_F(CrossfadeTest, WhereTheReachTakesBrightnessItSaysWhoIsAtFull) {
    add("petrel-4");
    between(colour("gel:104"), colour("gel:338"));
    around(1);
    const auto seen = picture();
    ASSERT_TRUE(seen.trouble.empty());
    for (const auto& capped : seen.capped) {
        EXPECT_LE(capped.from, capped.to);
        EXPECT_FALSE(capped.parts.empty());
        const auto drives = seen.focus().planned.drivesAt((capped.from + capped.to) / 2);
        bool full = false;
        for (const std::size_t e : capped.parts)
            full = full || drives[e] > 0.9;
        EXPECT_TRUE(full);
    }
    EXPECT_EQ(seen.capped.empty(), seen.focus().planned.fade.reach_dip < 0.001);
    for (std::size_t i = 0; i < seen.most_cd.size(); ++i)
        EXPECT_GE(seen.most_cd[i] * 1.0001, seen.focus().planned.brightness_cd[i]);
}

// Sensible answers for whatever comes, never a jump.
TEST_F(CrossfadeTest, OddEndsAndWaysAreAnswered) {
    EXPECT_FALSE(picture().trouble.empty()) << "no lamps";
    add("ghost");
    between(colour("gel:104"), colour("gel:338"));
    EXPECT_FALSE(picture().trouble.empty()) << "no type";
    add("gannet-8");
    EXPECT_TRUE(picture().trouble.empty());
    EXPECT_EQ(picture().of[0], CrossfadePicture::npos);
    add("plover-5");
    fade.from = fade.to = {};
    EXPECT_FALSE(picture().trouble.empty()) << "nothing to fade between";
    const std::vector<std::pair<show::FadeEnd, show::FadeEnd>> ends{
        {colour("gel:104"), colour("gel:104")},
        {colour("cct:4300"), colour("cct:4300")},
        {colour("cct:4300"), colour("gel:338")},
        {colour("gel:104"), {}},
        {{}, colour("gel:338")},
        {colour("xy:0.17,0.01"), colour("xy:0.1,0.8")},
        {colour("uv:0.35,0.5"), colour("uv:0.1,0.44")},
        {colour("xy:0.7,0.3"), colour("cct:1500")}};
    for (const auto& [from, to] : ends)
        for (const auto kind : {Kind::Levels, Kind::Straight, Kind::Around, Kind::Dark, Kind::Jump})
            for (const double time : {0.0, 3600.0}) {
                between(from, to);
                around(0.8);
                fade.way->kind = kind;
                fade.way->keep_out = route::Sector{-3.1, 3.1}; // no way can avoid it
                fade.way->via = {{0.9, 0.9}, {-0.4, 0}};
                fade.time_s = time;
                const auto seen = picture();
                ASSERT_TRUE(seen.trouble.empty());
                for (const auto& one : seen.cases)
                    for (const auto* way : {&one.would, &one.planned, &seen.console})
                        for (std::size_t i = 0; i < way->fade.points.size(); ++i) {
                            const auto& p = way->fade.points[i];
                            ASSERT_TRUE(std::isfinite(p.uv.u) && std::isfinite(p.uv.v));
                            ASSERT_TRUE(std::isfinite(way->brightness_cd[i]));
                            for (const double d : p.drives)
                                ASSERT_TRUE(d >= -1e-9 && d <= 1 + 1e-9);
                        }
                if (kind == Kind::Around && time == 0)
                    EXPECT_EQ(comparedWays(*state.show, seen).size(), 6u);
            }
}

// A white outside the reach: the way says so instead of going nowhere.
TEST_F(CrossfadeTest, AWhiteThatNoLampReachesIsTold) {
    add("petrel-4");
    between(colour("gel:104"), colour("gel:338"));
    around(0.8);
    show::Show odd = *state.show;
    odd.white_cct_k = 1000;
    state.show = show::nextShow(odd);
    const auto seen = picture();
    const bool told = !seen.trouble.empty();
    const bool around_it = told || route::Disc::of(seen.reach, colour::planckianUv({1000}));
    EXPECT_TRUE(around_it);
}

} // namespace
} // namespace zelo::play
