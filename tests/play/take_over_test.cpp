// SPDX-License-Identifier: GPL-3.0-or-later
// A show that changes while it plays: what an engine hands on to the one after it.
#include "colour/cct.h"
#include "mix/rounding.h"
#include "play/cases.h"
#include "play/playing.h"
#include "play/shipped.h"
#include "play/stage.h"
#include "route/way.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/kept.h"
#include "show/routes.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using colour::Uv;
using test::wishFor;
using What = Command::What;

// Every case of the reference again, with the same program put anew before every press and look:
// nobody may see that.
TEST(TakeOver, TheSameProgramAnewIsNotSeen) {
    for (const auto& one : test::readJson("reference/play/cases.json")) {
        Case c(one);
        bool by_program = true; // hand and trims are the program's there, not pressed
        for (const auto& press : one["presses"])
            for (const Command& command : c.commandsOf(press[1].get<std::string>()))
                by_program = by_program && command.what != What::Trim &&
                             command.what != What::HandColour &&
                             command.what != What::HandIntensity;
        if (!by_program)
            continue;
        for (std::size_t i = 0; i < c.program.lamps; ++i)
            c.program.lamp_ids.push_back(static_cast<int>(i) + 1);
        for (std::size_t i = 0; i < c.program.lists.size(); ++i)
            c.program.list_ids.push_back(static_cast<int>(i) + 1);
        for (std::size_t i = 0; i < c.program.faders.size(); ++i)
            c.program.fader_ids.push_back(static_cast<int>(i) + 1);
        const auto program = std::make_shared<const Program>(c.program);
        auto engine = std::make_unique<Engine>(program);
        const auto anew = [&](double t) {
            auto next = std::make_unique<Engine>(program);
            next->takeOver(*engine, t, 3);
            engine = std::move(next);
        };
        Shown row = engine->rows();
        auto press = one["presses"].begin();
        for (const auto& look : one["expect"]) {
            const double t = look["t"].get<double>();
            for (; press != one["presses"].end() && (*press)[0].get<double>() <= t; ++press) {
                anew((*press)[0].get<double>());
                for (const Command& command : c.commandsOf((*press)[1].get<std::string>()))
                    engine->apply(command, (*press)[0].get<double>());
            }
            anew(t);
            engine->frame(t, row);
            for (std::size_t lamp = 0; lamp < c.program.lamps; ++lamp) {
                EXPECT_NEAR(row.intensity[lamp], look["lamps"][lamp]["i"].get<double>(), 2e-6)
                    << one["rule"] << " at " << t << ", lamp " << lamp + 1;
                for (std::size_t e = 0; e < 3; ++e)
                    EXPECT_NEAR(row.drives[3 * lamp + e], look["lamps"][lamp]["c"][e].get<double>(),
                                2e-6)
                        << one["rule"] << " at " << t << ", lamp " << lamp + 1;
            }
        }
    }
}

// Shows of shipped lamps, changed by hand at given times.
class TakeOverTest : public ::testing::Test {
protected:
    void add(const char* type) {
        show::Fixture f;
        f.type = type;
        f.address = next_;
        next_ += 40;
        show = *show::addFixture(show, f);
    }
    // The state as it is now, from t on.
    void put(double t, double fade_s = 0, bool plan = true) {
        const auto before = compiled;
        compiled = std::make_shared<const Compiled>(
            play::compiled({show, hand}, shipped, mixes, before.get()));
        if (plan)
            compiled = withWaysOfCues(withWaysOfChanges(compiled, before.get(), ways), ways);
        take(t, fade_s);
    }
    void take(double t, double fade_s) {
        auto next = std::make_unique<Playing>(compiled);
        if (playing)
            next->takeOver(*playing, t, fade_s);
        playing = std::move(next);
        playing->step(t);
    }
    const Moment& at(double t) {
        playing->step(t);
        return playing->newest();
    }
    light::Drives drives(const Moment& m, std::uint32_t lamp) {
        light::Drives d(compiled->program->parts(lamp));
        std::copy_n(m.shown.drives.begin() + compiled->program->first[lamp], d.size(), d.begin());
        return d;
    }
    Uv uv(const Moment& m, std::uint32_t lamp = 0) {
        return colour::toUv(compiled->mixers[lamp]->xyzOf(drives(m, lamp)));
    }
    void colour(const char* asked, const show::Lineup& lamps = {{1}}) {
        hand = show::withColour(hand, lamps, wishFor(asked));
    }

