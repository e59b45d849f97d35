// SPDX-License-Identifier: GPL-3.0-or-later
// Cues of another desk, read into a show; and what another desk does with ours.
#include "files/show_file.h"
#include "host/handed_check.h"
#include "host/take_cues.h"
#include "play/shipped.h"
#include "play/stage.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::host {
namespace {

using test::wishFor;

class TakeCues : public ::testing::Test {
protected:
    TakeCues() {
        add("petrel-4", 1);
        add("avocet-7", 101, "emitters 16 bit without dimmer");
        show::CueList list;
        list.name = "main";
        show = *show::addCueList(show, list);
    }
    void add(const char* type, int address, const char* mode = "") {
        show::Fixture f;
        f.type = type;
        f.mode = mode;
        f.address = address;
        show = *show::addFixture(show, f);
        lamps.push_back({show->last_fixture_id});
    }
    Result<TakenCues> taken(const std::string& text) {
        const auto cues = files::parseAsciiCues(text);
        EXPECT_TRUE(cues) << cues.error().text();
        return takeCues(*show, shipped, mixes, *cues, "theirs");
    }
    void keep(int number, const char* asked, double intensity, route::Kind kind) {
        show::Cue cue;
        cue.number = {number};
        cue.up_s = cue.down_s = 4;
        cue.way = route::StopWay{};
        cue.way->kind = kind;
        show = *show::keepAsCue(
            {show, show::withIntensity(show::withColour(show::emptyHand(), lamps, wishFor(asked)),
                                       lamps, intensity)},
            lamps, {1}, cue, true);
    }
    play::Shipped shipped;
    play::Mixes mixes;
    show::ShowPtr show = show::emptyState().show;
    show::Lineup lamps;
};

TEST_F(TakeCues, WhatWeHandOverComesBackAsTheSameLight) {
    keep(1000, "gel:214", 0.5, route::Kind::Levels);
    keep(2000, "gel:341", 1, route::Kind::Levels);
    const auto handed = *handOver(show, shipped, mixes, {{1}});
    const auto back = taken(files::asciiCuesText(handed.cues));
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_TRUE(back->notes.empty());
    ASSERT_EQ(back->list.cues.size(), handed.cues.cues.size());
    const auto light = [&](const show::CueList& list, show::CueNumber number) {
        const auto values = std::make_shared<const show::Values>(show::standsFor(list, number));
        return play::computeStage({show, values}, {}, shipped, mixes);
    };
    for (const int number : {1000, 2000}) {
        const auto ours = light(*show->cue_lists.find({1}), {number});
        const auto theirs = light(back->list, {number + 999}); // with its steps
        for (std::size_t i = 0; i < ours.lamps.size(); ++i) {
            const auto& a = ours.lamps[i].sent.xyz;
            const auto& b = theirs.lamps[i].sent.xyz;
            EXPECT_NEAR(b.Y / a.Y, 1, 0.02) << number << ", lamp " << i;
            EXPECT_LT(colour::distance(colour::toUv(a), colour::toUv(b)), 0.002)
                << number << ", lamp " << i;
        }
    }
    double whole_s = 0; // of the steps of cue 2 together
    for (const auto& [number, cue] : back->list.cues)
        whole_s += number < show::CueNumber{2000} ? 0 : cue->up_s;
    EXPECT_NEAR(whole_s, 4, 0.01);
}

TEST_F(TakeCues, TimesNumbersAndWhatIsNotReadAreKept) {
    const auto back = taken("Ident 3:0\n"
                            "Patch 1 1<1@100 2<2@100 9<400@100\n"
                            "Cue 1\n Text Dawn\n Up 3 1\n Down 1:30\n Followon 7\n"
                            " $$Effect wobble 3\n Chan 1@HFF 2@50 9@100\n"
                            "Cue 1.5\n Chan 1@HFF 2@50\n"
                            "Cue 1.5\n Chan 1@0\n"
                            "Sub 4\n Chan 1@100 2@100\n"
                            "Cue 2\n Chan 2@50\n"
                            "ENDDATA\n");
    ASSERT_TRUE(back) << back.error().text();
    const auto& cues = back->list.cues;
    ASSERT_EQ(cues.size(), 3u);
    const show::Cue& first = *cues.find({1000});
    EXPECT_EQ(first.name, "Dawn");
    EXPECT_EQ(first.up_s, 3);
    EXPECT_EQ(first.up_delay_s, 1);
    EXPECT_EQ(first.down_s, 90);
    EXPECT_EQ(first.follow, show::FollowWhen::AfterStart);
    EXPECT_EQ(first.follow_s, 7);
    EXPECT_NE(first.note.find("$$Effect wobble 3"), std::string::npos);
    EXPECT_EQ(*first.values.find({1})->intensity->here(), 1);
    EXPECT_NEAR(first.values.find({1})->parts.at("Red"), 0.5, 0.003);
    EXPECT_FALSE(first.values.contains({2})) << "nothing of it is patched";
    EXPECT_TRUE(cues.find({1500})->values.empty()) << "it changes nothing";
    EXPECT_EQ(*cues.find({2000})->values.find({1})->intensity->here(), 0)
        << "a channel that is not named is at 0; submasters are no part of the cue before";
    EXPECT_TRUE(cues.find({2000})->values.find({1})->parts.empty());
    std::string notes;
    for (const auto& note : back->notes)
        notes += note.english() + "\n";
    EXPECT_NE(notes.find("cue 1.5 is there twice"), std::string::npos) << notes;
    EXPECT_NE(notes.find("1 channels"), std::string::npos) << notes;
}

TEST_F(TakeCues, WithoutAPatchAChannelIsTheSlotOfItsNumber) {
    const auto back = taken("Ident 3:0\nCue 1\n Chan 1@HFF\nENDDATA\n");
    ASSERT_TRUE(back);
    EXPECT_EQ(*back->list.cues.find({1000})->values.find({1})->intensity->here(), 1);
    EXPECT_EQ(*back->list.cues.find({1000})->values.find({2})->intensity->here(), 0);
}

TEST_F(TakeCues, CuesThatReachNoLampAreRefused) {
    EXPECT_FALSE(taken("Ident 3:0\nPatch 1 1<300@100\nCue 1\n Chan 1@HFF\nENDDATA\n"));
    EXPECT_FALSE(taken("Ident 3:0\nENDDATA\n"));
    EXPECT_FALSE(taken("Ident 3:0\nCue 12345678\n Chan 1@HFF\nENDDATA\n"));
}

TEST_F(TakeCues, AnotherDeskShowsTheFaultsThatAreAskedForAndNoOthers) {
    keep(1000, "gel:104", 1, route::Kind::Around);
    keep(2000, "gel:338", 1, route::Kind::Around);
    const auto round = checkHandedOver(show, shipped, mixes, {{1}});
    ASSERT_TRUE(round);
    EXPECT_TRUE(round->empty()) << "planned ways go as steps: " << round->front().what.english();
    keep(3000, "gel:104", 1, route::Kind::Levels);
    const auto plain = checkHandedOver(show, shipped, mixes, {{1}});
    ASSERT_TRUE(plain);
    ASSERT_FALSE(plain->empty());
    for (const auto& finding : *plain) {
        EXPECT_EQ(finding.cue, show::CueNumber{3000});
        EXPECT_EQ(finding.moments.size(), 57u);
    }
    EXPECT_FALSE(checkHandedOver(show, shipped, mixes, {{7}}));
}

} // namespace
} // namespace zelo::host
