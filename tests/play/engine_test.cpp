// SPDX-License-Identifier: GPL-3.0-or-later
// The rules of play: cases from an engine that shares no code with this one.
#include "play/cases.h"
#include "play/playing.h"
#include "play/shipped.h"
#include "show/edits.h"
#include "show/ripple_edits.h"
#include "support/allocations.h"
#include "support/asked.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

TEST(Engine, PlaysTheReferencesCases) {
    for (const auto& one : test::readJson("reference/play/cases.json")) {
        const Case c(one);
        expectPlayed(one, c, std::make_shared<const Program>(c.program));
    }
}

// Many lamps of eight parts, in `lists` lists with two cues each.
std::shared_ptr<const Program> large(std::uint32_t lamps, std::size_t lists) {
    Program p;
    p.lamps = lamps;
    for (std::uint32_t i = 0; i <= lamps; ++i)
        p.first.push_back(8 * i);
    p.home.assign(8 * lamps, 1);
    std::vector<double> drives[2];
    for (int i = 0; i < 16; ++i)
        drives[i / 8].push_back(i < 8 ? 0.1 * i : 0.8 - 0.05 * i);
    for (std::size_t l = 0; l < lists; ++l) {
        PlayedList list;
        list.release_s = 5;
        for (std::uint32_t cue = 0; cue < 2; ++cue) {
            PlayedCue c;
            c.number = 1 + cue;
            c.up_s = c.down_s = 10;
            auto says = std::make_shared<Source>();
            for (std::uint32_t lamp = 0; lamp < lamps; ++lamp)
                says->add(lamp, 0.4 + 0.5 * cue, drives[cue]);
            c.changes = std::move(says);
            list.cues.push_back(std::move(c));
        }
        p.lists.push_back(std::move(list));
    }
    complete(p);
    return std::make_shared<const Program>(std::move(p));
}

Command press(Command::What what, std::uint32_t which = 0, double value = 0) {
    return {what, which, value, {}};
}

TEST(Engine, NothingIsAllocatedWhileItPlays) {
    Engine engine(large(512, 3));
    Shown row = engine.rows();
    double t = 0;
    EXPECT_EQ(test::allocationsOf([&] {
                  for (std::uint32_t list = 0; list < 3; ++list)
                      engine.apply(press(Command::What::Next, list), t);
                  for (int i = 0; i < 20; ++i)
                      engine.frame(t += 0.02, row);
                  engine.apply(press(Command::What::Back, 0), t);
                  engine.apply(press(Command::What::Release, 1), t);
                  engine.apply(press(Command::What::Jump, 2, 2), t);
                  engine.frame(t += 0.02, row);
              }),
              0);
}

TEST(Engine, RipplesAllocateNothing) {
    Shipped shipped;
    Mixes mixes;
    Ways ways;
    show::ShowPtr show = show::emptyState().show;
    show::Ripple ripple;
    for (int i = 0; i < 12; ++i) {
        show::Fixture f;
        f.type = i % 2 ? "petrel-4" : "gannet-8";
        f.address = 1 + 30 * i;
        show = *show::addFixture(show, f);
        ripple.lamps.push_back({show->last_fixture_id});
    }
    for (const char* colour : {"xy:0.52,0.4", "xy:0.2,0.2", "xy:0.3,0.5"})
        ripple = show::withStep(ripple, test::asked(colour), {0.2, 0.5});
    for (const auto& [name, pattern] : {std::pair("a", show::Pattern::Cycle),
                                        {"b", show::Pattern::March},
                                        {"c", show::Pattern::Pulse}}) {
        ripple.name = name;
        ripple.pattern = pattern;
        show = *show::addRipple(show, ripple);
    }
    Playing playing(withWaysOfCues(
        std::make_shared<const Compiled>(compiled({show, show::emptyHand()}, shipped, mixes)),
        ways));
    for (std::uint32_t i = 0; i < 3; ++i)
        playing.apply(press(Command::What::RippleStart, i), 0);
    playing.step(0.01);
    double t = 0.1;
    EXPECT_EQ(test::allocationsOf([&] {
                  for (int i = 0; i < 50; ++i)
                      playing.step(t += 0.0227);
                  playing.apply(press(Command::What::RippleLetGo, 1), t);
                  playing.step(t += 0.5);
              }),
              0);
}