    Shipped shipped;
    Mixes mixes;
    Ways ways;
    show::ShowPtr show = show::emptyState().show;
    show::HandPtr hand = show::emptyHand();
    std::shared_ptr<const Compiled> compiled;
    std::unique_ptr<Playing> playing;
    int next_ = 1;
};

TEST_F(TakeOverTest, AChangeByHandFadesOnItsPlannedWay) {
    add("gannet-8");
    hand = show::withIntensity(hand, {{1}}, 1);
    colour("xy:0.62,0.33");
    put(0);
    const Uv red = uv(at(0));
    colour("xy:0.18,0.33");
    put(10, 4);
    EXPECT_LT(colour::distance(uv(at(10)), red), 1e-9) << "it begins where it was";
    const Uv cyan = compiled->asked[0].colour->wanted.uv();
    const auto disc = *route::Disc::of(compiled->mixers[0]->hull(), colour::planckianUv({4300}));
    std::vector<Uv> seen;
    for (double t = 10; t <= 14.001; t += 0.02) {
        seen.push_back(uv(at(t)));
        EXPECT_TRUE(playing->newest().runs == (t < 14)) << t;
    }
    EXPECT_LT(colour::distance(seen.back(), cyan), 1e-6);
    EXPECT_LT(route::whiteDip(disc, seen), 0.22) << "around the white, with a floor of 0.8";
    for (std::size_t i = 1; i < seen.size(); ++i)
        EXPECT_LT(colour::distance(seen[i], seen[i - 1]), 0.02) << "no jump at " << i;
}

TEST_F(TakeOverTest, WithoutTimeItIsThereAtOnceAlsoOutOfAFade) {
    add("gannet-8");
    hand = show::withIntensity(hand, {{1}}, 0.2);
    colour("cct:3200");
    put(0);
    hand = show::withIntensity(hand, {{1}}, 1);
    put(1, 4);
    EXPECT_NEAR(at(3).shown.intensity[0], 0.6, 1e-9);
    hand = show::withIntensity(hand, {{1}}, 0.5);
    put(3);
    EXPECT_EQ(at(3).shown.intensity[0], 0.5);
    EXPECT_FALSE(at(3).runs);
}

TEST_F(TakeOverTest, AnotherLampsChangeLeavesAFadeAlone) {
    add("gannet-8");
    add("petrel-4");
    const show::Lineup both{{1}, {2}};
    hand = show::withIntensity(hand, both, 1);
    colour("xy:0.62,0.33", both);
    put(0);
    colour("xy:0.18,0.33", {{1}});
    put(1, 4);
    const Uv before = uv(at(2.5));
    colour("cct:5600", {{2}});
    put(2.5);
    EXPECT_LT(colour::distance(uv(at(2.5)), before), 1e-9);
    EXPECT_LT(colour::distance(uv(at(2.5), 1), colour::planckianUv({5600})), 0.02) << "at once";
    const auto alone = uv(at(3.5));
    EXPECT_LT(colour::distance(uv(at(5)), compiled->asked[0].colour->wanted.uv()), 1e-6)
        << "in its own time";
    EXPECT_GT(colour::distance(alone, before), 0.01) << "it went on";
}

TEST_F(TakeOverTest, AWayThatComesLateIsEasedOnto) {
    add("gannet-8");
    hand = show::withIntensity(hand, {{1}}, 1);
    colour("xy:0.62,0.33");
    put(0);
    const auto first = compiled;
    colour("xy:0.18,0.33");
    put(1, 10, false); // straight in drives: through white
    const Uv straight = uv(at(2));
    compiled = withWaysOfChanges(compiled, first.get(), ways);
    take(2, 0);
    EXPECT_LT(colour::distance(uv(at(2)), straight), 1e-9) << "no jump onto it";
    light::Drives last = drives(at(2), 0);
    std::vector<Uv> seen;
    for (double t = 2; t <= 11; t += 1.0 / 44) {
        const auto now = drives(at(t), 0);
        for (std::size_t e = 0; e < now.size(); ++e)
            EXPECT_LT(std::abs(now[e] - last[e]), 0.03) << t;
        last = now;
        if (t > 5)
            seen.push_back(uv(at(t)));
    }
    const auto disc = *route::Disc::of(compiled->mixers[0]->hull(), colour::planckianUv({4300}));
    EXPECT_LT(route::whiteDip(disc, seen), 0.22) << "on the plan for the rest of the time";
}

