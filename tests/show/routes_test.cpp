// SPDX-License-Identifier: GPL-3.0-or-later
// Kept routes, what leads between two palettes, and the crossfade that is worked on.
#include "show/cue_edits.h"
#include "show/holders.h"
#include "show/kept.h"
#include "show/routes.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::show {
namespace {

class Routes : public ::testing::Test {
protected:
    Routes() {
        show = std::make_shared<const Show>(Show{"Test"});
        for (int i = 0; i < 2; ++i) {
            Fixture f;
            f.type = "petrel-4";
            f.address = 1 + 10 * i;
            show = *addFixture(show, f);
        }
        for (const char* gel : {"gel:104", "gel:338"}) {
            Palette p;
            p.name = gel;
            p.colour = test::wishFor(gel);
            show = *addPalette(show, p);
        }
        around.kind = route::Kind::Around;
        around.side = route::Side::Ccw;
        around.floor = 0.7;
    }
    void take(const Result<ShowPtr>& next) {
        ASSERT_TRUE(next) << next.error().text();
        show = *next;
    }
    const Route& route(int id) { return *show->routes.find({id}); }
    void crossfade(const Crossfade& fade) {
        take(withCrossfade(show, std::make_shared<const Crossfade>(fade)));
    }
    ShowPtr show;
    route::StopWay around;
};

TEST_F(Routes, AreKeptUnderNames) {
    take(keepRoute(show, "by the sea", around));
    EXPECT_EQ(route(1).way, around);
    EXPECT_FALSE(keepRoute(show, "by the sea", around)) << "a name is used once";
    EXPECT_FALSE(keepRoute(show, " ", around));
    route::StopWay bad = around;
    bad.floor = 2;
    EXPECT_FALSE(keepRoute(show, "bad", bad));
    Route changed = route(1);
    changed.locked = true;
    take(changeRoute(show, changed));
    changed.way.floor = 0.2;
    EXPECT_FALSE(changeRoute(show, changed)) << "locked";
    EXPECT_FALSE(removeRoute(show, {1})) << "locked";
    changed = route(1);
    changed.locked = false;
    take(changeRoute(show, changed));
    take(removeRoute(show, {1}));
    EXPECT_EQ(show->routes.size(), 0u);
    EXPECT_FALSE(removeRoute(show, {1}));
    take(keepRoute(show, "by the sea", around));
    EXPECT_TRUE(show->routes.find({2})) << "ids are not used again";
}

TEST_F(Routes, TheCueComesBeforeThePairAndThePairBeforeTheShow) {
    take(keepRoute(show, "sea", around));
    route::StopWay other = around;
    other.floor = 0.1;
    take(keepRoute(show, "sky", other));
    Show with = *show;
    with.way = route::StopWay{};
    with.way->kind = route::Kind::Jump;
    show = nextShow(with);
    EXPECT_EQ(wayHeld(*show, nullptr, {}, {}).way, with.way);
    take(routeBetween(show, {1}, {2}, {1}));
    EXPECT_EQ(wayHeld(*show, nullptr, {1}, {2}).way, around);
    EXPECT_TRUE(wayHeld(*show, nullptr, {1}, {2}).loose);
    EXPECT_EQ(wayHeld(*show, nullptr, {2}, {1}).way->side, route::Side::Cw) << "back likewise";
    EXPECT_EQ(wayHeld(*show, nullptr, {1}, {}).way, with.way);
    Cue cue;
    cue.way = route::StopWay{};
    EXPECT_EQ(wayHeld(*show, &cue, {1}, {2}).way, cue.way);
    cue.route = {2};
    EXPECT_EQ(wayHeld(*show, &cue, {1}, {2}).way, other);
    cue.route = {99};
    EXPECT_EQ(wayHeld(*show, &cue, {1}, {2}).way, cue.way) << "one that is gone says nothing";
    // Of a pair there is one, whichever way round it is named.
    take(routeBetween(show, {2}, {1}, {2}));
    EXPECT_EQ(show->routes_between.size(), 1u);
    take(routeBetween(show, {1}, {2}, {}));
    EXPECT_TRUE(show->routes_between.empty());
    EXPECT_FALSE(routeBetween(show, {1}, {1}, {1}));
    EXPECT_FALSE(routeBetween(show, {1}, {7}, {1}));
    EXPECT_FALSE(routeBetween(show, {1}, {2}, {7}));
}

TEST_F(Routes, WhatUsesARouteThatGoesKeepsItsWay) {
    take(keepRoute(show, "sea", around));
    take(routeBetween(show, {1}, {2}, {1}));
    CueList list;
    list.name = "main";
    take(addCueList(show, list));
    Cue cue;
    cue.number = {1000};
    cue.route = {1};
    take(keepCue(show, {1}, cue));
    take(removeRoute(show, {1}));
    const Cue& now = *show->cue_lists.find({1})->cues.find({1000});
    EXPECT_FALSE(now.route);
    EXPECT_EQ(now.way, around);
    EXPECT_TRUE(show->routes_between.empty());
}

TEST_F(Routes, ACrossfadeIsCheckedAsItComes) {
    Crossfade fade;
    fade.from.colour = PaletteId{1};
    fade.to.colour = test::wishFor("gel:214");
    fade.way = around;
    crossfade(fade);
    EXPECT_EQ(*show->crossfade, fade);
    for (const auto& spoil : std::vector<std::function<void(Crossfade&)>>{
             [](Crossfade& f) { f.time_s = -1; }, [](Crossfade& f) { f.time_s = NAN; },
             [](Crossfade& f) { f.tolerance_uv = 0; }, [](Crossfade& f) { f.way->floor = NAN; },
             [](Crossfade& f) { f.way->dark_share = 3; }, [](Crossfade& f) { f.to.look = {5}; },
             [](Crossfade& f) { f.from.colour = PaletteId{9}; }}) {
        Crossfade bad = fade;
        spoil(bad);
        EXPECT_FALSE(withCrossfade(show, std::make_shared<const Crossfade>(bad)));
    }
    take(withCrossfade(show, nullptr));
    EXPECT_FALSE(show->crossfade);
}

TEST_F(Routes, EndsStayWhatTheyWereWhenTheirPaletteGoes) {
    Crossfade fade;
    fade.from.colour = PaletteId{1};
    fade.to.colour = PaletteId{2};
    crossfade(fade);
    take(keepRoute(show, "sea", around));
    take(routeBetween(show, {1}, {2}, {1}));
    State state{show, emptyHand()};
    const auto gone = removePalette(state, {1});
    ASSERT_TRUE(gone);
    const FadeEnd& from = gone->show->crossfade->from;
    ASSERT_TRUE(from.colour && from.colour->here());
    EXPECT_EQ(light::toText(from.colour->here()->asked), "gel:104");
    EXPECT_TRUE(gone->show->routes_between.empty());
    const auto merged = mergePalettes(state, {1}, {2});
    ASSERT_TRUE(merged);
    EXPECT_EQ(merged->show->crossfade->from.colour->palette(), PaletteId{2});
}

TEST_F(Routes, LampsThatGoTakeTheirEndsAlong) {
    const auto hand = withColour(emptyHand(), {{1}, {2}}, test::wishFor("gel:214"));
    Crossfade fade;
    fade.from = endOf({{1}, {2}}, [&](FixtureId id) { return shownValue(*show, *hand, id); });
    EXPECT_EQ(fade.from.lamps.size(), 2u);
    crossfade(fade);
    const auto without = removeFixtures({show, emptyHand()}, {{1}});
    ASSERT_TRUE(without);
    EXPECT_EQ(without->show->crossfade->from.lamps.size(), 1u);
    // An end remembers what lamps showed, not what their palettes say later.
    const auto follows = withPalette(emptyHand(), {{1}}, *show->palette({1}));
    const FadeEnd end = endOf({{1}}, [&](FixtureId id) { return shownValue(*show, *follows, id); });
    EXPECT_TRUE(end.lamps.find({1})->colour->here());
}

TEST_F(Routes, ADarkLampIsAnEndToo) {
    const auto hand =
        withIntensity(withColour(emptyHand(), {{1}}, test::wishFor("gel:214")), {{1}}, 0.5);
    const FadeEnd end =
        endOf({{1}, {2}}, [&](FixtureId id) { return shownValue(*show, *hand, id); });
    ASSERT_EQ(end.lamps.size(), 2u);
    EXPECT_EQ(*end.lamps.find({1})->intensity->here(), 0.5);
    EXPECT_EQ(*end.lamps.find({2})->intensity->here(), 0) << "it showed nothing, and that is told";
}

TEST_F(Routes, TheWhiteStaysWithinWhatAFileMayHold) {
    take(withWhite(show, 25'000));
    EXPECT_EQ(show->white_cct_k, 25'000);
    for (const double k : {999.0, 25'001.0, -1.0, double(NAN)})
        EXPECT_FALSE(withWhite(show, k)) << k;
    take(withDarkFirst(show, false));
    EXPECT_FALSE(show->dark_first);
}

} // namespace
} // namespace zelo::show
