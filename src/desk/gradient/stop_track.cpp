// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/gradient/stop_track.h"

#include "colour/oklab.h"

#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/taken_colour.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "desk/lineup/lineup_panel.h"

#include <QContextMenuEvent>
#include <QKeyEvent>
#include <QMenu>
#include <QMouseEvent>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kRibbon = 44; // height
constexpr int kRule = 76;   // of the stops, under the lamps' numbers
constexpr int kLeaf = 87;
constexpr int kLeafHeight = 18;
constexpr int kWords = 120; // baseline
constexpr int kNear = 8;    // px, to a stop
constexpr double kSnap = 5; // px, to a lamp
constexpr int kPlaces = 257;
constexpr double kKeyStep = 0.01;
} // namespace

StopTrack::StopTrack(Document& document, GradientModel& model, LineupPanel& lamps, QWidget* parent)
    : QWidget(parent), document_(document), model_(model), lamps_(lamps),
      position_(new NumberField(tr("Position"), tr("Where the stop stands along the gradient"),
                                {0, 100, 1, 1}, tr("%"), this)),
      intensity_(new NumberField(tr("Intensity"), tr("Of the chosen stop of intensity"),
                                 {0, 100, 1, 0}, tr("% bright"), this)) {
    setAccessibleName(tr("Stops"));
    setToolTip(
        tr("Drag a stop; double-click adds one; dragging the ribbon turns the gradient along the "
           "lamps; drop a colour on a stop or beside it. "
           "← → choose, Ctrl+← → move (Shift fine), Ins adds, Del removes, Backspace puts "
           "it evenly between its neighbours"));
    setFocusPolicy(Qt::StrongFocus);
    setAcceptDrops(true);
    connect(position_, &ValueControl::valueEdited, this, [this](double value, int gesture) {
        if (const auto& i = model_.intensityStop())
            model_.moveIntensity(*i, value / 100, gesture);
        else
            model_.moveStop(model_.stop(), value / 100, gesture);
    });
    connect(position_, &ValueControl::resetWanted, this,
            [this] { model_.freeStop(model_.stop()); });
    connect(intensity_, &ValueControl::valueEdited, this, [this](double value, int gesture) {
        if (const auto& i = model_.intensityStop())
            model_.setIntensity(*i, value / 100, gesture);
    });
    watch(model_, &GradientModel::modelChanged, this, [this] { refresh(); });
}

void StopTrack::refresh() {
    const bool any = model_.gradient() != nullptr;
    if (any && (ribbon_of_.get() != &model_.laid() || ribbon_seen_ != document_.colours())) {
        ribbon_of_ = document_.stage().laid.at(model_.laying());
        ribbon_seen_ = document_.colours();
        ribbon_.clear();
        for (const colour::Uv& uv : model_.ribbon(kPlaces))
            ribbon_.push_back(colourOfLight(document_.colours(), uv));
    }
    const auto& intensity = model_.intensityStop();
    position_->setVisible(any);
    intensity_->setVisible(any && intensity);
    if (any)
        position_->setValue(100 * (intensity ? model_.laid().intensities_at[*intensity]
                                             : model_.stopAt(model_.stop())));
    if (any && intensity)
        intensity_->setValue(100 * model_.gradient()->intensities[*intensity].intensity);
    place();
    update();
}

double StopTrack::xOf(double at) const {
    const auto n = document_.lineup().size();
    if (n == 0)
        return 0;
    const double first = lamps_.glassOf(0).center().x() - x();
    const double last = lamps_.glassOf(n - 1).center().x() - x();
    if (last - first < 40) // one lamp, or next to none: the track is wider than they are
        return 40 + at * (width() - 80);
    return first + at * (last - first);
}

double StopTrack::positionAt(double x) const {
    const double from = xOf(0);
    return std::clamp((x - from) / (xOf(1) - from), 0.0, 1.0);
}

double StopTrack::snapped(double at) const {
    const auto n = document_.lineup().size();
    if (n < 2)
        return at;
    const double lamp = std::round(at * static_cast<double>(n - 1)) / static_cast<double>(n - 1);
    return std::abs(xOf(lamp) - xOf(at)) <= kSnap ? lamp : at;
}

