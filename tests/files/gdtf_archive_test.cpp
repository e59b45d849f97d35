// SPDX-License-Identifier: GPL-3.0-or-later
// Fixture types in archives: the same as their folders, and harmless when damaged.
#include "files/gdtf_reader.h"
#include "support/places.h"

#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <sstream>
#include <zip.h>

namespace zelo::files {
namespace {

namespace fs = std::filesystem;

class Archive : public ::testing::Test {
protected:
    Archive() {
        std::string name = (fs::temp_directory_path() / "zelo-XXXXXX").string();
        folder = ::mkdtemp(name.data());
        path = folder / "Tern 6.gdtf";
    }
    ~Archive() override { fs::remove_all(folder); }

    static std::string shipped(const char* name) {
        std::ifstream in(fs::path(places::data) / "fixtures/tern-6" / name);
        std::stringstream text;
        text << in.rdbuf();
        return text.str();
    }
    void pack(const std::vector<std::pair<std::string, std::string>>& entries) {
        int error = 0;
        zip_t* zip = zip_open(path.c_str(), ZIP_CREATE | ZIP_TRUNCATE, &error);
        ASSERT_TRUE(zip);
        for (const auto& [name, text] : entries)
            zip_file_add(zip, name.c_str(), zip_source_buffer(zip, text.data(), text.size(), 0),
                         ZIP_FL_ENC_UTF_8);
        ASSERT_EQ(zip_close(zip), 0);
    }
    fs::path folder;
    fs::path path;
};

TEST_F(Archive, HoldsTheSameAsTheFolder) {
    const auto description = shipped("description.xml");
    const auto power = shipped("zelochrome.json");
    pack({{"description.xml", description}, {"zelochrome.json", power}});
    const auto packed = readGdtf(path);
    const auto open = readGdtf(fs::path(places::data) / "fixtures/tern-6");
    ASSERT_TRUE(packed && open) << packed.error().text();
    EXPECT_EQ(packed->id, "tern 6") << "named after the archive";
    ASSERT_EQ(packed->emitters.size(), open->emitters.size());
    for (std::size_t e = 0; e < open->emitters.size(); ++e) {
        EXPECT_TRUE(packed->emitters[e].spectrum == open->emitters[e].spectrum);
        EXPECT_EQ(packed->emitters[e].power_w, open->emitters[e].power_w);
    }
    ASSERT_EQ(packed->modes.size(), open->modes.size());
    EXPECT_EQ(packed->modes[1].footprint, open->modes[1].footprint);
}

TEST_F(Archive, WithoutADescriptionSaysSo) {
    const std::string other = "x";
    pack({{"model.glb", other}});
    const auto read = readGdtf(path);
    ASSERT_FALSE(read);
    EXPECT_NE(read.error().text().find("no description.xml"), std::string::npos);
    EXPECT_NE(read.error().text().find("Tern 6.gdtf"), std::string::npos);
}

TEST_F(Archive, CutAtAnyPlaceIsAnErrorNotACrash) {
    const auto description = shipped("description.xml");
    pack({{"description.xml", description}});
    std::ifstream in(path, std::ios::binary);
    std::stringstream all;
    all << in.rdbuf();
    const std::string whole = all.str();
    for (std::size_t n = 0; n < whole.size(); n += whole.size() / 23 + 1) {
        const auto cut = folder / "cut.gdtf";
        std::ofstream(cut, std::ios::binary) << whole.substr(0, n);
        const auto read = readGdtf(cut);
        EXPECT_FALSE(read) << n;
    }
}

TEST_F(Archive, AnEntryThatUnpacksToTooMuchIsRefused) {
    const std::string bomb(40u << 20, ' '); // small when packed
    pack({{"description.xml", bomb}});
    EXPECT_LT(fs::file_size(path), 1u << 20);
    const auto read = readGdtf(path);
    ASSERT_FALSE(read);
    EXPECT_EQ(read.error().code, ErrorCode::TooLarge);
}

} // namespace
} // namespace zelo::files
