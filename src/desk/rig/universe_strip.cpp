// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/rig/universe_strip.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QToolTip>
#include <QWheelEvent>
#include <algorithm>

namespace zelo::desk {

namespace {
constexpr int kTop = 20;
constexpr int kHeight = 18;
} // namespace

UniverseStrip::UniverseStrip(Document& document, PatchModel& patch, QWidget* parent)
    : QWidget(parent), document_(document), patch_(patch) {
    setAccessibleName(tr("Slots of the universe"));
    setToolTip(tr("Who takes which of the 512 slots; wheel or arrow keys: another universe"));
    setFocusPolicy(Qt::StrongFocus);
    setFixedHeight(kTop + kHeight + 20);
    watch(document_, this, Change::Rig | Change::Types | Change::Lineup, [this] { update(); });
}

void UniverseStrip::setUniverse(int universe) {
    universe_ = std::clamp(universe, 1, light::kLastUniverse);
    update();
    emit universeShown(universe_);
}

double UniverseStrip::xOf(int slot) const {
    return (slot - 1) * static_cast<double>(width()) / show::kSlotsInUniverse;
}

const show::Fixture* UniverseStrip::at(const QPoint& pos) const {
    const auto slots_of = patch_.slotsOf();
    for (const auto& [id, f] : document_.show().fixtures)
        if (f->universe == universe_ && pos.x() >= xOf(f->address) &&
            pos.x() < xOf(f->address + slots_of(*f)))
            return f.get();
    return nullptr;
}

int UniverseStrip::used() const {
    std::array<char, show::kSlotsInUniverse> taken{};
    const auto slots_of = patch_.slotsOf();
    for (const auto& [id, f] : document_.show().fixtures)
        for (int s = 0; f->universe == universe_ && s < slots_of(*f); ++s)
            if (f->address + s <= show::kSlotsInUniverse)
                taken[static_cast<std::size_t>(f->address + s - 1)] = 1;
    return static_cast<int>(std::count(taken.begin(), taken.end(), 1));
}

void UniverseStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const QFont small = typeface(Type::Small);
    const int w = drawText(p, 0, 12, tr("Universe"), small, theme().dim);
    drawText(p, w + 8, 12, QString::number(universe_), typeface(Type::Work), theme().bright);
    int clashes = 0;
    for (const auto& c : patch_.faults().clashes)
        clashes += document_.show().fixture(c.fixture)->universe == universe_;
    const QString sum = tr("%1 of 512 slots used").arg(used()) +
                        (clashes ? tr(", %n clash(es)", nullptr, clashes) : QString());
    drawTextRight(p, width(), 12, sum, small, clashes ? theme().bright : theme().dim);
    p.fillRect(0, kTop, width(), kHeight, theme().well);
    const auto slots_of = patch_.slotsOf();
    const auto& lineup = document_.lineup();
    for (const auto& [id, f] : document_.show().fixtures) {
        if (f->universe != universe_)
            continue;
        const double left = xOf(f->address);
        const double right = xOf(std::min(f->address + slots_of(*f), 513));
        const bool chosen = std::find(lineup.begin(), lineup.end(), id) != lineup.end();
        p.fillRect(QRectF(left, kTop, std::max(1.0, right - left - 1), kHeight),
                   chosen ? theme().bright : theme().faint);
    }
    // Where two claim the same slots: strokes, and a bracket below.
    for (const auto& c : patch_.faults().clashes) {
        const auto* f = document_.show().fixture(c.fixture);
        if (f->universe != universe_)
            continue;
        const QRectF r(xOf(f->address), kTop, xOf(f->address + c.shared) - xOf(f->address),
                       kHeight);
        p.fillRect(r, theme().well);
        p.save();
        p.setClipRect(r);
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(theme().bright, 1.3));
        for (double x = r.left() - kHeight; x < r.right(); x += 4)
            p.drawLine(QPointF(x, r.bottom()), QPointF(x + kHeight, r.top()));
        p.restore();
        p.fillRect(QRectF(r.left() - 2, kTop + kHeight + 4, r.width() + 4, 1), theme().bright);
        p.fillRect(QRectF(r.left() - 2, kTop + kHeight + 1, 1, 4), theme().bright);
        p.fillRect(QRectF(r.right() + 1, kTop + kHeight + 1, 1, 4), theme().bright);
    }
    for (const int slot : {1, 64, 128, 192, 256, 320, 384, 448, 512}) {
        const int x = static_cast<int>(xOf(slot));
        p.fillRect(std::min(x, width() - 1), kTop + kHeight, 1, 3, theme().faint);
        const QString text = QString::number(slot);
        const int tw = textWidth(text, small);
        drawText(p, std::clamp(x - tw / 2, 0, width() - tw), kTop + kHeight + 16, text, small,
                 theme().dim);
    }
    if (hasFocus())
        drawFocusBrackets(p, QRect(2, kTop, width() - 4, kHeight));
}

QString UniverseStrip::said(const show::Fixture& f) const {
    const QString fault = patch_.faultText(f.id);
    const auto range = tr("slots %1 to %2").arg(f.address).arg(f.address + patch_.slotsOf()(f) - 1);
    return fault.isEmpty() ? range : QStringLiteral("%1, %2").arg(range, fault);
}

std::vector<PaintedPart> UniverseStrip::parts() {
    const auto slots_of = patch_.slotsOf();
    const auto& lineup = document_.lineup();
    std::vector<PaintedPart> all;
    for (const auto& [id, f] : document_.show().fixtures) {
        if (f->universe != universe_)
            continue;
        const int left = static_cast<int>(xOf(f->address));
        all.push_back(
            {tr("Lamp %1").arg(f->number), said(*f),
             QRect(left, kTop, static_cast<int>(xOf(f->address + slots_of(*f))) - left, kHeight),
             QAccessible::ListItem, std::find(lineup.begin(), lineup.end(), id) != lineup.end(),
             [this, lamp = id] { emit fixturePressed(lamp, {}); }});
    }
    return all;
}

void UniverseStrip::mousePressEvent(QMouseEvent* event) {
    const auto* f = event->button() == Qt::LeftButton ? at(event->pos()) : nullptr;
    if (f)
        emit fixturePressed(f->id, event->modifiers());
}

void UniverseStrip::wheelEvent(QWheelEvent* event) {
    setUniverse(universe_ + (event->angleDelta().y() > 0 ? -1 : 1));
}

bool UniverseStrip::claims(const QKeyEvent& key) const {
    return isArrow(key);
}

void UniverseStrip::keyPressEvent(QKeyEvent* event) {
    const int key = event->key();
    if (key == Qt::Key_Left || key == Qt::Key_Down || key == Qt::Key_Right || key == Qt::Key_Up)
        return setUniverse(universe_ + (key == Qt::Key_Left || key == Qt::Key_Down ? -1 : 1));
    QWidget::keyPressEvent(event);
}

bool UniverseStrip::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(event);
        if (const auto* f = at(help->pos())) {
            QToolTip::showText(help->globalPos(), tr("Lamp %1, %2").arg(f->number).arg(said(*f)),
                               this);
            return true;
        }
    }
    return QWidget::event(event);
}

} // namespace zelo::desk