QRect StopTrack::leafOf(std::size_t stop) const {
    // Leaves that stand close get narrow, down to what can still be seen.
    double room = 48;
    for (std::size_t i = 1; i < model_.laid().at.size(); ++i)
        room = std::min(room, xOf(model_.stopAt(i)) - xOf(model_.stopAt(i - 1)) - 4);
    const int wide = static_cast<int>(std::clamp(room, 8.0, 48.0));
    const int left = std::clamp(static_cast<int>(xOf(model_.stopAt(stop))) - wide / 2, 2,
                                std::max(2, width() - wide - 2));
    return {left, kLeaf, wide, kLeafHeight};
}

QString StopTrack::nameShown(std::size_t stop) const {
    return model_.gradient()->stops[stop].at
               ? model_.stopName(stop)
               : tr("%1, free", "a stop without a position of its own").arg(model_.stopName(stop));
}

void StopTrack::place() {
    if (!model_.gradient())
        return;
    if (const auto& i = model_.intensityStop()) {
        const int at = static_cast<int>(xOf(model_.laid().intensities_at[*i]));
        const int left = std::clamp(at - 90, 0, std::max(0, width() - 190));
        position_->setGeometry(left, kWords - 16, 70, 22);
        intensity_->setGeometry(left + 76, kWords - 16, 110, 22);
        return;
    }
    const QRect leaf = leafOf(model_.stop());
    const int words = textWidth(model_.stopName(model_.stop()), typeface(Type::Work, true));
    const int all = std::min(words, 160) + 8 + 70;
    const int left = std::clamp(leaf.left(), 0, std::max(0, width() - all));
    position_->setGeometry(left + std::min(words, 160) + 8, kWords - 16, 70, 22);
}

// --- painting

QColor StopTrack::colourAt(double at) const {
    const double x = std::clamp(at, 0.0, 1.0) * (kPlaces - 1);
    return ribbon_[static_cast<std::size_t>(std::lround(x))];
}

// Where each lamp of the lineup stands in the gradient; the same as along the rule when it is laid
// once over them in their order.
std::vector<double> StopTrack::places() const {
    std::vector<double> all;
    for (const show::FixtureId id : document_.lineup())
        if (const auto* lamp = model_.lamp(id))
            all.push_back(lamp->place);
        else
            return {};
    return all;
}

void StopTrack::paintRibbon(QPainter& p) {
    const double from = xOf(0);
    const double to = xOf(1);
    const auto n = document_.lineup().size();
    const int left = static_cast<int>(n ? lamps_.glassOf(0).left() - x() : from);
    const int right = static_cast<int>(n ? lamps_.glassOf(n - 1).right() - x() : to);
    const auto lamp_places = places();
    bool along = true; // the rule and the lamps say the same
    for (std::size_t i = 0; i < lamp_places.size(); ++i)
        along = along && lamp_places.size() > 1 &&
                std::abs(lamp_places[i] - static_cast<double>(i) /
                                              static_cast<double>(lamp_places.size() - 1)) < 1e-6;
    for (int px = std::min(left, static_cast<int>(from));
         px < std::max(right, static_cast<int>(to)); ++px) {
        const double at = std::clamp((px + 0.5 - from) / (to - from), 0.0, 1.0);
        double place = at;
        if (!along && lamp_places.size() > 1) { // what the lamps above are to show
            const double lamp = at * static_cast<double>(lamp_places.size() - 1);
            const auto i = std::min(static_cast<std::size_t>(lamp), lamp_places.size() - 2);
            place = lamp_places[i] +
                    (lamp - static_cast<double>(i)) * (lamp_places[i + 1] - lamp_places[i]);
            if (px >= from && px <= to) // the gradient itself, along the rule
                p.fillRect(px, kRule - 8, 1, 6, colourAt(at));
        }
        p.fillRect(px, 0, 1, kRibbon, colourAt(place));
    }
}

