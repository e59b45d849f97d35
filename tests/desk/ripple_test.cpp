// SPDX-License-Identifier: GPL-3.0-or-later
// The Ripple view with mouse and keys, on the real window with the demo show and a clock of its
// own.
#include "base/file.h"
#include "desk/hands_test.h"
#include "desk/kit/button.h"
#include "desk/match/match_view.h"
#include "desk/ripple/pattern_tiles.h"
#include "desk/ripple/raster_plot.h"
#include "desk/ripple/ripple_form.h"
#include "desk/ripple/ripple_model.h"
#include "desk/ripple/ripple_side.h"
#include "desk/ripple/ripple_view.h"
#include "desk/ripple/step_track.h"
#include "files/ascii_cues.h"
#include "show/cue_edits.h"
#include "show/edits.h"
#include "show/ripple_edits.h"

#include <QInputDialog>
#include <QLineEdit>
#include <QMenu>
#include <QTemporaryDir>

namespace zelo::desk {
namespace {

using show::Pattern;

class RippleViewTest : public HandsTest {
protected:
    RippleViewTest() : RippleViewTest(std::make_shared<double>(0)) {}
    explicit RippleViewTest(const std::shared_ptr<double>& clock)
        : HandsTest([clock](host::Library& l) {
              return std::make_unique<host::Session>(l, nullptr, nullptr,
                                                     [clock] { return *clock; });
          }),
          now(clock) {
        chooseGroups({"front", "back"});
        window.showView(MainWindow::Ripple);
        settle();
        EXPECT_TRUE(comes([&] { return model().pictures() != nullptr; }));
    }
    RippleModel& model() { return window.rippleModel(); }
    RippleView& view() { return window.rippleView(); }
    RippleSide& side() { return window.rippleSide(); }
    RippleForm& form() { return side().form(); }
    const show::Ripple& ripple() { return *model().ripple(); }
    std::size_t moments() { return document.history().position(); }
    void press(const char* sign) {
        QWidget* to = QApplication::focusWidget();
        QTest::keyClick(to ? to : &window, *sign);
        settle();
    }
    void press(Qt::Key k, Qt::KeyboardModifiers with = {}) {
        QWidget* to = QApplication::focusWidget();
        QTest::keyClick(to ? to : &window, k, with);
        settle();
    }
    void click(QWidget& on) {
        QTest::mouseClick(&on, Qt::LeftButton);
        settle();
    }
    void field(const char* label, const char* number) { type(form().field(label), number); }
    bool wait(double seconds) { // the clock goes on, and the window has looked
        *now += seconds;
        const auto before = document.stagePtr();
        const bool looked = comes([&] { return document.stagePtr() != before; }, 3000);
        settle();
        return looked;
    }
    colour::Uv shown(int id) { return colour::toUv(lamp(id).sent.xyz); }
    colour::Uv uvOf(const char* asked) {
        return (*document.wanted(*light::parseAsked(asked)))->uv();
    }
    QAction* entry(QMenu& menu, const QString& text) {
        for (QMenu* m : QList<QMenu*>{&menu} + menu.findChildren<QMenu*>())
            for (QAction* action : m->actions())
                if (action->text() == text)
                    return action;
        ADD_FAILURE() << "not in the menu: " << text.toStdString();
        return menu.actions().front();
    }
    void choose(const QString& text) { // of the view's menu
        const std::unique_ptr<QMenu> menu(view().makeMenu());
        entry(*menu, text)->trigger();
        settle();
    }
    using HandsTest::choose;
    void answer(const QString& text) { // to what is asked
        QInputDialog* asks = nullptr;
        ASSERT_TRUE(comes([&] {
            for (auto* d : window.findChildren<QInputDialog*>())
                if (d->isVisible())
                    asks = d;
            return asks != nullptr;
        }));
        asks->setTextValue(text);
        asks->accept();
        QApplication::setActiveWindow(&window);
        settle();
    }
    void another() { choose("Another one"); }

