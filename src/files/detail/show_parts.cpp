// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/show_parts.h"

#include "base/text.h"
#include "files/archive.h"
#include "files/detail/base64.h"
#include "files/detail/colour_parts.h"
#include "files/detail/gradient_parts.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "show/kept.h"
#include "show/limits.h"

#include <algorithm>
#include <bit>
#include <mutex>
#include <set>

namespace zelo::files {

using show::ColourWish;
using show::FixtureId;
using show::Show;
using show::Value;

namespace {

constexpr const char* kCameraChannels[] = {"r", "g", "b"};

// 401 powers, 380 to 780 nm: single precision in base64, low byte first; before version 3 a list of
// numbers. A fault is left in `o`.
colour::Spectrum readSpectrum(JsonObject& o, const char* name) {
    colour::Grid grid{};
    const Json* json = o.member(name);
    std::size_t count = 0;
    if (json && json->is_string()) {
        const auto bytes = fromBase64(json->get_ref<const std::string&>());
        if (bytes && bytes->size() == grid.size() * 4)
            for (; count < grid.size(); ++count) {
                std::uint32_t bits = 0;
                for (std::size_t b = 4; b-- > 0;)
                    bits = bits << 8 | static_cast<std::uint8_t>((*bytes)[count * 4 + b]);
                grid[count] = static_cast<double>(std::bit_cast<float>(bits));
            }
    } else {
        o.each(name, grid.size(), [&](const Json& j, const JsonPath&) {
            grid[count++] = j.is_number() ? j.get<double>() : -1;
        });
    }
    if (count != grid.size())
        o.complain(name, say(ZELO_TEXT("core", "expected 401 powers, 380 to 780 nm")));
    for (double& power : grid) {
        if (!(power >= 0 && power <= show::kMostPower)) {
            o.complain(name,
                       say(ZELO_TEXT("core", "a power must be within 0..{}"), show::kMostPower));
            power = 0;
        }
        power = static_cast<double>(static_cast<float>(power));
    }
    return colour::Spectrum(o.error() ? colour::Grid{} : grid);
}

std::string spectrumText(const colour::Spectrum& spectrum) {
    std::string bytes;
    bytes.reserve(4 * colour::kGridSize);
    for (const double power : spectrum.values()) {
        const auto bits = std::bit_cast<std::uint32_t>(static_cast<float>(power));
        for (int b = 0; b < 4; ++b)
            bytes += static_cast<char>(bits >> (8 * b) & 255);
    }
    return toBase64(bytes);
}

ColourWish readColour(const Json& json, const JsonPath& path, std::vector<Sentence>& notes,
                      std::optional<Error>& error) {
    JsonObject o(json, path);
    ColourWish wish;
    wish.uv = readUv(o, "uv").value_or(wish.uv);
    wish.asked = readAsked(o, wish.uv, notes);
    readMixing(o, wish);
    wish.unknown = o.unknown();
    error = o.error();
    return wish;
}

} // namespace

std::optional<ColourWish> readColourMember(JsonObject& o, std::vector<Sentence>& notes) {
    const Json* colour = o.member("colour");
    if (!colour)
        return std::nullopt;
    std::optional<Error> inside;
    auto wish = readColour(*colour, o.at("colour"), notes, inside);
    o.take(inside);
    return wish;
}

namespace {

// Levels by name; before version 3 `drives` by their place, named "#1", "#2" … until the type tells
// their names (host/naming.h).
show::PartLevels readLevels(JsonObject& o, const char* name) {
    show::PartLevels levels;
    if (const Json* json = o.member(name)) {
        JsonObject p(*json, o.at(name));
        if (json->is_object() && json->size() <= show::kMostNames)
            for (const auto& [part, level] : json->items())
                levels[part] = p.number(part.c_str(), 0, 0, 1);
        else
            p.complain(
                "", say(ZELO_TEXT("core", "expected at most {} levels by name"), show::kMostNames));
        o.take(p.error());
    }
    return levels;
}

show::PartLevels readParts(JsonObject& o) {
    show::PartLevels parts = readLevels(o, "parts");
    std::size_t i = 0;
    o.each("drives", light::kMostParts, [&](const Json& j, const JsonPath& at) {
        const double drive = j.is_number() ? j.get<double>() : -1;
        if (!(drive >= 0 && drive <= 1))
            o.take(Error{ErrorCode::BadValue,
                         say(ZELO_TEXT("core", "a drive must be within 0..1")),
                         {at.text()}});
        else
            parts[fmt::format("#{}", ++i)] = drive;
    });
    return parts;
}

// A place in a laying, or a link to a palette that is there and has it; else what stands beside the
// link.
template <class T>
std::optional<show::Source<T>> sourceOf(JsonObject& o, const char* link, const char* laid,
                                        std::optional<T> here, std::optional<T> show::Palette::*has,
                                        Reading& to) {
    if (o.member(laid)) {
        const auto at = static_cast<std::size_t>(o.integer(laid, 0, 0, 1 << 30));
        if (at < to.layings.size() && to.layings[at])
            return show::Source<T>(to.layings[at]);
        if (at >= to.layings.size())
            o.complain(laid, say(ZELO_TEXT("core", "{}: there is no such one in layings"), at));
        return std::nullopt; // its gradient is not there, which was told
    }
    const show::PaletteId id{o.integer(link, 0, 0, show::kLastId)};
    if (const auto* palette = id ? to.show.palette(id) : nullptr; palette && palette->*has)
        return show::Source<T>(id);
    if (id)
        to.notes.push_back(say(ZELO_TEXT("core", "{}: follows palette {}, which is not there: {}"),
                               o.at(link).text(), id.value,
                               here ? "it stays as it was" : "left out"));
    return here ? std::optional(show::Source<T>(std::move(*here))) : std::nullopt;
}

std::vector<FixtureId> fixturesOf(JsonObject& o, const Show& show, std::vector<Sentence>& notes) {
    std::vector<FixtureId> ids;
    const auto add = [&](int id, const JsonPath& at) {
        if (show.fixture({id}))
            ids.push_back({id});
        else
            notes.push_back(
                say(ZELO_TEXT("core", "{}: no fixture with id {}: left out"), at.text(), id));
    };
    if (o.member("fixture"))
        add(o.integer("fixture", 0, 1, show::kLastId), o.at("fixture"));
    o.each("fixtures", show::kMostFixtures, [&](const Json& j, const JsonPath& at) {
        const bool sound = j.is_number_integer() && j > 0 && j <= show::kLastId;
        if (sound)
            add(j.get<int>(), at);
        else
            o.take(Error{ErrorCode::BadValue,
                         say(ZELO_TEXT("core", "expected the id of a fixture")),
                         {at.text()}});
    });
    if (!o.member("fixture") && !o.member("fixtures"))
        o.complain("fixtures", say(ZELO_TEXT("core", "is missing: whose value is this?")));
    return ids;
}

} // namespace

void readColours(JsonObject& top, Reading& to) {
    top.each("colours", kMostJsonValues, [&](const Json& json, const JsonPath& path) {
        std::optional<Error> inside;
        to.colours.emplace_back(readColour(json, path, to.notes, inside));
        top.take(inside);
    });
}

show::Values readValues(JsonObject& top, const char* name, Reading& to) {
    std::vector<show::Values::Change> values;
    top.each(name, show::kMostFixtures, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        const auto fixtures = fixturesOf(o, to.show, to.notes);
        Value value;
        std::optional<double> intensity;
        if (o.member("intensity"))
            intensity = o.number("intensity", 0, 0, 1);
        value.intensity = sourceOf(o, "intensity_from", "intensity_laid", intensity,
                                   &show::Palette::intensity, to);
        std::optional<ColourWish> colour;
        const Json* place = o.member("colour");
        if (place && place->is_number()) {
            const int at = o.integer("colour", 0, 0, 1 << 30);
            if (static_cast<std::size_t>(at) < to.colours.size())
                value.colour = to.colours[static_cast<std::size_t>(at)];
            else
                o.complain("colour",
                           say(ZELO_TEXT("core", "{}: there is no such one in colours"), at));
        } else {
            colour = readColourMember(o, to.notes);
        }
        if (!value.colour)
            value.colour = sourceOf(o, "colour_from", "colour_laid", std::move(colour),
                                    &show::Palette::colour, to);
        value.parts = readParts(o);
        value.settings = readLevels(o, "settings");
        value.trim = o.number("trim", 1, 0, show::kMostTrim);
        if (o.member("nudge"))
            value.nudge = readUv(o, "nudge").value_or(value.nudge);
        value.unknown = o.unknown();
        top.take(o.error());
        if (value.empty() && value.unknown.empty())
            return;
        const auto shared = std::make_shared<const Value>(std::move(value));
        for (const FixtureId id : fixtures)
            values.emplace_back(id, shared);
    });
    const std::size_t count = values.size();
    auto table = show::Values::of(std::move(values));
    if (table.size() != count)
        top.complain(name, say(ZELO_TEXT("core", "a fixture is there twice")));
    return table;
}

