// SPDX-License-Identifier: GPL-3.0-or-later
// Quantity<Tag>: a double that cannot be taken for another unit of the same thing.
#pragma once

#include <compare>

namespace zelo {

template <class Tag>
struct Quantity {
    double value = 0;
    auto operator<=>(const Quantity&) const = default;
};

using Kelvin = Quantity<struct KelvinTag>;
using Mired = Quantity<struct MiredTag>; // reciprocal megakelvin

// Requires a value > 0.
constexpr Mired toMired(Kelvin t) {
    return {1e6 / t.value};
}
constexpr Kelvin toKelvin(Mired m) {
    return {1e6 / m.value};
}

} // namespace zelo
