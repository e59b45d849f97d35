// SPDX-License-Identifier: GPL-3.0-or-later
// How far a colour at a moment is from a planned way, by brute force.
#pragma once

#include "route/fade.h"

#include <algorithm>
#include <cmath>

namespace zelo::test {

// From the nearest place of the way that is at most `early_or_late` of the time away: Δu'v'.
inline double offWay(const route::Fade& fade, double t, const colour::Uv& uv,
                     double early_or_late) {
    double least = HUGE_VAL;
    const auto& points = fade.points;
    for (std::size_t i = 0; i + 1 < points.size(); ++i)
        for (int k = 0; k <= 50; ++k) {
            const double part = k / 50.0;
            const double at = points[i].t + part * (points[i + 1].t - points[i].t);
            if (std::abs(at - t) <= early_or_late + 1e-9)
                least = std::min(least, colour::distance(uv, (1 - part) * points[i].uv +
                                                                 part * points[i + 1].uv));
        }
    return least;
}

} // namespace zelo::test
