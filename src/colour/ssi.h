// SPDX-License-Identifier: GPL-3.0-or-later
// Spectral Similarity Index: how alike two spectra are for any camera or eye, 100 = the same.
#pragma once

#include "colour/spectrum.h"

#include <optional>

namespace zelo::colour {

// Academy of Motion Picture Arts and Sciences, SSI (2020): 10 nm bins from 375 to 675 nm, relative
// differences, weighted and smoothed; unrounded. Power below 380 nm counts as at 380 (the grid
// begins there). No value when either is dark in that range. May be negative.
std::optional<double> spectralSimilarity(const Spectrum& test, const Spectrum& reference);

} // namespace zelo::colour
