// SPDX-License-Identifier: GPL-3.0-or-later
// Sends the newest frame 44 times a second from a thread of its own. Deadlines are absolute, so it
// does not drift, and it goes on steadily whatever the interface does.
#pragma once

#include "base/handover.h"
#include "light/frame.h"

#include <atomic>
#include <chrono>
#include <memory>
#include <thread>

namespace zelo::host {

inline constexpr double kFramesPerSecond = 44;

class Player {
public:
    explicit Player(std::unique_ptr<light::FrameSink> sink);
    ~Player();

    void put(std::shared_ptr<const light::Frame> frame) { newest_.put(std::move(frame)); }
    double framesPerSecond() const { return rate_; } // measured over the last second
    std::uint64_t frames() const { return frames_; }
    std::uint64_t late() const { return late_; } // deadlines missed by more than a frame

private:
    void run(const std::stop_token& stop);

    std::unique_ptr<light::FrameSink> sink_;
    Handover<light::Frame> newest_;
    std::atomic<double> rate_{0};
    std::atomic<std::uint64_t> frames_{0};
    std::atomic<std::uint64_t> late_{0};
    std::jthread thread_; // last: it uses the others
};

} // namespace zelo::host
