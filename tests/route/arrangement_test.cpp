// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/arrangement.h"

#include <algorithm>
#include <gtest/gtest.h>
#include <set>

namespace zelo::route {
namespace {

using V = std::vector<double>;

V places(const char* text, int lamps) {
    const auto a = parseArrangement(text);
    EXPECT_TRUE(a.has_value()) << text;
    return a ? arranged(lamps, *a) : V();
}

TEST(Arrangement, PlacesOfEveryKind) {
    EXPECT_EQ(places("forward", 5), (V{0, 0.25, 0.5, 0.75, 1}));
    EXPECT_EQ(places("reverse", 3), (V{1, 0.5, 0}));
    EXPECT_EQ(places("from-middle", 5), (V{1, 0.5, 0, 0.25, 0.75})) << "each a place of its own";
    EXPECT_EQ(places("to-middle", 5), (V{0, 0.5, 1, 0.75, 0.25}));
    EXPECT_EQ(places("mirrored", 5), (V{0, 0.5, 1, 0.5, 0})) << "pairs share theirs";
    EXPECT_EQ(places("mirrored", 4), (V{0, 1, 1, 0}));
    EXPECT_EQ(places("reverse,mirrored", 5), (V{1, 0.5, 0, 0.5, 1}));
    EXPECT_EQ(places("to-and-fro", 5), (V{0, 0.5, 1, 0.5, 0}));
    EXPECT_EQ(places("to-and-fro:4", 9), (V{0, 0.5, 1, 0.5, 0, 0.5, 1, 0.5, 0}));
    EXPECT_EQ(places("blocks:2", 6), (V{0, 0, 0.5, 0.5, 1, 1}));
    EXPECT_EQ(places("repeated:2", 6), (V{0, 0.5, 1, 0, 0.5, 1}));
    EXPECT_EQ(places("repeated:2", 5), (V{0, 1, 0, 0.5, 1})) << "each is the whole gradient";
    EXPECT_EQ(places("mirrored,blocks:2,repeated:2", 12), (V{0, 0, 1, 1, 0, 0, 0, 0, 1, 1, 0, 0}));
    EXPECT_EQ(places("forward+0.2", 5), (V{1, 0, 0.25, 0.5, 0.75}));
    EXPECT_EQ(places("forward", 1), (V{0}));
    EXPECT_EQ(places("blocks:100000", 4), (V{0, 0, 0, 0}));
    EXPECT_EQ(places("repeated:100000", 3), (V{0, 0, 0}));
    EXPECT_EQ(places("mirrored,repeated:3,blocks:2", 0), V());
}

TEST(Arrangement, AShuffleIsTheSameForItsSeed) {
    auto shuffled = places("shuffled:7", 40);
    EXPECT_EQ(shuffled, places("shuffled:7", 40));
    EXPECT_NE(shuffled, places("shuffled:8", 40));
    std::sort(shuffled.begin(), shuffled.end());
    EXPECT_EQ(shuffled, places("forward", 40)) << "every place once";
    auto middle = places("from-middle", 41);
    std::sort(middle.begin(), middle.end());
    EXPECT_EQ(middle, places("forward", 41));
}

TEST(Arrangement, WhatIsNoneIsNamed) {
    for (const char* bad : {"", "sideways", "blocks", "blocks:0", "blocks:x", "blocks:2147483647",
                            "repeated:2147483648", "forward:2", "forward+2", "forward+-1",
                            "mirrored:2", "shuffled:x", "to-and-fro:0", "forward,", "blocks:1:2"}) {
        const auto a = parseArrangement(bad);
        ASSERT_FALSE(a) << bad;
        EXPECT_NE(a.error().text().find('\''), std::string::npos) << "as it was typed";
    }
}

TEST(Arrangement, ByPlaceItGoesAlongALineOrAwayFromAPoint) {
    const std::vector<Place> square{{0, 0}, {4, 0}, {0, 2}, {4, 2}};
    EXPECT_EQ(alongLine(square, 0), (V{0, 1, 0, 1}));
    const auto up = alongLine(square, 90);
    EXPECT_NEAR(up[0], 0, 1e-12);
    EXPECT_NEAR(up[2], 1, 1e-12);
    const auto back = alongLine(square, 180);
    EXPECT_NEAR(back[1], 0, 1e-12);
    EXPECT_NEAR(back[0], 1, 1e-12);
    EXPECT_EQ(awayFrom({{1, 0}, {2, 0}, {5, 0}}, {1, 0}), (V{0, 0.25, 1}));
    EXPECT_EQ(alongLine({{3, 3}, {3, 3}}, 45), (V{0, 0})) << "all in one place";
    EXPECT_EQ(alongLine({}, 45), V());
    const V along{0, 0.25, 0.5, 1};
    EXPECT_EQ(arranged(along, *parseArrangement("reverse")), (V{1, 0.75, 0.5, 0}));
    EXPECT_EQ(arranged(along, *parseArrangement("mirrored")), (V{0, 0.5, 1, 0}));
    EXPECT_EQ(arranged(along, *parseArrangement("blocks:2")), (V{0, 0, 1, 1}));
    EXPECT_EQ(arranged(along, *parseArrangement("repeated:2")), (V{0, 0.5, 0, 1}));
    EXPECT_EQ(arranged(along, *parseArrangement("forward+0.25")), (V{0.75, 0, 0.25, 0.75}));
}

} // namespace
} // namespace zelo::route
