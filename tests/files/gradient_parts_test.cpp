// SPDX-License-Identifier: GPL-3.0-or-later
// Gradients through the file and back: kept ones, and those laid over lamps.
#include "files/show_file.h"
#include "show/holders.h"
#include "show/kept.h"
#include "support/asked.h"
#include "support/places.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace zelo::files {
namespace {

using show::Gradient;

// One with all that a gradient can have.
Gradient rich(show::PaletteId palette) {
    Gradient g;
    g.stops = {{light::parseAsked("gel:214@3200").value(), {0.31, 0.54}, 0.1, {}},
               {palette, {0.4, 0.5}, {}, {}},
               {light::parseAsked("cct:5600/-0.004").value(), {0.2, 0.47}, 0.875, {}}};
    g.ways.resize(2);
    g.ways[0] = {route::Kind::Around,     0.7, route::Side::Long, {{0.3, 0.4}, {0.25, 0.45}},
                 route::Sector{1.5, 2.5}, 0.5};
    g.ways[1].kind = route::Kind::Dark;
    g.ways[1].jump_at = 0.25;
    g.even = route::Even::InPlace;
    g.bright = show::Bright::Spread;
    g.intensities = {{0.2, {}, {}}, {1, 0.6, {}}, {0.5, {}, {}}};
    g.arrangement = {route::Order::ToAndFro, 3, 7, true, 2, 4, 0.3};
    g.along = show::AlongPlan{35, false, 0, 0};
    g.common_reach = false;
    g.choose = route::Choose::EachAlone;
    g.intent = mix::Intent::Kindest;
    g.give_up = 0.45;
    g.keep_out = {"Indigo"};
    g.pins = {{"Lime", 0.25}};
    g.exact_for_camera = true;
    return g;
}

show::State made() {
    show::State state = show::emptyState();
    for (int i = 0; i < 6; ++i) {
        show::Fixture f;
        f.type = "petrel-4";
        f.address = 1 + 10 * i;
        state.show = *show::addFixture(state.show, f);
    }
    show::Palette rose;
    rose.name = "rose";
    rose.colour = test::wishFor("gel:118");
    state.show = *show::addPalette(state.show, rose);
    show::Palette tide;
    tide.name = "tide";
    tide.gradient = std::make_shared<const Gradient>(rich({1}));
    state.show = *show::addPalette(state.show, tide);
    state.hand = show::withPalette(state.hand, {{3}, {1}, {2}}, *state.show->palette({2}));
    state.show = *show::keepLook(state.show, *state.hand, {{1}, {2}, {3}}, "evening");
    Gradient own = rich({1});
    own.along = show::AlongPlan{0, true, 1.5, -2};
    state.hand = *show::withGradient(state.hand, {{5}, {4}}, own, {2});
    return state;
}

TEST(GradientParts, GoThroughTheFileUnchanged) {
    const auto state = made();
    const auto text = *showText(*state.show, *state.hand);
    EXPECT_TRUE(checkShowText(text)) << checkShowText(text).error().text();
    const auto back = parseShow(text);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_TRUE(back->notes.empty()) << back->notes.front().english();
    EXPECT_EQ(*back->show->palette({2})->gradient, *state.show->palette({2})->gradient);
    const auto layingOf = [](const show::Value& v) { return **v.colour->laying(); };
    const auto kept = layingOf(*back->hand->at({1}));
    EXPECT_EQ(kept.palette, (show::PaletteId{2}));
    EXPECT_FALSE(kept.own);
    EXPECT_EQ(kept.lamps, (std::vector<show::FixtureId>{{3}, {1}, {2}}));
    EXPECT_EQ(*back->hand->at({1})->colour->laying(), *back->hand->at({3})->colour->laying());
    EXPECT_EQ(*back->hand->at({1})->intensity->laying(), *back->hand->at({1})->colour->laying());
    const auto changed = layingOf(*back->hand->at({4}));
    ASSERT_TRUE(changed.own);
    EXPECT_EQ(*changed.own, *layingOf(*state.hand->at({4})).own);
    EXPECT_EQ(changed.palette, (show::PaletteId{2})) << "what it was made from";
    EXPECT_EQ(layingOf(*back->show->lookOf({1})->values.at({2})).palette, (show::PaletteId{2}));
    EXPECT_EQ(nlohmann::json::parse(text)["layings"].size(), 2u) << "each once";
}

TEST(GradientParts, WhatIsNotThereIsLeftOutAndTold) {
    auto json = nlohmann::json::parse(*showText(*made().show, *made().hand));
    json["palettes"].erase(1); // tide
    const auto without = parseShow(json.dump());
    ASSERT_TRUE(without) << without.error().text();
    EXPECT_FALSE(without->hand->contains({1})) << "its gradient is gone, and that was all";
    ASSERT_TRUE(without->hand->contains({4}));
    EXPECT_FALSE((*without->hand->at({4})->colour->laying())->palette) << "it is its own now";
    std::string told;
    for (const auto& note : without->notes)
        told += note.english() + "\n";
    EXPECT_NE(told.find("gradient 2, which is not there: left out"), std::string::npos) << told;
    EXPECT_NE(told.find("gradient 2, which is not there: it stays as it was"), std::string::npos);
    // A stop whose palette is gone keeps its colour, once the show is taken.
    json = nlohmann::json::parse(*showText(*made().show, *made().hand));
    json["palettes"].erase(0); // rose
    const auto stop = parseShow(json.dump());
    ASSERT_TRUE(stop) << stop.error().text();
    std::vector<Sentence> notes;
    const auto pruned = show::pruned({stop->show, stop->hand}, &notes);
    EXPECT_EQ(test::textOf(pruned.show->palette({2})->gradient->stops[1].colour), "uv:0.4,0.5");
    ASSERT_EQ(notes.size(), 1u);
    EXPECT_NE(notes[0].english().find("stay as they were: 2"), std::string::npos);
}

TEST(GradientParts, FaultsNameTheirPlace) {
    const auto good = nlohmann::json::parse(*showText(*made().show, *made().hand));
    const auto why = [&](const char* pointer, const nlohmann::json& value) {
        auto json = good;
        json[nlohmann::json::json_pointer(pointer)] = value;
        const auto opened = parseShow(json.dump());
        return opened ? std::string("opened") : opened.error().text();
    };
    const std::string g = "palettes[1].gradient";
    EXPECT_EQ(why("/palettes/1/gradient/stops/0/at", 2).find(g + ".stops[0].at: 2"), 0u);
    EXPECT_EQ(why("/palettes/1/gradient/stops/0/way/kind", "wander")
                  .find(g + ".stops[0].way.kind: 'wander'"),
              0u);
    EXPECT_EQ(why("/palettes/1/gradient/stops/0/way/via/1", "x").find(g + ".stops[0].way.via[1]"),
              0u);
    EXPECT_EQ(why("/palettes/1/gradient/laid/order", "sideways").find(g + ".laid.order"), 0u);
    EXPECT_EQ(why("/palettes/1/gradient/laid/block", 0).find(g + ".laid.block"), 0u);
    EXPECT_EQ(why("/palettes/1/gradient/bright", "loud").find(g + ".bright"), 0u);
    EXPECT_EQ(why("/palettes/1/gradient/stops/2/at", 0.05).find(g + ": stop 3"), 0u);
    EXPECT_EQ(why("/palettes/1/gradient/stops", nlohmann::json::array()).find(g + ": 0 stops"), 0u);
    EXPECT_EQ(why("/palettes/1/intensity", 1).find(g + ": stands alone"), 0u);
    EXPECT_EQ(why("/layings/0/fixtures/1", 3).find("layings[0].fixtures[1]"), 0u) << "twice";
    EXPECT_NE(why("/hand/0/colour_laid", 9).find("no such one in layings"), std::string::npos);
}

TEST(GradientParts, UnknownMembersAreKept) {
    const std::string text = R"({"format": "zelochrome-show", "version": 4, "name": "S",
 "fixtures": [{"id": 3, "type": "petrel-4"}],
 "palettes": [{"id": 1, "name": "p", "gradient": {"m0": 0, "stops": [
   {"asked": "cct:3200", "m1": 1, "way": {"m2": 2, "kind": "around",
    "keep_out": {"from": 1, "to": 2, "m3": 3}}}, {"asked": "cct:5600"}],
   "intensities": [{"intensity": 0.5, "m4": 4}], "laid": {"m5": 5}, "along": {"m6": 6}}}],
 "layings": [{"palette": 1, "fixtures": [3], "m7": 7}],
 "hand": [{"fixtures": [3], "colour_laid": 0}]})";
    const auto opened = parseShow(text);
    ASSERT_TRUE(opened) << opened.error().text();
    const auto written = *showText(*opened->show, *opened->hand);
    for (int m = 0; m <= 7; ++m)
        EXPECT_NE(written.find(fmt::format("\"m{}\"", m)), std::string::npos) << m << "\n"
                                                                              << written;
    EXPECT_TRUE(checkShowText(written));
}

TEST(GradientParts, AShowOfTheThirdFormatStillOpensWithAllThatIsInIt) {
    const auto old = readShow(std::string(places::test_data) + "/third-format.zelo");
    ASSERT_TRUE(old) << old.error().text();
    EXPECT_TRUE(old->notes.empty());
    EXPECT_EQ(old->show->fixtures.size(), 40u);
    EXPECT_EQ(old->show->palettes.size(), 8u);
    EXPECT_EQ(old->show->lookOf({1})->values.size(), 28u);
    EXPECT_TRUE(checkShowText(*showText(*old->show, *old->hand)));
}

} // namespace
} // namespace zelo::files
