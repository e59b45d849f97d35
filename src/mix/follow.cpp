// SPDX-License-Identifier: GPL-3.0-or-later
// Following a planned way, and dimming: drives near to others that make a light exactly.
#include "mix/detail/non_additive.h"
#include "mix/detail/problem.h"
#include "mix/mix.h"

#include <algorithm>

namespace zelo::mix {

std::optional<Drives> Mixer::closestDrives(const Drives& target, const Xyz& exact,
                                           const MixWish& wish) const {
    if (non_additive_)
        return non_additive_->closestDrives(target, exact, wish);
    const Held held = heldBy(wish);
    Drives all = held.parts;
    std::optional<Drives> found;
    if (!(exact.Y > 0)) {
        found = held.bounds.held;
    } else if (droop_.any()) {
        found = droop_.closestDrives(linear_, target, exact, held.bounds);
    } else {
        const Problem p = linear_.problemOf(held.bounds);
        if (const auto free = closestFree(p, target, exact))
            found = p.whole(*free);
    }
    if (!found)
        return std::nullopt;
    std::copy(found->begin(), found->end(), all.begin());
    return all;
}

Drives Mixer::dimmed(const Drives& drives, double factor) const {
    const Drives less = type_->dimmed(drives, factor);
    if (non_additive_ || !droop_.any() || factor >= 1 || factor <= 0)
        return less;
    const std::size_t n = emitters().size();
    MixWish lit; // what is dark stays dark: it may be kept out
    for (std::size_t e = 0; e < n; ++e)
        if (!(drives[e] > 0))
            lit.keep_out.push_back(e);
    if (const auto exact = closestDrives(less, factor * xyzOf(drives), lit))
        return *exact;
    Drives each = less; // the brightness is right, the colour as near as each emitter keeps its own
    for (std::size_t e = 0; e < n; ++e)
        each[e] = droop_.driveFor(e, factor * droop_.share(e, drives[e]));
    return each;
}

} // namespace zelo::mix
