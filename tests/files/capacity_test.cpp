// SPDX-License-Identifier: GPL-3.0-or-later
// Large shows are saved and opened; the figures are printed.
#include "files/show_file.h"
#include "show/edits.h"
#include "show/kept.h"
#include "support/asked.h"

#include <chrono>
#include <gtest/gtest.h>

namespace zelo::files {
namespace {

show::ShowPtr lamps(int count) {
    std::vector<show::Fixture> fixtures(static_cast<std::size_t>(count));
    for (int i = 0; i < count; ++i) {
        auto& f = fixtures[static_cast<std::size_t>(i)];
        f.number = i + 1;
        f.type = "gannet-8";
        f.universe = static_cast<std::uint16_t>(1 + i / 28);
        f.address = 1 + 18 * (i % 28);
    }
    return *show::addFixtures(*show::renameShow(std::make_shared<const show::Show>(), "Large"),
                              std::move(fixtures));
}

void savedAndOpened(const char* what, const show::Show& show) {
    using Clock = std::chrono::steady_clock;
    const auto ms = [](Clock::duration d) {
        return static_cast<long>(std::chrono::duration_cast<std::chrono::milliseconds>(d).count());
    };
    const auto begin = Clock::now();
    const auto text = showText(show, {});
    ASSERT_TRUE(text) << text.error().text();
    const auto written = Clock::now();
    const auto opened = parseShow(*text);
    const auto read = Clock::now();
    ASSERT_TRUE(opened) << opened.error().text();
    std::printf("[ figures  ] %s: %.1f MB, written in %ld ms, read in %ld ms\n", what,
                static_cast<double>(text->size()) / 1e6, ms(written - begin), ms(read - written));
    EXPECT_TRUE(checkShowText(*text));
    ASSERT_EQ(opened->show->looks.size(), show.looks.size());
    for (const auto& [id, look] : show.looks) {
        const auto& back = opened->show->lookOf(id)->values;
        ASSERT_EQ(back.size(), look->values.size());
        for (std::size_t i = 0; i < look->values.size(); i += 37) { // the text is compared whole
            const auto& [fixture, value] = look->values.entry(i);
            ASSERT_EQ(*back.at(fixture), *value);
        }
    }
}

TEST(Capacity, TwoThousandLampsWithTwoHundredLooks) {
    const auto base = lamps(2000);
    show::Show show = *base;
    std::vector<Table<show::LookId, show::Look>::Change> looks;
    for (int l = 1; l <= 200; ++l) { // every lamp its own colour and intensity in each
        std::vector<show::Values::Change> values;
        for (int i = 1; i <= 2000; ++i) {
            show::Value v;
            v.intensity = ((i * 7 + l) % 1000) / 1000.0;
            show::ColourWish wish;
            wish.asked = light::AskedGel{std::to_string(100 + (i + l) % 250), 3200.0, {}, {}};
            wish.uv = {0.2 + 0.0001 * ((i + l) % 250), 0.5};
            v.colour = wish;
            values.emplace_back(show::FixtureId{i}, std::make_shared<const show::Value>(v));
        }
        auto look = std::make_shared<show::Look>();
        look->id = {l};
        look->name = "look " + std::to_string(l);
        look->values = show::Values::of(std::move(values));
        looks.emplace_back(look->id, look);
    }
    show.looks = show.looks.changed(std::move(looks));
    show.last_look_id = 200;
    savedAndOpened("2 000 lamps with 200 looks", show);
}

TEST(Capacity, EightHundredLampsCalibrated) {
    auto show = lamps(800);
    for (int i = 1; i <= 800; ++i) {
        show::Calibration measured;
        for (const char* emitter :
             {"Red", "Amber", "Lime", "Mint", "Cyan", "Blue", "Indigo", "White"}) {
            colour::Grid grid{};
            for (std::size_t nm = 0; nm < grid.size(); ++nm)
                grid[nm] =
                    1.0 /
                    (1.0 + static_cast<double>((nm * 31 + static_cast<std::size_t>(i)) % 401));
            measured.emitters[emitter] = colour::Spectrum(grid);
        }
        show = *show::calibrate(show, {i}, measured);
    }
    savedAndOpened("800 lamps calibrated, 8 emitters each", *show);
}

} // namespace
} // namespace zelo::files
