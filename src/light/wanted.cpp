// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/wanted.h"

#include "base/text.h"
#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/srgb.h"

#include <cmath>

namespace zelo::light {

using colour::Spectrum;
using colour::Xyz;

namespace {

Result<Wanted> ofSpectrum(const std::string& asked, const Spectrum& spectrum) {
    const Xyz xyz = colour::toXyz(spectrum);
    if (!(xyz.Y > 0))
        return fail(ErrorCode::BadValue, "{}: no visible light", asked);
    return Wanted{asked, (1 / xyz.Y) * xyz, spectrum.scaled(1 / xyz.Y), std::nullopt, 1};
}

Result<double> kelvinFrom(std::string_view text) {
    const auto k = toNumber(text);
    if (!k || *k < colour::kCoolestK || *k > colour::kHottestK)
        return fail(ErrorCode::BadValue, "'{}': a colour temperature is a number from {} to {} K",
                    text, colour::kCoolestK, colour::kHottestK);
    return *k;
}

Result<Wanted> gelColour(const std::string& asked, const GelText& parts,
                         const ColourSources& sources) {
    Spectrum lamp;
    if (parts.lamp.empty() || toNumber(parts.lamp)) {
        const auto k = parts.lamp.empty() ? Result<double>(kGelLampK) : kelvinFrom(parts.lamp);
        if (!k)
            return passOn(k.error(), asked);
        lamp = colour::lampOf({*k});
    } else {
        auto measured = sources.spectrum(parts.lamp);
        if (!measured)
            return passOn(measured.error());
        lamp = *measured;
    }
    auto gel = sources.gel(parts.id);
    if (!gel)
        return passOn(gel.error());
    Spectrum light = lamp * gel->transmittance;
    if (!parts.layer.empty()) {
        auto second = sources.gel(parts.layer);
        if (!second)
            return passOn(second.error());
        light = light * second->transmittance;
    }
    auto wanted = ofSpectrum(asked, light);
    if (wanted) {
        wanted->lamp = lamp;
        wanted->transmitted = colour::toXyz(light).Y / colour::toXyz(lamp).Y;
    }
    return wanted;
}

Result<Wanted> cctColour(const std::string& asked, std::string_view rest) {
    const auto parts = split(rest, '/');
    const auto k = kelvinFrom(parts[0]);
    if (!k)
        return passOn(k.error(), asked);
    if (parts.size() == 1)
        return ofSpectrum(asked, colour::blackbody({*k}));
    const auto duv = toNumber(parts[1]);
    if (parts.size() > 2 || !duv || std::abs(*duv) > 0.05)
        return fail(ErrorCode::BadValue,
                    "{}: expected cct:KELVIN/DUV with a Duv within -0.05..0.05", asked);
    return Wanted{asked, colour::toXyz(colour::uvOf({{*k}, *duv})), std::nullopt, std::nullopt, 1};
}

// Two numbers of a chromaticity.
Result<colour::Uv> pairFrom(const std::string& asked, std::string_view rest) {
    const auto parts = split(rest, ',');
    const auto a = toNumber(parts[0]);
    const auto b = parts.size() == 2 ? toNumber(parts[1]) : std::nullopt;
    if (!a || !b || *a < 0 || *b <= 0 || *a > 1 || *b > 1)
        return fail(ErrorCode::BadValue,
                    "{}: expected two numbers from 0 to 1 with a comma between", asked);
    return colour::Uv{*a, *b};
}

Result<Wanted> ofXyz(const std::string& asked, const Xyz& xyz) {
    if (!(xyz.X >= -1e-9 && xyz.Z >= -1e-9))
        return fail(ErrorCode::BadValue, "{}: no light has this chromaticity", asked);
    return Wanted{asked, xyz, std::nullopt, std::nullopt, 1};
}

Result<Wanted> srgbColour(const std::string& asked, std::string_view rest) {
    unsigned value = 0;
    bool sound = rest.size() == 7 && rest[0] == '#';
    for (const char c : rest.substr(sound ? 1 : rest.size())) {
        const auto digit = std::string_view("0123456789abcdef").find(lowered({&c, 1}));
        sound = sound && digit != std::string_view::npos;
        value = value * 16 + static_cast<unsigned>(digit & 15);
    }
    if (!sound)
        return fail(ErrorCode::BadValue, "{}: expected srgb:#RRGGBB with six hex digits", asked);
    const Xyz xyz = colour::toXyz(colour::Srgb{static_cast<std::uint8_t>(value >> 16),
                                               static_cast<std::uint8_t>(value >> 8),
                                               static_cast<std::uint8_t>(value)});
    if (!(xyz.Y > 0))
        return fail(ErrorCode::BadValue, "{}: black is no colour of light", asked);
    return Wanted{asked, (1 / xyz.Y) * xyz, std::nullopt, std::nullopt, 1};
}

} // namespace

std::optional<GelText> parseGelText(const std::string& text) {
    constexpr std::string_view kLayer = "+gel:";
    if (!startsWith(text, "gel:"))
        return std::nullopt;
    std::string_view rest = std::string_view(text).substr(4);
    GelText parts;
    const auto plus = rest.find(kLayer);
    const bool layered = plus != std::string_view::npos;
    const std::string_view both[] = {rest.substr(0, plus),
                                     layered ? rest.substr(plus + kLayer.size()) : ""};
    for (const bool second : {false, true}) { // the lamp may stand behind either gel, once
        std::string_view gel = both[second];
        if (second && gel.find(kLayer) != std::string_view::npos)
            return std::nullopt;
        if (const auto at = gel.find('@'); at != std::string_view::npos) {
            const std::string_view lamp = gel.substr(at + 1);
            if (!parts.lamp.empty() || lamp.empty() || lamp.find('@') != std::string_view::npos)
                return std::nullopt;
            parts.lamp = lamp;
            gel = gel.substr(0, at);
        }
        (second ? parts.layer : parts.id) = gel;
    }
    if (parts.id.empty() || (layered && parts.layer.empty()))
        return std::nullopt;
    return parts;
}

std::string toText(const GelText& gel) {
    std::string text = "gel:" + gel.id;
    if (!gel.layer.empty())
        text += "+gel:" + gel.layer;
    if (!gel.lamp.empty())
        text += "@" + gel.lamp;
    return text;
}

Result<Wanted> parseColour(const std::string& text, const ColourSources& sources) {
    const auto colon = text.find(':');
    const std::string kind = text.substr(0, colon);
    const std::string rest = colon == std::string::npos ? "" : text.substr(colon + 1);
    if (kind == "gel") {
        const auto parts = parseGelText(text);
        if (!parts)
            return fail(ErrorCode::BadSyntax, "{}: expected gel:ID, gel:ID@LAMP or gel:ID+gel:ID",
                        text);
        return gelColour(text, *parts, sources);
    }
    if (kind == "cct")
        return cctColour(text, rest);
    if (kind == "xy" || kind == "uv") {
        const auto pair = pairFrom(text, rest);
        if (!pair)
            return passOn(pair.error());
        return ofXyz(text, kind == "uv" ? colour::toXyz(*pair)
                                        : colour::toXyz(colour::Xy{pair->u, pair->v}));
    }
    if (kind == "srgb")
        return srgbColour(text, rest);
    if (kind == "spd") {
        auto spectrum = sources.spectrum(rest);
        if (!spectrum)
            return passOn(spectrum.error());
        return ofSpectrum(text, *spectrum);
    }
    if (kind == "palette")
        return sources.palette(rest);
    return fail(ErrorCode::BadSyntax,
                "'{}': a colour begins with gel:, cct:, xy:, uv:, srgb:, spd: or palette:", text);
}

} // namespace zelo::light
