// SPDX-License-Identifier: GPL-3.0-or-later
// Standard observers: from a spectrum to tristimulus values.
#pragma once

#include "colour/spectrum.h"
#include "colour/xyz.h"

namespace zelo::colour {

enum class Observer { Cie1931_2, Cie1964_10, Cie2015_2, Cie2015_10 };

inline constexpr double kMaximumEfficacy = 683; // K_m, lm/W

// Colour matching functions at 1 nm on the grid, as columns: x, y, z (data/standards/).
struct MatchingFunctions {
    Grid x;
    Grid y;
    Grid z;
};
const MatchingFunctions& matchingFunctions(Observer observer);

// X = K_m Σ S(λ) x(λ), λ = 380, 381 … 780 nm, and so on. With S in W/(sr nm), Y is in cd.
// Source: CIE 15:2018; sums at 1 nm. Cost: 1203 multiplications.
Xyz toXyz(const Spectrum& spectrum, Observer observer = Observer::Cie1931_2);

// u'v' of every grid wavelength, 380 to 780 nm: the curved edge of all colours.
const std::array<Uv, kGridSize>& spectralLocus();

} // namespace zelo::colour
