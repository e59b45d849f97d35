// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/route_parts.h"

#include "show/limits.h"

#include <algorithm>
#include <set>

namespace zelo::files {

void readRoutes(JsonObject& top, Reading& to) {
    std::vector<Table<show::RouteId, show::Route>::Change> routes;
    std::set<show::RouteId> ids;
    std::set<std::string> names;
    top.each("routes", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::Route route;
        readHead(o, route);
        if (!ids.insert(route.id).second || !route.id || route.name.empty() ||
            !names.insert(route.name).second)
            o.complain("",
                       say(ZELO_TEXT("core", "a route needs an id and a name that no other has")));
        route.way = readWayMember(o, show::kFarthestVia).value_or(route::StopWay{});
        route.unknown = o.unknown();
        to.show.last_route_id = std::max(to.show.last_route_id, route.id.value);
        const auto id = route.id;
        routes.emplace_back(id, std::make_shared<const show::Route>(std::move(route)));
        top.take(o.error());
    });
    to.show.routes = to.show.routes.changed(std::move(routes));
    std::set<std::pair<show::PaletteId, show::PaletteId>> pairs;
    top.each("routes_between", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::RouteBetween b{{o.integer("from", 0, 1, show::kLastId)},
                             {o.integer("to", 0, 1, show::kLastId)},
                             {o.integer("route", 0, 1, show::kLastId)}};
        if (b.from == b.to || !pairs.insert(std::minmax(b.from, b.to)).second)
            o.complain("", say(ZELO_TEXT("core", "a pair of palettes has one route")));
        b.unknown = o.unknown();
        top.take(o.error());
        to.show.routes_between.push_back(std::move(b));
    });
}

namespace {

show::FadeEnd readEnd(JsonObject& o, const char* name, Reading& to) {
    show::FadeEnd end;
    const Json* json = o.member(name);
    if (!json)
        return end;
    JsonObject e(*json, o.at(name));
    if (const show::PaletteId palette{e.integer("palette", 0, 0, show::kLastId)})
        end.colour = palette;
    else if (auto colour = readColourMember(e, to.notes))
        end.colour = std::move(*colour);
    end.look = {e.integer("look", 0, 0, show::kLastId)};
    end.lamps = readValues(e, "lamps", to);
    end.unknown = e.unknown();
    o.take(e.error());
    return end;
}

std::string endText(const show::FadeEnd& end, Tables& tables) {
    Json j = Json::object();
    if (end.colour) {
        if (const auto* here = end.colour->here())
            j["colour"] = colourJson(*here);
        else
            j["palette"] = end.colour->palette().value;
    }
    if (end.look.value != 0)
        j["look"] = end.look.value;
    writeUnknown(j, end.unknown);
    if (end.lamps.empty())
        return jsonText(j);
    std::string text = jsonText(j);
    text.back() = j.empty() ? ' ' : ',';
    return text + fmt::format("\"lamps\":[{}]}}", fmt::join(valuesText(end.lamps, tables), ","));
}

} // namespace

void readCrossfade(JsonObject& top, Reading& to) {
    const Json* json = top.member("crossfade");
    if (!json)
        return;
    JsonObject o(*json, top.at("crossfade"));
    show::Crossfade fade;
    fade.from = readEnd(o, "from", to);
    fade.to = readEnd(o, "to", to);
    fade.way = readWayMember(o);
    fade.time_s = o.number("time_s", fade.time_s, 0, show::kLongest_s);
    fade.tolerance_uv = o.number("tolerance_uv", fade.tolerance_uv, 1e-6, 1);
    fade.unknown = o.unknown();
    top.take(o.error());
    to.show.crossfade = std::make_shared<const show::Crossfade>(std::move(fade));
}

Json routeJson(const show::Route& route) {
    Json j = headJson(route);
    j["way"] = wayJson(route.way);
    writeUnknown(j, route.unknown);
    return j;
}

Json routeBetweenJson(const show::RouteBetween& b) {
    Json j{{"from", b.from.value}, {"to", b.to.value}, {"route", b.route.value}};
    writeUnknown(j, b.unknown);
    return j;
}

std::string crossfadeText(const show::Crossfade& fade, Tables& tables) {
    Json j{{"time_s", fade.time_s}, {"tolerance_uv", fade.tolerance_uv}};
    if (fade.way)
        j["way"] = wayJson(*fade.way);
    writeUnknown(j, fade.unknown);
    std::string text = jsonText(j);
    text.back() = ',';
    return text + fmt::format("\"from\":{},\"to\":{}}}", endText(fade.from, tables),
                              endText(fade.to, tables));
}

} // namespace zelo::files
