// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/closest_making.h"

#include "mix/symmetric3.h"

#include <algorithm>

namespace zelo::mix {

using colour::Xyz;
using light::Drives;

std::optional<Drives> closestMaking(const Drives& target, std::span<const Xyz> xyz,
                                    const Xyz& light) {
    constexpr int kSteps = 12;
    constexpr double kHolds = 1e-13; // of the light
    constexpr double kRounding = 1e-11;
    const double size = norm(light);
    Xyz lambda;
    Drives x(xyz.size());
    double before = 0;
    for (int step = 0; step < kSteps; ++step) {
        Symmetric3 free;
        Xyz made;
        for (std::size_t i = 0; i < xyz.size(); ++i) {
            const double wanted = target[i] + dot(xyz[i], lambda);
            x[i] = std::clamp(wanted, 0.0, 1.0);
            made += x[i] * xyz[i];
            if (wanted >= 0 && wanted <= 1)
                free.add(xyz[i]);
        }
        const Xyz off = light - made;
        const double far = norm(off);
        // To the last digit, where one more step may still gain some.
        if (far <= kHolds * size || (step > 0 && far <= kRounding * size && far >= before))
            return x;
        before = far;
        const auto more = free.solve(off);
        if (!more)
            return std::nullopt;
        lambda += *more;
    }
    return std::nullopt;
}

} // namespace zelo::mix