void readPalettes(JsonObject& top, Reading& to) {
    std::vector<Table<show::PaletteId, show::Palette>::Change> palettes;
    std::set<std::string> names;
    std::set<show::PaletteId> ids;
    top.each("palettes", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::Palette p;
        readHead(o, p);
        if (!p.id || p.name.empty() || !ids.insert(p.id).second || !names.insert(p.name).second)
            o.complain(
                "", say(ZELO_TEXT("core", "a palette needs an id and a name that no other has")));
        if (o.member("intensity"))
            p.intensity = o.number("intensity", 0, 0, 1);
        p.colour = readColourMember(o, to.notes);
        p.gradient = readGradientMember(o, to.notes);
        if (p.gradient && (p.colour || p.intensity))
            o.complain("gradient", say(ZELO_TEXT("core", "stands alone: no colour or intensity "
                                                         "beside it")));
        p.unknown = o.unknown();
        to.show.last_palette_id = std::max(to.show.last_palette_id, p.id.value);
        const auto id = p.id;
        palettes.emplace_back(id, std::make_shared<const show::Palette>(std::move(p)));
        top.take(o.error());
    });
    to.show.palettes = to.show.palettes.changed(std::move(palettes));
}

void readLooks(JsonObject& top, Reading& to) {
    std::vector<Table<show::LookId, show::Look>::Change> looks;
    std::set<show::LookId> ids;
    top.each("looks", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::Look look;
        readHead(o, look);
        if (look.id.value == 0 || look.name.empty() || !ids.insert(look.id).second)
            o.complain("", say(ZELO_TEXT("core", "a look needs an id of its own and a name")));
        look.values = readValues(o, "values", to);
        look.time_s = o.number("time_s", look.time_s, 0, show::kLongest_s);
        if (o.member("picture")) {
            auto bytes = fromBase64(o.text("picture"));
            if (bytes)
                if (auto ok = show::checkPicture(*bytes); !ok)
                    bytes = passOn(ok.error());
            if (!bytes)
                o.complain("picture", bytes.error().what);
            else if (!bytes->empty())
                look.picture = std::make_shared<const std::string>(std::move(*bytes));
        }
        look.unknown = o.unknown();
        to.show.last_look_id = std::max(to.show.last_look_id, look.id.value);
        const auto id = look.id;
        looks.emplace_back(id, std::make_shared<const show::Look>(std::move(look)));
        top.take(o.error());
    });
    to.show.looks = to.show.looks.changed(std::move(looks));
}

