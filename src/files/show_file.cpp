// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/show_file.h"

#include "base/file.h"
#include "light/frame.h"

#include <algorithm>
#include <nlohmann/json.hpp>
#include <set>

namespace zelo::files {

using Json = nlohmann::ordered_json;
using show::Fixture;
using show::FixtureId;
using show::Show;
using show::Value;

namespace {

constexpr const char* kFormat = "zelochrome-show";
constexpr std::size_t kMostFixtures = 20'000;

// Takes members out of an object one by one, remembers the first thing that is wrong, and what was
// not asked for. `path` is where the object stands: "fixtures[3]".
class Object {
public:
    Object(const Json& json, std::string path) : json_(json), path_(std::move(path)) {
        if (!json_.is_object())
            complain("", "expected an object {…}");
    }

    double number(const char* name, double otherwise, double least, double most) {
        const Json* j = member(name);
        if (!j)
            return otherwise;
        const double value = j->is_number() ? j->get<double>() : NAN;
        if (!(value >= least && value <= most)) {
            complain(name, fmt::format("{}: must be a number within {}..{}",
                                       j->dump().substr(0, 40), least, most));
            return otherwise;
        }
        return value;
    }
    int integer(const char* name, int otherwise, int least, int most) {
        const double value = number(name, otherwise, least, most);
        if (value != std::floor(value))
            complain(name, fmt::format("{}: must be a whole number", value));
        return static_cast<int>(value);
    }
    std::string text(const char* name, std::string otherwise = {}) {
        const Json* j = member(name);
        if (!j)
            return otherwise;
        if (!j->is_string()) {
            complain(name, "expected text");
            return otherwise;
        }
        return j->get<std::string>();
    }
    // An array's elements, each with its path.
    template <class F>
    void each(const char* name, std::size_t most, F take) {
        const Json* j = member(name);
        if (!j)
            return;
        if (!j->is_array() || j->size() > most) {
            complain(name, fmt::format("expected a list of at most {}", most));
            return;
        }
        for (std::size_t i = 0; i < j->size() && !error_; ++i)
            take((*j)[i], fmt::format("{}[{}]", at(name), i));
    }
    const Json* member(const char* name) {
        known_.insert(name);
        if (!json_.is_object())
            return nullptr;
        const auto it = json_.find(name);
        return it == json_.end() ? nullptr : &*it;
    }
    std::string unknown() const { // as JSON text; empty when there is nothing
        Json rest = Json::object();
        if (json_.is_object())
            for (const auto& [key, value] : json_.items())
                if (!known_.contains(key))
                    rest[key] = value;
        return rest.empty() ? std::string() : rest.dump();
    }
    std::string at(const char* name) const {
        return path_.empty() ? name : *name ? path_ + "." + name : path_;
    }
    void complain(const char* name, std::string what) {
        if (!error_)
            error_ = Error{ErrorCode::BadValue, std::move(what), at(name)};
    }
    void take(const std::optional<Error>& error) {
        if (!error_)
            error_ = error;
    }
    const std::optional<Error>& error() const { return error_; }

private:
    const Json& json_;
    std::string path_;
    std::set<std::string> known_;
    std::optional<Error> error_;
};

void writeUnknown(Json& to, const std::string& unknown) {
    if (unknown.empty())
        return;
    const auto rest = Json::parse(unknown, nullptr, false);
    if (rest.is_object())
        for (const auto& [key, value] : rest.items())
            if (!to.contains(key))
                to[key] = value;
}

// --- reading ---------------------------------------------------------------------------------

show::Place readPlace(const Json& json, const std::string& path, std::optional<Error>& error) {
    Object o(json, path);
    constexpr double far = 10'000;
    show::Place place{o.number("x_m", 0, -far, far), o.number("y_m", 0, -far, far),
                      o.number("z_m", 0, -far, far), o.number("aim_deg", 0, -36000, 36000)};
    error = o.error();
    return place;
}

Fixture readFixture(const Json& json, const std::string& path, std::optional<Error>& error) {
    Object o(json, path);
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

show::ColourWish readColour(const Json& json, const std::string& path,
                            std::optional<Error>& error) {
    Object o(json, path);
    show::ColourWish wish;
    wish.asked = o.text("asked");
    if (wish.asked.empty())
        o.complain("asked", "is missing: a colour such as \"gel:214@3200\"");
    std::vector<double> uv;
    o.each("uv", 2, [&](const Json& j, const std::string& at) {
        if (j.is_number())
            uv.push_back(j.get<double>());
        else
            o.take(Error{ErrorCode::BadValue, "expected a number", at});
    });
    if (uv.size() == 2)
        wish.uv = {uv[0], uv[1]};
    const auto name = o.text("intent", "truest");
    if (const auto intent = mix::intentNamed(name))
        wish.intent = *intent;
    else
        o.complain("intent",
                   fmt::format("'{}': expected brightest, truest, kindest or leanest", name));
    wish.give_up = o.number("give_up", 0.3, 0, 1);
    o.each("keep_out", light::kMostParts, [&](const Json& j, const std::string& at) {
        if (j.is_string())
            wish.keep_out.push_back(j.get<std::string>());
        else
            o.take(Error{ErrorCode::BadValue, "expected the name of an emitter", at});
    });
    if (const Json* pins = o.member("pins")) {
        Object p(*pins, o.at("pins"));
        if (pins->is_object())
            for (const auto& [emitter, drive] : pins->items())
                wish.pins.emplace_back(emitter, p.number(emitter.c_str(), 0, 0, 1));
        o.take(p.error());
    }
    error = o.error();
    return wish;
}

show::Values readValues(Object& top, const char* name, const Show& show) {
    show::Values values;
    top.each(name, kMostFixtures, [&](const Json& json, const std::string& path) {
        Object o(json, path);
        const FixtureId id{o.integer("fixture", 0, 1, 1 << 30)};
        if (!show.fixture(id))
            o.complain("fixture", fmt::format("no fixture with id {}", id.value));
        Value value;
        if (o.member("intensity"))
            value.intensity = o.number("intensity", 0, 0, 1);
        if (const Json* colour = o.member("colour")) {
            std::optional<Error> inside;
            value.colour = readColour(*colour, o.at("colour"), inside);
            o.take(inside);
        }
        if (const Json* drives = o.member("drives")) {
            light::Drives d(drives->is_array() ? std::min(drives->size(), light::kMostParts) : 0);
            std::size_t i = 0;
            o.each("drives", light::kMostParts, [&](const Json& j, const std::string& at) {
                const double drive = j.is_number() ? j.get<double>() : -1;
                if (!(drive >= 0 && drive <= 1))
                    o.take(Error{ErrorCode::BadValue, "a drive must be within 0..1", at});
                else
                    d[i++] = drive;
            });
            value.drives = d;
        }
        if (values.contains(id))
            o.complain("fixture", fmt::format("fixture {} is there twice", id.value));
        values[id] = std::make_shared<const Value>(std::move(value));
        top.take(o.error());
    });
    return values;
}

void readFixtures(Object& top, Show& show) {
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

void readGroups(Object& top, Show& show) {
    top.each("groups", 10'000, [&](const Json& json, const std::string& path) {
        Object o(json, path);
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

// --- writing ---------------------------------------------------------------------------------

Json colourJson(const show::ColourWish& wish) {
    Json j;
    j["asked"] = wish.asked;
    j["uv"] = {wish.uv.u, wish.uv.v};
    j["intent"] = mix::nameOf(wish.intent);
    j["give_up"] = wish.give_up;
    if (!wish.keep_out.empty())
        j["keep_out"] = wish.keep_out;
    if (!wish.pins.empty()) {
        Json pins = Json::object();
        for (const auto& [emitter, drive] : wish.pins)
            pins[emitter] = drive;
        j["pins"] = pins;
    }
    return j;
}

Json valuesJson(const show::Values& values) {
    Json list = Json::array();
    for (const auto& [id, value] : values) {
        Json j;
        j["fixture"] = id.value;
        if (value->intensity)
            j["intensity"] = *value->intensity;
        if (value->colour)
            j["colour"] = colourJson(*value->colour);
        if (value->drives)
            j["drives"] = std::vector<double>(value->drives->begin(), value->drives->end());
        list.push_back(std::move(j));
    }
    return list;
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
    Object top(json, {});
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
    show.look = readValues(top, "look", show);
    auto hand = readValues(top, "hand", show);
    show.last_fixture_id =
        top.integer("last_fixture_id", show.last_fixture_id, show.last_fixture_id, 1 << 30);
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
