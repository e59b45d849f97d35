// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/trims.h"

#include "show/kept.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::show {
namespace {

class TrimsTest : public ::testing::Test {
protected:
    TrimsTest() {
        for (int i = 0; i < 3; ++i) {
            Fixture f;
            f.type = "bar";
            f.address = 1 + 10 * i;
            state.show = *addFixture(state.show, f);
        }
        Palette warm;
        warm.name = "warm";
        warm.intensity = 0.6;
        warm.colour = test::wishFor("xy:0.45,0.41");
        warm.colour->uv = {0.25, 0.52};
        state.show = *addPalette(state.show, warm);
        state.show = *keepHand(state.show, *withPalette(emptyHand(), {{1}}, *palette()));
        state.show = *keepHand(state.show, *withIntensity(emptyHand(), {{2}}, 0.4));
    }
    const Palette* palette() { return state.show->paletteNamed("warm"); }
    double level(int id) {
        return shownValue(*state.show, *state.hand, {id}).trimmed().value_or(-1);
    }
    State state = emptyState();
    const Lineup all{{1}, {2}, {3}};
};

TEST_F(TrimsTest, OverWhatIsKeptThePaletteIsFollowedOn) {
    state.hand = brighterBy(state, all, 0.5);
    EXPECT_DOUBLE_EQ(level(1), 0.3);
    EXPECT_DOUBLE_EQ(level(2), 0.2);
    EXPECT_EQ(level(3), -1) << "no intensity, nothing to trim";
    EXPECT_FALSE(state.hand->contains({3}));
    Palette brighter = *palette();
    brighter.intensity = 0.8;
    state.show = *changePalette(state.show, brighter);
    EXPECT_DOUBLE_EQ(level(1), 0.4) << "the trim is a ratio of what the palette says now";
    state.show = *keepHand(state.show, *state.hand);
    state.hand = emptyHand();
    EXPECT_DOUBLE_EQ(level(1), 0.4);
    EXPECT_EQ(state.show->standing.find({1})->intensity->palette(), palette()->id);
    EXPECT_EQ(*state.show->standing.find({2})->intensity->here(), 0.2) << "a plain number";
    EXPECT_FALSE(trimmed(*state.show->standing.find({2})));
    state = withoutTrims(state, all);
    EXPECT_DOUBLE_EQ(level(1), 0.8) << "also one that was kept is let go";
}

TEST_F(TrimsTest, NumbersInHandChangeThemselves) {
    state.hand = withIntensity(state.hand, {{2}}, 0.5);
    state.hand = brighterBy(state, {{2}}, 1.2);
    EXPECT_DOUBLE_EQ(*state.hand->find({2})->intensity->here(), 0.6);
    EXPECT_FALSE(trimmed(*state.hand->find({2})));
    state.hand = brighterBy(state, {{2}}, 100);
    EXPECT_EQ(level(2), 1);
    // A new value by hand is what it says, whatever was trimmed before.
    state.hand = brighterBy(state, {{1}}, 0.1);
    state.hand = withIntensity(state.hand, {{1}}, 0.7);
    EXPECT_EQ(level(1), 0.7);
    state.hand = nudgedBy(state, {{1}}, [](FixtureId) { return colour::Uv{0.01, 0}; });
    state.hand = withColour(state.hand, {{1}}, test::wishFor("xy:0.3,0.3"));
    EXPECT_EQ(shownValue(*state.show, *state.hand, {1}).nudge, (colour::Uv{0, 0}));
}

TEST_F(TrimsTest, ANudgedColourKeptAsPaletteIsWhatIsSeen) {
    state.hand = nudgedBy(state, all, [](FixtureId) { return colour::Uv{0.01, -0.02}; });
    EXPECT_TRUE(state.hand->contains({1}));
    EXPECT_FALSE(state.hand->contains({2})) << "no colour, nothing to nudge";
    const auto uv = palette()->colour->uv;
    state.show = *keepPalette(state.show, *state.hand, {{1}}, KeepWhat::Both, "nudged");
    const Palette* kept = state.show->paletteNamed("nudged");
    EXPECT_NEAR(kept->colour->uv.u, uv.u + 0.01, 1e-12);
    EXPECT_NEAR(kept->colour->uv.v, uv.v - 0.02, 1e-12);
    EXPECT_TRUE(std::holds_alternative<light::AskedUv>(kept->colour->asked));
}

} // namespace
} // namespace zelo::show
