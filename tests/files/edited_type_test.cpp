// SPDX-License-Identifier: GPL-3.0-or-later
// A fixture type that was made or changed by hand goes through GDTF.
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "light/levels.h"
#include "light/type_edit.h"
#include "support/places.h"

#include <gtest/gtest.h>

namespace zelo::files {
namespace {

void expectSameLight(const light::FixtureType& a, const light::FixtureType& b) {
    ASSERT_EQ(a.emitters.size(), b.emitters.size());
    ASSERT_EQ(a.modes.size(), b.modes.size());
    for (std::size_t i = 0; i < a.emitters.size(); ++i) {
        EXPECT_EQ(a.emitters[i].name, b.emitters[i].name);
        EXPECT_NEAR(a.emitters[i].xyz().Y, b.emitters[i].xyz().Y, 1e-6);
        EXPECT_NEAR(a.emitters[i].power_w, b.emitters[i].power_w, 1e-9);
    }
    for (std::size_t m = 0; m < a.modes.size(); ++m) {
        ASSERT_EQ(a.modes[m].channels.size(), b.modes[m].channels.size()) << m;
        EXPECT_EQ(a.modes[m].footprint, b.modes[m].footprint);
        for (std::size_t c = 0; c < a.modes[m].channels.size(); ++c) {
            const auto& x = a.modes[m].channels[c];
            const auto& y = b.modes[m].channels[c];
            EXPECT_EQ(x.offsets, y.offsets) << a.modes[m].name << " " << x.name;
            EXPECT_EQ(x.role, y.role);
            EXPECT_EQ(x.part, y.part);
            EXPECT_EQ(x.home, y.home) << x.name;
            EXPECT_NEAR(x.response.drive(0.4), y.response.drive(0.4), 1e-9);
        }
    }
}

TEST(EditedType, ATypeMadeFromNothingComesBack) {
    auto type = *light::blankType("Shed Lamp");
    const std::pair<const char*, double> lines[] = {{"Red", 632},   {"Amber", 596}, {"Lime", 552},
                                                    {"Green", 524}, {"Cyan", 500},  {"Blue", 464}};
    for (const auto& [name, peak] : lines) {
        light::Emitter e{name, *light::modelledLine(peak, 20, 300)};
        e.power_w = 11;
        type = *light::addEmitter(type, e);
    }
    type = *light::setBits(type, 0, 16);
    type = *light::setResponse(type, 0, light::Response::square());
    type = *light::setHome(type, 0, 2, 0.25);
    const auto back = typeOfFiles(gdtfFiles(type));
    ASSERT_TRUE(back) << back.error().text();
    expectSameLight(type, *back);
}

TEST(EditedType, AShippedTypeKeepsTheRestWhenChanged) {
    const auto gannet = *readGdtf(std::string(places::data) + "/fixtures/gannet-8");
    auto type = *light::removeEmitter(gannet, 2);
    type = *light::addEmitter(type, {"Far red", *light::modelledLine(720, 25, 4)});
    type = *light::setHome(type, 0, 0, 0.5);
    const auto back = typeOfFiles(gdtfFiles(type));
    ASSERT_TRUE(back) << back.error().text();
    expectSameLight(type, *back);
}

} // namespace
} // namespace zelo::files
