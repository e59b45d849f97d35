// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/gradient.h"

#include "colour/cct.h"
#include "colour/oklab.h"
#include "route/arrangement.h"
#include "route/gradient_mix.h"
#include "support/general_solvers.h"
#include "support/shipped.h"
#include "support/vectors.h"

#include <gtest/gtest.h>

namespace zelo::route {
namespace {

using colour::Uv;

const Uv kWhite{0.21, 0.48};
const Uv kRed{0.45, 0.52}, kBlue{0.17, 0.20}, kGreen{0.10, 0.57}, kAmber{0.30, 0.54};
const colour::Polygon kReach({{0.52, 0.51}, {0.07, 0.58}, {0.16, 0.12}});

GradientWish wishOf(Kind kind) {
    GradientWish wish;
    wish.white = kWhite;
    wish.way.kind = kind;
    return wish;
}

// Oklab steps between neighbours, computed from the colours themselves.
std::vector<double> stepsOf(const std::vector<Uv>& colours) {
    const colour::OklabSpace space(colour::toXyz(kWhite));
    std::vector<double> steps;
    for (std::size_t i = 1; i < colours.size(); ++i)
        steps.push_back(100 * distance(space.from(colour::toXyz(colours[i])),
                                       space.from(colour::toXyz(colours[i - 1]))));
    return steps;
}

double evennessOf(const std::vector<double>& steps) {
    const auto [least, most] = std::minmax_element(steps.begin(), steps.end());
    return *least / *most;
}

TEST(Gradient, IsEvenToTheEye) {
    for (const auto kind : {Kind::Straight, Kind::Around})
        for (const int lamps : {2, 3, 7, 24, 500}) {
            const auto g =
                spread(kReach, {{kRed, {}}, {kBlue, {}}}, arranged(lamps, {}), wishOf(kind));
            ASSERT_TRUE(g);
            EXPECT_GE(evennessOf(stepsOf(g->colours)), lamps < 100 ? 0.998 : 0.98)
                << nameOf(kind) << " " << lamps;
            EXPECT_EQ(g->steps.size(), static_cast<std::size_t>(lamps - 1));
            EXPECT_NEAR(g->steps[0], stepsOf(g->colours)[0], 1e-9);
            EXPECT_LT(colour::distance(g->colours.front(), kRed), 1e-9);
            EXPECT_LT(colour::distance(g->colours.back(), kBlue), 1e-9);
        }
}

TEST(Gradient, StopsWithoutAPlaceGoEvenlyBetweenThoseWithOne) {
    const auto at = [](const std::vector<Stop>& stops) {
        const auto g = spread({}, stops, arranged(5, {}), wishOf(Kind::Straight));
        EXPECT_TRUE(g) << g.error().text();
        return g ? g->at : std::vector<double>();
    };
    using V = std::vector<double>;
    const auto near = [](const V& a, const V& b) {
        EXPECT_EQ(a.size(), b.size());
        for (std::size_t i = 0; i < a.size() && i < b.size(); ++i)
            EXPECT_NEAR(a[i], b[i], 1e-12);
    };
    near(at({{kRed, {}}, {kBlue, 0.8}, {kGreen, {}}, {kAmber, {}}}), {0, 0.8, 0.9, 1});
    near(at({{kRed, {}}, {kBlue, {}}, {kGreen, 0.5}, {kAmber, {}}}), {0, 0.25, 0.5, 1});
    near(at({{kRed, 0.25}, {kBlue, 0.75}}), {0.25, 0.75});
    near(at({{kRed, 0.2}, {kBlue, {}}, {kGreen, 0.4}}), {0.2, 0.3, 0.4});
}

TEST(Gradient, StopsPlacedByHandAreKeptAndEachPartIsEven) {
    const auto g = spread({}, {{kRed, 0.0}, {kBlue, 0.25}, {kGreen, {}}}, arranged(9, {}),
                          wishOf(Kind::Straight));
    ASSERT_TRUE(g);
    EXPECT_LT(colour::distance(g->colours[2], kBlue), 1e-9) << "a quarter of eight steps";
    const auto steps = stepsOf(g->colours);
    EXPECT_GE(evennessOf({steps.begin(), steps.begin() + 2}), 0.999);
    EXPECT_GE(evennessOf({steps.begin() + 2, steps.end()}), 0.999) << "chords, round the corner";
    EXPECT_GE(g->evenness, 0.999);
    // A stop between two lamps: what is left of a step on either side of it adds up.
    const auto between = spread({}, {{kRed, {}}, {kBlue, 0.3}, {kGreen, {}}}, arranged(11, {}),
                                wishOf(Kind::Around));
    EXPECT_FALSE(between) << "no reach to go round in";
    const auto off = spread({}, {{kRed, {}}, {kBlue, 0.35}, {kGreen, {}}}, arranged(11, {}),
                            wishOf(Kind::Straight));
    ASSERT_TRUE(off);
    const auto each = stepsOf(off->colours);
    EXPECT_GE(evennessOf({each.begin(), each.begin() + 3}), 0.99);
    EXPECT_GE(evennessOf({each.begin() + 4, each.end()}), 0.99);
    // Before the first stop and behind the last their colours stand.
    const auto inside =
        spread({}, {{kRed, 0.25}, {kBlue, 0.75}}, arranged(9, {}), wishOf(Kind::Straight));
    ASSERT_TRUE(inside);
    for (const int i : {0, 1, 2})
        EXPECT_EQ(inside->colours[static_cast<std::size_t>(i)], kRed);
    for (const int i : {6, 7, 8})
        EXPECT_EQ(inside->colours[static_cast<std::size_t>(i)], kBlue);
    EXPECT_NE(inside->colours[4], kRed);
}

TEST(Gradient, EvenInPlaceIsEvenAlongTheWay) {
    auto wish = wishOf(Kind::Straight);
    wish.even = Even::InPlace;
    const auto g = spread({}, {{kRed, {}}, {kBlue, {}}}, arranged(5, {}), wish);
    ASSERT_TRUE(g);
    for (int i = 0; i < 5; ++i) {
        const Uv uv = kRed + i / 4.0 * (kBlue - kRed);
        EXPECT_LT(colour::distance(g->colours[static_cast<std::size_t>(i)], uv), 1e-9);
    }
}

TEST(Gradient, EachPairOfStopsMayGoItsOwnWay) {
    auto wish = wishOf(Kind::Straight);
    StopWay jump;
    jump.kind = Kind::Jump;
    StopWay around;
    around.kind = Kind::Around;
    around.via = {kGreen};
    wish.ways = {jump, around};
    const auto g = spread(kReach, {{kRed, {}}, {kAmber, {}}, {kBlue, {}}}, arranged(21, {}), wish);
    ASSERT_TRUE(g) << g.error().text();
    for (std::size_t i = 0; i < 5; ++i)
        EXPECT_EQ(g->colours[i], kRed) << "until half of its stretch";
    for (std::size_t i = 5; i <= 10; ++i)
        EXPECT_LT(colour::distance(g->colours[i], kAmber), 1e-9);
    double nearest = 1;
    for (std::size_t i = 10; i < 21; ++i)
        nearest = std::min(nearest, colour::distance(g->colours[i], kGreen));
    EXPECT_LT(nearest, 0.04) << "it goes by there";
    wish.ways = {jump};
    EXPECT_FALSE(spread(kReach, {{kRed, {}}, {kAmber, {}}, {kBlue, {}}}, {0, 1}, wish));
}

TEST(Gradient, TheOrderOfPlacesDoesNotMatterAndBlocksAreConstant) {
    const std::vector<Stop> stops{{kRed, {}}, {kGreen, {}}, {kBlue, {}}};
    const auto wish = wishOf(Kind::Straight);
    const auto forward = spread({}, stops, arranged(12, {}), wish);
    const auto backward = spread({}, stops, arranged(12, *parseArrangement("reverse")), wish);
    ASSERT_TRUE(forward && backward);
    for (std::size_t i = 0; i < 12; ++i)
        EXPECT_EQ(forward->colours[i], backward->colours[11 - i]);
    const auto blocks = spread({}, stops, arranged(12, *parseArrangement("blocks:3")), wish);
    ASSERT_TRUE(blocks);
    for (std::size_t i = 0; i < 12; ++i)
        EXPECT_EQ(blocks->colours[i], blocks->colours[i - i % 3]);
    EXPECT_EQ(blocks->steps.size(), 3u);
}

TEST(Gradient, SaysWhatIsWrongAsItWasTyped) {
    const auto why = [](const std::vector<Stop>& stops) {
        const auto g = spread({}, stops, {0, 0.5, 1}, wishOf(Kind::Straight));
        return g ? std::string() : g.error().text();
    };
    EXPECT_EQ(why({{kRed, {}}}), "1 stops: a gradient needs at least two");
    EXPECT_EQ(why({{kRed, {}}, {kBlue, 0.8}, {kGreen, 0.3}}),
              "stop 3 at 0.3: must lie behind the stop at 0.8");
    EXPECT_EQ(why({{kRed, {}}, {kBlue, 1.0}, {kGreen, {}}}),
              "a stop at 1 leaves no room for the stops behind it");
    EXPECT_EQ(why({{kRed, {}}, {kBlue, 1.5}}), "stop 2 at 1.5: must be within 0..1");
    EXPECT_EQ(why({{kRed, {}}, {kBlue, 0.0}, {kGreen, {}}}),
              "stop 2 at 0: must lie behind the stop at 0");
    // Alike, white, of one place or none: all of that has a picture.
    EXPECT_EQ(why({{kRed, {}}, {kRed, {}}}), "");
    EXPECT_EQ(why({{kRed, {}}, {kWhite, {}}, {kBlue, {}}}), "");
    const auto none = spread({}, {{kRed, {}}, {kBlue, {}}}, {}, wishOf(Kind::Straight));
    ASSERT_TRUE(none);
    EXPECT_TRUE(none->colours.empty());
    const auto one = spread({}, {{kRed, {}}, {kBlue, {}}}, {0}, wishOf(Kind::Straight));
    ASSERT_TRUE(one);
    EXPECT_EQ(one->colours[0], kRed);
    const auto alike =
        spread({}, {{kRed, {}}, {kRed, {}}}, arranged(5, {}), wishOf(Kind::Straight));
    ASSERT_TRUE(alike);
    for (const Uv& uv : alike->colours)
        EXPECT_LT(colour::distance(uv, kRed), 1e-9);
    EXPECT_EQ(alike->evenness, 1);
    EXPECT_FALSE(spread({}, {{kRed, {}}, {kBlue, {}}}, {0, 1.5}, wishOf(Kind::Straight)));
    EXPECT_FALSE(spread(kReach, {{kRed, {}}, {kBlue, {}}}, {0, 1}, wishOf(Kind::Levels)));
}

// The design's bound: 1.5 × the least that any mixes with these lights can have, + 0.02.
TEST(GradientMix, NeighboursDoNotMakeTheirColoursFromQuiteDifferentEmitters) {
    int moved = 0;
    for (const char* name : {"gannet-8", "tern-6"}) {
        const auto type = test::shippedType(name);
        const mix::Mixer mixer(type, type->modes[0]);
        for (const auto& [a, b] : {std::pair{kRed, kBlue},
                                   {kAmber, kBlue},
                                   {kGreen, kRed},
                                   {colour::planckianUv({2700}), colour::planckianUv({8000})}})
            for (const auto intent : {mix::Intent::Brightest, mix::Intent::Truest}) {
                const auto g = spread(mixer.hull(), {{a, {}}, {b, {}}}, arranged(24, {}),
                                      wishOf(Kind::Around));
                ASSERT_TRUE(g);
                mix::MixWish wish;
                wish.intent = intent;
                const auto alone = mixGradient(mixer, g->colours, wish, Choose::EachAlone);
                const auto together = mixGradient(mixer, g->colours, wish);
                std::vector<colour::Xyz> lights;
                for (std::size_t i = 0; i < alone.mixes.size(); ++i) {
                    const auto& one = alone.mixes[i].got;
                    const auto& other = together.mixes[i].got;
                    lights.push_back(one);
                    EXPECT_LT(colour::distance(colour::toUv(one), colour::toUv(other)), 1e-6);
                    EXPECT_NEAR(other.Y / one.Y, 1, 1e-6) << "the brightness stays";
                }
                const double least =
                    test::leastStepByLinearProgram(mixer.emitters(), lights, {}, {});
                EXPECT_LE(together.largest_step, 1.5 * least + 0.02)
                    << name << " alone " << alone.largest_step << " least " << least;
                EXPECT_EQ(together.alone, alone.largest_step);
                moved += together.largest_step < alone.largest_step;
            }
    }
    EXPECT_GT(moved, 4);
}

TEST(GradientMix, KeepOutsAndPinsHold) {
    const auto type = test::shippedType("gannet-8");
    const mix::Mixer mixer(type, type->modes[0]);
    mix::MixWish wish;
    wish.keep_out = {3};
    wish.pins = {{1, 0.2}};
    const auto g =
        spread(mixer.hull(), {{kRed, {}}, {kBlue, {}}}, arranged(16, {}), wishOf(Kind::Straight));
    ASSERT_TRUE(g);
    for (const auto& m : mixGradient(mixer, g->colours, wish).mixes) {
        EXPECT_EQ(m.drives[3], 0);
        EXPECT_NEAR(m.drives[1], 0.2, 1e-9);
    }
    EXPECT_TRUE(mixGradient(mixer, {}, wish).mixes.empty());
    EXPECT_EQ(mixGradient(mixer, {kRed}, wish).mixes.size(), 1u);
}

} // namespace
} // namespace zelo::route
