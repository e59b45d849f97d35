// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/playing.h"

namespace zelo::play {

namespace {

Moment roomFor(const Compiled& compiled, const Engine& engine, const SentValues& values) {
    const std::size_t lamps = compiled.program->lamps;
    return {0,
            engine.rows(),
            std::vector<char>(lamps, 0),
            values.values(),
            std::vector<Engine::From>(lamps),
            std::vector<Engine::From>(lamps),
            false,
            std::vector<Engine::ListNow>(compiled.program->lists.size()),
            std::vector<double>(compiled.program->faders.size()),
            std::vector<char>(compiled.program->faders.size()),
            std::vector<Engine::RippleNow>(compiled.program->ripples.size())};
}

} // namespace

Playing::Playing(std::shared_ptr<const Compiled> compiled)
    : compiled_(std::move(compiled)), engine_(compiled_->program), values_(compiled_),
      row_(engine_.rows()), told_(roomFor(*compiled_, engine_, values_)) {}

void Playing::takeOver(Playing& before, double t_s, double fade_s) {
    engine_.takeOver(before.engine_, t_s, fade_s);
    values_.takeOver(before.values_);
}

void Playing::rest(std::span<const Rest> rests) {
    values_.rest(rests);
    told_once_ = false; // what is sent now is to be told
}

void Playing::step(double t_s) {
    engine_.frame(t_s, row_);
    const bool new_light = values_.follow(row_);
    values_.write();
    const bool runs = engine_.runs();
    if (told_once_ && !new_light && !runs && !told_runs_)
        return;
    told_once_ = true;
    told_runs_ = runs;
    Moment& m = told_.next(); // all of its rows have their sizes: nothing is allocated
    m.t_s = t_s;
    m.shown = row_;
    m.runs = runs;
    for (std::uint32_t lamp = 0; lamp < compiled_->program->lamps; ++lamp) {
        m.moving[lamp] = engine_.moves(lamp);
        m.values[lamp] = values_.values()[lamp];
        m.intensity[lamp] = engine_.intensityFrom(lamp);
        m.colour[lamp] = engine_.colourFrom(lamp);
    }
    for (std::size_t list = 0; list < m.lists.size(); ++list)
        m.lists[list] = engine_.listNow(list);
    for (std::size_t fader = 0; fader < m.faders.size(); ++fader)
        m.faders[fader] = engine_.faderLevel(fader);
    for (std::size_t fader = 0; fader < m.hidden.size(); ++fader)
        m.hidden[fader] = engine_.hidden(fader);
    for (std::size_t ripple = 0; ripple < m.ripples.size(); ++ripple)
        m.ripples[ripple] = engine_.rippleNow(ripple);
    told_.publish();
}

} // namespace zelo::play
