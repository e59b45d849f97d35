// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/fade_plot.h"

#include "desk/crossfade/ribbon.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <cmath>

namespace zelo::desk {

using play::SeenWay;
using route::Kind;

namespace {

constexpr int kLeft = 24;
constexpr int kRight = 24;
constexpr int kNearFloor = 5; // px
constexpr double kStep = 0.01;
constexpr int kMostNamed = 3; // emitters at full

QString secondsText(double seconds) {
    return numberText(seconds, seconds < 100 ? 1 : 0);
}

// Even ticks that leave room for their figures: 1, 2, 5, 10, … seconds.
double tickOf(double whole_s, int room) {
    double tick = 1;
    for (double decade = 0.1; decade < 1e6; decade *= 10)
        for (const double each : {1.0, 2.0, 5.0}) {
            tick = each * decade;
            if (whole_s / tick <= std::max(1, room / 70))
                return tick;
        }
    return tick;
}

} // namespace

FadePlot::FadePlot(CrossfadeModel& model, QWidget* parent) : QWidget(parent), model_(model) {
    setAccessibleName(tr("Crossfade over its time"));
    setToolTip(tr("Above as a desk would fade that knows levels only, below as it is planned. Drag "
                  "the line, or press anywhere: the lamps show that moment. Arrows move it, Home "
                  "and End go to the ends. Drag the dotted line of saturation for the floor."));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    watch(model_, &CrossfadeModel::modelChanged, this, [this] { update(); });
    watch(model_, &CrossfadeModel::momentChanged, this, [this] { update(); });
    watch(model_.document(), this, Change::Seen, [this] { update(); });
}

void FadePlot::setConsole(bool on) {
    console_ = on;
    update();
}

// The ribbons take what the curves leave.
FadePlot::Rows FadePlot::rows() const {
    const int bracket = 0;
    const int ribbons = 40;
    const int room = height() - ribbons - 22 - 22; // the axis, and the steps
    const int curves = std::clamp(room * 5 / 9, 90, 260);
    const int all = std::max(60, room - curves);
    const int count = console_ ? 3 : 2;
    const int axis = ribbons + all;
    const int saturation_high = (curves - 26) / 2;
    const int saturation = axis + 30;
    const int brightness = saturation + saturation_high + 14;
    return {bracket,      ribbons,         all / count, axis,
            saturation,   saturation_high, brightness,  height() - 24 - brightness,
            height() - 24};
}

int FadePlot::xOf(double share) const {
    return kLeft + static_cast<int>(std::lround(share * (width() - kLeft - kRight)));
}

double FadePlot::shareAt(double x) const {
    return std::clamp((x - kLeft) / std::max(1, width() - kLeft - kRight), 0.0, 1.0);
}

int FadePlot::yOfSaturation(double saturation) const {
    const Rows r = rows();
    return r.saturation + r.saturation_high -
           static_cast<int>(std::lround(std::clamp(saturation, 0.0, 1.0) * r.saturation_high));
}

QPoint FadePlot::ribbonPoint(int ribbon, double share) const {
    const Rows r = rows();
    return {xOf(share), r.ribbons + ribbon * r.ribbon + r.ribbon / 2};
}

QPoint FadePlot::floorPoint() const {
    return {xOf(0.75), yOfSaturation(floorSaturation())};
}

bool FadePlot::hasFloor() const {
    return model_.picture() && model_.way().kind == Kind::Around;
}

double FadePlot::floorSaturation() const {
    const auto& points = model_.picture()->focus().planned.fade.points;
    return model_.way().floor * std::min(points.front().saturation, points.back().saturation);
}

// --- painting

void FadePlot::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    const Rows r = rows();
    if (!model_.picture())
        return;
    const auto& focus = model_.picture()->focus();
    drawText(p, kLeft, r.ribbons - 20, tr("as it would fade"), typeface(Type::Work), theme().text);
    paintBracket(p, focus.would, r.ribbons);
    const auto ribbon = [&](const SeenWay& way, int which) {
        const QRect place(xOf(0), r.ribbons + which * r.ribbon, xOf(1) - xOf(0), r.ribbon);
        paintRibbon(p, place, *focus.fading.mixer, way, model_.document().colours());
    };
    ribbon(focus.would, 0);
    ribbon(focus.planned, 1);
    if (console_)
        ribbon(model_.picture()->console, 2);
    paintAxis(p, axisY());
    paintSaturation(p);
    paintBrightness(p);
    paintSteps(p, r.steps);
    paintMoment(p);
    if (hasFocus())
        drawFocusBrackets(p, QRect(xOf(0) - 5, r.ribbons - 5, xOf(1) - xOf(0) + 10,
                                   (console_ ? 3 : 2) * r.ribbon + 10));
}