namespace {

std::vector<show::Point> readOutline(JsonObject& o, const char* name) {
    std::vector<show::Point> outline;
    o.each(name, show::kMostPoints, [&](const Json& json, const JsonPath& at) {
        if (json.is_array() && json.size() == 2 && json[0].is_number() && json[1].is_number())
            outline.push_back({json[0].get<double>(), json[1].get<double>()});
        else
            o.take(Error{ErrorCode::BadValue,
                         say(ZELO_TEXT("core", "expected a point [x_m, y_m]")),
                         {at.text()}});
    });
    return outline;
}

Json outlineJson(const std::vector<show::Point>& outline) {
    Json list = Json::array();
    for (const auto& p : outline)
        list.push_back({p.x_m, p.y_m});
    return list;
}

} // namespace

void readStage(JsonObject& top, Reading& to) {
    const Json* json = top.member("stage");
    if (!json)
        return;
    JsonObject o(*json, top.at("stage"));
    show::StagePlan stage;
    stage.outline = readOutline(o, "outline");
    o.each("areas", show::kMostAreas, [&](const Json& area, const JsonPath& path) {
        JsonObject a(area, path);
        show::Area read;
        read.name = a.text("name"); // in this order: faults are told as they stand
        read.outline = readOutline(a, "outline");
        read.unknown = a.unknown();
        stage.areas.push_back(std::move(read));
        o.take(a.error());
    });
    stage.figures = readOutline(o, "figures");
    stage.unknown = o.unknown();
    top.take(o.error());
    auto checked = show::changeStage(std::make_shared<const Show>(), stage);
    if (!checked)
        top.complain("stage", checked.error().what);
    to.show.stage = std::make_shared<const show::StagePlan>(std::move(stage));
}

