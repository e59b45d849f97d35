// SPDX-License-Identifier: GPL-3.0-or-later
// The window of the desktop, smaller than all of Zelochrome can be.
#include "desk/kit/language.h"
#include "desk/shell/frame.h"
#include "window_test.h"

#include <QLineEdit>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QScreen>
#include <QScrollBar>
#include <QSettings>

namespace zelo::desk {
namespace {

class FrameTest : public WindowTest {
protected:
    FrameTest() {
        frame.setMinimumSize(0, 0); // as on a screen that small
        frame.resize(640, 480);
        frame.show();
        EXPECT_TRUE(QTest::qWaitForWindowExposed(&frame));
        QApplication::setActiveWindow(&frame);
        settle();
    }
    Frame frame{window};
};

TEST_F(FrameTest, WhatDoesNotFitIsScrolledAndNothingIsSmallerThanItCanBe) {
    EXPECT_EQ(window.size(), window.minimumSize());
    EXPECT_GT(frame.horizontalScrollBar()->maximum(), 300);
    EXPECT_GT(frame.verticalScrollBar()->maximum(), 200);
    frame.resize(1500, 900);
    settle();
    EXPECT_EQ(frame.horizontalScrollBar()->maximum(), 0);
    EXPECT_EQ(window.size(), QSize(1500, 900));
}

TEST_F(FrameTest, KeysGoToTheWindowInside) {
    EXPECT_EQ(QApplication::focusWidget(), &window) << "not to a control";
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_1);
    EXPECT_EQ(window.view(), MainWindow::Rig);
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Slash);
    settle();
    EXPECT_TRUE(qobject_cast<QLineEdit*>(QApplication::focusWidget()));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Escape);
    EXPECT_EQ(QApplication::focusWidget(), &window) << "and back";
}

TEST_F(FrameTest, ItClosesAsTheWindowInsideDecides) {
    ASSERT_TRUE(document.edit("Rename", show::renameShow(document.state().show, "Worked in")));
    EXPECT_FALSE(frame.close());
    EXPECT_TRUE(frame.isVisible());
    auto* asks = window.findChild<QMessageBox*>();
    ASSERT_TRUE(asks);
    for (auto* b : asks->buttons())
        if (b->text() == "Lose them")
            b->click();
    settle();
    EXPECT_FALSE(frame.isVisible());
}

TEST_F(FrameTest, ASettingMadeByHandDoesNoHarm) {
    Frame::setSizePercent(17);
    EXPECT_EQ(Frame::sizePercent(), 100) << "a hand-made setting does no harm";
    chooseLanguage("xx");
    EXPECT_EQ(chosenLanguage(), "en");
    Frame::setSizePercent(100);
    chooseLanguage("en");
}

class FramePlaceTest : public WindowTest {
protected:
    FramePlaceTest() { QSettings().remove("windows/main/place"); }
};

TEST_F(FramePlaceTest, TheFirstTimeItIsNeverLargerThanTheScreenHasRoomFor) {
    Frame frame(window);
    frame.setMinimumSize(0, 0);
    frame.comeBack();
    frame.show();
    settle();
    const QSize room = frame.screen()->availableSize();
    EXPECT_LE(frame.normalGeometry().height() + 30, room.height()) << "a title stands above it";
    EXPECT_LE(frame.normalGeometry().width(), room.width());
    EXPECT_EQ(frame.isMaximized(), room.width() < Frame::kFirstSize.width() ||
                                       room.height() < Frame::kFirstSize.height() + 40);
}

TEST_F(FramePlaceTest, TheNextTimeItIsWhereAndAsLargeAsItWas) {
    const auto seen = [&](auto&& f) {
        Frame frame(window);
        frame.setMinimumSize(0, 0);
        frame.comeBack();
        frame.show();
        EXPECT_TRUE(QTest::qWaitForWindowExposed(&frame));
        f(frame);
        QTest::qWait(50);
    };
    const QSize room = QApplication::primaryScreen()->availableSize();
    const QRect place(20, 40, room.width() / 2, room.height() / 2);
    seen([&](Frame& frame) {
        frame.showNormal();
        frame.setGeometry(place);
    });
    seen([&](Frame& frame) {
        EXPECT_EQ(frame.geometry(), place);
        frame.setWindowState(Qt::WindowFullScreen);
    });
    seen([](Frame& frame) { EXPECT_TRUE(frame.isFullScreen()); });
    Frame frame(window);
    frame.setMinimumSize(0, 0);
    frame.comeBack(room / 3); // asked for on the command line
    EXPECT_EQ(frame.normalGeometry().size(), room / 3);
    EXPECT_FALSE(frame.isFullScreen());
}

} // namespace
} // namespace zelo::desk
