// SPDX-License-Identifier: GPL-3.0-or-later
// What a show holds beside its rig goes through the file and back.
#include "base/file.h"
#include "files/camera_file.h"
#include "files/detail/base64.h"
#include "files/gdtf_reader.h"
#include "files/show_file.h"
#include "show/edits.h"
#include "show/kept.h"
#include "support/asked.h"
#include "support/places.h"

#include <gtest/gtest.h>

namespace zelo::files {
namespace {

std::string demoText() {
    return *readFile(std::string(places::data) + "/shows/salt-lanterns.zelo");
}

TEST(ShowParts, GoThroughTheFileUnchanged) {
    auto opened = *parseShow(demoText());
    auto show = opened.show;
    colour::Grid grid{};
    for (std::size_t i = 0; i < grid.size(); ++i)
        grid[i] = 1.0f / (1.0f + static_cast<float>(i)); // kept in single precision
    show = *show::keepMeasured(show, "street lamp", colour::Spectrum(grid));
    const auto file = *readCamera(std::string(places::data) + "/cameras/fulmar.csv");
    show = *show::keepCamera(show, {file.name, file.channels, light::AskedWhite{3200, {}}, false});
    auto type = *readGdtf(std::string(places::data) + "/fixtures/gannet-8");
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
    show::ColourWish filmed{light::AskedUv{0.3, 0.52}, {0.3, 0.52}, mix::Intent::Filmed};
    filmed.exact_for_camera = true;
    const auto hand = show::withColour(
        show::withPalette(opened.hand, {{1}}, *show->paletteNamed("blaze")), {{2}}, filmed);
    const auto text = *showText(*show, *hand);
    const auto back = parseShow(text);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_EQ(*showText(*back->show, *back->hand), text) << "a second trip changes nothing";
    const auto& b = *back->show;
    ASSERT_EQ(b.palettes.size(), show->palettes.size());
    for (const auto& [id, palette] : show->palettes)
        EXPECT_EQ(*b.palette(id), *palette);
    for (const auto& [id, value] : show->lookOf({1})->values)
        EXPECT_EQ(*b.lookOf({1})->values.at(id), *value);
    EXPECT_EQ(*b.stage, *show->stage);
    EXPECT_EQ(b.outputs, show->outputs);
    EXPECT_EQ(*b.favourites, *show->favourites);
    EXPECT_EQ(b.measured.at("street lamp")->spectrum.values(),
              show->measured.at("street lamp")->spectrum.values());
    ASSERT_TRUE(b.cameras.contains("Fulmar"));
    EXPECT_EQ(b.cameras.at("Fulmar")->channels, show->cameras.at("Fulmar")->channels);
    EXPECT_EQ(b.cameras.at("Fulmar")->balance, light::Asked(light::AskedWhite{3200, {}}));
    EXPECT_FALSE(b.cameras.at("Fulmar")->used);
    EXPECT_EQ(back->hand->at({2})->colour->here()->intent, mix::Intent::Filmed);
    EXPECT_TRUE(back->hand->at({2})->colour->here()->exact_for_camera);
    auto same = *b.fixture({3});
    ASSERT_TRUE(same.calibration);
    EXPECT_EQ(same.calibration->emitters.at("Red").values(), colour::Spectrum(grid).values());
    EXPECT_EQ(same.calibration->off.v, -0.001);
    same.calibration = fixture.calibration;
    EXPECT_EQ(same, fixture);
    EXPECT_EQ(back->hand->at({1})->colour->palette(), show->paletteNamed("blaze")->id);
    ASSERT_TRUE(b.types.contains("my-gannet"));
    EXPECT_EQ(b.types.at("my-gannet")->emitters[0].power_w, 12.25);
    EXPECT_EQ(b.types.at("my-gannet")->emitters.size(), type.emitters.size());
}

TEST(ShowParts, ACameraThatSeesNothingIsLeftOutAndTold) {
    const auto file = *readCamera(std::string(places::data) + "/cameras/fulmar.csv");
    auto show = std::make_shared<const show::Show>();
    show = *show::keepCamera(show, {file.name, file.channels});
    std::string text = *showText(*show, {});
    // Its green channel dark: as many letters of nothing.
    const auto at = text.find('"', text.find("\"g\":") + 4) + 1;
    text.replace(at, text.find('"', at) - at, std::string(2139, 'A') + "=");
    const auto back = parseShow(text);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_TRUE(back->show->cameras.empty());
    EXPECT_EQ(back->notes.size(), 1u);
}

TEST(ShowParts, AShowOfTheFirstFormatStillOpens) {
    const auto old = readShow(std::string(places::test_data) + "/first-format.zelo");
    ASSERT_TRUE(old) << old.error().text();
    EXPECT_EQ(old->show->fixtures.size(), 40u);
    EXPECT_EQ(old->show->groups.size(), 7u);
    EXPECT_EQ(test::textOf(old->show->standing.at({1})->colour), "gel:214@3200");
    EXPECT_TRUE(old->show->palettes.empty());
}

TEST(ShowParts, AShowOfTheSecondFormatStillOpensWithAllThatIsInIt) {
    const auto old = readShow(std::string(places::test_data) + "/second-format.zelo");
    ASSERT_TRUE(old) << old.error().text();
    EXPECT_TRUE(old->notes.empty());
    const auto& show = *old->show;
    EXPECT_EQ(show.groups.size(), 6u);
    EXPECT_EQ(show.palettes.size(), 8u);
    EXPECT_TRUE(show.palette({3})->locked);
    EXPECT_EQ(show.lookOf({1})->values.size(), 28u);
    EXPECT_EQ(show.standing.at({21})->colour->palette(), show.paletteNamed("tide at dusk")->id)
        << "it follows still";
    EXPECT_EQ(old->hand->at({1})->colour->palette(), show.paletteNamed("blaze")->id);
    EXPECT_EQ(old->hand->at({13})->parts.at("#2"), 0.2);
    EXPECT_TRUE(show.types.contains("my-tern"));
    EXPECT_EQ(show.outputs.size(), 2u);
    EXPECT_EQ(show.fixture({3})->calibration->off.u, 0.002);
    EXPECT_NEAR(show.fixture({3})->calibration->emitters.at("Red")[4], 0.2, 1e-7);
    EXPECT_NEAR(show.measured.at("street lamp")->spectrum[9], 0.1, 1e-7);
    EXPECT_TRUE(show.favourite(test::asked("gel:338")));
    const auto text = *showText(show, *old->hand);
    EXPECT_TRUE(checkShowText(text)) << "saved in the new format it says the same";
}

// What refers to nothing goes, and is told; it never costs the whole show.
TEST(ShowParts, OrphansAreLeftOutAndTold) {
    const auto opened = parseShow(R"({"format": "zelochrome-show", "version": 2, "name": "S",
 "fixtures": [{"id": 3, "type": "petrel-4"}],
 "groups": [{"id": 1, "name": "g", "fixtures": [3, 4]}],
 "looks": [{"id": 1, "name": "l", "values": [{"fixture": 9, "intensity": 1}]}],
 "look": [{"fixture": 3, "intensity": 0.5, "intensity_from": 7,
           "colour": {"asked": "gel of the house", "uv": [0.3, 0.54]}}],
 "hand": [{"fixture": 7, "intensity": 0.2}, {"fixture": 3, "colour_from": 8}]})");
    ASSERT_TRUE(opened) << opened.error().text();
    EXPECT_EQ(opened->show->group({1})->fixtures, std::vector<show::FixtureId>{{3}});
    EXPECT_TRUE(opened->show->lookOf({1})->values.empty());
    EXPECT_TRUE(opened->hand->empty());
    const auto& value = *opened->show->standing.at({3});
    EXPECT_EQ(*value.intensity->here(), 0.5) << "it stays as it was when it began to follow";
    EXPECT_EQ(value.colour->here()->asked, (light::Asked(light::AskedUv{0.3, 0.54})));
    std::string told;
    for (const auto& note : opened->notes)
        told += note.english() + "\n";
    for (const char* word : {"groups[0].fixtures[1]", "looks[0].values[0].fixture", "palette 7",
                             "look[0].colour.asked", "hand[0].fixture", "hand[1].colour_from"})
        EXPECT_NE(told.find(word), std::string::npos) << word << " in\n" << told;
}

// Members of another version come back from wherever they stood.
TEST(ShowParts, UnknownMembersAreKeptEverywhere) {
    const std::string text = R"({"format": "zelochrome-show", "version": 3, "name": "S", "m0": [1],
 "fixtures": [{"id": 3, "type": "petrel-4", "m1": 1, "place": {"x_m": 2, "m2": {"a": 1}},
   "calibration": {"off_u": 0.01, "m3": "x"}}],
 "groups": [{"id": 1, "name": "g", "fixtures": [3], "locked": true, "m4": 4}],
 "palettes": [{"id": 1, "name": "p", "intensity": 1, "m5": 5,
   "colour": {"asked": "cct:3200", "m6": 6}}],
 "looks": [{"id": 1, "name": "l", "m7": 7, "values": [{"fixtures": [3], "colour": 0, "m8": 8}]}],
 "colours": [{"asked": "gel:214", "m9": 9}],
 "stage": {"outline": [], "m10": 10, "areas": [{"name": "a", "m11": 11,
   "outline": [[0, 0], [1, 0], [1, 1]]}]},
 "outputs": [{"first": 1, "m12": 12}],
 "hand": [{"fixtures": [3], "intensity": 0.5, "m13": 13}]})";
    const auto opened = parseShow(text);
    ASSERT_TRUE(opened) << opened.error().text();
    const auto written = *showText(*opened->show, *opened->hand);
    for (int m = 0; m <= 13; ++m)
        EXPECT_NE(written.find("\"m" + std::to_string(m) + "\""), std::string::npos) << m;
    EXPECT_TRUE(checkShowText(written));
    EXPECT_TRUE(opened->show->group({1})->locked);
}

