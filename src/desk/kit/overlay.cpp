// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/overlay.h"

#include <QApplication>
#include <QEvent>

namespace zelo::desk {

Overlay::Overlay(QWidget* under) : QWidget(under) {
    setFocusPolicy(Qt::StrongFocus);
    under->installEventFilter(this);
    hide();
}

void Overlay::open() {
    static int opened = 0;
    opened_ = ++opened;
    if (!isVisible())
        focus_before_ = QApplication::focusWidget();
    setGeometry(parentWidget()->rect());
    show();
    raise();
    setFocus();
}

Overlay* Overlay::topmost(const QWidget& window) {
    Overlay* top = nullptr;
    for (auto* over : window.findChildren<Overlay*>())
        if (over->isVisible() && (!top || over->opened_ > top->opened_))
            top = over;
    return top;
}

bool Overlay::eventFilter(QObject* watched, QEvent* event) {
    if (watched == parentWidget() && event->type() == QEvent::Resize)
        setGeometry(parentWidget()->rect());
    return QWidget::eventFilter(watched, event);
}

void Overlay::hideEvent(QHideEvent* event) {
    QWidget::hideEvent(event);
    const QWidget* now = QApplication::focusWidget();
    const bool ours = !now || now == this || isAncestorOf(now);
    if (ours && focus_before_ && focus_before_->isVisible())
        focus_before_->setFocus();
    else if (ours && window()->isVisible())
        window()->setFocus();
}

} // namespace zelo::desk
