// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>

#include <functional>

class QWidget;

namespace zelo::desk {

// Asks for a line of text over `window` without holding anything up; `take` gets it with Enter.
void askText(QWidget* window, const QString& title, const QString& label, const QString& text,
             const std::function<void(const QString&)>& take);

} // namespace zelo::desk
