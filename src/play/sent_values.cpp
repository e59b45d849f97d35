// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/sent_values.h"

#include "mix/rounding.h"

#include <algorithm>

namespace zelo::play {

namespace {

// A channel on its way from one drive to the next.
std::uint32_t followed(const light::Channel& c, std::uint32_t nearest, std::uint32_t value,
                       double was, double is) {
    if (!c.ranges.empty()) // a wheel in steps
        return nearest;
    return is > was ? std::max(value, nearest) : std::min(value, nearest);
}

} // namespace

SentValues::SentValues(std::shared_ptr<const Compiled> compiled) : compiled_(std::move(compiled)) {
    const Program& p = *compiled_->program;
    last_ = {std::vector<double>(p.lamps, 0),
             std::vector<double>(p.first.back(), 0),
             {},
             p.settings_home};
    set_.assign(p.lamps, 0);
    std::vector<std::pair<std::uint16_t, Slots>> places;
    for (std::uint32_t lamp = 0; lamp < p.lamps; ++lamp) {
        const auto& mixer = compiled_->mixers[lamp];
        wanted_first_.push_back(wanted_.size());
        wanted_.resize(wanted_.size() + (mixer ? mixer->mode().channels.size() : 0));
        values_.push_back(mixer ? light::homeValues(mixer->mode()) : light::ChannelValues{});
        if (p.settings(lamp) > 0)
            for (const std::size_t channel : mixer->mode().settings())
                setting_channels_.push_back(channel);
        const show::Fixture& f = *compiled_->state.show->fixture(compiled_->fixtures[lamp]);
        if (!mixer || f.address + mixer->mode().footprint - 1 > light::kSlots)
            continue; // no type, or past the end
        frame_.at(f.universe);
        places.push_back({f.universe, {lamp, 0, static_cast<std::size_t>(f.address - 1)}});
    }
    for (auto& [universe, slots] : places) {
        slots.universe = static_cast<std::size_t>(&frame_.at(universe) - frame_.universes.data());
        slots_.push_back(slots);
    }
}

void SentValues::takeOver(const SentValues& before) {
    const Program& p = *compiled_->program;
    const Program& q = *before.compiled_->program;
    std::uint32_t old = 0;
    for (std::uint32_t lamp = 0; lamp < p.lamps; ++lamp) {
        while (old < q.lamps && q.lamp_ids[old] < p.lamp_ids[lamp])
            ++old;
        if (old == q.lamps || q.lamp_ids[old] != p.lamp_ids[lamp] ||
            compiled_->mixers[lamp] != before.compiled_->mixers[old])
            continue;
        std::copy(before.values_[old].begin(), before.values_[old].end(), values_[lamp].begin());
        last_.intensity[lamp] = before.last_.intensity[old];
        std::copy_n(before.last_.drives.begin() + q.first[old], p.parts(lamp),
                    last_.drives.begin() + p.first[lamp]);
        for (std::size_t s = 0; s < p.settings(lamp); ++s)
            last_.settings[p.settings_first[lamp] + s] =
                before.last_.settings[q.settings_first[old] + s];
        std::copy_n(before.wanted_.begin() + static_cast<std::ptrdiff_t>(before.wanted_first_[old]),
                    values_[lamp].size(),
                    wanted_.begin() + static_cast<std::ptrdiff_t>(wanted_first_[lamp]));
        set_[lamp] = before.set_[old];
    }
}

void SentValues::rest(std::span<const Rest> rests) {
    const Program& p = *compiled_->program;
    for (const Rest& r : rests) {
        if (r.lamp >= p.lamps || r.drives.size() != p.parts(r.lamp) || !set_[r.lamp] ||
            r.values.size() != values_[r.lamp].size() || r.intensity != last_.intensity[r.lamp] ||
            !std::equal(r.drives.begin(), r.drives.end(), last_.drives.begin() + p.first[r.lamp]))
            continue;
        const auto& channels = compiled_->mixers[r.lamp]->mode().channels;
        for (std::size_t i = 0; i < channels.size(); ++i)
            if (channels[i].role != light::Role::Other) // those are as they were set since
                values_[r.lamp][i] = r.values[i];
    }
}

bool SentValues::follow(const Shown& row) {
    const Program& p = *compiled_->program;
    bool any = false;
    for (std::uint32_t lamp = 0; lamp < p.lamps; ++lamp) {
        const auto& mixer = compiled_->mixers[lamp];
        if (!mixer)
            continue;
        for (std::size_t s = p.settings(lamp); s-- > 0;) {
            const std::size_t at = p.settings_first[lamp] + s;
            const std::size_t channel = setting_channels_[at];
            if (row.settings[at] == last_.settings[at])
                continue;
            any = true;
            last_.settings[at] = row.settings[at];
            values_[lamp][channel] = mixer->mode().channels[channel].valueOf(row.settings[at]);
        }
        const std::size_t parts = p.parts(lamp);
        const double* is = row.drives.data() + p.first[lamp];
        double* was = last_.drives.data() + p.first[lamp];
        if (set_[lamp] && row.intensity[lamp] == last_.intensity[lamp] &&
            std::equal(is, is + parts, was))
            continue;
        any = true;
        light::Drives drives(parts);
        std::copy_n(is, parts, drives.begin());
        const auto now = mix::wantedAtOnce(*mixer, drives, row.intensity[lamp]);
        const auto& channels = mixer->mode().channels;
        double* before = wanted_.data() + wanted_first_[lamp];
        for (std::size_t i = 0; i < channels.size(); ++i) {
            const light::Channel& c = channels[i];
            const bool dims = c.role == light::Role::Dimmer;
            if (!dims && c.role != light::Role::Part)
                continue;
            const double to = dims ? now.dimmer : now.parts[c.part];
            std::uint32_t& value = values_[lamp][i];
            if (set_[lamp] && to == before[i])
                continue;
            const std::uint32_t nearest = compiled_->tables[lamp]->value(i, to);
            value = set_[lamp] ? followed(c, nearest, value, before[i], to) : nearest;
            before[i] = to;
        }
        set_[lamp] = 1;
        last_.intensity[lamp] = row.intensity[lamp];
        std::copy_n(is, parts, was);
    }
    return any;
}

void SentValues::write() {
    for (light::UniverseSlots& universe : frame_.universes)
        universe.values.fill(0);
    for (const Slots& at : slots_)
        light::writeSlots(compiled_->mixers[at.lamp]->mode(), values_[at.lamp],
                          std::span(frame_.universes[at.universe].values).subspan(at.first));
}

} // namespace zelo::play
