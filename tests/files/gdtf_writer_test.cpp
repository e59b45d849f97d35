// SPDX-License-Identifier: GPL-3.0-or-later
// What goes out as GDTF comes back the same, and nothing that came in is lost.
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "light/levels.h"
#include "support/places.h"

#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <random>
#include <sstream>

namespace zelo::files {
namespace {

namespace fs = std::filesystem;
using light::FixtureType;

std::vector<FixtureType> shipped() {
    std::vector<FixtureType> all;
    for (const auto& entry : fs::directory_iterator(fs::path(places::data) / "fixtures")) {
        auto type = readGdtf(entry.path());
        EXPECT_TRUE(type) << entry.path();
        all.push_back(std::move(*type));
    }
    EXPECT_GE(all.size(), 12u);
    return all;
}

Result<FixtureType> again(const FixtureType& type) {
    const auto files = gdtfFiles(type);
    const auto power = files.find("zelochrome.json");
    return parseGdtf(files.at("description.xml"), power == files.end() ? "" : power->second);
}

void expectSameSpectrum(const colour::Spectrum& a, const colour::Spectrum& b) {
    for (std::size_t i = 0; i < colour::kGridSize; ++i)
        ASSERT_NEAR(a[i], b[i], 1e-12 * a.largest()) << 380 + i << " nm";
}

// The same light for the same channel values, in every mode.
void expectSameLight(const FixtureType& a, const FixtureType& b) {
    ASSERT_EQ(a.modes.size(), b.modes.size()) << a.name;
    std::mt19937 random(3);
    for (std::size_t m = 0; m < a.modes.size(); ++m) {
        EXPECT_EQ(a.modes[m].name, b.modes[m].name);
        EXPECT_EQ(a.modes[m].footprint, b.modes[m].footprint);
        ASSERT_EQ(a.modes[m].channels.size(), b.modes[m].channels.size());
        EXPECT_EQ(homeValues(a.modes[m]), homeValues(b.modes[m]));
        for (int i = 0; i < 12; ++i) {
            light::ChannelValues values;
            for (const auto& c : a.modes[m].channels)
                values.push_back(static_cast<std::uint32_t>(random()) % (c.most() + 1));
            const auto of = [&](const FixtureType& t) {
                return light::xyzOf(t, light::drivesOf(t, t.modes[m], values));
            };
            EXPECT_LT(norm(of(a) - of(b)), 1e-9 * norm(of(a)) + 1e-12)
                << a.name << ", " << a.modes[m].name;
        }
    }
}

TEST(GdtfWriter, ATypeMadeHereComesBack) {
    for (FixtureType type : shipped()) {
        type.kept = nullptr; // as if it had never been in a file
        const auto back = again(type);
        ASSERT_TRUE(back) << type.name << ": " << back.error().text();
        EXPECT_EQ(back->name, type.name);
        EXPECT_EQ(back->maker, type.maker);
        EXPECT_EQ(back->description, type.description);
        ASSERT_EQ(back->emitters.size(), type.emitters.size());
        for (std::size_t e = 0; e < type.emitters.size(); ++e) {
            expectSameSpectrum(back->emitters[e].spectrum, type.emitters[e].spectrum);
            EXPECT_EQ(back->emitters[e].power_w, type.emitters[e].power_w);
            EXPECT_EQ(back->emitters[e].source, type.emitters[e].source);
            EXPECT_EQ(back->emitters[e].droop.size(), type.emitters[e].droop.size());
        }
        expectSameLight(type, *back);
    }
}

std::string folderText(const std::string& id) {
    std::ifstream in(fs::path(places::data) / "fixtures" / id / "description.xml");
    std::stringstream text;
    text << in.rdbuf();
    return text.str();
}

// Without the layout: every tag and text in order.
std::string plain(std::string text) {
    std::string out;
    for (const char c : text)
        if (!std::isspace(static_cast<unsigned char>(c)))
            out += c;
    return out;
}

TEST(GdtfWriter, WhatWasNotTouchedStaysAsItCame) {
    for (const auto& type : shipped()) {
        const auto files = gdtfFiles(type);
        EXPECT_EQ(plain(files.at("description.xml")), plain(folderText(type.id))) << type.id;
    }
}

TEST(GdtfWriter, TheRdmNumbersAreReadAndStay) {
    auto text = folderText("gannet-8");
    const auto with = [&](const std::string& protocols) {
        auto changed = text;
        changed.replace(changed.find("<Protocols/>"), 12,
                        "<Protocols>" + protocols + "</Protocols>");
        return changed;
    };
    const std::string rdm = R"(<FTRDM ManufacturerID="0x7FF0" DeviceModelID="A008">
        <SoftwareVersionID Value="0x1"><DMXPersonality Value="0x2" DMXMode="emitters 16 bit"/>
        </SoftwareVersionID></FTRDM>)";
    auto type = parseGdtf(with(rdm));
    ASSERT_TRUE(type && type->rdm);
    EXPECT_EQ(type->rdm->maker, 0x7ff0);
    EXPECT_EQ(type->rdm->model, 0xa008);
    EXPECT_EQ(type->rdm->personalities.at(2), "emitters 16 bit");
    type->kept = std::make_shared<const std::map<std::string, std::string>>(
        std::map<std::string, std::string>{{"description.xml", with(rdm)}});
    type->maker = "Somebody else"; // written anew, with what came along
    const auto back = again(*type);
    ASSERT_TRUE(back);
    EXPECT_EQ(back->rdm, type->rdm);
    for (const char* bad : {R"(<FTRDM ManufacturerID="0x7FF0"/>)",
                            R"(<FTRDM ManufacturerID="zz" DeviceModelID="0x1"/>)",
                            R"(<FTRDM ManufacturerID="0x12345" DeviceModelID="0x1"/>)"}) {
        const auto read = parseGdtf(with(bad));
        ASSERT_TRUE(read) << "the type is of use all the same";
        EXPECT_FALSE(read->rdm);
        EXPECT_EQ(read->notes.size(), parseGdtf(text)->notes.size() + 1) << "and it is told";
    }
}

TEST(GdtfWriter, OneChangedEmitterChangesThatAlone) {
    auto text = folderText("tern-6");
    text.insert(text.find("<Protocols/>"), "<Unheard><Of Detail=\"7\"/></Unheard><!-- kept -->");
    auto type = parseGdtf(text);
    ASSERT_TRUE(type);
    type->kept = std::make_shared<const std::map<std::string, std::string>>(
        std::map<std::string, std::string>{{"description.xml", text}, {"models/a.glb", "bytes"}});
    type->emitters[2].spectrum = type->emitters[2].spectrum.scaled(0.5);
    type->description = "Half as blue.";
    const auto files = gdtfFiles(*type);
    const auto& out = files.at("description.xml");
    EXPECT_NE(out.find("Detail=\"7\""), std::string::npos);
    EXPECT_NE(out.find("<!-- kept -->"), std::string::npos);
    EXPECT_EQ(files.at("models/a.glb"), "bytes");
    const auto back = parseGdtf(out);
    ASSERT_TRUE(back);
    EXPECT_EQ(back->description, "Half as blue.");
    for (std::size_t e = 0; e < type->emitters.size(); ++e)
        expectSameSpectrum(back->emitters[e].spectrum, type->emitters[e].spectrum);
    expectSameLight(*type, *back);
}

TEST(GdtfWriter, EmittersModesAndChannelsComeAndGo) {
    auto type = readGdtf(fs::path(places::data) / "fixtures/tern-6");
    ASSERT_TRUE(type);
    type->modes.erase(type->modes.begin() + 1);
    type->modes[0].channels[0].home = 12;
    auto extra = type->modes[0];
    extra.name = "by two";
    extra.channels[1].response = light::Response::square();
    extra.channels[2].first = 10;
    extra.channels[2].last = 200;
    type->modes.push_back(extra);
    const auto back = again(*type);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_EQ(back->modes[0].channels[0].home, 12u);
    EXPECT_EQ(back->modes[1].channels[2].first, 10u);
    EXPECT_EQ(back->modes[1].channels[2].end(), 200u);
    expectSameLight(*type, *back);
}

class OnDisk : public ::testing::Test {
protected:
    OnDisk() {
        std::string name = (fs::temp_directory_path() / "zelo-XXXXXX").string();
        folder = ::mkdtemp(name.data());
    }
    ~OnDisk() override { fs::remove_all(folder); }
    fs::path folder;
};

TEST_F(OnDisk, ArchivesAndFoldersHoldTheSame) {
    const auto type = readGdtf(fs::path(places::data) / "fixtures/skua-cmy");
    ASSERT_TRUE(type);
    ASSERT_TRUE(writeGdtf(*type, folder / "Skua.gdtf"));
    const auto packed = readGdtf(folder / "Skua.gdtf");
    ASSERT_TRUE(packed) << packed.error().text();
    ASSERT_TRUE(writeGdtf(*packed, folder / "skua"));
    const auto open = readGdtf(folder / "skua");
    ASSERT_TRUE(open) << open.error().text();
    expectSameLight(*type, *open);
    EXPECT_EQ(open->kept->at("zelochrome.json"), type->kept->at("zelochrome.json"));
}

TEST_F(OnDisk, AForeignFolderIsLeftAlone) {
    std::ofstream(folder / "letter.txt") << "dear";
    const auto type = readGdtf(fs::path(places::data) / "fixtures/knot-2");
    ASSERT_TRUE(type);
    const auto done = writeGdtf(*type, folder);
    ASSERT_FALSE(done);
    EXPECT_NE(done.error().text().find("something else"), std::string::npos);
    EXPECT_FALSE(fs::exists(folder / "description.xml"));
}

TEST_F(OnDisk, AFileThatLeadsOutOfTheFolderIsRefused) {
    auto type = readGdtf(fs::path(places::data) / "fixtures/knot-2");
    ASSERT_TRUE(type);
    auto files = *type->kept;
    files["../evil.txt"] = "x";
    type->kept = std::make_shared<const std::map<std::string, std::string>>(files);
    EXPECT_FALSE(writeGdtf(*type, folder / "new"));
    EXPECT_FALSE(fs::exists(folder / "evil.txt"));
}

} // namespace
} // namespace zelo::files
