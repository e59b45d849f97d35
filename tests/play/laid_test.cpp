// SPDX-License-Identifier: GPL-3.0-or-later
// What a gradient makes of the lamps it is laid over, with the fixture types that ship.
#include "colour/cct.h"
#include "colour/oklab.h"
#include "colour/smoothest.h"
#include "light/levels.h"
#include "play/laid.h"
#include "play/shipped.h"
#include "play/stage.h"
#include "show/kept.h"
#include "support/asked.h"
#include "support/cameras.h"

#include <gtest/gtest.h>

namespace zelo::play {
namespace {

using colour::Uv;
using route::Kind;
using show::Gradient;

Gradient gradientOf(std::initializer_list<const char*> stops) {
    Gradient g;
    for (const char* asked : stops)
        g.stops.push_back({light::parseAsked(asked).value(), {0.2, 0.47}, {}, {}});
    g.ways.resize(g.stops.size() - 1);
    return g;
}

class LaidTest : public ::testing::Test {
protected:
    // `count` of a type, from left to right; their ids.
    show::Lineup add(const char* type, int count, const char* mode = "") {
        show::Lineup ids;
        for (int i = 0; i < count; ++i) {
            show::Fixture f;
            f.type = type;
            f.mode = mode;
            f.universe = static_cast<std::uint16_t>(1 + show->fixtures.size() / 10);
            f.address = 1 + static_cast<int>(show->fixtures.size() % 10) * 40;
            f.place.x_m = static_cast<double>(show->fixtures.size());
            show = *show::addFixture(show, f);
            ids.push_back({show->last_fixture_id});
            all.push_back(ids.back());
        }
        return ids;
    }
    LaidOut laid(const Gradient& g, const show::Lineup& lamps) {
        return layOut(*show, {{}, std::make_shared<Gradient>(g), lamps}, sources, mixes);
    }
    LaidOut laid(const Gradient& g) { return laid(g, all); }
    Stage stage(const Gradient& g) {
        const auto hand =
            *show::withGradient(show::withIntensity(show::emptyHand(), all, 1), all, g);
        return computeStage({show, hand}, {}, sources, mixes);
    }
    Uv wanted(const char* asked) {
        return (*mixes.wanted(sources, *light::parseAsked(asked)))->uv();
    }
    double unevenness(const std::vector<Uv>& colours) { // least / largest step
        const colour::OklabSpace space(colour::toXyz(colour::planckianUv({show->white_cct_k})));
        double least = HUGE_VAL;
        double most = 0;
        for (std::size_t i = 1; i < colours.size(); ++i) {
            const double step = distance(space.from(colour::toXyz(colours[i - 1])),
                                         space.from(colour::toXyz(colours[i])));
            least = std::min(least, step);
            most = std::max(most, step);
        }
        return least / most;
    }

