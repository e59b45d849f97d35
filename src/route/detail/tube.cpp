// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/detail/tube.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace zelo::route {

using colour::Uv;
using colour::Xyz;

namespace {
constexpr double kLeap = 8; // of what is allowed, from point to point
}

Tube::Tube(std::vector<Point> points, double colour_uv, double brightness_cd)
    : points_(std::move(points)), colour_uv_(colour_uv), brightness_cd_(brightness_cd) {}

// The point itself first, then the stretches before and after it.
template <class Look>
void Tube::look(std::size_t at, const Xyz& light, Look look) const {
    const bool coloured = colour::hasChromaticity(light);
    const Uv uv = coloured ? colour::toUv(light) : Uv{};
    const Point& here = points_[at];
    const auto off = [&](const Uv& way, double brightness_cd) {
        return Off{here.seen && coloured ? distance(uv, way) : 0,
                   std::abs(light.Y - brightness_cd)};
    };
    if (look(off(here.uv, here.brightness_cd)))
        return;
    const auto stretch = [&](const Point& a, const Point& b) { // false: too far, or seen enough
        if (std::abs(b.t - here.t) > kEarlyOrLate + 1e-9)
            return false;
        const Uv along = b.uv - a.uv;
        const double size = dot(along, along);
        const bool leap = size > kLeap * kLeap * colour_uv_ * colour_uv_; // no way between
        const double part =
            size > 0 && !leap ? std::clamp(dot(uv - a.uv, along) / size, 0.0, 1.0) : 1;
        return !look(
            off(a.uv + part * along, a.brightness_cd + part * (b.brightness_cd - a.brightness_cd)));
    };
    for (std::size_t i = at; i > 0 && stretch(points_[i], points_[i - 1]);)
        --i;
    for (std::size_t i = at; i < last() && stretch(points_[i], points_[i + 1]);)
        ++i;
}

bool Tube::holds(std::size_t at, const Xyz& light) const {
    bool fine = false;
    look(at, light, [&](const Off& off) {
        fine = fine || (off.uv <= colour_uv_ && off.brightness_cd <= brightness_cd_);
        return fine;
    });
    return fine;
}

Tube::Off Tube::off(std::size_t at, const Xyz& light) const {
    Off least;
    double size = std::numeric_limits<double>::infinity();
    look(at, light, [&](const Off& off) {
        const double now = std::max(off.uv / colour_uv_, off.brightness_cd / brightness_cd_);
        if (now < size) {
            size = now;
            least = off;
        }
        return false;
    });
    return least;
}

} // namespace zelo::route