TEST_F(TakeOverTest, ADarkLampTakesItsColourFirstAndKeepsItUntilItIsDark) {
    add("gannet-8");
    put(0);
    hand = show::withIntensity(hand, {{1}}, 1);
    colour("xy:0.18,0.33");
    put(1, 4);
    const Uv cyan = compiled->asked[0].colour->wanted.uv();
    EXPECT_LT(colour::distance(uv(at(1.1)), cyan), 1e-6) << "no fade up from white";
    EXPECT_NEAR(at(2).shown.intensity[0], 0.25, 1e-9);
    at(6);
    hand = show::emptyHand();
    put(7, 4);
    EXPECT_LT(colour::distance(uv(at(10.9)), cyan), 1e-6);
    EXPECT_EQ(at(11).shown.intensity[0], 0);
}

TEST_F(TakeOverTest, ARigThatChangesUnderAFadeLeavesNoLampStuck) {
    for (int i = 0; i < 4; ++i)
        add("gannet-8");
    const show::Lineup all{{1}, {2}, {3}, {4}};
    hand = show::withIntensity(hand, all, 0.2);
    colour("xy:0.62,0.33", all);
    put(0);
    hand = show::withIntensity(hand, all, 1);
    colour("xy:0.18,0.33", all);
    put(1, 10);
    const double before = at(3).shown.intensity[3];
    const show::State without = *show::removeFixtures({show, hand}, {{2}});
    show = without.show;
    hand = without.hand;
    auto other = *show->fixture({3});
    other.type = "petrel-4"; // another number of parts
    show = *show::changeFixture(show, other);
    put(3);
    EXPECT_EQ(compiled->fixtures.size(), 3u);
    EXPECT_NEAR(at(3).shown.intensity[2], before, 1e-9) << "the others do not mind";
    EXPECT_EQ(at(3).shown.intensity[1], 1) << "a lamp of another type shows what it is to show";
    for (double t = 3; t < 12; t += 0.1)
        for (const double i : at(t).shown.intensity)
            EXPECT_TRUE(i >= 0 && i <= 1);
    for (std::uint32_t lamp = 0; lamp < 3; ++lamp) {
        EXPECT_EQ(at(12).shown.intensity[lamp], 1);
        EXPECT_LT(colour::distance(uv(at(12), lamp), compiled->asked[lamp].colour->wanted.uv()),
                  1e-6);
    }
    EXPECT_FALSE(at(12).runs);
}

// Repatched, another universe, and 2 000 lamps more, all under a fade.
TEST_F(TakeOverTest, AnotherPatchAndAnotherShowUnderAFade) {
    for (int i = 0; i < 3; ++i)
        add("gannet-8");
    const show::Lineup all{{1}, {2}, {3}};
    hand = show::withIntensity(hand, all, 0.2);
    colour("xy:0.62,0.33", all);
    put(0);
    hand = show::withIntensity(hand, all, 1);
    put(1, 10);
    const auto slot = [&](std::uint16_t universe, int address) {
        for (const auto& u : playing->frame().universes)
            if (u.universe == universe)
                return int(u.values[static_cast<std::size_t>(address - 1)]);
        return -1;
    };
    at(6);
    const int level = slot(1, 1);
    EXPECT_NEAR(level, 255 * 0.6, 1);
    auto moved = *show->fixture({1});
    moved.universe = 7;
    moved.address = 300;
    show = *show::changeFixture(show, moved);
    put(6);
    EXPECT_EQ(slot(7, 300), level) << "the same light at its new place";
    EXPECT_EQ(slot(1, 1), 0) << "and none at the old one";
    EXPECT_NEAR(at(11).shown.intensity[0], 1, 1e-9) << "the fade went on";
    std::vector<show::Fixture> more;
    for (int i = 0; i < 2000; ++i) {
        show::Fixture f;
        f.type = i % 2 ? "petrel-4" : "tern-6";
        f.universe = static_cast<std::uint16_t>(100 + i / 20);
        f.address = 1 + i % 20 * 25;
        more.push_back(f);
    }
    colour("xy:0.18,0.33", all);
    put(12, 4);
    const Uv before = uv(at(14));
    show = *show::addFixtures(show, more);
    put(14);
    EXPECT_LT(colour::distance(uv(at(14)), before), 1e-9);
    EXPECT_LT(colour::distance(uv(at(16)), compiled->asked[0].colour->wanted.uv()), 1e-6);
    // Another show altogether: nothing of the old one is left.
    show = show::emptyState().show;
    hand = show::emptyHand();
    next_ = 1;
    put(17);
    EXPECT_TRUE(playing->frame().universes.empty());
    EXPECT_FALSE(at(17).runs);
}