    Shipped sources;
    Mixes mixes;
    show::ShowPtr show = std::make_shared<const show::Show>();
    show::Lineup all;
};

TEST_F(LaidTest, ThreeTypesMakeOneGradient) {
    add("petrel-4", 6);
    add("gannet-8", 6);
    add("tern-6", 8);
    const auto out = laid(gradientOf({"gel:214", "gel:118", "gel:341"}));
    ASSERT_EQ(out.lamps.size(), 20u);
    ASSERT_EQ(out.types.size(), 3u);
    ASSERT_GE(out.reach.corners().size(), 3u);
    EXPECT_TRUE(out.troubles.empty());
    for (const LaidLamp& lamp : out.lamps) {
        ASSERT_TRUE(lamp.colour);
        EXPECT_EQ(lamp.colour->mix.end, mix::MixEnd::InReach);
        EXPECT_LT(colour::distance(colour::toUv(lamp.colour->mix.got), lamp.uv), 1e-4);
    }
    EXPECT_EQ(out.lamps.front().uv, out.stops.front()) << "the ends are exact";
    EXPECT_EQ(out.lamps.back().uv, out.stops.back());
    std::vector<Uv> colours;
    for (const LaidLamp& lamp : out.lamps)
        colours.push_back(lamp.uv);
    EXPECT_GE(unevenness(colours), 0.9);
}

// The ribbon that lamps stand on is the gradient they show, whatever way it goes.
TEST_F(LaidTest, TheRibbonIsWhatTheLampsShow) {
    add("petrel-4", 11);
    for (const Kind kind : {Kind::Levels, Kind::Straight, Kind::Around})
        for (const bool common : {true, false}) {
            Gradient g = gradientOf({"gel:104", "gel:338"});
            g.ways[0].kind = kind;
            g.common_reach = common;
            const auto out = laid(g);
            const auto ribbon = ribbonOf(out, *show, 1001);
            for (std::size_t i = 0; i < 11; ++i)
                EXPECT_LT(colour::distance(ribbon[100 * i], out.lamps[i].uv), 0.006)
                    << route::nameOf(kind) << " " << i;
        }
}

TEST_F(LaidTest, PointsOfAWayStayWithinTheReach) {
    add("petrel-4", 9);
    Gradient g = gradientOf({"gel:214", "gel:118"});
    for (const Uv& nowhere : {Uv{0.62, 0.3}, Uv{0.2, 0}, Uv{-1, -1}}) { // no light is there
        g.ways[0].via = {nowhere};
        g.common_reach = true;
        for (const LaidLamp& lamp : laid(g).lamps)
            EXPECT_LT(colour::distance(colour::toUv(lamp.colour->mix.got), lamp.uv), 1e-4);
        g.common_reach = false;
        for (const LaidLamp& lamp : laid(g).lamps) {
            EXPECT_TRUE(std::isfinite(lamp.colour->mix.got.Y));
            EXPECT_GT(lamp.colour->mix.got.Y, 0);
        }
    }
}

// In its own reach each type comes nearer to the stop; in the common one all agree.
TEST_F(LaidTest, ReachIsCommonOrEachItsOwn) {
    add("petrel-4", 2);
    add("gannet-8", 2);
    Gradient g = gradientOf({"gel:214", "xy:0.17,0.01"}); // a violet that no lamp has
    g.arrangement.block = 2;
    const auto place = [](const LaidOut& out, std::size_t lamp) {
        return colour::toUv(out.lamps[lamp].colour->mix.got);
    };
    const show::Lineup mixed{all[0], all[2], all[1], all[3]}; // a type each in both blocks
    const auto common = laid(g, mixed);
    EXPECT_LT(colour::distance(place(common, 2), place(common, 3)), 1e-4);
    EXPECT_FALSE(common.stops.front() == common.stops.back());
    g.common_reach = false;
    const auto own = laid(g, mixed);
    EXPECT_GT(colour::distance(place(own, 0), place(own, 1)) +
                  colour::distance(place(own, 2), place(own, 3)),
              0.001);
    EXPECT_TRUE(own.reach.empty());
    double common_miss = 0;
    double own_miss = 0;
    for (std::size_t i = 0; i < 4; ++i) {
        const Uv asked = own.lamps[i].uv;
        own_miss += colour::distance(place(own, i), asked);
        common_miss += colour::distance(place(common, i), asked);
    }
    EXPECT_LT(own_miss, common_miss);
}

TEST_F(LaidTest, LampsThatMakeNoColourAreLeftAloneAndWheelsTakeSlots) {
    add("petrel-4", 2);
    const auto tungsten = add("eider-1000", 1);
    const auto scroller = add("eider-scroll", 1);
    add("petrel-4", 1);
    Gradient g = gradientOf({"gel:214", "gel:338"});
    const auto out = laid(g);
    EXPECT_FALSE(out.lamp(tungsten[0])->colour);
    EXPECT_FALSE(out.types[1].colours);
    ASSERT_TRUE(out.lamp(scroller[0])->colour);
    EXPECT_TRUE(out.types[2].takes_slots);
    EXPECT_GE(out.reach.corners().size(), 3u) << "neither makes the common reach smaller";
    const auto before =
        computeStage({show, show::withIntensity(show::emptyHand(), all, 1)}, {}, sources, mixes);
    const auto after = stage(g);
    EXPECT_EQ(after.lamp(tungsten[0])->sent.values, before.lamp(tungsten[0])->sent.values);
    EXPECT_EQ(after.lamp(tungsten[0])->dark, DarkWhy::None);
    // All as bright as the dimmest of them: the one without colours too.
    g.bright = show::Bright::Alike;
    const auto alike = stage(g);
    double least = HUGE_VAL;
    double most = 0;
    for (const StageLamp& lamp : alike.lamps) {
        least = std::min(least, lamp.sent.xyz.Y);
        most = std::max(most, lamp.sent.xyz.Y);
    }
    EXPECT_GT(least, 0);
    EXPECT_LT(most / least, 1.12) << "but for rounding, within 10 %";
}

TEST_F(LaidTest, NeighboursOfATypeAreMadeAlike) {
    add("gannet-8", 20);
    Gradient g = gradientOf({"gel:104", "gel:321"});
    const auto together = laid(g);
    g.choose = route::Choose::EachAlone;
    const auto alone = laid(g);
    EXPECT_GT(alone.types[0].largest_step, 0.1);
    EXPECT_LT(together.types[0].largest_step, 0.7 * alone.types[0].largest_step);
    EXPECT_EQ(together.types[0].alone, alone.types[0].largest_step);
    for (std::size_t i = 0; i < 20; ++i) // the same light
        EXPECT_LT(colour::distance(colour::toUv(together.lamps[i].colour->mix.got),
                                   colour::toUv(alone.lamps[i].colour->mix.got)),
                  1e-5);
}

TEST_F(LaidTest, ACalibratedLampIsMixedByItsOwnData) {
    add("petrel-4", 3);
    show::Calibration measured;
    auto grid = test::shippedType("petrel-4")->emitters[0].spectrum.values();
    for (double& power : grid)
        power *= 0.5;
    measured.emitters["Red"] = colour::Spectrum(grid);
    measured.off = {0.003, 0.001};
    show = *show::calibrate(show, all[1], measured);
    const auto s = stage(gradientOf({"gel:214", "gel:118"}));
    const StageLamp& lamp = *s.lamp(all[1]);
    EXPECT_NE(lamp.mixer, s.lamp(all[0])->mixer);
    EXPECT_EQ(lamp.colour->mixer, lamp.mixer);
    const Uv shows = colour::toUv(lamp.mixer->xyzOf(lamp.drives)) + measured.off;
    EXPECT_LT(colour::distance(shows, lamp.colour->wanted.uv()), 1e-4);
    EXPECT_LT(lamp.miss_uv, 1e-4);
}

TEST_F(LaidTest, IntensityGoesEvenlyInPerceivedBrightness) {
    add("petrel-4", 5);
    Gradient g = gradientOf({"gel:214", "gel:118"});
    g.bright = show::Bright::Spread;
    g.intensities = {{0, {}, {}}, {1, {}, {}}};
    const auto out = laid(g);
    for (std::size_t i = 0; i < 5; ++i)
        EXPECT_NEAR(std::cbrt(*out.lamps[i].intensity), static_cast<double>(i) / 4, 1e-9);
    EXPECT_EQ(stage(g).lamp(all[0])->dark, DarkWhy::Intensity);
    EXPECT_FALSE(laid(gradientOf({"gel:214", "gel:118"})).lamps[0].intensity) << "untouched";
}

TEST_F(LaidTest, ThroughDarkTheLightDipsWhereTheColourChanges) {
    add("petrel-4", 9);
    Gradient g = gradientOf({"gel:104", "gel:341"});
    g.ways[0].kind = route::Kind::Dark;
    const auto s = stage(g);
    EXPECT_EQ(s.lamp(all[4])->intensity, 0);
    EXPECT_EQ(s.lamp(all[0])->intensity, 1);
    EXPECT_NEAR(s.lamp(all[2])->intensity, 0.125, 1e-9) << "half as bright to the eye";
    EXPECT_LT(colour::distance(s.lamp(all[3])->colour->wanted.uv(), wanted("gel:104")), 1e-9);
    EXPECT_LT(colour::distance(s.lamp(all[5])->colour->wanted.uv(), wanted("gel:341")), 1e-9);
}

TEST_F(LaidTest, LevelsGoWhereStraightLevelsGo) {
    add("petrel-4", 9);
    Gradient g = gradientOf({"gel:104", "gel:338"});
    g.even = route::Even::InPlace;
    g.ways[0].kind = route::Kind::Levels;
    const auto out = laid(g);
    const auto mixer = mixes.mixer(sources, "petrel-4", "");
    const auto& a = out.lamps.front().colour->mix.drives;
    const auto& b = out.lamps.back().colour->mix.drives;
    light::Drives half = a;
    for (std::size_t i = 0; i < a.size(); ++i)
        half[i] = (a[i] + b[i]) / 2;
    EXPECT_LT(colour::distance(out.lamps[4].uv, colour::toUv(mixer->xyzOf(half))), 2e-3);
    g.ways[0].kind = route::Kind::Straight;
    EXPECT_GT(colour::distance(laid(g).lamps[4].uv, out.lamps[4].uv), 0.01);
}

TEST_F(LaidTest, ByPlaceTheOrderDoesNotMatter) {
    add("petrel-4", 7);
    Gradient g = gradientOf({"gel:214", "gel:338"});
    g.along = show::AlongPlan{};
    const show::Lineup mixed{all[3], all[6], all[0], all[2], all[5], all[1], all[4]};
    const auto by_place = laid(g, mixed);
    const auto in_order = laid(g);
    g.along.reset();
    const auto by_order = laid(g);
    for (const auto id : all) {
        EXPECT_EQ(by_place.lamp(id)->uv, in_order.lamp(id)->uv);
        EXPECT_LT(colour::distance(by_place.lamp(id)->uv, by_order.lamp(id)->uv), 1e-6)
            << "they hang evenly, from left to right";
    }
    g.along = show::AlongPlan{180, false, 0, 0};
    EXPECT_EQ(laid(g).lamp(all[0])->uv, in_order.lamp(all[6])->uv);
    g.along = show::AlongPlan{0, true, 3, 0}; // from the middle lamp on
    const auto out = laid(g);
    EXPECT_EQ(out.lamp(all[3])->place, 0);
    EXPECT_EQ(out.lamp(all[0])->place, 1);
    EXPECT_EQ(out.lamp(all[6])->place, 1);
}

TEST_F(LaidTest, ALampThatLeavesDoesNotChangeTheOthers) {
    add("petrel-4", 6);
    const Gradient g = gradientOf({"gel:214", "gel:338"});
    const auto before = laid(g);
    const auto hand = *show::withGradient(show::emptyHand(), all, g);
    show = show::removeFixtures({show, hand}, {all[2]})->show;
    const auto after = laid(g);
    ASSERT_EQ(after.lamps.size(), 5u);
    EXPECT_EQ(after.lamp(all[2]), nullptr);
    for (const auto id : {all[1], all[3], all[5]})
        EXPECT_EQ(after.lamp(id)->uv, before.lamp(id)->uv);
}

TEST_F(LaidTest, StopsFollowPalettesAndSurviveWhatIsNotThere) {
    add("petrel-4", 3);
    show::Palette rose;
    rose.name = "rose";
    rose.colour = test::wishFor("gel:118");
    show = *show::addPalette(show, rose);
    Gradient g = gradientOf({"gel:214", "gel:338"});
    g.stops[1].colour = show->paletteNamed("rose")->id;
    const show::LayingPtr laying =
        std::make_shared<const show::Laying>(show::Laying{{}, std::make_shared<Gradient>(g), all});
    EXPECT_EQ(mixes.laid(sources, *show, laying)->asked[1], wanted("gel:118"));
    EXPECT_EQ(mixes.laid(sources, *show, laying), mixes.laid(sources, *show, laying));
    rose = *show->paletteNamed("rose");
    rose.colour = test::wishFor("gel:104");
    show = *show::changePalette(show, rose);
    EXPECT_EQ(mixes.laid(sources, *show, laying)->asked[1], wanted("gel:104")) << "at once";
    g = gradientOf({"gel:214", "gel:9999"});
    g.stops[1].uv = {0.3, 0.5};
    const auto out = laid(g);
    EXPECT_EQ(out.asked[1], (Uv{0.3, 0.5}));
    ASSERT_EQ(out.troubles.size(), 1u);
    EXPECT_NE(out.troubles[0].english().find("9999"), std::string::npos);
    EXPECT_TRUE(layOut(*show, {{77}, nullptr, all}, sources, mixes).lamps.empty()) << "deleted";
}

TEST_F(LaidTest, AnyNumberOfLampsHasASensiblePicture) {
    EXPECT_TRUE(laid(gradientOf({"gel:214", "gel:338"})).lamps.empty());
    add("petrel-4", 1);
    EXPECT_EQ(laid(gradientOf({"gel:214", "gel:338"})).lamps[0].uv, wanted("gel:214"));
    const auto white = laid(gradientOf({"cct:4300", "gel:214"}));
    EXPECT_TRUE(white.lamps[0].colour);
    add("ghost", 1);
    Gradient around = gradientOf({"cct:4300", "gel:214", "gel:214"});
    around.ways[0].kind = around.ways[1].kind = route::Kind::Around;
    const auto out = laid(around);
    EXPECT_TRUE(out.lamps[0].colour);
    EXPECT_FALSE(out.lamps[1].colour) << "its type is not there";
    show = std::make_shared<const show::Show>();
    all.clear();
    add("tern-6", 2000);
    const auto many = laid(gradientOf({"gel:214", "gel:338"}));
    EXPECT_EQ(many.lamps.size(), 2000u);
    EXPECT_EQ(many.lamps.back().uv, many.stops.back());
}

// What leaves the console is still even: 16 bit.
TEST_F(LaidTest, EvenAfterRounding) {
    add("gannet-8", 30, "emitters 16 bit");
    for (const auto& ends : {std::pair("gel:104", "gel:321"), std::pair("gel:214", "gel:341"),
                             std::pair("cct:2700", "cct:6500")}) {
        const auto s = stage(gradientOf({ends.first, ends.second}));
        std::vector<Uv> sent;
        std::vector<Uv> asked;
        for (const StageLamp& lamp : s.lamps) {
            sent.push_back(colour::toUv(lamp.sent.xyz));
            asked.push_back(lamp.colour->wanted.uv());
        }
        EXPECT_GE(unevenness(asked), 0.97) << ends.first;
        EXPECT_GE(unevenness(sent), 0.95) << ends.first;
    }
}

TEST_F(LaidTest, MirroredIsSymmetricAndAWholeTurnIsNone) {
    add("tern-6", 9);
    Gradient g = gradientOf({"gel:219", "gel:214"});
    g.arrangement.mirrored = true;
    const auto mirrored = laid(g);
    for (std::size_t i = 0; i < 9; ++i) {
        EXPECT_EQ(mirrored.lamps[i].uv, mirrored.lamps[8 - i].uv);
        EXPECT_EQ(mirrored.lamps[i].colour, mirrored.lamps[8 - i].colour);
    }
    Gradient turned = gradientOf({"gel:219", "gel:214"});
    const auto once = laid(turned);
    turned.arrangement.offset = 1;
    const auto whole = laid(turned);
    for (std::size_t i = 0; i < 9; ++i)
        EXPECT_EQ(whole.lamps[i].uv, once.lamps[i].uv);
}

// Sources of which cameras look on.
class Filming : public Shipped {
public:
    explicit Filming(colour::CamerasPtr cameras) : cameras_(std::move(cameras)) {}
    colour::CamerasPtr cameras() const override { return cameras_; }

private:
    colour::CamerasPtr cameras_;
};

// Between its stops a colour has no light of its own: the smoothest that has it is what the camera
// is to see. Mixed lamp by lamp it is never farther off than by Truest.
TEST_F(LaidTest, AGradientIsFilmedAllAlong) {
    const auto cameras = test::shippedCameras({"guillemot"}, 5600);
    const Filming filming(cameras);
    const auto lamps = add("gannet-8", 9);
    Gradient g = gradientOf({"xy:0.5,0.38", "xy:0.26,0.26"});
    g.choose = route::Choose::EachAlone;
    const auto missOf = [&](const LaidLamp& lamp) {
        const auto got = light::spectrumOf(lamp.colour->mixer->type(), lamp.colour->mix.drives);
        const auto want = colour::smoothestSpectrum(colour::toXyz(lamp.uv));
        return *cameras->front().miss(got, *want);
    };
    const auto of = [&](const Gradient& from) {
        return layOut(*show, {{}, std::make_shared<Gradient>(from), lamps}, filming, mixes);
    };
    const auto truest = of(g);
    g.intent = mix::Intent::Filmed;
    const auto filmed = of(g);
    g.exact_for_camera = true;
    const auto exact = of(g);
    double sum[2] = {};
    for (std::size_t i = 0; i < lamps.size(); ++i) {
        EXPECT_LT(filmed.lamps[i].colour->mix.miss_uv, 1e-6) << i;
        EXPECT_LE(missOf(filmed.lamps[i]), missOf(truest.lamps[i]) + 1e-7) << i;
        EXPECT_LT(missOf(exact.lamps[i]), 1e-5) << i;
        sum[0] += missOf(truest.lamps[i]);
        sum[1] += missOf(filmed.lamps[i]);
    }
    EXPECT_LT(sum[1], 0.7 * sum[0]);
}

} // namespace
} // namespace zelo::play
