// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/cct.h"
#include "colour/hue_words.h"
#include "colour/srgb.h"
#include "colour/words.h"

#include <algorithm>
#include <gtest/gtest.h>
#include <numbers>

namespace zelo::colour {
namespace {

const Xyz kD65{0.95047, 1, 1.08883};

// Linear sRGB, IEC 61966-2-1.
Xyz rgb(double r, double g, double b) {
    return {0.4124 * r + 0.3576 * g + 0.1805 * b, 0.2126 * r + 0.7152 * g + 0.0722 * b,
            0.0193 * r + 0.1192 * g + 0.9505 * b};
}
bool has(const Xyz& light, const char* word, const Xyz& white = kD65) {
    const auto words = wordsOf(light, white);
    return std::find(words.begin(), words.end(), word) != words.end();
}

TEST(Words, PrimariesAndSecondariesHaveTheirNames) {
    const std::pair<Xyz, const char*> named[] = {{rgb(1, 0, 0), "red"},
                                                 {rgb(0, 1, 0), "green"},
                                                 {rgb(0, 0, 1), "blue"},
                                                 {rgb(1, 1, 0), "yellow"},
                                                 {rgb(0, 1, 1), "cyan"},
                                                 {rgb(1, 0, 1), "magenta"},
                                                 {rgb(1, 0.38, 0), "orange"},
                                                 {rgb(1, 0.5, 0), "amber"},
                                                 {rgb(1, 0.53, 0.6), "pink"},
                                                 {rgb(0.22, 0.0, 1), "violet"},
                                                 {rgb(0.25, 0.8, 0.7), "turquoise"}};
    for (const auto& [light, word] : named)
        EXPECT_TRUE(has(light, word)) << word;
    EXPECT_FALSE(has(rgb(1, 0, 0), "blue"));
    EXPECT_FALSE(has(rgb(0, 0, 1), "red"));
    EXPECT_FALSE(has(rgb(1, 0, 0), "pink"));
}

TEST(Words, PaleDeepWarmAndCool) {
    EXPECT_TRUE(has(kD65, "white"));
    EXPECT_TRUE(has({0.1901, 0.2, 0.2178}, "grey"));
    EXPECT_TRUE(has(rgb(0.75, 0.85, 1), "pale"));
    EXPECT_TRUE(has(rgb(0.75, 0.85, 1), "cool"));
    EXPECT_TRUE(has(rgb(0, 0, 1), "deep")) << "little light";
    EXPECT_FALSE(has(rgb(1, 1, 0), "deep"));
    EXPECT_TRUE(has(rgb(1, 0.9, 0.6), "straw"));
    const auto incandescent = toXyz(planckianUv({2700}));
    EXPECT_TRUE(has(incandescent, "warm"));
    EXPECT_TRUE(has(incandescent, "white", incandescent)) << "to an eye adapted to it";
    EXPECT_TRUE(has({0, 0, 0}, "black"));
}

// Which way round the white, and what to search for: the same words for the same colours.
TEST(Words, AreOnesOwnInTheMiddleOfTheirStretch) {
    double last = -10;
    for (const HueWord& w : hueWords()) {
        if (!w.uv)
            continue;
        EXPECT_EQ(w.uv->from_deg, last) << w.word;
        last = w.uv->to_deg;
        const double angle = (w.uv->from_deg + w.uv->to_deg) / 2 * std::numbers::pi / 180;
        for (const double far : {0.03, 0.05}) {
            const Uv uv = toUv(kD65) + far * Uv{std::cos(angle), std::sin(angle)};
            EXPECT_TRUE(has(toXyz(uv), w.word)) << w.word << " " << far;
        }
    }
    EXPECT_EQ(last, 360 - 10) << "all round";
}

TEST(Words, HueTurnsOnceAroundTheWhite) {
    double last = -1;
    int falls = 0;
    for (int i = 0; i < 36; ++i) { // hsv around the corner colours
        const double h = i / 6.0;
        const auto part = [&](double off) {
            const double k = std::fmod(h + off, 6.0);
            return std::clamp(std::min(k, 4 - k), 0.0, 1.0);
        };
        const double hue = hueOf(rgb(1 - part(5), 1 - part(3), 1 - part(1)), kD65).hue_deg;
        falls += hue < last;
        last = hue;
    }
    EXPECT_LE(falls, 1) << "growing but where it passes 360";
}

} // namespace
} // namespace zelo::colour
