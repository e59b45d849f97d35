// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/show_file.h"

#include "base/file.h"
#include "files/detail/show_parts.h"
#include "light/frame.h"

#include <algorithm>

namespace zelo::files {

using show::Fixture;
using show::FixtureId;
using show::Show;

namespace {

constexpr const char* kFormat = "zelochrome-show";

// --- reading ---------------------------------------------------------------------------------

show::Place readPlace(const Json& json, const std::string& path, std::optional<Error>& error) {
    JsonObject o(json, path);
    constexpr double far = 10'000;
    show::Place place{o.number("x_m", 0, -far, far), o.number("y_m", 0, -far, far),
                      o.number("z_m", 0, -far, far), o.number("aim_deg", 0, -36000, 36000)};
    error = o.error();
    return place;
}

Fixture readFixture(const Json& json, const std::string& path, std::optional<Error>& error) {
    JsonObject o(json, path);
    Fixture f;
    f.id = {o.integer("id", 0, 1, 1 << 30)};
    if (f.id.value == 0)
        o.complain("id", "is missing: a whole number from 1");
    f.number = o.integer("number", f.id.value, 0, 1 << 30);
    f.label = o.text("label");
    f.type = o.text("type");
    if (f.type.empty())
        o.complain("type", "is missing: the id of a fixture type");
    f.mode = o.text("mode");
    f.universe = static_cast<std::uint16_t>(o.integer("universe", 1, 1, light::kLastUniverse));
    f.address = o.integer("address", 1, 1, light::kSlots);
    if (const Json* home = o.member("home")) {
        JsonObject h(*home, o.at("home"));
        if (home->is_object())
            for (const auto& [part, drive] : home->items())
                f.home.emplace_back(part, h.number(part.c_str(), 0, 0, 1));
        o.take(h.error());
    }
    readCalibration(o, f);
    f.uid = o.text("uid");
    f.note = o.text("note");
    if (const Json* place = o.member("place")) {
        std::optional<Error> inside;
        f.place = readPlace(*place, o.at("place"), inside);
        o.take(inside);
    }
    f.unknown = o.unknown();
    error = o.error();
    return f;
}

void readFixtures(JsonObject& top, Show& show) {
    top.each("fixtures", kMostFixtures, [&](const Json& json, const std::string& path) {
        std::optional<Error> inside;
        Fixture f = readFixture(json, path, inside);
        top.take(inside);
        if (show.fixtures.contains(f.id))
            top.take(Error{ErrorCode::BadValue, fmt::format("id {} is there twice", f.id.value),
                           path + ".id"});
        show.last_fixture_id = std::max(show.last_fixture_id, f.id.value);
        const auto id = f.id;
        show.fixtures[id] = std::make_shared<const Fixture>(std::move(f));
    });
}

void readGroups(JsonObject& top, Show& show) {
    top.each("groups", 10'000, [&](const Json& json, const std::string& path) {
        JsonObject o(json, path);
        show::Group group;
        group.id = {o.integer("id", 0, 1, 1 << 30)};
        group.name = o.text("name");
        if (group.id.value == 0 || group.name.empty())
            o.complain("", "a group needs an id and a name");
        o.each("fixtures", kMostFixtures, [&](const Json& j, const std::string& at) {
            const FixtureId id{j.is_number_integer() ? j.get<int>() : 0};
            if (!show.fixture(id))
                o.take(Error{ErrorCode::BadValue,
                             fmt::format("{}: no fixture with this id", j.dump()), at});
            group.fixtures.push_back(id);
        });
        group.unknown = o.unknown();
        show.last_group_id = std::max(show.last_group_id, group.id.value);
        show.groups.push_back(std::make_shared<const show::Group>(std::move(group)));
        top.take(o.error());
    });
}

} // namespace

