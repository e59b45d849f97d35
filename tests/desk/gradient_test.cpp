// SPDX-License-Identifier: GPL-3.0-or-later
// The Gradient view with mouse and keys, on the real window with the demo show.
#include "colour/cct.h"
#include "desk/gradient/gradient_map.h"
#include "desk/gradient/gradient_plan.h"
#include "desk/gradient/gradient_side.h"
#include "desk/gradient/gradient_view.h"
#include "desk/gradient/step_bars.h"
#include "desk/gradient/stop_track.h"
#include "desk/hands_test.h"
#include "desk/kit/button.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/match_view.h"
#include "desk/shell/keep_form.h"

#include <QContextMenuEvent>
#include <QDropEvent>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QMessageBox>

namespace zelo::desk {
namespace {

class GradientTest : public HandsTest {
protected:
    GradientTest() : HandsTest(MainWindow::Gradient) {}

    void lay(const char* name, const std::vector<std::string>& groups) {
        chooseGroups(groups);
        document.setHand("x", show::withPalette(document.state().hand, document.lineup(),
                                                *document.show().paletteNamed(name)));
        settle();
    }
    void tideLine() { lay("Tide line", {"front", "back", "cyc"}); }
    GradientModel& model() { return window.gradientModel(); }
    GradientView& view() { return window.gradientView(); }
    StopTrack& track() { return window.stopTrack(); }
    const show::Gradient& gradient() { return *model().gradient(); }
    colour::Uv wantedOf(int lamp_id) { return lamp(lamp_id).colour->wanted.uv(); }
    colour::Uv uvOf(const char* asked) {
        return (*document.wanted(*light::parseAsked(asked)))->uv();
    }
    std::size_t moments() { return document.history().position(); }
};

TEST_F(GradientTest, BeginsInOnePressFromTheLampsAsTheyAre) {
    chooseGroups({"cyc", "left"});
    const auto before = moments();
    QTest::mouseClick(&view().begin(), Qt::LeftButton);
    settle();
    ASSERT_TRUE(model().gradient());
    EXPECT_EQ(text(*gradient().stops[0].colour.here()), "gel:214@3200");
    EXPECT_EQ(gradient().stops[1].colour.palette(),
              document.show().paletteNamed("tide at dusk")->id)
        << "the last lamp followed a palette, and the stop does";
    EXPECT_LT(colour::distance(wantedOf(13), uvOf("gel:214@3200")), 1e-9);
    EXPECT_LT(colour::distance(wantedOf(24), uvOf("gel:321@5600")), 1e-9);
    EXPECT_GT(colour::distance(wantedOf(18), wantedOf(13)), 0.01);
    EXPECT_EQ(moments(), before + 1);
    document.undo();
    settle();
    EXPECT_FALSE(model().gradient());
    EXPECT_TRUE(view().begin().isVisible());
}

TEST_F(GradientTest, BeginsWithTwoColoursOfTheSwatchBook) {
    chooseGroups({"cyc"});
    pickSwatch("104");
    EXPECT_TRUE(model().firstEnd());
    EXPECT_FALSE(document.state().hand->contains({13})) << "nothing happens to the lamps yet";
    pickSwatch("338");
    ASSERT_TRUE(model().gradient());
    EXPECT_LT(colour::distance(wantedOf(13), model().laid().stops[0]), 1e-9);
    EXPECT_EQ(text(*gradient().stops[1].colour.here()).rfind("gel:338", 0), 0u);
    // From now on what is picked is the chosen stop's.
    model().choose(0);
    pickSwatch("lamp oil");
    EXPECT_EQ(gradient().stops[0].colour.palette(), document.show().paletteNamed("lamp oil")->id);
    // It follows.
    auto oil = *document.show().paletteNamed("lamp oil");
    oil.colour = test::wishFor("gel:219");
    ASSERT_TRUE(document.edit("x", show::changePalette(document.state().show, oil)));
    settle();
    EXPECT_LT(colour::distance(wantedOf(13), uvOf("gel:219")), 0.02);
    // Not in another view.
    window.showView(MainWindow::Match);
    pickSwatch("341");
    EXPECT_EQ(text(lamp(13).colour->wanted.asked).rfind("gel:341", 0), 0u);
}

TEST_F(GradientTest, AKeptOneIsLaidByAPressAndStandsInTheBookAsARibbon) {
    chooseGroups({"left"});
    pickSwatch("tide line");
    ASSERT_TRUE(model().gradient());
    EXPECT_EQ(model().name(), "Tide line");
    EXPECT_EQ(model().laid().lamps.size(), 4u) << "all of it, over these four";
    EXPECT_LT(colour::distance(wantedOf(24), model().laid().stops.back()), 1e-9);
    const auto& swatches = window.swatches().model();
    const auto ribbon = swatches.ribbon(0);
    ASSERT_GT(ribbon.size(), 8u);
    EXPECT_LT(colour::distance(colour::toUv(ribbon.front()), uvOf("gel:214@3200")), 1e-6);
    EXPECT_LT(colour::distance(colour::toUv(ribbon.back()), uvOf("gel:338@5600")), 1e-6);
    EXPECT_TRUE(swatches.ribbon(0) == ribbon);
    // On the bracket of a group it lies over that.
    chooseGroups({"left", "right"});
    auto& panel = window.lineupPanel();
    drop(panel, {static_cast<int>(panel.glassOf(5).center().x()), panel.height() - 14},
         "palette:Tide line");
    EXPECT_LT(colour::distance(wantedOf(25), uvOf("gel:214@3200")), 1e-9);
    EXPECT_FALSE(document.state().hand->at({24})->colour->laying() ==
                 document.state().hand->at({25})->colour->laying());
    // Dropped on one lamp it lies over that one.
    drop(window.lineupPanel(), window.lineupPanel().glassOf(1).center().toPoint(),
         "palette:Ember wall");
    EXPECT_LT(colour::distance(wantedOf(22), uvOf("gel:219@3200")), 1e-6);
}

TEST_F(GradientTest, AStopIsDraggedAsOneStepAndSnapsToLamps) {
    tideLine();
    const auto before = moments();
    const auto was = wantedOf(10);
    const QPoint from = track().stopPoint(1);
    const QPoint to{static_cast<int>(window.lineupPanel().glassOf(11).center().x()) - track().x() +
                        3,
                    from.y()};
    drag(track(), from, to);
    EXPECT_EQ(model().stop(), 1u);
    EXPECT_NEAR(*gradient().stops[1].at, 11.0 / 19, 1e-9) << "on lamp 12";
    EXPECT_LT(colour::distance(wantedOf(12), model().laid().stops[1]), 1e-9);
    EXPECT_GT(colour::distance(wantedOf(10), was), 0.002);
    EXPECT_EQ(moments(), before + 1);
    EXPECT_TRUE(model().changed()) << "the kept one stays as it is";
    drag(track(), track().stopPoint(1), track().stopPoint(1) + QPoint(2000, 0), Qt::ShiftModifier);
    EXPECT_LT(*gradient().stops[1].at, 1) << "never past its neighbour";
    document.undo();
    document.undo();
    settle();
    EXPECT_NEAR(*gradient().stops[1].at, 0.4, 1e-9);
    EXPECT_LT(colour::distance(wantedOf(10), was), 1e-9);
}

TEST_F(GradientTest, StopsByKeys) {
    tideLine();
    key(track(), Qt::Key_Right);
    EXPECT_EQ(model().stop(), 1u);
    key(track(), Qt::Key_Right, Qt::ControlModifier);
    EXPECT_NEAR(*gradient().stops[1].at, 0.41, 1e-9);
    key(track(), Qt::Key_Left, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_NEAR(*gradient().stops[1].at, 0.409, 1e-9);
    const auto mid = wantedOf(10);
    key(track(), Qt::Key_Insert);
    ASSERT_EQ(gradient().stops.size(), 4u);
    EXPECT_EQ(model().stop(), 2u);
    EXPECT_NEAR(*gradient().stops[2].at, 0.7045, 1e-6);
    EXPECT_LT(colour::distance(wantedOf(10), mid), 0.01)
        << "a new stop has the colour that was there";
    key(track(), Qt::Key_Backspace);
    EXPECT_FALSE(gradient().stops[2].at) << "evenly between its neighbours";
    key(track(), Qt::Key_Delete);
    ASSERT_EQ(gradient().stops.size(), 3u);
    key(track(), Qt::Key_Home);
    EXPECT_EQ(model().stop(), 0u);
    key(track(), Qt::Key_Delete);
    key(track(), Qt::Key_Delete);
    EXPECT_EQ(gradient().stops.size(), 2u) << "two stay";
    QTest::keyClick(&window, Qt::Key_S);
    EXPECT_TRUE(track().hasFocus());
    model().choose(1);
    type(track().position(), "75");
    EXPECT_NEAR(*gradient().stops[1].at, 0.75, 1e-9);
}

TEST_F(GradientTest, StopsAreAddedWhereOnePressesTwiceOrDrops) {
    tideLine();
    QTest::mouseDClick(&track(), Qt::LeftButton, {}, track().ribbonPoint(0.7));
    settle();
    ASSERT_EQ(gradient().stops.size(), 4u);
    EXPECT_EQ(model().stop(), 2u);
    EXPECT_NEAR(*gradient().stops[2].at, 0.7, 0.02);
    drop(track(), track().stopPoint(2), "gel:104");
    EXPECT_EQ(text(*gradient().stops[2].colour.here()), "gel:104");
    drop(track(), {track().ribbonPoint(0.2).x(), track().stopPoint(0).y()}, "palette:embers");
    ASSERT_EQ(gradient().stops.size(), 5u);
    EXPECT_EQ(gradient().stops[1].colour.palette(), document.show().paletteNamed("embers")->id);
    drop(track(), track().stopPoint(0), "palette:Ember wall");
    EXPECT_EQ(text(*gradient().stops[0].colour.here()), "gel:214@3200")
        << "a gradient is no colour";
    // The menu of a stop: a palette, a lamp, away.
    const std::unique_ptr<QMenu> menu(track().menuOf(0));
    QMenu* lamps = nullptr;
    for (QAction* action : menu->actions())
        if (action->menu() && action->text().contains("lamp"))
            lamps = action->menu();
    ASSERT_TRUE(lamps);
    const auto shows = colour::toUv(lamp(20).sent.xyz);
    lamps->actions().back()->trigger();
    settle();
    EXPECT_LT(colour::distance(model().laid().asked[0], shows), 1e-9);
}

TEST_F(GradientTest, TheWayOnFromAStop) {
    tideLine();
    model().choose(0);
    settle();
    const auto around = wantedOf(5);
    choose(view().kind(), 1);
    EXPECT_EQ(gradient().ways[0].kind, route::Kind::Straight);
    EXPECT_FALSE(view().side().isVisible()) << "only a way around has sides";
    EXPECT_GT(colour::distance(wantedOf(5), around), 0.005);
    choose(view().kind(), 4);
    EXPECT_LT(colour::distance(wantedOf(2), uvOf("gel:214@3200")), 1e-6);
    choose(view().kind(), 3);
    EXPECT_LT(lamp(5).intensity, 0.2) << "through dark";
    choose(view().kind(), 0);
    EXPECT_EQ(gradient().ways[0].kind, route::Kind::Levels);
    choose(view().kind(), 2);
    ASSERT_TRUE(view().side().isVisible());
    const auto names = model().sideNames(0);
    EXPECT_NE(names.first, names.second);
    const bool ccw = model().goesCcw(0);
    choose(view().side(), ccw ? 1 : 0);
    EXPECT_NE(model().goesCcw(0), ccw);
    type(view().floorField(), "20");
    EXPECT_NEAR(gradient().ways[0].floor, 0.2, 1e-9);
    EXPECT_EQ(gradient().ways[1].kind, route::Kind::Around) << "the other way is another";
}

TEST_F(GradientTest, WaysArePulledOnTheMap) {
    tideLine();
    auto& map = window.gradientSide().map();
    model().choose(0);
    choose(view().kind(), 1);
    const auto before = moments();
    const colour::Uv half = 0.5 * (model().laid().stops[0] + model().laid().stops[1]);
    const QPoint from = map.pointOf(half);
    drag(map, from, from + QPoint(-8, 10));
    ASSERT_EQ(gradient().ways[0].via.size(), 1u);
    EXPECT_EQ(moments(), before + 1);
    const auto via = gradient().ways[0].via[0];
    EXPECT_LT((map.pointOf(via) - (from + QPoint(-8, 10))).manhattanLength(), 3);
    // A lamp on the way goes through there.
    double nearest = 1;
    for (int id = 1; id <= 8; ++id)
        nearest = std::min(nearest, colour::distance(wantedOf(id), via));
    EXPECT_LT(nearest, 0.03);
    key(map, Qt::Key_Right);
    EXPECT_NEAR(gradient().ways[0].via[0].u, via.u + 0.002, 1e-9);
    key(map, Qt::Key_Insert);
    EXPECT_EQ(gradient().ways[0].via.size(), 2u);
    key(map, Qt::Key_Delete);
    ASSERT_EQ(gradient().ways[0].via.size(), 1u);
    QTest::mouseDClick(&map, Qt::LeftButton, {}, map.pointOf(gradient().ways[0].via[0]));
    settle();
    EXPECT_TRUE(gradient().ways[0].via.empty());
    // A press elsewhere is the chosen stop's colour.
    const colour::Uv white = colour::planckianUv({4300});
    drag(map, map.pointOf(white), map.pointOf(white) + QPoint(6, 6));
    EXPECT_LT(
        colour::distance(model().laid().asked[0], map.colourAt(map.pointOf(white) + QPoint(6, 6))),
        1e-6);
    key(map, Qt::Key_PageUp);
    key(map, Qt::Key_Up, Qt::ShiftModifier);
    EXPECT_NEAR(model().laid().asked[0].v,
                map.colourAt(map.pointOf(white) + QPoint(6, 6)).v + 0.0002, 1e-9);
}

TEST_F(GradientTest, IntensityHasStopsOfItsOwn) {
    tideLine();
    const double before = lamp(8).intensity;
    choose(view().bright(), 1);
    ASSERT_EQ(gradient().bright, show::Bright::Spread);
    EXPECT_NEAR(lamp(1).intensity, 1, 1e-9);
    EXPECT_NEAR(lamp(20).intensity, 0.3, 1e-9);
    const auto steps = moments();
    drag(track(), track().intensityPoint(1), track().intensityPoint(1) + QPoint(0, 400));
    EXPECT_EQ(lamp(20).intensity, 0) << "down to nothing";
    EXPECT_EQ(moments(), steps + 1);
    ASSERT_TRUE(model().intensityStop());
    type(track().intensity(), "50");
    EXPECT_NEAR(lamp(20).intensity, 0.5, 1e-9);
    QTest::mouseDClick(&track(), Qt::LeftButton, {}, {track().ribbonPoint(0.5).x(), 40});
    settle();
    EXPECT_EQ(gradient().intensities.size(), 3u);
    key(track(), Qt::Key_Down, Qt::ControlModifier);
    EXPECT_EQ(model().intensityStop(), std::optional<std::size_t>(1));
    EXPECT_NEAR(gradient().intensities[1].intensity, 0.74, 1e-9) << "0.75, and a step darker";
    key(track(), Qt::Key_Delete);
    EXPECT_EQ(gradient().intensities.size(), 2u);
    key(track(), Qt::Key_Down);
    EXPECT_FALSE(model().intensityStop()) << "back to the stops of colour";
    key(track(), Qt::Key_Up);
    EXPECT_TRUE(model().intensityStop());
    choose(view().bright(), 2);
    double least = HUGE_VAL;
    double most = 0;
    for (int id = 1; id <= 20; ++id) {
        least = std::min(least, lamp(id).sent.xyz.Y);
        most = std::max(most, lamp(id).sent.xyz.Y);
    }
    EXPECT_LT(most / least, 1.12) << "as bright all along, but for 8-bit rounding";
    choose(view().bright(), 0);
    EXPECT_GT(lamp(8).intensity, 0) << "what it was goes on, not to dark";
    EXPECT_LT(before, 1);
}

TEST_F(GradientTest, LaidOverTheLineupInManyWays) {
    tideLine();
    const auto first = wantedOf(1);
    const auto last = wantedOf(20);
    QTest::mouseClick(&view().mirrored(), Qt::LeftButton);
    settle();
    EXPECT_LT(colour::distance(wantedOf(20), first), 1e-9);
    QTest::mouseClick(&view().mirrored(), Qt::LeftButton);
    settle();
    type(view().blocks(), "5");
    EXPECT_LT(colour::distance(wantedOf(1), wantedOf(5)), 1e-9);
    EXPECT_FALSE(wantedOf(5) == wantedOf(6));
    QTest::keyClick(&view().blocks(), Qt::Key_Backspace); // to its default
    settle();
    type(view().repeats(), "2");
    EXPECT_LT(colour::distance(wantedOf(1), wantedOf(11)), 1e-9);
    QTest::keyClick(&view().repeats(), Qt::Key_Backspace);
    type(view().offset(), "3");
    EXPECT_LT(colour::distance(wantedOf(4), first), 1e-9);
    QTest::keyClick(&view().offset(), Qt::Key_Backspace);
    settle();
    // The menu of orders.
    QTest::mouseClick(&view().order(), Qt::LeftButton);
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    menu->actions()[1]->trigger();
    menu->close();
    settle();
    EXPECT_LT(colour::distance(wantedOf(1), last), 1e-9) << "last to first";
    EXPECT_EQ(view().order().text(), "last to first");
    QTest::mouseClick(&view().order(), Qt::LeftButton);
    menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    menu->actions()[0]->trigger();
    menu->close();
    settle();
    // The ribbon is dragged along the lamps.
    const double pitch =
        window.lineupPanel().glassOf(1).left() - window.lineupPanel().glassOf(0).left();
    const auto before = moments();
    drag(track(), track().ribbonPoint(0.7),
         track().ribbonPoint(0.7) + QPoint(static_cast<int>(2 * pitch), 0));
    EXPECT_LT(colour::distance(wantedOf(3), first), 1e-9);
    EXPECT_EQ(moments(), before + 1);
    // By where they hang: the cyc from left to right.
    chooseGroups({"cyc"});
    lay("Tide line", {"cyc"});
    choose(view().along(), 1);
    ASSERT_TRUE(gradient().along);
    auto order = document.lineup();
    std::reverse(order.begin(), order.end());
    document.setLineup(order);
    settle();
    EXPECT_LT(colour::distance(wantedOf(13), model().laid().stops.front()), 1e-9)
        << "it hangs at the left";
    // The line is turned on the plan, by hand and by keys.
    auto& plan = window.gradientSide().plan();
    ASSERT_TRUE(plan.isVisible());
    const QPoint middle = plan.rect().center();
    drag(plan, plan.handle(), middle + QPoint(-30, 0));
    EXPECT_NEAR(std::abs(gradient().along->direction_deg), 180, 1);
    EXPECT_LT(colour::distance(wantedOf(20), model().laid().stops.front()), 1e-9);
    key(plan, Qt::Key_Left);
    EXPECT_NEAR(std::abs(gradient().along->direction_deg), 175, 1);
    choose(view().along(), 2);
    drag(plan, plan.handle(), plan.handle() + QPoint(1, 1));
    model().edit("x", [](show::Gradient& g) { g.along->x_m = g.along->y_m = 0; });
    settle();
    key(plan, Qt::Key_Right);
    EXPECT_NEAR(gradient().along->x_m, 0.5, 1e-9);
    key(plan, Qt::Key_Left);
    EXPECT_TRUE(gradient().along->from_point);
    EXPECT_LT(colour::distance(wantedOf(13), wantedOf(20)), 1e-9) << "as far from the middle";
    EXPECT_LT(colour::distance(wantedOf(13), model().laid().stops.back()), 1e-9);
}

TEST_F(GradientTest, TheOrderOfTheLampsIsTheOrderOfTheGradient) {
    lay("Tide line", {"cyc"});
    const auto first = wantedOf(13);
    const auto before = moments();
    QTest::mouseClick(child<Button>("Reverse"), Qt::LeftButton);
    settle();
    EXPECT_LT(colour::distance(wantedOf(20), first), 1e-9);
    EXPECT_TRUE(model().covers());
    EXPECT_EQ(moments(), before + 1);
    EXPECT_EQ(model().name(), "Tide line") << "it still follows the kept one";
    EXPECT_FALSE(model().changed());
    // Other lamps: said, and done by a press.
    chooseGroups({"cyc", "left"});
    EXPECT_FALSE(model().covers());
    auto* over = child<Button>("Lay it over the lineup");
    ASSERT_TRUE(over->isVisible());
    QTest::mouseClick(over, Qt::LeftButton);
    settle();
    EXPECT_EQ(model().laid().lamps.size(), 12u);
    EXPECT_FALSE(over->isVisible());
    document.setLineup({{14}});
    settle();
    QTest::mouseClick(child<Button>("Take its lamps"), Qt::LeftButton);
    settle();
    EXPECT_EQ(document.lineup().size(), 12u);
    // In another view the order alone changes nothing.
    window.showView(MainWindow::Match);
    const auto still = wantedOf(13);
    window.lineupPanel().reverse();
    settle();
    EXPECT_LT(colour::distance(wantedOf(13), still), 1e-9);
}

TEST_F(GradientTest, JudgedByWhatTheLampsMake) {
    tideLine();
    auto& bars = window.stepBars();
    const auto parts = bars.parts();
    ASSERT_EQ(parts.size(), 19u);
    EXPECT_EQ(parts[0].name, "step from lamp 1 to 2");
    EXPECT_NEAR(numberIn(parts[0].value, "ΔE").value_or(0), model().judged().steps[0], 0.06);
    EXPECT_GE(model().judged().evenness, 0.9);
    QString told;
    for (const auto& part : window.gradientSide().parts())
        told += part.name + ": " + part.value + "\n";
    for (const char* word : {"Petrel 4: 0.000", "Gannet 8: 0.000", "Tern 6: 0.000", "Evenness",
                             "usual step", "most, lamp", "least, lamp"})
        EXPECT_TRUE(told.contains(word)) << word << " in\n" << told.toStdString();
    // The thin band is what levels alone make, in evenly spaced places.
    QImage picture = window.grab().toImage();
    const auto pixel = [&](QWidget& w, const QPoint& at) {
        return picture.pixelColor(w.mapTo(&window, at) * picture.devicePixelRatio());
    };
    const auto plain = document.colours().of(model().plain()[4]);
    EXPECT_EQ(pixel(bars, bars.bandOf(4).center()), plain);
    EXPECT_NE(plain, document.colours().of(lamp(5).sent.xyz));
    // The lamp in focus, wanted beside got.
    QTest::mouseClick(&window.lineupPanel(), Qt::LeftButton, {},
                      window.lineupPanel().glassOf(14).center().toPoint());
    settle();
    picture = window.grab().toImage();
    EXPECT_EQ(window.lineupPanel().lampInFocus(), std::optional(show::FixtureId{15}));
    EXPECT_EQ(pixel(window.gradientSide(), window.gradientSide().wantedPixel()),
              document.colours().of(colour::toXyz(wantedOf(15))));
}

TEST_F(GradientTest, StopsBeyondTheReachOfSomeArePulledIn) {
    tideLine();
    EXPECT_FALSE(window.gradientSide().pull().isVisible());
    model().setStopColour(2, *light::parseAsked("xy:0.16,0.02"), {});
    settle();
    ASSERT_TRUE(window.gradientSide().pull().isVisible());
    const auto shown = wantedOf(20);
    QTest::mouseClick(&window.gradientSide().pull(), Qt::LeftButton);
    settle();
    EXPECT_FALSE(window.gradientSide().pull().isVisible());
    EXPECT_LT(colour::distance(wantedOf(20), shown), 1e-4) << "the lamps showed that already";
    EXPECT_LT(colour::distance(model().laid().asked[2], shown), 1e-4);
    // Each its own: the stop is asked for as it is, and missed.
    model().setStopColour(2, *light::parseAsked("xy:0.16,0.02"), {});
    settle();
    choose(view().reach(), 1);
    EXPECT_FALSE(gradient().common_reach);
    EXPECT_GT(lamp(20).miss_uv, 0.004);
    EXPECT_GT(model().judged().worst_miss_uv[2], 0.004);
}

TEST_F(GradientTest, HeldTheLampsShowWhatLevelsAloneMake) {
    tideLine();
    const auto before = moments();
    const auto planned = colour::toUv(lamp(5).sent.xyz);
    const auto plain = colour::toUv(model().plain()[4]);
    ASSERT_GT(colour::distance(planned, plain), 0.01);
    window.setFocus();
    QTest::keyPress(&window, Qt::Key_C);
    settle();
    EXPECT_LT(colour::distance(colour::toUv(lamp(5).sent.xyz), plain), 0.004);
    QTest::keyRelease(&window, Qt::Key_C);
    settle();
    EXPECT_LT(colour::distance(colour::toUv(lamp(5).sent.xyz), planned), 1e-9);
    EXPECT_EQ(moments(), before) << "it was only looked at";
    // Another window takes the keyboard while it is held.
    QTest::keyPress(&window, Qt::Key_C);
    settle();
    QEvent away(QEvent::WindowDeactivate);
    QApplication::sendEvent(&window, &away);
    settle();
    EXPECT_LT(colour::distance(colour::toUv(lamp(5).sent.xyz), planned), 1e-9);
    QTest::mousePress(&window.gradientSide().plain(), Qt::LeftButton);
    settle();
    EXPECT_LT(colour::distance(colour::toUv(lamp(5).sent.xyz), plain), 0.004);
    QTest::mouseRelease(&window.gradientSide().plain(), Qt::LeftButton);
    settle();
    EXPECT_LT(colour::distance(colour::toUv(lamp(5).sent.xyz), planned), 1e-9);
}

TEST_F(GradientTest, KeptUnderANameAndAllThatUsesItFollows) {
    chooseGroups({"cyc"});
    model().beginFromLineup();
    settle();
    model().setStopColour(1, *light::parseAsked("gel:104"), {});
    settle();
    QTest::mouseClick(child<Button>("Keep as…"), Qt::LeftButton);
    auto* form = window.findChild<KeepForm*>();
    ASSERT_TRUE(form);
    EXPECT_EQ(form->choice().chosen(), static_cast<int>(KeepForm::Gradient));
    form->name().setText("Salt fire");
    QTest::keyClick(&form->name(), Qt::Key_Return);
    settle();
    const show::Palette* kept = document.show().paletteNamed("Salt fire");
    ASSERT_TRUE(kept && kept->gradient);
    EXPECT_EQ(model().name(), "Salt fire");
    EXPECT_FALSE(model().changed());
    ASSERT_TRUE(document.keepHand());
    // Over other lamps, all of it; then a change here is theirs, too, once it is kept.
    chooseGroups({"lanterns"});
    pickSwatch("salt fire");
    EXPECT_LT(colour::distance(wantedOf(34), uvOf("gel:104")), 1e-6);
    model().setStopColour(1, *light::parseAsked("gel:341"), {});
    settle();
    EXPECT_LT(colour::distance(wantedOf(20), uvOf("gel:104")), 1e-6) << "not yet";
    ASSERT_TRUE(window.gradientSide().keepChanged().isVisible());
    QTest::mouseClick(&window.gradientSide().keepChanged(), Qt::LeftButton);
    settle();
    EXPECT_GT(colour::distance(wantedOf(20), uvOf("gel:104")), 0.1) << "it followed";
    EXPECT_FALSE(model().changed());
    // Deleted: asked once; what the lamps show stays.
    const auto shown = wantedOf(16);
    window.swatches().removePalette(document.show().paletteNamed("Salt fire")->id);
    auto* box = window.findChild<QMessageBox*>();
    ASSERT_TRUE(box);
    for (auto* button : box->buttons())
        if (box->buttonRole(button) == QMessageBox::DestructiveRole)
            button->click();
    settle();
    EXPECT_FALSE(document.show().paletteNamed("Salt fire"));
    EXPECT_LT(colour::distance(wantedOf(16), shown), 1e-9);
    document.undo();
    settle();
    EXPECT_TRUE(document.show().paletteNamed("Salt fire"));
    EXPECT_LT(colour::distance(wantedOf(16), shown), 1e-9);
}

// Match mixes a gradient's lamps otherwise without taking them out of it.
TEST_F(GradientTest, HowItIsMixedIsTheGradients) {
    tideLine();
    const auto shown = wantedOf(9);
    window.showView(MainWindow::Match);
    window.matchView().mixing().setIntent(mix::Intent::Brightest);
    settle();
    ASSERT_TRUE(model().gradient());
    EXPECT_EQ(gradient().intent, mix::Intent::Brightest);
    EXPECT_LT(colour::distance(wantedOf(9), shown), 1e-9);
    EXPECT_EQ(model().laid().lamps.size(), 20u);
    EXPECT_TRUE(model().changed());
    document.undo();
    settle();
    EXPECT_EQ(gradient().intent, mix::Intent::Truest);
    window.asking().pick("gel:104");
    settle();
    EXPECT_FALSE(model().gradient()) << "another colour is another colour";
}

TEST_F(GradientTest, AStopIsSetFromTheSwatchBookByKeysAlone) {
    tideLine();
    window.setFocus();
    QTest::keyClick(&window, Qt::Key_S); // to the stops
    settle();
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Right);
    settle();
    ASSERT_EQ(model().stop(), std::size_t{1});
    const auto ends = std::pair(gradient().stops[0].uv, gradient().stops[2].uv);
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Slash);
    QTest::keyClicks(QApplication::focusWidget(), "338");
    settle();
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    settle();
    ASSERT_TRUE(model().gradient()) << "it is a stop that was set, not the lamps";
    EXPECT_EQ(text(*gradient().stops[1].colour.here()), "gel:338");
    EXPECT_EQ(gradient().stops[0].uv, ends.first);
    EXPECT_EQ(gradient().stops[2].uv, ends.second);
    QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
}

// Over everything a large rig has.
TEST_F(GradientTest, TwoThousandLampsAreDrawnInTime) {
    std::vector<show::Fixture> more;
    for (int i = 0; i < 1960; ++i) {
        show::Fixture f;
        f.type = i % 2 ? "petrel-4" : "tern-6";
        f.universe = static_cast<std::uint16_t>(100 + i / 20);
        f.address = 1 + i % 20 * 25;
        more.push_back(f);
    }
    document.edit("more", show::addFixtures(document.state().show, more));
    show::Lineup all;
    for (const auto& [id, fixture] : document.show().fixtures)
        all.push_back(id);
    document.setLineup(all);
    document.setHand(
        "x", show::withPalette(show::emptyHand(), all, *document.show().paletteNamed("Tide line")));
    window.showView(MainWindow::Gradient);
    settle();
    ASSERT_EQ(model().laid().lamps.size(), 2000u);
    QElapsedTimer watch;
    watch.start();
    for (int i = 0; i < 5; ++i)
        EXPECT_FALSE(window.grab().isNull());
    std::printf("[ figures  ] a gradient over 2000 lamps: drawn in %lld ms\n", watch.elapsed() / 5);
    EXPECT_LT(watch.elapsed() / 5, 1000) << "a guard: the aim is 50 ms";
}

TEST_F(GradientTest, TheWayStaysOutOfAHue) {
    tideLine();
    model().choose(1);
    settle();
    const bool ccw = model().goesCcw(1);
    // The menu of hues: the one that it goes through now.
    const auto names = model().sideNames(1);
    const QString now = ccw ? names.first : names.second;
    QTest::mouseClick(child<Button>("no hue"), Qt::LeftButton);
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    for (QAction* action : menu->actions())
        if (action->text() == now)
            action->trigger();
    menu->close();
    settle();
    ASSERT_TRUE(gradient().ways[1].keep_out);
    EXPECT_NE(model().goesCcw(1), ccw) << "it goes by the other side";
}

TEST_F(GradientTest, FixedColoursFollowNothing) {
    tideLine();
    const auto shown = wantedOf(9);
    QTest::mouseClick(&window.gradientSide().fixed(), Qt::LeftButton);
    settle();
    EXPECT_FALSE(model().gradient());
    EXPECT_LT(colour::distance(wantedOf(9), shown), 1e-12);
    auto tide = *document.show().paletteNamed("Tide line");
    auto other = *tide.gradient;
    other.stops[0].colour = *light::parseAsked("gel:104");
    ASSERT_TRUE(document.edit("x", show::changeGradient(document.state(), tide.id, other)));
    settle();
    EXPECT_LT(colour::distance(wantedOf(9), shown), 1e-12);
}

TEST_F(GradientTest, FewLampsOrNoneAreNoTrouble) {
    document.setLineup({});
    settle();
    EXPECT_FALSE(view().begin().isVisible());
    pickSwatch("104");
    EXPECT_FALSE(model().firstEnd()) << "no lamps to begin it on";
    document.setLineup({{13}});
    settle();
    QTest::mouseClick(&view().begin(), Qt::LeftButton);
    settle();
    EXPECT_FALSE(model().gradient()) << "one lamp has no two ends";
    pickSwatch("tide line");
    ASSERT_TRUE(model().gradient()) << "a kept one lies over one lamp, too";
    EXPECT_LT(colour::distance(wantedOf(13), model().laid().stops.front()), 1e-9);
    QTest::mouseDClick(&track(), Qt::LeftButton, {}, track().ribbonPoint(0.6));
    settle();
    EXPECT_EQ(gradient().stops.size(), 4u);
    EXPECT_FALSE(window.grab().isNull());
    // A deleted lamp, a deleted palette: the picture goes on.
    tideLine();
    ASSERT_TRUE(document.edit("x", show::removeFixtures(document.state(), {{5}, {6}})));
    settle();
    EXPECT_EQ(model().laid().lamps.size(), 18u);
    EXPECT_FALSE(window.grab().isNull());
}

} // namespace
} // namespace zelo::desk
