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

// Until another stands in; most frames are out by then.
constexpr auto kPatience = std::chrono::microseconds(250);

// Every other one of the processors that may be used, from the first or the second on.
void useProcessors(bool second) {
    cpu_set_t all, ours;
    CPU_ZERO(&ours);
    if (sched_getaffinity(0, sizeof all, &all) != 0)
        return;
    int n = 0;
    for (int i = 0; i < CPU_SETSIZE; ++i)
        if (CPU_ISSET(i, &all) && (n++ % 2 == 1) == second)
            CPU_SET(i, &ours);
    if (n > 1) // of a processor alone all threads are
        pthread_setaffinity_np(pthread_self(), sizeof ours, &ours);
}

} // namespace

void beOnTime() {
    prctl(PR_SET_TIMERSLACK, 1000); // ns
    sched_param wish{};
    wish.sched_priority = sched_get_priority_min(SCHED_FIFO);
    if (pthread_setschedparam(pthread_self(), SCHED_FIFO, &wish) != 0)
        setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), -10);
}

// Deadlines on a grid, and when the last frames went out, as many as may in a second.
struct Player::Beat {
    Steady::time_point start = Steady::now();
    Steady::time_point due = start;
    Steady::time_point second = start;
    int in_second = -1; // the first one begins it
    std::array<Steady::time_point, static_cast<std::size_t>(kFramesPerSecond)> sent{};
    std::size_t oldest = 0;

    double seconds(Steady::time_point at) const {
        return std::chrono::duration<double>(at - start).count();
    }
    // One was sent. How many that follow are left out.
    std::uint64_t next(Steady::time_point now) {
        due += kPeriod;
        std::uint64_t left_out = 0;
        // After a stall: on in time, on the same grid, without a burst.
        if (const auto least = now + kLeastGap; due < least)
            left_out =
                static_cast<std::uint64_t>((least - due + kPeriod - Steady::duration(1)) / kPeriod);
        due += static_cast<Steady::rep>(left_out) * kPeriod;
        // A late frame is followed by those on the grid: within a second of it one too many.
        sent[oldest] = now;
        oldest = (oldest + 1) % sent.size();
        if (due - sent[oldest] < std::chrono::seconds(1) - kAsGoodAsOnTime) {
            ++left_out;
            due += kPeriod;
        }
        return left_out;
    }
};

Player::Player(std::unique_ptr<light::FrameSink> sink)
    : sink_(std::move(sink)), beat_(std::make_unique<Beat>()) {
    for (const bool stands_in : {false, true})
        threads_.emplace_back(
            [this, stands_in](const std::stop_token& stop) { run(stop, stands_in); });
}

Player::Player(Clock clock) : clock_(std::move(clock)) {}

Player::~Player() {
    for (std::jthread& thread : threads_)
        thread.request_stop();
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

bool Player::takeWhatCame(double t_s) {
    bool any = false, solo_anew = false;
    {
        const std::unique_lock lock(mail_mutex_, std::try_to_lock);
        if (lock && mail_.next) {
            if (playing_)
                mail_.next->takeOver(*playing_, t_s, mail_.fade_s);
            playing_ = std::move(mail_.next);
            taken_number_ = mail_.number;
            any = solo_anew = true;
        }
        if (lock && mail_.solo) {
            std::swap(solo_, mail_.solo);
            mail_.used_solo = std::move(mail_.solo);
            any = solo_anew = true;
            ++taken_;
        }
        if (lock && mail_.rests) {
            if (mail_.rests->number == taken_number_) {
                playing_->rest(mail_.rests->rests);
                any = true;
            }
            mail_.used_rests = std::move(mail_.rests);
        }
    }
    if (!playing_)
        return false;
    if (solo_anew && solo_)
        playing_->solo(*solo_);
    for (play::Command c; pressed_.pop(c); ++taken_) {
        playing_->apply(c, t_s);
        any = true;
    }
    return any;
}

void Player::makeFrame(double t_s) {
    const bool holds = holds_;
    if (holds && !held_ && playing_)
        held_frame_ = playing_->frame(); // as it was made last
    held_ = holds;
    const bool came = takeWhatCame(t_s);
    if (playing_ && (came || !made_ahead_))
        playing_->step(t_s);
    made_ahead_ = false;
    presses_taken_ = taken_;
    playing_number_ = taken_number_;
    if (sink_ && playing_)
        sink_->send(holds ? held_frame_ : playing_->frame());
}

void Player::run(const std::stop_token& stop, bool stands_in) {
    beOnTime();
    useProcessors(stands_in);
    Beat& beat = *beat_;
    while (!stop.stop_requested()) {
        std::unique_lock turn(turn_);
        const auto due = beat.due;
        if (playing_ && !made_ahead_) { // by who comes first
            playing_->step(beat.seconds(due));
            made_ahead_ = true;
        }
        turn.unlock();
        std::this_thread::sleep_until(stands_in ? due + kPatience : due);
        turn.lock();
        if (beat.due != due)
            continue; // the other one has been there
        makeFrame(beat.seconds(due));
        ++frames_;
        ++beat.in_second;
        const auto now = Steady::now();
        if (now - beat.second >= std::chrono::seconds(1)) {
            rate_ = beat.in_second / std::chrono::duration<double>(now - beat.second).count();
            beat.second = now;
            beat.in_second = 0;
        }
        late_ += beat.next(now);
    }
}

} // namespace zelo::host
