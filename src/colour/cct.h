// SPDX-License-Identifier: GPL-3.0-or-later
// Correlated colour temperature and Duv, both ways. CIE 1931 observer; the locus is integrated on
// the same grid as every light (a wider one moves 10 000 K by 8 K).
#pragma once

#include "base/quantity.h"
#include "colour/xyz.h"

#include <optional>

namespace zelo::colour {

struct Cct {
    Kelvin cct;
    double duv = 0; // distance from the Planckian locus in CIE 1960 u,v; > 0 above it (greener)
};

// Ohno, LEUKOS 10 (2014): nearest rows of a table of 0.25 % steps, triangular solution below
// |Duv| 0.002, parabolic above. No value outside 1000..25000 K or |Duv| > 0.05: there a
// temperature means nothing. Within 1 K and 3e-5 of the nearest point from 2000 to 10000 K.
// Cost: one pass over 1 300 rows.
std::optional<Cct> cctOf(const Uv& uv);

// The Planckian locus. Requires 500..100000 K.
Uv planckianUv(Kelvin t);

// A place of the locus, and what stands one Duv of 1 above it there: beside(duv) are the colours
// of that temperature. Requires 500..100000 K. Costs two blackbodies, each colour nearly nothing.
class LocusPlace {
public:
    explicit LocusPlace(Kelvin t);
    Uv beside(double duv) const;

private:
    Uv at_, normal_;
};

// Beside the locus: Duv along its normal. Requires 500..100000 K.
Uv uvOf(const Cct& c);

} // namespace zelo::colour
