// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/lamp_marks.h"

#include "desk/kit/draw.h"
#include "desk/kit/shown_light.h"

#include <QPainterPath>
#include <array>
#include <cmath>
#include <numbers>

namespace zelo::desk {

namespace {

constexpr double kDegree = std::numbers::pi / 180;
constexpr int kShapes = 6;
constexpr double kLeastLight = 4; // px: a lamp at 1 % still tells its colour

QPolygonF shapeOf(int kind) {
    QPolygonF shape;
    const int corners = std::array{4, 24, 6, 3, 5, 8}[static_cast<std::size_t>(kind % kShapes)];
    const double turn = corners == 4 ? 45 : corners == 6 ? 0 : corners == 8 ? 22.5 : -90;
    const double r = corners == 4 ? kLampMark * 1.3 : corners == 3 ? kLampMark * 1.25 : kLampMark;
    for (int i = 0; i < corners; ++i) {
        const double a = (turn + 360.0 * i / corners) * kDegree;
        shape << QPointF(r * std::cos(a), r * std::sin(a));
    }
    return shape;
}

} // namespace

std::map<std::string, int> lampKinds(const show::Show& show) {
    std::map<std::string, int> kinds;
    for (const auto& [id, f] : show.fixtures)
        kinds.emplace(f->type, static_cast<int>(kinds.size()));
    return kinds;
}

void paintLampMark(QPainter& p, const QPointF& at, int kind, const play::StageLamp* lamp,
                   const LightColours& colours, bool chosen) {
    QPolygonF shape = shapeOf(kind).translated(at);
    p.setRenderHint(QPainter::Antialiasing);
    const bool dark = !lamp || lamp->dark != play::DarkWhy::None;
    p.setPen(QPen(dark ? theme().text : QColor(Qt::black), 1));
    p.setBrush(dark ? theme().bench : colourOfLight(colours, *lamp));
    p.drawPolygon(shape);
    for (int bar = 0; bar < std::min(3, kind / kShapes); ++bar)
        p.drawLine(at + QPointF(-kLampMark, 4 * bar), at + QPointF(kLampMark, 4 * bar));
    if (dark) {
        p.setPen(Qt::NoPen);
        p.setBrush(theme().text);
        p.drawEllipse(at, 2, 2);
    }
    if (chosen) {
        p.setRenderHint(QPainter::Antialiasing, false);
        const QRect box(static_cast<int>(std::round(at.x() - kLampMark)) - 4,
                        static_cast<int>(std::round(at.y() - kLampMark)) - 4,
                        2 * static_cast<int>(kLampMark) + 8, 2 * static_cast<int>(kLampMark) + 8);
        for (const QRect& side : {QRect(box.left(), box.top(), box.width(), 2),
                                  QRect(box.left(), box.bottom() - 1, box.width(), 2),
                                  QRect(box.left(), box.top(), 2, box.height()),
                                  QRect(box.right() - 1, box.top(), 2, box.height())})
            p.fillRect(side, theme().sel);
        p.setRenderHint(QPainter::Antialiasing);
    }
    if (lamp && lamp->locked) {
        p.setRenderHint(QPainter::Antialiasing, false);
        p.fillRect(QRectF(at.x() - kLampMark, at.y() + kLampMark + 4, 2 * kLampMark, 3),
                   theme().bright);
        p.setRenderHint(QPainter::Antialiasing);
    }
    if (lamp && lamp->in_hand) { // the corner cut off
        const QPointF corner = at + QPointF(kLampMark + 4, -kLampMark - 4);
        p.setPen(QPen(theme().bright, 1.5));
        p.drawLine(corner - QPointF(7, 0), corner + QPointF(0, 7));
    }
}

void paintLampGlass(QPainter& p, const QRectF& glass, const play::StageLamp* lamp, double level,
                    const LightColours& colours, bool in_focus) {
    const bool dark = !lamp || lamp->dark != play::DarkWhy::None;
    constexpr double kNotch = 9;
    QPolygonF shape;
    const bool notched = lamp && lamp->in_hand && glass.width() > 14;
    const double cut = notched ? kNotch : 0;
    shape << glass.topLeft() << glass.topRight() - QPointF(cut, 0)
          << glass.topRight() + QPointF(0, cut) << glass.bottomRight() << glass.bottomLeft();
    p.setRenderHint(QPainter::Antialiasing);
    if (dark) {
        p.setPen(QPen(theme().rule, 1));
        p.setBrush(Qt::NoBrush);
        p.drawRect(glass.adjusted(0.5, 0.5, -0.5, -0.5));
        p.setPen(Qt::NoPen);
        p.setBrush(theme().text);
        p.drawEllipse(glass.center(), 2.5, 2.5);
    } else {
        QPainterPath path;
        path.addPolygon(shape);
        p.save();
        p.setClipPath(path);
        p.fillRect(glass, theme().glass);
        const double height = std::max(kLeastLight, glass.height() * level);
        const QRectF light(glass.left(), glass.bottom() - height, glass.width(), height);
        p.fillRect(light, colourOfLight(colours, *lamp));
        if (lamp->miss_uv > 0.004)
            drawHatch(p, light);
        p.restore();
    }
    if (notched) {
        p.setPen(QPen(theme().bright, 1.5));
        p.drawLine(glass.topRight() - QPointF(cut, 0), glass.topRight() + QPointF(0, cut));
    }
    if (in_focus && glass.width() > 8) {
        QPolygonF outline;
        const double c = notched ? cut + 1.2 : 0;
        const QRectF o = glass.adjusted(-3, -3, 3, 3);
        outline << o.topLeft() << o.topRight() - QPointF(c, 0) << o.topRight() + QPointF(0, c)
                << o.bottomRight() << o.bottomLeft() << o.topLeft();
        p.setPen(QPen(theme().sel, 2));
        p.setBrush(Qt::NoBrush);
        p.drawPolyline(outline);
    }
}

} // namespace zelo::desk
