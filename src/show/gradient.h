// SPDX-License-Identifier: GPL-3.0-or-later
// A gradient as a show has it: stops with ways between them, how it is laid over lamps and what
// becomes of their intensity; and a laying, which is a gradient over certain lamps in their order.
#pragma once

#include "light/asked.h"
#include "mix/mix.h"
#include "route/arrangement.h"
#include "route/gradient.h"
#include "route/gradient_mix.h"
#include "show/source.h"

#include <optional>
#include <vector>

namespace zelo::show {

struct GradientStop {
    Source<light::Asked> colour;   // or it follows a palette that has one
    colour::Uv uv;                 // what it was then: taken when the colour is not to be had
    std::optional<double> at = {}; // 0..1 when placed by hand, else evenly between its neighbours
    std::string unknown = {};      // JSON members of the file that we do not use
    friend bool operator==(const GradientStop&, const GradientStop&) = default;
};

struct IntensityStop {
    double intensity = 1;          // 0..1
    std::optional<double> at = {}; // as above
    std::string unknown = {};
    friend bool operator==(const IntensityStop&, const IntensityStop&) = default;
};

// Along which line lamps follow one another, where that is not their order.
struct AlongPlan {
    double direction_deg = 0; // 0 from left to right, 90 upstage
    bool from_point = false;  // instead by the distance from (x, y)
    double x_m = 0, y_m = 0;
    friend bool operator==(const AlongPlan&, const AlongPlan&) = default;
};

enum class Bright { // stored by name
    Untouched,      // intensities are not the gradient's
    Spread,         // it has stops of intensity, evenly in perceived brightness between them
    Alike           // all as bright as the dimmest of them can be
};
const char* nameOf(Bright bright);
std::optional<Bright> brightNamed(std::string_view name);

struct Gradient {
    std::vector<GradientStop> stops;  // two or more
    std::vector<route::StopWay> ways; // one from each stop to the next
    route::Even even = route::Even::ToTheEye;
    Bright bright = Bright::Untouched;
    std::vector<IntensityStop> intensities = {}; // of Spread: two or more
    route::Arrangement arrangement = {};
    std::optional<AlongPlan> along = {}; // by place on the plan; else by order
    bool common_reach = true; // within what all the lamps can show; else each type in its own
    route::Choose choose = route::Choose::Together;
    mix::Intent intent = mix::Intent::Truest;
    double give_up = 0.3;
    std::vector<std::string> keep_out = {};                // names of emitters
    std::vector<std::pair<std::string, double>> pins = {}; // name and drive
    std::string unknown = {};
    bool exact_for_camera = false; // as of a ColourWish

    bool givesIntensity() const { return bright != Bright::Untouched; }
    friend bool operator==(const Gradient&, const Gradient&) = default;
};

// A gradient and the lamps it is laid over. By order lamps that left the rig keep their places:
// those that stay do not change their colours for it. By place only those that hang there count.
struct Laying {
    PaletteId palette;                        // the kept gradient that it is, or was
    std::shared_ptr<const Gradient> own = {}; // never kept, or changed since; null: the kept
    std::vector<FixtureId> lamps;             // in their order, each once
    std::string unknown = {};                 // as above
};

// BadValue: fewer than two stops, positions that do not grow, a way that is none, values out of
// their bounds, more of something than show/limits.h has.
Done checkGradient(const Gradient& gradient);
// BadValue names the way by its number; `farthest`: of its points.
Done checkWay(const route::StopWay& way, std::size_t number, double farthest = 1);

// Takes a stop out; the way that led to it goes with it. Requires one of three or more.
void removeStop(Gradient& gradient, std::size_t stop);
// Puts one in by its position; the way it stands on leads to it and on from it. `at`: where the
// stops stand now. Returns its place among the stops. Requires two stops.
std::size_t addStop(Gradient& gradient, GradientStop stop, const std::vector<double>& at);

} // namespace zelo::show
