// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/way.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using colour::Uv;

namespace {

constexpr double kPi = 3.14159265358979323846;

struct Flat { // in the unit disc, right-angled
    double x = 0, y = 0;
};
Flat flat(const Polar& p) {
    return {p.rho * std::cos(p.angle), p.rho * std::sin(p.angle)};
}

// Counter-clockwise turn from a to b, 0 … 2π.
double turn(double a, double b) {
    double t = std::fmod(b - a, 2 * kPi);
    return t < 0 ? t + 2 * kPi : t;
}

// One side of the way: the pieces of tangent, arc, tangent.
struct Pieces {
    Polar from, to;
    double radius = 0;                   // of the arc
    bool straight = false;               // the chord clears the inner disc on this side
    double first = 0, arc = 0, last = 0; // lengths
    double arc_from = 0;                 // angle where the arc begins
    double sense = 1;                    // +1 counter-clockwise
    double length() const { return first + arc + last; }
};

Pieces pieces(const Polar& from, const Polar& to, double radius, bool ccw) {
    Pieces p{from, to, radius};
    p.sense = ccw ? 1 : -1;
    const double swing = ccw ? turn(from.angle, to.angle) : turn(to.angle, from.angle);
    // Angles that the tangents cover, from each end to the point where they touch.
    const auto reach = [&](double rho) { return rho > radius ? std::acos(radius / rho) : 0.0; };
    const double a = reach(from.rho);
    const double b = reach(to.rho);
    if (swing <= a + b && swing <= kPi) { // the straight chord stays outside
        const Flat f = flat(from);
        const Flat t = flat(to);
        p.straight = true;
        p.first = std::hypot(t.x - f.x, t.y - f.y);
        return p;
    }
    p.first = std::sqrt(std::max(0.0, from.rho * from.rho - radius * radius));
    p.last = std::sqrt(std::max(0.0, to.rho * to.rho - radius * radius));
    p.arc = radius * std::max(0.0, swing - a - b);
    p.arc_from = from.angle + p.sense * a;
    return p;
}

Polar polar(const Flat& f) {
    return {std::hypot(f.x, f.y), std::atan2(f.y, f.x)};
}

Polar between(const Polar& a, const Polar& b, double part) {
    const Flat f = flat(a);
    const Flat t = flat(b);
    return polar({f.x + part * (t.x - f.x), f.y + part * (t.y - f.y)});
}

Polar at(const Pieces& p, double s) {
    const double along = s * p.length();
    if (p.length() == 0)
        return p.from;
    if (p.straight)
        return between(p.from, p.to, s);
    const double arc_angle = p.radius > 0 ? p.arc / p.radius : 0;
    const Polar touch1{p.radius, p.arc_from};
    const Polar touch2{p.radius, p.arc_from + p.sense * arc_angle};
    if (along < p.first)
        return between(p.from, touch1, along / p.first);
    if (along < p.first + p.arc)
        return {p.radius, p.arc_from + p.sense * (along - p.first) / p.radius};
    return p.last > 0 ? between(touch2, p.to, (along - p.first - p.arc) / p.last) : p.to;
}

} // namespace

std::optional<Kind> kindNamed(std::string_view name) {
    for (const auto k : {Kind::Levels, Kind::Straight, Kind::Around, Kind::Dark, Kind::Jump})
        if (name == nameOf(k))
            return k;
    return std::nullopt;
}

const char* nameOf(Kind kind) {
    switch (kind) {
    case Kind::Levels:
        return "levels";
    case Kind::Straight:
        return "straight";
    case Kind::Around:
        return "around";
    case Kind::Dark:
        return "dark";
    case Kind::Jump:
        break;
    }
    return "jump";
}

std::optional<Side> sideNamed(std::string_view name) {
    if (name == "short")
        return Side::Short;
    if (name == "long")
        return Side::Long;
    if (name == "ccw")
        return Side::Ccw;
    return name == "cw" ? std::optional(Side::Cw) : std::nullopt;
}

Curve straightWay(const Uv& from, const Uv& to) {
    return [from, to](double s) { return from + s * (to - from); };
}

AroundWay aroundWay(const Disc& disc, const Uv& from, const Uv& to, double floor, Side side) {
    Polar a = disc.toDisc(from);
    Polar b = disc.toDisc(to);
    a.rho = std::min(a.rho, 1.0);
    b.rho = std::min(b.rho, 1.0);
    const double radius = std::clamp(floor, 0.0, 1.0) * std::min(a.rho, b.rho);
    const Pieces ccw = pieces(a, b, radius, true);
    const Pieces cw = pieces(a, b, radius, false);
    const bool ccw_short = ccw.length() <= cw.length();
    const bool take_ccw = side == Side::Ccw || (side == Side::Short && ccw_short) ||
                          (side == Side::Long && !ccw_short);
    const Pieces taken = take_ccw ? ccw : cw;
    return {[disc, taken](double s) { return disc.fromDisc(at(taken, std::clamp(s, 0.0, 1.0))); },
            taken.length(), take_ccw};
}

double whiteDip(const Disc& disc, const std::vector<Uv>& way) {
    if (way.empty())
        return 0;
    const double ends = std::min(disc.saturation(way.front()), disc.saturation(way.back()));
    double least = ends;
    for (const Uv& p : way)
        least = std::min(least, disc.saturation(p));
    return ends > 1e-6 ? std::max(0.0, 1 - least / ends) : 0;
}

} // namespace zelo::route
