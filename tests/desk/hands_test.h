// SPDX-License-Identifier: GPL-3.0-or-later
// What hands do in the window: press words, type numbers, drag, drop colours, pick swatches.
#pragma once

#include "desk/kit/colour_drag.h"
#include "desk/kit/stations.h"
#include "desk/kit/value_control.h"
#include "desk/swatches/swatch_panel.h"
#include "desk/window_test.h"

#include <QDropEvent>
#include <QListView>

namespace zelo::desk {

class HandsTest : public WindowTest {
protected:
    using WindowTest::WindowTest;

    // A press on a word of the stations.
    void choose(Stations& stations, int word) {
        QTest::mouseClick(&stations, Qt::LeftButton, {},
                          stations.parts()[static_cast<std::size_t>(word)].place.center());
        settle();
    }
    void type(NumberField& field, const char* number) {
        field.setFocus();
        for (const char* sign = number; *sign; ++sign) // the first opens an editor
            QTest::keyClick(QApplication::focusWidget(), *sign);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        settle();
    }
    void drag(QWidget& on, const QPoint& from, const QPoint& to, Qt::KeyboardModifiers with = {}) {
        QTest::mousePress(&on, Qt::LeftButton, with, from);
        for (int i = 1; i <= 5; ++i) {
            const QPoint at = from + (to - from) * i / 5;
            QMouseEvent move(QEvent::MouseMove, at, on.mapToGlobal(at), Qt::NoButton,
                             Qt::LeftButton, with);
            QApplication::sendEvent(&on, &move);
            settle();
        }
        QTest::mouseRelease(&on, Qt::LeftButton, with, to);
        settle();
    }
    void drop(QWidget& on, const QPoint& at, const char* asked) {
        const std::unique_ptr<QMimeData> mime(colourMime(*light::parseAsked(asked)));
        QDragEnterEvent enter(at, Qt::CopyAction, mime.get(), Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&on, &enter);
        EXPECT_TRUE(enter.isAccepted());
        QDropEvent event(at, Qt::CopyAction, mime.get(), Qt::LeftButton, {});
        QApplication::sendEvent(&on, &event);
        settle();
    }
    void pickSwatch(const char* key) {
        auto& panel = window.swatches();
        panel.model().setQuery(key);
        settle();
        QTest::qWait(QApplication::doubleClickInterval() + 20); // another press, not a double one
        QTest::mouseClick(panel.list().viewport(), Qt::LeftButton, {},
                          panel.list().visualRect(panel.model().index(0, 0)).center());
        settle();
    }
    void key(QWidget& on, Qt::Key k, Qt::KeyboardModifiers with = {}) {
        on.setFocus();
        QTest::keyClick(&on, k, with);
        settle();
    }
};

} // namespace zelo::desk