void FadePlot::paintBracket(QPainter& p, const SeenWay& would, int y) const {
    if (!(would.white_dip > 0.05) || !(would.dip_to > would.dip_from))
        return;
    const double whole = model_.fade().time_s;
    const int a = xOf(would.dip_from);
    const int b = xOf(would.dip_to);
    const int middle = (a + b) / 2;
    p.fillRect(a, y - 11, b - a, 2, theme().bright);
    p.fillRect(a, y - 11, 2, 8, theme().bright);
    p.fillRect(b - 2, y - 11, 2, 8, theme().bright);
    p.setRenderHint(QPainter::Antialiasing);
    drawPointer(p, QPointF(middle, y - 2), Points::Down, 12, 7, theme().bright);
    p.setRenderHint(QPainter::Antialiasing, false);
    const QString dip = tr("white dip %1 %").arg(numberText(100 * would.white_dip, 0));
    const QString when =
        tr("%1 to %2 s")
            .arg(secondsText(whole * would.dip_from), secondsText(whole * would.dip_to));
    const int words = textWidth(dip, typeface(Type::Work, true));
    const int times = textWidth(when, typeface(Type::Small));
    const int name = textWidth(tr("as it would fade"), typeface(Type::Work));
    const int x = std::clamp(middle - words / 2, kLeft + name + 20,
                             std::max(kLeft + name + 20, xOf(1) - words - times - 16));
    drawText(p, x, y - 20, dip, typeface(Type::Work, true), theme().bright);
    if (x + words + 16 + times <= width())
        drawText(p, x + words + 16, y - 20, when, typeface(Type::Small), theme().dim);
}

void FadePlot::paintAxis(QPainter& p, int y) const {
    const double whole = model_.fade().time_s;
    const QString name = tr("as planned");
    drawText(p, kLeft, y + 20, name, typeface(Type::Work), theme().text);
    const int room = xOf(1) - xOf(0);
    const double tick = whole > 0 ? tickOf(whole, room) : 1;
    const int taken = kLeft + textWidth(name, typeface(Type::Work)) + 10;
    const QRect here = momentLabel().adjusted(-8, 0, 8, 0);
    const QString end = tr("%1 s").arg(numberText(whole, whole < 10 ? 1 : 0));
    int last = xOf(1) + 1; // where the end's figure begins
    if (const int w = textWidth(end, typeface(Type::Small)); xOf(1) - w > here.right()) {
        drawTextRight(p, xOf(1), y + 20, end, typeface(Type::Small), theme().dim);
        last = xOf(1) - w - 8;
    }
    for (double s = 0; whole > 0 && s <= whole + 1e-9; s += tick) {
        const int x = xOf(s / whole);
        p.fillRect(x, y, 1, 6, theme().rule);
        const QString figure = numberText(s, tick < 1 ? 1 : 0);
        const int half = textWidth(figure, typeface(Type::Small)) / 2 + 1;
        if (x - half > taken && x + half < last &&
            (x + half < here.left() || x - half > here.right()))
            drawTextCentred(p, x, y + 20, figure, typeface(Type::Small), theme().dim);
    }
    p.fillRect(xOf(1) - 1, y, 1, 6, theme().rule);
}

