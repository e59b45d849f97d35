// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/readings/reach_map.h"

#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "mix/hull.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainterPath>
#include <algorithm>

namespace zelo::desk {

using colour::Uv;

namespace {

constexpr double kMapU = 0.635; // what the map shows, from 0
constexpr double kMapV = 0.600;
constexpr double kMapLevel = 0.62;
constexpr double kLoupe = 40;

QPolygonF polygon(const ReachMap& map, const std::vector<Uv>& points) {
    QPolygonF shape;
    for (const Uv& p : points)
        shape << map.toMap(p);
    return shape;
}

} // namespace

ReachMap::ReachMap(Document& document, MatchModel& match, QWidget* parent)
    : QWidget(parent), document_(document), match_(match) {
    setAccessibleName(tr("Reach map"));
    setToolTip(tr("All colours the type in focus can make, in u′ v′. Cross: wanted. Ring: got. "
                  "Dots: the other types. The black line is the white of lamps, dotted beside it "
                  "that of daylight. Press or drag picks a "
                  "colour; arrow keys step it, Shift finely."));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::CrossCursor);
    connect(&match_, &MatchModel::rowsChanged, this, [this] { update(); });
}

double ReachMap::scale() const {
    return std::min(width() / kMapU, height() / kMapV);
}

QPointF ReachMap::toMap(const Uv& uv) const {
    return {uv.u * scale(), height() - uv.v * scale()};
}

Uv ReachMap::fromMap(const QPointF& at) const {
    return {std::clamp(at.x() / scale(), 0.0, kMapU),
            std::clamp((height() - at.y()) / scale(), 0.02, kMapV)};
}

void ReachMap::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    match_.pickUv(fromMap(event->position()), gesture_.begin());
}

void ReachMap::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        match_.pickUv(fromMap(event->position()), gesture_.now());
}

bool ReachMap::claims(const QKeyEvent& key) const {
    return isArrow(key);
}

void ReachMap::keyPressEvent(QKeyEvent* event) {
    const light::Wanted* wanted = match_.wanted();
    const double step = event->modifiers() & Qt::ShiftModifier ? 0.0002 : 0.002;
    const int key = event->key();
    const double u = key == Qt::Key_Right ? step : key == Qt::Key_Left ? -step : 0;
    const double v = key == Qt::Key_Up ? step : key == Qt::Key_Down ? -step : 0;
    if (!wanted || (u == 0 && v == 0))
        return QWidget::keyPressEvent(event);
    match_.pickUv(wanted->uv() + Uv{u, v}, gesture_.step());
}

const QImage& ReachMap::reachImage(const std::vector<Uv>& hull) {
    const double white_k = document_.colours().white_k();
    if (hull == image_hull_ && image_.size() == size() / 2 && white_k == image_white_k_)
        return image_;
    image_hull_ = hull;
    image_white_k_ = white_k;
    image_ = QImage(size() / 2, QImage::Format_ARGB32_Premultiplied);
    image_.fill(Qt::transparent);
    for (int y = 0; y < image_.height(); ++y)
        for (int x = 0; x < image_.width(); ++x) {
            const Uv uv{(2 * x + 1) / scale(), (height() - 2 * y - 1) / scale()};
            // A little over the edge, so that the smooth scaling does not fade it.
            if (uv.v > 0.01 && mix::nearestOnHull(hull, uv).distance < 3 / scale())
                image_.setPixelColor(x, y, document_.colours().of(colour::toXyz(uv), kMapLevel));
        }
    return image_;
}

void ReachMap::paintLoci(QPainter& p) {
    QPolygonF locus;
    for (std::size_t i = 0; i < colour::kGridSize; i += 2) {
        const Uv& uv = colour::spectralLocus()[i];
        if (i >= 20 && i <= 320) // 400 to 700 nm: beyond, the points pile up
            locus << toMap(uv);
    }
    p.setPen(QPen(theme().rule, 1));
    p.drawPolygon(locus);
}

