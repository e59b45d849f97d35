// SPDX-License-Identifier: GPL-3.0-or-later
// What assistive tools are told, compared with what is painted.
#include "desk/kit/slot_strip.h"
#include "desk/kit/stations.h"
#include "desk/kit/text_log.h"
#include "desk/kit/value_control.h"
#include "desk/lineup/lineup_panel.h"
#include "desk/match/asked_as.h"
#include "desk/match/level_column.h"
#include "desk/match/match_view.h"
#include "desk/match/mix_panel.h"
#include "desk/readings/full_readings.h"
#include "desk/readings/reach_map.h"
#include "desk/readings/readings_panel.h"
#include "desk/rig/plan.h"
#include "desk/rig/rig_view.h"
#include "show/edits.h"
#include "window_test.h"

#include <QAccessible>
#include <QLineEdit>
#include <QRegularExpression>

namespace zelo::desk {
namespace {

class AccessibleTest : public WindowTest {
protected:
    AccessibleTest() {
        chooseGroups({"front", "back"});
        window.asking().pick("gel:214");
        settle();
    }
    QAccessibleInterface* of(QWidget* w) { return QAccessible::queryAccessibleInterface(w); }
    std::vector<QAccessibleInterface*> partsOf(QWidget* w) {
        std::vector<QAccessibleInterface*> all;
        for (int i = 0; i < of(w)->childCount(); ++i)
            if (auto* part = of(w)->child(i); part && !part->object())
                all.push_back(part);
        return all;
    }
    static void press(QAccessibleInterface* part) {
        ASSERT_TRUE(part->actionInterface());
        part->actionInterface()->doAction(QAccessibleActionInterface::pressAction());
    }
};

TEST_F(AccessibleTest, EveryControlOfEveryViewHasANameAndNumbersTheirValue) {
    for (int view = 0; view < 2; ++view) {
        window.showView(view);
        settle();
        for (QWidget* w : window.findChildren<QWidget*>()) {
            if (!w->isVisible() || w->focusPolicy() == Qt::NoFocus)
                continue;
            auto* is = of(w);
            ASSERT_TRUE(is);
            const bool inside =
                w->objectName().startsWith("qt_") || qobject_cast<QLineEdit*>(w->parentWidget());
            if (!inside)
                EXPECT_FALSE(is->text(QAccessible::Name).isEmpty()) << w->metaObject()->className();
            const auto* control = qobject_cast<ValueControl*>(w);
            if (!control)
                continue;
            ASSERT_TRUE(is->valueInterface());
            EXPECT_EQ(is->role(), QAccessible::Slider);
            EXPECT_EQ(is->valueInterface()->currentValue().toDouble(), control->value());
            EXPECT_EQ(is->valueInterface()->maximumValue().toDouble(), control->range().most);
            EXPECT_TRUE(is->text(QAccessible::Value)
                            .startsWith(numberText(control->value(), control->range().decimals)));
        }
    }
}

TEST_F(AccessibleTest, ANumberSetFromOutsideIsAnEdit) {
    auto* column = window.matchView().mix().columns()[1];
    const auto steps = document.history().position();
    of(column)->valueInterface()->setCurrentValue(42.0);
    settle();
    EXPECT_NEAR(window.matchView().mixing().drive(1), 0.42, 1e-9);
    EXPECT_EQ(document.history().position(), steps + 1);
}

TEST_F(AccessibleTest, WhatAWidgetPaintsAreItsChildren) {
    const TextLog log;
    const QPixmap picture = window.grab();
    const auto painted = [&](const QString& text) {
        return std::any_of(log.texts().begin(), log.texts().end(),
                           [&](const PaintedText& t) { return t.text == text; });
    };
    for (auto* stations : window.findChildren<Stations*>()) {
        if (!stations->isVisible())
            continue;
        int chosen = 0;
        for (auto* part : partsOf(stations)) {
            EXPECT_TRUE(painted(part->text(QAccessible::Name)))
                << part->text(QAccessible::Name).toStdString();
            chosen += part->state().selected;
        }
        EXPECT_EQ(chosen, 1) << stations->accessibleName().toStdString();
    }
    const auto lamps = partsOf(&window.lineupPanel());
    ASSERT_EQ(lamps.size(), 12u);
    for (std::size_t i = 0; i < lamps.size(); ++i) {
        const auto number = QString::number(fixture(document.lineup()[i].value).number);
        EXPECT_EQ(lamps[i]->text(QAccessible::Name), "Lamp " + number);
        EXPECT_TRUE(painted(number));
        EXPECT_TRUE(lamps[i]->text(QAccessible::Value).endsWith("in hand"));
        const QRect place = lamps[i]->rect();
        EXPECT_EQ(of(&window.lineupPanel())->childAt(place.center().x(), place.center().y()),
                  lamps[i]);
    }
}

// All that the tree under this says.
void gather(QAccessibleInterface* is, QString& into) {
    if (!is || is->state().invisible)
        return;
    for (const auto which : {QAccessible::Name, QAccessible::Value, QAccessible::Description})
        into += is->text(which) + '\n';
    for (int i = 0; i < is->childCount(); ++i)
        gather(is->child(i), into);
}

TEST_F(AccessibleTest, NoNumberIsPaintedThatIsNotSaid) {
    for (int view = 0; view < 2; ++view) {
        window.showView(view);
        settle();
        if (view == MainWindow::Match) {
            window.matchView().fullReadings().open();
            settle();
        }
        for (QWidget* w : window.findChildren<QWidget*>()) {
            const bool ours = QByteArray(w->metaObject()->className()).startsWith("zelo::");
            if (!ours || !w->isVisible())
                continue;
            QString said;
            gather(of(w), said);
            const TextLog log;
            const QPixmap picture = w->grab();
            for (const auto& t : log.texts())
                if (t.text.contains(QRegularExpression("\\d")))
                    EXPECT_TRUE(said.contains(t.text))
                        << w->metaObject()->className() << ": " << t.text.toStdString();
        }
    }
}

TEST_F(AccessibleTest, ReadingsAreSaidRowByRow) {
    const auto rows = partsOf(&window.readings());
    ASSERT_EQ(rows.size(), window.readings().rows().size());
    ASSERT_GE(rows.size(), 7u);
    EXPECT_EQ(rows[2]->text(QAccessible::Name), "kelvin");
    EXPECT_EQ(rows[2]->text(QAccessible::Value),
              QString("wanted %1, got %2")
                  .arg(numberText(window.readings().rows()[2].wanted, 0),
                       numberText(window.readings().rows()[2].got, 0)));
    const auto on_map = partsOf(child<ReachMap>("Reach map"));
    ASSERT_EQ(on_map.size(), 3u) << "wanted, and two types";
    EXPECT_EQ(on_map[1]->text(QAccessible::Name), "Petrel 4 shows");
    EXPECT_FALSE(on_map[1]->state().selected);
    press(on_map[1]);
    settle();
    EXPECT_EQ(window.focusModel().focus()->name, "Petrel 4");
    EXPECT_TRUE(on_map[1]->state().selected);
}

TEST_F(AccessibleTest, PartsCanBePressed) {
    auto* intents = child<Stations>("Intent");
    press(partsOf(intents)[0]);
    settle();
    EXPECT_EQ(window.focusModel().wish()->intent, mix::Intent::Brightest);
    const auto ways = partsOf(&window.matchView().askedAs());
    ASSERT_EQ(ways.size(), 8u);
    press(ways[2]);
    settle();
    EXPECT_EQ(window.asking().askedAs(), Ask::Xy);
    window.showView(MainWindow::Rig);
    const auto lamps = partsOf(&window.rigView().plan());
    ASSERT_EQ(lamps.size(), 40u);
    const auto before = document.lineup().size();
    press(lamps[39]);
    EXPECT_EQ(document.lineup().size(), before + 1);
    EXPECT_TRUE(lamps[39]->state().selected);
}

// Thousands of lamps are asked for one by one; that says the same as all at once.
TEST_F(AccessibleTest, PartsOneByOneAreThoseOfAll) {
    window.showView(MainWindow::Rig);
    window.rigView().plan().setHidden((*document.show().groups.begin()).first, true);
    settle();
    for (HasParts* widget : {static_cast<HasParts*>(&window.rigView().plan()),
                             static_cast<HasParts*>(&window.lineupPanel()),
                             static_cast<HasParts*>(child<ReachMap>("Reach map"))}) {
        const auto all = widget->parts();
        ASSERT_EQ(widget->partCount(), all.size());
        ASSERT_GT(all.size(), 0u);
        for (std::size_t i = 0; i < all.size(); ++i) {
            const auto one = widget->part(i);
            ASSERT_TRUE(one);
            EXPECT_EQ(one->name, all[i].name);
            EXPECT_EQ(one->value, all[i].value);
            EXPECT_EQ(one->place, all[i].place);
        }
        EXPECT_FALSE(widget->part(all.size()));
    }
}

TEST_F(AccessibleTest, PartsThatHaveGoneAreNotValid) {
    const auto lamps = partsOf(&window.lineupPanel());
    document.setLineup({});
    EXPECT_FALSE(lamps[0]->isValid());
    EXPECT_EQ(lamps[0]->text(QAccessible::Name), "");
    EXPECT_EQ(partsOf(&window.lineupPanel()).size(), 0u);
}

} // namespace
} // namespace zelo::desk
