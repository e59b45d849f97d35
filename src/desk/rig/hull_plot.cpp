// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/hull_plot.h"

#include "colour/polygon.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"

namespace zelo::desk {

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
    hull_ = colour::Polygon(points);
    update();
}

void HullPlot::resizeEvent(QResizeEvent*) {
    picture_.setSize(size());
}

void HullPlot::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    picture_.paintLocus(p);
    picture_.paintWhites(p);
    if (!type_)
        return;
    picture_.paintOutline(p, hull_, QPen(theme().text, 1.5));
    for (const auto& e : type_->emitters)
        if (const auto xyz = e.xyz(); colour::hasChromaticity(xyz))
            picture_.paintDot(p, colour::toUv(xyz), colourOfLight(*colours_, e.spectrum), 4.5);
}

std::vector<PaintedPart> HullPlot::parts() {
    std::vector<PaintedPart> all;
    for (std::size_t i = 0; type_ && i < type_->emitters.size(); ++i) {
        const auto xyz = type_->emitters[i].xyz();
        if (!colour::hasChromaticity(xyz))
            continue;
        const auto uv = colour::toUv(xyz);
        all.push_back({toQt(type_->partName(i)), uvText(uv),
                       QRect(picture_.toMap(uv).toPoint() - QPoint(5, 5), QSize(11, 11))});
    }
    return all;
}

} // namespace zelo::desk
