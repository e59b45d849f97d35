// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/polygon.h"

#include "base/assert.h"

#include <algorithm>

namespace zelo::colour {

namespace {

constexpr double kSamePoint = 1e-12;
constexpr double kStraight = 1e-12; // twice the area of a corner that is none
constexpr double kOn = 1e-9;        // from a line or a point: on it

std::size_t after(const std::vector<Uv>& corners, std::size_t i) {
    return i + 1 < corners.size() ? i + 1 : 0;
}

// Points and lines: what of them lies on one another.
Polygon flatPart(const Polygon& a, const Polygon& b) {
    std::vector<Uv> both;
    for (const auto& [points, on] : {std::pair(&a, &b), std::pair(&b, &a)})
        for (const Uv& p : points->corners())
            if (on->nearest(p).distance <= kOn)
                both.push_back(p);
    if (both.empty() && a.corners().size() == 2 && b.corners().size() == 2)
        if (const auto crossed = b.enters(a.corners()[0], a.corners()[1]))
            both.push_back(*crossed);
    return Polygon(std::move(both));
}

} // namespace

Polygon::Polygon(std::vector<Uv> points) { // Andrew's monotone chain
    std::sort(points.begin(), points.end(),
              [](const Uv& a, const Uv& b) { return a.u < b.u || (a.u == b.u && a.v < b.v); });
    points.erase(std::unique(points.begin(), points.end(),
                             [](const Uv& a, const Uv& b) { return distance(a, b) < kSamePoint; }),
                 points.end());
    if (points.size() < 3) {
        corners_ = std::move(points);
        return;
    }
    const auto add = [&](const Uv& p, std::size_t keep) {
        while (corners_.size() >= keep + 2 && cross(corners_.back() - corners_[corners_.size() - 2],
                                                    p - corners_.back()) <= kStraight)
            corners_.pop_back();
        corners_.push_back(p);
    };
    for (const Uv& p : points)
        add(p, 0);
    const auto lower = corners_.size() - 1;
    for (auto it = points.rbegin() + 1; it != points.rend(); ++it)
        add(*it, lower);
    corners_.pop_back();
}

Uv Polygon::middle() const {
    ZELO_ASSERT(!empty());
    Uv sum;
    for (const Uv& p : corners_)
        sum = sum + p;
    return 1.0 / static_cast<double>(corners_.size()) * sum;
}

Polygon::Place Polygon::nearest(const Uv& p) const {
    ZELO_ASSERT(!empty());
    Place best{corners_[0], colour::distance(p, corners_[0]), 0, 0};
    bool inside = hasInside();
    for (std::size_t i = 0; i < corners_.size() && corners_.size() >= 2; ++i) {
        const Uv& a = corners_[i];
        const Uv edge = corners_[after(corners_, i)] - a;
        const double part = std::clamp(dot(p - a, edge) / dot(edge, edge), 0.0, 1.0);
        const Uv at = a + part * edge;
        if (const double d = colour::distance(p, at); d < best.distance)
            best = {at, d, i, part};
        inside &= cross(edge, p - a) >= 0;
    }
    if (inside)
        best.distance = -best.distance;
    return best;
}

std::optional<Uv> Polygon::enters(const Uv& p, const Uv& towards) const {
    const Uv way = towards - p;
    std::optional<Uv> found;
    double first = 1 + 1e-12;
    for (std::size_t i = 0; i < corners_.size(); ++i) {
        const Uv& a = corners_[i];
        const Uv edge = corners_[after(corners_, i)] - a;
        const double across = cross(way, edge);
        if (across == 0)
            continue;
        const double t = cross(a - p, edge) / across;
        const double s = cross(a - p, way) / across;
        if (t >= -1e-12 && t < first && s >= -kOn && s <= 1 + kOn) {
            first = t;
            found = p + t * way;
        }
    }
    return found;
}

Polygon::Ray Polygon::ray(const Uv& from, const Uv& way) const {
    if (corners_.size() < 2)
        return {};
    if (corners_.size() == 2) { // along the line to its end; across it no way at all
        const Uv line = corners_[1] - corners_[0];
        const Uv off = from - corners_[0];
        const double length = distance(corners_[0], corners_[1]);
        const double size = std::hypot(way.u, way.v);
        if (std::abs(cross(line, off)) > kOn * length ||
            std::abs(cross(line, way)) > kOn * length * size)
            return {};
        const bool onwards = dot(line, way) > 0;
        const double far = dot((onwards ? corners_[1] : corners_[0]) - from, way) / (size * size);
        return {std::max(0.0, far), 0, onwards ? 1.0 : 0.0};
    }
    Ray best{HUGE_VAL, 0, 0};
    for (std::size_t i = 0; i < corners_.size(); ++i) {
        const Uv a = corners_[i] - from;
        const Uv edge = corners_[after(corners_, i)] - corners_[i];
        const double off = cross(a, edge); // times the edge's length: how far within it
        if (off < -kOn * distance(corners_[i], corners_[after(corners_, i)]))
            return {};
        const double across = cross(way, edge);
        if (!(across > 0)) // entering, or alongside
            continue;
        if (const double far = std::max(0.0, off / across); far < best.far)
            best = {far, i, std::clamp(cross(a, way) / across, 0.0, 1.0)};
    }
    return std::isfinite(best.far) ? best : Ray{};
}

Polygon Polygon::with(const Polygon& other) const {
    if (empty() || other.empty())
        return {};
    if (!hasInside() && !other.hasInside())
        return flatPart(*this, other);
    if (!other.hasInside())
        return other.with(*this);
    std::vector<Uv> inside = corners_; // cut by each edge of the other in turn
    for (std::size_t i = 0; i < other.corners_.size() && !inside.empty(); ++i) {
        const Uv& from = other.corners_[i];
        const Uv edge = other.corners_[after(other.corners_, i)] - from;
        std::vector<Uv> kept;
        for (std::size_t k = 0; k < inside.size(); ++k) {
            const Uv& p = inside[k];
            const Uv& q = inside[after(inside, k)];
            const double sp = cross(edge, p - from);
            const double sq = cross(edge, q - from);
            if (sp >= 0)
                kept.push_back(p);
            if ((sp > 0 && sq < 0) || (sp < 0 && sq > 0))
                kept.push_back(p + (sp / (sp - sq)) * (q - p));
        }
        inside = std::move(kept);
    }
    return Polygon(std::move(inside));
}

} // namespace zelo::colour
