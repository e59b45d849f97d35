// SPDX-License-Identifier: GPL-3.0-or-later
// From measured samples of any spacing and range to a Spectrum on the grid (design: §1).
//   light     spacing <= 5 nm: linear; coarser: monotone cubic; 0 outside its range
//   filters   Sprague (CIE 167) when evenly spaced with 6 or more points, else monotone cubic;
//             held at the end values outside its range
// Linear interpolation of 10 nm gel data would move u'v' by up to 0.0027.
#pragma once

#include "base/result.h"
#include "colour/spectrum.h"

#include <vector>

namespace zelo::colour {

struct Samples {
    std::vector<double> wavelengths_nm; // strictly increasing
    std::vector<double> values;         // finite, >= 0; as many as wavelengths
};

// The most rows a spectrum may have; a table beyond it is not a spectrum.
inline constexpr std::size_t kMostSamples = 20000;
// Beyond it no light is told apart from a slip of the pen, and sums stay far from the edge of what
// numbers can hold. Anything below kLeastValue counts as 0.
inline constexpr double kMostValue = 1e12;
inline constexpr double kLeastValue = 1e-30;

// Fails with BadValue, `where` naming the row (from 1): fewer than 3 points, NaN, infinite or
// beyond kMostValue, negative, wavelengths not increasing or outside 50..5000 nm.
Done checkSamples(const Samples& samples);

Result<Spectrum> lightFromSamples(const Samples& samples);
Result<Spectrum> filterFromSamples(const Samples& samples);

} // namespace zelo::colour
