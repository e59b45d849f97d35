// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/reach_picture.h"

#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/polygon.h"
#include "desk/kit/draw.h"

#include <QPainterPath>
#include <algorithm>
#include <cmath>

namespace zelo::desk {

using colour::Uv;

namespace {
constexpr double kMapU = 0.635; // what the map shows, from 0
constexpr double kMapV = 0.600;
constexpr double kMapLevel = 0.62;
constexpr double kLoupe = 40;
} // namespace

double ReachPicture::scale() const {
    return std::min(size_.width() / kMapU, size_.height() / kMapV);
}

QPointF ReachPicture::toMap(const Uv& uv) const {
    return {uv.u * scale(), size_.height() - uv.v * scale()};
}

Uv ReachPicture::fromMap(const QPointF& at) const {
    return {std::clamp(at.x() / scale(), 0.0, kMapU),
            std::clamp((size_.height() - at.y()) / scale(), 0.02, kMapV)};
}

QPolygonF ReachPicture::polygon(const std::vector<Uv>& points) const {
    QPolygonF shape;
    for (const Uv& uv : points)
        shape << toMap(uv);
    return shape;
}

void ReachPicture::paintLocus(QPainter& p) const {
    QPolygonF locus;
    for (std::size_t i = 20; i <= 320; i += 2) // 400 to 700 nm: beyond, the points pile up
        locus << toMap(colour::spectralLocus()[i]);
    p.setPen(QPen(theme().rule, 1));
    p.setBrush(Qt::NoBrush);
    p.drawPolygon(locus);
}

void ReachPicture::paintReach(QPainter& p, const colour::Polygon& hull,
                              const LightColours& colours) {
    if (!hull.hasInside())
        return;
    if (hull != image_hull_ || image_.size() != size_ / 2 || colours != image_colours_) {
        image_hull_ = hull;
        image_colours_ = colours;
        image_ = QImage(size_ / 2, QImage::Format_ARGB32_Premultiplied);
        image_.fill(Qt::transparent);
        for (int y = 0; y < image_.height(); ++y)
            for (int x = 0; x < image_.width(); ++x) {
                const Uv uv{(2 * x + 1) / scale(), (size_.height() - 2 * y - 1) / scale()};
                // A little over the edge, so that the smooth scaling does not fade it.
                if (uv.v > 0.01 && hull.nearest(uv).distance < 3 / scale())
                    image_.setPixelColor(x, y, colours.of(colour::toXyz(uv), kMapLevel));
            }
    }
    QPainterPath inside;
    inside.addPolygon(polygon(hull.corners()));
    p.save();
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.setClipPath(inside);
    p.drawImage(QRect(QPoint(0, 0), size_), image_);
    p.restore();
}

void ReachPicture::paintOutline(QPainter& p, const colour::Polygon& hull, const QPen& pen) const {
    p.setPen(pen);
    p.setBrush(Qt::NoBrush);
    p.drawPolygon(polygon(hull.corners()));
}

void ReachPicture::paintWhites(QPainter& p) const {
    static const std::vector<Uv> planck = [] {
        std::vector<Uv> locus;
        for (double mired = 50; mired <= 667; mired += 8)
            locus.push_back(colour::planckianUv(toKelvin({mired})));
        return locus;
    }();
    static const std::vector<Uv> daylight = [] { // a hair to the green side of the lamps' white
        std::vector<Uv> locus;
        for (double k = 4000; k <= 20000; k *= 1.12)
            locus.push_back(colour::toUv(colour::toXyz(colour::daylight({k}))));
        return locus;
    }();
    p.setPen(QPen(Qt::black, 1.2));
    p.drawPolyline(polygon(planck));
    p.setPen(QPen(Qt::black, 1, Qt::DotLine));
    p.drawPolyline(polygon(daylight));
    p.setPen(QPen(Qt::black, 1.2));
    for (const double k : {2000.0, 3200.0, 5600.0, 10000.0})
        p.drawLine(toMap(colour::uvOf({{k}, 0.007})), toMap(colour::uvOf({{k}, -0.007})));
}

void ReachPicture::paintWay(QPainter& p, const std::vector<Uv>& points) const {
    p.setBrush(Qt::NoBrush);
    for (const auto& pen : {QPen(Qt::black, 3), QPen(Qt::white, 1.2)}) {
        p.setPen(pen);
        p.drawPolyline(polygon(points));
    }
}

void ReachPicture::paintDot(QPainter& p, const Uv& uv, const QColor& fill, double radius) const {
    p.setPen(QPen(Qt::black, 1));
    p.setBrush(fill);
    p.drawEllipse(toMap(uv), radius, radius);
    p.setBrush(Qt::NoBrush);
}

std::optional<double> ReachPicture::paintLoupe(QPainter& p, const Uv& wanted,
                                               const std::optional<Uv>& got,
                                               const std::vector<Uv>& others,
                                               const LightColours& colours) const {
    // The ring is the smallest step that still holds the light got within three of them. The third
    // of the smallest rings is 0.003: what the eye just tells apart side by side.
    const double miss = got ? colour::distance(wanted, *got) : 0;
    double ring = 0.001;
    for (const double step : {0.001, 0.002, 0.003, 0.005, 0.01, 0.02, 0.05})
        if (miss > 2.8 * ring)
            ring = step;
    if (miss > 2.8 * ring)
        return std::nullopt;
    const QPointF centre(size_.width() - kLoupe - 8, size_.height() - kLoupe - 18);
    const QLineF lead(centre, toMap(wanted));
    if (lead.length() > kLoupe + 8) {
        p.setPen(QPen(theme().dim, 1));
        p.drawLine(lead.pointAt(kLoupe / lead.length()), lead.pointAt(1 - 8 / lead.length()));
    }
    p.setPen(QPen(theme().text, 1));
    p.setBrush(colours.of(colour::toXyz(wanted)));
    p.drawEllipse(centre, kLoupe, kLoupe);
    p.setBrush(Qt::NoBrush);
    const double px = kLoupe / 3.3 / ring;
    p.setPen(QPen(QColor(0, 0, 0, 85), 1));
    for (int i = 1; i <= 3; ++i)
        p.drawEllipse(centre, i * ring * px, i * ring * px);
    const auto place = [&](const Uv& uv) -> std::optional<QPointF> {
        const QPointF off = QPointF(uv.u - wanted.u, -(uv.v - wanted.v)) * px;
        const bool inside = std::hypot(off.x(), off.y()) <= kLoupe - 3;
        return inside ? std::optional(centre + off) : std::nullopt;
    };
    p.setPen(Qt::NoPen);
    p.setBrush(Qt::black);
    for (const Uv& uv : others)
        if (const auto dot = place(uv))
            p.drawEllipse(*dot, 2.5, 2.5);
    p.setBrush(Qt::NoBrush);
    if (const auto dot = got ? place(*got) : std::nullopt)
        drawGot(p, *dot);
    drawWanted(p, centre);
    return ring;
}

} // namespace zelo::desk
