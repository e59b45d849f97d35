// SPDX-License-Identifier: GPL-3.0-or-later
// Convex hulls in the u'v' plane.
#pragma once

#include "colour/xyz.h"

#include <optional>
#include <vector>

namespace zelo::mix {

// Counter-clockwise corners, each once, none on a straight edge. Of points in a line: its two
// ends; of one point: that point.
std::vector<colour::Uv> convexHull(std::vector<colour::Uv> points);

struct HullPoint {
    colour::Uv at;        // nearest point of the hull's edge
    double distance = 0;  // to it: positive outside, negative inside
    std::size_t edge = 0; // from corner `edge` to the next
    double part = 0;      // along that edge, 0..1
};

// Where `p` lies. Requires a hull of at least one corner.
HullPoint nearestOnHull(const std::vector<colour::Uv>& hull, const colour::Uv& p);

// Where the way from `p` (outside) to `towards` (inside) enters; nothing when it does not.
std::optional<colour::Uv> entersHull(const std::vector<colour::Uv>& hull, const colour::Uv& p,
                                     const colour::Uv& towards);

// What `a` and `b` share: both as convexHull() has them, and so is what comes out; points and lines
// too (two whites, one lamp), which a hull that they cross or touch has a part of.
std::vector<colour::Uv> hullIntersection(const std::vector<colour::Uv>& a,
                                         const std::vector<colour::Uv>& b);

} // namespace zelo::mix
