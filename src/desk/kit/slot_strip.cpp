// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/slot_strip.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"

#include <QContextMenuEvent>
#include <QHelpEvent>
#include <QMenu>
#include <QMouseEvent>
#include <QToolTip>
#include <algorithm>

namespace zelo::desk {

namespace {
constexpr int kTop = 27;   // title and the marks over the chips
constexpr int kChip = 24;  // height
constexpr int kRow = 41;   // of chips with their numbers
constexpr int kLeast = 13; // width of a chip
constexpr int kMost = 40;
} // namespace

SlotStrip::SlotStrip(const QString& wheel, QWidget* parent) : QWidget(parent), wheel_(wheel) {
    setAccessibleName(tr("Slots of %1").arg(wheel));
    setToolTip(
        tr("%1: a press takes a slot, the arrow keys step, P pins it, Backspace solves again")
            .arg(wheel));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
}

void SlotStrip::setChips(std::vector<Chip> chips) {
    chips_ = std::move(chips);
    nearest_ = -1;
    for (int i = 0; i < static_cast<int>(chips_.size()); ++i) {
        const double miss = chips_[static_cast<std::size_t>(i)].miss_uv;
        if (std::isfinite(miss) &&
            (nearest_ < 0 || miss < chips_[static_cast<std::size_t>(nearest_)].miss_uv))
            nearest_ = i;
    }
    update();
}

void SlotStrip::setChosen(double setting, bool pinned) {
    pinned_ = pinned;
    chosen_ = -1;
    double least = 1e9;
    for (std::size_t i = 0; i < chips_.size(); ++i)
        if (const double far = std::abs(chips_[i].setting - setting); far < least) {
            least = far;
            chosen_ = static_cast<int>(i);
        }
    setAccessibleDescription(said(chosen_));
    update();
}

QString SlotStrip::said(int chip) const {
    if (chip < 0)
        return {};
    const Chip& c = chips_[static_cast<std::size_t>(chip)];
    const QString which =
        c.half ? tr("between %1 and %2: %3").arg(c.number).arg(c.number + 1).arg(c.name)
               : QStringLiteral("%1 %2").arg(c.number).arg(c.name);
    return std::isfinite(c.miss_uv) ? tr("%1, Δu′v′ %2").arg(which, numberText(c.miss_uv, 4))
                                    : which;
}

SlotStrip::Grid SlotStrip::grid(int width) const {
    const int n = std::max<int>(1, static_cast<int>(chips_.size()));
    const int wide = std::clamp(width / n, kLeast, kMost);
    return {wide, std::max(1, width / wide)};
}

int SlotStrip::heightAt(int width) const {
    const int n = std::max<int>(1, static_cast<int>(chips_.size()));
    const int in_row = grid(width).in_row;
    return kTop + kRow * ((n + in_row - 1) / in_row);
}

QRect SlotStrip::rectOf(int chip) const {
    const auto [wide, in_row] = grid(width());
    return {chip % in_row * wide, kTop + chip / in_row * kRow, wide, kChip};
}

QPoint SlotStrip::centreOf(int chip) const {
    return rectOf(chip).center();
}

int SlotStrip::at(const QPoint& pos) const {
    for (int i = 0; i < static_cast<int>(chips_.size()); ++i)
        if (rectOf(i).adjusted(0, -6, 0, kRow - kChip - 6).contains(pos))
            return i;
    return -1;
}

void SlotStrip::choose(int chip, int gesture) {
    if (chip < 0 || chip >= static_cast<int>(chips_.size()))
        return;
    emit slotChosen(chips_[static_cast<std::size_t>(chip)].setting, gesture);
}

std::vector<PaintedPart> SlotStrip::parts() {
    std::vector<PaintedPart> all;
    for (int i = 0; i < static_cast<int>(chips_.size()); ++i)
        all.push_back({said(i), {}, rectOf(i), QAccessible::RadioButton, i == chosen_, [this, i] {
                           choose(i, gesture_.begin());
                       }});
    return all;
}

bool SlotStrip::claims(const QKeyEvent& key) const {
    return isArrow(key) || key.key() == Qt::Key_Home || key.key() == Qt::Key_End ||
           key.key() == Qt::Key_Backspace || (isText(key) && key.key() == Qt::Key_P);
}

void SlotStrip::keyPressEvent(QKeyEvent* event) {
    const int last = static_cast<int>(chips_.size()) - 1;
    switch (event->key()) {
    case Qt::Key_Right:
    case Qt::Key_Down:
        return choose(std::min(chosen_ + 1, last), gesture_.step());
    case Qt::Key_Left:
    case Qt::Key_Up:
        return choose(std::max(chosen_ - 1, 0), gesture_.step());
    case Qt::Key_Home:
        return choose(0, gesture_.step());
    case Qt::Key_End:
        return choose(last, gesture_.step());
    case Qt::Key_Backspace:
        emit resetWanted();
        return;
    case Qt::Key_P:
        emit pinWanted();
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

void SlotStrip::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        choose(at(event->pos()), gesture_.begin());
}

void SlotStrip::contextMenuEvent(QContextMenuEvent* event) {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->addAction(pinned_ ? tr("Unpin %1\tP").arg(wheel_) : tr("Pin %1 here\tP").arg(wheel_),
                    this, &SlotStrip::pinWanted);
    menu->addAction(tr("Solve again\tBackspace"), this, &SlotStrip::resetWanted);
    menu->popup(event->globalPos());
}

bool SlotStrip::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(event);
        if (const int chip = at(help->pos()); chip >= 0) {
            QToolTip::showText(help->globalPos(), said(chip), this);
            return true;
        }
    }
    return QWidget::event(event);
}

void SlotStrip::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const QFont small = typeface(Type::Small);
    const int w = drawText(p, 0, 12, wheel_, typeface(Type::Work), theme().text);
    if (chosen_ >= 0)
        drawElided(p, w + 10, 12, width() - w - 10, said(chosen_), small, theme().bright);
    for (int i = 0; i < static_cast<int>(chips_.size()); ++i) {
        const Chip& c = chips_[static_cast<std::size_t>(i)];
        const QRect r = rectOf(i);
        const QRect chip = r.adjusted(0, c.half ? 8 : 0, -1, 0); // halves stand lower
        p.fillRect(chip, c.light);
        if (i == chosen_) {
            p.fillRect(chip.left(), chip.bottom() + 2, chip.width(), 2, theme().bright);
            if (pinned_) {
                p.setRenderHint(QPainter::Antialiasing);
                p.setPen(QPen(Qt::black, 5));
                p.setBrush(Qt::NoBrush);
                p.drawEllipse(chip.center(), 3, 3);
                p.setPen(QPen(theme().bright, 3));
                p.drawEllipse(chip.center(), 3, 3);
                p.setRenderHint(QPainter::Antialiasing, false);
            }
        }
        if (i == nearest_)
            drawPointer(p, {r.center().x() + 0.5, r.top() - 2.0}, Points::Down, 9, 6,
                        theme().bright);
        if (!c.half)
            drawTextCentred(p, r.center().x(), r.bottom() + 16, QString::number(c.number), small,
                            i == chosen_ ? theme().bright : theme().dim);
    }
    if (hasFocus())
        drawFocusBrackets(p, QRect(0, kTop - 4, width(), height() - kTop + 2));
}

} // namespace zelo::desk
