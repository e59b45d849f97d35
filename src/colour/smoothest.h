// SPDX-License-Identifier: GPL-3.0-or-later
// A spectrum for a colour that comes without one.
#pragma once

#include "colour/spectrum.h"
#include "colour/xyz.h"

#include <optional>

namespace zelo::colour {

// The smoothest light that has this colour: non-negative, least squared slope, exact XYZ under
// CIE 1931 (design: §6). Piecewise linear over 5 nm nodes; a small quadratic program, solved by
// an active set. No value when no light has this colour (outside the spectral locus).
// Cost: some ten microseconds.
std::optional<Spectrum> smoothestSpectrum(const Xyz& xyz);

// The same for a lamp's light: it goes through the smoothest filter that makes it this colour, so
// that a hair of tint is a hair of change. No value as above, or for a dark lamp.
std::optional<Spectrum> throughSmoothestFilter(const Spectrum& lamp, const Xyz& xyz);

} // namespace zelo::colour
