// SPDX-License-Identifier: GPL-3.0-or-later
// What bounds leave to the solvers of a linear engine.
#pragma once

#include "colour/rendering.h"
#include "mix/linear_engine.h"

namespace zelo::mix {

using colour::Uv;
using colour::Xyz;
using light::Drives;

struct Quadratic;

// Colours this near the edge of the reach are on it: the edge has its own, well-conditioned solve.
inline constexpr double kOnEdge = 1e-9;

struct Problem {
    std::vector<std::size_t> own_free; // only with bounds; else the engine's own
    std::vector<Xyz> own_xyz;
    colour::Polygon own_hull;
    std::span<const std::size_t> free;     // places in the engine
    std::span<const Xyz> xyz;              // of the free ones
    const colour::Polygon* hull = nullptr; // of the free ones; null: its own
    Drives held;                           // drives of the fixed ones, 0 elsewhere
    Xyz base;                              // their light
    bool has_pins = false;
    bool unbounded = true;

    const colour::Polygon& reach() const { return hull ? *hull : own_hull; }
    Drives whole(const Drives& of_free) const {
        Drives all = held;
        for (std::size_t k = 0; k < free.size(); ++k)
            all[free[k]] = of_free[k];
        return all;
    }
};

// Rows of the exact colour: X − d_X Y = 0, Z − d_Z Y = 0 and, as the third, Y = least_y.
void setColourRows(Quadratic& q, const Problem& p, const Xyz& d, double least_y);

// The drives of the free ones, in their order, nearest to `target` (of all) that make this light.
std::optional<Drives> closestFree(const Problem& p, const Drives& target, const Xyz& exact);

// What Kindest maximises: R_f for a white, agreement with the wanted light for a colour; without a
// spectrum to agree with, nothing.
std::optional<colour::Kindness> kindnessFor(const light::Wanted& wanted);

} // namespace zelo::mix
