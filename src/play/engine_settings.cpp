// SPDX-License-Identifier: GPL-3.0-or-later
// What lamps have beside intensity and colour: shutters, zooms, positions. Of each the latest that
// says it counts; it goes there in the cue's up time, or jumps where its data says so. A dark lamp
// is there before its light comes.
#include "play/engine.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

void Engine::indexSettings() {
    const Program& p = *program_;
    const std::size_t count = p.settings_home.size();
    for (std::uint32_t lamp = 0; lamp < p.lamps; ++lamp)
        lamp_of_setting_.insert(lamp_of_setting_.end(), p.settings(lamp), lamp);
    std::vector<std::vector<In>> in(count);
    for (std::size_t l = 0; l < p.lists.size(); ++l) {
        const auto& settings = p.lists[l].settings;
        lists_[l].settings.resize(settings.size());
        for (std::size_t place = 0; place < settings.size(); ++place)
            in[settings[place]].push_back(
                {static_cast<std::uint32_t>(l), static_cast<std::uint32_t>(place)});
    }
    for (const auto& lists : in) {
        settings_from_.push_back(static_cast<std::uint32_t>(settings_in_.size()));
        settings_in_.insert(settings_in_.end(), lists.begin(), lists.end());
    }
    settings_from_.push_back(static_cast<std::uint32_t>(settings_in_.size()));
}

double Engine::settingIn(const List& l, std::size_t list, std::size_t place, std::uint32_t setting,
                         const Without* without) const {
    const Fade& f = l.settings[place].fade;
    double to = f.to;
    if (f.state == Fade::State::Away) {
        const Without below{list, without};
        to = settingOf(setting, &below);
    }
    if (program_->settings_snap[setting])
        return l.time_s >= f.begin_s ? to : f.from;
    return f.from + f.share(l.time_s) * (to - f.from);
}

double Engine::settingOf(std::uint32_t setting, const Without* without) const {
    const Program& p = *program_;
    double value = p.settings_home[setting];
    if (const auto* said = p.standing->ofSetting(setting))
        value = said->share;
    std::uint64_t latest = 0;
    const In* found = nullptr;
    for (std::uint32_t k = settings_from_[setting]; k < settings_from_[setting + 1]; ++k) {
        const In& in = settings_in_[k];
        const List::Setting& s = lists_[in.source].settings[in.place];
        if (s.fade.state == Fade::State::None || Without::holds(without, in.source) ||
            s.stamp < latest)
            continue;
        latest = s.stamp;
        found = &in;
    }
    const SaidSetting* on_fader = nullptr;
    for (std::size_t f = 0; f < p.faders.size(); ++f)
        if (level_[f] > 0 && raised_[f] >= latest)
            if (const auto* said = p.faders[f].says->ofSetting(setting)) {
                latest = raised_[f];
                on_fader = said;
            }
    if (on_fader)
        return on_fader->share;
    return found ? settingIn(lists_[found->source], found->source, found->place, setting, without)
                 : value;
}

void Engine::frameSettings(std::vector<double>& to) const {
    const Program& p = *program_;
    for (std::uint32_t s = 0; s < p.settings_home.size(); ++s) {
        const bool locked = locked_at_[lamp_of_setting_[s]] != UINT32_MAX;
        const auto* kept = locked ? p.locked->ofSetting(s) : p.hand->ofSetting(s);
        to[s] = kept ? kept->share : settingOf(s, nullptr);
    }
}

void Engine::startSettings(std::size_t list, const PlayedCue& cue, bool whole, bool backwards) {
    const Program& p = *program_;
    List& l = lists_[list];
    const PlayedList& played = p.lists[list];
    const double time = backwards ? played.back_s : cue.up_s;
    const double delay = backwards ? 0 : cue.up_delay_s;
    const std::uint64_t stamp = events_;
    for (std::size_t place = 0; place < played.settings.size(); ++place) {
        const std::uint32_t setting = played.settings[place];
        List::Setting& s = l.settings[place];
        const SaidSetting* said =
            whole ? played.settingFor(setting, l.cue) : cue.changes->ofSetting(setting);
        if (!said && (!whole || s.fade.state == Fade::State::None))
            continue;
        const bool dark = cue.dark_first.value_or(p.dark_first) &&
                          !(shownIntensity(lamp_of_setting_[setting]) > 1e-12);
        s.fade.from = settingOf(setting, nullptr);
        s.fade.state = said ? Fade::State::To : Fade::State::Away;
        s.fade.begin_s = l.time_s + (dark ? 0 : delay);
        s.fade.end_s = s.fade.begin_s + (dark || p.settings_snap[setting] ? 0 : time);
        if (said) {
            s.fade.to = said->share;
            s.stamp = stamp;
        }
    }
}

void Engine::releaseSettings(std::size_t list) {
    List& l = lists_[list];
    const PlayedList& played = program_->lists[list];
    for (std::size_t place = 0; place < played.settings.size(); ++place) {
        List::Setting& s = l.settings[place];
        if (s.fade.state == Fade::State::None)
            continue;
        const std::uint32_t setting = played.settings[place];
        s.fade.from = settingIn(l, list, place, setting, nullptr);
        s.fade.state = Fade::State::Away;
        s.fade.begin_s = l.time_s;
        s.fade.end_s = l.time_s + (program_->settings_snap[setting] ? 0 : played.release_s);
    }
}

// Of lamps that have as many as before: what its cue stands for in this program, and where it was.
void Engine::takeSettings(std::size_t list, const Engine& before, std::size_t old_list) {
    using State = Fade::State;
    const Program& p = *program_;
    const Program& q = *before.program_;
    List& l = lists_[list];
    const PlayedList& played = p.lists[list];
    const auto& old_settings = q.lists[old_list].settings;
    for (std::size_t place = 0; place < played.settings.size(); ++place) {
        const std::uint32_t setting = played.settings[place];
        const std::uint32_t lamp = lamp_of_setting_[setting];
        const std::uint32_t was = lamp_before_[lamp];
        List::Setting& s = l.settings[place];
        if (was != UINT32_MAX && p.settings(lamp) == q.settings(was)) {
            const auto old = q.settings_first[was] + (setting - p.settings_first[lamp]);
            const auto it = std::lower_bound(old_settings.begin(), old_settings.end(), old);
            if (it != old_settings.end() && *it == old)
                s = before.lists_[old_list]
                        .settings[static_cast<std::size_t>(it - old_settings.begin())];
        }
        const SaidSetting* said = l.cue < 0 ? nullptr : played.settingFor(setting, l.cue);
        if (said) {
            if (s.fade.state != State::To) {
                s.fade.begin_s = s.fade.end_s = l.time_s;
                s.stamp = events_;
            }
            s.fade.state = State::To;
            s.fade.to = said->share;
        } else if (s.fade.state == State::To) {
            s.fade.state = State::None;
        }
    }
}

} // namespace zelo::play
