// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/program.h"

#include <algorithm>
#include <map>

namespace zelo::play {

void Source::add(std::uint32_t lamp, std::optional<double> intensity,
                 std::span<const double> colour) {
    const double* drives = nullptr;
    if (!colour.empty()) {
        if (colours_.empty() || !std::equal(colour.begin(), colour.end(), colours_.back().begin(),
                                            colours_.back().end())) // neighbours mostly share it
            colours_.emplace_back(colour.begin(), colour.end());
        drives = colours_.back().data();
    }
    says_.push_back({lamp, intensity, drives});
}

const Said* Source::of(std::uint32_t lamp) const {
    const auto it = std::lower_bound(says_.begin(), says_.end(), lamp,
                                     [](const Said& s, std::uint32_t l) { return s.lamp < l; });
    return it != says_.end() && it->lamp == lamp ? &*it : nullptr;
}

const SourcePtr& saysNothing() {
    static const SourcePtr nothing = std::make_shared<const Source>();
    return nothing;
}

void complete(Program& program) {
    for (PlayedList& list : program.lists) {
        std::stable_sort(list.cues.begin(), list.cues.end(),
                         [](const auto& a, const auto& b) { return a.number < b.number; });
        std::map<std::uint32_t, Stands> known;
        for (std::size_t i = 0; i < list.cues.size(); ++i) {
            PlayedCue& cue = list.cues[i];
            for (const Said& said : cue.changes->says()) {
                Stands& all = known[said.lamp];
                all.lamp = said.lamp;
                if (said.intensity) {
                    all.intensity = said.intensity;
                    all.intensity_cue = static_cast<int>(i);
                }
                if (said.colour) {
                    all.colour = said.colour;
                    all.colour_cue = static_cast<int>(i);
                }
            }
            cue.stands_for.clear();
            cue.stands_for.reserve(known.size());
            for (const auto& [lamp, said] : known)
                cue.stands_for.push_back(said);
        }
        list.lamps.clear();
        for (const auto& [lamp, said] : known)
            list.lamps.push_back(lamp);
    }
    program.exempt.resize(program.lamps, 0);
}

} // namespace zelo::play
