// SPDX-License-Identifier: GPL-3.0-or-later
// The hot paths allocate nothing: a mix asked for on the playback thread must not meet the
// allocator.
#include "light/levels.h"
#include "mix/quadratic.h"
#include "support/allocations.h"
#include "support/shipped.h"

namespace zelo::mix {
namespace {

class Allocations : public ::testing::Test {
protected:
    void SetUp() override {
#ifndef ZELO_COUNTS
        GTEST_SKIP() << "the sanitizer's allocator is not counted";
#endif
    }
};

TEST_F(Allocations, TheCounterCounts) {
    EXPECT_GT(test::allocationsOf([] { delete new int(3); }), 0);
}

TEST_F(Allocations, ABrightestAndATruestMixMakeNone) {
    const auto mixer = test::shippedMixer("gannet-8");
    const GamutSolid solid(mixer.emitters());
    for (const auto& wanted : test::gelsWanted(40)) {
        EXPECT_EQ(test::allocationsOf([&] { (void)solid.brightest(wanted.xyz); }), 0);
        if (mixer.solve(wanted, {}).end != MixEnd::InReach)
            continue;
        EXPECT_EQ(test::allocationsOf(
                      [&] { (void)mixer.solve(wanted, test::wishOf(Intent::Brightest)); }),
                  0);
        EXPECT_EQ(
            test::allocationsOf([&] { (void)mixer.solve(wanted, test::wishOf(Intent::Truest)); }),
            0);
        EXPECT_EQ(
            test::allocationsOf([&] { (void)mixer.solve(wanted, test::wishOf(Intent::Leanest)); }),
            0);
    }
}

TEST_F(Allocations, FollowingAWayAndWritingSlotsMakeNone) {
    const auto mixer = test::shippedMixer("gannet-8");
    const auto mix = mixer.solve(test::gelWanted("214"), {});
    EXPECT_EQ(test::allocationsOf([&] { (void)mixer.closestDrives(mix.drives, 0.9 * mix.got); }),
              0);
    const auto values = light::homeValues(mixer.mode());
    std::array<std::uint8_t, 64> slots{};
    EXPECT_EQ(test::allocationsOf([&] { light::writeSlots(mixer.mode(), values, slots); }), 0);
    EXPECT_EQ(
        test::allocationsOf([&] { (void)light::drivesOf(mixer.type(), mixer.mode(), values); }), 0);
}

} // namespace
} // namespace zelo::mix
