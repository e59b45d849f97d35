// SPDX-License-Identifier: GPL-3.0-or-later
// Plays: a thread of its own makes a frame 44 times a second and sends it. Deadlines are absolute,
// so it does not drift, and it goes on steadily whatever the others do: it waits for no lock of
// theirs, and neither allocates nor frees. A frame is made as soon as the one before it is sent, so
// that a processor that is held up meanwhile delays nothing; what comes until it is due is in it
// all the same, for it is made anew then. A second thread, on other processors, stands in for the
// first when that is held up.
#pragma once

#include "base/ring.h"
#include "light/frame.h"
#include "play/playing.h"

#include <atomic>
#include <functional>
#include <memory>
#include <mutex>
#include <thread>
#include <vector>

namespace zelo::host {

inline constexpr double kFramesPerSecond = 44;

// The thread that calls it is woken in time, as far as the system allows.
void beOnTime();

class Player {
public:
    using Clock = std::function<double()>; // seconds; never goes back

    explicit Player(std::unique_ptr<light::FrameSink> sink);
    explicit Player(Clock clock); // nothing is sent: frames are made when step() is called
    ~Player();

    // The next program; what it changes fades in this time. What replaces one that was not taken
    // yet takes over its time too, unless it is one drag with that. Its number, from 1.
    std::uint64_t put(std::shared_ptr<play::Playing> next, double fade_s, bool drags = false);
    void rest(std::uint64_t number, std::vector<play::Rest> rests); // of the program of this number
    // In the next frame. From one thread. False: far too many at once, it is lost.
    bool press(const play::Command& command);
    // Only these lamps show from the next frame on, in the programs to come too; none: all do.
    void solo(std::vector<int> ids);
    // Fixtures hold the frame that is due next; play goes on.
    void hold(bool holds) { holds_ = holds; }

    struct Now {
        std::shared_ptr<play::Playing> playing; // null: nothing was put yet
        std::uint64_t number = 0;
    };
    Now now() const; // of which a frame has been made
    // Waits until frames show all that was put and pressed before this, a while at most. False:
    // they do not yet.
    bool waitForFrame();
    bool sends() const { return sink_ != nullptr; }
    void step(); // only with a clock of its own

    double framesPerSecond() const { return rate_; } // measured over the last second
    std::uint64_t frames() const { return frames_; }
    std::uint64_t late() const { return late_; } // frames left out because the machine was late

private:
    struct Beat; // when the frames are due
    void run(const std::stop_token& stop, bool stands_in);
    bool takeWhatCame(double t_s); // whether there was anything that changes the frame
    void makeFrame(double t_s);    // and sends it

    std::unique_ptr<light::FrameSink> sink_;
    Clock clock_;

    struct Rests {
        std::uint64_t number;
        std::vector<play::Rest> rests;
    };
    struct Mail { // the thread looks into it when nobody else does
        std::shared_ptr<play::Playing> next;
        std::uint64_t number = 0;
        double fade_s = 0;
        std::shared_ptr<const Rests> rests;
        std::shared_ptr<const std::vector<int>> solo;
        // What was taken; freed by who puts the next.
        std::shared_ptr<const Rests> used_rests;
        std::shared_ptr<const std::vector<int>> used_solo;
    };
    std::mutex mail_mutex_;
    Mail mail_;
    Ring<play::Command, 1024> pressed_;
    std::atomic<std::uint64_t> presses_{0}, presses_taken_{0}; // in all
    std::atomic<bool> holds_{false};

    // All programs that the thread may still hold: it never drops the last one.
    mutable std::mutex given_mutex_;
    std::vector<Now> given_;
    std::uint64_t last_number_ = 0;
    std::atomic<std::uint64_t> playing_number_{0};

    std::mutex turn_; // of the two threads: who has it makes the frame
    std::unique_ptr<Beat> beat_;
    std::shared_ptr<play::Playing> playing_; // theirs, as what follows
    std::shared_ptr<const std::vector<int>> solo_;
    std::uint64_t taken_number_ = 0;
    std::uint64_t taken_ = 0; // presses
    bool made_ahead_ = false; // the frame that is due next, of all that came before
    bool held_ = false;
    light::Frame held_frame_;

    std::atomic<double> rate_{0};
    std::atomic<std::uint64_t> frames_{0};
    std::atomic<std::uint64_t> late_{0};
    std::vector<std::jthread> threads_; // last: they use the others
};

} // namespace zelo::host
