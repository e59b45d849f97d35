// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/gamut_solid.h"

#include "base/clones.h"

#include <algorithm>
#include <cmath>
#include <numeric>

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

namespace {

constexpr std::size_t kMostFacets = light::kMostParts * light::kMostParts;
constexpr std::size_t kLanes = 4;
constexpr double kNoOffset = 1e-290; // of a facet through the origin

// n·d of each facet into `out`; returns the largest. `count` is a multiple of the lanes.
ZELO_CLONES double largestAlong(const double* __restrict nx, const double* __restrict ny,
                                const double* __restrict nz, std::size_t count, double x, double y,
                                double z, double* __restrict out) {
    // Vectors of four written down (GCC and Clang have them): left to itself the compiler keeps the
    // running maximum in single registers.
    using Four = double __attribute__((vector_size(32), aligned(8), may_alias));
    Four most = {0, 0, 0, 0};
    for (std::size_t k = 0; k < count; k += kLanes) {
        const Four along = *reinterpret_cast<const Four*>(nx + k) * x +
                           *reinterpret_cast<const Four*>(ny + k) * y +
                           *reinterpret_cast<const Four*>(nz + k) * z;
        *reinterpret_cast<Four*>(out + k) = along;
        most = along > most ? along : most;
    }
    double best = 0;
    for (std::size_t l = 0; l < kLanes; ++l)
        best = most[l] > best ? most[l] : best;
    return best;
}

} // namespace

GamutSolid::GamutSolid(std::span<const Xyz> emitters, const Xyz& base)
    : emitters_(emitters.begin(), emitters.end()), base_(base), moved_(norm(base) > 0) {
    const std::size_t n = emitters_.size();
    ZELO_ASSERT(n <= light::kMostParts);
    facets_.reserve(n * (n - 1) / 2);
    std::array<double, light::kMostParts> size{};
    for (std::size_t k = 0; k < n; ++k)
        size[k] = norm(emitters_[k]);
    bool solid = false;
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = i + 1; j < n; ++j) {
            const Xyz normal = cross(emitters_[i], emitters_[j]);
            const double length = norm(normal);
            if (length <= kParallel * size[i] * size[j])
                continue;
            Facet f;
            f.n = (1 / length) * normal;
            f.i = i;
            f.j = j;
            f.area = length;
            f.plus = f.minus = 0;
            std::size_t in_plane = 2;
            for (std::size_t k = 0; k < n; ++k) {
                if (k == i || k == j)
                    continue;
                const double along = dot(f.n, emitters_[k]);
                if (std::abs(along) <= kOnPlane * size[k]) {
                    in_plane += size[k] > 0;
                } else if (along > 0) {
                    f.plus += along;
                    f.ahead |= 1u << k;
                    f.sum_ahead += emitters_[k];
                } else {
                    f.minus -= along;
                    f.behind |= 1u << k;
                    f.sum_behind += emitters_[k];
                }
            }
            f.crowded = in_plane > 2;
            solid |= (f.ahead | f.behind) != 0;
            const double shift = dot(f.n, base_);
            f.plus += shift;
            f.minus -= shift;
            facets_.push_back(f);
        }
    if (!solid)
        facets_.clear();
    for (auto* column : {&nx_, &ny_, &nz_})
        column->reserve(2 * facets_.size() + kLanes);
    for (const Facet& f : facets_) // two half-spaces each, in the order +, -
        for (const double sign : {1.0, -1.0}) {
            const double offset = std::max(sign > 0 ? f.plus : f.minus, kNoOffset);
            nx_.push_back(sign * f.n.X / offset);
            ny_.push_back(sign * f.n.Y / offset);
            nz_.push_back(sign * f.n.Z / offset);
        }
    while (nx_.size() % kLanes != 0)
        for (auto* column : {&nx_, &ny_, &nz_})
            column->push_back(0);
}

std::optional<RayEnd> GamutSolid::brightest(const Xyz& d) const {
    if (facets_.empty())
        return norm(base_) > 0 ? brightestOfFlat(d) : brightestInPlane(emitters_, d);
    if (moved_)
        return brightestOfMoved(d);
    // Scaled to an offset of 1 each, the facet met first is the one with the largest n·d.
    std::array<double, kMostFacets> along;
    const double most =
        largestAlong(nx_.data(), ny_.data(), nz_.data(), nx_.size(), d.X, d.Y, d.Z, along.data());
    if (!(most > 0) || !(most < 1e200))
        return std::nullopt;
    std::size_t met = 0;
    while (along[met] != most)
        ++met;
    std::optional<RayEnd> end(std::in_place);
    end->t = 1 / most;
    drivesOnFacet(facets_[met / 2], met % 2 == 0, end->t * d, end->drives);
    return end;
}

