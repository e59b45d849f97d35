// SPDX-License-Identifier: GPL-3.0-or-later
// Flags, wheels, engines and droop: what stands between a channel value and the light.
#include "colour/cct.h"
#include "colour/lamp.h"
#include "light/levels.h"

#include <gtest/gtest.h>

namespace zelo::light {
namespace {

using colour::Spectrum;

Flag flagOf(std::vector<std::pair<double, double>> places) { // position, transmittance
    Flag flag{"F", {}, false};
    for (const auto& [at, t] : places)
        flag.points.push_back({at, densityOf(Spectrum::flat(t))});
    return flag;
}

TEST(Flag, DensityRunsEvenlyBetweenMeasuredPlaces) {
    const Flag flag = flagOf({{0.5, 0.4}, {1, 0.1}});
    EXPECT_NEAR(flag.transmittance(0)[200], 1, 1e-12) << "out of the beam";
    EXPECT_NEAR(flag.transmittance(0.25)[200], std::sqrt(0.4), 1e-12) << "half the density";
    EXPECT_NEAR(flag.transmittance(0.5)[200], 0.4, 1e-12);
    EXPECT_NEAR(flag.transmittance(0.75)[200], std::sqrt(0.4 * 0.1), 1e-12);
    EXPECT_NEAR(flag.transmittance(1)[200], 0.1, 1e-12);
    EXPECT_NEAR(flagOf({{0.6, 0.2}}).transmittance(0.9)[200], 0.2, 1e-12) << "stays past the last";
}

TEST(Flag, OneThatIsNeverClearHoldsBackAtZeroToo) {
    const Flag flag = flagOf({{0, 0.9}, {1, 0.1}});
    EXPECT_NEAR(flag.transmittance(0)[200], 0.9, 1e-12);
}

Wheel wheelOf(bool halves) {
    return {
        "W", {{"Red", Spectrum::flat(0.2)}, {"Open", {}}, {"Blue", Spectrum::flat(0.6)}}, halves};
}

TEST(Wheel, RestsOpenAndStandsBetweenSlotsWhereItCan) {
    const Wheel steps = wheelOf(false);
    EXPECT_EQ(steps.nameAt(steps.rest()), "Open");
    EXPECT_FALSE(steps.transmittance(steps.rest()));
    EXPECT_EQ(steps.nameAt(steps.settingOf(0.4)), "Red") << "no halves: the nearer slot";
    const Wheel halves = wheelOf(true);
    EXPECT_NEAR((*halves.transmittance(halves.settingOf(0.5)))[100], 0.6, 1e-12)
        << "half red 0.2, half open 1";
    EXPECT_EQ(halves.nameAt(halves.settingOf(2.5)), "Blue / Red") << "it goes round";
}

TEST(Droop, LightIsTheMeasuredOneAtItsDrive) {
    Emitter e{"E", Spectrum::flat(1), false, 0};
    e.droop = {{0.25, Spectrum::flat(0.4)}, {0.5, Spectrum::flat(0.6)}};
    EXPECT_NEAR(e.lightAt(0)[0], 0, 1e-12);
    EXPECT_NEAR(e.lightAt(0.125)[0], 0.2, 1e-12) << "below the first: the same light made smaller";
    EXPECT_NEAR(e.lightAt(0.25)[0], 0.4, 1e-12);
    EXPECT_NEAR(e.lightAt(0.375)[0], 0.5, 1e-12);
    EXPECT_NEAR(e.lightAt(0.75)[0], 0.8, 1e-12);
    EXPECT_NEAR(e.lightAt(1)[0], 1, 1e-12);
}

// A lamp with a flag and a wheel before it: dimmer, flag, wheel in three steps.
FixtureType movingLight() {
    FixtureType type;
    type.emitters = {{"Lamp", Spectrum::flat(2), false, 0, true}};
    type.flags = {flagOf({{1, 0.25}})};
    type.wheels = {wheelOf(false)};
    Mode mode{"m", {}, 3};
    for (int i = 1; i <= 3; ++i) {
        Channel c;
        c.offsets = {i};
        c.role = i == 1 ? Role::Dimmer : Role::Part;
        c.part = static_cast<std::size_t>(i - 1);
        mode.channels.push_back(c);
    }
    const auto& w = type.wheels[0];
    mode.channels[2].ranges = {
        {0, 9, w.settingOf(1)}, {10, 99, w.settingOf(0)}, {100, 255, w.settingOf(2)}};
    type.modes = {mode};
    return type;
}

TEST(Parts, FiltersMultiplyAndTheDimmerLeavesThemAlone) {
    const auto type = movingLight();
    const auto& mode = type.modes[0];
    const auto at = [&](ChannelValues v) { return spectrumOf(type, drivesOf(type, mode, v))[150]; };
    EXPECT_NEAR(at({255, 0, 0}), 2, 1e-12) << "open";
    EXPECT_NEAR(at({255, 255, 0}), 0.5, 1e-12) << "flag in";
    EXPECT_NEAR(at({255, 0, 50}), 0.4, 1e-12) << "red slot";
    EXPECT_NEAR(at({255, 255, 200}), 0.3, 1e-12) << "flag and blue slot together";
    EXPECT_NEAR(at({51, 255, 200}), 0.06, 1e-12) << "a fifth of the light, of the same colour";
    EXPECT_EQ(channelValue(mode.channels[2], type.wheels[0].settingOf(0)), 54u)
        << "the middle of the stretch of values";
    EXPECT_EQ(type.partName(1), "F");
    EXPECT_EQ(type.partNamed("w"), 2u);
    EXPECT_FALSE(type.partNamed("x"));
}

TEST(Parts, AFunctionOnPartOfItsChannelRestsOutsideIt) {
    auto type = movingLight();
    auto& flag = type.modes[0].channels[1];
    flag.first = 100;
    flag.last = 199;
    const auto drive = [&](std::uint32_t v) {
        return drivesOf(type, type.modes[0], {255, v, 0})[1];
    };
    EXPECT_EQ(drive(50), 0) << "before the function";
    EXPECT_EQ(drive(100), 0);
    EXPECT_NEAR(drive(199), 1, 1e-12);
    EXPECT_EQ(drive(220), 0) << "after it";
    EXPECT_EQ(channelValue(flag, 1), 199u);
}

Engine engineOf(EngineKind kind, EngineAxis first, EngineAxis second) {
    Engine e;
    e.kind = kind;
    e.first = first;
    e.second = second;
    const auto line = [](double nm, double factor) {
        colour::Grid g;
        for (std::size_t i = 0; i < g.size(); ++i)
            g[i] = factor * std::exp(-std::pow((380.0 + static_cast<double>(i) - nm) / 14, 2));
        return Spectrum(g);
    };
    e.corners = {line(460, 2), line(625, 1), line(525, 1.5)};
    e.white = colour::lampOf({5600}).scaled(3);
    e.arrange();
    return e;
}

TEST(Engine, HueAndSaturationGoRoundTheWhite) {
    const auto e = engineOf(EngineKind::HueSaturation, {"Hue", 0, 360}, {"Saturation", 0, 1});
    const auto white = colour::toUv(colour::toXyz(e.white));
    for (double hue = 0.02; hue < 1; hue += 0.07) {
        EXPECT_NEAR(colour::distance(e.uvOf(hue, 0), white), 0, 1e-12);
        const auto half = e.uvOf(hue, 0.5) - white;
        const auto full = e.uvOf(hue, 1) - white;
        EXPECT_NEAR(std::hypot(half.u, half.v), std::hypot(full.u, full.v) / 2, 1e-12);
        EXPECT_NEAR(std::atan2(full.v, full.u), std::remainder(hue * 2 * M_PI, 2 * M_PI), 1e-9);
        const auto set = e.settingFor(e.uvOf(hue, 0.6));
        EXPECT_NEAR(set.first, hue, 1e-9);
        EXPECT_NEAR(set.second, 0.6, 1e-9);
    }
}

TEST(Engine, ItsLightHasTheColourAskedFor) {
    const auto e = engineOf(EngineKind::HueSaturation, {"Hue", 0, 360}, {"Saturation", 0, 1});
    const double white_cd = colour::toXyz(e.white).Y;
    for (double hue = 0; hue < 1; hue += 0.09)
        for (const double saturation : {0.0, 0.3, 0.7, 1.0}) {
            const auto uv = e.uvOf(hue, saturation);
            const auto light = colour::toXyz(e.lightOf(uv));
            EXPECT_NEAR(colour::distance(colour::toUv(light), uv), 0, 1e-9);
            EXPECT_NEAR(light.Y, e.xyzOf(uv).Y, 1e-9 * light.Y);
            if (saturation == 0)
                EXPECT_NEAR(light.Y, white_cd, 1e-9 * white_cd);
        }
}

TEST(Engine, CctAndTintAndChromaticityComeBack) {
    const auto ct = engineOf(EngineKind::CctTint, {"CCT", 2700, 6500}, {"Tint", -0.02, 0.02});
    const auto uv = ct.uvOf(0.4, 0.75);
    const auto cct = colour::cctOf(uv);
    ASSERT_TRUE(cct);
    EXPECT_NEAR(cct->cct.value, 2700 + 0.4 * 3800, 1);
    EXPECT_NEAR(cct->duv, 0.01, 5e-5);
    EXPECT_NEAR(ct.settingFor(uv).first, 0.4, 1e-3);
    const auto xy = engineOf(EngineKind::Chromaticity, {"x", 0, 1}, {"y", 0, 1});
    const auto set = xy.settingFor({0.21, 0.48});
    EXPECT_NEAR(colour::distance(xy.uvOf(set.first, set.second), {0.21, 0.48}), 0, 1e-9);
    const auto out = xy.uvOf(0.9, 0.05); // no such colour in its gamut: the edge towards it
    const auto back = xy.settingFor(out);
    EXPECT_NEAR(colour::distance(xy.uvOf(back.first, back.second), out), 0, 1e-9);
}

TEST(Engine, AChannelFromZeroKelvinIsHeldToWhatWhitesAre) {
    for (const auto& cct : {EngineAxis{"CCT", 0, 6500}, EngineAxis{"CCT", 0, 0},
                            EngineAxis{"CCT", -1e6, 1e6}, EngineAxis{"CCT", 1e6, 0}}) {
        const auto e = engineOf(EngineKind::CctTint, cct, {"Tint", -0.02, 0.02});
        for (const auto& uv :
             {colour::Uv{0.05, 0.55}, colour::Uv{0.6, 0.3}, colour::Uv{0.21, 0.48}}) {
            const auto set = e.settingFor(uv); // on the locus and far off it
            EXPECT_TRUE(set.first >= 0 && set.first <= 1) << cct.from << " " << set.first;
            EXPECT_TRUE(set.second >= 0 && set.second <= 1) << cct.from << " " << set.second;
            const auto back = e.uvOf(set.first, set.second);
            EXPECT_TRUE(std::isfinite(back.u) && std::isfinite(back.v));
        }
    }
}

TEST(Engine, ACornerThatIsNamedTwiceIsOne) {
    auto e = engineOf(EngineKind::HueSaturation, {"Hue", 0, 360}, {"Saturation", 0, 1});
    auto twice = e;
    twice.corners.push_back(twice.corners[1]);
    twice.arrange();
    for (double hue = 0; hue < 1; hue += 0.03) {
        const auto uv = e.uvOf(hue, 0.9);
        EXPECT_LT(colour::distance(colour::toUv(twice.xyzOf(uv)), uv), 1e-9) << hue;
    }
}

} // namespace
} // namespace zelo::light
