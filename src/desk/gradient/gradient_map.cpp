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
    : QWidget(parent), document_(document), model_(model) {
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
    if (reach.size() < 3 || !model_.gradient())
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
    if (bends())
        for (std::size_t i = 0; i < way()->via.size(); ++i) {
            const QPointF at = picture_.toMap(way()->via[i]);
            const double r = chosen_via_ == std::optional(i) ? 5 : 4;
            p.setPen(QPen(Qt::black, 1));
            p.setBrush(Qt::white);
            p.drawRect(QRectF(at - QPointF(r, r), at + QPointF(r, r)));
        }
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

int GradientMap::viaAt(const QPoint& pos) const {
    if (!bends())
        return -1;
    for (std::size_t i = 0; i < way()->via.size(); ++i)
        if (QLineF(picture_.toMap(way()->via[i]), pos).length() <= kNear)
            return static_cast<int>(i);
    return -1;
}

std::optional<std::size_t> GradientMap::onWay(const QPoint& pos) const {
    if (!bends())
        return std::nullopt;
    const auto line = model_.wayOf(model_.way());
    std::size_t passed = 0; // points of it that lie before
    for (std::size_t k = 1; k < line.size(); ++k) {
        const QPointF a = picture_.toMap(line[k - 1]);
        const QPointF b = picture_.toMap(line[k]);
        while (passed < way()->via.size() &&
               QLineF(picture_.toMap(way()->via[passed]), a).length() < 2)
            ++passed;
        const QPointF along = b - a;
        const double length = QPointF::dotProduct(along, along);
        const double part =
            length > 0 ? std::clamp(QPointF::dotProduct(pos - a, along) / length, 0.0, 1.0) : 0;
        const bool end = (k == 1 && part < 0.1) || (k + 1 == line.size() && part > 0.9);
        if (!end && QLineF(a + part * along, pos).length() <= kNear - 2)
            return passed;
    }
    return std::nullopt;
}

void GradientMap::moveVia(std::size_t via, const Uv& to, int gesture) {
    model_.editWay(
        tr("Pull a way"),
        [&](route::StopWay& w) {
            if (via < w.via.size())
                w.via[via] = to;
        },
        gesture);
}

void GradientMap::addVia(std::size_t at, const Uv& uv, int gesture) {
    if (way()->via.size() >= 50)
        return document_.tell(tr("50 points on a way at most."));
    model_.editWay(
        tr("Pull a way"),
        [&](route::StopWay& w) {
            w.via.insert(w.via.begin() + static_cast<std::ptrdiff_t>(std::min(at, w.via.size())),
                         uv);
        },
        gesture);
    chosen_via_ = at;
}

void GradientMap::removeVia(std::size_t via) {
    model_.editWay(tr("Let a way go straight again"), [&](route::StopWay& w) {
        if (via < w.via.size())
            w.via.erase(w.via.begin() + static_cast<std::ptrdiff_t>(via));
    });
    chosen_via_.reset();
}

void GradientMap::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !model_.gradient())
        return;
    const QPoint pos = event->pos();
    gesture_.begin();
    if (const int via = viaAt(pos); via >= 0) {
        grab_ = Grab::Via;
        via_ = static_cast<std::size_t>(via);
        chosen_via_ = via_;
        return update();
    }
    for (std::size_t i = 0; i < model_.gradient()->stops.size(); ++i)
        if (i != model_.stop() &&
            QLineF(picture_.toMap(model_.laid().asked[i]), pos).length() <= kNear) {
            grab_ = Grab::None;
            chosen_via_.reset();
            return model_.choose(i);
        }
    if (const auto at = onWay(pos)) {
        grab_ = Grab::Via;
        via_ = *at;
        return addVia(*at, picture_.fromMap(pos), gesture_.now());
    }
    grab_ = Grab::Colour;
    chosen_via_.reset();
    const Uv uv = picture_.fromMap(pos);
    model_.setStopColour(model_.stop(), light::AskedUv{uv.u, uv.v}, {}, gesture_.now());
}

