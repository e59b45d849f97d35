// SPDX-License-Identifier: GPL-3.0-or-later
// Three equations of three unknowns, of a light's X, Y and Z.
#pragma once

#include "colour/xyz.h"

#include <cmath>
#include <optional>

namespace zelo::mix {

// Σ s sᵀ over slopes s: symmetric, none of its own values negative.
class Symmetric3 {
public:
    void add(const colour::Xyz& s) {
        xx_ += s.X * s.X;
        xy_ += s.X * s.Y;
        xz_ += s.X * s.Z;
        yy_ += s.Y * s.Y;
        yz_ += s.Y * s.Z;
        zz_ += s.Z * s.Z;
    }
    // The x with M x = right; nothing where M has no inverse worth the name.
    std::optional<colour::Xyz> solve(const colour::Xyz& right) const {
        const double c00 = yy_ * zz_ - yz_ * yz_;
        const double c01 = xz_ * yz_ - xy_ * zz_;
        const double c02 = xy_ * yz_ - xz_ * yy_;
        const double det = xx_ * c00 + xy_ * c01 + xz_ * c02;
        const double scale = xx_ * yy_ * zz_;
        if (!(std::abs(det) > 1e-9 * scale) || !(scale > 0))
            return std::nullopt;
        const double c11 = xx_ * zz_ - xz_ * xz_;
        const double c12 = xy_ * xz_ - xx_ * yz_;
        const double c22 = xx_ * yy_ - xy_ * xy_;
        return colour::Xyz{(c00 * right.X + c01 * right.Y + c02 * right.Z) / det,
                           (c01 * right.X + c11 * right.Y + c12 * right.Z) / det,
                           (c02 * right.X + c12 * right.Y + c22 * right.Z) / det};
    }

private:
    double xx_ = 0, xy_ = 0, xz_ = 0, yy_ = 0, yz_ = 0, zz_ = 0;
};

} // namespace zelo::mix
