// SPDX-License-Identifier: GPL-3.0-or-later
// Colours spread over lamps: stops on a way, even to the eye, and an arrangement along the lineup.
#pragma once

#include "route/way.h"

#include <cstdint>
#include <string_view>
#include <vector>

namespace zelo::route {

struct Stop {
    colour::Uv uv;
    std::optional<double> position; // 0..1, when placed by hand
};

struct GradientWish {
    Kind way = Kind::Straight; // between stops: Straight or Around
    double floor = 0.8;
    Side side = Side::Short;
    colour::Uv white;
};

// Which place of the gradient each lamp shows.
enum class Arrange { Forward, Reverse, FromMiddle, ToMiddle, Mirrored, Shuffled, Blocks, Repeated };
struct Arrangement {
    Arrange kind = Arrange::Forward;
    int n = 1;              // size of Blocks, times of Repeated
    std::uint32_t seed = 1; // of Shuffled
    double offset = 0;      // turns the whole by this share of the lineup
};
// "forward", "reverse", "from-middle", "to-middle", "mirrored", "shuffled[:SEED]", "blocks:N",
// "repeated:N", each with an optional "+OFFSET" (0..1).
Result<Arrangement> parseArrangement(std::string_view text);
// For `lamps` lamps: the place 0..1 of each. Lamps that share a place share its colour.
std::vector<double> arranged(int lamps, const Arrangement& arrangement);

struct Gradient {
    // As many colours as distinct places, from one end to the other; by number of lamps.
    std::vector<colour::Uv> lamps; // in lineup order
    std::vector<double> positions; // where each lies, 0..1
    double evenness = 1;           // smallest / largest Oklab step between neighbouring places
};

// Without hand-placed stops between the ends, places are at equal Oklab chords (Y = 1): even arc
// length is not enough, a way has corners where the reach has. With them, even within each part.
// BadValue: fewer than two stops, positions that do not grow, a white outside the reach for Around.
Result<Gradient> spread(const std::vector<colour::Uv>& reach, const std::vector<Stop>& stops,
                        int lamps, const GradientWish& wish, const Arrangement& arrangement);

} // namespace zelo::route
