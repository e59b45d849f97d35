// SPDX-License-Identifier: GPL-3.0-or-later
// What a ripple makes of one of its lamps at a moment. No allocation.
#pragma once

#include "play/program.h"

namespace zelo::play {

// Of the lamp at this place of the ripple's lamps, at the ripple's own time.
inline Beat beatOf(const PlayedRipple& ripple, std::size_t place, double t_s) {
    return beatAt(ripple.times, t_s, ripple.delay_s[place]);
}

// `drives`: the lamp's colour below, which becomes the ripple's as far as its weight goes, 0..1.
void rippleOver(const PlayedRipple& ripple, std::size_t place, const Beat& beat, double weight,
                std::span<double> drives);

// The intensities of the step it comes from and goes to; `below` where they give none.
struct BeatLevels {
    double from = 0, to = 0;
};
BeatLevels levelsOf(const PlayedRipple& ripple, const Beat& beat, double below);

} // namespace zelo::play
