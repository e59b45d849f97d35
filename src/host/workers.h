// SPDX-License-Identifier: GPL-3.0-or-later
// A small pool for solving in the background. Each job has a key: a newer job with the same key
// replaces one that still waits, and the newest wish is done first, so a dragged target never
// queues up.
#pragma once

#include <condition_variable>
#include <functional>
#include <mutex>
#include <string>
#include <thread>
#include <vector>

namespace zelo::host {

class Workers {
public:
    explicit Workers(unsigned threads);
    ~Workers(); // drops what waits, finishes what runs

    void post(std::string key, std::function<void()> job);
    void waitUntilIdle(); // for tests and pictures

private:
    struct Waiting {
        std::string key;
        std::function<void()> job;
    };
    void run(const std::stop_token& stop);

    std::mutex mutex_;
    std::condition_variable_any wake_;
    std::condition_variable idle_;
    std::vector<Waiting> waiting_; // newest last
    unsigned running_ = 0;
    std::vector<std::jthread> threads_;
};

} // namespace zelo::host
