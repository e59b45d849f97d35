// SPDX-License-Identifier: GPL-3.0-or-later
// What F1 says of a control, and where the manual tells more.
#pragma once

#include <QPointer>
#include <QWidget>

namespace zelo::desk {

struct Explained {
    QPointer<QWidget> of; // what has something to say; null: nothing there has
    QString text;         // its name and its tooltip, in sentences
    QString page;         // of the manual: "match.md"
};

// Of `control`, or the nearest around it that has a tooltip. `view`: of the window, whose page it
// is where the control belongs to no panel of its own.
Explained explained(QWidget* control, int view);

QString pageOfView(int view);

} // namespace zelo::desk