Result<OpenedShow> parseShow(std::string_view text) {
    Json json;
    try {
        json = Json::parse(text.begin(), text.end());
    } catch (const nlohmann::json::parse_error& e) {
        const auto before = text.substr(0, std::min(e.byte, text.size()));
        return passOn(Error{ErrorCode::BadSyntax, "not readable as JSON from here", {}},
                      fmt::format("line {}", 1 + std::count(before.begin(), before.end(), '\n')));
    } catch (const nlohmann::json::exception&) { // 1e999
        return fail(ErrorCode::BadValue, "a number in it is too large for any computer");
    }
    JsonObject top(json, {});
    if (top.text("format") != kFormat)
        return fail(ErrorCode::Unsupported, "not a Zelochrome show: \"format\" is not \"{}\"",
                    kFormat);
    const int version = top.integer("version", 0, 0, 1 << 30);
    if (version > kShowVersion)
        return fail(ErrorCode::Unsupported,
                    "saved by a newer Zelochrome (format version {}, this one reads up to {})",
                    version, kShowVersion);
    if (version < 1)
        return fail(ErrorCode::BadValue, "version: must be a whole number from 1");
    Show show;
    show.name = top.text("name", "Untitled");
    show.white_cct_k = top.number("white_cct_k", 4300, 1000, 25000);
    readFixtures(top, show);
    readGroups(top, show);
    readPalettes(top, show);
    readLooks(top, show);
    readStage(top, show);
    readMeasured(top, show);
    readTypes(top, show);
    readOutputs(top, show);
    show.look = readValues(top, "look", show);
    auto hand = readValues(top, "hand", show);
    show.last_fixture_id =
        top.integer("last_fixture_id", show.last_fixture_id, show.last_fixture_id, 1 << 30);
    show.last_palette_id =
        top.integer("last_palette_id", show.last_palette_id, show.last_palette_id, 1 << 30);
    show.last_look_id = top.integer("last_look_id", show.last_look_id, show.last_look_id, 1 << 30);
    show.unknown = top.unknown();
    if (top.error())
        return passOn(*top.error());
    return OpenedShow{std::make_shared<const Show>(std::move(show)),
                      std::make_shared<const show::Values>(std::move(hand))};
}

std::string showText(const Show& show, const show::Values& hand) {
    Json json;
    json["format"] = kFormat;
    json["version"] = kShowVersion;
    json["name"] = show.name;
    json["white_cct_k"] = show.white_cct_k;
    json["last_fixture_id"] = show.last_fixture_id;
    json["fixtures"] = Json::array();
    for (const auto& [id, f] : show.fixtures) {
        Json j;
        j["id"] = id.value;
        j["number"] = f->number;
        if (!f->label.empty())
            j["label"] = f->label;
        j["type"] = f->type;
        if (!f->mode.empty())
            j["mode"] = f->mode;
        j["universe"] = f->universe;
        j["address"] = f->address;
        j["place"] = {{"x_m", f->place.x_m},
                      {"y_m", f->place.y_m},
                      {"z_m", f->place.z_m},
                      {"aim_deg", f->place.aim_deg}};
        for (const auto& [part, drive] : f->home)
            j["home"][part] = drive;
        if (f->calibration)
            j["calibration"] = calibrationJson(*f->calibration);
        if (!f->uid.empty())
            j["uid"] = f->uid;
        if (!f->note.empty())
            j["note"] = f->note;
        writeUnknown(j, f->unknown);
        json["fixtures"].push_back(std::move(j));
    }
    json["groups"] = Json::array();
    for (const auto& g : show.groups) {
        Json j;
        j["id"] = g->id.value;
        j["name"] = g->name;
        j["fixtures"] = Json::array();
        for (const FixtureId id : g->fixtures)
            j["fixtures"].push_back(id.value);
        writeUnknown(j, g->unknown);
        json["groups"].push_back(std::move(j));
    }
    writeParts(json, show);
    json["look"] = valuesJson(show.look);
    if (!hand.empty())
        json["hand"] = valuesJson(hand);
    writeUnknown(json, show.unknown);
    return json.dump(1) + "\n";
}

Result<OpenedShow> readShow(const std::filesystem::path& path) {
    auto text = readFile(path);
    if (!text)
        return passOn(text.error());
    auto opened = parseShow(*text);
    if (!opened)
        return passOn(opened.error(), path.string());
    return opened;
}

Done writeShow(const std::filesystem::path& path, const Show& show, const show::Values& hand) {
    return writeFile(path, showText(show, hand));
}

} // namespace zelo::files
