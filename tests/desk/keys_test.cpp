// SPDX-License-Identifier: GPL-3.0-or-later
// Keys do what the focus says: pressed on whatever has the focus, as a keyboard does.
#include "desk/kit/button.h"
#include "desk/kit/keys.h"
#include "desk/kit/stations.h"
#include "desk/kit/theme.h"
#include "desk/kit/value_control.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/asked_as.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/readings/full_readings.h"
#include "desk/rig/plan.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/rig_view.h"
#include "desk/rig/type_editor.h"
#include "desk/rig/types_panel.h"
#include "desk/shell/header.h"
#include "desk/shell/keep_form.h"
#include "desk/shell/key_sheet.h"
#include "desk/shell/message_line.h"
#include "desk/swatches/swatch_panel.h"
#include "window_test.h"

#include <QComboBox>
#include <QDialog>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QListWidget>
#include <QMenu>
#include <QMessageBox>
#include <QTableView>
#include <QTableWidget>
#include <thread>

namespace zelo::desk {
namespace {

class KeysTest : public WindowTest {
protected:
    KeysTest() { chooseGroups({"front", "back"}); }
    QWidget* at() { // what has the keyboard
        QWidget* focus = QApplication::focusWidget();
        return focus ? focus : &window;
    }
    void press(int key, Qt::KeyboardModifiers with = {}) {
        QTest::keyClick(at(), static_cast<Qt::Key>(key), with);
        QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    }
    void type(const QString& text) {
        for (const QChar c : text)
            QTest::keyClick(at(), c.toLatin1());
    }
    void back() { // a popup has gone: a bare platform gives nobody the keyboard
        settle();
        QApplication::setActiveWindow(&window);
    }
    template <class Found>
    bool tabTo(Found found) { // by Tab alone
        for (int i = 0; i < 120; ++i) {
            if (found(at()))
                return true;
            press(Qt::Key_Tab);
        }
        return false;
    }
    bool tabToName(const QString& name) {
        return tabTo([&](QWidget* w) { return w->accessibleName() == name; });
    }
    bool handIsFull() { return !document.state().hand->empty(); }
};

TEST_F(KeysTest, TheKeypadTypesIntoANumber) {
    auto* kelvin = child<NumberField>("Lamp behind the gel");
    kelvin->setFocus();
    press(Qt::Key_5, Qt::KeypadModifier);
    EXPECT_EQ(window.view(), MainWindow::Match);
    ASSERT_TRUE(kelvin->typing());
    for (const int key : {Qt::Key_6, Qt::Key_0, Qt::Key_0})
        press(key, Qt::KeypadModifier);
    press(Qt::Key_Enter, Qt::KeypadModifier);
    EXPECT_EQ(kelvin->value(), 5600);
    EXPECT_FALSE(kelvin->typing());
}

TEST_F(KeysTest, ACellIsTypedOverOrEditedByKeysAlone) {
    window.showView(MainWindow::Rig);
    auto& editor = window.rigView().typeEditor();
    editor.openType("gannet-8");
    auto& table = editor.emitters();
    table.setCurrentCell(1, 3);
    table.setFocus();
    press(Qt::Key_4);
    EXPECT_EQ(window.view(), MainWindow::Rig) << "a figure in a cell opens no view";
    auto* cell = qobject_cast<QLineEdit*>(at());
    ASSERT_TRUE(cell);
    EXPECT_EQ(cell->text(), "4");
    type("44,5"); // with a comma
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(table.item(1, 3)->text(), "444.5");
    table.setCurrentCell(0, 0);
    table.setFocus();
    press(Qt::Key_Return); // Enter edits what is there
    ASSERT_TRUE(qobject_cast<QLineEdit*>(at()));
    type("Glow");
    press(Qt::Key_Escape);
    EXPECT_NE(table.item(0, 0)->text(), "Glow") << "Esc leaves the cell as it was";
    EXPECT_TRUE(editor.isVisible()) << "and only the cell";
    press(Qt::Key_Escape);
    EXPECT_FALSE(editor.isVisible());
}

TEST_F(KeysTest, EscLeavesAFieldAndNothingElse) {
    window.asking().pick("gel:341");
    settle();
    ASSERT_TRUE(handIsFull());
    struct Case {
        int view;
        QString name, before;
        bool clears;
    };
    window.matchView().askedAs().hex().show();
    const std::vector<Case> cases{{MainWindow::Match, "Search the swatch book", "", true},
                                  {MainWindow::Rig, "Filter of the patch", "", true},
                                  {MainWindow::Match, "Hex sRGB", "#112233", false},
                                  {MainWindow::Rig, "Maker", "Tidewater", false}};
    for (const Case& c : cases) {
        window.showView(c.view);
        if (c.name == "Maker")
            window.rigView().typeEditor().openType("gannet-8");
        auto* field = child<QLineEdit>(c.name);
        ASSERT_TRUE(field);
        field->show();
        field->setText(c.before);
        field->setFocus();
        ASSERT_TRUE(field->hasFocus()) << c.name.toStdString();
        type("42");
        EXPECT_EQ(window.view(), c.view) << c.name.toStdString();
        press(Qt::Key_Escape);
        EXPECT_EQ(field->text(), c.before) << c.name.toStdString();
        EXPECT_FALSE(field->hasFocus()) << c.name.toStdString();
        EXPECT_TRUE(handIsFull()) << c.name.toStdString();
        press(Qt::Key_3); // the keyboard is the window's again
        EXPECT_EQ(window.view(), MainWindow::Gradient) << c.name.toStdString();
    }
    window.showView(MainWindow::Match);
    press(Qt::Key_Escape);
    EXPECT_FALSE(handIsFull());
}

TEST_F(KeysTest, TheSearchTakesAColourAndGoesOn) {
    press(Qt::Key_Slash);
    type("215");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(window.asking().headline(), "215");
    auto* search = child<QLineEdit>("Search the swatch book");
    EXPECT_TRUE(search->hasFocus());
    EXPECT_EQ(search->selectedText(), "215") << "the next one is typed over it";
    type("20");
    EXPECT_EQ(search->text(), "20");
    press(Qt::Key_Return);
    press(Qt::Key_Down); // the row after the one that was taken
    auto* list = child<QListView>("Colours");
    EXPECT_TRUE(list->hasFocus());
    EXPECT_EQ(list->currentIndex().row(), 1);
    press(Qt::Key_Down);
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(window.asking().headline(), window.swatches().model().swatch(2).number);
}

TEST_F(KeysTest, ButtonsTakeEnterAndSpaceOnlyWhenReachedByKeys) {
    auto* level = child<Button>("level all");
    int pressed = 0;
    QObject::connect(level, &Button::clicked, [&] { ++pressed; });
    QTest::mouseClick(level, Qt::LeftButton);
    EXPECT_EQ(pressed, 1);
    level->setFocus(Qt::MouseFocusReason);
    press(Qt::Key_Space);
    EXPECT_EQ(pressed, 1) << "Space is the window's after a click";
    press(Qt::Key_Return);
    EXPECT_EQ(pressed, 2);
    window.setFocus();
    level->setFocus(Qt::TabFocusReason);
    press(Qt::Key_Space);
    EXPECT_EQ(pressed, 3);
    press(Qt::Key_Enter, Qt::KeypadModifier);
    EXPECT_EQ(pressed, 4);
}

TEST_F(KeysTest, AFieldDoesNotTakeTheWindowsChords) {
    press(Qt::Key_Slash);
    type("21");
    press(Qt::Key_D, Qt::ControlModifier); // Dark, not a sign deleted
    EXPECT_TRUE(document.controls().dark);
    press(Qt::Key_1, Qt::ControlModifier);
    EXPECT_EQ(window.view(), MainWindow::Rig);
    auto* search = child<QLineEdit>("Search the swatch book");
    EXPECT_EQ(search->text(), "21");
    press(Qt::Key_A, Qt::ControlModifier); // its own
    EXPECT_EQ(search->selectedText(), "21");
}

TEST_F(KeysTest, ADoublePressResetsAlsoWhenTheFirstBeganTyping) {
    auto* lamp = child<NumberField>("Lamp behind the gel");
    lamp->setFocus();
    press(Qt::Key_Up);
    settle();
    ASSERT_EQ(lamp->value(), 3250);
    const QPoint middle(lamp->width() / 2, lamp->height() / 2);
    QTest::mouseClick(lamp, Qt::LeftButton, {}, middle);
    ASSERT_TRUE(lamp->typing());
    auto* editor = lamp->findChild<QLineEdit*>();
    ASSERT_TRUE(editor);
    QTest::mouseDClick(editor, Qt::LeftButton, {}, editor->mapFrom(lamp, middle));
    settle();
    EXPECT_FALSE(lamp->typing());
    EXPECT_EQ(lamp->value(), 3200);
}

TEST_F(KeysTest, ACommaIsAPointEverywhere) {
    EXPECT_EQ(numberIn("0,44"), 0.44);
    EXPECT_EQ(numberIn("−3,5"), -3.5);
    EXPECT_EQ(numberIn("9\u2009620"), 9620);
    EXPECT_EQ(numberIn("40 %", "%"), 40);
    EXPECT_FALSE(numberIn("4x2"));
    EXPECT_FALSE(numberIn(""));
    auto* tint = child<NumberField>("Tint");
    window.asking().pick("cct:4000");
    settle();
    tint->setFocus();
    type(",004");
    press(Qt::Key_Return);
    settle();
    EXPECT_NEAR(*window.asking().whiteDuv(), 0.004, 1e-12);
}

TEST_F(KeysTest, KeysPrintedInRigWorkWithTheWindowInFocus) {
    window.showView(MainWindow::Rig);
    window.setFocus();
    press(Qt::Key_Insert);
    auto* form = window.findChild<QDialog*>();
    ASSERT_TRUE(form);
    form->close();
    back();
    window.setFocus();
    const auto before = document.show().fixtures.size();
    press(Qt::Key_Delete);
    EXPECT_EQ(document.show().fixtures.size(), before - 12);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(document.show().fixtures.size(), before);
    chooseGroups({"front", "back"});
    press(Qt::Key_R);
    EXPECT_EQ(undoName(), "Align 12 lamps");
    window.showView(MainWindow::Match);
    window.setFocus();
    press(Qt::Key_Delete);
    EXPECT_EQ(document.show().fixtures.size(), before) << "not in another view";
}

TEST_F(KeysTest, DeleteTakesLampsOnlyWhereTheyAreChosen) {
    window.showView(MainWindow::Rig);
    const auto before = document.show().fixtures.size();
    auto& side = window.rigSide();
    side.showPage(RigSide::Types);
    side.types().list().setFocus();
    press(Qt::Key_Delete);
    EXPECT_EQ(document.show().fixtures.size(), before) << "in the list of types";
    child<QListView>("Colours")->setFocus();
    press(Qt::Key_Delete);
    EXPECT_EQ(document.show().fixtures.size(), before) << "in the swatch book";
    window.lineupPanel().setFocus();
    press(Qt::Key_Delete);
    EXPECT_EQ(document.show().fixtures.size(), before) << "in the lineup";
    auto& editor = window.rigView().typeEditor();
    editor.openType("gannet-8");
    editor.emitters().setCurrentCell(0, 5); // a cell that is not edited
    press(Qt::Key_Delete);
    EXPECT_EQ(document.show().fixtures.size(), before) << "under the type editor";
    press(Qt::Key_R);
    EXPECT_EQ(undoName(), "") << "nothing is arranged that is not seen";
    editor.hide();
    window.rigView().plan().setFocus();
    press(Qt::Key_Delete);
    EXPECT_EQ(document.show().fixtures.size(), before - 12);
}

TEST_F(KeysTest, EnterAnswersAFormWhereverItsFocusIs) {
    window.showView(MainWindow::Rig);
    const auto before = document.show().fixtures.size();
    press(Qt::Key_Insert);
    auto* form = window.findChild<QDialog*>();
    ASSERT_TRUE(form);
    QApplication::setActiveWindow(form);
    form->findChild<QComboBox*>()->setFocus();
    press(Qt::Key_Return);
    back();
    EXPECT_EQ(document.show().fixtures.size(), before + 1);
}

TEST_F(KeysTest, NoTwoCommandsShareAKey) {
    std::map<std::pair<int, QString>, QString> taken;
    for (const Command& c : window.commands()) {
        if (!c.run || c.key.isEmpty())
            continue;
        const auto keys = QKeySequence::listFromString(c.key);
        EXPECT_FALSE(keys.contains(QKeySequence())) << c.key.toStdString();
        for (int view = 0; view < 6; ++view) {
            if (c.only_in && *c.only_in != view)
                continue;
            for (const auto& key : keys) {
                const auto [other, is_new] = taken.emplace(std::pair(view, key.toString()), c.text);
                EXPECT_TRUE(is_new) << key.toString().toStdString() << ": " << c.text.toStdString()
                                    << ", " << other->second.toStdString();
            }
        }
    }
}

TEST_F(KeysTest, TheSheetOfKeysIsSearchedAndGoesByEsc) {
    window.asking().pick("gel:341");
    settle();
    press(Qt::Key_F2);
    auto& sheet = window.keySheet();
    ASSERT_TRUE(sheet.isVisible());
    EXPECT_EQ(sheet.geometry(), window.rect());
    const auto all = sheet.shown();
    for (const Command& c : window.commands())
        EXPECT_TRUE(all.contains(c.text)) << c.text.toStdString();
    type("undo");
    EXPECT_EQ(sheet.shown(), QStringList{"Undo"});
    press(Qt::Key_Escape);
    EXPECT_TRUE(sheet.isVisible()) << "first the text";
    EXPECT_GT(sheet.shown().size(), 40);
    press(Qt::Key_Escape);
    EXPECT_FALSE(sheet.isVisible());
    EXPECT_TRUE(handIsFull());
}

TEST_F(KeysTest, WhatLiesOverTheWindowGivesTheKeyboardBack) {
    auto* intents = child<Stations>("Intent");
    intents->setFocus();
    for (const int key : {Qt::Key_F2, Qt::Key_Z, Qt::Key_I}) {
        press(key);
        EXPECT_FALSE(intents->hasFocus()) << key;
        press(Qt::Key_Escape);
        EXPECT_TRUE(intents->hasFocus()) << key;
    }
    press(Qt::Key_I); // one over the other: the newest goes first
    press(Qt::Key_F2);
    press(Qt::Key_Escape);
    EXPECT_FALSE(window.keySheet().isVisible());
    EXPECT_TRUE(window.matchView().fullReadings().isVisible());
    press(Qt::Key_Escape);
    EXPECT_FALSE(window.matchView().fullReadings().isVisible());
}

TEST_F(KeysTest, TheSheetOfKeysFollowsTheTheme) {
    press(Qt::Key_F2);
    useTheme(deskTheme());
    bool found = false;
    for (const auto* label : window.keySheet().findChildren<QLabel*>())
        if (label->text() == "Undo") {
            found = true;
            EXPECT_EQ(label->palette().color(QPalette::WindowText), deskTheme().text);
        }
    EXPECT_TRUE(found);
    useTheme(boothTheme());
}

TEST_F(KeysTest, TheMenuSaysWhatItDoes) {
    const auto run = [&](const QString& text) {
        for (const Command& c : window.commands())
            if (c.text == text)
                return c.run();
        ADD_FAILURE() << text.toStdString();
    };
    run("Where the log is");
    EXPECT_TRUE(window.findChild<MessageLine*>()->texts().last().startsWith("The log is"));
    run("About Zelochrome");
    auto* about = window.findChild<QMessageBox*>();
    ASSERT_TRUE(about);
    EXPECT_TRUE(about->text().startsWith("Zelochrome "));
    about->close();
    back();
    press(Qt::Key_W, Qt::ControlModifier);
    EXPECT_EQ(document.show().name, "Untitled");
    EXPECT_TRUE(document.show().fixtures.empty());
    bool written = false; // a file that is being written is written before the program ends
    document.inBackground(
        "Writing", &window,
        [&](const std::stop_token&) {
            std::this_thread::sleep_for(std::chrono::milliseconds(150));
            return written = true;
        },
        [](bool) {});
    press(Qt::Key_Q, Qt::ControlModifier);
    EXPECT_FALSE(window.isVisible());
    EXPECT_TRUE(written);
}

TEST_F(KeysTest, TheMenuOpensByF10AndByAltAlone) {
    const auto texts = [&]() -> std::string {
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        while (menu && qobject_cast<QMenu*>(menu->parentWidget()))
            menu = qobject_cast<QMenu*>(menu->parentWidget());
        QStringList found;
        for (const QAction* part : menu ? menu->actions() : QList<QAction*>{}) {
            found << part->text();
            for (const QAction* a : part->menu()->actions())
                found << a->text().section('\t', 0, 0);
        }
        if (menu)
            menu->close();
        back();
        return found.join('|').toStdString();
    };
    press(Qt::Key_F10);
    const auto by_f10 = texts();
    for (const char* wanted : {"New show", "Close the show", "Quit", "About Zelochrome",
                               "Where the log is", "Keys and commands", "&Show", "&Help"})
        EXPECT_NE(by_f10.find(wanted), std::string::npos) << wanted;
    QTest::keyPress(at(), Qt::Key_Alt, Qt::AltModifier);
    QTest::keyRelease(at(), Qt::Key_Alt);
    EXPECT_EQ(texts(), by_f10);
    QTest::keyPress(at(), Qt::Key_Alt, Qt::AltModifier); // a chord is not Alt alone
    QTest::keyClick(at(), Qt::Key_Left, Qt::AltModifier);
    QTest::keyRelease(at(), Qt::Key_Alt);
    EXPECT_EQ(texts(), "");
}

TEST_F(KeysTest, TheRightButtonDoesNothingByItself) {
    auto* stage = window.findChild<StageSwitch*>();
    const bool on = document.onStage();
    QTest::mouseClick(stage, Qt::RightButton, {}, {on ? 5 : stage->width() - 5, 10});
    EXPECT_EQ(document.onStage(), on);
    const auto wish = window.focusModel().wish()->asked;
    auto& asked_as = window.matchView().askedAs();
    QTest::mouseClick(&asked_as, Qt::RightButton, {}, {20, 18 + 9});
    EXPECT_EQ(window.focusModel().wish()->asked, wish);
    auto& panel = window.lineupPanel();
    const auto order = lineup();
    const int middle = 260 + (panel.width() - 540) / 2;
    QTest::mousePress(&panel, Qt::RightButton, {}, {middle - 20, 60});
    QTest::mouseMove(&panel, {middle + 100, 60});
    QTest::mouseRelease(&panel, Qt::RightButton, {}, {middle + 100, 60});
    EXPECT_EQ(lineup(), order);
}

TEST_F(KeysTest, HeldArrowsAreOneStepAndMoveALampInTheOrder) {
    auto& panel = window.lineupPanel();
    panel.setFocus();
    const auto steps = document.history().position();
    for (int i = 0; i < 5; ++i)
        press(Qt::Key_Down);
    settle();
    EXPECT_EQ(document.history().position(), steps + 1);
    window.showView(MainWindow::Rig);
    auto& plan = window.rigView().plan();
    plan.setFocus();
    const double x = fixture(1).place.x_m;
    for (int i = 0; i < 4; ++i)
        press(Qt::Key_Right);
    EXPECT_NEAR(fixture(1).place.x_m, x + 2, 1e-9);
    EXPECT_EQ(document.history().position(), steps + 2);
    panel.setFocus();
    const auto order = lineup();
    press(Qt::Key_Right, Qt::ControlModifier);
    auto swapped = order;
    std::swap(swapped[0], swapped[1]);
    EXPECT_EQ(lineup(), swapped);
}

TEST_F(KeysTest, ALampIsChosenOnThePlanByKeyboard) {
    window.showView(MainWindow::Rig);
    document.setLineup({{1}}); // the front row: lamps 1 to 6, from left to right
    auto& plan = window.rigView().plan();
    plan.setFocus();
    press(Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(plan.cursor(), show::FixtureId{1}) << "from the first of the lineup";
    press(Qt::Key_Right, Qt::ControlModifier);
    press(Qt::Key_Right, Qt::ControlModifier);
    EXPECT_EQ(plan.cursor(), show::FixtureId{3});
    EXPECT_EQ(lineup(), std::vector<int>{1}) << "nothing is chosen by going there";
    press(Qt::Key_Return);
    EXPECT_EQ(lineup(), std::vector<int>{3});
    press(Qt::Key_Left, Qt::ControlModifier);
    press(Qt::Key_Return, Qt::ShiftModifier);
    EXPECT_EQ(lineup(), (std::vector<int>{3, 2}));
    press(Qt::Key_Return, Qt::ShiftModifier);
    EXPECT_EQ(lineup(), std::vector<int>{3});
    press(Qt::Key_Up, Qt::ControlModifier);
    EXPECT_GT(fixture(plan.cursor()->value).place.y_m, fixture(2).place.y_m) << "upstage is up";
    EXPECT_EQ(document.history().position(), 0u) << "no lamp was moved";
}

TEST_F(KeysTest, TheWholeJobOfMatchByKeyboardAlone) {
    press(Qt::Key_A, Qt::ControlModifier);
    EXPECT_EQ(document.lineup().size(), 40u);
    press(Qt::Key_G);
    auto* groups = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    ASSERT_TRUE(groups);
    QTest::keyClick(groups, Qt::Key_1);
    back();
    const auto count = document.lineup().size();
    ASSERT_LT(count, 40u);
    press(Qt::Key_Slash);
    type("338");
    press(Qt::Key_Return);
    press(Qt::Key_Escape);
    settle();
    EXPECT_EQ(window.asking().headline(), "338");
    ASSERT_TRUE(tabToName("Lamp behind the gel"));
    type("5600");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(text(window.focusModel().wish()->asked), "gel:338@5600");
    ASSERT_TRUE(tabToName("Intent"));
    press(Qt::Key_Right);
    ASSERT_TRUE(tabTo([](QWidget* w) { return qobject_cast<LevelColumn*>(w) != nullptr; }));
    press(Qt::Key_P);
    settle();
    EXPECT_TRUE(window.matchView().mixing().pinned(0));
    ASSERT_TRUE(tabToName("Lineup"));
    press(Qt::Key_Home);
    press(Qt::Key_Up, Qt::ControlModifier);
    settle();
    EXPECT_NEAR(document.stage().lamp(document.lineup()[0])->intensity, 0.1, 1e-9);
    press(Qt::Key_K);
    auto* form = window.findChild<KeepForm*>();
    ASSERT_TRUE(form);
    QTest::keyClick(form, Qt::Key_Return);
    settle();
    EXPECT_FALSE(handIsFull());
    EXPECT_EQ(text(document.stage().lamp(document.lineup()[0])->colour->wanted.asked),
              "gel:338@5600");
}

TEST_F(KeysTest, TheWholeJobOfRigByKeyboardAlone) {
    press(Qt::Key_1);
    const auto before = document.show().fixtures.size();
    press(Qt::Key_Insert);
    auto* form = window.findChild<QDialog*>();
    ASSERT_TRUE(form);
    QApplication::setActiveWindow(form);
    const auto boxes = form->findChildren<QAbstractSpinBox*>();
    boxes[0]->setFocus();
    EXPECT_EQ(at(), boxes[0]);
    boxes[0]->selectAll();
    type("3"); // how many
    press(Qt::Key_Return);
    back();
    ASSERT_EQ(document.show().fixtures.size(), before + 3);
    EXPECT_EQ(document.lineup().size(), 3u) << "the new ones are chosen";
    window.setFocus();
    ASSERT_TRUE(tabToName("Patch"));
    auto& table = window.rigView().table();
    table.setCurrentIndex(table.model()->index(table.model()->rowCount() - 1, 0));
    for (int i = 0; i < PatchModel::Note; ++i)
        press(Qt::Key_Right);
    type("b"); // a letter in a cell types, also one that is a command
    ASSERT_TRUE(qobject_cast<QLineEdit*>(at()));
    type("alcony");
    press(Qt::Key_Return);
    settle();
    EXPECT_EQ(fixture(document.lineup().back().value).note, "balcony");
    ASSERT_TRUE(tabToName("Plan"));
    const double x = fixture(document.lineup().back().value).place.x_m;
    press(Qt::Key_Right);
    EXPECT_NEAR(fixture(document.lineup().back().value).place.x_m, x + 0.5, 1e-9);
    press(Qt::Key_Delete);
    settle();
    EXPECT_LT(document.show().fixtures.size(), before + 3);
    for (int i = 0; i < 4; ++i)
        press(Qt::Key_Z, Qt::ControlModifier);
    settle();
    EXPECT_EQ(document.show().fixtures.size(), before);
}

} // namespace
} // namespace zelo::desk
