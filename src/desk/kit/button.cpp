// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/button.h"

#include "desk/kit/draw.h"

namespace zelo::desk {

namespace {
constexpr int kMenuMark = 14; // px for the pointer
}

Button::Button(const QString& word, const QString& key, const QString& tip, Kind kind,
               QWidget* parent)
    : QAbstractButton(parent), key_(key), kind_(kind) {
    setText(word);
    setAccessibleName(word);
    setToolTip(key.isEmpty() ? tip : QStringLiteral("%1 (%2)").arg(tip, key));
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
    setCursor(Qt::PointingHandCursor);
}

void Button::setOpensMenu(bool on) {
    opens_menu_ = on;
    updateGeometry();
}

bool Button::bare() const {
    return kind_ == Kind::Text || kind_ == Kind::Title;
}

QFont Button::face() const {
    return typeface(kind_ == Kind::Title ? Type::Title : Type::Work, isChecked());
}

QSize Button::sizeHint() const {
    const int key = key_.isEmpty() ? 0 : textWidth(key_, typeface(Type::Small)) + 8;
    return {textWidth(text(), face()) + key + (bare() ? 0 : 24) + (opens_menu_ ? kMenuMark : 0),
            bare() ? 22 : 28};
}

void Button::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const int key = key_.isEmpty() ? 0 : textWidth(key_, typeface(Type::Small)) + 8;
    const int room = width() - key - (opens_menu_ ? kMenuMark : 0);
    const int word = std::min(textWidth(text(), face()), room);
    const int base = height() / 2 + 5;
    const bool on = isChecked();
    QColor ink = isEnabled() ? (underMouse() || on ? theme().bright : theme().text) : theme().faint;
    int x = 0;
    if (!bare()) {
        const QColor fill = isDown()                             ? theme().faint
                            : on                                 ? theme().bright
                            : kind_ == Kind::Next && isEnabled() ? theme().lift
                                                                 : QColor(Qt::transparent);
        if (on)
            ink = theme().head;
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(kind_ == Kind::Next && isEnabled() ? theme().rule : theme().faint, 1));
        p.setBrush(fill);
        p.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 2, 2);
        x = (width() - word - key) / 2;
    }
    drawElided(p, x, base, std::max(room, bare() ? 0 : width()), text(), face(), ink);
    if (opens_menu_)
        drawPointer(p, {x + word + 9.0, base - 1.5}, Points::Down, 8, 5, ink);
    if (!key_.isEmpty())
        drawText(p, x + word + 8, base, key_, typeface(Type::Small), on ? ink : theme().dim);
    if (bare() && underMouse() && isEnabled())
        p.fillRect(0, base + 3, word, 1, theme().text);
    if (hasFocus())
        drawFocusBrackets(p, rect());
}

} // namespace zelo::desk
