// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/disc.h"

#include "mix/hull.h"

namespace zelo::route {

using colour::Uv;

Result<Disc> Disc::of(std::vector<Uv> hull, const Uv& white) {
    constexpr double kInside = 1e-4; // u'v' between white and the edge
    if (hull.size() < 3)
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core", "the reach is a line or a point: there is no way round white"));
    if (mix::nearestOnHull(hull, white).distance > -kInside)
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core", "the white point u′ {:.4f} v′ {:.4f} is not inside the reach"),
            white.u, white.v);
    return Disc(std::move(hull), white);
}

double Disc::edge(double angle) const {
    const Uv way{std::cos(angle), std::sin(angle)};
    double nearest = HUGE_VAL;
    for (std::size_t i = 0; i < hull_.size(); ++i) {
        const Uv a = hull_[i] - white_;
        const Uv side = hull_[(i + 1) % hull_.size()] - hull_[i];
        const double across = colour::cross(way, side);
        if (across > 0) // leaving, for a counter-clockwise hull
            nearest = std::min(nearest, colour::cross(a, side) / across);
    }
    return nearest;
}

Polar Disc::toDisc(const Uv& p) const {
    const Uv off = p - white_;
    const double size = std::hypot(off.u, off.v);
    if (size == 0)
        return {};
    const double angle = std::atan2(off.v, off.u);
    return {size / edge(angle), angle};
}

Uv Disc::fromDisc(const Polar& p) const {
    if (p.rho == 0)
        return white_;
    const double size = p.rho * edge(p.angle);
    return white_ + Uv{size * std::cos(p.angle), size * std::sin(p.angle)};
}

} // namespace zelo::route
