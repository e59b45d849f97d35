// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/routes.h"

#include "show/detail/changed.h"
#include "show/detail/kept_checks.h"

namespace zelo::show {

namespace {

Done checkEnd(const Show& show, const FadeEnd& end) {
    if (end.look.value != 0 && !show.lookOf(end.look))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no look with id {}"), end.look.value);
    const PaletteId id = end.colour ? end.colour->palette() : PaletteId{};
    const Palette* palette = show.palette(id);
    if (id && !(palette && palette->colour))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no palette of a colour with id {}"),
                    id.value);
    return {};
}

} // namespace

Result<ShowPtr> withCrossfade(const ShowPtr& show, std::shared_ptr<const Crossfade> crossfade) {
    if (crossfade) {
        for (const FadeEnd* end : {&crossfade->from, &crossfade->to})
            if (auto ok = checkEnd(*show, *end); !ok)
                return passOn(ok.error());
        if (crossfade->way)
            if (auto ok = checkWay(*crossfade->way, 1); !ok)
                return passOn(ok.error());
        if (!(crossfade->time_s >= 0 && crossfade->time_s <= kLongest_s))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "a time of {} s: must be within 0..{}"),
                        crossfade->time_s, kLongest_s);
        if (!(crossfade->tolerance_uv > 0 && crossfade->tolerance_uv <= 1))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "a tolerance of {}: must be above 0, up to 1"),
                        crossfade->tolerance_uv);
    }
    Show next = *show;
    next.crossfade = std::move(crossfade);
    return nextShow(std::move(next));
}

Result<ShowPtr> withWhite(const ShowPtr& show, double cct_k) {
    if (!(cct_k >= kLeastWhite_k && cct_k <= kMostWhite_k))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "a white of {} K: must be within {}..{}"), cct_k,
                    kLeastWhite_k, kMostWhite_k);
    Show next = *show;
    next.white_cct_k = cct_k;
    return nextShow(std::move(next));
}

Result<ShowPtr> withDarkFirst(const ShowPtr& show, bool on) {
    Show next = *show;
    next.dark_first = on;
    return nextShow(std::move(next));
}

FadeEnd endOf(const Lineup& lineup, const std::function<Shown(FixtureId)>& shown) {
    FadeEnd end;
    std::vector<Values::Change> values;
    for (const FixtureId id : lineup) {
        const Shown now = shown(id);
        Value value;
        value.intensity = Source<double>(now.trimmed().value_or(0)); // dark is something, too
        if (const auto colour = now.nudged())
            value.colour = Source<ColourWish>(*colour);
        value.parts = now.parts;
        values.emplace_back(id, std::make_shared<const Value>(std::move(value)));
    }
    end.lamps = Values::of(std::move(values));
    return end;
}

Result<ShowPtr> keepRoute(const ShowPtr& show, std::string name, route::StopWay way) {
    Route route;
    route.name = toUtf8(std::move(name));
    if (auto ok = checkName(show->routes, say(ZELO_TEXT("core", "route")), route.name, RouteId{});
        !ok)
        return passOn(ok.error());
    if (auto ok = checkWay(way, 1, kFarthestVia); !ok)
        return passOn(ok.error());
    Show next = *show;
    route.id = {++next.last_route_id};
    route.way = std::move(way);
    const auto id = route.id;
    next.routes = next.routes.with(id, std::move(route));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeRoute(const ShowPtr& show, Route route) {
    const Route* old = show->routes.find(route.id);
    if (!old)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no route with id {}"), route.id.value);
    route.name = toUtf8(std::move(route.name));
    if (auto ok = checkChanged(show->routes, say(ZELO_TEXT("core", "route")), *old, route); !ok)
        return passOn(ok.error());
    if (auto ok = checkWay(route.way, 1, kFarthestVia); !ok)
        return passOn(ok.error());
    Show next = *show;
    const auto id = route.id;
    next.routes = next.routes.with(id, std::move(route));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeRoute(const ShowPtr& show, RouteId id) {
    const Route* route = show->routes.find(id);
    if (!route)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no route with id {}"), id.value);
    if (route->locked)
        return passOn(locked(say(ZELO_TEXT("core", "route")), route->name).error());
    Show next = *show;
    next.cue_lists = changedCues(next.cue_lists, [&](CueListId, const Cue& cue) {
        std::optional<Cue> copy;
        if (cue.route == id) {
            copy = cue;
            copy->route = {};
            copy->way = route->way;
            copy->way->via.clear(); // they stood relative to ends
        }
        return copy;
    });
    std::erase_if(next.routes_between, [&](const RouteBetween& b) { return b.route == id; });
    next.routes = next.routes.without(id);
    return nextShow(std::move(next));
}

namespace {
bool same(const RouteBetween& b, PaletteId from, PaletteId to) {
    return (b.from == from && b.to == to) || (b.from == to && b.to == from);
}
} // namespace

Result<ShowPtr> routeBetween(const ShowPtr& show, PaletteId from, PaletteId to, RouteId route) {
    for (const PaletteId id : {from, to}) {
        const Palette* palette = show->palette(id);
        if (!palette || !palette->colour)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no palette of a colour with id {}"),
                        id.value);
    }
    if (from == to)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "a route leads between two palettes"));
    if (route && !show->routes.find(route))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no route with id {}"), route.value);
    Show next = *show;
    std::erase_if(next.routes_between, [&](const RouteBetween& b) { return same(b, from, to); });
    if (route) {
        if (next.routes_between.size() >= kMostKept)
            return fail(ErrorCode::TooLarge,
                        ZELO_TEXT("core", "a show has {} of each kind at most"), kMostKept);
        next.routes_between.push_back({from, to, route});
    }
    return nextShow(std::move(next));
}

WayHeld wayHeld(const Show& show, const Cue* cue, PaletteId from, PaletteId to) {
    if (cue) {
        if (const Route* route = show.routes.find(cue->route))
            return {route->way, true};
        if (cue->way)
            return {cue->way, false};
    }
    if (from && to)
        for (const RouteBetween& b : show.routes_between)
            if (same(b, from, to))
                if (const Route* route = show.routes.find(b.route))
                    return {b.from == from ? route->way : route::turnedRound(route->way), true};
    return {show.way, false};
}

} // namespace zelo::show
