// SPDX-License-Identifier: GPL-3.0-or-later
// Lights as colours on this screen, for an eye or a camera that takes a lamp for white.
#pragma once

#include "base/quantity.h"
#include "colour/srgb.h"

#include <QColor>
#include <QLinearGradient>

namespace zelo::desk {

class LightColours {
public:
    explicit LightColours(Kelvin white);        // of colour::lampOf
    double white_k() const { return white_k_; } // what the eye or the camera takes for white
    QColor of(const colour::Xyz& light, double level = 1) const;
    // A surface in that light: `light` relative to a perfect white of Y = 1, its brightness kept.
    QColor surface(const colour::Xyz& light) const;
    bool outside(const colour::Xyz& light) const; // beyond the monitor
    // The spectrum's own colours along x1..x2 = first..last nm, for filling plots.
    QLinearGradient spectral(double x1, double x2, double first_nm, double last_nm) const;

private:
    colour::Screen screen_;
    double white_k_;
};

} // namespace zelo::desk
