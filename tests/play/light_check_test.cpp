// SPDX-License-Identifier: GPL-3.0-or-later
// Why is it dark? Every link of the chain, as it is told.
#include "play/light_check.h"
#include "play/types.h"
#include "show/cue_edits.h"
#include "show/kept.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using test::wishFor;

using State = CheckLink::State;

class LightCheck : public ::testing::Test {
protected:
    LightCheck() {
        add("bar", 1, 1);
        add("bar", 1, 10);
        hand = show::withIntensity(show::withColour(hand, {{1}}, wishFor("cct:4000")), {{1}}, 0.5);
    }
    void add(const char* type, std::uint16_t universe, int address) {
        show::Fixture f;
        f.number = show->last_fixture_id + 101;
        f.type = type;
        f.universe = universe;
        f.address = address;
        show = *show::addFixture(show, f);
    }
    std::vector<CheckLink> links(int id = 1) {
        return *lightCheck(
            computeStage({show, hand}, controls, types, mixes), {id},
            [](const show::Fixture& f) { return f.type == "bar" ? 3 : 0; }, output);
    }
    CheckLink link(const char* what, int id = 1) {
        for (const auto& l : links(id))
            if (l.what.english() == what)
                return l;
        ADD_FAILURE() << "no link " << what;
        return {};
    }
    void stops(const char* what, const char* words, int id = 1) {
        const auto l = link(what, id);
        EXPECT_EQ(l.state, State::Stops) << what;
        EXPECT_NE(l.words.english().find(words), std::string::npos) << l.words.english();
        EXPECT_EQ(verdict(links(id)).english().rfind("No light. ", 0), 0u);
    }
    void minds(const char* what, const char* words, int id = 1) {
        const auto l = link(what, id);
        EXPECT_EQ(l.state, State::Mind) << what;
        EXPECT_NE(l.words.english().find(words), std::string::npos) << l.words.english();
    }

    Types types;
    Mixes mixes;
    show::ShowPtr show = std::make_shared<const show::Show>();
    show::HandPtr hand = show::emptyHand();
    Controls controls;
    OutputState output;
};

TEST_F(LightCheck, AllIsWell) {
    for (const auto& l : links())
        EXPECT_EQ(l.state, State::Good) << l.what << ": " << l.words;
    EXPECT_EQ(verdict(links()).english(), "It shines, as asked for.");
    EXPECT_EQ(link("Intensity").words.english(), "50 %, held in hand");
    EXPECT_EQ(link("Patch").words.english(), "universe 1, slots 1 to 3");
    EXPECT_FALSE(lightCheck(
        computeStage({show, hand}, controls, types, mixes), {9},
        [](const show::Fixture&) { return 3; }, output));
}

TEST_F(LightCheck, Intensity) {
    stops("Intensity", "not set", 2);
    hand = show::withIntensity(hand, {{1}}, 0);
    stops("Intensity", "0 %, held in hand");
    show::Palette off;
    off.name = "off";
    off.intensity = 0.0;
    show = *show::addPalette(show, off);
    hand = show::withPalette(hand, {{1}}, *show->paletteNamed("off"));
    stops("Intensity", "palette 'off', held in hand");
    show = *show::keepHand(show, *hand);
    hand = show::emptyHand();
    stops("Intensity", "palette 'off', in the look");
}

TEST_F(LightCheck, ColourAndEmitters) {
    hand = show::withColour(hand, {{1}}, wishFor("uv:0.02,0.58"));
    minds("Colour", "out of its reach, 0.");
    hand = show::withColour(hand, {{1}}, wishFor("gel:999"));
    minds("Colour", "no gel 999");
    hand = show::withParts(hand, {{1}}, show::partLevels(*types.bar, light::Drives(3)));
    minds("Colour", "one by one");
    stops("Emitters", "all at 0");
    hand = show::withIntensity(hand, {{2}}, 1);
    minds("Colour", "rests at home", 2);
}

TEST_F(LightCheck, MasterAndDark) {
    controls.master = 0;
    stops("Master", "at 0");
    controls = {1, true};
    stops("Dark", "all light is out");
}

