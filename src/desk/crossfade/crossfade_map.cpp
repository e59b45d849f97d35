// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/crossfade_map.h"

#include "colour/cct.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"
#include "show/limits.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainterPath>
#include <cmath>
#include <numbers>

namespace zelo::desk {

using colour::Uv;
using route::Kind;

namespace {

constexpr double kNear = 7; // px
constexpr double kPi = std::numbers::pi;

std::vector<Uv> lineOf(const play::SeenWay& way) {
    std::vector<Uv> line;
    for (const auto& p : way.fade.points)
        line.push_back(p.uv);
    return line;
}

// The white of a lamp that is nearest, from wherever; in tens of kelvins.
double nearestWhite_k(const Uv& uv) {
    double nearest = 4300;
    double least = 1;
    for (double mired = 40; mired <= 600; mired += 2) {
        const double k = toKelvin({mired}).value;
        if (const double off = colour::distance(colour::planckianUv({k}), uv); off < least) {
            least = off;
            nearest = k;
        }
    }
    return std::round(nearest / 10) * 10;
}

} // namespace

CrossfadeMap::CrossfadeMap(CrossfadeModel& model, QWidget* parent)
    : QWidget(parent), model_(model),
      points_(picture_,
              {[this] { return bends() ? &model_.way() : nullptr; },
               [this] { return lineOf(model_.picture()->focus().planned); },
               [this](const QString& name, const std::function<void(route::StopWay&)>& change,
                      int gesture) { model_.editWay(name, change, gesture); },
               [this](const QString& message) { model_.document().tell(message); },
               [this] { update(); }}) {
    setAccessibleName(tr("Way through colour"));
    setToolTip(tr("Both ways in u′ v′, with a mark each second. Pull the bright one out of its "
                  "course; a double-click takes such a point away. Drag the ring for the "
                  "saturation floor, the white cross for what the way goes round, the edges of a "
                  "sector for the hues it stays out of. Arrows move, Ins adds a point, Page Up and "
                  "Page Down choose, Del takes away."));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    watch(model_, &CrossfadeModel::modelChanged, this, [this] { update(); });
    watch(model_, &CrossfadeModel::momentChanged, this, [this] { update(); });
    watch(model_.document(), this, Change::Seen | Change::White, [this] { update(); });
}

Uv CrossfadeMap::white() const {
    return colour::planckianUv({model_.document().show().white_cct_k});
}

std::optional<route::Disc> CrossfadeMap::disc() const {
    if (!model_.picture())
        return std::nullopt;
    auto made = route::Disc::of(model_.picture()->reach, white());
    return made ? std::optional(std::move(*made)) : std::nullopt;
}

double CrossfadeMap::radius() const {
    const auto d = disc();
    const auto a = model_.endUv(false);
    const auto b = model_.endUv(true);
    return d && a && b ? model_.way().floor * std::min({1.0, d->saturation(*a), d->saturation(*b)})
                       : 0;
}

bool CrossfadeMap::bends() const {
    const Kind kind = model_.way().kind;
    return model_.picture() && (kind == Kind::Straight || kind == Kind::Around);
}

QPoint CrossfadeMap::ringPoint() const { // farthest from all else that can be taken
    const auto d = disc();
    QPointF best;
    double most = -1;
    for (int i = 0; d && i < 72; ++i) {
        const QPointF at = picture_.toMap(d->fromDisc({radius(), i * kPi / 36}));
        double room = QLineF(at, picture_.toMap(white())).length();
        for (const Uv& uv : lineOf(model_.picture()->focus().planned))
            room = std::min(room, QLineF(at, picture_.toMap(uv)).length());
        if (room > most) {
            most = room;
            best = at;
        }
    }
    return best.toPoint();
}

void CrossfadeMap::resizeEvent(QResizeEvent*) {
    picture_.setSize(size());
}

// --- painting

void CrossfadeMap::paintSector(QPainter& p, const route::Disc& disc) {
    const auto& sector = model_.way().keep_out;
    if (!sector || model_.way().kind != Kind::Around)
        return;
    double swing = std::fmod(sector->to - sector->from, 2 * kPi);
    if (swing < 0)
        swing += 2 * kPi;
    QPainterPath wedge(picture_.toMap(disc.white()));
    for (int i = 0; i <= 24; ++i)
        wedge.lineTo(picture_.toMap(disc.fromDisc({1, sector->from + swing * i / 24})));
    wedge.closeSubpath();
    p.setPen(QPen(Qt::white, 1.2));
    p.setBrush(QColor(0, 0, 0, 150));
    p.drawPath(wedge);
}

void CrossfadeMap::paintTicks(QPainter& p) {
    const double whole = model_.fade().time_s;
    if (!(whole > 0) || whole > 60)
        return;
    const auto& points = model_.picture()->focus().planned.fade.points;
    const auto last = static_cast<double>(points.size() - 1);
    for (double s = 1; s < whole - 0.01; ++s) {
        const auto i = static_cast<std::size_t>(std::lround(s / whole * last));
        if (i == 0 || i + 1 >= points.size())
            continue;
        const QPointF here = picture_.toMap(points[i].uv);
        const QPointF along = picture_.toMap(points[i + 1].uv) - picture_.toMap(points[i - 1].uv);
        const double length = std::hypot(along.x(), along.y());
        if (length < 1e-6)
            continue;
        const QPointF aside(-along.y() / length * 4, along.x() / length * 4);
        for (const auto& pen : {QPen(Qt::black, 3), QPen(Qt::white, 1.2)}) {
            p.setPen(pen);
            p.drawLine(here - aside, here + aside);
        }
    }
}

void CrossfadeMap::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    picture_.paintLocus(p);
    const auto* picture = model_.picture();
    if (!picture || !picture->reach.hasInside())
        return;
    const auto& colours = model_.document().colours();
    picture_.paintReach(p, picture->reach, colours);
    picture_.paintOutline(p, picture->reach, QPen(theme().text, 1));
    const auto d = disc();
    if (d)
        paintSector(p, *d);
    if (d && model_.way().kind == Kind::Around && radius() > 0) {
        QPolygonF ring;
        for (int i = 0; i < 72; ++i)
            ring << picture_.toMap(d->fromDisc({radius(), i * kPi / 36}));
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(QColor(0, 0, 0, 160), 2.4));
        p.drawPolygon(ring);
        p.setPen(QPen(Qt::white, 1, Qt::DotLine));
        p.drawPolygon(ring);
    }
    const auto& focus = picture->focus();
    QPolygonF would;
    for (const Uv& uv : lineOf(focus.would))
        would << picture_.toMap(uv);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(QColor(0, 0, 0, 200), 2.4));
    p.drawPolyline(would);
    p.setPen(QPen(QColor(230, 230, 230), 1.2, Qt::DashLine));
    p.drawPolyline(would);
    picture_.paintWay(p, lineOf(focus.planned));
    paintTicks(p);
    drawWanted(p, picture_.toMap(white()));
    points_.paint(p);
    for (const bool to : {false, true})
        if (const auto uv = model_.endUv(to))
            picture_.paintDot(p, *uv, colours.of(colour::toXyz(*uv)),
                              to == model_.chosenTo() ? 6 : 4.5);
    const auto i = static_cast<std::size_t>(
        std::lround(model_.moment() * (static_cast<double>(focus.planned.fade.points.size()) - 1)));
    p.setBrush(Qt::black);
    p.setPen(QPen(Qt::white, 1));
    p.drawEllipse(picture_.toMap(focus.would.fade.points[i].uv), 2.5, 2.5);
    drawGot(p, picture_.toMap(focus.planned.fade.points[i].uv));
    if (hasFocus())
        drawFocusBrackets(p, rect().adjusted(1, 1, -1, -1));
}