// The whole frame too, with the programs that take over.
TEST(Playing, NothingIsAllocatedInAFrame) {
    Shipped shipped;
    Mixes mixes;
    Ways ways;
    show::ShowPtr show = show::emptyState().show;
    for (int i = 0; i < 12; ++i) {
        show::Fixture f;
        f.type = i % 3 == 0 ? "petrel-4" : i % 3 == 1 ? "gannet-8" : "skua-cmy";
        f.address = 1 + 30 * i;
        show = *show::addFixture(show, f);
    }
    show::Lineup all;
    for (const auto& [id, fixture] : show->fixtures)
        all.push_back(id);
    std::vector<std::unique_ptr<Playing>> next;
    std::shared_ptr<const Compiled> before;
    for (const char* colour : {"xy:0.6,0.33", "xy:0.2,0.3", "cct:4000"}) {
        auto hand = show::withIntensity(show::emptyHand(), all, 1);
        hand = show::withColour(hand, all, test::wishFor(colour));
        before = withWaysOfChanges(
            std::make_shared<const Compiled>(compiled({show, hand}, shipped, mixes, before.get())),
            before.get(), ways);
        next.push_back(std::make_unique<Playing>(before));
    }
    double t = 0;
    EXPECT_EQ(test::allocationsOf([&] {
                  for (std::size_t i = 0; i < next.size(); ++i) {
                      if (i > 0)
                          next[i]->takeOver(*next[i - 1], t, 2);
                      for (int frame = 0; frame < 60; ++frame)
                          next[i]->step(t += 1.0 / 44);
                      next[i]->apply({Command::What::Master, 0, 0.5, {}}, t);
                  }
              }),
              0);
    EXPECT_TRUE(next.back()->newest().runs);
}

TEST(Engine, TheSamePressesGiveTheSameLightToTheBit) {
    std::vector<double> first;
    for (int run = 0; run < 2; ++run) {
        Engine engine(large(20, 2));
        Shown row = engine.rows();
        std::vector<double> all;
        double t = 0;
        for (int i = 0; i < 400; ++i) {
            if (i % 37 == 0)
                engine.apply(press(static_cast<Command::What>(i / 37 % 6), i % 2, 1.5), t);
            t += 1.0 / 44;
            engine.frame(t, row);
            all.insert(all.end(), row.intensity.begin(), row.intensity.end());
            all.insert(all.end(), row.drives.begin(), row.drives.end());
        }
        if (run == 0)
            first = all;
        else
            EXPECT_EQ(all, first);
    }
}

// Where frames fall does not matter: one look after many frames is a look alone.
TEST(Engine, FramesInBetweenChangeNothing) {
    Engine often(large(5, 2));
    Engine seldom(large(5, 2));
    Shown a = often.rows();
    Shown b = seldom.rows();
    const auto both = [&](const Command& c, double t) {
        often.apply(c, t);
        seldom.apply(c, t);
    };
    both(press(Command::What::Next, 0), 0);
    both(press(Command::What::Rate, 0, 3), 0.5);
    for (double t = 0.5; t < 2; t += 0.013)
        often.frame(t, a);
    both(press(Command::What::Next, 1), 2);
    for (double t = 2; t < 4; t += 0.017)
        often.frame(t, a);
    both(press(Command::What::Release, 0), 4);
    often.frame(4.5, a);
    seldom.frame(4.5, b);
    for (std::size_t i = 0; i < a.intensity.size(); ++i)
        EXPECT_NEAR(a.intensity[i], b.intensity[i], 1e-9);
    for (std::size_t i = 0; i < a.drives.size(); ++i)
        EXPECT_NEAR(a.drives[i], b.drives[i], 1e-9);
}

TEST(Engine, IntensitiesMayRunEvenlyToTheEye) {
    Program p = *large(1, 1);
    p.even_to_the_eye = true;
    Engine engine(std::make_shared<const Program>(std::move(p)));
    Shown row = engine.rows();
    engine.apply(press(Command::What::Next, 0), 0);
    engine.frame(5, row); // half of the way to 0.4
    EXPECT_NEAR(row.intensity[0], 0.4 / 8, 1e-12) << "half as bright to the eye";
    engine.frame(10, row);
    EXPECT_EQ(row.intensity[0], 0.4);
}