int FadePlot::axisY() const {
    const Rows r = rows();
    return r.ribbons + (console_ ? 3 : 2) * r.ribbon;
}

// Before the line, or behind it where the name of the ribbon stands; always within the axis.
QRect FadePlot::momentLabel() const {
    const int x = momentX();
    const QString when = tr("%1 s").arg(secondsText(model_.fade().time_s * model_.moment()));
    const int w = textWidth(when, typeface(Type::Small, true));
    const int taken = kLeft + textWidth(tr("as planned"), typeface(Type::Work)) + 10;
    const int left = x - w - 6 > taken ? x - w - 6 : std::max(taken, x + 7);
    return {left, axisY() + 9, w, 14};
}

namespace {
void paintCurve(QPainter& p, std::size_t count, const std::function<QPointF(std::size_t)>& at,
                const QPen& pen) {
    QPolygonF line;
    for (std::size_t i = 0; i < count; ++i)
        line << at(i);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(pen);
    p.setBrush(Qt::NoBrush);
    p.drawPolyline(line);
    p.setRenderHint(QPainter::Antialiasing, false);
}
} // namespace

void FadePlot::paintSaturation(QPainter& p) const {
    const Rows r = rows();
    const auto& focus = model_.picture()->focus();
    const auto curve = [&](const SeenWay& way, const QPen& pen) {
        paintCurve(
            p, way.fade.points.size(),
            [&](std::size_t i) {
                const auto& point = way.fade.points[i];
                const double top = r.saturation;
                return QPointF(xOf(point.t),
                               top + r.saturation_high * (1 - std::min(1.0, point.saturation)));
            },
            pen);
    };
    const int foot = r.saturation + r.saturation_high;
    p.fillRect(xOf(0), foot, xOf(1) - xOf(0), 1, theme().hair);
    // Where the curves are not.
    const auto& begins = focus.planned.fade.points.front();
    const bool low = yOfSaturation(begins.saturation) > foot - 22;
    drawText(p, kLeft, low ? r.saturation + 10 : foot - 6, tr("saturation"), typeface(Type::Small),
             theme().text);
    if (hasFloor()) {
        const int y = yOfSaturation(floorSaturation());
        drawDotted(p, xOf(0), xOf(1), y, theme().dim);
        p.setRenderHint(QPainter::Antialiasing);
        drawPointer(p, QPointF(xOf(1) + 3, y + 0.5), Points::Left, 11, 8, theme().bright);
        p.setRenderHint(QPainter::Antialiasing, false);
        if (foot - y > 20)
            drawTextRight(p, xOf(1), foot - 6,
                          tr("floor %1 %").arg(numberText(100 * model_.way().floor, 0)),
                          typeface(Type::Small), theme().dim);
    }
    curve(focus.would, QPen(theme().dim, 1.4, Qt::DashLine));
    curve(focus.planned, QPen(theme().bright, 2));
}

