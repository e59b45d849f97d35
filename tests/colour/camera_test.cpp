// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/camera.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/surfaces.h"

#include <gtest/gtest.h>

namespace zelo::colour {
namespace {

Samples bell(double centre_nm, double width_nm, double from_nm = 380, double to_nm = 780,
             double step_nm = 5) {
    Samples s;
    for (double nm = from_nm; nm <= to_nm; nm += step_nm) {
        s.wavelengths_nm.push_back(nm);
        s.values.push_back(std::exp(-0.5 * std::pow((nm - centre_nm) / width_nm, 2)));
    }
    return s;
}
std::array<Samples, 3> rgb(double from_nm = 380, double to_nm = 780, double step_nm = 5) {
    return {bell(600, 40, from_nm, to_nm, step_nm), bell(535, 40, from_nm, to_nm, step_nm),
            bell(455, 30, from_nm, to_nm, step_nm)};
}
Camera plain(double balance_k = 5600) {
    return Camera::of("plain", channelsFrom(rgb()).value(), lampOf({balance_k})).value();
}
Spectrum line(int nm) {
    Grid grid{};
    grid[static_cast<std::size_t>(nm - kGridFirstNm)] = 1;
    return Spectrum(grid);
}

TEST(Camera, ItsWhiteIsWhiteToItAndOnTheScreen) {
    for (const double k : {2500.0, 3200.0, 5600.0, 9000.0}) {
        const Camera camera = plain(k);
        const auto white = lampOf({k});
        const auto c = camera.chromaticityOf(white);
        ASSERT_TRUE(c);
        EXPECT_NEAR(c->r, 1.0 / 3, 1e-12);
        EXPECT_NEAR(c->g, 1.0 / 3, 1e-12);
        const Xyz shown = camera.shown(white);
        EXPECT_LT(distance(toUv(shown), toUv(toXyz(white))), 1e-9);
        EXPECT_NEAR(shown.Y, toXyz(white).Y, 1e-6 * shown.Y);
    }
}

TEST(Camera, ThatSeesAsTheEyeDoesShowsWhatTheEyeSees) {
    const auto& f = matchingFunctions(Observer::Cie1931_2);
    const auto eye =
        Camera::of("eye", {Spectrum(f.x), Spectrum(f.y), Spectrum(f.z)}, lampOf({5600}));
    ASSERT_TRUE(eye);
    EXPECT_LT(eye->shownError(), 1e-9);
    for (const int nm : {450, 520, 560, 610, 660}) {
        const Xyz shown = eye->shown(line(nm));
        EXPECT_LT(norm(shown - toXyz(line(nm))), 1e-6 * norm(shown)) << nm;
    }
}

// The surfaces that its matrix was fitted to are shown nearly as they are seen; a line is not.
TEST(Camera, ShowsSurfacesNearlyAsTheEyeSeesThem) {
    const Camera camera = plain();
    double sum = 0;
    for (std::size_t s = 0; s < Surfaces::tm30().size(); ++s) {
        Grid grid{};
        for (std::size_t i = 0; i < kGridSize; ++i)
            grid[i] = Surfaces::tm30().reflectance(s, i) * camera.white()[i];
        const Spectrum back(grid);
        sum += distance(toUv(camera.shown(back)), toUv(toXyz(back)));
    }
    EXPECT_LT(sum / 99, 0.01);
    EXPECT_GT(distance(toUv(camera.shown(line(590))), toUv(toXyz(line(590)))), 0.01);
}

TEST(Camera, MissIsADistanceOfSharesAndNothingWhereItIsBlind) {
    const Camera camera = plain();
    EXPECT_NEAR(*camera.miss(line(600), line(600).scaled(7)), 0, 1e-12);
    EXPECT_GT(*camera.miss(line(600), line(535)), 0.5);
    const auto narrow =
        Camera::of("narrow", channelsFrom({bell(600, 15), bell(540, 15), bell(470, 15)}).value(),
                   lampOf({5600}));
    ASSERT_TRUE(narrow);
    EXPECT_FALSE(narrow->miss(line(385), line(600))) << "it does not see it";
    EXPECT_FALSE(narrow->chromaticityOf(Spectrum()));
}

TEST(Camera, CoarseDataIsTheSameCamera) {
    const auto fine = channelsFrom(rgb(380, 780, 1)).value();
    const auto coarse = channelsFrom(rgb(380, 780, 10)).value();
    const Camera a = Camera::of("a", fine, lampOf({5600})).value();
    const Camera b = Camera::of("b", coarse, lampOf({5600})).value();
    for (const double k : {2500.0, 4000.0, 8000.0}) {
        const auto one = *a.chromaticityOf(lampOf({k}));
        const auto other = *b.chromaticityOf(lampOf({k}));
        EXPECT_NEAR(one.r, other.r, 2e-4);
        EXPECT_NEAR(one.g, other.g, 2e-4);
    }
    EXPECT_TRUE(channelsFrom(rgb(400, 700))) << "what is beyond is not seen";
}

TEST(Camera, BadDataIsToldByChannelAndRow) {
    const auto textOf = [](const std::array<Samples, 3>& samples) {
        const auto read = channelsFrom(samples);
        return read ? std::string() : read.error().text();
    };
    auto gap = rgb();
    gap[1].wavelengths_nm.erase(gap[1].wavelengths_nm.begin() + 20,
                                gap[1].wavelengths_nm.begin() + 28);
    gap[1].values.erase(gap[1].values.begin() + 20, gap[1].values.begin() + 28);
    EXPECT_NE(textOf(gap).find("g, row 21"), std::string::npos) << textOf(gap);
    auto negative = rgb();
    negative[2].values[30] = -0.5;
    EXPECT_NE(textOf(negative).find("31"), std::string::npos) << textOf(negative);
    EXPECT_NE(textOf(negative).find("b"), std::string::npos);
    auto flat = rgb();
    std::fill(flat[0].values.begin(), flat[0].values.end(), 0.4);
    EXPECT_NE(textOf(flat).find("r sees all wavelengths alike"), std::string::npos) << textOf(flat);
    auto dark = rgb();
    std::fill(dark[0].values.begin(), dark[0].values.end(), 0);
    EXPECT_NE(textOf(dark).find("r sees nothing"), std::string::npos) << textOf(dark);
    EXPECT_NE(textOf(rgb(450, 780)).find("400 to 700"), std::string::npos);
    auto twice = rgb();
    twice[0].wavelengths_nm[5] = twice[0].wavelengths_nm[4];
    EXPECT_FALSE(textOf(twice).empty());
    EXPECT_FALSE(Camera::of("dark", channelsFrom(rgb()).value(), Spectrum()));
    const auto violet = Camera::of("x", channelsFrom(rgb()).value(), line(380));
    EXPECT_FALSE(violet) << "red does not see such a white";
}

} // namespace
} // namespace zelo::colour
