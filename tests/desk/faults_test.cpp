// SPDX-License-Identifier: GPL-3.0-or-later
// What went wrong once, tried again as it happened.
#include "desk/kit/button.h"
#include "desk/kit/theme.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/match_view.h"
#include "desk/readings/readings_panel.h"
#include "desk/rig/find_panel.h"
#include "desk/rig/plan.h"
#include "desk/rig/rig_side.h"
#include "desk/rig/rig_view.h"
#include "desk/shell/message_line.h"
#include "desk/swatches/convert_form.h"
#include "desk/swatches/swatch_panel.h"
#include "show/edits.h"
#include "window_test.h"

#include <QHeaderView>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QScrollArea>
#include <QScrollBar>
#include <QTableView>

namespace zelo::desk {
namespace {

class FaultsTest : public WindowTest {
protected:
    FaultsTest() { chooseGroups({"back", "front"}); }
};

TEST_F(FaultsTest, TheFilterOfThePatchLeavesTheLineupAlone) {
    window.showView(MainWindow::Rig);
    settle();
    const auto before = lineup();
    auto* filter = child<QLineEdit>("Filter of the patch");
    filter->setFocus();
    QTest::keyClicks(filter, "front");
    EXPECT_EQ(lineup(), before);
    auto& table = window.rigView().table();
    ASSERT_LT(table.model()->rowCount(), 40);
    QTest::keyClick(filter, Qt::Key_Escape);
    EXPECT_EQ(table.model()->rowCount(), 40);
    EXPECT_EQ(lineup(), before);
    QTest::keyClicks(filter, "cyc");
    const QRect row = table.visualRect(table.model()->index(0, 0));
    QTest::mouseClick(table.viewport(), Qt::LeftButton, Qt::ControlModifier, row.center());
    ASSERT_EQ(lineup().size(), before.size() + 1) << "one more, after those out of sight";
    EXPECT_TRUE(std::equal(before.begin(), before.end(), lineup().begin()));
    QTest::mouseClick(table.viewport(), Qt::LeftButton, {}, row.center());
    EXPECT_EQ(lineup().size(), 1u) << "without Ctrl: this one only";
}

TEST_F(FaultsTest, TheListKeepsItsRowWhenMarksAndChipsCome) {
    auto* list = child<QListView>("Colours");
    list->setFocus();
    for (int i = 0; i < 30; ++i)
        QTest::keyClick(list, Qt::Key_Down);
    const auto asked = window.swatches().model().swatch(list->currentIndex().row()).asked;
    const int scrolled = list->verticalScrollBar()->value();
    EXPECT_GT(scrolled, 0);
    QTest::keyClick(list, Qt::Key_B);
    settle();
    EXPECT_EQ(window.swatches().model().swatch(list->currentIndex().row()).asked, asked);
    EXPECT_EQ(list->verticalScrollBar()->value(), scrolled);
    window.swatches().model().setSort(SwatchModel::Sort::Miss);
    chooseGroups({"cyc"}); // other chips, another order
    EXPECT_EQ(window.swatches().model().swatch(list->currentIndex().row()).asked, asked);
}

TEST_F(FaultsTest, ThePatchFollowsTheTheme) {
    window.showView(MainWindow::Rig);
    settle();
    auto* head = window.rigView().table().horizontalHeader();
    auto* filter = child<QLineEdit>("Filter of the patch");
    const auto shade = [](QWidget* w) {
        const QImage image = w->grab().toImage();
        return image.pixelColor(image.width() - 3, image.height() / 2).lightness();
    };
    useTheme(deskTheme());
    settle();
    EXPECT_EQ(shade(head), deskTheme().bench.lightness());
    EXPECT_EQ(shade(filter), deskTheme().well.lightness());
    useTheme(boothTheme());
    settle();
    EXPECT_EQ(shade(head), boothTheme().bench.lightness());
}

// Which pixels round a lamp are its own light: its shape.
std::vector<bool> shapeOf(Plan& plan, show::FixtureId id, const QColor& light) {
    const QImage image = plan.grab().toImage();
    const QPoint at = plan.place(id).toPoint();
    std::vector<bool> mask;
    for (int y = -9; y <= 9; ++y)
        for (int x = -9; x <= 9; ++x)
            mask.push_back(image.pixelColor(at + QPoint(x, y)) == light);
    return mask;
}

TEST_F(FaultsTest, OneMoreTypeChangesNoShape) {
    window.showView(MainWindow::Rig);
    auto& plan = window.rigView().plan();
    plan.setBeams(false);
    document.setLineup({});
    settle();
    const auto lightOf = [&](show::FixtureId id) {
        return document.colours().of(document.stage().lamp(id)->sent.xyz);
    };
    std::map<int, std::vector<bool>> before;
    for (const int id : {1, 7, 20, 33})
        before[id] = shapeOf(plan, {id}, lightOf({id}));
    auto added = fixture(1); // of a type whose name comes before all others
    added.type = "avocet-7";
    added.mode = document.library().type("avocet-7")->modes[0].name;
    added.number = 900;
    added.universe = 9;
    added.place = fixture(12).place;
    added.id = {};
    ASSERT_TRUE(document.edit("one more", show::addFixture(document.state().show, added)));
    settle();
    for (const auto& [id, shape] : before)
        EXPECT_EQ(shapeOf(plan, {id}, lightOf({id})), shape) << id;
}

TEST_F(FaultsTest, ReadingsDoNotShrinkWhileAColourIsDragged) {
    window.asking().pick("cct:4000");
    settle();
    ASSERT_GE(window.readings().rows().size(), 7u);
    std::size_t least = 99;
    QObject::connect(&window.focusModel(), &FocusModel::rowsChanged,
                     [&] { least = std::min(least, window.readings().rows().size()); });
    for (int k = 4050; k < 4400; k += 50) {
        window.asking().setWhite(k, 0, 77);
        settle();
    }
    EXPECT_GE(least, 7u);
    window.matchView().typeButtons()[1]->click(); // of another type they would be untrue
    EXPECT_EQ(window.focusModel().focus()->name, "Petrel 4");
}

TEST_F(FaultsTest, MessagesCoverNothing) {
    auto* line = window.findChild<MessageLine*>();
    document.tell("Written: a.mvr");
    document.tell(QString("A long one that has to be read whole. ").repeated(4));
    ASSERT_TRUE(line->isVisible());
    const QRect place = line->geometry();
    EXPECT_TRUE(window.rect().contains(place));
    EXPECT_GE(place.height(), line->sizeHint().height()) << "nothing of it is cut";
    for (const QWidget* other :
         {static_cast<QWidget*>(&window.swatches()), static_cast<QWidget*>(&window.lineupPanel()),
          static_cast<QWidget*>(&window.matchView()), static_cast<QWidget*>(&window.readings())})
        EXPECT_FALSE(QRect(other->mapTo(&window, QPoint()), other->size()).intersects(place))
            << other->accessibleName().toStdString();
    QTest::mouseClick(line, Qt::LeftButton, {}, {100, place.height() - 3});
    QTest::mouseClick(line, Qt::LeftButton, {}, {100, 3});
    EXPECT_FALSE(line->isVisible());
    EXPECT_EQ(window.swatches().height(), window.matchView().height()) << "the room is given back";
}

TEST_F(FaultsTest, InANarrowWindowMessagesCoverNothingEither) {
    window.resize(window.minimumSize());
    document.tell("Written: a.mvr");
    document.tell("Lamp 12 overlaps 11 by 4 slots.");
    settle();
    auto* line = window.findChild<MessageLine*>();
    const QRect place = line->geometry();
    EXPECT_GE(place.height(), line->sizeHint().height());
    for (int view = 0; view < 2; ++view) {
        window.showView(view);
        settle();
        for (QWidget* w : window.findChildren<QWidget*>()) {
            if (!w->isVisible() || w == line || w->focusPolicy() == Qt::NoFocus || w->isWindow())
                continue;
            const QRect seen = w->visibleRegion().boundingRect();
            EXPECT_FALSE(QRect(w->mapTo(&window, seen.topLeft()), seen.size()).intersects(place))
                << w->accessibleName().toStdString() << " in view " << view;
        }
    }
}

TEST_F(FaultsTest, RowsOfGetStayWhereTheyWereScrolled) {
    window.resize(window.minimumSize());
    chooseGroups({"back", "front", "cyc"});
    window.asking().pick("cct:4000");
    settle();
    auto* bar = child<QScrollArea>("What each type gets")->verticalScrollBar();
    ASSERT_GT(bar->maximum(), 0);
    bar->setValue(bar->maximum());
    window.asking().setWhite(4300, 0, 5); // as a drag does
    settle();
    EXPECT_EQ(bar->value(), bar->maximum());
    const auto& rows = window.matchView().typeButtons();
    QTest::mouseClick(rows[2], Qt::LeftButton, {}, {20, 8});
    settle();
    bar->setValue(bar->maximum());
    rows[0]->click(); // another focus is shown, whole
    settle();
    EXPECT_EQ(window.matchView().typeButtons()[0]->visibleRegion().boundingRect().height(),
              window.matchView().typeButtons()[0]->height());
}

TEST_F(FaultsTest, AskedTwiceThereIsOneFormForTheBook) {
    for (int i = 0; i < 2; ++i) {
        auto* button = child<Button>("more…");
        ASSERT_TRUE(button);
        QTest::mouseClick(button, Qt::LeftButton);
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        ASSERT_TRUE(menu);
        for (QAction* a : menu->actions())
            if (a->text().startsWith("Convert the book"))
                a->trigger();
        menu->close();
        settle();
    }
    EXPECT_EQ(window.findChildren<ConvertForm*>().size(), 1);
}

TEST_F(FaultsTest, IdentifyWithoutANetworkIsOneLine) {
    window.rigSide().find().identify(wire::Uid{}, true); // the card has gone
    EXPECT_TRUE(window.findChild<MessageLine*>()->texts().last().startsWith("No network"));
}

} // namespace
} // namespace zelo::desk
