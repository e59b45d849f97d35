// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/own_window.h"

#include <QCloseEvent>
#include <QKeyEvent>
#include <QSettings>

namespace zelo::desk {

OwnWindow::OwnWindow(const char* name, const QString& title, const QSize& size, QWidget* owner)
    : QWidget(owner, Qt::Window), name_(name) {
    setAccessibleName(title);
    setWindowTitle(title);
    resize(size);
}

OwnWindow::~OwnWindow() {
    if (isVisible())
        keepPlace();
}

namespace {
QString keyOf(const char* name, const char* what) {
    return QStringLiteral("windows/%1/%2").arg(QLatin1String(name), QLatin1String(what));
}
} // namespace

void OwnWindow::keepPlace() const {
    QSettings().setValue(keyOf(name_, "place"), saveGeometry());
}

void OwnWindow::put(bool open) {
    QSettings().setValue(keyOf(name_, "open"), open);
    setVisible(open);
}

bool OwnWindow::wasOpen(const char* name) {
    return QSettings().value(keyOf(name, "open")).toBool();
}

void OwnWindow::comeBack() {
    if (wasOpen(name_))
        show();
}

void OwnWindow::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape)
        put(false);
    else if (event->key() == Qt::Key_F || event->key() == Qt::Key_F11)
        setWindowState(windowState() ^ Qt::WindowFullScreen);
    else
        QWidget::keyPressEvent(event);
}

// A place on a screen that is gone is moved to one that is there: restoreGeometry sees to that.
void OwnWindow::showEvent(QShowEvent* event) {
    if (!placed_)
        restoreGeometry(QSettings().value(keyOf(name_, "place")).toByteArray());
    placed_ = true;
    QWidget::showEvent(event);
}

void OwnWindow::hideEvent(QHideEvent* event) {
    keepPlace();
    QWidget::hideEvent(event);
}

// By its frame; at the program's end it stays one that was open.
void OwnWindow::closeEvent(QCloseEvent* event) {
    if (event->spontaneous())
        put(false);
    QWidget::closeEvent(event);
}

} // namespace zelo::desk
