// SPDX-License-Identifier: GPL-3.0-or-later
// The hues and what they are called, once for all: for searching, where words overlap since people
// do not agree where orange ends, and all round the white in u'v', where each has a stretch of its
// own (which side a way goes by, what it keeps out of). Ours, set so that the primaries and
// secondaries of sRGB and the Planckian locus get the words they have in plain English.
#pragma once

#include <cmath>
#include <optional>
#include <span>

namespace zelo::colour {

struct HueStretch { // of angles, growing
    double from_deg = 0;
    double to_deg = 0; // may pass 360

    bool holds(double hue_deg) const { // 0..360
        return (hue_deg >= from_deg && hue_deg <= to_deg) ||
               (hue_deg + 360 >= from_deg && hue_deg + 360 <= to_deg);
    }
};

struct HueWord {
    const char* word;                  // in English, marked (base/sentence.h)
    HueStretch oklab;                  // where it is said of a light
    std::optional<HueStretch> uv = {}; // its own part of the round: no gap, no overlap
    double most_chroma = HUGE_VAL;     // said below it: at the brightness that the light has
    double most_chroma_lit = HUGE_VAL; // the same, as bright as the white
};

// In the order of the round, then those that are said of pale lights alone.
std::span<const HueWord> hueWords();

} // namespace zelo::colour
