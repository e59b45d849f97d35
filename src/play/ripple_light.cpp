// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/ripple_light.h"

#include "light/drives.h"

namespace zelo::play {

void rippleOver(const PlayedRipple& ripple, std::size_t place, const Beat& beat, double weight,
                std::span<double> drives) {
    if (!(weight > 0) || (beat.from == kBelow && beat.to == kBelow))
        return;
    const PlayedRipple::Table& table = ripple.tables[ripple.table[place]];
    const std::size_t steps = table.steps.size();
    const auto row = [&](int step) {
        return step == kBelow ? drives.data() : table.steps[static_cast<std::size_t>(step)].data();
    };
    const auto wayOf = [&](int a, int b) -> const Planned* {
        if (a == kBelow || b == kBelow || table.ways.empty())
            return nullptr;
        return table.ways[static_cast<std::size_t>(a) * steps + static_cast<std::size_t>(b)].get();
    };
    std::array<double, light::kMostParts> shown;
    const double* from = row(beat.from);
    const double* end = row(beat.to);
    if (const Planned* way = beat.share > 0 ? wayOf(beat.from, beat.to) : nullptr)
        way->at(beat.share, shown.data());
    else if (const Planned* back = beat.share > 0 ? wayOf(beat.to, beat.from) : nullptr)
        back->at(1 - beat.share, shown.data());
    else
        for (std::size_t e = 0; e < drives.size(); ++e)
            shown[e] = from[e] + beat.share * (end[e] - from[e]);
    for (std::size_t e = 0; e < drives.size(); ++e)
        drives[e] += weight * (shown[e] - drives[e]);
}

BeatLevels levelsOf(const PlayedRipple& ripple, const Beat& beat, double below) {
    const auto of = [&](int step) {
        return step == kBelow ? below
                              : ripple.intensity[static_cast<std::size_t>(step)].value_or(below);
    };
    return {of(beat.from), of(beat.to)};
}

} // namespace zelo::play
