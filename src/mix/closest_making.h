// SPDX-License-Identifier: GPL-3.0-or-later
// The drives nearest to others that make a light.
#pragma once

#include "colour/xyz.h"
#include "light/drives.h"

#include <optional>
#include <span>

namespace zelo::mix {

// Minimise |x − target|² subject to Σ xyz_i x_i = light and 0 <= x_i <= 1. The answer has the shape
// x = clamp(target + xyzᵀ λ); λ, three numbers, is found by Newton's steps (a projection by its
// dual: Boyd and Vandenberghe, Convex Optimization, 5.2). Much quicker than `minimise`, and the
// same answer to rounding; nothing where it does not settle in a few steps, be it that no drives
// make the light or that fewer than three may move: then `minimise` decides. Allocates nothing.
std::optional<light::Drives> closestMaking(const light::Drives& target,
                                           std::span<const colour::Xyz> xyz,
                                           const colour::Xyz& light);

} // namespace zelo::mix
