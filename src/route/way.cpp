// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/way.h"

#include "base/assert.h"
#include "base/text.h"
#include "colour/hue_words.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace zelo::route {

using colour::Uv;

namespace {

constexpr double kPi = std::numbers::pi;

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

Curve straightWay(const std::vector<Uv>& points) {
    ZELO_ASSERT(points.size() >= 2);
    std::vector<double> gone{0};
    for (std::size_t i = 1; i < points.size(); ++i)
        gone.push_back(gone.back() + distance(points[i - 1], points[i]));
    return [points, gone](double s) {
        const double along = std::clamp(s, 0.0, 1.0) * gone.back();
        std::size_t i = 0;
        while (i + 2 < points.size() && gone[i + 1] < along)
            ++i;
        const double span = gone[i + 1] - gone[i];
        const double part = span > 0 ? std::clamp((along - gone[i]) / span, 0.0, 1.0) : 0;
        return points[i] + part * (points[i + 1] - points[i]);
    };
}

bool Sector::holds(double angle) const {
    return turn(from, angle) <= turn(from, to);
}

double Sector::overlap(double start, double swing) const {
    // Both as stretches of a line that begins at the sector; the turn may meet it a second time.
    const double size = turn(from, to);
    const double at = turn(from, start);
    const double first = std::max(0.0, std::min(at + swing, size) - at);
    const double again = std::max(0.0, std::min(at + swing - 2 * kPi, size));
    return first + again;
}

std::span<const HueName> hueNames() {
    static const std::vector<HueName> names = [] {
        constexpr double kDegree = kPi / 180;
        std::vector<HueName> all;
        for (const colour::HueWord& w : colour::hueWords())
            if (w.uv)
                all.push_back({w.word, {w.uv->from_deg * kDegree, w.uv->to_deg * kDegree}});
        return all;
    }();
    return names;
}

const char* hueNameAt(double angle) {
    for (const HueName& hue : hueNames())
        if (hue.sector.holds(angle))
            return hue.name;
    return hueNames().front().name;
}

const char* hueWord(const Uv& uv, const Uv& white) {
    constexpr double kWhite_uv = 0.01;
    const Uv off = uv - white;
    return distance(uv, white) < kWhite_uv ? ZELO_TEXT("core", "white")
                                           : hueNameAt(std::atan2(off.v, off.u));
}

SideWords sideWords(const Disc& disc, const Uv& from, const Uv& to, double floor) {
    for (const double at : {0.5, 0.35, 0.65, 0.2, 0.8}) {
        const auto hueOf = [&](Side side) {
            const Uv off = aroundWay(disc, from, to, floor, side).curve(at) - disc.white();
            return hueNameAt(std::atan2(off.v, off.u));
        };
        const SideWords words{hueOf(Side::Ccw), hueOf(Side::Cw)};
        if (words.ccw != words.cw)
            return words;
    }
    return {};
}

Result<Sector> parseSector(std::string_view text) {
    constexpr double kDegree = kPi / 180;
    std::string names;
    for (const HueName& hue : hueNames()) {
        if (lowered(trimmed(text)) == hue.name)
            return hue.sector;
        names += std::string(hue.name) + ", ";
    }
    const auto parts = split(text, ':');
    if (parts.size() == 2)
        if (const auto from = toNumber(parts[0]), to = toNumber(parts[1]); from && to)
            return Sector{*from * kDegree, *to * kDegree};
    return fail(ErrorCode::BadValue,
                ZELO_TEXT("core", "'{}': expected {}or FROM:TO in degrees of hue"), text, names);
}

AroundWay aroundWay(const Disc& disc, const std::vector<Uv>& points, double floor, Side side,
                    const std::optional<Sector>& keep_out) {
    ZELO_ASSERT(points.size() >= 2);
    std::vector<Polar> places;
    double least = 1;
    for (const Uv& p : points) {
        places.push_back(disc.toDisc(p));
        places.back().rho = std::min(places.back().rho, 1.0);
        least = std::min(least, places.back().rho);
    }
    const double radius = std::clamp(floor, 0.0, 1.0) * least;
    AroundWay way;
    std::vector<Pieces> legs;
    for (std::size_t i = 0; i + 1 < places.size(); ++i) {
        const Polar& a = places[i];
        const Polar& b = places[i + 1];
        const Pieces ccw = pieces(a, b, radius, true);
        const Pieces cw = pieces(a, b, radius, false);
        const bool ccw_short = ccw.length() <= cw.length();
        bool take_ccw = side == Side::Ccw || (side == Side::Short && ccw_short) ||
                        (side == Side::Long && !ccw_short);
        if (keep_out) {
            const double in_ccw = keep_out->overlap(a.angle, turn(a.angle, b.angle));
            const double in_cw = keep_out->overlap(b.angle, turn(b.angle, a.angle));
            if (std::abs(in_ccw - in_cw) > 1e-9)
                take_ccw = in_ccw < in_cw;
            way.in_sector += take_ccw ? in_ccw : in_cw;
        }
        legs.push_back(take_ccw ? ccw : cw);
        way.length += legs.back().length();
        if (i == 0)
            way.ccw = take_ccw;
    }
    way.curve = [disc, legs, whole = way.length](double s) {
        double along = std::clamp(s, 0.0, 1.0) * whole;
        std::size_t leg = 0;
        while (leg + 1 < legs.size() && along > legs[leg].length())
            along -= legs[leg++].length();
        const double length = legs[leg].length();
        return disc.fromDisc(at(legs[leg], length > 0 ? std::min(1.0, along / length) : 0));
    };
    return way;
}

AroundWay aroundWay(const Disc& disc, const Uv& from, const Uv& to, double floor, Side side) {
    return aroundWay(disc, {from, to}, floor, side, std::nullopt);
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
