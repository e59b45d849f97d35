// SPDX-License-Identifier: GPL-3.0-or-later
// Reference lights by their temperature, as relative spectra (1 at 560 nm).
#pragma once

#include "base/quantity.h"
#include "colour/spectrum.h"

namespace zelo::colour {

inline constexpr double kCoolestK = 500;
inline constexpr double kHottestK = 100000;
inline constexpr double kDaylightFromK = 4000;
inline constexpr double kDaylightToK = 25000;

// Planck's law, c2 = 1.4388e-2 m K. Requires kCoolestK..kHottestK.
Spectrum blackbody(Kelvin t);
// How its power grows with the logarithm of the temperature, at each wavelength. In the same units
// but for a factor common to all: what the colour does is right, not how bright it becomes.
Spectrum blackbodyGrowth(Kelvin t);

// CIE daylight of this correlated colour temperature. Source: CIE 15:2018 §4.1.2, components at
// 5 nm, linear between. Requires 4000..25000 K.
Spectrum daylight(Kelvin t);

// The lamp behind a gel: a blackbody below 4000 K, CIE daylight from there (design: §7).
// Above 25000 K a blackbody again. Requires kCoolestK..kHottestK.
Spectrum lampOf(Kelvin t);

} // namespace zelo::colour
