// SPDX-License-Identifier: GPL-3.0-or-later
// Ripples at play: over lists and faders, started and let go, changed while they run.
#include "colour/cct.h"
#include "play/light_check.h"
#include "play/ripples.h"
#include "play/stage.h"
#include "route/way.h"
#include "show/holders.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using colour::Uv;
using test::wishFor;
using What = Command::What;

class RippleTest : public Ripples {};

TEST_F(RippleTest, ItRunsOverWhatLiesBelowAndIsLetGo) {
    auto r = ripple({kOrange, kBlue});
    r.after_s = 0.5;
    r.release_s = 2;
    add(r);
    put();
    const Uv below = uv(0);
    press(What::RippleStart, 1);
    EXPECT_LT(off(uv(1), asked(kOrange)), 1e-3);
    EXPECT_LT(off(uv(2.3), asked(kBlue)), 1e-3) << "the second step";
    EXPECT_LT(off(uv(2.3, 2), asked(kOrange)), 1e-3) << "the third lamp a second later";
    EXPECT_EQ(intensity(2.3), 0.8) << "colour alone";
    EXPECT_EQ(playing->newest().colour[0].layer, Engine::From::Layer::Ripple);
    EXPECT_TRUE(playing->newest().runs);
    press(What::RippleLetGo, 5);
    const Uv half = uv(6);
    EXPECT_GT(off(half, below), 0.001);
    EXPECT_LT(off(uv(7.01), below), 1e-9);
    EXPECT_FALSE(playing->newest().runs);
}

TEST_F(RippleTest, ChasingColoursDoNotTurnWhiteOnTheWay) {
    auto r = ripple({"xy:0.62,0.33", "xy:0.18,0.33"});
    for (auto& step : r.steps)
        step.change = 1;
    add(r);
    put();
    press(What::RippleStart, 0);
    std::vector<Uv> seen;
    for (double t = 0; t <= 2; t += 0.02)
        seen.push_back(uv(t));
    const auto disc = *route::Disc::of(compiled_->mixers[0]->hull(), colour::planckianUv({4300}));
    EXPECT_LT(route::whiteDip(disc, seen), 0.35) << "as needed: around";
    r.way = route::StopWay{};
    r.way->kind = route::Kind::Levels;
    r.id = {1};
    show = *show::changeRipple(show, r);
    playing.reset();
    put();
    press(What::RippleStart, 0);
    seen.clear();
    for (double t = 0; t <= 2; t += 0.02)
        seen.push_back(uv(t));
    EXPECT_GT(route::whiteDip(disc, seen), 0.6) << "as levels alone go";
}

TEST_F(RippleTest, FreezeHoldsAndGoesOn) {
    add(ripple({kOrange, kBlue}));
    put();
    press(What::RippleStart, 0);
    const Uv at = uv(0.9);
    press(What::RippleFreeze, 0.9);
    EXPECT_LT(off(uv(50), at), 1e-12);
    EXPECT_FALSE(playing->newest().runs);
    press(What::RippleFreeze, 50);
    EXPECT_LT(off(uv(50.6), asked(kBlue)), 0.05) << "half a second on, not fifty";
}

TEST_F(RippleTest, WhatChangesWhileItRunsDoesNotJump) {
    show = *show::keepPalette(show, *show::withColour(hand, {{1}}, wishFor(kOrange)), {{1}},
                              show::KeepWhat::Colour, "ember");
    auto r = ripple({kOrange, kBlue});
    r.steps[0].colour = show::PaletteId{1};
    add(r);
    put();
    press(What::RippleStart, 0);
    const Uv before = uv(0.3);
    show::Palette ember = *show->palette({1});
    ember.colour = wishFor("xy:0.3,0.55");
    show = *show::changePalette(show, ember);
    put(0.3);
    EXPECT_LT(off(uv(0.3), before), 1e-6) << "at the moment of the change";
    EXPECT_LT(off(uv(2.2), asked("xy:0.3,0.55")), 2e-3) << "a turn later it is there";
    // Twice as slow: the colour that is shown stays.
    const Uv here = uv(2.75);
    r = *show->ripples.find({1});
    for (auto& step : r.steps)
        step.time_s = 2;
    show = *show::changeRipple(show, r);
    put(2.75);
    EXPECT_LT(off(uv(2.75), here), 1e-6);
    EXPECT_NEAR(playing->newest().ripples[0].time_s, 5.5, 1e-9) << "as far in its turn";
}

