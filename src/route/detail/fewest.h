// SPDX-License-Identifier: GPL-3.0-or-later
// The fewest straight pieces, in channel levels over time, whose light stays within a tube about a
// way.
#pragma once

#include "route/detail/level_light.h"
#include "route/detail/tube.h"

#include <cstddef>
#include <vector>

namespace zelo::route {

struct TubeNode {
    std::size_t at = 0; // point of the tube
    LevelLight::Levels levels;
};

// From the first point to the last, both exactly; nodes between may leave the way within the
// tube: chords that lie on both its sides are fewer. A search over so many places about each point:
// not surely the least that could be. Empty when nothing fits.
// `levels` are those of the points.
std::vector<TubeNode> fewestPieces(const LevelLight& lamp, const Tube& tube,
                                   const std::vector<LevelLight::Levels>& levels);

} // namespace zelo::route
