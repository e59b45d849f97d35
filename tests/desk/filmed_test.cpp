// SPDX-License-Identifier: GPL-3.0-or-later
// Beside a camera: the fifth station, the cameras' menu, and what is told of their misses.
#include "desk/hands_test.h"
#include "desk/kit/button.h"
#include "desk/match/camera_menu.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/readings/full_readings.h"
#include "light/levels.h"
#include "show/edits.h"
#include "show/kept.h"

#include <QMenu>

namespace zelo::desk {
namespace {

class FilmedTest : public HandsTest {
protected:
    FilmedTest() {
        chooseGroups({"back"});
        window.asking().pick("gel:214@3200");
        settle();
    }
    Button& cameras() { return *child<Button>("cameras"); }
    // Presses an entry of the cameras' menu, by its whole text.
    bool press(const QString& text) {
        QTest::mouseClick(&cameras(), Qt::LeftButton);
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        if (!menu)
            return false;
        QAction* found = nullptr;
        for (QAction* action : menu->findChildren<QAction*>())
            if (action->text() == text)
                found = action;
        if (found)
            found->trigger();
        menu->close();
        QApplication::setActiveWindow(&window);
        settle();
        return found;
    }
    double missOf(const std::string& camera) {
        const auto& lamp = window.focusModel().focus()->lamp;
        const auto seen = play::cameraFrom(*document.show().cameras.at(camera), document.library());
        return *seen->miss(light::spectrumOf(lamp.mixer->type(), lamp.drives),
                           *window.focusModel().wanted()->spectrum);
    }
    MixModel& mixing = window.matchView().mixing();
};

TEST_F(FilmedTest, TheFifthStationTakesACameraAndMindsIt) {
    auto* intents = child<Stations>("Intent");
    EXPECT_TRUE(cameras().isHidden());
    EXPECT_TRUE(document.show().cameras.empty());
    choose(*intents, 4);
    EXPECT_EQ(intents->chosen(), 4);
    ASSERT_EQ(document.show().cameras.size(), 1u);
    const std::string name = (*document.show().cameras.begin()).first;
    EXPECT_TRUE(cameras().isVisible());
    const double filmed = missOf(name);
    EXPECT_EQ(mixing.tradeOffName(), "camera miss");
    EXPECT_GE(mixing.tradeOff().size(), 16u);
    choose(*intents, 1);
    EXPECT_GT(missOf(name), filmed * 1.5) << "Truest does not mind it";
    EXPECT_TRUE(cameras().isHidden());
    // Undone step by step: the mix, the mix, the camera.
    for (int i = 0; i < 3; ++i)
        QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_TRUE(document.show().cameras.empty());
    EXPECT_EQ(window.focusModel().wish()->intent, mix::Intent::Truest);
}

TEST_F(FilmedTest, TheMenuAddsBalancesAndLeavesOut) {
    choose(*child<Stations>("Intent"), 4);
    ASSERT_TRUE(press("Add Kittiwake"));
    EXPECT_EQ(camerasInUse(document.show()), "Fulmar, Kittiwake");
    EXPECT_FALSE(press("Add Kittiwake")) << "it is there";
    ASSERT_TRUE(press("Remove from the show")); // of one of them
    ASSERT_EQ(document.show().cameras.size(), 1u);
    ASSERT_TRUE(press("as the lamp behind this gel"));
    const auto& camera = *(*document.show().cameras.begin()).second;
    EXPECT_EQ(camera.balance, light::Asked(light::AskedWhite{3200, {}}));
    ASSERT_TRUE(press("as this colour"));
    EXPECT_EQ((*document.show().cameras.begin()).second->balance,
              window.focusModel().wish()->asked);
    ASSERT_TRUE(press("Filmed minds it"));
    EXPECT_EQ(camerasInUse(document.show()), "");
    EXPECT_FALSE(mixing.noTradeOff().isEmpty()) << "it says that no camera is minded";
    QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_NE(camerasInUse(document.show()), "");
}

TEST_F(FilmedTest, TheMenuGoesByKeys) {
    auto* intents = child<Stations>("Intent");
    intents->setFocus();
    for (int i = 0; i < 3; ++i)
        QTest::keyClick(intents, Qt::Key_Right);
    settle();
    ASSERT_EQ(intents->chosen(), 4);
    cameras().setFocus();
    QTest::keyClick(&cameras(), Qt::Key_Space);
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(menu);
    QTest::keyClick(menu, Qt::Key_Down); // the one in use; the next is to be added
    QTest::keyClick(menu, Qt::Key_Down);
    QTest::keyClick(menu, Qt::Key_Return);
    settle();
    EXPECT_EQ(document.show().cameras.size(), 2u);
}

TEST_F(FilmedTest, WithoutRoomItIsSaidWhereTheCurveStands) {
    show::Fixture f;
    f.type = "dunlin-3";
    f.number = 901;
    f.universe = 9;
    const auto next = show::addFixture(document.state().show, f);
    ASSERT_TRUE(document.edit("a lamp", next));
    document.setLineup({{(*next)->last_fixture_id}});
    window.asking().pick("gel:214@3200");
    settle();
    choose(*child<Stations>("Intent"), 4);
    EXPECT_TRUE(mixing.noTradeOff().contains("3 emitters")) << mixing.noTradeOff().toStdString();
    EXPECT_TRUE(mixing.tradeOff().empty());
}

TEST_F(FilmedTest, TheReadingsTellEachCamerasMiss) {
    auto show = document.state().show;
    for (const char* name : {"Fulmar", "Guillemot"})
        show = *show::keepCamera(show, *document.library().camera(name));
    ASSERT_TRUE(document.edit("cameras", Result<show::ShowPtr>(show)));
    window.matchView().fullReadings().open();
    settle();
    const auto& all = window.matchView().fullReadings().numbers().observers;
    ASSERT_EQ(all.size(), 6u);
    EXPECT_EQ(all[4].first, "Fulmar, shares of r g");
    EXPECT_NEAR(all[4].second, missOf("Fulmar"), 0.002) << "as it is sent";
    EXPECT_NE(all[4].second, all[5].second);
}

} // namespace
} // namespace zelo::desk
