// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/text_field.h"

#include <QKeyEvent>

namespace zelo::desk {

TextField::TextField(const QString& name, const QString& tip, Esc esc, QWidget* parent)
    : QLineEdit(parent), esc_(esc) {
    setAccessibleName(name);
    setToolTip(tip);
    setFrame(false);
}

void TextField::focusInEvent(QFocusEvent* event) {
    before_ = text();
    QLineEdit::focusInEvent(event);
}

void TextField::keyPressEvent(QKeyEvent* event) {
    if (event->key() != Qt::Key_Escape)
        return QLineEdit::keyPressEvent(event);
    setText(esc_ == Esc::Clears ? QString() : before_);
    window()->setFocus();
    event->accept();
}

} // namespace zelo::desk
