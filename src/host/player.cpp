// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/player.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <pthread.h>
#include <sys/prctl.h>
#include <sys/resource.h>
#include <unistd.h>

namespace zelo::host {

using Steady = std::chrono::steady_clock;

namespace {

constexpr auto kPeriod = std::chrono::nanoseconds(static_cast<long>(1e9 / kFramesPerSecond));
constexpr auto kAsGoodAsOnTime = std::chrono::milliseconds(2);
constexpr auto kLeastGap = std::chrono::milliseconds(10); // between two packets, after a stall too
constexpr auto kLongestWait = std::chrono::milliseconds(200);

// When the last frames went out, as many as may in a second.
class LastFrames {
public:
    void push(std::chrono::steady_clock::time_point at) {
        at_[next_] = at;
        next_ = (next_ + 1) % at_.size();
    }
    // Of the frame that is followed by a second's worth; long ago while there were fewer.
    std::chrono::steady_clock::time_point oldest() const { return at_[next_]; }

private:
    std::array<std::chrono::steady_clock::time_point, static_cast<std::size_t>(kFramesPerSecond)>
        at_{};
    std::size_t next_ = 0;
};

} // namespace

void beOnTime() {
    prctl(PR_SET_TIMERSLACK, 1000); // ns
    sched_param wish{};
    wish.sched_priority = sched_get_priority_min(SCHED_FIFO);
    if (pthread_setschedparam(pthread_self(), SCHED_FIFO, &wish) != 0)
        setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), -10);
}

Player::Player(std::unique_ptr<light::FrameSink> sink)
    : sink_(std::move(sink)), thread_([this](const std::stop_token& stop) { run(stop); }) {}

Player::Player(Clock clock) : clock_(std::move(clock)) {}

Player::~Player() {
    if (!thread_.joinable())
        return;
    thread_.request_stop();
    thread_.join();
}

std::uint64_t Player::put(std::shared_ptr<play::Playing> next, double fade_s, bool drags) {
    std::vector<Now> freed; // here, in the thread that puts
    std::uint64_t number = 0;
    {
        const std::lock_guard lock(given_mutex_);
        number = ++last_number_;
        given_.push_back({next, number});
        const auto gone = std::partition(given_.begin(), given_.end(),
                                         [&](const Now& n) { return n.number >= playing_number_; });
        freed.assign(std::move_iterator(gone), std::move_iterator(given_.end()));
        given_.erase(gone, given_.end());
    }
    const std::lock_guard lock(mail_mutex_);
    mail_.fade_s = mail_.next && !drags ? std::max(mail_.fade_s, fade_s) : fade_s;
    mail_.next = std::move(next);
    mail_.number = number;
    return number;
}

void Player::rest(std::uint64_t number, std::vector<play::Rest> rests) {
    auto made = std::make_shared<const Rests>(Rests{number, std::move(rests)});
    std::shared_ptr<const Rests> freed;
    const std::lock_guard lock(mail_mutex_);
    freed = std::move(mail_.used_rests);
    std::swap(mail_.rests, made);
}

bool Player::press(const play::Command& command) {
    if (!pressed_.push(command))
        return false;
    ++presses_;
    return true;
}

void Player::solo(std::vector<int> ids) {
    auto made = std::make_shared<const std::vector<int>>(std::move(ids));
    std::shared_ptr<const std::vector<int>> freed;
    const std::lock_guard lock(mail_mutex_);
    freed = std::move(mail_.used_solo);
    if (!mail_.solo)
        ++presses_; // taken together with one that was not taken yet
    std::swap(mail_.solo, made);
}

Player::Now Player::now() const {
    const std::lock_guard lock(given_mutex_);
    const auto it = std::find_if(given_.begin(), given_.end(),
                                 [&](const Now& n) { return n.number == playing_number_; });
    return it == given_.end() ? Now{} : *it;
}

bool Player::waitForFrame() {
    const std::uint64_t presses = presses_;
    std::uint64_t number = 0;
    {
        const std::lock_guard lock(given_mutex_);
        number = last_number_;
    }
    if (!sink_) {
        step();
        return true;
    }
    const auto there = [&] { return playing_number_ >= number && presses_taken_ >= presses; };
    const auto until = Steady::now() + kLongestWait;
    while (!there() && Steady::now() < until)
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    return there();
}

void Player::step() {
    makeFrame(clock_());
}

void Player::makeFrame(double t_s) {
    const bool holds = holds_;
    if (holds && !held_ && playing_)
        held_frame_ = playing_->frame(); // as it was sent last
    held_ = holds;
    std::uint64_t taken = 0; // presses
    bool solo_anew = false;
    {
        const std::unique_lock lock(mail_mutex_, std::try_to_lock);
        if (lock && mail_.next) {
            if (playing_)
                mail_.next->takeOver(*playing_, t_s, mail_.fade_s);
            playing_ = std::move(mail_.next);
            taken_number_ = mail_.number;
            solo_anew = true;
        }
        if (lock && mail_.solo) {
            std::swap(solo_, mail_.solo);
            mail_.used_solo = std::move(mail_.solo);
            solo_anew = true;
            ++taken;
        }
        if (lock && mail_.rests) {
            if (mail_.rests->number == taken_number_)
                playing_->rest(mail_.rests->rests);
            mail_.used_rests = std::move(mail_.rests);
        }
    }
    if (!playing_) {
        presses_taken_ += taken;
        return;
    }
    if (solo_anew && solo_)
        playing_->solo(*solo_);
    for (play::Command c; pressed_.pop(c); ++taken)
        playing_->apply(c, t_s);
    playing_->step(t_s);
    presses_taken_ += taken;
    playing_number_ = taken_number_;
    if (!sink_)
        return;
    sink_->send(holds ? held_frame_ : playing_->frame());
}

void Player::run(const std::stop_token& stop) {
    beOnTime();
    const auto start = Steady::now();
    auto deadline = start;
    auto second = start;
    int in_second = 0;
    LastFrames sent;
    while (!stop.stop_requested()) {
        makeFrame(std::chrono::duration<double>(deadline - start).count());
        ++frames_;
        ++in_second;
        deadline += kPeriod;
        const auto now = Steady::now();
        if (now - second >= std::chrono::seconds(1)) {
            rate_ = in_second / std::chrono::duration<double>(now - second).count();
            second = now;
            in_second = 0;
        }
        // After a stall: on in time, on the same grid, without a burst.
        if (const auto least = now + kLeastGap; deadline < least) {
            const auto left_out = (least - deadline + kPeriod - Steady::duration(1)) / kPeriod;
            late_ += static_cast<std::uint64_t>(left_out);
            deadline += left_out * kPeriod;
        }
        // A late frame is followed by those on the grid: within a second of it one too many.
        sent.push(now);
        if (deadline - sent.oldest() < std::chrono::seconds(1) - kAsGoodAsOnTime) {
            ++late_;
            deadline += kPeriod;
        }
        std::this_thread::sleep_until(deadline);
    }
}

} // namespace zelo::host