void GradientMap::mouseMoveEvent(QMouseEvent* event) {
    if (grab_ == Grab::None || !model_.gradient())
        return;
    const Uv uv = picture_.fromMap(event->position());
    if (grab_ == Grab::Via)
        return moveVia(via_, uv, gesture_.now());
    model_.setStopColour(model_.stop(), light::AskedUv{uv.u, uv.v}, {}, gesture_.now());
}

void GradientMap::mouseReleaseEvent(QMouseEvent*) {
    grab_ = Grab::None;
}

void GradientMap::mouseDoubleClickEvent(QMouseEvent* event) {
    if (const int via = viaAt(event->pos()); via >= 0)
        removeVia(static_cast<std::size_t>(via));
}

bool GradientMap::claims(const QKeyEvent& key) const {
    const int k = key.key();
    return isArrow(key) || k == Qt::Key_Insert || k == Qt::Key_Delete || k == Qt::Key_PageUp ||
           k == Qt::Key_PageDown;
}

void GradientMap::keyPressEvent(QKeyEvent* event) {
    if (!model_.gradient())
        return QWidget::keyPressEvent(event);
    const double step = event->modifiers() & Qt::ShiftModifier ? 0.0002 : 0.002;
    const int key = event->key();
    const auto& vias = way()->via;
    const bool via = bends() && chosen_via_ && *chosen_via_ < vias.size();
    if (key == Qt::Key_Insert && bends()) {
        const auto line = model_.wayOf(model_.way());
        const std::size_t half = line.size() / 2;
        const Uv middle = line.size() % 2 ? line[half] : 0.5 * (line[half - 1] + line[half]);
        return addVia(vias.size() / 2, middle, gesture_.begin());
    }
    if (key == Qt::Key_Delete) {
        if (via)
            removeVia(*chosen_via_);
        return;
    }
    if (key == Qt::Key_PageUp || key == Qt::Key_PageDown) { // the stop, then each point
        const int count = bends() ? static_cast<int>(vias.size()) : 0;
        const int now = via ? static_cast<int>(*chosen_via_) : -1;
        const int next = std::clamp(now + (key == Qt::Key_PageDown ? 1 : -1), -1, count - 1);
        chosen_via_ = next < 0 ? std::nullopt : std::optional(static_cast<std::size_t>(next));
        return update();
    }
    const double u = key == Qt::Key_Right ? step : key == Qt::Key_Left ? -step : 0;
    const double v = key == Qt::Key_Up ? step : key == Qt::Key_Down ? -step : 0;
    if (u == 0 && v == 0)
        return QWidget::keyPressEvent(event);
    if (via)
        return moveVia(*chosen_via_, vias[*chosen_via_] + Uv{u, v}, gesture_.step());
    const Uv to = model_.laid().asked[model_.stop()] + Uv{u, v};
    model_.setStopColour(model_.stop(), light::AskedUv{to.u, to.v}, {}, gesture_.step());
}

std::vector<PaintedPart> GradientMap::parts() {
    std::vector<PaintedPart> all;
    const show::Gradient* g = model_.gradient();
    const auto add = [&](const QString& name, const Uv& uv, bool chosen,
                         std::function<void()> press) {
        all.push_back({name, uvText(uv), QRect(pointOf(uv) - QPoint(6, 6), QSize(13, 13)),
                       QAccessible::ListItem, chosen, std::move(press)});
    };
    for (std::size_t i = 0; g && i < g->stops.size(); ++i)
        add(tr("Stop %1").arg(i + 1), model_.laid().asked[i], i == model_.stop() && !chosen_via_,
            [this, i] { model_.choose(i); });
    for (std::size_t i = 0; bends() && i < way()->via.size(); ++i)
        add(tr("Point %1 on the way").arg(i + 1), way()->via[i], chosen_via_ == std::optional(i),
            [this, i] {
                chosen_via_ = i;
                update();
            });
    return all;
}

} // namespace zelo::desk
