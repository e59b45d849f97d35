// SPDX-License-Identifier: GPL-3.0-or-later
// The steps of a planned fade as cues for another desk, each with its share of the time.
#pragma once

#include "files/ascii_cues.h"
#include "route/fade.h"

namespace zelo::files {

struct FadeCues {
    std::string from, to; // what its ends are called
    double time_s = 10;   // that all of them take together
    // DMX addresses of the first slot of each lamp, counted through all universes from 1. The
    // desk's channels are numbered from 1, lamp by lamp, one for each slot.
    std::vector<int> addresses = {1};
    std::vector<double> levels = {}; // intensity at each step; empty: at full
};

// The first cue is where the fade begins; every later one but the last follows by itself.
AsciiCues fadeCues(const mix::Mixer& mixer, const route::Steps& steps, const FadeCues& wish);

} // namespace zelo::files
