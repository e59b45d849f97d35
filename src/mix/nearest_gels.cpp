// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/nearest_gels.h"

#include "colour/observer.h"
#include "mix/miss.h"

#include <algorithm>

namespace zelo::mix {

std::vector<NearGel> nearestGels(std::span<const light::Gel* const> gels,
                                 const light::Wanted& light, const colour::Spectrum& lamp, Near by,
                                 std::size_t count) {
    const double lamp_y = colour::toXyz(lamp).Y;
    std::vector<NearGel> all;
    for (const light::Gel* gel : gels) {
        const auto behind = gel->transmittance * lamp;
        const auto xyz = colour::toXyz(behind);
        if (!colour::hasChromaticity(xyz))
            continue;
        NearGel n{gel, colour::toUv(xyz), lamp_y > 0 ? xyz.Y / lamp_y : 0, 0, NAN};
        n.miss_uv = colour::distance(n.uv, light.uv());
        if (light.spectrum)
            n.spectral_miss = spectralMiss(behind, *light.spectrum);
        all.push_back(n);
    }
    const bool by_spectrum = by == Near::Spectrum && light.spectrum;
    std::stable_sort(all.begin(), all.end(), [&](const NearGel& a, const NearGel& b) {
        return by_spectrum ? a.spectral_miss < b.spectral_miss : a.miss_uv < b.miss_uv;
    });
    all.resize(std::min(count, all.size()));
    return all;
}

} // namespace zelo::mix
