// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/frame.h"

#include "desk/kit/forms.h"
#include "desk/shell/main_window.h"

#include <QCloseEvent>
#include <QScreen>
#include <QScrollBar>
#include <QSettings>

#include <algorithm>

namespace zelo::desk {

namespace {
constexpr const char* kPlace = "windows/main/place";
constexpr int kTitleHeight = 40; // what desktops put above a window, about
} // namespace

Frame::Frame(MainWindow& window) : window_(window) {
    setWindowTitle(window.windowTitle());
    setFrameShape(NoFrame);
    setWidgetResizable(true);
    for (QScrollBar* bar : {horizontalScrollBar(), verticalScrollBar()})
        bar->setStyleSheet(scrollBarStyle()); // of its own: nothing inside inherits it
    setWidget(&window);
    setFocusProxy(&window);
    window.show();
    window.setFocus(); // nothing is picked by a first key press that was meant for the window
    // As small as the screen needs it.
    setMinimumSize(window.minimumSize().boundedTo(screen()->availableSize()));
}

Frame::~Frame() {
    takeWidget()->setParent(nullptr); // it is not ours
    if (kept_)
        QSettings().setValue(kPlace, saveGeometry());
}

void Frame::comeBack(const QSize& asked) {
    kept_ = true;
    if (!asked.isValid() && restoreGeometry(QSettings().value(kPlace).toByteArray()))
        return;
    const QSize wish = asked.isValid() ? asked : kFirstSize;
    const QSize room = screen()->availableSize() - QSize(0, kTitleHeight);
    resize(wish.boundedTo(room));
    if (size() != wish)
        setWindowState(Qt::WindowMaximized);
}

int Frame::sizePercent() {
    const int percent = QSettings().value("look/size_percent", 100).toInt();
    return std::find(std::begin(kSizes), std::end(kSizes), percent) != std::end(kSizes) ? percent
                                                                                        : 100;
}

void Frame::setSizePercent(int percent) {
    QSettings().setValue("look/size_percent", percent);
}

void Frame::closeEvent(QCloseEvent* event) {
    event->setAccepted(window_.close());
}

} // namespace zelo::desk
