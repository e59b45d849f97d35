// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/stage.h"
#include "play/types.h"
#include "show/edits.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using test::wishFor;

class StageTest : public ::testing::Test {
protected:
    StageTest() {
        add("eight", 1, 1);
        add("bar", 1, 101);
        add("ghost", 1, 200);
        add("bar", 2, 511); // runs past the end
    }
    void add(const char* type, std::uint16_t universe, int address) {
        show::Fixture f;
        f.type = type;
        f.universe = universe;
        f.address = address;
        show = *show::addFixture(show, f);
    }
    Stage stage(Controls controls = {}) {
        return computeStage({show, hand}, controls, types, mixes);
    }

    Types types;
    Mixes mixes;
    show::ShowPtr show = std::make_shared<const show::Show>();
    show::HandPtr hand = show::emptyHand();
    const show::Lineup all{{1}, {2}, {3}, {4}};
};

TEST_F(StageTest, EveryDarkLampSaysWhy) {
    EXPECT_EQ(stage().lamp({1})->dark, DarkWhy::NoIntensity);
    hand = show::withIntensity(hand, all, 0);
    EXPECT_EQ(stage().lamp({1})->dark, DarkWhy::Intensity);
    hand = show::withIntensity(hand, all, 1);
    EXPECT_EQ(stage().lamp({1})->dark, DarkWhy::None) << "no colour asked for: emitters at home";
    EXPECT_GT(stage().lamp({1})->sent.xyz.Y, 0);
    EXPECT_EQ(stage({0, false}).lamp({1})->dark, DarkWhy::Master);
    EXPECT_EQ(stage({0, true}).lamp({1})->dark, DarkWhy::Blackout);
    EXPECT_EQ(stage().lamp({3})->dark, DarkWhy::NoType);
    EXPECT_EQ(stage().lamp({4})->dark, DarkWhy::PastEnd);
    hand = show::withParts(hand, {{1}}, show::partLevels(*types.eight, light::Drives(8, 0)));
    EXPECT_EQ(stage().lamp({1})->dark, DarkWhy::Emitters);
    EXPECT_EQ(stage().lamp({9}), nullptr);
    for (int why = 1; why <= static_cast<int>(DarkWhy::Emitters); ++why)
        EXPECT_STRNE(words(static_cast<DarkWhy>(why)), "");
}

TEST_F(StageTest, HouseLightIsLeftAloneByMasterAndDark) {
    auto house = *show->fixture({1});
    house.exempt = true;
    show = *show::changeFixture(show, house);
    hand = show::withIntensity(hand, all, 0.5);
    const auto lit = stage();
    for (const Controls& controls : {Controls{0.2, false}, Controls{1, true}}) {
        EXPECT_EQ(stage(controls).lamp({1})->sent.values, lit.lamp({1})->sent.values);
        EXPECT_EQ(stage(controls).lamp({1})->dark, DarkWhy::None);
        EXPECT_LT(stage(controls).lamp({2})->sent.xyz.Y, lit.lamp({2})->sent.xyz.Y);
    }
}

TEST_F(StageTest, EachTypeGetsItsOwnMixOfOneColour) {
    hand = show::withIntensity(show::withColour(hand, all, wishFor("cct:3200")), all, 1);
    const auto s = stage();
    const auto want = s.lamp({1})->colour->wanted.uv();
    EXPECT_LT(colour::distance(colour::toUv(s.lamp({1})->sent.xyz), want), 1e-4);
    EXPECT_LT(colour::distance(colour::toUv(s.lamp({2})->sent.xyz), want), 3e-3);
    EXPECT_NE(s.lamp({1})->drives.size(), s.lamp({2})->drives.size());
}

TEST_F(StageTest, TheVirtualDimmerAndTheMasterScaleTheLight) {
    hand = show::withIntensity(show::withColour(hand, all, wishFor("cct:4000")), all, 1);
    const double full = stage().lamp({2})->sent.xyz.Y;
    EXPECT_NEAR(stage({0.5, false}).lamp({2})->sent.xyz.Y / full, 0.5, 0.06);
    const double eight = stage().lamp({1})->sent.xyz.Y;
    EXPECT_NEAR(stage({0.5, false}).lamp({1})->sent.xyz.Y / eight, 0.5, 1e-3);
}

TEST_F(StageTest, AColourThatIsNotToBeHadFallsBackToWhatItWas) {
    const colour::Uv was{0.26, 0.52};
    hand = show::withColour(hand, {{1}}, wishFor("gel:lost", was));
    const auto s = stage();
    const auto& mixed = *s.lamp({1})->colour;
    EXPECT_NE(mixed.trouble.english().find("no gel lost"), std::string::npos);
    EXPECT_LT(colour::distance(mixed.wanted.uv(), was), 1e-12);
}

TEST_F(StageTest, KeepOutsByNameMissingOnATypeArePassedOver) {
    show::ColourWish wish = wishFor("cct:3200");
    wish.keep_out = {"E4", "E9"};
    wish.pins = {{"E1", 0.2}};
    hand = show::withColour(hand, {{1}, {2}}, wish);
    const auto s = stage();
    EXPECT_EQ(s.lamp({1})->drives[3], 0);
    EXPECT_EQ(s.lamp({1})->drives[0], 0.2);
    EXPECT_EQ(s.lamp({2})->drives[0], 0.2);
}

TEST_F(StageTest, FramesHoldEveryFixtureAtItsAddress) {
    hand = show::withIntensity(hand, all, 1);
    const auto s = stage();
    Playing playing(std::make_shared<const Compiled>(compiled({show, hand}, types, mixes)));
    playing.step(0);
    Rounding rounding;
    std::vector<Rest> rests;
    stageOf(*playing.compiled(), playing.newest(), {}, rounding, rests);
    playing.rest(rests);
    playing.step(1);
    const light::Frame& frame = playing.frame();
    ASSERT_EQ(frame.universes.size(), 1u) << "what does not fit is not sent";
    const auto& values = frame.universes[0].values;
    const auto& mode = s.lamp({1})->mixer->mode();
    EXPECT_EQ(light::readSlots(mode, values), s.lamp({1})->sent.values);
    EXPECT_EQ(values[100], s.lamp({2})->sent.values[0]);
    EXPECT_EQ(values[99], 0);
}

TEST_F(StageTest, TheSameWishIsSolvedOnce) {
    const auto mixer = mixes.mixer(types, "eight", "");
    const auto a = mixes.mixed(types, mixer, wishFor("cct:3200"));
    EXPECT_EQ(a, mixes.mixed(types, mixer, wishFor("cct:3200")));
    show::ColourWish other = wishFor("cct:3200");
    other.give_up = 0.1;
    EXPECT_NE(a, mixes.mixed(types, mixer, other));
    EXPECT_EQ(mixes.mixer(types, "none", ""), nullptr);
    EXPECT_EQ(mixes.mixer(types, "eight", "no such mode"), nullptr);
}

} // namespace
} // namespace zelo::play
