// SPDX-License-Identifier: GPL-3.0-or-later
// Cue lists and faders through the file and back.
#include "files/show_file.h"
#include "show/cue_edits.h"
#include "show/kept.h"
#include "show/ripple_edits.h"
#include "support/asked.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace zelo::files {
namespace {

show::ShowPtr made() {
    show::ShowPtr show = show::emptyState().show;
    for (int i = 0; i < 3; ++i) {
        show::Fixture f;
        f.type = "petrel-4";
        f.address = 1 + 10 * i;
        f.exempt = i == 2;
        show = *show::addFixture(show, f);
    }
    const auto hand = show::withIntensity(
        show::withColour(show::emptyHand(), {{1}, {2}}, test::wishFor("gel:214")), {{1}}, 0.4);
    show = *show::keepLook(show, *hand, {{1}, {2}}, "evening");
    show::CueList list;
    list.name = "main";
    list.back_s = 1.5;
    list.release_s = 4;
    show = *show::addCueList(show, list);
    show::Cue cue;
    cue.number = {7500};
    cue.name = "dawn";
    cue.note = "slowly";
    cue.up_s = 3;
    cue.down_s = 4.5;
    cue.up_delay_s = 0.5;
    cue.down_delay_s = 1;
    cue.colour_s = 2;
    cue.colour_delay_s = 0.25;
    cue.follow = show::FollowWhen::AfterStart;
    cue.follow_s = 9;
    show = *show::keepAsCue({show, hand}, {{1}, {2}}, {1}, cue, true);
    cue.number = {8000};
    cue.follow = show::FollowWhen::WhenDone;
    cue.way = route::StopWay{};
    cue.way->kind = route::Kind::Around;
    cue.way->floor = 0.65;
    cue.way->via = {{0.25, 0.5}};
    cue.way->keep_out = route::Sector{1, 2};
    cue.colour_s.reset();
    cue.locked = true;
    show = *show::keepAsCue({show, hand}, {{1}}, {1}, cue, false);
    show::Fader fader;
    fader.name = "one";
    fader.look = {1};
    fader.adds = false;
    show = *show::addFader(show, fader);
    auto off = *show;
    off.dark_first = false;
    off.even_to_the_eye = true;
    off.way = route::StopWay{};
    off.way->kind = route::Kind::Jump;
    off.way->jump_at = 0.75;
    return show::nextShow(off);
}

TEST(CueParts, GoThroughTheFileUnchanged) {
    const auto show = made();
    const auto text = *showText(*show, {});
    EXPECT_TRUE(checkShowText(text)) << checkShowText(text).error().text();
    const auto back = parseShow(text);
    ASSERT_TRUE(back) << back.error().text();
    const auto& list = *back->show->cue_lists.find({1});
    const auto& was = *show->cue_lists.find({1});
    EXPECT_EQ(list.name, "main");
    EXPECT_EQ(list.back_s, 1.5);
    EXPECT_EQ(list.release_s, 4);
    ASSERT_EQ(list.cues.size(), 2u);
    for (const auto& [number, cue] : was.cues) {
        show::Cue same = *list.cues.at(number);
        ASSERT_EQ(same.values.size(), cue->values.size());
        for (const auto& [id, value] : cue->values)
            EXPECT_EQ(*same.values.at(id), *value);
        same.values = cue->values;
        EXPECT_EQ(same, *cue) << toText(number);
    }
    EXPECT_EQ(*back->show->faders.find({1}), *show->faders.find({1}));
    EXPECT_FALSE(back->show->dark_first);
    EXPECT_TRUE(back->show->even_to_the_eye);
    EXPECT_EQ(back->show->way, show->way);
    EXPECT_TRUE(back->show->fixture({3})->exempt);
    EXPECT_EQ(back->show->last_cue_list_id, 1);
}

TEST(CueParts, FaultsNameTheirPlaceAndOrphansAreTold) {
    const auto good = nlohmann::json::parse(*showText(*made(), {}));
    const auto why = [&](const char* pointer, const nlohmann::json& value) {
        auto json = good;
        json[nlohmann::json::json_pointer(pointer)] = value;
        const auto opened = parseShow(json.dump());
        return opened ? std::string("opened") : opened.error().text();
    };
    EXPECT_EQ(why("/cue_lists/0/cues/0/number", 7.5).find("cue_lists[0].cues[0].number"), 0u);
    EXPECT_EQ(why("/cue_lists/0/cues/0/number", "x").find("cue_lists[0].cues[0].number"), 0u);
    EXPECT_NE(why("/cue_lists/0/cues/1/number", "7.5").find("7.5 is there twice"),
              std::string::npos);
    EXPECT_EQ(why("/cue_lists/0/cues/0/up_s", -1).find("cue_lists[0].cues[0].up_s"), 0u);
    EXPECT_EQ(why("/cue_lists/0/cues/0/follow", "soon").find("cue_lists[0].cues[0].follow"), 0u);
    EXPECT_EQ(why("/cue_lists/0/cues/1/way/floor", 2).find("cue_lists[0].cues[1].way.floor"), 0u);
    EXPECT_EQ(why("/way/kind", "sideways").find("way.kind"), 0u);
    EXPECT_EQ(why("/cue_lists/0/name", "").find("cue_lists[0]"), 0u);
    auto without = good;
    without["looks"] = nlohmann::json::array();
    const auto opened = parseShow(without.dump());
    ASSERT_TRUE(opened) << opened.error().text();
    EXPECT_TRUE(opened->show->faders.empty());
    ASSERT_EQ(opened->notes.size(), 1u);
    EXPECT_NE(opened->notes[0].english().find("faders[0].look"), std::string::npos);
}

TEST(CueParts, UnknownMembersAreKept) {
    const std::string text = R"({"format": "zelochrome-show", "version": 4, "name": "S",
 "fixtures": [{"id": 3, "type": "petrel-4"}],
 "looks": [{"id": 1, "name": "l", "values": []}],
 "cue_lists": [{"id": 1, "name": "a", "m0": 0, "cues": [{"number": "1", "m1": 1,
   "values": [{"fixtures": [3], "intensity": 1, "m2": 2}]}]}],
 "faders": [{"id": 1, "name": "f", "look": 1, "m3": 3}]})";
    const auto opened = parseShow(text);
    ASSERT_TRUE(opened) << opened.error().text();
    const auto written = *showText(*opened->show, *opened->hand);
    for (int m = 0; m <= 3; ++m)
        EXPECT_NE(written.find(fmt::format("\"m{}\"", m)), std::string::npos) << m;
    EXPECT_TRUE(checkShowText(written));
}