// Single emitters leave the others to what lies below.
TEST(Engine, SingleEmittersStandOverWhateverColourThereIs) {
    constexpr Parts kGreen = 2, kBlue = 4;
    const auto says = [](std::optional<double> intensity, std::vector<double> colour,
                         Parts parts = kAllParts) {
        auto source = std::make_shared<Source>();
        source->add(0, intensity, colour, parts);
        return source;
    };
    const auto cue = [&](double number, SourcePtr changes) {
        PlayedCue c;
        c.number = number;
        c.up_s = c.down_s = 2;
        c.changes = std::move(changes);
        return c;
    };
    Program p;
    p.lamps = 1;
    p.first = {0, 3};
    p.home = {1, 1, 1};
    p.standing = says(0.2, {0.1, 0.2, 0.3}, kBlue);
    PlayedList a, b;
    a.release_s = b.release_s = 2;
    a.cues = {cue(1, says(1, {1, 0, 0})), cue(2, says({}, {9, 9, 0.5}, kBlue)),
              cue(3, says({}, {0, 0, 1}))};
    b.cues = {cue(1, says({}, {9, 0.7, 9}, kGreen))};
    p.lists = {a, b};
    complete(p);
    const auto program = std::make_shared<const Program>(std::move(p));
    std::unique_ptr<Engine> engine;
    Shown row;
    const auto begin = [&] {
        engine = std::make_unique<Engine>(program);
        row = engine->rows();
    };
    const auto shows = [&](double t, double red, double green, double blue) {
        engine->frame(t, row);
        EXPECT_NEAR(row.drives[0], red, 1e-9) << t;
        EXPECT_NEAR(row.drives[1], green, 1e-9) << t;
        EXPECT_NEAR(row.drives[2], blue, 1e-9) << t;
    };
    begin();
    shows(0, 1, 1, 0.3); // standing blue over home
    engine->apply(press(Command::What::Next, 0), 0);
    engine->apply(press(Command::What::Next, 0), 3);
    shows(4, 1, 0, 0.25);
    shows(9, 1, 0, 0.5);
    engine->apply(press(Command::What::Next, 1), 9);
    shows(12, 1, 0.7, 0.5); // the other list's green over it
    engine->apply(press(Command::What::Release, 1), 12);
    shows(13, 1, 0.35, 0.5);
    shows(15, 1, 0, 0.5);
    engine->apply(press(Command::What::Next, 0), 15);
    shows(20, 0, 0, 1); // a colour takes all of it
    begin();            // the same by a jump: what the cue stands for
    engine->apply(press(Command::What::Jump, 0, 2), 0);
    shows(5, 1, 0, 0.5);
    // And in hand, over what plays on.
    Program q = *program;
    q.hand = says({}, {9, 0.4, 9}, kGreen);
    q.lamp_ids = {1};
    q.list_ids = {1, 2};
    engine = std::make_unique<Engine>(std::make_shared<const Program>(std::move(q)));
    engine->apply(press(Command::What::Next, 0), 0);
    shows(5, 1, 0.4, 0);
    engine->apply(press(Command::What::Next, 0), 5);
    shows(8, 1, 0.4, 0.5);
    EXPECT_EQ(engine->colourFrom(0).layer, Engine::From::Layer::List);
}

// Each list that is let go goes to what is below, where the others are let go too: the work must
// not multiply with each.
TEST(Engine, FortyListsAreLetGoAtOnce) {
    Engine engine(large(3, 40));
    Shown row = engine.rows();
    for (std::uint32_t list = 0; list < 40; ++list)
        engine.apply(press(Command::What::Next, list), 0);
    engine.frame(20, row);
    EXPECT_EQ(row.intensity[0], 0.4);
    for (std::uint32_t list = 0; list < 40; ++list)
        engine.apply(press(Command::What::Release, list), 20 + 0.01 * list);
    for (double t = 20.4; t < 60; t += 0.5) {
        engine.frame(t, row);
        for (const double i : row.intensity)
            EXPECT_TRUE(i >= 0 && i <= 0.4);
    }
    EXPECT_EQ(row.intensity[0], 0);
    EXPECT_EQ(row.drives[0], 1) << "home";
}

