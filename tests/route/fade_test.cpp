// SPDX-License-Identifier: GPL-3.0-or-later
// Planned fades: against the vectors, and the bounds of the design.
#include "colour/cct.h"
#include "colour/oklab.h"
#include "files/gdtf_reader.h"
#include "route/fade.h"
#include "support/general_solvers.h"
#include "support/near_way.h"
#include "support/shipped.h"
#include "support/vectors.h"

#include <map>

namespace zelo::route {
namespace {

using colour::Uv;

std::shared_ptr<const mix::Mixer> mixerOf(const std::string& name) {
    static std::map<std::string, std::shared_ptr<const mix::Mixer>> all;
    auto& known = all[name];
    if (!known) {
        auto type = files::readGdtf(test::dataPath("reference/fixtures/" + name));
        EXPECT_TRUE(type.has_value());
        auto shared = std::make_shared<const light::FixtureType>(*type);
        known = std::make_shared<const mix::Mixer>(shared, shared->modes[0]);
    }
    return known;
}

light::Drives drivesOf(const nlohmann::json& j) {
    light::Drives d(j.size());
    for (std::size_t i = 0; i < j.size(); ++i)
        d[i] = j[i];
    return d;
}

struct Case {
    nlohmann::json row;
    std::shared_ptr<const mix::Mixer> mixer;
    light::Drives from, to;
    Uv white;
    std::string name;
};

const std::vector<Case>& cases() {
    static const auto found = [] {
        std::vector<Case> all;
        const auto routes = test::readJson("reference/routes.json");
        for (const auto& row : routes["routes"]) {
            const std::string fixture = row["fixture"];
            all.push_back({row, mixerOf(fixture), drivesOf(row["from_drives"]),
                           drivesOf(row["to_drives"]), Uv{row["white_uv"][0], row["white_uv"][1]},
                           fixture + " " + row["from"].get<std::string>() + " " +
                               row["to"].get<std::string>()});
        }
        return all;
    }();
    return found;
}

TEST(Levels, IsWhatAPlainDeskDoes) {
    for (const auto& c : cases()) {
        FadeWish wish;
        wish.kind = Kind::Levels;
        wish.white = c.white;
        wish.samples = 2001;
        const auto fade = planFade(*c.mixer, c.from, c.to, wish);
        ASSERT_TRUE(fade) << c.name;
        // Razorbill's channels are square law, the others' linear.
        const auto& expected =
            c.row["levels"][c.row["fixture"] == "Razorbill" ? "square" : "linear"];
        const double tolerance = c.row["fixture"] == "Dovekie" ? 1e-3 : 4e-4;
        for (int i = 0; i <= 10; ++i) {
            const auto& p = fade->points[static_cast<std::size_t>(200 * i)];
            EXPECT_NEAR(p.uv.u, expected["uv"][i][0].get<double>(), tolerance) << c.name;
            EXPECT_NEAR(p.uv.v, expected["uv"][i][1].get<double>(), tolerance) << c.name;
            const double y = expected["brightness_cd"][i];
            EXPECT_NEAR(p.brightness_cd / y, 1, 0.003) << c.name;
        }
        EXPECT_NEAR(fade->white_dip, expected["white_dip"].get<double>(), 0.01) << c.name;
    }
}

TEST(Fade, KeepOutsAndPinsOfBothEndsHoldAlongTheWay) {
    const auto type = test::shippedType("gannet-8");
    const mix::Mixer mixer(type, type->modes[0]);
    FadeWish wish;
    wish.white = colour::planckianUv({4300});
    wish.kind = Kind::Straight;
    wish.mixing.keep_out = {3};
    wish.mixing.pins = {{1, 0.2}};
    const auto from = mixer.solve(light::wantedUv({0.35, 0.5}), wish.mixing).drives;
    const auto to = mixer.solve(light::wantedUv({0.17, 0.46}), wish.mixing).drives;
    const auto fade = planFade(mixer, from, to, wish);
    ASSERT_TRUE(fade);
    for (const FadePoint& p : fade->points) {
        EXPECT_EQ(p.drives[3], 0) << p.t;
        EXPECT_NEAR(p.drives[1], 0.2, 1e-9) << p.t;
    }
    wish.mixing.keep_out = {99};
    EXPECT_FALSE(planFade(mixer, from, to, wish));
}

TEST(Fade, ADarkEndHasTheColourOfTheOther) {
    for (const auto& c : cases()) {
        const light::Drives dark(c.from.size(), 0.0);
        for (const bool up : {true, false})
            for (const auto kind : {Kind::Straight, Kind::Around}) {
                FadeWish wish;
                wish.white = c.white;
                wish.kind = kind;
                const auto fade = planFade(*c.mixer, up ? dark : c.to, up ? c.to : dark, wish);
                ASSERT_TRUE(fade) << c.name;
                const Uv lit = colour::toUv(c.mixer->xyzOf(c.to));
                EXPECT_LT(fade->white_dip, 0.02) << c.name;
                for (const FadePoint& p : fade->points) {
                    const auto xyz = c.mixer->xyzOf(p.drives);
                    if (colour::hasChromaticity(xyz) && xyz.Y > 1e-3)
                        EXPECT_LT(colour::distance(colour::toUv(xyz), lit), 2e-3)
                            << c.name << " " << p.t;
                }
            }
    }
}

TEST(Around, KeepsItsFloorAfterRounding) {
    for (const auto& c : cases())
        for (const double floor : {0.5, 0.8}) {
            FadeWish wish;
            wish.floor = floor;
            wish.white = c.white;
            const auto fade = planFade(*c.mixer, c.from.scaled(0.8), c.to.scaled(0.8), wish);
            ASSERT_TRUE(fade) << c.name;
            EXPECT_LE(fade->white_dip, 1 - floor + 0.02) << c.name;
            const auto disc = Disc::of(c.mixer->hull(), c.white);
            ASSERT_TRUE(disc);
            std::vector<Uv> sent;
            for (const auto& p : fade->points)
                if (const auto xyz = mix::rounded(*c.mixer, p.drives, 1).xyz;
                    colour::hasChromaticity(xyz))
                    sent.push_back(colour::toUv(xyz));
            EXPECT_LE(whiteDip(*disc, sent), 1 - floor + 0.02) << c.name << ", as sent";
        }
}

TEST(Around, EveryMixShowsItsColourAndBrightness) {
    for (const auto& c : cases()) {
        FadeWish wish;
        wish.white = c.white;
        const auto fade = planFade(*c.mixer, c.from.scaled(0.7), c.to.scaled(0.7), wish);
        ASSERT_TRUE(fade);
        for (const auto& p : fade->points) {
            const auto xyz = c.mixer->xyzOf(p.drives);
            EXPECT_LT(colour::distance(colour::toUv(xyz), p.uv), 1e-5) << c.name << " t " << p.t;
            EXPECT_NEAR(xyz.Y / p.brightness_cd, 1, 1e-5) << c.name;
            for (const double d : p.drives)
                EXPECT_TRUE(d >= 0 && d <= 1);
        }
    }
}

// The design's bound: max(0.03, 1.5 × the least possible) + 0.01. The vectors have the least for
// ends at full brightness and even pace.
TEST(Around, NoEmitterStepsMoreThanItMust) {
    int compared = 0;
    int looked = 0;
    for (const auto& c : cases())
        for (const auto& around : c.row["around"]) {
            if (!around.contains("least_drive_step") || around["least_drive_step"].is_null())
                continue;
            FadeWish wish;
            wish.floor = around["floor"];
            wish.white = c.white;
            if (around.contains("short") && around["short_clear"].get<bool>())
                wish.side = around["short"] == "ccw" ? Side::Ccw : Side::Cw;
            else
                continue;
            const auto fade = planFade(*c.mixer, c.from, c.to, wish);
            ASSERT_TRUE(fade);
            const double least = around["least_drive_step"];
            const double plain = around["drive_step_of_plain_brightest"];
            ++compared;
            const double bound = std::max(0.03, 1.5 * least) + 0.01;
            if (fade->largest_step > bound) {
                // The least depends on where the samples fall at the corners of the reach: ours.
                ++looked;
                std::vector<colour::Xyz> lights;
                for (const auto& p : fade->points)
                    lights.push_back(p.brightness_cd * colour::toXyz(p.uv));
                const double own =
                    test::leastStepByLinearProgram(c.mixer->emitters(), lights, c.from, c.to);
                EXPECT_LE(fade->largest_step, std::max(0.03, 1.5 * own) + 0.01)
                    << c.name << ": " << own << " would do";
            }
            EXPECT_LE(fade->largest_step, std::max(plain, bound) + 0.01)
                << c.name << ": worse than mixing sample by sample";
        }
    EXPECT_GT(compared, 60);
    EXPECT_LE(looked, compared / 10);
}

TEST(Around, OffersTheBrightnessAtWhichNothingJumps) {
    int helped = 0;
    for (const auto& c : cases()) {
        FadeWish wish;
        wish.white = c.white;
        const auto full = planFade(*c.mixer, c.from, c.to, wish);
        ASSERT_TRUE(full);
        if (full->largest_step <= kCalmStep || helped > 6)
            continue;
        const auto share = calmBrightness(*c.mixer, c.from, c.to, wish);
        if (!share)
            continue;
        ++helped;
        EXPECT_LT(*share, 1) << c.name;
        const auto less = planFade(*c.mixer, c.from.scaled(*share), c.to.scaled(*share), wish);
        ASSERT_TRUE(less);
        EXPECT_LE(less->largest_step, kCalmStep) << c.name;
    }
    EXPECT_GT(helped, 3);
}

TEST(Dark, ChangesColourWhileThereIsNoLight) {
    const auto& c = cases().front();
    FadeWish wish;
    wish.kind = Kind::Dark;
    wish.white = c.white;
    wish.dark_share = 0.4;
    const auto fade = planFade(*c.mixer, c.from, c.to, wish);
    ASSERT_TRUE(fade);
    for (const auto& p : fade->points) {
        if (p.t > 0.31 && p.t < 0.69)
            EXPECT_NEAR(p.brightness_cd, 0, 1e-9) << p.t;
        else if (p.brightness_cd > 0)
            EXPECT_LT(std::min(colour::distance(p.uv, fade->points.front().uv),
                               colour::distance(p.uv, fade->points.back().uv)),
                      1e-9);
    }
    EXPECT_NEAR(fade->white_dip, 0, 1e-9);
    EXPECT_NEAR(fade->points.back().brightness_cd, c.mixer->xyzOf(c.to).Y, 1e-6);
}

TEST(Jump, IsOneColourThenTheOther) {
    const auto& c = cases()[1];
    FadeWish wish;
    wish.kind = Kind::Jump;
    wish.white = c.white;
    wish.jump_at = 0.25;
    const auto fade = planFade(*c.mixer, c.from, c.to, wish);
    ASSERT_TRUE(fade);
    for (const auto& p : fade->points)
        EXPECT_LT(
            colour::distance(p.uv, p.t < 0.25 ? fade->points.front().uv : fade->points.back().uv),
            1e-9);
}

TEST(Steps, StayWithinTheToleranceWhenFadedStraight) {
    int most = 0;
    for (const auto& c : cases()) {
        FadeWish wish;
        wish.white = c.white;
        const auto fade = planFade(*c.mixer, c.from.scaled(0.7), c.to.scaled(0.7), wish);
        ASSERT_TRUE(fade);
        const auto steps = stepsFor(*c.mixer, *fade);
        EXPECT_LE(steps.worst_uv, 0.006 + 0.002) << c.name;
        EXPECT_LE(steps.worst_brightness, 0.05 + 1e-9) << c.name;
        ASSERT_GE(steps.steps.size(), 2u);
        EXPECT_EQ(steps.steps.front().t, 0);
        EXPECT_EQ(steps.steps.back().t, 1);
        most = std::max(most, static_cast<int>(steps.steps.size()));
        // By another road: fade straight between the steps, finely, and look.
        for (std::size_t k = 1; k < steps.steps.size(); ++k)
            for (double part = 0; part <= 1; part += 0.1) {
                const double t =
                    steps.steps[k - 1].t + part * (steps.steps[k].t - steps.steps[k - 1].t);
                const auto xyz = c.mixer->xyzOf(levelsBetween(
                    *c.mixer, steps.steps[k - 1].sent.drives, steps.steps[k].sent.drives, part));
                EXPECT_LT(test::offWay(*fade, t, colour::toUv(xyz), 0.03), 0.006 + 0.002)
                    << c.name << " " << t;
            }
    }
    EXPECT_LE(most, 16);
}

TEST(Fade, WishesAreChecked) {
    const auto& c = cases().front();
    FadeWish wish;
    wish.white = c.white;
    wish.floor = 1.2;
    EXPECT_NE(planFade(*c.mixer, c.from, c.to, wish).error().text().find("floor 1.2"),
              std::string::npos);
    wish.floor = 0.5;
    wish.white = {0.6, 0.1};
    EXPECT_NE(planFade(*c.mixer, c.from, c.to, wish).error().text().find("white point"),
              std::string::npos);
    wish.white = c.white;
    wish.samples = 1;
    EXPECT_FALSE(planFade(*c.mixer, c.from, c.to, wish));
}

} // namespace
} // namespace zelo::route
