// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/engine.h"

#include "colour/oklab.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

namespace {
constexpr double kDark = 1e-12; // an intensity of nothing
// In which it comes onto a way that is new, shares of a fade; the later the way came the longer.
constexpr double kShortestEase = 0.05, kLongestEase = 0.25;
} // namespace

namespace {

// The parts of a colour that are said, over what is there.
void overlay(const double* said, Parts which, std::size_t parts, double* to) {
    if (which == kAllParts) {
        std::copy_n(said, parts, to);
        return;
    }
    for (std::size_t e = 0; e < parts; ++e)
        if (which >> e & 1)
            to[e] = said[e];
}

} // namespace

double Engine::Fade::share(double t_s) const {
    if (t_s >= end_s)
        return 1;
    return t_s <= begin_s ? 0 : (t_s - begin_s) / (end_s - begin_s);
}

Engine::Engine(std::shared_ptr<const Program> program) : program_(std::move(program)) {
    const Program& p = *program_;
    const std::size_t n = p.lamps;
    const std::size_t all = p.first.back();
    level_.assign(p.faders.size(), 0);
    raised_.assign(p.faders.size(), 0);
    trim_.assign(n, -1);
    std::copy(p.trims.begin(), p.trims.end(), trim_.begin());
    hand_intensity_.assign(n, -1);
    hand_parts_.assign(n, 0);
    hand_drives_.assign(all, 0);
    for (const Said& said : p.hand->says()) {
        hand_intensity_[said.lamp] = said.intensity.value_or(-1);
        hand_parts_[said.lamp] = said.colour ? said.parts : 0;
        if (said.colour)
            std::copy_n(said.colour, p.parts(said.lamp), hand_drives_.begin() + p.first[said.lamp]);
    }
    solo_.assign(n, 0);
    changes_.resize(n);
    change_from_.assign(all, 0);
    lamp_before_.assign(n, UINT32_MAX);
    list_before_.assign(p.lists.size(), UINT32_MAX);
    locked_at_.assign(n, UINT32_MAX);
    for (std::size_t i = 0; i < p.locked->says().size(); ++i)
        locked_at_[p.locked->says()[i].lamp] = static_cast<std::uint32_t>(i);
    standing_at_.assign(n, UINT32_MAX);
    for (std::size_t i = 0; i < p.standing->says().size(); ++i)
        standing_at_[p.standing->says()[i].lamp] = static_cast<std::uint32_t>(i);
    std::vector<std::vector<In>> in_lists(n), in_faders(n);
    for (std::size_t l = 0; l < p.lists.size(); ++l) {
        List list;
        const auto& lamps = p.lists[l].lamps;
        list.intensity.resize(lamps.size());
        list.colour.resize(lamps.size());
        list.stamp.assign(lamps.size(), 0);
        list.intensity_cue.assign(lamps.size(), -1);
        list.colour_cue.assign(lamps.size(), -1);
        list.parts.assign(lamps.size(), kAllParts);
        list.ways.resize(lamps.size());
        std::uint32_t at = 0;
        for (std::size_t i = 0; i < lamps.size(); ++i) {
            list.first.push_back(at);
            at += static_cast<std::uint32_t>(p.parts(lamps[i]));
            in_lists[lamps[i]].push_back(
                {static_cast<std::uint32_t>(l), static_cast<std::uint32_t>(i)});
        }
        list.from.assign(at, 0);
        list.to.assign(at, 0);
        lists_.push_back(std::move(list));
    }
    for (std::size_t f = 0; f < p.faders.size(); ++f)
        for (std::size_t i = 0; i < p.faders[f].says->says().size(); ++i)
            in_faders[p.faders[f].says->says()[i].lamp].push_back(
                {static_cast<std::uint32_t>(f), static_cast<std::uint32_t>(i)});
    const auto flat = [](const std::vector<std::vector<In>>& by_lamp,
                         std::vector<std::uint32_t>& from, std::vector<In>& flat_in) {
        for (const auto& in : by_lamp) {
            from.push_back(static_cast<std::uint32_t>(flat_in.size()));
            flat_in.insert(flat_in.end(), in.begin(), in.end());
        }
        from.push_back(static_cast<std::uint32_t>(flat_in.size()));
    };
    flat(in_lists, in_lists_from_, in_lists_);
    flat(in_faders, in_faders_from_, in_faders_);
    indexSettings();
    indexRipples();
}

Shown Engine::rows() const {
    const std::vector<double> by_lamp(program_->lamps, 0);
    return {by_lamp, std::vector<double>(program_->first.back(), 0), by_lamp,
            program_->settings_home};
}

std::optional<std::size_t> Engine::cueOf(std::size_t list) const {
    const int cue = lists_[list].cue;
    return cue < 0 ? std::nullopt : std::optional(static_cast<std::size_t>(cue));
}

// --- what is shown

