// SPDX-License-Identifier: GPL-3.0-or-later
// Ways through colour against tests/data/reference/routes.json, and the laws they keep.
#include "route/way.h"
#include "support/vectors.h"

namespace zelo::route {
namespace {

using colour::Uv;

Uv uvOf(const nlohmann::json& j) {
    return {j[0], j[1]};
}

struct Case {
    nlohmann::json row;
    Disc disc;
    Uv from, to;
    std::string name;
};

std::vector<Case> cases() {
    const auto fixtures = test::readJson("reference/match.json")["fixtures"];
    const auto all = test::readJson("reference/routes.json");
    std::vector<Case> found;
    for (const auto& row : all["routes"]) {
        std::vector<Uv> hull;
        for (const auto& corner : fixtures[row["fixture"].get<std::string>()]["hull_uv"])
            hull.push_back(uvOf(corner));
        auto disc = Disc::of(colour::Polygon(hull), uvOf(row["white_uv"]));
        EXPECT_TRUE(disc.has_value());
        found.push_back({row, *disc, uvOf(row["from_uv"]), uvOf(row["to_uv"]),
                         row["fixture"].get<std::string>() + " " + row["from"].get<std::string>() +
                             " " + row["to"].get<std::string>()});
    }
    EXPECT_EQ(found.size(), 42u);
    return found;
}

std::vector<Uv> sampled(const Curve& curve, int n = 2000) {
    std::vector<Uv> way;
    for (int i = 0; i <= n; ++i)
        way.push_back(curve(static_cast<double>(i) / n));
    return way;
}

double leastSaturation(const Disc& disc, const std::vector<Uv>& way) {
    double least = HUGE_VAL;
    for (const Uv& p : way)
        least = std::min(least, disc.saturation(p));
    return least;
}

TEST(Disc, SaturationOfTheEnds) {
    for (const auto& c : cases()) {
        EXPECT_NEAR(c.disc.saturation(c.from), c.row["saturation"][0].get<double>(), 0.005)
            << c.name;
        EXPECT_NEAR(c.disc.saturation(c.to), c.row["saturation"][1].get<double>(), 0.005) << c.name;
        EXPECT_NEAR(c.disc.toDisc(c.from).angle, c.row["hue_rad"][0].get<double>(), 1e-4) << c.name;
    }
}

TEST(Disc, MapsThereAndBack) {
    for (const auto& c : cases())
        for (const double part : {0.0, 0.2, 0.7, 1.0}) {
            const Uv p = c.from + part * (c.to - c.from);
            EXPECT_LT(colour::distance(c.disc.fromDisc(c.disc.toDisc(p)), p), 1e-12);
        }
}

TEST(Disc, RefusesAWhiteOutsideTheReach) {
    const colour::Polygon hull({{0, 0}, {1, 0}, {0, 1}});
    EXPECT_FALSE(Disc::of(hull, {0.9, 0.9}));
    EXPECT_FALSE(Disc::of(hull, {0.5, 0}));
    EXPECT_FALSE(Disc::of(colour::Polygon({{0, 0}, {1, 1}}), {0.5, 0.5}));
    EXPECT_TRUE(Disc::of(hull, {0.3, 0.3}));
}

TEST(Straight, LosesWhatTheVectorsSay) {
    for (const auto& c : cases()) {
        const auto way = sampled(straightWay(c.from, c.to));
        EXPECT_NEAR(leastSaturation(c.disc, way), c.row["straight"]["min_saturation"].get<double>(),
                    0.005)
            << c.name;
        EXPECT_NEAR(whiteDip(c.disc, way), c.row["straight"]["white_dip"].get<double>(), 0.01)
            << c.name;
    }
}

TEST(Around, LengthFloorAndPlacesOfTheVectors) {
    for (const auto& c : cases())
        for (const auto& around : c.row["around"])
            for (const char* side : {"ccw", "cw"}) {
                const auto& expected = around[side];
                const auto way = aroundWay(c.disc, c.from, c.to, around["floor"], *sideNamed(side));
                const std::string name =
                    c.name + " floor " + std::to_string(around["floor"].get<double>()) + side;
                const double length = expected["length"];
                EXPECT_NEAR(way.length, length, 0.005 * length) << name;
                EXPECT_NEAR(leastSaturation(c.disc, sampled(way.curve)),
                            expected["min_saturation"].get<double>(), 0.005)
                    << name;
                for (int i = 0; i <= 10; ++i)
                    // Half a percent of the length is allowed: so far may a point lie along it.
                    EXPECT_LT(colour::distance(way.curve(i / 10.0), uvOf(expected["uv"][i])), 4e-3)
                        << name << " at " << i;
            }
}

TEST(Around, TheShorterSideIsTheShorter) {
    for (const auto& c : cases())
        for (const auto& around : c.row["around"]) {
            if (!around["short_clear"].get<bool>())
                continue;
            const auto way = aroundWay(c.disc, c.from, c.to, around["floor"], Side::Short);
            EXPECT_EQ(way.ccw, around["short"] == "ccw") << c.name;
            EXPECT_GE(aroundWay(c.disc, c.from, c.to, around["floor"], Side::Long).length,
                      way.length);
        }
}

TEST(Around, KeepsItsFloorWhateverItIs) {
    for (const auto& c : cases())
        for (double floor = 0; floor <= 1; floor += 0.125)
            for (const Side side : {Side::Ccw, Side::Cw}) {
                const auto way = aroundWay(c.disc, c.from, c.to, floor, side);
                EXPECT_LE(whiteDip(c.disc, sampled(way.curve)), 1 - floor + 1e-6) << c.name;
                EXPECT_LT(colour::distance(way.curve(0), c.from), 1e-9);
                EXPECT_LT(colour::distance(way.curve(1), c.to), 1e-9);
            }
}

TEST(Around, ToTheSameColourStaysThere) {
    const auto c = cases().front();
    const auto way = aroundWay(c.disc, c.from, c.from, 0.8, Side::Short);
    EXPECT_NEAR(way.length, 0, 1e-9);
    EXPECT_LT(colour::distance(way.curve(0.5), c.from), 1e-9);
    // From white there is no floor to keep and no dip to speak of.
    const auto out = aroundWay(c.disc, c.disc.white(), c.to, 0.8, Side::Short);
    EXPECT_EQ(whiteDip(c.disc, sampled(out.curve)), 0);
    EXPECT_LT(colour::distance(out.curve(1), c.to), 1e-9);
}

TEST(Names, GoBothWays) {
    for (const auto k : {Kind::Levels, Kind::Straight, Kind::Around, Kind::Dark, Kind::Jump})
        EXPECT_EQ(kindNamed(nameOf(k)), k);
    EXPECT_FALSE(kindNamed("sideways"));
    EXPECT_FALSE(sideNamed("left"));
}

} // namespace
} // namespace zelo::route
