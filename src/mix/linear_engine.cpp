// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/linear_engine.h"

#include "colour/observer.h"
#include "colour/smoothest.h"
#include "colour/surfaces.h"
#include "mix/detail/inner.h"
#include "mix/detail/problem.h"

#include <algorithm>

namespace zelo::mix {

using light::Wanted;

LinearEngine::LinearEngine(std::span<const LinearEmitter> emitters, bool rendering,
                           const colour::Camera* exact_for)
    : for_camera_(exact_for != nullptr), solid_({}) {
    ZELO_ASSERT(emitters.size() <= light::kMostParts);
    const auto n = emitters.size();
    std::vector<Uv> points;
    for (std::size_t e = 0; e < n; ++e) {
        const auto& spectrum = emitters[e].spectrum;
        xyz_.push_back(exact_for ? exact_for->chart(spectrum) : colour::toXyz(spectrum));
        power_w_.push_back(emitters[e].power_w);
        const auto& values = spectrum.values();
        spectra_.insert(spectra_.end(), values.begin(), values.end());
        if (rendering) {
            auto& r = rendering_.emplace_back(1 + colour::kSamplesTm30);
            r[0] = colour::toXyz(spectrum, colour::Observer::Cie1964_10);
            colour::Surfaces::tm30().under(spectrum, std::span(r).subspan(1));
        }
        if (!emitters[e].usable || !colour::hasChromaticity(xyz_[e]))
            continue;
        points.push_back(colour::toUv(xyz_[e]));
        usable_.push_back(e);
        usable_xyz_.push_back(xyz_[e]);
    }
    solid_ = GamutSolid(usable_xyz_);
    hull_ = colour::Polygon(std::move(points));
    gram_.resize(n * n);
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j <= i; ++j)
            gram_[i * n + j] = gram_[j * n + i] =
                inner(&spectra_[i * colour::kGridSize], &spectra_[j * colour::kGridSize]);
}

Xyz LinearEngine::xyzOf(const Drives& drives) const {
    Xyz sum;
    for (std::size_t e = 0; e < xyz_.size(); ++e)
        sum += drives[e] * xyz_[e];
    return sum;
}

Problem LinearEngine::problemOf(const Bounds& bounds) const {
    Problem p;
    p.held = bounds.held;
    p.free = usable_;
    p.xyz = usable_xyz_;
    p.hull = &hull_;
    if (!bounds.any)
        return p;
    p.unbounded = false;
    p.has_pins = bounds.shines;
    p.base = xyzOf(bounds.held);
    std::vector<Uv> points;
    for (const std::size_t e : usable_)
        if (!bounds.fixed[e]) {
            p.own_free.push_back(e);
            p.own_xyz.push_back(xyz_[e]);
            points.push_back(colour::toUv(xyz_[e]));
        }
    p.own_hull = colour::Polygon(std::move(points));
    p.hull = nullptr;
    p.free = p.own_free;
    p.xyz = p.own_xyz;
    return p;
}

Mix LinearEngine::solve(const Wanted& wanted, const MixWish& wish, const Bounds& bounds) const {
    const Problem p = problemOf(bounds);
    if (p.free.empty() && !p.has_pins)
        return mixOf(p.held, MixEnd::Dark, {}, wanted, 0);
    if (!p.has_pins && p.reach().nearest(wanted.uv()).distance > -kOnEdge)
        return nearest(p, wanted, wish);
    return inReach(p, wanted, wish);
}

Mix LinearEngine::inReach(const Problem& p, const Wanted& wanted, const MixWish& wish) const {
    const auto end = p.unbounded ? solid_.brightest(wanted.xyz)
                                 : GamutSolid(p.xyz, p.base).brightest(wanted.xyz);
    if (!end)
        return nearest(p, wanted, wish);
    const Drives brightest = p.whole(end->drives);
    const double most = xyzOf(brightest).Y;
    const auto made = [&](const Drives& drives) {
        return mixOf(drives, MixEnd::InReach, xyzOf(drives), wanted, most);
    };
    if (wish.intent == Intent::Brightest)
        return made(brightest);
    const double least = (1 - wish.give_up) * most;
    // As many emitters as equations, or nothing to choose among: the brightest is all there is.
    const Drives only = p.has_pins ? brightest : brightest.scaled(1 - wish.give_up);
    // With pins the optimum may lie anywhere above the bound: it is looked for without it first.
    const auto bounded = [&](const auto& solve) -> std::optional<Drives> {
        if (p.has_pins)
            if (const auto anywhere = solve(false); anywhere && xyzOf(*anywhere).Y >= least)
                return anywhere;
        return solve(true);
    };
    const bool choice = p.free.size() > (p.has_pins ? 2u : 3u);
    const auto lean = [&] {
        return choice ? bounded([&](bool exactly) {
                            return leanest(p, wanted.xyz, least, exactly);
                        }).value_or(only)
                      : only;
    };
    if (wish.intent == Intent::Leanest)
        return made(lean());
    std::optional<colour::Spectrum> smoothest;
    if (!wanted.spectrum)
        smoothest = colour::smoothestSpectrum(wanted.xyz);
    const auto& spectrum = wanted.spectrum ? wanted.spectrum : smoothest;
    if (!spectrum || !choice)
        return made(wish.intent == Intent::Kindest ? kindest(p, wanted, std::array{only, lean()})
                                                   : only);
    if (wish.intent == Intent::Filmed)
        if (const auto film = bounded([&](bool exactly) {
                return filmed(p, wish, *spectrum, wanted.xyz, least, exactly);
            }))
            return made(*film);
    const Drives best = bounded([&](bool exactly) {
                            return truest(p, *spectrum, wanted.xyz, least, exactly);
                        }).value_or(only);
    if (wish.intent != Intent::Kindest)
        return made(best);
    return made(kindest(p, wanted, std::array{best, only, lean()}));
}

} // namespace zelo::mix