const Said* Engine::standingOf(std::uint32_t lamp) const {
    const std::uint32_t at = standing_at_[lamp];
    return at == UINT32_MAX ? nullptr : &program_->standing->says()[at];
}

double Engine::level(double from, double to, double share) const {
    if (share >= 1)
        return to;
    if (!program_->even_to_the_eye || share <= 0)
        return from + share * (to - from);
    return colour::evenlySeen(from, to, share);
}

double Engine::valueOf(const List& l, std::size_t list, std::size_t place, std::uint32_t lamp,
                       const Without* without) const {
    const Fade& f = l.intensity[place];
    const double x = f.share(l.time_s);
    if (f.state == Fade::State::Away) {
        const Without below{list, without};
        return level(f.from * l.share, intensityOf(lamp, &below).intensity, x);
    }
    return level(f.from, f.to, x) * l.share;
}

// Lists that are let go each go to what is below, where others may be let go too: of a few lists
// all orders are gone through, of very many only the first step (each would multiply the work).
bool Engine::tooDeep(std::uint32_t lamp, const Without* without) const {
    constexpr std::size_t kInFull = 5;
    if (!without)
        return false;
    std::size_t let_go = 0;
    for (std::uint32_t k = in_lists_from_[lamp]; k < in_lists_from_[lamp + 1]; ++k) {
        const In& in = in_lists_[k];
        const List& l = lists_[in.source];
        let_go += l.intensity[in.place].state == Fade::State::Away ||
                  l.colour[in.place].state == Fade::State::Away;
    }
    return let_go > kInFull;
}

Engine::Light Engine::intensityOf(std::uint32_t lamp, const Without* without) const {
    const Program& p = *program_;
    const bool deep = tooDeep(lamp, without);
    Light all;
    const auto take = [&](double value) {
        all.intensity = all.has ? std::max(all.intensity, value) : value;
        all.has = true;
    };
    for (std::uint32_t k = in_lists_from_[lamp]; k < in_lists_from_[lamp + 1]; ++k) {
        const In& in = in_lists_[k];
        const List& l = lists_[in.source];
        const Fade::State state = l.intensity[in.place].state;
        if (state != Fade::State::None && !(deep && state == Fade::State::Away) &&
            !Without::holds(without, in.source))
            take(valueOf(l, in.source, in.place, lamp, without));
    }
    double added = 0;
    bool adds = false;
    for (std::uint32_t k = in_faders_from_[lamp]; k < in_faders_from_[lamp + 1]; ++k) {
        const In& in = in_faders_[k];
        const Said& said = p.faders[in.source].says->says()[in.place];
        const double level = level_[in.source];
        if (!(level > 0))
            continue;
        if (p.faders[in.source].mode == PlayedFader::Mode::Adds) {
            added += level * said.intensity.value_or(1);
            adds = true;
        } else if (said.intensity) {
            take(level * *said.intensity);
        }
    }
    if (adds)
        take(std::min(1.0, added));
    if (!all.has)
        if (const Said* said = standingOf(lamp); said && said->intensity)
            all.intensity = *said->intensity;
    return all;
}

void Engine::colourIn(const List& l, std::size_t list, std::size_t place, std::uint32_t lamp,
                      const Without* without, double* to) const {
    const Fade& f = l.colour[place];
    const std::size_t parts = program_->parts(lamp);
    if (f.state == Fade::State::Away || l.parts[place] != kAllParts) {
        const Without below{list, without};
        colourOf(lamp, &below, to);
    }
    if (f.state != Fade::State::Away)
        overlay(l.to.data() + l.first[place], l.parts[place], parts, to);
    along(f, l.time_s, l.ways[place], l.from.data() + l.first[place], parts, to);
}

// From where it began to where `to` is, which is there: straight, or on a way.
void Engine::along(const Fade& fade, double t_s, const OnWay& on, const double* from,
                   std::size_t parts, double* to) const {
    const double x = fade.share(t_s);
    if (x >= 1)
        return;
    for (std::size_t e = 0; e < parts; ++e)
        to[e] = from[e] + x * (to[e] - from[e]);
    if (!on.way)
        return;
    const double easing =
        std::min(std::clamp(5 * on.since, kShortestEase, kLongestEase), 1 - on.since);
    const double part = on.since < 0 ? 1 : std::clamp((x - on.since) / easing, 0.0, 1.0);
    std::array<double, light::kMostParts> planned;
    on.way->at(x, planned.data());
    for (std::size_t e = 0; e < parts; ++e)
        to[e] += part * (planned[e] - to[e]);
}

