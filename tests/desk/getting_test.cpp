// SPDX-License-Identifier: GPL-3.0-or-later
// What comes out: skin and cloth, the split field over the window, which gel it is, the mix that
// holds its colour and the families.
#include "desk/kit/value_control.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/match/skin_panel.h"
#include "desk/match/split_field.h"
#include "desk/readings/full_readings.h"
#include "desk/readings/readings_panel.h"
#include "desk/swatches/swatch_panel.h"
#include "light/levels.h"
#include "show/edits.h"
#include "window_test.h"

#include <QLineEdit>

#include <QMenu>
#include <cmath>

namespace zelo::desk {
namespace {

class GettingTest : public WindowTest {
protected:
    GettingTest() {
        chooseGroups({"back"});
        asking.pick("gel:214@3200");
        settle();
    }
    FocusModel& focus = window.focusModel();
    Asking& asking = window.asking();
    MixModel& mixing = window.matchView().mixing();
    SkinPanel& skin = window.matchView().skin();
    void pick(const char* asked) {
        asking.pick(asked);
        settle();
    }
    double meanDeltaE() {
        double sum = 0;
        for (const auto& s : skin.seen())
            sum += s.delta_e;
        return sum / static_cast<double>(skin.seen().size());
    }
};

TEST_F(GettingTest, SkinAndClothTellMixesOfOneColourApart) {
    ASSERT_GE(skin.seen().size(), 12u);
    mixing.setIntent(mix::Intent::Truest);
    settle();
    const double truest = meanDeltaE();
    mixing.setIntent(mix::Intent::Leanest);
    mixing.setGiveUp(0.8, 0);
    settle();
    mixing.setIntent(mix::Intent::Brightest);
    settle();
    EXPECT_GT(meanDeltaE(), truest) << "the brightest mix has another spectrum";
    EXPECT_LT(focus.focus()->miss_uv, 0.001) << "and the same colour on a white wall";
    // Each half is the surface in that light.
    const auto image = skin.grab().toImage();
    const auto first = skin.seen()[0];
    int wanted = 0;
    int got = 0;
    for (int x = 0; x < image.width() / 3; ++x)
        for (int y = 22; y < 80; ++y) {
            wanted += image.pixelColor(x, y) == document.colours().surface(first.wanted);
            got += image.pixelColor(x, y) == document.colours().surface(first.got);
        }
    EXPECT_GT(wanted, 300);
    EXPECT_GT(got, 300);
    pick("uv:0.24,0.51");
    EXPECT_TRUE(skin.seen().empty()) << "numbers have no spectrum";
    EXPECT_TRUE(std::isnan(skin.worst()));
}

TEST_F(GettingTest, TheSplitFieldHasAWindowOfItsOwn) {
    pick("gel:214");
    QTest::keyClick(&window, Qt::Key_Z, Qt::ShiftModifier);
    auto* own = window.findChild<SplitWindow*>();
    ASSERT_TRUE(own && own->isVisible() && own->isWindow());
    pick("gel:338"); // it goes along
    const auto image = own->grab().toImage();
    EXPECT_EQ(image.pixelColor(10, image.height() / 2), document.colours().of(focus.wanted()->xyz));
    QApplication::setActiveWindow(own);
    QTest::keyClick(own, Qt::Key_Escape);
    EXPECT_FALSE(own->isVisible());
    EXPECT_FALSE(document.state().hand->empty()) << "that Esc was the window's own";
    QApplication::setActiveWindow(&window);
}

TEST_F(GettingTest, ALampWhoseLevelChangesItsColourIsSeenAtItsLevel) {
    show::Fixture f;
    f.type = "eider-1000"; // tungsten
    f.mode = document.library().type(f.type)->modes[0].name;
    f.number = 900;
    f.universe = 9;
    const auto next = show::addFixture(document.state().show, f);
    ASSERT_TRUE(document.edit("a lamp", next));
    const show::FixtureId id{(*next)->last_fixture_id};
    document.setLineup({id});
    pick("cct:3200");
    const auto at = [&](double intensity) {
        document.setHand("level", show::withIntensity(document.state().hand, {id}, intensity));
        settle();
        return colour::toUv(focus.focus()->lamp.sent.xyz);
    };
    const auto full = at(1);
    EXPECT_FALSE(focus.focus()->words.contains("at 40"));
    const auto dimmed = at(0.4);
    EXPECT_GT(dimmed.u, full.u + 0.005) << "warmer";
    EXPECT_EQ(dimmed, colour::toUv(document.stage().lamp(id)->sent.xyz)) << "as on the lineup";
    EXPECT_TRUE(focus.focus()->words.startsWith("at 40 %: ")) << "and it says so";
    const auto image = window.matchView().grab().toImage();
    EXPECT_EQ(image.pixelColor(window.matchView().gotPixel()),
              document.colours().of(document.stage().lamp(id)->sent.xyz));
    EXPECT_EQ(at(1), full);
    auto controls = document.controls();
    controls.master = 0.4; // the master dims it just so
    document.setControls(controls);
    settle();
    EXPECT_EQ(colour::toUv(focus.focus()->lamp.sent.xyz), dimmed);
    controls.master = 1;
    document.setControls(controls);
    chooseGroups({"back"});
    asking.pick("cct:3200");
    document.setHand("level", show::withIntensity(document.state().hand, document.lineup(), 0.4));
    settle();
    EXPECT_FALSE(focus.focus()->level) << "of these the level changes nothing but the brightness";
}

TEST_F(GettingTest, TheEyeTakesTheLampOfTheBookForWhite) {
    auto* eye = child<NumberField>("White of the eye");
    ASSERT_TRUE(eye->isVisible());
    EXPECT_EQ(eye->value(), 3200);
    pick("cct:3200");
    QColor white = document.colours().of(focus.wanted()->xyz);
    EXPECT_NEAR(white.red(), white.blue(), 2);
    eye->setFocus();
    QTest::keyClicks(eye, "5");
    QTest::keyClicks(eye->findChild<QLineEdit*>(), "600");
    QTest::keyClick(eye->findChild<QLineEdit*>(), Qt::Key_Return);
    settle();
    white = document.colours().of(focus.wanted()->xyz);
    EXPECT_GT(white.red(), white.blue() + 40) << "an eye used to daylight sees tungsten as warm";
    EXPECT_EQ(document.show().white_cct_k, 4300) << "the white of routes is another thing";
    QTest::keyClick(eye, Qt::Key_Backspace);
    EXPECT_EQ(document.eye_k(), 3200);
    window.swatches().model().setLampK(5600); // another lamp behind the book: the eye goes along
    EXPECT_EQ(document.eye_k(), 5600);
    EXPECT_EQ(eye->value(), 5600);
}

TEST_F(GettingTest, PaleBlueFindsPaleBlues) {
    auto& swatches = window.swatches().model();
    ASSERT_TRUE(comes([&] {
        swatches.setQuery("pale blue");
        return swatches.rowCount() >= 3;
    }));
    settle();
    swatches.setQuery("pale blue");
    for (int row = 0; row < swatches.rowCount(); ++row) {
        if (swatches.swatch(row).kind != Swatch::Kind::Gel)
            continue;
        const QColor seen = document.colours().of(swatches.chip(row)->wanted);
        EXPECT_GT(seen.blue(), seen.red()) << fromQt(swatches.swatch(row).name);
    }
}

TEST_F(GettingTest, TheSplitFieldFillsTheWindowByOneKey) {
    auto* field = child<SplitField>("Split field");
    QTest::keyClick(&window, Qt::Key_Z);
    ASSERT_TRUE(field->isVisible());
    EXPECT_EQ(field->size(), window.size());
    const auto image = field->grab().toImage();
    const int y = image.height() / 2;
    const int seam = image.width() / 2;
    EXPECT_EQ(image.pixelColor(seam - 1, y), document.colours().of(focus.wanted()->xyz));
    EXPECT_EQ(image.pixelColor(seam, y), document.colours().of(focus.focus()->lamp.sent.xyz))
        << "the halves touch";
    QTest::keyClick(&window, Qt::Key_Escape);
    EXPECT_FALSE(field->isVisible());
    EXPECT_FALSE(document.state().hand->empty()) << "Esc closed the field and nothing else";
}

TEST_F(GettingTest, WhichGelIsThisFindsTheGelThatIsShown) {
    QApplication::setActiveWindow(&window);
    QTest::keyClick(&window, Qt::Key_W);
    QMenu* menu = nullptr;
    ASSERT_TRUE(comes([&] {
        for (auto* m : window.findChildren<QMenu*>())
            if (m->title() == "Which gel is this?")
                menu = m;
        return menu != nullptr;
    }));
    QStringList gels;
    for (QAction* action : menu->actions())
        if (!action->isSeparator())
            gels << action->text();
    ASSERT_EQ(gels.size(), 12);
    EXPECT_TRUE(gels[0].startsWith("214 ")) << gels[0].toStdString();
    menu->close();
}

TEST_F(GettingTest, ReadingsInFullAreTheCores) {
    pick("cct:3200");
    auto& full = window.matchView().fullReadings();
    QTest::keyClick(&window, Qt::Key_I);
    ASSERT_TRUE(comes([&] { return full.row("R_f") != nullptr; }));
    settle();
    const auto& lamp = focus.focus()->lamp;
    const auto got = light::spectrumOf(lamp.mixer->type(), lamp.sent.drives);
    const auto cct = colour::cctOf(colour::toUv(lamp.sent.xyz));
    EXPECT_NEAR(full.row("R_f")->got, colour::tm30Of(got, cct->cct).rf, 1e-9);
    EXPECT_NEAR(full.row("R_a")->got, colour::cie13Of(got, cct->cct).ra, 1e-9);
    EXPECT_NEAR(full.row("R_f")->wanted, 100, 0.1) << "a blackbody is its own reference";
    EXPECT_NEAR(full.row("power")->got, lamp.mixer->powerOf(lamp.sent.drives), 1e-9);
    EXPECT_LE(full.row("of the brightest mix")->got, 102);
    EXPECT_GE(full.row("of the brightest mix")->got, 68) << "it may give up 30 %";
    ASSERT_EQ(full.numbers().observers.size(), 4u);
    EXPECT_LT(full.numbers().observers[0].second, 0.001) << "the observer it was mixed for";
    ASSERT_TRUE(full.numbers().bins);
    pick("gel:214@3200");
    const QString gelled = "of Eider 1000 with this gel";
    ASSERT_TRUE(comes([&] { return full.row(gelled) != nullptr; }));
    const double lamp_cd = library.type("eider-1000")->emitters[0].xyz().Y;
    EXPECT_NEAR(full.row(gelled)->got,
                100 * focus.focus()->lamp.sent.xyz.Y / (lamp_cd * focus.wanted()->transmitted),
                1e-6);
    pick("gel:338@5600");
    ASSERT_TRUE(comes([&] { return !full.numbers().bins; })) << "a cyan has no R_f";
    EXPECT_TRUE(std::isnan(full.row("R_f")->got));
    QTest::keyClick(&window, Qt::Key_Escape);
    EXPECT_FALSE(full.isVisible());
}

TEST_F(GettingTest, APressOnTheCurveTakesThatPoint) {
    ASSERT_TRUE(comes([&] { return mixing.tradeOff().size() >= 2; }));
    auto& mix = window.matchView().mix();
    QTest::mouseClick(&mix, Qt::LeftButton, {}, {6 + (mix.width() - 12) / 2, 90});
    settle();
    EXPECT_NEAR(focus.wish()->give_up, 0.475, 0.01) << "half of the scale, which ends at 95 %";
}

TEST_F(GettingTest, NothingIsComputedForAViewThatIsNotSeen) {
    ASSERT_TRUE(comes([&] { return mixing.tradeOff().size() >= 2; }));
    int curves = 0;
    QObject::connect(&mixing, &MixModel::tradeOffComputed, [&] { ++curves; });
    window.showView(MainWindow::Rig);
    pick("gel:338@5600");
    settle();
    EXPECT_EQ(curves, 0);
    window.showView(MainWindow::Match);
    EXPECT_TRUE(comes([&] { return curves > 0; })) << "it comes with the view";
}

TEST_F(GettingTest, TheTradeOffUsesWhatHasAMeaningOrSaysWhyItIsEmpty) {
    const auto curve = [&](const QString& gain) {
        return comes([&] { return mixing.tradeOff().size() >= 2; }) &&
               mixing.tradeOffName() == gain && mixing.noTradeOff().isEmpty();
    };
    pick("uv:0.12,0.52"); // a green typed as numbers: nothing but its colour is known
    mixing.setIntent(mix::Intent::Truest);
    settle();
    EXPECT_TRUE(mixing.tradeOff().empty());
    EXPECT_TRUE(mixing.noTradeOff().startsWith("No curve:"));
    mixing.setIntent(mix::Intent::Leanest);
    settle();
    EXPECT_TRUE(curve("watts"));
    mixing.setIntent(mix::Intent::Brightest);
    settle();
    EXPECT_FALSE(mixing.noTradeOff().isEmpty());
    const auto white = colour::planckianUv({3500});
    pick(fmt::format("uv:{},{}", white.u, white.v).c_str());
    mixing.setIntent(mix::Intent::Kindest);
    settle();
    EXPECT_TRUE(curve("R_f")) << "a white, however it was typed";
    pick("cct:3500/0.004"); // a tinted white is its lamp through a filter
    mixing.setIntent(mix::Intent::Truest);
    settle();
    EXPECT_TRUE(curve("SSI"));
    EXPECT_TRUE(comes([&] { return !window.matchView().skin().seen().empty(); }));
    EXPECT_TRUE(comes([&] {
        return window.readings().rows().size() == 7 &&
               std::isfinite(window.readings().rows()[6].got);
    })) << "SSI to the wanted light";
}

TEST_F(GettingTest, AColumnMovesAloneOrTheOthersHoldTheColour) {
    const auto wanted = focus.wanted()->uv();
    const auto off = [&] {
        settle();
        return colour::distance(colour::toUv(focus.focus()->lamp.sent.xyz), wanted);
    };
    const double lime = mixing.drive(3);
    mixing.setDrive(3, lime * 0.6, 1);
    EXPECT_GT(off(), 0.01) << "free mixing: the colour goes along";
    EXPECT_TRUE(focus.focus()->lamp.by_hand);
    mixing.solveAgain();
    mixing.setHolding(true);
    mixing.setDrive(3, lime * 0.6, 2);
    EXPECT_LT(off(), 0.001) << "the others hold it";
    EXPECT_NEAR(mixing.drive(3), lime * 0.6, 1e-9);
    EXPECT_TRUE(mixing.pinned(3)) << "it is pinned where it was put";
    EXPECT_FALSE(focus.focus()->lamp.by_hand);
}

TEST_F(GettingTest, FamiliesMoveTheirEmittersTogether) {
    auto& mix = window.matchView().mix();
    mix.setFamilies(true);
    settle();
    QStringList names;
    for (const auto* column : mix.columns())
        names << column->accessibleName();
    EXPECT_EQ(names, (QStringList{"warm level", "green level", "blue level", "all level"}));
    const double red = mixing.drive(1);
    const double amber = mixing.drive(2);
    emit mix.columns()[0]->valueEdited(50, 7); // warm: its highest at half
    settle();
    EXPECT_NEAR(std::max({mixing.drive(0), mixing.drive(1), mixing.drive(2)}), 0.5, 1e-6);
    EXPECT_NEAR(mixing.drive(1) / mixing.drive(2), red / amber, 1e-6) << "in their proportion";
    emit mix.columns()[2]->valueEdited(80, 8); // blue from nothing: all of it alike
    settle();
    EXPECT_NEAR(mixing.drive(6), 0.8, 0.35);
    EXPECT_GT(mixing.drive(6), 0);
    EXPECT_EQ(undoName(), "blue by hand");
    mix.setFamilies(false);
    EXPECT_EQ(mix.columns().size(), 8u);
}

} // namespace
} // namespace zelo::desk
