// SPDX-License-Identifier: GPL-3.0-or-later
// How a surface looks to an adapted eye, in a uniform space: CAM02-UCS and CAM16-UCS.
// Sources: CIE 159:2004 (CIECAM02); Li et al., Color Res. Appl. 42 (2017) (CAM16); Luo et al.,
// Color Res. Appl. 31 (2006) (UCS). Conditions fixed as in TM-30 and CIE 224: L_A = 100 cd/m²,
// Y_b = 20, average surround, full adaptation.
#pragma once

#include "colour/xyz.h"

namespace zelo::colour {

struct Ucs {
    double J = 0; // lightness J'
    double a = 0;
    double b = 0;
};

inline double distance(const Ucs& p, const Ucs& q) { // ΔE
    return std::sqrt((p.J - q.J) * (p.J - q.J) + (p.a - q.a) * (p.a - q.a) +
                     (p.b - q.b) * (p.b - q.b));
}

class Appearance {
public:
    enum class Model { Cam02, Cam16 };
    // `white`: XYZ of the perfect white, any scale; colours are given in the same. Requires Y > 0.
    Appearance(Model model, const Xyz& white);
    Ucs of(const Xyz& surface) const;

private:
    struct Responses {
        double r, g, b;
    };
    Responses responses(const Xyz& scaled) const;
    double achromatic(const Responses& c) const;

    Model model_;
    double scale_;   // to Y = 100 for the white
    double gain_[3]; // adaptation
    double white_A_;
};

} // namespace zelo::colour
