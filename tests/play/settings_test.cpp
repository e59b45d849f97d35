// SPDX-License-Identifier: GPL-3.0-or-later
// What lamps have beside intensity and colour, and lamps that are locked.
#include "play/light_check.h"
#include "play/shipped.h"
#include "play/shown_values.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/kept.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using test::wishFor;
using What = Command::What;

constexpr const char* kMode = "flags 16 bit with shutter and zoom";

class SettingsTest : public ::testing::Test {
protected:
    SettingsTest() {
        for (int i = 0; i < 2; ++i) {
            show::Fixture f;
            f.type = "skua-cmy";
            f.mode = kMode;
            f.address = 1 + 40 * i;
            show = *show::addFixture(show, f);
        }
        show::CueList list;
        list.name = "main";
        list.release_s = 2;
        show = *show::addCueList(show, list);
    }
    void cue(int number, const show::HandPtr& says, double up_s = 4) {
        show::Cue cue;
        cue.number = {number};
        cue.up_s = cue.down_s = up_s;
        show = *show::keepAsCue({show, says}, both, {1}, cue, true);
    }
    static show::HandPtr lit(double intensity) {
        return show::withIntensity(show::emptyHand(), {{1}, {2}}, intensity);
    }
    void start() {
        compiled_ = std::make_shared<const Compiled>(compiled({show, hand}, shipped, mixes));
        playing = std::make_unique<Playing>(compiled_);
    }
    void goOn(double t) { // what was changed takes over while it plays
        auto next = std::make_unique<Playing>(compiled_ = std::make_shared<const Compiled>(compiled(
                                                  {show, hand}, shipped, mixes, compiled_.get())));
        next->takeOver(*playing, t, 0);
        playing = std::move(next);
    }
    void press(What what, double t, double value = 0) { playing->apply({what, 0, value, {}}, t); }
    // The value of a channel that is sent at t.
    std::uint32_t sent(const std::string& channel, double t, std::uint32_t lamp = 0) {
        playing->step(t);
        const auto& channels = compiled_->mixers[lamp]->mode().channels;
        for (std::size_t i = 0; i < channels.size(); ++i)
            if (channels[i].name == channel)
                return playing->newest().values[lamp][i];
        ADD_FAILURE() << channel;
        return 0;
    }
    Stage stage(double t) {
        playing->step(t);
        std::vector<Rest> rests;
        Stage now = stageOf(*compiled_, playing->newest(), controls, rounding, rests);
        playing->rest(rests);
        return now;
    }
    Shipped shipped;
    Mixes mixes;
    Rounding rounding;
    Controls controls;
    const show::Lineup both{{1}, {2}};
    show::ShowPtr show = show::emptyState().show;
    show::HandPtr hand = show::emptyHand();
    std::shared_ptr<const Compiled> compiled_;
    std::unique_ptr<Playing> playing;
};

TEST_F(SettingsTest, TheTypeNamesThemWithTheirRanges) {
    const auto type = test::shippedType("skua-cmy");
    const light::Mode& mode = *type->mode(kMode);
    const auto all = mode.settings();
    ASSERT_EQ(all.size(), 2u);
    const light::Channel& shutter = mode.channels[all[0]];
    EXPECT_EQ(shutter.name, "Shutter");
    EXPECT_TRUE(shutter.snaps);
    ASSERT_EQ(shutter.named.size(), 4u);
    EXPECT_EQ(shutter.named[1].name, "Open");
    EXPECT_EQ(shutter.named[1].from, 16u);
    EXPECT_EQ(shutter.named[1].to, 63u);
    EXPECT_EQ(shutter.named[3].to, 255u);
    EXPECT_EQ(light::settingText(shutter, 0), "Closed");
    EXPECT_EQ(light::settingText(shutter, 144), "Strobe 50 %");
    const light::Channel& zoom = mode.channels[all[1]];
    EXPECT_EQ(zoom.name, "Zoom");
    EXPECT_FALSE(zoom.snaps);
    EXPECT_TRUE(zoom.named.empty());
}

