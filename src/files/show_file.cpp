// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/show_file.h"

#include "base/file.h"
#include "files/detail/colour_parts.h"
#include "files/detail/cue_parts.h"
#include "files/detail/gradient_parts.h"
#include "files/detail/ripple_parts.h"
#include "files/detail/route_parts.h"
#include "files/detail/show_parts.h"
#include "light/frame.h"
#include "show/edits.h"
#include "show/limits.h"

#include <algorithm>
#include <set>

namespace zelo::files {

using show::Fixture;
using show::FixtureId;
using show::Show;

namespace {

constexpr const char* kFormat = "zelochrome-show";

// --- reading ---------------------------------------------------------------------------------

void readPlace(JsonObject& fixture, show::Place& place) {
    const Json* json = fixture.member("place");
    if (!json)
        return;
    JsonObject o(*json, fixture.at("place"));
    constexpr double far = show::kFarthest_m;
    constexpr double turn = show::kMostTurn_deg;
    place = {o.number("x_m", 0, -far, far), o.number("y_m", 0, -far, far),
             o.number("z_m", 0, -far, far), o.number("aim_deg", 0, -turn, turn)};
    fixture.keepUnknown("place", o);
    fixture.take(o.error());
}

Fixture readFixture(JsonObject& o) {
    Fixture f;
    f.id = {o.integer("id", 0, 1, show::kLastId)};
    if (f.id.value == 0)
        o.complain("id", say(ZELO_TEXT("core", "is missing: a whole number from 1")));
    f.number = o.integer("number", std::min(f.id.value, show::kLastNumber), 0, show::kLastNumber);
    f.label = o.text("label");
    f.type = o.text("type");
    if (f.type.empty())
        o.complain("type", say(ZELO_TEXT("core", "is missing: the id of a fixture type")));
    f.mode = o.text("mode");
    f.universe = static_cast<std::uint16_t>(o.integer("universe", 1, 1, light::kLastUniverse));
    f.address = o.integer("address", 1, 1, light::kSlots);
    if (const Json* home = o.member("home")) {
        JsonObject h(*home, o.at("home"));
        if (home->is_object())
            for (const auto& [part, drive] : home->items())
                f.home[part] = h.number(part.c_str(), 0, 0, 1);
        o.take(h.error());
    }
    readCalibration(o, f);
    f.exempt = o.flag("exempt");
    f.uid = o.text("uid");
    f.note = o.text("note");
    readPlace(o, f.place);
    for (const auto& [name, text, longest] : {std::tuple("label", &f.label, show::kLongestName),
                                              std::tuple("type", &f.type, show::kLongestName),
                                              std::tuple("mode", &f.mode, show::kLongestName),
                                              std::tuple("note", &f.note, show::kLongestNote)})
        if (auto ok = show::checkText(name, *text, longest); !ok)
            o.complain(name, ok.error().what);
    f.unknown = o.unknown();
    return f;
}

void readFixtures(JsonObject& top, Show& show) {
    std::vector<Table<FixtureId, Fixture>::Change> fixtures;
    std::set<FixtureId> ids;
    top.each("fixtures", show::kMostFixtures, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        Fixture f = readFixture(o);
        top.take(o.error());
        if (!ids.insert(f.id).second)
            top.take(Error{ErrorCode::BadValue,
                           say(ZELO_TEXT("core", "id {} is there twice"), f.id.value),
                           {path.text() + ".id"}});
        show.last_fixture_id = std::max(show.last_fixture_id, f.id.value);
        const auto id = f.id;
        fixtures.emplace_back(id, std::make_shared<const Fixture>(std::move(f)));
    });
    show.fixtures = show.fixtures.changed(std::move(fixtures));
}

void readGroups(JsonObject& top, Reading& to) {
    std::vector<Table<show::GroupId, show::Group>::Change> groups;
    std::set<show::GroupId> ids;
    top.each("groups", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::Group group;
        group.id = {o.integer("id", 0, 1, show::kLastId)};
        group.name = o.text("name");
        group.locked = o.flag("locked");
        if (group.id.value == 0 || group.name.empty() || !ids.insert(group.id).second)
            o.complain("", say(ZELO_TEXT("core", "a group needs an id of its own and a name")));
        if (auto ok =
                show::checkText(say(ZELO_TEXT("core", "name")), group.name, show::kLongestName);
            !ok)
            o.complain("name", ok.error().what);
        o.each("fixtures", show::kMostFixtures, [&](const Json& j, const JsonPath& at) {
            const FixtureId id{j.is_number_integer() && j >= 0 && j <= show::kLastId ? j.get<int>()
                                                                                     : 0};
            if (to.show.fixture(id))
                group.fixtures.push_back(id);
            else
                to.notes.push_back(
                    say(ZELO_TEXT("core", "{}: {}: no fixture with this id: left out"), at.text(),
                        j.dump().substr(0, 40)));
        });
        group.unknown = o.unknown();
        to.show.last_group_id = std::max(to.show.last_group_id, group.id.value);
        const auto id = group.id;
        groups.emplace_back(id, std::make_shared<const show::Group>(std::move(group)));
        top.take(o.error());
    });
    to.show.groups = to.show.groups.changed(std::move(groups));
}

