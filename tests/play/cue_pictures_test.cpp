// SPDX-License-Identifier: GPL-3.0-or-later
// What cues and lamps show, as a list draws it and a cue keeps it.
#include "play/cue_pictures.h"

#include "light/levels.h"
#include "play/shipped.h"
#include "play/shown_values.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/kept.h"
#include "show/trims.h"
#include "support/asked.h"
#include "support/cameras.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using show::emptyHand;
using test::wishFor;
using What = Command::What;

class CuePicturesTest : public ::testing::Test {
protected:
    CuePicturesTest() {
        for (int i = 0; i < 3; ++i) {
            show::Fixture f;
            f.type = "gannet-8";
            f.address = 1 + 40 * i;
            show = *show::addFixture(show, f);
        }
        show::CueList list;
        list.name = "main";
        show = *show::addCueList(show, list);
        keep(1000, {{1}, {2}}, "gel:104", 0.5);
        keep(2000, {{2}}, "gel:338", 1);
    }
    void keep(int number, const show::Lineup& lamps, const char* asked, double intensity) {
        show::Cue cue;
        cue.number = {number};
        cue.up_s = cue.down_s = 4;
        show = *show::keepAsCue({show, lit(lamps, asked, intensity)}, lamps, {1}, cue, true);
    }
    static show::HandPtr lit(const show::Lineup& lamps, const char* asked, double intensity) {
        return show::withIntensity(show::withColour(emptyHand(), lamps, wishFor(asked)), lamps,
                                   intensity);
    }
    // At t seconds after these presses.
    Stage at(double t, const std::vector<Command>& presses, const show::HandPtr& hand) {
        compiled_ = std::make_shared<const Compiled>(compiled({show, hand}, shipped, mixes));
        Playing playing(compiled_);
        for (const Command& c : presses)
            playing.apply(c, 0);
        playing.step(t);
        Rounding rounding;
        std::vector<Rest> rests;
        return stageOf(*compiled_, playing.newest(), {}, rounding, rests);
    }
    Shipped shipped;
    Mixes mixes;
    show::ShowPtr show = show::emptyState().show;
    std::shared_ptr<const Compiled> compiled_;
    const show::Lineup all{{1}, {2}, {3}};
};

TEST_F(CuePicturesTest, ShowWhatEachCueStandsFor) {
    const auto made = compiled({show, emptyHand()}, shipped, mixes);
    const auto pictures = cuePictures(made, {1}, all);
    ASSERT_EQ(pictures.size(), 2u);
    EXPECT_EQ(pictures[1][0].intensity, 0.5) << "from the cue before";
    EXPECT_FALSE(pictures[1][0].told);
    EXPECT_TRUE(pictures[1][1].told);
    EXPECT_EQ(pictures[1][2].intensity, 0) << "the list knows nothing of it";
    const auto uv = [](const CueLamp& lamp) { return colour::toUv(lamp.at_full); };
    EXPECT_LT(colour::distance(uv(pictures[0][0]), uv(pictures[1][0])), 1e-9);
    EXPECT_GT(colour::distance(uv(pictures[0][1]), uv(pictures[1][1])), 0.1) << "red, then cyan";
    EXPECT_TRUE(cuePictures(made, {9}, all).empty());
}

// Of cues and of looks: the spectrum of the mix, as the camera shows it.
TEST_F(CuePicturesTest, AreACamerasToo) {
    const auto camera = test::shippedCamera("kittiwake", 3200);
    const auto made = compiled({show, emptyHand()}, shipped, mixes);
    const mix::Mixer& mixer = *made.mixers[0];
    const auto by_hand = [&](const char* asked) {
        const auto wanted = light::wantedOf(test::asked(asked), shipped);
        return camera.shown(light::spectrumOf(mixer.type(), mixer.solve(*wanted, {}).drives));
    };
    const auto pictures = cuePictures(made, {1}, all, &camera);
    const auto eye = cuePictures(made, {1}, all);
    EXPECT_LT(norm(pictures[0][0].at_full - by_hand("gel:104")), 1e-6);
    EXPECT_LT(norm(pictures[1][1].at_full - by_hand("gel:338")), 1e-6);
    EXPECT_GT(
        colour::distance(colour::toUv(pictures[1][1].at_full), colour::toUv(eye[1][1].at_full)),
        0.003);
    EXPECT_EQ(pictures[1][1].intensity, eye[1][1].intensity);
}

