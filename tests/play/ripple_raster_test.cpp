// SPDX-License-Identifier: GPL-3.0-or-later
// What a ripple shows over time, and what it comes to on each type: steps chosen together, all as
// bright, out of reach, nudged.
#include "play/ripple_raster.h"

#include "colour/cct.h"
#include "colour/oklab.h"
#include "light/levels.h"
#include "play/rainbow_ripple.h"
#include "play/ripple_mix.h"
#include "play/ripples.h"
#include "route/gradient_mix.h"
#include "show/trims.h"
#include "support/cameras.h"
#include "support/shipped.h"

namespace zelo::play {
namespace {

using colour::Uv;
using show::Pattern;
using What = Command::What;

class RasterTest : public Ripples {
protected:
    colour::Xyz stepLight(std::size_t step, std::uint32_t lamp) {
        const PlayedRipple& played = compiled_->program->ripples[0];
        const auto& row = played.tables[played.table[lamp]].steps[step];
        light::Drives drives(row.size());
        std::copy(row.begin(), row.end(), drives.begin());
        return compiled_->mixers[lamp]->xyzOf(drives);
    }
};

TEST_F(RasterTest, CellsAreWhatTheLampsWillShow) {
    for (const Pattern pattern : {Pattern::Cycle, Pattern::March, Pattern::Pulse}) {
        auto r = ripple({kOrange, kBlue, "xy:0.3,0.5"});
        r.name = show::nameOf(pattern);
        r.pattern = pattern;
        r.after_s = 0.3;
        r.every_s = 1.5;
        add(r);
        r.id = {show->last_ripple_id};
        playing.reset();
        put();
        const auto which = static_cast<std::uint32_t>(r.id.value - 1);
        playing->step(0);
        const std::vector<double> below = playing->newest().shown.drives;
        press(What::RippleStart, 0, which);
        const auto raster = rasterOf(*compiled_, r, {0, 6, 61, 10}, below);
        ASSERT_EQ(raster.lamps, (std::vector<std::size_t>{0, 1, 2, 3}));
        ASSERT_EQ(raster.cells.size(), 4u * 61);
        for (std::size_t column = 0; column < 61; ++column)
            for (std::uint32_t lamp = 0; lamp < 4; ++lamp) {
                const double t = 0.1 * static_cast<double>(column);
                EXPECT_LT(off(colour::toUv(raster.at(lamp, column).light), uv(t, lamp)), 1e-6)
                    << show::nameOf(pattern) << " lamp " << lamp << " at " << t;
            }
    }
}

// The picture of a camera: of the same lights, by their spectra.
TEST_F(RasterTest, CellsAreShownByACamera) {
    auto r = ripple({kOrange, kBlue});
    for (auto& step : r.steps)
        step.change = 0;
    add(r);
    r.id = {1};
    put();
    const auto camera = test::shippedCamera("kittiwake", 3200);
    const auto raster = rasterOf(*compiled_, r, {0, 0, 1, 4, &camera});
    const auto eye = rasterOf(*compiled_, r, {0, 0, 1, 4});
    const PlayedRipple& played = compiled_->program->ripples[0];
    for (std::uint32_t lamp = 0; lamp < 4; ++lamp) {
        const auto& cell = raster.at(lamp, 0);
        const auto& row = played.tables[played.table[lamp]].steps[0];
        light::Drives drives(row.size());
        std::copy(row.begin(), row.end(), drives.begin());
        const auto spectrum = light::spectrumOf(compiled_->mixers[lamp]->type(), drives);
        EXPECT_LT(norm(cell.shown - camera.shown(spectrum)), 1e-9 * norm(cell.shown)) << lamp;
        EXPECT_GT(off(colour::toUv(cell.shown), colour::toUv(cell.light)), 1e-3);
        EXPECT_EQ(norm(cell.light - eye.at(lamp, 0).light), 0) << "what it gives stays the same";
        EXPECT_EQ(norm(eye.at(lamp, 0).shown - cell.light), 0) << "the eye sees that";
    }
}

TEST_F(RasterTest, MarchEntersLampByLamp) {
    auto r = ripple({kOrange, kBlue});
    r.pattern = Pattern::March;
    r.after_s = 0.5;
    for (auto& step : r.steps)
        step.change = 0;
    add(r);
    r.id = {1};
    put();
    const auto raster = rasterOf(*compiled_, r, {0, 3.5, 8, 4});
    for (std::size_t lamp = 0; lamp < 4; ++lamp)
        for (std::size_t column = 0; column < 8; ++column) {
            const auto& cell = raster.at(lamp, column);
            EXPECT_EQ(cell.below, column < lamp) << lamp << " " << column;
            if (cell.below)
                continue;
            const bool first = column < lamp + 4; // the next one enters when it is everywhere
            EXPECT_LT(off(colour::toUv(cell.light), asked(first ? kOrange : kBlue)), 1e-3);
        }
}

TEST_F(RasterTest, AnotherPatternOfTheSameStepsCanBeLookedAt) {
    auto r = ripple({kOrange, kBlue});
    r.after_s = 0.5;
    add(r);
    r.id = {1};
    put();
    show::Ripple as = r;
    as.pattern = Pattern::Pulse;
    as.every_s = 100;
    const auto raster = rasterOf(*compiled_, as, {50, 51, 3, 4});
    ASSERT_FALSE(raster.cells.empty());
    EXPECT_LT(off(colour::toUv(raster.at(0, 0).light), asked(kOrange)), 1e-3) << "at rest";
    as = show::withStep(as, test::asked(kBlue), asked(kBlue));
    EXPECT_TRUE(rasterOf(*compiled_, as, {0, 1, 3, 4}).cells.empty()) << "other steps";
    as = r;
    as.lamps.clear();
    EXPECT_TRUE(rasterOf(*compiled_, as, {0, 1, 3, 4}).cells.empty()) << "no lamps";
    as = r;
    as.id = {7};
    EXPECT_TRUE(rasterOf(*compiled_, as, {0, 1, 3, 4}).cells.empty()) << "not in it";
}

TEST_F(RasterTest, OddOnesArePlayedAndShown) {
    auto r = ripple({kOrange, kBlue});
    for (auto& step : r.steps)
        step.time_s = 0;
    add(r);
    r.id = {1};
    put();
    const auto fast = rasterOf(*compiled_, r, {0, 1, 50, 4});
    for (const auto& cell : fast.cells)
        EXPECT_TRUE(colour::hasChromaticity(cell.light)) << "0 s a step: as fast as can be";
    r.lamps = {lamps[2]};
    r.turns = 3;
    show = *show::changeRipple(show, r);
    put(1);
    const auto one = rasterOf(*compiled_, r, {0, 1, 50, 4});
    EXPECT_EQ(one.lamps.size(), 1u);
    r.arrangement.mirrored = true;
    r.arrangement.block = 1000;
    r.along = show::AlongPlan{};
    show = *show::changeRipple(show, r);
    put(2);
    EXPECT_EQ(rasterOf(*compiled_, r, {0, 1, 50, 4}).cells.size(), 50u);
}

TEST_F(RasterTest, TwoThousandLampsAreOneOfEachKind) {
    std::vector<Table<show::FixtureId, show::Fixture>::Change> rig;
    show::Show many = *show;
    show::Ripple r = ripple({kOrange, kBlue});
    r.lamps.clear();
    for (int i = 0; i < 2000; ++i) {
        show::Fixture f;
        f.id = {i + 1};
        f.type = i % 2 ? "petrel-4" : "gannet-8";
        rig.emplace_back(f.id, std::make_shared<const show::Fixture>(f));
        r.lamps.push_back(f.id);
    }
    many.fixtures = many.fixtures.changed(std::move(rig));
    many.last_fixture_id = 2000;
    show = show::nextShow(std::move(many));
    add(r);
    r.id = {1};
    put();
    EXPECT_EQ(compiled_->program->ripples[0].tables.size(), 2u) << "mixed once for each type";
    const auto raster = rasterOf(*compiled_, r, {0, 4, 300, 96});
    EXPECT_EQ(raster.lamps.size(), 96u);
    EXPECT_EQ(raster.lamps.front(), 0u);
    EXPECT_EQ(raster.lamps.back(), 1999u);
}

TEST_F(RasterTest, ManyLampsAreShownEvenly) {
    auto r = ripple({kOrange, kBlue});
    add(r);
    r.id = {1};
    put();
    const auto raster = rasterOf(*compiled_, r, {0, 1, 2, 3});
    EXPECT_EQ(raster.lamps, (std::vector<std::size_t>{0, 1, 3}));
}

TEST_F(RasterTest, ALookAheadIsWhatComesAndKeepsTheMaster) {
    auto r = ripple({kOrange, kBlue});
    r.steps[1].intensity = 0.5;
    add(r);
    put();
    press(What::Master, 0, 0, 0.25);
    playing->step(0);
    const Moment ahead = withRippleAt(compiled_, playing->newest(), {1}, 1.2);
    press(What::RippleStart, 10);
    playing->step(11.2);
    const Moment then = playing->newest();
    for (std::uint32_t lamp = 0; lamp < 4; ++lamp) {
        EXPECT_NEAR(ahead.shown.intensity[lamp], 0.125, 1e-12);
        EXPECT_NEAR(ahead.shown.intensity[lamp], then.shown.intensity[lamp], 1e-12);
        EXPECT_EQ(ahead.values[lamp], then.values[lamp]) << "what would be sent";
    }
    const auto nothing = withRippleAt(compiled_, then, {9}, 1.2);
    EXPECT_EQ(nothing.shown.drives, then.shown.drives) << "no such ripple";
}

TEST_F(RasterTest, ARainbowIsEvenAndAsBrightOnEveryType) {
    auto made = rainbowRipple(*show, lamps, 0.8, shipped, mixes);
    ASSERT_TRUE(made) << made.error().text();
    made->name = "rainbow";
    add(*made);
    put();
    const colour::OklabSpace space(colour::toXyz(colour::planckianUv({show->white_cct_k})));
    for (const std::uint32_t lamp : {0u, 2u}) { // gannet-8, petrel-4
        std::vector<double> bright, chords;
        for (std::size_t s = 0; s < made->steps.size(); ++s) {
            const auto light = stepLight(s, lamp);
            EXPECT_LT(off(colour::toUv(light), made->steps[s].uv), 1e-3) << "in reach of all";
            bright.push_back(light.Y);
            const auto next = stepLight((s + 1) % made->steps.size(), lamp);
            chords.push_back(colour::distance(space.from(colour::toXyz(colour::toUv(light))),
                                              space.from(colour::toXyz(colour::toUv(next)))));
        }
        const auto [dim, most] = std::minmax_element(bright.begin(), bright.end());
        EXPECT_LT(*most / *dim, 1.02) << "lamp " << lamp;
        const auto [least, largest] = std::minmax_element(chords.begin(), chords.end());
        EXPECT_LT(*largest / *least, 1.05) << "lamp " << lamp;
    }
    // Between the steps too, while it runs.
    press(What::RippleStart, 0);
    for (const std::uint32_t lamp : {0u, 2u}) {
        double dim = HUGE_VAL, most = 0;
        for (double t = 0; t < 6; t += 0.05) {
            uv(t, lamp);
            const Moment& m = playing->newest();
            light::Drives d(compiled_->program->parts(lamp));
            std::copy_n(m.shown.drives.begin() + compiled_->program->first[lamp], d.size(),
                        d.begin());
            const double Y = compiled_->mixers[lamp]->xyzOf(d).Y;
            dim = std::min(dim, Y);
            most = std::max(most, Y);
        }
        EXPECT_LT(most / dim, 1.02) << "lamp " << lamp << " on its way";
    }
}

TEST_F(RasterTest, NoRainbowWithoutColours) {
    EXPECT_FALSE(rainbowRipple(*show, {}, 0.8, shipped, mixes));
    EXPECT_FALSE(rainbowRipple(*show, {{99}}, 0.8, shipped, mixes));
    EXPECT_FALSE(rainbowRipple(*show, lamps, 0, shipped, mixes));
}

TEST_F(RasterTest, StepsOutOfReachAreToldWithTheirLamps) {
    add(ripple({kOrange, "xy:0.1,0.75"})); // a green that only the spectrum has
    put();
    const auto out = outOfReach(*compiled_, {1});
    ASSERT_EQ(out.size(), 1u);
    EXPECT_EQ(out[0].step, 1u);
    EXPECT_EQ(out[0].lamps, lamps);
    EXPECT_NEAR(out[0].miss_uv, off(colour::toUv(stepLight(1, 0)), asked("xy:0.1,0.75")), 0.05);
    EXPECT_TRUE(outOfReach(*compiled_, {2}).empty());
}

TEST_F(RasterTest, StepsAreMixedTogetherAllRound) {
    const auto mixer = std::make_shared<const mix::Mixer>(test::shippedMixer("gannet-8"));
    std::vector<light::Drives> alone;
    for (const char* colour : {"cct:3200", "cct:4500", "cct:6500", "xy:0.4,0.42"}) {
        mix::MixWish wish;
        wish.intent = mix::Intent::Kindest;
        alone.push_back(mixer->solve(light::wantedUv(asked(colour)), wish).drives);
        wish.intent = mix::Intent::Brightest;
        alone.push_back(mixer->solve(light::wantedUv(asked(colour)), wish).drives);
    }
    auto together = alone;
    route::mixRound(*mixer, together);
    const auto largest = [](const std::vector<light::Drives>& round) {
        double most = 0;
        for (std::size_t i = 0; i < round.size(); ++i)
            for (std::size_t e = 0; e < round[i].size(); ++e)
                most = std::max(most, std::abs(round[(i + 1) % round.size()][e] - round[i][e]));
        return most;
    };
    EXPECT_LT(largest(together), 0.9 * largest(alone)) << "the last meets the first too";
    for (std::size_t i = 0; i < alone.size(); ++i) {
        const auto before = mixer->xyzOf(alone[i]);
        const auto after = mixer->xyzOf(together[i]);
        EXPECT_LT(off(colour::toUv(before), colour::toUv(after)), 1e-4);
        EXPECT_NEAR(after.Y / before.Y, 1, 1e-3);
    }
}

TEST_F(RasterTest, NudgesByHandLieOverIt) {
    add(ripple({kOrange, kBlue}));
    put();
    press(What::RippleStart, 0);
    press(What::RippleFreeze, 0.1);
    const Uv before = uv(0.1), other = uv(0.1, 1);
    hand = show::nudgedBy({show, hand}, {lamps[0]}, [](show::FixtureId) { return Uv{-0.01, 0}; });
    put(0.2);
    EXPECT_LT(off(uv(0.2), before), 1e-6) << "no jump";
    EXPECT_NEAR(uv(1.3).u - before.u, -0.01, 1e-3);
    EXPECT_LT(off(uv(1.3, 1), other), 1e-9) << "the others stay";
    hand = show::withoutTrims({show, hand}, {lamps[0]}).hand;
    put(1.4);
    EXPECT_LT(off(uv(3), before), 1e-6);
}

TEST_F(RasterTest, AnOffsetLampIsAskedTheOtherWay) {
    show::Fixture f = *show->fixture(lamps[1]);
    show::Calibration calibration;
    calibration.off = {0.01, 0};
    f.calibration = std::make_shared<const show::Calibration>(calibration);
    show = *show::changeFixture(show, f);
    add(ripple({kOrange, kBlue}));
    put();
    press(What::RippleStart, 0);
    EXPECT_NEAR(uv(0.1, 1).u - uv(0.1, 0).u, -0.01, 1e-3);
}

} // namespace
} // namespace zelo::play
