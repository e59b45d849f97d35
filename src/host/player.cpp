// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/player.h"

namespace zelo::host {

using Clock = std::chrono::steady_clock;

namespace {
constexpr auto kPeriod = std::chrono::nanoseconds(static_cast<long>(1e9 / kFramesPerSecond));
}

Player::Player(std::unique_ptr<light::FrameSink> sink)
    : sink_(std::move(sink)), thread_([this](const std::stop_token& stop) { run(stop); }) {}

Player::~Player() {
    thread_.request_stop();
    thread_.join();
}

void Player::run(const std::stop_token& stop) {
    auto deadline = Clock::now();
    auto second = deadline;
    int in_second = 0;
    std::shared_ptr<const light::Frame> frame;
    while (!stop.stop_requested()) {
        if (auto next = newest_.take())
            frame = std::move(next);
        if (frame)
            sink_->send(*frame);
        ++frames_;
        ++in_second;
        deadline += kPeriod;
        const auto now = Clock::now();
        if (now - second >= std::chrono::seconds(1)) {
            rate_ = in_second / std::chrono::duration<double>(now - second).count();
            second = now;
            in_second = 0;
        }
        if (now > deadline + kPeriod) { // the machine slept: do not send a burst to catch up
            ++late_;
            deadline = now;
        }
        std::this_thread::sleep_until(deadline);
    }
}

} // namespace zelo::host
