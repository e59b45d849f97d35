// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/watch.h"

#include <QEvent>

namespace zelo::desk {

Watch::Watch(QWidget* view, std::function<void()> look)
    : QObject(view), view_(view), look_(std::move(look)) {
    view_->installEventFilter(this);
}

void Watch::changed() {
    late_ = !view_->isVisible();
    if (!late_)
        look_();
}

bool Watch::eventFilter(QObject* watched, QEvent* event) {
    if (watched == view_ && event->type() == QEvent::Show && late_) {
        late_ = false;
        look_();
    }
    return false;
}

void watch(Document& document, QWidget* view, Changes kinds, std::function<void()> look) {
    auto* watching = new Watch(view, std::move(look));
    QObject::connect(&document, &Document::changed, watching, [watching, kinds](Changes what) {
        if (what.has(kinds))
            watching->changed();
    });
}

} // namespace zelo::desk
