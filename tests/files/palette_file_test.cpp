// SPDX-License-Identifier: GPL-3.0-or-later
// Colours by name, to and from other programs.
#include "files/palette_file.h"

#include <gtest/gtest.h>

namespace zelo::files {
namespace {

const PaletteTable kTable{"Act one",
                          {{"Dawn, \"early\"", {0.25, 0.51}, {{"petrel-4 Red", 0.75}}},
                           {"Sea", {0.16, 0.45}, {}},
                           {"Beyond", {0.05, 0.57}, {}}}};

TEST(Palettes, CsvHoldsThemAsTheyAre) {
    const auto back = parsePalettes(palettesText(kTable, PaletteFormat::Csv));
    ASSERT_TRUE(back) << back.error().text();
    ASSERT_EQ(back->colours.size(), 3u);
    for (std::size_t i = 0; i < 3; ++i) {
        EXPECT_EQ(back->colours[i].name, kTable.colours[i].name);
        EXPECT_LT(colour::distance(back->colours[i].uv, kTable.colours[i].uv), 1e-8);
    }
    EXPECT_EQ(back->colours[0].levels, kTable.colours[0].levels);
    EXPECT_TRUE(back->colours[1].levels.empty());
}

TEST(Palettes, GplHoldsWhatAScreenCan) {
    int moved = 0;
    const auto text = palettesText(kTable, PaletteFormat::Gpl, &moved);
    EXPECT_EQ(moved, 1) << "one is beyond sRGB";
    const auto back = parsePalettes(text);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_EQ(back->name, "Act one");
    EXPECT_EQ(back->colours[1].name, "Sea");
    for (std::size_t i = 0; i < 2; ++i) // 8 bit
        EXPECT_LT(colour::distance(back->colours[i].uv, kTable.colours[i].uv), 2e-3);
}

TEST(Palettes, ReadWhatOthersWrite) {
    const auto gpl = parsePalettes("GIMP Palette\r\nName: Old\r\nColumns: 4\r\n# note\r\n"
                                   "255   0   0\tPillar box\r\n  0 128 255\r\n");
    ASSERT_TRUE(gpl) << gpl.error().text();
    ASSERT_EQ(gpl->colours.size(), 2u);
    EXPECT_EQ(gpl->colours[0].name, "Pillar box");
    EXPECT_EQ(gpl->colours[1].name, "#0080ff");
    EXPECT_NEAR(gpl->colours[0].uv.u, 0.4507, 1e-4); // the red of sRGB
    EXPECT_NEAR(gpl->colours[0].uv.v, 0.5229, 1e-4);
    const auto csv = parsePalettes("Name,u',v',Note\nA,0.2,0.5,hello\n\n");
    ASSERT_TRUE(csv);
    EXPECT_TRUE(csv->colours[0].levels.empty()) << "words are no levels";
    const auto twice = parsePalettes("name,u',v',U,v,Red\nA,0.2,0.5,0.9,0.9,0.4\n");
    ASSERT_TRUE(twice);
    EXPECT_EQ(twice->colours[0].uv, (colour::Uv{0.2, 0.5})) << "the first of a name counts";
    EXPECT_EQ(twice->colours[0].levels.size(), 1u);
}

TEST(Palettes, BlackIsLeftOutAndTold) {
    const auto read = parsePalettes("GIMP Palette\n255 0 0 Red\n0 0 0 Black\n0 0 255 Blue\n");
    ASSERT_TRUE(read) << read.error().text();
    ASSERT_EQ(read->colours.size(), 2u);
    EXPECT_EQ(read->colours[1].name, "Blue");
    ASSERT_EQ(read->notes.size(), 1u);
    EXPECT_NE(read->notes[0].english().find("line 3"), std::string::npos);
}

TEST(Palettes, AByteOrderMarkIsNoPartOfThem) {
    const std::string mark = "\xEF\xBB\xBF";
    for (const std::string text : {"GIMP Palette\n255 0 0 Red\n", "name,u',v'\nRed,0.45,0.52\n"}) {
        EXPECT_TRUE(looksLikePalettes(mark + text));
        const auto read = parsePalettes(mark + text);
        ASSERT_TRUE(read) << read.error().text();
        EXPECT_EQ(read->colours.size(), 1u);
    }
}

TEST(Palettes, SayWhichLineIsWrong) {
    for (const auto& [text, says] : {std::pair{"GIMP Palette\n1 2\n", "line 2"},
                                     {"GIMP Palette\n0 0 256 x\n", "0..255"},
                                     {"a,b\n", "heading"},
                                     {"name,u',v'\nx,0.2,0.5\ny,0.2,-1\n", "line 3"}}) {
        const auto read = parsePalettes(text);
        ASSERT_FALSE(read) << text;
        EXPECT_NE(read.error().text().find(says), std::string::npos) << read.error().text();
    }
    EXPECT_FALSE(looksLikePalettes("id,name,400,410\n"));
    EXPECT_TRUE(looksLikePalettes("name,u',v'\n"));
}

} // namespace
} // namespace zelo::files
