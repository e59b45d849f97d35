// SPDX-License-Identifier: GPL-3.0-or-later
// Gradients as shows have them: what may be one, stops put in and taken out, laid over lamps, kept,
// changed, merged, deleted.
#include "show/holders.h"
#include "show/kept.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::show {
namespace {

GradientStop stop(const char* asked, std::optional<double> at = {}) {
    return {light::parseAsked(asked).value(), {0.2, 0.47}, at, {}};
}

Gradient twoStops(const char* from = "gel:214", const char* to = "gel:338") {
    Gradient g;
    g.stops = {stop(from), stop(to)};
    g.ways.resize(1);
    return g;
}

class GradientTest : public ::testing::Test {
protected:
    GradientTest() {
        for (int i = 0; i < 6; ++i) {
            Fixture f;
            f.type = "petrel-4";
            f.address = 1 + 10 * i;
            state.show = *addFixture(state.show, f);
        }
    }
    void keep(const Gradient& gradient, const char* name) {
        Palette p;
        p.name = name;
        p.gradient = std::make_shared<const Gradient>(gradient);
        state.show = *addPalette(state.show, p);
    }
    const Palette& palette(const char* name) { return *state.show->paletteNamed(name); }
    PaletteId following(int lamp) {
        const Value v = valueOf(*state.show, *state.hand, {lamp});
        return v.colour ? v.colour->palette() : PaletteId{};
    }
    const Laying* laying(int lamp) {
        const Value v = valueOf(*state.show, *state.hand, {lamp});
        const LayingPtr* l = v.colour ? v.colour->laying() : nullptr;
        return l ? l->get() : nullptr;
    }
    State state = emptyState();
    const Lineup three{{3}, {1}, {2}};
};

TEST_F(GradientTest, WhatIsNoGradientIsToldInOneLine) {
    const auto why = [](const Gradient& g) {
        const auto ok = checkGradient(g);
        return ok ? std::string() : ok.error().text();
    };
    EXPECT_EQ(why(twoStops()), "");
    EXPECT_EQ(why(twoStops("gel:214", "gel:214")), "") << "equal stops are one colour all along";
    Gradient g = twoStops();
    g.stops.pop_back();
    EXPECT_NE(why(g).find("at least two"), std::string::npos);
    g = twoStops();
    g.stops[0].at = 0.8;
    g.stops[1].at = 0.3;
    EXPECT_NE(why(g).find("stop 2 at 0.3: must lie behind the stop at 0.8"), std::string::npos);
    g.stops[1].at = NAN;
    EXPECT_NE(why(g), "");
    g = twoStops();
    g.ways.clear();
    EXPECT_NE(why(g), "");
    g = twoStops();
    g.bright = Bright::Spread;
    EXPECT_NE(why(g).find("intensity"), std::string::npos);
    g.intensities = {{0.2, {}, {}}, {1.5, {}, {}}};
    EXPECT_NE(why(g).find("1.5"), std::string::npos);
    g = twoStops();
    g.arrangement.block = 0;
    EXPECT_NE(why(g), "");
    g = twoStops();
    g.stops.resize(201, stop("gel:214"));
    g.ways.resize(200);
    EXPECT_NE(why(g).find("at most"), std::string::npos);
    EXPECT_FALSE(withGradient(state.hand, three, g));
}

TEST_F(GradientTest, AStopPutInSplitsItsWayAndTakenOutLeavesTheOthers) {
    Gradient g = twoStops();
    g.ways[0].kind = route::Kind::Around;
    EXPECT_EQ(addStop(g, stop("gel:104", 0.4), {0, 1}), 1u);
    ASSERT_EQ(g.ways.size(), 2u);
    EXPECT_EQ(g.ways[0].kind, route::Kind::Around);
    EXPECT_EQ(g.ways[1].kind, route::Kind::Around);
    EXPECT_EQ(test::textOf(g.stops[1].colour), "gel:104");
    g.ways[1].kind = route::Kind::Jump;
    removeStop(g, 1);
    ASSERT_EQ(g.ways.size(), 1u);
    EXPECT_EQ(test::textOf(g.stops[1].colour), "gel:338");
    EXPECT_EQ(g.ways[0].kind, route::Kind::Around) << "the stop before keeps its way";
    EXPECT_EQ(addStop(g, stop("gel:104", 1.0), {0, 0.9}), 2u);
    EXPECT_EQ(addStop(g, stop("gel:104", 0.0), {0.1, 0.5, 1}), 0u);
    EXPECT_TRUE(checkGradient(twoStops()));
}

TEST_F(GradientTest, UsersOfAKeptOneFollowItWhateverItsLineup) {
    keep(twoStops(), "tide");
    state.hand = withPalette(state.hand, three, palette("tide"));
    state.show = *keepHand(state.show, *state.hand);
    state.hand = withPalette(emptyHand(), {{4}, {5}}, palette("tide"));
    EXPECT_EQ(laying(1)->lamps, three) << "in the order of the lineup";
    EXPECT_EQ(laying(5)->lamps, (Lineup{{4}, {5}}));
    EXPECT_EQ(following(1), palette("tide").id);
    const Uses uses = usesOf(state, palette("tide").id);
    EXPECT_EQ(uses.standing.size(), 3u);
    EXPECT_EQ(uses.hand.size(), 2u);
    EXPECT_EQ(gradientOf(*state.show, *laying(1)), palette("tide").gradient.get());
    state = *changeGradient(state, palette("tide").id, twoStops("gel:104", "gel:341"));
    EXPECT_EQ(test::textOf(gradientOf(*state.show, *laying(1))->stops[0].colour), "gel:104");
    EXPECT_EQ(test::textOf(gradientOf(*state.show, *laying(4))->stops[0].colour), "gel:104");
}

TEST_F(GradientTest, WhatIsLaidInHandIsKeptUnderAName) {
    state.hand = *withGradient(state.hand, three, twoStops());
    EXPECT_FALSE(following(1)) << "it follows nothing yet";
    const Value v = valueOf(*state.show, *state.hand, {1});
    state = *keepGradient(state, *v.colour->laying(), "dusk");
    EXPECT_EQ(following(1), palette("dusk").id);
    EXPECT_EQ(laying(1)->lamps, three);
    EXPECT_EQ(laying(1), laying(3)) << "lamps of one laying share it";
    EXPECT_FALSE(keepGradient(state, *v.colour->laying(), "dusk")) << "the name is taken";
    // Changed in hand it is its own, until the kept one becomes that.
    const Gradient changed = twoStops("gel:214", "gel:104");
    state.hand = *withGradient(state.hand, three, changed, palette("dusk").id);
    EXPECT_FALSE(following(1));
    state = *changeGradient(state, palette("dusk").id, changed);
    EXPECT_EQ(following(1), palette("dusk").id);
}

TEST_F(GradientTest, IntensitiesComeAndGoWithTheGradient) {
    keep(twoStops(), "tide");
    state.hand = withIntensity(emptyHand(), three, 0.4);
    state.hand = withPalette(state.hand, three, palette("tide"));
    const auto intensity = [&](int lamp) { return *state.hand->at({lamp})->intensity; };
    EXPECT_EQ(*intensity(1).here(), 0.4) << "untouched";
    Gradient bright = twoStops();
    bright.bright = Bright::Spread;
    bright.intensities = {{0, {}, {}}, {1, {}, {}}};
    state = *changeGradient(state, palette("tide").id, bright);
    EXPECT_EQ(intensity(1).palette(), palette("tide").id) << "followers get them too";
    const Resolve resolve = [](FixtureId, const Value&) {
        Shown now;
        now.intensity = 0.7;
        return now;
    };
    state = *changeGradient(state, palette("tide").id, twoStops(), resolve);
    EXPECT_EQ(*intensity(1).here(), 0.7) << "and stay as they were when it gives none any more";
    EXPECT_EQ(following(1), palette("tide").id);
}

TEST_F(GradientTest, DeletingLeavesWhatTheLampsShow) {
    keep(twoStops(), "tide");
    state.hand = withPalette(emptyHand(), three, palette("tide"));
    const Resolve resolve = [](FixtureId id, const Value&) {
        Shown now;
        now.colour = ColourWish{light::AskedUv{0.2, id.value == 3 ? 0.43 : 0.5}, {}};
        return now;
    };
    const auto id = palette("tide").id;
    Palette locked = palette("tide");
    locked.locked = true;
    const auto refused = changePalette(state.show, locked);
    EXPECT_FALSE(removePalette({*refused, state.hand}, id, resolve));
    EXPECT_FALSE(changeGradient({*refused, state.hand}, id, twoStops("gel:104", "gel:214")));
    // One that was changed since it was kept is its own from then on.
    state.hand = *withGradient(state.hand, {{4}, {5}}, twoStops("gel:104", "gel:214"), id);
    state = *removePalette(state, id, resolve);
    EXPECT_EQ(test::textOf(state.hand->at({3})->colour), "uv:0.2,0.43");
    ASSERT_TRUE(laying(4));
    EXPECT_FALSE(laying(4)->palette);
    EXPECT_EQ(test::textOf(laying(4)->own->stops[0].colour), "gel:104");
}

TEST_F(GradientTest, AStopFollowsAPaletteUntilThatIsDeleted) {
    Palette rose;
    rose.name = "rose";
    rose.colour = ColourWish{light::parseAsked("gel:118").value(), {0.3, 0.4}};
    state.show = *addPalette(state.show, rose);
    const auto id = palette("rose").id;
    Gradient g = twoStops();
    g.stops[1].colour = id;
    keep(g, "tide");
    state.hand = *withGradient(emptyHand(), three, g);
    const Uses uses = usesOf(state, id);
    EXPECT_EQ(uses.gradients, std::vector<PaletteId>{palette("tide").id});
    EXPECT_EQ(uses.hand.size(), 3u);
    EXPECT_FALSE(mergePalettes(state, palette("tide").id, id)) << "one is no gradient";
    state = *removePalette(state, id);
    EXPECT_EQ(test::textOf(palette("tide").gradient->stops[1].colour), "gel:118");
    EXPECT_EQ(palette("tide").gradient->stops[1].uv, (colour::Uv{0.3, 0.4}));
    EXPECT_EQ(test::textOf(laying(1)->own->stops[1].colour), "gel:118");
}

TEST_F(GradientTest, MergingSendsLayingsToTheOther) {
    keep(twoStops(), "a");
    keep(twoStops("gel:104", "gel:214"), "b");
    state.hand = withPalette(emptyHand(), three, palette("a"));
    state = *mergePalettes(state, palette("a").id, palette("b").id);
    EXPECT_EQ(following(2), palette("b").id);
    EXPECT_EQ(laying(2)->lamps, three);
}

TEST_F(GradientTest, FixedValuesEndTheFollowing) {
    state.hand = *withGradient(withIntensity(emptyHand(), three, 0.3), three, twoStops());
    const Resolve resolve = [](FixtureId, const Value&) {
        Shown now;
        now.colour = ColourWish{light::AskedUv{0.25, 0.5}, {}};
        return now;
    };
    state.hand = withFixed(state, three, resolve);
    EXPECT_FALSE(laying(1));
    EXPECT_EQ(test::textOf(state.hand->at({1})->colour), "uv:0.25,0.5");
    EXPECT_EQ(*state.hand->at({1})->intensity->here(), 0.3);
    EXPECT_EQ(withFixed(state, three, resolve), state.hand) << "nothing left to fix";
}

TEST_F(GradientTest, ALampThatLeavesTheRigLeavesItsPlaceEmpty) {
    state.hand = *withGradient(emptyHand(), three, twoStops());
    state = *removeFixtures(state, {{1}});
    EXPECT_FALSE(state.hand->contains({1}));
    EXPECT_EQ(laying(3)->lamps, three) << "the others keep their places";
}

} // namespace
} // namespace zelo::show
