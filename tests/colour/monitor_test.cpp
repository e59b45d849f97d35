// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/monitor.h"

#include "support/icc.h"

#include <gtest/gtest.h>
#include <random>

namespace zelo::colour {
namespace {

TEST(Monitor, ShowsTheSameLightOnAnotherMonitor) {
    const auto wide = Monitor::fromIcc(monitorProfile(kWidePrimaries, "Wide monitor"));
    ASSERT_TRUE(wide);
    EXPECT_EQ((*wide)->name(), "Wide monitor");
    // From its primaries, with D65 as white: linear RGB of that monitor to XYZ.
    const auto xyzOf = [](const Srgb& c) {
        const double m[3][3] = {{0.4865709486, 0.2656676932, 0.1982172852},
                                {0.2289745641, 0.6917385218, 0.0792869141},
                                {0.0000000000, 0.0451133819, 1.0439443689}};
        const double rgb[] = {std::pow(c.r / 255.0, 2.2), std::pow(c.g / 255.0, 2.2),
                              std::pow(c.b / 255.0, 2.2)};
        double xyz[3] = {};
        for (int i = 0; i < 3; ++i)
            for (int j = 0; j < 3; ++j)
                xyz[i] += m[i][j] * rgb[j];
        return Xyz{xyz[0], xyz[1], xyz[2]};
    };
    std::mt19937 random(4);
    std::uniform_real_distribution<double> level(0.2, 1);
    double worst = 0;
    for (int i = 0; i < 500; ++i) {
        const LinearRgb light{level(random), level(random), level(random)};
        const Xyz meant{0.4123907993 * light.r + 0.3575843394 * light.g + 0.1804807884 * light.b,
                        0.2126390059 * light.r + 0.7151686788 * light.g + 0.0721923154 * light.b,
                        0.0193308187 * light.r + 0.1191947798 * light.g + 0.9505321522 * light.b};
        worst = std::max(worst, distance(toUv(meant), toUv(xyzOf((*wide)->shown(light)))));
    }
    EXPECT_LT(worst, 0.002) << "half a step of 8 bit";
    EXPECT_EQ((*wide)->shown({1, 1, 1}), (Srgb{255, 255, 255}));
    EXPECT_EQ((*wide)->shown({0, 0, 0}), (Srgb{0, 0, 0}));
    const Srgb red = (*wide)->shown({1, 0, 0});
    EXPECT_LT(red.r, 245) << "its own red is deeper than that of sRGB";
    EXPECT_GT(red.g, 30);
}

TEST(Monitor, OfSrgbPrimariesChangesNextToNothing) {
    const auto same = Monitor::fromIcc(monitorProfile(kSrgbPrimaries, "Plain"));
    ASSERT_TRUE(same);
    const Screen plain(toXyz(Uv{0.2105, 0.4737}));
    const Screen through(toXyz(Uv{0.2105, 0.4737}), *same);
    for (const Uv uv : {Uv{0.25, 0.52}, Uv{0.2, 0.45}, Uv{0.35, 0.5}, Uv{0.15, 0.3}}) {
        const auto a = plain.show(toXyz(uv)).rgb;
        const auto b = through.show(toXyz(uv)).rgb;
        EXPECT_NEAR(a.r, b.r, 4);
        EXPECT_NEAR(a.g, b.g, 4);
        EXPECT_NEAR(a.b, b.b, 4);
    }
}

TEST(Monitor, WhatIsNoProfileIsAnError) {
    const auto refused = [](const std::string& bytes) {
        const auto monitor = Monitor::fromIcc(bytes);
        return !monitor && monitor.error().text().find("profile") != std::string::npos;
    };
    EXPECT_TRUE(refused(""));
    EXPECT_TRUE(refused("not a profile"));
    EXPECT_TRUE(refused(std::string(17'000'000, 'x')));
    auto bytes = monitorProfile(kWidePrimaries, "Cut");
    for (std::size_t length = 0; length + 1 < bytes.size(); length += 7)
        (void)Monitor::fromIcc(bytes.substr(0, length)); // whatever it says, it comes back
    std::mt19937 random(9);
    for (int i = 0; i < 200; ++i) {
        auto broken = bytes;
        for (int n = 0; n < 4; ++n)
            broken[random() % broken.size()] = static_cast<char>(random());
        if (const auto monitor = Monitor::fromIcc(broken))
            (void)(*monitor)->shown({0.5, 0.2, 0.9});
    }
    cmsHPROFILE lab = cmsCreateLab4Profile(nullptr);
    cmsUInt32Number size = 0;
    cmsSaveProfileToMem(lab, nullptr, &size);
    std::string of_lab(size, '\0');
    cmsSaveProfileToMem(lab, of_lab.data(), &size);
    cmsCloseProfile(lab);
    EXPECT_TRUE(refused(of_lab));
}

} // namespace
} // namespace zelo::colour
