// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/gdtf_reader.h"

#include "base/file.h"
#include "base/text.h"
#include "colour/resample.h"
#include "colour/smoothest.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <nlohmann/json.hpp>
#include <pugixml.hpp>
#include <zip.h>

namespace zelo::files {

using light::Channel;
using light::Emitter;
using light::FixtureType;
using light::Mode;
using light::Response;

namespace {

constexpr std::size_t kMostBytes = 32u << 20;
constexpr std::size_t kMostModes = 200;
constexpr std::size_t kMostChannels = 512;
constexpr double kModelledWidthNm = 20; // FWHM of an emitter known only by its wavelength

double number(const pugi::xml_node& node, const char* attribute, double otherwise) {
    return toNumber(node.attribute(attribute).value()).value_or(otherwise);
}

tl::unexpected<Error> bad(const std::string& where, std::string what) {
    return passOn(Error{ErrorCode::BadValue, std::move(what), {}}, where);
}

// "0.3,0.3,1200" → chromaticity and luminance.
std::optional<std::array<double, 3>> colourCie(const pugi::xml_node& node) {
    const auto parts = split(node.attribute("Color").value(), ',');
    if (parts.size() != 3)
        return std::nullopt;
    std::array<double, 3> xyY{};
    for (std::size_t i = 0; i < 3; ++i) {
        const auto n = toNumber(parts[i]);
        if (!n)
            return std::nullopt;
        xyY[i] = *n;
    }
    return xyY;
}

colour::Spectrum lineAt(double nm) {
    colour::Grid grid;
    for (std::size_t i = 0; i < grid.size(); ++i) {
        const double d = (colour::kGridFirstNm + static_cast<double>(i) - nm) / kModelledWidthNm;
        grid[i] = std::exp(-4 * std::log(2.0) * d * d);
    }
    return colour::Spectrum(grid);
}

// For an emitter without measurement: by its dominant wavelength, else by its chromaticity.
std::optional<colour::Spectrum> modelled(const pugi::xml_node& node) {
    const double nm = number(node, "DominantWaveLength", 0);
    const auto xyY = colourCie(node);
    if (xyY && (*xyY)[1] > 0) {
        if (const auto smooth =
                colour::smoothestSpectrum(colour::toXyz(colour::Xy{(*xyY)[0], (*xyY)[1]})))
            return smooth;
    }
    if (nm >= colour::kGridFirstNm && nm <= colour::kGridLastNm)
        return lineAt(nm);
    return std::nullopt;
}

Result<Emitter> readEmitter(const pugi::xml_node& node, std::vector<std::string>& notes) {
    Emitter emitter;
    emitter.name = node.attribute("Name").value();
    const std::string where = "Emitter '" + emitter.name + "'";
    if (emitter.name.empty())
        return bad("Emitter", "an emitter needs a Name");
    pugi::xml_node full; // the measurement at the highest drive
    for (const auto& m : node.children("Measurement"))
        if (m.child("MeasurementPoint") &&
            (!full || number(m, "Physical", 0) > number(full, "Physical", 0)))
            full = m;
    double cd = 0;
    if (full) {
        colour::Samples samples;
        for (const auto& p : full.children("MeasurementPoint")) {
            const auto nm = toNumber(p.attribute("WaveLength").value());
            const auto energy = toNumber(p.attribute("Energy").value());
            if (!nm || !energy)
                return bad(where,
                           fmt::format("MeasurementPoint {}: WaveLength '{}' and Energy "
                                       "'{}' must be numbers",
                                       samples.values.size() + 1, p.attribute("WaveLength").value(),
                                       p.attribute("Energy").value()));
            samples.wavelengths_nm.push_back(*nm);
            samples.values.push_back(*energy);
            if (samples.values.size() > colour::kMostSamples)
                return bad(where, "too many MeasurementPoints");
        }
        auto spectrum = colour::lightFromSamples(samples);
        if (!spectrum)
            return passOn(spectrum.error(), where);
        emitter.spectrum = *spectrum;
        cd = number(full, "LuminousIntensity", 0);
    } else if (const auto made = modelled(node)) {
        emitter.spectrum = *made;
        emitter.modelled = true;
        notes.push_back(fmt::format("{}: no measurement, spectrum modelled", where));
    } else {
        return bad(where, "no Measurement, and no Color or DominantWaveLength to model one from");
    }
    if (!(cd >= 0) || cd > 1e9)
        return bad(where, fmt::format("LuminousIntensity {}: must be within 0..1e9 cd", cd));
    const double y = emitter.xyz().Y;
    if (cd == 0) {
        const auto xyY = colourCie(node);
        cd = xyY && (*xyY)[2] > 0 ? (*xyY)[2] : 0;
        if (cd > 0)
            notes.push_back(fmt::format("{}: no LuminousIntensity, its Color's is taken", where));
        else if (y > 0)
            notes.push_back(fmt::format("{}: no LuminousIntensity, its energies are taken as "
                                        "W/(sr nm)",
                                        where));
    }
    if (y > 0 && cd > 0)
        emitter.spectrum = emitter.spectrum.scaled(cd / y);
    return emitter;
}

// CFC0 + CFC1 d + CFC2 d² + CFC3 d³ in percent, d = percent above the point → shares.
Result<Response> readProfile(const pugi::xml_node& node) {
    std::vector<Response::Piece> pieces;
    for (const auto& p : node.children("Point")) {
        Response::Piece piece;
        piece.from = number(p, "DMXPercentage", 0) / 100;
        piece.c[0] = number(p, "CFC0", 0) / 100;
        piece.c[1] = number(p, "CFC1", 0);
        piece.c[2] = number(p, "CFC2", 0) * 100;
        piece.c[3] = number(p, "CFC3", 0) * 100 * 100;
        pieces.push_back(piece);
        if (pieces.size() > 1000)
            break;
    }
    auto response = Response::ofPieces(std::move(pieces));
    if (!response)
        return passOn(response.error(),
                      fmt::format("DMXProfile '{}'", node.attribute("Name").value()));
    return response;
}

// "65535/2": a value and the bytes it is meant for, brought to `bytes`.
std::uint32_t dmxValue(const char* text, std::size_t bytes) {
    const auto parts = split(text, '/');
    const auto value = toNumber(parts[0]);
    const auto of = parts.size() == 2 ? toInteger(parts[1]) : std::optional<int>(1);
    if (!value || !of || *of < 1 || *of > 4 || *value < 0)
        return 0;
    const double from = std::pow(256.0, *of) - 1;
    const double to = std::pow(256.0, static_cast<double>(bytes)) - 1;
    return static_cast<std::uint32_t>(std::llround(std::min(1.0, *value / from) * to));
}

class TypeReader {
public:
    Result<FixtureType> read(const pugi::xml_node& root) {
        const auto node = root.child("FixtureType");
        if (!node)
            return bad("description.xml", "no FixtureType in it");
        type_.name = node.attribute("LongName").value();
        if (const std::string brief = node.attribute("Name").value(); type_.name.empty())
            type_.name = brief;
        type_.maker = node.attribute("Manufacturer").value();
        type_.description = node.attribute("Description").value();
        const auto physical = node.child("PhysicalDescriptions");
        for (const auto& e : physical.child("Emitters").children("Emitter")) {
            auto emitter = readEmitter(e, type_.notes);
            if (!emitter)
                return passOn(emitter.error());
            if (!emitters_.emplace(emitter->name, type_.emitters.size()).second)
                return bad("Emitter '" + emitter->name + "'", "there is another of this name");
            type_.emitters.push_back(std::move(*emitter));
            if (type_.emitters.size() > light::kMostEmitters)
                return bad("Emitters", fmt::format("more than {} emitters", light::kMostEmitters));
        }
        if (type_.emitters.empty())
            return bad("Emitters", "no emitters: only fixtures with additive emitters are read");
        for (const auto& p : physical.child("DMXProfiles").children("DMXProfile")) {
            auto response = readProfile(p);
            if (!response)
                return passOn(response.error());
            profiles_[p.attribute("Name").value()] = *response;
        }
        for (const auto& m : node.child("DMXModes").children("DMXMode")) {
            auto mode = readMode(m);
            if (!mode)
                return passOn(mode.error(),
                              fmt::format("DMXMode '{}'", m.attribute("Name").value()));
            type_.modes.push_back(std::move(*mode));
            if (type_.modes.size() > kMostModes)
                return bad("DMXModes", fmt::format("more than {} modes", kMostModes));
        }
        if (type_.modes.empty())
            return bad("DMXModes", "no modes");
        return std::move(type_);
    }

private:
    Result<Mode> readMode(const pugi::xml_node& node) {
        Mode mode;
        mode.name = node.attribute("Name").value();
        std::vector<char> taken(type_.emitters.size(), 0);
        std::map<int, std::string> owner; // who has a slot
        for (const auto& c : node.child("DMXChannels").children("DMXChannel")) {
            auto channel = readChannel(c, taken);
            if (!channel)
                return passOn(channel.error());
            if (channel->offsets.empty()) // "None": not on the wire
                continue;
            for (const int offset : channel->offsets) {
                if (!owner.emplace(offset, channel->attribute).second)
                    return bad(channel->attribute,
                               fmt::format("offset {} is taken by {}", offset, owner[offset]));
                mode.footprint = std::max(mode.footprint, offset);
            }
            if (channel->role == light::Role::Dimmer && mode.dimmer()) {
                channel->role = light::Role::Other;
                type_.notes.push_back(
                    fmt::format("mode '{}': a second dimmer is left at home", mode.name));
            }
            mode.channels.push_back(std::move(*channel));
            if (mode.channels.size() > kMostChannels)
                return bad("DMXChannels", fmt::format("more than {} channels", kMostChannels));
        }
        if (mode.channels.empty())
            return bad("DMXChannels", "no channels");
        std::sort(mode.channels.begin(), mode.channels.end(),
                  [](const Channel& a, const Channel& b) {
                      return a.offsets.front() < b.offsets.front();
                  });
        return mode;
    }