// Whatever a lamp's light comes from: a cue of it plays the same again.
TEST_F(CuePicturesTest, WhatLampsShowIsKeptWithItsLinks) {
    show = *show::keepPalette(show, *lit({{3}}, "gel:214", 1), {{3}}, show::KeepWhat::Colour,
                              "straw", {});
    const auto* straw = show->palette({show->last_palette_id});
    const auto hand =
        show::withIntensity(show::withPalette(emptyHand(), {{3}}, *straw), {{3}}, 0.7);
    const Stage stage = at(10, {{What::Next}, {What::Next}}, hand);
    ASSERT_EQ(stage.list({1})->cue, show::CueNumber{2000});
    EXPECT_FALSE(stage.list({1})->fades());
    const auto shown = shownValues(stage, all);
    ASSERT_EQ(shown.size(), 3u);
    const auto& first = show->cue_lists.find({1})->cues.find({1000})->values;
    EXPECT_EQ(shown.find({1})->colour, first.find({1})->colour) << "as the cue before said it";
    EXPECT_EQ(shown.find({1})->intensity, first.find({1})->intensity);
    EXPECT_EQ(shown.find({2})->colour,
              show->cue_lists.find({1})->cues.find({2000})->values.find({2})->colour);
    EXPECT_EQ(shown.find({3})->colour, hand->find({3})->colour) << "with its palette";
    // Kept as a cue over everything, it is the same light.
    show::Cue cue;
    cue.number = {3000};
    show = *show::keepAsCue(show, shown, all, {1}, cue, false);
    const Stage again = at(30, {{What::Jump, 0, 3}}, emptyHand());
    for (std::size_t i = 0; i < 3; ++i)
        EXPECT_EQ(again.lamps[i].sent.values, stage.lamps[i].sent.values) << i;
}

// Halfway a fade goes to its end; what is trimmed keeps the light, not the trim.
TEST_F(CuePicturesTest, WhatFadesIsKeptAsItWillBe) {
    const Stage stage = at(2, {{What::Next}}, emptyHand());
    ASSERT_TRUE(stage.lamp({1})->moving);
    EXPECT_TRUE(stage.list({1})->fades());
    EXPECT_NEAR(stage.list({1})->since_s, 2, 1e-9);
    EXPECT_LT(stage.lamp({1})->intensity, 0.4);
    const auto faded = shownValues(stage, {{1}});
    EXPECT_EQ(*faded.find({1})->intensity, show::Source<double>(0.5));
    const auto trims =
        show::brighterBy({show, emptyHand()}, {{1}}, 0.5, [](show::FixtureId) { return true; });
    const Stage trimmed = at(9, {{What::Next}}, trims);
    const auto shown = shownValues(trimmed, {{1}});
    const auto* value = shown.find({1});
    ASSERT_TRUE(value);
    EXPECT_NEAR(trimmed.lamp({1})->intensity, 0.25, 1e-9);
    EXPECT_EQ(*value->intensity, show::Source<double>(0.5)) << "as the cue says";
    EXPECT_EQ(value->trim, 0.5);
}

