// SPDX-License-Identifier: GPL-3.0-or-later
// What a wish leaves to a Mixer's solvers.
#pragma once

#include "colour/rendering.h"
#include "mix/mix.h"

namespace zelo::mix {

using colour::Uv;
using colour::Xyz;
using light::Drives;

// The emitters a wish leaves free, and what the pinned ones give.
struct Mixer::Problem {
    std::vector<std::size_t> own_free; // only with keep-outs or pins; else the mixer's own
    std::vector<Xyz> own_xyz;
    std::vector<Uv> own_hull;
    std::span<const std::size_t> free; // indices in the type
    std::span<const Xyz> xyz;          // of the free ones
    const std::vector<Uv>* hull;       // of the free ones
    Drives pinned;                     // drives of pinned emitters, 0 elsewhere
    Xyz base;                          // their light
    bool has_pins = false;
    bool whole_type = true; // no keep-outs, no pins

    Drives whole(const Drives& of_free) const {
        Drives all = pinned;
        for (std::size_t k = 0; k < free.size(); ++k)
            all[free[k]] = of_free[k];
        return all;
    }
};

// What Kindest maximises: R_f for a white, agreement with the wanted light for a colour; without a
// spectrum to agree with, nothing.
std::optional<colour::Kindness> kindnessFor(const light::Wanted& wanted);

} // namespace zelo::mix
