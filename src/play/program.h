// SPDX-License-Identifier: GPL-3.0-or-later
// What is played, ready for the engine: lamps in one dense order, and for every source what it says
// of them, in drives. Immutable; the engine only reads it.
#pragma once

#include <cstdint>
#include <optional>
#include <span>
#include <vector>

namespace zelo::play {

// What a source says of one lamp; intensity and colour are apart, each may be left out.
struct Said {
    std::uint32_t lamp = 0;
    std::optional<double> intensity;     // 0..1
    std::optional<std::uint32_t> colour; // where its drives begin in Program::drives
};

struct PlayedCue {
    double number = 1;
    double up_s = 0, down_s = 0; // of intensities that rise, that fall
    double up_delay_s = 0, down_delay_s = 0;
    std::optional<double> colour_s, colour_delay_s; // without: those of the lamp's intensity
    enum class Follow { None, AfterStart, WhenDone } follow = Follow::None;
    double follow_s = 0;
    std::vector<Said> says;       // what it changes, by lamp
    std::vector<Said> stands_for; // that and what the cues before it left, by lamp
};

struct PlayedList {
    std::vector<PlayedCue> cues; // by number
    double back_s = 0, release_s = 0;
    std::vector<std::uint32_t> lamps; // that any cue says something of, ascending
};

struct PlayedFader {
    enum class Mode { Latest, Adds } mode = Mode::Latest;
    std::vector<Said> says; // by lamp
};

struct Program {
    std::size_t lamps = 0;
    std::vector<std::uint32_t> first; // of each lamp's drives in a row of all; one more at the end
    std::vector<double> home;         // a row: the colour of a lamp that nothing else says
    std::vector<double> drives;       // colours that sources name by their place
    std::vector<Said> standing;       // by lamp
    std::vector<char> exempt;         // from solo and Dark, by lamp
    std::vector<PlayedList> lists;
    std::vector<PlayedFader> faders;
    bool dark_first = true; // a dark lamp takes its next colour before its light comes

    std::size_t parts(std::uint32_t lamp) const { return first[lamp + 1] - first[lamp]; }
    std::span<const double> colour(std::uint32_t lamp, std::uint32_t at) const {
        return {drives.data() + at, parts(lamp)};
    }
};

// Fills in what the engine looks up: what each cue stands for, and the lamps of each list. The rest
// is there.
void complete(Program& program);

} // namespace zelo::play
