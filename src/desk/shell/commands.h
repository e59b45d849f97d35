// SPDX-License-Identifier: GPL-3.0-or-later
// Everything one can do, as one table by group: it makes the shortcuts, the menu, the sheet of keys
// (F2) and the finder (Ctrl+K).
#pragma once

#include <QAction>
#include <QString>
#include <functional>
#include <optional>
#include <vector>

namespace zelo::desk {

enum class CommandGroup { Show, Edit, View, Lineup, Colour, Cues, Ripple, Rig, Numbers, Help };
QString nameOf(CommandGroup group);

struct Command {
    CommandGroup group = CommandGroup::Show;
    QString text;
    QString key;               // shown and bound, several as "1; Ctrl+1"; empty = none
    std::function<void()> run; // empty: a key that the thing with the focus has; it is only shown
    bool in_menu = false;
    std::optional<int> only_in = {}; // the view whose key it is; none: of every view
};

QString keysShown(const Command& command); // "1, Ctrl+1"

// The keys of a window: those of one view only while it is shown; the same keys do nothing else
// there. A command of a view without anything to run names keys that the view itself watches. What
// has the focus claims its own keys first (kit/keys.h).
class Shortcuts {
public:
    Shortcuts(const std::vector<Command>& commands, QWidget* window);
    void setView(int view);

private:
    using Keys = QList<QKeySequence>;
    std::vector<std::pair<int, QAction*>> of_views_;
    std::vector<std::pair<int, Keys>> taken_; // by a view
    std::vector<std::pair<Keys, QAction*>> of_all_;
};

// Type a part of a command's name, Enter does it. Closes by itself; not modal.
void openFinder(const std::vector<Command>& commands, QWidget* window);

} // namespace zelo::desk
