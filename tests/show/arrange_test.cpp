// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/arrange.h"
#include "show/edits.h"

#include <gtest/gtest.h>

namespace zelo::show {
namespace {

ShowPtr lamps(const std::vector<Place>& places) {
    ShowPtr show = std::make_shared<const Show>();
    for (const auto& place : places) {
        Fixture f;
        f.type = "petrel-4";
        f.place = place;
        show = *addFixture(show, f);
    }
    return show;
}
const Place& place(const ShowPtr& show, int id) {
    return show->fixture({id})->place;
}

TEST(Arrange, ARowIsAcrossOrAlong) {
    const std::vector<FixtureId> all{{1}, {2}, {3}};
    const auto across = *alignInRow(lamps({{-3, 1}, {0, 1.3}, {3, 1.6}}), all);
    for (int id = 1; id <= 3; ++id)
        EXPECT_NEAR(place(across, id).y_m, 1.3, 1e-9);
    EXPECT_EQ(place(across, 1).x_m, -3);
    const auto along = *alignInRow(lamps({{1, -3}, {1.3, 0}, {1.6, 3}}), all);
    EXPECT_NEAR(place(along, 3).x_m, 1.3, 1e-9);
    EXPECT_FALSE(alignInRow(lamps({{0, 0}}), std::vector<FixtureId>{{1}}));
    EXPECT_EQ(alignInRow(lamps({{0, 0}}), std::vector<FixtureId>{{1}, {9}}).error().code,
              ErrorCode::NotFound);
}

TEST(Arrange, EvenStepsInTheOrderGiven) {
    const std::vector<FixtureId> order{{3}, {1}, {2}, {4}};
    const auto show = *spreadEvenly(lamps({{5, 5}, {1, 7}, {0, 0}, {6, 3}}), order);
    EXPECT_EQ(place(show, 3).x_m, 0);
    EXPECT_NEAR(place(show, 1).x_m, 2, 1e-9);
    EXPECT_NEAR(place(show, 2).x_m, 4, 1e-9);
    EXPECT_NEAR(place(show, 2).y_m, 2, 1e-9);
    EXPECT_EQ(place(show, 4).y_m, 3);
    EXPECT_FALSE(spreadEvenly(show, std::vector<FixtureId>{{1}, {2}}));
}

TEST(Arrange, TurningGoesRoundTheMiddleAndTakesTheBeamsAlong) {
    const std::vector<FixtureId> both{{1}, {2}};
    const auto show = *turnAbout(lamps({{-1, 2, 4, 0}, {1, 2, 4, 170}}), both, 90);
    EXPECT_NEAR(place(show, 1).x_m, 0, 1e-9);
    EXPECT_NEAR(place(show, 1).y_m, 3, 1e-9) << "clockwise: the left one goes upstage";
    EXPECT_NEAR(place(show, 2).y_m, 1, 1e-9);
    EXPECT_NEAR(place(show, 1).aim_deg, 90, 1e-9);
    EXPECT_NEAR(place(show, 2).aim_deg, -100, 1e-9);
    const auto back = *turnAbout(show, both, -90);
    EXPECT_NEAR(place(back, 1).x_m, -1, 1e-9);
    EXPECT_NEAR(place(*panBeams(back, both, 15), 1).aim_deg, 15, 1e-9);
}

TEST(Arrange, AnAreaKnowsWhatLightsIt) {
    const Area quay{"quay", {{-2, 0}, {2, 0}, {2, 2}, {-2, 2}}};
    const Area middle{"middle", {{-0.5, 0.5}, {0.5, 0.5}, {0.5, 1.5}, {-0.5, 1.5}}};
    const StagePlan stage{{}, {quay, middle}};
    EXPECT_EQ(areaAt(stage, {0, 1})->name, "middle") << "the smaller one";
    EXPECT_EQ(areaAt(stage, {1.5, 1})->name, "quay");
    EXPECT_EQ(areaAt(stage, {3, 1}), nullptr);
    // From 4 m up the light falls 2.2 m ahead of the lamp.
    EXPECT_NEAR(litPoint({0, -1, 4, 0}).y_m, 1.2, 1e-9);
    EXPECT_NEAR(litPoint({0, -1, 4, 90}).x_m, 2.2, 1e-9);
    const auto show = lamps({{1, -1, 4, 0}, {-1, -1, 4, 0}, {0, -1, 4, 180}, {4.7, 1, 4, 270}});
    EXPECT_EQ(fixturesLighting(*show, quay), (std::vector<FixtureId>{{2}, {1}, {4}}))
        << "from left to right; lamp 3 lights away, lamp 4 falls just beside the edge";
}

} // namespace
} // namespace zelo::show
