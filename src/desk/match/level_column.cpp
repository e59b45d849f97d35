// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/level_column.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"

#include <QContextMenuEvent>
#include <QKeyEvent>
#include <QMenu>
#include <algorithm>

namespace zelo::desk {

LevelColumn::LevelColumn(const QString& emitter, QWidget* parent)
    : ValueControl(tr("%1 level").arg(emitter),
                   tr("%1: drag, wheel or type its level. P pins it, X keeps it out of the mix.")
                       .arg(emitter),
                   {0, 100, 1, 0}, parent),
      name_(emitter), short_name_(emitter.toLower()) {
    setUnit("%");
    setCursor(Qt::SizeVerCursor);
}

void LevelColumn::setLight(const QColor& colour, bool kept_out, bool pinned) {
    colour_ = colour;
    kept_out_ = kept_out;
    pinned_ = pinned;
    update();
}

void LevelColumn::setShortName(const QString& name) {
    short_name_ = name;
    update();
}

QRect LevelColumn::well() const {
    const int w = std::min(22, width() - 8);
    return {(width() - w) / 2, 4, w, height() - 4 - kBelow};
}

QRect LevelColumn::editorRect() const {
    return {0, well().bottom() + 4, width(), 20};
}

double LevelColumn::valueAt(const QPoint& pos) const {
    if (pos.y() > well().bottom() + 4)
        return NAN;
    return 100.0 * std::clamp((well().bottom() - pos.y()) / double(well().height() - 1), 0.0, 1.0);
}

bool LevelColumn::claims(const QKeyEvent& key) const {
    return ValueControl::claims(key) ||
           (isText(key) && (key.key() == Qt::Key_P || key.key() == Qt::Key_X));
}

void LevelColumn::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_P && event->modifiers() == Qt::NoModifier)
        emit pinWanted();
    else if (event->key() == Qt::Key_X && event->modifiers() == Qt::NoModifier)
        emit keepOutWanted();
    else
        ValueControl::keyPressEvent(event);
}

void LevelColumn::contextMenuEvent(QContextMenuEvent* event) {
    QMenu menu(this);
    menu.addAction(pinned_ ? tr("Unpin %1\tP").arg(name_) : tr("Pin %1 here\tP").arg(name_), this,
                   &LevelColumn::pinWanted);
    menu.addAction(kept_out_ ? tr("Use %1 again\tX").arg(name_) : tr("Keep %1 out\tX").arg(name_),
                   this, &LevelColumn::keepOutWanted);
    menu.addAction(tr("Solve again\tBackspace"), this, &LevelColumn::resetWanted);
    menu.exec(event->globalPos());
}

void LevelColumn::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const QRect w = well();
    p.fillRect(w, theme().well);
    const int centre = w.center().x();
    if (kept_out_) {
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(theme().dim, 1));
        p.drawLine(QPointF(w.left(), w.bottom() + 1), QPointF(w.right() + 1, w.top()));
    } else {
        const double height = w.height() * value() / 100;
        const double top = w.bottom() + 1 - height;
        p.fillRect(QRectF(w.left(), top, w.width(), height), colour_);
        p.fillRect(QRectF(w.left() - 3, top - 1, w.width() + 6, 2), theme().bright);
        if (pinned_) {
            p.setRenderHint(QPainter::Antialiasing);
            p.setPen(QPen(Qt::black, 5));
            p.setBrush(Qt::NoBrush);
            p.drawEllipse(QPointF(centre + 0.5, top), 3.5, 3.5);
            p.setPen(QPen(theme().bright, 3));
            p.drawEllipse(QPointF(centre + 0.5, top), 3.5, 3.5);
        }
    }
    const int base = w.bottom() + 19;
    if (!typing())
        drawTextCentred(p, centre, base, kept_out_ ? tr("out") : numberText(value(), 0),
                        typeface(Type::Work), kept_out_ ? theme().dim : theme().bright);
    if (hovered() && !kept_out_)
        p.fillRect(centre - 12, base + 3, 24, 1, theme().rule);
    if (hasFocus())
        drawFocusBrackets(p, QRect(w.left() - 6, 0, w.width() + 12, w.height() + 8));
}

} // namespace zelo::desk