// --- by hand

CrossfadeMap::Thing CrossfadeMap::at(const QPointF& pos) const {
    const auto d = disc();
    if (!d)
        return Thing::None;
    if (QLineF(picture_.toMap(white()), pos).length() <= kNear)
        return Thing::White;
    const auto toLine = [&](double angle) { // from the white to the edge in that hue
        const QPointF a = picture_.toMap(white());
        const QPointF along = picture_.toMap(d->fromDisc({1, angle})) - a;
        const double length = QPointF::dotProduct(along, along);
        const double part = std::clamp(QPointF::dotProduct(pos - a, along) / length, 0.3, 1.0);
        return QLineF(a + part * along, pos).length();
    };
    const bool around = model_.way().kind == Kind::Around;
    if (around && model_.way().keep_out) {
        if (toLine(model_.way().keep_out->from) <= kNear - 3)
            return Thing::SectorFrom;
        if (toLine(model_.way().keep_out->to) <= kNear - 3)
            return Thing::SectorTo;
    }
    if (points_.hits(pos))
        return Thing::Via;
    const auto polar = d->toDisc(picture_.fromMap(pos));
    const QPointF ring = picture_.toMap(d->fromDisc({radius(), polar.angle}));
    return around && QLineF(ring, pos).length() <= kNear - 2 ? Thing::Ring : Thing::None;
}