void StopTrack::paintIntensities(QPainter& p) {
    const show::Gradient& g = *model_.gradient();
    if (g.bright != show::Bright::Spread)
        return;
    p.setRenderHint(QPainter::Antialiasing);
    QPolygonF line;
    for (std::size_t i = 0; i + 1 < g.intensities.size(); ++i)
        for (int k = 0; k <= 16; ++k) { // evenly in perceived brightness
            const double x = k / 16.0;
            const double level =
                colour::evenlySeen(g.intensities[i].intensity, g.intensities[i + 1].intensity, x);
            const double at =
                model_.laid().intensities_at[i] * (1 - x) + model_.laid().intensities_at[i + 1] * x;
            line << QPointF(xOf(at), (kRibbon - 4) * (1 - level) + 2);
        }
    p.setPen(QPen(Qt::black, 3.5));
    p.drawPolyline(line);
    p.setPen(QPen(Qt::white, 1.5));
    p.drawPolyline(line);
    for (std::size_t i = 0; i < g.intensities.size(); ++i) {
        const bool chosen = model_.intensityStop() == std::optional(i);
        const QPointF at = intensityPoint(i);
        const double r = chosen ? 5 : 3.5;
        p.setPen(QPen(Qt::black, 1));
        p.setBrush(Qt::white);
        p.drawRect(QRectF(at - QPointF(r, r), at + QPointF(r, r)));
    }
    p.setRenderHint(QPainter::Antialiasing, false);
}

void StopTrack::paintStops(QPainter& p) {
    const show::Gradient& g = *model_.gradient();
    const int from = static_cast<int>(xOf(0));
    const int to = static_cast<int>(xOf(1));
    p.fillRect(from, kRule, to - from, 1, theme().rule);
    for (int tick = 0; tick <= 20; ++tick)
        p.fillRect(static_cast<int>(xOf(tick / 20.0)), kRule, 1, tick % 10 == 0 ? 6 : 3,
                   theme().rule);
    std::vector<QRect> taken; // by words; the chosen stop's come first
    if (!model_.intensityStop()) {
        const QRect leaf = leafOf(model_.stop());
        const QRect field = position_->geometry();
        const int room = field.left() - 8;
        const int words =
            std::min(160, textWidth(model_.stopName(model_.stop()), typeface(Type::Work, true)));
        drawElided(p, room - words, kWords, words, model_.stopName(model_.stop()),
                   typeface(Type::Work, true), theme().bright);
        taken.push_back(QRect(room - words - 8, leaf.bottom(), words + field.width() + 24, 20));
    } else {
        taken.push_back(position_->geometry().united(intensity_->geometry()));
    }
    for (std::size_t i = 0; i < g.stops.size(); ++i) {
        const bool chosen = i == model_.stop() && !model_.intensityStop();
        const QRect leaf = leafOf(i);
        const colour::Uv uv = model_.laid().asked[i];
        p.fillRect(leaf, colourOfLight(document_.colours(), uv));
        // Its half that the lamps come to, where that is another.
        if (colour::distance(uv, model_.stopColour(i)) > 1e-4)
            p.fillRect(leaf.adjusted(leaf.width() / 2, 0, 0, 0),
                       colourOfLight(document_.colours(), model_.stopColour(i)));
        if (g.stops[i].colour.palette()) // it follows a palette
            p.fillRect(leaf.center().x() - 5, leaf.bottom() + 3, 10, 1, theme().dim);
        drawPointer(p, QPointF(xOf(model_.stopAt(i)), kRule), Points::Up, 11, 8,
                    g.stops[i].at || chosen ? theme().bright : theme().rule);
        if (chosen) {
            p.setPen(QPen(theme().sel, 2));
            p.setBrush(Qt::NoBrush);
            p.drawRect(leaf.adjusted(-3, -3, 2, 2));
            if (hasFocus())
                drawFocusBrackets(p, leaf.adjusted(-7, -7, 7, 7));
            continue;
        }
        const QString words =
            tr("%1  %2 %").arg(model_.stopName(i), numberText(100 * model_.stopAt(i), 0));
        const int wide = textWidth(words, typeface(Type::Small));
        const int left = std::clamp(leaf.left(), 2, std::max(2, width() - wide - 2));
        const QRect room(left, kWords - 12, wide, 16);
        if (wide > width() || std::any_of(taken.begin(), taken.end(), [&](const QRect& t) {
                return t.adjusted(-6, 0, 6, 0).intersects(room);
            }))
            continue;
        taken.push_back(room);
        drawText(p, left, kWords, words, typeface(Type::Small), theme().dim);
    }
}

