// SPDX-License-Identifier: GPL-3.0-or-later
// What is written keeps the rules that others read by, whether it was made here or came from a file
// and was edited; and what came along stays.
#include "colour/lamp.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_rules.h"
#include "files/gdtf_writer.h"
#include "light/levels.h"
#include "light/type_edit.h"
#include "support/places.h"

#include <filesystem>
#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace zelo::files {
namespace {

namespace fs = std::filesystem;
using light::FixtureType;
using test::GdtfRules;
using testing::IsEmpty;

std::vector<FixtureType> shipped() {
    std::vector<FixtureType> all;
    for (const auto& entry : fs::directory_iterator(fs::path(places::data) / "fixtures"))
        all.push_back(readGdtf(entry.path()).value());
    return all;
}

std::string descriptionOf(const FixtureType& type) {
    return gdtfFiles(type).at("description.xml");
}

// The brightest that a mode gets, cd: all levels at their highlight.
double brightest(const FixtureType& type, std::size_t mode) {
    light::ChannelValues values;
    for (const auto& c : type.modes[mode].channels)
        values.push_back(c.role == light::Role::Other ? c.home : c.most());
    return light::xyzOf(type, light::drivesOf(type, type.modes[mode], values)).Y;
}

TEST(GdtfRules, SeeWhatIsWrong) { // or the tests below would say nothing
    auto type = *readGdtf(fs::path(places::data) / "fixtures/tern-6");
    type.kept = nullptr;
    const auto text = descriptionOf(type);
    const auto with = [&](const std::string& was, const std::string& now) {
        auto changed = text;
        changed.replace(changed.find(was), was.size(), now);
        return GdtfRules::broken(changed);
    };
    EXPECT_THAT(with("Emitter=\"", "Emitter=\"x"), testing::Not(IsEmpty()));
    EXPECT_THAT(with("<Emitter Name=\"", "<Emitter Name=\"a.b"), testing::Not(IsEmpty()));
    EXPECT_THAT(with("Geometry=\"", "Geometry=\"x"), testing::Not(IsEmpty()));
}

TEST(GdtfRules, AreKeptByTypesMadeHere) {
    for (FixtureType type : shipped()) {
        type.kept = nullptr;
        EXPECT_THAT(GdtfRules::broken(descriptionOf(type)), IsEmpty()) << type.name;
    }
}

TEST(GdtfRules, AreKeptByTheTypesThatShip) {
    for (const FixtureType& type : shipped())
        EXPECT_THAT(GdtfRules::broken(type.kept->at("description.xml")), IsEmpty()) << type.name;
}

TEST(GdtfRules, AreKeptByEditedTypesWhichAreTheSameWhenReadAgain) {
    for (const FixtureType& type : shipped())
        for (std::size_t m = 0; m < type.modes.size(); ++m) {
            auto edited = *light::setBits(type, m, type.modes[m].channels[0].bits() == 8 ? 16 : 8);
            for (std::size_t part = 0; part < type.partCount(); ++part)
                if (type.modes[m].channelOf(part))
                    edited = *light::setHome(edited, m, part, 0.25);
            const auto files = gdtfFiles(edited);
            EXPECT_THAT(GdtfRules::broken(files.at("description.xml")), IsEmpty())
                << type.name << ", " << type.modes[m].name;
            const auto back = typeOfFiles(files);
            ASSERT_TRUE(back) << back.error().text();
            ASSERT_EQ(back->modes.size(), edited.modes.size());
            EXPECT_EQ(back->modes[m].footprint, edited.modes[m].footprint);
            EXPECT_EQ(light::homeValues(back->modes[m]), light::homeValues(edited.modes[m]))
                << type.name << ", " << type.modes[m].name;
            EXPECT_NEAR(brightest(*back, m), brightest(edited, m), 1e-6 * brightest(edited, m))
                << type.name << ", " << type.modes[m].name;
        }
}

TEST(GdtfRules, WhatStandsInAnEditedModeStays) {
    auto files = *readGdtf(fs::path(places::data) / "fixtures/tern-6")->kept;
    auto& text = files.at("description.xml");
    pugi::xml_document doc;
    doc.load_string(text.c_str());
    auto mode = doc.child("GDTF").child("FixtureType").child("DMXModes").child("DMXMode");
    auto first = mode.child("DMXChannels").child("DMXChannel");
    first.child("LogicalChannel").remove_attribute("Snap");
    first.child("LogicalChannel").remove_attribute("Master");
    first.child("LogicalChannel").append_attribute("Snap") = "On";
    first.child("LogicalChannel").append_attribute("Master") = "Group";
    first.child("LogicalChannel").append_attribute("MibFade") = "3.5";
    mode.remove_child("Relations");
    mode.remove_child("FTMacros");
    mode.append_child("Relations").append_child("Relation").append_attribute("Name") = "Mine";
    mode.append_child("FTMacros").append_child("FTMacro").append_attribute("Name") = "Reset";
    std::ostringstream out;
    doc.save(out);
    text = out.str();
    const auto type = typeOfFiles(files);
    ASSERT_TRUE(type) << type.error().text();
    auto edited = *light::setHome(*type, 0, 0, 0.5);
    edited = *light::setBits(edited, 0, type->modes[0].channels[0].bits() == 8 ? 16 : 8);
    const auto written = descriptionOf(edited);
    for (const char* kept : {"Snap=\"On\"", "Master=\"Group\"", "MibFade=\"3.5\"",
                             "<Relation Name=\"Mine\"", "<FTMacro Name=\"Reset\""})
        EXPECT_NE(written.find(kept), std::string::npos) << kept;
    EXPECT_LT(written.find("<Relation Name"), written.find("<FTMacro Name"));
}

TEST(GdtfRules, AnEditedEngineKeepsItsGamut) {
    int engines = 0;
    for (const FixtureType& type : shipped())
        for (std::size_t m = 0; m < type.modes.size(); ++m) {
            const auto& channels = type.modes[m].channels;
            const bool has = std::any_of(channels.begin(), channels.end(), [&](const auto& c) {
                return c.role == light::Role::Part &&
                       type.part(c.part).kind == light::PartKind::EngineFirst;
            });
            if (!has)
                continue;
            ++engines;
            auto edited = type;
            edited.modes[m].name += " as we like it"; // a new mode: all its channels are written
            const auto back = typeOfFiles(gdtfFiles(edited));
            ASSERT_TRUE(back);
            EXPECT_NEAR(brightest(*back, m), brightest(type, m), 1e-6 * brightest(type, m))
                << type.name << ", " << type.modes[m].name;
            EXPECT_THAT(GdtfRules::broken(descriptionOf(edited)), IsEmpty());
        }
    EXPECT_GT(engines, 1);
}

TEST(GdtfRules, NamesInOtherLettersComeBack) {
    auto type = *light::blankType("Süd.Lampe {3}");
    type = *light::addEmitter(type, {"Grün", *light::modelledLine(525, 30, 700)});
    type = *light::addEmitter(type, {"Gr_n", *light::modelledLine(560, 30, 700)});
    type = *light::addEmitter(type, {"深い青", *light::modelledLine(445, 20, 90)});
    type.modes[0].name = "8 bit, größer";
    const auto files = gdtfFiles(type);
    EXPECT_THAT(GdtfRules::broken(files.at("description.xml")), IsEmpty());
    const auto back = typeOfFiles(files);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_EQ(back->name, type.name);
    EXPECT_EQ(back->modes[0].name, type.modes[0].name);
    ASSERT_EQ(back->emitters.size(), 3u);
    for (std::size_t e = 0; e < 3; ++e) {
        EXPECT_EQ(back->emitters[e].name, type.emitters[e].name);
        EXPECT_NEAR(back->emitters[e].xyz().Y, type.emitters[e].xyz().Y, 1e-6);
    }
    // Untouched, and after an edit of one thing, all others keep theirs.
    const auto same = typeOfFiles(gdtfFiles(*back));
    ASSERT_TRUE(same);
    EXPECT_EQ(same->modes[0].name, type.modes[0].name);
    EXPECT_EQ(same->emitters[0].name, "Grün");
    const auto again = typeOfFiles(gdtfFiles(*light::setHome(*back, 0, 0, 0.5)));
    ASSERT_TRUE(again);
    EXPECT_EQ(again->emitters[2].name, "深い青");
    EXPECT_EQ(again->modes[0].channels[1].home, 128u);
}

TEST(GdtfRules, NamesOfAnotherHandAreTakenWithCare) {
    auto files = *readGdtf(fs::path(places::data) / "fixtures/tern-6")->kept;
    for (const char* words : {R"({"names": {"Red": "Green", "Blue": ""}})",
                              R"({"names": {"Red": "Same", "Blue": "Same"}})", R"({"names": 7})",
                              R"({"names": [1, 2], "emitters": 5})", "null", "[]"}) {
        files["zelochrome.json"] = words;
        auto type = typeOfFiles(files);
        ASSERT_TRUE(type) << words;
        std::set<std::string> names;
        for (auto& e : type->emitters) {
            EXPECT_TRUE(!e.name.empty() && names.insert(e.name).second) << words << " " << e.name;
            e.power_w = 3;
        }
        EXPECT_TRUE(typeOfFiles(gdtfFiles(*type))) << words;
    }
}

TEST(GdtfRules, CellsOfATypeComeBackAsCells) {
    auto type = *light::blankType("Two Cells");
    type = *light::addEmitter(type, {"Red", *light::modelledLine(630, 20, 400)});
    type.modes[0].channels[1].also = {{3}};
    type.modes[0].footprint = 3;
    const auto files = gdtfFiles(type);
    EXPECT_THAT(GdtfRules::broken(files.at("description.xml")), IsEmpty());
    const auto back = typeOfFiles(files);
    ASSERT_TRUE(back);
    EXPECT_EQ(back->modes[0].channels[1].everywhere(), (std::vector<int>{2, 3}));
}

TEST(GdtfRules, ColoursAreSharesOfTheOutputAndWavelengthsDominantOnes) {
    auto type = *light::blankType("Shares");
    type = *light::addEmitter(type, {"Red", *light::modelledLine(630, 20, 300)});
    type = *light::addEmitter(type, {"Green", *light::modelledLine(520, 20, 900)});
    type = *light::addEmitter(type, {"White", colour::lampOf({4000}).scaled(1)});
    pugi::xml_document doc;
    doc.load_string(descriptionOf(type).c_str());
    const auto emitters =
        doc.child("GDTF").child("FixtureType").child("PhysicalDescriptions").child("Emitters");
    const double all = 1200 + colour::toXyz(colour::lampOf({4000})).Y;
    const auto share = [](const pugi::xml_node& e) {
        const std::string text = e.attribute("Color").value();
        return std::stod(text.substr(text.rfind(',') + 1));
    };
    const auto red = emitters.first_child();
    EXPECT_NEAR(share(red), 100 * 300 / all, 1e-6);
    EXPECT_NEAR(red.attribute("DominantWaveLength").as_double(), 625, 3) << "its peak is 630";
    EXPECT_FALSE(emitters.last_child().attribute("DominantWaveLength")) << "a white has none";
}

} // namespace
} // namespace zelo::files
