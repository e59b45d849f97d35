// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/workers.h"

#include <algorithm>

namespace zelo::host {

Workers::Workers(unsigned threads) {
    for (unsigned i = 0; i < std::max(1u, threads); ++i)
        threads_.emplace_back([this](const std::stop_token& stop) { run(stop); });
}

Workers::~Workers() {
    {
        const std::lock_guard lock(mutex_);
        waiting_.clear();
    }
    for (auto& t : threads_)
        t.request_stop();
    threads_.clear(); // joins
}

void Workers::post(std::string key, std::function<void()> job) {
    {
        const std::lock_guard lock(mutex_);
        std::erase_if(waiting_, [&](const Waiting& w) { return w.key == key; });
        waiting_.push_back({std::move(key), std::move(job)});
    }
    wake_.notify_one();
}

void Workers::waitUntilIdle() {
    std::unique_lock lock(mutex_);
    idle_.wait(lock, [&] { return waiting_.empty() && running_ == 0; });
}

void Workers::run(const std::stop_token& stop) {
    std::unique_lock lock(mutex_);
    while (wake_.wait(lock, stop, [&] { return !waiting_.empty(); })) {
        Waiting next = std::move(waiting_.back());
        waiting_.pop_back();
        ++running_;
        lock.unlock();
        next.job();
        next.job = nullptr; // what it held is freed outside the lock
        lock.lock();
        if (--running_ == 0 && waiting_.empty())
            idle_.notify_all();
    }
}

} // namespace zelo::host