void StopTrack::paintEvent(QPaintEvent*) {
    if (!model_.gradient() || ribbon_.empty())
        return;
    QPainter p(this);
    paintRibbon(p);
    paintIntensities(p);
    paintStops(p);
}

// --- the mouse

QPoint StopTrack::stopPoint(std::size_t stop) const {
    return QPoint(static_cast<int>(xOf(model_.stopAt(stop))), kRule + 4);
}

QPoint StopTrack::intensityPoint(std::size_t stop) const {
    return QPointF(xOf(model_.laid().intensities_at[stop]),
                   (kRibbon - 4) * (1 - model_.gradient()->intensities[stop].intensity) + 2)
        .toPoint();
}

QPoint StopTrack::ribbonPoint(double at) const {
    return {static_cast<int>(xOf(at)), kRibbon / 2};
}

int StopTrack::stopAt(const QPoint& pos) const {
    if (!model_.gradient() || pos.y() < kRule - 12 || pos.y() > kLeaf + kLeafHeight + 4)
        return -1;
    int best = -1;
    int nearest = kNear + 1;
    for (std::size_t i = 0; i < model_.gradient()->stops.size(); ++i) {
        const int far = leafOf(i).contains(pos)
                            ? 0
                            : std::abs(pos.x() - static_cast<int>(xOf(model_.stopAt(i))));
        if (far < nearest) {
            nearest = far;
            best = static_cast<int>(i);
        }
    }
    return best;
}

int StopTrack::intensityAt(const QPoint& pos) const {
    if (!model_.gradient() || model_.gradient()->bright != show::Bright::Spread ||
        pos.y() > kRibbon + 4)
        return -1;
    for (std::size_t i = 0; i < model_.gradient()->intensities.size(); ++i)
        if ((pos - intensityPoint(i)).manhattanLength() <= kNear + 2)
            return static_cast<int>(i);
    return -1;
}

void StopTrack::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    grab_ = Grab::None;
    moved_ = false;
    pressed_ = event->pos();
    gesture_.begin();
    if (const int i = intensityAt(event->pos()); i >= 0) {
        grab_ = Grab::Intensity;
        model_.chooseIntensity(static_cast<std::size_t>(i));
    } else if (const int stop = stopAt(event->pos()); stop >= 0) {
        grab_ = Grab::Stop;
        model_.choose(static_cast<std::size_t>(stop));
    } else if (model_.gradient() && event->pos().y() < kRibbon) {
        grab_ = Grab::Offset;
        offset_at_press_ = model_.gradient()->arrangement.offset;
    }
}

void StopTrack::mouseMoveEvent(QMouseEvent* event) {
    if (grab_ == Grab::None || !model_.gradient())
        return;
    if (!moved_ && (event->pos() - pressed_).manhattanLength() < 4)
        return;
    moved_ = true;
    if (grab_ == Grab::Offset) { // along the lamps, one by one
        const auto n = static_cast<double>(document_.lineup().size());
        const double pitch =
            n > 1 ? lamps_.glassOf(1).center().x() - lamps_.glassOf(0).center().x() : 1;
        const double lamps = std::round((event->position().x() - pressed_.x()) / pitch);
        const double offset = offset_at_press_ + lamps / std::max(1.0, n);
        return model_.edit(
            tr("Offset of a gradient"),
            [&](show::Gradient& g) { g.arrangement.offset = offset - std::floor(offset); },
            gesture_.now());
    }
    double at = positionAt(event->position().x());
    if (!(event->modifiers() & Qt::ShiftModifier))
        at = snapped(at);
    if (grab_ == Grab::Stop)
        return model_.moveStop(model_.stop(), at, gesture_.now());
    if (const auto& i = model_.intensityStop()) {
        const std::size_t stop = *i;
        const double bright = 1 - (event->position().y() - 2) / (kRibbon - 4.0);
        // One gesture, two numbers: both belong to one step of undo.
        const auto laid_at = model_.laid().intensities_at;
        model_.edit(
            tr("Drag a stop of intensity"),
            [&](show::Gradient& g) {
                if (stop >= g.intensities.size() || laid_at.size() != g.intensities.size())
                    return;
                g.intensities[stop].intensity = std::clamp(bright, 0.0, 1.0);
                const double least = stop > 0 ? laid_at[stop - 1] + 0.001 : 0;
                const double most = stop + 1 < laid_at.size() ? laid_at[stop + 1] - 0.001 : 1;
                if (std::abs(event->pos().x() - pressed_.x()) > 3)
                    g.intensities[stop].at = std::clamp(at, least, std::max(least, most));
            },
            gesture_.now());
    }
}