// "Red up, green up: yellow", with nothing prepared.
TEST_F(CuePicturesTest, FamiliesOfEmittersAddUp) {
    show = *show::addGroup(show, "two", {{1}, {2}});
    show::Fader warm{{{}, "Warm"}, {}, {1}, {}, show::Family::Warm};
    show = *show::addFader(show, warm);
    show::Fader green{{{}, "Green"}, {}, {1}, {}, show::Family::Green};
    show = *show::addFader(show, green);
    show::Fader level{{{}, "level"}, {}, {1}};
    show = *show::addFader(show, level);
    const auto fader = [](std::uint32_t which, double to) {
        return Command{What::Fader, which, to, {}};
    };
    const colour::Uv white{0.22, 0.5};
    const auto hue = [&](const Stage& stage, int lamp) {
        return std::string(route::hueWord(colour::toUv(stage.lamp({lamp})->sent.xyz), white));
    };
    const Stage red = at(1, {fader(0, 1)}, emptyHand());
    EXPECT_TRUE(hue(red, 1) == "red" || hue(red, 1) == "orange") << hue(red, 1);
    EXPECT_EQ(red.lamp({3})->intensity, 0) << "not of the group";
    EXPECT_EQ(hue(at(1, {fader(1, 1)}, emptyHand()), 1), "green");
    const Stage both = at(1, {fader(0, 1), fader(1, 1)}, emptyHand());
    EXPECT_EQ(hue(both, 1), "yellow");
    EXPECT_GT(both.lamp({1})->sent.xyz.Y, red.lamp({1})->sent.xyz.Y);
    // The group's intensity lifts what is there and leaves its colour.
    const Stage cue = at(9, {{What::Next}}, emptyHand());
    const Stage lifted = at(9, {{What::Next}, fader(2, 0.9)}, emptyHand());
    EXPECT_NEAR(cue.lamp({1})->intensity, 0.5, 1e-9);
    EXPECT_NEAR(lifted.lamp({1})->intensity, 0.9, 1e-9);
    EXPECT_LT(colour::distance(colour::toUv(cue.lamp({1})->sent.xyz),
                               colour::toUv(lifted.lamp({1})->sent.xyz)),
              0.002);
    // Emitters of every shipped type belong where they look like it.
    EXPECT_EQ(familyOf({0.5, 0.52}, white), show::Family::Warm);
    EXPECT_EQ(familyOf({0.1, 0.57}, white), show::Family::Green);
    EXPECT_EQ(familyOf({0.16, 0.1}, white), show::Family::Blue);
    EXPECT_FALSE(familyOf({0.25, 0.52}, white)) << "a warm white";
}

// A nudged and trimmed colour in a cue stays what it is: in what the list stands for, and kept
// anew.
TEST_F(CuePicturesTest, NudgesAndTrimsOfACueGoAlong) {
    show::Cue cue;
    cue.number = {3000};
    auto value = *lit({{1}}, "gel:214", 0.8)->find({1});
    value.nudge = {0.02, 0.01};
    value.trim = 0.5;
    cue.values = cue.values.with({1}, value);
    show = *show::keepCue(show, {1}, cue);
    const auto stands = show::standsFor(*show->cue_lists.find({1}), {3000});
    EXPECT_EQ(stands.find({1})->nudge, value.nudge);
    EXPECT_EQ(stands.find({1})->trim, 0.5);
    const Stage played = at(9, {{What::Jump, 0, 3}}, emptyHand());
    EXPECT_NEAR(played.lamp({1})->intensity, 0.4, 1e-9);
    // Shown at rest, as in rehearsal, and kept once more: the same light.
    const Stage rest =
        computeStage({show, std::make_shared<const show::Values>(stands)}, {}, shipped, mixes);
    EXPECT_EQ(rest.lamps[0].sent.values, played.lamps[0].sent.values);
    cue.number = {4000};
    show = *show::keepAsCue(show, shownValues(played, {{1}}), {{1}}, {1}, cue, false);
    EXPECT_EQ(at(9, {{What::Jump, 0, 4}}, emptyHand()).lamps[0].sent.values,
              played.lamps[0].sent.values);
    // A nudge in hand of what lies below is none of the cue's colour.
    auto nudge = std::make_shared<show::Values>();
    show::Value alone;
    alone.nudge = {0.05, 0};
    const auto hand = std::make_shared<const show::Values>(nudge->with({1}, alone));
    const auto kept = shownValues(at(9, {{What::Jump, 0, 3}}, hand), {{1}});
    EXPECT_EQ(kept.find({1})->nudge, value.nudge);
}

} // namespace
} // namespace zelo::play
