// SPDX-License-Identifier: GPL-3.0-or-later
// What stands in the cells of a cue list, as people read and type it; and cues as rows of a
// spreadsheet.
#pragma once

#include "show/cues.h"

#include <QString>
#include <QStringList>
#include <functional>
#include <optional>

namespace zelo::desk {

enum class CueCell { Number, Name, Looks, Up, Down, Delay, Colour, Follow, Route, Fault };
inline constexpr int kCueCells = 10;
inline CueCell cueCellAt(int column) {
    return static_cast<CueCell>(column);
}
inline bool isCueTime(CueCell cell) {
    return cell == CueCell::Up || cell == CueCell::Down || cell == CueCell::Delay ||
           cell == CueCell::Colour || cell == CueCell::Follow;
}

QString cueNumberText(show::CueNumber number);
QString cueNumberText(const show::Cue& cue); // "18b" where it has versions
QString timeText(double seconds);            // "0.5", "12", "1:30"
// "4", "2.5", "1:30", with or without an s behind; nothing for what is none, or no time.
std::optional<double> timeIn(const QString& text);
// Of a day, since midnight: "at 19:30", "at 19:30:15".
QString dayTimeText(double seconds);
std::optional<double> dayTimeIn(const QString& text);

// Empty where there is nothing to say. Not of Looks and Fault. `routes`: how kept routes are
// called.
QString cellText(const show::Cue& cue, CueCell cell,
                 const std::function<QString(show::RouteId)>& routes);
QString wayName(const std::optional<route::StopWay>& way); // "" for the show's

// What a text typed into a cell makes of a cue; nothing when it cannot be understood. Of Up, Down,
// Delay, Colour, Follow and Name.
using CueChange = std::function<void(show::Cue&)>;
std::optional<CueChange> changeFrom(CueCell cell, const QString& text);
QString expectedIn(CueCell cell); // in a line

// A row: number, name, up, down, delay, colour, follow, note; by tabs.
QString rowText(const show::Cue& cue);
QString headerText(); // of such rows
struct PastedCue {
    std::optional<show::CueNumber> number; // without: the next one that is free
    std::vector<CueChange> changes;
};
// Rows of a spreadsheet: those that say nothing of a cue are left out, and counted.
struct PastedCues {
    std::vector<PastedCue> cues;
    int left_out = 0;
};
PastedCues cuesIn(const QString& text);

} // namespace zelo::desk
