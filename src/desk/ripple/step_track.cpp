// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/step_track.h"

#include "desk/kit/colour_drag.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"
#include "show/limits.h"

#include <QContextMenuEvent>
#include <QMenu>
#include <cmath>
#include <numeric>

namespace zelo::desk {

namespace {
constexpr int kRibbon = 36;
constexpr int kWords = 60; // baseline of the steps' names
constexpr int kNear = 8;   // px
constexpr int kField = 62;
constexpr double kKeyStep_s = 0.1;
} // namespace

StepTrack::StepTrack(RippleModel& model, QWidget* parent)
    : QWidget(parent), model_(model),
      time_(new NumberField(tr("Time of the step"),
                            tr("How long the chosen step lasts, with its change into the next"),
                            {0, show::kLongest_s, 0.1, 2}, tr("s"), this)) {
    setAccessibleName(tr("Steps of the ripple"));
    setToolTip(tr("The steps of one turn. Drag a pointer: its times; double-click the ribbon adds "
                  "a step; drop a colour on a step, or beside them for another one. ← → choose, "
                  "Ctrl+← → move, ↑ ↓ time (Shift fine, Ctrl coarse), Ins adds, Del removes"));
    setFocusPolicy(Qt::StrongFocus);
    setAcceptDrops(true);
    connect(time_, &ValueControl::valueEdited, this,
            [this](double value, int gesture) { model_.setTime(model_.step(), value, gesture); });
    connect(time_, &ValueControl::resetWanted, this, [this] {
        model_.setTime(model_.step(), show::RippleStep{light::Asked(light::AskedUv{}), {}}.time_s,
                       0);
    });
    watch(model_, &RippleModel::modelChanged, this, [this] { refresh(); });
    watch(model_.document(), this, Change::Seen, [this] { update(); });
    refresh();
}

bool StepTrack::timed() const {
    return model_.ripple()->pattern == show::Pattern::Cycle;
}

void StepTrack::refresh() {
    time_->setVisible(model_.ripple() && timed());
    if (model_.ripple())
        time_->setValue(model_.ripple()->steps[model_.step()].time_s);
    place();
    update();
}

void StepTrack::setRoom(int width) {
    room_ = width;
    place();
}

// Beside the name of the chosen step.
void StepTrack::place() {
    if (!model_.ripple())
        return;
    const int name =
        std::min(150, textWidth(model_.stepName(model_.step()), typeface(Type::Work, true)));
    const int left = std::clamp(static_cast<int>(xOf(model_.starts()[model_.step()])) + 14, 14,
                                std::max(14, room_ - name - 8 - kField));
    time_->setGeometry(left + name + 4, kWords - 17, kField, 24);
}

void StepTrack::paintEvent(QPaintEvent*) {
    if (!model_.ripple())
        return;
    QPainter p(this);
    const auto& colours = model_.document().colours();
    const auto* pictures = model_.pictures();
    if (pictures && !pictures->ribbon.cells.empty()) {
        const auto& ribbon = pictures->ribbon;
        for (int x = 0; x < width(); ++x) {
            const auto column =
                static_cast<std::size_t>(x) * ribbon.columns / static_cast<std::size_t>(width());
            const auto& cell = ribbon.at(0, column);
            p.fillRect(x, 0, 1, kRibbon, colours.of(cell.shown, cell.level));
        }
    }
    const auto starts = model_.starts();
    std::vector<QRect> taken;
    const auto chosen = model_.step();
    const auto words = [&](std::size_t s) {
        const bool own = s == chosen;
        const QFont face = typeface(own ? Type::Work : Type::Small, own);
        const QString text =
            own || !timed()
                ? model_.stepName(s)
                : tr("%1  %2 s")
                      .arg(model_.stepName(s), numberText(model_.ripple()->steps[s].time_s, 1));
        const int wide = std::min(150, textWidth(text, face));
        const int whole = wide + (own && timed() ? 8 + kField : 0);
        const int left =
            std::clamp(static_cast<int>(xOf(starts[s])) + 14, 14, std::max(14, room_ - whole));
        const QRect room(left, kWords - 13, whole, 18);
        if (std::any_of(taken.begin(), taken.end(),
                        [&](const QRect& t) { return t.adjusted(-8, 0, 8, 0).intersects(room); }))
            return;
        taken.push_back(room);
        drawElided(p, left, kWords, wide, text, face, own ? theme().bright : theme().dim);
    };
    words(chosen); // its words come first
    for (std::size_t s = 0; s < starts.size(); ++s) {
        if (s != chosen)
            words(s);
        const QPointF apex(std::clamp(xOf(starts[s]) + 5, 5.0, width() - 6.0), kRibbon + 1);
        drawPointer(p, apex, Points::Up, 11, 8, s == chosen ? theme().bright : theme().rule);
        if (model_.ripple()->steps[s].colour.palette()) // it follows a palette
            p.fillRect(static_cast<int>(apex.x()) - 5, kRibbon + 12, 10, 1, theme().dim);
    }
    const QRect mark(static_cast<int>(std::clamp(xOf(starts[chosen]) + 5, 5.0, width() - 6.0)) - 8,
                     kRibbon - 1, 17, 13);
    if (hasFocus())
        drawFocusBrackets(p, mark);
}

QPoint StepTrack::stepPoint(std::size_t step) const {
    return {static_cast<int>(std::clamp(xOf(model_.starts()[step]) + 5, 5.0, width() - 6.0)),
            kRibbon + 5};
}

// Under the ribbon the pointer that is near; in the ribbon the step that is there.
std::optional<std::size_t> StepTrack::stepAt(const QPoint& pos) const {
    if (!model_.ripple())
        return std::nullopt;
    const auto starts = model_.starts();
    if (pos.y() > kRibbon) {
        std::optional<std::size_t> best;
        int nearest = kNear + 1;
        for (std::size_t s = 0; s < starts.size(); ++s)
            if (const int far = std::abs(stepPoint(s).x() - pos.x()); far < nearest) {
                nearest = far;
                best = s;
            }
        return best;
    }
    const double at = static_cast<double>(pos.x()) / width();
    const auto after = std::upper_bound(starts.begin(), starts.end(), at);
    return after == starts.begin() ? 0 : static_cast<std::size_t>(after - starts.begin()) - 1;
}

void StepTrack::mousePressEvent(QMouseEvent* event) {
    const auto step = stepAt(event->pos());
    if (event->button() != Qt::LeftButton || !step)
        return;
    model_.choose(*step);
    moved_ = false;
    pressed_ = event->pos();
    gesture_.begin();
    times_at_press_.clear();
    for (const auto& s : model_.ripple()->steps)
        times_at_press_.push_back(s.time_s);
    if (event->pos().y() > kRibbon && *step > 0 && timed())
        grabbed_ = *step;
}

// The step before it gets longer, its own shorter: the turn stays as long.
void StepTrack::mouseMoveEvent(QMouseEvent* event) {
    if (!grabbed_ || !model_.ripple() || *grabbed_ >= model_.ripple()->steps.size() ||
        times_at_press_.size() != model_.ripple()->steps.size())
        return;
    if (!moved_ && (event->pos() - pressed_).manhattanLength() < 4)
        return;
    moved_ = true;
    const double turn = std::accumulate(times_at_press_.begin(), times_at_press_.end(), 0.0);
    const double before = times_at_press_[*grabbed_ - 1];
    const double own = times_at_press_[*grabbed_];
    const double by =
        std::clamp(std::round((event->position().x() - pressed_.x()) / width() * turn * 100) / 100,
                   -before, own);
    model_.edit(
        tr("Drag a step"),
        [&](show::Ripple& r) {
            r.steps[*grabbed_ - 1].time_s = before + by;
            r.steps[*grabbed_].time_s = own - by;
        },
        gesture_.now());
}

void StepTrack::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || event->pos().y() > kRibbon)
        return;
    if (const auto step = stepAt(event->pos())) {
        model_.choose(*step);
        model_.addStep();
    }
}