void StopTrack::mouseReleaseEvent(QMouseEvent*) {
    grab_ = Grab::None;
}

void StopTrack::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !model_.gradient() || event->pos().y() > kRule + 12 ||
        stopAt(event->pos()) >= 0)
        return;
    const double at = snapped(positionAt(event->position().x()));
    const bool bright = model_.gradient()->bright == show::Bright::Spread &&
                        event->pos().y() <= kRibbon && intensityAt(event->pos()) < 0;
    if (bright)
        model_.addIntensity(at);
    else
        model_.addStop(at);
}

QMenu* StopTrack::menuOf(std::size_t stop) {
    auto* menu = new QMenu(this);
    menu->setTitle(tr("Stop"));
    auto* palettes = menu->addMenu(tr("Follows a palette"));
    for (const auto& [id, palette] : document_.show().palettes)
        if (palette->colour)
            connect(palettes->addAction(toQt(palette->name)), &QAction::triggered, this,
                    [this, stop, id = palette->id, asked = palette->colour->asked] {
                        model_.setStopColour(stop, asked, id);
                    });
    palettes->setEnabled(!palettes->isEmpty());
    auto* lamps = menu->addMenu(tr("Takes the colour of a lamp"));
    for (const show::FixtureId id : document_.lineup()) {
        const auto* lamp = document_.stage().lamp(id);
        const auto* fixture = document_.show().fixture(id);
        if (!lamp || !fixture || !colour::hasChromaticity(lamp->sent.xyz))
            continue;
        const auto uv = colour::toUv(lamp->sent.xyz);
        connect(lamps->addAction(tr("Lamp %1").arg(fixture->number)), &QAction::triggered, this,
                [this, stop, uv] {
                    model_.setStopColour(stop, light::AskedUv{uv.u, uv.v}, {});
                });
    }
    lamps->setEnabled(!lamps->isEmpty());
    connect(menu->addAction(tr("Evenly between its neighbours\tBackspace")), &QAction::triggered,
            this, [this, stop] { model_.freeStop(stop); });
    auto* gone = menu->addAction(tr("Remove\tDel"));
    gone->setEnabled(model_.gradient()->stops.size() > 2);
    connect(gone, &QAction::triggered, this, [this, stop] { model_.removeStop(stop); });
    return menu;
}

void StopTrack::contextMenuEvent(QContextMenuEvent* event) {
    if (!model_.gradient())
        return;
    const int under = event->reason() == QContextMenuEvent::Keyboard
                          ? static_cast<int>(model_.stop())
                          : stopAt(event->pos());
    if (under < 0)
        return;
    model_.choose(static_cast<std::size_t>(under));
    QMenu* menu = menuOf(static_cast<std::size_t>(under));
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->popup(event->reason() == QContextMenuEvent::Keyboard
                    ? mapToGlobal(stopPoint(static_cast<std::size_t>(under)))
                    : event->globalPos());
}

void StopTrack::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

void StopTrack::dropEvent(QDropEvent* event) {
    const auto asked = colourOf(event->mimeData());
    if (!asked || !model_.gradient())
        return;
    const show::PaletteId palette = paletteOf(document_, *asked);
    if (const auto* p = document_.show().palette(palette); p && !p->colour)
        return document_.tell(
            tr("%1 has no colour of its own: a stop needs one.").arg(toQt(p->name)));
    const int stop = stopAt(event->position().toPoint());
    if (stop >= 0) {
        model_.setStopColour(static_cast<std::size_t>(stop), *asked, palette);
        model_.choose(static_cast<std::size_t>(stop));
    } else {
        model_.addStop(snapped(positionAt(event->position().x())), *asked, palette);
    }
    event->acceptProposedAction();
}

