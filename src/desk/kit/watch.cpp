// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/watch.h"

#include <QEvent>

namespace zelo::desk {

namespace {

class Watch : public QObject {
public:
    Watch(QWidget* view, std::function<void()> look)
        : QObject(view), view_(view), look_(std::move(look)) {
        view_->installEventFilter(this);
    }
    void changed() {
        late_ = !view_->isVisible();
        if (!late_)
            look_();
    }

protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (watched == view_ && event->type() == QEvent::Show && late_) {
            late_ = false;
            look_();
        }
        return false;
    }

private:
    QWidget* view_;
    std::function<void()> look_;
    bool late_ = false; // something changed while the view was not seen
};

} // namespace

void watch(Document& document, QWidget* view, Changes kinds, std::function<void()> look) {
    auto* watching = new Watch(view, std::move(look));
    QObject::connect(&document, &Document::changed, watching, [watching, kinds](Changes what) {
        if (what.has(kinds))
            watching->changed();
    });
}

} // namespace zelo::desk