void readMeasured(JsonObject& top, Reading& to) {
    std::vector<Table<std::string, show::Measured>::Change> all;
    top.each("measured", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::Measured m;
        m.name = shortText(o, "name");
        if (m.name.empty())
            o.complain("name", say(ZELO_TEXT("core", "a measured light needs a name")));
        m.spectrum = readSpectrum(o, "spectrum");
        m.unknown = o.unknown();
        const std::string name = m.name;
        all.emplace_back(name, std::make_shared<const show::Measured>(std::move(m)));
        top.take(o.error());
    });
    to.show.measured = to.show.measured.changed(std::move(all));
}

void readCameras(JsonObject& top, Reading& to) {
    top.each("cameras", show::kMostKept, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::FilmCamera camera;
        camera.name = shortText(o, "name");
        for (std::size_t k = 0; k < 3; ++k)
            camera.channels[k] = readSpectrum(o, kCameraChannels[k]);
        camera.balance = readAsked(o, {}, to.notes);
        camera.used = !o.flag("not_used");
        camera.unknown = o.unknown();
        if (!o.error()) {
            auto kept = show::keepCamera(show::nextShow(to.show), std::move(camera));
            if (kept)
                to.show.cameras = (*kept)->cameras;
            else
                to.notes.push_back(say(ZELO_TEXT("core", "{}: {}; left out"), o.at("name").text(),
                                       kept.error().sentence()));
        }
        top.take(o.error());
    });
}

void readCalibration(JsonObject& fixture, show::Fixture& to) {
    const Json* json = fixture.member("calibration");
    if (!json)
        return;
    JsonObject o(*json, fixture.at("calibration"));
    show::Calibration calibration;
    constexpr double off = show::kMostOff_uv;
    calibration.off = {o.number("off_u", 0, -off, off), o.number("off_v", 0, -off, off)};
    if (const Json* emitters = o.member("emitters")) {
        JsonObject e(*emitters, o.at("emitters"));
        if (emitters->is_object() && emitters->size() <= show::kMostNames)
            for (const auto& [name, spectrum] : emitters->items())
                calibration.emitters[name] = readSpectrum(e, name.c_str());
        else
            e.complain("", say(ZELO_TEXT("core", "expected at most {} spectra by name"),
                               show::kMostNames));
        o.take(e.error());
    }
    calibration.unknown = o.unknown();
    fixture.take(o.error());
    if (!calibration.empty() || !calibration.unknown.empty())
        to.calibration = std::make_shared<const show::Calibration>(std::move(calibration));
}

void readTypes(JsonObject& top, Reading& to) {
    std::vector<Table<std::string, light::FixtureType>::Change> types;
    top.each("types", show::kMostTypes, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        const std::string id = shortText(o, "id");
        const auto bytes = fromBase64(o.text("gdtf"));
        top.take(o.error());
        if (!bytes)
            return top.take(Error{bytes.error().code, bytes.error().what, {path.text() + ".gdtf"}});
        auto files = unzipped(*bytes, say(ZELO_TEXT("core", "a GDTF archive")), &to.unpacked_left);
        auto type = files ? typeOfFiles(std::move(*files)) : passOn(files.error());
        if (!type || id.empty())
            return top.take(Error{ErrorCode::BadValue,
                                  type ? "a fixture type needs an id" : type.error().text(),
                                  {path.text()}});
        type->id = id;
        types.emplace_back(id, std::make_shared<const light::FixtureType>(std::move(*type)));
    });
    to.show.types = to.show.types.changed(std::move(types));
}

