// SPDX-License-Identifier: GPL-3.0-or-later
// The Crossfade view with mouse and keys, on the real window with the demo show.
#include "base/file.h"
#include "colour/cct.h"
#include "desk/crossfade/crossfade_map.h"
#include "desk/crossfade/crossfade_side.h"
#include "desk/crossfade/crossfade_view.h"
#include "desk/crossfade/fade_player.h"
#include "desk/crossfade/fade_plot.h"
#include "desk/crossfade/way_list.h"
#include "desk/hands_test.h"
#include "desk/kit/button.h"
#include "desk/lineup/lineup_panel.h"
#include "files/ascii_cues.h"
#include "show/routes.h"

#include <QDropEvent>
#include <QHelpEvent>
#include <QInputDialog>
#include <QLineEdit>
#include <QMenu>
#include <QMimeData>
#include <QTemporaryDir>
#include <QToolTip>

namespace zelo::desk {
namespace {

using route::Kind;

class CrossfadeTest : public HandsTest {
protected:
    CrossfadeTest() : HandsTest(MainWindow::Crossfade) { chooseGroups({"front", "back"}); }

    CrossfadeModel& model() { return window.crossfadeModel(); }
    CrossfadeView& view() { return window.crossfadeView(); }
    FadePlot& plot() { return view().plot(); }
    CrossfadeSide& side() { return window.crossfadeSide(); }
    const show::Crossfade& fade() { return *document.show().crossfade; }
    const play::FadingCase& focus() { return model().picture()->focus(); }
    std::size_t moments() { return document.history().position(); }
    void press(Qt::Key key, Qt::KeyboardModifiers with = {}) {
        QTest::keyClick(QApplication::focusWidget(), key, with);
        settle();
    }
    QAction* inMenu(const QString& text) {
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        if (!menu) {
            ADD_FAILURE() << "no menu is open";
            return nullptr;
        }
        for (QMenu* m : QList<QMenu*>{menu} + menu->findChildren<QMenu*>())
            for (QAction* action : m->actions())
                if (action->text() == text)
                    return action;
        ADD_FAILURE() << "nothing in the menu called " << text.toStdString();
        return nullptr;
    }
    void pick(const QString& text) {
        if (QAction* action = inMenu(text))
            action->trigger();
        if (QWidget* menu = QApplication::activePopupWidget())
            menu->close();
        settle();
    }
    colour::Uv shown(int id) { return colour::toUv(lamp(id).sent.xyz); }
};

TEST_F(CrossfadeTest, TheDemoGoesFromRedToCyanByViolet) {
    ASSERT_TRUE(model().picture());
    EXPECT_GT(focus().would.white_dip, 0.8);
    EXPECT_LT(focus().planned.white_dip, 0.32);
    EXPECT_EQ(model().endName(false), "104 Signal red");
    EXPECT_EQ(model().endName(true), "338 Sluice cyan");
    const auto ribbon = plot().grab().toImage();
    const auto ratio = ribbon.devicePixelRatio();
    const auto pixel = [&](int which, double share) {
        const QPoint at = plot().ribbonPoint(which, share);
        return ribbon.pixelColor(
            QPoint(static_cast<int>(at.x() * ratio), static_cast<int>(at.y() * ratio)));
    };
    // In the middle the plain one is pale, the planned one is not.
    EXPECT_LT(pixel(0, 0.5).hsvSaturationF(), 0.45);
    EXPECT_GT(pixel(1, 0.5).hsvSaturationF(), 0.55);
    // Both begin and end alike.
    for (const double share : {0.02, 0.98}) {
        const QColor a = pixel(0, share);
        const QColor b = pixel(1, share);
        EXPECT_NEAR(a.redF(), b.redF(), 0.06);
        EXPECT_NEAR(a.greenF(), b.greenF(), 0.06);
        EXPECT_NEAR(a.blueF(), b.blueF(), 0.06);
    }
}

TEST_F(CrossfadeTest, ADraggedLineShowsThatMomentOnAllLamps) {
    const auto before = shown(1);
    drag(plot(), plot().ribbonPoint(0, 0.2), plot().ribbonPoint(0, 0.5));
    EXPECT_NEAR(model().moment(), 0.5, 0.01);
    const auto want = [&](std::size_t place) {
        const auto& one = *model().picture()->caseOf(place);
        return one.planned.uvAt(model().moment());
    };
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), want(0)) < 0.003; }));
    EXPECT_LT(colour::distance(shown(7), want(6)), 0.003);
    EXPECT_FALSE(document.lookWords().isEmpty()) << "the lineup says what it shows";
    EXPECT_TRUE(document.state().hand->empty()) << "nothing is taken into the hand";
    // As it would, and half and half.
    choose(side().shows(), 1);
    const auto would = [&](std::size_t place) {
        return model().picture()->caseOf(place)->would.uvAt(model().moment());
    };
    ASSERT_TRUE(comes([&] { return colour::distance(shown(7), would(6)) < 0.003; }));
    choose(side().shows(), 2);
    ASSERT_TRUE(comes([&] { return colour::distance(shown(7), want(6)) < 0.003; }));
    EXPECT_LT(colour::distance(shown(1), would(0)), 0.003);
    // Esc: they show what they do again.
    plot().setFocus();
    press(Qt::Key_Escape);
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), before) < 0.001; }));
    EXPECT_TRUE(document.lookWords().isEmpty());
}

