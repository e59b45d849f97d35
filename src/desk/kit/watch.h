// SPDX-License-Identifier: GPL-3.0-or-later
// A view looks at what it shows only while it is seen, and only at changes of that.
#pragma once

#include "desk/kit/document.h"

#include <QWidget>
#include <functional>

namespace zelo::desk {

// Calls `look` when it is told of a change; while `view` is not seen it waits until it is shown.
// Belongs to the view.
class Watch : public QObject {
public:
    Watch(QWidget* view, std::function<void()> look);
    void changed();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QWidget* view_;
    std::function<void()> look_;
    bool late_ = false; // something changed while the view was not seen
};

// After changes of these kinds.
void watch(Document& document, QWidget* view, Changes kinds, std::function<void()> look);

// After this signal of a model.
template <class Model, class Signal>
void watch(Model& model, Signal signal, QWidget* view, std::function<void()> look) {
    auto* watching = new Watch(view, std::move(look));
    QObject::connect(&model, signal, watching, &Watch::changed);
}

} // namespace zelo::desk
