// SPDX-License-Identifier: GPL-3.0-or-later
// Which place of a gradient each lamp shows: by the order of the lineup, or by where lamps hang.
#pragma once

#include "base/result.h"

#include <cstdint>
#include <string_view>
#include <vector>

namespace zelo::route {

inline constexpr int kMostLaid = 100'000; // lamps

// In which order the places are walked through.
enum class Order {
    Forward,
    Reverse,
    FromMiddle, // the middle lamp first, then its neighbours by turns: each has a place of its own
    ToMiddle,   // the ends first
    ToAndFro,   // there and back, `passes` times in all
    Shuffled    // by `seed`
};

// All at once: lamps go together in blocks, the gradient is repeated over them, each repeat may be
// mirrored about its middle, what is left is walked through in an order, and all of it is turned
// along the lamps.
struct Arrangement {
    Order order = Order::Forward;
    int passes = 2;
    std::uint32_t seed = 1;
    bool mirrored = false;
    int block = 1;     // lamps that share a place
    int repeats = 1;   // each is the whole gradient
    double offset = 0; // share of the lamps
    friend bool operator==(const Arrangement&, const Arrangement&) = default;
};

// "forward", "reverse", "from-middle", "to-middle", "to-and-fro[:PASSES]", "shuffled[:SEED]", and
// "mirrored", "blocks:N", "repeated:N", several with commas between; then an optional "+OFFSET"
// (0..1). Numbers 1 to kMostLaid.
Result<Arrangement> parseArrangement(std::string_view text);

// For `lamps` lamps (0..kMostLaid) in their order: the place 0..1 of each. Lamps that share a place
// share its colour. One lamp, or one block, is at 0.
std::vector<double> arranged(int lamps, const Arrangement& arrangement);

struct Place { // on the plan, in metres
    double x_m = 0, y_m = 0;
};
// By place instead of order: how far each lies along a line in this direction (0 from left to
// right, 90 from below upwards), from the first, 0, to the last, 1. All 0 when none is farther.
std::vector<double> alongLine(const std::vector<Place>& places, double direction_deg);
std::vector<double> awayFrom(const std::vector<Place>& places, const Place& centre);
// Those, arranged: blocks are stretches of the line of 1/N, a shuffle exchanges places.
std::vector<double> arranged(const std::vector<double>& along, const Arrangement& arrangement);

} // namespace zelo::route
