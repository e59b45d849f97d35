// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/program.h"

#include <algorithm>
#include <map>

namespace zelo::play {

void Source::add(std::uint32_t lamp, std::optional<double> intensity,
                 std::span<const double> colour, Parts parts) {
    const double* drives = nullptr;
    if (!colour.empty()) {
        if (colours_.empty() || !std::equal(colour.begin(), colour.end(), colours_.back().begin(),
                                            colours_.back().end())) // neighbours mostly share it
            colours_.emplace_back(colour.begin(), colour.end());
        drives = colours_.back().data();
    }
    says_.push_back({lamp, intensity, drives, drives ? parts : kAllParts});
}

const Said* Source::of(std::uint32_t lamp) const {
    const auto it = std::lower_bound(says_.begin(), says_.end(), lamp,
                                     [](const Said& s, std::uint32_t l) { return s.lamp < l; });
    return it != says_.end() && it->lamp == lamp ? &*it : nullptr;
}

const SaidSetting* Source::ofSetting(std::uint32_t setting) const {
    const auto it = std::lower_bound(
        settings_.begin(), settings_.end(), setting,
        [](const SaidSetting& s, std::uint32_t which) { return s.setting < which; });
    return it != settings_.end() && it->setting == setting ? &*it : nullptr;
}

const SaidSetting* PlayedList::settingFor(std::uint32_t setting, int cue) const {
    for (int i = cue; i >= 0; --i)
        if (const auto* said = cues[static_cast<std::size_t>(i)].changes->ofSetting(setting))
            return said;
    return nullptr;
}

const SourcePtr& saysNothing() {
    static const SourcePtr nothing = std::make_shared<const Source>();
    return nothing;
}

bool PlayedRipple::setsIntensity() const {
    return std::any_of(intensity.begin(), intensity.end(),
                       [](const auto& one) { return one.has_value(); });
}

const Stands* PlayedList::standsFor(std::size_t place, int cue) const {
    const auto& all = stands[place];
    const auto after = std::upper_bound(all.begin(), all.end(), cue,
                                        [](int c, const Stands& s) { return c < s.from_cue; });
    return after == all.begin() ? nullptr : &*std::prev(after);
}

namespace {

// Single parts over what stood there before, in a row of its own.
void layOver(Stands& all, const Said& said, std::size_t parts,
             std::deque<std::vector<double>>& rows) {
    if (!said.colour)
        return;
    if (said.parts == kAllParts || !all.colour) {
        all.colour = said.colour;
        all.parts = said.parts;
        return;
    }
    auto& row = rows.emplace_back(all.colour, all.colour + parts);
    for (std::size_t e = 0; e < parts; ++e)
        if (said.parts >> e & 1)
            row[e] = said.colour[e];
    all.colour = row.data();
    all.parts |= said.parts;
}

} // namespace

void complete(Program& program) {
    const auto rows = std::make_shared<std::deque<std::vector<double>>>();
    program.stood_for = rows;
    for (PlayedList& list : program.lists) {
        std::stable_sort(list.cues.begin(), list.cues.end(),
                         [](const auto& a, const auto& b) { return a.number < b.number; });
        std::map<std::uint32_t, std::vector<Stands>> known;
        for (std::size_t i = 0; i < list.cues.size(); ++i)
            for (const Said& said : list.cues[i].changes->says()) {
                auto& of_lamp = known[said.lamp];
                Stands all = of_lamp.empty() ? Stands{} : of_lamp.back();
                all.lamp = said.lamp;
                all.from_cue = static_cast<int>(i);
                if (said.intensity) {
                    all.intensity = said.intensity;
                    all.intensity_cue = static_cast<int>(i);
                }
                if (said.colour) {
                    layOver(all, said, program.parts(said.lamp), *rows);
                    all.colour_cue = static_cast<int>(i);
                }
                of_lamp.push_back(all);
            }
        list.settings.clear();
        for (const PlayedCue& cue : list.cues)
            for (const SaidSetting& said : cue.changes->settings())
                list.settings.push_back(said.setting);
        std::sort(list.settings.begin(), list.settings.end());
        list.settings.erase(std::unique(list.settings.begin(), list.settings.end()),
                            list.settings.end());
        list.lamps.clear();
        list.stands.clear();
        for (auto& [lamp, stands] : known) {
            list.lamps.push_back(lamp);
            list.stands.push_back(std::move(stands));
        }
    }
    program.exempt.resize(program.lamps, 0);
}

} // namespace zelo::play
