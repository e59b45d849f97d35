// SPDX-License-Identifier: GPL-3.0-or-later
// All hues round the white: even to the eye, at one saturation.
#include "route/rainbow.h"

#include "colour/cct.h"
#include "colour/oklab.h"

#include <gtest/gtest.h>

#include <cmath>

namespace zelo::route {
namespace {

using colour::Uv;

// A lopsided reach: far in the reds, near in the greens.
Disc reach() {
    return *Disc::of(colour::Polygon({{0.5, 0.52}, {0.08, 0.55}, {0.16, 0.2}, {0.3, 0.25}}),
                     colour::planckianUv({4300}));
}

std::vector<double> chords(const Disc& disc, const std::vector<Uv>& colours) {
    const colour::OklabSpace space(colour::toXyz(disc.white()));
    std::vector<double> all;
    for (std::size_t i = 0; i < colours.size(); ++i)
        all.push_back(
            colour::distance(space.from(colour::toXyz(colours[i])),
                             space.from(colour::toXyz(colours[(i + 1) % colours.size()]))));
    return all;
}

TEST(Rainbow, StepsAreEvenToTheEyeAndClose) {
    const Disc disc = reach();
    for (const int hues : {3, 7, 12, 32})
        for (const double saturation : {0.2, 0.8, 1.0}) {
            const auto colours = rainbow(disc, saturation, hues);
            ASSERT_TRUE(colours);
            ASSERT_EQ(colours->size(), static_cast<std::size_t>(hues));
            const auto steps = chords(disc, *colours);
            const auto [least, most] = std::minmax_element(steps.begin(), steps.end());
            EXPECT_LT(*most / *least, 1.01) << hues << " hues at " << saturation;
            for (const Uv& uv : *colours)
                EXPECT_NEAR(disc.saturation(uv), saturation, 1e-6);
        }
}

TEST(Rainbow, GoesOnceRound) {
    const Disc disc = reach();
    const auto colours = *rainbow(disc, 0.8, 12);
    double round = 0;
    for (std::size_t i = 0; i < colours.size(); ++i) {
        const double by =
            disc.toDisc(colours[(i + 1) % colours.size()]).angle - disc.toDisc(colours[i]).angle;
        const double turn = std::remainder(by, 2 * M_PI);
        EXPECT_GT(turn, 0) << "from hue " << i;
        round += turn;
    }
    EXPECT_NEAR(round, 2 * M_PI, 1e-6);
}

TEST(Rainbow, RefusesWhatIsNone) {
    EXPECT_FALSE(rainbow(reach(), 0.8, 2));
    EXPECT_FALSE(rainbow(reach(), 0.8, 33));
    EXPECT_FALSE(rainbow(reach(), 0, 12));
    EXPECT_FALSE(rainbow(reach(), 1.1, 12));
    EXPECT_FALSE(rainbow(reach(), std::nan(""), 12));
}

} // namespace
} // namespace zelo::route
