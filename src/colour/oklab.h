// SPDX-License-Identifier: GPL-3.0-or-later
// Oklab with the white point adapted (von Kries in its own LMS): the space for perceived distance
// along routes and gradients. It stays well-behaved for single saturated emitters.
// Source: B. Ottosson, "A perceptual color space for image processing" (2020); the matrices are
// his, for XYZ with D65 at Y = 1; adaptation divides LMS by that of the white.
#pragma once

#include "colour/xyz.h"

namespace zelo::colour {

struct Oklab {
    double L = 0; // 0..1, 1 = the white
    double a = 0;
    double b = 0;
};

class OklabSpace {
public:
    // `white`: XYZ of what counts as white, at the brightness that is L = 1. Requires Y > 0.
    explicit OklabSpace(const Xyz& white);

    Oklab from(const Xyz& c) const;
    Xyz back(const Oklab& c) const;

private:
    double white_[3];
};

// A brightness between two, evenly in perceived brightness: cube roots in a straight line.
inline double evenlySeen(double from, double to, double share) {
    const double root = std::cbrt(from) * (1 - share) + std::cbrt(to) * share;
    return root * root * root;
}

inline double distance(const Oklab& a, const Oklab& b) {
    return std::sqrt((a.L - b.L) * (a.L - b.L) + (a.a - b.a) * (a.a - b.a) +
                     (a.b - b.b) * (a.b - b.b));
}

} // namespace zelo::colour