TEST_F(SettingsTest, TheyRestAsTheDataSaysSoThatThereIsLight) {
    hand = lit(1);
    start();
    EXPECT_EQ(sent("Shutter", 0), 32u);
    EXPECT_EQ(sent("Zoom", 0), 16384u);
    const Stage now = stage(1);
    EXPECT_EQ(now.lamps[0].dark, DarkWhy::None);
    EXPECT_EQ(now.lamps[0].sent.values[1], 32u) << "also rounded together";
}

TEST_F(SettingsTest, ACueGoesThereInItsTimeOrJumps) {
    cue(1000, show::withSetting(show::withSetting(lit(1), both, "Zoom", 0), {{1}}, "Shutter", 0.5),
        0);
    cue(2000, show::withSetting(show::withSetting(lit(1), both, "Zoom", 1), {{1}}, "Shutter", 1));
    start();
    press(What::Next, 0);
    EXPECT_EQ(sent("Zoom", 1), 0u);
    EXPECT_EQ(sent("Shutter", 1), 128u);
    EXPECT_EQ(sent("Shutter", 1, 1), 32u) << "the other lamp's shutter was never said";
    press(What::Next, 2);
    EXPECT_EQ(sent("Zoom", 4), 32768u) << "half way";
    EXPECT_EQ(sent("Shutter", 2.1), 255u) << "it snaps, as its data says";
    EXPECT_EQ(sent("Zoom", 6), 65535u);
    EXPECT_FALSE(playing->newest().runs);
    press(What::Release, 7);
    EXPECT_EQ(sent("Zoom", 7), 65535u);
    EXPECT_EQ(sent("Zoom", 10), 16384u) << "back at rest";
}

TEST_F(SettingsTest, ADarkLampIsThereBeforeItsLightComes) {
    cue(1000, show::withSetting(lit(1), both, "Zoom", 1));
    start();
    press(What::Next, 1);
    EXPECT_EQ(sent("Zoom", 1), 65535u);
}

TEST_F(SettingsTest, TheLatestCountsAndTheHandIsOverAll) {
    show::Look look;
    look.name = "wide";
    look.values = *show::withSetting(lit(0.5), both, "Zoom", 0.25);
    show = *show::addLook(show, look);
    show::Fader fader;
    fader.name = "wide";
    fader.look = {1};
    show = *show::addFader(show, fader);
    cue(1000, show::withSetting(lit(1), both, "Zoom", 1), 0);
    start();
    press(What::Next, 0);
    EXPECT_EQ(sent("Zoom", 1), 65535u);
    press(What::Fader, 2, 0.1);
    EXPECT_EQ(sent("Zoom", 2), 16384u) << "a quarter: the fader came later";
    press(What::Fader, 3, 0);
    EXPECT_EQ(sent("Zoom", 3), 65535u);
    hand = show::withSetting(hand, {{1}}, "Zoom", 0.5);
    start();
    EXPECT_EQ(sent("Zoom", 0), 32768u);
    EXPECT_EQ(sent("Zoom", 0, 1), 16384u);
}

TEST_F(SettingsTest, OnlyWhatWasChangedIsKept) {
    hand = show::withSetting(lit(1), {{1}}, "Shutter", 1);
    start();
    const auto values = shownValues(stage(0), both);
    EXPECT_EQ(values.find({1})->settings, (show::PartLevels{{"Shutter", 1}}));
    EXPECT_TRUE(values.find({2})->settings.empty());
}

TEST_F(SettingsTest, TheLightCheckTellsWhatIsNotAtRest) {
    hand = show::withSetting(lit(1), {{1}}, "Shutter", 0);
    start();
    const Stage now = stage(0);
    const auto links = *lightCheck(now, {1}, [](const show::Fixture&) { return 20; }, {});
    const auto told = std::any_of(links.begin(), links.end(), [](const CheckLink& link) {
        return link.words.english().find("Shutter Closed") != std::string::npos;
    });
    EXPECT_TRUE(told);
}

// --- locks

