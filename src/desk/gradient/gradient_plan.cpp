// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/gradient/gradient_plan.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/watch.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <cmath>
#include <numbers>

namespace zelo::desk {

namespace {
constexpr double kDegree = std::numbers::pi / 180;
constexpr double kMargin = 18;  // px
constexpr double kSnap_deg = 5; // Shift: 1
constexpr double kLeastSpan_m = 2;
} // namespace

GradientPlan::GradientPlan(Document& document, GradientModel& model, QWidget* parent)
    : QWidget(parent), document_(document), model_(model) {
    setAccessibleName(tr("Line on the plan"));
    setToolTip(tr("The lamps from above. Drag turns the line that the gradient follows, or moves "
                  "the point it lies away from; arrows too, Shift finely"));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    watch(model_, &GradientModel::modelChanged, this, [this] { update(); });
}

GradientPlan::View GradientPlan::view() const {
    double left = HUGE_VAL, right = -HUGE_VAL, down = HUGE_VAL, up = -HUGE_VAL;
    const auto add = [&](double x, double y) {
        left = std::min(left, x);
        right = std::max(right, x);
        down = std::min(down, y);
        up = std::max(up, y);
    };
    for (const play::LaidLamp& lamp : model_.laid().lamps)
        if (const auto* f = document_.show().fixture(lamp.id))
            add(f->place.x_m, f->place.y_m);
    const auto& along = model_.gradient()->along;
    if (along && along->from_point)
        add(std::clamp(along->x_m, -100.0, 100.0), std::clamp(along->y_m, -100.0, 100.0));
    if (!(right >= left))
        add(0, 0);
    View v;
    v.middle = {(left + right) / 2, (down + up) / 2};
    v.centre = {width() / 2.0, height() / 2.0};
    v.scale = std::min((width() - 2 * kMargin) / std::max(kLeastSpan_m, right - left),
                       (height() - 2 * kMargin) / std::max(kLeastSpan_m, up - down));
    return v;
}

QPointF GradientPlan::toPx(double x_m, double y_m) const {
    const View v = view();
    return {v.centre.x() + v.scale * (x_m - v.middle.x()),
            v.centre.y() - v.scale * (y_m - v.middle.y())}; // upstage is up
}

QPointF GradientPlan::toPlan(const QPointF& px) const {
    const View v = view();
    return {v.middle.x() + (px.x() - v.centre.x()) / v.scale,
            v.middle.y() - (px.y() - v.centre.y()) / v.scale};
}

QPoint GradientPlan::handle() const {
    const auto& along = *model_.gradient()->along;
    if (along.from_point)
        return toPx(along.x_m, along.y_m).toPoint();
    const double a = along.direction_deg * kDegree;
    const double r = std::min(width(), height()) / 2.0 - 10;
    return (view().centre + r * QPointF(std::cos(a), -std::sin(a))).toPoint();
}

void GradientPlan::paintEvent(QPaintEvent*) {
    if (!model_.gradient() || !model_.gradient()->along)
        return;
    QPainter p(this);
    p.fillRect(rect(), theme().well);
    p.setRenderHint(QPainter::Antialiasing);
    for (const play::LaidLamp& lamp : model_.laid().lamps) {
        const auto* f = document_.show().fixture(lamp.id);
        if (!f)
            continue;
        p.setPen(QPen(Qt::black, 1));
        p.setBrush(lamp.colour ? colourOfLight(document_.colours(), *lamp.colour->mixer,
                                               lamp.colour->mix.drives, lamp.colour->mix.got)
                               : theme().glass);
        p.drawEllipse(toPx(f->place.x_m, f->place.y_m), 4, 4);
    }
    const auto& along = *model_.gradient()->along;
    const QPointF at = handle();
    p.setPen(QPen(theme().bright, 2));
    if (along.from_point) {
        p.drawLine(at - QPointF(7, 0), at + QPointF(7, 0));
        p.drawLine(at - QPointF(0, 7), at + QPointF(0, 7));
    } else {
        const QPointF centre = view().centre;
        p.drawLine(centre - (at - centre), at);
        p.setBrush(theme().bright); // where it ends
        p.drawEllipse(at, 4, 4);
        p.setBrush(theme().well);
        p.drawEllipse(centre - (at - centre), 4, 4);
    }
    p.setRenderHint(QPainter::Antialiasing, false);
    if (hasFocus())
        drawFocusBrackets(p, rect().adjusted(5, 5, -5, -5));
}

void GradientPlan::take(const QPointF& px, bool finely) {
    if (!model_.gradient() || !model_.gradient()->along)
        return;
    if (model_.gradient()->along->from_point) {
        const QPointF at = toPlan(px);
        const double step = finely ? 0.1 : 0.5;
        return model_.edit(
            tr("Move the point of a gradient"),
            [&](show::Gradient& g) {
                if (!g.along)
                    return;
                g.along->x_m = std::round(at.x() / step) * step;
                g.along->y_m = std::round(at.y() / step) * step;
            },
            gesture_.now());
    }
    const QPointF way = px - view().centre;
    if (QLineF({0, 0}, way).length() < 3)
        return;
    const double step = finely ? 1 : kSnap_deg;
    const double angle = std::round(std::atan2(-way.y(), way.x()) / kDegree / step) * step;
    model_.edit(
        tr("Turn the line of a gradient"),
        [&](show::Gradient& g) {
            if (g.along)
                g.along->direction_deg = angle;
        },
        gesture_.now());
}

void GradientPlan::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    gesture_.begin();
    take(event->position(), event->modifiers() & Qt::ShiftModifier);
}

void GradientPlan::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        take(event->position(), event->modifiers() & Qt::ShiftModifier);
}

bool GradientPlan::claims(const QKeyEvent& key) const {
    return isArrow(key);
}

void GradientPlan::keyPressEvent(QKeyEvent* event) {
    const int key = event->key();
    const int x = key == Qt::Key_Right ? 1 : key == Qt::Key_Left ? -1 : 0;
    const int y = key == Qt::Key_Up ? 1 : key == Qt::Key_Down ? -1 : 0;
    if (!model_.gradient() || (x == 0 && y == 0))
        return QWidget::keyPressEvent(event);
    const bool finely = event->modifiers() & Qt::ShiftModifier;
    model_.edit(
        model_.gradient()->along && model_.gradient()->along->from_point
            ? tr("Move the point of a gradient")
            : tr("Turn the line of a gradient"),
        [&](show::Gradient& g) {
            if (!g.along)
                return;
            g.along->x_m += g.along->from_point ? x * (finely ? 0.1 : 0.5) : 0;
            g.along->y_m += g.along->from_point ? y * (finely ? 0.1 : 0.5) : 0;
            if (!g.along->from_point) // left turns it left
                g.along->direction_deg = std::remainder(
                    g.along->direction_deg + (y - x) * (finely ? 1 : kSnap_deg), 360);
        },
        gesture_.step());
}

std::vector<PaintedPart> GradientPlan::parts() {
    if (!model_.gradient() || !model_.gradient()->along)
        return {};
    const auto& along = *model_.gradient()->along;
    const QRect place(handle() - QPoint(8, 8), QSize(16, 16));
    if (along.from_point)
        return {{tr("Point"),
                 tr("%1 m across, %2 m upstage")
                     .arg(numberText(along.x_m, 1), numberText(along.y_m, 1)),
                 place}};
    return {{tr("Line"), tr("%1°").arg(numberText(along.direction_deg, 0)), place}};
}

} // namespace zelo::desk
