// SPDX-License-Identifier: GPL-3.0-or-later
// Laws and second methods: what must hold for every mix, whatever the fixture.
#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/rendering.h"
#include "mix/gamut_solid.h"
#include "mix/miss.h"
#include "mix/mix.h"
#include "mix/rounding.h"
#include "support/general_solvers.h"
#include "support/test_types.h"

#include <gtest/gtest.h>
#include <random>

namespace zelo::mix {
namespace {

using colour::Uv;
using colour::Xyz;
using test::kEight;
using test::kFive;
using test::kFour;
using test::kThree;
using test::typeOf;

Mixer mixerOf(const std::vector<test::EmitterSpec>& emitters, int bytes = 1, bool dimmer = true) {
    auto type = typeOf(emitters, bytes, dimmer);
    return Mixer(type, type->modes[0]);
}

MixWish brightestWish() {
    MixWish wish;
    wish.intent = Intent::Brightest;
    return wish;
}

// Colours that drives make: in reach by construction.
std::vector<Xyz> coloursInReach(const Mixer& mixer, int count, unsigned seed) {
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> part(0, 1);
    std::vector<Xyz> colours;
    while (static_cast<int>(colours.size()) < count) {
        light::Drives d(mixer.emitters().size());
        for (double& x : d) {
            const double r = part(random);
            x = r * r * r; // often small: saturated colours too
        }
        const Xyz c = mixer.xyzOf(d);
        if (c.Y > 0)
            colours.push_back(c);
    }
    return colours;
}

TEST(Brightest, AgreesWithALinearProgram) {
    for (const auto& emitters : {kThree, kFour, kFive, kEight}) {
        const auto mixer = mixerOf(emitters);
        const GamutSolid solid(mixer.emitters());
        for (const Xyz& c : coloursInReach(mixer, 300, 5)) {
            const Xyz d = (1 / c.Y) * c;
            const auto end = solid.brightest(d);
            ASSERT_TRUE(end);
            const double lp = test::brightestByLinearProgram(mixer.emitters(), d);
            EXPECT_NEAR(end->t / lp, 1, 1e-9) << emitters.size() << " emitters";
            const Xyz made = mixer.xyzOf(end->drives);
            EXPECT_NEAR(made.X / (end->t * d.X), 1, 1e-9);
            EXPECT_NEAR(made.Y / (end->t * d.Y), 1, 1e-9);
            for (const double a : end->drives) {
                EXPECT_GE(a, 0);
                EXPECT_LE(a, 1);
            }
        }
    }
}

TEST(Mix, LawsThatAlwaysHold) {
    for (const auto& emitters : {kThree, kFour, kFive, kEight}) {
        const auto mixer = mixerOf(emitters);
        for (const Xyz& c : coloursInReach(mixer, 120, 21))
            for (const auto intent : {Intent::Brightest, Intent::Truest, Intent::Leanest})
                for (const double give_up : {0.0, 0.3, 0.9}) {
                    MixWish wish;
                    wish.intent = intent;
                    wish.give_up = give_up;
                    const Mix mix = mixer.solve(test::wantedXyz(c), wish);
                    ASSERT_EQ(mix.end, MixEnd::InReach);
                    EXPECT_LT(mix.miss_uv, 1e-6);
                    EXPECT_GE(mix.got.Y, (1 - give_up) * mix.brightest_cd * (1 - 1e-7));
                    EXPECT_LE(mix.got.Y, mix.brightest_cd * (1 + 1e-9));
                    for (const double a : mix.drives) {
                        EXPECT_GE(a, 0);
                        EXPECT_LE(a, 1);
                    }
                }
    }
}

TEST(Mix, BrightnessDoesNotChangeTheAnswer) { // a scaled colour is the same colour
    const auto mixer = mixerOf(kEight);
    for (const Xyz& c : coloursInReach(mixer, 50, 4)) {
        const Mix a = mixer.solve(test::wantedXyz(c), {});
        const Mix b = mixer.solve(test::wantedXyz(17.0 * c), {});
        for (std::size_t e = 0; e < a.drives.size(); ++e)
            EXPECT_NEAR(a.drives[e], b.drives[e], 1e-9);
    }
}

TEST(Truest, AgreesWithAGeneralSolver) {
    for (const auto& emitters : {kFive, kEight}) {
        const auto mixer = mixerOf(emitters);
        for (const double k : {2400.0, 3200.0, 4300.0, 5600.0, 9000.0}) {
            const auto wanted = test::wantedSpectrum(colour::lampOf({k}));
            const Mix mix = mixer.solve(wanted, {});
            ASSERT_EQ(mix.end, MixEnd::InReach);
            MixWish brightest;
            brightest.intent = Intent::Brightest;
            const auto start = mixer.solve(wanted, brightest).drives.scaled(0.7);
            const double general = test::truestByGeneralSolver({mixer, wanted, mix.got.Y}, start);
            EXPECT_NEAR(mixer.spectralMiss(mix.drives, *wanted.spectrum), general, 1e-6) << k;
        }
    }
}

TEST(Truest, IsNeverFurtherThanBrightest) {
    const auto mixer = mixerOf(kEight);
    std::mt19937 random(9);
    std::uniform_real_distribution<double> k(1800, 12000);
    for (int i = 0; i < 100; ++i) {
        const auto wanted = test::wantedSpectrum(colour::lampOf({k(random)}));
        MixWish wish;
        wish.intent = Intent::Brightest;
        const Mix bright = mixer.solve(wanted, wish);
        const Mix truest = mixer.solve(wanted, {});
        EXPECT_LE(mixer.spectralMiss(truest.drives, *wanted.spectrum),
                  mixer.spectralMiss(bright.drives, *wanted.spectrum) + 1e-9);
    }
}

TEST(Truest, MovesContinuouslyWithTheColour) {
    const auto mixer = mixerOf(kEight);
    std::optional<light::Drives> last;
    for (double m = 120; m < 500; m += 0.25) { // a quarter mired at a time
        const auto wanted = test::wantedSpectrum(colour::blackbody(toKelvin({m})));
        const auto drives = mixer.solve(wanted, {}).drives;
        if (last)
            for (std::size_t e = 0; e < drives.size(); ++e)
                EXPECT_LT(std::abs(drives[e] - (*last)[e]), 0.02) << m << " mired, emitter " << e;
        last = drives;
    }
}

double leastPowerByLinearProgram(const Mixer& mixer, const Xyz& d, double y) {
    glp_term_out(GLP_OFF);
    glp_prob* lp = glp_create_prob();
    const int n = static_cast<int>(mixer.emitters().size());
    glp_add_rows(lp, 3);
    glp_add_cols(lp, n);
    for (int r = 1; r <= 3; ++r) {
        const double want = r == 1 ? d.X : r == 2 ? d.Y : d.Z;
        glp_set_row_bnds(lp, r, GLP_FX, y * want / d.Y, y * want / d.Y);
    }
    for (int j = 1; j <= n; ++j) {
        const Xyz& m = mixer.emitters()[static_cast<std::size_t>(j - 1)];
        int rows[4] = {0, 1, 2, 3};
        double values[4] = {0, m.X, m.Y, m.Z};
        glp_set_mat_col(lp, j, 3, rows, values);
        glp_set_col_bnds(lp, j, GLP_DB, 0, 1);
        glp_set_obj_coef(lp, j, mixer.type().emitters[static_cast<std::size_t>(j - 1)].power_w);
    }
    glp_smcp settings;
    glp_init_smcp(&settings);
    settings.msg_lev = GLP_MSG_OFF;
    EXPECT_EQ(glp_simplex(lp, &settings), 0);
    const double least = glp_get_obj_val(lp);
    glp_delete_prob(lp);
    return least;
}

TEST(Leanest, IsTheOptimumOfALinearProgram) {
    for (const auto& emitters : {kFour, kFive, kEight}) {
        auto type = std::make_shared<light::FixtureType>(*typeOf(emitters));
        for (std::size_t e = 0; e < type->emitters.size(); ++e)
            type->emitters[e].power_w = 5 + 7.0 * static_cast<double>((3 * e) % 5);
        const Mixer mixer(type, type->modes[0]);
        for (const Xyz& c : coloursInReach(mixer, 60, 19)) {
            MixWish wish;
            wish.intent = Intent::Leanest;
            const Mix mix = mixer.solve(test::wantedXyz(c), wish);
            EXPECT_LT(mix.miss_uv, 1e-6);
            EXPECT_NEAR(mix.ofBrightest(), 0.7, 1e-6);
            const double lp = leastPowerByLinearProgram(mixer, c, mix.got.Y);
            EXPECT_NEAR(mixer.powerOf(mix.drives) / lp, 1, 1e-5) << emitters.size();
        }
    }
}

double kindnessOf(const Mixer& mixer, const light::Drives& drives, const light::Wanted& wanted) {
    const auto light = light::spectrumOf(mixer.type(), drives);
    const auto cct = colour::cctOf(wanted.uv());
    return colour::indicesMeanSomething(cct)
               ? colour::tm30Of(light, cct->cct).rf
               : colour::agreementOf(*wanted.spectrum, light, colour::lampOf({4300}));
}

TEST(Kindest, IsNeverWorseThanTheOthersAndKeepsTheColour) {
    const auto mixer = mixerOf(kEight);
    std::vector<colour::Spectrum> lights{colour::blackbody({2700}), colour::lampOf({4500}),
                                         colour::lampOf({8000})};
    lights.push_back(colour::blackbody({3200}) * test::lineSpectrum(590, 80, 1)); // amber
    lights.push_back(colour::lampOf({5600}) * test::lineSpectrum(470, 70, 1));    // blue
    double gained = 0;
    for (const auto& light : lights)
        for (const double give_up : {0.1, 0.3, 0.6}) {
            const auto wanted = test::wantedSpectrum(light);
            MixWish wish;
            wish.give_up = give_up;
            const Mix truest = mixer.solve(wanted, wish);
            wish.intent = Intent::Leanest;
            const Mix lean = mixer.solve(wanted, wish);
            wish.intent = Intent::Kindest;
            const Mix kind = mixer.solve(wanted, wish);
            EXPECT_LT(kind.miss_uv, 1e-6);
            EXPECT_GE(kind.got.Y, (1 - give_up) * kind.brightest_cd * (1 - 1e-7));
            const double score = kindnessOf(mixer, kind.drives, wanted);
            EXPECT_GE(score, kindnessOf(mixer, truest.drives, wanted) - 1e-6);
            EXPECT_GE(score, kindnessOf(mixer, lean.drives, wanted) - 1e-6);
            gained += score - kindnessOf(mixer, truest.drives, wanted);
        }
    EXPECT_GT(gained, 5) << "a search that never finds anything better is none";
}

TEST(Kindest, WithThreeEmittersThereIsNothingToChoose) {
    const auto mixer = mixerOf(kThree);
    const auto wanted = test::wantedSpectrum(colour::blackbody({3200}));
    MixWish wish;
    const Mix truest = mixer.solve(wanted, wish);
    for (const auto intent : {Intent::Kindest, Intent::Leanest}) {
        wish.intent = intent;
        const Mix mix = mixer.solve(wanted, wish);
        for (std::size_t e = 0; e < 3; ++e)
            EXPECT_NEAR(mix.drives[e], truest.drives[e], 1e-9);
    }
}

TEST(Mix, OutOfReachTakesTheNearestColour) {
    const auto mixer = mixerOf(kEight);
    std::mt19937 random(17);
    std::uniform_real_distribution<double> u(0.01, 0.6);
    std::uniform_real_distribution<double> v(0.05, 0.59);
    int outside = 0;
    for (int i = 0; i < 400; ++i) {
        const Uv uv{u(random), v(random)};
        if (colour::toXyz(uv).Z < 0)
            continue;
        const Mix mix = mixer.solve(test::wantedXyz(colour::toXyz(uv)), {});
        const double distance = mixer.hull().nearest(uv).distance;
        if (distance <= 1e-9)
            continue;
        ++outside;
        EXPECT_EQ(mix.end, MixEnd::OutOfReach);
        EXPECT_NEAR(mix.miss_uv, distance, 1e-9);
    }
    EXPECT_GT(outside, 50);
}

TEST(Mix, NearestOfTheSameHueLiesOnTheWayToWhite) {
    const auto mixer = mixerOf(kThree);
    MixWish wish;
    wish.out_of_reach = OutOfReach::SameHue;
    wish.white = colour::planckianUv({4300});
    const Uv asked{0.05, 0.52};
    const Mix mix = mixer.solve(test::wantedXyz(colour::toXyz(asked)), wish);
    ASSERT_EQ(mix.end, MixEnd::OutOfReach);
    const Uv got = colour::toUv(mix.got);
    EXPECT_NEAR(colour::cross(got - wish.white, asked - wish.white), 0, 1e-9);
    EXPECT_GE(mix.miss_uv, mixer.hull().nearest(asked).distance);
}

TEST(Mix, KeepOutsAndPinsAreKept) {
    const auto mixer = mixerOf(kEight);
    const auto wanted = test::wantedSpectrum(colour::blackbody({3200}));
    MixWish wish;
    wish.keep_out = {2, 5};
    wish.pins = {{3, 0.4}};
    const Mix mix = mixer.solve(wanted, wish);
    EXPECT_EQ(mix.end, MixEnd::InReach);
    EXPECT_EQ(mix.drives[2], 0);
    EXPECT_EQ(mix.drives[5], 0);
    EXPECT_EQ(mix.drives[3], 0.4);
    EXPECT_LT(mix.miss_uv, 1e-6);
}

TEST(Mix, APinThatSpoilsTheColourStillGetsTheNearest) {
    const auto mixer = mixerOf(kThree);
    MixWish wish;
    wish.pins = {{2, 1.0}}; // blue at full, a warm white wanted
    const auto wanted = test::wantedSpectrum(colour::blackbody({2000}));
    const Mix mix = mixer.solve(wanted, wish);
    EXPECT_EQ(mix.end, MixEnd::OutOfReach);
    EXPECT_EQ(mix.drives[2], 1);
    // No drives of the two others come nearer: a grid, and finer ones about its best.
    double least = HUGE_VAL;
    light::Drives best(3, 0.5);
    best[2] = 1;
    for (double step = 0.05; step > 1e-9; step /= 5) {
        const light::Drives about = best;
        for (int r = -10; r <= 10; ++r)
            for (int g = -10; g <= 10; ++g) {
                light::Drives d = about;
                d[0] = std::clamp(about[0] + r * step, 0.0, 1.0);
                d[1] = std::clamp(about[1] + g * step, 0.0, 1.0);
                const double miss = colour::distance(colour::toUv(mixer.xyzOf(d)), wanted.uv());
                if (miss < least) {
                    least = miss;
                    best = d;
                }
            }
    }
    EXPECT_NEAR(mix.miss_uv, least, 1e-7);
}

TEST(Mix, WishesAreChecked) {
    MixWish wish;
    wish.give_up = 1.4;
    EXPECT_NE(wish.check(4).error().text().find("give-up 1.4"), std::string::npos);
    wish = {};
    wish.keep_out = {4};
    EXPECT_FALSE(wish.check(4));
    wish = {};
    wish.keep_out = {1};
    wish.pins = {{1, 0.5}};
    EXPECT_FALSE(wish.check(4));
    wish = {};
    wish.pins = {{1, NAN}};
    EXPECT_FALSE(wish.check(4));
}

// --- degenerate fixtures: right answers, never NaN -------------------------------------------

void expectSound(const Mix& mix) {
    for (const double a : mix.drives) {
        EXPECT_TRUE(a >= 0 && a <= 1) << a;
    }
    EXPECT_TRUE(std::isfinite(mix.got.Y) && std::isfinite(mix.miss_uv));
}

TEST(Degenerate, OneEmitterMakesOneColour) {
    const auto mixer = mixerOf({{600, 10, 1000}});
    const Mix mix = mixer.solve(test::wantedSpectrum(colour::blackbody({3200})), {});
    expectSound(mix);
    EXPECT_EQ(mix.end, MixEnd::OutOfReach);
    EXPECT_NEAR(mix.brightest_cd, 1000, 1e-6);
    const Mix own = mixer.solve(test::wantedXyz(mixer.emitters()[0]), brightestWish());
    EXPECT_EQ(own.end, MixEnd::InReach);
    EXPECT_NEAR(own.got.Y, 1000, 1e-6);
}

TEST(Degenerate, TwoEmittersMakeALine) {
    const auto mixer = mixerOf({{630, 10, 1000}, {530, 15, 2000}});
    light::Drives d(2);
    d[0] = 0.3;
    d[1] = 0.6;
    const Mix mix = mixer.solve(test::wantedXyz(mixer.xyzOf(d)), brightestWish());
    expectSound(mix);
    EXPECT_EQ(mix.end, MixEnd::InReach);
    EXPECT_NEAR(mix.drives[0], 0.5, 1e-7);
    EXPECT_NEAR(mix.drives[1], 1, 1e-9);
    expectSound(mixer.solve(test::wantedSpectrum(colour::blackbody({6500})), {}));
}

TEST(Degenerate, TwinsShareTheWork) {
    const auto mixer = mixerOf({{630, 10, 500}, {630, 10, 500}, {525, 18, 3300}, {462, 12, 560}});
    const auto single = mixerOf({{630, 10, 1000}, {525, 18, 3300}, {462, 12, 560}});
    const auto wanted = test::wantedSpectrum(colour::blackbody({2700}));
    const Mix mix = mixer.solve(wanted, brightestWish());
    expectSound(mix);
    EXPECT_LT(mix.miss_uv, 1e-8);
    EXPECT_NEAR(mix.got.Y, single.solve(wanted, brightestWish()).got.Y, 1e-5);
    expectSound(mixer.solve(wanted, {}));
}

TEST(Degenerate, EmittersOnOneLineOfTheDiagram) {
    // The third is a mixture of the first two: collinear, and between them.
    auto type = std::make_shared<light::FixtureType>(
        *typeOf({{630, 10, 1000}, {530, 15, 2000}, {580, 1, 1}, {462, 12, 500}}));
    type->emitters[2].spectrum =
        type->emitters[0].spectrum.scaled(0.5) + type->emitters[1].spectrum.scaled(0.5);
    const Mixer mixer(type, type->modes[0]);
    EXPECT_EQ(mixer.hull().corners().size(), 3u);
    for (const Xyz& c : coloursInReach(mixer, 100, 6)) {
        const Mix mix = mixer.solve(test::wantedXyz(c), brightestWish());
        expectSound(mix);
        EXPECT_LT(mix.miss_uv, 1e-7);
        const double lp = test::brightestByLinearProgram(mixer.emitters(), (1 / c.Y) * c);
        EXPECT_NEAR(mix.got.Y / lp, 1, 1e-7);
    }
    // On the edge itself all three work together.
    light::Drives d(4);
    d[0] = d[1] = d[2] = 1;
    const Mix rim = mixer.solve(test::wantedXyz(mixer.xyzOf(d)), brightestWish());
    EXPECT_NEAR(rim.got.Y, mixer.xyzOf(d).Y, 1e-5);
}

TEST(Degenerate, DarkAndUltravioletEmitters) {
    const auto mixer = mixerOf({{630, 10, 1800}, {525, 18, 0}, {462, 12, 560}, {382, 3, 0.02}});
    EXPECT_FALSE(mixer.usable(1));
    const auto wanted = test::wantedXyz(colour::toXyz(Uv{0.35, 0.35}));
    const Mix mix = mixer.solve(wanted, {});
    expectSound(mix);
    EXPECT_EQ(mix.drives[1], 0);
    const auto dark = mixerOf({{630, 10, 0}, {525, 18, 0}});
    const Mix none = dark.solve(wanted, {});
    expectSound(none);
    EXPECT_EQ(none.end, MixEnd::Dark);
    EXPECT_TRUE(dark.hull().empty());
}

TEST(Degenerate, SixteenEmitters) {
    std::vector<test::EmitterSpec> many;
    for (int i = 0; i < 16; ++i)
        many.push_back({440.0 + 15 * i, 12, 300.0 + 50 * (i % 5)});
    const auto mixer = mixerOf(many);
    for (const Xyz& c : coloursInReach(mixer, 60, 3)) {
        const Mix bright = mixer.solve(test::wantedXyz(c), brightestWish());
        expectSound(bright);
        EXPECT_NEAR(bright.got.Y / test::brightestByLinearProgram(mixer.emitters(), (1 / c.Y) * c),
                    1, 1e-8);
        const Mix truest = mixer.solve(test::wantedXyz(c), {});
        expectSound(truest);
        EXPECT_LT(truest.miss_uv, 1e-6);
        expectSound(mixer.solve(test::wantedXyz(colour::toXyz(Uv{0.6, 0.5})), {}));
    }
}

TEST(Degenerate, EverythingKeptOutIsDark) {
    const auto mixer = mixerOf(kThree);
    MixWish wish;
    wish.keep_out = {0, 1, 2};
    const Mix mix = mixer.solve(test::wantedSpectrum(colour::blackbody({3200})), wish);
    EXPECT_EQ(mix.end, MixEnd::Dark);
    EXPECT_EQ(mix.got.Y, 0);
}

// --- rounding --------------------------------------------------------------------------------

double meanRoundingError(const Mixer& mixer, bool together, unsigned seed = 31) {
    double sum = 0;
    int count = 0;
    for (const Xyz& c : coloursInReach(mixer, 120, seed)) {
        const Mix mix = mixer.solve(test::wantedXyz(c), {});
        const double dim = 0.05;
        const auto sent =
            together ? rounded(mixer, mix.drives, dim) : roundedAlone(mixer, mix.drives, dim);
        if (!colour::hasChromaticity(sent.xyz))
            continue;
        sum += colour::distance(colour::toUv(sent.xyz), colour::toUv(mix.got));
        ++count;
    }
    return sum / count;
}

TEST(Rounding, TogetherHalvesTheErrorOfRoundingAlone) { // 8 bit, 5 %, no dimmer
    for (const auto& emitters : {kFive, kEight}) {
        const auto mixer = mixerOf(emitters, 1, false);
        for (const unsigned seed : {31u, 32u, 33u, 34u, 35u, 36u})
            EXPECT_LE(meanRoundingError(mixer, true, seed),
                      0.5 * meanRoundingError(mixer, false, seed))
                << emitters.size() << " emitters, colours " << seed;
    }
    for (const auto& emitters : {kThree, kFour}) {
        const auto mixer = mixerOf(emitters, 1, false);
        EXPECT_LT(meanRoundingError(mixer, true), meanRoundingError(mixer, false))
            << emitters.size() << " emitters";
    }
}

TEST(Rounding, KeepsTheBrightness) {
    for (const int bytes : {1, 2}) {
        const auto mixer = mixerOf(kEight, bytes, false);
        for (const Xyz& c : coloursInReach(mixer, 60, 12)) {
            const Mix mix = mixer.solve(test::wantedXyz(c), {});
            const auto sent = rounded(mixer, mix.drives, 0.4);
            EXPECT_NEAR(sent.xyz.Y / (0.4 * mix.got.Y), 1, 0.1001);
        }
    }
}

TEST(Rounding, SixteenBitIsFinerThanTheEye) {
    const auto mixer = mixerOf(kEight, 2, true);
    for (const Xyz& c : coloursInReach(mixer, 60, 13)) {
        const Mix mix = mixer.solve(test::wantedXyz(c), {});
        const auto sent = rounded(mixer, mix.drives, 1);
        EXPECT_LT(colour::distance(colour::toUv(sent.xyz), colour::toUv(mix.got)), 5e-5);
    }
}

TEST(Rounding, IntensityGoesToTheDimmerWhereThereIsOne) {
    const auto mixer = mixerOf(kThree, 1, true);
    light::Drives d(3, 0.5);
    const auto sent = rounded(mixer, d, 0.2);
    EXPECT_EQ(sent.values[0], 51u);
    EXPECT_NEAR(sent.values[1], 127.5, 1.5);
    const auto none = rounded(mixer, d, 0);
    EXPECT_EQ(none.xyz.Y, 0);
    const auto virtual_dimmer = mixerOf(kThree, 1, false);
    EXPECT_EQ(rounded(virtual_dimmer, d, 0).xyz.Y, 0);
    EXPECT_NEAR(rounded(virtual_dimmer, d, 0.2).values[0], 25.5, 2.6) << "10 % are free";
}

// As files say DMXFrom and DMXTo: below and above these values the channel does something else.
TEST(Rounding, ValuesStayWithinTheirChannelFunction) {
    auto type = *typeOf(kFive, 1, false);
    for (auto& c : type.modes[0].channels) {
        c.first = 10;
        c.last = 240;
        c.home = 0;
    }
    const auto shared = std::make_shared<light::FixtureType>(type);
    const Mixer mixer(shared, shared->modes[0]);
    for (const Xyz& c : coloursInReach(mixer, 60, 14)) {
        const Mix mix = mixer.solve(test::wantedXyz(c), brightestWish());
        for (const double dim : {0.02, 1.0}) {
            const auto sent = rounded(mixer, mix.drives, dim);
            for (std::size_t i = 0; i < sent.values.size(); ++i) {
                EXPECT_GE(sent.values[i], 10u) << dim;
                EXPECT_LE(sent.values[i], 240u) << dim;
            }
        }
    }
}

// A flag that is pinned before five emitters, one of them burning by itself.
TEST(Rounding, WhatStandsInTheBeamAndWhatBurnsAreCounted) {
    auto type = *typeOf(kFive, 1, false);
    colour::Grid density{};
    for (std::size_t i = 0; i < density.size(); ++i)
        density[i] = i < 200 ? 1.2 : 0.1; // takes blue
    type.flags.push_back({"Amber", {{1, colour::Spectrum(density)}}});
    light::Channel flag;
    flag.role = light::Role::Part;
    flag.part = 5;
    flag.name = flag.attribute = "Amber";
    flag.offsets = {6};
    type.modes[0].channels.push_back(flag);
    type.modes[0].footprint = 6;
    type.emitters[2].source = true;
    type.emitters[2].spectrum = type.emitters[2].spectrum.scaled(0.02);
    type.modes[0].channels.erase(type.modes[0].channels.begin() + 2);
    const auto shared = std::make_shared<light::FixtureType>(type);
    const Mixer mixer(shared, shared->modes[0]);
    double together = 0;
    double alone = 0;
    std::mt19937 random(15);
    std::uniform_real_distribution<double> share(0, 1);
    for (int i = 0; i < 60; ++i) {
        light::Drives d(6, 0);
        for (std::size_t e = 0; e < 5; ++e)
            d[e] = e == 2 ? 1 : 0.03 + 0.05 * share(random);
        d[5] = 0.5;
        const Uv uv = colour::toUv(light::xyzOf(type, d));
        together += colour::distance(colour::toUv(rounded(mixer, d, 1).xyz), uv);
        alone += colour::distance(colour::toUv(roundedAlone(mixer, d, 1).xyz), uv);
    }
    EXPECT_LE(together, 0.5 * alone);
}

// --- words, hulls ----------------------------------------------------------------------------

TEST(Miss, GradesAndWays) {
    EXPECT_EQ(gradeOf(0.0009), MissGrade::Same);
    EXPECT_EQ(gradeOf(0.001), MissGrade::SideBySide);
    EXPECT_EQ(gradeOf(0.0059), MissGrade::Close);
    EXPECT_EQ(gradeOf(0.0149), MissGrade::Visible);
    EXPECT_EQ(gradeOf(0.015), MissGrade::Different);
    const Uv white{0.21, 0.49};
    const Uv red{0.40, 0.52};
    EXPECT_EQ(wayOf(red, red + 0.1 * (white - red), white), MissWay::Paler);
    EXPECT_EQ(wayOf(red, red + 0.1 * (red - white), white), MissWay::Deeper);
    EXPECT_EQ(wayOf(white, {0.24, 0.49}, white), MissWay::Redder);
    EXPECT_EQ(wayOf(white, {0.18, 0.51}, white), MissWay::Greener);
    EXPECT_EQ(wayOf(white, {0.20, 0.45}, white), MissWay::Bluer);
    EXPECT_EQ(wayOf(white, white, white), MissWay::None);
}

} // namespace
} // namespace zelo::mix
