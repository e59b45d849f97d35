// SPDX-License-Identifier: GPL-3.0-or-later
// Time in hand, trims, nudges and solo, as somebody does them at the window.
#include "colour/cct.h"
#include "desk/focus/focus_model.h"
#include "desk/kit/button.h"
#include "desk/kit/value_control.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/window_test.h"
#include "show/edits.h"

#include <QWheelEvent>

namespace zelo::desk {
namespace {

class TimeTest : public WindowTest {
protected:
    TimeTest() : TimeTest(std::make_shared<double>(0)) {}
    explicit TimeTest(const std::shared_ptr<double>& clock)
        : WindowTest([clock](host::Library& l) {
              return std::make_unique<host::Session>(l, nullptr, nullptr,
                                                     [clock] { return *clock; });
          }),
          now(clock) {
        chooseGroups({"front"});
    }
    void key(Qt::Key k, Qt::KeyboardModifiers m = Qt::NoModifier) {
        QWidget* to = QApplication::focusWidget();
        QTest::keyClick(to ? to : &window, k, m);
        settle();
    }
    void type(const char* text) {
        QTest::keyClicks(QApplication::focusWidget(), text);
        settle();
    }
    void toLineup() {
        panel()->setFocus();
        settle();
    }
    LineupPanel* panel() { return window.findChild<LineupPanel*>(); }
    void timeInHand(const char* seconds) {
        key(Qt::Key_T);
        type(seconds);
        key(Qt::Key_Return);
        EXPECT_EQ(document.timeInHand(), QString(seconds).toDouble());
        toLineup();
    }
    // The clock goes on, and the window has looked: twice, since one look may be on its way.
    void wait(double seconds) {
        *now += seconds;
        for (int looks = 0; looks == 0 || (looks < 2 && document.stage().runs); ++looks) {
            const auto before = document.stagePtr();
            EXPECT_TRUE(comes([&] { return document.stagePtr() != before; }, 2000));
        }
        settle();
    }
    void wheel(int notches) {
        const QPointF at = panel()->glassOf(0).center();
        QWheelEvent turn(at, panel()->mapToGlobal(at), {}, {0, 120 * notches}, Qt::NoButton,
                         Qt::NoModifier, Qt::NoScrollPhase, false);
        QApplication::sendEvent(panel(), &turn);
        settle();
    }
    double level(int id) { return lamp(id).intensity; }
    colour::Uv uv(int id) { return colour::toUv(lamp(id).sent.xyz); }

