// SPDX-License-Identifier: GPL-3.0-or-later
// Small steps of a colour, as people say them: warmer, greener, paler.
#pragma once

#include "colour/xyz.h"

namespace zelo::colour {

enum class Nudge { Warmer, Cooler, Greener, Pinker, Paler, Deeper };

// A step of this length in u'v': along the Planckian locus where the colour is nearest to it (1000
// to 25000 K), across it, or towards and away from white. Never through white; deeper from white
// itself is nowhere.
Uv nudgeOf(const Uv& uv, Nudge nudge, const Uv& white, double length);

} // namespace zelo::colour
