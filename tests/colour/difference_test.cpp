// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/cct.h"
#include "colour/difference.h"
#include "colour/dominant.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "support/vectors.h"

#include <sstream>

namespace zelo::colour {
namespace {

TEST(DeltaE2000, ThePublishedPairs) {
    std::ifstream in(test::dataPath("reference/ciede2000.csv"));
    std::string line;
    std::getline(in, line);
    int pairs = 0;
    while (std::getline(in, line)) {
        std::replace(line.begin(), line.end(), ',', ' ');
        std::istringstream row(line);
        double n, de;
        Lab x, y;
        ASSERT_TRUE(row >> n >> x.L >> x.a >> x.b >> y.L >> y.a >> y.b >> de) << line;
        EXPECT_NEAR(deltaE2000(x, y), de, 1e-4) << "pair " << n;
        EXPECT_NEAR(deltaE2000(y, x), de, 1e-4) << "pair " << n << " turned round";
        ++pairs;
    }
    EXPECT_EQ(pairs, 34);
}

TEST(Lab, WhiteIsHundredAndGreyIsNeutral) {
    const Xyz white{0.9, 1, 0.7};
    const Lab w = toLab(white, white);
    EXPECT_NEAR(w.L, 100, 1e-12);
    EXPECT_NEAR(w.a, 0, 1e-12);
    const Lab grey = toLab(0.184187 * white, white);
    EXPECT_NEAR(grey.L, 50, 1e-3);
    EXPECT_NEAR(grey.b, 0, 1e-9);
    EXPECT_NEAR(toLab(0.001 * white, white).L, 0.9033, 1e-3) << "the linear part near black";
}

TEST(AnyLight, IsWithinTheSpectralColours) {
    const Xy middle{1.0 / 3, 1.0 / 3};
    for (std::size_t i = 20; i < 300; i += 10) { // 400 nm and on: a line, and a little beyond it
        const Xy line = toXy(toXyz(spectralLocus()[i]));
        const auto beyond = [&](double by) {
            return Xy{middle.x + by * (line.x - middle.x), middle.y + by * (line.y - middle.y)};
        };
        EXPECT_TRUE(anyLightHas(line)) << i;
        EXPECT_TRUE(anyLightHas(beyond(0.5))) << i;
        EXPECT_FALSE(anyLightHas(beyond(1.02))) << i;
    }
    for (const Xy none : {Xy{0.01, 0.01}, Xy{0.4, 0.1}, Xy{0, 1}, Xy{1, 1}, Xy{0.5, 0.6}})
        EXPECT_FALSE(anyLightHas(none)) << none.x;
    for (const Xy some : {middle, Xy{0.4, 0.2}, Xy{0.7, 0.28}})
        EXPECT_TRUE(anyLightHas(some)) << some.x;
}

TEST(Dominant, OfALineIsItsWavelength) {
    const Xy white = toXy(toXyz(lampOf({5600})));
    for (const int nm : {450, 480, 520, 560, 590, 620}) {
        Grid g{};
        g[static_cast<std::size_t>(nm - 380)] = 1;
        const Xyz line = toXyz(Spectrum(g));
        const auto pure = dominantOf(toXy(line), white);
        ASSERT_TRUE(pure) << nm;
        EXPECT_NEAR(pure->wavelength_nm, nm, 0.02);
        EXPECT_NEAR(pure->purity, 1, 1e-4);
        EXPECT_FALSE(pure->complementary);
        // Half way to white, on the same ray.
        const Xy half{(toXy(line).x + white.x) / 2, (toXy(line).y + white.y) / 2};
        EXPECT_NEAR(dominantOf(half, white)->wavelength_nm, nm, 0.02);
        EXPECT_NEAR(dominantOf(half, white)->purity, 0.5, 1e-4);
    }
}

TEST(Dominant, PurplesAreToldByTheirOpposite) {
    const Xy white{1.0 / 3, 1.0 / 3};
    const auto purple = dominantOf({0.35, 0.20}, white);
    ASSERT_TRUE(purple);
    EXPECT_TRUE(purple->complementary);
    EXPECT_GT(purple->wavelength_nm, 500);
    EXPECT_LT(purple->wavelength_nm, 570);
    EXPECT_FALSE(dominantOf(white, white));
    EXPECT_FALSE(dominantOf({0.9, 0.9}, white));
}

} // namespace
} // namespace zelo::colour
