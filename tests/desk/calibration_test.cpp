// SPDX-License-Identifier: GPL-3.0-or-later
// Calibrating a lamp in the window, with the practice meter on the network.
#include "desk/kit/text_log.h"
#include "desk/match/calibration_view.h"
#include "desk/match/match_view.h"
#include "practice_node.h"
#include "window_test.h"

namespace zelo::desk {
namespace {

class CalibrationDeskTest : protected PracticeNode, public WindowTest {
protected:
    CalibrationDeskTest()
        : WindowTest(MainWindow::Match,
                     std::make_unique<host::Network>(
                         wire::Cid{}, host::OutputPorts{port->port(), port->port()})) {
        view.setMeterPort(meter->port());
        // Levels reach the rig as Art-Net.
        EXPECT_TRUE(document.edit(
            "x", show::changeOutputs(document.state().show,
                                     {{1, 2, show::Protocol::ArtNet, "127.0.0.1", 0}})));
        document.setLineup({{7}});
        window.asking().pick("uv:0.24,0.51");
        settle();
    }
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
    view.setMeterPort(1);
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
