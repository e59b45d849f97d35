// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/cue_parts.h"

#include "files/detail/colour_parts.h"
#include "files/detail/gradient_parts.h"
#include "show/limits.h"

#include <set>

namespace zelo::files {

using show::Cue;
using show::CueNumber;

namespace {

constexpr std::pair<show::FollowWhen, const char*> kFollows[] = {
    {show::FollowWhen::No, "no"},
    {show::FollowWhen::AfterStart, "after start"},
    {show::FollowWhen::WhenDone, "when done"},
    {show::FollowWhen::TimeOfDay, "time of day"}};

constexpr std::pair<show::RippleDoes, const char*> kDoes[] = {{show::RippleDoes::Start, "start"},
                                                              {show::RippleDoes::LetGo, "let go"},
                                                              {show::RippleDoes::Freeze, "freeze"}};

constexpr std::pair<show::AtEnd, const char*> kEnds[] = {{show::AtEnd::Stop, "stop"},
                                                         {show::AtEnd::Again, "again"},
                                                         {show::AtEnd::ToAndFro, "to and fro"}};

constexpr std::pair<show::Family, const char*> kFamilies[] = {
    {show::Family::Warm, "warm"}, {show::Family::Green, "green"}, {show::Family::Blue, "blue"}};

// The member's name among these; the first when it is not there.
template <class All>
auto readNamed(JsonObject& o, const char* member, const All& all) {
    const std::string text = o.text(member, all[0].second);
    std::vector<const char*> names;
    for (const auto& [value, name] : all) {
        if (text == name)
            return value;
        names.push_back(name);
    }
    o.complain(member, say(ZELO_TEXT("core", "'{}': expected one of {}"), text,
                           fmt::format("{}", fmt::join(names, ", "))));
    return all[0].first;
}

std::optional<double> readTime(JsonObject& o, const char* name) {
    return o.member(name) ? std::optional(o.number(name, 0, 0, show::kLongest_s)) : std::nullopt;
}

Cue readCue(JsonObject& o, Reading& to) {
    Cue cue;
    const Json* number = o.member("number"); // as text: 7.1 is no sum of powers of two
    const auto read = number && number->is_string()
                          ? show::parseCueNumber(number->get_ref<const std::string&>())
                          : Result<CueNumber>(fail(
                                ErrorCode::BadValue,
                                ZELO_TEXT("core", "expected a number as text, such as \"7.5\"")));
    if (read)
        cue.number = *read;
    else
        o.complain("number", read.error().what);
    cue.name = shortText(o, "name");
    cue.note = shortText(o, "note", show::kLongestNote);
    cue.locked = o.flag("locked");
    const Cue usual;
    cue.up_s = readTime(o, "up_s").value_or(usual.up_s);
    cue.down_s = readTime(o, "down_s").value_or(usual.down_s);
    cue.up_delay_s = readTime(o, "up_delay_s").value_or(0);
    cue.down_delay_s = readTime(o, "down_delay_s").value_or(0);
    cue.colour_s = readTime(o, "colour_s");
    cue.colour_delay_s = readTime(o, "colour_delay_s");
    cue.route = {o.integer("route", 0, 0, show::kLastId)};
    cue.way = readWayMember(o);
    if (o.member("dark_first"))
        cue.dark_first = o.flag("dark_first");
    cue.follow = readNamed(o, "follow", kFollows);
    cue.follow_s = readTime(o, "follow_s").value_or(0);
    o.each("ripples", show::kMostKept, [&](const Json& one, const JsonPath& at) {
        JsonObject r(one, at);
        const show::RippleId ripple{r.integer("ripple", 0, 1, show::kLastId)};
        const auto does = readNamed(r, "does", kDoes);
        o.take(r.error());
        if (to.show.ripples.find(ripple))
            cue.ripples.push_back({ripple, does});
        else if (!r.error())
            to.notes.push_back(say(ZELO_TEXT("core", "{}: no ripple with id {}: left out"),
                                   at.text(), ripple.value));
    });
    cue.values = readValues(o, "values", to);
    cue.version = shortText(o, "version");
    std::set<std::string> names{cue.versionName()};
    o.each("versions", show::kMostVersions, [&](const Json& one, const JsonPath& at) {
        JsonObject v(one, at);
        show::CueVersion version;
        version.name = shortText(v, "name");
        if (version.name.empty() || !names.insert(version.name).second)
            v.complain("name", say(ZELO_TEXT("core", "a version needs a name that no other has")));
        version.values = readValues(v, "values", to);
        version.unknown = v.unknown();
        o.take(v.error());
        cue.versions.push_back(std::move(version));
    });
    std::sort(cue.versions.begin(), cue.versions.end(),
              [](const auto& a, const auto& b) { return a.name < b.name; });
    cue.unknown = o.unknown();
    return cue;
}

Json cueJson(const Cue& cue) {
    Json j{{"number", toText(cue.number)}};
    if (!cue.name.empty())
        j["name"] = cue.name;
    if (!cue.note.empty())
        j["note"] = cue.note;
    if (cue.locked)
        j["locked"] = true;
    j["up_s"] = cue.up_s;
    j["down_s"] = cue.down_s;
    if (cue.up_delay_s > 0)
        j["up_delay_s"] = cue.up_delay_s;
    if (cue.down_delay_s > 0)
        j["down_delay_s"] = cue.down_delay_s;
    if (cue.colour_s)
        j["colour_s"] = *cue.colour_s;
    if (cue.colour_delay_s)
        j["colour_delay_s"] = *cue.colour_delay_s;
    if (cue.route)
        j["route"] = cue.route.value;
    if (cue.way)
        j["way"] = wayJson(*cue.way);
    if (cue.dark_first)
        j["dark_first"] = *cue.dark_first;
    for (const auto& [when, name] : kFollows)
        if (when == cue.follow && when != show::FollowWhen::No)
            j["follow"] = name;
    if (cue.follow_s > 0)
        j["follow_s"] = cue.follow_s;
    for (const show::CueRipple& act : cue.ripples)
        for (const auto& [does, name] : kDoes)
            if (does == act.does)
                j["ripples"].push_back({{"ripple", act.ripple.value}, {"does", name}});
    if (!cue.version.empty())
        j["version"] = cue.version;
    writeUnknown(j, cue.unknown);
    return j;
}

// With the list under `name` as the last member of the object.
std::string withList(const Json& json, const char* name, const std::vector<std::string>& list) {
    std::string text = jsonText(json);
    text.back() = ',';
    text += fmt::format("\"{}\":[{}]}}", name, fmt::join(list, ","));
    return text;
}

} // namespace

void readCueLists(JsonObject& top, Reading& to) {
    std::vector<Table<show::CueListId, show::CueList>::Change> lists;
    std::set<show::CueListId> ids;
    std::set<std::string> names;
    top.each("cue_lists", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::CueList list;
        readHead(o, list);
        if (!ids.insert(list.id).second || list.id.value == 0 || list.name.empty() ||
            !names.insert(list.name).second)
            o.complain(
                "", say(ZELO_TEXT("core", "a cue list needs an id and a name that no other has")));
        list.back_s = readTime(o, "back_s").value_or(list.back_s);
        list.release_s = readTime(o, "release_s").value_or(list.release_s);
        list.at_end = readNamed(o, "at_end", kEnds);
        std::vector<Table<CueNumber, Cue>::Change> cues;
        std::set<CueNumber> numbers;
        o.each("cues", show::kMostCues, [&](const Json& one, const JsonPath& at) {
            JsonObject c(one, at);
            Cue cue = readCue(c, to);
            if (!numbers.insert(cue.number).second)
                c.complain("number",
                           say(ZELO_TEXT("core", "{} is there twice"), toText(cue.number)));
            o.take(c.error());
            const CueNumber number = cue.number;
            cues.emplace_back(number, std::make_shared<const Cue>(std::move(cue)));
        });
        list.cues = Table<CueNumber, Cue>::of(std::move(cues));
        list.unknown = o.unknown();
        to.show.last_cue_list_id = std::max(to.show.last_cue_list_id, list.id.value);
        const auto id = list.id;
        lists.emplace_back(id, std::make_shared<const show::CueList>(std::move(list)));
        top.take(o.error());
    });
    to.show.cue_lists = to.show.cue_lists.changed(std::move(lists));
}