Engine::Latest Engine::latestColour(std::uint32_t lamp, const Without* without) const {
    const Program& p = *program_;
    const bool deep = tooDeep(lamp, without);
    Latest found;
    std::uint64_t latest = 0;
    for (std::uint32_t k = in_lists_from_[lamp]; k < in_lists_from_[lamp + 1]; ++k) {
        const In& in = in_lists_[k];
        const List& l = lists_[in.source];
        const Fade::State state = l.colour[in.place].state;
        if (state == Fade::State::None || (deep && state == Fade::State::Away) ||
            Without::holds(without, in.source) || l.stamp[in.place] < latest)
            continue;
        latest = l.stamp[in.place];
        found = {From::Layer::List, in};
    }
    std::uint64_t added = 0;
    In adds{};
    for (std::uint32_t k = in_faders_from_[lamp]; k < in_faders_from_[lamp + 1]; ++k) {
        const In& in = in_faders_[k];
        const Said& said = p.faders[in.source].says->says()[in.place];
        if (!(level_[in.source] > 0))
            continue;
        if (p.faders[in.source].mode == PlayedFader::Mode::Adds) {
            if (said.intensity.value_or(1) > 0 && raised_[in.source] > added) {
                added = raised_[in.source];
                adds = in;
            }
        } else if (said.colour && raised_[in.source] >= latest) {
            latest = raised_[in.source];
            found = {From::Layer::Fader, in};
        }
    }
    if (added > 0 && added >= latest)
        found = {From::Layer::Adding, adds};
    return found;
}

Engine::From Engine::colourFrom(std::uint32_t lamp) const {
    if (locked_at_[lamp] != UINT32_MAX)
        return {From::Layer::Locked};
    if (hand_parts_[lamp] == kAllParts)
        return {From::Layer::Hand};
    if (const In* ripple = rippleOf(lamp))
        return {From::Layer::Ripple, ripple->source};
    const Latest found = latestColour(lamp, nullptr);
    if (found.layer == From::Layer::Home) {
        const Said* said = standingOf(lamp);
        return {said && said->colour ? From::Layer::Standing : From::Layer::Home};
    }
    From from{found.layer, found.in.source};
    if (found.layer == From::Layer::List) {
        const List& l = lists_[found.in.source];
        from.released = l.colour[found.in.place].state == Fade::State::Away;
        if (const int cue = l.colour_cue[found.in.place]; cue >= 0)
            from.cue = static_cast<std::size_t>(cue);
    }
    return from;
}

void Engine::colourOf(std::uint32_t lamp, const Without* without, double* to) const {
    const Program& p = *program_;
    const std::size_t parts = p.parts(lamp);
    const Latest found = latestColour(lamp, without);
    const In& which = found.in;
    switch (found.layer) {
    case From::Layer::List:
        return colourIn(lists_[which.source], which.source, which.place, lamp, without, to);
    case From::Layer::Fader: {
        const Said& said = p.faders[which.source].says->says()[which.place];
        if (said.parts != kAllParts)
            belowAll(lamp, to);
        overlay(said.colour, said.parts, parts, to);
        return;
    }
    case From::Layer::Adding: {
        std::fill_n(to, parts, 0.0);
        double weight = 0;
        for (std::uint32_t k = in_faders_from_[lamp]; k < in_faders_from_[lamp + 1]; ++k) {
            const In& in = in_faders_[k];
            const Said& said = p.faders[in.source].says->says()[in.place];
            if (p.faders[in.source].mode != PlayedFader::Mode::Adds)
                continue;
            const double w = level_[in.source] * said.intensity.value_or(1);
            const double* home = p.home.data() + p.first[lamp];
            for (std::size_t e = 0; e < parts; ++e)
                to[e] += w * (said.colour && said.parts >> e & 1 ? said.colour[e] : home[e]);
            weight += w;
        }
        double largest = 1;
        for (std::size_t e = 0; e < parts; ++e)
            largest = std::max(largest, to[e]);
        const double intensity = std::min(1.0, weight);
        for (std::size_t e = 0; e < parts; ++e)
            to[e] /= largest * intensity;
        return;
    }
    default: // what lies below
        break;
    }
    belowAll(lamp, to);
}

// Standing light, over home.
void Engine::belowAll(std::uint32_t lamp, double* to) const {
    const Program& p = *program_;
    std::copy_n(p.home.data() + p.first[lamp], p.parts(lamp), to);
    if (const Said* said = standingOf(lamp); said && said->colour)
        overlay(said->colour, said->parts, p.parts(lamp), to);
}

double Engine::layersIntensity(std::uint32_t lamp) const {
    if (locked_at_[lamp] != UINT32_MAX)
        return program_->locked->says()[locked_at_[lamp]].intensity.value_or(0);
    if (hand_intensity_[lamp] >= 0)
        return hand_intensity_[lamp];
    const double shown = rippleIntensity(lamp, shownIntensity(lamp));
    return trim_[lamp] >= 0 ? std::min(1.0, shown * trim_[lamp]) : shown;
}

