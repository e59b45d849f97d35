// SPDX-License-Identifier: GPL-3.0-or-later
// CIELAB and CIEDE2000: how far apart two surface colours are.
#pragma once

#include "colour/xyz.h"

namespace zelo::colour {

struct Lab { // CIE 1976 L*a*b*, relative to the white it was made with; L is 0..100
    double L = 0;
    double a = 0;
    double b = 0;
};

// CIE 15:2018, with the linear part near black. Requires a white with X, Y, Z > 0.
Lab toLab(const Xyz& c, const Xyz& white);

// ΔE00, both under the same white: comparing across whites is our mistake, never the user's.
// Source: ISO/CIE 11664-6; hues 180° apart as in Sharma, Wu and Dalal, Color Res. Appl. 30 (2005).
double deltaE2000(const Lab& x, const Lab& y);

} // namespace zelo::colour
