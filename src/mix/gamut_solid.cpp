// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/gamut_solid.h"

#include <algorithm>
#include <cmath>

namespace zelo::mix {

using colour::cross;
using colour::dot;
using colour::norm;
using colour::Xyz;
using light::Drives;

namespace {
constexpr double kParallel = 1e-12; // sine below which two colours are one direction
constexpr double kOnPlane = 1e-11;  // |n·m| / (|n| |m|) below which m lies in the plane of n
} // namespace

GamutSolid::GamutSolid(std::span<const Xyz> emitters, const Xyz& base)
    : emitters_(emitters.begin(), emitters.end()), base_(base) {
    const int n = static_cast<int>(emitters_.size());
    ZELO_ASSERT(emitters_.size() <= light::kMostEmitters);
    facets_.reserve(static_cast<std::size_t>(n * (n - 1) / 2));
    bool solid = false;
    for (int i = 0; i < n; ++i)
        for (int j = i + 1; j < n; ++j) {
            const Xyz& a = emitters_[static_cast<std::size_t>(i)];
            const Xyz& b = emitters_[static_cast<std::size_t>(j)];
            const Xyz normal = cross(a, b);
            const double length = norm(normal);
            if (length <= kParallel * norm(a) * norm(b))
                continue;
            Facet f{(1 / length) * normal, 0, 0, i, j};
            for (const Xyz& m : emitters_) {
                const double along = dot(f.n, m);
                solid |= std::abs(along) > kOnPlane * norm(m);
                (along > 0 ? f.plus : f.minus) += std::abs(along);
            }
            const double shift = dot(f.n, base_);
            f.plus += shift;
            f.minus -= shift;
            facets_.push_back(f);
        }
    if (!solid)
        facets_.clear();
}

std::optional<RayEnd> GamutSolid::brightest(const Xyz& d) const {
    if (facets_.empty())
        return norm(base_) > 0 ? std::nullopt : brightestInPlane(emitters_, d);
    double far = HUGE_VAL;
    double near = 0;
    const Facet* at = nullptr;
    for (const Facet& f : facets_) {
        const double nd = dot(f.n, d);
        const double ahead = nd > 0 ? f.plus : f.minus;
        const double behind = nd > 0 ? f.minus : f.plus;
        const double speed = std::abs(nd);
        if (ahead < far * speed) {
            far = ahead / speed;
            at = &f;
        }
        // Behind is negative only when pins moved the solid off the origin.
        if (behind < 0 && -behind > near * speed)
            near = speed > 0 ? -behind / speed : HUGE_VAL;
    }
    if (!at || !(far > 0) || !std::isfinite(far) || near > far * (1 + 1e-12))
        return std::nullopt;
    return RayEnd{far, drivesOnFacet(*at, dot(at->n, d) > 0 ? 1 : -1, far * d)};
}

Drives GamutSolid::drivesOnFacet(const Facet& f, double side, const Xyz& point) const {
    Drives drives(emitters_.size());
    Xyz rest = point - base_;
    std::array<int, light::kMostEmitters> in_plane{};
    std::size_t count = 0;
    for (std::size_t k = 0; k < emitters_.size(); ++k) {
        const double along = side * dot(f.n, emitters_[k]);
        const bool of_pair = static_cast<int>(k) == f.i || static_cast<int>(k) == f.j;
        if (of_pair || std::abs(along) <= kOnPlane * norm(emitters_[k])) {
            in_plane[count++] = static_cast<int>(k);
        } else if (along > 0) {
            drives[k] = 1;
            rest = rest - emitters_[k];
        }
    }
    const Xyz& a = emitters_[static_cast<std::size_t>(f.i)];
    const Xyz& b = emitters_[static_cast<std::size_t>(f.j)];
    if (count == 2) { // the usual facet: a parallelogram, solved in its plane
        const double area = dot(f.n, cross(a, b));
        drives[static_cast<std::size_t>(f.i)] =
            std::clamp(dot(f.n, cross(rest, b)) / area, 0.0, 1.0);
        drives[static_cast<std::size_t>(f.j)] =
            std::clamp(dot(f.n, cross(a, rest)) / area, 0.0, 1.0);
        return drives;
    }
    // Several emitters in one plane: the point lies inside their own flat solid; scale down from
    // its edge.
    std::array<Xyz, light::kMostEmitters> flat;
    for (std::size_t k = 0; k < count; ++k)
        flat[k] = emitters_[static_cast<std::size_t>(in_plane[k])];
    if (const auto edge = brightestInPlane({flat.data(), count}, rest); edge && edge->t > 0)
        for (std::size_t k = 0; k < count; ++k)
            drives[static_cast<std::size_t>(in_plane[k])] =
                std::clamp(edge->drives[k] / std::max(1.0, edge->t), 0.0, 1.0);
    return drives;
}

void GamutSolid::forEachCorner(const std::function<void(const Drives&)>& visit) const {
    for (const Facet& f : facets_)
        for (const double side : {1.0, -1.0}) {
            Drives corner(emitters_.size());
            for (std::size_t k = 0; k < emitters_.size(); ++k)
                if (side * dot(f.n, emitters_[k]) > 0)
                    corner[k] = 1;
            for (int bits = 0; bits < 4; ++bits) {
                corner[static_cast<std::size_t>(f.i)] = bits & 1;
                corner[static_cast<std::size_t>(f.j)] = bits >> 1;
                visit(corner);
            }
        }
}

std::optional<RayEnd> brightestInPlane(std::span<const Xyz> emitters, const Xyz& d) {
    // A plane basis: e1 along d, e2 along what is left of the emitter furthest off it.
    const double length = norm(d);
    if (!(length > 0))
        return std::nullopt;
    const Xyz e1 = (1 / length) * d;
    Xyz off;
    for (const Xyz& m : emitters)
        if (const Xyz left = m - dot(m, e1) * e1; norm(left) > norm(off))
            off = left;
    double longest = 0;
    for (const Xyz& m : emitters)
        longest = std::max(longest, norm(m));
    const bool line = norm(off) <= 1e-9 * longest;
    const Xyz e2 = line ? Xyz{} : (1 / norm(off)) * off;

    struct Flat {
        double x, y;
    };
    std::array<Flat, light::kMostEmitters> m{};
    for (std::size_t k = 0; k < emitters.size(); ++k) {
        m[k] = {dot(emitters[k], e1), dot(emitters[k], e2)};
        const Xyz left = emitters[k] - m[k].x * e1 - m[k].y * e2;
        if (norm(left) > 1e-7 * norm(emitters[k]))
            return std::nullopt; // d does not lie in the plane of the emitters
        if (std::abs(m[k].y) <= 1e-10 * std::abs(m[k].x))
            m[k].y = 0;
    }
    RayEnd end{0, Drives(emitters.size())};
    if (line) {
        for (std::size_t k = 0; k < emitters.size(); ++k) {
            end.t += m[k].x / length;
            end.drives[k] = m[k].x > 0 ? 1 : 0;
        }
        return end.t > 0 ? std::optional(end) : std::nullopt;
    }
    // The edge along emitter k: normal (-y, x), both sides.
    double t = HUGE_VAL;
    std::size_t edge = emitters.size();
    double side = 1;
    for (std::size_t k = 0; k < emitters.size(); ++k) {
        const double nd = -m[k].y; // normal · e1
        if (nd == 0)
            continue;
        double reach = 0;
        for (std::size_t i = 0; i < emitters.size(); ++i)
            reach += std::max(0.0, (nd > 0 ? 1 : -1) * (-m[k].y * m[i].x + m[k].x * m[i].y));
        if (reach / std::abs(nd) < t) {
            t = reach / std::abs(nd);
            edge = k;
            side = nd > 0 ? 1 : -1;
        }
    }
    if (edge == emitters.size() || !(t > 0))
        return std::nullopt;
    // Emitters on the outer side full, those along the edge share what is left.
    Flat left{t, 0};
    double share = 0;
    const Flat along = m[edge];
    std::array<char, light::kMostEmitters> on_edge{};
    for (std::size_t i = 0; i < emitters.size(); ++i) {
        const double out = side * (-along.y * m[i].x + along.x * m[i].y);
        if (std::abs(out) <= 1e-10 * std::hypot(along.x, along.y) * std::hypot(m[i].x, m[i].y)) {
            on_edge[i] = 1;
            share += m[i].x * along.x + m[i].y * along.y;
        } else if (out > 0) {
            end.drives[i] = 1;
            left = {left.x - m[i].x, left.y - m[i].y};
        }
    }
    const double part =
        share > 0 ? std::clamp((left.x * along.x + left.y * along.y) / share, 0.0, 1.0) : 0;
    for (std::size_t i = 0; i < emitters.size(); ++i)
        if (on_edge[i])
            end.drives[i] = part;
    end.t = t / length;
    return end;
}

} // namespace zelo::mix
