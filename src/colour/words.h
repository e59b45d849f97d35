// SPDX-License-Identifier: GPL-3.0-or-later
// A light in words, for searching: hue words (hue_words.h) by the angle in Oklab about the white
// that the eye is adapted to, and words for how pale, deep, warm or cool it is.
#pragma once

#include "colour/oklab.h"

#include <string>
#include <vector>

namespace zelo::colour {

// Small letters: {"blue", "deep"}. `light`: Y is its share of the white's. A colour that cannot be
// told from white is "white" and, when dim, "grey".
std::vector<std::string> wordsOf(const Xyz& light, const Xyz& white);

// Hue angle, 0..360°, and chroma in Oklab about the white, both at Y = 1: for sorting.
struct HueChroma {
    double hue_deg = 0;
    double chroma = 0;
};
HueChroma hueOf(const Xyz& light, const Xyz& white);

} // namespace zelo::colour
