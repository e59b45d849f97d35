// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/patch.h"

#include "show/edits.h"

#include <gmock/gmock.h>

namespace zelo::show {
namespace {

using ::testing::HasSubstr;

int slotsOf(const Fixture& f) {
    return f.type == "five" ? 5 : f.type == "hundred" ? 100 : 0;
}

ShowPtr showOf(const std::vector<std::tuple<std::string, int, int>>& fixtures) {
    ShowPtr show = std::make_shared<const Show>();
    for (const auto& [type, universe, address] : fixtures) {
        Fixture f;
        f.type = type;
        f.number = show->last_fixture_id + 1;
        f.universe = static_cast<std::uint16_t>(universe);
        f.address = address;
        show = addFixture(show, f).value();
    }
    return show;
}

TEST(Patch, FindsWhatClashesAndWhatRunsPastTheEnd) {
    const auto show = showOf({{"five", 1, 1},
                              {"five", 1, 4},
                              {"five", 2, 4},
                              {"five", 1, 9},
                              {"five", 1, 509},
                              {"unknown", 1, 1}});
    const auto faults = patchFaults(*show, slotsOf);
    ASSERT_EQ(faults.clashes.size(), 1u);
    EXPECT_EQ(faults.clashes[0].fixture, FixtureId{2});
    EXPECT_EQ(faults.clashes[0].with, FixtureId{1});
    EXPECT_EQ(faults.clashes[0].shared, 2);
    EXPECT_THAT(faults.past_end, ::testing::ElementsAre(FixtureId{5}));
}

TEST(Patch, NextFreeIsTheFirstGapThatIsLargeEnough) {
    const auto show = showOf({{"five", 1, 1}, {"five", 1, 9}, {"hundred", 1, 14}});
    EXPECT_EQ(nextFree(*show, slotsOf, 3, {1, 1}), (Address{1, 6}));
    EXPECT_EQ(nextFree(*show, slotsOf, 4, {1, 1}), (Address{1, 114}));
    EXPECT_EQ(nextFree(*show, slotsOf, 400, {1, 1}), (Address{2, 1})) << "the next universe";
    EXPECT_EQ(nextFree(*show, slotsOf, 5, {1, 9}, std::array{FixtureId{2}}), (Address{1, 9}))
        << "what moves is no obstacle";
    EXPECT_FALSE(nextFree(*show, slotsOf, 513, {1, 1}));
    EXPECT_FALSE(nextFree(*show, slotsOf, 400, {63999, 200}));
}

TEST(Patch, ManyAreAddedOneAfterTheOther) {
    AddWish wish;
    wish.like.type = "hundred";
    wish.like.number = 7;
    wish.like.address = 300;
    wish.count = 4;
    wish.footprint = 100;
    wish.step_m = 1.5;
    std::vector<FixtureId> added;
    const auto show = addMany(std::make_shared<const Show>(), wish, &added);
    ASSERT_TRUE(show);
    ASSERT_EQ(added.size(), 4u);
    const auto at = [&](std::size_t i) { return *(*show)->fixture(added[i]); };
    EXPECT_EQ(at(1).address, 400);
    EXPECT_EQ(at(2).universe, 2);
    EXPECT_EQ(at(2).address, 1);
    EXPECT_EQ(at(3).number, 10);
    EXPECT_EQ(at(3).place.x_m, 4.5);
    EXPECT_TRUE(patchFaults(**show, slotsOf).clashes.empty());
    wish.spacing = 110;
    EXPECT_EQ((*addMany(std::make_shared<const Show>(), wish, nullptr))->fixture({2})->address,
              410);
    wish.count = 0;
    EXPECT_FALSE(addMany(*show, wish, nullptr));
}

TEST(Patch, ReaddressingResolvesAClashAndKeepsTheOrder) {
    const auto show = showOf({{"five", 1, 1}, {"five", 1, 3}, {"five", 1, 20}, {"five", 1, 4}});
    const auto ids = std::array{FixtureId{4}, FixtureId{2}};
    const auto next = readdress(show, slotsOf, ids, {1, 1});
    ASSERT_TRUE(next);
    EXPECT_TRUE(patchFaults(**next, slotsOf).clashes.empty());
    EXPECT_EQ((*next)->fixture({4})->address, 6);
    EXPECT_EQ((*next)->fixture({2})->address, 11);
    EXPECT_EQ((*next)->fixture({3})->address, 20) << "the others stay";
    EXPECT_FALSE(readdress(show, slotsOf, std::array{FixtureId{9}}, {1, 1}));
}

TEST(Patch, RenumbersInTheOrderGiven) {
    const auto show = showOf({{"five", 1, 1}, {"five", 1, 6}});
    const auto next = renumber(show, std::array{FixtureId{2}, FixtureId{1}}, 101);
    EXPECT_EQ((*next)->fixture({2})->number, 101);
    EXPECT_EQ((*next)->fixture({1})->number, 102);
    EXPECT_EQ(show->fixture({1})->number, 1) << "the show given never changes";
    EXPECT_FALSE(renumber(show, std::array{FixtureId{2}}, 0));
}

TEST(Patch, GoesThroughASpreadsheetAndBack) {
    auto show = showOf({{"five", 1, 1}, {"hundred", 3, 77}});
    show = changeEach(show, std::array{FixtureId{2}}, [](Fixture& f, std::size_t) {
               f.note = "by the\twinch";
               f.place = {1.25, -3, 6, 0};
           }).value();
    const auto ids = std::array{FixtureId{1}, FixtureId{2}};
    std::vector<FixtureId> added;
    const auto back = addFromText(std::make_shared<const Show>(), patchText(*show, ids), &added);
    ASSERT_TRUE(back) << back.error().text();
    const auto& f = *(*back)->fixture(added[1]);
    EXPECT_EQ(f.type, "hundred");
    EXPECT_EQ(f.universe, 3);
    EXPECT_EQ(f.address, 77);
    EXPECT_EQ(f.place.x_m, 1.25);
    EXPECT_EQ(f.note, "by the winch");
    EXPECT_EQ((*addFromText(show, "Note\tTYPE\nx\tfive\n\n", nullptr))->fixtures.size(), 3u);
    for (const auto& [text, says] : {std::pair{"", "heading"},
                                     {"number\n1\n", "'type'"},
                                     {"type\taddress\nfive\t513\n", "line 2, address"},
                                     {"type\tx_m\nfive\tfar\n", "metres"},
                                     {"type\tuniverse\n\t1\n", "line 2"}})
        EXPECT_THAT(addFromText(show, text, nullptr).error().text(), HasSubstr(says)) << text;
}

} // namespace
} // namespace zelo::show
