// SPDX-License-Identifier: GPL-3.0-or-later
// The stage as it looks from the house.
#include "colour/observer.h"
#include "play/shipped.h"
#include "play/stage_picture.h"
#include "show/edits.h"
#include "show/kept.h"
#include "support/asked.h"
#include "support/cameras.h"

#include <gtest/gtest.h>

#include <numeric>

namespace zelo::play {
namespace {

class StagePictureTest : public ::testing::Test {
protected:
    void add(double x, double y, double z, double aim) {
        show::Fixture f;
        f.type = "gannet-8";
        f.address = next_;
        next_ += 40;
        f.place = {x, y, z, aim};
        show = *show::addFixture(show, f);
    }
    static double sum(const StagePicture& picture, const std::vector<PictureLamp>& lamps) {
        std::vector<colour::Xyz> light;
        picture.light(lamps, light);
        return std::accumulate(light.begin(), light.end(), 0.0,
                               [](double s, const colour::Xyz& c) { return s + c.Y; });
    }
    static PictureLamp white(double cd) { return {{cd, cd, cd}, {cd, cd, cd}, {cd, cd, cd}}; }
    show::ShowPtr show = show::emptyState().show;
    int next_ = 1;
};

TEST_F(StagePictureTest, LightAddsUp) {
    add(-4, -3, 6, 20);
    add(4, -3, 6, -20);
    const StagePicture picture(*show, 4000);
    EXPECT_EQ(picture.width() * 9, picture.height() * 16);
    EXPECT_LE(picture.width() * picture.height(), 4000);
    const double left = sum(picture, {white(100), white(0)});
    const double right = sum(picture, {white(0), white(100)});
    EXPECT_GT(left, 0);
    EXPECT_NEAR(right, left, 0.15 * left) << "the other way round, but for the figures";
    EXPECT_NEAR(sum(picture, {white(100), white(100)}), left + right, 1e-6 * left);
    EXPECT_NEAR(sum(picture, {white(300), white(0)}), 3 * left, 1e-6 * left);
    EXPECT_EQ(sum(picture, {}), 0);
}

// A lamp on the left lights the left more; one turned away lights the floor not at all.
TEST_F(StagePictureTest, BeamsGoWhereLampsAim) {
    add(-6, 2, 6, 90); // from the left, across
    const StagePicture picture(*show, 9000);
    std::vector<colour::Xyz> light;
    picture.light(std::vector{white(100)}, light);
    double halves[2] = {0, 0};
    for (int y = 0; y < picture.height(); ++y)
        for (int x = 0; x < picture.width(); ++x)
            halves[2 * x / picture.width()] +=
                light[static_cast<std::size_t>(y * picture.width() + x)].Y;
    EXPECT_GT(halves[0], 0);
    show::ShowPtr turned = show;
    turned = *show::changeEach(turned, std::vector<show::FixtureId>{{1}},
                               [](show::Fixture& f, std::size_t) { f.place.aim_deg = 180; });
    const StagePicture away(*turned, 9000);
    EXPECT_NE(sum(away, {white(100)}), sum(picture, {white(100)}));
    EXPECT_FALSE(picture.shows(*turned));
    EXPECT_TRUE(picture.shows(*show));
}

// Colours that look the same on white may differ on skin and cloth: those are lit by the spectrum.
TEST_F(StagePictureTest, SurfacesAreSeenByTheirOwnReflectance) {
    add(0, -3, 6, 0);
    Shipped shipped;
    Mixes mixes;
    colour::Grid red{};
    std::fill(red.begin() + 220, red.end(), 0.8); // from 600 nm on
    const colour::Spectrum reddish(red);
    const auto lampWith = [&](const char* asked) {
        const auto hand = show::withIntensity(
            show::withColour(show::emptyHand(), {{1}}, test::wishFor(asked)), {{1}}, 1);
        const auto stage = computeStage({show, hand}, {}, shipped, mixes);
        return pictureLamp(stage.lamps[0], reddish, colour::Spectrum::flat(0.5));
    };
    const auto warm = lampWith("gel:104");
    const auto cold = lampWith("gel:338");
    EXPECT_NEAR(warm.cloth.Y, 0.5 * warm.white.Y, 1e-6 * warm.white.Y) << "grey sends back half";
    EXPECT_GT(warm.skin.Y / warm.white.Y, 5 * cold.skin.Y / cold.white.Y);
    EXPECT_LT(cold.skin.Y / cold.white.Y, 0.1);
    EXPECT_FALSE(lampWith("gel:104").white == lampWith("gel:338").white);
    EXPECT_FALSE(pictureLamp(StageLamp{}, reddish, reddish).lit()) << "no type, no light";
}

TEST_F(StagePictureTest, ACameraShowsTheLightByItsSpectrum) {
    add(0, -3, 6, 0);
    Shipped shipped;
    Mixes mixes;
    const auto hand = show::withIntensity(
        show::withColour(show::emptyHand(), {{1}}, test::wishFor("gel:214")), {{1}}, 1);
    const auto lamp = computeStage({show, hand}, {}, shipped, mixes).lamps[0];
    const auto grey = colour::Spectrum::flat(0.5);
    const auto& f = colour::matchingFunctions(colour::Observer::Cie1931_2);
    const auto eye = *colour::Camera::of(
        "eye", {colour::Spectrum(f.x), colour::Spectrum(f.y), colour::Spectrum(f.z)},
        colour::lampOf({3200}));
    const auto seen = pictureLamp(lamp, grey, grey);
    const auto as_eye = pictureLamp(lamp, grey, grey, &eye);
    EXPECT_LT(colour::norm(as_eye.white - seen.white), 1e-6 * seen.white.Y);
    EXPECT_LT(colour::norm(as_eye.skin - seen.skin), 1e-6 * seen.white.Y);
    const auto fulmar = test::shippedCamera("fulmar");
    const auto shown = pictureLamp(lamp, grey, grey, &fulmar);
    EXPECT_GT(colour::distance(colour::toUv(shown.white), colour::toUv(seen.white)), 0.001);
    EXPECT_NEAR(shown.skin.Y, 0.5 * shown.white.Y, 1e-6 * shown.white.Y) << "grey is half of it";
}

TEST_F(StagePictureTest, FiguresStandWhereTheyAreDragged) {
    add(0, -3, 6, 0);
    const StagePicture picture(*show, 20000);
    ASSERT_EQ(picture.figures().size(), 2u);
    // Where one is seen, and where its foot stands on the floor.
    std::optional<std::pair<double, double>> lowest;
    int skin = 0;
    for (int y = 0; y < picture.height(); ++y)
        for (int x = 0; x < picture.width(); ++x) {
            skin += picture.materialAt(x, y) == Material::Skin;
            const double at_x = (x + 0.5) / picture.width();
            const double at_y = (y + 0.5) / picture.height();
            if (picture.figureAt(at_x, at_y) == 0u)
                lowest = {at_x, at_y};
        }
    EXPECT_GT(skin, 0) << "they have heads";
    ASSERT_TRUE(lowest);
    const auto foot = picture.floorAt(lowest->first, lowest->second);
    ASSERT_TRUE(foot);
    EXPECT_NEAR(foot->x_m, picture.figures()[0].x_m, 0.5);
    EXPECT_NEAR(foot->y_m, picture.figures()[0].y_m, 0.5);
    EXPECT_FALSE(picture.floorAt(0.5, 0.01)) << "above the horizon";
    show::StagePlan plan;
    plan.figures = {{3, 1}};
    const auto moved = *show::changeStage(show, plan);
    EXPECT_FALSE(picture.shows(*moved));
    EXPECT_EQ(StagePicture(*moved, 9000).figures(), plan.figures);
    plan.figures.assign(21, {0, 0});
    EXPECT_FALSE(show::changeStage(show, plan));
}

// Thousands of lamps, far away places: fewer pixels, no more memory.
TEST_F(StagePictureTest, IsBoundedForAnyRig) {
    show::Fixture f;
    f.type = "petrel-4";
    std::vector<show::Fixture> many(2000, f);
    for (std::size_t i = 0; i < many.size(); ++i)
        many[i].place = {i % 2 ? 9'999.0 : -9'999.0, static_cast<double>(i), 0, 0};
    show = *show::addFixtures(show, many);
    const StagePicture picture(*show, 100'000);
    EXPECT_LE(picture.width() * picture.height(), 6'000);
    EXPECT_GE(sum(picture, std::vector<PictureLamp>(2000, white(10))), 0);
    EXPECT_EQ(sum(StagePicture(*show::emptyState().show, 1000), {}), 0);
}

} // namespace
} // namespace zelo::play
