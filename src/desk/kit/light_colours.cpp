// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/light_colours.h"

#include "colour/lamp.h"
#include "colour/observer.h"
#include "desk/kit/qt_text.h"

#include <QObject>

#include <cmath>

namespace zelo::desk {

LightColours::LightColours(Kelvin white, std::shared_ptr<const colour::Monitor> monitor)
    : screen_(colour::toXyz(colour::lampOf(white)), monitor), monitor_(std::move(monitor)),
      white_k_(white.value) {}

LightColours::LightColours(std::shared_ptr<const colour::Camera> camera,
                           std::shared_ptr<const colour::Monitor> monitor)
    : screen_(colour::toXyz(camera->white()), monitor), monitor_(std::move(monitor)),
      camera_(std::move(camera)) {}

QString LightColours::screenText() const {
    return monitor_
               ? QObject::tr("Shown by this screen's profile, “%1”.").arg(toQt(monitor_->name()))
               : QObject::tr("Shown as sRGB: the desktop names no profile for this screen.");
}

QColor LightColours::of(const colour::Xyz& light, double level) const {
    const auto c = screen_.show(light, level).rgb;
    return {c.r, c.g, c.b};
}

QColor LightColours::surface(const colour::Xyz& light) const {
    const auto c = screen_.showSurface(light).rgb;
    return {c.r, c.g, c.b};
}

bool LightColours::outside(const colour::Xyz& light) const {
    return screen_.show(light).outside;
}

QLinearGradient LightColours::spectral(double x1, double x2, double first_nm,
                                       double last_nm) const {
    QLinearGradient gradient(x1, 0, x2, 0);
    const auto& f = colour::matchingFunctions(colour::Observer::Cie1931_2);
    for (int nm = 380; nm <= 780; nm += 5) {
        const double at = (nm - first_nm) / (last_nm - first_nm);
        if (at < 0 || at > 1)
            continue;
        const auto i = static_cast<std::size_t>(nm - 380);
        // Towards the ends of what is seen the colours sink into the dark.
        const double seen = std::min(1.0, std::pow((f.x[i] + f.y[i] + f.z[i]) / 0.35, 0.6));
        gradient.setColorAt(at, of({f.x[i], f.y[i], f.z[i]}, seen));
    }
    return gradient;
}

} // namespace zelo::desk
