// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/edits.h"
#include "show/history.h"
#include "show/holders.h"
#include "show/kept.h"
#include "show/limits.h"
#include "show/patch.h"
#include "support/asked.h"

#include <chrono>
#include <gtest/gtest.h>
#include <malloc.h>

namespace zelo::show {
namespace {

ShowPtr showOf(int fixtures) {
    ShowPtr show = std::make_shared<const Show>(Show{"Test"});
    for (int i = 0; i < fixtures; ++i) {
        Fixture f;
        f.number = i + 1;
        f.type = "petrel-4";
        f.address = 1 + i % 500;
        show = *addFixture(show, f);
    }
    return show;
}

TEST(Edits, NeverChangeTheShowTheyAreGiven) {
    const auto before = showOf(3);
    const auto after = removeFixtures({before, emptyHand()}, {{2}});
    ASSERT_TRUE(after);
    EXPECT_EQ(before->fixtures.size(), 3u);
    EXPECT_EQ(after->show->fixtures.size(), 2u);
    // What did not change is shared, not copied.
    EXPECT_EQ(before->fixtures.at({1}).get(), after->show->fixtures.at({1}).get());
}

TEST(Edits, IdsAreNeverUsedAgain) {
    auto show = showOf(3);
    show = removeFixtures({show, emptyHand()}, {{3}})->show;
    Fixture f;
    f.type = "tern-6";
    show = *addFixture(show, f);
    EXPECT_TRUE(show->fixture({4}));
    EXPECT_FALSE(show->fixture({3}));
}

TEST(Edits, BadPatchesAreRefusedWithTheRule) {
    const auto show = showOf(1);
    Fixture f = *show->fixture({1});
    for (const int address : {0, 513, -1}) {
        f.address = address;
        const auto next = changeFixture(show, f);
        ASSERT_FALSE(next);
        EXPECT_NE(next.error().text().find("1..512"), std::string::npos);
    }
    f.address = 1;
    f.universe = 0;
    EXPECT_FALSE(changeFixture(show, f));
    f.universe = 64000;
    EXPECT_FALSE(changeFixture(show, f));
    f.universe = 1;
    f.id = {99};
    EXPECT_EQ(changeFixture(show, f).error().code, ErrorCode::NotFound);
    EXPECT_FALSE(renameShow(show, "  "));
    EXPECT_TRUE(renameShow(show, std::string(kLongestName, 'a')));
    EXPECT_FALSE(renameShow(show, std::string(kLongestName, '\xfc'))) << "longer as UTF-8";
}

TEST(Edits, GroupsKeepTheirOrderAndFollowTheRig) {
    auto show = showOf(4);
    show = *addGroup(show, "back", {{3}, {1}, {4}});
    EXPECT_EQ(show->group({1})->fixtures, (std::vector<FixtureId>{{3}, {1}, {4}}));
    EXPECT_FALSE(addGroup(show, "back", {{1}})) << "the name is taken";
    EXPECT_FALSE(addGroup(show, "none", {}));
    EXPECT_FALSE(addGroup(show, "ghost", {{9}}));
    show = removeFixtures({show, emptyHand()}, {{1}})->show;
    EXPECT_EQ(show->group({1})->fixtures, (std::vector<FixtureId>{{3}, {4}}));
    EXPECT_TRUE(removeGroup(show, GroupId{1}));
    EXPECT_FALSE(removeGroup(show, {77}));
}

TEST(Hand, ColourAndIntensityAreApart) {
    auto show = showOf(2);
    const ColourWish red = test::wishFor("gel:104", {0.4, 0.5});
    show = *keepHand(show, *withIntensity(withColour(emptyHand(), {{1}}, red), {{1}}, 0.8));
    // Intensity alone in hand: the kept colour stays, and the other way round.
    const auto dim = withIntensity(emptyHand(), {{1}}, 0.2);
    EXPECT_EQ(test::textOf(shownValue(*show, *dim, {1}).colour), "gel:104");
    EXPECT_EQ(shownValue(*show, *dim, {1}).intensity, 0.2);
    const auto blue = withColour(emptyHand(), {{1}}, test::wishFor("gel:341"));
    EXPECT_EQ(shownValue(*show, *blue, {1}).intensity, 0.8);
    EXPECT_EQ(test::textOf(shownValue(*show, *blue, {1}).colour), "gel:341");
    EXPECT_TRUE(shownValue(*show, *emptyHand(), {2}).empty());
}

TEST(Hand, PartsSetByHandAreEachOnTheirOwnAndYieldToANewColour) {
    auto show = showOf(1);
    auto hand = withParts(emptyHand(), {{1}}, {{"Red", 0.5}, {"Blue", 0.2}});
    show = *keepHand(show, *hand);
    hand = withParts(emptyHand(), {{1}}, {{"Red", 0.9}});
    EXPECT_EQ(shownValue(*show, *hand, {1}).parts, (PartLevels{{"Blue", 0.2}, {"Red", 0.9}}))
        << "only the red of it";
    hand = withColour(hand, {{1}}, test::wishFor("gel:2"));
    EXPECT_TRUE(shownValue(*show, *hand, {1}).parts.empty());
    hand = putDown(hand, {{1}});
    EXPECT_TRUE(hand->empty());
}

TEST(History, UndoesAndRedoesWithoutBound) {
    History history({showOf(0), emptyHand()});
    for (int i = 1; i <= 1000; ++i)
        history.push({"Add", {showOf(1), emptyHand()}});
    for (int i = 0; i < 1000; ++i)
        history.undo();
    EXPECT_FALSE(history.canUndo());
    EXPECT_TRUE(history.now().state.show->fixtures.empty());
    history.undo();
    history.redo();
    EXPECT_EQ(history.position(), 1u);
    history.push({"Other way", {showOf(2), emptyHand()}});
    EXPECT_FALSE(history.canRedo()) << "what was undone is forgotten by a new edit";
    EXPECT_EQ(history.undoName(), "Other way");
}

TEST(History, GoesToAnyMomentAndForward) {
    History history({showOf(0), emptyHand()});
    for (int i = 1; i <= 5; ++i)
        history.push({"edit " + std::to_string(i), {showOf(i), emptyHand()}});
    history.goTo(2);
    EXPECT_EQ(history.undoName(), "edit 2");
    EXPECT_EQ(history.redoName(), "edit 3");
    history.goTo(5);
    EXPECT_FALSE(history.canRedo());
    history.goTo(0);
    EXPECT_FALSE(history.canUndo());
    history.push({"other", {showOf(9), emptyHand()}});
    EXPECT_EQ(history.moments().size(), 2u) << "what was undone is forgotten by another edit";
}

TEST(History, ADragIsOneStep) {
    History history({showOf(1), emptyHand()});
    for (int i = 0; i < 50; ++i)
        history.push(
            {"Intensity", {history.now().state.show, withIntensity(emptyHand(), {{1}}, i / 50.0)}},
            "drag-1");
    EXPECT_EQ(history.position(), 1u);
    history.push({"Intensity", {history.now().state.show, emptyHand()}}, "drag-2");
    EXPECT_EQ(history.position(), 2u);
    history.undo();
    history.push({"Intensity", {history.now().state.show, emptyHand()}}, "drag-2");
    EXPECT_EQ(history.position(), 2u) << "after an undo a new step begins";
}

TEST(History, AThousandEditsOfALargeShowStaySmall) {
    auto show = showOf(2000);
    History history({show, emptyHand()});
    Lineup all;
    for (const auto& [id, f] : show->fixtures)
        all.push_back(id);
    const void* untouched = show->fixtures.at({1500}).get();
    const auto before = ::mallinfo2();
    for (int i = 0; i < 1000; ++i) {
        if (i % 4 == 3) { // a colour for all of them at once
            history.push({"Colour",
                          {show, withColour(history.now().state.hand, all,
                                            test::wishFor(fmt::format("cct:{}", 2000 + i)))}});
            continue;
        }
        Fixture f = *show->fixture({1 + i});
        f.note = std::to_string(i);
        show = *changeFixture(show, f);
        history.push({"Note", {show, history.now().state.hand}});
    }
    const auto after = ::mallinfo2();
    const double mega =
        static_cast<double>(after.uordblks + after.hblkhd - before.uordblks - before.hblkhd) / 1e6;
    std::printf("[ figures  ] 1000 edits of a show of 2000 lamps: %.1f MB\n", mega);
#if !defined(__SANITIZE_ADDRESS__) && !defined(__SANITIZE_THREAD__)
    EXPECT_LE(mega, 50);
#endif
    for (const auto& m : history.moments())
        ASSERT_EQ(m.state.show->fixtures.at({1500}).get(), untouched);
}

TEST(Edits, TwoThousandLampsAreReaddressedAtOnce) {
    const auto show = showOf(2000);
    std::vector<FixtureId> ids;
    for (const auto& [id, f] : show->fixtures)
        ids.push_back(id);
    const auto begin = std::chrono::steady_clock::now();
    const auto next = readdress(show, [](const Fixture&) { return 18; }, ids, {3, 1});
    const auto took = std::chrono::steady_clock::now() - begin;
    std::printf("[ figures  ] 2000 lamps readdressed in %.1f ms\n",
                std::chrono::duration<double>(took).count() * 1e3);
    ASSERT_TRUE(next);
    for (int i = 0; i < 2000; ++i) {
        const auto& f = *(*next)->fixture(ids[static_cast<std::size_t>(i)]);
        ASSERT_EQ(f.universe, 3 + i / 28);
        ASSERT_EQ(f.address, 1 + 18 * (i % 28));
    }
}

// What can be made can be saved: edits refuse what the reader would.
TEST(Edits, HaveTheBoundsOfTheFile) {
    const auto show = showOf(1);
    Fixture f = *show->fixture({1});
    const auto refused = [&](auto change, const char* says) {
        Fixture wrong = f;
        change(wrong);
        const auto next = changeFixture(show, wrong);
        ASSERT_FALSE(next) << says;
        EXPECT_NE(next.error().text().find(says), std::string::npos) << next.error().text();
    };
    refused([](Fixture& w) { w.place.x_m = 12'000; }, "x_m 12000: must be within -10000..10000");
    refused([](Fixture& w) { w.place.z_m = NAN; }, "z_m");
    refused([](Fixture& w) { w.number = 2'000'000'000; }, "number 2000000000");
    refused([](Fixture& w) { w.label = std::string(2000, 'x'); }, "2000 bytes, at most 1000");
    refused([](Fixture& w) { w.home["Red"] = 1.5; }, "home of Red");
    const auto pasted = addFromText(show, "type\tx_m\ntern-6\t12000\n", nullptr);
    ASSERT_FALSE(pasted) << "millimetres";
    EXPECT_NE(pasted.error().text().find("line 2, x_m: '12000': must be metres"),
              std::string::npos);
    EXPECT_EQ(addFixtures(show, std::vector<Fixture>(kMostFixtures, f)).error().code,
              ErrorCode::TooLarge);
    colour::Grid grid{};
    grid[10] = 1e300;
    EXPECT_FALSE(keepMeasured(show, "sun", colour::Spectrum(grid)));
    Calibration c;
    c.off = {1, 0};
    EXPECT_FALSE(calibrate(show, {1}, c));
}

TEST(Edits, RemovingLampsReachesEveryHolder) {
    auto show = showOf(3);
    auto hand = withIntensity(emptyHand(), {{1}, {2}, {3}}, 0.5);
    show = *keepLook(show, *hand, {{1}, {2}}, "l");
    show = *keepHand(show, *hand);
    show = *addGroup(show, "g", {{1}, {3}});
    show = *lockLamps(show, *hand);
    const auto next = *removeFixtures({show, hand}, {{1}});
    int holders = 0;
    eachHolder(next, [&](const Holder&, const Values& values) {
        ++holders;
        EXPECT_FALSE(values.contains({1}));
        EXPECT_TRUE(values.contains({2}));
    });
    EXPECT_EQ(holders, 4);
    EXPECT_EQ(next.show->group({1})->fixtures, std::vector<FixtureId>{{3}});
    EXPECT_EQ(pruned(next), next) << "nothing more to do: the very same";
}

} // namespace
} // namespace zelo::show