TEST_F(SettingsTest, ALockedLampKeepsWhatItShowsAgainstAllButDark) {
    hand = show::withSetting(show::withColour(lit(0.6), both, wishFor("gel:104")), both, "Zoom", 1);
    controls.master = 0.5;
    start();
    press(What::Master, 0, 0.5);
    const Stage before = stage(0);
    show = *show::lockLamps(show, lockedValues(before, {{1}}));
    hand = show::withColour(lit(1), both, wishFor("gel:338"));
    cue(1000, show::withSetting(lit(0.1), both, "Zoom", 0), 0);
    start();
    press(What::Next, 0);
    press(What::Master, 0, 0.2);
    playing->apply({What::Solo, 1, 0, {}}, 0);
    const Stage after = stage(1);
    EXPECT_EQ(after.lamps[0].sent.values, before.lamps[0].sent.values)
        << "cue, hand, solo and master leave it alone";
    EXPECT_TRUE(after.lamps[0].locked);
    EXPECT_EQ(after.lamps[0].dark, DarkWhy::None);
    EXPECT_EQ(after.lamps[0].colour_from.layer, Engine::From::Layer::Locked);
    EXPECT_NE(after.lamps[1].sent.values, before.lamps[1].sent.values);
    press(What::Dark, 2, 1);
    const Stage dark = stage(2);
    EXPECT_EQ(dark.lamps[0].sent.xyz.Y, 0);
    EXPECT_EQ(dark.lamps[0].dark, DarkWhy::Blackout);
    press(What::Dark, 3, 0);
    show = *show::unlockLamps(show, {{1}});
    start();
    EXPECT_NEAR(stage(0).lamps[0].intensity, 1, 1e-9) << "the hand has it again";
}

TEST_F(SettingsTest, UnlockedItFadesToWhatIsToBeShownInTheTimeInHand) {
    hand = lit(1);
    show = *show::lockLamps(show, [&] {
        start();
        return lockedValues(stage(0), {{1}});
    }());
    hand = lit(0.5);
    start();
    EXPECT_NEAR(stage(0).lamps[0].intensity, 1, 1e-9);
    show = *show::unlockLamps(show, {{1}});
    const auto was = std::move(playing);
    start();
    playing->takeOver(*was, 10, 4);
    playing->step(12);
    EXPECT_NEAR(playing->newest().shown.intensity[0], 0.75, 1e-9);
}

TEST_F(SettingsTest, LockedInTheDarkItSaysSo) {
    start();
    show = *show::lockLamps(show, lockedValues(stage(0), {{1}}));
    hand = lit(1);
    start();
    EXPECT_EQ(stage(0).lamps[0].dark, DarkWhy::Locked);
    EXPECT_FALSE(show::lockLamps(show, show::Values{}.with({9}, show::Value{})));
}

// --- lists on faders, and the time of day

TEST_F(SettingsTest, AListOnAFaderPlaysWhileItIsUp) {
    cue(1000, lit(0.8), 0);
    cue(2000, lit(0.4), 0);
    show::Fader fader;
    fader.name = "main";
    fader.list = {1};
    show = *show::addFader(show, fader);
    EXPECT_FALSE(show::removeCueList(show, {1})) << "a fader plays it";
    start();
    const auto level = [&](double t) {
        playing->step(t);
        return playing->newest().shown.intensity[0];
    };
    press(What::Fader, 0, 0.5);
    EXPECT_NEAR(level(1), 0.4, 1e-12) << "half of its first cue";
    press(What::Next, 2);
    EXPECT_NEAR(level(3), 0.2, 1e-12);
    press(What::Fader, 4, 1);
    EXPECT_NEAR(level(4), 0.4, 1e-12) << "it goes on where it is";
    press(What::Fader, 5, 0);
    EXPECT_EQ(level(5), 0);
    EXPECT_EQ(playing->newest().lists[0].cue, -1);
    press(What::Fader, 6, 1);
    EXPECT_NEAR(level(6), 0.8, 1e-12) << "from its first cue again";
    press(What::Fader, 7, 0);
    press(What::Next, 8);
    EXPECT_NEAR(level(9), 0.8, 1e-12) << "with the fader down it plays as any list";
}

