// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/hull_plot.h"

#include "colour/cct.h"
#include "colour/observer.h"
#include "desk/kit/draw.h"
#include "mix/hull.h"

namespace zelo::desk {

namespace {
constexpr double kMostU = 0.64, kMostV = 0.60; // the diagram's corner
} // namespace

HullPlot::HullPlot(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Hull of the type"));
    setToolTip(tr("u′ v′: each emitter where it is, and all that they reach together"));
}

void HullPlot::show(std::shared_ptr<const light::FixtureType> type, const LightColours& colours) {
    type_ = std::move(type);
    colours_ = &colours;
    std::vector<colour::Uv> points;
    if (type_)
        for (const auto& e : type_->emitters)
            if (const auto xyz = e.xyz(); colour::hasChromaticity(xyz))
                points.push_back(colour::toUv(xyz));
    hull_ = mix::convexHull(points);
    update();
}

QPointF HullPlot::toMap(const colour::Uv& uv) const {
    const double scale = std::min(width() / kMostU, height() / kMostV);
    return {uv.u * scale, height() - uv.v * scale};
}

void HullPlot::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(theme().rule, 1));
    QPolygonF edge;
    for (std::size_t i = 20; i <= 320; i += 4) // 400 to 700 nm
        edge << toMap(colour::spectralLocus()[i]);
    p.drawPolygon(edge);
    QPolygonF black;
    for (double k = 1800; k < 20000; k *= 1.15)
        black << toMap(colour::planckianUv({k}));
    p.drawPolyline(black);
    if (!type_)
        return;
    QPolygonF around;
    for (const auto& uv : hull_)
        around << toMap(uv);
    p.setPen(QPen(theme().text, 1.5));
    p.drawPolygon(around);
    for (const auto& e : type_->emitters) {
        const auto xyz = e.xyz();
        if (!colour::hasChromaticity(xyz))
            continue;
        p.setPen(QPen(Qt::black, 1));
        p.setBrush(colours_->of(xyz));
        p.drawEllipse(toMap(colour::toUv(xyz)), 4.5, 4.5);
    }
}

} // namespace zelo::desk