// Pins moved the solid off the origin: the ray may enter it late, or miss it.
std::optional<RayEnd> GamutSolid::brightestOfMoved(const Xyz& d) const {
    double far = HUGE_VAL;
    double near = 0;
    const Facet* at = nullptr;
    for (const Facet& f : facets_) {
        const double nd = dot(f.n, d);
        const double speed = std::max(std::abs(nd), 1e-300);
        const double ahead = (nd > 0 ? f.plus : f.minus) / speed;
        near = std::max(near, -(nd > 0 ? f.minus : f.plus) / speed);
        if (ahead < far) {
            far = ahead;
            at = &f;
        }
    }
    if (!at || !(far > 0) || near > far * (1 + 1e-12))
        return std::nullopt;
    std::optional<RayEnd> end(std::in_place);
    end->t = far;
    drivesOnFacet(*at, dot(at->n, d) > 0, far * d, end->drives);
    return end;
}

namespace {

// Of the planes that one of these and one of those span, the one of the widest pair.
Xyz widestNormal(std::span<const Xyz> these, std::span<const Xyz> those) {
    Xyz normal;
    for (const Xyz& a : these)
        for (const Xyz& b : those)
            if (const Xyz n = cross(a, b); norm(n) > norm(normal))
                normal = n;
    return normal;
}

} // namespace

// Few emitters, or all in one plane, moved by pins. A ray through their plane meets it in one
// point; one that lies in it, together with the pins, is a matter of that plane.
std::optional<RayEnd> GamutSolid::brightestOfFlat(const Xyz& d) const {
    constexpr double kIn = 1e-9;
    Xyz normal = widestNormal(emitters_, emitters_);
    double longest = 0;
    for (const Xyz& a : emitters_)
        longest = std::max(longest, norm(a));
    if (!(norm(normal) > kParallel * longest * longest)) { // one colour of light, or none
        normal = widestNormal(emitters_, std::span(&base_, 1));
        if (!(norm(normal) > kParallel * longest * norm(base_)))
            return norm(cross(d, base_)) <= kIn * norm(d) * norm(base_)
                       ? brightestMovedInPlane(emitters_, base_, d)
                       : std::nullopt;
    }
    normal = (1 / norm(normal)) * normal;
    const double across = dot(normal, d);
    const double away = dot(normal, base_);
    if (std::abs(across) <= kIn * norm(d))
        return std::abs(away) <= kIn * norm(base_) ? brightestMovedInPlane(emitters_, base_, d)
                                                   : std::nullopt;
    RayEnd end{away / across, Drives(emitters_.size())};
    if (!(end.t > 0))
        return std::nullopt;
    const Xyz rest = end.t * d - base_;
    if (norm(rest) <= kIn * norm(base_))
        return end; // the pins alone
    const auto edge = brightestInPlane(emitters_, rest);
    if (!edge || edge->t < 1 - kIn)
        return std::nullopt;
    for (std::size_t k = 0; k < emitters_.size(); ++k)
        end.drives[k] = std::clamp(edge->drives[k] / edge->t, 0.0, 1.0);
    return end;
}

// Emitters on the outer side full, on the inner side dark; the facet's own pair makes what is left.
void GamutSolid::drivesOnFacet(const Facet& f, bool plus, const Xyz& point, Drives& drives) const {
    drives = Drives(emitters_.size());
    const std::uint32_t full = plus ? f.ahead : f.behind;
    for (std::size_t k = 0; k < emitters_.size(); ++k)
        drives[k] = full >> k & 1 ? 1.0 : 0.0;
    const Xyz rest = point - base_ - (plus ? f.sum_ahead : f.sum_behind);
    if (f.crowded) {
        return crowdedDrives(f, rest, drives);
    }
    drives[f.i] = std::clamp(dot(f.n, cross(rest, emitters_[f.j])) / f.area, 0.0, 1.0);
    drives[f.j] = std::clamp(dot(f.n, cross(emitters_[f.i], rest)) / f.area, 0.0, 1.0);
}

