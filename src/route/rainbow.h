// SPDX-License-Identifier: GPL-3.0-or-later
// Colours all round the white, evenly to the eye.
#pragma once

#include "route/disc.h"

namespace zelo::route {

// So many colours at this saturation (0..1 of the reach), counter-clockwise from red on: each as
// far from the next in Oklab at one brightness (within 1 %), and the last from the first. BadValue:
// fewer than 3 or more than kMostHues, or a saturation outside 0..1 or of 0.
inline constexpr int kMostHues = 32;
Result<std::vector<colour::Uv>> rainbow(const Disc& reach, double saturation, int hues);

} // namespace zelo::route
