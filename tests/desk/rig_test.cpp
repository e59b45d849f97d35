// SPDX-License-Identifier: GPL-3.0-or-later
// The Rig view as a programmer uses it: choosing on the plan, moving lamps, the patch table.
#include "desk/kit/button.h"
#include "desk/kit/text_log.h"
#include "desk/kit/value_control.h"
#include "desk/rig/home_form.h"
#include "desk/rig/rig_view.h"
#include "window_test.h"

#include <QCheckBox>
#include <QClipboard>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QSpinBox>
#include <QTableView>
#include <QTemporaryDir>
#include <QWheelEvent>
#include <array>

namespace zelo::desk {
namespace {

class RigTest : public WindowTest {
protected:
    RigTest() : WindowTest(MainWindow::Rig) {}
    void drag(const QPoint& from, const QPoint& to) {
        QTest::mousePress(&plan, Qt::LeftButton, {}, from);
        QTest::mouseMove(&plan, (from + to) / 2);
        QTest::mouseMove(&plan, to);
        QTest::mouseRelease(&plan, Qt::LeftButton, {}, to);
        settle();
    }
    QPoint at(int id) { return plan.place({id}).toPoint(); }
    QModelIndex cell(int id, int column) {
        auto* model = rig.table().model();
        for (int row = 0; row < model->rowCount(); ++row)
            if (model->index(row, 0).data().toInt() == fixture(id).number)
                return model->index(row, column);
        return {};
    }
    void type(int id, int column, const QString& text) {
        EXPECT_TRUE(rig.table().model()->setData(cell(id, column), text, Qt::EditRole));
        settle();
    }