// --- keys

bool StopTrack::claims(const QKeyEvent& key) const {
    const int k = key.key();
    return (k == Qt::Key_Left || k == Qt::Key_Right || k == Qt::Key_Up || k == Qt::Key_Down ||
            k == Qt::Key_Home || k == Qt::Key_End || k == Qt::Key_Insert || k == Qt::Key_Delete ||
            k == Qt::Key_Backspace) &&
           !(key.modifiers() & Qt::AltModifier);
}

void StopTrack::moveByKey(double by) {
    const int gesture = gesture_.step();
    if (const auto& i = model_.intensityStop())
        model_.moveIntensity(*i, model_.laid().intensities_at[*i] + by, gesture);
    else
        model_.moveStop(model_.stop(), model_.stopAt(model_.stop()) + by, gesture);
}

void StopTrack::keyPressEvent(QKeyEvent* event) {
    const show::Gradient* g = model_.gradient();
    if (!g)
        return QWidget::keyPressEvent(event);
    const double step = event->modifiers() & Qt::ShiftModifier ? kKeyStep / 10 : kKeyStep;
    const auto& bright = model_.intensityStop();
    const std::size_t at = bright ? *bright : model_.stop();
    const std::size_t last = (bright ? g->intensities.size() : g->stops.size()) - 1;
    const auto go = [&](std::size_t to) {
        if (bright)
            model_.chooseIntensity(to);
        else
            model_.choose(to);
    };
    switch (event->key()) {
    case Qt::Key_Left:
    case Qt::Key_Right: {
        const bool left = event->key() == Qt::Key_Left;
        if (event->modifiers() & Qt::ControlModifier)
            return moveByKey(left ? -step : step);
        return go(left ? at - (at > 0) : std::min(at + 1, last));
    }
    case Qt::Key_Up: // into the stops of intensity, and brighter there
    case Qt::Key_Down: {
        const bool up = event->key() == Qt::Key_Up;
        if (bright && event->modifiers() & Qt::ControlModifier)
            return model_.setIntensity(at, g->intensities[at].intensity + (up ? step : -step),
                                       gesture_.step());
        if (up && !bright && g->bright == show::Bright::Spread)
            return model_.chooseIntensity(0);
        if (!up && bright)
            return model_.choose(model_.stop());
        return;
    }
    case Qt::Key_Home:
        return go(0);
    case Qt::Key_End:
        return go(last);
    case Qt::Key_Insert: {
        const auto& all = bright ? model_.laid().intensities_at : model_.laid().at;
        const double here = all[at];
        const double next = at < last ? all[at + 1] : at > 0 ? all[at - 1] : 1;
        if (bright)
            return model_.addIntensity((here + next) / 2);
        return model_.addStop((here + next) / 2);
    }
    case Qt::Key_Delete:
        return bright ? model_.removeIntensity(at) : model_.removeStop(at);
    case Qt::Key_Backspace:
        if (!bright)
            model_.freeStop(at);
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

// --- for assistive tools

std::vector<PaintedPart> StopTrack::parts() {
    std::vector<PaintedPart> all;
    const show::Gradient* g = model_.gradient();
    for (std::size_t i = 0; g && i < g->stops.size(); ++i)
        all.push_back({tr("Stop %1: %2").arg(i + 1).arg(nameShown(i)),
                       tr("%1 %").arg(numberText(100 * model_.stopAt(i), 1)), leafOf(i),
                       QAccessible::ListItem, i == model_.stop() && !model_.intensityStop(),
                       [this, i] { model_.choose(i); }});
    for (std::size_t i = 0; g && i < model_.laid().intensities_at.size(); ++i)
        all.push_back({tr("Stop of intensity %1").arg(i + 1),
                       tr("%1 % bright at %2 %")
                           .arg(numberText(100 * g->intensities[i].intensity, 0),
                                numberText(100 * model_.laid().intensities_at[i], 1)),
                       QRect(intensityPoint(i) - QPoint(6, 6), QSize(13, 13)),
                       QAccessible::ListItem, model_.intensityStop() == std::optional(i),
                       [this, i] { model_.chooseIntensity(i); }});
    return all;
}

} // namespace zelo::desk