TEST_F(RippleTest, FadersAndCuesPlayThem) {
    add(ripple({kOrange, kBlue}));
    show::Fader fader;
    fader.name = "tide";
    fader.ripple = {1};
    show = *show::addFader(show, fader);
    EXPECT_FALSE(show::removeRipple(show, {1})) << "a fader plays it";
    show::Cue start, stop;
    start.number = {1000};
    start.ripples = {{{1}, show::RippleDoes::Start}};
    stop.number = {2000};
    stop.ripples = {{{1}, show::RippleDoes::LetGo}};
    show = *show::keepCue(*show::keepCue(show, {1}, start), {1}, stop);
    put();
    const Uv below = uv(0);
    press(What::Fader, 0, 0, 0.5);
    const Uv half = uv(0.1);
    EXPECT_GT(off(half, below), 0.01);
    EXPECT_GT(off(half, asked(kOrange)), 0.01) << "as far as the fader is up";
    press(What::Fader, 1, 0, 1);
    EXPECT_LT(off(uv(2.1), asked(kOrange)), 1e-3);
    press(What::Fader, 3, 0, 0);
    EXPECT_LT(off(uv(3), below), 1e-9);
    press(What::Next, 4);
    EXPECT_LT(off(uv(4.1), asked(kOrange)), 1e-3) << "the cue starts it";
    press(What::Next, 6);
    EXPECT_LT(off(uv(7.1), below), 1e-9) << "and lets it go";
    press(What::Jump, 8, 0, 1);
    EXPECT_TRUE(playing->newest().ripples[0].runs ||
                (playing->step(8), playing->newest().ripples[0].runs));
}

TEST_F(RippleTest, WithItsFaderTakenAwayItIsLetGo) {
    auto r = ripple({kOrange, kBlue});
    r.release_s = 2;
    add(r);
    show::Fader fader;
    fader.name = "tide";
    fader.ripple = {1};
    show = *show::addFader(show, fader);
    put();
    const Uv below = uv(0);
    press(What::Fader, 0, 0, 1);
    press(What::RippleFreeze, 0);
    const double up = off(uv(0.1), below);
    EXPECT_GT(up, 0.05);
    show = *show::removeFader(show, {1});
    put(0.1);
    EXPECT_NEAR(off(uv(0.1), below), up, 1e-9) << "no jump";
    const double half = off(uv(1.1), below);
    EXPECT_GT(half, 0.1 * up);
    EXPECT_LT(half, 0.9 * up);
    EXPECT_LT(off(uv(2.2), below), 1e-9);
    EXPECT_FALSE(playing->newest().ripples[0].runs);
    press(What::RippleStart, 3);
    EXPECT_NEAR(off(uv(3), below), up, 1e-9) << "started again, at full";
}

TEST_F(RippleTest, IntensityOnlyWhereItIsGiven) {
    auto r = ripple({kOrange, kBlue});
    r.steps[0].intensity = 1;
    r.steps[1].intensity = 0.2;
    add(r);
    put();
    press(What::RippleStart, 0);
    EXPECT_NEAR(intensity(0.1), 1, 1e-12);
    EXPECT_NEAR(intensity(1.1), 0.2, 1e-12);
    hand = show::withIntensity(hand, {{1}}, 0.5);
    put(1.2);
    EXPECT_NEAR(intensity(1.2), 0.5, 1e-12) << "the hand is over it";
}

TEST_F(RippleTest, TheLightCheckNamesIt) {
    add(ripple({kOrange, kBlue}));
    put();
    press(What::RippleStart, 0);
    playing->step(0.5);
    Rounding rounding;
    std::vector<Rest> rests;
    const auto stage = stageOf(*compiled_, playing->newest(), {}, rounding, rests);
    const auto links = *lightCheck(stage, {1}, [](const show::Fixture&) { return 10; }, {});
    EXPECT_TRUE(std::any_of(links.begin(), links.end(), [](const CheckLink& link) {
        return link.words.english().find("ripple 'tide'") != std::string::npos;
    }));
    EXPECT_TRUE(stage.ripple({1})->runs);
}

TEST_F(RippleTest, WhatIsGoneIsLeftOut) {
    auto r = ripple({kOrange, kBlue});
    add(r);
    show::Cue cue;
    cue.ripples = {{{1}, show::RippleDoes::Start}};
    show = *show::keepCue(show, {1}, cue);
    const auto less = *show::removeFixtures({show, hand}, {{2}});
    EXPECT_EQ(show::pruned(less).show->ripples.find({1})->lamps.size(), 3u);
    show = *show::removeRipple(show, {1});
    const auto sound = show::pruned({show, hand});
    EXPECT_TRUE(sound.show->cue_lists.find({1})->cues.find({1000})->ripples.empty());
    r.lamps.clear();
    r.name = "none";
    add(r);
    put();
    press(What::RippleStart, 0);
    EXPECT_EQ(intensity(1), 0.8) << "a ripple of no lamp moves none";
    r.steps.pop_back();
    EXPECT_FALSE(show::addRipple(show, r)) << "one step is none";
}

} // namespace
} // namespace zelo::play