void Engine::layersColour(std::uint32_t lamp, double* to) const {
    if (locked_at_[lamp] != UINT32_MAX) {
        const Said& said = program_->locked->says()[locked_at_[lamp]];
        const double* is =
            said.colour ? said.colour : program_->home.data() + program_->first[lamp];
        std::copy_n(is, program_->parts(lamp), to);
        return;
    }
    const Parts hand = hand_parts_[lamp];
    if (hand != kAllParts) {
        colourOf(lamp, nullptr, to);
        rippleColour(lamp, to);
    }
    if (hand)
        overlay(hand_drives_.data() + program_->first[lamp], hand, program_->parts(lamp), to);
}

double Engine::changedIntensity(std::uint32_t lamp) const {
    const double there = layersIntensity(lamp);
    const Fade& f = changes_[lamp].intensity;
    return f.runs(now_s_) ? level(f.from, there, f.share(now_s_)) : there;
}

void Engine::changedColour(std::uint32_t lamp, double* to) const {
    layersColour(lamp, to);
    const Change& c = changes_[lamp];
    if (c.colour.runs(now_s_))
        along(c.colour, now_s_, c.way, change_from_.data() + program_->first[lamp],
              program_->parts(lamp), to);
}

void Engine::frame(double t_s, Shown& to) {
    advance(t_s);
    const Program& p = *program_;
    for (std::uint32_t lamp = 0; lamp < p.lamps; ++lamp) {
        double intensity = to.own[lamp] = changedIntensity(lamp);
        if (locked_at_[lamp] != UINT32_MAX) {
            intensity = dark_ && !p.exempt[lamp] ? 0 : intensity;
        } else if (!p.exempt[lamp]) {
            if (any_solo_ && !solo_[lamp])
                intensity = 0;
            intensity *= dark_ ? 0 : master_;
        }
        to.intensity[lamp] = intensity;
        changedColour(lamp, to.drives.data() + p.first[lamp]);
    }
    frameSettings(to.settings);
}

bool Engine::moves(std::uint32_t lamp) const {
    const Change& c = changes_[lamp];
    if (c.intensity.runs(now_s_) || c.colour.runs(now_s_))
        return true;
    for (std::uint32_t k = in_lists_from_[lamp]; k < in_lists_from_[lamp + 1]; ++k) {
        const List& l = lists_[in_lists_[k].source];
        const std::uint32_t place = in_lists_[k].place;
        if (!l.held && (l.intensity[place].runs(l.time_s) || l.colour[place].runs(l.time_s)))
            return true;
    }
    const In* ripple = rippleOf(lamp);
    return ripple &&
           (!ripples_[ripple->source].now.frozen || ripples_[ripple->source].let_go_s != HUGE_VAL);
}

bool Engine::runs() const {
    for (const Rippling& r : ripples_)
        if (r.now.runs && (!r.now.frozen || r.let_go_s != HUGE_VAL))
            return true;
    for (std::size_t i = 0; i < lists_.size(); ++i)
        if (!lists_[i].held && followAt(lists_[i], program_->lists[i]) != HUGE_VAL)
            return true;
    for (std::uint32_t lamp = 0; lamp < program_->lamps; ++lamp)
        if (moves(lamp))
            return true;
    for (const List& l : lists_)
        for (const List::Setting& s : l.settings)
            if (!l.held && s.fade.runs(l.time_s))
                return true;
    return false;
}

Engine::From Engine::intensityFrom(std::uint32_t lamp) const {
    using Layer = From::Layer;
    const Program& p = *program_;
    if (!p.exempt[lamp] && dark_)
        return {Layer::Dark};
    if (locked_at_[lamp] != UINT32_MAX)
        return {Layer::Locked};
    if (!p.exempt[lamp] && any_solo_ && !solo_[lamp])
        return {Layer::Solo};
    if (hand_intensity_[lamp] >= 0)
        return {Layer::Hand};
    if (const In* ripple = rippleOf(lamp); ripple && p.ripples[ripple->source].setsIntensity())
        return {Layer::Ripple, ripple->source};
    const Said* said = standingOf(lamp);
    From from{said && said->intensity ? Layer::Standing : Layer::Home};
    double most = -1;
    for (std::uint32_t k = in_lists_from_[lamp]; k < in_lists_from_[lamp + 1]; ++k) {
        const In& in = in_lists_[k];
        const List& l = lists_[in.source];
        const Fade& f = l.intensity[in.place];
        if (f.state == Fade::State::None)
            continue;
        if (const double v = valueOf(l, in.source, in.place, lamp, nullptr); v > most) {
            most = v;
            const int cue = l.intensity_cue[in.place];
            from = {Layer::List, in.source, f.state == Fade::State::Away,
                    cue < 0 ? std::nullopt : std::optional(static_cast<std::size_t>(cue))};
        }
    }
    double added = 0;
    std::optional<std::size_t> adds; // the last that does, also one that adds nothing
    for (std::uint32_t k = in_faders_from_[lamp]; k < in_faders_from_[lamp + 1]; ++k) {
        const In& in = in_faders_[k];
        const Said& look = p.faders[in.source].says->says()[in.place];
        const double level = level_[in.source];
        if (!(level > 0))
            continue;
        if (p.faders[in.source].mode == PlayedFader::Mode::Adds) {
            added += level * look.intensity.value_or(1);
            adds = in.source;
        } else if (look.intensity && level * *look.intensity > most) {
            most = level * *look.intensity;
            from = {Layer::Fader, in.source};
        }
    }
    if (adds && std::min(1.0, added) > most)
        from = {Layer::Adding, *adds};
    return from;
}

