// SPDX-License-Identifier: GPL-3.0-or-later
// The Cues view of the real window with the demo show and a clock of its own.
#pragma once

#include "desk/cues/cue_form.h"
#include "desk/cues/cue_table.h"
#include "desk/cues/cue_text.h"
#include "desk/cues/cues_view.h"
#include "desk/window_test.h"

#include <QContextMenuEvent>
#include <QMenu>

namespace zelo::desk {

using show::CueNumber;

class CuesTest : public WindowTest {
protected:
    CuesTest() : CuesTest(std::make_shared<double>(0)) {}
    explicit CuesTest(const std::shared_ptr<double>& clock)
        : WindowTest([clock](host::Library& l) {
              return std::make_unique<host::Session>(l, nullptr, nullptr,
                                                     [clock] { return *clock; });
          }),
          now(clock) {
        window.showView(MainWindow::Cues);
        model().setGuard(0);
        chooseGroups({"front", "back"});
    }
    CueModel& model() { return window.cueModel(); }
    CuesView& view() { return window.cuesView(); }
    CueTable& table() { return view().table(); }
    void key(Qt::Key k, Qt::KeyboardModifiers m = Qt::NoModifier) {
        if (!QApplication::activePopupWidget() && !QApplication::activeWindow())
            QApplication::setActiveWindow(&window); // a form that closed leaves nobody
        QWidget* to = QApplication::focusWidget();
        QTest::keyClick(to ? to : &window, k, m);
        settle();
    }
    void type(const char* text) {
        for (const char* sign = text; *sign; ++sign) // the first one may open a field
            QTest::keyClick(QApplication::focusWidget(), *sign);
        settle();
    }
    // A click where the cell is drawn.
    QPoint cell(int thousandths, CueCell which) {
        const int row = table().rows().rowOf({thousandths});
        EXPECT_GE(row, 0) << thousandths;
        const auto index = table().rows().index(row, static_cast<int>(which));
        table().scrollTo(index);
        return table().visualRect(index).center();
    }
    void click(int thousandths, CueCell which = CueCell::Name, Qt::KeyboardModifiers m = {}) {
        QTest::mouseClick(table().viewport(), Qt::LeftButton, m, cell(thousandths, which));
        settle();
    }
    const show::Cue& cue(int thousandths) {
        const auto* found = model().cue({thousandths});
        EXPECT_TRUE(found) << thousandths;
        static const show::Cue none;
        return found ? *found : none;
    }
    void wait(double seconds) { // the clock goes on, and the window has looked
        *now += seconds;
        for (int looks = 0; looks == 0 || (looks < 2 && document.stage().runs); ++looks) {
            const auto before = document.stagePtr();
            EXPECT_TRUE(comes([&] { return document.stagePtr() != before; }, 2000));
        }
        settle();
    }
    // Until the window has seen what was pressed.
    bool stands(std::optional<CueNumber> number) {
        return comes([&] { return model().current() == number; }, 3000);
    }
    QMenu* menu() {
        auto* open = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        EXPECT_TRUE(open) << "no menu is open";
        return open;
    }
    // The one that reads just so, else the first that has the text in it.
    QAction* entry(const QString& text) {
        auto* top = menu();
        if (!top)
            return nullptr;
        QAction* has = nullptr;
        for (QMenu* m : QList<QMenu*>{top} + top->findChildren<QMenu*>())
            for (QAction* action : m->actions())
                if (action->text() == text)
                    return action;
                else if (!has && action->text().contains(text))
                    has = action;
        if (has)
            return has;
        ADD_FAILURE() << "not in the menu: " << text.toStdString();
        return nullptr;
    }
    void choose(const QString& text) {
        QAction* action = entry(text);
        auto* top = menu();
        if (action)
            action->trigger();
        if (top)
            top->close();
        settle();
    }
    void rightClick(int thousandths, CueCell which = CueCell::Name) {
        const QPoint at = cell(thousandths, which);
        click(thousandths, which);
        QContextMenuEvent event(QContextMenuEvent::Mouse, at, table().viewport()->mapToGlobal(at));
        QApplication::sendEvent(table().viewport(), &event);
        settle();
    }
    CueForm* form() { return qobject_cast<CueForm*>(QApplication::activePopupWidget()); }

    std::shared_ptr<double> now;
};

} // namespace zelo::desk
