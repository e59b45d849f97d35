// SPDX-License-Identifier: GPL-3.0-or-later
// The fades that go wrong on a stage, as a programmer meets them, and what cures them.
#include "colour/cct.h"
#include "route/fade_check.h"
#include "support/test_types.h"

#include <gtest/gtest.h>

namespace zelo::route {
namespace {

class FadeCheckTest : public ::testing::Test {
protected:
    static mix::Mixer mixerOf(bool square) {
        auto type = test::typeOf(test::kFour, 1, true, square);
        return {type, type->modes[0]};
    }
    light::Drives mixOf(const colour::Uv& uv) const {
        return mixer.solve(test::wantedXyz(colour::toXyz(uv)), {}).drives;
    }
    std::vector<FadeFault> check(const FadeSetup& s) const { return checkFade(mixer, s, white); }
    std::vector<Cure> cures(const FadeSetup& s) const { return curesFor(mixer, s, white); }

    mix::Mixer mixer = mixerOf(false);
    const colour::Uv white = colour::planckianUv({5000});
    const light::Drives home{4, 1.0}; // emitters at full, intensity at zero: what fixtures rest at
    const light::Drives red = mixOf({0.45, 0.52});
    const light::Drives cyan = mixOf({0.12, 0.44});
    const light::Drives orange = mixOf({0.33, 0.54});
};

TEST_F(FadeCheckTest, AFadeUpFromHomeShowsPastelFirst) {
    const FadeSetup s{{home, 0}, {red, 1}, {}};
    const auto faults = check(s);
    ASSERT_EQ(faults.size(), 1u);
    EXPECT_EQ(faults[0].kind, Fault::FromDark);
    EXPECT_GT(faults[0].worst, 0.1) << "near white";
    EXPECT_LT(faults[0].from_s, 0.5) << "the first light that shows";
    EXPECT_GT(faults[0].lasts_s, 2);
    EXPECT_EQ(cures(s),
              (std::vector<Cure>{Cure::ColourInDark, Cure::ColourInZeroTime, Cure::HomeAtZero}));
}

TEST_F(FadeCheckTest, AFadeOutThatLosesItsColourIsToldToo) {
    FadeSetup s{{red, 1}, {home, 0}, {}};
    const auto faults = check(s);
    ASSERT_EQ(faults.size(), 1u);
    EXPECT_EQ(faults[0].kind, Fault::ToDark);
    EXPECT_EQ(cures(s).size(), 3u);
    s.after.drives = red;
    EXPECT_TRUE(check(s).empty());
}

TEST_F(FadeCheckTest, AShortFadeAfterALongDelayIsLookedAtAsWell) {
    FadeSetup s{{red, 1}, {cyan, 1}, {}};
    s.times = {0.3, 0.3, 100, 0.3, 100};
    const auto faults = check(s);
    ASSERT_FALSE(faults.empty());
    EXPECT_EQ(faults[0].kind, Fault::WhiteDip);
    EXPECT_GT(faults[0].from_s, 100);
    EXPECT_LT(faults[0].from_s, 100.3);
    const double worst = faults[0].worst;
    s.times = {0.3, 0.3, 0, 0.3, 0};
    EXPECT_NEAR(check(s)[0].worst, worst, 0.01) << "the delay has nothing to do with it";
    // The colour changes at once while the light comes slowly, and much later.
    s = {{home, 0}, {red, 1}, {}};
    s.times = {5, 5, 0, 0, 3600};
    ASSERT_EQ(check(s).size(), 1u) << "an hour of the wrong colour";
    EXPECT_GT(check(s)[0].lasts_s, 3500);
}

TEST_F(FadeCheckTest, HomeAtZeroKeepsTheColourWithACurvedResponseToo) {
    mixer = mixerOf(true);
    const FadeSetup s{{light::Drives(4, 0.0), 0}, {red, 1}, {}};
    EXPECT_TRUE(check(s).empty());
}

TEST_F(FadeCheckTest, ComplementsMeetAtWhite) {
    const FadeSetup s{{red, 1}, {cyan, 1}, {}};
    const auto faults = check(s);
    ASSERT_FALSE(faults.empty());
    EXPECT_EQ(faults[0].kind, Fault::WhiteDip);
    EXPECT_GT(faults[0].worst, 0.8);
    EXPECT_GT(faults[0].from_s, 0.2);
    EXPECT_LT(faults[0].from_s + faults[0].lasts_s, 5.0);
    EXPECT_EQ(cures(s), (std::vector<Cure>{Cure::OtherRoute}));
    const auto cured = withCure(s, Cure::OtherRoute);
    ASSERT_TRUE(cured);
    EXPECT_EQ(cured->route, Kind::Around);
}

TEST_F(FadeCheckTest, WhatIsRightIsNotFlagged) {
    EXPECT_TRUE(check({{red, 1}, {red, 0.3}, {}}).empty()) << "only the intensity";
    EXPECT_TRUE(check({{red, 1}, {orange, 1}, {}}).empty()) << "neighbours";
    EXPECT_TRUE(check({{home, 0}, {red, 0}, {}}).empty()) << "all in the dark";
    EXPECT_TRUE(check({{home, 1}, {home, 0}, {}}).empty()) << "white stays white";
    EXPECT_TRUE(check({{light::Drives(4, 0.0), 1}, {red, 1}, {}}).empty())
        << "intensity up but emitters at zero is dark as well";
}

TEST_F(FadeCheckTest, TimesDecideWhatShows) {
    FadeSetup s{{home, 0}, {red, 1}, {}};
    s.times.colour_s = 0; // the colour is there before the light
    EXPECT_TRUE(check(s).empty());
    s.times.colour_delay_s = 2; // but not when it waits
    EXPECT_FALSE(check(s).empty());
    s.times.delay_s = 2; // unless the light waits as long
    EXPECT_TRUE(check(s).empty());
    s.times = {0, 0, 0, 0, 0};
    EXPECT_TRUE(check(s).empty()) << "all at once";
}

TEST_F(FadeCheckTest, CuresApplyOnlyWhereTheyCan) {
    const FadeSetup lit_ends{{red, 1}, {cyan, 1}, {}};
    for (const auto c : {Cure::ColourInDark, Cure::ColourInZeroTime, Cure::HomeAtZero})
        EXPECT_FALSE(withCure(lit_ends, c));
    EXPECT_FALSE(withCure({{home, 0}, {red, 1}, {}}, Cure::OtherRoute));
    EXPECT_FALSE(withCure({{home, 0}, {red, 0}, {}}, Cure::ColourInDark));
}

} // namespace
} // namespace zelo::route