void readFaders(JsonObject& top, Reading& to) {
    std::vector<Table<show::FaderId, show::Fader>::Change> faders;
    std::set<show::FaderId> ids;
    std::set<std::string> names;
    top.each("faders", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::Fader fader;
        readHead(o, fader);
        if (!ids.insert(fader.id).second || fader.id.value == 0 || fader.name.empty() ||
            !names.insert(fader.name).second)
            o.complain("",
                       say(ZELO_TEXT("core", "a fader needs an id and a name that no other has")));
        fader.look = {o.integer("look", 0, 0, show::kLastId)};
        fader.list = {o.integer("list", 0, 0, show::kLastId)};
        fader.ripple = {o.integer("ripple", 0, 0, show::kLastId)};
        fader.group = {o.integer("group", 0, 0, show::kLastId)};
        if (o.member("family"))
            fader.family = readNamed(o, "family", kFamilies);
        o.each("emitters", show::kMostEmittersOfFader, [&](const Json& one, const JsonPath& at) {
            if (one.is_string())
                fader.emitters.push_back(one.get<std::string>());
            else
                o.take(Error{ErrorCode::BadValue,
                             say(ZELO_TEXT("core", "expected the name of an emitter")),
                             {at.text()}});
        });
        fader.adds = !o.flag("latest");
        fader.unknown = o.unknown();
        top.take(o.error());
        to.show.last_fader_id = std::max(to.show.last_fader_id, fader.id.value);
        const auto leftOut = [&](const char* member, const Sentence& why) {
            to.notes.push_back(say(ZELO_TEXT("core", "{}: {}: {}"), o.at(member).text(), why,
                                   say(ZELO_TEXT("core", "left out"))));
        };
        if (fader.look.value != 0 && !to.show.lookOf(fader.look))
            return leftOut("look", say(ZELO_TEXT("core", "plays look {}, which is not there"),
                                       fader.look.value));
        if (fader.list.value != 0 && !to.show.cue_lists.find(fader.list))
            return leftOut("list", say(ZELO_TEXT("core", "plays cue list {}, which is not there"),
                                       fader.list.value));
        if (fader.ripple && !to.show.ripples.find(fader.ripple))
            return leftOut("ripple", say(ZELO_TEXT("core", "plays ripple {}, which is not there"),
                                         fader.ripple.value));
        if (fader.group.value != 0 && !to.show.group(fader.group))
            return leftOut("group", say(ZELO_TEXT("core", "plays group {}, which is not there"),
                                        fader.group.value));
        if (fader.look.value == 0 && fader.list.value == 0 && fader.group.value == 0 &&
            !fader.ripple && !fader.ofEmitters())
            return leftOut("look", say(ZELO_TEXT("core", "plays nothing")));
        const auto id = fader.id;
        faders.emplace_back(id, std::make_shared<const show::Fader>(std::move(fader)));
    });
    to.show.faders = to.show.faders.changed(std::move(faders));
}