void CrossfadeMap::move(const Uv& to, int gesture) {
    const auto d = disc();
    if (!d)
        return;
    const auto polar = d->toDisc(to);
    switch (grab_) {
    case Thing::White:
        return model_.setWhite(nearestWhite_k(to), gesture);
    case Thing::Via:
        return points_.drag(to, gesture);
    case Thing::Ring: {
        const double ends = radius() / std::max(1e-9, model_.way().floor);
        if (!(ends > 1e-6))
            return;
        return model_.editWay(
            tr("Saturation floor"),
            [&](route::StopWay& w) {
                w.floor = std::round(100 * std::clamp(polar.rho / ends, 0.0, 1.0)) / 100;
            },
            gesture);
    }
    case Thing::SectorFrom:
    case Thing::SectorTo:
        return model_.editWay(
            tr("Hues to stay out of"),
            [&](route::StopWay& w) {
                if (w.keep_out)
                    (grab_ == Thing::SectorFrom ? w.keep_out->from : w.keep_out->to) = polar.angle;
            },
            gesture);
    case Thing::None:
        return;
    }
}

void CrossfadeMap::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !model_.picture())
        return;
    const QPointF pos = event->position();
    gesture_.begin();
    grab_ = at(pos);
    if (grab_ == Thing::Via)
        points_.press(pos, gesture_.now());
}

void CrossfadeMap::mouseMoveEvent(QMouseEvent* event) {
    if (grab_ != Thing::None)
        return move(picture_.fromMap(event->position()), gesture_.now());
    setCursor(at(event->position()) == Thing::None ? Qt::ArrowCursor : Qt::PointingHandCursor);
}

void CrossfadeMap::mouseReleaseEvent(QMouseEvent*) {
    grab_ = Thing::None;
}

void CrossfadeMap::mouseDoubleClickEvent(QMouseEvent* event) {
    grab_ = Thing::None;
    points_.doubleClick(event->position());
}

bool CrossfadeMap::claims(const QKeyEvent& key) const {
    return WayPoints::claims(key);
}

void CrossfadeMap::keyPressEvent(QKeyEvent* event) {
    if (!model_.picture())
        return QWidget::keyPressEvent(event);
    if (points_.key(*event, gesture_))
        return;
    const auto step = arrowStep(*event);
    if (!step)
        return QWidget::keyPressEvent(event);
    const double k = model_.document().show().white_cct_k; // to the left it is cooler
    const double kelvins =
        (event->modifiers() & Qt::ShiftModifier ? 10 : 100) * (step->u < 0 || step->v < 0 ? 1 : -1);
    model_.setWhite(std::clamp(k + kelvins, show::kLeastWhite_k, show::kMostWhite_k),
                    gesture_.step());
}

std::vector<PaintedPart> CrossfadeMap::parts() {
    std::vector<PaintedPart> all;
    if (!model_.picture())
        return all;
    const auto add = [&](const QString& name, const QString& value, const QPoint& at, bool chosen,
                         std::function<void()> press) {
        all.push_back({name, value, QRect(at - QPoint(6, 6), QSize(13, 13)), QAccessible::ListItem,
                       chosen, std::move(press)});
    };
    for (const bool to : {false, true})
        if (const auto uv = model_.endUv(to))
            add(to ? tr("To") : tr("From"), uvText(*uv), pointOf(*uv), to == model_.chosenTo(),
                [this, to] { model_.choose(to); });
    add(tr("white"), tr("%1 K").arg(numberText(model_.document().show().white_cct_k, 0)),
        pointOf(white()), !points_.chosen(), [this] { points_.choose(std::nullopt); });
    if (model_.way().kind == Kind::Around)
        add(tr("saturation floor"), tr("%1 %").arg(numberText(100 * model_.way().floor, 0)),
            ringPoint(), false, {});
    points_.addParts(all);
    return all;
}

} // namespace zelo::desk
