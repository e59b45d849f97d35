// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/gradient_parts.h"

#include "files/detail/colour_parts.h"
#include "files/detail/names.h"
#include "files/detail/show_parts.h"
#include "show/limits.h"

#include <algorithm>
#include <set>

namespace zelo::files {

using show::Gradient;

namespace {

constexpr std::pair<route::Order, const char*> kOrders[] = {
    {route::Order::Forward, "forward"},        {route::Order::Reverse, "reverse"},
    {route::Order::FromMiddle, "from-middle"}, {route::Order::ToMiddle, "to-middle"},
    {route::Order::ToAndFro, "to-and-fro"},    {route::Order::Shuffled, "shuffled"}};
constexpr std::pair<route::Side, const char*> kSides[] = {{route::Side::Short, "short"},
                                                          {route::Side::Long, "long"},
                                                          {route::Side::Ccw, "ccw"},
                                                          {route::Side::Cw, "cw"}};
constexpr std::pair<route::Even, const char*> kEvens[] = {{route::Even::ToTheEye, "eye"},
                                                          {route::Even::InPlace, "place"}};
constexpr std::pair<route::Choose, const char*> kChooses[] = {{route::Choose::Together, "together"},
                                                              {route::Choose::EachAlone, "alone"}};

std::optional<double> readAt(JsonObject& o) {
    return o.member("at") ? std::optional(o.number("at", 0, 0, 1)) : std::nullopt;
}

// The way that leads on from a stop.
route::StopWay readWay(JsonObject& o, double farthest) {
    route::StopWay way;
    const std::string kind = o.text("kind", route::nameOf(way.kind));
    if (const auto named = route::kindNamed(kind))
        way.kind = *named;
    else
        o.complain("kind", say(ZELO_TEXT("core", "'{}': expected one of {}"), kind,
                               "levels, straight, around, dark, jump"));
    way.floor = o.number("floor", way.floor, 0, 1);
    way.side = readNamed(o, "side", kSides);
    way.jump_at = o.number("jump_at", way.jump_at, 0, 1);
    way.dark_share = o.number("dark_share", way.dark_share, 0, 1);
    way.eased = o.flag("eased");
    way.common = o.flag("common");
    o.each("via", show::kMostVias, [&](const Json& j, const JsonPath& at) {
        if (const auto uv = uvOf(j, farthest))
            way.via.push_back(*uv);
        else
            o.take(Error{
                ErrorCode::BadValue,
                say(ZELO_TEXT("core", "expected two numbers within -{}..{}"), farthest, farthest),
                {at.text()}});
    });
    if (const Json* json = o.member("keep_out")) {
        JsonObject sector(*json, o.at("keep_out"));
        way.keep_out = {sector.number("from", 0, -100, 100), sector.number("to", 0, -100, 100)};
        o.keepUnknown("keep_out", sector);
        o.take(sector.error());
    }
    return way;
}

} // namespace

void readLaid(JsonObject& o, route::Arrangement& arrangement,
              std::optional<show::AlongPlan>& onto) {
    if (const Json* json = o.member("laid")) {
        JsonObject a(*json, o.at("laid"));
        arrangement.order = readNamed(a, "order", kOrders);
        arrangement.passes = a.integer("passes", 2, 1, route::kMostLaid);
        arrangement.seed = static_cast<std::uint32_t>(a.integer("seed", 1, 0, 1 << 30));
        arrangement.mirrored = a.flag("mirrored");
        arrangement.block = a.integer("block", 1, 1, route::kMostLaid);
        arrangement.repeats = a.integer("repeats", 1, 1, route::kMostLaid);
        arrangement.offset = a.number("offset", 0, 0, 1);
        o.keepUnknown("laid", a);
        o.take(a.error());
    }
    if (const Json* json = o.member("along")) {
        JsonObject a(*json, o.at("along"));
        show::AlongPlan along;
        along.from_point = a.member("x_m") || a.member("y_m");
        constexpr double far = show::kFarthest_m;
        along.x_m = a.number("x_m", 0, -far, far);
        along.y_m = a.number("y_m", 0, -far, far);
        along.direction_deg =
            a.number("direction_deg", 0, -show::kMostTurn_deg, show::kMostTurn_deg);
        onto = along;
        o.keepUnknown("along", a);
        o.take(a.error());
    }
}

std::optional<route::StopWay> readWayMember(JsonObject& o, double farthest) {
    const Json* json = o.member("way");
    if (!json)
        return std::nullopt;
    JsonObject w(*json, o.at("way"));
    const route::StopWay way = readWay(w, farthest);
    o.keepUnknown("way", w);
    o.take(w.error());
    return way;
}

Json wayJson(const route::StopWay& way) {
    const route::StopWay usual;
    Json j{{"kind", route::nameOf(way.kind)}};
    if (way.floor != usual.floor)
        j["floor"] = way.floor;
    writeNamed(j, "side", way.side, kSides);
    if (way.jump_at != usual.jump_at)
        j["jump_at"] = way.jump_at;
    if (way.dark_share != usual.dark_share)
        j["dark_share"] = way.dark_share;
    if (way.eased)
        j["eased"] = true;
    if (way.common)
        j["common"] = true;
    for (const colour::Uv& uv : way.via)
        j["via"].push_back({uv.u, uv.v});
    if (way.keep_out)
        j["keep_out"] = {{"from", way.keep_out->from}, {"to", way.keep_out->to}};
    return j;
}

namespace {

void readStops(JsonObject& o, Gradient& g, std::vector<Sentence>& notes) {
    o.each("stops", show::kMostStops, [&](const Json& json, const JsonPath& path) {
        JsonObject s(json, path);
        show::GradientStop stop{light::Asked(light::AskedUv{}), {}, {}, {}};
        stop.colour = readColour(s, stop.uv, notes);
        stop.at = readAt(s);
        if (const auto way = readWayMember(s)) {
            g.ways.resize(g.stops.size());
            g.ways.push_back(*way);
        }
        stop.unknown = s.unknown();
        g.stops.push_back(std::move(stop));
        o.take(s.error());
    });
    g.ways.resize(g.stops.empty() ? 0 : g.stops.size() - 1);
    o.each("intensities", show::kMostStops, [&](const Json& json, const JsonPath& path) {
        JsonObject s(json, path);
        show::IntensityStop stop;
        stop.intensity = s.number("intensity", 1, 0, 1);
        stop.at = readAt(s);
        stop.unknown = s.unknown();
        g.intensities.push_back(std::move(stop));
        o.take(s.error());
    });
}

Gradient readGradient(JsonObject& o, std::vector<Sentence>& notes) {
    Gradient g;
    readStops(o, g, notes);
    readLaid(o, g.arrangement, g.along);
    g.even = readNamed(o, "even", kEvens);
    const std::string bright = o.text("bright", show::nameOf(g.bright));
    if (const auto named = show::brightNamed(bright))
        g.bright = *named;
    else
        o.complain("bright", say(ZELO_TEXT("core", "'{}': expected one of {}"), bright,
                                 "untouched, spread, alike"));
    g.common_reach = !o.flag("each_its_own_reach");
    g.choose = readNamed(o, "mixes", kChooses);
    readMixing(o, g);
    if (const auto ok = show::checkGradient(g); !ok && !o.error())
        o.complain("", ok.error().what);
    g.unknown = o.unknown();
    return g;
}

std::vector<show::FixtureId> readLamps(JsonObject& o) {
    std::vector<show::FixtureId> lamps;
    std::set<show::FixtureId> once;
    o.each("fixtures", show::kMostFixtures, [&](const Json& j, const JsonPath& at) {
        const bool sound = j.is_number_integer() && j > 0 && j <= show::kLastId;
        if (!sound || !once.insert({j.get<int>()}).second)
            return o.take(Error{ErrorCode::BadValue,
                                say(ZELO_TEXT("core", "expected the id of a fixture, each once")),
                                {at.text()}});
        lamps.push_back({j.get<int>()});
    });
    return lamps;
}

} // namespace

std::shared_ptr<const Gradient> readGradientMember(JsonObject& o, std::vector<Sentence>& notes) {
    const Json* json = o.member("gradient");
    if (!json)
        return nullptr;
    JsonObject g(*json, o.at("gradient"));
    auto gradient = readGradient(g, notes);
    o.take(g.error());
    return std::make_shared<const Gradient>(std::move(gradient));
}

void readLayings(JsonObject& top, Reading& to) {
    top.each("layings", show::kMostLayings, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::Laying laying;
        laying.palette = {o.integer("palette", 0, 0, show::kLastId)};
        laying.own = readGradientMember(o, to.notes);
        laying.lamps = readLamps(o);
        laying.unknown = o.unknown();
        top.take(o.error());
        const show::Palette* kept = to.show.palette(laying.palette);
        const bool there = kept && kept->gradient;
        if (!there && laying.palette)
            to.notes.push_back(
                say(ZELO_TEXT("core", "{}: follows gradient {}, which is not there: {}"),
                    path.text(), laying.palette.value,
                    laying.own ? say(ZELO_TEXT("core", "it stays as it was"))
                               : say(ZELO_TEXT("core", "left out"))));
        if (!there)
            laying.palette = {};
        to.layings.push_back(there || laying.own
                                 ? std::make_shared<const show::Laying>(std::move(laying))
                                 : nullptr);
    });
}

