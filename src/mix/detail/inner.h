// SPDX-License-Identifier: GPL-3.0-or-later
// Sums over the grid, where most of the time of a mix is spent.
#pragma once

#include "colour/spectrum.h"

#include <array>

namespace zelo::mix {

double inner(const double* a, const double* b); // ∫ a b

// ∫ a x, ∫ a y, ∫ a z; and the same with a b in place of a.
std::array<double, 3> inner3(const double* a, const double* x, const double* y, const double* z);
std::array<double, 3> inner3(const double* a, const std::array<colour::Grid, 3>& xyz);
std::array<double, 3> inner3(const double* a, const double* b,
                             const std::array<colour::Grid, 3>& xyz);

// factor · exp(−a). Requires 0 <= a < 700: densities are far below.
void expOfMinus(const double* a, double factor, double* out);

} // namespace zelo::mix
