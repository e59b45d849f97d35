// SPDX-License-Identifier: GPL-3.0-or-later
// Handover<T>: passes the newest immutable snapshot from one thread to another. put() and take()
// hold a mutex for one pointer copy; the reader always gets a whole snapshot, never a mixture.
#pragma once

#include <memory>
#include <mutex>
#include <utility>

namespace zelo {

template <class T>
class Handover {
public:
    void put(std::shared_ptr<const T> next) {
        {
            const std::lock_guard lock(mutex_);
            std::swap(newest_, next);
        } // what was replaced is freed here, in the thread that puts
    }
    std::shared_ptr<const T> take() const {
        const std::lock_guard lock(mutex_);
        return newest_;
    }

private:
    mutable std::mutex mutex_;
    std::shared_ptr<const T> newest_;
};

} // namespace zelo
