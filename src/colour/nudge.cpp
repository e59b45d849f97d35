// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/nudge.h"

#include "colour/cct.h"

#include <algorithm>
#include <cmath>

namespace zelo::colour {

namespace {

// Of the locus at the place nearest to a colour, towards warm, of length 1.
Uv warmAt(const Uv& uv) {
    constexpr double kColdest_mired = 40, kWarmest_mired = 1000, kStep_mired = 10;
    const auto at = [](double mired) { return planckianUv({1e6 / mired}); };
    double nearest = kColdest_mired;
    for (double m = kColdest_mired; m <= kWarmest_mired; m += kStep_mired)
        if (distance(at(m), uv) < distance(at(nearest), uv))
            nearest = m;
    const Uv step = at(nearest + kStep_mired) - at(nearest);
    return 1 / std::hypot(step.u, step.v) * step;
}

} // namespace

Uv nudgeOf(const Uv& uv, Nudge nudge, const Uv& white, double length) {
    const Uv from_white = uv - white;
    const double away = std::hypot(from_white.u, from_white.v);
    switch (nudge) {
    case Nudge::Warmer:
        return length * warmAt(uv);
    case Nudge::Cooler:
        return -length * warmAt(uv);
    case Nudge::Greener:
    case Nudge::Pinker: {
        const Uv warm = warmAt(uv);
        const Uv green{-warm.v, warm.u}; // above the locus
        return (nudge == Nudge::Greener ? length : -length) * green;
    }
    case Nudge::Paler:
        return away > 0 ? -std::min(1.0, length / away) * from_white : Uv{0, 0};
    case Nudge::Deeper:
        return away > 1e-9 ? length / away * from_white : Uv{0, 0};
    }
    return {0, 0};
}

} // namespace zelo::colour