void FadePlot::paintBrightness(QPainter& p) const {
    const Rows r = rows();
    const auto& picture = *model_.picture();
    const auto& focus = picture.focus();
    double most = 1e-9;
    for (const double cd : picture.most_cd)
        most = std::max(most, cd);
    for (const SeenWay* way : {&focus.would, &focus.planned})
        for (const double cd : way->brightness_cd)
            most = std::max(most, cd);
    const auto curve = [&](const std::vector<double>& cd, const QPen& pen) {
        paintCurve(
            p, cd.size(),
            [&](std::size_t i) {
                const double share = static_cast<double>(i) / (static_cast<double>(cd.size()) - 1);
                return QPointF(xOf(share), r.brightness + r.brightness_high * (1 - cd[i] / most));
            },
            pen);
    };
    const int foot = r.brightness + r.brightness_high;
    p.fillRect(xOf(0), foot, xOf(1) - xOf(0), 1, theme().hair);
    curve(picture.most_cd, QPen(theme().rule, 1));
    curve(focus.would.brightness_cd, QPen(theme().dim, 1.4, Qt::DashLine));
    curve(focus.planned.brightness_cd, QPen(theme().bright, 2));
    const int name =
        drawText(p, kLeft, r.brightness + 8, tr("brightness"), typeface(Type::Small), theme().text);
    QString words = tr("thin line: the most it can give");
    for (const play::Capped& capped : picture.capped) {
        const int a = xOf(capped.from);
        p.fillRect(a, foot - 2, std::max(2, xOf(capped.to) - a), 3, theme().bright);
        QStringList full;
        for (const std::size_t e : capped.parts)
            if (full.size() < kMostNamed)
                full << toQt(focus.fading.mixer->type().emitters[e].name);
        if (static_cast<int>(capped.parts.size()) > full.size())
            full << QStringLiteral("…");
        if (!full.isEmpty())
            words = tr("less than even at the thick foot: %1 at full")
                        .arg(full.join(QStringLiteral(", ")));
    }
    drawElided(p, kLeft + name + 24, r.brightness + 8, xOf(1) - kLeft - name - 24, words,
               typeface(Type::Small), theme().dim);
}

void FadePlot::paintSteps(QPainter& p, int y) const {
    const auto& steps = model_.picture()->steps.steps;
    for (std::size_t i = 0; i < steps.size(); ++i) {
        const int x = std::min(xOf(steps[i].t), xOf(1) - 1);
        p.fillRect(x, y - 3, 1, 8, theme().bright);
        if (i == 0)
            continue;
        const int before = xOf(steps[i - 1].t);
        const QString word = tr("step %1").arg(i);
        const QString figure = QString::number(i);
        const int room = x - before - 8;
        const bool whole = textWidth(word, typeface(Type::Small)) <= room;
        if (whole || textWidth(figure, typeface(Type::Small)) <= room)
            drawTextCentred(p, (x + before) / 2, y + 15, whole ? word : figure,
                            typeface(Type::Small), theme().dim);
    }
}

void FadePlot::paintMoment(QPainter& p) const {
    const Rows r = rows();
    const int x = xOf(model_.moment());
    const int foot = axisY();
    p.fillRect(x - 1, r.ribbons, 3, foot - r.ribbons, Qt::black);
    p.fillRect(x, r.ribbons, 1, foot - r.ribbons, Qt::white);
    p.setRenderHint(QPainter::Antialiasing);
    drawPointer(p, QPointF(x + 0.5, foot + 1), Points::Up, 12, 8, theme().bright);
    p.setRenderHint(QPainter::Antialiasing, false);
    p.fillRect(x, foot + 9, 1, r.steps - foot - 9, theme().bright);
    drawText(p, momentLabel().left(), foot + 20,
             tr("%1 s").arg(secondsText(model_.fade().time_s * model_.moment())),
             typeface(Type::Small, true), theme().bright);
}

// --- by hand

void FadePlot::setFloor(int y, int gesture) {
    const auto& points = model_.picture()->focus().planned.fade.points;
    const double ends = std::min(points.front().saturation, points.back().saturation);
    if (!(ends > 1e-6))
        return;
    const Rows r = rows();
    const double at =
        static_cast<double>(r.saturation + r.saturation_high - y) / std::max(1, r.saturation_high);
    const double floor = std::round(100 * std::clamp(at / ends, 0.0, 1.0)) / 100;
    model_.editWay(
        tr("Saturation floor"), [&](route::StopWay& way) { way.floor = floor; }, gesture);
}