    std::shared_ptr<double> now;
};

TEST_F(TimeTest, AColourPickedFadesInTheTimeInHand) {
    timeInHand("3");
    const auto before = uv(1);
    key(Qt::Key_Slash);
    type("5600");
    key(Qt::Key_Return);
    settle();
    const auto wanted = lamp(1).colour->wanted.uv();
    EXPECT_LT(colour::distance(uv(1), before), 0.003) << "it only begins";
    EXPECT_TRUE(lamp(1).moving);
    wait(1.5);
    EXPECT_GT(colour::distance(uv(1), before), 0.01);
    EXPECT_GT(colour::distance(uv(1), wanted), 0.01);
    EXPECT_TRUE(panel()->part(0)->value.contains("on its way"));
    // The split field and the reach map move with it.
    const auto seen = window.focusModel().focus()->lamp.sent.xyz;
    EXPECT_LT(colour::distance(colour::toUv(seen), uv(1)), 0.003);
    wait(1.6);
    EXPECT_FALSE(lamp(1).moving);
    EXPECT_LT(colour::distance(uv(1), wanted), 0.004);
    // Taking it back fades too.
    toLineup();
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(lamp(1).moving);
    wait(3.1);
    EXPECT_LT(colour::distance(uv(1), before), 0.001);
}

TEST_F(TimeTest, AKeyPressFadesAndADragFollowsAtOnce) {
    timeInHand("4");
    const double before = level(1);
    toLineup();
    key(Qt::Key_Home); // all the way down
    EXPECT_GT(level(1), before - 0.01);
    wait(2);
    EXPECT_NEAR(level(1), before / 2, 0.01);
    wait(2.1);
    EXPECT_EQ(level(1), 0);
    key(Qt::Key_Z, Qt::ControlModifier);
    wait(5);
    ASSERT_NEAR(level(1), before, 1e-6);
    const QPoint from = panel()->glassOf(0).center().toPoint();
    QTest::mousePress(panel(), Qt::LeftButton, {}, from);
    for (int y = 6; y <= 30; y += 6)
        QTest::mouseMove(panel(), from + QPoint(0, y));
    settle();
    EXPECT_LT(level(1), before - 0.1) << "without waiting for the clock";
    EXPECT_FALSE(lamp(1).moving);
    QTest::mouseRelease(panel(), Qt::LeftButton, {}, from + QPoint(0, 30));
}

TEST_F(TimeTest, WithoutTimeNothingFades) {
    key(Qt::Key_Slash);
    type("5600");
    key(Qt::Key_Return);
    EXPECT_FALSE(lamp(1).moving);
    EXPECT_LT(lamp(1).miss_uv, 1e-3);
    EXPECT_FALSE(document.stage().runs);
}

TEST_F(TimeTest, TheBrighterAndTheDarkerMoveByOneRatio) {
    document.setHand("unlike", show::withIntensity(show::emptyHand(), {{1}}, 0.8));
    ASSERT_TRUE(document.keepHand());
    document.setHand("unlike", show::withIntensity(show::emptyHand(), {{2}}, 0.2));
    ASSERT_TRUE(document.keepHand());
    document.setLineup({{1}, {2}});
    settle();
    wheel(-8);
    EXPECT_NEAR(level(1), 0.72, 0.001);
    EXPECT_NEAR(level(2), 0.18, 0.001) << "not 0.12";
    EXPECT_TRUE(panel()->part(1)->value.contains("trimmed"));
    EXPECT_TRUE(lamp(1).in_hand);
    EXPECT_NEAR(document.shown({1}).intensity.value_or(0), 0.8, 1e-9) << "what is kept stays";
    wheel(100);
    EXPECT_NEAR(level(1), 1, 0.001) << "the brightest stops at full";
    EXPECT_NEAR(level(2), 0.25, 0.001);
    // One lamp's trim goes, then all.
    toLineup();
    key(Qt::Key_Backspace);
    EXPECT_NEAR(level(1), 0.8, 0.001);
    EXPECT_NEAR(level(2), 0.25, 0.001);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NEAR(level(1), 1, 0.001);
    key(Qt::Key_Backspace, Qt::ShiftModifier);
    EXPECT_NEAR(level(1), 0.8, 0.001);
    EXPECT_NEAR(level(2), 0.2, 0.001);
    EXPECT_FALSE(lamp(1).in_hand);
    // Kept, the trim is in the number.
    wheel(-8);
    ASSERT_TRUE(document.keepHand());
    settle();
    EXPECT_NEAR(level(1), 0.72, 0.001);
    EXPECT_FALSE(panel()->part(0)->value.contains("trimmed"));
}

TEST_F(TimeTest, ColoursAreNudgedByKeysAndLetGo) {
    const auto cctOf = [&] { return colour::cctOf(lamp(1).colour->wanted.uv())->cct.value; };
    key(Qt::Key_Slash);
    type("4000");
    key(Qt::Key_Return);
    toLineup();
    ASSERT_NEAR(cctOf(), 4000, 5);
    key(Qt::Key_F3);
    EXPECT_LT(cctOf(), 3950) << "warmer";
    key(Qt::Key_F4);
    EXPECT_NEAR(cctOf(), 4000, 15) << "and back";
    key(Qt::Key_F5);
    EXPECT_GT(colour::cctOf(lamp(1).colour->wanted.uv())->duv, 0.001) << "greener";
    EXPECT_EQ(text(lamp(1).colour->wanted.asked), "cct:4000") << "it is still called so";
    EXPECT_LT(lamp(1).miss_uv, 1e-3) << "and shown so";
    key(Qt::Key_F5, Qt::ShiftModifier);
    key(Qt::Key_Backspace, Qt::ShiftModifier);
    EXPECT_NEAR(cctOf(), 4000, 5);
    for (int i = 0; i < 400; ++i) // against the wall
        QTest::keyClick(panel(), Qt::Key_F8);
    settle();
    EXPECT_TRUE(lamp(1).sent.xyz.Y > 0);
}

TEST_F(TimeTest, SoloShowsTheLineupAlone) {
    document.setHand("all", show::withIntensity(show::emptyHand(), {{1}, {2}, {3}}, 1));
    document.setLineup({{2}});
    settle();
    auto* button = child<Button>("Solo");
    EXPECT_FALSE(button->isVisible());
    toLineup();
    key(Qt::Key_S, Qt::ShiftModifier);
    EXPECT_EQ(lamp(1).dark, play::DarkWhy::Solo);
    EXPECT_EQ(lamp(2).dark, play::DarkWhy::None);
    EXPECT_TRUE(button->isVisible());
    QTest::mouseClick(button, Qt::LeftButton);
    settle();
    EXPECT_EQ(lamp(1).dark, play::DarkWhy::None);
    EXPECT_FALSE(button->isVisible());
    key(Qt::Key_S, Qt::ShiftModifier);
    key(Qt::Key_S, Qt::ShiftModifier);
    EXPECT_EQ(lamp(1).dark, play::DarkWhy::None) << "the key lets go, too";
}

// Lamps that are solo and go, and another show: nobody stays dark for them.
TEST_F(TimeTest, SoloGoesWithItsLampsAndItsShow) {
    document.setLineup({{2}});
    settle();
    toLineup();
    key(Qt::Key_S, Qt::ShiftModifier);
    ASSERT_EQ(lamp(1).dark, play::DarkWhy::Solo);
    document.edit("x", show::removeFixtures(document.state(), {{2}}));
    settle();
    EXPECT_TRUE(document.controls().solo.empty());
    EXPECT_FALSE(child<Button>("Solo")->isVisible());
    EXPECT_NE(lamp(1).dark, play::DarkWhy::Solo);
    document.undo();
    settle();
    EXPECT_NE(lamp(1).dark, play::DarkWhy::Solo);
    document.setLineup({{3}});
    settle();
    key(Qt::Key_S, Qt::ShiftModifier);
    ASSERT_EQ(lamp(1).dark, play::DarkWhy::Solo);
    document.start(document.state().show, document.state().hand); // another document
    settle();
    EXPECT_TRUE(document.controls().solo.empty());
    EXPECT_NE(lamp(1).dark, play::DarkWhy::Solo);
}

TEST_F(TimeTest, ATypedLevelFades) {
    timeInHand("4");
    auto* column = window.matchView().mix().columns()[1];
    column->setFocus();
    const double before = lamp(1).drives[1];
    type("7");
    key(Qt::Key_Return);
    ASSERT_GT(std::abs(before - 0.07), 0.05);
    EXPECT_NEAR(lamp(1).drives[1], before, 1e-6) << "it only begins";
    wait(2);
    EXPECT_NEAR(lamp(1).drives[1], (before + 0.07) / 2, 0.01);
    wait(2.1);
    EXPECT_NEAR(lamp(1).drives[1], 0.07, 1e-6);
}

TEST_F(TimeTest, HouseLightIsChosenInTheRigAndLeftAloneByDark) {
    window.showView(MainWindow::Rig);
    settle();
    document.setLineup({{1}});
    settle();
    const std::string before = undoName();
    window.setFocus();
    key(Qt::Key_U);
    EXPECT_TRUE(fixture(1).exempt);
    EXPECT_NE(undoName(), before);
    key(Qt::Key_D, Qt::ControlModifier);
    EXPECT_GT(lamp(1).sent.xyz.Y, 0);
    EXPECT_EQ(lamp(2).sent.xyz.Y, 0);
    document.setLineup({{2}});
    settle();
    key(Qt::Key_S, Qt::ShiftModifier);
    key(Qt::Key_D, Qt::ControlModifier);
    EXPECT_GT(lamp(1).sent.xyz.Y, 0) << "solo leaves it alone, too";
    EXPECT_GT(lamp(2).sent.xyz.Y, 0);
    EXPECT_EQ(lamp(3).sent.xyz.Y, 0);
    document.setLineup({{1}, {2}});
    auto controls = document.controls();
    controls.solo.clear();
    controls.master = 0.5;
    document.setControls(controls);
    settle();
    // In the glass of house light the light stands as high as before, in the other half as high.
    const QImage seen = panel()->grab().toImage();
    const auto filled = [&](std::size_t place) {
        const QRectF glass = panel()->glassOf(place);
        const QPoint high(static_cast<int>(glass.center().x()),
                          static_cast<int>(glass.top() + 0.3 * glass.height()));
        const QPoint low(high.x(), static_cast<int>(glass.bottom() - 6));
        return seen.pixel(high) == seen.pixel(low);
    };
    EXPECT_TRUE(filled(0));
    EXPECT_FALSE(filled(1));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(fixture(1).exempt);
}

} // namespace
} // namespace zelo::desk
