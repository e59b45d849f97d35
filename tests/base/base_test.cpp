// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/file.h"
#include "base/handover.h"
#include "base/quantity.h"
#include "base/text.h"

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>
#include <thread>

namespace zelo {
namespace {

namespace fs = std::filesystem;

class Folder { // its own, gone afterwards
public:
    Folder() {
        std::string name = (fs::temp_directory_path() / "zelo-XXXXXX").string();
        path = ::mkdtemp(name.data());
    }
    ~Folder() { fs::remove_all(path); }
    fs::path path;
};

TEST(Quantity, MiredIsReciprocalMegakelvin) {
    EXPECT_EQ(toMired(Kelvin{5000}), Mired{200});
    EXPECT_NEAR(toMired(Kelvin{3200}).value, 312.5, 1e-9);
    EXPECT_EQ(toKelvin(Mired{200}), Kelvin{5000});
}

TEST(Text, NumbersAreWholeAndFinite) {
    EXPECT_EQ(toNumber(" 1.5 "), 1.5);
    EXPECT_EQ(toNumber("+2e-3"), 0.002);
    for (const char* bad : {"", "1.5x", "1,5", "nan", "inf", "-inf", "1 2", "--1", "0x10"})
        EXPECT_FALSE(toNumber(bad)) << bad;
    EXPECT_EQ(toInteger("-7"), -7);
    EXPECT_FALSE(toInteger("7.0"));
    EXPECT_FALSE(toInteger("99999999999999999999"));
}

TEST(Text, LinesEndInAnyOfThreeWays) {
    const auto found = lines("a\r\nb\nc\rd");
    ASSERT_EQ(found.size(), 4u);
    EXPECT_EQ(found[1], "b");
    EXPECT_EQ(found[3], "d");
    EXPECT_EQ(lines("x\n\ny").size(), 3u);
    EXPECT_TRUE(lines("").empty());
}

TEST(Text, SplitKeepsEmptyPieces) {
    const auto parts = split("a,,b", ',');
    ASSERT_EQ(parts.size(), 3u);
    EXPECT_EQ(parts[1], "");
    EXPECT_EQ(split("", ',').size(), 1u);
}

TEST(Text, LoweringLeavesOtherScriptsAlone) {
    EXPECT_EQ(lowered("ÄBC Éa"), "Äbc Éa");
}

TEST(Error, TellsPlaceThenWhat) {
    const auto inner = fail(ErrorCode::BadValue, "{} is too much", 7);
    const auto outer = passOn(passOn(inner.value(), "row 3").value(), "gels.txt");
    EXPECT_EQ(outer.value().text(), "gels.txt, row 3: 7 is too much");
}

TEST(Error, IsOneReadableLineWhateverWasInTheFile) {
    const auto error =
        passOn(Error{ErrorCode::BadValue, "'a\nb\x01': no number", {}}, "x\ty").value();
    EXPECT_EQ(error.text(), "x y: 'a b ': no number");
    EXPECT_LT(fail(ErrorCode::BadValue, "{}", std::string(5000, 'x')).value().text().size(), 500u);
    const std::string long_one(5000, 'y');
    EXPECT_LT(fail(ErrorCode::BadValue, "{} {} {} {} {}", long_one, long_one, long_one, long_one,
                   long_one)
                  .value()
                  .text()
                  .size(),
              500u)
        << "however much is put into it";
}

TEST(Sentence, KeepsItsFormAndItsPartsForOtherLanguages) {
    const auto inner = say(ZELO_TEXT("core", "lamp {} of {:.1f} W"), 7, 12.34);
    const auto outer = say(ZELO_TEXT("core", "{} is {{dark}}, says {}"), inner, "Ann");
    EXPECT_EQ(outer.english(), "lamp 7 of 12.3 W is {dark}, says Ann");
    ASSERT_EQ(outer.parts.size(), 2u);
    EXPECT_EQ(outer.parts[0].form, "lamp {} of {:.1f} W");
    EXPECT_EQ(outer.parts[0].parts[1].form, "12.3");
    EXPECT_TRUE(outer.parts[1].plain);
    EXPECT_EQ(filled("{1} sagt: {0} ist {{dunkel}}", {"Lampe 7", "Ann"}),
              "Ann sagt: Lampe 7 ist {dunkel}");
    EXPECT_EQ(filled("nur {}", {}), "nur ");
    EXPECT_EQ(filled("offen { bleibt", {"x"}), "offen { bleibt");
    const Sentence name = "{} in a name";
    EXPECT_EQ(name.english(), "{} in a name") << "what came from outside is no form";
    EXPECT_EQ(say("{}", std::string("a\nb")).english(), "a b");
}

TEST(Error, KeepsWhatAndWhereApart) {
    const auto inner = fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: must be at most {}"), 9, 8);
    const auto outer =
        passOn(passOn(inner.value(), say(ZELO_TEXT("core", "line {}"), 3)).value(), "a.txt");
    const auto sentence = outer.value().sentence();
    EXPECT_EQ(sentence.english(), "a.txt, line 3: 9: must be at most 8");
    ASSERT_EQ(sentence.parts.size(), 3u);
    EXPECT_EQ(sentence.parts[1].form, "line {}");
    EXPECT_EQ(sentence.parts[2].form, "{}: must be at most {}");
}

TEST(File, WritesWholeOrNotAtAll) {
    const Folder folder;
    const auto path = folder.path / "show.zelo";
    ASSERT_TRUE(writeFile(path, "first"));
    ASSERT_TRUE(writeFile(path, "second"));
    EXPECT_EQ(*readFile(path), "second");
    // Nothing is left beside it.
    EXPECT_EQ(std::distance(fs::directory_iterator(folder.path), fs::directory_iterator()), 1);
}

TEST(File, AFailedWriteKeepsWhatWasThere) {
    const Folder folder;
    const auto path = folder.path / "sub";
    fs::create_directory(path);
    const auto done = writeFile(path, "x"); // a folder cannot be replaced by a file
    ASSERT_FALSE(done);
    EXPECT_EQ(done.error().code, ErrorCode::Io);
    EXPECT_NE(done.error().text().find("sub"), std::string::npos);
    EXPECT_EQ(std::distance(fs::directory_iterator(folder.path), fs::directory_iterator()), 1);
}

TEST(File, ReadingIsBounded) {
    const Folder folder;
    const auto path = folder.path / "big";
    std::ofstream(path) << std::string(1000, 'x');
    const auto read = readFile(path, 999);
    ASSERT_FALSE(read);
    EXPECT_EQ(read.error().code, ErrorCode::TooLarge);
    EXPECT_EQ(readFile(folder.path / "none").error().code, ErrorCode::NotFound);
    EXPECT_EQ(readFile(folder.path).error().code, ErrorCode::Io);
}

TEST(Handover, GivesWholeSnapshotsToAnotherThread) {
    struct Pair {
        int a, b;
    };
    Handover<Pair> handover;
    std::jthread writer([&](const std::stop_token& stop) {
        for (int i = 0; !stop.stop_requested(); ++i)
            handover.put(std::make_shared<const Pair>(Pair{i, -i}));
    });
    for (int i = 0; i < 20'000; ++i)
        if (const auto p = handover.take())
            ASSERT_EQ(p->a, -p->b);
}

TEST(Text, BecomesUtf8WhateverComes) {
    for (const char* valid : {"", "abc", "Grün", "R_f \xe2\x80\xb2", "\xf0\x9f\x92\xa1"}) {
        EXPECT_TRUE(isUtf8(valid));
        EXPECT_EQ(toUtf8(valid), valid);
    }
    EXPECT_EQ(toUtf8("gr\xfcn"), "grün") << "Latin-1";
    EXPECT_EQ(toUtf8("gr\xfcn und gr\xc3\xbcn"), "grün und grün") << "both in one text";
    EXPECT_EQ(toUtf8("caf\xc3"), "caf") << "cut inside a character";
    EXPECT_EQ(toUtf8("x\xe2\x80"), "x");
    for (const char* wrong : {"\xc0\xaf", "\xed\xa0\x80", "\xf4\x90\x80\x80", "\xff", "\x80"})
        EXPECT_FALSE(isUtf8(wrong))
            << "too long, a surrogate, past the last one, never a byte of it";
    std::string all;
    for (int i = 0; i < 70'000; ++i)
        all += static_cast<char>(i * 7919 >> (i % 11));
    EXPECT_TRUE(isUtf8(toUtf8(all)));
}

} // namespace
} // namespace zelo
