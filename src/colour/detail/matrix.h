// SPDX-License-Identifier: GPL-3.0-or-later
// 3 × 3 matrices written down row by row, and vectors of tristimulus values.
#pragma once

#include "colour/xyz.h"

#include <Eigen/LU>

namespace zelo::colour::detail {

using Eigen::Matrix3d;
using Eigen::Vector3d;

inline Matrix3d rows(double a, double b, double c, double d, double e, double f, double g, double h,
                     double i) {
    Matrix3d m;
    m << a, b, c, d, e, f, g, h, i;
    return m;
}

inline Vector3d vec(const Xyz& c) {
    return {c.X, c.Y, c.Z};
}

// CAT16. Source: Li et al., Color Res. Appl. 42 (2017).
inline const Matrix3d kCat16 = rows(0.401288, 0.650173, -0.051461, //
                                    -0.250268, 1.204414, 0.045854, //
                                    -0.002079, 0.048952, 0.953127);

} // namespace zelo::colour::detail
