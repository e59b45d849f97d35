// SPDX-License-Identifier: GPL-3.0-or-later
#include "practice/practice_rig.h"
#include "support/test_types.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace zelo::practice {
namespace {

TEST(PracticeRig, LampsDifferFromTheirDataLikeRealOnes) {
    const auto type = test::typeOf(test::kEight);
    bool moved = false;
    for (std::uint64_t seed = 1; seed < 30; ++seed) {
        const auto real = deviated(*type, seed, false);
        for (std::size_t e = 0; e < real.emitters.size(); ++e) {
            const int shift =
                real.emitters[e].spectrum.peakNm() - type->emitters[e].spectrum.peakNm();
            EXPECT_LE(std::abs(shift), 4);
            moved |= shift != 0;
            const double output =
                real.emitters[e].spectrum.sum() / type->emitters[e].spectrum.sum();
            EXPECT_NEAR(output, 1, 0.081);
        }
    }
    EXPECT_TRUE(moved);
    EXPECT_LT(deviated(*type, 5, true).emitters[0].spectrum.sum(),
              0.7 * type->emitters[0].spectrum.sum());
    EXPECT_TRUE(deviated(*type, 3, false).emitters[0].spectrum ==
                deviated(*type, 3, false).emitters[0].spectrum)
        << "the same seed is the same lamp";
    EXPECT_TRUE(deviated(*type, 0, false).emitters[0].spectrum == type->emitters[0].spectrum);
}

TEST(PracticeRig, AnswersSlotsWithLight) {
    PracticeRig rig(1, true);
    const auto type = test::typeOf(test::kFour);
    ASSERT_TRUE(rig.add(1, 101, type, "all", 1, 1));
    ASSERT_TRUE(rig.add(2, 102, type, "all", 1, 6));
    ASSERT_TRUE(rig.add(3, 103, type, "all", 2, 1));
    std::vector<std::uint8_t> slots(512, 0);
    EXPECT_TRUE(rig.take(1, slots).empty()) << "dark already";
    slots[5] = 255; // dimmer of lamp 2
    slots[6] = 128; // its first emitter
    EXPECT_EQ(rig.take(1, slots), std::vector<std::size_t>{1});
    EXPECT_TRUE(rig.take(1, slots).empty()) << "nothing new";
    EXPECT_NEAR(rig.shown(1).xyz.Y, 1800 * 128.0 / 255, 1e-6);
    EXPECT_EQ(rig.shown(0).xyz.Y, 0);
    EXPECT_TRUE(rig.take(7, slots).empty()) << "nobody there";
    EXPECT_EQ(rig.take(1, {}), std::vector<std::size_t>{1}) << "a short packet is dark";
}

TEST(PracticeRig, PrintsLinesThatAreJson) {
    PracticeRig rig(1, true);
    ASSERT_TRUE(rig.add(4, 12, test::typeOf(test::kThree), "all", 3, 9));
    auto dark = nlohmann::json::parse(rig.jsonLine(0));
    EXPECT_EQ(dark["number"], 12);
    EXPECT_TRUE(dark["uv"].is_null());
    std::vector<std::uint8_t> slots(512, 255);
    rig.take(3, slots);
    const auto lit = nlohmann::json::parse(rig.jsonLine(0));
    EXPECT_EQ(lit["values"], (std::vector<int>{255, 255, 255, 255}));
    EXPECT_NEAR(lit["xyz"][1].get<double>(), 1800 + 3300 + 560, 1e-6);
}

TEST(PracticeRig, RefusesWhatDoesNotFit) {
    PracticeRig rig(1);
    const auto type = test::typeOf(test::kThree);
    EXPECT_FALSE(rig.add(1, 1, type, "none", 1, 1));
    EXPECT_FALSE(rig.add(1, 1, type, "all", 1, 510));
    EXPECT_FALSE(rig.add(1, 1, type, "all", 1, 0));
    EXPECT_TRUE(rig.add(1, 1, type, "all", 1, 509));
}

} // namespace
} // namespace zelo::practice
