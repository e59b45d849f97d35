// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/light_pools.h"

#include "desk/kit/shown_light.h"
#include "show/arrange.h"

#include <QImage>
#include <cmath>

namespace zelo::desk {

void paintPools(QPainter& p, const QRect& room, const play::Stage& stage, const show::Show& show,
                const std::set<show::FixtureId>& shown, const LightColours& colours, double scale,
                const std::function<QPointF(const show::Point&)>& place) {
    constexpr int kCoarse = 3; // paper a third as fine: soft, and cheap for hundreds
    QImage light(std::max(1, room.width() / kCoarse), std::max(1, room.height() / kCoarse),
                 QImage::Format_ARGB32_Premultiplied);
    light.fill(Qt::transparent);
    QPainter q(&light);
    q.setCompositionMode(QPainter::CompositionMode_Plus);
    q.setPen(Qt::NoPen);
    for (const auto& lamp : stage.lamps) {
        const auto* f = show.fixture(lamp.id);
        if (!f || !shown.contains(lamp.id) || lamp.dark != play::DarkWhy::None)
            continue;
        const QPointF at = place(show::litPoint(f->place)) / kCoarse;
        const double r = show::kLitRadius_m * scale / kCoarse;
        QColor c = colourOfLight(colours, lamp);
        QRadialGradient pool(at, r);
        for (const double far : {0.0, 0.35, 0.7, 1.0}) {
            c.setAlphaF(
                static_cast<float>(0.42 * lamp.mastered * std::pow(std::cos(far * 1.5708), 2)));
            pool.setColorAt(far, c);
        }
        q.setBrush(pool);
        q.drawEllipse(at, r, r);
    }
    q.end();
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.drawImage(room, light);
}

} // namespace zelo::desk