QMenu* StepTrack::menuOf(std::size_t step) {
    auto* menu = new QMenu(this);
    menu->setTitle(tr("Step"));
    Document& document = model_.document();
    auto* palettes = menu->addMenu(tr("Follows a palette"));
    auto* gradients = menu->addMenu(tr("All steps from a gradient"));
    for (const auto& [id, palette] : document.show().palettes)
        if (palette->colour)
            connect(
                palettes->addAction(toQt(palette->name)), &QAction::triggered, this,
                [this, step, id = palette->id] { model_.setColour(step, light::AskedUv{}, id); });
        else if (palette->gradient)
            connect(gradients->addAction(toQt(palette->name)), &QAction::triggered, this,
                    [this, id = palette->id] { model_.fromGradient(id); });
    palettes->setEnabled(!palettes->isEmpty());
    gradients->setEnabled(!gradients->isEmpty());
    auto* lamps = menu->addMenu(tr("Takes the colour of a lamp"));
    for (const show::FixtureId id : document.lineup()) {
        const auto* fixture = document.show().fixture(id);
        const auto taken = fixture ? takenColour(document, id) : std::nullopt;
        if (!taken)
            continue;
        connect(lamps->addAction(tr("Lamp %1").arg(fixture->number)), &QAction::triggered, this,
                [this, step, taken] {
                    const light::Asked* here = taken->colour.here();
                    model_.setColour(step, here ? *here : light::Asked(light::AskedUv{}),
                                     taken->colour.palette());
                });
    }
    lamps->setEnabled(!lamps->isEmpty());
    connect(menu->addAction(tr("Add one behind it\tIns")), &QAction::triggered, this, [this, step] {
        model_.choose(step);
        model_.addStep();
    });
    connect(menu->addAction(tr("Earlier\tCtrl+←")), &QAction::triggered, this,
            [this, step] { model_.moveStep(step, -1); });
    connect(menu->addAction(tr("Later\tCtrl+→")), &QAction::triggered, this,
            [this, step] { model_.moveStep(step, 1); });
    connect(menu->addAction(tr("Remove\tDel")), &QAction::triggered, this,
            [this, step] { model_.removeStep(step); });
    return menu;
}

