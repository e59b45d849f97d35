// SPDX-License-Identifier: GPL-3.0-or-later
// Colours spread over places 0..1: stops, a way between each pair of them, in steps that are even
// to the eye or to the place.
#pragma once

#include "colour/polygon.h"
#include "route/way.h"

#include <functional>
#include <optional>
#include <vector>

namespace zelo::route {

struct Stop {
    colour::Uv uv;
    std::optional<double> position; // 0..1, when placed by hand
};

// From one stop to the next.
struct StopWay {
    Kind kind = Kind::Straight;
    double floor = 0.8; // of Around
    Side side = Side::Short;
    std::vector<colour::Uv> via = {};    // of Straight and Around
    std::optional<Sector> keep_out = {}; // of Around
    double jump_at = 0.5; // of Jump and Dark: where the colour changes, share of the stretch
    // Of fades alone:
    double dark_share = 0.3; // of the time with no light, of Dark
    bool eased = false;      // slower at both ends, instead of evenly to the eye
    bool common = false;     // in what all lamps that fade together reach, instead of each its own
    friend bool operator==(const StopWay&, const StopWay&) = default;
};

// A way that fits itself to other ends: its points stand relative to them, x along from the first
// to the last and y aside to the left, in their distance. Without points it is the same.
StopWay loosened(const StopWay& way, const colour::Uv& from, const colour::Uv& to);
StopWay fitted(const StopWay& loose, const colour::Uv& from, const colour::Uv& to);
// Led from its last end to its first; of one whose points are relative, and of one where they
// stand.
StopWay turnedRound(const StopWay& loose);
StopWay ledBack(const StopWay& way);

enum class Even {
    ToTheEye, // equal Oklab chords from lamp to lamp
    InPlace   // evenly along the way
};

struct GradientWish {
    StopWay way = {};               // between all stops
    std::vector<StopWay> ways = {}; // instead, one for each pair; empty: none
    Even even = Even::ToTheEye;
    colour::Uv white; // what colour goes round, and Oklab's white
    // Of Levels: the colours of straight levels from one stop to the next; `pair` from 0. Without
    // it Levels are refused: they are another way on each fixture type.
    std::function<Curve(std::size_t pair)> levels = {};
};

struct Gradient {
    std::vector<colour::Uv> colours; // of each place, as they were given
    std::vector<double> at;          // where each stop stands, 0..1
    // Between neighbouring places, from the first to the last: ΔE in Oklab × 100.
    std::vector<double> steps;
    // Smallest / largest of them; where stops were placed by hand the worst of the parts between
    // them. 1 with one step.
    double evenness = 1;
};

// Stops without a position go evenly between those with one; the first and the last to the ends.
// Places before the first stop and behind the last have their colours. A stop by hand is kept, and
// the steps are even within each part between two of them: even arc length is not enough for the
// eye, a way has corners where the reach has.
// Dark changes the colour as Jump does; lightAt() has its dip.
// BadValue: fewer than two stops, positions that do not grow, places outside 0..1, a white outside
// the reach for Around. Cost: some milliseconds for hundreds of places.
Result<Gradient> spread(const colour::Polygon& reach, const std::vector<Stop>& stops,
                        const std::vector<double>& places, const GradientWish& wish);

// What is left of the light at a place on ways through dark, 0..1: evenly in perceived brightness
// from each stop to nothing. `at`: where the stops stand; `ways`: one for each pair.
double lightAt(const std::vector<double>& at, const std::vector<StopWay>& ways, double place);

// Where stops stand that have no position of their own: evenly between their neighbours, the first
// and the last at the ends. BadValue as spread().
Result<std::vector<double>> standingAt(const std::vector<std::optional<double>>& positions);

} // namespace zelo::route
