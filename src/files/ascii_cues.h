// SPDX-License-Identifier: GPL-3.0-or-later
// Cues as other desks read them: the USITT ASCII text representation for lighting console data,
// version 3.0 (.asc). Patch, cues with their times and levels, groups.
#pragma once

#include "base/result.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::files {

struct ChannelLevel {
    int channel = 1;  // of the desk, from 1
    double level = 0; // 0..1
    friend bool operator==(const ChannelLevel&, const ChannelLevel&) = default;
};

struct PatchLine {
    int channel = 1;
    int dimmer = 1; // DMX address, counted through all universes
    double level = 1;
    friend bool operator==(const PatchLine&, const PatchLine&) = default;
};

struct CueTimes { // seconds
    double time_s = 0;
    double delay_s = 0;
    friend bool operator==(const CueTimes&, const CueTimes&) = default;
};

struct AsciiCue {
    std::string number; // "7.5", as the desk calls it
    std::string text;
    std::optional<CueTimes> up, down;
    std::optional<double> follow_s; // the next cue comes by itself after this
    std::vector<ChannelLevel> levels;
    std::string unread = {}; // lines of it that say nothing to us, as they stand
};

struct AsciiGroup {
    std::string number;
    std::string text;
    std::vector<ChannelLevel> levels;
};

struct AsciiCues {
    std::string console, manufacturer;
    std::vector<PatchLine> patch;
    std::vector<AsciiCue> cues;
    std::vector<AsciiGroup> groups;
    std::vector<Sentence> notes; // lines that are not read
};

// Levels are percent (0..100) or hexadecimal with an H (H00..HFF). Everything before Ident and
// after ENDDATA is passed over. Errors name the line.
Result<AsciiCues> parseAsciiCues(std::string_view text);

// Levels as two hexadecimal digits, which hold 8 bit exactly.
std::string asciiCuesText(const AsciiCues& cues);

// A cue sheet: one row a cue, one column for each channel that any cue uses, in percent.
std::string cueSheetCsv(const AsciiCues& cues);

} // namespace zelo::files
