// SPDX-License-Identifier: GPL-3.0-or-later
// Everything one can do, as one table: it makes the shortcuts, the menu, the list of keys (F2) and
// the finder (Ctrl+K).
#pragma once

#include <QAction>
#include <QString>
#include <functional>
#include <vector>

namespace zelo::desk {

struct Command {
    QString text;
    QString key; // shown and bound; empty = none
    std::function<void()> run;
    bool in_menu = false;
};

// Binds keys to the window. Text fields take plain letters and figures first.
void bindCommands(const std::vector<Command>& commands, QWidget* window);

// Type a part of a command's name, Enter does it. Closes by itself; not modal.
void openFinder(const std::vector<Command>& commands, QWidget* window);

// A window that lists the keys and stays beside the work.
void openKeys(const std::vector<Command>& commands, QWidget* window);

} // namespace zelo::desk
