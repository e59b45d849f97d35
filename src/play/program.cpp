// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/program.h"

#include <algorithm>
#include <map>

namespace zelo::play {

void complete(Program& program) {
    for (PlayedList& list : program.lists) {
        std::stable_sort(list.cues.begin(), list.cues.end(),
                         [](const auto& a, const auto& b) { return a.number < b.number; });
        std::map<std::uint32_t, Said> known;
        for (PlayedCue& cue : list.cues) {
            for (const Said& said : cue.says) {
                Said& all = known.try_emplace(said.lamp, Said{said.lamp, {}, {}}).first->second;
                if (said.intensity)
                    all.intensity = said.intensity;
                if (said.colour)
                    all.colour = said.colour;
            }
            cue.stands_for.clear();
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
