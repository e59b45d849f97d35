// SPDX-License-Identifier: GPL-3.0-or-later
// Lights as colours on this screen, for an eye or a camera that takes a lamp for white.
#pragma once

#include "base/quantity.h"
#include "colour/camera.h"
#include "colour/monitor.h"

#include <QColor>
#include <QLinearGradient>

namespace zelo::desk {

class LightColours {
public:
    // `white`: of colour::lampOf. Without a monitor's profile the screen is sRGB.
    explicit LightColours(Kelvin white, std::shared_ptr<const colour::Monitor> monitor = {});
    // What the camera shows, to an eye that takes its white for white: lights come as
    // desk/kit/shown_light.h says. Charts, where colours have no light, stay the eye's.
    explicit LightColours(std::shared_ptr<const colour::Camera> camera,
                          std::shared_ptr<const colour::Monitor> monitor = {});
    const colour::Camera* camera() const { return camera_.get(); } // null: an eye
    QColor of(const colour::Xyz& light, double level = 1) const;
    // A surface in that light: `light` relative to a perfect white of Y = 1, its brightness kept.
    QColor surface(const colour::Xyz& light) const;
    bool outside(const colour::Xyz& light) const; // beyond the monitor
    // The spectrum's own colours along x1..x2 = first..last nm, for filling plots.
    QLinearGradient spectral(double x1, double x2, double first_nm, double last_nm) const;

    QString screenText() const; // how the colours get to this screen, in a sentence
    friend bool operator==(const LightColours& a, const LightColours& b) {
        return a.white_k_ == b.white_k_ && a.monitor_ == b.monitor_ && a.camera_ == b.camera_;
    }

private:
    colour::Screen screen_;
    std::shared_ptr<const colour::Monitor> monitor_;
    std::shared_ptr<const colour::Camera> camera_;
    double white_k_ = 0; // of the eye
};

} // namespace zelo::desk
