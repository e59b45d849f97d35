// SPDX-License-Identifier: GPL-3.0-or-later
// What is found wrong with a show before it is played.
#include "play/shipped.h"
#include "play/show_check.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/routes.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using Kind = Finding::Kind;
using test::wishFor;

class ShowCheckTest : public ::testing::Test {
protected:
    ShowCheckTest() {
        for (const char* type : {"gannet-8", "gannet-8", "petrel-4"})
            add(type, next_);
        show::CueList list;
        list.name = "main";
        show = *show::addCueList(show, list);
    }
    void add(const char* type, int address) {
        show::Fixture f;
        f.type = type;
        f.address = address;
        next_ = address + 40;
        show = *show::addFixture(show, f);
        lineup.push_back({show->last_fixture_id});
    }
    void keep(int number, const char* asked, double intensity,
              std::optional<route::StopWay> way = {}) {
        show::Cue cue;
        cue.number = {number};
        cue.up_s = cue.down_s = 4;
        cue.way = std::move(way);
        show = *show::keepAsCue(
            {show, show::withIntensity(show::withColour(show::emptyHand(), lineup, wishFor(asked)),
                                       lineup, intensity)},
            lineup, {1}, cue, true);
    }
    std::vector<Finding> found() {
        return checkShow(compiled({show, show::emptyHand()}, shipped, mixes), shipped, mixes);
    }
    static std::vector<int> ids(const Finding& f) {
        std::vector<int> all;
        for (const auto id : f.lamps)
            all.push_back(id.value);
        return all;
    }
    static route::StopWay levels() {
        route::StopWay way;
        way.kind = route::Kind::Levels;
        return way;
    }

    Shipped shipped;
    Mixes mixes;
    show::ShowPtr show = show::emptyState().show;
    show::Lineup lineup;
    int next_ = 1;
};

TEST_F(ShowCheckTest, AGoodShowHasNoFindings) {
    EXPECT_TRUE(found().empty());
    keep(1000, "gel:104", 1);
    keep(2000, "gel:338", 1);
    keep(3000, "gel:338", 0);
    EXPECT_TRUE(found().empty()) << "as needed it goes round, and colours are set in the dark";
}

TEST_F(ShowCheckTest, LevelsThroughWhiteAreFoundWithTheirCure) {
    keep(1000, "gel:104", 1);
    keep(2000, "gel:338", 1, levels());
    const auto all = found();
    ASSERT_FALSE(all.empty());
    std::set<int> lamps;
    for (const auto& f : all) {
        EXPECT_EQ(f.kind, Kind::Fade);
        EXPECT_EQ(f.cue, show::CueNumber{2000});
        EXPECT_LT(f.from_s, f.to_s);
        EXPECT_LE(f.to_s, 4);
        EXPECT_NE(std::find(f.cures.begin(), f.cures.end(), route::Cure::OtherRoute),
                  f.cures.end());
        for (const int id : ids(f))
            lamps.insert(id);
    }
    EXPECT_EQ(lamps, (std::set<int>{1, 2, 3}));
    EXPECT_EQ(ids(all.front()), (std::vector<int>{1, 2})) << "lamps alike are one finding";
    EXPECT_NE(all.front().what.english().find("red to cyan"), std::string::npos)
        << all.front().what;
    // A kept route cures it, as the cue's or between nothing else.
    route::StopWay around;
    around.kind = route::Kind::Around;
    show = *show::keepRoute(show, "rim", around);
    show::Cue cue = *show->cue_lists.find({1})->cues.find({2000});
    cue.route = {1};
    show = *show::keepCue(show, {1}, cue);
    EXPECT_TRUE(found().empty());
}

TEST_F(ShowCheckTest, WhatRestsInAnotherColourIsFoundUnlessItIsSetInTheDark) {
    keep(1000, "gel:104", 1);
    EXPECT_TRUE(found().empty());
    show::Show off = *show;
    off.dark_first = false;
    show = show::nextShow(off);
    const auto all = found();
    ASSERT_FALSE(all.empty());
    EXPECT_EQ(all[0].cue, show::CueNumber{1000});
    EXPECT_NE(all[0].what.english().find("rests in the dark"), std::string::npos);
    EXPECT_NE(std::find(all[0].cures.begin(), all[0].cures.end(), route::Cure::ColourInDark),
              all[0].cures.end());
}

TEST_F(ShowCheckTest, ClashesAndMissesAreFound) {
    add("petrel-4", 3);
    lineup = {{1}};
    keep(1000, "gel:104", 1);
    keep(2000, "xy:0.1,0.05", 1); // no lamp is that blue
    bool clash = false;
    bool miss = false;
    for (const auto& f : found()) {
        if (f.kind == Kind::Clash) {
            clash = true;
            EXPECT_EQ(ids(f).size(), 2u);
        }
        if (f.kind == Kind::Miss) {
            miss = true;
            EXPECT_EQ(f.cue, show::CueNumber{2000});
            EXPECT_EQ(ids(f), std::vector<int>{1});
            EXPECT_NE(f.what.english().find("out of reach"), std::string::npos) << f.what;
        }
    }
    EXPECT_TRUE(clash);
    EXPECT_TRUE(miss);
}

TEST_F(ShowCheckTest, ItEndsWhenItIsTold) {
    keep(1000, "gel:104", 1);
    keep(2000, "gel:338", 1, levels());
    const auto state = compiled({show, show::emptyHand()}, shipped, mixes);
    for (const auto& f : checkShow(state, shipped, mixes, [] { return true; }))
        EXPECT_NE(f.kind, Kind::Fade);
}

} // namespace
} // namespace zelo::play
