// SPDX-License-Identifier: GPL-3.0-or-later
// Cue lists, cues and faders as a show has them.
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/holders.h"
#include "show/kept.h"
#include "show/limits.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::show {
namespace {

TEST(CueNumber, AsPeopleCallIt) {
    for (const auto& [text, thousandths] : {std::pair("7", 7000),
                                            {"7.5", 7500},
                                            {"12.05", 12050},
                                            {"0.001", 1},
                                            {" 3 ", 3000},
                                            {"007.10", 7100}}) {
        const auto number = parseCueNumber(text);
        ASSERT_TRUE(number) << text;
        EXPECT_EQ(number->thousandths, thousandths) << text;
        EXPECT_EQ(parseCueNumber(toText(*number)), *number) << "in its shortest form";
    }
    EXPECT_EQ(toText({7100}), "7.1");
    for (const char* text : {"", "x", "7.", ".5", "-1", "7.1234", "0", "1000000", "7,5", "7.5.1"})
        EXPECT_FALSE(parseCueNumber(text)) << text;
}

class Cues : public ::testing::Test {
protected:
    Cues() {
        for (int i = 0; i < 4; ++i) {
            Fixture f;
            f.type = "petrel-4";
            f.address = 1 + 10 * i;
            state.show = *addFixture(state.show, f);
        }
        CueList list;
        list.name = "main";
        state.show = *addCueList(state.show, list);
    }
    void keep(int number, const HandPtr& hand, const Lineup& lineup, bool changed_only = true) {
        Cue cue;
        cue.number = {number};
        auto next = keepAsCue({state.show, hand}, lineup, {1}, cue, changed_only);
        ASSERT_TRUE(next) << next.error().text();
        state.show = *next;
    }
    const CueList& list() { return *state.show->cue_lists.find({1}); }
    const Cue* cue(int number) { return list().cues.find({number}); }
    HandPtr lit(const Lineup& lamps, const char* asked, double intensity) {
        return withIntensity(withColour(emptyHand(), lamps, test::wishFor(asked)), lamps,
                             intensity);
    }
    State state = emptyState();
    const Lineup all{{1}, {2}, {3}, {4}};
};

TEST_F(Cues, ACueHoldsOnlyWhatItChanges) {
    keep(1000, lit({{1}, {2}}, "gel:214", 0.5), all);
    EXPECT_EQ(cue(1000)->values.size(), 2u) << "lamps without values say nothing";
    keep(2000, withIntensity(lit({{1}, {2}}, "gel:214", 0.5), {{2}}, 0.9), all);
    ASSERT_EQ(cue(2000)->values.size(), 1u);
    const Value& second = *cue(2000)->values.at({2});
    EXPECT_EQ(*second.intensity->here(), 0.9);
    EXPECT_FALSE(second.colour) << "the colour is as it was";
    keep(3000, lit({{1}}, "gel:214", 0.5), all, false);
    EXPECT_EQ(cue(3000)->values.size(), 1u) << "all that is lit, when that is asked for";
    const Values stands = standsFor(list(), {2000});
    EXPECT_EQ(*stands.at({2})->intensity->here(), 0.9);
    EXPECT_EQ(test::textOf(stands.at({2})->colour), "gel:214");
    Cue nothing;
    nothing.number = {4000};
    EXPECT_FALSE(keepAsCue({state.show, emptyHand()}, all, {1}, nothing, true));
}

TEST_F(Cues, NumbersBetweenAreTheShortest) {
    EXPECT_EQ(numberAfter(list(), {})->thousandths, 1000);
    keep(7000, lit({{1}}, "gel:214", 1), all);
    EXPECT_EQ(numberAfter(list(), CueNumber{7000})->thousandths, 8000);
    keep(8000, lit({{1}}, "gel:104", 1), all);
    EXPECT_EQ(numberAfter(list(), CueNumber{7000})->thousandths, 7500);
    keep(7500, lit({{1}}, "gel:338", 1), all);
    EXPECT_EQ(numberAfter(list(), CueNumber{7000})->thousandths, 7100);
    EXPECT_EQ(numberAfter(list(), CueNumber{7500})->thousandths, 7600);
    EXPECT_EQ(numberAfter(list(), {})->thousandths, 1000);
    for (const int n : {7001, 7002})
        keep(n, lit({{1}}, "gel:214", 0.1 * (n - 7000)), all);
    EXPECT_FALSE(numberAfter(list(), CueNumber{7001})) << "there is none between";
}

TEST_F(Cues, LocksNamesAndTimes) {
    keep(1000, lit({{1}}, "gel:214", 1), all);
    Cue changed = *cue(1000);
    changed.up_s = 5;
    changed.name = "dawn";
    state.show = *keepCue(state.show, {1}, changed);
    EXPECT_EQ(cue(1000)->up_s, 5);
    changed.locked = true;
    state.show = *keepCue(state.show, {1}, changed);
    Cue other = changed;
    other.up_s = 6;
    EXPECT_FALSE(keepCue(state.show, {1}, other));
    EXPECT_FALSE(removeCue(state.show, {1}, {1000}));
    for (const double wrong : {-1.0, 90'000.0, std::nan("")}) {
        Cue late;
        late.number = {2000};
        late.down_s = wrong;
        EXPECT_FALSE(keepCue(state.show, {1}, late)) << wrong;
    }
    CueList again;
    again.name = "main";
    EXPECT_FALSE(addCueList(state.show, again)) << "a name is used once";
    CueList renamed = list();
    renamed.name = "act one";
    renamed.locked = true;
    renamed.cues = {};
    state.show = *changeCueList(state.show, renamed);
    EXPECT_EQ(list().name, "act one");
    EXPECT_EQ(list().cues.size(), 1u) << "its cues stay";
    EXPECT_FALSE(removeCueList(state.show, {1}));
    EXPECT_FALSE(keepCue(state.show, {1}, other)) << "the whole list is locked";
    renamed.locked = false;
    state.show = *changeCueList(state.show, renamed);
    EXPECT_TRUE(removeCueList(state.show, {1}));
    EXPECT_FALSE(keepCue(state.show, {7}, other));
}

TEST_F(Cues, WhatReachesAllValuesReachesCues) {
    Palette warm;
    warm.name = "warm";
    warm.colour = test::wishFor("gel:214");
    state.show = *addPalette(state.show, warm);
    keep(1000, withPalette(emptyHand(), {{1}, {2}}, *state.show->paletteNamed("warm")), all);
    const auto id = state.show->paletteNamed("warm")->id;
    const Uses uses = usesOf(state, id);
    ASSERT_EQ(uses.cues.size(), 1u);
    EXPECT_EQ(uses.cues[0].second.thousandths, 1000);
    EXPECT_FALSE(uses.none());
    state = *removePalette(state, id);
    EXPECT_EQ(test::textOf(cue(1000)->values.at({1})->colour), "gel:214") << "its value stays";
    state = *removeFixtures(state, {{1}});
    EXPECT_FALSE(cue(1000)->values.contains({1}));
    EXPECT_TRUE(cue(1000)->values.contains({2}));
}

TEST_F(Cues, FadersPlayLooks) {
    state.show = *keepLook(state.show, *lit({{1}}, "gel:214", 1), {{1}}, "evening");
    Fader fader;
    fader.name = "one";
    EXPECT_FALSE(addFader(state.show, fader)) << "no look";
    fader.look = {1};
    state.show = *addFader(state.show, fader);
    EXPECT_FALSE(addFader(state.show, fader)) << "the name is taken";
    EXPECT_FALSE(removeLook(state.show, {1})) << "a fader plays it";
    Fader changed = *state.show->faders.find({1});
    changed.adds = false;
    changed.locked = true;
    state.show = *changeFader(state.show, changed);
    EXPECT_FALSE(removeFader(state.show, {1}));
    changed.locked = false;
    state.show = *changeFader(state.show, changed);
    state.show = *removeFader(state.show, {1});
    EXPECT_TRUE(removeLook(state.show, {1}));
}

// Numbers are places in the list: what moves takes its values along.
TEST_F(Cues, AreRenumberedMovedAndCopied) {
    for (const int n : {1000, 2000, 3000})
        keep(n, lit(all, "gel:214", n / 10000.0), all);
    const auto levelIn = [&](int number) {
        return *standsFor(list(), {number}).find({1})->intensity;
    };
    const auto first = levelIn(1000);
    const auto second = levelIn(2000);
    auto next = renumberCues(state.show, {1}, {{2000}, {3000}}, {5000}, {500});
    ASSERT_TRUE(next) << next.error().text();
    state.show = *next;
    EXPECT_FALSE(cue(2000));
    ASSERT_TRUE(cue(5000) && cue(5500));
    EXPECT_EQ(levelIn(5000), second);
    EXPECT_FALSE(renumberCues(state.show, {1}, {{5000}}, {1000}, {1000})) << "it is taken";
    EXPECT_FALSE(renumberCues(state.show, {1}, {{5000}, {5500}}, {999'999'999}, {1000}));
    EXPECT_FALSE(renumberCues(state.show, {1}, {{7000}}, {8000}, {1000})) << "not there";
    state.show = *swapCues(state.show, {1}, {1000}, {5000});
    EXPECT_EQ(levelIn(1000), second);
    EXPECT_EQ(levelIn(5000), first);
    const auto copied = insertCues(state.show, {1}, CueNumber{1000}, {*cue(1000), *cue(5000)});
    ASSERT_TRUE(copied) << copied.error().text();
    EXPECT_EQ(copied->numbers, (CueNumbers{{2000}, {3000}}));
    EXPECT_EQ(copied->show->cue_lists.find({1})->cues.find({3000})->values, cue(5000)->values);
}

TEST_F(Cues, ManyAreChangedAtOnceOrNone) {
    for (const int n : {1000, 2000, 3000})
        keep(n, lit(all, "gel:214", n / 10000.0), all);
    state.show = *changeCues(state.show, {1}, {{1000}, {3000}}, [](Cue& c) { c.up_s = 7; });
    EXPECT_EQ(cue(1000)->up_s, 7);
    EXPECT_EQ(cue(2000)->up_s, Cue().up_s);
    state.show = *changeCues(state.show, {1}, {{3000}}, [](Cue& c) { c.locked = true; });
    const auto refused =
        changeCues(state.show, {1}, {{1000}, {3000}}, [](Cue& c) { c.down_s = 9; });
    ASSERT_FALSE(refused);
    EXPECT_NE(refused.error().text().find("cue 3 is locked"), std::string::npos);
    EXPECT_EQ(cue(1000)->down_s, Cue().down_s);
    EXPECT_FALSE(removeCues(state.show, {1}, {{1000}, {3000}}));
    EXPECT_FALSE(swapCues(state.show, {1}, {1000}, {3000}));
    EXPECT_FALSE(changeCues(state.show, {1}, {{1000}}, [](Cue& c) { c.up_s = -1; }));
    state.show = *removeCues(state.show, {1}, {{1000}, {2000}});
    EXPECT_EQ(list().cues.size(), 1u);
}

// Let go: as the cues before it left it. As in another cue: from here on.
TEST_F(Cues, LampsAreLetGoOrTakenFromAnotherCue) {
    keep(1000, lit(all, "gel:214", 0.2), all);
    keep(2000, lit(all, "gel:338", 0.6), all);
    keep(3000, lit(all, "gel:104", 0.9), all);
    const auto levelIn = [&](int number, int lamp) {
        return standsFor(list(), {number}).find({lamp})->intensity;
    };
    state.show = *letGoInCue(state.show, {1}, {3000}, {{1}, {2}}, Which::Intensity);
    EXPECT_EQ(levelIn(3000, 1), levelIn(2000, 1));
    EXPECT_EQ(standsFor(list(), {3000}).find({1})->colour, cue(3000)->values.find({3})->colour);
    state.show = *letGoInCue(state.show, {1}, {3000}, {{1}}, Which::All);
    EXPECT_FALSE(cue(3000)->values.find({1})) << "it says nothing of it any more";
    state.show = *asInCue(state.show, {1}, {3000}, {1000}, {{4}});
    EXPECT_EQ(levelIn(3000, 4), levelIn(1000, 4));
    EXPECT_FALSE(asInCue(state.show, {1}, {3000}, {9000}, {{4}}));
}

TEST_F(Cues, LampsRestAtZero) {
    const auto type = std::make_shared<light::FixtureType>();
    for (const char* name : {"Red", "Green", "Blue"})
        type->emitters.push_back({name, {}});
    state.show = *restAtZero(state.show, {{1}, {9}}, [&](const std::string&) { return type; });
    EXPECT_EQ(state.show->fixture({1})->home.size(), type->emitters.size());
    EXPECT_TRUE(state.show->fixture({2})->home.empty());
}

TEST_F(Cues, FadersHaveGroupsAndEmittersToo) {
    state.show = *addGroup(state.show, "all", all);
    Fader group;
    group.name = "all";
    group.group = {1};
    state.show = *addFader(state.show, group);
    Fader red;
    red.name = "Red";
    red.emitters = {"Red"};
    state.show = *addFader(state.show, red);
    Fader nothing;
    nothing.name = "nothing";
    EXPECT_NE(addFader(state.show, nothing).error().text().find("needs a look"), std::string::npos);
    group.name = "other";
    group.group = {9};
    EXPECT_FALSE(addFader(state.show, group));
    EXPECT_NE(removeGroup(state.show, {1}).error().text().find("fader 'all'"), std::string::npos);
    red.emitters.assign(65, "Red");
    EXPECT_FALSE(changeFader(state.show, red));
}

TEST_F(Cues, AVersionStandsBesideItAndIsSwappedInOnePress) {
    keep(18000, lit({{1}}, "gel:104", 0.5), {{1}});
    const Values first = cue(18000)->values;
    const Values second = *lit({{1}}, "gel:338", 1);
    std::string name;
    state.show = *keepVersion(state.show, {1}, {18000}, second, &name);
    EXPECT_EQ(name, "b");
    EXPECT_EQ(cue(18000)->values, second);
    ASSERT_EQ(cue(18000)->versions.size(), 1u);
    EXPECT_EQ(cue(18000)->versions[0].name, "a");
    state.show = *playVersion(state.show, {1}, {18000}, "a");
    EXPECT_EQ(cue(18000)->values, first);
    EXPECT_EQ(cue(18000)->versionName(), "a");
    state.show = *keepVersion(state.show, {1}, {18000}, second, &name);
    EXPECT_EQ(name, "c") << "b stands beside it";
    EXPECT_EQ(playVersion(state.show, {1}, {18000}, "x").error().code, ErrorCode::NotFound);
    EXPECT_EQ(dropVersion(state.show, {1}, {18000}, "c").error().code, ErrorCode::NotFound)
        << "it plays";
    state.show = *dropVersion(state.show, {1}, {18000}, "b");
    EXPECT_EQ(cue(18000)->versions.size(), 1u);
    state.show = *changeCues(state.show, {1}, {{18000}}, [](Cue& c) { c.locked = true; });
    EXPECT_FALSE(playVersion(state.show, {1}, {18000}, "a")) << "a locked cue refuses";
}

TEST_F(Cues, VersionsAreReachedByEveryWalk) {
    keep(1000, lit({{1}, {2}}, "gel:104", 0.5), {{1}, {2}});
    state.show = *keepVersion(state.show, {1}, {1000}, *lit({{1}, {3}}, "gel:338", 1));
    state = *removeFixtures(state, {{1}});
    EXPECT_FALSE(cue(1000)->values.contains({1}));
    EXPECT_FALSE(cue(1000)->versions[0].values.contains({1}));
    EXPECT_TRUE(cue(1000)->versions[0].values.contains({2}));
}

TEST_F(Cues, ItIsKnownWhichCueSaidWhatALampShows) {
    keep(1000, lit({{1}, {2}}, "gel:104", 0.5), {{1}, {2}});
    keep(2000, withIntensity(lit({{1}, {2}}, "gel:104", 0.5), {{1}}, 0.9), {{1}, {2}});
    keep(3000, lit({{1}}, "gel:338", 0.9), {{1}});
    const auto by = saidBy(list(), {3000}, {1});
    EXPECT_EQ(by.intensity, CueNumber{2000});
    EXPECT_EQ(by.colour, CueNumber{3000});
    EXPECT_EQ(saidBy(list(), {2000}, {1}).colour, CueNumber{1000});
    EXPECT_EQ(saidBy(list(), {3000}, {2}).intensity, CueNumber{1000});
    EXPECT_FALSE(saidBy(list(), {3000}, {4}).intensity);
}

TEST_F(Cues, ALookGoesOntoOtherLampsByOrder) {
    HandPtr hand = lit({{1}}, "gel:104", 0.2);
    hand = withIntensity(hand, {{2}}, 0.8);
    const Values onto = byOrder(*hand, {{1}, {2}}, {{4}, {3}, {2}});
    EXPECT_EQ(*onto.find({4})->intensity->here(), 0.2);
    EXPECT_EQ(*onto.find({3})->intensity->here(), 0.8);
    EXPECT_EQ(*onto.find({2})->intensity->here(), 0.2) << "from the beginning again";
    EXPECT_TRUE(onto.find({4})->colour && !onto.find({3})->colour);
    EXPECT_TRUE(byOrder(*hand, {}, all).empty());
}

TEST_F(Cues, WhatIsInHandIsPutDownInParts) {
    HandPtr hand = withSetting(lit({{1}, {2}}, "gel:104", 0.5), {{1}}, "Zoom", 1);
    hand = putDown(hand, {{1}}, Which::Colour);
    EXPECT_FALSE(hand->find({1})->colour);
    EXPECT_TRUE(hand->find({1})->intensity);
    EXPECT_EQ(hand->find({1})->settings.size(), 1u);
    EXPECT_TRUE(hand->find({2})->colour);
    hand = putDown(hand, {{1}, {2}}, Which::Intensity);
    EXPECT_FALSE(hand->find({2})->intensity);
    hand = putDown(hand, {{1}}, Which::All);
    EXPECT_FALSE(hand->contains({1}));
    EXPECT_EQ(putDown(hand, {{1}}, Which::All), hand) << "nothing more: the very same";
}

TEST_F(Cues, ALookIsShownOnStageAndItsLampsLeaveTheHand) {
    Look look;
    look.name = "dusk";
    look.values = *lit({{1}, {2}}, "gel:104", 0.5);
    state.show = *addLook(state.show, look);
    state.hand = lit({{2}, {3}}, "gel:338", 1);
    const auto shown = *showLook(state, {1});
    EXPECT_EQ(*shown.show->standing.find({1}), *look.values.find({1}));
    EXPECT_FALSE(shown.hand->contains({2}));
    EXPECT_TRUE(shown.hand->contains({3}));
    EXPECT_FALSE(showLook(state, {9}));
}

TEST_F(Cues, APictureOfALookIsAPngOrAJpegOfABoundedSize) {
    state.show = *keepLook(state.show, *lit({{1}}, "gel:104", 1), {{1}}, "l");
    const std::string png = "\x89PNG\r\n\x1a\n and so on";
    state.show = *pictureOfLook(state.show, {1}, png);
    EXPECT_EQ(*state.show->lookOf({1})->picture, png);
    EXPECT_FALSE(pictureOfLook(state.show, {1}, "GIF89a"));
    EXPECT_EQ(pictureOfLook(state.show, {1}, png + std::string(kMostPicture, 'x')).error().code,
              ErrorCode::TooLarge);
    EXPECT_FALSE((*pictureOfLook(state.show, {1}, {}))->lookOf({1})->picture);
}

} // namespace
} // namespace zelo::show
