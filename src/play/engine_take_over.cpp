// SPDX-License-Identifier: GPL-3.0-or-later
// From one program to the next while it plays.
#include "play/engine.h"

#include <algorithm>
#include <cmath>
#include <optional>

namespace zelo::play {

namespace {

constexpr double kDark = 1e-12;
constexpr double kSame = 1e-12; // intensities and drives

// For each of these, where it was among those before; both ascending.
void matched(const std::vector<int>& now, const std::vector<int>& before,
             std::vector<std::uint32_t>& to) {
    std::size_t old = 0;
    for (std::size_t i = 0; i < now.size(); ++i) {
        while (old < before.size() && before[old] < now[i])
            ++old;
        to[i] = old < before.size() && before[old] == now[i] ? static_cast<std::uint32_t>(old)
                                                             : UINT32_MAX;
    }
}

} // namespace

void Engine::takeOver(Engine& before, double t_s, double fade_s) {
    before.advance(t_s);
    const Program& p = *program_;
    const Program& q = *before.program_;
    now_s_ = before.now_s_;
    events_ = before.events_;
    master_ = before.master_;
    dark_ = before.dark_;
    midnight_s_ = before.midnight_s_;
    matched(p.lamp_ids, q.lamp_ids, lamp_before_);
    matched(p.list_ids, q.list_ids, list_before_);
    for (std::uint32_t list = 0; list < lists_.size(); ++list)
        if (list_before_[list] != UINT32_MAX) {
            takeList(list, before, list_before_[list]);
            takeSettings(list, before, list_before_[list]);
            settle(list, before, list_before_[list]);
        }
    for (std::size_t f = 0, old = 0; f < p.fader_ids.size(); ++f) {
        while (old < q.fader_ids.size() && q.fader_ids[old] < p.fader_ids[f])
            ++old;
        if (old < q.fader_ids.size() && q.fader_ids[old] == p.fader_ids[f]) {
            level_[f] = before.level_[old];
            raised_[f] = before.raised_[old];
            if (p.faders[f].list && level_[f] > 0)
                lists_[*p.faders[f].list].share = level_[f];
        }
    }
    takeRipples(before);
    for (std::size_t f = 0; f < q.fader_ids.size(); ++f)
        if (before.level_[f] > 0)
            leftBy(q.faders[f], q);
    for (std::uint32_t lamp = 0; lamp < p.lamp_ids.size(); ++lamp)
        if (const std::uint32_t old = lamp_before_[lamp]; old != UINT32_MAX) {
            solo_[lamp] = before.solo_[old];
            any_solo_ = any_solo_ || solo_[lamp];
        }
    for (std::uint32_t lamp = 0; lamp < p.lamp_ids.size(); ++lamp)
        if (const std::uint32_t old = lamp_before_[lamp];
            old != UINT32_MAX && p.parts(lamp) == q.parts(old))
            change(lamp, before, old, fade_s);
}

// What a fader that was up played: where none is up that plays it now, it is let go in its time.
void Engine::leftBy(const PlayedFader& fader, const Program& of) {
    const Program& p = *program_;
    const auto now = [](const std::vector<int>& ids, int id) -> std::optional<std::size_t> {
        const auto it = std::lower_bound(ids.begin(), ids.end(), id);
        if (it == ids.end() || *it != id)
            return std::nullopt;
        return static_cast<std::size_t>(it - ids.begin());
    };
    const auto list = fader.list ? now(p.list_ids, of.list_ids[*fader.list]) : std::nullopt;
    const auto ripple =
        fader.ripple ? now(p.ripple_ids, of.ripple_ids[*fader.ripple]) : std::nullopt;
    for (std::size_t f = 0; f < level_.size(); ++f)
        if (level_[f] > 0 &&
            ((list && p.faders[f].list == list) || (ripple && p.faders[f].ripple == ripple)))
            return;
    if (ripple)
        letGoOfRipple(*ripple);
    if (!list)
        return;
    List& l = lists_[*list];
    release(*list);
    for (Fade& f : l.intensity) // as bright as the fader left it
        f.from *= l.share;
    l.share = 1;
}

// Where it stands, and the fades of its lamps.
void Engine::takeList(std::size_t list, const Engine& before, std::size_t old_list) {
    const Program& p = *program_;
    const Program& q = *before.program_;
    List& l = lists_[list];
    const List& old = before.lists_[old_list];
    const auto& cues = p.lists[list].cues;
    l.time_s = old.time_s;
    l.rate = old.rate;
    l.held = old.held;
    l.share = old.share;
    l.round_s = old.round_s;
    l.turned = old.turned && p.lists[list].at_end == PlayedList::AtEnd::ToAndFro;
    l.started_s = old.started_s;
    l.began_s = old.began_s;
    l.follows = old.follows;
    if (old.cue >= 0) { // the cue of this number, or the last one before it
        const double number = q.lists[old_list].cues[static_cast<std::size_t>(old.cue)].number;
        while (static_cast<std::size_t>(l.cue + 1) < cues.size() &&
               cues[static_cast<std::size_t>(l.cue + 1)].number <= number)
            ++l.cue;
        // Another one than was started: nothing follows it by itself.
        if (l.cue < 0 || cues[static_cast<std::size_t>(l.cue)].number != number)
            l.follows = false;
    }
    const auto& lamps = p.lists[list].lamps;
    const auto& old_lamps = q.lists[old_list].lamps;
    std::size_t from = 0;
    for (std::size_t place = 0; place < lamps.size(); ++place) {
        const std::uint32_t was = lamp_before_[lamps[place]];
        if (was == UINT32_MAX || p.parts(lamps[place]) != q.parts(was))
            continue;
        while (from < old_lamps.size() && old_lamps[from] < was)
            ++from;
        if (from == old_lamps.size() || old_lamps[from] != was)
            continue;
        l.intensity[place] = old.intensity[from];
        l.colour[place] = old.colour[from];
        l.stamp[place] = old.stamp[from];
        l.intensity_cue[place] = old.intensity_cue[from];
        l.colour_cue[place] = old.colour_cue[from];
        l.parts[place] = old.parts[from];
        l.ways[place] = old.ways[from]; // of the program before: settle() finds its own
        const std::size_t parts = p.parts(lamps[place]);
        std::copy_n(old.from.begin() + old.first[from], parts, l.from.begin() + l.first[place]);
        std::copy_n(old.to.begin() + old.first[from], parts, l.to.begin() + l.first[place]);
    }
}

// What the list holds is what its cue stands for in this program, whatever it was before.
void Engine::settle(std::size_t list, const Engine& before, std::size_t old_list) {
    using State = Fade::State;
    const Program& p = *program_;
    const auto& old_lamps = before.program_->lists[old_list].lamps;
    List& l = lists_[list];
    const PlayedCue* cue =
        l.cue < 0 ? nullptr : &p.lists[list].cues[static_cast<std::size_t>(l.cue)];
    std::size_t next_change = 0;
    for (std::size_t place = 0; place < p.lists[list].lamps.size(); ++place) {
        const std::uint32_t lamp = p.lists[list].lamps[place];
        const OnWay was = l.ways[place];
        l.ways[place] = {};
        const Stands* all = nullptr;
        std::size_t change = SIZE_MAX;
        if (cue) {
            all = p.lists[list].standsFor(place, l.cue);
            const auto& changes = cue->changes->says();
            while (next_change < changes.size() && changes[next_change].lamp < lamp)
                ++next_change;
            if (next_change < changes.size() && changes[next_change].lamp == lamp)
                change = next_change;
        }
        const auto there = [&](Fade& fade) { // newly said: it is there
            fade.begin_s = fade.end_s = l.time_s;
            fade.state = State::To;
        };
        Fade& intensity = l.intensity[place];
        if (all && all->intensity) {
            if (intensity.state != State::To)
                there(intensity);
            intensity.to = *all->intensity;
            l.intensity_cue[place] = all->intensity_cue;
        } else if (intensity.state == State::To) {
            intensity.state = State::None;
        }
        Fade& colour = l.colour[place];
        if (all && all->colour) {
            if (colour.state != State::To) {
                there(colour);
                l.stamp[place] = *std::max_element(l.stamp.begin(), l.stamp.end());
            }
            double* to = l.to.data() + l.first[place];
            std::copy_n(all->colour, p.parts(lamp), to);
            l.parts[place] = all->parts;
            l.colour_cue[place] = all->colour_cue;
            const Planned* way = change < cue->ways.size() && cue->changes->says()[change].colour
                                     ? cue->ways[change].get()
                                     : nullptr;
            meet(l.ways[place], way, was, colour.share(l.time_s), l.from.data() + l.first[place],
                 to);
            if (was.way && !l.ways[place].way && colour.runs(l.time_s)) { // straight on from here
                const std::uint32_t old = lamp_before_[lamp];
                const auto at = std::lower_bound(old_lamps.begin(), old_lamps.end(), old);
                std::array<double, light::kMostParts> shown;
                before.colourIn(before.lists_[old_list], old_list,
                                static_cast<std::size_t>(at - old_lamps.begin()), old, nullptr,
                                shown.data());
                std::copy_n(shown.begin(), p.parts(lamp), l.from.begin() + l.first[place]);
                colour.begin_s = l.time_s;
            }
        } else if (colour.state == State::To) {
            colour.state = State::None;
        }
    }
}

// Fades to what the lamp is to show now, from what it showed; goes on with the fade that ran where
// that is nothing new.
void Engine::change(std::uint32_t lamp, const Engine& before, std::uint32_t old, double fade_s) {
    const Program& p = *program_;
    const std::size_t parts = p.parts(lamp);
    const Change& ran = before.changes_[old];
    Change& now = changes_[lamp];
    double* from = change_from_.data() + p.first[lamp];
    const double was = before.layersIntensity(old);
    const double is = layersIntensity(lamp);
    const double shown = before.changedIntensity(old);
    std::array<double, light::kMostParts> was_drives, is_drives;
    before.layersColour(old, was_drives.data());
    layersColour(lamp, is_drives.data());
    const Planned* way = lamp < p.change_ways.size() ? p.change_ways[lamp].get() : nullptr;
    if (std::abs(is - was) <= kSame) {
        now.intensity = ran.intensity;
    } else if (fade_s > 0) {
        now.intensity = {Fade::State::To, shown, is, now_s_, now_s_ + fade_s};
    }
    const bool same =
        std::equal(is_drives.begin(), is_drives.begin() + static_cast<std::ptrdiff_t>(parts),
                   was_drives.begin(), [](double a, double b) { return std::abs(a - b) <= kSame; });
    if (same) {
        now.colour = ran.colour;
        std::copy_n(before.change_from_.begin() + before.program_->first[old], parts, from);
        if (!now.colour.runs(now_s_))
            return;
        meet(now.way, way, ran.way, now.colour.share(now_s_), from, is_drives.data());
        if (ran.way.way && !now.way.way) { // straight on from here
            before.changedColour(old, from);
            now.colour.begin_s = now_s_;
        }
        return;
    }
    // A ripple that changes goes on without a jump.
    const In* ripple = rippleOf(lamp);
    if (ripple && before.rippleOf(old))
        fade_s = std::max(fade_s, p.ripples[ripple->source].times.shortest_s());
    if (!(fade_s > 0))
        return;
    before.changedColour(old, from);
    now.colour = {Fade::State::To, 0, 0, now_s_, now_s_ + fade_s};
    if (p.dark_first && shown <= kDark)
        now.colour.state = Fade::State::None; // before its light comes
    else if (p.dark_first && is <= kDark)
        now.colour.begin_s = now.colour.end_s; // once it is dark
    meet(now.way, way, {}, -1, from, is_drives.data());
}

} // namespace zelo::play