TEST(CueParts, EndsOfListsAndDarkFirstComeBack) {
    show::CueList list;
    list.name = "rounds";
    list.at_end = show::AtEnd::ToAndFro;
    auto show = *show::addCueList(show::emptyState().show, list);
    show::Cue cue;
    cue.dark_first = false;
    show = *show::keepCue(show, {1}, cue);
    show::StagePlan plan;
    plan.figures = {{1, 2}, {-3, 0.5}};
    show = *show::changeStage(show, plan);
    const auto written = *showText(*show, {});
    EXPECT_TRUE(checkShowText(written));
    const auto opened = parseShow(written);
    ASSERT_TRUE(opened) << opened.error().text();
    const auto& back = *opened->show->cue_lists.find({1});
    EXPECT_EQ(back.at_end, show::AtEnd::ToAndFro);
    EXPECT_EQ(back.cues.find({1000})->dark_first, false);
    EXPECT_EQ(opened->show->stage->figures, plan.figures);
    auto bad = nlohmann::json::parse(written);
    bad["cue_lists"][0]["at_end"] = "round";
    EXPECT_NE(parseShow(bad.dump()).error().text().find("stop, again, to and fro"),
              std::string::npos);
}

// All that a cue, a look and a lamp may hold comes back, and what is wrong with it is told.
TEST(CueParts, VersionsLocksSettingsTimesOfDayAndPicturesComeBack) {
    auto show = show::emptyState().show;
    show::Fixture f;
    f.type = "skua-cmy";
    show = *show::addFixture(show, f);
    show::CueList list;
    list.name = "main";
    show = *show::addCueList(show, list);
    const auto one = show::withSetting(show::withIntensity(show::emptyHand(), {{1}}, 0.5), {{1}},
                                       "Shutter", 0.25);
    show::Cue cue;
    cue.follow = show::FollowWhen::TimeOfDay;
    cue.follow_s = 70'200;
    cue.values = *one;
    show = *show::keepCue(show, {1}, cue);
    show = *show::keepVersion(show, {1}, {1000}, *show::withSetting(one, {{1}}, "Zoom", 1));
    show = *show::lockLamps(show, *one);
    show::Look look;
    look.name = "l";
    look.values = *one;
    look.time_s = 7.5;
    show = *show::addLook(show, look);
    show = *show::pictureOfLook(show, {1}, std::string("\xff\xd8\xff\0 x", 6));
    show::Fader fader;
    fader.name = "main";
    fader.list = {1};
    show = *show::addFader(show, fader);
    const auto written = *showText(*show, {});
    EXPECT_TRUE(checkShowText(written));
    const auto opened = parseShow(written);
    ASSERT_TRUE(opened) << opened.error().text();
    EXPECT_TRUE(opened->notes.empty());
    const auto& back = *opened->show;
    const show::Cue& cue_back = *back.cue_lists.find({1})->cues.find({1000});
    EXPECT_EQ(cue_back.follow, show::FollowWhen::TimeOfDay);
    EXPECT_EQ(cue_back.follow_s, 70'200);
    EXPECT_EQ(cue_back.version, "b");
    ASSERT_EQ(cue_back.versions.size(), 1u);
    EXPECT_EQ(*cue_back.versions[0].values.find({1}), *one->find({1}));
    EXPECT_EQ(cue_back.values.find({1})->settings.at("Zoom"), 1);
    EXPECT_EQ(*back.locked.find({1}), *one->find({1}));
    EXPECT_EQ(back.lookOf({1})->time_s, 7.5);
    EXPECT_EQ(*back.lookOf({1})->picture, *show->lookOf({1})->picture);
    EXPECT_EQ(back.faders.find({1})->list, show::CueListId{1});
    auto bad = nlohmann::json::parse(written);
    bad["cue_lists"][0]["cues"][0]["versions"][0]["name"] = "b"; // as the one that plays
    EXPECT_NE(parseShow(bad.dump()).error().text().find("versions[0].name"), std::string::npos);
    bad = nlohmann::json::parse(written);
    bad["looks"][0]["picture"] = "R0lGODlh";
    EXPECT_NE(parseShow(bad.dump()).error().text().find("PNG or a JPEG"), std::string::npos);
    bad = nlohmann::json::parse(written);
    bad["locked"][0]["settings"]["Shutter"] = 2;
    EXPECT_NE(parseShow(bad.dump()).error().text().find("locked[0].settings.Shutter"),
              std::string::npos);
    bad = nlohmann::json::parse(written);
    bad["faders"][0]["list"] = 9;
    const auto less = parseShow(bad.dump());
    ASSERT_TRUE(less);
    EXPECT_TRUE(less->show->faders.empty());
    EXPECT_NE(less->notes[0].english().find("cue list 9"), std::string::npos);
}

TEST(CueParts, RipplesComeBackWithWhatPlaysThem) {
    auto show = show::emptyState().show;
    show::Fixture f;
    f.type = "petrel-4";
    for (int i = 0; i < 3; ++i) {
        f.address = 1 + 10 * i;
        show = *show::addFixture(show, f);
    }
    show::CueList list;
    list.name = "main";
    show = *show::addCueList(show, list);
    show::Ripple r;
    r.name = "tide";
    r.lamps = {{3}, {1}, {2}};
    r.pattern = show::Pattern::Pulse;
    r.end = show::RippleEnd::ToAndFro;
    r.chance = show::Chance::EachItsOwn;
    r.seed = 7;
    r.over_below = true;
    r.turns = 1.5;
    r.band = 2;
    r.every_s = 4.5;
    r.way = route::StopWay{};
    r.way->kind = route::Kind::Around;
    r.arrangement.mirrored = true;
    r.along = show::AlongPlan{90};
    for (const char* asked : {"gel:214@3200", "xy:0.3,0.3"}) {
        r = show::withStep(std::move(r), test::asked(asked), {0.2, 0.5});
        r.steps.back().time_s = 1.25;
    }
    r.steps[0].intensity = 0.5;
    r.as_bright = true;
    show = *show::addRipple(show, r);
    show::Cue cue;
    cue.ripples = {{{1}, show::RippleDoes::Freeze}};
    show = *show::keepCue(show, {1}, cue);
    show::Fader fader;
    fader.name = "tide";
    fader.ripple = {1};
    show = *show::addFader(show, fader);
    const auto written = *showText(*show, {});
    EXPECT_TRUE(checkShowText(written));
    const auto opened = parseShow(written);
    ASSERT_TRUE(opened) << opened.error().text();
    EXPECT_TRUE(opened->notes.empty());
    EXPECT_TRUE(*opened->show->ripples.find({1}) == *show->ripples.find({1}));
    EXPECT_TRUE(opened->show->cue_lists.find({1})->cues.find({1000})->ripples == cue.ripples);
    EXPECT_EQ(opened->show->faders.find({1})->ripple.value, 1);
    auto bad = nlohmann::json::parse(written);
    bad["ripples"][0]["pattern"] = "wobble";
    EXPECT_NE(parseShow(bad.dump()).error().text().find("cycle, march, pulse"), std::string::npos);
    bad = nlohmann::json::parse(written);
    bad["ripples"][0]["steps"] = nlohmann::json::array();
    EXPECT_NE(parseShow(bad.dump()).error().text().find("a ripple of 0 steps"), std::string::npos);
    bad = nlohmann::json::parse(written);
    bad["ripples"][0]["fixtures"] = {1, 99};
    bad["ripples"][0]["id"] = bad["last_ripple_id"] = 2;
    const auto less = parseShow(bad.dump());
    ASSERT_TRUE(less) << less.error().text();
    EXPECT_EQ(less->show->ripples.find({2})->lamps.size(), 1u);
    EXPECT_TRUE(less->show->faders.empty());
    EXPECT_EQ(less->notes.size(), 3u) << "the lamp, the cue's ripple, the fader";
}

TEST(CueParts, FadersOfGroupsAndEmittersComeBack) {
    auto show = show::emptyState().show;
    show::Fixture f;
    f.type = "petrel-4";
    show = *show::addFixture(show, f);
    show = *show::addGroup(show, "all", {{1}});
    show::Fader group{{{}, "all"}, {}, {1}};
    show = *show::addFader(show, group);
    show::Fader warm{{{}, "Warm"}, {}, {1}, {}, show::Family::Warm};
    show = *show::addFader(show, warm);
    show::Fader red{{{}, "Red"}, {}, {}, {"Red", "Amber"}};
    show = *show::addFader(show, red);
    const auto written = *showText(*show, {});
    EXPECT_TRUE(checkShowText(written));
    const auto opened = parseShow(written);
    ASSERT_TRUE(opened) << opened.error().text();
    EXPECT_TRUE(opened->show->faders == show->faders || opened->show->faders.size() == 3);
    for (const auto& [id, fader] : show->faders)
        EXPECT_EQ(*opened->show->faders.find(id), *fader) << fader->name;
    auto bad = nlohmann::json::parse(written);
    bad["faders"][1]["family"] = "mauve";
    EXPECT_NE(parseShow(bad.dump()).error().text().find("warm, green, blue"), std::string::npos);
    bad = nlohmann::json::parse(written);
    bad["faders"][0].erase("group");
    const auto less = parseShow(bad.dump());
    ASSERT_TRUE(less) << less.error().text();
    EXPECT_EQ(less->show->faders.size(), 2u);
    ASSERT_EQ(less->notes.size(), 1u);
    EXPECT_NE(less->notes[0].english().find("plays nothing"), std::string::npos);
}

} // namespace
} // namespace zelo::files
