// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/show_parts.h"

#include "files/detail/archive.h"
#include "files/detail/base64.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "show/kept.h"

#include <algorithm>

namespace zelo::files {

using show::FixtureId;
using show::Show;
using show::Value;

namespace {

constexpr std::size_t kMostKept = 20'000;
constexpr std::size_t kMostPoints = 1'000;
constexpr std::size_t kMostTypes = 500;

show::ColourWish readColour(const Json& json, const std::string& path,
                            std::optional<Error>& error) {
    JsonObject o(json, path);
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
        JsonObject p(*pins, o.at("pins"));
        if (pins->is_object())
            for (const auto& [emitter, drive] : pins->items())
                wish.pins.emplace_back(emitter, p.number(emitter.c_str(), 0, 0, 1));
        o.take(p.error());
    }
    error = o.error();
    return wish;
}

} // namespace

show::Values readValues(JsonObject& top, const char* name, const Show& show) {
    show::Values values;
    top.each(name, kMostFixtures, [&](const Json& json, const std::string& path) {
        JsonObject o(json, path);
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
        value.intensity_from = {o.integer("intensity_from", 0, 0, 1 << 30)};
        value.colour_from = {o.integer("colour_from", 0, 0, 1 << 30)};
        for (const auto from : {value.intensity_from, value.colour_from})
            if (from && !show.palette(from))
                o.complain("", fmt::format("follows palette {}, which is not there", from.value));
        if (values.contains(id))
            o.complain("fixture", fmt::format("fixture {} is there twice", id.value));
        values[id] = std::make_shared<const Value>(std::move(value));
        top.take(o.error());
    });
    return values;
}

void readPalettes(JsonObject& top, Show& show) {
    top.each("palettes", kMostKept, [&](const Json& json, const std::string& path) {
        JsonObject o(json, path);
        show::Palette p;
        p.id = {o.integer("id", 0, 1, 1 << 30)};
        p.name = o.text("name");
        if (!p.id || p.name.empty() || show.palette(p.id) || show.paletteNamed(p.name))
            o.complain("", "a palette needs an id and a name that no other has");
        if (o.member("intensity"))
            p.intensity = o.number("intensity", 0, 0, 1);
        if (const Json* colour = o.member("colour")) {
            std::optional<Error> inside;
            p.colour = readColour(*colour, o.at("colour"), inside);
            o.take(inside);
        }
        p.locked = o.flag("locked");
        p.unknown = o.unknown();
        show.last_palette_id = std::max(show.last_palette_id, p.id.value);
        show.palettes.push_back(std::make_shared<const show::Palette>(std::move(p)));
        top.take(o.error());
    });
}

void readLooks(JsonObject& top, Show& show) {
    top.each("looks", kMostKept, [&](const Json& json, const std::string& path) {
        JsonObject o(json, path);
        show::Look look;
        look.id = {o.integer("id", 0, 1, 1 << 30)};
        look.name = o.text("name");
        if (look.id.value == 0 || look.name.empty() || show.lookOf(look.id))
            o.complain("", "a look needs an id of its own and a name");
        look.values = readValues(o, "values", show);
        look.locked = o.flag("locked");
        look.unknown = o.unknown();
        show.last_look_id = std::max(show.last_look_id, look.id.value);
        show.looks.push_back(std::make_shared<const show::Look>(std::move(look)));
        top.take(o.error());
    });
}