void readOutputs(JsonObject& top, Reading& to) {
    std::vector<light::Asked> favourites;
    top.each("favourites", show::kMostKept, [&](const Json& j, const JsonPath& at) {
        if (!j.is_string())
            return top.take(Error{ErrorCode::BadValue,
                                  say(ZELO_TEXT("core", "expected a colour as text")),
                                  {at.text()}});
        if (auto asked = light::parseAsked(j.get<std::string>()))
            favourites.push_back(std::move(*asked));
        else
            to.notes.push_back(
                say(ZELO_TEXT("core", "{}: {}: left out"), at.text(), asked.error().sentence()));
    });
    if (!favourites.empty())
        to.show.favourites =
            std::make_shared<const std::vector<light::Asked>>(std::move(favourites));
    top.each("outputs", show::kMostOutputs, [&](const Json& json, const JsonPath& path) {
        JsonObject o(json, path);
        show::OutputLine line;
        line.first = static_cast<std::uint16_t>(o.integer("first", 1, 1, 63999));
        line.count = o.integer("count", 1, 1, 63999);
        const auto protocol = o.text("protocol", "E1.31");
        if (protocol == "Art-Net")
            line.protocol = show::Protocol::ArtNet;
        else if (protocol != "E1.31")
            o.complain("protocol",
                       say(ZELO_TEXT("core", "'{}': expected E1.31 or Art-Net"), protocol));
        line.address = o.text("address", "127.0.0.1");
        line.to = o.integer("to", 1, 0, 63999);
        line.on = !o.flag("off");
        line.priority = o.integer("priority", 100, 0, 200);
        line.sync = o.flag("sync");
        line.unknown = o.unknown();
        if (const auto ok = show::checkOutput(line); !ok)
            o.complain("", ok.error().what);
        to.show.outputs.push_back(std::move(line));
        top.take(o.error());
    });
}

// --- writing ---------------------------------------------------------------------------------

Json colourJson(const ColourWish& wish) {
    Json j;
    j["asked"] = light::toText(wish.asked);
    j["uv"] = {wish.uv.u, wish.uv.v};
    writeMixing(j, wish);
    writeUnknown(j, wish.unknown);
    return j;
}