    Result<Channel> readChannel(const pugi::xml_node& node, std::vector<char>& taken) {
        Channel channel;
        const std::string offset = node.attribute("Offset").value();
        const auto logical = node.child("LogicalChannel");
        const auto function = logical.child("ChannelFunction");
        channel.attribute = logical.attribute("Attribute").value();
        channel.name = function.attribute("Emitter").value();
        if (channel.name.empty())
            channel.name = channel.attribute;
        if (offset.empty() || offset == "None")
            return channel;
        for (const auto part : split(offset, ',')) {
            const auto n = toInteger(part);
            if (!n || *n < 1 || *n > 512 || channel.offsets.size() == 4)
                return bad(channel.attribute, fmt::format("Offset '{}': expected up to four "
                                                          "numbers from 1 to 512",
                                                          offset));
            channel.offsets.push_back(*n);
        }
        if (channel.offsets.size() > 3) { // 24 bit are kept; a fourth byte is finer than light
            channel.offsets.resize(3);
            type_.notes.push_back(channel.attribute + ": its fourth byte is left at 0");
        }
        const auto home = function.attribute("Default") ? function.attribute("Default")
                                                        : node.attribute("Default");
        channel.home = dmxValue(home.value(), channel.offsets.size());
        channel.highlight = dmxValue(node.attribute("Highlight").value(), channel.offsets.size());
        if (const std::string profile = function.attribute("DMXProfile").value();
            !profile.empty()) {
            const auto known = profiles_.find(profile);
            if (known == profiles_.end())
                return bad(channel.attribute, fmt::format("DMXProfile '{}' is not there", profile));
            channel.response = known->second;
        }
        if (channel.attribute == "Dimmer") {
            channel.role = light::Role::Dimmer;
        } else if (const std::string name = function.attribute("Emitter").value(); !name.empty()) {
            const auto emitter = emitters_.find(name);
            if (emitter == emitters_.end())
                return bad(channel.attribute, fmt::format("Emitter '{}' is not there", name));
            if (taken[emitter->second]++) {
                type_.notes.push_back(fmt::format("a second channel for {} is left at home", name));
            } else {
                channel.role = light::Role::Emitter;
                channel.emitter = emitter->second;
            }
        } else {
            type_.notes.push_back(
                fmt::format("channel {} is left at home: it drives no emitter", channel.attribute));
        }
        return channel;
    }