// Several emitters in one plane: the point lies inside their own flat solid; scale down from its
// edge.
void GamutSolid::crowdedDrives(const Facet& f, const Xyz& rest, Drives& drives) const {
    std::array<std::size_t, light::kMostParts> which{};
    std::array<Xyz, light::kMostParts> flat;
    std::size_t count = 0;
    for (std::size_t k = 0; k < emitters_.size(); ++k)
        if (!((f.ahead | f.behind) >> k & 1)) {
            which[count] = k;
            flat[count++] = emitters_[k];
        }
    if (const auto edge = brightestInPlane({flat.data(), count}, rest); edge && edge->t > 0)
        for (std::size_t k = 0; k < count; ++k)
            drives[which[k]] = std::clamp(edge->drives[k] / std::max(1.0, edge->t), 0.0, 1.0);
}

void GamutSolid::forEachCorner(const std::function<void(const Drives&)>& visit) const {
    if (facets_.empty()) { // by their angles: the first so many of them, or the last
        std::vector<std::size_t> order(emitters_.size());
        std::iota(order.begin(), order.end(), std::size_t{0});
        const Xyz normal = widestNormal(emitters_, emitters_);
        std::sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
            return dot(normal, cross(emitters_[a], emitters_[b])) > 0;
        });
        for (const bool from_the_first : {true, false}) {
            Drives corner(emitters_.size());
            visit(corner);
            for (std::size_t k = 0; k < order.size(); ++k) {
                corner[order[from_the_first ? k : order.size() - 1 - k]] = 1;
                visit(corner);
            }
        }
        return;
    }
    for (const Facet& f : facets_)
        for (const double side : {1.0, -1.0}) {
            Drives corner(emitters_.size());
            for (std::size_t k = 0; k < emitters_.size(); ++k)
                if (side * dot(f.n, emitters_[k]) > 0)
                    corner[k] = 1;
            for (int bits = 0; bits < 4; ++bits) {
                corner[f.i] = bits & 1;
                corner[f.j] = bits >> 1;
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
    std::array<Flat, light::kMostParts> m{};
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
    std::array<char, light::kMostParts> on_edge{};
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

std::optional<RayEnd> brightestMovedInPlane(std::span<const Xyz> emitters, const Xyz& base,
                                            const Xyz& d) {
    const double length = norm(d);
    if (!(length > 0))
        return std::nullopt;
    const Xyz e1 = (1 / length) * d;
    Xyz e2 = base - dot(base, e1) * e1;
    double scale = norm(base);
    for (const Xyz& m : emitters) {
        scale = std::max(scale, norm(m));
        if (const Xyz left = m - dot(m, e1) * e1; norm(left) > norm(e2))
            e2 = left;
    }
    e2 = norm(e2) > 1e-9 * scale ? (1 / norm(e2)) * e2 : Xyz{};
    // All that shines along the ray, then what it costs least to stay on it.
    RayEnd end{dot(base, e1), Drives(emitters.size())};
    double off = dot(base, e2);
    struct Turn {
        std::size_t emitter;
        double x, y; // what turning it on, or off, adds
    };
    std::vector<Turn> turns;
    for (std::size_t k = 0; k < emitters.size(); ++k) {
        const double x = dot(emitters[k], e1), y = dot(emitters[k], e2);
        end.drives[k] = x > 0 ? 1 : 0;
        end.t += std::max(0.0, x);
        off += x > 0 ? y : 0;
        turns.push_back({k, x > 0 ? -x : x, x > 0 ? -y : y});
    }
    std::erase_if(turns, [&](const Turn& turn) { return !(turn.y * off < 0); });
    std::sort(turns.begin(), turns.end(), [](const Turn& a, const Turn& b) {
        return a.x / std::abs(a.y) > b.x / std::abs(b.y);
    });
    for (const Turn& turn : turns) {
        if (std::abs(off) <= 1e-12 * scale)
            break;
        const double part = std::min(1.0, -off / turn.y);
        end.drives[turn.emitter] += end.drives[turn.emitter] > 0.5 ? -part : part;
        end.t += part * turn.x;
        off += part * turn.y;
    }
    if (std::abs(off) > 1e-9 * scale || !(end.t > 0))
        return std::nullopt;
    end.t /= length;
    return end;
}

} // namespace zelo::mix
