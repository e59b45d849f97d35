// SPDX-License-Identifier: GPL-3.0-or-later
// Dominant wavelength and excitation purity against a chosen white.
#pragma once

#include "colour/xyz.h"

#include <optional>

namespace zelo::colour {

struct Dominant {
    double wavelength_nm = 0;   // where the ray from white through the colour meets the locus
    bool complementary = false; // a purple: the wavelength is that of the opposite ray
    double purity = 0;          // share of the way from white to the edge, 0..1
};

// CIE 15:2018 §9, in x, y. No value for the white itself or a colour outside all colours.
std::optional<Dominant> dominantOf(const Xy& colour, const Xy& white);

// Some light has this chromaticity: it is within the spectral locus and the purple line, or as near
// to them as their tables are exact (Δxy 0.002).
bool anyLightHas(const Xy& colour);

} // namespace zelo::colour