namespace {

// All of a value's members but whose it is, as text: `,"intensity":0.5,"colour":3`. Shows have
// hundreds of thousands of them.
std::string valueText(const Value& value, Tables& tables) {
    std::string text;
    const auto add = [&](const char* name, const auto& member) {
        fmt::format_to(std::back_inserter(text), ",\"{}\":{}", name, member);
    };
    if (value.intensity) {
        if (const double* here = value.intensity->here())
            add("intensity", *here);
        else if (const auto* laying = value.intensity->laying())
            add("intensity_laid", tables.layings.placeOf(*laying));
        else
            add("intensity_from", value.intensity->palette().value);
    }
    if (value.colour) {
        if (const ColourWish* here = value.colour->here())
            add("colour", tables.colours.placeOf(*here));
        else if (const auto* laying = value.colour->laying())
            add("colour_laid", tables.layings.placeOf(*laying));
        else
            add("colour_from", value.colour->palette().value);
    }
    if (value.trim != 1)
        add("trim", value.trim);
    if (value.nudge.u != 0 || value.nudge.v != 0)
        add("nudge", fmt::format("[{},{}]", value.nudge.u, value.nudge.v));
    if (!value.parts.empty()) {
        Json parts;
        for (const auto& [part, level] : value.parts)
            parts[part] = level;
        add("parts", jsonText(parts));
    }
    if (!value.settings.empty()) {
        Json settings;
        for (const auto& [setting, share] : value.settings)
            settings[setting] = share;
        add("settings", jsonText(settings));
    }
    if (!value.unknown.empty()) {
        Json known = Json::parse("{\"fixtures\":[]" + text + "}", nullptr, false);
        const std::size_t before = known.size();
        writeUnknown(known, value.unknown);
        std::size_t at = 0;
        for (const auto& [name, member] : known.items())
            if (at++ >= before)
                fmt::format_to(std::back_inserter(text), ",{}:{}", jsonText(Json(name)),
                               jsonText(member));
    }
    return text;
}

std::size_t mixed(std::size_t seed, std::size_t with) {
    return seed ^ (with + 0x9e3779b97f4a7c15u + (seed << 6) + (seed >> 2));
}

struct HashOfAsked {
    std::size_t operator()(const light::AskedGel& a) const {
        const std::hash<std::string> text;
        return mixed(mixed(text(a.id), text(a.layer)),
                     std::hash<double>()(a.lamp_k.value_or(0)) ^ text(a.lamp));
    }
    std::size_t operator()(const light::AskedWhite& a) const {
        return mixed(std::hash<double>()(a.cct_k), std::hash<double>()(a.duv.value_or(1)));
    }
    std::size_t operator()(const light::AskedXy& a) const {
        return mixed(std::hash<double>()(a.x), std::hash<double>()(a.y));
    }
    std::size_t operator()(const light::AskedUv& a) const {
        return mixed(std::hash<double>()(a.u), std::hash<double>()(a.v));
    }
    std::size_t operator()(const light::AskedSrgb& a) const {
        return static_cast<std::size_t>(a.r << 16 | a.g << 8 | a.b);
    }
    std::size_t operator()(const light::AskedMeasured& a) const {
        return std::hash<std::string>()(a.name);
    }
    std::size_t operator()(const light::AskedPalette& a) const {
        return std::hash<std::string>()(a.name) + 1;
    }
};

} // namespace

std::size_t ColourTable::HashOf::operator()(const ColourWish& wish) const {
    return mixed(std::visit(HashOfAsked{}, wish.asked),
                 mixed(std::hash<double>()(wish.uv.u), std::hash<double>()(wish.give_up)));
}

std::size_t ColourTable::placeOf(const ColourWish& colour) {
    const auto [at, fresh] = places_.try_emplace(colour, all_.size());
    if (fresh)
        all_.push_back(jsonText(colourJson(colour)));
    return at->second;
}

Json calibrationJson(const show::Calibration& calibration) {
    Json j = Json::object();
    if (calibration.off.u != 0 || calibration.off.v != 0) {
        j["off_u"] = calibration.off.u;
        j["off_v"] = calibration.off.v;
    }
    for (const auto& [name, spectrum] : calibration.emitters)
        j["emitters"][name] = spectrumText(spectrum);
    writeUnknown(j, calibration.unknown);
    return j;
}

std::vector<std::string> valuesText(const show::Values& values, Tables& tables) {
    struct Line {
        std::string fixtures, rest;
    };
    std::vector<Line> lines;
    std::unordered_map<const Value*, std::size_t> by_pointer;
    std::unordered_map<std::string, std::size_t> by_text;
    for (const auto& [id, value] : values) {
        const auto [known, fresh] = by_pointer.try_emplace(value.get(), lines.size());
        if (fresh) {
            auto rest = valueText(*value, tables);
            const auto [same, is_new] = by_text.try_emplace(rest, lines.size());
            if (is_new)
                lines.push_back({{}, std::move(rest)});
            known->second = same->second;
        }
        auto& fixtures = lines[known->second].fixtures;
        fmt::format_to(std::back_inserter(fixtures), "{}{}", fixtures.empty() ? "" : ",", id.value);
    }
    std::vector<std::string> texts;
    texts.reserve(lines.size());
    for (const Line& line : lines)
        texts.push_back("{\"fixtures\":[" + line.fixtures + "]" + line.rest + "}");
    return texts;
}