void writeLaid(Json& j, const route::Arrangement& a, const std::optional<show::AlongPlan>& along) {
    const route::Arrangement usual;
    Json laid = Json::object();
    writeNamed(laid, "order", a.order, kOrders);
    if (a.passes != usual.passes)
        laid["passes"] = a.passes;
    if (a.seed != usual.seed)
        laid["seed"] = a.seed;
    if (a.mirrored)
        laid["mirrored"] = true;
    if (a.block != usual.block)
        laid["block"] = a.block;
    if (a.repeats != usual.repeats)
        laid["repeats"] = a.repeats;
    if (a.offset != usual.offset)
        laid["offset"] = a.offset;
    if (!laid.empty())
        j["laid"] = laid;
    if (along && along->from_point)
        j["along"] = {{"x_m", along->x_m}, {"y_m", along->y_m}};
    else if (along)
        j["along"] = {{"direction_deg", along->direction_deg}};
}

Json gradientJson(const Gradient& g) {
    Json j;
    j["stops"] = Json::array();
    for (std::size_t i = 0; i < g.stops.size(); ++i) {
        const show::GradientStop& stop = g.stops[i];
        Json s;
        writeColour(s, stop.colour, stop.uv);
        if (stop.at)
            s["at"] = *stop.at;
        if (i < g.ways.size())
            s["way"] = wayJson(g.ways[i]);
        writeUnknown(s, stop.unknown);
        j["stops"].push_back(std::move(s));
    }
    writeNamed(j, "even", g.even, kEvens);
    if (g.bright != show::Bright::Untouched)
        j["bright"] = show::nameOf(g.bright);
    for (const show::IntensityStop& stop : g.intensities) {
        Json s{{"intensity", stop.intensity}};
        if (stop.at)
            s["at"] = *stop.at;
        writeUnknown(s, stop.unknown);
        j["intensities"].push_back(std::move(s));
    }
    writeLaid(j, g.arrangement, g.along);
    if (!g.common_reach)
        j["each_its_own_reach"] = true;
    writeNamed(j, "mixes", g.choose, kChooses);
    writeMixing(j, g);
    writeUnknown(j, g.unknown);
    return j;
}

std::size_t LayingTable::placeOf(const show::LayingPtr& laying) {
    const auto [known, fresh] = by_pointer_.try_emplace(laying.get(), all_.size());
    if (!fresh)
        return known->second;
    Json j;
    if (laying->palette)
        j["palette"] = laying->palette.value;
    if (laying->own)
        j["gradient"] = gradientJson(*laying->own);
    j["fixtures"] = Json::array();
    for (const show::FixtureId id : laying->lamps)
        j["fixtures"].push_back(id.value);
    writeUnknown(j, laying->unknown);
    auto text = jsonText(j);
    const auto [same, is_new] = by_text_.try_emplace(text, all_.size());
    if (is_new)
        all_.push_back(std::move(text));
    return known->second = same->second;
}

} // namespace zelo::files
