// SPDX-License-Identifier: GPL-3.0-or-later
// Pins and keep-outs against a linear program that has them as bounds: what is in reach, how bright
// it gets, what it costs; also where few emitters are left free, or all of them lie in one plane.
#include "mix/gamut_solid.h"
#include "mix/mix.h"
#include "support/shipped.h"
#include "support/test_types.h"

#include <glpk.h>
#include <gtest/gtest.h>
#include <random>

namespace zelo::mix {
namespace {

using colour::Xyz;
using light::Drives;
using test::kEight;
using test::kFive;
using test::kFour;
using test::kThree;

Mixer mixerOf(const std::vector<test::EmitterSpec>& emitters) {
    auto type = test::typeOf(emitters, 1, true);
    return Mixer(type, type->modes[0]);
}

// Largest (or least) cost · a, with the colour of d, Y of at least so much, and these bounds of
// each emitter; nothing when there is none.
std::optional<double> byLinearProgram(std::span<const Xyz> emitters, const MixWish& wish,
                                      const Xyz& d, double least_y, const std::vector<double>& cost,
                                      bool most) {
    const int n = static_cast<int>(emitters.size());
    double scale = 0;
    for (const Xyz& m : emitters)
        scale = std::max(scale, m.Y);
    glp_term_out(GLP_OFF);
    glp_prob* lp = glp_create_prob();
    glp_set_obj_dir(lp, most ? GLP_MAX : GLP_MIN);
    glp_add_rows(lp, 3);
    glp_add_cols(lp, n);
    glp_set_row_bnds(lp, 1, GLP_FX, 0, 0);
    glp_set_row_bnds(lp, 2, GLP_FX, 0, 0);
    glp_set_row_bnds(lp, 3, GLP_LO, least_y / scale, 0);
    for (int j = 1; j <= n; ++j) {
        const Xyz m = (1 / scale) * emitters[static_cast<std::size_t>(j - 1)];
        const int rows[] = {0, 1, 2, 3};
        const double values[] = {0, m.X - d.X / d.Y * m.Y, m.Z - d.Z / d.Y * m.Y, m.Y};
        glp_set_mat_col(lp, j, 3, rows, values);
        glp_set_col_bnds(lp, j, GLP_DB, 0, 1);
        glp_set_obj_coef(lp, j, cost[static_cast<std::size_t>(j - 1)]);
    }
    for (const std::size_t e : wish.keep_out)
        glp_set_col_bnds(lp, static_cast<int>(e) + 1, GLP_FX, 0, 0);
    for (const Pin& pin : wish.pins)
        glp_set_col_bnds(lp, static_cast<int>(pin.part) + 1, GLP_FX, pin.drive, pin.drive);
    glp_smcp settings;
    glp_init_smcp(&settings);
    settings.msg_lev = GLP_MSG_OFF;
    settings.tol_bnd = 1e-9;
    std::optional<double> best;
    if (glp_simplex(lp, &settings) == 0 && glp_get_status(lp) == GLP_OPT)
        best = glp_get_obj_val(lp);
    glp_delete_prob(lp);
    return best;
}

std::vector<double> brightnessOf(std::span<const Xyz> emitters) {
    std::vector<double> all;
    for (const Xyz& m : emitters)
        all.push_back(m.Y);
    return all;
}

// Pins and keep-outs of some emitters, and a colour that the rest makes with them.
struct Task {
    MixWish wish;
    Xyz colour;
    std::size_t free = 0;
};
Task taskOf(const Mixer& mixer, std::mt19937& random) {
    std::uniform_real_distribution<double> part(0, 1);
    const std::size_t n = mixer.emitters().size();
    Task task;
    Drives made(n);
    std::vector<std::size_t> order(n);
    for (std::size_t e = 0; e < n; ++e)
        order[e] = e;
    std::shuffle(order.begin(), order.end(), random);
    const std::size_t free = random() % (n + 1);
    for (std::size_t k = 0; k < n; ++k) {
        const std::size_t e = order[k];
        const double r = part(random);
        if (k < free)
            made[e] = r * r;
        else if (k > free && random() % 3 == 0)
            task.wish.keep_out.push_back(e);
        else
            task.wish.pins.push_back({e, made[e] = random() % 4 == 0 ? 1 : 0.05 + 0.9 * r});
    }
    task.free = free;
    task.colour = mixer.xyzOf(made);
    return task;
}

TEST(Pins, ReachAndBrightnessAreThoseOfALinearProgram) {
    std::mt19937 random(11);
    int few = 0, compared = 0;
    for (const auto& emitters : {kThree, kFour, kFive, kEight}) {
        const auto mixer = mixerOf(emitters);
        const auto cost = brightnessOf(mixer.emitters());
        for (int i = 0; i < 400; ++i) {
            const Task task = taskOf(mixer, random);
            if (!(task.colour.Y > 0) || task.wish.pins.empty())
                continue;
            MixWish wish = task.wish;
            wish.intent = Intent::Brightest;
            const Mix mix = mixer.solve(test::wantedXyz(task.colour), wish);
            ASSERT_EQ(mix.end, MixEnd::InReach)
                << emitters.size() << " emitters, " << task.free << " free, task " << i;
            EXPECT_LT(mix.miss_uv, 1e-8);
            for (const Pin& pin : wish.pins)
                EXPECT_EQ(mix.drives[pin.part], pin.drive);
            for (const std::size_t e : wish.keep_out)
                EXPECT_EQ(mix.drives[e], 0);
            const auto most = byLinearProgram(mixer.emitters(), wish, task.colour, 0, cost, true);
            if (!most) // its own tolerance says no where one point is all there is
                continue;
            EXPECT_NEAR(mix.got.Y / *most, 1, 1e-6) << task.free << " free, task " << i;
            ++compared;
            few += task.free <= 2;
        }
    }
    EXPECT_GT(compared, 900);
    EXPECT_GT(few, 200);
}

TEST(Pins, FreeEmittersInOnePlaneStillMix) {
    // Three on one line of the map: what they add up to lies in a plane.
    const Xyz a = colour::toXyz(colour::Uv{0.45, 0.52}), c = colour::toXyz(colour::Uv{0.15, 0.56});
    const std::vector<Xyz> flat{100.0 * a, 80.0 * a + 60.0 * c, 90.0 * c};
    const Xyz base = 20.0 * colour::toXyz(colour::Uv{0.2, 0.2});
    const GamutSolid solid(flat, base);
    std::mt19937 random(3);
    std::uniform_real_distribution<double> part(0, 1);
    for (int i = 0; i < 200; ++i) {
        Xyz made = base;
        for (const Xyz& m : flat)
            made += part(random) * m;
        const auto end = solid.brightest(made);
        ASSERT_TRUE(end) << i;
        Xyz got = base;
        for (std::size_t k = 0; k < 3; ++k)
            got += end->drives[k] * flat[k];
        EXPECT_LT(norm(got - end->t * made), 1e-7 * norm(got)) << "on the ray, at its end";
        EXPECT_NEAR(end->t, 1, 1e-7) << "through a plane the ray goes in one point";
    }
    EXPECT_FALSE(solid.brightest(colour::toXyz(colour::Uv{0.5, 0.53})));
    // All that is left is one line with the pins' own light.
    const GamutSolid line(std::vector<Xyz>{2.0 * base, 3.0 * base}, base);
    ASSERT_TRUE(line.brightest(base));
    EXPECT_NEAR(line.brightest(base)->t, 6, 1e-9);
    EXPECT_FALSE(line.brightest(a));
    const GamutSolid alone(std::vector<Xyz>{}, base);
    ASSERT_TRUE(alone.brightest(base));
    EXPECT_NEAR(alone.brightest(base)->t, 1, 1e-9);
}

TEST(Pins, NearestOfAFlatSolidIsTakenFromAllOfIt) {
    // Red, green and what is between them are left free: three in one plane. The blue is pinned.
    const auto given = test::typeOf(kThree, 1, true);
    auto type = std::make_shared<light::FixtureType>(*given);
    colour::Grid between{};
    for (std::size_t i = 0; i < between.size(); ++i)
        between[i] = 0.5 * (given->emitters[0].spectrum.values()[i] +
                            given->emitters[1].spectrum.values()[i]);
    type->emitters.push_back({"Amber", colour::Spectrum(between), false, 10});
    light::Channel channel = type->modes[0].channels.back();
    channel.part = 3;
    channel.offsets = {type->modes[0].footprint + 1};
    type->modes[0].channels.push_back(channel);
    type->modes[0].footprint += 1;
    const Mixer mixer(type, type->modes[0]);
    MixWish wish;
    wish.intent = Intent::Brightest;
    wish.pins = {{2, 1}};
    // Far from the blue: the more of all others, the nearer.
    const Mix mix = mixer.solve(light::wantedUv({0.30, 0.56}), wish);
    EXPECT_EQ(mix.end, MixEnd::OutOfReach);
    EXPECT_GT(mix.drives[0] + mix.drives[1] + mix.drives[3], 1.9);
    EXPECT_EQ(mix.drives[2], 1);
    const Mix blue = mixer.solve(light::wantedUv(colour::toUv(mixer.emitters()[2])), wish);
    EXPECT_LT(blue.miss_uv, mix.miss_uv);
    EXPECT_LT(blue.drives[0] + blue.drives[1] + blue.drives[3], 1e-6) << "the pin alone";
}

TEST(Pins, GiveUpIsABoundFromBelow) {
    std::mt19937 random(5);
    int checked = 0;
    for (const auto& emitters : {kFour, kFive, kEight}) {
        const auto mixer = mixerOf(emitters);
        std::vector<double> power;
        for (const auto& e : mixer.type().emitters)
            power.push_back(e.power_w);
        for (int i = 0; i < 60; ++i) {
            const Task task = taskOf(mixer, random);
            if (task.free < 3 || task.wish.pins.empty())
                continue;
            const auto wanted = test::wantedXyz(task.colour);
            for (const auto intent : {Intent::Truest, Intent::Leanest}) {
                double before = HUGE_VAL;
                for (const double give_up : {0.0, 0.2, 0.4, 0.6, 0.8, 1.0}) {
                    MixWish wish = task.wish;
                    wish.intent = intent;
                    wish.give_up = give_up;
                    const Mix mix = mixer.solve(wanted, wish);
                    ASSERT_EQ(mix.end, MixEnd::InReach);
                    EXPECT_LT(mix.miss_uv, 1e-6);
                    EXPECT_GE(mix.got.Y, (1 - give_up) * mix.brightest_cd * (1 - 1e-6));
                    EXPECT_LE(mix.got.Y, before * (1 + 1e-6))
                        << nameOf(intent) << " at " << give_up << ", task " << i;
                    before = mix.got.Y;
                    if (intent != Intent::Leanest)
                        continue;
                    const auto least = byLinearProgram(
                        mixer.emitters(), wish, task.colour,
                        (1 - give_up) * mix.brightest_cd * (1 - 1e-9), power, false);
                    if (!least)
                        continue;
                    EXPECT_NEAR(mixer.powerOf(mix.drives) / *least, 1, 1e-4)
                        << task.free << " free at " << give_up;
                    ++checked;
                }
            }
        }
    }
    EXPECT_GT(checked, 150);
}

TEST(Pins, ThePinAboveTheBoundKeepsTheIntent) {
    const auto mixer = test::shippedMixer("gannet-8");
    MixWish wish;
    wish.intent = Intent::Kindest;
    wish.pins = {{*mixer.type().partNamed("Lime"), 1}};
    const auto white = test::gelWanted("201");
    double before = HUGE_VAL;
    double best = 0;
    for (const double give_up : {0.3, 0.5, 0.6, 0.9}) {
        wish.give_up = give_up;
        const Mix mix = mixer.solve(white, wish);
        EXPECT_LE(mix.got.Y, before * (1 + 1e-6)) << give_up;
        before = mix.got.Y;
        best = std::max(best, mix.got.Y);
        EXPECT_LT(mix.got.Y, 0.99 * mix.brightest_cd) << "not simply all of it, at " << give_up;
    }
    const auto petrel = test::shippedMixer("petrel-4");
    MixWish lean;
    lean.intent = Intent::Leanest;
    lean.pins = {{3, 0.5}};
    const auto wanted = light::wantedUv({0.22, 0.48});
    lean.give_up = 0;
    const double all = petrel.solve(wanted, lean).got.Y;
    lean.give_up = 0.4;
    EXPECT_LT(petrel.solve(wanted, lean).got.Y, 0.7 * all);
}

} // namespace
} // namespace zelo::mix
