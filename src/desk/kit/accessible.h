// SPDX-License-Identifier: GPL-3.0-or-later
// What assistive tools are told of controls that paint themselves: a number has its value and its
// limits, a widget that paints several things has each of them as a child, with its name, value,
// place and what a press does, and the words that a panel paints are its description.
#pragma once

#include <QAccessible>
#include <QRect>
#include <QString>
#include <functional>
#include <optional>
#include <vector>

namespace zelo::desk {

struct PaintedPart {
    QString name;
    QString value = {};
    QRect place; // in the widget
    QAccessible::Role role = QAccessible::ListItem;
    bool chosen = false;
    std::function<void()> press = {}; // empty: nothing
};

// A widget that paints several things.
class HasParts {
public:
    virtual std::vector<PaintedPart> parts() = 0;
    // The same one by one, as assistive tools ask; a widget with thousands says it without making
    // all of them each time.
    virtual std::size_t partCount() { return parts().size(); }
    virtual std::optional<PaintedPart> part(std::size_t index);

protected:
    ~HasParts() = default;
};

void installAccessibility(); // once; safe to call again

} // namespace zelo::desk
