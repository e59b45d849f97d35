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

Camera cameraOf(const Grid& r, const Grid& g, const Grid& b, double balance_k) {
    return Camera::of("a", {Spectrum(r), Spectrum(g), Spectrum(b)}, lampOf({balance_k})).value();
}

TEST(SurfacesShown, ACameraThatSeesAsTheEyeShowsWhatTheEyeSees) {
    const auto& f = matchingFunctions(Observer::Cie1931_2);
    const Camera eye = cameraOf(f.x, f.y, f.z, 3200);
    const auto lamp = lampOf({3200});
    const auto other = lines({{620, 3}, {540, 1.4}, {460, 0.6}});
    Grid red{};
    for (std::size_t i = 0; i < red.size(); ++i)
        red[i] = i > 210 ? 0.8 : 0.05;
    const std::vector surfaces{flat(0.5), Spectrum(red)};
    const auto seen = surfacesSeen(surfaces, lamp, other, lamp);
    const auto shown = surfacesShown(surfaces, lamp, other.scaled(9), eye);
    ASSERT_EQ(shown.size(), 2u);
    for (std::size_t i = 0; i < 2; ++i) {
        EXPECT_NEAR(shown[i].delta_e, seen[i].delta_e, 1e-5) << "however bright";
        EXPECT_LT(norm(shown[i].got - seen[i].got), 1e-6);
    }
    EXPECT_GT(shown[1].delta_e, 1);
}

// Lights that are one to the eye on white may be two on the monitor.
TEST(SurfacesShown, ACameraTellsApartWhatTheEyeDoesNot) {
    const auto bell = [](double centre_nm, double width_nm) { // blind beyond six widths
        Grid g{};
        for (std::size_t i = 0; i < g.size(); ++i)
            if (const double off = (380.0 + static_cast<double>(i) - centre_nm) / width_nm;
                std::abs(off) < 6)
                g[i] = std::exp(-0.5 * off * off);
        return g;
    };
    const Camera camera = cameraOf(bell(600, 40), bell(535, 40), bell(455, 30), 3200);
    const auto lamp = lampOf({3200});
    const auto same = surfacesShown(std::vector{flat(0.5)}, lamp, lamp.scaled(3), camera);
    EXPECT_NEAR(same[0].delta_e, 0, 1e-9);
    EXPECT_GT(surfacesShown(std::vector{flat(0.5)}, lamp, lines({{620, 3}, {540, 1.4}, {460, 1}}),
                            camera)[0]
                  .delta_e,
              3);
    const Camera narrow = cameraOf(bell(600, 4), bell(540, 4), bell(470, 4), 3200);
    EXPECT_TRUE(surfacesShown(std::vector{flat(0.5)}, lamp, lines({{740, 1}}), narrow).empty())
        << "it shows no light of one";
}

} // namespace
} // namespace zelo::colour
