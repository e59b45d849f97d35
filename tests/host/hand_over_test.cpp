// SPDX-License-Identifier: GPL-3.0-or-later
// A cue list as another desk plays it.
#include "files/show_file.h"
#include "host/hand_over.h"
#include "host/sheets.h"
#include "light/levels.h"
#include "play/ripple_raster.h"
#include "play/shipped.h"
#include "play/stage.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/ripple_edits.h"
#include "support/asked.h"
#include "support/places.h"

#include <gtest/gtest.h>

#include <cmath>

namespace zelo::host {
namespace {

using test::wishFor;

class HandOverTest : public ::testing::Test {
protected:
    HandOverTest() {
        for (const char* type : {"gannet-8", "petrel-4"}) {
            show::Fixture f;
            f.type = type;
            f.universe = static_cast<std::uint16_t>(all.size() + 1);
            f.address = 11;
            show = *show::addFixture(show, f);
            all.push_back({show->last_fixture_id});
        }
        show::CueList list;
        list.name = "main";
        show = *show::addCueList(show, list);
    }
    void keep(int number, const char* asked, double intensity, route::Kind kind, double up_s = 4,
              double down_s = 4) {
        show::Cue cue;
        cue.number = {number};
        cue.name = asked;
        cue.up_s = up_s;
        cue.down_s = down_s;
        cue.way = route::StopWay{};
        cue.way->kind = kind;
        show = *show::keepAsCue(
            {show, show::withIntensity(show::withColour(show::emptyHand(), all, wishFor(asked)),
                                       all, intensity)},
            all, {1}, cue, true);
    }
    HandedOver handed() {
        auto made = handOver(show, shipped, mixes, {{1}});
        EXPECT_TRUE(made);
        // As it arrives there.
        auto read = files::parseAsciiCues(files::asciiCuesText(made->cues));
        EXPECT_TRUE(read) << read.error().text();
        made->cues = *read;
        return *made;
    }
    // The light of a lamp when each slot stands where a straight fade has it at this share.
    colour::Xyz between(const files::AsciiCue& a, const files::AsciiCue& b, double share,
                        std::size_t lamp) {
        const mix::Mixer mixer = test::shippedMixer(lamp == 0 ? "gannet-8" : "petrel-4");
        std::size_t first = 0;
        if (lamp == 1)
            first = static_cast<std::size_t>(test::shippedMixer("gannet-8").mode().footprint);
        const auto count = static_cast<std::size_t>(mixer.mode().footprint);
        std::vector<std::uint8_t> slots;
        for (std::size_t s = first; s < first + count; ++s)
            slots.push_back(static_cast<std::uint8_t>(std::lround(
                255 * (a.levels[s].level + share * (b.levels[s].level - a.levels[s].level)))));
        return mix::sentAs(mixer, light::readSlots(mixer.mode(), slots)).xyz;
    }
    play::Shipped shipped;
    play::Mixes mixes;
    show::ShowPtr show = show::emptyState().show;
    show::Lineup all;
};

TEST_F(HandOverTest, PlainFadesStayOneCueWithTheirTimes) {
    keep(1000, "gel:214", 0.5, route::Kind::Levels);
    keep(2000, "gel:214", 1, route::Kind::Levels, 3, 7);
    const auto made = handed();
    const auto& last = made.cues.cues.back();
    EXPECT_EQ(last.number, "2");
    EXPECT_EQ(last.up->time_s, 3);
    EXPECT_EQ(last.down->time_s, 7);
    // Each lamp at rest as we send it, where it is patched.
    const auto stage = play::computeStage(
        {show,
         std::make_shared<const show::Values>(show::standsFor(*show->cue_lists.find({1}), {2000}))},
        {}, shipped, mixes);
    for (std::size_t lamp = 0; lamp < 2; ++lamp) {
        const auto light = between(last, last, 0, lamp);
        EXPECT_LT(norm(light - stage.lamps[lamp].sent.xyz), 1e-6 * norm(light)) << lamp;
    }
    EXPECT_EQ(made.cues.patch.front().dimmer, 11);
    EXPECT_EQ(made.cues.patch.back().dimmer,
              512 + 11 + test::shippedMixer("petrel-4").mode().footprint - 1);
}

// Red to cyan round the white: a desk alone would go through it, with the steps it does not.
TEST_F(HandOverTest, PlannedWaysBecomeStepsBetweenTheNumbers) {
    keep(1000, "gel:104", 1, route::Kind::Levels);
    keep(2000, "gel:338", 1, route::Kind::Around);
    keep(3000, "gel:104", 1, route::Kind::Levels);
    const auto made = handed();
    const auto& cues = made.cues.cues;
    ASSERT_EQ(cues.size(), 3u + static_cast<std::size_t>(made.steps));
    const auto numberOf = [](const files::AsciiCue& cue) { return std::stod(cue.number); };
    const auto at = [&](double number) { // the first from this number on
        return static_cast<std::size_t>(
            std::find_if(cues.begin(), cues.end(),
                         [&](const files::AsciiCue& cue) { return numberOf(cue) >= number; }) -
            cues.begin());
    };
    const std::size_t first = at(2), end = at(3);
    ASSERT_GT(end, first + 2) << "in pieces";
    ASSERT_LE(end, first + 12) << "not in crumbs";
    const auto disc = *route::Disc::of(test::shippedMixer("gannet-8").hull(), {0.19, 0.48});
    const auto saturation = [&](std::size_t a, std::size_t b, double share) {
        return disc.saturation(colour::toUv(between(cues[a], cues[b], share, 0)));
    };
    const double ends =
        std::min(saturation(first - 1, first - 1, 0), saturation(end - 1, end - 1, 0));
    double least = 1, plain = 1, time = 0;
    for (std::size_t i = first; i < end; ++i) {
        EXPECT_GT(numberOf(cues[i]), numberOf(cues[i - 1]));
        time += cues[i].up->time_s;
        if (i + 1 < end)
            EXPECT_NEAR(cues[i].follow_s.value_or(-1), cues[i].up->time_s, 1e-3)
                << "one follows the other";
        for (double share = 0; share <= 1; share += 0.1)
            least = std::min(least, saturation(i - 1, i, share));
    }
    for (double share = 0; share <= 1; share += 0.1)
        plain = std::min(plain, saturation(first - 1, end - 1, share));
    EXPECT_FALSE(cues[end - 1].follow_s) << "the last waits";
    EXPECT_NEAR(time, 4, 0.01);
    EXPECT_GT(least, 0.6 * ends) << "never through white";
    EXPECT_LT(plain, 0.3 * ends) << "as it would have gone";
}

TEST_F(HandOverTest, FollowsGoOnFromTheLastStep) {
    keep(1000, "gel:104", 1, route::Kind::Levels);
    keep(2000, "gel:338", 1, route::Kind::Around);
    keep(2001, "gel:104", 0.5, route::Kind::Levels); // no room for steps between
    show = *show::changeCues(show, {1}, {{2000}, {2001}}, [](show::Cue& cue) {
        cue.follow = show::FollowWhen::AfterStart;
        cue.follow_s = 9;
    });
    const auto made = handed();
    ASSERT_EQ(made.notes.size(), 1u);
    EXPECT_NE(made.notes[0].english().find("cue 2"), std::string::npos);
    const auto two = std::find_if(made.cues.cues.begin(), made.cues.cues.end(),
                                  [](const files::AsciiCue& cue) { return cue.number == "2"; });
    ASSERT_NE(two, made.cues.cues.end());
    EXPECT_EQ(two->follow_s, 9);
    EXPECT_FALSE(handOver(show, shipped, mixes, {{7}}));
    int looks = 0;
    const auto stopped = handOver(show, shipped, mixes, {{1}}, [&] { return ++looks > 1; });
    EXPECT_EQ(stopped->cues.cues.back().number.substr(0, 1), "1") << "what there was then";
}

TEST_F(HandOverTest, TheDemoShowGoesOverWhole) {
    const auto demo = files::readShow(std::string(places::data) + "/shows/salt-lanterns.zelo");
    ASSERT_TRUE(demo);
    show = demo->show;
    const auto made = handed();
    std::set<std::string> numbers;
    for (const auto& cue : made.cues.cues)
        EXPECT_TRUE(numbers.insert(cue.number).second) << cue.number;
    for (const auto& [number, cue] : show->cue_lists.find({1})->cues)
        EXPECT_TRUE(numbers.contains(show::toText(number))) << show::toText(number);
    EXPECT_GT(made.steps, 10);
    EXPECT_TRUE(made.notes.empty());
    EXPECT_EQ(made.cues.groups.size(), show->groups.size());
    std::printf("[ figures  ] %zu cues, %d of them steps\n", made.cues.cues.size(), made.steps);
    const std::string sheet = cueSheet(*show, *show->cue_lists.find({1}));
    EXPECT_EQ(std::count(sheet.begin(), sheet.end(), '\n'), 32);
    EXPECT_NE(sheet.find("\"Preset, dusk\",5,5"), std::string::npos) << "a comma is quoted";
    EXPECT_NE(sheet.find(",by violet,"), std::string::npos);
}

TEST(Sheets, ColoursAndThePatchAsTables) {
    const auto demo = files::readShow(std::string(places::data) + "/shows/salt-lanterns.zelo");
    ASSERT_TRUE(demo);
    show::ShowPtr show = demo->show;
    show::Fixture odd = *show->fixture({1});
    odd.label = "left, \"near\"";
    show = *show::changeFixture(show, odd);
    play::Shipped shipped;
    play::Mixes mixes;
    const auto lines = [](const std::string& text) {
        return static_cast<std::size_t>(std::count(text.begin(), text.end(), '\n'));
    };
    const std::string patch = patchSheet(*show, shipped);
    EXPECT_EQ(lines(patch), show->fixtures.size() + 1);
    EXPECT_NE(patch.find("1,\"left, \"\"near\"\"\",Petrel 4,"), std::string::npos) << patch;
    const std::string colours = colourSheet(*show, shipped, mixes);
    EXPECT_EQ(lines(colours), show->palettes.size() + 1);
    EXPECT_NE(colours.find(",gradient,"), std::string::npos);
    EXPECT_NE(colours.find(",gel:214@3200,"), std::string::npos) << colours;
}

// Orange and blue chase each other along both lamps, intensities with them.
TEST_F(HandOverTest, ATurnOfARippleIsCuesThatFollowEachOther) {
    show::Ripple r;
    r.name = "tide";
    r.lamps = all;
    r.after_s = 0.5;
    for (const char* colour : {"xy:0.52,0.4", "xy:0.2,0.2", "xy:0.3,0.5"}) {
        r = show::withStep(std::move(r), test::asked(colour),
                           (*mixes.wanted(shipped, test::asked(colour)))->uv());
        r.steps.back().change = 0.7;
        r.steps.back().intensity = 0.9;
    }
    show = *show::addRipple(show, r);
    r.id = {1};
    const auto made = handOverTurn(show, shipped, mixes, {1});
    ASSERT_TRUE(made) << made.error().text();
    const auto& cues = made->cues.cues;
    EXPECT_EQ(cues.size(), static_cast<std::size_t>(made->steps) + 1);
    EXPECT_LT(cues.size(), 30u) << "not in crumbs";
    play::Ways ways;
    const auto compiled =
        play::withWaysOfCues(std::make_shared<const play::Compiled>(
                                 play::compiled({show, show::emptyHand()}, shipped, mixes)),
                             ways);
    double begins = 0;
    for (std::size_t i = 1; i < cues.size(); ++i) {
        const double lasts = cues[i].up->time_s;
        EXPECT_EQ(cues[i].follow_s.has_value(), i + 1 < cues.size());
        for (double share = 0; share <= 1; share += 0.25) {
            const double t = begins + share * lasts;
            // Nobody sees two frames early or late.
            const auto raster = play::rasterOf(*compiled, r, {t - 0.05, t + 0.05, 9, 2});
            for (std::size_t lamp = 0; lamp < 2; ++lamp) {
                const auto theirs = colour::toUv(between(cues[i - 1], cues[i], share, lamp));
                double nearest = 1;
                for (std::size_t k = 0; k < 9; ++k)
                    nearest = std::min(
                        nearest, colour::distance(theirs, colour::toUv(raster.at(lamp, k).light)));
                EXPECT_LT(nearest, 0.008)
                    << "cue " << cues[i].number << " lamp " << lamp << " at " << t;
            }
        }
        begins += lasts;
    }
    EXPECT_NEAR(begins, 3, 0.01) << "one turn";
    EXPECT_EQ(cues.front().levels, cues.back().levels) << "it has come round";
    // What colours alone are, leaves the intensities to the other desk.
    for (auto& step : r.steps)
        step.intensity.reset();
    show = *show::changeRipple(show, r);
    const auto colours = handOverTurn(show, shipped, mixes, {1});
    std::size_t dimmers = 0;
    for (const char* type : {"gannet-8", "petrel-4"}) {
        const auto& mode = test::shippedMixer(type).mode();
        dimmers += mode.dimmer() ? mode.channels[*mode.dimmer()].offsets.size() : 0;
    }
    EXPECT_EQ(colours->cues.cues.front().levels.size() + dimmers, cues.front().levels.size());
}

TEST_F(HandOverTest, ATurnThatIsNoneIsRefused) {
    EXPECT_FALSE(handOverTurn(show, shipped, mixes, {1}));
    show::Ripple r;
    r.name = "tide";
    for (const double u : {0.2, 0.3})
        r = show::withStep(std::move(r), light::AskedUv{u, 0.47}, {u, 0.47});
    show = *show::addRipple(show, r);
    EXPECT_FALSE(handOverTurn(show, shipped, mixes, {1})) << "no lamps";
    r.id = {1};
    r.lamps = all;
    for (auto& step : r.steps)
        step.time_s = 0.01;
    show = *show::changeRipple(show, r);
    EXPECT_FALSE(handOverTurn(show, shipped, mixes, {1})) << "faster than cues";
}

} // namespace
} // namespace zelo::host