TEST_F(CrossfadeTest, LeavingTheViewLetsGoOfTheLamps) {
    const auto before = shown(1);
    QTest::mouseClick(&plot(), Qt::LeftButton, {}, plot().ribbonPoint(1, 0.9));
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), before) > 0.05; }));
    window.showView(MainWindow::Match);
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), before) < 0.001; }));
    // What is done by hand is to be seen, whatever was looked at.
    window.showView(MainWindow::Crossfade);
    settle();
    QTest::mouseClick(&plot(), Qt::LeftButton, {}, plot().ribbonPoint(1, 0.9));
    settle();
    document.setHand("x", show::withColour(document.state().hand, document.lineup(),
                                           {*light::parseAsked("cct:5600"), {0.2, 0.48}}));
    const auto white = (*document.wanted(*light::parseAsked("cct:5600")))->uv();
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), white) < 0.003; }));
    EXPECT_FALSE(model().looking());
}

TEST_F(CrossfadeTest, TheMomentByKeys) {
    plot().setFocus();
    press(Qt::Key_End);
    EXPECT_EQ(model().moment(), 1);
    press(Qt::Key_Left);
    EXPECT_NEAR(model().moment(), 0.99, 1e-9);
    press(Qt::Key_Left, Qt::ControlModifier);
    EXPECT_NEAR(model().moment(), 0.89, 1e-9);
    press(Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(model().moment(), 0.891, 1e-9);
    press(Qt::Key_Home);
    EXPECT_EQ(model().moment(), 0);
}

TEST_F(CrossfadeTest, TheFloorIsDraggedInTheCurveAndOnTheMap) {
    const auto before = moments();
    drag(plot(), plot().floorPoint(), plot().floorPoint() - QPoint(0, 8));
    const double higher = fade().way->floor;
    EXPECT_GT(higher, 0.75);
    EXPECT_EQ(moments(), before + 1) << "a drag is one step";
    EXPECT_LT(focus().planned.white_dip, 1 - higher + 0.02);
    document.undo();
    settle();
    EXPECT_EQ(fade().way->floor, 0.7);
    EXPECT_GT(focus().planned.white_dip, 0.25);
    // The ring: outwards is more.
    const QPoint white = side().map().pointOf(colour::planckianUv({document.show().white_cct_k}));
    const QPoint ring = side().map().ringPoint();
    drag(side().map(), ring, white + (ring - white) / 2);
    EXPECT_LT(fade().way->floor, 0.5);
    // By keys.
    plot().setFocus();
    const double now = fade().way->floor;
    press(Qt::Key_Up);
    EXPECT_NEAR(fade().way->floor, now + 0.01, 1e-9);
    type(view().floorField(), "85");
    EXPECT_NEAR(fade().way->floor, 0.85, 1e-9);
}

// Faster than what it looks like is worked out.
TEST_F(CrossfadeTest, QuickPressesAllCount) {
    view().floorField().setFocus();
    for (int i = 0; i < 4; ++i)
        QTest::keyClick(&view().floorField(), Qt::Key_Up);
    EXPECT_NEAR(fade().way->floor, 0.74, 1e-9);
    EXPECT_NEAR(view().floorField().value(), 74, 1e-9);
    settle();
    EXPECT_NEAR(view().floorField().value(), 74, 1e-9);
}

TEST_F(CrossfadeTest, AWayIsPulledOutOfItsCourse) {
    auto& map = side().map();
    const auto& points = focus().planned.fade.points;
    const QPoint on = map.pointOf(points[50].uv);
    drag(map, on, on + QPoint(0, -14));
    ASSERT_EQ(fade().way->via.size(), 1u);
    const colour::Uv via = fade().way->via[0];
    double nearest = 1;
    for (const auto& p : focus().planned.fade.points)
        nearest = std::min(nearest, colour::distance(p.uv, via));
    EXPECT_LT(nearest, 0.006) << "it goes through the point";
    map.setFocus();
    press(Qt::Key_PageDown);
    press(Qt::Key_Right);
    EXPECT_NEAR(fade().way->via[0].u, via.u + 0.002, 1e-9);
    press(Qt::Key_Delete);
    EXPECT_TRUE(fade().way->via.empty());
    press(Qt::Key_Insert);
    EXPECT_EQ(fade().way->via.size(), 1u);
    document.undo();
    settle();
    EXPECT_TRUE(fade().way->via.empty());
}

TEST_F(CrossfadeTest, TheWhiteIsMovedAndTyped) {
    auto& map = side().map();
    drag(map, map.pointOf(colour::planckianUv({4300})), map.pointOf(colour::planckianUv({2700})));
    EXPECT_NEAR(document.show().white_cct_k, 2700, 250);
    type(side().white(), "5600");
    EXPECT_EQ(document.show().white_cct_k, 5600);
    map.setFocus();
    press(Qt::Key_Left);
    EXPECT_EQ(document.show().white_cct_k, 5700) << "to the left it is cooler";
    document.undo();
    document.undo();
    document.undo();
    settle();
    EXPECT_EQ(document.show().white_cct_k, 4300);
}

TEST_F(CrossfadeTest, WaysAreChosenAndCompared) {
    choose(view().kind(), 3); // straight is 2, around 3
    EXPECT_EQ(fade().way->kind, Kind::Around);
    choose(view().kind(), 2);
    EXPECT_EQ(fade().way->kind, Kind::Straight);
    EXPECT_GT(focus().planned.white_dip, 0.8);
    choose(view().kind(), 0);
    EXPECT_FALSE(fade().way) << "as needed";
    EXPECT_EQ(focus().planned.fade.kind, Kind::Around) << "it needs to";
    // The list has every way, and its figures are those of the ways.
    auto& list = view().ways();
    ASSERT_EQ(model().compared().size(), 6u);
    ASSERT_EQ(list.parts().size(), 6u);
    EXPECT_TRUE(list.parts()[0].value.contains(
        QStringLiteral("%1 %").arg(std::lround(100 * model().compared()[0].seen.white_dip))));
    QTest::mouseClick(&list, Qt::LeftButton, {}, list.rowRect(4).center());
    settle();
    EXPECT_EQ(fade().way->kind, Kind::Dark);
    type(view().share(), "50");
    EXPECT_NEAR(fade().way->dark_share, 0.5, 1e-9);
    EXPECT_LT(focus().planned.brightness_cd[30], 1) << "half of the time there is no light";
    list.setFocus();
    press(Qt::Key_Down); // jump
    press(Qt::Key_Return);
    EXPECT_EQ(fade().way->kind, Kind::Jump);
    EXPECT_TRUE(list.parts()[5].chosen);
    // The other side.
    choose(view().kind(), 3);
    const bool ccw = model().goesCcw();
    choose(view().side(), ccw ? 1 : 0);
    EXPECT_NE(model().goesCcw(), ccw);
    EXPECT_TRUE(list.parts()[ccw ? 3u : 2u].chosen);
}

TEST_F(CrossfadeTest, EndsFromTheSwatchBookByKeysAlone) {
    document.setLineup({{1}, {2}});
    settle();
    press(Qt::Key_Less, Qt::ShiftModifier); // from
    EXPECT_FALSE(model().chosenTo());
    press(Qt::Key_Slash); // the book
    for (const char sign : {'2', '1', '4'})
        QTest::keyClick(QApplication::focusWidget(), sign);
    press(Qt::Key_Return);
    EXPECT_EQ(model().endName(false), "214 Apricot");
    EXPECT_EQ(model().endName(true), "338 Sluice cyan") << "the other one stays";
    EXPECT_FALSE(document.history().undoName().empty());
    document.undo();
    settle();
    EXPECT_EQ(model().endName(false), "104 Signal red");
}

TEST_F(CrossfadeTest, ColoursAreDroppedOnTheEnds) {
    const auto drop = [&](const QPoint& at, const char* asked) {
        const std::unique_ptr<QMimeData> mime(colourMime(*light::parseAsked(asked)));
        QDragEnterEvent enter(at, Qt::CopyAction, mime.get(), Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&view(), &enter);
        EXPECT_TRUE(enter.isAccepted());
        QDropEvent event(at, Qt::CopyAction, mime.get(), Qt::LeftButton, {});
        QApplication::sendEvent(&view(), &event);
        settle();
    };
    drop({60, 60}, "gel:214");
    EXPECT_EQ(model().endName(false), "214 Apricot");
    EXPECT_FALSE(model().chosenTo());
    drop({view().width() - 60, 60}, "palette:deep water");
    EXPECT_EQ(model().endName(true), "deep water");
    EXPECT_TRUE(model().chosenTo());
    QString told;
    QObject::connect(&document, &Document::told, &window, [&](const QString& t) { told = t; });
    drop({60, 60}, "palette:a breath"); // intensity alone
    EXPECT_FALSE(told.isEmpty());
    EXPECT_EQ(model().endName(false), "214 Apricot");
}

TEST_F(CrossfadeTest, TurnedRoundItGoesTheSameWayBack) {
    const QPoint on = side().map().pointOf(focus().planned.fade.points[50].uv);
    drag(side().map(), on, on + QPoint(0, -14));
    const auto via = fade().way->via;
    ASSERT_EQ(via.size(), 1u);
    std::vector<colour::Uv> there;
    for (const auto& p : focus().planned.fade.points)
        there.push_back(p.uv);
    plot().setFocus();
    press(Qt::Key_X);
    EXPECT_EQ(model().endName(false), "338 Sluice cyan");
    for (std::size_t i = 0; i < there.size(); ++i)
        EXPECT_LT(colour::distance(there[there.size() - 1 - i], focus().planned.fade.points[i].uv),
                  0.002);
    document.setLineup({}); // and with nothing to look at
    settle();
    model().turnRound();
    EXPECT_EQ(fade().way->via, via) << "no point is lost";
}

TEST_F(CrossfadeTest, HuesToStayOutOfAreDraggedOnTheMap) {
    view().options().click();
    pick("green");
    const auto before = *fade().way->keep_out;
    auto& map = side().map();
    const auto disc = *route::Disc::of(model().picture()->reach,
                                       colour::planckianUv({document.show().white_cct_k}));
    const auto at = [&](double angle) { return map.pointOf(disc.fromDisc({0.9, angle})); };
    drag(map, at(before.to), at(before.to + 0.4));
    EXPECT_NEAR(std::remainder(fade().way->keep_out->to - before.to - 0.4, 6.283185307), 0, 0.25);
    EXPECT_EQ(fade().way->keep_out->from, before.from);
}

TEST_F(CrossfadeTest, EndsFromMenus) {
    view().end(false).click();
    pick("The lamps as they are now");
    EXPECT_EQ(fade().from.lamps.size(), document.lineup().size());
    EXPECT_LT(colour::distance(focus().fading.from.uv, shown(7)), 0.003);
    view().end(true).click();
    pick("tide at dusk");
    EXPECT_EQ(fade().to.colour->palette(), document.show().paletteNamed("tide at dusk")->id);
    view().end(true).click();
    pick("night tide");
    EXPECT_EQ(document.show().lookOf(fade().to.look)->name, "night tide");
    const auto from = focus().fading.from.drives;
    view().end(true).click();
    pick("Turn it round: from and to");
    EXPECT_EQ(focus().fading.to.drives, from);
    view().end(false).click();
    pick("No light");
    EXPECT_TRUE(focus().fading.from.dark());
}

TEST_F(CrossfadeTest, WhatADarkEndDoesIsToldAndMended) {
    view().end(false).click();
    pick("No light");
    EXPECT_TRUE(side().cures().empty()) << "in the dark first";
    view().options().click();
    pick("A dark lamp takes its colour before its light comes");
    EXPECT_FALSE(document.show().dark_first);
    ASSERT_FALSE(side().cures().empty());
    EXPECT_GT(colour::distance(focus().planned.fade.points[5].uv, focus().fading.to.uv), 0.02);
    side().cures()[0]->click();
    settle();
    EXPECT_TRUE(document.show().dark_first);
    EXPECT_TRUE(side().cures().empty());
    document.undo();
    settle();
    EXPECT_FALSE(side().cures().empty());
}

TEST_F(CrossfadeTest, OptionsOfTheWay) {
    view().options().click();
    pick("Eased in and out");
    EXPECT_TRUE(fade().way->eased);
    view().options().click();
    pick("All in what all of them reach");
    EXPECT_TRUE(fade().way->common);
    const auto hull = model().picture()->reach;
    EXPECT_NE(hull, focus().fading.mixer->hull());
    const bool ccw = model().goesCcw();
    const auto names = model().sideNames();
    view().options().click();
    pick(ccw ? names.first : names.second); // the hue that it goes by now
    ASSERT_TRUE(fade().way->keep_out);
    EXPECT_NE(model().goesCcw(), ccw) << "so it takes the other side";
}

TEST_F(CrossfadeTest, StepsForAConsole) {
    const auto steps = model().picture()->steps.steps.size();
    type(side().tolerance(), "0.03");
    EXPECT_EQ(fade().tolerance_uv, 0.03);
    EXPECT_LT(model().picture()->steps.steps.size(), steps);
    side().console().click();
    EXPECT_TRUE(plot().console());
    EXPECT_TRUE(plot().parts()[2].name.contains("console"));
    // The channel values of a step under the pointer, and for those who cannot see it.
    const auto rows = side().parts();
    const auto step = std::find_if(rows.begin(), rows.end(),
                                   [](const auto& part) { return part.name == "step 1"; });
    ASSERT_NE(step, rows.end());
    const auto& sent = model().picture()->steps.steps[1].sent.values;
    const auto& mode = focus().fading.mixer->mode();
    for (std::size_t c = 0; c < mode.channels.size(); ++c)
        if (mode.channels[c].role == light::Role::Part)
            EXPECT_TRUE(step->value.contains(QString::number(sent[c])))
                << step->value.toStdString();
    QHelpEvent help(QEvent::ToolTip, step->place.center(),
                    side().mapToGlobal(step->place.center()));
    QApplication::sendEvent(&side(), &help);
    EXPECT_TRUE(QToolTip::text().contains(mode.channels[0].name.c_str()))
        << QToolTip::text().toStdString();
    QTemporaryDir dir;
    side().saveSteps(dir.filePath("steps.asc"));
    document.finishWork();
    settle();
    const auto bytes = readFile(dir.filePath("steps.asc").toStdString());
    ASSERT_TRUE(bytes);
    const auto cues = files::parseAsciiCues(*bytes);
    ASSERT_TRUE(cues);
    EXPECT_EQ(cues->cues.size(), model().picture()->steps.steps.size());
    double time = 0;
    for (const auto& cue : cues->cues)
        time += cue.up->time_s;
    EXPECT_NEAR(time, 6, 0.1);
    // The lamps of the type in focus, each with all its slots.
    const auto footprint = static_cast<std::size_t>(focus().fading.mixer->mode().footprint);
    EXPECT_EQ(cues->patch.size(), 6 * footprint);
    side().saveSteps(dir.filePath("steps.csv"));
    document.finishWork();
    settle();
    EXPECT_TRUE(readFile(dir.filePath("steps.csv").toStdString()));
    QString told;
    QObject::connect(&document, &Document::told, &window, [&](const QString& t) { told = t; });
    side().saveSteps("/nowhere/at/all.asc");
    document.finishWork();
    settle();
    EXPECT_TRUE(told.contains("/nowhere/at/all.asc")) << told.toStdString();
}

TEST_F(CrossfadeTest, PlaysInItsTimeAndComesBack) {
    const auto before = shown(1);
    type(view().time(), "0.8");
    plot().setFocus();
    QElapsedTimer clock;
    press(Qt::Key_P);
    clock.start();
    EXPECT_TRUE(window.fadePlayer().playing());
    double most = 0;
    ASSERT_TRUE(comes([&] {
        most = std::max(most, model().moment());
        return model().moment() >= 1;
    }));
    EXPECT_GT(clock.elapsed(), 700);
    ASSERT_TRUE(comes([&] { return !window.fadePlayer().playing(); }));
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), before) < 0.001; }));
    // On the lamps the engine plays it; over and over, since its end stands there for a moment
    // only.
    window.fadePlayer().setLoops(true);
    choose(side().where(), 1);
    plot().setFocus();
    press(Qt::Key_P);
    const auto cyan = model().picture()->caseOf(0)->fading.to.uv;
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), cyan) < 0.003; }));
    press(Qt::Key_P);
    window.fadePlayer().setLoops(false);
    EXPECT_FALSE(window.fadePlayer().playing());
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), before) < 0.001; }));
    // Another type is looked at meanwhile: the engine's fade goes on.
    plot().setFocus();
    press(Qt::Key_P);
    ASSERT_TRUE(comes([&] { return model().moment() > 0.2; }));
    document.setFocusType(document.typeOf({1}));
    settle();
    const auto petrel = model().picture()->caseOf(0)->fading.to.uv;
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), petrel) < 0.003; }, 3000));
    press(Qt::Key_Escape);
    EXPECT_FALSE(window.fadePlayer().playing());
    // Twice as slow.
    choose(side().slower(), 1);
    clock.restart();
    plot().setFocus();
    press(Qt::Key_P);
    ASSERT_TRUE(comes([&] { return model().moment() >= 1; }));
    EXPECT_GT(clock.elapsed(), 1500);
    press(Qt::Key_P);
    choose(side().slower(), 0);
    // Over and over, until the line is dragged.
    side().loop().click();
    plot().setFocus();
    press(Qt::Key_P);
    ASSERT_TRUE(comes([&] { return model().moment() >= 1; }));
    ASSERT_TRUE(comes([&] { return model().moment() < 0.5; })) << "again";
    EXPECT_TRUE(window.fadePlayer().playing());
    QTest::mouseClick(&plot(), Qt::LeftButton, {}, plot().ribbonPoint(1, 0.5));
    EXPECT_FALSE(window.fadePlayer().playing());
    EXPECT_NEAR(model().moment(), 0.5, 0.01);
}