    std::shared_ptr<double> now;
};

TEST_F(RippleViewTest, OpensOnOneOfTheShowAndShowsItsRaster) {
    EXPECT_EQ(ripple().name, "Tide lanterns");
    const auto& raster = model().pictures()->raster;
    ASSERT_EQ(raster.lamps.size(), 12u);
    EXPECT_DOUBLE_EQ(model().pictures()->span_s, 9.6) << "two turns";
    // Mirrored: the last lamp is as the first. Being of another type it takes its own planned way,
    // and is where the first is when that rests.
    const auto at = [&](std::size_t row, std::size_t column) {
        return colour::toUv(raster.at(row, column).light);
    };
    int rests = 0;
    for (std::size_t column = 1; column + 1 < raster.columns; ++column) {
        if (colour::distance(at(0, column - 1), at(0, column + 1)) > 1e-6)
            continue;
        ++rests;
        EXPECT_LT(colour::distance(at(0, column), at(11, column)), 0.01) << column;
    }
    EXPECT_GT(rests, 20);
    EXPECT_TRUE(model().covers());
    EXPECT_FALSE(view().over().isVisible());
}

TEST_F(RippleViewTest, BeginsWithTwoColoursInTwoPresses) {
    another();
    EXPECT_FALSE(model().ripple());
    pickSwatch("104");
    EXPECT_TRUE(model().firstColour());
    EXPECT_FALSE(model().ripple());
    const auto before = moments();
    pickSwatch("lamp oil");
    ASSERT_TRUE(model().ripple());
    EXPECT_EQ(moments(), before + 1);
    EXPECT_EQ(ripple().name, "Ripple");
    EXPECT_EQ(ripple().lamps, document.lineup());
    ASSERT_EQ(ripple().steps.size(), 2u);
    EXPECT_EQ(ripple().steps[1].colour.palette(), document.show().paletteNamed("lamp oil")->id);
    // What is picked now is the chosen step's.
    view().steps().setFocus();
    press(Qt::Key_Home);
    pickSwatch("338");
    EXPECT_EQ(text(*ripple().steps[0].colour.here()).rfind("gel:338", 0), 0u);
    document.undo();
    document.undo();
    settle();
    EXPECT_NE(ripple().name, "Ripple") << "the begun one is gone, another one is on the bench";
}

TEST_F(RippleViewTest, ARainbowInOnePress) {
    another();
    click(view().rainbowButton());
    ASSERT_TRUE(comes([&] { return model().ripple() && ripple().name == "Rainbow"; }));
    settle();
    EXPECT_EQ(ripple().steps.size(), 12u);
    EXPECT_TRUE(ripple().as_bright);
    ASSERT_TRUE(
        comes([&] { return model().pictures() && model().pictures()->ripple->name == "Rainbow"; }));
    EXPECT_TRUE(model().outOfReach().isEmpty()) << "all of it in reach of both types";
    document.setLineup({});
    another();
    EXPECT_FALSE(view().rainbowButton().isVisible()) << "without lamps there is nothing to begin";
}

TEST_F(RippleViewTest, StepsAreChosenMovedAddedAndDroppedByKeys) {
    auto& steps = view().steps();
    steps.setFocus();
    press(Qt::Key_Right);
    EXPECT_EQ(model().step(), 1u);
    const auto second = ripple().steps[1];
    press(Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(ripple().steps[2], second) << "moved behind the next";
    EXPECT_EQ(model().step(), 2u) << "and still chosen";
    press(Qt::Key_Insert);
    EXPECT_EQ(ripple().steps.size(), 5u);
    EXPECT_EQ(model().step(), 3u);
    press(Qt::Key_Delete);
    EXPECT_EQ(ripple().steps.size(), 4u);
    press(Qt::Key_Home);
    const double time = ripple().steps[0].time_s;
    press(Qt::Key_Up);
    press(Qt::Key_Up, Qt::ShiftModifier);
    EXPECT_NEAR(ripple().steps[0].time_s, time + 0.11, 1e-9);
    press(Qt::Key_Delete);
    press(Qt::Key_Delete);
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    press(Qt::Key_Delete);
    EXPECT_EQ(ripple().steps.size(), 2u) << "two at least";
    EXPECT_TRUE(told.contains("must have 2")) << told.toStdString();
}

TEST_F(RippleViewTest, APointerIsDraggedAndTheTurnStaysAsLong) {
    auto& steps = view().steps();
    const auto before = moments();
    const double first = ripple().steps[0].time_s, second = ripple().steps[1].time_s;
    const QPoint at = steps.stepPoint(1);
    drag(steps, at, at + QPoint(40, 0));
    EXPECT_EQ(model().step(), 1u);
    const double by = 40.0 / steps.width() * 4.8;
    EXPECT_NEAR(ripple().steps[0].time_s, first + by, 0.02);
    EXPECT_NEAR(ripple().steps[1].time_s, second - by, 0.02);
    EXPECT_EQ(moments(), before + 1) << "one drag, one step of undo";
    drag(steps, steps.stepPoint(1), QPoint(steps.width() - 1, steps.stepPoint(1).y()));
    EXPECT_NEAR(ripple().steps[1].time_s, 0, 1e-9) << "not beyond";
    document.undo();
    document.undo();
    settle();
    EXPECT_EQ(ripple().steps[0].time_s, first);
}

TEST_F(RippleViewTest, ColoursAreDroppedOnStepsAndBeside) {
    auto& steps = view().steps();
    drop(steps, steps.stepPoint(2), "gel:104@3200");
    EXPECT_EQ(text(*ripple().steps[2].colour.here()), "gel:104@3200");
    drop(view(), QPoint(view().width() / 2, 20), "cct:5600");
    ASSERT_EQ(ripple().steps.size(), 5u);
    EXPECT_EQ(text(*ripple().steps[4].colour.here()), "cct:5600");
    drop(steps, steps.stepPoint(0), "palette:lamp oil");
    EXPECT_TRUE(ripple().steps[0].colour.palette());
    // It follows: the raster shows the palette as it becomes.
    auto oil = *document.show().paletteNamed("lamp oil");
    oil.colour = test::wishFor("gel:338@5600", uvOf("gel:338@5600"));
    ASSERT_TRUE(document.edit("x", show::changePalette(document.state().show, oil)));
    settle();
    EXPECT_TRUE(comes([&] {
        return colour::distance(colour::toUv(model().pictures()->raster.at(0, 0).light),
                                uvOf("gel:338@5600")) < 0.02;
    }));
    // A gradient gives all of its stops.
    drop(steps, steps.stepPoint(0), "palette:Tide line");
    EXPECT_EQ(ripple().steps.size(),
              document.show().paletteNamed("Tide line")->gradient->stops.size());
}

TEST_F(RippleViewTest, PatternsAreChosenWhereTheyAreDrawn) {
    auto& tiles = view().patterns();
    QTest::mouseClick(&tiles, Qt::LeftButton, {}, tiles.tile(1).center());
    settle();
    EXPECT_EQ(ripple().pattern, Pattern::March);
    EXPECT_TRUE(form().field("pause").isVisible());
    tiles.setFocus();
    press(Qt::Key_Right);
    EXPECT_EQ(ripple().pattern, Pattern::Pulse);
    EXPECT_TRUE(form().field("fall").isVisible());
    EXPECT_FALSE(form().field("pause").isVisible());
    press(Qt::Key_Right);
    EXPECT_EQ(ripple().pattern, Pattern::Pulse) << "the last";
    EXPECT_TRUE(comes([&] { return model().pictures()->times.pattern == Pattern::Pulse; }));
    click(form().overBelow());
    EXPECT_TRUE(ripple().over_below);
    view().steps().setFocus();
    for (int i = 0; i < 3; ++i)
        press(Qt::Key_Delete);
    EXPECT_EQ(ripple().steps.size(), 1u) << "one accent is enough over what lies below";
    document.undo();
    settle();
    EXPECT_EQ(ripple().steps.size(), 2u);
}

TEST_F(RippleViewTest, PicturesFollowTheStepsAndTheCamera) {
    auto& tiles = view().patterns();
    const auto pictured = [&] {
        return tiles.grab(QRect(tiles.tile(0).topLeft(), QSize(tiles.tile(0).width(), 60)))
            .toImage();
    };
    const QImage first = pictured();
    EXPECT_EQ(pictured(), first);
    model().setColour(0, *light::parseAsked("xy:0.16,0.12"), {});
    settle();
    EXPECT_NE(pictured(), first) << "a step of another colour";
    document.undo();
    settle();
    EXPECT_EQ(pictured(), first);
    window.matchView().lookThrough(true);
    settle();
    EXPECT_NE(pictured(), first) << "as a camera sees it";
    window.matchView().lookThrough(false);
    settle();
    EXPECT_EQ(pictured(), first);
}

TEST_F(RippleViewTest, TimesAreTypedAndPaced) {
    field("lamp after lamp", "0.2");
    EXPECT_EQ(ripple().after_s, 0.2);
    field("one turn", "9.6");
    EXPECT_NEAR(ripple().steps[0].time_s, 2.4, 1e-9) << "twice as long, each in its share";
    field("steps a minute", "60");
    EXPECT_NEAR(model().beat_s(), 1, 1e-9);
    field("smooth", "0");
    for (const auto& step : ripple().steps)
        EXPECT_EQ(step.change, 0);
    field("let go in", "3");
    EXPECT_EQ(ripple().release_s, 3);
    view().setFocus();
    window.setFocus();
    const double turn = 4 * model().beat_s();
    press("+");
    EXPECT_NEAR(4 * model().beat_s(), turn / 1.1, 1e-9);
    EXPECT_NEAR(ripple().after_s, 0.2 / 1.1, 1e-9);
    press("-");
    EXPECT_NEAR(4 * model().beat_s(), turn, 1e-9);
    // However slow the machine is, between three presses passes the time between three presses.
    QElapsedTimer clock;
    clock.start();
    std::vector<qint64> begun_ms, ended_ms;
    for (int i = 0; i < 3; ++i) {
        QTest::qWait(i ? 400 : 0);
        begun_ms.push_back(clock.elapsed());
        press("B");
        ended_ms.push_back(clock.elapsed());
    }
    const auto least = std::max(begun_ms[1] - ended_ms[0], begun_ms[2] - ended_ms[1]);
    const auto most = std::max(ended_ms[1] - begun_ms[0], ended_ms[2] - begun_ms[1]);
    EXPECT_GE(model().beat_s(), static_cast<double>(least - 2) / 1000) << "as it was tapped";
    EXPECT_LE(model().beat_s(), static_cast<double>(most + 2) / 1000);
    field("one turn", "0.02");
    EXPECT_TRUE(side().trouble().contains("Faster than frames")) << side().trouble().toStdString();
}

TEST_F(RippleViewTest, LaidOverTheLineupInEveryWay) {
    click(form().laid().mirrored());
    EXPECT_FALSE(ripple().arrangement.mirrored);
    type(form().laid().blocks(), "2");
    EXPECT_EQ(ripple().arrangement.block, 2);
    type(form().laid().offset(), "3");
    EXPECT_DOUBLE_EQ(ripple().arrangement.offset, 0.25);
    choose(form().laid().along(), 1);
    EXPECT_TRUE(ripple().along);
    choose(form().chance(), 2);
    EXPECT_EQ(ripple().chance, show::Chance::EachItsOwn);
    field("seed", "7");
    EXPECT_EQ(ripple().seed, 7u);
    choose(form().atEnd(), 2);
    EXPECT_EQ(ripple().end, show::RippleEnd::Stop);
    choose(form().way(), 3);
    ASSERT_TRUE(ripple().way);
    EXPECT_EQ(ripple().way->kind, route::Kind::Jump);
    choose(form().way(), 0);
    EXPECT_FALSE(ripple().way);
    chooseGroups({"cyc"});
    EXPECT_TRUE(view().over().isVisible());
    click(view().over());
    EXPECT_EQ(ripple().lamps, document.lineup());
    EXPECT_FALSE(view().over().isVisible());
}

TEST_F(RippleViewTest, IntensitiesOnlyWhenAskedFor) {
    click(form().intensities());
    EXPECT_EQ(ripple().steps[2].intensity, std::optional(1.0));
    field("intensity of this one", "20");
    EXPECT_EQ(ripple().steps[0].intensity, std::optional(0.2));
    click(form().intensities());
    EXPECT_FALSE(ripple().steps[0].intensity);
    EXPECT_FALSE(form().field("intensity of this one").isVisible());
}

TEST_F(RippleViewTest, TheLineIsDraggedToLookAheadOnTheScreenAlone) {
    const auto before = shown(1);
    auto& raster = view().raster();
    drag(raster, raster.pointAt(0), raster.pointAt(3.4));
    EXPECT_TRUE(model().looking());
    EXPECT_NEAR(model().moment_s(), 3.4, 0.03);
    ASSERT_TRUE(comes([&] { return colour::distance(shown(1), before) > 0.02; }));
    settle();
    const auto column = static_cast<std::size_t>(std::lround(
        model().moment_s() / 9.6 * static_cast<double>(model().pictures()->raster.columns - 1)));
    for (const int id : {1, 4, 12})
        EXPECT_LT(
            colour::distance(
                shown(id),
                colour::toUv(
                    model().pictures()->raster.at(static_cast<std::size_t>(id - 1), column).light)),
            0.01)
            << "lamp " << id << " shows its cell";
    EXPECT_FALSE(document.stage().ripple(ripple().id)->runs) << "nothing of it is played";
    raster.setFocus();
    press(Qt::Key_Right, Qt::ControlModifier);
    EXPECT_NEAR(model().moment_s(), 4.4, 0.03);
    // An edit while one looks: the same moment of what it is now.
    field("smooth", "10");
    EXPECT_TRUE(model().looking());
    press(Qt::Key_Escape);
    EXPECT_FALSE(model().looking());
    EXPECT_TRUE(comes([&] { return colour::distance(shown(1), before) < 1e-6; }));
    EXPECT_FALSE(document.state().hand->contains({1}));
}

TEST_F(RippleViewTest, PlaysOnTheScreenByAKeyAndStops) {
    const auto before = shown(1);
    window.setFocus();
    press("P");
    EXPECT_TRUE(model().playing());
    EXPECT_TRUE(comes([&] { return model().moment_s() > 0.3; }));
    press("F");
    const double at = model().moment_s();
    EXPECT_TRUE(model().frozen());
    QTest::qWait(120);
    EXPECT_EQ(model().moment_s(), at);
    press("F");
    EXPECT_TRUE(comes([&] { return model().moment_s() > at + 0.1; }));
    press("P");
    EXPECT_FALSE(model().playing());
    EXPECT_TRUE(comes([&] { return colour::distance(shown(1), before) < 1e-6; }));
    press("P");
    window.showView(MainWindow::Match);
    settle();
    EXPECT_FALSE(model().looking()) << "another view shows what there is";
}

TEST_F(RippleViewTest, PlaysOnTheLampsFreezesAndLetsGo) {
    choose(side().where(), 1);
    click(side().playButton());
    ASSERT_TRUE(comes([&] { return model().playing(); }));
    ASSERT_TRUE(wait(0.2));
    EXPECT_LT(colour::distance(shown(1), uvOf("gel:214@3200")), 0.01);
    EXPECT_TRUE(comes([&] { return std::abs(model().lineAt() - 0.2) < 0.1; })) << model().lineAt();
    ASSERT_TRUE(wait(1.2));
    EXPECT_LT(colour::distance(shown(1), uvOf("gel:118@3200")), 0.01);
    click(side().freezeButton());
    ASSERT_TRUE(comes([&] { return model().frozen(); }));
    const auto held = shown(1);
    *now += 3;
    QTest::qWait(100);
    settle();
    EXPECT_LT(colour::distance(shown(1), held), 2e-3);
    click(side().freezeButton());
    ASSERT_TRUE(comes([&] { return !model().frozen(); }));
    // Twenty turns on the line still stands in the raster.
    ASSERT_TRUE(wait(96));
    EXPECT_LE(model().lineAt(), 9.6);
    click(side().playButton());
    ASSERT_TRUE(comes([&] {
        *now += 0.5;
        return !model().playing();
    }));
}

TEST_F(RippleViewTest, KeptAsAGradientAndAsALook) {
    window.setFocus();
    model().lookAt(2);
    settle();
    press("K");
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    entry(*menu, "A gradient of these colours…")->trigger();
    menu->close();
    answer("tide held");
    const auto* kept = document.show().paletteNamed("tide held");
    ASSERT_TRUE(kept && kept->gradient);
    EXPECT_EQ(kept->gradient->stops.size(), 12u);
    model().lookAt(2);
    settle();
    press("K");
    menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    const auto seen = shown(3);
    entry(*menu, "A look of what the lamps show…")->trigger();
    menu->close();
    answer("tide look");
    const show::Look* look = nullptr;
    for (const auto& [id, one] : document.show().looks)
        if (one->name == "tide look")
            look = one.get();
    ASSERT_TRUE(look);
    model().letGo();
    settle();
    document.showLook("x", look->id);
    settle();
    EXPECT_TRUE(comes([&] {
        *now += 0.5;
        return colour::distance(shown(3), seen) < 2e-3;
    })) << "as it was at the line";
}

TEST_F(RippleViewTest, OthersAreChosenCopiedLockedRenamedAndRemoved) {
    choose("Procession");
    EXPECT_EQ(ripple().name, "Procession");
    EXPECT_EQ(model().uses(),
              (QStringList{"cue 9 of The Salt Lanterns", "cue 10 of The Salt Lanterns"}));
    EXPECT_TRUE(view().over().isVisible()) << "it runs over the cyc";
    choose("Copy");
    EXPECT_EQ(ripple().name, "Procession 2");
    EXPECT_TRUE(model().uses().isEmpty());
    choose("Rename…");
    answer("Parade");
    EXPECT_EQ(ripple().name, "Parade");
    choose("Lock");
    EXPECT_TRUE(ripple().locked);
    const double after = ripple().after_s;
    field("lamp after lamp", "5");
    EXPECT_EQ(ripple().after_s, after) << "locked";
    EXPECT_NEAR(form().field("lamp after lamp").value(), after, 1e-9) << "and shown so";
    choose("Unlock");
    const auto faders = document.show().faders.size();
    choose("Onto a fader");
    EXPECT_EQ(document.show().faders.size(), faders + 1);
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    choose("Remove");
    EXPECT_TRUE(told.contains("plays ripple")) << told.toStdString();
    EXPECT_EQ(ripple().name, "Parade");
    document.undo();
    settle();
    choose("Remove");
    EXPECT_NE(ripple().name, "Parade");
    document.undo();
    settle();
    EXPECT_EQ(document.show().ripples.size(), 4u);
}

TEST_F(RippleViewTest, RemovingOneThatCuesUseSaysSo) {
    choose("Procession");
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    choose("Remove");
    EXPECT_TRUE(told.contains("cue 9 of The Salt Lanterns")) << told.toStdString();
    EXPECT_TRUE(document.show().cue_lists.entry(0).second->cues.find({9000})->ripples.empty());
    document.undo();
    settle();
    EXPECT_FALSE(document.show().cue_lists.entry(0).second->cues.find({9000})->ripples.empty());
}

TEST_F(RippleViewTest, TheBenchGoesAlongWithTheLineupUntilSomebodyChose) {
    EXPECT_EQ(ripple().name, "Tide lanterns");
    chooseGroups({"cyc"});
    EXPECT_EQ(ripple().name, "Procession") << "the one of these lamps";
    field("pause", "2");
    chooseGroups({"front", "back"});
    EXPECT_EQ(ripple().name, "Procession") << "worked on: it stays";
    EXPECT_TRUE(view().over().isVisible());
}

TEST_F(RippleViewTest, EveryButtonOfTheFormDoesWhatItSays) {
    click(form().allRound());
    EXPECT_EQ(ripple().turns, std::optional(1.0));
    EXPECT_FALSE(form().field("lamp after lamp").isVisible());
    field("turns along the lineup", "-0.5");
    EXPECT_EQ(ripple().turns, std::optional(-0.5));
    click(form().allRound());
    EXPECT_FALSE(ripple().turns);
    click(form().asBright());
    EXPECT_TRUE(ripple().as_bright);
    EXPECT_FALSE(form().letsGo().isVisible());
    choose(form().atEnd(), 2);
    click(form().letsGo());
    EXPECT_TRUE(ripple().lets_go);
    click(form().route());
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    const auto& kept = *document.show().routes.entry(0).second;
    entry(*menu, toQt(kept.name))->trigger();
    menu->close();
    settle();
    EXPECT_TRUE(ripple().way == std::optional(kept.way));
    window.setFocus();
    press("S");
    EXPECT_EQ(QApplication::focusWidget(), &view().steps());
    press("M");
    EXPECT_EQ(QApplication::focusWidget(), &view().raster());
}

TEST_F(RippleViewTest, NothingHoldsOnToOldPrograms) {
    const std::weak_ptr<const play::Compiled> old = document.stage().compiled;
    ASSERT_FALSE(old.expired());
    field("lamp after lamp", "0.3");
    ASSERT_TRUE(comes([&] { return model().pictures()->ripple->after_s == 0.3; }));
    field("lamp after lamp", "0.4"); // who puts the next one frees those before it
    ASSERT_TRUE(comes([&] { return model().pictures()->ripple->after_s == 0.4; }));
    EXPECT_TRUE(comes([&] {
        *now += 0.1;
        return old.expired();
    }));
}

TEST_F(RippleViewTest, OneLampAndTwoThousand) {
    show::Show many = document.show();
    std::vector<Table<show::FixtureId, show::Fixture>::Change> rig;
    show::Lineup lineup;
    for (int i = 0; i < 2000; ++i) {
        show::Fixture f = *many.fixture({1});
        f.id = {1000 + i};
        f.number = 1000 + i;
        f.universe = static_cast<std::uint16_t>(20 + i / 60);
        f.address = 1 + i % 60 * 8;
        rig.emplace_back(f.id, std::make_shared<const show::Fixture>(f));
        lineup.push_back(f.id);
    }
    many.fixtures = many.fixtures.changed(std::move(rig));
    many.last_fixture_id = 4000;
    ASSERT_TRUE(document.edit("many", Result<show::ShowPtr>(show::nextShow(std::move(many)))));
    document.setLineup(lineup);
    settle();
    click(view().over());
    ASSERT_TRUE(comes([&] { return model().pictures()->ripple->lamps.size() == 2000; }));
    EXPECT_EQ(model().pictures()->raster.lamps.size(), 96u);
    model().lookAt(1);
    settle();
    EXPECT_TRUE(window.grab().toImage().width() > 0);
    document.setLineup({{1}});
    settle();
    click(view().over());
    ASSERT_TRUE(comes([&] { return model().pictures()->ripple->lamps.size() == 1; }));
    EXPECT_EQ(model().pictures()->raster.lamps.size(), 1u);
}

TEST_F(RippleViewTest, WhatSomeLampsCannotReachIsTold) {
    drop(view().steps(), view().steps().stepPoint(1), "xy:0.12,0.79");
    ASSERT_TRUE(comes([&] { return side().trouble().contains("cannot reach"); }))
        << side().trouble().toStdString();
    EXPECT_TRUE(side().trouble().contains("1–12")) << side().trouble().toStdString();
}

TEST_F(RippleViewTest, ATurnGoesToAnotherDesk) {
    const QTemporaryDir folder;
    const QString path = folder.filePath("turn.asc");
    model().saveTurn(path);
    ASSERT_TRUE(comes([&] { return QFile::exists(path); }));
    settle();
    const auto cues = files::parseAsciiCues(*readFile(fromQt(path)));
    ASSERT_TRUE(cues) << cues.error().text();
    EXPECT_GT(cues->cues.size(), 4u);
    EXPECT_FALSE(cues->cues.back().follow_s);
    const QString table = folder.filePath("turn.csv");
    model().saveTurn(table);
    ASSERT_TRUE(comes([&] { return QFile::exists(table); }));
    settle();
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told = t; });
    model().saveTurn(folder.filePath("no/such/folder.asc"));
    EXPECT_TRUE(comes([&] { return told.contains("folder.asc"); })) << told.toStdString();
}

} // namespace
} // namespace zelo::desk