// Times of 0 and of a day, and looks far apart.
TEST_F(TakeOverTest, TimesOfNothingAndOfADay) {
    add("gannet-8");
    hand = show::withIntensity(hand, {{1}}, 0);
    put(0);
    hand = show::withIntensity(hand, {{1}}, 1);
    put(1, 86'400);
    EXPECT_NEAR(at(43'201).shown.intensity[0], 0.5, 1e-9);
    EXPECT_TRUE(at(86'400).runs);
    EXPECT_EQ(at(1e7).shown.intensity[0], 1);
    EXPECT_FALSE(at(1e7).runs);
    hand = show::withIntensity(hand, {{1}}, 0.3);
    put(1e7, 0);
    EXPECT_EQ(at(1e7).shown.intensity[0], 0.3);
}

// A list that plays: what its cue says now is what it shows.
class ListTakeOverTest : public TakeOverTest {
protected:
    ListTakeOverTest() {
        add("gannet-8");
        add("gannet-8");
        show::CueList list;
        list.name = "main";
        show = *show::addCueList(show, list);
        keep(1000, "xy:0.62,0.33", 0.5);
        keep(2000, "xy:0.18,0.33", 1);
        put(0);
    }
    void keep(int number, const char* asked, double intensity) {
        const show::Lineup both{{1}, {2}};
        show::Cue cue;
        cue.number = {number};
        cue.up_s = cue.down_s = 4;
        auto values = show::withIntensity(show::emptyHand(), both, intensity);
        values = show::withColour(values, both, wishFor(asked));
        show = *show::keepAsCue({show, values}, both, {1}, cue, true);
    }
    void press(What what, double t) { playing->apply({what, 0, 0, {}}, t); }
    // Colours of the first lamp on the way to cue 2 of a show that is changed so.
    std::vector<Uv> wayWith(const std::function<void(show::Show&, show::Cue&)>& change) {
        show::Show next = *show;
        show::CueList list = *next.cue_lists.find({1});
        show::Cue cue = *list.cues.find({2000});
        change(next, cue);
        list.cues = list.cues.with(cue.number, std::move(cue));
        next.cue_lists = next.cue_lists.with({1}, std::move(list));
        show = show::nextShow(std::move(next));
        playing.reset();
        put(0);
        press(What::Next, 0);
        at(5);
        press(What::Next, 5);
        std::vector<Uv> seen;
        for (double t = 5; t <= 9; t += 0.02)
            seen.push_back(uv(at(t)));
        return seen;
    }
};

TEST_F(ListTakeOverTest, CuesFadeOnTheirPlannedWays) {
    press(What::Next, 0);
    at(5);
    press(What::Next, 6);
    const auto disc = *route::Disc::of(compiled->mixers[0]->hull(), colour::planckianUv({4300}));
    std::vector<Uv> seen;
    for (double t = 6; t <= 10; t += 0.02)
        seen.push_back(uv(at(t)));
    EXPECT_LT(route::whiteDip(disc, seen), 0.22);
    press(What::Back, 11);
    at(20);
    press(What::Next, 20);
    at(22);
    press(What::Back, 22); // interrupted: from where it is, without a jump
    light::Drives last = drives(at(22), 0);
    for (double t = 22; t < 25; t += 1.0 / 44) {
        const auto now = drives(at(t), 0);
        for (std::size_t e = 0; e < now.size(); ++e)
            EXPECT_LT(std::abs(now[e] - last[e]), 0.05);
        last = now;
    }
}

// A cue's own way, and the show's for all others.
TEST_F(ListTakeOverTest, ACueGoesTheWayItSays) {
    const auto disc = *route::Disc::of(compiled->mixers[0]->hull(), colour::planckianUv({4300}));
    const auto way = [&](std::optional<route::StopWay> of_cue,
                         std::optional<route::StopWay> of_show) {
        return wayWith([&](show::Show& next, show::Cue& cue) {
            next.way = of_show;
            cue.way = of_cue;
        });
    };
    route::StopWay straight, around, jump, dark;
    around.kind = route::Kind::Around;
    around.floor = 1;
    jump.kind = route::Kind::Jump;
    jump.jump_at = 0.25;
    EXPECT_GT(route::whiteDip(disc, way(straight, {})), 0.6) << "through white, as it was asked";
    EXPECT_LT(route::whiteDip(disc, way(around, straight)), 0.03) << "along the rim";
    EXPECT_GT(route::whiteDip(disc, way({}, straight)), 0.6) << "as the show says";
    const auto jumped = way(jump, {});
    EXPECT_LT(colour::distance(jumped[45], jumped[0]), 1e-3);
    EXPECT_LT(colour::distance(jumped[54], jumped.back()), 1e-3);
    // Points that no lamp can show do no harm.
    straight.via = {{0.9, -0.9}, {0.3, 0.001}};
    for (const Uv& seen : way(straight, {}))
        EXPECT_TRUE(std::isfinite(seen.u) && std::isfinite(seen.v));
}

// A kept route, by the cue or between its palettes; and on a way by hand.
TEST_F(ListTakeOverTest, KeptRoutesArePlayed) {
    const auto disc = *route::Disc::of(compiled->mixers[0]->hull(), colour::planckianUv({4300}));
    const auto dip = [&](const std::function<void(show::Show&, show::Cue&)>& change) {
        return route::whiteDip(disc, wayWith(change));
    };
    route::StopWay straight, around;
    around.kind = route::Kind::Around;
    around.floor = 1;
    show = *show::keepRoute(show, "rim", around);
    show = *show::keepRoute(show, "through", straight);
    EXPECT_LT(dip([](show::Show&, show::Cue& cue) { cue.route = {1}; }), 0.03);
    EXPECT_GT(dip([](show::Show&, show::Cue& cue) { cue.route = {2}; }), 0.6);
    // Its points stand relative to the ends: pulled far aside it stays saturated.
    straight.via = {{0.5, 0.9}};
    show = *show::keepRoute(show, "aside", straight);
    EXPECT_LT(dip([](show::Show&, show::Cue& cue) { cue.route = {3}; }), 0.5);
    // Between palettes, where the cue says nothing itself.
    for (const auto& [number, asked] : {std::pair(1000, "xy:0.62,0.33"), {2000, "xy:0.18,0.33"}}) {
        show::Palette palette;
        palette.name = asked;
        palette.colour = wishFor(asked);
        show = *show::addPalette(show, palette);
        show::Cue cue;
        cue.number = {number};
        cue.up_s = cue.down_s = 4;
        const auto values = show::withPalette(show::withIntensity(show::emptyHand(), {{1}, {2}}, 1),
                                              {{1}, {2}}, *show->paletteNamed(asked));
        show = *show::keepAsCue({show, values}, {{1}, {2}}, {1}, cue, false);
    }
    const auto as_needed = dip([](show::Show&, show::Cue&) {});
    show = *show::routeBetween(show, {2}, {1}, {1});
    EXPECT_LT(dip([](show::Show&, show::Cue&) {}), 0.03);
    EXPECT_GT(as_needed, 0.1);
}

// An emitter that two cues keep out stays out between them.
TEST_F(ListTakeOverTest, KeepOutsHoldBetweenCues) {
    for (const auto& [number, asked] : {std::pair(1000, "xy:0.62,0.33"), {2000, "xy:0.18,0.33"}}) {
        auto wish = wishFor(asked);
        wish.keep_out = {"Indigo"};
        show::Cue cue;
        cue.number = {number};
        cue.up_s = cue.down_s = 4;
        const auto values = show::withColour(show::withIntensity(show::emptyHand(), {{1}, {2}}, 1),
                                             {{1}, {2}}, wish);
        show = *show::keepAsCue({show, values}, {{1}, {2}}, {1}, cue, false);
    }
    route::StopWay around;
    around.kind = route::Kind::Around;
    around.side = route::Side::Cw; // by violet and blue, where it would be used
    std::size_t indigo = 0;
    while (compiled->mixers[0]->type().emitters[indigo].name != "Indigo")
        ++indigo;
    wayWith([&](show::Show&, show::Cue& cue) { cue.way = around; });
    const auto& of_cue = compiled->program->lists[0].cues[1].ways;
    ASSERT_FALSE(of_cue.empty());
    ASSERT_TRUE(of_cue[0]);
    for (int i = 0; i <= 100; ++i) {
        light::Drives row(of_cue[0]->parts);
        of_cue[0]->at(i / 100.0, row.begin());
        EXPECT_EQ(row[indigo], 0) << i;
    }
}

// The player makes each frame as soon as it can, and once more when something came since.
TEST_F(ListTakeOverTest, AFrameMadeTwiceIsTheSameFrame) {
    const auto played = [&](bool twice) {
        std::vector<std::pair<Shown, light::Frame>> all;
        take(0, 0);
        for (int i = 0; i < 500; ++i) {
            const double t = i / 44.0;
            if (twice)
                playing->step(t);
            if (i == 10 || i == 100 || i == 300)
                press(What::Next, t);
            if (i == 40 || i == 60)
                press(What::Hold, t);
            if (i == 170)
                press(What::Back, t);
            if (i == 400)
                press(What::Release, t);
            if (i == 250)
                take(t, 2);
            playing->step(t);
            all.emplace_back(playing->newest().shown, playing->frame());
        }
        playing.reset();
        return all;
    };
    playing.reset();
    const auto once = played(false), twice = played(true);
    std::size_t changes = 0;
    for (std::size_t i = 0; i < once.size(); ++i) {
        EXPECT_EQ(once[i].first.intensity, twice[i].first.intensity) << i;
        EXPECT_EQ(once[i].first.drives, twice[i].first.drives) << i;
        EXPECT_EQ(once[i].second, twice[i].second) << i;
        changes += i > 0 && once[i].second != once[i - 1].second;
    }
    EXPECT_GT(changes, 200u);
}

TEST_F(ListTakeOverTest, AChangedCueIsSeenWhereItPlays) {
    press(What::Next, 0);
    at(5);
    keep(1000, "xy:0.62,0.33", 0.8);
    put(6, 2);
    EXPECT_NEAR(at(6).shown.intensity[0], 0.5, 1e-9);
    EXPECT_NEAR(at(7).shown.intensity[0], 0.65, 1e-9);
    EXPECT_NEAR(at(9).shown.intensity[0], 0.8, 1e-9);
    press(What::Next, 10);
    at(12);
    show = *show::removeCue(show, {1}, {2000}); // under its fade
    put(12, 2);
    EXPECT_NEAR(at(20).shown.intensity[0], 0.8, 1e-9) << "back to the last one there is";
    EXPECT_FALSE(at(20).runs);
    const auto from = at(20).intensity[0];
    EXPECT_EQ(from.layer, Engine::From::Layer::List);
    EXPECT_EQ(from.cue, std::optional<std::size_t>(0));
    press(What::Release, 21);
    EXPECT_EQ(at(30).shown.intensity[0], 0);
}

// The cue that plays goes: the one before it, long since done, is not followed by itself.
TEST_F(ListTakeOverTest, ACueThatGoesIsNotFollowed) {
    keep(3000, "cct:5600", 0.3);
    show::Show next = *show;
    show::CueList list = *next.cue_lists.find({1});
    show::Cue first = *list.cues.find({1000});
    first.follow = show::FollowWhen::AfterStart;
    first.follow_s = 1;
    list.cues = list.cues.with(first.number, std::move(first));
    next.cue_lists = next.cue_lists.with({1}, std::move(list));
    show = show::nextShow(std::move(next));
    put(0);
    press(What::Next, 0);
    at(10); // the second cue followed
    ASSERT_EQ(at(10).shown.intensity[0], 1);
    show = *show::removeCue(show, {1}, {2000});
    put(10);
    EXPECT_NEAR(at(30).shown.intensity[0], 0.5, 1e-9) << "not on to the third";
    EXPECT_FALSE(at(30).runs);
}

// A rig that grows under a fade leaves its planned way alone, of hand and of cues.
TEST_F(ListTakeOverTest, AnotherLampInTheRigLeavesAWayAlone) {
    press(What::Next, 0);
    at(5);
    press(What::Next, 6);
    at(7);
    add("petrel-4");
    put(7, 0, false);
    const auto disc = *route::Disc::of(compiled->mixers[0]->hull(), colour::planckianUv({4300}));
    std::vector<Uv> seen;
    for (double t = 7; t <= 10; t += 0.02)
        seen.push_back(uv(at(t)));
    EXPECT_LT(route::whiteDip(disc, seen), 0.22);
    hand = show::withIntensity(hand, {{1}}, 1);
    colour("xy:0.18,0.33");
    put(11);
    colour("xy:0.62,0.33");
    put(12, 4);
    at(13);
    add("petrel-4");
    put(13, 0, false);
    seen.clear();
    for (double t = 13; t <= 16; t += 0.02)
        seen.push_back(uv(at(t)));
    EXPECT_LT(route::whiteDip(disc, seen), 0.22);
}

TEST_F(ListTakeOverTest, AHundredPressesInASecondEndWhereTheyShould) {
    for (int i = 0; i < 100; ++i) {
        press(i % 3 == 2 ? What::Back : What::Next, 1 + 0.01 * i);
        if (i % 7 == 0)
            put(1 + 0.01 * i, i % 2);
    }
    at(30);
    press(What::Next, 30);
    press(What::Next, 30);
    for (std::uint32_t lamp = 0; lamp < 2; ++lamp) {
        EXPECT_EQ(at(40).shown.intensity[lamp], 1);
        EXPECT_LT(colour::distance(uv(at(40), lamp), uv(at(40), 0)), 1e-9);
    }
    EXPECT_FALSE(at(40).runs);
}

TEST_F(TakeOverTest, WhatDidNotChangeIsShared) {
    add("gannet-8");
    show::CueList list;
    list.name = "main";
    show = *show::addCueList(show, list);
    for (int number = 1; number <= 5; ++number) {
        show::Cue cue;
        cue.number = {number * 1000};
        colour(number % 2 ? "cct:3200" : "cct:5600");
        show = *show::keepAsCue({show, hand}, {{1}}, {1}, cue, true);
    }
    put(0);
    const auto before = compiled;
    show::Cue cue = *show->cue_lists.find({1})->cues.find({3000});
    colour("xy:0.18,0.33");
    show = *show::keepAsCue({show, hand}, {{1}}, {1}, cue, true);
    put(1);
    int shared = 0;
    for (std::size_t i = 0; i < 5; ++i)
        shared += compiled->program->lists[0].cues[i].changes ==
                  before->program->lists[0].cues[i].changes;
    EXPECT_EQ(shared, 4);
    const auto afresh = play::compiled({show, hand}, shipped, mixes);
    for (std::size_t i = 0; i < 5; ++i) {
        const Said* a = compiled->program->lists[0].cues[i].changes->of(0);
        const Said* b = afresh.program->lists[0].cues[i].changes->of(0);
        ASSERT_TRUE(a && b && a->colour && b->colour);
        EXPECT_TRUE(std::equal(a->colour, a->colour + 8, b->colour)) << i;
    }
}

// Ways of cues are no matter of a change by hand: it is not to wait for them.
TEST_F(ListTakeOverTest, AChangeByHandPlansNoCues) {
    const auto fresh =
        std::make_shared<const Compiled>(play::compiled({show, hand}, shipped, mixes));
    int asked = 0;
    EXPECT_EQ(withWaysOfChanges(fresh, compiled.get(), ways,
                                [&] {
                                    ++asked;
                                    return false;
                                }),
              fresh);
    EXPECT_EQ(asked, 0);
    EXPECT_TRUE(fresh->program->lists[0].cues[1].ways.empty());
    EXPECT_FALSE(withWaysOfCues(fresh, ways)->program->lists[0].cues[1].ways.empty());
}

// A list that a file may bring: as many cues as there can be, each of another lamp.
TEST_F(TakeOverTest, AListOfTwentyThousandCuesIsBoundedInTimeAndMemory) {
    std::vector<show::Fixture> lamps(2000);
    for (std::size_t i = 0; i < lamps.size(); ++i) {
        lamps[i].type = "petrel-4";
        lamps[i].universe = static_cast<std::uint16_t>(1 + i / 25);
        lamps[i].address = 1 + static_cast<int>(i % 25) * 20;
    }
    show::Show made = **show::addFixtures(show, lamps);
    show::CueList list;
    list.id = {1};
    std::vector<Table<show::CueNumber, show::Cue>::Change> cues;
    for (int c = 0; c < 20'000; ++c) {
        show::Cue cue;
        cue.number = {1000 * (c + 1)};
        cue.up_s = cue.down_s = 0;
        show::Value v;
        v.intensity = 1;
        cue.values = show::Values().with({1 + c % 2000}, std::make_shared<const show::Value>(v));
        cues.emplace_back(cue.number, std::make_shared<const show::Cue>(std::move(cue)));
    }
    list.cues = Table<show::CueNumber, show::Cue>::of(std::move(cues));
    made.cue_lists = made.cue_lists.with({1}, std::move(list));
    show = show::nextShow(std::move(made));
    put(0);
    std::size_t entries = 0;
    for (const auto& stands : compiled->program->lists[0].stands)
        entries += stands.size();
    EXPECT_EQ(entries, 20'000u) << "one for each thing said, not one for each cue and lamp";
    playing->apply({What::Jump, 0, 1500, {}}, 0);
    EXPECT_EQ(at(1).shown.intensity[1499], 1);
    EXPECT_EQ(at(1).shown.intensity[1500], 0) << "not said yet there";
    playing->apply({What::Jump, 0, 20'000, {}}, 2);
    EXPECT_EQ(at(3).shown.intensity[1999], 1);
}

// --- what is sent

TEST_F(TakeOverTest, ChannelsFollowTheirDrivesAndNeverGoAgainstThem) {
    for (const char* type : {"gannet-8", "petrel-4", "tern-6", "plover-5"})
        add(type);
    const show::Lineup all{{1}, {2}, {3}, {4}};
    hand = show::withIntensity(hand, all, 0.9);
    colour("xy:0.60,0.33", all);
    put(0);
    hand = show::withIntensity(hand, all, 0.3);
    colour("xy:0.20,0.30", all);
    put(1, 6);
    std::vector<light::ChannelValues> last = at(1).values;
    Shown row = at(1).shown;
    int moves = 0;
    for (double t = 1; t <= 7; t += 1.0 / 44) {
        const Moment& m = at(t);
        for (std::uint32_t lamp = 0; lamp < 4; ++lamp) {
            const auto& mixer = *compiled->mixers[lamp];
            const auto now = mix::wantedAtOnce(mixer, drives(m, lamp), m.shown.intensity[lamp]);
            light::Drives was(compiled->program->parts(lamp));
            std::copy_n(row.drives.begin() + compiled->program->first[lamp], was.size(),
                        was.begin());
            const auto before = mix::wantedAtOnce(mixer, was, row.intensity[lamp]);
            for (std::size_t i = 0; i < mixer.mode().channels.size(); ++i) {
                const light::Channel& c = mixer.mode().channels[i];
                if (c.role != light::Role::Part)
                    continue;
                const double way = now.parts[c.part] - before.parts[c.part];
                const auto step = static_cast<double>(m.values[lamp][i]) - last[lamp][i];
                EXPECT_GE(way * step, 0) << t << ", lamp " << lamp << ", channel " << i;
                EXPECT_LE(
                    std::abs(double(m.values[lamp][i]) - light::channelValue(c, now.parts[c.part])),
                    2)
                    << t;
                moves += step != 0;
            }
        }
        last = m.values;
        row = m.shown;
    }
    EXPECT_GT(moves, 500);
}

TEST_F(TakeOverTest, AtRestTheyStandOnTheValuesRoundedTogether) {
    add("petrel-4");
    hand = show::withIntensity(hand, {{1}}, 0.35);
    colour("cct:3200");
    put(0);
    Rounding rounding;
    std::vector<Rest> rests;
    const auto stage = stageOf(*compiled, at(0), {}, rounding, rests);
    const auto wanted = computeStage({show, hand}, {}, shipped, mixes);
    EXPECT_EQ(stage.lamps[0].sent.values, wanted.lamps[0].sent.values);
    playing->rest(rests);
    EXPECT_EQ(at(1).values[0], wanted.lamps[0].sent.values);
    EXPECT_EQ(at(50).values[0], wanted.lamps[0].sent.values) << "and stay there";
    rests.clear();
    stageOf(*compiled, at(50), {}, rounding, rests);
    EXPECT_TRUE(rests.empty()) << "nothing more to tell";
    // Values that come late, for what is not shown any more, are passed over.
    Rest late{0, 0.35, std::vector<double>(compiled->program->parts(0), 0.5),
              light::ChannelValues(wanted.lamps[0].sent.values.size(), 7)};
    playing->rest({&late, 1});
    EXPECT_EQ(at(51).values[0], wanted.lamps[0].sent.values);
}

} // namespace
} // namespace zelo::play
