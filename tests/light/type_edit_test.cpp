// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/levels.h"
#include "light/type_edit.h"

#include <gtest/gtest.h>

namespace zelo::light {
namespace {

Emitter line(const char* name, double peak_nm, double width_nm, double candela) {
    return {name, *modelledLine(peak_nm, width_nm, candela)};
}

FixtureType threeColours() {
    auto type = *blankType("My Lamp 3");
    type = *addEmitter(type, line("Red", 632, 18, 400));
    type = *addEmitter(type, line("Green", 524, 30, 900));
    return *addEmitter(type, line("Blue", 464, 22, 120));
}

TEST(TypeEdit, AModelledLineHasItsPeakWidthAndBrightness) {
    const auto s = *modelledLine(523, 30, 750);
    EXPECT_NEAR(colour::toXyz(s).Y, 750, 1e-6);
    EXPECT_NEAR(s.at(508) / s.at(523), 0.5, 1e-9) << "half at half its width";
    EXPECT_NEAR(s.at(538) / s.at(523), 0.5, 1e-9);
    for (const auto& bad :
         {modelledLine(379, 20, 1), modelledLine(781, 20, 1), modelledLine(500, 1, 1),
          modelledLine(500, 20, 0), modelledLine(NAN, 20, 1)})
        EXPECT_FALSE(bad);
}

// A lamp is measured at full; what its emitters do at lower drives is known of the type alone.
TEST(TypeEdit, ACalibratedLampDroopsAsItsTypeDoesWithItsOwnLight) {
    auto type = threeColours();
    const auto shifted = [](double peak, double width, double cd) {
        return *modelledLine(peak, width, cd);
    };
    type.emitters[2].droop = {{0.25, shifted(466, 22, 36)}};
    // Measured as the type says: nothing changes.
    const auto same = calibrated(type, {{"Blue", type.emitters[2].spectrum}});
    const auto at = [](const FixtureType& t) { return colour::toXyz(t.emitters[2].lightAt(0.25)); };
    EXPECT_LT(colour::distance(colour::toUv(at(same)), colour::toUv(at(type))), 5e-4);
    EXPECT_NEAR(at(same).Y / at(type).Y, 1, 0.01);
    // Measured with a shoulder that the type does not have: it is there at lower drives too.
    const auto measured = shifted(464, 22, 100) + shifted(600, 40, 12);
    const auto own = calibrated(type, {{"Blue", measured}});
    const auto low = own.emitters[2].lightAt(0.25);
    const double share = type.emitters[2].lightAt(0.25).sum() / type.emitters[2].spectrum.sum();
    EXPECT_NEAR(low.at(600) / measured.at(600), share, 0.02 * share);
    EXPECT_GT(low.at(472) / measured.at(472), low.at(456) / measured.at(456))
        << "and its peak moves as the type's does";
}

TEST(TypeEdit, ANewTypeShinesFromItsChannels) {
    const auto type = threeColours();
    EXPECT_EQ(type.id, "my-lamp-3");
    ASSERT_EQ(type.modes.size(), 1u);
    EXPECT_EQ(type.modes[0].footprint, 4);
    EXPECT_EQ(type.modes[0].channels[1].attribute, "ColorAdd_R");
    EXPECT_EQ(type.modes[0].channels[2].attribute, "ColorAdd_G");
    EXPECT_EQ(type.modes[0].channels[3].attribute, "ColorAdd_B");
    const auto xyz = xyzOf(type, drivesOf(type, type.modes[0], {255, 255, 0, 255}));
    EXPECT_NEAR(xyz.Y, 520, 1e-6);
    EXPECT_FALSE(addEmitter(type, line("red", 600, 20, 1))) << "names are each once";
    EXPECT_FALSE(addEmitter(type, line(" ", 600, 20, 1)));
    EXPECT_FALSE(blankType("  …"));
}

TEST(TypeEdit, TakingAnEmitterAwayMovesTheOthersUp) {
    const auto type = *removeEmitter(threeColours(), 1);
    ASSERT_EQ(type.emitters.size(), 2u);
    EXPECT_EQ(type.modes[0].footprint, 3);
    const auto xyz = xyzOf(type, drivesOf(type, type.modes[0], {255, 0, 255}));
    EXPECT_NEAR(xyz.Y, 120, 1e-6) << "the third slot is blue now";
    EXPECT_FALSE(removeEmitter(type, 2));
}

TEST(TypeEdit, EmittersStandBeforeFlags) {
    auto type = threeColours();
    Flag flag;
    flag.name = "Cyan flag";
    type.flags.push_back(flag);
    Channel c;
    c.attribute = "ColorSub_C";
    c.offsets = {5};
    c.role = Role::Part;
    c.part = 3;
    type.modes[0].channels.push_back(c);
    type.modes[0].footprint = 5;
    const auto more = *addEmitter(type, line("Amber", 596, 15, 300));
    EXPECT_EQ(more.modes[0].channels[4].part, 4u) << "the flag is behind the new emitter";
    EXPECT_EQ(more.partName(more.modes[0].channels[5].part), "Amber");
    const auto less = *removeEmitter(more, 0);
    EXPECT_EQ(less.partName(less.modes[0].channels[3].part), "Cyan flag");
}

TEST(TypeEdit, BitsKeepTheirShare) {
    auto type = *setHome(threeColours(), 0, 1, 0.5);
    EXPECT_EQ(type.modes[0].channels[2].home, 128u);
    type = *setBits(type, 0, 16);
    EXPECT_EQ(type.modes[0].footprint, 8);
    EXPECT_EQ(type.modes[0].channels[2].offsets, (std::vector{5, 6}));
    EXPECT_EQ(type.modes[0].channels[2].home, 128u * 257u);
    EXPECT_EQ(type.modes[0].channels[0].highlight, 65535u);
    EXPECT_FALSE(setBits(type, 0, 12));
    EXPECT_FALSE(setBits(type, 1, 8));
    EXPECT_FALSE(setHome(type, 0, 7, 1));
}

TEST(TypeEdit, AResponseBendsEmittersAndDimmer) {
    const auto type = *setResponse(threeColours(), 0, Response::square());
    const auto xyz = xyzOf(type, drivesOf(type, type.modes[0], {255, 128, 0, 0}));
    EXPECT_NEAR(xyz.Y, 400 * std::pow(128.0 / 255, 2), 0.01);
}

TEST(TypeEdit, ChangingAnEmitterRenamesItsChannels) {
    const auto type = *changeEmitter(threeColours(), 0, line("Deep red", 660, 18, 90));
    EXPECT_EQ(type.modes[0].channels[1].name, "Deep red");
    EXPECT_NEAR(type.emitters[0].xyz().Y, 90, 1e-6);
    EXPECT_FALSE(changeEmitter(type, 0, line("Blue", 660, 18, 90)));
    EXPECT_EQ(copyOf(type, "Other  Lamp!")->id, "other-lamp");
}

} // namespace
} // namespace zelo::light
