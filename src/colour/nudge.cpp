// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/nudge.h"

#include "colour/cct.h"

#include <algorithm>
#include <cmath>
#include <vector>

namespace zelo::colour {

namespace {

// The locus from cold to warm, evenly in reciprocal temperature: each place is a sum over a whole
// spectrum, too much for every lamp at every press.
const std::vector<Uv>& locus() {
    static const auto all = [] {
        constexpr int kColdest_mired = 40, kWarmest_mired = 1010, kStep_mired = 10;
        std::vector<Uv> places;
        for (int mired = kColdest_mired; mired <= kWarmest_mired; mired += kStep_mired)
            places.push_back(planckianUv({1e6 / mired}));
        return places;
    }();
    return all;
}

// Of the locus at the place nearest to a colour, towards warm, of length 1.
Uv warmAt(const Uv& uv) {
    const auto& all = locus();
    std::size_t nearest = 0;
    for (std::size_t i = 1; i + 1 < all.size(); ++i)
        if (distance(all[i], uv) < distance(all[nearest], uv))
            nearest = i;
    const Uv step = all[nearest + 1] - all[nearest];
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