void StepTrack::contextMenuEvent(QContextMenuEvent* event) {
    if (!model_.ripple())
        return;
    const bool keyboard = event->reason() == QContextMenuEvent::Keyboard;
    const auto under = keyboard ? std::optional(model_.step()) : stepAt(event->pos());
    if (!under)
        return;
    model_.choose(*under);
    QMenu* menu = menuOf(*under);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->popup(keyboard ? mapToGlobal(stepPoint(*under)) : event->globalPos());
}

void StepTrack::dragEnterEvent(QDragEnterEvent* event) {
    if (colourOf(event->mimeData()))
        event->acceptProposedAction();
}

void StepTrack::dropEvent(QDropEvent* event) {
    const auto asked = colourOf(event->mimeData());
    if (!asked || !model_.ripple())
        return;
    Document& document = model_.document();
    const auto palette = paletteOf(document, *asked);
    event->acceptProposedAction();
    if (const auto* p = document.show().palette(palette); p && !p->colour)
        return p->gradient
                   ? model_.fromGradient(palette)
                   : document.tell(
                         tr("%1 has no colour of its own: a step needs one.").arg(toQt(p->name)));
    if (const auto step = stepAt(event->position().toPoint())) {
        model_.setColour(*step, *asked, palette);
        model_.choose(*step);
    } else {
        model_.addStep(*asked, palette);
    }
}

// --- keys

bool StepTrack::claims(const QKeyEvent& key) const {
    const int k = key.key();
    return (isArrow(key) || k == Qt::Key_Home || k == Qt::Key_End || k == Qt::Key_Insert ||
            k == Qt::Key_Delete) &&
           !(key.modifiers() & Qt::AltModifier);
}

void StepTrack::keyPressEvent(QKeyEvent* event) {
    if (!model_.ripple())
        return QWidget::keyPressEvent(event);
    const std::size_t at = model_.step();
    const std::size_t last = model_.ripple()->steps.size() - 1;
    const auto modifiers = event->modifiers();
    switch (event->key()) {
    case Qt::Key_Left:
        return modifiers & Qt::ControlModifier ? model_.moveStep(at, -1)
                                               : model_.choose(at - (at > 0));
    case Qt::Key_Right:
        return modifiers & Qt::ControlModifier ? model_.moveStep(at, 1)
                                               : model_.choose(std::min(at + 1, last));
    case Qt::Key_Up:
    case Qt::Key_Down: {
        if (!timed())
            return;
        const double step = kKeyStep_s * (modifiers & Qt::ShiftModifier     ? 0.1
                                          : modifiers & Qt::ControlModifier ? 10
                                                                            : 1);
        const double time =
            model_.ripple()->steps[at].time_s + (event->key() == Qt::Key_Up ? step : -step);
        return model_.setTime(at, std::round(time * 1000) / 1000, gesture_.step());
    }
    case Qt::Key_Home:
        return model_.choose(0);
    case Qt::Key_End:
        return model_.choose(last);
    case Qt::Key_Insert:
        return model_.addStep();
    case Qt::Key_Delete:
        return model_.removeStep(at);
    default:
        QWidget::keyPressEvent(event);
    }
}

std::vector<PaintedPart> StepTrack::parts() {
    std::vector<PaintedPart> all;
    for (std::size_t s = 0; model_.ripple() && s < model_.ripple()->steps.size(); ++s)
        all.push_back({tr("Step %1: %2").arg(s + 1).arg(model_.stepName(s)),
                       tr("%1 s").arg(numberText(model_.ripple()->steps[s].time_s, 2)),
                       QRect(stepPoint(s) - QPoint(6, 5), QSize(13, 12)), QAccessible::ListItem,
                       s == model_.step(), [this, s] { model_.choose(s); }});
    return all;
}

} // namespace zelo::desk