// --- time

double Engine::followAt(const List& l, const PlayedList& played) const {
    if (!l.follows || l.cue < 0 || nextOf(l, played) < 0)
        return HUGE_VAL;
    const PlayedCue& cue = played.cues[static_cast<std::size_t>(l.cue)];
    if (cue.follow == PlayedCue::Follow::AfterStart)
        return l.started_s + cue.follow_s;
    if (cue.follow == PlayedCue::Follow::WhenDone)
        return endOf(l);
    if (cue.follow != PlayedCue::Follow::TimeOfDay || !midnight_s_)
        return HUGE_VAL;
    // The next one of that time after the cue began. It waits for no fade and no rate.
    constexpr double kDay_s = 86'400;
    const double ahead = std::fmod(*midnight_s_ + cue.follow_s - l.began_s, kDay_s);
    const double at = l.began_s + (ahead > 0 ? ahead : ahead + kDay_s);
    return l.time_s + (at - now_s_) * l.rate;
}

// A list that is held follows when it goes on.
double Engine::followsIn(const List& l, const PlayedList& played) const {
    const double at = l.held || !(l.rate > 0) ? HUGE_VAL : followAt(l, played);
    return at == HUGE_VAL ? HUGE_VAL : now_s_ + std::max(0.0, at - l.time_s) / l.rate;
}

double Engine::endOf(const List& l) {
    double end = l.started_s;
    for (const auto* fades : {&l.intensity, &l.colour})
        for (const Fade& f : *fades)
            if (f.state != Fade::State::None)
                end = std::max(end, f.end_s);
    for (const List::Setting& s : l.settings)
        if (s.fade.state != Fade::State::None)
            end = std::max(end, s.fade.end_s);
    return end;
}

Engine::ListNow Engine::listNow(std::size_t list) const {
    const List& l = lists_[list];
    const PlayedList& played = program_->lists[list];
    ListNow now{l.cue, -1, l.held, l.rate, l.time_s - l.started_s, endOf(l) - l.started_s, {}};
    now.next = nextOf(l, played);
    if (const double at = followAt(l, played); at != HUGE_VAL)
        now.follow_s = at - l.started_s;
    return now;
}

void Engine::run(double t_s) {
    const double passed = t_s - now_s_;
    for (List& l : lists_) {
        if (!l.held)
            l.time_s += passed * l.rate;
        for (auto* fades : {&l.intensity, &l.colour})
            for (Fade& f : *fades)
                if (f.state == Fade::State::Away && l.time_s >= f.end_s)
                    f.state = Fade::State::None;
        for (List::Setting& s : l.settings)
            if (s.fade.state == Fade::State::Away && l.time_s >= s.fade.end_s)
                s.fade.state = Fade::State::None;
    }
    now_s_ = t_s;
    runRipples(passed);
}

void Engine::advance(double t_s) {
    // A list whose cues follow one another at once stops where it comes round: the loop is bounded.
    constexpr double kLeastRound_s = 0.02;
    for (;;) {
        std::size_t first = lists_.size();
        double when = t_s;
        for (std::size_t i = 0; i < lists_.size(); ++i) {
            const double real = followsIn(lists_[i], program_->lists[i]);
            if (real < when || (real == when && first == lists_.size())) {
                when = real;
                first = i;
            }
        }
        if (first == lists_.size())
            break;
        const double at = followAt(lists_[first], program_->lists[first]);
        run(when);
        List& l = lists_[first];
        l.time_s = std::max(l.time_s, at);
        if (nextOf(l, program_->lists[first]) == 0) {
            if (l.time_s - l.round_s < kLeastRound_s) {
                l.follows = false;
                continue;
            }
            l.round_s = l.time_s;
        }
        next(first);
    }
    if (t_s > now_s_)
        run(t_s);
}

// --- lists

// What a colour starts from: worked out beside it, since it may come from there.
template <class F>
void Engine::keep(List& l, std::size_t place, std::uint32_t lamp, F colour) {
    std::array<double, light::kMostParts> now;
    colour(now.data());
    std::copy_n(now.begin(), program_->parts(lamp), l.from.begin() + l.first[place]);
}