void ReachMap::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.setBrush(Qt::NoBrush);
    paintLoci(p);
    const TypeRow* row = match_.focus();
    if (!row)
        return;
    const auto& hull = row->lamp.mixer->hull();
    if (hull.size() >= 3) {
        QPainterPath inside;
        inside.addPolygon(polygon(*this, hull));
        p.save();
        p.setClipPath(inside);
        p.drawImage(rect(), reachImage(hull));
        p.restore();
    }
    for (std::size_t i = 0; i < match_.rows().size(); ++i) // the other types', thinner
        if (i != match_.focusIndex()) {
            p.setPen(QPen(theme().rule, 1, Qt::DotLine));
            p.drawPolygon(polygon(*this, match_.rows()[i].lamp.mixer->hull()));
        }
    p.setPen(QPen(theme().text, 1));
    p.drawPolygon(polygon(*this, hull));

    QPolygonF planck;
    for (double mired = 50; mired <= 667; mired += 8)
        planck << toMap(colour::planckianUv(toKelvin({mired})));
    p.setPen(QPen(Qt::black, 1.2));
    p.drawPolyline(planck);
    static const std::vector<Uv> daylight = [] { // a hair to the green side of the lamps' white
        std::vector<Uv> locus;
        for (double k = 4000; k <= 20000; k *= 1.12)
            locus.push_back(colour::toUv(colour::toXyz(colour::daylight({k}))));
        return locus;
    }();
    p.setPen(QPen(Qt::black, 1, Qt::DotLine));
    p.drawPolyline(polygon(*this, daylight));
    p.setPen(QPen(Qt::black, 1.2));
    for (const double k : {2000.0, 3200.0, 5600.0, 10000.0})
        p.drawLine(toMap(colour::uvOf({{k}, 0.007})), toMap(colour::uvOf({{k}, -0.007})));

    const light::Wanted* wanted = match_.wanted();
    if (!wanted)
        return;
    const QPointF at = toMap(wanted->uv());
    for (std::size_t i = 0; i < match_.rows().size(); ++i) {
        const auto& xyz = match_.rows()[i].lamp.sent.xyz;
        if (i == match_.focusIndex() || !colour::hasChromaticity(xyz))
            continue;
        p.setPen(QPen(Qt::black, 1));
        p.setBrush(Qt::white);
        p.drawEllipse(toMap(colour::toUv(xyz)), 2.5, 2.5);
        p.setBrush(Qt::NoBrush);
    }
    paintLoupe(p, wanted->uv());
    drawWanted(p, at);
    if (hasFocus())
        drawFocusBrackets(p, rect().adjusted(1, 1, -1, -1));
    if (colour::hasChromaticity(row->lamp.sent.xyz)) {
        const QPointF got = toMap(colour::toUv(row->lamp.sent.xyz));
        if (QLineF(at, got).length() > 6) {
            p.setPen(QPen(Qt::black, 3));
            p.drawLine(at, got);
            p.setPen(QPen(Qt::white, 1.2));
            p.drawLine(at, got);
        }
        drawGot(p, got);
    }
}

void ReachMap::paintLoupe(QPainter& p, const Uv& wanted) {
    // The ring is the smallest step that still holds the focus within three of them.
    const TypeRow* row = match_.focus();
    // The third of the smallest rings is 0.003: what the eye just tells apart side by side.
    double ring = 0.001;
    for (const double step : {0.001, 0.002, 0.003, 0.005, 0.01, 0.02, 0.05})
        if (row->miss_uv > 2.8 * ring)
            ring = step;
    if (row->miss_uv > 2.8 * ring)
        return;
    // In the corner that the reach leaves free.
    const QPointF centre(width() - kLoupe - 8, height() - kLoupe - 18);
    const QPointF at = toMap(wanted);
    const QLineF lead(centre, at);
    if (lead.length() > kLoupe + 8) {
        p.setPen(QPen(theme().dim, 1));
        p.drawLine(lead.pointAt(kLoupe / lead.length()), lead.pointAt(1 - 8 / lead.length()));
    }
    p.setPen(QPen(theme().text, 1));
    p.setBrush(document_.colours().of(colour::toXyz(wanted)));
    p.drawEllipse(centre, kLoupe, kLoupe);
    p.setBrush(Qt::NoBrush);
    const double px = kLoupe / 3.3 / ring;
    p.setPen(QPen(QColor(0, 0, 0, 85), 1));
    for (int i = 1; i <= 3; ++i)
        p.drawEllipse(centre, i * ring * px, i * ring * px);
    const auto place = [&](const Uv& uv) {
        return centre + QPointF(uv.u - wanted.u, -(uv.v - wanted.v)) * px;
    };
    for (std::size_t i = 0; i < match_.rows().size(); ++i) {
        const auto& xyz = match_.rows()[i].lamp.sent.xyz;
        if (!colour::hasChromaticity(xyz))
            continue;
        const QPointF dot = place(colour::toUv(xyz));
        if (QLineF(dot, centre).length() > kLoupe - 3)
            continue;
        if (i == match_.focusIndex()) {
            drawGot(p, dot);
        } else {
            p.setPen(Qt::NoPen);
            p.setBrush(Qt::black);
            p.drawEllipse(dot, 2.5, 2.5);
            p.setBrush(Qt::NoBrush);
        }
    }
    drawWanted(p, centre);
    drawTextRight(p, width() - 8, height() - 2, tr("one ring %1").arg(QString::number(ring)),
                  typeface(Type::Small), theme().dim);
}

} // namespace zelo::desk
