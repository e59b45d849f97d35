// SPDX-License-Identifier: GPL-3.0-or-later
// Measuring a fixture brings its colours to where they were asked for, on a practice rig whose
// fixtures differ from their data.
#include "files/show_file.h"
#include "host/library.h"
#include "host/meter.h"
#include "play/stage.h"
#include "practice/meter.h"
#include "show/edits.h"
#include "support/asked.h"
#include "support/places.h"
#include "wire/net/lines.h"

#include <gtest/gtest.h>

namespace zelo::host {
namespace {

class CalibrationTest : public ::testing::Test {
protected:
    CalibrationTest() {
        show =
            files::readShow(std::filesystem::path(places::data) / "shows/salt-lanterns.zelo")->show;
        for (const auto& [id, f] : show->fixtures)
            EXPECT_TRUE(rig.add(id.value, f->number, library.type(f->type), f->mode, f->universe,
                                f->address));
    }
    void play(const show::HandPtr& hand) {
        play::Playing playing(std::make_shared<const play::Compiled>(
            play::compiled({show, hand}, *library.sources(), mixes)));
        playing.step(0);
        play::Rounding rounding;
        std::vector<play::Rest> rests;
        play::stageOf(*playing.compiled(), playing.newest(), {}, rounding, rests);
        playing.rest(rests);
        playing.step(1);
        for (const auto& u : playing.frame().universes)
            rig.take(u.universe, u.values);
    }
    colour::Uv shown(int id) {
        return colour::toUv(rig.shown(static_cast<std::size_t>(id - 1)).xyz);
    }
    // Emitter after emitter, alone at full.
    show::Calibration measured(int id) {
        const auto& f = *show->fixture({id});
        const auto type = library.type(f.type);
        show::Calibration calibration;
        for (std::size_t e = 0; e < type->emitters.size(); ++e) {
            light::Drives drives = type->rest();
            drives[e] = 1;
            play(show::withIntensity(
                show::withParts(show::emptyHand(), {{id}}, show::partLevels(*type, drives)), {{id}},
                1));
            calibration.emitters[type->emitters[e].name] = *meter.measure(id);
        }
        return calibration;
    }
    // Thirty colours that all three types of the rig reach with room to spare.
    double meanMiss(const std::vector<int>& ids) {
        double sum = 0;
        int count = 0;
        for (int i = 0; i < 30; ++i) {
            const double turn = 2 * 3.14159265 * i / 10;
            const double far = 0.015 + 0.02 * (i / 10);
            const colour::Uv wanted{0.225 + far * std::cos(turn),
                                    0.50 + 0.5 * far * std::sin(turn)};
            show::Lineup all;
            for (const int id : ids)
                all.push_back({id});
            show::ColourWish wish;
            wish.asked = light::AskedUv{wanted.u, wanted.v};
            play(show::withIntensity(show::withColour(show::emptyHand(), all, wish), all, 1));
            for (const int id : ids) {
                sum += colour::distance(shown(id), wanted);
                ++count;
            }
        }
        return sum / count;
    }

    Library library{std::filesystem::path(places::data)};
    play::Mixes mixes;
    practice::PracticeRig rig{1};
    practice::Meter meter{rig, 5};
    show::ShowPtr show;
};

TEST_F(CalibrationTest, TheMissFallsTenfoldToUnderTwoThousandths) {
    const std::vector<int> ids{7, 8, 9, 35, 36, 37}; // Gannet 8, 16 bit
    const double before = meanMiss(ids);
    for (const int id : ids)
        show = *show::calibrate(show, {id}, measured(id));
    const double after = meanMiss(ids);
    EXPECT_GT(before, 0.002) << "the rig differs from its data";
    EXPECT_LT(after, before / 10) << before;
    EXPECT_LT(after, 0.002);
    std::printf("[ figures  ] mean miss of 30 colours on 6 fixtures: %.4f, calibrated %.5f\n",
                before, after);
    // Taken away, it is as before.
    for (const int id : ids)
        show = *show::calibrate(show, {id}, {});
    EXPECT_NEAR(meanMiss(ids), before, 1e-9);
}

TEST_F(CalibrationTest, OthersOfTheTypeStayAsTheyWere) {
    const auto off = [&](int id) {
        const auto wish = test::wishFor("uv:0.24,0.51");
        play(show::withIntensity(show::withColour(show::emptyHand(), {{id}}, wish), {{id}}, 1));
        return colour::distance(shown(id), {0.24, 0.51});
    };
    const double other = off(8);
    show = *show::calibrate(show, {7}, measured(7));
    EXPECT_EQ(off(8), other);
    EXPECT_LT(off(7), 0.001);
}

TEST_F(CalibrationTest, AColourTypedByHandCorrectsTheMix) {
    const colour::Uv wanted{0.24, 0.51};
    const auto hand = show::withIntensity(
        show::withColour(show::emptyHand(), {{7}}, test::wishFor("uv:0.24,0.51")), {{7}}, 1);
    play(hand);
    const double before = colour::distance(shown(7), wanted);
    const auto stage = play::computeStage({show, hand}, {}, *library.sources(), mixes);
    const auto said = colour::toUv(stage.lamp({7})->sent.xyz);
    show = *show::calibrate(show, {7}, {{}, shown(7) - said});
    play(hand);
    EXPECT_GT(before, 0.002);
    EXPECT_LT(colour::distance(shown(7), wanted), before / 5) << before;
    const auto corrected = play::computeStage({show, hand}, {}, *library.sources(), mixes);
    EXPECT_LT(corrected.lamp({7})->miss_uv, 0.0005) << "the screen knows that it is right now";
}

TEST_F(CalibrationTest, TheMeterAnswersOverTheNetwork) {
    const auto hand = show::withIntensity(
        show::withColour(show::emptyHand(), {{7}}, test::wishFor("uv:0.24,0.51")), {{7}}, 1);
    play(hand);
    auto server = wire::LineServer::open(0, [this](const std::string& line) -> std::string {
        const auto id = meterRequest(line);
        if (!id)
            return "error: " + id.error().text();
        const auto light = meter.measure(*id);
        return light ? meterAnswer(*light, *id) : "error: no lamp";
    });
    ASSERT_TRUE(server);
    const auto port = (*server)->port();
    for (int i = 0; i < 2; ++i) {
        const auto light = measure(port, {7});
        ASSERT_TRUE(light) << light.error().text();
        EXPECT_LT(colour::distance(colour::toUv(colour::toXyz(*light)), shown(7)), 0.0005);
        EXPECT_NEAR(colour::toXyz(*light).Y / rig.shown(6).xyz.Y, 1, 0.01);
    }
    const auto nobody = measure(port, {99});
    ASSERT_FALSE(nobody);
    EXPECT_NE(nobody.error().text().find("no lamp"), std::string::npos);
    const auto refused = wire::askLine(port, "fly", std::chrono::seconds(2));
    ASSERT_TRUE(refused);
    EXPECT_NE(refused->find("expected measure ID"), std::string::npos);
    server->reset();
    const auto gone = measure(port, {7});
    ASSERT_FALSE(gone);
    EXPECT_NE(gone.error().text().find("no practice meter"), std::string::npos);
}

} // namespace
} // namespace zelo::host