namespace {

std::vector<show::Point> readOutline(JsonObject& o, const char* name) {
    std::vector<show::Point> outline;
    o.each(name, kMostPoints, [&](const Json& json, const std::string& at) {
        if (json.is_array() && json.size() == 2 && json[0].is_number() && json[1].is_number())
            outline.push_back({json[0].get<double>(), json[1].get<double>()});
        else
            o.take(Error{ErrorCode::BadValue, "expected a point [x_m, y_m]", at});
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

void readStage(JsonObject& top, Show& show) {
    const Json* json = top.member("stage");
    if (!json)
        return;
    JsonObject o(*json, top.at("stage"));
    show::StagePlan stage;
    stage.outline = readOutline(o, "outline");
    o.each("areas", kMostKept, [&](const Json& area, const std::string& path) {
        JsonObject a(area, path);
        const std::string name = a.text("name"); // in this order: faults are told as they stand
        stage.areas.push_back({name, readOutline(a, "outline")});
        o.take(a.error());
    });
    top.take(o.error());
    auto checked = show::changeStage(std::make_shared<const Show>(), stage);
    if (!checked)
        top.complain("stage", checked.error().detail);
    show.stage = std::make_shared<const show::StagePlan>(std::move(stage));
}

namespace {

// 401 powers, 380 to 780 nm; a fault is left in `o`.
colour::Spectrum readSpectrum(JsonObject& o, const char* name) {
    colour::Grid grid{};
    std::size_t i = 0;
    o.each(name, grid.size(), [&](const Json& j, const std::string& at) {
        const double power = j.is_number() ? j.get<double>() : -1;
        if (power >= 0 && std::isfinite(power))
            grid[i++] = power;
        else
            o.take(Error{ErrorCode::BadValue, "expected a power of 0 or more", at});
    });
    if (i != grid.size())
        o.complain(name, "expected 401 powers, 380 to 780 nm");
    return colour::Spectrum(o.error() ? colour::Grid{} : grid);
}

} // namespace

void readMeasured(JsonObject& top, Show& show) {
    top.each("measured", kMostKept, [&](const Json& json, const std::string& path) {
        JsonObject o(json, path);
        const std::string name = o.text("name");
        if (name.empty())
            o.complain("name", "a measured light needs a name");
        show.measured.push_back(std::make_shared<const show::Measured>(
            show::Measured{name, readSpectrum(o, "spectrum")}));
        top.take(o.error());
    });
}

void readCalibration(JsonObject& fixture, show::Fixture& to) {
    const Json* json = fixture.member("calibration");
    if (!json)
        return;
    JsonObject o(*json, fixture.at("calibration"));
    show::Calibration calibration;
    calibration.off = {o.number("off_u", 0, -0.2, 0.2), o.number("off_v", 0, -0.2, 0.2)};
    if (const Json* emitters = o.member("emitters")) {
        JsonObject e(*emitters, o.at("emitters"));
        if (emitters->is_object())
            for (const auto& [name, spectrum] : emitters->items())
                calibration.emitters[name] = readSpectrum(e, name.c_str());
        o.take(e.error());
    }
    fixture.take(o.error());
    if (!calibration.empty())
        to.calibration = std::make_shared<const show::Calibration>(std::move(calibration));
}

void readTypes(JsonObject& top, Show& show) {
    top.each("types", kMostTypes, [&](const Json& json, const std::string& path) {
        JsonObject o(json, path);
        const std::string id = o.text("id");
        const auto bytes = fromBase64(o.text("gdtf"));
        top.take(o.error());
        if (!bytes)
            return top.take(Error{bytes.error().code, bytes.error().detail, path + ".gdtf"});
        auto files = unzipped(*bytes, "a GDTF archive");
        auto type = files ? typeOfFiles(std::move(*files)) : passOn(files.error());
        if (!type || id.empty())
            return top.take(Error{ErrorCode::BadValue,
                                  type ? "a fixture type needs an id" : type.error().text(), path});
        type->id = id;
        show.types[id] = std::make_shared<const light::FixtureType>(std::move(*type));
    });
}

void readOutputs(JsonObject& top, Show& show) {
    top.each("favourites", kMostKept, [&](const Json& j, const std::string& at) {
        if (j.is_string())
            show.favourites.push_back(j.get<std::string>());
        else
            top.take(Error{ErrorCode::BadValue, "expected a colour as text", at});
    });
    top.each("outputs", kMostKept, [&](const Json& json, const std::string& path) {
        JsonObject o(json, path);
        show::OutputLine line;
        line.first = static_cast<std::uint16_t>(o.integer("first", 1, 1, 63999));
        line.count = o.integer("count", 1, 1, 63999);
        const auto protocol = o.text("protocol", "E1.31");
        if (protocol == "Art-Net")
            line.protocol = show::Protocol::ArtNet;
        else if (protocol != "E1.31")
            o.complain("protocol", fmt::format("'{}': expected E1.31 or Art-Net", protocol));
        line.address = o.text("address", "127.0.0.1");
        line.to = o.integer("to", 1, 0, 63999);
        line.on = !o.flag("off");
        if (const auto ok = show::checkOutput(line); !ok)
            o.complain("", ok.error().detail);
        show.outputs.push_back(std::move(line));
        top.take(o.error());
    });
}

// --- writing ---------------------------------------------------------------------------------

namespace {

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

} // namespace

Json calibrationJson(const show::Calibration& calibration) {
    Json j = Json::object();
    if (calibration.off.u != 0 || calibration.off.v != 0) {
        j["off_u"] = calibration.off.u;
        j["off_v"] = calibration.off.v;
    }
    for (const auto& [name, spectrum] : calibration.emitters)
        j["emitters"][name] = spectrum.values();
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
        if (value->intensity_from)
            j["intensity_from"] = value->intensity_from.value;
        if (value->colour_from)
            j["colour_from"] = value->colour_from.value;
        list.push_back(std::move(j));
    }
    return list;
}

namespace {

Json paletteJson(const show::Palette& p) {
    Json j;
    j["id"] = p.id.value;
    j["name"] = p.name;
    if (p.intensity)
        j["intensity"] = *p.intensity;
    if (p.colour)
        j["colour"] = colourJson(*p.colour);
    if (p.locked)
        j["locked"] = true;
    writeUnknown(j, p.unknown);
    return j;
}

Json lookJson(const show::Look& look) {
    Json j;
    j["id"] = look.id.value;
    j["name"] = look.name;
    j["values"] = valuesJson(look.values);
    if (look.locked)
        j["locked"] = true;
    writeUnknown(j, look.unknown);
    return j;
}

Json stageJson(const show::StagePlan& stage) {
    Json j;
    j["outline"] = outlineJson(stage.outline);
    j["areas"] = Json::array();
    for (const auto& a : stage.areas)
        j["areas"].push_back({{"name", a.name}, {"outline", outlineJson(a.outline)}});
    return j;
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
    return j;
}

} // namespace

void writeParts(Json& to, const Show& show) {
    to["last_palette_id"] = show.last_palette_id;
    to["last_look_id"] = show.last_look_id;
    for (const auto& p : show.palettes)
        to["palettes"].push_back(paletteJson(*p));
    for (const auto& look : show.looks)
        to["looks"].push_back(lookJson(*look));
    if (show.stage)
        to["stage"] = stageJson(*show.stage);
    for (const auto& m : show.measured)
        to["measured"].push_back({{"name", m->name}, {"spectrum", m->spectrum.values()}});
    for (const auto& [id, type] : show.types)
        if (const auto bytes = zipped(gdtfFiles(*type)))
            to["types"].push_back({{"id", id}, {"gdtf", toBase64(*bytes)}});
    if (!show.favourites.empty())
        to["favourites"] = show.favourites;
    for (const auto& line : show.outputs)
        to["outputs"].push_back(outputJson(line));
}

} // namespace zelo::files
