// SPDX-License-Identifier: GPL-3.0-or-later
// The split field over the whole window: wanted at the left, got at the right, touching; to be
// looked at from afar, on a second screen, or beside a real gel. One key opens and closes it.
#pragma once

#include "desk/focus/focus_model.h"
#include "desk/kit/overlay.h"
#include "desk/kit/own_window.h"

namespace zelo::desk {

class SplitField : public Overlay {
    Q_OBJECT
public:
    SplitField(Document& document, FocusModel& focus, QWidget* window);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    Document& document_;
    FocusModel& focus_;
};

// The same in a window of its own, for a second screen: it stays while one works.
class SplitWindow : public OwnWindow {
    Q_OBJECT
public:
    SplitWindow(Document& document, FocusModel& focus, QWidget* window);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    Document& document_;
    FocusModel& focus_;
};

} // namespace zelo::desk
