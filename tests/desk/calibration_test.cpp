// SPDX-License-Identifier: GPL-3.0-or-later
// Calibrating a lamp in the window, with the practice meter on the network.
#include "desk/kit/stations.h"
#include "desk/kit/text_log.h"
#include "desk/match/calibration_view.h"
#include "desk/match/match_view.h"
#include "practice_node.h"
#include "support/places.h"
#include "window_test.h"

#include <QMenu>
#include <QMessageBox>

namespace zelo::desk {
namespace {

class CalibrationDeskTest : protected PracticeNode, public WindowTest {
protected:
    CalibrationDeskTest()
        : WindowTest(MainWindow::Match,
                     std::make_unique<host::Network>(
                         wire::Cid{}, host::OutputPorts{port->port(), port->port()})) {
        view.meter().setPort(meter->port());
        // Levels reach the rig as Art-Net.
        EXPECT_TRUE(document.edit(
            "x", show::changeOutputs(document.state().show,
                                     {{1, 2, show::Protocol::ArtNet, "127.0.0.1", 0}})));
        document.setLineup({{7}});
        window.asking().pick("uv:0.24,0.51");
        settle();
    }
    ~CalibrationDeskTest() override { view.meter().setInstrument(false); }
    double off() { return colour::distance(shown(6), {0.24, 0.51}); }
    CalibrationView& view = window.matchView().calibration();
};

TEST_F(CalibrationDeskTest, MeasuresKeepsAndIsRightAfterwards) {
    ASSERT_TRUE(comes([&] { return shown(6).v > 0.4; }));
    QTest::qWait(150);
    const double before = off();
    EXPECT_GT(before, 0.001);
    const auto hand = document.state().hand;
    QTest::keyClick(&window, Qt::Key_M, Qt::ControlModifier);
    ASSERT_TRUE(view.isVisible());
    view.start();
    ASSERT_TRUE(comes([&] { return view.done() > 2; })) << "progress is seen";
    ASSERT_TRUE(comes([&] { return !view.measuring(); }, 20000));
    EXPECT_EQ(view.done(), 8u);
    EXPECT_EQ(document.state().hand, hand) << "what was in hand is back";
    view.keep();
    settle();
    ASSERT_TRUE(fixture(7).calibration);
    EXPECT_EQ(undoName(), "Calibrate lamp 7");
    EXPECT_TRUE(comes([&] { return off() < before / 5; })) << off() << " from " << before;
    view.forget();
    settle();
    EXPECT_FALSE(fixture(7).calibration);
    document.undo();
    EXPECT_TRUE(fixture(7).calibration);
}

// A real spectrometer, played by the stand-in: a person is asked first, its calibration too, and
// what it measures keeps the type's light in all.
TEST_F(CalibrationDeskTest, AnInstrumentIsAskedForInWords) {
    setenv("STAND_IN", "calibrate", 1);
    view.meter().setProgram(std::string(places::data) + "/../tests/stand_in/spotread");
    QTest::keyClick(&window, Qt::Key_M, Qt::ControlModifier);
    auto* which = view.findChild<Stations*>();
    ASSERT_TRUE(which && which->isVisible());
    QTest::mouseClick(which, Qt::LeftButton, {}, which->parts()[1].place.center());
    EXPECT_TRUE(view.meter().instrument());
    view.start();
    const auto answer = [&](const char* says, const char* word) {
        QMessageBox* box = nullptr;
        if (!comes([&] {
                for (QWidget* w : QApplication::topLevelWidgets())
                    if (auto* b = qobject_cast<QMessageBox*>(w);
                        b && b->isVisible() && b->text().contains(says))
                        box = b;
                return box;
            }))
            return false;
        for (auto* button : box->buttons())
            if (button->text() == word)
                QTest::mouseClick(button, Qt::LeftButton);
        QTest::qWait(20); // a worker waits: nothing is settled yet
        return true;
    };
    ASSERT_TRUE(answer("light of lamp 7", "Done, go on"));
    ASSERT_TRUE(answer("white reference", "Done, go on"));
    ASSERT_TRUE(comes([&] { return !view.measuring(); }, 20000));
    ASSERT_EQ(view.done(), 8u);
    view.keep();
    settle();
    ASSERT_TRUE(fixture(7).calibration);
    double own = 0, data = 0;
    for (const auto& [name, spectrum] : fixture(7).calibration->emitters)
        own += colour::toXyz(spectrum).Y;
    for (const auto& emitter : document.library().type(fixture(7).type)->emitters)
        data += emitter.xyz().Y;
    EXPECT_NEAR(own / data, 1, 1e-5) << "an instrument stands anywhere: no candela of its own";
    document.undo();
    // Stopped at its question, or without the program: said, and nothing is left behind.
    view.start();
    ASSERT_TRUE(answer("light of lamp 7", "Stop"));
    EXPECT_TRUE(comes([&] { return !view.measuring(); }));
    view.meter().setProgram("/nowhere/spotread");
    view.start();
    EXPECT_TRUE(comes([&] { return !view.measuring(); }));
    EXPECT_EQ(view.done(), 0u);
    EXPECT_TRUE(paintedBy(view).contains("package argyll")) << paintedBy(view).toStdString();
}

// "What is this light", and a measured light to match: of the meter that is chosen.
TEST_F(CalibrationDeskTest, ALightIsMeasuredAndAskedFor) {
    ASSERT_TRUE(comes([&] { return shown(6).v > 0.4; }));
    const auto run = [&](const char* command) {
        for (const Command& c : window.commands())
            if (c.text == command)
                return c.run();
        FAIL() << command;
    };
    QString told;
    QObject::connect(&document, &Document::told, [&](const QString& t) { told += t; });
    QTest::qWait(150);
    const auto before = shown(6);
    run("Measure a light, and ask for it");
    ASSERT_TRUE(comes([&] { return document.show().measured.size() > 0; })) << told.toStdString();
    settle();
    const auto* wanted = window.focusModel().wanted();
    ASSERT_TRUE(wanted && wanted->spectrum);
    EXPECT_LT(colour::distance(wanted->uv(), before), 0.001) << "what the lamp showed";
    EXPECT_EQ(text(wanted->asked), "spd:measured 1");
    document.undo();
    window.setFocus();
    QTest::keyClick(&window, Qt::Key_W, Qt::ShiftModifier);
    QMenu* menu = nullptr;
    ASSERT_TRUE(
        comes([&] { return (menu = qobject_cast<QMenu*>(QApplication::activePopupWidget())); }));
    EXPECT_GT(menu->actions().size(), 10);
    menu->close();
    document.setLineup({});
    run("What is this light? Measure it");
    settle();
}

// Each emitter has faded there before the meter looks.
TEST_F(CalibrationDeskTest, WaitsForTheTimeInHand) {
    view.open();
    view.start();
    ASSERT_TRUE(comes([&] { return !view.measuring(); }, 20000));
    view.keep();
    settle();
    ASSERT_TRUE(fixture(7).calibration);
    const auto at_once = fixture(7).calibration->emitters;
    document.undo();
    settle();
    document.setTimeInHand(0.4);
    view.open();
    view.start();
    ASSERT_TRUE(comes([&] { return !view.measuring(); }, 20000));
    view.keep();
    settle();
    ASSERT_TRUE(fixture(7).calibration);
    for (const auto& [name, spectrum] : fixture(7).calibration->emitters) {
        const auto& same = at_once.at(name);
        EXPECT_NEAR(spectrum.sum() / same.sum(), 1, 0.01) << name;
    }
}

TEST_F(CalibrationDeskTest, StopsAtOnceAndSaysWhenNoMeterIsThere) {
    view.open();
    view.start();
    ASSERT_TRUE(comes([&] { return view.done() >= 1; }));
    view.stop();
    EXPECT_FALSE(view.measuring());
    const auto measured = view.done();
    QTest::qWait(500);
    EXPECT_EQ(view.done(), measured) << "nothing comes after the stop";
    view.meter().setPort(1);
    view.start();
    ASSERT_TRUE(comes([&] { return !view.measuring(); }));
    EXPECT_FALSE(fixture(7).calibration);
    document.setOnStage(false);
    view.start();
    EXPECT_FALSE(view.measuring()) << "in Rehearsal there is no light to measure";
}

TEST_F(CalibrationDeskTest, OthersMayBeTakenInHandMeanwhile) {
    view.open();
    view.start();
    ASSERT_TRUE(comes([&] { return view.done() >= 1; }));
    document.setHand("x", show::withIntensity(document.state().hand, {{30}}, 0.3));
    EXPECT_FALSE(view.measuring()) << "it stops";
    EXPECT_EQ(*document.state().hand->at({30})->intensity->here(), 0.3)
        << "and leaves the others alone";
    EXPECT_EQ(light::toText(document.state().hand->at({7})->colour->here()->asked), "uv:0.24,0.51")
        << "its own lamp is back";
    EXPECT_TRUE(document.state().hand->at({7})->parts.empty());
    view.start();
    ASSERT_TRUE(comes([&] { return view.done() >= 1; }));
    window.showView(MainWindow::Rig);
    EXPECT_FALSE(view.measuring()) << "nor does it go on where nobody looks";
}

TEST_F(CalibrationDeskTest, AMeasuredColourIsTypedByHand) {
    ASSERT_TRUE(comes([&] { return shown(6).v > 0.4; }));
    QTest::qWait(150);
    const double before = off();
    view.open();
    view.correct(shown(6));
    settle();
    ASSERT_TRUE(fixture(7).calibration);
    EXPECT_TRUE(comes([&] { return off() < before / 4; })) << off() << " from " << before;
    const auto kept = fixture(7).calibration;
    view.correct({0.4, 0.3});
    EXPECT_EQ(fixture(7).calibration, kept) << "far off is another lamp, not a correction";
}

TEST_F(CalibrationDeskTest, WhatIsNotCalibratedYetIsTold) {
    const auto tells = [&](const char* type) {
        for (const auto& [id, f] : document.show().fixtures)
            if (f->type == type)
                document.setLineup({id});
        auto& view = window.matchView().calibration();
        view.open();
        settle();
        const QString painted = paintedBy(view);
        view.hide();
        return painted.contains("flags and wheels keep the type's data");
    };
    auto show = document.state().show;
    show::Fixture f;
    f.type = "skua-cmy";
    f.mode = document.library().type(f.type)->modes[0].name;
    f.number = 900;
    f.universe = 9;
    f.address = 1;
    const auto next = show::addFixture(show, f);
    ASSERT_TRUE(next);
    ASSERT_TRUE(document.edit("a lamp with flags", next));
    EXPECT_TRUE(tells("skua-cmy"));
    EXPECT_FALSE(tells("gannet-8"));
}

} // namespace
} // namespace zelo::desk
