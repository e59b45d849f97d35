// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/cue_delegate.h"

#include "desk/kit/draw.h"

#include <QLineEdit>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace zelo::desk {

using show::Cue;
using show::CueNumber;

namespace {

void paintLock(QPainter& p, const QPoint& at) {
    p.setPen(QPen(theme().dim, 1));
    p.setBrush(theme().dim);
    p.drawRect(at.x() - 3, at.y() - 1, 6, 5);
    p.setBrush(Qt::NoBrush);
    p.drawRect(at.x() - 2, at.y() - 4, 4, 3);
}

constexpr int kWave = 16;

// It does something with a ripple.
void paintWave(QPainter& p, const QPointF& left, const QColor& ink) {
    QPainterPath wave(left);
    wave.cubicTo(left + QPointF(3, -6), left + QPointF(5, -6), left + QPointF(8, 0));
    wave.cubicTo(left + QPointF(11, 6), left + QPointF(13, 6), left + QPointF(kWave, 0));
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(ink, 1.4));
    p.setBrush(Qt::NoBrush);
    p.drawPath(wave);
    p.setRenderHint(QPainter::Antialiasing, false);
}

// What a fault is drawn as: a way that falls in.
void paintDip(QPainter& p, const QPointF& at, const QColor& ink) {
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(ink, 1.6));
    const QPointF dip[] = {at + QPointF(-8, -4), at + QPointF(-4, -4), at + QPointF(0, 4),
                           at + QPointF(4, -4), at + QPointF(8, -4)};
    p.drawPolyline(dip, 5);
    p.setRenderHint(QPainter::Antialiasing, false);
}

} // namespace

CueDelegate::CueDelegate(CueModel& model, CueTable& table)
    : QStyledItemDelegate(&table), model_(model), table_(table) {}

void CueDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                        const QModelIndex& index) const {
    QPainter& p = *painter;
    const auto number = table_.rows().numberAt(index.row());
    const Cue* cue = number ? model_.cue(*number) : nullptr;
    if (!cue)
        return;
    const bool standing = model_.current() == number;
    const bool chosen = option.state.testFlag(QStyle::State_Selected);
    const QRect r = option.rect;
    p.fillRect(r, standing ? theme().lift : chosen ? theme().row : theme().bench);
    if (!standing)
        p.fillRect(r.left(), r.bottom(), r.width(), 1, theme().hair);
    if (r.top() + 7 < 0 || r.top() + 25 > table_.viewport()->height())
        return; // no half letters at the edges of the list
    const QColor ink = standing || chosen ? theme().bright : theme().text;
    const int base = r.top() + 21;
    const CueCell cell = cueCellAt(index.column());
    const QString text = index.data().toString();
    p.save();
    p.setClipRect(r);
    const QFont face = typeface(Type::Work, standing);
    if (cell == CueCell::Number) {
        drawTextRight(p, r.right() - 12, base, text, face, ink);
        if (cue->locked)
            paintLock(p, QPoint(r.right() - 5, base - 4));
    } else if (cell == CueCell::Name) {
        const int wide = drawElided(p, r.left() + 4, base, r.width() - 10, text, face, ink);
        const QString ripples = model_.rippleWords(*cue);
        const int room = r.width() - wide - 24;
        if (!ripples.isEmpty() && textWidth(ripples, typeface(Type::Small)) <= room)
            drawText(p, r.left() + wide + 14, base, ripples, typeface(Type::Small), theme().dim);
        else if (!ripples.isEmpty() && room >= kWave) // its words are told under the pointer
            paintWave(p, QPointF(r.left() + wide + 14, base - 5), theme().dim);
    } else if (cell == CueCell::Looks) {
        paintLamps(p, r, *number);
    } else if (isCueTime(cell)) {
        const int room = r.width() - 8;
        const int wide = std::min(textWidth(text, typeface(Type::Work)), room);
        drawElided(p, r.right() - 6 - wide, base, room, text, typeface(Type::Work), ink);
    } else if (cell == CueCell::Route) {
        const bool own = !text.isEmpty();
        drawElided(p, r.left() + 8, base, r.width() - 12, own ? text : CueModel::tr("as needed"),
                   typeface(Type::Work), own ? ink : theme().dim);
    } else if (!model_.findings(*number).empty()) {
        paintDip(p, QPointF(r.left() + 11, r.top() + 16.5), ink);
    }
    p.restore();
    if (option.state.testFlag(QStyle::State_HasFocus) && table_.hasFocus())
        drawFocusBrackets(p, r.adjusted(1, 2, -2, -3));
}

QWidget* CueDelegate::createEditor(QWidget* parent, const QStyleOptionViewItem& option,
                                   const QModelIndex& index) const {
    if (cueCellAt(index.column()) == CueCell::Route) {
        table_.openRoutes();
        return nullptr;
    }
    QWidget* editor = QStyledItemDelegate::createEditor(parent, option, index);
    if (auto* line = qobject_cast<QLineEdit*>(editor)) {
        line->setFont(typeface(Type::Work));
        if (cueCellAt(index.column()) != CueCell::Name)
            line->setAlignment(Qt::AlignRight);
    }
    return editor;
}

void CueDelegate::updateEditorGeometry(QWidget* editor, const QStyleOptionViewItem& option,
                                       const QModelIndex& index) const {
    QRect r = option.rect;
    r.setHeight(kCueRow - 4);
    r.translate(0, 1);
    if (cueCellAt(index.column()) == CueCell::Number)
        r.setLeft(r.left() + kCuePointer);
    editor->setGeometry(r);
}

void CueDelegate::paintLamps(QPainter& p, const QRect& r, CueNumber number) const {
    const auto* lamps = model_.picture(number);
    if (!lamps)
        return;
    const int height = 18;
    const int top = r.top() + 7;
    int x = r.left() + 4;
    for (const auto& block : model_.blocks()) {
        const int wide = static_cast<int>(block.count) * (kLampWide + kLampGap);
        if (x + wide > r.right())
            break;
        for (std::size_t i = 0; i < block.count; ++i) {
            const auto& lamp = (*lamps)[block.first + i];
            p.fillRect(x, top, kLampWide, height, theme().well);
            if (lamp.intensity > 0 && colour::hasChromaticity(lamp.at_full)) {
                const int high =
                    std::max(1, static_cast<int>(std::lround(height * lamp.intensity)));
                p.fillRect(x, top + height - high, kLampWide, high,
                           model_.document().colours().of(lamp.at_full));
            }
            x += kLampWide + kLampGap;
        }
        x += kBlockGap;
    }
}

} // namespace zelo::desk