Json paletteJson(const show::Palette& p) {
    Json j = headJson(p);
    if (p.intensity)
        j["intensity"] = *p.intensity;
    if (p.colour)
        j["colour"] = colourJson(*p.colour);
    if (p.gradient)
        j["gradient"] = gradientJson(*p.gradient);
    writeUnknown(j, p.unknown);
    return j;
}

std::string lookText(const show::Look& look, Tables& tables) {
    Json j = headJson(look);
    if (look.time_s != show::Look{}.time_s)
        j["time_s"] = look.time_s;
    if (look.picture)
        j["picture"] = toBase64(*look.picture);
    writeUnknown(j, look.unknown);
    std::string text = jsonText(j);
    text.back() = ',';
    text += "\"values\":[";
    const char* before = "";
    for (const auto& value : valuesText(look.values, tables)) {
        text += before;
        text += value;
        before = ",";
    }
    return text + "]}";
}

Json stageJson(const show::StagePlan& stage) {
    Json j;
    j["outline"] = outlineJson(stage.outline);
    j["areas"] = Json::array();
    for (const auto& a : stage.areas) {
        Json area{{"name", a.name}, {"outline", outlineJson(a.outline)}};
        writeUnknown(area, a.unknown);
        j["areas"].push_back(std::move(area));
    }
    if (!stage.figures.empty())
        j["figures"] = outlineJson(stage.figures);
    writeUnknown(j, stage.unknown);
    return j;
}

Json cameraJson(const show::FilmCamera& camera) {
    Json j{{"name", camera.name}, {"asked", light::toText(camera.balance)}};
    for (std::size_t k = 0; k < 3; ++k)
        j[kCameraChannels[k]] = spectrumText(camera.channels[k]);
    if (!camera.used)
        j["not_used"] = true;
    writeUnknown(j, camera.unknown);
    return j;
}

Json measuredJson(const show::Measured& measured) {
    Json j{{"name", measured.name}, {"spectrum", spectrumText(measured.spectrum)}};
    writeUnknown(j, measured.unknown);
    return j;
}

Result<Json> typeJson(const std::string& id, const std::shared_ptr<const light::FixtureType>& type,
                      std::size_t& left) {
    // Packing takes time and types hardly change: each is packed once.
    struct Packed {
        std::weak_ptr<const light::FixtureType> of;
        std::string text;
        std::size_t unpacked = 0; // bytes
    };
    const auto json = [&](const Packed& p) -> Result<Json> {
        if (p.unpacked > left)
            return fail(
                ErrorCode::TooLarge,
                ZELO_TEXT("core", "fixture type '{}': the show's types are more than {} MB in all"),
                id, kMostUnpacked >> 20);
        left -= p.unpacked;
        return Json{{"id", id}, {"gdtf", p.text}};
    };
    static std::mutex mutex;
    static std::map<const light::FixtureType*, Packed> packed;
    {
        const std::lock_guard lock(mutex);
        std::erase_if(packed, [](const auto& p) { return p.second.of.expired(); });
        if (const auto known = packed.find(type.get()); known != packed.end())
            return json(known->second);
    }
    const auto bytes = zipped(gdtfFiles(*type));
    if (!bytes)
        return passOn(bytes.error(), say(ZELO_TEXT("core", "fixture type '{}'"), id));
    std::size_t most = kMostUnpacked;
    if (const auto back = unzipped(*bytes, say(ZELO_TEXT("core", "a GDTF archive")), &most); !back)
        return passOn(back.error(), say(ZELO_TEXT("core", "fixture type '{}'"), id));
    const Packed made{type, toBase64(*bytes), kMostUnpacked - most};
    const std::lock_guard lock(mutex);
    packed[type.get()] = made;
    return json(made);
}

Json outputJson(const show::OutputLine& line) {
    Json j;
    j["first"] = line.first;
    j["count"] = line.count;
    j["protocol"] = line.protocol == show::Protocol::ArtNet ? "Art-Net" : "E1.31";
    j["address"] = line.address;
    j["to"] = line.to;
    if (!line.on)
        j["off"] = true;
    if (line.priority != 100)
        j["priority"] = line.priority;
    if (line.sync)
        j["sync"] = true;
    writeUnknown(j, line.unknown);
    return j;
}

} // namespace zelo::files
