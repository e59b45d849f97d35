// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/table.h"

#include <gtest/gtest.h>
#include <map>
#include <random>
#include <string>

namespace zelo {
namespace {

using T = Table<int, std::string>;

std::map<int, std::string> contents(const T& table) {
    std::map<int, std::string> all;
    int last = -1;
    for (const auto& [id, item] : table) {
        EXPECT_LT(last, id) << "in the order of ids";
        last = id;
        all[id] = *item;
    }
    return all;
}

TEST(Table, EditsMakeTheNextOneAndShareTheRest) {
    const T none;
    EXPECT_TRUE(none.empty());
    EXPECT_EQ(none.find(3), nullptr);
    EXPECT_FALSE(none.item(3));
    const T one = none.with(3, "c").with(1, "a");
    const T two = one.with(3, "C");
    EXPECT_EQ(*one.at(3), "c") << "what was there stays as it was";
    EXPECT_EQ(*two.at(3), "C");
    EXPECT_EQ(one.at(1).get(), two.at(1).get()) << "shared";
    EXPECT_EQ(two.without(3), two.without(3).without(9));
    EXPECT_FALSE(one == two);
    EXPECT_EQ(one, one.with(3, one.at(3)));
}

TEST(Table, IsWhatAMapIsUnderAnyEdits) {
    std::mt19937 random(5);
    T table;
    std::map<int, std::string> map;
    for (int round = 0; round < 3000; ++round) {
        std::vector<T::Change> changes;
        for (std::size_t i = random() % 5; i-- > 0;) {
            const int id = static_cast<int>(random() % 40);
            if (random() % 3 == 0) {
                changes.emplace_back(id, nullptr);
                map.erase(id);
            } else {
                const auto text = std::to_string(random() % 100);
                changes.emplace_back(id, std::make_shared<const std::string>(text));
                map[id] = text;
            }
        }
        table = table.changed(std::move(changes));
        ASSERT_EQ(contents(table), map) << round;
        ASSERT_EQ(table.size(), map.size());
        ASSERT_EQ(table.contains(7), map.contains(7));
    }
    const auto odd = table.withoutIf([](int id, const std::string&) { return id % 2 == 0; });
    std::erase_if(map, [](const auto& e) { return e.first % 2 == 0; });
    EXPECT_EQ(contents(odd), map);
}

} // namespace
} // namespace zelo