TEST(Engine, WhatIsNotThereDoesNothing) {
    Engine engine(large(3, 1));
    Shown row = engine.rows();
    for (int what = 0; what <= static_cast<int>(Command::What::Dark); ++what)
        for (const double value : {std::nan(""), -1.0, 1e300})
            engine.apply(press(static_cast<Command::What>(what), 77, value), 0);
    engine.apply(press(Command::What::Dark, 0, 0), 0);
    engine.apply(press(Command::What::Master, 0, 1), 0);
    engine.apply(press(Command::What::Jump, 0, 99), 0);
    engine.apply(press(Command::What::Next, 0), 1);
    engine.frame(86'400, row); // a day later
    EXPECT_EQ(row.intensity[0], 0.4);
    for (int i = 0; i < 100; ++i)
        engine.apply(press(Command::What::Next, 0), 86'400);
    engine.frame(86'500, row);
    EXPECT_EQ(row.intensity[2], 0.9);
}

// Three cues at 0.25, 0.5 and 1, each in a second; what a list does at its end.
std::shared_ptr<const Program> threeCues(PlayedList::AtEnd at_end, double follow_s = -1) {
    Program p;
    p.lamps = 1;
    p.first = {0, 1};
    p.home = {1};
    p.exempt = {0};
    p.lamp_ids = {1};
    p.list_ids = {7};
    PlayedList list;
    list.at_end = at_end;
    for (const double level : {0.25, 0.5, 1.0}) {
        PlayedCue cue;
        cue.number = static_cast<double>(list.cues.size()) + 1;
        cue.up_s = cue.down_s = follow_s == 0 ? 0 : 1;
        if (follow_s >= 0) {
            cue.follow = PlayedCue::Follow::AfterStart;
            cue.follow_s = follow_s;
        }
        auto says = std::make_shared<Source>();
        says->add(0, level, {});
        cue.changes = std::move(says);
        list.cues.push_back(std::move(cue));
    }
    p.lists.push_back(std::move(list));
    complete(p);
    return std::make_shared<const Program>(std::move(p));
}

TEST(Engine, AtItsEndAListStopsBeginsAgainOrGoesToAndFro) {
    using AtEnd = PlayedList::AtEnd;
    const auto cuesOf = [](AtEnd at_end) {
        Engine engine(threeCues(at_end));
        std::vector<int> cues;
        for (int i = 0; i < 8; ++i) {
            const int next = engine.listNow(0).next;
            engine.apply(press(Command::What::Next), 2.0 * i);
            EXPECT_TRUE(next < 0 || engine.listNow(0).cue == next) << "it says what comes";
            cues.push_back(engine.listNow(0).cue);
        }
        Shown row = engine.rows();
        engine.frame(16, row);
        const double levels[] = {0.25, 0.5, 1.0};
        EXPECT_DOUBLE_EQ(row.intensity[0], levels[cues.back()]) << "as the cue stands for";
        return cues;
    };
    EXPECT_EQ(cuesOf(AtEnd::Stop), (std::vector<int>{0, 1, 2, 2, 2, 2, 2, 2}));
    EXPECT_EQ(cuesOf(AtEnd::Again), (std::vector<int>{0, 1, 2, 0, 1, 2, 0, 1}));
    EXPECT_EQ(cuesOf(AtEnd::ToAndFro), (std::vector<int>{0, 1, 2, 1, 0, 1, 2, 1}));
}

// By itself it goes on for as long as it is let; cues in no time cannot keep it from coming back.
TEST(Engine, AListThatGoesRoundByItselfIsBounded) {
    Engine engine(threeCues(PlayedList::AtEnd::Again, 1));
    Shown row = engine.rows();
    engine.apply(press(Command::What::Next), 0);
    for (const auto& [t, cue] : {std::pair(0.5, 0), {1.5, 1}, {2.5, 2}, {3.5, 0}, {31.5, 1}}) {
        engine.frame(t, row);
        EXPECT_EQ(engine.listNow(0).cue, cue) << t;
    }
    EXPECT_NEAR(*engine.listNow(0).follow_s, 1, 1e-12);
    for (const auto at_end : {PlayedList::AtEnd::Again, PlayedList::AtEnd::ToAndFro}) {
        Engine at_once(threeCues(at_end, 0));
        at_once.apply(press(Command::What::Next), 0);
        at_once.frame(3600, row); // comes back at all
        EXPECT_FALSE(at_once.listNow(0).follow_s);
    }
}

TEST(Engine, SaysWhereAListIs) {
    Engine engine(threeCues(PlayedList::AtEnd::Stop));
    EXPECT_EQ(engine.listNow(0).cue, -1);
    EXPECT_EQ(engine.listNow(0).next, 0);
    Command by_id = press(Command::What::Next, 7);
    by_id.by_id = true;
    engine.apply(by_id, 10);
    by_id.which = 8; // no such list
    engine.apply(by_id, 10);
    EXPECT_EQ(engine.listNow(0).cue, 0);
    Shown row = engine.rows();
    engine.apply(press(Command::What::Rate, 0, 2), 10);
    engine.frame(10.25, row);
    EXPECT_NEAR(engine.listNow(0).since_s, 0.5, 1e-12) << "in its own time";
    EXPECT_EQ(engine.listNow(0).lasts_s, 1);
    engine.apply(press(Command::What::Hold), 10.25);
    engine.frame(20, row);
    EXPECT_TRUE(engine.listNow(0).held);
    EXPECT_NEAR(engine.listNow(0).since_s, 0.5, 1e-12);
}

} // namespace
} // namespace zelo::play
