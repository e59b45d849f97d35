// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/disc.h"

namespace zelo::route {

using colour::Uv;

Result<Disc> Disc::of(colour::Polygon hull, const Uv& white) {
    constexpr double kInside = 1e-4; // u'v' between white and the edge
    if (!hull.hasInside())
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core", "the reach is a line or a point: there is no way round white"));
    if (hull.nearest(white).distance > -kInside)
        return fail(
            ErrorCode::BadValue,
            ZELO_TEXT("core", "the white point u′ {:.4f} v′ {:.4f} is not inside the reach"),
            white.u, white.v);
    return Disc(std::move(hull), white);
}

double Disc::edge(double angle) const {
    return hull_.ray(white_, {std::cos(angle), std::sin(angle)}).far;
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
