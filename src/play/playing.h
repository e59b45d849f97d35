// SPDX-License-Identifier: GPL-3.0-or-later
// One program at play: its engine, what its lamps are sent, and what it tells of itself. Made by
// one thread, then stepped by another without a lock or an allocation.
#pragma once

#include "base/triple_buffer.h"
#include "play/compile.h"
#include "play/engine.h"
#include "play/sent_values.h"

namespace zelo::play {

// What is shown at a moment.
struct Moment {
    double t_s = 0;
    Shown shown;
    std::vector<char> moving;                    // by lamp: fades, or waits to
    std::vector<light::ChannelValues> values;    // by lamp, as they were sent
    std::vector<Engine::From> intensity, colour; // by lamp: where they come from
    bool runs = false;                           // goes on changing by itself
    std::vector<Engine::ListNow> lists;          // by list
    std::vector<double> faders;                  // by fader: 0..1
    std::vector<char> hidden;                    // by fader: as Engine::hidden()
    std::vector<Engine::RippleNow> ripples;      // by ripple
};

class Playing {
public:
    explicit Playing(std::shared_ptr<const Compiled> compiled);

    const std::shared_ptr<const Compiled>& compiled() const { return compiled_; }
    // Goes on from another one at t; what is new fades in this time.
    void takeOver(Playing& before, double t_s, double fade_s);
    void apply(const Command& command, double t_s) {
        engine_.apply(command, t_s);
        told_once_ = false; // a list that is held changes no light
    }
    void solo(std::span<const int> ids) { engine_.solo(ids); }
    void rest(std::span<const Rest> rests); // values for what rests
    void step(double t_s);                  // the next frame
    const light::Frame& frame() const { return values_.frame(); }

    // For another thread, one at a time.
    const Moment& newest() { return told_.newest(); }

private:
    std::shared_ptr<const Compiled> compiled_;
    Engine engine_;
    SentValues values_;
    Shown row_;
    bool told_runs_ = true, told_once_ = false;
    TripleBuffer<Moment> told_;
};

} // namespace zelo::play
