// SPDX-License-Identifier: GPL-3.0-or-later
// A crossfade as it is worked on, and ways that are kept under a name.
#pragma once

#include "base/result.h"
#include "route/gradient.h"
#include "show/value.h"

#include <vector>

namespace zelo::show {

struct RouteId {
    int value = 0; // 0 = none
    explicit operator bool() const { return value != 0; }
    auto operator<=>(const RouteId&) const = default;
};

// A kept way. It fits itself to whatever ends: points on it stand relative to them
// (route::loosened).
struct Route : Head<RouteId> {
    route::StopWay way;
    friend bool operator==(const Route&, const Route&) = default;
};

// Every change from one palette's colour to the other's takes this route; back likewise.
struct RouteBetween {
    PaletteId from, to;
    RouteId route;
    std::string unknown = {};
    friend bool operator==(const RouteBetween&, const RouteBetween&) = default;
};

// What a crossfade leads from, or to. The first that is set counts; nothing: no light.
struct FadeEnd {
    std::optional<Source<ColourWish>> colour = {}; // of every lamp alike, at full
    LookId look = {};                              // what it says of each lamp; others stay
    Values lamps = {};                             // what each lamp showed when it was taken
    std::string unknown = {};
    friend bool operator==(const FadeEnd&, const FadeEnd&) = default;
};

struct Crossfade {
    FadeEnd from, to;
    std::optional<route::StopWay> way = {}; // nothing: as needed
    double time_s = 6;
    double tolerance_uv = 0.006; // of steps for a console
    std::string unknown = {};
    friend bool operator==(const Crossfade&, const Crossfade&) = default;
};

} // namespace zelo::show
