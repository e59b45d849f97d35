// SPDX-License-Identifier: GPL-3.0-or-later
// Several types at once, what an intent gains, nearest gels, other observers.
#include "colour/polygon.h"
#include "light/levels.h"
#include "mix/miss.h"
#include "mix/nearest_gels.h"
#include "mix/together.h"
#include "mix/trade_off.h"
#include "support/shipped.h"

#include <array>
#include <random>

namespace zelo::mix {
namespace {

using colour::Uv;
using test::wishOf;

struct Rig {
    Mixer dunlin = test::shippedMixer("dunlin-3");
    Mixer gannet = test::shippedMixer("gannet-8");
    Mixer skua = test::shippedMixer("skua-cmy");
    std::vector<const Mixer*> all{&dunlin, &gannet, &skua};
};

TEST(Together, CommonReachIsInEveryReach) {
    const Rig rig;
    const auto reach = commonReach(rig.all);
    ASSERT_TRUE(reach.hasInside());
    for (const Uv& corner : reach.corners())
        for (const Mixer* m : rig.all)
            EXPECT_LT(m->hull().nearest(corner).distance, 1e-9);
    std::mt19937 random(5);
    std::uniform_real_distribution<double> share(0, 0.62);
    int inside_all = 0;
    for (int i = 0; i < 3000; ++i) {
        const Uv p{share(random), share(random)};
        bool all = true;
        double edge = 1;
        for (const Mixer* m : rig.all) {
            const double d = m->hull().nearest(p).distance;
            all &= d < 0;
            edge = std::min(edge, std::abs(d));
        }
        if (edge < 1e-9)
            continue;
        inside_all += all;
        EXPECT_EQ(reach.nearest(p).distance < 0, all);
    }
    EXPECT_GT(inside_all, 100);
}

TEST(Together, LampsOfOneColourAndOfTwoHaveACommonReachToo) {
    // Tungsten and RGB: the one white that both have; two whites and RGB: what they have of it.
    const Mixer tungsten = test::shippedMixer("eider-1000");
    const Mixer whites = test::shippedMixer("knot-2");
    const Mixer dunlin = test::shippedMixer("dunlin-3");
    ASSERT_EQ(tungsten.hull().corners().size(), 1u);
    ASSERT_EQ(whites.hull().corners().size(), 2u);
    const std::array<const Mixer*, 2> one{&dunlin, &tungsten}, two{&dunlin, &whites};
    ASSERT_LT(dunlin.hull().nearest(tungsten.hull().corners()[0]).distance, 0);
    EXPECT_EQ(commonReach(one), tungsten.hull());
    EXPECT_EQ(commonReach(two).corners().size(), 2u);
    const auto made = together(two, light::wantedUv({0.24, 0.56}), {wishOf(Intent::Truest), true});
    EXPECT_LT(whites.hull().nearest(made.uv).distance, 1e-6);
    for (std::size_t i = 0; i < 2; ++i)
        EXPECT_LT(colour::distance(colour::toUv(two[i]->xyzOf(made.mixes[i].drives)), made.uv),
                  1e-5)
            << "they agree";
}

TEST(Together, AHairBeyondTheCommonEdgeIsAHairAway) {
    const Mixer gannet = test::shippedMixer("gannet-8");
    const Mixer petrel = test::shippedMixer("petrel-4");
    const std::array<const Mixer*, 2> both{&gannet, &petrel};
    const auto reach = commonReach(both);
    int compared = 0;
    for (const auto intent : {Intent::Truest, Intent::Kindest})
        for (const auto& gel : test::shippedBook().gels) {
            auto wanted = test::gelWanted(gel.id);
            const colour::Polygon::Place near = reach.nearest(wanted.uv());
            if (near.distance < 0 || near.distance > 0.02)
                continue;
            // The gel's spectrum, its colour moved to either side of the edge.
            const auto out = wanted.uv() - near.at;
            const auto mixAt = [&](double by) {
                auto moved = wanted;
                const Uv uv = near.at + by / std::hypot(out.u, out.v) * out;
                moved.xyz = wanted.xyz.Y * colour::toXyz(uv);
                return together(both, moved, {wishOf(intent), true}).mixes[0].drives;
            };
            const auto inside = mixAt(-4e-6), outside = mixAt(4e-6);
            double most = 0;
            for (std::size_t e = 0; e < inside.size(); ++e)
                most = std::max(most, std::abs(inside[e] - outside[e]));
            EXPECT_LT(most, intent == Intent::Truest ? 0.05 : 0.1) << gel.id;
            ++compared;
        }
    EXPECT_GT(compared, 4);
}

TEST(Together, EveryTypeShowsTheSameAtTheSameBrightness) {
    const Rig rig;
    for (const char* gel : {"214", "324", "104", "346"}) {
        const auto wanted = test::gelWanted(gel);
        const auto all = together(rig.all, wanted, {wishOf(Intent::Brightest), true, true});
        for (std::size_t i = 0; i < rig.all.size(); ++i) {
            const auto xyz = rig.all[i]->xyzOf(rig.all[i]->dimmed(all.mixes[i].drives, all.dim[i]));
            EXPECT_LT(colour::distance(colour::toUv(xyz), all.uv), 1e-5) << gel;
            EXPECT_NEAR(xyz.Y / all.level_cd, 1, 1e-6) << gel;
        }
        // The weakest is told, and it is not dimmed.
        ASSERT_FALSE(all.limits.empty());
        EXPECT_NEAR(all.dim[all.limits[0]], 1, 1e-12);
        for (std::size_t i = 0; i < rig.all.size(); ++i)
            EXPECT_GE(all.mixes[i].got.Y, all.level_cd * (1 - 1e-12));
        EXPECT_NEAR(all.moved_uv, colour::distance(all.uv, wanted.uv()), 1e-12);
    }
}

TEST(Together, WithoutTheWishEachDoesItsBest) {
    const Rig rig;
    const auto wanted = test::wantedXyz(colour::toXyz(colour::Xy{0.10, 0.62}));
    const auto all = together(rig.all, wanted, {wishOf(Intent::Brightest), false, false});
    EXPECT_EQ(all.moved_uv, 0);
    for (std::size_t i = 0; i < rig.all.size(); ++i) {
        EXPECT_EQ(all.dim[i], 1);
        EXPECT_EQ(all.mixes[i].drives, rig.all[i]->solve(wanted, wishOf(Intent::Brightest)).drives);
    }
}

TEST(TradeOff, MoreGivenUpIsNeverWorseAndEachPointIsAMix) {
    const auto mixer = test::shippedMixer("gannet-8");
    const auto white = colour::lampOf({4300});
    const auto amber = test::gelWanted("214");
    const auto cct = test::wantedSpectrum(colour::lampOf({5600}));
    for (const auto& [wanted, intent, gain] :
         {std::tuple{amber, Intent::Truest, Gain::Ssi},
          std::tuple{test::gelWanted("324"), Intent::Kindest, Gain::Agreement},
          std::tuple{cct, Intent::Kindest, Gain::Rf},
          std::tuple{amber, Intent::Leanest, Gain::Watts}}) {
        EXPECT_EQ(gainOf(test::wishOf(intent), wanted), gain);
        const auto curve = tradeOff(mixer, wanted, wishOf(intent), white);
        ASSERT_GE(curve.size(), 16u);
        for (std::size_t i = 0; i < curve.size(); ++i) {
            const auto m = mixer.solve(wanted, wishOf(intent, curve[i].give_up));
            EXPECT_NEAR(curve[i].brightness_cd, m.got.Y, 1e-9 * m.got.Y);
            EXPECT_NEAR(curve[i].brightness_cd / m.brightest_cd, 1 - curve[i].give_up, 1e-6);
        }
        const double first = curve.front().value;
        const double last = curve.back().value;
        if (gain == Gain::Watts)
            EXPECT_LT(last, first);
        else
            EXPECT_GE(last, first - 1e-6);
    }
    EXPECT_TRUE(tradeOff(mixer, amber, wishOf(Intent::Brightest), white).empty());
    EXPECT_TRUE(tradeOff(mixer, test::wantedXyz(amber.xyz), wishOf(Intent::Truest), white).empty())
        << "no spectrum to be true to";
}

TEST(NearestGels, AGelIsNearestToItself) {
    std::vector<const light::Gel*> gels;
    for (const auto& g : test::shippedBook().gels)
        gels.push_back(&g);
    const auto lamp = colour::lampOf({3200});
    for (std::size_t i = 0; i < gels.size(); i += 23)
        for (const Near by : {Near::Colour, Near::Spectrum}) {
            const auto near = nearestGels(gels, test::gelWanted(*gels[i]), lamp, by, 5);
            ASSERT_EQ(near.size(), 5u);
            EXPECT_NEAR(near[0].miss_uv, 0, 1e-9);
            EXPECT_NEAR(near[0].spectral_miss, 0, 1e-9);
            for (std::size_t k = 1; k < near.size(); ++k)
                if (by == Near::Colour)
                    EXPECT_LE(near[k - 1].miss_uv, near[k].miss_uv);
                else
                    EXPECT_LE(near[k - 1].spectral_miss, near[k].spectral_miss);
        }
}

TEST(NearestGels, ALightOfTheSameColourAndAnotherSpectrumIsToldApart) {
    std::vector<const light::Gel*> gels;
    for (const auto& g : test::shippedBook().gels)
        gels.push_back(&g);
    const auto rgb = test::shippedMixer("dunlin-3");
    const auto mix = rgb.solve(test::gelWanted("214"), wishOf(Intent::Brightest));
    const auto light = test::wantedSpectrum(light::spectrumOf(rgb.type(), mix.drives));
    const auto near = nearestGels(gels, light, colour::lampOf({3200}), Near::Colour, 1);
    EXPECT_EQ(near[0].gel->id, "214");
    EXPECT_GT(near[0].spectral_miss, 0.5) << "three lines are no gel";
}

TEST(Observers, NarrowBandsPartMoreThanBroadOnes) {
    const auto wanted = test::gelWanted("214");
    const auto partOf = [&](const char* type, const char* intent) {
        const auto mixer = test::shippedMixer(type);
        const auto mix = mixer.solve(wanted, wishOf(*intentNamed(intent)));
        return missByObserver(*wanted.spectrum, light::spectrumOf(mixer.type(), mix.drives));
    };
    const auto narrow = partOf("dunlin-3", "brightest");
    const auto broad = partOf("skua-cmy", "truest");
    EXPECT_EQ(narrow[0].observer, colour::Observer::Cie1931_2);
    EXPECT_LT(narrow[0].miss_uv, 1e-6) << "the mix was made for this observer";
    for (std::size_t i = 1; i < 4; ++i) {
        EXPECT_GT(narrow[i].miss_uv, 5e-4) << words(narrow[i].observer);
        EXPECT_LT(broad[i].miss_uv, narrow[i].miss_uv);
    }
    for (const auto& o : missByObserver(*wanted.spectrum, *wanted.spectrum))
        EXPECT_EQ(o.miss_uv, 0);
}

} // namespace
} // namespace zelo::mix
