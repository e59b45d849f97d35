// SPDX-License-Identifier: GPL-3.0-or-later
// Colours that move over what lists and faders show. Of the ripples of a lamp each lies over those
// that began before it; its share of the light is as far as its fader is up, less what was let go.
#include "play/engine.h"
#include "play/ripple_light.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

void Engine::indexRipples() {
    const Program& p = *program_;
    ripples_.resize(p.ripples.size());
    std::vector<std::vector<In>> in(p.lamps);
    for (std::size_t r = 0; r < p.ripples.size(); ++r)
        for (std::size_t place = 0; place < p.ripples[r].lamps.size(); ++place)
            in[p.ripples[r].lamps[place]].push_back(
                {static_cast<std::uint32_t>(r), static_cast<std::uint32_t>(place)});
    for (const auto& of_lamp : in) {
        in_ripples_from_.push_back(static_cast<std::uint32_t>(in_ripples_.size()));
        in_ripples_.insert(in_ripples_.end(), of_lamp.begin(), of_lamp.end());
    }
    in_ripples_from_.push_back(static_cast<std::uint32_t>(in_ripples_.size()));
}

Engine::RippleNow Engine::rippleNow(std::size_t ripple) const {
    return ripples_[ripple].now;
}

double Engine::rippleWeight(std::size_t ripple) const {
    const Rippling& r = ripples_[ripple];
    if (!r.now.runs)
        return 0;
    if (r.let_go_s == HUGE_VAL)
        return r.share;
    const double release_s = program_->ripples[ripple].release_s;
    const double gone = release_s > 0 ? (now_s_ - r.let_go_s) / release_s : 1;
    return r.share * std::clamp(1 - gone, 0.0, 1.0);
}

template <class See>
void Engine::eachRippleOf(std::uint32_t lamp, See see) const {
    std::uint64_t last = 0;
    for (;;) { // a few at most: no list is made
        const In* next = nullptr;
        for (std::uint32_t k = in_ripples_from_[lamp]; k < in_ripples_from_[lamp + 1]; ++k) {
            const Rippling& r = ripples_[in_ripples_[k].source];
            if (r.now.runs && r.stamp > last && (!next || r.stamp < ripples_[next->source].stamp))
                next = &in_ripples_[k];
        }
        if (!next)
            return;
        last = ripples_[next->source].stamp;
        see(*next);
    }
}

const Engine::In* Engine::rippleOf(std::uint32_t lamp) const {
    const In* found = nullptr;
    eachRippleOf(lamp, [&](const In& in) {
        const Beat beat =
            beatOf(program_->ripples[in.source], in.place, ripples_[in.source].now.time_s);
        if (rippleWeight(in.source) > 0 && (beat.from != kBelow || beat.to != kBelow))
            found = &in;
    });
    return found;
}

void Engine::rippleColour(std::uint32_t lamp, double* to) const {
    if (in_ripples_from_[lamp] == in_ripples_from_[lamp + 1])
        return;
    const std::size_t parts = program_->parts(lamp);
    eachRippleOf(lamp, [&](const In& in) {
        const PlayedRipple& played = program_->ripples[in.source];
        rippleOver(played, in.place, beatOf(played, in.place, ripples_[in.source].now.time_s),
                   rippleWeight(in.source), {to, parts});
    });
}

double Engine::rippleIntensity(std::uint32_t lamp, double below) const {
    if (in_ripples_from_[lamp] == in_ripples_from_[lamp + 1])
        return below;
    double value = below;
    eachRippleOf(lamp, [&](const In& in) {
        const PlayedRipple& played = program_->ripples[in.source];
        if (!played.setsIntensity())
            return;
        const Beat beat = beatOf(played, in.place, ripples_[in.source].now.time_s);
        const BeatLevels levels = levelsOf(played, beat, value);
        const double shown = level(levels.from, levels.to, beat.share);
        value += rippleWeight(in.source) * (shown - value);
    });
    return value;
}

void Engine::startRipple(std::size_t ripple) {
    Rippling& r = ripples_[ripple];
    if (r.now.runs && r.let_go_s == HUGE_VAL)
        return;
    r.now.runs = true;
    r.now.frozen = false;
    r.now.time_s = 0;
    r.let_go_s = HUGE_VAL;
    r.stamp = ++events_;
    r.share = 1;
    for (std::size_t f = 0; f < level_.size(); ++f)
        if (program_->faders[f].ripple == ripple && level_[f] > 0)
            r.share = level_[f];
}

void Engine::letGoOfRipple(std::size_t ripple) {
    Rippling& r = ripples_[ripple];
    if (r.now.runs && r.let_go_s == HUGE_VAL)
        r.let_go_s = now_s_;
}

void Engine::actRipples(std::size_t list, bool whole) {
    using Does = show::RippleDoes;
    const auto& cues = program_->lists[list].cues;
    const int last = lists_[list].cue;
    for (std::size_t r = 0; r < ripples_.size(); ++r)
        for (int c = last; c >= (whole ? 0 : last); --c) { // what was said last counts
            const auto& acts = cues[static_cast<std::size_t>(c)].ripples;
            const auto it = std::find_if(acts.begin(), acts.end(),
                                         [&](const auto& a) { return a.ripple == r; });
            if (it == acts.end())
                continue;
            if (it->does == Does::LetGo)
                letGoOfRipple(r);
            else
                startRipple(r);
            if (it->does == Does::Freeze)
                ripples_[r].now.frozen = whole || !ripples_[r].now.frozen;
            break;
        }
}

void Engine::runRipples(double passed_s) {
    for (std::size_t i = 0; i < ripples_.size(); ++i) {
        Rippling& r = ripples_[i];
        if (!r.now.runs)
            continue;
        if (!r.now.frozen)
            r.now.time_s += passed_s * r.now.rate;
        const PlayedRipple& played = program_->ripples[i];
        const bool over =
            played.times.lets_go && r.now.time_s > play::endOf(played.times, played.latest_s);
        if (over || !(rippleWeight(i) > 0))
            r.now.runs = false;
    }
}

// By what they are called; their own time so that the first lamp is as far as it was.
void Engine::takeRipples(const Engine& before) {
    const auto& ids = program_->ripple_ids;
    const auto& old_ids = before.program_->ripple_ids;
    for (std::size_t r = 0, old = 0; r < ids.size(); ++r) {
        while (old < old_ids.size() && old_ids[old] < ids[r])
            ++old;
        if (old == old_ids.size() || old_ids[old] != ids[r])
            continue;
        ripples_[r] = before.ripples_[old];
        ripples_[r].now.time_s =
            samePhase(before.program_->ripples[old].times, program_->ripples[r].times,
                      before.ripples_[old].now.time_s);
    }
}

} // namespace zelo::play
