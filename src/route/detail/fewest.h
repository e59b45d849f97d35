// SPDX-License-Identifier: GPL-3.0-or-later
// The fewest straight pieces, in channel levels over time, whose light stays within a tube about a
// curve of light.
#pragma once

#include "route/detail/level_light.h"

#include <cstddef>
#include <vector>

namespace zelo::route {

struct TubePoint {
    double t = 0;
    LevelLight::Levels levels;
    colour::Xyz light; // of these
    bool seen = true;  // else its colour does not matter
};

struct Tube {
    std::vector<TubePoint> points; // two at least, at growing times
    double colour_uv = 0;          // how far a piece may be from a point: Δu'v'
    double brightness_cd = 0;
};

struct TubeNode {
    std::size_t at = 0; // point of the tube
    LevelLight::Levels levels;
};

// From the first point to the last, both exactly; nodes between may leave the curve within the
// tube: chords that lie on both its sides are fewer. A search over so many places about each point:
// not surely the least that could be. Empty when nothing fits.
std::vector<TubeNode> fewestPieces(const LevelLight& lamp, const Tube& tube);

} // namespace zelo::route
