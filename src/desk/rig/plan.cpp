// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/plan.h"

#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/figures.h"
#include "desk/kit/lamp_marks.h"
#include "desk/kit/light_pools.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"
#include "play/stage_picture.h"
#include "show/arrange.h"
#include "show/patch.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QWheelEvent>
#include <algorithm>
#include <cmath>
#include <set>

namespace zelo::desk {

using show::FixtureId;

namespace {
constexpr double kFigure = 7; // half the width that a figure is taken by, px
constexpr double kLamp = kLampMark;
bool isReturn(const QKeyEvent& key) { // also with Shift
    return key.key() == Qt::Key_Return || key.key() == Qt::Key_Enter;
}

constexpr double kSnap_m = 0.1; // a dragged lamp stands on tenths of a metre
constexpr double kMargin_m = 0.9;
constexpr std::size_t kMostLooked = 300; // lamps: more are not kept from labels
constexpr double kLeastScale = 4, kMostScale = 400;
} // namespace

Plan::Plan(Document& document, QWidget* parent) : QWidget(parent), document_(document) {
    setAccessibleName(tr("Plan"));
    setToolTip(
        tr("Lamps where they hang: press or sweep to choose (Shift adds, Ctrl toggles), drag "
           "to move, wheel to zoom, Alt and drag to move the paper"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAcceptDrops(true);
    watch(document_, this, Change::Light | Change::Lineup | Change::Hand, [this] { update(); });
    watch(document_, this, Change::Rig, [this] {
        if (fitted_)
            fit();
        update();
    });
}

void Plan::setBeams(bool on) {
    beams_ = on;
    update();
}

void Plan::fit() {
    fitted_ = true;
    QRectF all;
    for (const auto& [id, f] : document_.show().fixtures)
        all |= QRectF(f->place.x_m - 0.01, f->place.y_m - 0.01, 0.02, 0.02);
    if (const auto& stage = document_.show().stage)
        for (const auto& point : stage->outline)
            all |= QRectF(point.x_m - 0.01, point.y_m - 0.01, 0.02, 0.02);
    if (all.isNull())
        all = QRectF(-6, -2, 12, 8);
    all.adjust(-kMargin_m, -kMargin_m - 0.5, kMargin_m, kMargin_m + 0.4); // numbers stand there
    scale_ = std::clamp(std::min(width() / all.width(), height() / all.height()), kLeastScale,
                        kMostScale);
    middle_ = all.center();
    update();
}

void Plan::resizeEvent(QResizeEvent*) {
    if (fitted_)
        fit();
}

QPointF Plan::toPixels(double x_m, double y_m) const { // upstage is up
    return {width() / 2.0 + (x_m - middle_.x()) * scale_,
            height() / 2.0 - (y_m - middle_.y()) * scale_};
}

QPointF Plan::toMetres(const QPointF& p) const {
    return {middle_.x() + (p.x() - width() / 2.0) / scale_,
            middle_.y() - (p.y() - height() / 2.0) / scale_};
}

QPointF Plan::place(FixtureId id) const {
    const auto* f = document_.show().fixture(id);
    return f ? toPixels(f->place.x_m, f->place.y_m) : QPointF();
}

void Plan::setHidden(show::GroupId group, bool on) {
    if (on)
        hidden_.insert(group);
    else
        hidden_.erase(group);
    update();
}

std::size_t Plan::outOfSight() const {
    return hidden_.empty() ? 0 : document_.show().fixtures.size() - seen().size();
}

std::vector<std::pair<FixtureId, std::shared_ptr<const show::Fixture>>> Plan::seen() const {
    std::set<FixtureId> gone;
    std::set<FixtureId> held; // by a group that is not hidden
    for (const auto& [id, group] : document_.show().groups) {
        if (hidden_.empty())
            break;
        auto& into = hidden_.contains(id) ? gone : held;
        into.insert(group->fixtures.begin(), group->fixtures.end());
    }
    std::vector<std::pair<FixtureId, std::shared_ptr<const show::Fixture>>> all;
    for (const auto& [id, f] : document_.show().fixtures)
        if (!gone.contains(id) || held.contains(id))
            all.emplace_back(id, f);
    return all;
}

std::optional<FixtureId> Plan::lampAt(const QPointF& pos) const {
    std::optional<FixtureId> nearest;
    double least = kLamp + 3;
    for (const auto& [id, f] : seen()) {
        const QPointF off = toPixels(f->place.x_m, f->place.y_m) - pos;
        if (const double d = std::hypot(off.x(), off.y()); d < least) {
            least = d;
            nearest = id;
        }
    }
    return nearest;
}

// A line each metre when they stand apart, stronger each fifth; the middle line of the stage.
void Plan::paintPaper(QPainter& p) const {
    const QPointF a = toMetres({0, static_cast<double>(height())});
    const QPointF b = toMetres({static_cast<double>(width()), 0});
    const int step = scale_ >= 22 ? 1 : scale_ >= 6 ? 5 : 10;
    const auto line = [&](int m, bool upright) {
        const QPointF at = upright ? toPixels(m, 0) : toPixels(0, m);
        const QColor c = m == 0 && upright ? theme().faint
                         : m % 5 == 0      ? theme().hair
                                           : theme().lift;
        if (upright)
            p.fillRect(QRectF(std::round(at.x()), 0, 1, height()), c);
        else
            p.fillRect(QRectF(0, std::round(at.y()), width(), 1), c);
    };
    for (int m = static_cast<int>(std::floor(a.x() / step)) * step; m <= b.x(); m += step)
        line(m, true);
    for (int m = static_cast<int>(std::floor(a.y() / step)) * step; m <= b.y(); m += step)
        line(m, false);
}

// The lowest place in an area, then the leftmost, where no lamp and no number stands; the
// baseline's left end.
QPoint Plan::roomForName(const QRectF& box, int width) const {
    std::vector<QRectF> taken;
    for (const auto& [id, f] : seen()) {
        const QPointF at = toPixels(f->place.x_m, f->place.y_m);
        const QRectF lamp(at.x() - kLamp - 6, at.y() - kLamp - 4, 2 * kLamp + 12, 2 * kLamp + 24);
        if (lamp.intersects(box))
            taken.push_back(lamp);
    }
    constexpr int kHigh = 12;
    const QPoint first(static_cast<int>(box.left()) + 6, static_cast<int>(box.bottom()) - 4);
    for (double y = box.bottom() - 4; y > box.top() + kHigh; y -= 6)
        for (double x = box.left() + 6; x + width < box.right() - 4; x += 8)
            if (std::none_of(taken.begin(), taken.end(), [&](const QRectF& r) {
                    return r.intersects(QRectF(x - 2, y - kHigh, width + 4, kHigh + 4));
                }))
                return {static_cast<int>(x), static_cast<int>(y)};
    return first;
}

// The stage's outline and its areas with their names; the one under the pointer stronger.
void Plan::paintStage(QPainter& p) {
    const auto& stage = document_.show().stage;
    if (!stage)
        return;
    const auto polygon = [this](const std::vector<show::Point>& outline) {
        QPolygonF shape;
        for (const auto& point : outline)
            shape << toPixels(point.x_m, point.y_m);
        return shape;
    };
    p.setRenderHint(QPainter::Antialiasing, false);
    p.setBrush(Qt::NoBrush);
    for (const auto& area : stage->areas) {
        const bool under = area.name == hovered_area_;
        const QPolygonF shape = polygon(area.outline);
        p.setPen(QPen(under ? theme().text : theme().faint, 1));
        p.drawPolygon(shape);
        const QRectF box = shape.boundingRect();
        const QFont font = typeface(Type::Small);
        const QPoint at = roomForName(box, textWidth(toQt(area.name), font));
        const int wide = textWidth(toQt(area.name), font);
        taken_.emplace_back(at.x() - 1, at.y() - 10, wide + 2, 12);
        drawText(p, at.x(), at.y(), toQt(area.name), font, under ? theme().bright : theme().text);
    }
    if (stage->outline.size() >= 3) {
        p.setPen(QPen(theme().rule, 1.5));
        p.drawPolygon(polygon(stage->outline));
    }
}

// People: a head over a robe, standing at their place.
void Plan::paintFigures(QPainter& p) const {
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(theme().text, 1.2));
    p.setBrush(theme().bench);
    for (const auto& figure : play::figuresOf(document_.show())) {
        const QPointF at = toPixels(figure.x_m, figure.y_m);
        p.drawPolygon(QPolygonF{{at + QPointF(-2.5, -2), at + QPointF(2.5, -2),
                                 at + QPointF(5.5, 7), at + QPointF(-5.5, 7)}});
        p.drawEllipse(at + QPointF(0, -5), 3.2, 3.2);
    }
}

std::optional<std::size_t> Plan::figureAt(const QPointF& pos) const {
    const auto figures = play::figuresOf(document_.show());
    for (std::size_t i = figures.size(); i-- > 0;) {
        const QPointF off = pos - toPixels(figures[i].x_m, figures[i].y_m);
        if (std::abs(off.x()) <= kFigure && std::abs(off.y()) <= kFigure + 2)
            return i;
    }
    return std::nullopt;
}

// Under its lamp, over it or beside it: where it hits no other lamp and no other label.
QPoint Plan::roomForNumber(const QPointF& at, int wide) {
    const double far = kLamp + 6;
    const int high = QFontMetrics(typeface(Type::Small)).capHeight();
    const QPointF lefts[] = {{at.x() - wide / 2.0, at.y() + far + high + 1},
                             {at.x() - wide / 2.0, at.y() - far},
                             {at.x() + far, at.y() + high / 2.0},
                             {at.x() - far - wide, at.y() + high / 2.0}};
    QRectF best;
    int fewest = 1000;
    for (const QPointF& left : lefts) {
        const QRectF label(left.x() - 1, left.y() - high - 1, wide + 2, high + 2);
        int hits = QRectF(rect()).contains(label) ? 0 : 10;
        for (const QRectF& other : taken_)
            hits += label.intersects(other);
        if (hits >= fewest)
            continue;
        fewest = hits;
        best = label;
        if (hits == 0)
            break;
    }
    taken_.push_back(best);
    return {static_cast<int>(best.left()) + 1, static_cast<int>(best.bottom()) - 1};
}

void Plan::paintLamp(QPainter& p, const show::Fixture& f, int kind, bool chosen) {
    const QPointF at = toPixels(f.place.x_m, f.place.y_m);
    paintLampMark(p, at, kind, document_.stage().lamp(f.id), document_.colours(), chosen);
    if (scale_ >= 14) {
        const QString number = QString::number(f.number);
        const QFont small = typeface(Type::Small);
        const QPoint room = roomForNumber(at, textWidth(number, small));
        drawText(p, room.x(), room.y(), number, small, chosen ? theme().bright : theme().text);
    }
}

void Plan::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    paintPaper(p);
    const auto lamps = seen();
    std::set<FixtureId> shown;
    for (const auto& [id, f] : lamps)
        shown.insert(shown.end(), id);
    if (beams_)
        paintPools(p, rect(), document_.stage(), document_.show(), shown, document_.colours(),
                   scale_, [this](const show::Point& m) { return toPixels(m.x_m, m.y_m); });
    taken_.clear();
    if (lamps.size() <= kMostLooked)
        for (const auto& [id, f] : lamps) {
            const QPointF at = toPixels(f->place.x_m, f->place.y_m);
            taken_.emplace_back(at.x() - kLamp, at.y() - kLamp, 2 * kLamp, 2 * kLamp);
        }
    paintStage(p);
    paintFigures(p);
    show::Lineup lineup = document_.lineup(); // as far as it is seen
    std::erase_if(lineup, [&](FixtureId id) { return !shown.contains(id); });
    const std::set<FixtureId> chosen(lineup.begin(), lineup.end());
    const auto kinds = lampKinds(document_.show());
    for (const auto& [id, f] : lamps)
        paintLamp(p, *f, kinds.at(f->type), chosen.contains(id));
    // The order of the lineup, from lamp to lamp.
    p.setPen(QPen(theme().rule, 1));
    for (std::size_t i = 1; i < lineup.size() && lineup.size() <= 60; ++i) {
        const QPointF a = place(lineup[i - 1]);
        const QPointF b = place(lineup[i]);
        const double length = std::hypot(b.x() - a.x(), b.y() - a.y());
        if (length < 40)
            continue;
        const QPointF way = (b - a) / length;
        const QPointF m = (a + b) / 2;
        p.drawLine(a + way * (kLamp + 6), b - way * (kLamp + 6));
        p.setBrush(theme().text);
        p.setPen(Qt::NoPen);
        const QPointF side(-way.y(), way.x());
        p.drawPolygon(QPolygonF{{m + way * 4, m - way * 4 + side * 4, m - way * 4 - side * 4}});
        p.setPen(QPen(theme().rule, 1));
    }
    if (drag_ == Drag::Sweep) {
        p.setPen(QPen(theme().bright, 1, Qt::DotLine));
        p.setBrush(Qt::NoBrush);
        p.drawRect(QRectF(from_, now_).normalized());
    }
    if (document_.show().fixtures.empty())
        drawTextCentred(p, width() / 2, height() / 2,
                        tr("No lamps yet: Add lamps… puts the first ones here."),
                        typeface(Type::Work), theme().dim);
    if (!hasFocus())
        return;
    drawFocusBrackets(p, rect().adjusted(4, 4, -4, -4));
    if (cursor_ && shown.contains(*cursor_))
        drawFocusBrackets(p, QRect(place(*cursor_).toPoint() - QPoint(17, 17), QSize(34, 34)));
}

void Plan::choose(const std::vector<FixtureId>& ids, How how) {
    show::Lineup lineup = how == How::Only ? show::Lineup{} : document_.lineup();
    for (const FixtureId id : ids) {
        const auto it = std::find(lineup.begin(), lineup.end(), id);
        if (it == lineup.end())
            lineup.push_back(id);
        else if (how == How::Toggle)
            lineup.erase(it);
    }
    document_.setLineup(std::move(lineup));
}

void Plan::chooseArea(const show::Area& area, How how) {
    const auto ids = show::fixturesLighting(document_.show(), area);
    if (ids.empty())
        return document_.tell(tr("No lamp lights “%1”.").arg(toQt(area.name)));
    choose(ids, how);
}

void Plan::hoverArea(const QPointF& at) {
    const auto& stage = document_.show().stage;
    const QPointF m = toMetres(at);
    const show::Area* area = stage ? show::areaAt(*stage, {m.x(), m.y()}) : nullptr;
    const std::string name = area && !lampAt(at) ? area->name : std::string();
    if (name == hovered_area_)
        return;
    hovered_area_ = name;
    update();
}

void Plan::arrange(Arrange how) {
    const auto& lineup = document_.lineup();
    const auto& show = document_.state().show;
    const auto lamps = lampCount(lineup.size());
    const auto [name, next] = [&]() -> std::pair<QString, Result<show::ShowPtr>> {
        switch (how) {
        case Arrange::Row:
            return {tr("Align %1").arg(lamps), show::alignInRow(show, lineup)};
        case Arrange::Even:
            return {tr("Spread %1 evenly").arg(lamps), show::spreadEvenly(show, lineup)};
        case Arrange::TurnLeft:
            return {tr("Turn %1").arg(lamps), show::turnAbout(show, lineup, -15)};
        case Arrange::TurnRight:
            return {tr("Turn %1").arg(lamps), show::turnAbout(show, lineup, 15)};
        case Arrange::PanLeft:
            return {tr("Pan %1").arg(lamps), show::panBeams(show, lineup, -5)};
        case Arrange::PanRight:
            break;
        }
        return {tr("Pan %1").arg(lamps), show::panBeams(show, lineup, 5)};
    }();
    fitted_ = false;
    document_.edit(name, next);
}

void Plan::mousePressEvent(QMouseEvent* event) {
    from_ = now_ = event->position();
    gesture_.begin();
    if (event->button() == Qt::MiddleButton ||
        (event->button() == Qt::LeftButton && event->modifiers() & Qt::AltModifier)) {
        drag_ = Drag::Paper;
        return;
    }
    if (event->button() != Qt::LeftButton)
        return;
    pressed_ = lampAt(from_);
    if (!pressed_) {
        const auto figure = figureAt(from_);
        drag_ = figure ? Drag::Figure : Drag::Sweep;
        figure_ = figure.value_or(0);
        return;
    }
    const auto& lineup = document_.lineup();
    const bool in = std::find(lineup.begin(), lineup.end(), *pressed_) != lineup.end();
    if (event->modifiers() & Qt::ControlModifier)
        choose({*pressed_}, How::Toggle);
    else if (event->modifiers() & Qt::ShiftModifier)
        choose({*pressed_}, How::Add);
    else if (!in)
        choose({*pressed_}, How::Only);
    drag_ = Drag::Lamps;
    before_ = document_.state().show;
}

void Plan::moveChosen(double dx_m, double dy_m, const std::string& merge) {
    const auto& lineup = document_.lineup();
    const auto next = show::changeEach(
        before_ ? before_ : document_.state().show, lineup, [&](show::Fixture& f, std::size_t) {
            f.place.x_m = std::round((f.place.x_m + dx_m) / kSnap_m) * kSnap_m;
            f.place.y_m = std::round((f.place.y_m + dy_m) / kSnap_m) * kSnap_m;
        });
    const auto name = tr("Move %1").arg(lampCount(lineup.size()));
    fitted_ = false; // the paper stays where it is under a moving lamp
    document_.edit(name, next, merge);
}

void Plan::mouseMoveEvent(QMouseEvent* event) {
    const QPointF before = now_;
    now_ = event->position();
    switch (drag_) {
    case Drag::None:
        hoverArea(now_);
        setCursor(lampAt(now_) || figureAt(now_) || !hovered_area_.empty() ? Qt::PointingHandCursor
                                                                           : Qt::ArrowCursor);
        return;
    case Drag::Paper:
        fitted_ = false;
        middle_ -= QPointF((now_.x() - before.x()) / scale_, -(now_.y() - before.y()) / scale_);
        break;
    case Drag::Lamps:
        if ((now_ - from_).manhattanLength() > 4)
            moveChosen((now_.x() - from_.x()) / scale_, -(now_.y() - from_.y()) / scale_,
                       fmt::format("plan {}", gesture_.now()));
        break;
    case Drag::Figure:
        if ((now_ - from_).manhattanLength() > 4)
            moveFigure(document_, figure_, {toMetres(now_).x(), toMetres(now_).y()},
                       gesture_.now());
        break;
    case Drag::Sweep:
        break;
    }
    update();
}

std::vector<FixtureId> Plan::swept() const {
    const QRectF box = QRectF(from_, now_).normalized();
    const QPointF way = now_ - from_;
    std::vector<std::pair<double, FixtureId>> found;
    for (const auto& [id, f] : seen()) {
        const QPointF at = toPixels(f->place.x_m, f->place.y_m);
        if (box.contains(at))
            found.emplace_back(QPointF::dotProduct(at - from_, way), id);
    }
    std::sort(found.begin(), found.end());
    std::vector<FixtureId> ids;
    for (const auto& [along, id] : found)
        ids.push_back(id);
    return ids;
}

void Plan::mouseReleaseEvent(QMouseEvent* event) {
    const bool moved = (now_ - from_).manhattanLength() > 4;
    if (drag_ == Drag::Sweep) {
        const auto keys = event->modifiers();
        const How how = keys & Qt::ControlModifier ? How::Toggle
                        : keys & Qt::ShiftModifier ? How::Add
                                                   : How::Only;
        const QPointF m = toMetres(now_);
        const auto& stage = document_.show().stage;
        const show::Area* area = stage && !moved ? show::areaAt(*stage, {m.x(), m.y()}) : nullptr;
        if (moved)
            choose(swept(), how);
        else if (area)
            chooseArea(*area, how);
        else if (how == How::Only)
            choose({}, How::Only);
    }
    drag_ = Drag::None;
    before_.reset();
    update();
}

// A wheel zooms; two fingers on a trackpad, or Shift or Alt and a wheel, move the paper; with Ctrl
// both zoom.
void Plan::wheelEvent(QWheelEvent* event) {
    const QPointF at = event->position();
    const auto keys = event->modifiers();
    const QPoint fingers = event->pixelDelta();
    fitted_ = false;
    if (!(keys & Qt::ControlModifier) &&
        (!fingers.isNull() || keys & (Qt::ShiftModifier | Qt::AltModifier))) {
        QPointF by = fingers.isNull() ? QPointF(event->angleDelta()) / 2.0 : QPointF(fingers);
        if (fingers.isNull() && keys & Qt::ShiftModifier && by.x() == 0)
            by = {by.y(), 0};
        middle_ -= QPointF(by.x() / scale_, -by.y() / scale_);
        return update();
    }
    const QPointF under = toMetres(at);
    scale_ =
        std::clamp(scale_ * std::pow(1.0015, event->angleDelta().y()), kLeastScale, kMostScale);
    middle_ += under - toMetres(at); // what is under the pointer stays there
    update();
}

void Plan::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

void Plan::dropEvent(QDropEvent* event) {
    const auto asked = colourOf(event->mimeData());
    if (!asked)
        return;
    show::Lineup lamps;
    const QPointF m = toMetres(event->position());
    const auto& stage = document_.show().stage;
    if (const auto lamp = lampAt(event->position()))
        lamps = {*lamp};
    else if (const auto* area = stage ? show::areaAt(*stage, {m.x(), m.y()}) : nullptr)
        lamps = show::fixturesLighting(document_.show(), *area);
    giveColour(document_, lamps, *asked);
    event->acceptProposedAction();
}

PaintedPart Plan::partOf(const show::Fixture& f) {
    const auto& lineup = document_.lineup();
    const QPointF at = place(f.id);
    return {
        tr("Lamp %1").arg(f.number),
        tr("%1 m across, %2 m upstage").arg(numberText(f.place.x_m, 1), numberText(f.place.y_m, 1)),
        QRectF(at.x() - kLamp, at.y() - kLamp, 2 * kLamp, 2 * kLamp).toRect(),
        QAccessible::ListItem,
        std::find(lineup.begin(), lineup.end(), f.id) != lineup.end(),
        [this, id = f.id] { choose({id}, How::Toggle); }};
}

std::vector<PaintedPart> Plan::parts() {
    std::vector<PaintedPart> all;
    for (const auto& [id, f] : seen())
        all.push_back(partOf(*f));
    return all;
}

std::size_t Plan::partCount() {
    return document_.show().fixtures.size() - outOfSight();
}

std::optional<PaintedPart> Plan::part(std::size_t index) {
    const auto lamps = seen();
    return index < lamps.size() ? std::optional(partOf(*lamps[index].second)) : std::nullopt;
}

bool Plan::claims(const QKeyEvent& key) const {
    switch (key.key()) {
    case Qt::Key_Left:
    case Qt::Key_Right:
    case Qt::Key_Up:
    case Qt::Key_Down:
        return true; // with Alt they move the paper
    case Qt::Key_Plus:
    case Qt::Key_Equal:
    case Qt::Key_Minus:
        return isText(key);
    default:
        return isReturn(key) && cursor_.has_value();
    }
}

// To the lamp that lies nearest in this direction: half as much counts what is straight ahead.
void Plan::moveCursor(const QPointF& way) {
    const auto lamps = seen();
    const auto known = std::any_of(lamps.begin(), lamps.end(),
                                   [&](const auto& lamp) { return lamp.first == cursor_; });
    if (!known) { // from the first of the lineup
        const auto& lineup = document_.lineup();
        cursor_ = !lineup.empty()  ? std::optional(lineup.front())
                  : !lamps.empty() ? std::optional(lamps.front().first)
                                   : std::nullopt;
        return update();
    }
    const QPointF from = place(*cursor_);
    double least = HUGE_VAL;
    for (const auto& [id, f] : lamps) {
        const QPointF off = toPixels(f->place.x_m, f->place.y_m) - from;
        const double ahead = QPointF::dotProduct(off, way);
        const double aside = std::abs(off.x() * way.y() - off.y() * way.x());
        if (id == *cursor_ || ahead <= 1 || aside > 2 * ahead || ahead + 2 * aside >= least)
            continue;
        least = ahead + 2 * aside;
        cursor_ = id;
    }
    update();
}

void Plan::keyPressEvent(QKeyEvent* event) {
    if (isReturn(*event) && cursor_)
        return choose({*cursor_}, event->modifiers() & Qt::ShiftModifier ? How::Toggle : How::Only);
    if (event->modifiers() & Qt::ControlModifier && isArrow(*event)) {
        const int key = event->key();
        return moveCursor(key == Qt::Key_Left    ? QPointF(-1, 0)
                          : key == Qt::Key_Right ? QPointF(1, 0)
                          : key == Qt::Key_Up    ? QPointF(0, -1)
                                                 : QPointF(0, 1));
    }
    const double step = event->modifiers() & Qt::ShiftModifier ? kSnap_m : 5 * kSnap_m;
    const auto nudge = [&](double x, double y) {
        if (event->modifiers() & Qt::AltModifier) { // the paper instead of the lamps
            fitted_ = false;
            middle_ += QPointF(x, y) * 40 / scale_;
            return update();
        }
        if (document_.lineup().empty())
            return;
        moveChosen(x * step, y * step, fmt::format("plan {}", gesture_.step()));
    };
    switch (event->key()) {
    case Qt::Key_Left:
        return nudge(-1, 0);
    case Qt::Key_Right:
        return nudge(1, 0);
    case Qt::Key_Up:
        return nudge(0, 1);
    case Qt::Key_Down:
        return nudge(0, -1);
    case Qt::Key_Plus:
    case Qt::Key_Equal:
    case Qt::Key_Minus:
        fitted_ = false;
        scale_ = std::clamp(scale_ * (event->key() == Qt::Key_Minus ? 0.8 : 1.25), kLeastScale,
                            kMostScale);
        return update();
    default:
        break;
    }
    QWidget::keyPressEvent(event);
}

} // namespace zelo::desk