TEST_F(SettingsTest, TheListOfAFaderThatIsTakenAwayIsLetGoInItsTime) {
    cue(1000, lit(0.8), 0);
    show::Fader fader;
    fader.name = "main";
    fader.list = {1};
    show = *show::addFader(show, fader);
    const double release_s = show->cue_lists.find({1})->release_s;
    ASSERT_GT(release_s, 0);
    start();
    const auto level = [&](double t) {
        playing->step(t);
        return playing->newest().shown.intensity[0];
    };
    press(What::Fader, 0, 0.5);
    EXPECT_NEAR(level(1), 0.4, 1e-12);
    show = *show::removeFader(show, {1});
    goOn(1);
    EXPECT_NEAR(level(1), 0.4, 1e-12) << "no jump";
    EXPECT_NEAR(level(1 + release_s / 2), 0.2, 1e-9);
    EXPECT_EQ(level(1 + release_s), 0);
    EXPECT_EQ(playing->newest().lists[0].cue, -1);
    press(What::Next, 10);
    EXPECT_NEAR(level(11), 0.8, 1e-12) << "as any list, at full";
}

TEST_F(SettingsTest, AFaderBelowWhatShowsSaysThatItWaits) {
    show::Look look;
    look.name = "low";
    look.values = *lit(0.5);
    show = *show::addLook(show, look);
    show::Fader fader;
    fader.name = "low";
    fader.look = {1};
    fader.adds = false;
    show = *show::addFader(show, fader);
    cue(1000, lit(0.4), 0);
    start();
    press(What::Next, 0);
    press(What::Fader, 1, 0.6);
    EXPECT_TRUE(stage(1).faders[0].hidden) << "0.3 under 0.4";
    press(What::Fader, 2, 0.9);
    EXPECT_FALSE(stage(2).faders[0].hidden);
    press(What::Fader, 3, 0);
    EXPECT_FALSE(stage(3).faders[0].hidden) << "down it says nothing";
}

TEST_F(SettingsTest, AFaderThatAddsNothingIsNamedWhereItMakesALampDark) {
    show = *show::keepHand(show, *lit(1));
    show::Look look;
    look.name = "gap";
    look.values = *show::withIntensity(lit(0.5), {{2}}, 0);
    show = *show::addLook(show, look);
    show::Fader fader;
    fader.name = "gap";
    fader.look = {1};
    show = *show::addFader(show, fader);
    start();
    press(What::Fader, 0, 1);
    const Stage now = stage(1);
    EXPECT_EQ(now.lamps[1].intensity, 0) << "its value counts, and is 0";
    EXPECT_EQ(now.lamps[1].intensity_from.layer, Engine::From::Layer::Adding);
    EXPECT_EQ(now.lamps[0].intensity_from.layer, Engine::From::Layer::Adding);
}

TEST_F(SettingsTest, ACueFollowsAtATimeOfDayAlsoPastMidnight) {
    cue(1000, lit(0.2), 0);
    cue(2000, lit(0.8), 0);
    show = *show::changeCues(show, {1}, {{1000}}, [](show::Cue& c) {
        c.follow = show::FollowWhen::TimeOfDay;
        c.follow_s = 30; // half a minute past midnight
    });
    start();
    const auto level = [&](double t) {
        playing->step(t);
        return playing->newest().shown.intensity[0];
    };
    press(What::Next, 0);
    EXPECT_NEAR(level(100), 0.2, 1e-12) << "nobody told the time";
    press(What::TimeOfDay, 100, 86'380); // twenty seconds to midnight
    press(What::Rate, 100, 2);           // a clock runs as it runs
    EXPECT_NEAR(level(149.9), 0.2, 1e-12);
    EXPECT_NEAR(level(150.1), 0.8, 1e-12);
    start();
    press(What::TimeOfDay, 0, 40); // past it: tomorrow
    press(What::Next, 0);
    press(What::Hold, 1);
    EXPECT_NEAR(level(86'400), 0.2, 1e-12) << "a list that is held waits";
    press(What::Hold, 86'400);
    EXPECT_NEAR(level(86'400.1), 0.8, 1e-12);
}

} // namespace
} // namespace zelo::play