TEST(ShowParts, IdsAreNotUsedAgainAfterSavingEither) {
    auto show = *show::renameShow(std::make_shared<const show::Show>(), "S");
    show::Fixture lamp;
    lamp.type = "petrel-4";
    show = *show::addFixture(show, lamp);
    show = *show::addGroup(show, "a", {{1}});
    show = *show::removeGroup(show, {1});
    const auto back = parseShow(*showText(*show, {}));
    const auto again = *show::addGroup(back->show, "b", {{1}});
    EXPECT_TRUE(again->group({2}));
    EXPECT_FALSE(again->group({1}));
}

TEST(ShowParts, ATypeThatCouldNotBeUnpackedAgainIsAnErrorAndNotLeftOut) {
    auto type = *readGdtf(std::string(places::data) + "/fixtures/tern-6");
    auto kept = *type.kept;
    kept["model.glb"] = std::string(40u << 20, '\0');
    type.kept = std::make_shared<const std::map<std::string, std::string>>(kept);
    const auto show = *show::keepType(std::make_shared<const show::Show>(),
                                      std::make_shared<const light::FixtureType>(type));
    const auto text = showText(*show, {});
    ASSERT_FALSE(text);
    EXPECT_NE(text.error().text().find("fixture type 'tern-6'"), std::string::npos);
    EXPECT_NE(text.error().text().find("model.glb"), std::string::npos) << text.error().text();
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
    refused("\"locked\": true", "\"locked\": \"yes\"", "true or false");
    refused("\"areas\": [", "\"areas\": [{\"name\": \"x\", \"outline\": [[0, 0]]},", "area 'x'");
    refused("\"standing\": [", "\"outputs\": [{\"address\": \"lamp\"}], \"standing\": [",
            "outputs[0]");
    refused("\"standing\": [", "\"types\": [{\"id\": \"x\", \"gdtf\": \"?\"}], \"standing\": [",
            "types[0]");
    refused("\"standing\": [", "\"types\": [{\"id\": \"x\", \"gdtf\": \"AAAA\"}], \"standing\": [",
            "types[0]");
    refused("\"standing\": [",
            "\"measured\": [{\"name\": \"x\", \"spectrum\": [1, 2]}], \"standing\": [",
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
