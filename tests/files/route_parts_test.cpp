// SPDX-License-Identifier: GPL-3.0-or-later
// Kept routes and the crossfade through the file and back.
#include "files/fade_cues.h"
#include "files/show_file.h"
#include "show/cue_edits.h"
#include "show/kept.h"
#include "show/routes.h"
#include "support/asked.h"
#include "support/shipped.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace zelo::files {
namespace {

using nlohmann::json;

show::ShowPtr made() {
    show::ShowPtr show = show::emptyState().show;
    for (int i = 0; i < 2; ++i) {
        show::Fixture f;
        f.type = "petrel-4";
        f.address = 1 + 10 * i;
        show = *show::addFixture(show, f);
    }
    for (const char* gel : {"gel:104", "gel:338"}) {
        show::Palette p;
        p.name = gel;
        p.colour = test::wishFor(gel);
        show = *show::addPalette(show, p);
    }
    route::StopWay way;
    way.kind = route::Kind::Around;
    way.side = route::Side::Cw;
    way.via = {{0.5, -3.25}, {40, 2}};
    way.keep_out = route::Sector{1, 2};
    way.dark_share = 0.5;
    way.eased = true;
    way.common = true;
    show = *show::keepRoute(show, "sea", way);
    show = *show::routeBetween(show, {1}, {2}, {1});
    show::CueList list;
    list.name = "main";
    show = *show::addCueList(show, list);
    show::Cue cue;
    cue.route = {1};
    show = *show::keepCue(show, {1}, cue);
    show::Crossfade fade;
    fade.from.colour = show::PaletteId{1};
    fade.from.lamps = *show::withIntensity(
        show::withColour(show::emptyHand(), {{1}, {2}}, test::wishFor("gel:214")), {{2}}, 0.25);
    fade.to.colour = test::wishFor("xy:0.3,0.3");
    way.via = {{0.2, 0.5}};
    fade.way = way;
    fade.time_s = 12.5;
    fade.tolerance_uv = 0.01;
    return *show::withCrossfade(show, std::make_shared<const show::Crossfade>(fade));
}

TEST(RouteParts, ComeBackAsTheyWere) {
    const auto show = made();
    const auto text = showText(*show, {});
    ASSERT_TRUE(text);
    const auto read = parseShow(*text);
    ASSERT_TRUE(read) << read.error().text();
    EXPECT_TRUE(read->notes.empty());
    EXPECT_EQ(*read->show->routes.find({1}), *show->routes.find({1}));
    EXPECT_EQ(read->show->routes_between, show->routes_between);
    const show::Crossfade& fade = *read->show->crossfade;
    EXPECT_EQ(fade.way, show->crossfade->way);
    EXPECT_EQ(fade.time_s, 12.5);
    EXPECT_EQ(fade.tolerance_uv, 0.01);
    EXPECT_EQ(fade.from.colour->palette(), show::PaletteId{1});
    EXPECT_EQ(fade.to.colour, show->crossfade->to.colour);
    ASSERT_EQ(fade.from.lamps.size(), 2u);
    for (const int id : {1, 2})
        EXPECT_EQ(*fade.from.lamps.find({id}), *show->crossfade->from.lamps.find({id}));
    EXPECT_EQ(read->show->cue_lists.find({1})->cues.find({1000})->route, show::RouteId{1});
    EXPECT_EQ(read->show->last_route_id, 1);
    EXPECT_TRUE(checkShowText(*text));
}

TEST(RouteParts, WhatWeDoNotKnowStays) {
    auto j = json::parse(*showText(*made(), {}));
    j["routes"][0]["later"] = 1;
    j["routes_between"][0]["later"] = 2;
    j["crossfade"]["later"] = 3;
    j["crossfade"]["from"]["later"] = 4;
    const auto read = parseShow(j.dump());
    ASSERT_TRUE(read) << read.error().text();
    const auto again = json::parse(*showText(*read->show, *read->hand));
    EXPECT_EQ(again["routes"][0]["later"], 1);
    EXPECT_EQ(again["routes_between"][0]["later"], 2);
    EXPECT_EQ(again["crossfade"]["later"], 3);
    EXPECT_EQ(again["crossfade"]["from"]["later"], 4);
}

TEST(RouteParts, FaultsNameTheirPlace) {
    const std::vector<std::pair<std::function<void(json&)>, const char*>> faults{
        {[](json& j) { j["routes"][0]["way"]["floor"] = 7; }, "routes[0].way.floor"},
        {[](json& j) {
             j["routes"][0]["way"]["via"][1] = {1, 5000};
         },
         "routes[0].way.via[1]"},
        {[](json& j) { j["routes"].push_back(j["routes"][0]); }, "routes[1]"},
        {[](json& j) { j["routes_between"][0]["to"] = 1; }, "routes_between[0]"},
        {[](json& j) { j["crossfade"] = 3; }, "crossfade"},
        {[](json& j) { j["crossfade"]["time_s"] = -2; }, "crossfade.time_s"},
        {[](json& j) { j["crossfade"]["tolerance_uv"] = 0; }, "crossfade.tolerance_uv"},
        {[](json& j) { j["crossfade"]["to"]["colour"] = "red"; }, "crossfade.to.colour"},
        {[](json& j) {
             j["crossfade"]["way"]["via"] = {{3, 0}};
         },
         "crossfade.way.via[0]"},
        {[](json& j) { j["cue_lists"][0]["cues"][0]["route"] = "sea"; }, "cue_lists[0].cues[0]"},
    };
    for (const auto& [spoil, place] : faults) {
        auto j = json::parse(*showText(*made(), {}));
        spoil(j);
        const auto read = parseShow(j.dump());
        ASSERT_FALSE(read) << place;
        EXPECT_NE(read.error().text().find(place), std::string::npos) << read.error().text();
    }
}

// Each step is a cue of its share of the time, for every lamp; what we write, we can read.
TEST(FadeCues, HoldTheStepsOfEveryLamp) {
    const auto mixer = test::shippedMixer("petrel-4");
    route::FadeWish way;
    way.kind = route::Kind::Around;
    way.white = {0.2105, 0.4737};
    const auto fade = *route::planFade(mixer, mixer.solve(test::gelWanted("104"), {}).drives,
                                       mixer.solve(test::gelWanted("338"), {}).drives, way);
    const auto steps = route::stepsFor(mixer, fade);
    const auto cues = fadeCues(mixer, steps, {"red", "cyan", 8, {1, 513}, {}});
    ASSERT_EQ(cues.cues.size(), steps.steps.size());
    const auto footprint = static_cast<std::size_t>(mixer.mode().footprint);
    ASSERT_EQ(cues.patch.size(), 2 * footprint);
    EXPECT_EQ(cues.patch[footprint].dimmer, 513);
    double time = 0;
    for (const auto& cue : cues.cues) {
        time += cue.up->time_s;
        ASSERT_EQ(cue.levels.size(), 2 * footprint);
        for (std::size_t i = 0; i < footprint; ++i)
            EXPECT_EQ(cue.levels[i].level, cue.levels[footprint + i].level);
    }
    EXPECT_NEAR(time, 8, 0.01);
    const auto back = parseAsciiCues(asciiCuesText(cues));
    ASSERT_TRUE(back);
    ASSERT_EQ(back->cues.size(), cues.cues.size());
    EXPECT_EQ(back->cues.back().levels, cues.cues.back().levels);
    // Down to half: the light of the last cue is half of what it was.
    std::vector<double> levels(steps.steps.size(), 0.5);
    const auto half = fadeCues(mixer, steps, {"red", "cyan", 8, {1}, levels});
    const auto lightOf = [&](const AsciiCue& cue) {
        std::vector<std::uint8_t> slots;
        for (std::size_t i = 0; i < footprint; ++i)
            slots.push_back(static_cast<std::uint8_t>(std::lround(255 * cue.levels[i].level)));
        return mix::sentAs(mixer, light::readSlots(mixer.mode(), slots)).xyz.Y;
    };
    EXPECT_NEAR(lightOf(half.cues.back()) / lightOf(cues.cues.back()), 0.5, 0.02);
}

} // namespace
} // namespace zelo::files