void Engine::startIntensity(List& l, std::size_t place, double to, double begin_s, double time_s) {
    Fade& f = l.intensity[place];
    f.state = Fade::State::To;
    f.to = to;
    f.begin_s = begin_s;
    f.end_s = begin_s + time_s;
}

namespace {

// Of what is said by lamp, walked along: SIZE_MAX where there is nothing of this lamp.
template <class All>
std::size_t placeOf(const All& all, std::uint32_t lamp, std::size_t& next) {
    while (next < all.size() && all[next].lamp < lamp)
        ++next;
    return next < all.size() && all[next].lamp == lamp ? next : SIZE_MAX;
}

} // namespace

// Takes a way that leads from here to there. The same one as before goes on as it was; another is
// eased onto from this share of the time on (below 0: it is on it from the start).
void Engine::meet(OnWay& on, const Planned* way, const OnWay& before, double share,
                  const double* from, const double* to) {
    on = {};
    if (!way || !way->leads(from, to))
        return;
    on.way = way;
    on.since = before.way ? before.since : share;
}

// What the cue says, or (whole) all that it stands for; the rest of the list goes back to what is
// below, in the same times.
void Engine::start(std::size_t list, const PlayedCue& cue, bool whole, bool backwards) {
    const Program& p = *program_;
    List& l = lists_[list];
    const PlayedList& played = p.lists[list];
    const double back_s = played.back_s;
    const double up = backwards ? back_s : cue.up_s;
    const double down = backwards ? back_s : cue.down_s;
    const double up_delay = backwards ? 0 : cue.up_delay_s;
    const double down_delay = backwards ? 0 : cue.down_delay_s;
    const std::uint64_t stamp = ++events_;
    std::size_t next_change = 0; // of what it says
    l.started_s = l.time_s;
    l.began_s = now_s_;
    l.follows = !backwards;
    actRipples(list, whole);
    startSettings(list, cue, whole, backwards);
    for (std::size_t place = 0; place < played.lamps.size(); ++place) {
        const std::uint32_t lamp = played.lamps[place];
        const std::size_t change = placeOf(cue.changes->says(), lamp, next_change);
        const Said* changed = change < SIZE_MAX ? &cue.changes->says()[change] : nullptr;
        const Stands* all = played.standsFor(place, l.cue);
        const Said* said = whole ? all : changed;
        if (!said && !whole)
            continue;
        Fade& intensity = l.intensity[place];
        Fade& colour = l.colour[place];
        const double shown = shownIntensity(lamp);
        const bool was_dark = shown <= kDark;
        const Without below{list, nullptr};
        const double under = intensityOf(lamp, &below).intensity;
        const bool says_intensity = said && said->intensity;
        const bool lets_intensity =
            whole && !says_intensity && intensity.state != Fade::State::None;
        const bool says_colour = said && said->colour;
        const bool lets_colour = whole && !says_colour && colour.state != Fade::State::None;
        // The colour that is shown now, before anything of it changes.
        const bool held = !whole && colour.state == Fade::State::To;
        if (says_colour || lets_colour)
            keep(l, place, lamp, [&](double* now) { colourOf(lamp, nullptr, now); });
        double from = shown;
        if (intensity.state != Fade::State::None) // before its fader
            from = l.share > 0 ? valueOf(l, list, place, lamp, nullptr) / l.share : 0;
        double to = from;
        bool falls = false;
        double arrives = l.time_s; // of the intensity
        if (says_intensity || lets_intensity) {
            to = says_intensity ? *said->intensity : under;
            falls = to < from;
            intensity.from = from;
            startIntensity(l, place, to, l.time_s + (falls ? down_delay : up_delay),
                           falls ? down : up);
            if (lets_intensity)
                intensity.state = Fade::State::Away;
            else
                l.intensity_cue[place] = all->intensity_cue;
            arrives = intensity.end_s;
        }
        if (!says_colour && !lets_colour)
            continue;
        const double lamps_time = falls ? down : up;
        const double lamps_delay = falls ? down_delay : up_delay;
        // What is let go has the times of the lamp's intensity, whatever the cue says of colour.
        const bool own = says_colour && !backwards;
        colour.begin_s = l.time_s + (own ? cue.colour_delay_s.value_or(lamps_delay) : lamps_delay);
        colour.end_s = colour.begin_s + (own ? cue.colour_s.value_or(lamps_time) : lamps_time);
        colour.state = says_colour ? Fade::State::To : Fade::State::Away;
        if (says_colour) {
            double* to_drives = l.to.data() + l.first[place];
            // Single parts go over what the list said before, where it still says it.
            l.parts[place] = held ? l.parts[place] | said->parts : said->parts;
            overlay(said->colour, said->parts, p.parts(lamp), to_drives);
            l.stamp[place] = stamp;
            l.colour_cue[place] = all->colour_cue;
            const Planned* way = changed && changed->colour && change < cue.ways.size()
                                     ? cue.ways[change].get()
                                     : nullptr;
            meet(l.ways[place], way, {}, -1, l.from.data() + l.first[place], to_drives);
        } else {
            l.ways[place] = {};
        }
        if (!cue.dark_first.value_or(p.dark_first))
            continue;
        if (was_dark) // before its light comes
            colour.begin_s = colour.end_s = l.time_s;
        else if ((says_intensity || lets_intensity) && to <= kDark && under <= kDark)
            colour.begin_s = colour.end_s = arrives; // once it is dark
    }
}