// Notes are for people: a file that has very many of a kind is told in a few lines.
void shorten(std::vector<Sentence>& notes) {
    constexpr std::size_t kMostNotes = 20;
    if (notes.size() <= kMostNotes)
        return;
    const auto more = notes.size() - kMostNotes;
    notes.resize(kMostNotes);
    notes.push_back(say(ZELO_TEXT("core", "and {} more of the kind"), more));
}

} // namespace

Result<OpenedShow> parseShow(std::string_view text) {
    auto json = boundedJson(text);
    if (!json)
        return passOn(json.error());
    JsonObject top(*json, {});
    if (top.text("format") != kFormat)
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "not a Zelochrome show: \"format\" is not \"{}\""), kFormat);
    Reading to;
    to.version = top.integer("version", 0, 0, 1 << 30);
    if (to.version > kShowVersion)
        return fail(
            ErrorCode::Unsupported,
            ZELO_TEXT("core",
                      "saved by a newer Zelochrome (format version {}, this one reads up to {})"),
            to.version, kShowVersion);
    if (to.version < 1)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "version: must be a whole number from 1"));
    Show& show = to.show;
    show.name = top.text("name", "Untitled");
    if (auto ok = show::checkText(say(ZELO_TEXT("core", "name")), show.name, show::kLongestName);
        !ok)
        top.complain("name", ok.error().what);
    show.white_cct_k = top.number("white_cct_k", 4300, show::kLeastWhite_k, show::kMostWhite_k);
    readFixtures(top, show);
    readGroups(top, to);
    readPalettes(top, to);
    readColours(top, to);
    readLayings(top, to);
    readLooks(top, to);
    readStage(top, to);
    readMeasured(top, to);
    readCameras(top, to);
    readTypes(top, to);
    readOutputs(top, to);
    readRoutes(top, to);
    readCrossfade(top, to);
    readRipples(top, to);
    readCueLists(top, to);
    readFaders(top, to);
    if (top.member("dark_first"))
        show.dark_first = top.flag("dark_first");
    show.even_to_the_eye = top.flag("even_to_the_eye");
    show.way = readWayMember(top);
    show.standing = readValues(top, to.version < 3 ? "look" : "standing", to);
    show.locked = readValues(top, "locked", to);
    auto hand = readValues(top, "hand", to);
    const auto last = [&](const char* name, int& id) {
        id = top.integer(name, id, id, show::kLastId);
    };
    last("last_fixture_id", show.last_fixture_id);
    last("last_group_id", show.last_group_id);
    last("last_palette_id", show.last_palette_id);
    last("last_look_id", show.last_look_id);
    last("last_cue_list_id", show.last_cue_list_id);
    last("last_fader_id", show.last_fader_id);
    last("last_ripple_id", show.last_ripple_id);
    last("last_route_id", show.last_route_id);
    show.unknown = top.unknown();
    if (top.error())
        return passOn(*top.error());
    shorten(to.notes);
    return OpenedShow{std::make_shared<const Show>(std::move(show)),
                      std::make_shared<const show::Values>(std::move(hand)), std::move(to.notes)};
}

