// SPDX-License-Identifier: GPL-3.0-or-later
// Rigs as MVR and cues as ASCII: what goes to other desks, and what comes from them.
#include "base/text.h"
#include "files/archive.h"
#include "files/ascii_cues.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "files/mvr.h"
#include "files/show_file.h"
#include "support/places.h"

#include <filesystem>
#include <gmock/gmock.h>

namespace zelo::files {
namespace {

using ::testing::HasSubstr;

std::shared_ptr<const light::FixtureType> typeNamed(const std::string& id) {
    const auto path = std::filesystem::path(places::data) / "fixtures" / id;
    if (!std::filesystem::exists(path))
        return nullptr;
    return std::make_shared<const light::FixtureType>(readGdtf(path).value());
}

TEST(Mvr, TheDemoRigComesBack) {
    const auto opened = readShow(std::string(places::data) + "/shows/salt-lanterns.zelo");
    ASSERT_TRUE(opened);
    const auto bytes = mvrBytes(*opened->show, typeNamed);
    ASSERT_TRUE(bytes);
    EXPECT_EQ(*bytes, *mvrBytes(*opened->show, typeNamed)) << "the same each time";
    const auto rig = parseMvr(*bytes);
    ASSERT_TRUE(rig) << rig.error().text();
    EXPECT_THAT(rig->notes, ::testing::IsEmpty());
    ASSERT_EQ(rig->fixtures.size(), opened->show->fixtures.size());
    std::size_t i = 0;
    for (const auto& [id, f] : opened->show->fixtures) {
        const auto& back = rig->fixtures[i++];
        EXPECT_EQ(back.number, f->number);
        EXPECT_EQ(back.type, f->type);
        EXPECT_EQ(back.mode, f->mode);
        EXPECT_EQ(back.universe, f->universe);
        EXPECT_EQ(back.address, f->address);
        EXPECT_NEAR(back.place.x_m, f->place.x_m, 1e-6);
        EXPECT_NEAR(back.place.y_m, f->place.y_m, 1e-6);
        EXPECT_NEAR(back.place.z_m, f->place.z_m, 1e-6);
        EXPECT_NEAR(std::remainder(back.place.aim_deg - f->place.aim_deg, 360), 0, 1e-4);
    }
    EXPECT_EQ(rig->types.size(), 3u);
    for (const auto& type : rig->types)
        EXPECT_EQ(type->emitters.size(), typeNamed(type->id)->emitters.size());
}

std::string mvr(const std::string& layers, Files more = {}) {
    more["GeneralSceneDescription.xml"] =
        "<GeneralSceneDescription verMajor='1' verMinor='6'><Scene><Layers>" + layers +
        "</Layers></Scene></GeneralSceneDescription>";
    return zipped(more).value();
}

TEST(Mvr, GroupsMoveWhatTheyHold) {
    const auto rig = parseMvr(mvr(
        "<Layer><Matrix>{1,0,0}{0,1,0}{0,0,1}{1000,0,0}</Matrix><ChildList>"
        "<GroupObject><Matrix>{0,1,0}{-1,0,0}{0,0,1}{0,2000,0}</Matrix><ChildList>"
        "<Fixture "
        "name='A'><Matrix>{1,0,0}{0,1,0}{0,0,1}{3000,0,500}</Matrix><GDTFSpec>X.gdtf</GDTFSpec>"
        "<GDTFMode>m</GDTFMode><Addresses><Address break='0'>514</Address><Address "
        "break='1'>9</Address>"
        "</Addresses><FixtureID>77</FixtureID></Fixture></ChildList></GroupObject>"
        "<Fixture "
        "name='B'><GDTFSpec>Y</GDTFSpec><Addresses><Address>3.10</Address></Addresses></Fixture>"
        "</ChildList></Layer>"));
    ASSERT_TRUE(rig) << rig.error().text();
    ASSERT_EQ(rig->fixtures.size(), 2u);
    const auto& a = rig->fixtures[0];
    EXPECT_NEAR(a.place.x_m, 1, 1e-9) << "3 m along an axis turned to the left";
    EXPECT_NEAR(a.place.y_m, 5, 1e-9);
    EXPECT_NEAR(a.place.z_m, 0.5, 1e-9);
    EXPECT_NEAR(a.place.aim_deg, 270, 1e-9);
    EXPECT_EQ(a.number, 77);
    EXPECT_EQ(a.universe, 2);
    EXPECT_EQ(a.address, 2);
    EXPECT_EQ(a.type, "x");
    EXPECT_EQ(rig->fixtures[1].universe, 3);
    EXPECT_EQ(rig->fixtures[1].address, 10);
    ASSERT_EQ(rig->notes.size(), 1u);
    EXPECT_THAT(rig->notes[0].english(), HasSubstr("only its first address"));
}

TEST(Mvr, SaysWhatIsWrong) {
    EXPECT_THAT(parseMvr("no zip").error().text(), HasSubstr("not an MVR archive"));
    EXPECT_THAT(parseMvr(zipped({{"a", "b"}}).value()).error().text(),
                HasSubstr("GeneralSceneDescription.xml"));
    const auto broken = parseMvr(
        mvr("<Layer><ChildList><Fixture><GDTFSpec>x.gdtf</GDTFSpec></Fixture></ChildList></Layer>",
            {{"x.gdtf", "rubbish"}}));
    ASSERT_TRUE(broken) << "a type that cannot be read does not cost the rig";
    ASSERT_FALSE(broken->notes.empty());
    const auto tells = [](const Sentence& note) {
        return note.english().find("x.gdtf") != std::string::npos;
    };
    EXPECT_TRUE(std::any_of(broken->notes.begin(), broken->notes.end(), tells));
}

std::string notesOf(const Rig& rig) {
    std::string all;
    for (const auto& n : rig.notes)
        all += n.english() + "\n";
    return all;
}

// What one fixture lacks does not cost the rig.
TEST(Mvr, FixturesThatLackSomethingAreTakenAndTold) {
    const auto with = [](const std::string& inside) {
        const auto rig = parseMvr(mvr("<Layer><ChildList><Fixture name='F'>" + inside +
                                      "</Fixture></ChildList></Layer>"));
        EXPECT_TRUE(rig) << rig.error().text();
        return *rig;
    };
    const auto untyped = with("<Addresses><Address>7</Address></Addresses>");
    EXPECT_THAT(notesOf(untyped), HasSubstr("no GDTFSpec"));
    EXPECT_EQ(untyped.fixtures[0].type, "unknown");
    EXPECT_EQ(untyped.fixtures[0].address, 7);
    for (const char* address : {"0", "-4", "x", "1.0", "1.513", "64000.1", "1.2.3"}) {
        const auto rig = with("<GDTFSpec>x</GDTFSpec><Addresses><Address>" + std::string(address) +
                              "</Address></Addresses>");
        EXPECT_THAT(notesOf(rig), HasSubstr(address)) << address;
        EXPECT_EQ(rig.fixtures[0].address, 1) << address;
        EXPECT_EQ(rig.fixtures[0].universe, 1) << address;
    }
    const auto second_first = with("<GDTFSpec>x</GDTFSpec><Addresses><Address break='1'>9</Address>"
                                   "<Address break='0'>514</Address></Addresses>");
    EXPECT_EQ(second_first.fixtures[0].universe, 2) << "that of break 0, wherever it stands";
    const auto named = with("<GDTFSpec>x</GDTFSpec><FixtureID>SR 12</FixtureID>"
                            "<FixtureIDNumeric>12</FixtureIDNumeric>");
    EXPECT_EQ(named.fixtures[0].number, 12);
}

TEST(Mvr, OnlyWhatIsNeededIsUnpacked) {
    // 70 MB of models, and a type that no fixture names, that would be refused.
    const std::string model(30u << 20, 'm');
    const auto rig = parseMvr(
        mvr("<Layer><ChildList><Fixture name='F'><GDTFSpec>x.gdtf</GDTFSpec></Fixture></ChildList>"
            "</Layer>",
            {{"a.glb", model}, {"b.glb", model}, {"c.glb", model}, {"unused.gdtf", "rubbish"}}));
    ASSERT_TRUE(rig) << rig.error().text();
    EXPECT_EQ(rig->fixtures.size(), 1u);
    EXPECT_EQ(notesOf(*rig).find("unused"), std::string::npos);
}

constexpr const char* kCues = R"(! made elsewhere
Ident 3:0
Manufacturer Someone
Console Desk 9
Patch 1 1<513@HFF 2<514@50
Cue 7.5
  Text Lanterns out
  Up 5 1
  Down 1:30
  Followon 2
  Chan 1@HFF,2/50 , 3@H0
  $$Thing 4
Group 2
  Text front
  Chan 1@100
ENDDATA
Cue 8
)";

TEST(AsciiCues, ReadTimesLevelsPatchAndGroups) {
    const auto cues = parseAsciiCues(kCues);
    ASSERT_TRUE(cues) << cues.error().text();
    EXPECT_EQ(cues->console, "Desk 9");
    ASSERT_EQ(cues->patch.size(), 2u);
    EXPECT_EQ(cues->patch[0], (PatchLine{1, 513, 1}));
    EXPECT_EQ(cues->patch[1], (PatchLine{2, 514, 0.5}));
    ASSERT_EQ(cues->cues.size(), 1u) << "what follows ENDDATA is none of ours";
    const auto& cue = cues->cues[0];
    EXPECT_EQ(cue.number, "7.5");
    EXPECT_EQ(cue.text, "Lanterns out");
    EXPECT_EQ(cue.up, (CueTimes{5, 1}));
    EXPECT_EQ(cue.down, (CueTimes{90, 0}));
    EXPECT_EQ(cue.follow_s, 2);
    EXPECT_EQ(cue.levels, (std::vector<ChannelLevel>{{1, 1}, {2, 0.5}, {3, 0}}));
    EXPECT_EQ(cues->groups[0].text, "front");
    ASSERT_EQ(cues->notes.size(), 1u);
    EXPECT_THAT(cues->notes[0].english(), HasSubstr("line 12"));
}

TEST(AsciiCues, WhatIsWrittenIsReadAgain) {
    AsciiCues cues;
    for (int i = 0; i < 3; ++i) {
        AsciiCue cue{std::to_string(i + 1), "Dawn – step", CueTimes{2.5 * i, 0.5}, {}, {}, {}};
        for (int c = 1; c <= 20; ++c)
            cue.levels.push_back({c, (c * 12 + i) % 256 / 255.0});
        cues.cues.push_back(cue);
    }
    cues.patch = {{1, 1, 1}, {2, 1025, 0.2}};
    cues.groups = {{"4", "sea", {{7, 1}}}};
    const auto back = parseAsciiCues(asciiCuesText(cues));
    ASSERT_TRUE(back) << back.error().text();
    ASSERT_EQ(back->cues.size(), 3u);
    for (std::size_t i = 0; i < 3; ++i) {
        EXPECT_EQ(back->cues[i].up, cues.cues[i].up);
        EXPECT_EQ(back->cues[i].down, cues.cues[i].down);
        ASSERT_EQ(back->cues[i].levels.size(), 20u);
        for (std::size_t c = 0; c < 20; ++c)
            EXPECT_NEAR(back->cues[i].levels[c].level, cues.cues[i].levels[c].level, 1e-12)
                << "8 bit are exact";
    }
    EXPECT_EQ(back->patch[1].dimmer, 1025);
    EXPECT_EQ(back->groups[0].levels, cues.groups[0].levels);
    for (const char c : asciiCuesText(cues))
        EXPECT_LT(static_cast<unsigned char>(c), 0x80) << "plain ASCII";
    EXPECT_THAT(cueSheetCsv(cues), HasSubstr("cue,text,up_s"));
    EXPECT_THAT(cueSheetCsv(cues), HasSubstr("\"2\",\"Dawn"));
}

TEST(AsciiCues, OtherPrimariesDoNotFlowIntoTheCueBefore) {
    for (const char* foreign : {"Sub 1", "$Submaster 1", "Macro", "Clear", "Set Channels 96"}) {
        const auto cues =
            parseAsciiCues("Ident 3:0\nCue 1\n  Up 3\n  Chan 1@50\n" + std::string(foreign) +
                           "\n  Up 99\n  Chan 7@FL\nCue 2\n  Chan 2@FL\nENDDATA\n");
        ASSERT_TRUE(cues) << cues.error().text();
        ASSERT_EQ(cues->cues.size(), 2u) << foreign;
        if (std::string_view(foreign) == "Macro") // a word of a cue that nobody knows
            continue;
        EXPECT_EQ(cues->cues[0].up->time_s, 3) << foreign;
        EXPECT_EQ(cues->cues[0].levels.size(), 1u) << foreign;
        EXPECT_EQ(cues->cues[1].levels, (std::vector<ChannelLevel>{{2, 1}})) << foreign;
    }
}

TEST(AsciiCues, LevelsAreFullPercentOrHexadecimal) {
    const auto cues =
        parseAsciiCues("Ident 3:0\nCue 1\nChan 1@FL 2@fl 3@HFF 4@h80 5@100 6@00\nENDDATA\n");
    ASSERT_TRUE(cues) << cues.error().text();
    std::vector<double> levels;
    for (const auto& l : cues->cues[0].levels)
        levels.push_back(l.level);
    EXPECT_THAT(levels,
                testing::ElementsAre(1, 1, 1, testing::DoubleNear(128 / 255.0, 1e-12), 1, 0));
}

// Lines of at most 80 characters with their end, numbers without exponents.
TEST(AsciiCues, LinesStayWithinTheStandardsLength) {
    AsciiCues cues;
    AsciiCue cue{
        "12.345", std::string(300, 'w'), CueTimes{1e6, 3600.5}, CueTimes{0.0001, 0}, 1'000'000, {}};
    for (int c = 0; c < 60; ++c) {
        cue.levels.push_back({90'000 + c, c / 60.0});
        cues.patch.push_back({90'000 + c, 30'000'000 + c, 1});
    }
    cues.cues = {cue};
    cues.groups = {{"1", std::string(300, 'g'), cue.levels}};
    cues.console = std::string(300, 'c');
    const std::string text = asciiCuesText(cues);
    for (const auto line : lines(text))
        EXPECT_LE(line.size(), 78u) << line;
    EXPECT_EQ(text.find("e+"), std::string::npos);
    cues.patch.clear(); // those addresses are beyond what is read
    const auto back = parseAsciiCues(asciiCuesText(cues));
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_EQ(back->cues[0].up, cue.up);
    EXPECT_EQ(back->cues[0].follow_s, cue.follow_s);
    EXPECT_EQ(back->cues[0].levels.size(), 60u);
}

TEST(AsciiCues, SayWhichLineIsWrong) {
    const auto with = [](const std::string& line) {
        return parseAsciiCues("Ident 3:0\nCue 1\n" + line + "\nENDDATA\n");
    };
    EXPECT_THAT(parseAsciiCues("hello\n").error().text(), HasSubstr("Ident 3:0"));
    EXPECT_THAT(parseAsciiCues("Ident 2:0\n").error().text(), HasSubstr("line 1"));
    for (const char* line :
         {"Chan 0@50", "Chan 1", "Chan 1@101", "Chan 1@HFG", "Chan 1@H", "Up", "Up soon", "Up inf",
          "Up nan", "Up 1000001", "Up 1000000:1000000:1000000", "Up 1:2:3:4", "Followon", "Cue",
          "Cue x", "Group \x02", "Patch x", "Patch 1 1<2"})
        EXPECT_THAT(with(line).error().text(), HasSubstr("line 3")) << line;
}

} // namespace
} // namespace zelo::files
