// SPDX-License-Identifier: GPL-3.0-or-later
// The programs of a linear engine: least power, nearest spectrum, nearest drives, at an exact
// colour.
#include "mix/closest_making.h"
#include "mix/detail/inner.h"
#include "mix/detail/problem.h"
#include "mix/quadratic.h"

#include <algorithm>

namespace zelo::mix {

namespace {
// A ridge that makes the optimum unique when emitters are alike; too small to be seen elsewhere.
constexpr double kRidge = 1e-10;
} // namespace

// Least electrical power at the exact colour, and at Y = least_y when `exactly`: a linear program.
// It is solved as a quadratic one with a breath of curvature, small enough that the optimum is one
// of the linear program's (Mangasarian, SIAM J. Control Optim. 17, 1979), and the same each time.
std::optional<Drives> LinearEngine::leanest(const Problem& p, const Xyz& d, double least_y,
                                            bool exactly) const {
    constexpr double kCurve = 1e-6;
    Quadratic q;
    q.n = p.free.size();
    double most = 0;
    for (const std::size_t e : p.free)
        most = std::max(most, power_w_[e]);
    for (std::size_t i = 0; i < q.n; ++i) {
        for (std::size_t j = 0; j < q.n; ++j)
            q.G[i][j] = i == j ? kCurve : 0;
        q.g[i] = most > 0 ? power_w_[p.free[i]] / most : 1;
    }
    q.equalities = exactly ? 3 : 2;
    setColourRows(q, p, d, least_y);
    const auto free = minimise(q);
    return free ? std::optional(p.whole(*free)) : std::nullopt;
}

// X − d_X Y = 0, Z − d_Z Y = 0 and, as the third, Y = least_y; scaled to drives of about 1.
void setColourRows(Quadratic& q, const Problem& p, const Xyz& d, double least_y) {
    double scale = 0;
    for (const Xyz& m : p.xyz)
        scale = std::max(scale, m.X + m.Y + m.Z);
    const auto across = [&](const Xyz& m, std::size_t row) {
        const double c = row == 0 ? m.X - d.X / d.Y * m.Y : row == 1 ? m.Z - d.Z / d.Y * m.Y : m.Y;
        return c / scale;
    };
    for (std::size_t row = 0; row < q.equalities; ++row) {
        for (std::size_t i = 0; i < q.n; ++i)
            q.row[row][i] = across(p.xyz[i], row);
        q.rhs[row] = (row == 2 ? least_y / scale : 0) - across(p.base, row);
    }
}

// With s tied to the brightness, y of the wanted one's, the residual of the spectrum is linear in
// the drives; a wanted spectrum has the Y of its colour.
LinearEngine::SpectralTerm::SpectralTerm(const LinearEngine& engine, const colour::Spectrum& wanted,
                                         const Xyz& d)
    : n(engine.xyz_.size()), gram(engine.gram_.data()) {
    const double* w = wanted.values().data();
    ww = inner(w, w);
    for (std::size_t e = 0; e < n; ++e) {
        y[e] = engine.xyz_[e].Y / d.Y;
        h[e] = inner(&engine.spectra_[e * colour::kGridSize], w);
    }
}

// Minimise ∫(Σ aᵢ (SPDᵢ − Yᵢ/Y_w SPD_w))² dλ subject to the exact colour d, and to Y = least_y when
// `exactly`.
std::optional<Drives> LinearEngine::truest(const Problem& p, const colour::Spectrum& wanted,
                                           const Xyz& d, double least_y, bool exactly) const {
    const SpectralTerm residual(*this, wanted, d);
    Quadratic q;
    q.n = p.free.size();
    double largest = 0;
    for (std::size_t i = 0; i < q.n; ++i)
        largest = std::max(largest, residual.at(p.free[i], p.free[i]));
    if (!(largest > 0))
        return std::nullopt;
    for (std::size_t i = 0; i < q.n; ++i) {
        for (std::size_t j = 0; j < q.n; ++j)
            q.G[i][j] = residual.at(p.free[i], p.free[j]) / largest;
        q.G[i][i] += kRidge;
        for (std::size_t e = 0; e < xyz_.size() && p.has_pins; ++e)
            q.g[i] += p.held[e] * residual.at(p.free[i], e) / largest;
    }
    q.equalities = exactly ? 3 : 2;
    setColourRows(q, p, d, least_y);
    const auto free = minimise(q);
    return free ? std::optional(p.whole(*free)) : std::nullopt;
}

// Of the free emitters alone, in their order.
std::optional<Drives> closestFree(const Problem& p, const Drives& target, const Xyz& exact) {
    Drives wanted(p.free.size());
    for (std::size_t i = 0; i < p.free.size(); ++i)
        wanted[i] = target[p.free[i]];
    if (const auto near = closestMaking(wanted, p.xyz, exact - p.base))
        return near;
    Quadratic q;
    q.n = p.free.size();
    for (std::size_t i = 0; i < q.n; ++i) {
        for (std::size_t j = 0; j < q.n; ++j)
            q.G[i][j] = i == j ? 1 : 0;
        q.g[i] = -wanted[i];
    }
    q.equalities = 3;
    setColourRows(q, p, exact, exact.Y);
    return minimise(q);
}

} // namespace zelo::mix
