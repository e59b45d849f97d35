// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/ribbon.h"

#include "colour/oklab.h"
#include "desk/kit/shown_light.h"

namespace zelo::desk {

void paintRibbon(QPainter& p, const QRect& place, const mix::Mixer& mixer, const play::SeenWay& way,
                 const LightColours& colours) {
    const auto& points = way.fade.points;
    const double a = way.brightness_cd.front();
    const double b = way.brightness_cd.back();
    QLinearGradient light(place.left(), 0, place.left() + place.width(), 0);
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double even = colour::evenlySeen(a > 0 ? a : b, b > 0 ? b : a, points[i].t);
        const double level = even > 0 ? std::min(1.0, way.brightness_cd[i] / even) : 0;
        const auto seen = shownLight(colours, mixer, points[i].drives, colour::toXyz(points[i].uv));
        light.setColorAt(points[i].t, colours.of(seen, level));
    }
    p.fillRect(place, light);
}

} // namespace zelo::desk
