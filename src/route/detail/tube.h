// SPDX-License-Identifier: GPL-3.0-or-later
// A tube about a way: how far light at a moment is from the way.
#pragma once

#include "colour/xyz.h"

#include <cstddef>
#include <vector>

namespace zelo::route {

// Light may come so much of the time before or after the way has it: no one sees that, and steps
// for a console need it to cut corners.
inline constexpr double kEarlyOrLate = 0.03;

class Tube {
public:
    struct Point {
        double t = 0;
        colour::Uv uv;
        double brightness_cd = 0;
        bool seen = true; // else its colour does not matter
    };
    struct Off {
        double uv = 0;
        double brightness_cd = 0;
    };

    // Points at growing times, two at least; how far light may be from them.
    Tube(std::vector<Point> points, double colour_uv, double brightness_cd);

    const std::vector<Point>& points() const { return points_; }
    double colour_uv() const { return colour_uv_; }
    double brightness_cd() const { return brightness_cd_; }
    std::size_t last() const { return points_.size() - 1; }
    // Of light at the moment of point `at`.
    bool holds(std::size_t at, const colour::Xyz& light) const;
    // From the nearest place of the way, by shares of what is allowed.
    Off off(std::size_t at, const colour::Xyz& light) const;

private:
    template <class Look> // takes an Off, says whether it has seen enough
    void look(std::size_t at, const colour::Xyz& light, Look look) const;
    std::vector<Point> points_;
    double colour_uv_;
    double brightness_cd_;
};

} // namespace zelo::route