std::string cueListText(const show::CueList& list, Tables& tables) {
    Json j = headJson(list);
    j["back_s"] = list.back_s;
    j["release_s"] = list.release_s;
    for (const auto& [end, name] : kEnds)
        if (end == list.at_end && end != show::AtEnd::Stop)
            j["at_end"] = name;
    writeUnknown(j, list.unknown);
    std::vector<std::string> cues;
    for (const auto& [number, cue] : list.cues) {
        std::string text = withList(cueJson(*cue), "values", valuesText(cue->values, tables));
        std::vector<std::string> versions;
        for (const auto& version : cue->versions) {
            Json one{{"name", version.name}};
            writeUnknown(one, version.unknown);
            versions.push_back(withList(one, "values", valuesText(version.values, tables)));
        }
        if (!versions.empty()) {
            text.back() = ',';
            text += fmt::format("\"versions\":[{}]}}", fmt::join(versions, ","));
        }
        cues.push_back(std::move(text));
    }
    return withList(j, "cues", cues);
}

Json faderJson(const show::Fader& fader) {
    Json j = headJson(fader);
    if (fader.look.value != 0)
        j["look"] = fader.look.value;
    if (fader.list.value != 0)
        j["list"] = fader.list.value;
    if (fader.ripple)
        j["ripple"] = fader.ripple.value;
    if (fader.group.value != 0)
        j["group"] = fader.group.value;
    for (const auto& [family, name] : kFamilies)
        if (fader.family == family)
            j["family"] = name;
    if (!fader.emitters.empty())
        j["emitters"] = fader.emitters;
    if (!fader.adds)
        j["latest"] = true;
    writeUnknown(j, fader.unknown);
    return j;
}

} // namespace zelo::files