TEST_F(LightCheck, SoloAndHouseLight) {
    controls.solo = {{2}, {7}};
    stops("Solo", "only 2 others");
    controls.solo = {{1}, {2}};
    EXPECT_EQ(link("Solo").words.english(), "it is one of 2");
    auto house = *show->fixture({1});
    house.exempt = true;
    show = *show::changeFixture(show, house);
    controls = {0, true, {{2}}};
    EXPECT_EQ(link("Master").words.english(), "house light: solo, master and Dark leave it alone");
    for (const auto& l : links())
        EXPECT_NE(l.state, CheckLink::State::Stops) << l.what.english();
}

TEST_F(LightCheck, TellsWhatLiesBelowTheHand) {
    show = *show::keepHand(show, *hand);
    hand = show::withIntensity(show::withColour(show::emptyHand(), {{1}}, wishFor("cct:5600")),
                               {{1}}, 0.7);
    EXPECT_EQ(link("Intensity").words.english(), "70 %, held in hand; below it in the look: 50 %");
    EXPECT_NE(
        link("Colour").words.english().find("held in hand; below it in the look: white of 4000 K"),
        std::string::npos)
        << link("Colour").words.english();
    hand = show::emptyHand();
    EXPECT_EQ(link("Intensity").words.english(), "50 %, in the look");
}

// What plays is named: the cue, the fader, and that it is on its way.
TEST_F(LightCheck, TellsWhatPlays) {
    const show::Lineup one{{1}};
    show::CueList list;
    list.name = "main";
    show = *show::addCueList(show, list);
    show::Cue cue;
    cue.number = {7500};
    cue.up_s = 4;
    const auto look = show::withColour(show::withIntensity(show::emptyHand(), one, 0.5), one,
                                       wishFor("xy:0.4,0.4"));
    show = *show::keepAsCue({show, look}, one, {1}, cue, true);
    const auto made =
        std::make_shared<const Compiled>(compiled({show, show::emptyHand()}, types, mixes));
    Playing playing(made);
    Rounding rounding;
    std::vector<Rest> rests;
    const auto words = [&](const char* what, double t) {
        playing.step(t);
        const auto stage = stageOf(*made, playing.newest(), {}, rounding, rests);
        const auto all = *lightCheck(
            stage, {1}, [](const show::Fixture&) { return 3; }, output);
        for (const auto& l : all)
            if (l.what.english() == what)
                return l.words.english();
        return std::string("no such link");
    };
    playing.apply({Command::What::Next, 0, 0, {}}, 0);
    EXPECT_EQ(words("Intensity", 2), "on its way, 25 % now, cue 7.5 of 'main'");
    EXPECT_EQ(words("Intensity", 5), "50 %, cue 7.5 of 'main'");
    EXPECT_EQ(words("Colour", 5), "cue 7.5 of 'main'");
    playing.apply({Command::What::Release, 0, 0, {}}, 6);
    EXPECT_EQ(words("Intensity", 6.5), "on its way, 25 % now, cue list 'main', which is let go");
    EXPECT_EQ(words("Intensity", 8), "not set");
}

TEST_F(LightCheck, Patch) {
    add("ghost", 1, 50);
    stops("Patch", "no fixture type 'ghost'", 3);
    add("bar", 1, 511);
    stops("Patch", "from 511 to 513, past 512", 4);
    add("bar", 1, 2);
    minds("Patch", "2 of them are taken by 105");
    minds("Patch", "2 of them it takes from 101", 5);
}

TEST_F(LightCheck, Output) {
    output.on_stage = false;
    minds("Output", "Rehearsal");
    output = {false};
    stops("Output", "there is none");
    output = {};
    using show::Protocol;
    show = *show::changeOutputs(show, {{2, 1, Protocol::ArtNet, "127.0.0.1", 0}});
    stops("Output", "carries universe 1");
    show = *show::changeOutputs(show, {{1, 1, Protocol::ArtNet, "10.0.0.9", 7}});
    stops("Output", "held back from 10.0.0.9");
    output.network_chosen = true;
    EXPECT_EQ(link("Output").words.english(), "Art-Net to 10.0.0.9, there 7");
    output.receivers_known = true;
    minds("Output", "nobody answers");
    show = *show::changeOutputs(show, {{1, 1, Protocol::ArtNet, "10.0.0.9", 7, false}});
    stops("Output", "is off");
}

} // namespace
} // namespace zelo::play
