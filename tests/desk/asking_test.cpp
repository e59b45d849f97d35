// SPDX-License-Identifier: GPL-3.0-or-later
// Ways of asking for a colour, picking on the map, several types together.
#include "colour/cct.h"
#include "colour/rendering.h"
#include "colour/srgb.h"
#include "desk/kit/colour_drag.h"
#include "desk/kit/value_control.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/asked_as.h"
#include "desk/match/match_view.h"
#include "desk/readings/reach_map.h"
#include "desk/readings/readings_panel.h"
#include "desk/rig/rig_view.h"
#include "desk/swatches/swatch_panel.h"
#include "light/levels.h"
#include "window_test.h"

#include <QDropEvent>
#include <QLineEdit>
#include <cmath>

namespace zelo::desk {
namespace {

class AskingTest : public WindowTest {
protected:
    AskingTest() {
        chooseGroups({"front", "back"});
        asking.pick("gel:214");
        settle();
    }
    colour::Uv wanted() {
        settle();
        return focus.wanted()->uv();
    }
    std::string asked() {
        settle();
        return light::toText(focus.wish()->asked);
    }
    void as(Ask ask) {
        asking.askAs(ask);
        settle();
    }
    FocusModel& focus = window.focusModel();
    Asking& asking = window.asking();
    MixModel& mixing = window.matchView().mixing();
    AskedAs& ways = window.matchView().askedAs();
    ReachMap& map = *child<ReachMap>("Reach map");
};

TEST_F(AskingTest, TheSameColourInEveryWay) {
    const auto gel = wanted();
    for (const Ask ask : {Ask::Xy, Ask::Uv, Ask::HueSaturation, Ask::White}) {
        as(ask);
        EXPECT_EQ(asking.askedAs(), ask);
        EXPECT_LT(colour::distance(wanted(), gel), 0.0002) << asked();
    }
    EXPECT_EQ(asked().rfind("cct:", 0), 0u);
    as(Ask::Hex);
    EXPECT_LT(colour::distance(wanted(), gel), 0.02) << "sRGB reaches only so far";
    asking.pick("uv:0.12,0.57");
    settle();
    as(Ask::White);
    EXPECT_EQ(asked(), "uv:0.12,0.57") << "a green is no white";
}

TEST_F(AskingTest, NumbersAreTypedForTheWayThatIsChosen) {
    as(Ask::Uv);
    ways.first().setFocus();
    QTest::keyClick(&ways.first(), '0'); // a figure begins to type
    QWidget* editor = ways.first().findChild<QLineEdit*>();
    ASSERT_TRUE(editor);
    QTest::keyClicks(editor, ".3");
    QTest::keyClick(editor, Qt::Key_Return);
    EXPECT_NEAR(wanted().u, 0.3, 1e-9);
    as(Ask::HueSaturation);
    const auto numbers = asking.askedNumbers();
    ASSERT_TRUE(numbers);
    asking.setAskedNumbers(numbers->first, 50, 0);
    const auto half = wanted();
    asking.setAskedNumbers(numbers->first, 0, 0);
    const auto white = colour::planckianUv({document.show().white_cct_k});
    EXPECT_LT(colour::distance(wanted(), white), 0.0002) << "no saturation is the white";
    const auto off = half - white;
    EXPECT_NEAR(std::atan2(off.v, off.u) * 180 / 3.14159265,
                numbers->first > 180 ? numbers->first - 360 : numbers->first, 0.5);
    as(Ask::Hex);
    ways.hex().setText("0080ff");
    QTest::keyClick(&ways.hex(), Qt::Key_Return);
    EXPECT_EQ(asked(), "srgb:#0080ff");
    EXPECT_LT(colour::distance(wanted(), colour::toUv(colour::toXyz(colour::Srgb{0, 128, 255}))),
              1e-9);
    ways.hex().setText("nonsense");
    QTest::keyClick(&ways.hex(), Qt::Key_Return);
    EXPECT_EQ(asked(), "srgb:#0080ff") << "told, and nothing changes";
}

TEST_F(AskingTest, ArrowsPassByWhatLeadsElsewhere) {
    as(Ask::Hex);
    int left = 0;
    QObject::connect(&ways, &AskedAs::measuredWanted, &window, [&] { ++left; });
    ways.disconnect(&window); // no file dialog in a test
    QObject::connect(&ways, &AskedAs::measuredWanted, &window, [&] { ++left; });
    ways.setFocus();
    QTest::keyClick(&ways, Qt::Key_Down);
    EXPECT_EQ(left, 0) << "no file dialog opens on the way down";
    EXPECT_TRUE(ways.hasFocus());
    QTest::keyClick(&ways, Qt::Key_Return);
    EXPECT_EQ(left, 1);
    as(Ask::White);
    QTest::keyClick(&ways, Qt::Key_Up); // onto gel
    EXPECT_TRUE(ways.hasFocus()) << "the swatch book does not take the keyboard away";
    EXPECT_EQ(asking.askedAs(), Ask::White) << "and the colour stays";
}

TEST_F(AskingTest, TheMapPicksDragsAndSteps) {
    as(Ask::Uv);
    const auto steps = document.history().position();
    const QPoint from = map.picture().toMap({0.25, 0.50}).toPoint();
    QTest::mousePress(&map, Qt::LeftButton, {}, from);
    EXPECT_LT(colour::distance(wanted(), {0.25, 0.50}), 0.004);
    for (int i = 1; i <= 10; ++i)
        QTest::mouseMove(&map, from + QPoint(i, -i));
    QTest::mouseRelease(&map, Qt::LeftButton, {}, from + QPoint(10, -10));
    const auto to = map.picture().fromMap(from + QPoint(10, -10));
    EXPECT_LT(colour::distance(wanted(), to), 0.0002);
    EXPECT_EQ(document.history().position(), steps + 1) << "a drag is one step";
    for (int id : {1, 7}) // the lamps have it
        EXPECT_LT(colour::distance(colour::toUv(lamp(id).sent.xyz), to), 0.003) << id;
    const auto before = wanted();
    QTest::keyClick(&map, Qt::Key_Right);
    EXPECT_NEAR(wanted().u - before.u, 0.002, 1e-4);
    QTest::keyClick(&map, Qt::Key_Up, Qt::ShiftModifier);
    EXPECT_NEAR(wanted().v - before.v, 0.0002, 6e-5);
}

TEST_F(AskingTest, BackAndForthThroughTheColoursTried) {
    for (const char* c : {"cct:3200", "gel:341", "gel:219"}) {
        asking.pick(c);
        settle();
    }
    window.setFocus();
    QTest::keyClick(&window, Qt::Key_Left, Qt::AltModifier);
    EXPECT_EQ(asked().substr(0, 7), "gel:341");
    QTest::keyClick(&window, Qt::Key_Left, Qt::AltModifier);
    EXPECT_EQ(asked(), "cct:3200");
    QTest::keyClick(&window, Qt::Key_Right, Qt::AltModifier);
    EXPECT_EQ(asked().substr(0, 7), "gel:341");
    QTest::keyClick(&window, Qt::Key_Right, Qt::AltModifier);
    QTest::keyClick(&window, Qt::Key_Right, Qt::AltModifier);
    EXPECT_EQ(asked().substr(0, 7), "gel:219") << "the last one stays";
}

TEST_F(AskingTest, AsAnotherLampShowsNow) {
    asking.takeLamp(35); // the sea
    const auto sea = colour::toUv(lamp(35).sent.xyz);
    EXPECT_LT(colour::distance(wanted(), sea), 0.0001);
    const auto before = asked();
    asking.takeLamp(999);
    EXPECT_EQ(asked(), before);
}

TEST_F(AskingTest, TypesAreLevelledToTheWeakest) {
    ASSERT_EQ(focus.rows().size(), 2u);
    const double weakest = std::min(focus.rows()[0].candela, focus.rows()[1].candela);
    mixing.levelBrightness();
    settle();
    const double front = lamp(1).sent.xyz.Y;
    const double back = lamp(7).sent.xyz.Y;
    EXPECT_NEAR(front / back, 1, 0.02);
    EXPECT_NEAR(std::max(front, back) / weakest, 1, 0.02);
    document.undo();
    settle();
    EXPECT_EQ(lamp(1).intensity, 1);
}

TEST_F(AskingTest, TypesAgreeOnTheNearestColourTheyShare) {
    asking.pick("uv:0.03,0.45"); // a cyan beyond all
    settle();
    const double apart =
        colour::distance(colour::toUv(lamp(1).sent.xyz), colour::toUv(lamp(7).sent.xyz));
    asking.askCommonReach();
    settle();
    const double together =
        colour::distance(colour::toUv(lamp(1).sent.xyz), colour::toUv(lamp(7).sent.xyz));
    EXPECT_GT(apart, 0.003);
    EXPECT_LT(together, 0.003);
    const auto before = asked();
    asking.askCommonReach();
    EXPECT_EQ(asked(), before) << "all reach it now";
}

TEST_F(AskingTest, AColourIsDraggedOntoALampAnAreaOrTheBench) {
    const auto drop = [&](QWidget* onto, const QPoint& at, const char* colour) {
        const std::unique_ptr<QMimeData> mime(colourMime(light::parseAsked(colour).value()));
        QDragEnterEvent enter(at, Qt::CopyAction, mime.get(), Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(onto, &enter);
        EXPECT_TRUE(enter.isAccepted());
        QDropEvent event(at, Qt::CopyAction, mime.get(), Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(onto, &event);
        settle();
    };
    auto& lamps = window.lineupPanel();
    const int middle = 260 + (lamps.width() - 540) / 2;
    drop(&lamps, {middle - 20, 60}, "gel:341"); // one lamp of the lineup
    int blue = 0;
    for (const auto id : document.lineup())
        blue += light::toText(lamp(id.value).colour->wanted.asked) == "gel:341";
    EXPECT_EQ(blue, 1);
    drop(&window.matchView(), {300, 150}, "palette:embers");
    for (const auto id : document.lineup())
        EXPECT_EQ(document.state().hand->at(id)->colour->palette(),
                  document.show().paletteNamed("embers")->id);
    window.showView(MainWindow::Rig);
    settle();
    auto& plan = window.rigView().plan();
    drop(&plan, plan.place({30}).toPoint(), "cct:2500");
    EXPECT_EQ(light::toText(lamp(30).colour->wanted.asked), "cct:2500")
        << "also when it is not in the lineup";
    drop(&plan, plan.pixelOf({4.9, -1.2}).toPoint(), "cct:6000");
    for (const int id : {1, 6})
        EXPECT_EQ(light::toText(lamp(id).colour->wanted.asked), "cct:6000")
            << "what lights the quay";
    const auto before = document.state().hand;
    drop(&plan, plan.place({30}).toPoint(), "gel:none");
    EXPECT_EQ(document.state().hand, before) << "told, and nothing changes";
    // A row of the swatch book carries its colour.
    auto& model_rows = window.swatches().model();
    const std::unique_ptr<QMimeData> row(model_rows.mimeData({model_rows.index(12, 0)}));
    EXPECT_EQ(colourOf(row.get()), model_rows.swatch(12).asked);
}

TEST_F(AskingTest, WhiteIsAlsoInMiredAndOnTheDaylightLocus) {
    asking.pick("cct:5000");
    settle();
    auto* mired = child<NumberField>("White in mired");
    EXPECT_NEAR(mired->value(), 200, 1e-9);
    emit mired->valueEdited(250, 1);
    EXPECT_EQ(asked(), "cct:4000");
    asking.pick("cct:6500");
    settle();
    child<QAbstractButton>("as daylight")->click();
    settle();
    const auto d65 = colour::toUv(colour::Xyz{0.95047, 1, 1.08883});
    EXPECT_LT(colour::distance(wanted(), d65), 0.0006) << "CIE D65";
    EXPECT_GT(asking.whiteDuv().value_or(0), 0.002) << "greener than the blackbody";
}

TEST_F(AskingTest, FadersBeginFromNothingWhereNoColourIsAsked) {
    auto show = document.state().show;
    auto bare = *show;
    bare.standing = {};
    document.start(std::make_shared<const show::Show>(bare), show::emptyHand());
    chooseGroups({"back"});
    ASSERT_TRUE(focus.focus());
    EXPECT_GT(mixing.drive(4), 0.9) << "at home all emitters stand at full";
    mixing.setDrive(1, 0.8, 1);
    settle();
    EXPECT_NEAR(mixing.drive(1), 0.8, 1e-9);
    EXPECT_EQ(mixing.drive(4), 0) << "red alone is red, not a paler white";
    EXPECT_EQ(lamp(7).intensity, 1) << "and it is seen";
    EXPECT_GT(colour::toUv(lamp(7).sent.xyz).u, 0.4);
}

TEST_F(AskingTest, EveryTypeTellsItsRendering) {
    asking.pick("cct:3200");
    settle();
    ASSERT_EQ(focus.rows().size(), 2u);
    for (const auto& row : focus.rows()) {
        const auto cct = colour::cctOf(colour::toUv(row.lamp.sent.xyz));
        const auto light = light::spectrumOf(row.lamp.mixer->type(), row.lamp.sent.drives);
        EXPECT_NEAR(row.rf, colour::tm30Of(light, cct->cct).rf, 1e-9) << row.name.toStdString();
    }
    asking.pick("gel:341");
    settle();
    for (const auto& row : focus.rows())
        EXPECT_TRUE(std::isnan(row.rf)) << "a blue has none";
}

} // namespace
} // namespace zelo::desk
