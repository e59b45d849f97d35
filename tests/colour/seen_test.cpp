// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/seen.h"

#include <gtest/gtest.h>

namespace zelo::colour {
namespace {

Spectrum flat(double value) {
    Grid g;
    g.fill(value);
    return Spectrum(g);
}
Spectrum lines(std::initializer_list<std::pair<int, double>> at) {
    Grid g{};
    for (const auto& [nm, power] : at)
        g[static_cast<std::size_t>(nm - 380)] = power;
    return Spectrum(g);
}

TEST(SurfacesSeen, TheSameLightMakesNoDifferenceHoweverBright) {
    const auto lamp = lampOf({3200});
    const std::vector<Spectrum> surfaces{flat(0.2), flat(0.9)};
    for (const auto& s : surfacesSeen(surfaces, lamp, lamp.scaled(7), lamp)) {
        EXPECT_NEAR(s.delta_e, 0, 1e-9);
        EXPECT_NEAR(s.wanted.X, s.got.X, 1e-9);
    }
    EXPECT_NEAR(surfacesSeen(surfaces, lamp, lamp, lamp)[0].wanted.Y, 0.2, 1e-9)
        << "of the perfect white";
}

TEST(SurfacesSeen, AMetamericLightIsToldOnAColouredSurface) {
    // Two lights of one chromaticity: three lines, mixed to the lamp's colour.
    const auto lamp = lampOf({3200});
    const auto want = toXyz(lamp);
    const Spectrum r = lines({{620, 1}}), g = lines({{540, 1}}), b = lines({{460, 1}});
    const Xyz R = toXyz(r), G = toXyz(g), B = toXyz(b);
    const double det = R.X * (G.Y * B.Z - B.Y * G.Z) - G.X * (R.Y * B.Z - B.Y * R.Z) +
                       B.X * (R.Y * G.Z - G.Y * R.Z);
    const auto share = [&](const Xyz& a, const Xyz& c, const Xyz& d) {
        return a.X * (c.Y * d.Z - d.Y * c.Z) - c.X * (a.Y * d.Z - d.Y * a.Z) +
               d.X * (a.Y * c.Z - c.Y * a.Z);
    };
    const auto mix = r.scaled(share(want, G, B) / det) + g.scaled(share(R, want, B) / det) +
                     b.scaled(share(R, G, want) / det);
    ASSERT_LT(distance(toUv(toXyz(mix)), toUv(want)), 1e-9);
    Grid red{};
    for (std::size_t i = 0; i < red.size(); ++i)
        red[i] = i > 210 ? 0.8 : 0.05; // from 590 nm on
    const auto seen = surfacesSeen(std::vector{flat(0.5), Spectrum(red)}, lamp, mix, lamp);
    EXPECT_NEAR(seen[0].delta_e, 0, 1e-6) << "on a white wall they are one";
    EXPECT_GT(seen[1].delta_e, 5) << "on red cloth they are two";
}

} // namespace
} // namespace zelo::colour
