// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/polygon.h"

#include <gtest/gtest.h>
#include <random>

namespace zelo::colour {
namespace {

const Polygon kSquare({{0, 0}, {1, 0}, {1, 1}, {0, 1}});
const Polygon kLine({{-1, 0.5}, {0.5, 0.5}});
const Polygon kPoint({{0.25, 0.5}});

TEST(Polygon, DropsPointsInsideAndOnEdges) {
    const Polygon hull({{0, 0}, {1, 0}, {1, 1}, {0, 1}, {0.5, 0.5}, {0.5, 0}, {0, 0}});
    EXPECT_EQ(hull, kSquare);
    EXPECT_NEAR(hull.nearest({0.5, 0.25}).distance, -0.25, 1e-12);
    EXPECT_NEAR(hull.nearest({2, 0.5}).distance, 1, 1e-12);
    EXPECT_EQ(Polygon({{0, 0}, {1, 1}, {0.5, 0.5}}).corners().size(), 2u);
    EXPECT_EQ(Polygon({{0.3, 0.3}, {0.3, 0.3}}).corners().size(), 1u);
    EXPECT_TRUE(Polygon(std::vector<Uv>{}).empty());
}

TEST(Polygon, TwoShareWhatIsInBoth) {
    const Polygon a({{0, 0}, {2, 0}, {2, 2}, {0, 2}});
    const auto both = a.with(Polygon({{1, 1}, {3, 1}, {3, 3}, {1, 3}}));
    ASSERT_EQ(both.corners().size(), 4u);
    EXPECT_NEAR(both.nearest({1.5, 1.5}).distance, -0.5, 1e-12);
    EXPECT_TRUE(a.with(Polygon({{5, 5}, {6, 5}, {6, 6}})).empty());
}

TEST(Polygon, LinesAndPointsShareToo) {
    const auto expectSame = [](const Polygon& one, const Polygon& other, const Polygon& wanted,
                               const char* what) {
        for (const Polygon& got : {one.with(other), other.with(one)}) {
            ASSERT_EQ(got.corners().size(), wanted.corners().size()) << what;
            for (std::size_t i = 0; i < got.corners().size(); ++i)
                EXPECT_LT(distance(got.corners()[i], wanted.corners()[i]), 1e-9) << what;
        }
    };
    expectSame(kSquare, kLine, Polygon({{0, 0.5}, {0.5, 0.5}}), "the part of a line");
    expectSame(kSquare, kPoint, kPoint, "a point inside");
    expectSame(kSquare, Polygon({{2, 2}}), {}, "a point outside");
    expectSame(kLine, kPoint, kPoint, "a point on a line");
    expectSame(kLine, Polygon({{0.2, 0.2}, {0.2, 0.8}}), Polygon({{0.2, 0.5}}), "lines that cross");
    expectSame(kLine, Polygon({{0, 0.5}, {2, 0.5}}), Polygon({{0, 0.5}, {0.5, 0.5}}), "along");
    expectSame(kLine, Polygon({{0, 0.6}, {2, 0.6}}), {}, "beside");
    expectSame(kSquare, {}, {}, "nothing");
}

TEST(Polygon, ARayEndsOnTheEdgeThatItNames) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> any(0, 1);
    for (int round = 0; round < 2000; ++round) {
        std::vector<Uv> points;
        for (int i = 0; i < 3 + round % 6; ++i)
            points.push_back({any(random), any(random)});
        const Polygon polygon(points);
        const Uv from = polygon.middle();
        const Uv way{any(random) - 0.5, any(random) - 0.5};
        const auto ray = polygon.ray(from, way);
        const auto& corners = polygon.corners();
        const Uv a = corners[ray.edge];
        const Uv b = corners[(ray.edge + 1) % corners.size()];
        EXPECT_LT(distance(from + ray.far * way, a + ray.part * (b - a)), 1e-9);
        EXPECT_NEAR(polygon.nearest(from + ray.far * way).distance, 0, 1e-9);
        EXPECT_LT(polygon.nearest(from + 0.9 * ray.far * way).distance, 0);
    }
}

TEST(Polygon, ARayOfALineGoesToItsEndAndOfAPointNowhere) {
    EXPECT_NEAR(kLine.ray({0, 0.5}, {2, 0}).far, 0.25, 1e-12);
    EXPECT_NEAR(kLine.ray({0, 0.5}, {-2, 0}).far, 0.5, 1e-12);
    EXPECT_EQ(kLine.ray({0, 0.5}, {0, 1}).far, 0) << "across";
    EXPECT_EQ(kLine.ray({0, 0.6}, {1, 0}).far, 0) << "from beside it";
    EXPECT_EQ(kPoint.ray({0.25, 0.5}, {1, 0}).far, 0);
    EXPECT_EQ(Polygon().ray({0.25, 0.5}, {1, 0}).far, 0);
    EXPECT_EQ(kSquare.ray({1.5, 0.5}, {1, 0}).far, 0) << "from outside";
    EXPECT_EQ(kSquare.ray({1.5, 0.5}, {-1, 0}).far, 0) << "and through it";
}

} // namespace
} // namespace zelo::colour