void FadePlot::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !model_.picture())
        return;
    gesture_.begin();
    const int x = static_cast<int>(event->position().x());
    const int y = static_cast<int>(event->position().y());
    grab_ = hasFloor() && std::abs(y - yOfSaturation(floorSaturation())) <= kNearFloor &&
                    std::abs(x - xOf(model_.moment())) > kNearFloor
                ? Grab::Floor
                : Grab::Moment;
    if (grab_ == Grab::Moment)
        model_.setMoment(shareAt(event->position().x()));
}

void FadePlot::mouseMoveEvent(QMouseEvent* event) {
    if (!model_.picture())
        return;
    if (grab_ == Grab::Moment)
        return model_.setMoment(shareAt(event->position().x()));
    const int y = static_cast<int>(event->position().y());
    if (grab_ == Grab::Floor)
        return setFloor(y, gesture_.now());
    const bool floor = hasFloor() && std::abs(y - yOfSaturation(floorSaturation())) <= kNearFloor;
    setCursor(floor ? Qt::SizeVerCursor : Qt::ArrowCursor);
}

void FadePlot::mouseReleaseEvent(QMouseEvent*) {
    grab_ = Grab::None;
}

bool FadePlot::claims(const QKeyEvent& key) const {
    return isArrow(key) || key.key() == Qt::Key_Home || key.key() == Qt::Key_End;
}

void FadePlot::keyPressEvent(QKeyEvent* event) {
    if (!model_.picture())
        return QWidget::keyPressEvent(event);
    const auto held = event->modifiers();
    const double step = kStep * (held & Qt::ShiftModifier     ? 0.1
                                 : held & Qt::ControlModifier ? 10
                                                              : 1);
    switch (event->key()) {
    case Qt::Key_Left:
        return model_.setMoment(model_.moment() - step);
    case Qt::Key_Right:
        return model_.setMoment(model_.moment() + step);
    case Qt::Key_Home:
        return model_.setMoment(0);
    case Qt::Key_End:
        return model_.setMoment(1);
    case Qt::Key_Up:
    case Qt::Key_Down:
        if (hasFloor())
            model_.editWay(
                tr("Saturation floor"),
                [&](route::StopWay& way) {
                    way.floor = std::clamp(way.floor + (event->key() == Qt::Key_Up ? step : -step),
                                           0.0, 1.0);
                },
                gesture_.step());
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

std::vector<PaintedPart> FadePlot::parts() {
    std::vector<PaintedPart> all;
    if (!model_.picture())
        return all;
    const Rows r = rows();
    const auto& picture = *model_.picture();
    const auto ribbon = [&](const QString& name, const SeenWay& way, int which) {
        all.push_back({name, tr("white dip %1 %").arg(numberText(100 * way.white_dip, 0)),
                       QRect(xOf(0), r.ribbons + which * r.ribbon, xOf(1) - xOf(0), r.ribbon)});
    };
    ribbon(tr("as it would fade"), picture.focus().would, 0);
    ribbon(tr("as planned"), picture.focus().planned, 1);
    if (console_)
        ribbon(tr("as a console would show it"), picture.console, 2);
    all.push_back({tr("moment"),
                   tr("%1 s").arg(secondsText(model_.fade().time_s * model_.moment())),
                   QRect(momentX() - 3, r.ribbons, 7, r.steps - r.ribbons)});
    if (hasFloor())
        all.push_back({tr("saturation floor"),
                       tr("%1 %").arg(numberText(100 * model_.way().floor, 0)),
                       QRect(xOf(0), yOfSaturation(floorSaturation()) - 3, xOf(1) - xOf(0), 7)});
    for (std::size_t i = 1; i < picture.steps.steps.size(); ++i)
        all.push_back(
            {tr("step %1").arg(i),
             tr("%1 s").arg(secondsText(model_.fade().time_s * picture.steps.steps[i].t)),
             QRect(xOf(picture.steps.steps[i - 1].t), r.steps,
                   xOf(picture.steps.steps[i].t) - xOf(picture.steps.steps[i - 1].t), 20)});
    return all;
}

} // namespace zelo::desk
