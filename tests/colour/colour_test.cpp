// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/oklab.h"
#include "colour/rendering.h"
#include "colour/resample.h"
#include "colour/smoothest.h"
#include "colour/srgb.h"
#include "colour/ssi.h"

#include <gtest/gtest.h>
#include <limits>
#include <numeric>
#include <random>

namespace zelo::colour {
namespace {

Samples evenly(double from, double to, double step, double (*f)(double)) {
    Samples s;
    for (double nm = from; nm <= to + 1e-9; nm += step) {
        s.wavelengths_nm.push_back(nm);
        s.values.push_back(f(nm));
    }
    return s;
}

TEST(Resample, KeepsValuesAtTheirOwnWavelengths) {
    const auto bump = [](double nm) { return 0.5 + 0.4 * std::sin(nm / 37); };
    for (const double step : {1.0, 5.0, 10.0, 20.0}) {
        const auto s = evenly(380, 780, step, bump);
        const auto light = lightFromSamples(s);
        const auto filter = filterFromSamples(s);
        ASSERT_TRUE(light && filter);
        for (std::size_t i = 0; i < s.values.size(); ++i) {
            EXPECT_NEAR(light->at(s.wavelengths_nm[i]), s.values[i], 1e-12) << step;
            EXPECT_NEAR(filter->at(s.wavelengths_nm[i]), s.values[i], 1e-12) << step;
        }
    }
}

TEST(Resample, SpragueIsExactForAQuarticAwayFromTheEnds) {
    const auto quartic = [](double nm) {
        const double x = (nm - 580) / 200;
        return 1 + x * (0.3 + x * (-0.2 + x * (0.25 + x * 0.1)));
    };
    const auto filter = filterFromSamples(evenly(380, 780, 20, quartic));
    ASSERT_TRUE(filter);
    for (int nm = 420; nm <= 740; ++nm)
        ASSERT_NEAR(filter->at(nm), quartic(nm), 1e-9) << nm;
    for (int nm = 380; nm <= 780; ++nm)
        ASSERT_NEAR(filter->at(nm), quartic(nm), 2e-3) << nm;
}

TEST(Resample, MonotoneDataStayMonotone) {
    const auto step = [](double nm) { return nm < 550 ? 0.0 : 1.0; };
    const auto light = lightFromSamples(evenly(380, 780, 20, step));
    ASSERT_TRUE(light);
    for (std::size_t i = 1; i < kGridSize; ++i)
        EXPECT_GE((*light)[i], (*light)[i - 1] - 1e-15);
    EXPECT_LE(light->largest(), 1 + 1e-12);
}

TEST(Resample, LightEndsWithItsDataButAFilterIsHeld) {
    const auto flat = [](double) { return 0.7; };
    const auto s = evenly(420, 700, 5, flat);
    EXPECT_EQ(lightFromSamples(s)->at(400), 0);
    EXPECT_EQ(lightFromSamples(s)->at(720), 0);
    EXPECT_NEAR(filterFromSamples(s)->at(400), 0.7, 1e-12);
    EXPECT_NEAR(filterFromSamples(s)->at(720), 0.7, 1e-12);
}

TEST(Resample, BadSamplesNameTheirRow) {
    const double nan = std::numeric_limits<double>::quiet_NaN();
    struct Case {
        Samples samples;
        const char* says;
    };
    const Case cases[] = {
        {{{400, 500}, {1, 1}}, "at least 3"},
        {{{400, 500, 600}, {1, nan, 1}}, "row 2"},
        {{{400, 500, 600}, {1, 1, -0.1}}, "row 3"},
        {{{400, 600, 500}, {1, 1, 1}}, "row 3: wavelength 500 nm follows 600 nm"},
        {{{400, 400, 500}, {1, 1, 1}}, "row 2"},
        {{{400, 500, 60000}, {1, 1, 1}}, "row 3"},
        {{{400, 500, 600}, {1, 1}}, "as many"},
    };
    for (const auto& c : cases) {
        const auto read = lightFromSamples(c.samples);
        ASSERT_FALSE(read);
        EXPECT_NE(read.error().text().find(c.says), std::string::npos) << read.error().text();
        EXPECT_FALSE(filterFromSamples(c.samples));
    }
}

TEST(Observer, TablesHaveNoSlippedDigit) { // a slip is a spike in curvature
    for (const auto o :
         {Observer::Cie1931_2, Observer::Cie1964_10, Observer::Cie2015_2, Observer::Cie2015_10}) {
        const auto& f = matchingFunctions(o);
        for (const Grid* g : {&f.x, &f.y, &f.z})
            for (std::size_t i = 12; i + 2 < kGridSize; ++i) { // tables of 2015 begin at 390 nm
                const auto second = [&](std::size_t k) {
                    return (*g)[k + 1] - 2 * (*g)[k] + (*g)[k - 1];
                };
                EXPECT_LT(std::abs(second(i + 1) - second(i)), 4e-3)
                    << "observer " << static_cast<int>(o) << " at " << 380 + i;
            }
    }
}

TEST(Observer, SumsAreThoseOfTheStandard) {
    const auto& f = matchingFunctions(Observer::Cie1931_2);
    // CIE 018 gives 106.856917 for y over 380..780 nm.
    EXPECT_NEAR(std::accumulate(f.y.begin(), f.y.end(), 0.0), 106.856917, 1e-3);
    const auto equal_energy = toXy(toXyz(Spectrum::flat(1)));
    EXPECT_NEAR(equal_energy.x, 1.0 / 3, 1e-4);
    EXPECT_NEAR(equal_energy.y, 1.0 / 3, 1e-4);
}

TEST(Xyz, ChromaticitiesGoThereAndBack) {
    std::mt19937 random(3);
    std::uniform_real_distribution<double> part(0.05, 1);
    for (int i = 0; i < 200; ++i) {
        const Xyz c{part(random), part(random), part(random)};
        const Xyz back = toXyz(toUv(c));
        EXPECT_NEAR(back.X, c.X / c.Y, 1e-12);
        EXPECT_NEAR(back.Z, c.Z / c.Y, 1e-12);
        EXPECT_NEAR(toXyz(toXy(c)).X, c.X / c.Y, 1e-12);
    }
}

TEST(Cct, IsItsOwnInverse) {
    for (double k = 1500; k <= 12000; k *= 1.07)
        for (const double duv : {-0.03, -0.01, -0.0019, 0.0, 0.0019, 0.01, 0.03}) {
            const auto found = cctOf(uvOf({{k}, duv}));
            ASSERT_TRUE(found) << k << " " << duv;
            EXPECT_NEAR(found->cct.value, k, k <= 10000 && k >= 2000 ? 1 : 4) << k << " " << duv;
            EXPECT_NEAR(found->duv, duv, 3e-5) << k << " " << duv;
        }
}

TEST(Cct, TintsStandSquareToTheLocus) {
    const auto to60 = [](const Uv& c) { return std::pair(c.u, c.v * 2 / 3); };
    for (double k = kCoolestK; k <= kHottestK; k *= 1.09) {
        const auto [u, v] = to60(planckianUv({k}));
        const auto [tinted_u, tinted_v] = to60(uvOf({{k}, 0.02}));
        EXPECT_NEAR(std::hypot(tinted_u - u, tinted_v - v), 0.02, 1e-12) << k;
        EXPECT_GT(tinted_v, v) << k << ": greener";
        const auto [cold_u, cold_v] = to60(planckianUv({std::max(kCoolestK, k * 0.9999)}));
        const auto [hot_u, hot_v] = to60(planckianUv({std::min(kHottestK, k * 1.0001)}));
        const double along = std::hypot(hot_u - cold_u, hot_v - cold_v);
        EXPECT_NEAR(((hot_u - cold_u) * (tinted_u - u) + (hot_v - cold_v) * (tinted_v - v)) /
                        along / 0.02,
                    0, 1e-4)
            << k << ": the cosine between them";
    }
}

TEST(Cct, IsNoNumberFarFromWhite) {
    EXPECT_FALSE(cctOf({0.55, 0.52})); // deep red
    EXPECT_FALSE(cctOf({0.05, 0.58})); // green
    EXPECT_FALSE(cctOf({0.18, 0.11})); // blue
    EXPECT_FALSE(cctOf(uvOf({{5000}, 0.051})));
    EXPECT_FALSE(cctOf(planckianUv({900})));
    EXPECT_TRUE(cctOf(planckianUv({1000})));
}

TEST(Lamp, IsABlackbodyBelow4000AndDaylightFromThere) {
    EXPECT_TRUE(lampOf({3999}) == blackbody({3999}));
    EXPECT_TRUE(lampOf({4000}) == daylight({4000}));
    EXPECT_NEAR(blackbody({2856})[560 - 380], 1, 1e-12);
}

TEST(Oklab, WhiteIsWhiteAndColoursComeBack) {
    const Xyz white = toXyz(planckianUv({3200}));
    const OklabSpace space(white);
    const auto w = space.from(white);
    EXPECT_NEAR(w.L, 1, 1e-7);
    EXPECT_NEAR(w.a, 0, 1e-7);
    EXPECT_NEAR(w.b, 0, 1e-7);
    const Xyz c{0.3, 0.2, 0.6};
    const Xyz back = space.back(space.from(c));
    EXPECT_NEAR(back.X, c.X, 1e-9);
    EXPECT_NEAR(back.Y, c.Y, 1e-9);
    EXPECT_NEAR(back.Z, c.Z, 1e-9);
    // The author's own example: D65 and pure X, Y, Z.
    const OklabSpace d65({0.9505, 1, 1.089});
    const auto x = d65.from({1, 0, 0});
    EXPECT_NEAR(x.L, 0.450, 2e-3);
    EXPECT_NEAR(x.a, 1.236, 2e-3);
    EXPECT_NEAR(x.b, -0.019, 2e-3);
}

TEST(Screen, TheAdaptedWhiteIsNeutral) {
    for (const double k : {2700.0, 4300.0, 6500.0}) {
        const Xyz white = toXyz(planckianUv({k}));
        const auto c = Screen(white).show(white).rgb;
        EXPECT_NEAR(c.r, c.g, 1) << k;
        EXPECT_NEAR(c.g, c.b, 1) << k;
        EXPECT_GT(c.r, 180) << "bright enough to be seen";
        EXPECT_LT(c.r, 250) << "never full white";
    }
}

TEST(Screen, LightIsEncodedToTheNearestValue) { // IEC 61966-2-1
    for (int i = 0; i <= 5000; ++i) {
        const double linear = i / 5000.0;
        const double s =
            linear <= 0.0031308 ? 12.92 * linear : 1.055 * std::pow(linear, 1 / 2.4) - 0.055;
        EXPECT_EQ(srgbEncoded(linear), static_cast<int>(std::lround(s * 255))) << linear;
    }
    EXPECT_EQ(srgbEncoded(-1), 0);
    EXPECT_EQ(srgbEncoded(7), 255);
    EXPECT_EQ(srgbEncoded(HUGE_VAL), 255);
    EXPECT_EQ(srgbEncoded(std::nan("")), 0);
}

TEST(Screen, SrgbComesBackAsItWas) { // D65 adapted to itself, before brightness is normalised
    for (const Srgb in : {Srgb{200, 90, 40}, Srgb{20, 120, 230}, Srgb{128, 128, 128}}) {
        const auto out = Screen(toXyz(Srgb{255, 255, 255})).showSurface(toXyz(in)).rgb;
        // Channels within the knee's bend move; the largest stays.
        EXPECT_NEAR(std::max({out.r, out.g, out.b}), std::max({in.r, in.g, in.b}), 1);
        EXPECT_NEAR(out.g, in.g, 3);
    }
}

TEST(Screen, NeighboursOutsideTheMonitorStayApart) {
    const Screen screen(toXyz(planckianUv({4300})));
    const auto a = screen.show(toXyz(Uv{0.03, 0.565}));
    const auto b = screen.show(toXyz(Uv{0.05, 0.575}));
    EXPECT_TRUE(a.outside && b.outside);
    EXPECT_FALSE(a.rgb == b.rgb);
    EXPECT_FALSE(screen.show(toXyz(Uv{0.23, 0.50})).outside);
    EXPECT_TRUE(screen.show({0, 0, 0}).rgb == Srgb{});
}

TEST(Smoothest, HasTheColourAndNoNegativePower) {
    std::mt19937 random(11);
    std::uniform_real_distribution<double> u(0.05, 0.55);
    std::uniform_real_distribution<double> v(0.10, 0.57);
    int found = 0;
    for (int i = 0; i < 300; ++i) {
        const Uv uv{u(random), v(random)};
        const auto s = smoothestSpectrum(toXyz(uv));
        if (!s)
            continue;
        ++found;
        EXPECT_LT(distance(toUv(toXyz(*s)), uv), 1e-7) << uv.u << " " << uv.v;
        EXPECT_NEAR(toXyz(*s).Y, 1, 1e-7);
    }
    EXPECT_GT(found, 100);
}

TEST(Smoothest, OfEqualEnergyIsFlat) {
    const auto s = smoothestSpectrum(toXyz(Spectrum::flat(1)));
    ASSERT_TRUE(s);
    EXPECT_NEAR(s->largest() * kGridSize / s->sum(), 1, 1e-6);
}

TEST(Smoothest, AHairOfTintOnALampIsAHairOfChange) {
    for (const double k : {2700.0, 5600.0, 9000.0}) {
        const auto lamp = blackbody({k});
        const auto change = [&](double duv) {
            const Xyz tinted = toXyz(uvOf({{k}, duv}));
            const auto light = throughSmoothestFilter(lamp, tinted);
            EXPECT_TRUE(light);
            EXPECT_LT(distance(toUv(toXyz(*light)), toUv(tinted)), 1e-7);
            EXPECT_NEAR(toXyz(*light).Y, 1, 1e-9);
            double most = 0; // of what is let through, against green light
            const double scale = 1 / toXyz(lamp).Y;
            for (std::size_t i = 0; i < kGridSize; ++i) {
                EXPECT_GE((*light)[i], 0);
                most = std::max(most, std::abs((*light)[i] / (lamp[i] * scale) - 1));
            }
            return most;
        };
        EXPECT_LT(change(0), 1e-6) << "no tint: the lamp itself";
        EXPECT_LT(change(1e-5), 0.01);
        EXPECT_GT(change(0.01), 0.05);
    }
    EXPECT_FALSE(throughSmoothestFilter(Spectrum::flat(0), toXyz(uvOf({{4000}, 0.01}))));
}

TEST(Smoothest, OutsideTheSpectralLocusThereIsNone) {
    EXPECT_FALSE(smoothestSpectrum(toXyz(Uv{0.62, 0.40})));
    EXPECT_FALSE(smoothestSpectrum(toXyz(Uv{0.01, 0.30})));
}

TEST(Rendering, AReferenceRendersLikeItself) {
    for (const double k : {2700.0, 3800.0, 5500.0, 9000.0}) {
        const auto light = k < 4000 ? blackbody({k}) : daylight({k});
        const auto cct = cctOf(toUv(toXyz(light)))->cct;
        EXPECT_NEAR(tm30Of(light, cct).rf, 100, 0.1) << k;
        EXPECT_NEAR(tm30Of(light, cct).rg, 100, 0.3) << k;
        EXPECT_NEAR(spectralSimilarity(light, light).value(), 100, 1e-9);
        EXPECT_NEAR(agreementOf(light, light, lampOf({3200})), 100, 1e-3);
    }
}

TEST(Rendering, AgreementFallsWithTheSpectrumNotTheColour) {
    // Two lights of one colour: a blackbody, and three narrow lines.
    const Spectrum wanted = blackbody({3200});
    const auto line = [](double at) {
        Grid g;
        for (std::size_t i = 0; i < kGridSize; ++i)
            g[i] = std::exp(-std::pow((380.0 + static_cast<double>(i) - at) / 8, 2));
        return Spectrum(g);
    };
    const Spectrum r = line(630), g = line(535), b = line(460);
    const Xyz w = toXyz(wanted), xr = toXyz(r), xg = toXyz(g), xb = toXyz(b);
    // Cramer's rule for the three strengths.
    const double det = dot(xr, cross(xg, xb));
    const Spectrum mix = r.scaled(dot(w, cross(xg, xb)) / det) +
                         g.scaled(dot(xr, cross(w, xb)) / det) +
                         b.scaled(dot(xr, cross(xg, w)) / det);
    ASSERT_LT(distance(toUv(toXyz(mix)), toUv(w)), 1e-9);
    const double narrow = agreementOf(wanted, mix, wanted);
    EXPECT_LT(narrow, 70);
    EXPECT_GT(narrow, 0);
    EXPECT_LT(spectralSimilarity(mix, wanted).value(), 40);
}

} // namespace
} // namespace zelo::colour