int Engine::nextOf(const List& l, const PlayedList& played) {
    const int last = static_cast<int>(played.cues.size()) - 1;
    if (l.turned)
        return l.cue > 0 ? l.cue - 1 : l.cue < last ? l.cue + 1 : -1;
    if (l.cue < last)
        return l.cue + 1;
    const bool more = last > 0; // a cue alone has no other to go to
    return !more                                          ? -1
           : played.at_end == PlayedList::AtEnd::Again    ? 0
           : played.at_end == PlayedList::AtEnd::ToAndFro ? last - 1
                                                          : -1;
}

void Engine::next(std::size_t list) {
    List& l = lists_[list];
    const PlayedList& played = program_->lists[list];
    l.follows = false;
    const int to = nextOf(l, played);
    if (to < 0)
        return;
    const bool onward = to == l.cue + 1;
    l.turned = played.at_end == PlayedList::AtEnd::ToAndFro && !onward;
    l.cue = to;
    start(list, played.cues[static_cast<std::size_t>(to)], !onward, false);
}

void Engine::back(std::size_t list) {
    List& l = lists_[list];
    if (l.cue <= 0)
        return;
    --l.cue;
    l.turned = false;
    start(list, program_->lists[list].cues[static_cast<std::size_t>(l.cue)], true, true);
}

void Engine::jump(std::size_t list, double number) {
    List& l = lists_[list];
    const auto& cues = program_->lists[list].cues;
    for (std::size_t i = 0; i < cues.size(); ++i) {
        if (cues[i].number != number)
            continue;
        if (static_cast<int>(i) == l.cue + 1 && !l.turned)
            return next(list);
        l.turned = false;
        l.cue = static_cast<int>(i);
        return start(list, cues[i], true, false);
    }
}

void Engine::release(std::size_t list) {
    List& l = lists_[list];
    const PlayedList& played = program_->lists[list];
    l.cue = -1;
    l.turned = false;
    l.follows = false;
    l.held = false;
    releaseSettings(list);
    for (std::size_t place = 0; place < played.lamps.size(); ++place) {
        const std::uint32_t lamp = played.lamps[place];
        Fade& intensity = l.intensity[place];
        Fade& colour = l.colour[place];
        const Without below{list, nullptr};
        const bool gets_dark = intensityOf(lamp, &below).intensity <= kDark;
        const bool is_dark = shownIntensity(lamp) <= kDark;
        if (colour.state != Fade::State::None) {
            keep(l, place, lamp,
                 [&](double* now) { colourIn(l, list, place, lamp, nullptr, now); });
            colour.state = Fade::State::Away;
            l.ways[place] = {};
            colour.begin_s = l.time_s;
            colour.end_s = l.time_s + played.release_s;
            if (program_->dark_first && is_dark)
                colour.end_s = colour.begin_s;
            else if (program_->dark_first && gets_dark)
                colour.begin_s = colour.end_s;
        }
        if (intensity.state != Fade::State::None) {
            const double value = valueOf(l, list, place, lamp, nullptr);
            intensity.from = l.share > 0 ? value / l.share : 0;
            intensity.state = Fade::State::Away;
            intensity.begin_s = l.time_s;
            intensity.end_s = l.time_s + played.release_s;
        }
    }
}

void Engine::solo(std::span<const int> ids) {
    std::fill(solo_.begin(), solo_.end(), 0);
    any_solo_ = false;
    const auto& all = program_->lamp_ids;
    for (const int id : ids)
        if (const auto it = std::lower_bound(all.begin(), all.end(), id);
            it != all.end() && *it == id) {
            solo_[static_cast<std::size_t>(it - all.begin())] = 1;
            any_solo_ = true;
        }
}

