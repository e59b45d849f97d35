// SPDX-License-Identifier: GPL-3.0-or-later
// Work for the thread it lives on, posted by others: done in order when that thread comes round.
#pragma once

#include <QObject>
#include <functional>
#include <mutex>
#include <vector>

namespace zelo::desk {

class Inbox : public QObject {
    Q_OBJECT
public:
    void post(std::function<void()> work); // by any thread

protected:
    void customEvent(QEvent* event) override;

private:
    std::mutex mutex_;
    std::vector<std::function<void()>> waiting_;
};

} // namespace zelo::desk
