// SPDX-License-Identifier: GPL-3.0-or-later
// Ways with colours on them and hues to stay out of, for one type and for several.
#include "mix/together.h"
#include "route/fade.h"
#include "support/shipped.h"

namespace zelo::route {
namespace {

using colour::Uv;
constexpr double kPi = 3.14159265358979323846;

const Uv kWhite = colour::toUv(colour::toXyz(colour::lampOf({4300})));

struct Stand {
    mix::Mixer mixer = test::shippedMixer("gannet-8");
    light::Drives red =
        mixer.solve(test::gelWanted("104"), test::wishOf(mix::Intent::Truest)).drives;
    light::Drives blue =
        mixer.solve(test::gelWanted("346"), test::wishOf(mix::Intent::Truest)).drives;
    FadeWish wish;
    Stand() { wish.white = kWhite; }
    double nearest(const Fade& fade, const Uv& p) const {
        double least = 1;
        for (const auto& q : fade.points)
            least = std::min(least, colour::distance(q.uv, p));
        return least;
    }
    bool passes(const Fade& fade, const Sector& s) const {
        const auto disc = Disc::of(mixer.hull(), kWhite);
        for (const auto& q : fade.points)
            if (const auto p = disc->toDisc(q.uv); p.rho > 0.05 && s.holds(p.angle))
                return true;
        return false;
    }
};

TEST(Via, TheWayGoesThroughItsColours) {
    Stand s;
    const Uv amber = test::gelWanted("214").uv();
    const Uv green = test::gelWanted("508").uv();
    s.wish.via = {amber, green};
    s.wish.samples = 401;
    for (const Kind kind : {Kind::Straight, Kind::Around}) {
        s.wish.kind = kind;
        const auto fade = planFade(s.mixer, s.red, s.blue, s.wish);
        ASSERT_TRUE(fade);
        EXPECT_LT(s.nearest(*fade, amber), 0.003);
        EXPECT_LT(s.nearest(*fade, green), 0.003);
        for (const auto& p : fade->points)
            if (p.brightness_cd > 0)
                EXPECT_LT(colour::distance(colour::toUv(s.mixer.xyzOf(p.drives)), p.uv), 1e-6);
    }
    s.wish.via.clear();
    const auto plain = planFade(s.mixer, s.red, s.blue, s.wish);
    EXPECT_GT(s.nearest(*plain, green), 0.05) << "it would not go there by itself";
}

TEST(StayOut, TheOtherSideIsTakenInstead) {
    Stand s;
    s.wish.kind = Kind::Around;
    const auto plain = planFade(s.mixer, s.red, s.blue, s.wish);
    ASSERT_TRUE(plain && plain->ccw);
    // Whatever lies in the middle of the side it takes: stay out of that.
    const auto disc = Disc::of(s.mixer.hull(), kWhite);
    const double angle = disc->toDisc(plain->points[50].uv).angle;
    s.wish.keep_out = Sector{angle - 0.2, angle + 0.2};
    EXPECT_TRUE(s.passes(*plain, *s.wish.keep_out));
    const auto other = planFade(s.mixer, s.red, s.blue, s.wish);
    ASSERT_TRUE(other && other->ccw);
    EXPECT_NE(*other->ccw, *plain->ccw);
    EXPECT_FALSE(s.passes(*other, *s.wish.keep_out));
    EXPECT_EQ(other->in_sector, 0);
    // A sector that both sides meet is told.
    s.wish.keep_out = Sector{0, 2 * kPi - 1e-3};
    const auto none = planFade(s.mixer, s.red, s.blue, s.wish);
    ASSERT_TRUE(none);
    EXPECT_GT(none->in_sector, 0.5);
}

TEST(StayOut, OverlapCountsRadians) {
    const Sector s{1, 2};
    EXPECT_NEAR(s.overlap(0, 1.5), 0.5, 1e-12);
    EXPECT_NEAR(s.overlap(1.5, 0.2), 0.2, 1e-12);
    EXPECT_NEAR(s.overlap(1.5, 3), 0.5, 1e-12);
    EXPECT_NEAR(s.overlap(2.5, 1), 0, 1e-12);
    EXPECT_NEAR(s.overlap(2.5, 5), 2.5 + 5 - 2 * kPi - 1, 1e-12) << "once round and into it";
    const Sector over_zero{-0.5, 0.5};
    EXPECT_TRUE(over_zero.holds(0.2));
    EXPECT_TRUE(over_zero.holds(2 * kPi - 0.2));
    EXPECT_FALSE(over_zero.holds(1));
}

TEST(StayOut, IsWrittenByNameOrByAngle) {
    const auto green = parseSector("green");
    ASSERT_TRUE(green);
    const auto disc = Disc::of(test::shippedMixer("gannet-8").hull(), kWhite);
    EXPECT_TRUE(green->holds(disc->toDisc(test::gelWanted("508").uv()).angle));
    EXPECT_FALSE(green->holds(disc->toDisc(test::gelWanted("346").uv()).angle));
    EXPECT_NEAR(parseSector("90:180")->from, kPi / 2, 1e-12);
    for (const char* wrong : {"", "beige", "90", "90:", "a:b"})
        EXPECT_FALSE(parseSector(wrong)) << wrong;
}

TEST(SeveralTypes, GoTheSameWay) {
    const auto bar = test::shippedMixer("dunlin-3");
    const auto skua = test::shippedMixer("skua-cmy");
    const auto gannet = test::shippedMixer("gannet-8");
    FadeWish wish;
    wish.kind = Kind::Around;
    wish.floor = 0.7;
    wish.white = kWhite;
    const std::array<const mix::Mixer*, 3> all{&bar, &skua, &gannet};
    wish.reach = mix::commonReach(all);
    std::vector<Fade> fades;
    for (const mix::Mixer* m : all) {
        const auto end = [&](const char* gel) {
            return m->solve(test::gelWanted(gel), test::wishOf(mix::Intent::Brightest)).drives;
        };
        auto fade = planFade(*m, end("214"), end("303"), wish);
        ASSERT_TRUE(fade);
        fades.push_back(std::move(*fade));
    }
    for (std::size_t i = 0; i < fades[0].points.size(); ++i)
        for (std::size_t k = 0; k < fades.size(); ++k) {
            EXPECT_LT(colour::distance(fades[k].points[i].uv, fades[0].points[i].uv), 1e-6);
            const auto shown = colour::toUv(all[k]->xyzOf(fades[k].points[i].drives));
            EXPECT_LT(colour::distance(shown, fades[0].points[i].uv), 5e-4) << k << " at " << i;
        }
}

TEST(SeveralTypes, StepsForFlagsHoldTheirTolerance) {
    const auto skua = test::shippedMixer("skua-cmy");
    FadeWish wish;
    wish.white = kWhite;
    wish.kind = Kind::Around;
    const auto end = [&](const char* gel) {
        return skua.solve(test::gelWanted(gel), test::wishOf(mix::Intent::Brightest)).drives;
    };
    const auto fade = planFade(skua, end("104"), end("324"), wish);
    ASSERT_TRUE(fade);
    const auto steps = stepsFor(skua, *fade);
    EXPECT_GE(steps.steps.size(), 2u);
    EXPECT_LE(steps.worst_uv, 0.0075);
    EXPECT_LE(fade->white_dip, 1 - wish.floor + 0.02);
}

} // namespace
} // namespace zelo::route
