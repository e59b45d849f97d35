// SPDX-License-Identifier: GPL-3.0-or-later
// The swatch book on an sRGB screen: what its soft knee does to the gels that no screen has.
#include "colour/oklab.h"
#include "colour/srgb.h"
#include "support/shipped.h"

#include <algorithm>
#include <gtest/gtest.h>
#include <numbers>

namespace zelo::mix {
namespace {

using colour::Oklab;

double hueBetween(const Oklab& a, const Oklab& b) { // degrees
    const double off =
        std::abs(std::atan2(a.b, a.a) - std::atan2(b.b, b.a)) * 180 / std::numbers::pi;
    return std::min(off, 360 - off);
}

// docs/colour.md has these figures: a change of the knee has to be written down there.
TEST(GelsOnScreen, KeepApartAndNearTheirHue) {
    const auto white = colour::toXyz(colour::lampOf({4300}));
    const colour::Screen screen(white);
    const colour::OklabSpace seen(white);
    const colour::OklabSpace shown(colour::toXyz(colour::Srgb{255, 255, 255}));
    std::vector<Oklab> wanted;
    std::vector<Oklab> drawn;
    std::vector<double> turned; // of those outside
    for (const auto& gel : test::gelsWanted(1)) {
        const auto on_screen = screen.show(gel.xyz);
        const auto drawn_xyz = colour::toXyz(on_screen.rgb);
        // At one brightness: the hue is what is compared.
        wanted.push_back(seen.from(drawn_xyz.Y / gel.xyz.Y * (1 / white.Y) * gel.xyz));
        drawn.push_back(shown.from(drawn_xyz));
        if (on_screen.outside)
            turned.push_back(hueBetween(wanted.back(), drawn.back()));
    }
    ASSERT_EQ(wanted.size(), 201u);
    std::sort(turned.begin(), turned.end());
    RecordProperty("outside", static_cast<int>(turned.size()));
    RecordProperty("median_degrees", std::to_string(turned[turned.size() / 2]));
    RecordProperty("most_degrees", std::to_string(turned.back()));
    EXPECT_GT(turned.size(), 20u);
    EXPECT_LT(turned[turned.size() / 2], 12);
    EXPECT_LT(turned.back(), 30);
    int alike = 0;
    for (std::size_t i = 0; i < wanted.size(); ++i)
        for (std::size_t k = 0; k < i; ++k)
            alike += colour::distance(wanted[i], wanted[k]) > 0.03 &&
                     colour::distance(drawn[i], drawn[k]) < 0.005;
    EXPECT_LE(alike, 2) << "gels that differ do not look the same";
}

} // namespace
} // namespace zelo::mix
