// SPDX-License-Identifier: GPL-3.0-or-later
// What a ripple shows over time: lamps down, time across. For looking at, and for handing over.
#pragma once

#include "play/playing.h"

namespace zelo::play {

struct RippleRaster {
    struct Cell {
        colour::Xyz light;  // at full, cd; none where there is no lamp
        colour::Xyz shown;  // the same as the wish's camera shows it
        double level = 1;   // of what the lamp gives then: where steps have intensities
        bool below = false; // nothing of the ripple is there
    };
    std::vector<std::size_t> lamps; // of each row: its place in the ripple's order
    std::size_t columns = 0;
    std::vector<Cell> cells; // row by row
    const Cell& at(std::size_t row, std::size_t column) const {
        return cells[row * columns + column];
    }
};

struct RasterWish {
    double from_s = 0, to_s = 1; // of the middle of the first and of the last column
    std::size_t columns = 100;
    std::size_t rows = 100;             // at most; of more lamps some are shown, evenly
    const colour::Camera* by = nullptr; // whose picture it is; null: the eye's
};

// As it is compiled, in its own time. `as`: the same ripple with another pattern, other times or
// another arrangement, over the same steps. `below`: a row of all drives that lies below; empty:
// home. Empty when the ripple is not in it or has other steps.
RippleRaster rasterOf(const Compiled& compiled, const show::Ripple& as, const RasterWish& wish,
                      std::span<const double> below = {});

// The times of a ripple over its lamps; nothing when it has no steps, or no lamps.
std::optional<RippleDelays> delaysOf(const show::Show& show, const show::Ripple& ripple);

// What is shown, with this ripple at its own time over it, as if it ran alone: for a look ahead.
// The channel values go along.
Moment withRippleAt(const std::shared_ptr<const Compiled>& compiled, Moment moment,
                    show::RippleId ripple, double t_s);

// Lamps that cannot show a step: the nearest colour is more than mix::kReached_uv away.
struct OutOfReach {
    std::size_t step = 0;
    std::vector<show::FixtureId> lamps; // in the ripple's order
    double miss_uv = 0;                 // the worst of them
};
std::vector<OutOfReach> outOfReach(const Compiled& compiled, show::RippleId ripple);

} // namespace zelo::play
