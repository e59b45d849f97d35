// SPDX-License-Identifier: GPL-3.0-or-later
// What a change changed, so that a view looks only at what it shows.
#pragma once

#include "show/show.h"

namespace zelo::host {

enum class Change : unsigned {
    Rig = 1 << 0,      // fixtures, groups, the stage's plan
    Types = 1 << 1,    // the show's own fixture types
    Values = 1 << 2,   // standing light, looks
    Palettes = 1 << 3, // palettes, measured lights, favourites
    Hand = 1 << 4,
    Lineup = 1 << 5,
    Focus = 1 << 6, // the type that is looked at
    Outputs = 1 << 7,
    Controls = 1 << 8,   // master, Dark, on stage
    White = 1 << 9,      // what the eye takes for white
    Saved = 1 << 10,     // name, file, whether it is on disk, history
    Light = 1 << 11,     // a new stage was computed
    Seen = 1 << 12,      // eye or camera: what shows light shows it otherwise
    Found = 1 << 13,     // the finder has something new
    Crossfade = 1 << 14, // the one that is worked on, kept routes
    Cues = 1 << 15,      // lists and faders
};

class Changes {
public:
    constexpr Changes() = default;
    constexpr Changes(Change one) : bits_(static_cast<unsigned>(one)) {}
    static constexpr Changes all() {
        Changes every;
        every.bits_ = (1u << 16) - 1;
        return every;
    }
    constexpr Changes operator|(Changes o) const {
        o.bits_ |= bits_;
        return o;
    }
    constexpr bool has(Changes any) const { return (bits_ & any.bits_) != 0; }
    constexpr bool none() const { return bits_ == 0; }

private:
    unsigned bits_ = 0;
};
constexpr Changes operator|(Change a, Change b) {
    return Changes(a) | Changes(b);
}

// Between two moments of a document; costs a few comparisons of pointers.
Changes changesBetween(const show::State& before, const show::State& now);

} // namespace zelo::host