    FixtureType type_;
    std::map<std::string, std::size_t> emitters_;
    std::map<std::string, Response> profiles_;
};

void readPower(std::string_view text, FixtureType& type) {
    const auto json = nlohmann::json::parse(text, nullptr, false);
    const auto emitters =
        json.is_object() ? json.value("emitters", nlohmann::json::object()) : nlohmann::json();
    if (!emitters.is_object()) {
        type.notes.push_back("zelochrome.json is not read: expected {\"emitters\": {…}}");
        return;
    }
    for (Emitter& e : type.emitters)
        if (const auto it = emitters.find(e.name); it != emitters.end() && it->is_object())
            if (const auto w = it->find("power_w");
                w != it->end() && w->is_number() && w->get<double>() >= 0)
                e.power_w = w->get<double>();
}

// One file out of a ZIP archive; size bounded before it is unpacked.
Result<std::string> zipEntry(zip_t* archive, const char* name) {
    zip_stat_t stat;
    if (zip_stat(archive, name, 0, &stat) != 0)
        return fail(ErrorCode::NotFound, "no {} in the archive", name);
    if (stat.size > kMostBytes)
        return fail(ErrorCode::TooLarge, "{}: {} bytes unpacked, at most {} are read", name,
                    stat.size, kMostBytes);
    zip_file_t* file = zip_fopen(archive, name, 0);
    if (!file)
        return fail(ErrorCode::Io, "{}: {}", name, zip_strerror(archive));
    std::string bytes(stat.size, '\0');
    const auto got = zip_fread(file, bytes.data(), bytes.size());
    zip_fclose(file);
    if (got != static_cast<zip_int64_t>(bytes.size()))
        return fail(ErrorCode::Truncated, "{}: the archive is damaged", name);
    return bytes;
}

struct Parts {
    std::string description;
    std::string power;
};

Result<Parts> readParts(const std::filesystem::path& path) {
    if (std::filesystem::is_directory(path)) {
        auto description = readFile(path / "description.xml", kMostBytes);
        if (!description)
            return passOn(description.error());
        Parts parts{std::move(*description), {}};
        if (auto power = readFile(path / "zelochrome.json", 1u << 20))
            parts.power = std::move(*power);
        return parts;
    }
    auto bytes = readFile(path);
    if (!bytes)
        return passOn(bytes.error());
    zip_error_t error;
    zip_error_init(&error);
    zip_source_t* source = zip_source_buffer_create(bytes->data(), bytes->size(), 0, &error);
    zip_t* archive = source ? zip_open_from_source(source, ZIP_RDONLY, &error) : nullptr;
    if (!archive) {
        const auto why = fmt::format("not a GDTF archive: {}", zip_error_strerror(&error));
        if (source)
            zip_source_free(source);
        zip_error_fini(&error);
        return bad(path.string(), why);
    }
    auto description = zipEntry(archive, "description.xml");
    auto power = zipEntry(archive, "zelochrome.json");
    zip_discard(archive);
    zip_error_fini(&error);
    if (!description)
        return passOn(description.error(), path.string());
    return Parts{std::move(*description), power ? std::move(*power) : std::string()};
}

} // namespace

Result<FixtureType> parseGdtf(std::string_view description, std::string_view power) {
    pugi::xml_document doc;
    const auto parsed = doc.load_buffer(description.data(), description.size());
    if (!parsed) {
        const auto before = description.substr(0, static_cast<std::size_t>(parsed.offset));
        return passOn(Error{ErrorCode::BadSyntax, parsed.description(), {}},
                      fmt::format("description.xml line {}",
                                  1 + std::count(before.begin(), before.end(), '\n')));
    }
    const auto root = doc.child("GDTF");
    if (!root)
        return bad("description.xml",
                   fmt::format("root <{}>: expected <GDTF>", doc.document_element().name()));
    auto type = TypeReader().read(root);
    if (type && !power.empty())
        readPower(power, *type);
    return type;
}

Result<FixtureType> readGdtf(const std::filesystem::path& path) {
    std::error_code error;
    if (!std::filesystem::exists(path, error))
        return passOn(Error{ErrorCode::NotFound, "no such fixture file or folder", {}},
                      path.string());
    auto parts = readParts(path);
    if (!parts)
        return passOn(parts.error());
    auto type = parseGdtf(parts->description, parts->power);
    if (!type)
        return passOn(type.error(), path.string());
    const auto plain = path.has_filename() ? path : path.parent_path();
    type->id =
        lowered(plain.extension() == ".gdtf" ? plain.stem().string() : plain.filename().string());
    return type;
}

} // namespace zelo::files