// --- writing ---------------------------------------------------------------------------------

namespace {

Json fixtureJson(const Fixture& f) {
    Json j;
    j["id"] = f.id.value;
    j["number"] = f.number;
    if (!f.label.empty())
        j["label"] = f.label;
    j["type"] = f.type;
    if (!f.mode.empty())
        j["mode"] = f.mode;
    j["universe"] = f.universe;
    j["address"] = f.address;
    j["place"] = {{"x_m", f.place.x_m},
                  {"y_m", f.place.y_m},
                  {"z_m", f.place.z_m},
                  {"aim_deg", f.place.aim_deg}};
    for (const auto& [part, drive] : f.home)
        j["home"][part] = drive;
    if (f.exempt)
        j["exempt"] = true;
    if (f.calibration)
        j["calibration"] = calibrationJson(*f.calibration);
    if (!f.uid.empty())
        j["uid"] = f.uid;
    if (!f.note.empty())
        j["note"] = f.note;
    writeUnknown(j, f.unknown);
    return j;
}

Json groupJson(const show::Group& g) {
    Json j = headJson(g);
    j["fixtures"] = Json::array();
    for (const FixtureId id : g.fixtures)
        j["fixtures"].push_back(id.value);
    writeUnknown(j, g.unknown);
    return j;
}

// The file as text, a member a line and an element of a list a line: compact, and still readable
// and comparable line by line.
class Text {
public:
    void member(const char* name, const Json& value) {
        begin(name);
        text_ += dumped(value);
    }
    void written(const char* name, const std::string& json) { // text of it already
        begin(name);
        text_ += json;
    }
    template <class List, class ToJson>
    void list(const char* name, const List& list, ToJson toJson) {
        begin(name);
        if (std::begin(list) == std::end(list)) {
            text_ += "[]";
            return;
        }
        const char* before = "[\n  ";
        for (const auto& element : list) {
            text_ += before;
            text_ += dumped(toJson(element));
            before = ",\n  ";
        }
        text_ += "\n ]";
    }
    std::string end() && {
        text_ += "\n}\n";
        return std::move(text_);
    }

private:
    static std::string dumped(const Json& json) { return jsonText(json); }
    static const std::string& dumped(const std::string& text) { return text; }
    void begin(const char* name) {
        text_ += text_.size() > 1 ? ",\n " : "\n ";
        text_ += dumped(Json(name)) + ": ";
    }
    std::string text_ = "{";
};

} // namespace

