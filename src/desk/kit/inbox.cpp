// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/inbox.h"

#include <QCoreApplication>
#include <QEvent>

namespace zelo::desk {

void Inbox::post(std::function<void()> work) {
    const std::scoped_lock lock(mutex_);
    waiting_.push_back(std::move(work));
    if (waiting_.size() == 1) // one call for all that gather until it is heard
        QCoreApplication::postEvent(this, new QEvent(QEvent::User));
}

void Inbox::customEvent(QEvent*) {
    std::vector<std::function<void()>> now;
    {
        const std::scoped_lock lock(mutex_);
        now.swap(waiting_);
    }
    for (const auto& work : now)
        work();
}

} // namespace zelo::desk