TEST_F(CrossfadeTest, AWayIsKeptAsARoute) {
    plot().setFocus();
    press(Qt::Key_K);
    auto* ask = window.findChild<QInputDialog*>();
    ASSERT_TRUE(ask);
    ask->setTextValue("along the shore");
    ask->accept();
    settle();
    ASSERT_EQ(document.show().routes.size(), 2u);
    // The pair of palettes takes it from now on.
    model().setEnd(false, light::AskedUv{}, document.show().paletteNamed("embers")->id);
    model().setEnd(true, light::AskedUv{}, document.show().paletteNamed("deep water")->id);
    settle();
    view().options().click();
    pick("along the shore");
    EXPECT_EQ(fade().way->floor, 0.7);
    view().options().click();
    auto* between =
        qobject_cast<QMenu*>(QApplication::activePopupWidget())->findChild<QMenu*>("between");
    ASSERT_TRUE(between);
    between->actions()[2]->trigger();
    QApplication::activePopupWidget()->close();
    settle();
    ASSERT_EQ(document.show().routes_between.size(), 1u);
    EXPECT_EQ(document.show().routes_between[0].route, show::RouteId{2});
    document.undo();
    EXPECT_TRUE(document.show().routes_between.empty());
}

TEST_F(CrossfadeTest, WithNothingItSaysWhatToDo) {
    document.setLineup({});
    settle();
    EXPECT_FALSE(model().picture());
    EXPECT_TRUE(model().trouble().contains("(L)"));
    EXPECT_FALSE(plot().isVisible());
    QString told;
    QObject::connect(&document, &Document::told, &window, [&](const QString& t) { told = t; });
    window.setFocus();
    press(Qt::Key_P);
    EXPECT_FALSE(told.isEmpty());
    document.edit("x", show::withCrossfade(document.state().show, nullptr));
    chooseGroups({"front"});
    EXPECT_FALSE(model().picture());
    // Two colours from the book begin one.
    for (const char* number : {"104", "338"}) {
        press(Qt::Key_Slash);
        QTest::keyClicks(QApplication::focusWidget(), number);
        settle();
        press(Qt::Key_Return);
        press(Qt::Key_Escape); // out of the field
    }
    ASSERT_TRUE(model().picture());
    EXPECT_EQ(model().endName(false), "104 Signal red");
    EXPECT_EQ(model().endName(true), "338 Sluice cyan");
}

} // namespace
} // namespace zelo::desk
