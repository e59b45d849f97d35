// SPDX-License-Identifier: GPL-3.0-or-later
// Out of reach: the nearest colour that the emitters have, between two corners of their reach.
#include "colour/polygon.h"
#include "mix/detail/problem.h"

#include <algorithm>
#include <cmath>

namespace zelo::mix {

Mix LinearEngine::nearest(const Problem& p, const light::Wanted& wanted,
                          const MixWish& wish) const {
    // Corners of the reach and the drives that make them. Without pins the emitters themselves.
    std::vector<Uv> points;
    std::vector<Drives> makers;
    const auto add = [&](const Drives& of_free) {
        const Drives all = p.whole(of_free);
        const Xyz xyz = xyzOf(all);
        if (colour::hasChromaticity(xyz)) {
            points.push_back(colour::toUv(xyz));
            makers.push_back(all);
        }
    };
    if (p.has_pins) {
        add(Drives(p.free.size()));
        if (p.free.size() <= 2) // too few for facets: every corner of a square or a line
            for (unsigned bits = 1; bits < 1u << p.free.size(); ++bits) {
                Drives corner(p.free.size());
                for (std::size_t k = 0; k < p.free.size(); ++k)
                    corner[k] = bits >> k & 1;
                add(corner);
            }
        else
            GamutSolid(p.xyz, p.base).forEachCorner(add);
    } else {
        for (std::size_t k = 0; k < p.free.size(); ++k) {
            Drives one(p.free.size());
            one[k] = 1;
            add(one);
        }
    }
    if (points.empty()) // for a camera that sees no light of theirs
        return mixOf(p.held, MixEnd::Dark, {}, wanted, 0);
    const colour::Polygon hull(points);
    colour::Polygon::Place nearest = hull.nearest(wanted.uv());
    if (wish.out_of_reach == OutOfReach::SameHue && nearest.distance > kOnEdge)
        if (const auto enters = hull.enters(wanted.uv(), wish.white))
            nearest = hull.nearest(*enters);
    const bool reached = colour::distance(wanted.uv(), nearest.at) <= kOnEdge;
    const MixEnd end = reached ? MixEnd::InReach : MixEnd::OutOfReach;

    const auto& corners = hull.corners();
    const Uv a = corners[nearest.edge];
    const Uv b = corners[(nearest.edge + 1) % corners.size()];
    const double length = colour::distance(a, b);
    const auto along = [&](const Uv& q) { // near this edge of the hull, or its one corner
        if (length == 0 || nearest.part <= 0 || nearest.part >= 1)
            return colour::distance(q, nearest.at) < 1e-9;
        return std::abs(colour::cross(b - a, q - a)) / length < 1e-9;
    };
    if (!p.has_pins) {
        std::vector<std::size_t> rim;
        std::vector<Xyz> rim_xyz;
        for (std::size_t k = 0; k < p.free.size(); ++k)
            if (along(points[k])) {
                rim.push_back(k);
                rim_xyz.push_back(p.xyz[k]);
            }
        Drives of_free(p.free.size());
        if (const auto edge = brightestInPlane(rim_xyz, colour::toXyz(nearest.at)))
            for (std::size_t k = 0; k < rim.size(); ++k)
                of_free[rim[k]] = edge->drives[k];
        const Drives brightest = p.whole(of_free);
        const double most = xyzOf(brightest).Y;
        const double keep = wish.intent == Intent::Brightest ? 1 : 1 - wish.give_up;
        const Drives kept = brightest.scaled(keep);
        return mixOf(kept, end, xyzOf(kept), wanted, most);
    }
    // With pins: the point lies between two corners; mix their drives so that the chromaticity is
    // the one asked for.
    std::size_t first = 0;
    std::size_t second = 0;
    for (std::size_t k = 0; k < points.size(); ++k) {
        if (colour::distance(points[k], a) < colour::distance(points[first], a))
            first = k;
        if (colour::distance(points[k], b) < colour::distance(points[second], b))
            second = k;
    }
    const auto weight = [&](std::size_t k) { return colour::weightUv(xyzOf(makers[k])); };
    const double wa = (1 - nearest.part) / weight(first);
    const double wb = nearest.part / weight(second);
    Drives drives = makers[first];
    for (std::size_t e = 0; e < drives.size(); ++e)
        drives[e] =
            std::clamp((wa * makers[first][e] + wb * makers[second][e]) / (wa + wb), 0.0, 1.0);
    for (std::size_t e = 0; e < drives.size(); ++e)
        if (std::find(p.free.begin(), p.free.end(), e) == p.free.end())
            drives[e] = p.held[e]; // to the last digit
    const Xyz got = xyzOf(drives);
    return mixOf(drives, end, got, wanted, got.Y);
}

} // namespace zelo::mix
