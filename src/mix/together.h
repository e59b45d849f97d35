// SPDX-License-Identifier: GPL-3.0-or-later
// Several fixture types at once: one colour, and one brightness, on all of them.
#pragma once

#include "colour/polygon.h"
#include "mix/mix.h"

#include <span>

namespace zelo::mix {

// What all of them can show: the part of u'v' that their reaches share, with fewer than three
// corners a line or a point; empty when there is none.
colour::Polygon commonReach(std::span<const Mixer* const> mixers);

// `uv` where it lies in the reach; else the nearest in it, a hair inside. Requires a corner.
colour::Uv intoReach(const colour::Polygon& reach, const colour::Uv& uv);

struct TogetherWish {
    MixWish mix;         // keep-outs and pins are by part and so must be empty
    bool common = false; // out of the common reach: all take its nearest colour, so that they agree
    bool level = false;  // brightness of all brought down to the weakest
};

struct Together {
    colour::Uv uv;                   // the colour all were asked for
    double moved_uv = 0;             // from the wanted one into the common reach
    std::vector<Mix> mixes;          // one for each mixer, at full
    std::vector<double> dim;         // 0..1 for each: times this, all are as bright
    double level_cd = 0;             // brightness of all when levelled
    std::vector<std::size_t> limits; // those that cannot be brighter than level_cd (within 1 %)
};

// Always answers; Requires at least one mixer. With `common` but no common reach each takes its own
// nearest colour.
Together together(std::span<const Mixer* const> mixers, const light::Wanted& wanted,
                  const TogetherWish& wish);

} // namespace zelo::mix
