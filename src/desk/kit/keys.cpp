// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/keys.h"

#include <QAbstractButton>
#include <QAbstractItemView>
#include <QAbstractSpinBox>
#include <QApplication>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>

namespace zelo::desk {

namespace {

constexpr char kByKeyboard[] = "reachedByKeyboard"; // of a button: how the focus came to it

bool isPaging(const QKeyEvent& key) {
    switch (key.key()) {
    case Qt::Key_Home:
    case Qt::Key_End:
    case Qt::Key_PageUp:
    case Qt::Key_PageDown:
        return true;
    default:
        return false;
    }
}

bool editsText(const QKeyEvent& key) {
    for (const auto standard : {QKeySequence::Copy, QKeySequence::Cut, QKeySequence::Paste,
                                QKeySequence::Undo, QKeySequence::Redo, QKeySequence::SelectAll})
        if (key.matches(standard))
            return true;
    switch (key.key()) {
    case Qt::Key_Left:
    case Qt::Key_Right:
        return !(key.modifiers() & Qt::AltModifier);
    case Qt::Key_Home:
    case Qt::Key_End:
    case Qt::Key_Backspace:
    case Qt::Key_Delete:
    case Qt::Key_Escape: // leaves the field, before anything else
        return true;
    default:
        return isText(key) || isEnter(key);
    }
}

// The cell with the keyboard, when typing into it would change it.
bool takesTyping(const QAbstractItemView& view) {
    const QModelIndex at = view.currentIndex();
    return at.isValid() && at.flags() & Qt::ItemIsEditable &&
           view.editTriggers() & QAbstractItemView::AnyKeyPressed;
}

bool reachedByKeyboard(const QWidget& button) {
    return button.property(kByKeyboard).toBool();
}

} // namespace

bool isText(const QKeyEvent& key) {
    const QString text = key.text();
    return !(key.modifiers() & (Qt::ControlModifier | Qt::AltModifier | Qt::MetaModifier)) &&
           !text.isEmpty() && text[0].isPrint();
}

bool isArrow(const QKeyEvent& key) {
    return key.key() >= Qt::Key_Left && key.key() <= Qt::Key_Down &&
           !(key.modifiers() & (Qt::AltModifier | Qt::MetaModifier));
}

bool isEnter(const QKeyEvent& key) {
    return (key.key() == Qt::Key_Return || key.key() == Qt::Key_Enter) &&
           !(key.modifiers() & ~Qt::KeypadModifier);
}

bool claimedBy(const QWidget& focused, const QKeyEvent& key) {
    if (const auto* own = dynamic_cast<const OwnKeys*>(&focused))
        return own->claims(key);
    if (qobject_cast<const QLineEdit*>(&focused))
        return editsText(key);
    if (qobject_cast<const QAbstractSpinBox*>(&focused))
        return editsText(key) || isArrow(key) || isPaging(key);
    if (const auto* view = qobject_cast<const QAbstractItemView*>(&focused))
        return isArrow(key) || isPaging(key) || isEnter(key) ||
               (takesTyping(*view) && isText(key) && key.key() != Qt::Key_Space);
    if (qobject_cast<const QAbstractButton*>(&focused))
        return isEnter(key) || (key.key() == Qt::Key_Space && reachedByKeyboard(focused));
    if (qobject_cast<const QComboBox*>(&focused))
        return isArrow(key) || isPaging(key) || isEnter(key) || key.key() == Qt::Key_Space;
    return false;
}

Keys::Keys(QObject* parent) : QObject(parent) {
    qApp->installEventFilter(this);
}

bool Keys::pressed(QWidget& focused, QKeyEvent& key) {
    if (qobject_cast<QDialog*>(focused.window()))
        return false; // Enter is its answer there
    if (auto* button = qobject_cast<QAbstractButton*>(&focused)) {
        if (isEnter(key) && !key.isAutoRepeat()) {
            button->click();
            return true;
        }
        if (key.key() == Qt::Key_Space && !reachedByKeyboard(focused)) {
            key.ignore(); // it is the window's
            return true;
        }
    }
    if (auto* view = qobject_cast<QAbstractItemView*>(&focused); view && isEnter(key))
        if (takesTyping(*view)) {
            view->edit(view->currentIndex());
            return true;
        }
    if (auto* box = qobject_cast<QComboBox*>(&focused); box && isEnter(key)) {
        box->showPopup();
        return true;
    }
    return false;
}

bool Keys::eventFilter(QObject* watched, QEvent* event) {
    switch (event->type()) {
    case QEvent::MouseButtonPress:
    case QEvent::Wheel:
        alt_alone_ = false;
        return false;
    case QEvent::FocusIn:
        if (auto* button = qobject_cast<QAbstractButton*>(watched)) {
            const auto reason = static_cast<QFocusEvent*>(event)->reason();
            if (reason != Qt::ActiveWindowFocusReason && reason != Qt::PopupFocusReason)
                button->setProperty(kByKeyboard, reason != Qt::MouseFocusReason);
        }
        return false;
    case QEvent::ShortcutOverride:
    case QEvent::KeyPress:
    case QEvent::KeyRelease:
        break;
    default:
        return false;
    }
    auto* widget = qobject_cast<QWidget*>(watched);
    if (!widget)
        return false;
    auto& key = *static_cast<QKeyEvent*>(event);
    const bool focused = widget == QApplication::focusWidget();
    if (event->type() == QEvent::KeyRelease) {
        if (key.key() == Qt::Key_Alt && alt_alone_) {
            alt_alone_ = false;
            emit altTapped();
        }
        return false;
    }
    alt_alone_ = key.key() == Qt::Key_Alt && !(key.modifiers() & ~Qt::AltModifier);
    if (!focused || QApplication::activePopupWidget())
        return false;
    if (event->type() == QEvent::KeyPress)
        return pressed(*widget, key);
    // Told here for good: what the widget itself would say does not count.
    key.setAccepted(claimedBy(*widget, key));
    return true;
}

} // namespace zelo::desk
