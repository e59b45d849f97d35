// SPDX-License-Identifier: GPL-3.0-or-later
// Legal but odd GDTF, as other programs write it: cells, breaks, links that are left out, byte
// shifting, functions that fall, brightness told in other ways; and parts that are broken, which
// spoil themselves alone.
#include "files/archive.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "light/levels.h"
#include "mix/rounding.h"
#include "support/test_types.h"

#include <chrono>
#include <filesystem>
#include <fstream>
#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace zelo::files {
namespace {

using light::FixtureType;
using light::Role;
using testing::Contains;
using testing::HasSubstr;

// A description out of its pieces; those that are not said are those of a lamp of three emitters.
struct Description {
    std::string emitters, filters, wheels, profiles;
    std::string geometries = "<Geometry Name='Body'><Beam Name='Beam'/></Geometry>";
    std::string channels;
    std::string more_modes = {};

    std::string text() const {
        return "<GDTF><FixtureType Name='T' LongName='Test'><Wheels>" + wheels +
               "</Wheels><PhysicalDescriptions><Emitters>" + emitters + "</Emitters><Filters>" +
               filters + "</Filters><DMXProfiles>" + profiles +
               "</DMXProfiles></PhysicalDescriptions><Geometries>" + geometries +
               "</Geometries><DMXModes><DMXMode Name='m' Geometry='Body'><DMXChannels>" + channels +
               "</DMXChannels></DMXMode>" + more_modes + "</DMXModes></FixtureType></GDTF>";
    }
    FixtureType read() const {
        auto type = parseGdtf(text());
        EXPECT_TRUE(type) << type.error().text();
        return type ? std::move(*type) : FixtureType();
    }
};

std::string line(const std::string& name, int nm, int candela) {
    return "<Emitter Name='" + name + "'><Measurement Physical='100' LuminousIntensity='" +
           std::to_string(candela) + "'><MeasurementPoint WaveLength='" + std::to_string(nm - 15) +
           "' Energy='0'/><MeasurementPoint WaveLength='" + std::to_string(nm) +
           "' Energy='1'/><MeasurementPoint WaveLength='" + std::to_string(nm + 15) +
           "' Energy='0'/></Measurement></Emitter>";
}

// `place`: its break, offset and geometry.
std::string channel(const std::string& place, const std::string& attribute,
                    const std::string& function = {}, const std::string& inside = {}) {
    return "<DMXChannel " + place + "><LogicalChannel Attribute='" + attribute +
           "'><ChannelFunction Name='" + attribute + " 1' Attribute='" + attribute + "' " +
           function + ">" + inside + "</ChannelFunction></LogicalChannel></DMXChannel>";
}
std::string at(int offset, const std::string& more = {}) {
    return "DMXBreak='1' Offset='" + std::to_string(offset) + "' Geometry='Beam' " + more;
}

const std::string kThree = line("Red", 630, 500) + line("Green", 525, 900) + line("Blue", 465, 200);

std::string notesOf(const FixtureType& type) {
    std::string all;
    for (const auto& n : type.notes)
        all += n.english() + "\n";
    return all;
}

std::vector<std::uint8_t> slotsOf(const FixtureType& type, const light::ChannelValues& values) {
    std::vector<std::uint8_t> slots(512);
    light::writeSlots(type.modes[0], values, slots);
    slots.resize(static_cast<std::size_t>(type.modes[0].footprint));
    return slots;
}

TEST(ForeignGdtf, CellsByReferenceTakeAllTheirSlotsAndShowTheSame) {
    Description d;
    d.emitters = kThree;
    d.geometries = "<Geometry Name='Body'>";
    for (int cell = 0; cell < 4; ++cell)
        d.geometries += "<GeometryReference Name='Cell " + std::to_string(cell) +
                        "' Geometry='Cell'><Break DMXBreak='1' DMXOffset='" +
                        std::to_string(1 + 3 * cell) + "'/></GeometryReference>";
    d.geometries += "</Geometry><Beam Name='Cell'/>";
    const std::string place = "' DMXBreak='1' Geometry='Cell'";
    d.channels = channel("Offset='1" + place, "ColorAdd_R", "Emitter='Red'") +
                 channel("Offset='2" + place, "ColorAdd_G", "Emitter='Green'") +
                 channel("Offset='3" + place, "ColorAdd_B", "Emitter='Blue'");
    const auto type = d.read();
    EXPECT_EQ(type.modes[0].footprint, 12);
    ASSERT_EQ(type.modes[0].channels.size(), 3u);
    EXPECT_THAT(slotsOf(type, {10, 20, 30}),
                testing::ElementsAre(10, 20, 30, 10, 20, 30, 10, 20, 30, 10, 20, 30));
    EXPECT_EQ(light::readSlots(type.modes[0], slotsOf(type, {1, 2, 3})),
              (light::ChannelValues{1, 2, 3}));
}

TEST(ForeignGdtf, OverwriteTakesTheLastBreakOfEachReference) {
    Description d;
    d.emitters = kThree;
    d.geometries = "<Geometry Name='Body'><Beam Name='Beam'/>"
                   "<GeometryReference Name='a' Geometry='Cell'><Break DMXBreak='1' DMXOffset='9'/>"
                   "<Break DMXBreak='2' DMXOffset='1'/></GeometryReference>"
                   "<GeometryReference Name='b' Geometry='Cell'><Break DMXBreak='1' DMXOffset='9'/>"
                   "<Break DMXBreak='2' DMXOffset='4'/></GeometryReference></Geometry>"
                   "<Beam Name='Cell'/>";
    d.channels = channel(at(1), "Dimmer");
    const std::string place = "' DMXBreak='Overwrite' Geometry='Cell'";
    d.channels += channel("Offset='1" + place, "ColorAdd_R", "Emitter='Red'") +
                  channel("Offset='2" + place, "ColorAdd_G", "Emitter='Green'") +
                  channel("Offset='3" + place, "ColorAdd_B", "Emitter='Blue'");
    const auto type = d.read();
    EXPECT_EQ(type.modes[0].footprint, 7) << "one, and behind it the six of break 2";
    EXPECT_THAT(slotsOf(type, {9, 1, 2, 3}), testing::ElementsAre(9, 1, 2, 3, 1, 2, 3));
    EXPECT_THAT(notesOf(type), HasSubstr("break 2"));
}

TEST(ForeignGdtf, CellsWithGeometriesOfTheirOwnShowTheSameToo) {
    Description d;
    d.emitters = kThree;
    d.geometries = "<Geometry Name='Body'><Beam Name='Beam'/><Beam Name='Second'/></Geometry>";
    d.channels = channel(at(1), "ColorAdd_R", "Emitter='Red'") +
                 channel(at(2), "ColorAdd_G", "Emitter='Green'") +
                 channel("Offset='3' Geometry='Second'", "ColorAdd_R", "Emitter='Red'") +
                 channel("Offset='4' Geometry='Second'", "ColorAdd_G", "Emitter='Green'");
    const auto type = d.read();
    EXPECT_THAT(slotsOf(type, {70, 80}), testing::ElementsAre(70, 80, 70, 80));
}

TEST(ForeignGdtf, ACellsOwnDimmerStaysOpen) {
    Description d;
    d.emitters = kThree;
    d.geometries = "<Geometry Name='Body'><Beam Name='Beam'/><Beam Name='Second'/></Geometry>";
    d.channels = channel(at(1), "Dimmer") + channel("Offset='2' Geometry='Second'", "Dimmer") +
                 channel(at(3), "ColorAdd_R", "Emitter='Red'");
    const auto type = d.read();
    EXPECT_EQ(light::homeValues(type.modes[0])[1], 255u);
}

TEST(ForeignGdtf, WhatReferencesDoNotSayIsStillBounded) {
    Description d;
    d.emitters = kThree;
    d.geometries = "<Geometry Name='Body'>";
    for (int i = 0; i < 3000; ++i) // each cell holds itself, which no cell can
        d.geometries += "<GeometryReference Name='r' Geometry='Cell'/>";
    d.geometries += "</Geometry><Geometry Name='Cell'><GeometryReference Name='x' "
                    "Geometry='Cell'/><GeometryReference Name='y' Geometry='Cell'/></Geometry>";
    d.channels = channel("Offset='1' Geometry='Cell'", "ColorAdd_R", "Emitter='Red'");
    const auto type = d.read();
    EXPECT_LE(type.modes[0].footprint, 512);
    // Many modes of many channels of many cells: none is read for minutes.
    for (int i = 0; i < 500; ++i)
        d.channels += channel("Offset='" + std::to_string(i + 1) + "' Geometry='Cell'", "Zoom");
    for (int i = 0; i < 150; ++i)
        d.more_modes += "<DMXMode Name='m" + std::to_string(i) + "' Geometry='Body'><DMXChannels>" +
                        d.channels + "</DMXChannels></DMXMode>";
    const auto begun = std::chrono::steady_clock::now();
    (void)parseGdtf(d.text());
    EXPECT_LT(std::chrono::steady_clock::now() - begun, std::chrono::seconds(20));
}

// What was not measured, and is written, is the same light when it is read again.
TEST(ForeignGdtf, AnEditLeavesTheOthersLightAsItWas) {
    const auto again = [](const FixtureType& type) {
        auto back = typeOfFiles(gdtfFiles(type));
        EXPECT_TRUE(back) << back.error().text();
        return std::move(*back);
    };
    const auto kept = [](const Description& d) {
        auto type = typeOfFiles({{"description.xml", d.text()}});
        EXPECT_TRUE(type) << type.error().text();
        return std::move(*type);
    };
    Description by_attribute;
    by_attribute.channels =
        channel(at(1), "ColorAdd_R") + channel(at(2), "ColorAdd_G") + channel(at(3), "ColorAdd_B");
    auto rgb = kept(by_attribute);
    EXPECT_EQ(again(rgb).emitters.size(), 3u);
    rgb.emitters[0].spectrum = rgb.emitters[0].spectrum.scaled(3); // measured brighter
    rgb.emitters[0].modelled = false;
    const auto measured = again(rgb);
    ASSERT_EQ(measured.emitters.size(), 3u);
    for (std::size_t e = 0; e < 3; ++e) {
        EXPECT_NEAR(measured.emitters[e].xyz().Y, rgb.emitters[e].xyz().Y,
                    1e-6 * rgb.emitters[e].xyz().Y);
        EXPECT_EQ(measured.modes[0].channels[e].part, e);
    }

    Description lamp;
    lamp.geometries = "<Geometry Name='Body'><Beam Name='Beam' ColorTemperature='5600' "
                      "LuminousFlux='8000' BeamAngle='20'/></Geometry>";
    lamp.channels = channel(at(1), "ColorSub_C") + channel(at(2), "ColorSub_M");
    auto cmy = kept(lamp);
    const auto shines = [](const FixtureType& type, std::size_t mode) {
        return light::xyzOf(type, light::drivesOf(type, type.modes[mode], {90, 30}));
    };
    EXPECT_LT(norm(shines(again(cmy), 0) - shines(cmy, 0)), 1e-6 * norm(shines(cmy, 0)))
        << "untouched it burns as before";
    cmy.modes.push_back(cmy.modes[0]);
    cmy.modes[1].name = "of our own"; // written from nothing: its links have to lead somewhere
    cmy.emitters[0].spectrum = cmy.emitters[0].spectrum.scaled(0.5);
    const auto back = again(cmy);
    ASSERT_EQ(back.modes.size(), 2u);
    for (const std::size_t m : {0u, 1u})
        EXPECT_LT(norm(shines(back, m) - shines(cmy, m)), 1e-6 * norm(shines(cmy, m))) << m;
}

// ColorAdd_* and ColorSub_* work by their attribute.
TEST(ForeignGdtf, ColoursWithoutALinkWorkByTheirAttribute) {
    Description d;
    d.channels =
        channel(at(1), "ColorAdd_R") + channel(at(2), "ColorAdd_G") + channel(at(3), "ColorAdd_B");
    auto type = std::make_shared<FixtureType>(d.read());
    ASSERT_EQ(type->emitters.size(), 3u);
    const mix::Mixer mixer(type, type->modes[0]);
    const auto white = test::wantedXyz(colour::toXyz(colour::Xy{0.33, 0.34}));
    const auto mix = mixer.solve(white, {});
    EXPECT_EQ(mix.end, mix::MixEnd::InReach);
    const auto sent = mix::rounded(mixer, mix.drives, 1);
    EXPECT_GT(sent.values[0], 0u);
    EXPECT_GT(sent.values[1], 0u);
    EXPECT_GT(sent.values[2], 0u);
    EXPECT_THAT(notesOf(*type), HasSubstr("ColorAdd_R"));
    EXPECT_THAT(notesOf(*type), HasSubstr("cd taken"));

    Description named; // the emitters are there, the links are not
    named.emitters = kThree;
    named.channels = channel(at(1), "ColorAdd_R") + channel(at(2), "ColorAdd_G");
    const auto linked = named.read();
    EXPECT_EQ(linked.emitters.size(), 3u) << "none is made where one has the name";
    EXPECT_EQ(linked.modes[0].channels[1].part, 1u);

    Description flags;
    flags.geometries = "<Geometry Name='Body'><Beam Name='Beam' ColorTemperature='5600' "
                       "LuminousFlux='8000' BeamAngle='20'/></Geometry>";
    flags.channels = channel(at(1), "ColorSub_C") + channel(at(2), "ColorSub_M");
    const auto cmy = flags.read();
    ASSERT_EQ(cmy.flags.size(), 2u);
    const auto open = light::xyzOf(cmy, light::drivesOf(cmy, cmy.modes[0], {0, 0}));
    const auto cyan = light::xyzOf(cmy, light::drivesOf(cmy, cmy.modes[0], {255, 0}));
    EXPECT_LT(cyan.X, 0.7 * open.X);
}

TEST(ForeignGdtf, BytesShiftOrRepeat) {
    const auto homeOf = [](const std::string& value, int bytes) {
        Description d;
        d.emitters = kThree;
        std::string offsets;
        for (int b = 1; b <= bytes; ++b)
            offsets += (b > 1 ? "," : "") + std::to_string(b);
        d.channels = channel("Offset='" + offsets + "' Geometry='Beam'", "ColorAdd_R",
                             "Emitter='Red' Default='" + value + "'");
        return d.read().modes[0].channels[0].home;
    };
    EXPECT_EQ(homeOf("128/1", 2), 0x8080u);
    EXPECT_EQ(homeOf("128/1s", 2), 0x8000u);
    EXPECT_EQ(homeOf("255/1", 3), 0xffffffu);
    EXPECT_EQ(homeOf("255/1s", 3), 0xff0000u);
    EXPECT_EQ(homeOf("4660/2", 3), 0x123412u);
    EXPECT_EQ(homeOf("511/2", 1), 1u) << "the last byte is dropped";
    EXPECT_EQ(homeOf("300/1", 1), 255u);
    for (const char* none : {"", "x", "1/0", "1/5", "1/1/1", "-1/1", "1/s"})
        EXPECT_EQ(homeOf(none, 2), 0u) << none;
}

TEST(ForeignGdtf, AFallingFunctionIsFollowed) {
    Description d;
    d.emitters = kThree;
    d.channels = channel(at(1), "Dimmer", "PhysicalFrom='1' PhysicalTo='0'") +
                 channel(at(2), "ColorAdd_R", "Emitter='Red' PhysicalFrom='1' PhysicalTo='0'") +
                 channel(at(3), "ColorAdd_G", "Emitter='Green'") +
                 channel(at(4), "ColorAdd_B", "Emitter='Blue'");
    auto type = std::make_shared<FixtureType>(d.read());
    const auto y = [&](std::uint32_t dimmer, std::uint32_t red) {
        return light::xyzOf(*type, light::drivesOf(*type, type->modes[0], {dimmer, red, 0, 0})).Y;
    };
    EXPECT_NEAR(y(0, 0), 500, 1e-6);
    EXPECT_EQ(y(255, 0), 0);
    EXPECT_EQ(y(0, 255), 0);
    const mix::Mixer mixer(type, type->modes[0]);
    const auto wanted = test::wantedXyz(colour::toXyz(colour::Xy{0.4, 0.38}));
    const auto mix = mixer.solve(wanted, {});
    ASSERT_EQ(mix.end, mix::MixEnd::InReach);
    const auto sent = mix::rounded(mixer, mix.drives, 0.5);
    EXPECT_LT(colour::distance(colour::toUv(sent.xyz), wanted.uv()), 0.004);
    EXPECT_NEAR(sent.xyz.Y / mix.got.Y, 0.5, 0.06);
}

TEST(ForeignGdtf, AModeMasterIsFollowedOrTold) {
    Description d;
    d.emitters = kThree;
    d.channels =
        channel(at(1), "Control1", "Default='0/1'") +
        channel(at(2), "ColorAdd_R",
                "Emitter='Red' ModeMaster='Beam_Control1' ModeFrom='100/1' ModeTo='199/1'");
    const auto followed = d.read();
    EXPECT_EQ(light::homeValues(followed.modes[0])[0], 100u);
    EXPECT_THAT(notesOf(followed), HasSubstr("rests at 100"));
    d.channels = channel(at(2), "ColorAdd_R", "Emitter='Red' ModeMaster='Beam_Nothing'");
    EXPECT_THAT(notesOf(d.read()), HasSubstr("Beam_Nothing"));
}

TEST(ForeignGdtf, BrokenPartsSpoilThemselvesAlone) {
    Description d;
    d.emitters =
        kThree +
        "<Emitter Name='Falling'><Measurement Physical='100' LuminousIntensity='90'>"
        "<MeasurementPoint WaveLength='615' Energy='0'/><MeasurementPoint WaveLength='600' "
        "Energy='1'/><MeasurementPoint WaveLength='585' Energy='0'/></Measurement></Emitter>"
        "<Emitter Name='Single'><Measurement Physical='100' LuminousIntensity='40'>"
        "<MeasurementPoint WaveLength='445' Energy='1'/></Measurement></Emitter>"
        "<Emitter Name='Bad'><Measurement Physical='100'><MeasurementPoint WaveLength='x' "
        "Energy='1'/></Measurement></Emitter>" +
        line("Red", 640, 1);
    d.filters = "<Filter Name='Empty'/>";
    d.wheels = "<Wheel Name='None'/><Wheel Name='Some'><Slot Name='Open'/><Slot Name='Gone' "
               "Filter='Nowhere'/></Wheel>";
    d.profiles = "<DMXProfile Name='crooked'><Point DMXPercentage='50'/><Point DMXPercentage='0'/>"
                 "</DMXProfile>";
    d.channels = channel(at(1), "ColorAdd_R", "Emitter='Red' DMXProfile='crooked'") +
                 channel(at(2), "ColorAdd_G", "Emitter='Green' DMXProfile='nowhere'") +
                 channel(at(3), "ColorAdd_B", "Emitter='Blue'") +
                 channel(at(4), "ColorAdd_RY", "Emitter='Falling'") +
                 channel(at(5), "ColorAdd_BM", "Emitter='Single'") +
                 channel(at(6), "Color1", "Wheel='None'") +
                 channel(at(7), "Color2", "Wheel='Some'") +
                 channel(at(8), "Special", "Emitter='Nobody'") +
                 channel(at(9), "Special", "Filter='Empty'") + channel(at(3), "Zoom") +
                 channel("Offset='600' Geometry='Beam'", "Zoom");
    d.more_modes = "<DMXMode Name='virtual' Geometry='Body'><DMXChannels>" +
                   channel("Offset='None' Geometry='Beam'", "Dimmer") +
                   "</DMXChannels></DMXMode><DMXMode Name='empty'/>";
    const auto type = d.read();
    ASSERT_EQ(type.modes.size(), 1u);
    ASSERT_EQ(type.emitters.size(), 5u);
    EXPECT_EQ(type.emitters[3].spectrum.peakNm(), 600) << "from red to blue is an order too";
    EXPECT_NEAR(type.emitters[3].xyz().Y, 90, 1e-6);
    EXPECT_EQ(type.emitters[4].spectrum.peakNm(), 445);
    EXPECT_NEAR(type.emitters[4].xyz().Y, 40, 1e-6);
    EXPECT_TRUE(type.emitters[4].modelled);
    for (const char* told :
         {"'Bad'", "another of this name", "'Empty'", "Wheel 'None'", "Nowhere", "crooked",
          "DMXProfile 'nowhere'", "'Nobody'", "offset 3", "'virtual'", "'empty'", "600"})
        EXPECT_THAT(notesOf(type), HasSubstr(told));
    EXPECT_EQ(type.modes[0].channels[0].role, Role::Part);
    EXPECT_NEAR(type.modes[0].channels[0].response.drive(0.5), 0.5, 1e-9);
}

TEST(ForeignGdtf, BrightnessIsWhatTheFileSays) {
    const auto candela = [](const FixtureType& type) {
        std::vector<double> all;
        for (const auto& e : type.emitters)
            all.push_back(e.xyz().Y);
        return all;
    };
    Description d;
    d.channels = channel(at(1), "ColorAdd_R", "Emitter='Red'");
    // Y of a Color is a share of the beam's output: 2000 lm evenly within 30 degrees across.
    const double output = 2000 / (2 * 3.14159265358979 * (1 - std::cos(0.2617993878)));
    d.geometries = "<Geometry Name='Body'><Beam Name='Beam' LuminousFlux='2000' "
                   "BeamAngle='30'/></Geometry>";
    d.emitters = "<Emitter Name='Red' Color='0.69,0.30,25'/>"
                 "<Emitter Name='Green' Color='0.2,0.7,75'/>";
    EXPECT_THAT(candela(d.read()), testing::ElementsAre(testing::DoubleNear(0.25 * output, 1e-3),
                                                        testing::DoubleNear(0.75 * output, 1e-3)));
    // LuminousIntensity counts without points.
    d.emitters = "<Emitter Name='Red' Color='0.69,0.30,25'><Measurement Physical='100' "
                 "LuminousIntensity='321'/></Emitter>";
    EXPECT_THAT(candela(d.read()), testing::ElementsAre(testing::DoubleNear(321, 1e-6)));
    // One that says nothing has what the measured ones have, and that is told.
    d.geometries = "<Geometry Name='Body'><Beam Name='Beam'/></Geometry>";
    d.emitters = kThree + "<Emitter Name='Amber' DominantWaveLength='595'/>";
    const auto beside = d.read();
    EXPECT_NEAR(candela(beside)[3], (500 + 900 + 200) / 3.0, 1e-6);
    EXPECT_THAT(notesOf(beside), HasSubstr("Emitter 'Amber': no LuminousIntensity; 533 cd taken"));
    // No number is no brightness.
    d.emitters = "<Emitter Name='Red' Color='0.69,0.30,25'><Measurement Physical='100' "
                 "LuminousIntensity='nan'/></Emitter>";
    const auto nan = d.read();
    EXPECT_THAT(notesOf(nan), HasSubstr("LuminousIntensity 'nan'"));
    EXPECT_TRUE(std::isfinite(candela(nan)[0]));
}

TEST(ForeignGdtf, LinksThatLeadOutOfAFolderAreNotFollowed) {
    namespace fs = std::filesystem;
    const auto base = fs::temp_directory_path() / "zelo-foreign-gdtf";
    fs::remove_all(base);
    fs::create_directories(base / "type" / "models");
    Description d;
    d.emitters = kThree;
    d.channels = channel(at(1), "ColorAdd_R", "Emitter='Red'");
    std::ofstream(base / "type" / "description.xml") << d.text();
    std::ofstream(base / "secret.txt") << "secret";
    std::ofstream(base / "type" / "models" / "a.txt") << "model";
    fs::create_symlink(base / "secret.txt", base / "type" / "out.txt");
    fs::create_symlink("/etc", base / "type" / "etc");
    fs::create_symlink("models/a.txt", base / "type" / "in.txt");
    const auto type = readGdtf(base / "type");
    ASSERT_TRUE(type) << type.error().text();
    EXPECT_FALSE(type->kept->contains("out.txt"));
    EXPECT_EQ(type->kept->count("etc/hostname"), 0u);
    EXPECT_EQ(type->kept->at("in.txt"), "model");
    EXPECT_EQ(type->kept->at("models/a.txt"), "model");
    // A description that is itself somebody else's file is none.
    fs::remove(base / "type" / "description.xml");
    std::ofstream(base / "other.xml") << d.text();
    fs::create_symlink(base / "other.xml", base / "type" / "description.xml");
    EXPECT_FALSE(readGdtf(base / "type"));
    fs::remove_all(base);
}

} // namespace
} // namespace zelo::files
