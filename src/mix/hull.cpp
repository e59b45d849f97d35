// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/hull.h"

#include "base/assert.h"

#include <algorithm>

namespace zelo::mix {

using colour::cross;
using colour::dot;
using colour::Uv;

namespace {
constexpr double kSamePoint = 1e-12;
constexpr double kStraight = 1e-12; // twice the area of a corner that is none
} // namespace

std::vector<Uv> convexHull(std::vector<Uv> points) { // Andrew's monotone chain
    std::sort(points.begin(), points.end(),
              [](const Uv& a, const Uv& b) { return a.u < b.u || (a.u == b.u && a.v < b.v); });
    points.erase(std::unique(points.begin(), points.end(),
                             [](const Uv& a, const Uv& b) { return distance(a, b) < kSamePoint; }),
                 points.end());
    if (points.size() < 3)
        return points;
    std::vector<Uv> hull;
    const auto add = [&](const Uv& p, std::size_t keep) {
        while (hull.size() >= keep + 2 &&
               cross(hull.back() - hull[hull.size() - 2], p - hull.back()) <= kStraight)
            hull.pop_back();
        hull.push_back(p);
    };
    for (const Uv& p : points)
        add(p, 0);
    const auto lower = hull.size() - 1;
    for (auto it = points.rbegin() + 1; it != points.rend(); ++it)
        add(*it, lower);
    hull.pop_back();
    return hull;
}

HullPoint nearestOnHull(const std::vector<Uv>& hull, const Uv& p) {
    ZELO_ASSERT(!hull.empty());
    HullPoint best{hull[0], distance(p, hull[0]), 0, 0};
    bool inside = hull.size() >= 3;
    for (std::size_t i = 0; i < hull.size() && hull.size() >= 2; ++i) {
        const Uv& a = hull[i];
        const Uv edge = hull[(i + 1) % hull.size()] - a;
        if (!(dot(edge, edge) > 0))
            continue; // a corner that is named twice
        const double part = std::clamp(dot(p - a, edge) / dot(edge, edge), 0.0, 1.0);
        const Uv at = a + part * edge;
        if (const double d = distance(p, at); d < best.distance)
            best = {at, d, i, part};
        inside &= cross(edge, p - a) >= 0;
    }
    if (inside)
        best.distance = -best.distance;
    return best;
}

std::optional<Uv> entersHull(const std::vector<Uv>& hull, const Uv& p, const Uv& towards) {
    const Uv way = towards - p;
    std::optional<Uv> found;
    double first = 1 + 1e-12;
    for (std::size_t i = 0; i < hull.size(); ++i) {
        const Uv& a = hull[i];
        const Uv edge = hull[(i + 1) % hull.size()] - a;
        const double across = cross(way, edge);
        if (across == 0)
            continue;
        const double t = cross(a - p, edge) / across;
        const double s = cross(a - p, way) / across;
        if (t >= -1e-12 && t < first && s >= -1e-9 && s <= 1 + 1e-9) {
            first = t;
            found = p + t * way;
        }
    }
    return found;
}

namespace {

constexpr double kOn = 1e-9; // from a line or a point: on it

// Points and lines: what of them lies on one another.
std::vector<Uv> flatIntersection(const std::vector<Uv>& a, const std::vector<Uv>& b) {
    std::vector<Uv> both;
    for (const auto& [points, on] : {std::pair(&a, &b), std::pair(&b, &a)})
        for (const Uv& p : *points)
            if (nearestOnHull(*on, p).distance <= kOn)
                both.push_back(p);
    if (both.empty() && a.size() == 2 && b.size() == 2)
        if (const auto cross_at = entersHull(b, a[0], a[1]))
            both.push_back(*cross_at);
    return convexHull(std::move(both));
}

} // namespace

std::vector<Uv> hullIntersection(const std::vector<Uv>& a, const std::vector<Uv>& b) {
    if (a.empty() || b.empty())
        return {};
    if (a.size() < 3 && b.size() < 3)
        return flatIntersection(a, b);
    if (b.size() < 3)
        return hullIntersection(b, a);
    std::vector<Uv> inside = a; // cut by each edge of b in turn
    for (std::size_t i = 0; i < b.size() && !inside.empty(); ++i) {
        const Uv& from = b[i];
        const Uv edge = b[(i + 1) % b.size()] - from;
        std::vector<Uv> kept;
        for (std::size_t k = 0; k < inside.size(); ++k) {
            const Uv& p = inside[k];
            const Uv& q = inside[(k + 1) % inside.size()];
            const double sp = cross(edge, p - from);
            const double sq = cross(edge, q - from);
            if (sp >= 0)
                kept.push_back(p);
            if ((sp > 0 && sq < 0) || (sp < 0 && sq > 0))
                kept.push_back(p + (sp / (sp - sq)) * (q - p));
        }
        inside = std::move(kept);
    }
    return convexHull(std::move(inside));
}

} // namespace zelo::mix
