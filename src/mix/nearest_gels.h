// SPDX-License-Identifier: GPL-3.0-or-later
// Which gel is this? The gels of a book nearest to a light, by colour or by spectrum.
#pragma once

#include "light/gel.h"
#include "light/wanted.h"

#include <span>
#include <vector>

namespace zelo::mix {

struct NearGel {
    const light::Gel* gel = nullptr; // in the book given
    colour::Uv uv;                   // behind the lamp
    double transmitted = 1;          // share of the lamp's light
    double miss_uv = 0;              // Δu'v' from the light
    double spectral_miss =
        0; // √∫(gel − light)² / √∫light² at equal luminance; NaN without spectrum
};

enum class Near { Colour, Spectrum };

// The `count` nearest, nearest first. By spectrum needs a light with one; else by colour.
std::vector<NearGel> nearestGels(std::span<const light::Gel* const> gels,
                                 const light::Wanted& light, const colour::Spectrum& lamp, Near by,
                                 std::size_t count);

} // namespace zelo::mix
