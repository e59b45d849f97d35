// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/together.h"

#include "colour/polygon.h"

#include <algorithm>

namespace zelo::mix {

namespace {
constexpr double kAsBright = 0.01; // share: the same brightness to the eye, and more
constexpr double kInward = 1e-6;   // u'v': a colour on the common edge is within every reach
} // namespace

colour::Polygon commonReach(std::span<const Mixer* const> mixers) {
    ZELO_ASSERT(!mixers.empty());
    auto reach = mixers[0]->hull();
    for (const Mixer* m : mixers.subspan(1))
        reach = reach.with(m->hull());
    return reach;
}

namespace {

colour::Uv aHairInside(const colour::Polygon& reach, const colour::Uv& target) {
    const auto inward = reach.middle() - target;
    const double far = std::hypot(inward.u, inward.v);
    return target + std::min(1.0, far > 0 ? kInward / far : 0) * inward;
}

} // namespace

colour::Uv intoReach(const colour::Polygon& reach, const colour::Uv& uv) {
    ZELO_ASSERT(!reach.empty());
    const colour::Polygon::Place near = reach.nearest(uv);
    return near.distance > 0 ? aHairInside(reach, near.at) : uv;
}

Together together(std::span<const Mixer* const> mixers, const light::Wanted& wanted,
                  const TogetherWish& wish) {
    ZELO_ASSERT(!mixers.empty() && wish.mix.keep_out.empty() && wish.mix.pins.empty());
    Together all;
    light::Wanted asked = wanted;
    all.uv = wanted.uv();
    const auto reach = wish.common ? commonReach(mixers) : colour::Polygon{};
    if (!reach.empty()) {
        const colour::Polygon::Place near = reach.nearest(all.uv);
        if (near.distance > (!reach.hasInside() ? kInward : 0)) {
            auto target = near.at;
            if (wish.mix.out_of_reach == OutOfReach::SameHue)
                target = reach.enters(all.uv, wish.mix.white).value_or(target);
            target = aHairInside(reach, target);
            all.moved_uv = colour::distance(target, all.uv);
            all.uv = target;
            // Its spectrum stays what to come near to: a hair beyond the edge is a hair away.
            asked.xyz = colour::toXyz(target);
            if (asked.spectrum && wanted.xyz.Y > 0)
                asked.spectrum = asked.spectrum->scaled(asked.xyz.Y / wanted.xyz.Y);
        }
    }
    for (const Mixer* m : mixers)
        all.mixes.push_back(m->solve(asked, wish.mix));
    all.level_cd = HUGE_VAL;
    for (const Mix& m : all.mixes)
        if (m.got.Y > 0)
            all.level_cd = std::min(all.level_cd, m.got.Y);
    if (!std::isfinite(all.level_cd))
        all.level_cd = 0;
    for (std::size_t i = 0; i < all.mixes.size(); ++i) {
        const double y = all.mixes[i].got.Y;
        all.dim.push_back(wish.level && y > 0 ? std::min(1.0, all.level_cd / y) : 1);
        if (y > 0 && y <= all.level_cd * (1 + kAsBright))
            all.limits.push_back(i);
    }
    return all;
}

} // namespace zelo::mix