void Engine::apply(const Command& command, double t_s) {
    advance(t_s);
    using What = Command::What;
    const bool of_list = command.what <= What::Release;
    Command c = command;
    const bool of_ripple = c.what >= What::RippleStart;
    if (c.by_id) {
        const auto& ids = of_list     ? program_->list_ids
                          : of_ripple ? program_->ripple_ids
                                      : program_->fader_ids;
        const auto it = std::lower_bound(ids.begin(), ids.end(), static_cast<int>(c.which));
        if (it == ids.end() || *it != static_cast<int>(c.which))
            return;
        c.which = static_cast<std::uint32_t>(it - ids.begin());
    }
    const std::size_t most = of_list                 ? lists_.size()
                             : of_ripple             ? ripples_.size()
                             : c.what == What::Fader ? level_.size()
                                                     : program_->lamps;
    const bool of_all = c.what == What::PutDown || c.what == What::SoloOff ||
                        c.what == What::Master || c.what == What::Dark || c.what == What::TimeOfDay;
    if ((!of_all && c.which >= most) || std::isnan(c.value))
        return;
    switch (c.what) {
    case What::Next:
        return next(c.which);
    case What::Back:
        return back(c.which);
    case What::Jump:
        return jump(c.which, c.value);
    case What::Hold:
        lists_[c.which].held = !lists_[c.which].held;
        return;
    case What::Rate:
        lists_[c.which].rate = std::clamp(c.value, 0.1, 10.0);
        return;
    case What::Release:
        return release(c.which);
    case What::Fader: {
        const double level = std::clamp(c.value, 0.0, 1.0);
        if (level > 0 && !(level_[c.which] > 0))
            raised_[c.which] = ++events_;
        play(c.which, level);
        level_[c.which] = level;
        return;
    }
    case What::Trim:
        trim_[c.which] = c.value;
        return;
    case What::HandIntensity:
        hand_intensity_[c.which] = std::clamp(c.value, 0.0, 1.0);
        return;
    case What::HandColour:
        hand_parts_[c.which] = kAllParts;
        std::copy_n(c.drives.begin(), std::min(c.drives.size(), program_->parts(c.which)),
                    hand_drives_.begin() + program_->first[c.which]);
        return;
    case What::PutDown:
        std::fill(hand_intensity_.begin(), hand_intensity_.end(), -1.0);
        std::fill(hand_parts_.begin(), hand_parts_.end(), Parts{0});
        return;
    case What::Solo:
        solo_[c.which] = 1;
        any_solo_ = true;
        return;
    case What::SoloOff:
        std::fill(solo_.begin(), solo_.end(), 0);
        any_solo_ = false;
        return;
    case What::Master:
        master_ = std::clamp(c.value, 0.0, 1.0);
        return;
    case What::Dark:
        dark_ = c.value != 0;
        return;
    case What::TimeOfDay:
        midnight_s_ = now_s_ - c.value;
        return;
    case What::RippleStart:
        return startRipple(c.which);
    case What::RippleLetGo:
        return letGoOfRipple(c.which);
    case What::RippleFreeze:
        ripples_[c.which].now.frozen = !ripples_[c.which].now.frozen;
        return;
    case What::RippleRate:
        ripples_[c.which].now.rate = std::clamp(c.value, 0.1, 10.0);
        return;
    }
}

// A list on a fader begins when that leaves 0, and is let go at once when it is back there. While
// the fader is down it plays as any other.
void Engine::play(std::size_t fader, double level) {
    if (const auto ripple = program_->faders[fader].ripple) {
        if (level > 0 && !(level_[fader] > 0))
            startRipple(*ripple);
        else if (!(level > 0) && level_[fader] > 0)
            ripples_[*ripple].now.runs = false; // nothing of it is left
        ripples_[*ripple].share = level > 0 ? level : 1;
        return;
    }
    const auto list = program_->faders[fader].list;
    if (!list)
        return;
    List& l = lists_[*list];
    const bool was = level_[fader] > 0;
    if (level > 0)
        l.share = level;
    if (level > 0 && !was) {
        l.cue = -1;
        l.turned = l.held = false;
        for (auto* fades : {&l.intensity, &l.colour})
            for (Fade& f : *fades)
                f.state = Fade::State::None;
        for (List::Setting& s : l.settings)
            s.fade.state = Fade::State::None;
        next(*list);
    } else if (!(level > 0) && was) {
        l.share = 0;
        release(*list);
        for (Fade& f : l.intensity) // nothing of it is left
            f.state = Fade::State::None;
        l.share = 1;
    }
}

bool Engine::hidden(std::size_t fader) const {
    const Program& p = *program_;
    const PlayedFader& played = p.faders[fader];
    if (!(level_[fader] > 0))
        return false;
    const auto is = [&](const From& from) {
        using Layer = From::Layer;
        if (played.list)
            return from.layer == Layer::List && from.which == *played.list;
        return from.layer == Layer::Adding || (from.layer == Layer::Fader && from.which == fader);
    };
    const auto shows = [&](std::uint32_t lamp) {
        return is(intensityFrom(lamp)) || is(colourFrom(lamp));
    };
    if (played.list) {
        const auto& lamps = p.lists[*played.list].lamps;
        return std::none_of(lamps.begin(), lamps.end(), shows);
    }
    if (played.ripple)
        return false;
    const auto& says = played.says->says();
    return std::none_of(says.begin(), says.end(), [&](const Said& s) { return shows(s.lamp); });
}

} // namespace zelo::play
