// SPDX-License-Identifier: GPL-3.0-or-later
// Fixtures whose parts do not add up: flags, wheels, engines, droop. The shipped types, against
// brute force.
#include "colour/cct.h"
#include "colour/polygon.h"
#include "colour/rendering.h"
#include "mix/rounding.h"
#include "support/shipped.h"

#include <gtest/gtest.h>
#include <random>
#include <sys/resource.h>

namespace zelo::mix {
namespace {

using colour::Uv;
using light::Drives;

using test::wishOf;
constexpr auto mixerOf = [](const std::string& id, const std::string& mode = {}) {
    return test::shippedMixer(id, mode);
};
std::vector<light::Wanted> gels(std::size_t every = 7) {
    return test::gelsWanted(every);
}

// Random settings of the flags, wheel open, lamp full.
std::vector<Drives> randomSettings(const Mixer& mixer, int count) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> share(0, 1);
    std::vector<Drives> all;
    for (int i = 0; i < count; ++i) {
        Drives d = mixer.type().ready(mixer.mode());
        for (std::size_t p = 0; p < d.size(); ++p)
            if (mixer.type().part(p).kind == light::PartKind::Flag)
                d[p] = std::pow(share(random), 2); // thin colours are found at small settings
        all.push_back(d);
    }
    return all;
}

TEST(Flags, MeetEveryColourWithinReachExactly) {
    const auto mixer = mixerOf("skua-cmy");
    EXPECT_FALSE(mixer.additive());
    int met = 0;
    for (const auto& wanted : gels())
        for (const Intent intent : {Intent::Brightest, Intent::Truest, Intent::Kindest}) {
            const Mix mix = mixer.solve(wanted, wishOf(intent));
            for (const double d : mix.drives) {
                EXPECT_GE(d, 0);
                EXPECT_LE(d, 1);
            }
            EXPECT_NEAR(mix.got.Y, light::xyzOf(mixer.type(), mix.drives).Y, 1e-9 * mix.got.Y);
            if (mix.end != MixEnd::InReach)
                continue;
            ++met;
            EXPECT_LT(mix.miss_uv, 1e-6);
            EXPECT_GE(mix.ofBrightest(), 0.7 - 1e-5);
        }
    EXPECT_GT(met, 60) << "most of the book is within reach of the flags";
}

TEST(Flags, NothingTriedAtRandomIsBrighterOrNearer) {
    const auto mixer = mixerOf("skua-cmy");
    const auto settings = randomSettings(mixer, 4000);
    std::vector<std::pair<Uv, double>> seen;
    for (const auto& d : settings) {
        const auto xyz = mixer.xyzOf(d);
        seen.emplace_back(colour::toUv(xyz), xyz.Y);
    }
    for (const auto& wanted : gels(13)) {
        const Mix mix = mixer.solve(wanted, wishOf(Intent::Brightest));
        for (const auto& [uv, y] : seen) {
            const double off = colour::distance(uv, wanted.uv());
            if (mix.end == MixEnd::InReach && off < 0.0005)
                EXPECT_LT(y, 1.02 * mix.got.Y)
                    << "a colour as near as this cannot be much brighter";
            if (mix.end == MixEnd::OutOfReach)
                EXPECT_GT(off, mix.miss_uv - 1e-4);
        }
    }
}

TEST(Flags, IntentsKeepTheirOrder) {
    const auto mixer = mixerOf("skua-cmy");
    for (const auto& wanted : gels(11)) {
        const Mix brightest = mixer.solve(wanted, wishOf(Intent::Brightest));
        const Mix truest = mixer.solve(wanted, wishOf(Intent::Truest));
        if (truest.end != MixEnd::InReach)
            continue;
        EXPECT_LE(truest.got.Y, brightest.got.Y * (1 + 1e-6));
        EXPECT_LE(mixer.spectralMiss(truest.drives, *wanted.spectrum),
                  mixer.spectralMiss(brightest.drives, *wanted.spectrum) + 1e-9);
        const Mix kindest = mixer.solve(wanted, wishOf(Intent::Kindest));
        const auto agreement = [&](const Mix& m) {
            return colour::agreementOf(*wanted.spectrum, light::spectrumOf(mixer.type(), m.drives),
                                       *wanted.lamp);
        };
        if (!colour::indicesMeanSomething(colour::cctOf(wanted.uv())))
            EXPECT_GE(agreement(kindest), agreement(truest) - 1e-6);
    }
}

TEST(Flags, PinsAndKeepOutsHold) {
    const auto mixer = mixerOf("skua-cmy");
    const auto& type = mixer.type();
    const auto cto = *type.partNamed("Warm correction");
    const auto wheel = *type.partNamed("Colours");
    MixWish wish = wishOf(Intent::Brightest);
    wish.keep_out = {cto};
    const auto warm = test::wantedXyz(colour::toXyz(colour::lampOf({3600})));
    const Mix without = mixer.solve(warm, wish);
    EXPECT_EQ(without.drives[cto], 0);
    EXPECT_EQ(without.end, MixEnd::InReach);
    wish.keep_out.clear();
    wish.pins = {{wheel, type.wheels[0].settingOf(7)}, {cto, 0.5}}; // less green
    const Mix behind = mixer.solve(warm, wish);
    EXPECT_EQ(behind.drives[cto], 0.5);
    EXPECT_EQ(type.wheels[0].nameAt(behind.drives[wheel]), "Minus green");
    EXPECT_LT(behind.miss_uv, 1e-6) << "the flags allow for the slot before them";
}

TEST(Flags, RoundedTogetherTheyAreNearerThanAlone) {
    const auto mixer = mixerOf("skua-cmy", "flags 8 bit");
    double together = 0;
    double alone = 0;
    for (const auto& wanted : gels()) {
        const Mix mix = mixer.solve(wanted, wishOf(Intent::Brightest));
        if (mix.end != MixEnd::InReach)
            continue;
        const auto miss = [&](const Sent& s) {
            return colour::distance(colour::toUv(s.xyz), wanted.uv());
        };
        const double one = miss(rounded(mixer, mix.drives, 0.5));
        EXPECT_LE(one, miss(roundedAlone(mixer, mix.drives, 0.5)) + 1e-12);
        together += one;
        alone += miss(roundedAlone(mixer, mix.drives, 0.5));
    }
    EXPECT_LT(together, 0.75 * alone);
}

TEST(Flags, ReachHoldsWhatTheyCanShow) {
    const auto mixer = mixerOf("skua-cmy");
    for (const auto& d : randomSettings(mixer, 500))
        EXPECT_LT(mixer.hull().nearest(colour::toUv(mixer.xyzOf(d))).distance, 2e-3);
}

TEST(Scroller, TakesTheNearestFrame) {
    const auto mixer = mixerOf("eider-scroll");
    const auto& wheel = mixer.type().wheels[0];
    const auto part = *mixer.type().partNamed("Scroller");
    ASSERT_EQ(wheel.places.size(), 12u);
    for (const auto& wanted : gels(5)) {
        const Mix mix = mixer.solve(wanted, wishOf(Intent::Truest));
        double least = 1;
        std::size_t nearest = 0;
        for (std::size_t i = 0; i < wheel.places.size(); ++i) {
            Drives d = mixer.type().ready(mixer.mode());
            d[part] = wheel.settingOf(static_cast<double>(i));
            const double off = colour::distance(colour::toUv(mixer.xyzOf(d)), wanted.uv());
            if (off < least) {
                least = off;
                nearest = i;
            }
        }
        EXPECT_EQ(wheel.slotAt(mix.drives[part]), static_cast<double>(nearest));
        EXPECT_NEAR(mix.miss_uv, least, 1e-12);
        const auto sent = rounded(mixer, mix.drives, 1);
        EXPECT_NEAR(colour::distance(colour::toUv(sent.xyz), colour::toUv(mix.got)), 0, 1e-9)
            << "the value sent stands in that frame";
    }
}

TEST(Scroller, TheSameHueCanBeAskedFor) {
    const auto mixer = mixerOf("eider-scroll");
    MixWish wish = wishOf(Intent::Truest);
    wish.out_of_reach = OutOfReach::SameHue;
    wish.white = colour::toUv(colour::toXyz(colour::lampOf({3200})));
    double uv_way = 0;
    double hue_way = 0;
    for (const auto& wanted : gels(3)) {
        const auto across = [&](const Mix& m) {
            const Uv along = wanted.uv() - wish.white;
            const Uv off = colour::toUv(m.got) - wanted.uv();
            return std::abs(colour::cross(along, off)) /
                   std::max(1e-6, std::hypot(along.u, along.v));
        };
        hue_way += across(mixer.solve(wanted, wish));
        uv_way += across(mixer.solve(wanted, wishOf(Intent::Truest)));
    }
    EXPECT_LT(hue_way, uv_way);
}

TEST(EngineModes, ShowWhatTheirGamutHolds) {
    const auto hs = mixerOf("plover-5", "hue saturation 16 bit");
    EXPECT_FALSE(hs.additive());
    int inside = 0;
    for (const auto& wanted : gels(4)) {
        const Mix mix = hs.solve(wanted, wishOf(Intent::Brightest));
        const auto place = hs.hull().nearest(wanted.uv());
        if (place.distance < -1e-3) {
            ++inside;
            EXPECT_LT(mix.miss_uv, 1e-6);
            const auto sent = rounded(hs, mix.drives, 1);
            EXPECT_LT(colour::distance(colour::toUv(sent.xyz), wanted.uv()), 2e-4);
        } else if (place.distance > 1e-3) {
            EXPECT_NEAR(mix.miss_uv, place.distance, 1e-3) << "the nearest of the gamut's edge";
        }
    }
    EXPECT_GT(inside, 20);

    const auto ct = mixerOf("whimbrel-4", "CCT tint 16 bit");
    for (const double k : {2800.0, 3200.0, 4300.0, 5600.0, 6400.0}) {
        const auto wanted = test::wantedXyz(colour::toXyz(colour::uvOf({{k}, 0.003})));
        EXPECT_LT(ct.solve(wanted, wishOf(Intent::Brightest)).miss_uv, 1e-6) << k;
    }
    const auto cold = test::wantedXyz(colour::toXyz(colour::planckianUv({12000})));
    const Mix nearest = ct.solve(cold, wishOf(Intent::Brightest));
    EXPECT_EQ(nearest.end, MixEnd::OutOfReach);
    EXPECT_NEAR(nearest.drives[ct.type().partCount() - 2], 1, 1e-3) << "as cold as it goes";
}

TEST(Droop, ColourIsExactWithTheLightAsItIs) {
    const auto mixer = mixerOf("avocet-7");
    ASSERT_TRUE(mixer.type().droops());
    for (const auto& wanted : gels(9))
        for (const Intent intent :
             {Intent::Brightest, Intent::Truest, Intent::Leanest, Intent::Kindest}) {
            MixWish wish = wishOf(intent);
            wish.give_up = 0.6;
            const Mix mix = mixer.solve(wanted, wish);
            if (mix.end != MixEnd::InReach)
                continue;
            const auto light = light::xyzOf(mixer.type(), mix.drives);
            EXPECT_LT(colour::distance(colour::toUv(light), wanted.uv()), 1e-6);
            if (intent != Intent::Brightest)
                EXPECT_NEAR(mix.ofBrightest(), 0.4, 1e-6);
        }
}

TEST(Droop, KindestIsKinderThanTruestAndAsExact) {
    const auto mixer = mixerOf("avocet-7");
    for (const double k : {2800.0, 4000.0, 6500.0}) {
        const auto wanted = test::wantedXyz(colour::toXyz(colour::lampOf({k})));
        const auto rf = [&](Intent intent) {
            const Mix mix = mixer.solve(wanted, wishOf(intent));
            EXPECT_EQ(mix.end, MixEnd::InReach);
            EXPECT_LT(mix.miss_uv, 1e-6) << k;
            return colour::tm30Of(light::spectrumOf(mixer.type(), mix.drives), {k}).rf;
        };
        EXPECT_GT(rf(Intent::Kindest), rf(Intent::Truest) - 0.01) << k;
    }
}

TEST(Droop, DimmingWithoutADimmerKeepsTheColour) {
    const auto mixer = mixerOf("avocet-7", "emitters 16 bit without dimmer");
    const auto wanted = test::wantedXyz(colour::toXyz(colour::lampOf({3600})));
    const Mix mix = mixer.solve(wanted, wishOf(Intent::Truest));
    for (const double factor : {0.8, 0.3, 0.1}) {
        const auto plain = mixer.xyzOf(mixer.type().dimmed(mix.drives, factor));
        const auto held = mixer.xyzOf(mixer.dimmed(mix.drives, factor));
        EXPECT_LT(colour::distance(colour::toUv(held), wanted.uv()), 1e-6);
        EXPECT_NEAR(held.Y / mix.got.Y, factor, 1e-6);
        EXPECT_GT(colour::distance(colour::toUv(plain), wanted.uv()), 1e-3)
            << "or the droop would not be worth the trouble";
        const auto sent = rounded(mixer, mix.drives, factor);
        EXPECT_LT(colour::distance(colour::toUv(sent.xyz), wanted.uv()), 2e-4);
    }
}

TEST(Droop, DimmingLightsNothingThatIsKeptOut) {
    const auto mixer = mixerOf("avocet-7", "emitters 16 bit without dimmer");
    for (const auto& wanted : gels(9))
        for (std::size_t out = 0; out < mixer.emitters().size(); ++out) {
            MixWish wish;
            wish.keep_out = {out};
            const Mix mix = mixer.solve(wanted, wish);
            if (mix.end != MixEnd::InReach)
                continue;
            for (const double factor : {0.5, 0.1}) {
                const Drives less = mixer.dimmed(mix.drives, factor);
                EXPECT_EQ(less[out], 0) << mixer.type().partName(out);
                EXPECT_NEAR(mixer.xyzOf(less).Y / mix.got.Y, factor, 1e-5);
                const auto near = mixer.closestDrives(less, factor * mix.got, wish);
                if (near)
                    EXPECT_EQ((*near)[out], 0) << mixer.type().partName(out);
            }
        }
}

// What is not exact is not said to be: on the way to a light that no drives make.
TEST(Droop, FollowingSaysWhenItDoesNotSettle) {
    const auto mixer = mixerOf("avocet-7", "emitters 16 bit without dimmer");
    std::mt19937 random(3);
    std::uniform_real_distribution<double> share(0, 1);
    int found = 0;
    for (int i = 0; i < 200; ++i) {
        Drives from(mixer.emitters().size());
        Drives to(mixer.emitters().size());
        for (std::size_t e = 0; e < from.size(); ++e) {
            from[e] = share(random);
            to[e] = std::pow(share(random), 3);
        }
        const auto light = (i % 2 ? 1.0 : 1.3) * mixer.xyzOf(to);
        if (const auto near = mixer.closestDrives(from, light)) {
            ++found;
            EXPECT_LT(norm(mixer.xyzOf(*near) - light), 1e-6 * norm(light));
        }
    }
    EXPECT_GT(found, 100);
}

TEST(Flags, FollowingKeepsPinsAndKeepOuts) {
    const auto mixer = mixerOf("skua-cmy");
    const Mix from = mixer.solve(gels().front(), wishOf(Intent::Truest));
    for (std::size_t part = 0; part < mixer.type().partCount(); ++part) {
        if (mixer.type().part(part).kind != light::PartKind::Flag)
            continue;
        MixWish wish = wishOf(Intent::Truest);
        wish.pins = {{part, 0.4}};
        for (const auto& wanted : gels(20)) {
            const Mix mix = mixer.solve(wanted, wish);
            const auto near = mixer.closestDrives(from.drives, 0.9 * mix.got, wish);
            if (near)
                EXPECT_EQ((*near)[part], 0.4) << mixer.type().partName(part);
            if (mix.end == MixEnd::InReach)
                EXPECT_TRUE(near) << mixer.type().partName(part);
        }
    }
}

// A table of all their ends alone would hold a million settings.
// As a broken file may have it (fuzz/corpus/gdtf/flag-before-no-light.xml).
TEST(Flags, BeforeALampThatGivesNoLightReachNothing) {
    light::FixtureType type = *test::shippedType("skua-cmy");
    for (auto& e : type.emitters)
        e.spectrum = colour::Spectrum();
    const Mixer mixer = test::mixerOf(type);
    EXPECT_TRUE(mixer.hull().empty());
    for (const auto intent : {Intent::Brightest, Intent::Truest, Intent::Kindest})
        EXPECT_EQ(mixer.solve(test::gelWanted("214"), test::wishOf(intent)).end, MixEnd::Dark);
}

TEST(Flags, TwentyOfThemAreSampledSparely) {
    light::FixtureType type = *test::shippedType("skua-cmy");
    ASSERT_GE(type.flags.size(), 3u);
    light::Mode& mode = type.modes[0];
    std::erase_if(mode.channels, [](const auto& c) { return c.role == light::Role::Part; });
    const auto three = type.flags;
    type.flags.clear();
    type.wheels.clear();
    for (std::size_t f = 0; f < 20; ++f) {
        type.flags.push_back(three[f % 3]);
        type.flags.back().name += std::to_string(f);
    }
    for (std::size_t f = 0; f < 20; ++f) {
        light::Channel c;
        c.role = light::Role::Part;
        c.part = type.emitters.size() + f;
        c.name = type.flags[f].name;
        c.offsets = {static_cast<int>(10 + f)};
        mode.channels.push_back(c);
    }
    const auto shared = std::make_shared<light::FixtureType>(type);
    long before = 0;
    {
        rusage usage{};
        getrusage(RUSAGE_SELF, &usage);
        before = usage.ru_maxrss;
    }
    const Mixer mixer(shared, shared->modes[0]);
    int met = 0;
    for (const auto& wanted : gels(20)) {
        const Mix mix = mixer.solve(wanted, wishOf(Intent::Brightest));
        met += mix.end == MixEnd::InReach && mix.miss_uv < 1e-6;
    }
    EXPECT_GE(met, 7) << "as the three flags alone";
    rusage usage{};
    getrusage(RUSAGE_SELF, &usage);
    EXPECT_LT(usage.ru_maxrss - before, 50'000) << "KiB";
}

TEST(Droop, ADimmerActsOnTheLightAndLeavesTheColour) {
    const auto mixer = mixerOf("avocet-7");
    const Mix mix = mixer.solve(test::wantedXyz(colour::toXyz(colour::lampOf({3600}))), {});
    for (const double level : {1.0, 0.4, 0.05}) {
        const auto sent = rounded(mixer, mix.drives, level);
        EXPECT_LT(colour::distance(colour::toUv(sent.xyz), colour::toUv(mix.got)), 1e-4);
        EXPECT_NEAR(sent.xyz.Y / mix.got.Y, level, 1e-3);
    }
}

TEST(Tungsten, WarmsAsItDimsAndItsMixSaysWhatItMisses) {
    const auto mixer = mixerOf("eider-1000");
    const Mix mix = mixer.solve(test::wantedXyz(colour::toXyz(colour::lampOf({5600}))), {});
    EXPECT_EQ(mix.end, MixEnd::OutOfReach);
    EXPECT_GT(mix.miss_uv, 0.03);
    double before = 1e9;
    for (const double level : {1.0, 0.6, 0.3, 0.1}) {
        const auto sent = rounded(mixer, mix.drives, level);
        const auto cct = colour::cctOf(colour::toUv(sent.xyz));
        ASSERT_TRUE(cct);
        EXPECT_LT(cct->cct.value, before);
        EXPECT_NEAR(sent.xyz.Y / mix.got.Y, level, 0.01);
        before = cct->cct.value;
    }
    EXPECT_LT(before, 2300);
}

TEST(Ultraviolet, NeitherBlindsNorBreaksTheMix) {
    const auto mixer = mixerOf("shag-6");
    const Mix white = mixer.solve(test::wantedXyz(colour::toXyz(colour::lampOf({5600}))),
                                  wishOf(Intent::Brightest));
    EXPECT_EQ(white.end, MixEnd::InReach);
    EXPECT_LT(white.miss_uv, 1e-6);
    MixWish only = wishOf(Intent::Brightest);
    for (std::size_t e = 0; e + 1 < 6; ++e)
        only.keep_out.push_back(e);
    const Mix uv = mixer.solve(test::wantedXyz(colour::toXyz(colour::lampOf({5600}))), only);
    EXPECT_EQ(uv.drives[5], 1);
    EXPECT_GT(uv.miss_uv, 0.2);
}

} // namespace
} // namespace zelo::mix
