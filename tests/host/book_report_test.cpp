// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/book_report.h"
#include "host/library.h"
#include "support/places.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace zelo::host {
namespace {

class BookReport : public ::testing::Test {
protected:
    BookReport() {
        for (const auto& gel : library.books().front()->gels)
            wish.gels.emplace_back(gel.id, gel.name);
        for (const char* id : {"petrel-4", "gannet-8"})
            wish.types.push_back(mixer(id));
    }
    std::shared_ptr<const mix::Mixer> mixer(const char* id) {
        const auto type = library.type(id);
        return std::make_shared<const mix::Mixer>(type, type->modes.front());
    }
    Library library{std::filesystem::path(places::data)};
    BookWish wish;
};

TEST_F(BookReport, TheWholeBookOnEveryType) {
    std::size_t told = 0;
    const auto lines = bookReport(wish, library, {}, [&](std::size_t done) { told = done; });
    EXPECT_EQ(told, wish.gels.size());
    ASSERT_EQ(lines.size(), 2 * wish.gels.size());
    double petrel = 0;
    double gannet = 0;
    for (const auto& l : lines) {
        EXPECT_GE(l.candela, 0);
        EXPECT_LE(l.of_brightest, 1.02) << l.gel;
        EXPECT_GE(l.of_brightest, l.in_reach ? 0.66 : 0) << l.gel << ": it may give up 30 %";
        (l.type == "Gannet 8" ? gannet : petrel) += l.miss_uv;
    }
    EXPECT_LT(gannet, petrel) << "eight emitters reach further than four";
}

TEST_F(BookReport, CanBeStopped) {
    std::stop_source stop;
    const auto lines = bookReport(wish, library, stop.get_token(), [&](std::size_t done) {
        if (done == 5)
            stop.request_stop();
    });
    EXPECT_EQ(lines.size(), 10u) << "what was done by then";
}

TEST_F(BookReport, IsATable) {
    wish.gels = {{"214", "Apricot, \"warm\""}};
    const auto csv = bookReportCsv(bookReport(wish, library, {}, {}));
    EXPECT_EQ(csv.rfind("gel,name,type,miss_uv,in_reach,candela,of_brightest,rf,ssi\n", 0), 0u);
    EXPECT_NE(csv.find("214,\"Apricot, \"\"warm\"\"\",Gannet 8,0.000"), std::string::npos) << csv;
    EXPECT_EQ(std::count(csv.begin(), csv.end(), '\n'), 3);
    EXPECT_EQ(csv.find("nan"), std::string::npos);
}

// "Which of my types holds best before this camera."
TEST_F(BookReport, TellsBothMissesAndTheBestTypeFirst) {
    const auto camera = library.camera("Guillemot");
    ASSERT_TRUE(camera);
    wish.cameras = std::make_shared<const colour::Cameras>(
        colour::Cameras{*play::cameraFrom(*camera, library)});
    const auto truest = bookReport(wish, library, {}, {});
    wish.intent = mix::Intent::Filmed;
    const auto filmed = bookReport(wish, library, {}, {});
    const auto before = bookTypes(truest);
    const auto after = bookTypes(filmed);
    ASSERT_EQ(after.size(), 2u);
    EXPECT_EQ(after[0].type, "Gannet 8") << "more emitters have more room";
    EXPECT_LE(after[0].cameras[0].median, after[1].cameras[0].median);
    for (const auto& type : after) { // by another road: a plain sort of the lines
        std::vector<double> misses;
        for (const auto& l : filmed)
            if (l.type == type.type && l.cameras.size() == 1 && l.cameras[0].miss)
                misses.push_back(*l.cameras[0].miss);
        std::sort(misses.begin(), misses.end());
        ASSERT_EQ(misses.size() % 2, 1u);
        EXPECT_EQ(type.cameras[0].median, misses[misses.size() / 2]);
        EXPECT_EQ(type.cameras[0].worst, misses.back());
    }
    const auto gannet = std::find_if(before.begin(), before.end(),
                                     [](const BookType& t) { return t.type == "Gannet 8"; });
    EXPECT_LT(after[0].cameras[0].median, 0.5 * gannet->cameras[0].median);
    EXPECT_LT(after[0].median_uv, 0.0005) << "and exact for the eye";
    const auto csv = bookReportCsv(filmed);
    EXPECT_NE(csv.find("rf,ssi,miss Guillemot\n"), std::string::npos);
}

TEST_F(BookReport, MakesPalettesInOneStep) {
    auto show = std::make_shared<const show::Show>();
    wish.gels = {{"214", "Apricot"}, {"338", "Sluice"}, {"999", "none such"}};
    std::size_t made = 0;
    const auto next = bookPalettes(show, wish, library, &made);
    ASSERT_TRUE(next);
    EXPECT_EQ(made, 2u);
    const auto* p = (*next)->paletteNamed("214 Apricot");
    ASSERT_TRUE(p);
    EXPECT_EQ(light::toText(p->colour->asked), "gel:214@3200");
    EXPECT_NEAR(p->colour->uv.u, 0.2975, 1e-4);
    EXPECT_FALSE(bookPalettes(*next, wish, library, &made)) << "they are there already";
}

} // namespace
} // namespace zelo::host
