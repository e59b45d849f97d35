// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/gradient/gradient_map.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QKeyEvent>
#include <QMouseEvent>

namespace zelo::desk {

using colour::Uv;

namespace {
constexpr double kNear = 7; // px
}

GradientMap::GradientMap(Document& document, GradientModel& model, QWidget* parent)
    : QWidget(parent), document_(document), model_(model),
      points_(picture_,
              {[this] { return bends() ? way() : nullptr; },
               [this] { return model_.wayOf(model_.way()); },
               [this](const QString& name, const std::function<void(route::StopWay&)>& change,
                      int gesture) { model_.editWay(name, change, gesture); },
               [this](const QString& message) { document_.tell(message); }, [this] { update(); }}) {
    setAccessibleName(tr("Ways on the map"));
    setToolTip(tr("The stops and the ways between them in u′ v′. Press or drag: the colour of the "
                  "chosen stop. Pull the bright way out of its course with the mouse; a "
                  "double-click takes such a point away. Arrows move, Ins adds a point to the way, "
                  "Page Up and Page Down choose, Del takes away."));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::CrossCursor);
    watch(model_, &GradientModel::modelChanged, this, [this] { update(); });
}

const route::StopWay* GradientMap::way() const {
    return model_.gradient() ? &model_.gradient()->ways[model_.way()] : nullptr;
}

bool GradientMap::bends() const {
    const route::StopWay* w = way();
    return w && (w->kind == route::Kind::Straight || w->kind == route::Kind::Around);
}

void GradientMap::resizeEvent(QResizeEvent*) {
    picture_.setSize(size());
}

void GradientMap::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    picture_.paintLocus(p);
    const auto reach = model_.reach();
    if (!reach.hasInside() || !model_.gradient())
        return;
    picture_.paintReach(p, reach, document_.colours());
    picture_.paintOutline(p, reach, QPen(theme().text, 1));
    picture_.paintWhites(p);
    const show::Gradient& g = *model_.gradient();
    for (std::size_t i = 0; i < g.ways.size(); ++i) {
        const auto line = model_.wayOf(i);
        if (i == model_.way()) {
            picture_.paintWay(p, line);
            continue;
        }
        p.setPen(QPen(theme().rule, 1.5));
        for (std::size_t k = 1; k < line.size(); ++k)
            p.drawLine(picture_.toMap(line[k - 1]), picture_.toMap(line[k]));
    }
    points_.paint(p);
    for (std::size_t i = 0; i < g.stops.size(); ++i) {
        const Uv uv = model_.laid().asked[i];
        picture_.paintDot(p, uv, document_.colours().of(colour::toXyz(uv)),
                          i == model_.stop() ? 6 : 4);
        if (i == model_.stop())
            drawWanted(p, picture_.toMap(uv));
    }
    if (hasFocus())
        drawFocusBrackets(p, rect().adjusted(1, 1, -1, -1));
}

void GradientMap::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !model_.gradient())
        return;
    const QPoint pos = event->pos();
    gesture_.begin();
    for (std::size_t i = 0; i < model_.gradient()->stops.size(); ++i)
        if (i != model_.stop() &&
            QLineF(picture_.toMap(model_.laid().asked[i]), pos).length() <= kNear) {
            grab_ = Grab::None;
            points_.choose(std::nullopt);
            return model_.choose(i);
        }
    if (points_.press(pos, gesture_.now())) {
        grab_ = Grab::Via;
        return;
    }
    grab_ = Grab::Colour;
    points_.choose(std::nullopt);
    const Uv uv = picture_.fromMap(pos);
    model_.setStopColour(model_.stop(), light::AskedUv{uv.u, uv.v}, {}, gesture_.now());
}

void GradientMap::mouseMoveEvent(QMouseEvent* event) {
    if (grab_ == Grab::None || !model_.gradient())
        return;
    const Uv uv = picture_.fromMap(event->position());
    if (grab_ == Grab::Via)
        return points_.drag(uv, gesture_.now());
    model_.setStopColour(model_.stop(), light::AskedUv{uv.u, uv.v}, {}, gesture_.now());
}

void GradientMap::mouseReleaseEvent(QMouseEvent*) {
    grab_ = Grab::None;
}

void GradientMap::mouseDoubleClickEvent(QMouseEvent* event) {
    points_.doubleClick(event->position());
}

bool GradientMap::claims(const QKeyEvent& key) const {
    return WayPoints::claims(key);
}

void GradientMap::keyPressEvent(QKeyEvent* event) {
    if (!model_.gradient())
        return QWidget::keyPressEvent(event);
    if (points_.key(*event, gesture_))
        return;
    const auto step = arrowStep(*event);
    if (!step)
        return QWidget::keyPressEvent(event);
    const Uv to = model_.laid().asked[model_.stop()] + *step;
    model_.setStopColour(model_.stop(), light::AskedUv{to.u, to.v}, {}, gesture_.step());
}

std::vector<PaintedPart> GradientMap::parts() {
    std::vector<PaintedPart> all;
    const show::Gradient* g = model_.gradient();
    for (std::size_t i = 0; g && i < g->stops.size(); ++i) {
        const Uv uv = model_.laid().asked[i];
        all.push_back({tr("Stop %1").arg(i + 1), uvText(uv),
                       QRect(pointOf(uv) - QPoint(6, 6), QSize(13, 13)), QAccessible::ListItem,
                       i == model_.stop() && !points_.chosen(), [this, i] { model_.choose(i); }});
    }
    points_.addParts(all);
    return all;
}

} // namespace zelo::desk
