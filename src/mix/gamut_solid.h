// SPDX-License-Identifier: GPL-3.0-or-later
// The gamut solid: every colour and brightness that emitters can add up to,
//     { base + Σ a_i m_i,  0 <= a_i <= 1 },   m_i = XYZ of emitter i at full,
// a zonotope, moved by `base` when some emitters are pinned. Its facets come in pairs from emitter
// pairs (i, j): normal n = m_i × m_j, offset Σ_k max(0, n·m_k) and the same for -n.
// The brightest point of a colour is where its ray leaves the solid: exact, no iteration.
#pragma once

#include "colour/xyz.h"
#include "light/drives.h"

#include <cstdint>
#include <functional>
#include <optional>
#include <span>
#include <vector>

namespace zelo::mix {

// A point of a ray t·d inside the solid.
struct RayEnd {
    RayEnd() {} // written down: a default one would clear the room of all drives first
    RayEnd(double at, const light::Drives& made) : t(at), drives(made) {}
    double t = 0;
    light::Drives drives; // of the solid's emitters, in their order
};

class GamutSolid {
public:
    // Emitters may be dark, alike or in one plane. At most kMostParts. Cost: n³ / 2.
    explicit GamutSolid(std::span<const colour::Xyz> emitters, const colour::Xyz& base = {});

    // Brightest: the largest t with t·d in the solid; nothing when the ray misses it.
    // Cost: one pass over the facets; allocates nothing.
    std::optional<RayEnd> brightest(const colour::Xyz& d) const;

    // The corners of all facets, by their drives: what a hull of chromaticities is made of. Where
    // all emitters lie in one plane those of the flat solid.
    void forEachCorner(const std::function<void(const light::Drives&)>& visit) const;

private:
    struct Facet { // one pair of parallel facets, all that a solve needs worked out beforehand
        colour::Xyz n;
        double plus;  // largest n·x in the solid
        double minus; // largest -n·x
        std::size_t i, j;
        double area;                         // n · (m_i × m_j)
        std::uint32_t ahead = 0, behind = 0; // emitters with n·m > 0, < 0; neither: in its plane
        colour::Xyz sum_ahead, sum_behind;   // their light
        bool crowded = false;                // more than two emitters in its plane
    };
    std::optional<RayEnd> brightestOfMoved(const colour::Xyz& d) const;
    std::optional<RayEnd> brightestOfFlat(const colour::Xyz& d) const;
    void drivesOnFacet(const Facet& facet, bool plus, const colour::Xyz& point,
                       light::Drives& drives) const;
    void crowdedDrives(const Facet& facet, const colour::Xyz& rest, light::Drives& drives) const;

    std::vector<colour::Xyz> emitters_;
    colour::Xyz base_;
    bool moved_;                // by pins
    std::vector<Facet> facets_; // empty when all emitters lie in one plane
    // Both normals of each pair, scaled to an offset of 1, column by column: what a ray is tried
    // against.
    std::vector<double> nx_, ny_, nz_;
};

// The same for emitters that all lie in one plane through 0 with d (an edge of the reach, two
// emitters, or one): largest t with t·d = Σ a_i m_i. Emitters off the plane must not be given.
std::optional<RayEnd> brightestInPlane(std::span<const colour::Xyz> emitters, const colour::Xyz& d);

// The same moved by a light that always shines: largest t with t·d = base + Σ a_i m_i, where all of
// these lie in one plane through 0.
std::optional<RayEnd> brightestMovedInPlane(std::span<const colour::Xyz> emitters,
                                            const colour::Xyz& base, const colour::Xyz& d);

} // namespace zelo::mix
