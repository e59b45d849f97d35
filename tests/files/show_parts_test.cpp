// SPDX-License-Identifier: GPL-3.0-or-later
// What a show holds beside its rig goes through the file and back.
#include "base/file.h"
#include "files/detail/base64.h"
#include "files/gdtf_reader.h"
#include "files/show_file.h"
#include "show/kept.h"

#include <gtest/gtest.h>

namespace zelo::files {
namespace {

std::string demoText() {
    return *readFile(std::string(ZELO_DATA) + "/shows/salt-lanterns.zelo");
}

TEST(ShowParts, GoThroughTheFileUnchanged) {
    auto opened = *parseShow(demoText());
    auto show = opened.show;
    colour::Grid grid{};
    for (std::size_t i = 0; i < grid.size(); ++i)
        grid[i] = 1.0 / (1.0 + static_cast<double>(i));
    show = *show::keepMeasured(show, "street lamp", colour::Spectrum(grid));
    auto type = *readGdtf(std::string(ZELO_DATA) + "/fixtures/gannet-8");
    type.id = "my-gannet";
    type.emitters[0].power_w = 12.25;
    show = *show::keepType(show, std::make_shared<light::FixtureType>(type));
    show = *show::changeOutputs(show, {{1, 4, show::Protocol::ArtNet, "10.0.0.7", 16},
                                       {5, 1, show::Protocol::E131, "multicast", 9, false}});
    auto fixture = *show->fixture({3});
    show::Calibration measured{{{"Red", colour::Spectrum(grid)}}, {0.002, -0.001}};
    fixture.calibration = std::make_shared<show::Calibration>(measured);
    fixture.uid = "7ff0:00002a04";
    fixture.home = {{"Amber", 0.5}, {"Blue", 0.0}};
    show = *show::changeFixture(show, fixture);
    const auto hand = show::withPalette(opened.hand, {{1}}, *show->paletteNamed("blaze"));
    const auto text = showText(*show, *hand);
    const auto back = parseShow(text);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_EQ(showText(*back->show, *back->hand), text) << "a second trip changes nothing";
    const auto& b = *back->show;
    ASSERT_EQ(b.palettes.size(), show->palettes.size());
    for (std::size_t i = 0; i < b.palettes.size(); ++i)
        EXPECT_EQ(*b.palettes[i], *show->palettes[i]);
    EXPECT_EQ(b.looks[0]->values.size(), show->looks[0]->values.size());
    EXPECT_EQ(*b.stage, *show->stage);
    EXPECT_EQ(b.outputs, show->outputs);
    EXPECT_EQ(b.favourites, show->favourites);
    EXPECT_EQ(b.measured[0]->spectrum.values(), colour::Spectrum(grid).values());
    auto same = *b.fixture({3});
    ASSERT_TRUE(same.calibration);
    EXPECT_EQ(same.calibration->emitters.at("Red").values(), colour::Spectrum(grid).values());
    EXPECT_EQ(same.calibration->off.v, -0.001);
    same.calibration = fixture.calibration;
    EXPECT_EQ(same, fixture);
    EXPECT_EQ(back->hand->at({1})->colour_from, show->paletteNamed("blaze")->id);
    ASSERT_TRUE(b.types.contains("my-gannet"));
    EXPECT_EQ(b.types.at("my-gannet")->emitters[0].power_w, 12.25);
    EXPECT_EQ(b.types.at("my-gannet")->emitters.size(), type.emitters.size());
}

TEST(ShowParts, AShowOfTheFirstFormatStillOpens) {
    const auto old = readShow(std::string(ZELO_TEST_DATA) + "/first-format.zelo");
    ASSERT_TRUE(old) << old.error().text();
    EXPECT_EQ(old->show->fixtures.size(), 40u);
    EXPECT_EQ(old->show->groups.size(), 7u);
    EXPECT_EQ(old->show->look.at({1})->colour->asked, "gel:214@3200");
    EXPECT_TRUE(old->show->palettes.empty());
}

TEST(ShowParts, FaultsNameTheirPlace) {
    const auto demo = demoText();
    const auto refused = [&](const std::string& from, const std::string& to, const char* word) {
        auto text = demo;
        const auto at = text.find(from);
        ASSERT_NE(at, std::string::npos) << from;
        text.replace(at, from.size(), to);
        const auto opened = parseShow(text);
        ASSERT_FALSE(opened) << to;
        EXPECT_NE(opened.error().text().find(word), std::string::npos) << opened.error().text();
    };
    refused("\"name\": \"embers\"", "\"name\": \"blaze\"", "palettes[7]");
    refused("\"name\": \"embers\"", "\"name\": 7", "palettes[3].name");
    refused("\"colour_from\": 1", "\"colour_from\": 99", "follows palette 99");
    refused("\"locked\": true", "\"locked\": \"yes\"", "true or false");
    refused("\"areas\": [", "\"areas\": [{\"name\": \"x\", \"outline\": [[0, 0]]},", "area 'x'");
    refused("\"look\": [", "\"outputs\": [{\"address\": \"lamp\"}], \"look\": [", "outputs[0]");
    refused("\"look\": [", "\"types\": [{\"id\": \"x\", \"gdtf\": \"?\"}], \"look\": [",
            "types[0]");
    refused("\"look\": [", "\"types\": [{\"id\": \"x\", \"gdtf\": \"AAAA\"}], \"look\": [",
            "types[0]");
    refused("\"look\": [", "\"measured\": [{\"name\": \"x\", \"spectrum\": [1, 2]}], \"look\": [",
            "measured[0].spectrum");
}

TEST(Base64, HasTheVectorsOfRfc4648) {
    const std::pair<const char*, const char*> vectors[] = {{"", ""},
                                                           {"f", "Zg=="},
                                                           {"fo", "Zm8="},
                                                           {"foo", "Zm9v"},
                                                           {"foob", "Zm9vYg=="},
                                                           {"fooba", "Zm9vYmE="},
                                                           {"foobar", "Zm9vYmFy"}};
    for (const auto& [plain, text] : vectors) {
        EXPECT_EQ(toBase64(plain), text);
        EXPECT_EQ(*fromBase64(text), plain);
    }
    std::string all;
    for (int i = 0; i < 256; ++i)
        all += static_cast<char>(i);
    EXPECT_EQ(*fromBase64(toBase64(all)), all);
    for (const char* bad : {"Zg=", "Z===", "Zg==Zg==", "Zm9*", "Zm 9"})
        EXPECT_FALSE(fromBase64(bad)) << bad;
}

} // namespace
} // namespace zelo::files
