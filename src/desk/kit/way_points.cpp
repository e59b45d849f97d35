// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/way_points.h"

#include "desk/kit/keys.h"
#include "desk/kit/qt_text.h"
#include "show/limits.h"

#include <QKeyEvent>
#include <QLineF>

namespace zelo::desk {

using colour::Uv;

namespace {
constexpr double kNear = 7;    // px, of a point
constexpr double kNearWay = 5; // px
} // namespace

std::optional<Uv> arrowStep(const QKeyEvent& event) {
    const double step = event.modifiers() & Qt::ShiftModifier ? 0.0002 : 0.002;
    switch (event.key()) {
    case Qt::Key_Right:
        return Uv{step, 0};
    case Qt::Key_Left:
        return Uv{-step, 0};
    case Qt::Key_Up:
        return Uv{0, step};
    case Qt::Key_Down:
        return Uv{0, -step};
    default:
        return std::nullopt;
    }
}

const std::vector<Uv>& WayPoints::points() const {
    static const std::vector<Uv> none;
    const route::StopWay* way = on_.way();
    return way ? way->via : none;
}

bool WayPoints::isChosen(const std::optional<std::size_t>& point) const {
    return point && *point < points().size();
}

void WayPoints::choose(std::optional<std::size_t> point) {
    chosen_ = point;
    on_.changed();
}

std::optional<std::size_t> WayPoints::pointAt(const QPointF& pos) const {
    for (std::size_t i = 0; i < points().size(); ++i)
        if (QLineF(picture_.toMap(points()[i]), pos).length() <= kNear)
            return i;
    return std::nullopt;
}

std::optional<std::size_t> WayPoints::onWay(const QPointF& pos) const {
    if (!on_.way())
        return std::nullopt;
    const auto line = on_.line();
    std::size_t passed = 0; // points of it that lie before
    for (std::size_t k = 1; k < line.size(); ++k) {
        const QPointF a = picture_.toMap(line[k - 1]);
        const QPointF b = picture_.toMap(line[k]);
        while (passed < points().size() && QLineF(picture_.toMap(points()[passed]), a).length() < 3)
            ++passed;
        const QPointF along = b - a;
        const double length = QPointF::dotProduct(along, along);
        const double part =
            length > 0 ? std::clamp(QPointF::dotProduct(pos - a, along) / length, 0.0, 1.0) : 0;
        const bool end = (k == 1 && part < 0.1) || (k + 1 == line.size() && part > 0.9);
        if (!end && QLineF(a + part * along, pos).length() <= kNearWay)
            return passed;
    }
    return std::nullopt;
}

bool WayPoints::hits(const QPointF& pos) const {
    return pointAt(pos) || onWay(pos);
}

bool WayPoints::press(const QPointF& pos, int gesture) {
    if (const auto point = pointAt(pos)) {
        choose(point);
        return true;
    }
    const auto fresh = onWay(pos);
    if (fresh)
        add(*fresh, picture_.fromMap(pos), gesture);
    return fresh.has_value();
}

bool WayPoints::doubleClick(const QPointF& pos) {
    const auto point = pointAt(pos);
    if (point)
        remove(*point);
    return point.has_value();
}

void WayPoints::move(std::size_t point, const Uv& to, int gesture) {
    on_.edit(
        tr("Pull a way"),
        [&](route::StopWay& w) {
            if (point < w.via.size())
                w.via[point] = to;
        },
        gesture);
}

void WayPoints::add(std::size_t at, const Uv& uv, int gesture) {
    if (points().size() >= show::kMostVias)
        return on_.tell(tr("%1 points on a way at most.").arg(show::kMostVias));
    on_.edit(
        tr("Pull a way"),
        [&](route::StopWay& w) {
            w.via.insert(w.via.begin() + static_cast<std::ptrdiff_t>(std::min(at, w.via.size())),
                         uv);
        },
        gesture);
    choose(at);
}

void WayPoints::remove(std::size_t point) {
    on_.edit(
        tr("Let a way go straight again"),
        [&](route::StopWay& w) {
            if (point < w.via.size())
                w.via.erase(w.via.begin() + static_cast<std::ptrdiff_t>(point));
        },
        0);
    choose(std::nullopt);
}

bool WayPoints::claims(const QKeyEvent& event) {
    const int k = event.key();
    return isArrow(event) || k == Qt::Key_Insert || k == Qt::Key_Delete || k == Qt::Key_PageUp ||
           k == Qt::Key_PageDown;
}

bool WayPoints::key(const QKeyEvent& event, Gesture& gesture) {
    const int key = event.key();
    if (key == Qt::Key_Insert && on_.way()) {
        const auto line = on_.line();
        const std::size_t half = line.size() / 2;
        const Uv middle = line.size() % 2 ? line[half] : 0.5 * (line[half - 1] + line[half]);
        add(points().size() / 2, middle, gesture.begin());
        return true;
    }
    if (key == Qt::Key_Delete) {
        if (chosen())
            remove(*chosen_);
        return true;
    }
    if (key == Qt::Key_PageUp || key == Qt::Key_PageDown) { // what stands before them, then each
        const int now = chosen() ? static_cast<int>(*chosen_) : -1;
        const int next = std::clamp(now + (key == Qt::Key_PageDown ? 1 : -1), -1,
                                    static_cast<int>(points().size()) - 1);
        choose(next < 0 ? std::nullopt : std::optional(static_cast<std::size_t>(next)));
        return true;
    }
    const auto step = arrowStep(event);
    if (!step || !chosen())
        return false;
    move(*chosen_, points()[*chosen_] + *step, gesture.step());
    return true;
}

void WayPoints::paint(QPainter& p) const {
    for (std::size_t i = 0; i < points().size(); ++i) {
        const QPointF at = picture_.toMap(points()[i]);
        const double r = chosen_ == std::optional(i) ? 5 : 4;
        p.setPen(QPen(Qt::black, 1));
        p.setBrush(Qt::white);
        p.drawRect(QRectF(at - QPointF(r, r), at + QPointF(r, r)));
    }
}

void WayPoints::addParts(std::vector<PaintedPart>& to) {
    for (std::size_t i = 0; i < points().size(); ++i)
        to.push_back({tr("Point %1 on the way").arg(i + 1), uvText(points()[i]),
                      QRect(picture_.toMap(points()[i]).toPoint() - QPoint(6, 6), QSize(13, 13)),
                      QAccessible::ListItem, chosen_ == std::optional(i),
                      [this, i] { choose(i); }});
}

} // namespace zelo::desk
