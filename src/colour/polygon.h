// SPDX-License-Identifier: GPL-3.0-or-later
// A convex part of the u'v' plane: what lights reach. Of any number of corners: none is nothing,
// one a point, two a line.
#pragma once

#include "colour/xyz.h"

#include <optional>
#include <vector>

namespace zelo::colour {

class Polygon {
public:
    Polygon() = default;
    // What these points span: its corners are some of them, to the last digit.
    explicit Polygon(std::vector<Uv> points);

    // Counter-clockwise, each once, none on a straight edge.
    const std::vector<Uv>& corners() const { return corners_; }
    bool empty() const { return corners_.empty(); }
    bool hasInside() const { return corners_.size() >= 3; }
    // Requires a corner.
    Uv middle() const; // mean of the corners

    struct Place {
        Uv at;                // the nearest point of the edge
        double distance = 0;  // to it: positive outside, negative inside
        std::size_t edge = 0; // from this corner to the next
        double part = 0;      // along that edge, 0..1
    };
    // Where `p` lies. Requires a corner.
    Place nearest(const Uv& p) const;

    // Where the way from `p` (outside) to `towards` (inside) enters; nothing when it does not.
    std::optional<Uv> enters(const Uv& p, const Uv& towards) const;

    struct Ray {
        double far = 0;       // from where it begins to the edge, in lengths of `way`
        std::size_t edge = 0; // that it leaves by
        double part = 0;      // along that edge, 0..1
    };
    // Where a ray from a point within leaves. From a point outside, and of no corner: at once.
    Ray ray(const Uv& from, const Uv& way) const;

    // What both have.
    Polygon with(const Polygon& other) const;

    friend bool operator==(const Polygon&, const Polygon&) = default;

private:
    std::vector<Uv> corners_;
};

} // namespace zelo::colour
