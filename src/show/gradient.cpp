// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/gradient.h"

#include "show/limits.h"

#include <algorithm>
#include <cmath>

namespace zelo::show {

PaletteId keptOf(const Laying& laying) {
    return laying.own ? PaletteId{} : laying.palette;
}

namespace {

constexpr std::pair<Bright, const char*> kBrights[] = {
    {Bright::Untouched, "untouched"}, {Bright::Spread, "spread"}, {Bright::Alike, "alike"}};

bool share(double x) { // NaN is none
    return x >= 0 && x <= 1;
}

bool onTheMap(const colour::Uv& uv) {
    return std::abs(uv.u) <= 1 && std::abs(uv.v) <= 1;
}

} // namespace

Done checkWay(const route::StopWay& way, std::size_t number, double farthest) {
    if (way.via.size() > kMostVias)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "way {}: {} points at most"), number,
                    kMostVias);
    if (!share(way.floor) || !share(way.jump_at) || !share(way.dark_share) ||
        !std::all_of(way.via.begin(), way.via.end(),
                     [&](const colour::Uv& uv) {
                         return std::abs(uv.u) <= farthest && std::abs(uv.v) <= farthest;
                     }) ||
        (way.keep_out &&
         !(std::abs(way.keep_out->from) <= 100 && std::abs(way.keep_out->to) <= 100)))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "way {}: floor, share and points must be within 0..1"),
                    number);
    return {};
}

const char* nameOf(Bright bright) {
    for (const auto& [one, name] : kBrights)
        if (one == bright)
            return name;
    return "untouched";
}

std::optional<Bright> brightNamed(std::string_view name) {
    for (const auto& [one, its] : kBrights)
        if (its == name)
            return one;
    return std::nullopt;
}

Done checkGradient(const Gradient& g) {
    if (g.stops.size() < 2)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} stops: a gradient needs at least two"), g.stops.size());
    if (g.stops.size() > kMostStops || g.intensities.size() > kMostStops)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a gradient has {} stops at most"),
                    kMostStops);
    if (g.ways.size() + 1 != g.stops.size())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} ways between {} stops: must be {}"),
                    g.ways.size(), g.stops.size(), g.stops.size() - 1);
    std::vector<std::optional<double>> at;
    for (const GradientStop& stop : g.stops) {
        at.push_back(stop.at);
        if (!onTheMap(stop.uv))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "stop {}: its u'v' must be within -1..1"), at.size());
    }
    if (const auto ok = route::standingAt(at); !ok)
        return passOn(ok.error());
    for (std::size_t i = 0; i < g.ways.size(); ++i)
        if (auto ok = checkWay(g.ways[i], i + 1); !ok)
            return ok;
    if (g.bright == Bright::Spread && g.intensities.size() < 2)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} stops of intensity: a gradient needs at least two"),
                    g.intensities.size());
    at.clear();
    for (const IntensityStop& stop : g.intensities) {
        at.push_back(stop.at);
        if (!share(stop.intensity))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "intensity {}: must be within 0..1"),
                        stop.intensity);
    }
    if (!at.empty())
        if (const auto ok = route::standingAt(at); !ok)
            return passOn(ok.error(), say(ZELO_TEXT("core", "intensity")));
    const route::Arrangement& a = g.arrangement;
    for (const int n : {a.passes, a.block, a.repeats})
        if (n < 1 || n > route::kMostLaid)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: must be within 1..{}"), n,
                        route::kMostLaid);
    if (!share(a.offset) || !share(g.give_up))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "offset and give-up must be within 0..1"));
    if (g.along &&
        !(std::abs(g.along->direction_deg) <= kMostTurn_deg &&
          std::abs(g.along->x_m) <= kFarthest_m && std::abs(g.along->y_m) <= kFarthest_m))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "the line of a gradient lies beyond the plan"));
    if (g.keep_out.size() > kMostNames || g.pins.size() > kMostNames)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a gradient names {} emitters at most"),
                    kMostNames);
    return {};
}

void removeStop(Gradient& gradient, std::size_t stop) {
    ZELO_ASSERT(gradient.stops.size() > 2 && stop < gradient.stops.size());
    gradient.stops.erase(gradient.stops.begin() + static_cast<std::ptrdiff_t>(stop));
    gradient.ways.erase(gradient.ways.begin() +
                        static_cast<std::ptrdiff_t>(std::min(stop, gradient.ways.size() - 1)));
}

std::size_t addStop(Gradient& gradient, GradientStop stop, const std::vector<double>& at) {
    const double here = stop.at.value_or(0.5);
    std::size_t behind = 0; // the stop it comes before
    while (behind < at.size() && at[behind] < here)
        ++behind;
    const std::size_t split = std::min(behind > 0 ? behind - 1 : 0, gradient.ways.size() - 1);
    const route::StopWay way = gradient.ways[split];
    gradient.stops.insert(gradient.stops.begin() + static_cast<std::ptrdiff_t>(behind),
                          std::move(stop));
    gradient.ways.insert(gradient.ways.begin() + static_cast<std::ptrdiff_t>(split), way);
    // Via points lay on a way that is two now.
    if (behind > 0 && behind < at.size())
        gradient.ways[split].via = gradient.ways[split + 1].via = {};
    return behind;
}

} // namespace zelo::show
