// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/ripple_parts.h"

#include "files/detail/names.h"
#include "show/limits.h"

#include <set>

namespace zelo::files {

using show::Ripple;

namespace {

constexpr std::pair<show::Pattern, const char*> kPatterns[] = {{show::Pattern::Cycle, "cycle"},
                                                               {show::Pattern::March, "march"},
                                                               {show::Pattern::Pulse, "pulse"}};
constexpr std::pair<show::RippleEnd, const char*> kEnds[] = {
    {show::RippleEnd::Again, "again"},
    {show::RippleEnd::ToAndFro, "to and fro"},
    {show::RippleEnd::Stop, "stop"}};
constexpr std::pair<show::Chance, const char*> kChances[] = {
    {show::Chance::None, "none"},
    {show::Chance::OneAfterAnother, "one after another"},
    {show::Chance::EachItsOwn, "each its own"}};
constexpr std::pair<double Ripple::*, const char*> kTimes[] = {
    {&Ripple::after_s, "after_s"},    {&Ripple::pause_s, "pause_s"}, {&Ripple::every_s, "every_s"},
    {&Ripple::rise_s, "rise_s"},      {&Ripple::stay_s, "stay_s"},   {&Ripple::fall_s, "fall_s"},
    {&Ripple::release_s, "release_s"}};

void readSteps(JsonObject& o, Ripple& ripple, Reading& to) {
    o.each("steps", show::kMostStops, [&](const Json& json, const JsonPath& path) {
        JsonObject s(json, path);
        show::RippleStep step{light::Asked(light::AskedUv{}), {}};
        step.colour = readColour(s, step.uv, to.notes);
        step.time_s = s.number("time_s", step.time_s, 0, show::kLongest_s);
        step.change = s.number("change", step.change, 0, 1);
        if (s.member("intensity"))
            step.intensity = s.number("intensity", 1, 0, 1);
        step.unknown = s.unknown();
        o.take(s.error());
        const auto* palette = to.show.palette(step.colour.palette());
        if (step.colour.palette() && !(palette && palette->colour)) {
            to.notes.push_back(say(
                ZELO_TEXT("core", "{}: follows palette {}, which is not there: {}"), path.text(),
                step.colour.palette().value, say(ZELO_TEXT("core", "it stays as it was"))));
            step.colour = light::Asked(light::AskedUv{step.uv.u, step.uv.v});
        }
        ripple.steps.push_back(std::move(step));
    });
}

} // namespace

void readRipples(JsonObject& top, Reading& to) {
    std::vector<Table<show::RippleId, Ripple>::Change> ripples;
    std::set<show::RippleId> ids;
    std::set<std::string> names;
    top.each("ripples", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        Ripple r;
        readHead(o, r);
        if (!ids.insert(r.id).second || !r.id || r.name.empty() || !names.insert(r.name).second)
            o.complain("",
                       say(ZELO_TEXT("core", "a ripple needs an id and a name that no other has")));
        r.pattern = readNamed(o, "pattern", kPatterns);
        readSteps(o, r, to);
        for (const auto& [member, its] : kTimes)
            r.*member = o.number(its, r.*member, 0, show::kLongest_s);
        if (o.member("turns"))
            r.turns = o.number("turns", 1, -show::kMostTurns, show::kMostTurns);
        r.band = o.integer("band", 0, 0, static_cast<int>(show::kMostFixtures));
        r.over_below = o.flag("over_below");
        r.end = readNamed(o, "at_end", kEnds);
        r.lets_go = o.flag("lets_go");
        r.chance = readNamed(o, "chance", kChances);
        r.seed = static_cast<std::uint32_t>(o.integer("seed", 1, 0, 1 << 30));
        r.way = readWayMember(o, show::kFarthestVia);
        readLaid(o, r.arrangement, r.along);
        r.intent = readIntent(o);
        r.give_up = o.number("give_up", r.give_up, 0, 1);
        r.as_bright = o.flag("as_bright");
        std::set<show::FixtureId> once;
        o.each("fixtures", show::kMostFixtures, [&](const Json& j, const JsonPath& at) {
            const show::FixtureId id{
                j.is_number_integer() && j > 0 && j <= show::kLastId ? j.get<int>() : 0};
            if (to.show.fixture(id) && once.insert(id).second)
                r.lamps.push_back(id);
            else
                to.notes.push_back(
                    say(ZELO_TEXT("core", "{}: {}: no fixture with this id: left out"), at.text(),
                        jsonText(j).substr(0, 40)));
        });
        if (const auto ok = show::checkRipple(r); !ok && !o.error())
            o.complain("", ok.error().what);
        r.unknown = o.unknown();
        to.show.last_ripple_id = std::max(to.show.last_ripple_id, r.id.value);
        const auto id = r.id;
        ripples.emplace_back(id, std::make_shared<const Ripple>(std::move(r)));
        top.take(o.error());
    });
    to.show.ripples = to.show.ripples.changed(std::move(ripples));
}

Json rippleJson(const Ripple& r) {
    const Ripple usual;
    Json j = headJson(r);
    writeNamed(j, "pattern", r.pattern, kPatterns);
    j["steps"] = Json::array();
    for (const auto& step : r.steps) {
        Json s;
        writeColour(s, step.colour, step.uv);
        s["time_s"] = step.time_s;
        s["change"] = step.change;
        if (step.intensity)
            s["intensity"] = *step.intensity;
        writeUnknown(s, step.unknown);
        j["steps"].push_back(std::move(s));
    }
    for (const auto& [member, its] : kTimes)
        if (r.*member != usual.*member)
            j[its] = r.*member;
    if (r.turns)
        j["turns"] = *r.turns;
    if (r.band > 0)
        j["band"] = r.band;
    if (r.over_below)
        j["over_below"] = true;
    writeNamed(j, "at_end", r.end, kEnds);
    if (r.lets_go)
        j["lets_go"] = true;
    writeNamed(j, "chance", r.chance, kChances);
    if (r.seed != usual.seed)
        j["seed"] = r.seed;
    if (r.way)
        j["way"] = wayJson(*r.way);
    writeLaid(j, r.arrangement, r.along);
    if (r.intent != usual.intent)
        j["intent"] = mix::nameOf(r.intent);
    if (r.give_up != usual.give_up)
        j["give_up"] = r.give_up;
    if (r.as_bright)
        j["as_bright"] = true;
    j["fixtures"] = Json::array();
    for (const auto id : r.lamps)
        j["fixtures"].push_back(id.value);
    writeUnknown(j, r.unknown);
    return j;
}

} // namespace zelo::files