Result<std::string> showText(const Show& show, const show::Values& hand) {
    Text text;
    const auto same = [](const auto& e) -> const auto& {
        return e;
    };
    text.member("format", kFormat);
    text.member("version", kShowVersion);
    text.member("name", show.name);
    text.member("white_cct_k", show.white_cct_k);
    text.member("last_fixture_id", show.last_fixture_id);
    text.member("last_group_id", show.last_group_id);
    text.member("last_palette_id", show.last_palette_id);
    text.member("last_look_id", show.last_look_id);
    if (show.last_cue_list_id > 0)
        text.member("last_cue_list_id", show.last_cue_list_id);
    if (show.last_fader_id > 0)
        text.member("last_fader_id", show.last_fader_id);
    if (show.last_ripple_id > 0)
        text.member("last_ripple_id", show.last_ripple_id);
    if (show.last_route_id > 0)
        text.member("last_route_id", show.last_route_id);
    if (!show.dark_first)
        text.member("dark_first", false);
    if (show.even_to_the_eye)
        text.member("even_to_the_eye", true);
    if (show.way)
        text.member("way", wayJson(*show.way));
    text.list("fixtures", show.fixtures, [](const auto& e) { return fixtureJson(*e.second); });
    text.list("groups", show.groups, [](const auto& e) { return groupJson(*e.second); });
    text.list("palettes", show.palettes, [](const auto& e) { return paletteJson(*e.second); });
    Tables tables;
    text.list("looks", show.looks, [&](const auto& e) { return lookText(*e.second, tables); });
    if (!show.ripples.empty())
        text.list("ripples", show.ripples, [](const auto& e) { return rippleJson(*e.second); });
    if (!show.cue_lists.empty())
        text.list("cue_lists", show.cue_lists,
                  [&](const auto& e) { return cueListText(*e.second, tables); });
    if (!show.faders.empty())
        text.list("faders", show.faders, [](const auto& e) { return faderJson(*e.second); });
    if (!show.routes.empty())
        text.list("routes", show.routes, [](const auto& e) { return routeJson(*e.second); });
    if (!show.routes_between.empty())
        text.list("routes_between", show.routes_between, routeBetweenJson);
    if (show.crossfade)
        text.written("crossfade", crossfadeText(*show.crossfade, tables));
    text.list("standing", valuesText(show.standing, tables), same);
    if (!show.locked.empty())
        text.list("locked", valuesText(show.locked, tables), same);
    text.list("hand", valuesText(hand, tables), same);
    text.list("colours", tables.colours.all(), same);
    if (!tables.layings.all().empty())
        text.list("layings", tables.layings.all(), same);
    if (show.stage)
        text.member("stage", stageJson(*show.stage));
    text.list("measured", show.measured, [](const auto& e) { return measuredJson(*e.second); });
    if (!show.cameras.empty())
        text.list("cameras", show.cameras, [](const auto& e) { return cameraJson(*e.second); });
    std::vector<Json> types;
    std::size_t left = kMostUnpacked;
    for (const auto& [id, type] : show.types) {
        auto packed = typeJson(id, type, left);
        if (!packed)
            return passOn(packed.error());
        types.push_back(std::move(*packed));
    }
    text.list("types", types, same);
    if (show.favourites && !show.favourites->empty()) {
        Json favourites = Json::array();
        for (const auto& asked : *show.favourites)
            favourites.push_back(light::toText(asked));
        text.member("favourites", favourites);
    }
    text.list("outputs", show.outputs, outputJson);
    if (!show.unknown.empty())
        if (const auto rest = Json::parse(show.unknown, nullptr, false); rest.is_object())
            for (const auto& [name, value] : rest.items())
                text.member(name.c_str(), value);
    std::string whole = std::move(text).end();
    if (whole.size() > show::kMostShowBytes)
        return fail(ErrorCode::TooLarge,
                    ZELO_TEXT("core", "the show is {} MB: {} MB at most can be opened again"),
                    whole.size() >> 20, show::kMostShowBytes >> 20);
    return whole;
}

Done checkShowText(std::string_view text) {
    const auto read = parseShow(text);
    if (!read)
        return passOn(read.error(), "what was written cannot be read");
    if (!read->notes.empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "what was written loses something: {}"),
                    read->notes.front());
    const auto again = showText(*read->show, *read->hand);
    if (!again || *again != text)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "what was written reads as another show"));
    return {};
}

Result<OpenedShow> readShow(const std::filesystem::path& path) {
    auto text = readFile(path, show::kMostShowBytes);
    if (!text)
        return passOn(text.error());
    auto opened = parseShow(*text);
    if (!opened)
        return passOn(opened.error(), path.string());
    return opened;
}

Done writeShow(const std::filesystem::path& path, const Show& show, const show::Values& hand) {
    const auto text = showText(show, hand);
    if (!text)
        return passOn(text.error(), path.string());
    return writeFile(path, *text);
}

} // namespace zelo::files