    RigView& rig = window.rigView();
    Plan& plan = rig.plan();
};

TEST_F(RigTest, ASweepChoosesInItsOrder) {
    drag(at(1) + QPoint(-20, -20), at(6) + QPoint(20, 20));
    EXPECT_EQ(lineup(), (std::vector{1, 2, 3, 4, 5, 6}));
    drag(at(6) + QPoint(20, 20), at(1) + QPoint(-20, -20));
    EXPECT_EQ(lineup(), (std::vector{6, 5, 4, 3, 2, 1})) << "from right to left";
    QTest::mouseClick(&plan, Qt::LeftButton, Qt::ShiftModifier, at(9));
    QTest::mouseClick(&plan, Qt::LeftButton, Qt::ControlModifier, at(6));
    EXPECT_EQ(lineup(), (std::vector{5, 4, 3, 2, 1, 9}));
    QTest::mouseClick(&plan, Qt::LeftButton, {}, at(30));
    EXPECT_EQ(lineup(), std::vector{30});
    QTest::keyClick(&plan, Qt::Key_A, Qt::ControlModifier);
    EXPECT_EQ(lineup().size(), 40u);
}

TEST_F(RigTest, ADragMovesTheChosenLampsInOneStep) {
    plan.choose({{29}, {30}}, Plan::How::Only);
    const auto before = fixture(30).place;
    const auto steps = document.history().moments().size();
    drag(at(29), at(29) + QPoint(60, -30));
    EXPECT_GT(fixture(30).place.x_m, before.x_m + 0.5);
    EXPECT_GT(fixture(30).place.y_m, before.y_m + 0.2) << "up on the plan is upstage";
    EXPECT_NEAR(std::remainder(fixture(30).place.x_m, 0.1), 0, 1e-9) << "on tenths of a metre";
    EXPECT_EQ(document.history().moments().size(), steps + 1);
    EXPECT_EQ(document.history().undoName(), "Move 2 lamps");
    document.undo();
    EXPECT_EQ(fixture(30).place, before);
    QTest::keyClick(&plan, Qt::Key_Left);
    EXPECT_NEAR(fixture(30).place.x_m, before.x_m - 0.5, 0.051);
}

TEST_F(RigTest, TheTableFollowsTheLineupAndTheOtherWayRound) {
    plan.choose({{8}, {7}}, Plan::How::Only);
    EXPECT_EQ(rig.table().selectionModel()->selectedRows().size(), 2);
    rig.table().scrollTo(cell(21, 0));
    QTest::mouseClick(rig.table().viewport(), Qt::LeftButton, {},
                      rig.table().visualRect(cell(21, 0)).center());
    settle();
    EXPECT_EQ(lineup(), std::vector{21});
    EXPECT_EQ(rig.strip().universe(), fixture(21).universe);
}

TEST_F(RigTest, AnAddressThatClashesIsMarkedAndResolvedInOneStep) {
    type(2, PatchModel::Address, "3");
    EXPECT_EQ(fixture(2).address, 3);
    ASSERT_EQ(rig.patch().faults().clashes.size(), 1u);
    EXPECT_EQ(rig.patch().faultText({2}), "overlaps 1 by 3 slots");
    EXPECT_EQ(cell(2, PatchModel::Note).data().toString(), "overlaps 1 by 3 slots");
    rig.patch().resolveFaults();
    EXPECT_TRUE(rig.patch().faults().clashes.empty());
    EXPECT_EQ(fixture(2).address, 6) << "the first free place after it";
    document.undo();
    EXPECT_EQ(fixture(2).address, 3);
    document.undo();
    EXPECT_EQ(fixture(2).address, 6);
}

TEST_F(RigTest, OneCellIsTypedForAllChosenRows) {
    plan.choose({{3}, {4}, {5}}, Plan::How::Only);
    type(4, PatchModel::Universe, "7");
    EXPECT_EQ(fixture(3).universe, 7);
    EXPECT_EQ(fixture(5).universe, 7);
    EXPECT_EQ(fixture(6).universe, 1);
    type(3, PatchModel::Number, "301");
    EXPECT_EQ(fixture(5).number, 303) << "numbers go on";
    type(4, PatchModel::Mode, "emitters 16 bit");
    EXPECT_EQ(fixture(3).mode, "emitters 16 bit");
    EXPECT_EQ(document.history().undoName(), "Mode of 3 lamps");
    auto* model = rig.table().model();
    EXPECT_FALSE(model->setData(cell(4, PatchModel::Address), "600", Qt::EditRole));
    EXPECT_FALSE(model->setData(cell(4, PatchModel::Mode), "colour", Qt::EditRole));
}

TEST_F(RigTest, TheFormAddsLampsAtFreeSlots) {
    rig.askAdd();
    auto* form = rig.findChild<QDialog*>();
    ASSERT_TRUE(form);
    const auto boxes = form->findChildren<QComboBox*>();
    boxes[0]->setCurrentText("Skua");
    boxes[1]->setCurrentText("flags 16 bit");
    const auto spins = form->findChildren<QSpinBox*>();
    spins[0]->setValue(3);
    const int address = spins[3]->value();
    for (auto* b : form->findChildren<QPushButton*>())
        if (b->text() == "Add")
            b->click();
    settle();
    ASSERT_EQ(document.show().fixtures.size(), 43u);
    EXPECT_EQ(lineup(), (std::vector{41, 42, 43}));
    EXPECT_EQ(fixture(41).number, 41);
    EXPECT_EQ(fixture(41).address, address);
    EXPECT_EQ(fixture(42).address, address + 11);
    EXPECT_TRUE(rig.patch().faults().clashes.empty());
    EXPECT_NE(document.stage().lamp({41}), nullptr);
    rig.removeChosen();
    EXPECT_EQ(document.show().fixtures.size(), 40u);
    document.undo();
    EXPECT_EQ(document.show().fixtures.size(), 43u);
}

TEST_F(RigTest, LampsThatAreAddedBecomeAGroupInTheSameStep) {
    const auto steps = document.history().position();
    rig.askAdd();
    auto* form = window.findChild<QDialog*>();
    ASSERT_TRUE(form);
    form->findChildren<QSpinBox*>()[0]->setValue(4);
    for (auto* line : form->findChildren<QLineEdit*>())
        if (line->placeholderText() == "none")
            QTest::keyClicks(line, "gallery");
    for (auto* b : form->findChildren<QPushButton*>())
        if (b->text() == "Add")
            b->click();
    settle();
    EXPECT_EQ(document.history().position(), steps + 1);
    chooseGroups({"gallery"});
    EXPECT_EQ(lineup(), (std::vector{41, 42, 43, 44}));
    document.undo();
    EXPECT_EQ(document.show().fixtures.size(), 40u);
    for (const auto& [id, g] : document.show().groups)
        EXPECT_NE(g->name, "gallery");
}

TEST_F(RigTest, LampsHaveHomeValuesOfTheirOwn) {
    chooseGroups({"front", "back"}); // two types: the form is about the first one's
    const auto lamps = document.lineup();
    const auto home = [&](std::size_t lamp) { return document.show().fixture(lamps[lamp])->home; };
    // Two lamps that differ already, in a part that is not touched below.
    const auto type = document.library().type(document.show().fixture(lamps[0])->type);
    const std::string part = type->partName(0);
    const std::string other = type->partName(1);
    ASSERT_TRUE(document.edit(
        "x", show::changeEach(document.state().show, std::array{lamps[1]},
                              [&](show::Fixture& f, std::size_t) { f.home[other] = 1.0 / 3; })));
    QTest::keyClick(&window, Qt::Key_H);
    auto* form = window.findChild<HomeForm*>();
    ASSERT_TRUE(form);
    QApplication::setActiveWindow(form);
    auto* level = form->rows()[0].level;
    EXPECT_FALSE(form->rows()[0].own->isChecked());
    level->setFocus();
    QTest::keyClicks(level, "3");
    QTest::keyClicks(level->findChild<QLineEdit*>(), "7,5"); // with a comma
    QTest::keyClick(level->findChild<QLineEdit*>(), Qt::Key_Return);
    EXPECT_TRUE(form->rows()[0].own->isChecked()) << "a number that is typed is meant";
    const auto pressed = [&](HomeForm* in) {
        for (auto* b : in->findChildren<QPushButton*>())
            if (b->text() == "Set them")
                QTest::mouseClick(b, Qt::LeftButton);
        settle();
        QApplication::setActiveWindow(&window);
    };
    pressed(form);
    for (std::size_t i = 0; i < 6; ++i)
        EXPECT_EQ(home(i).at(part), 0.375);
    EXPECT_TRUE(home(6).empty()) << "of another type";
    EXPECT_EQ(undoName(), "Home values of 6 lamps");
    EXPECT_EQ(home(1).at(other), 1.0 / 3) << "not touched, to the last digit";
    EXPECT_FALSE(home(0).contains(other));
    // Opened again it says so; not ticked, the type's own is back.
    auto* again = HomeForm::open(document, &window);
    ASSERT_TRUE(again->rows()[0].own->isChecked());
    EXPECT_EQ(again->rows()[0].level->value(), 37.5);
    again->rows()[0].own->click();
    pressed(again);
    EXPECT_FALSE(home(0).contains(part));
    const auto steps = document.history().position();
    pressed(HomeForm::open(document, &window));
    EXPECT_EQ(document.history().position(), steps) << "nothing touched, no step";
    document.setLineup({});
    EXPECT_EQ(HomeForm::open(document, &window), nullptr);
}

TEST_F(RigTest, GroupsCanBeOutOfSightOnThePlan) {
    show::GroupId cyc;
    for (const auto& [id, g] : document.show().groups)
        if (g->name == "cyc")
            cyc = id;
    const auto lamps = document.show().group(cyc)->fixtures;
    document.setLineup({});
    const auto toggle = [&](const QString& group) { // by the menu, as one does
        QTest::mouseClick(child<Button>("layers"), Qt::LeftButton);
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        ASSERT_TRUE(menu);
        for (QAction* a : menu->actions())
            if (a->text() == group)
                a->trigger();
        menu->close();
        settle();
        QApplication::setActiveWindow(&window);
    };
    const auto said = [&](const QString& words) {
        const TextLog log;
        const QPixmap picture = window.grab();
        return std::any_of(log.texts().begin(), log.texts().end(),
                           [&](const PaintedText& t) { return t.text.contains(words); });
    };
    toggle("cyc");
    EXPECT_TRUE(plan.hidden(cyc));
    EXPECT_TRUE(said("8 out of sight"));
    EXPECT_EQ(plan.parts().size(), 40u - lamps.size());
    QTest::mouseClick(&plan, Qt::LeftButton, {}, plan.place(lamps[0]).toPoint());
    EXPECT_TRUE(document.lineup().empty()) << "what is not seen is not pressed";
    toggle("cyc");
    EXPECT_FALSE(said("out of sight"));
    QTest::mouseClick(&plan, Qt::LeftButton, {}, plan.place(lamps[0]).toPoint());
    EXPECT_EQ(document.lineup(), (show::Lineup{lamps[0]}));
    // A lamp that is in another group, too, stays while that is shown.
    ASSERT_TRUE(document.edit("x", show::addGroup(document.state().show, "one", {lamps[0]})));
    toggle("cyc");
    EXPECT_EQ(plan.parts().size(), 40u - lamps.size() + 1);
    ASSERT_TRUE(document.edit("x", show::removeGroup(document.state().show, cyc)));
    settle();
    EXPECT_EQ(plan.parts().size(), 40u) << "a group that is gone hides nothing";
    EXPECT_FALSE(said("out of sight"));
}

TEST_F(RigTest, LabelsAndHeightsAreTypedInTheTable) {
    plan.choose({{1}, {2}}, Plan::How::Only);
    type(1, PatchModel::Label, "left of the door");
    EXPECT_EQ(fixture(2).label, "left of the door") << "for all chosen rows";
    type(1, PatchModel::Height, "5,5 m");
    EXPECT_EQ(fixture(2).place.z_m, 5.5);
    EXPECT_EQ(cell(1, PatchModel::Height).data().toString(), "5.5");
    auto* table = rig.table().model();
    EXPECT_FALSE(table->setData(cell(1, PatchModel::Height), "high", Qt::EditRole));
    EXPECT_FALSE(table->setData(cell(1, PatchModel::Height), "1e9", Qt::EditRole));
    EXPECT_EQ(fixture(1).place.z_m, 5.5);
}

TEST_F(RigTest, RowsGoThroughASpreadsheet) {
    plan.choose({{1}, {2}}, Plan::How::Only);
    rig.copyPatch();
    const QString text = QApplication::clipboard()->text();
    EXPECT_EQ(text.count('\n'), 3);
    EXPECT_TRUE(text.contains("petrel-4\temitters 8 bit\t1\t6"));
    rig.pastePatch();
    EXPECT_EQ(document.show().fixtures.size(), 42u);
    EXPECT_EQ(fixture(42).type, "petrel-4");
    QApplication::clipboard()->setText("shopping\nmilk\n");
    rig.pastePatch();
    EXPECT_EQ(document.show().fixtures.size(), 42u) << "what is no patch changes nothing";
}

TEST_F(RigTest, TheHistoryGoesBackToAnyEdit) {
    type(4, PatchModel::Note, "one");
    type(4, PatchModel::Note, "two");
    type(4, PatchModel::Note, "three");
    QTest::keyClick(&window, Qt::Key_H, Qt::ControlModifier);
    QMenu* menu = nullptr;
    for (auto* m : window.findChildren<QMenu*>())
        if (m->title() == "History of edits")
            menu = m;
    ASSERT_TRUE(menu);
    ASSERT_EQ(menu->actions().size(), 4);
    EXPECT_TRUE(menu->actions()[0]->text().contains("now"));
    EXPECT_EQ(menu->actions()[3]->text(), "As opened");
    menu->actions()[2]->trigger();
    settle();
    EXPECT_EQ(fixture(4).note, "one");
    menu->close();
}

TEST_F(RigTest, UnsavedWorkThatWasLeftBehindIsOffered) {
    const QTemporaryDir folder;
    const auto file = std::filesystem::path(fromQt(folder.path())) / "night.zelo";
    const std::filesystem::path unsaved = file.string() + ".unsaved";
    auto late = document.show();
    late.name = "Later";
    ASSERT_TRUE(files::writeShow(file, document.show(), {}));
    ASSERT_TRUE(files::writeShow(unsaved, late, {}));
    const auto answer = [&](const QString& word) {
        ASSERT_TRUE(window.files().open(toQt(file.string())));
        settle();
        auto* box = window.findChild<QMessageBox*>();
        ASSERT_TRUE(box) << "it asks";
        EXPECT_TRUE(box->text().contains("night.zelo"));
        for (auto* b : box->buttons())
            if (b->text() == word)
                b->click();
        settle();
    };
    answer("Decide later");
    EXPECT_EQ(document.show().name, "The Salt Lanterns");
    EXPECT_TRUE(std::filesystem::exists(unsaved));
    answer("Take it back");
    EXPECT_EQ(document.show().name, "Later");
    EXPECT_FALSE(document.kept());
    answer("Throw it away");
    EXPECT_EQ(document.show().name, "The Salt Lanterns");
    EXPECT_FALSE(std::filesystem::exists(unsaved));
}

TEST_F(RigTest, TheFilterKeepsWhatItHolds) {
    for (auto* line : rig.findChildren<QLineEdit*>())
        if (line->accessibleName() == "Filter of the patch")
            line->setText("winch");
    ASSERT_EQ(rig.table().model()->rowCount(), 1);
    EXPECT_EQ(rig.table().model()->index(0, 0).data().toInt(), 4);
}

TEST_F(RigTest, LampsShowTheirLightOnThePlan) {
    const auto image = plan.grab().toImage();
    const QColor lamp = image.pixelColor(at(35));
    const QColor wanted = document.colours().of(document.stage().lamp({35})->sent.xyz);
    EXPECT_LT(std::abs(lamp.red() - wanted.red()) + std::abs(lamp.green() - wanted.green()) +
                  std::abs(lamp.blue() - wanted.blue()),
              12);
    const QPoint fitted = at(1);
    QTest::keyClick(&plan, Qt::Key_Plus);
    EXPECT_NE(at(1), fitted);
    QTest::keyClick(&plan, Qt::Key_F);
    EXPECT_EQ(at(1), fitted);
}

TEST_F(RigTest, ThePaperMovesByWheelTrackpadAndKeys) {
    const auto wheel = [&](const QPoint& pixels, const QPoint& angle, Qt::KeyboardModifiers keys) {
        const QPointF at(plan.rect().center());
        QWheelEvent event(at, plan.mapToGlobal(at), pixels, angle, Qt::NoButton, keys,
                          Qt::NoScrollPhase, false);
        QApplication::sendEvent(&plan, &event);
    };
    const QPoint before = at(1);
    const int wide = at(6).x() - at(1).x();
    wheel({0, 30}, {0, 240}, {}); // two fingers
    EXPECT_EQ(at(1), before + QPoint(0, 30));
    wheel({}, {0, 120}, Qt::ShiftModifier);
    EXPECT_EQ(at(1), before + QPoint(60, 30));
    EXPECT_EQ(at(6).x() - at(1).x(), wide) << "moved, not zoomed";
    plan.setFocus();
    QTest::keyClick(&plan, Qt::Key_Right, Qt::AltModifier);
    EXPECT_EQ(at(1).x(), before.x() + 20);
    EXPECT_FALSE(document.history().canUndo()) << "no lamp has moved";
    wheel({}, {0, 240}, {});
    EXPECT_GT(at(6).x() - at(1).x(), wide * 1.2);
}

} // namespace
} // namespace zelo::desk
