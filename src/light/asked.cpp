// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/asked.h"

#include "base/text.h"
#include "colour/lamp.h"

#include <cmath>
#include <string_view>

namespace zelo::light {

namespace {

constexpr double kMostDuv = 0.05;

Result<double> kelvinFrom(std::string_view text) {
    const auto k = toNumber(text);
    if (!k || *k < colour::kCoolestK || *k > colour::kHottestK)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "'{}': a colour temperature is a number from {} to {} K"),
                    text, colour::kCoolestK, colour::kHottestK);
    return *k;
}

Result<Asked> gelFrom(const std::string& text) {
    constexpr std::string_view kLayer = "+gel:";
    const auto wrong = [&] {
        return fail(ErrorCode::BadSyntax,
                    ZELO_TEXT("core", "{}: expected gel:ID, gel:ID@LAMP or gel:ID+gel:ID"), text);
    };
    const std::string_view rest = std::string_view(text).substr(4);
    AskedGel asked;
    std::string lamp;
    const auto plus = rest.find(kLayer);
    const bool layered = plus != std::string_view::npos;
    const std::string_view both[] = {rest.substr(0, plus),
                                     layered ? rest.substr(plus + kLayer.size()) : ""};
    for (const bool second : {false, true}) { // the lamp may stand behind either gel, once
        std::string_view gel = both[second];
        if (second && gel.find(kLayer) != std::string_view::npos)
            return wrong();
        if (const auto at = gel.find('@'); at != std::string_view::npos) {
            const std::string_view said = gel.substr(at + 1);
            if (!lamp.empty() || said.empty() || said.find('@') != std::string_view::npos)
                return wrong();
            lamp = said;
            gel = gel.substr(0, at);
        }
        (second ? asked.layer : asked.id) = gel;
    }
    if (asked.id.empty() || (layered && asked.layer.empty()))
        return wrong();
    if (toNumber(lamp)) {
        const auto k = kelvinFrom(lamp);
        if (!k)
            return passOn(k.error(), text);
        asked.lamp_k = *k;
    } else {
        asked.lamp = lamp;
    }
    return asked;
}

Result<Asked> whiteFrom(const std::string& text, std::string_view rest) {
    const auto parts = split(rest, '/');
    const auto k = kelvinFrom(parts[0]);
    if (!k)
        return passOn(k.error(), text);
    if (parts.size() == 1)
        return AskedWhite{*k, std::nullopt};
    const auto duv = toNumber(parts[1]);
    if (parts.size() > 2 || !duv || std::abs(*duv) > kMostDuv)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{}: expected cct:KELVIN/DUV with a Duv within -0.05..0.05"),
                    text);
    return AskedWhite{*k, *duv};
}

Result<Asked> pairFrom(const std::string& text, std::string_view rest, bool uv) {
    const auto parts = split(rest, ',');
    const auto a = toNumber(parts[0]);
    const auto b = parts.size() == 2 ? toNumber(parts[1]) : std::nullopt;
    constexpr double kLeast = 1e-4; // below it no light has this chromaticity
    if (!a || !b || *a < 0 || *b < kLeast || *a > 1 || *b > 1)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{}: expected two numbers from 0 to 1 with a comma between"),
                    text);
    return uv ? Asked(AskedUv{*a, *b}) : Asked(AskedXy{*a, *b});
}

Result<Asked> srgbFrom(const std::string& text, std::string_view rest) {
    unsigned value = 0;
    bool sound = rest.size() == 7 && rest[0] == '#';
    for (const char c : rest.substr(sound ? 1 : rest.size())) {
        const auto digit = std::string_view("0123456789abcdef").find(lowered({&c, 1}));
        sound = sound && digit != std::string_view::npos;
        value = value * 16 + static_cast<unsigned>(digit & 15);
    }
    if (!sound)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{}: expected srgb:#RRGGBB with six hex digits"), text);
    return AskedSrgb{static_cast<std::uint8_t>(value >> 16), static_cast<std::uint8_t>(value >> 8),
                     static_cast<std::uint8_t>(value)};
}

struct Writer {
    std::string operator()(const AskedGel& gel) const {
        std::string text = "gel:" + gel.id;
        if (!gel.layer.empty())
            text += "+gel:" + gel.layer;
        if (gel.lamp_k)
            text += fmt::format("@{}", *gel.lamp_k);
        else if (!gel.lamp.empty())
            text += "@" + gel.lamp;
        return text;
    }
    std::string operator()(const AskedWhite& white) const {
        return white.duv ? fmt::format("cct:{}/{}", white.cct_k, *white.duv)
                         : fmt::format("cct:{}", white.cct_k);
    }
    std::string operator()(const AskedXy& c) const { return fmt::format("xy:{},{}", c.x, c.y); }
    std::string operator()(const AskedUv& c) const { return fmt::format("uv:{},{}", c.u, c.v); }
    std::string operator()(const AskedSrgb& c) const {
        return fmt::format("srgb:#{:02x}{:02x}{:02x}", c.r, c.g, c.b);
    }
    std::string operator()(const AskedMeasured& m) const { return "spd:" + m.name; }
    std::string operator()(const AskedPalette& p) const { return "palette:" + p.name; }
};

} // namespace

Result<Asked> parseAsked(const std::string& text) {
    const auto colon = text.find(':');
    const std::string kind = text.substr(0, colon);
    const std::string rest = colon == std::string::npos ? "" : text.substr(colon + 1);
    if (kind == "gel" && colon != std::string::npos)
        return gelFrom(text);
    if (kind == "cct")
        return whiteFrom(text, rest);
    if (kind == "xy" || kind == "uv")
        return pairFrom(text, rest, kind == "uv");
    if (kind == "srgb")
        return srgbFrom(text, rest);
    if (kind == "spd" && !rest.empty())
        return AskedMeasured{rest};
    if (kind == "palette" && !rest.empty())
        return AskedPalette{rest};
    if ((kind == "spd" || kind == "palette") && colon != std::string::npos)
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "'{}': expected a name behind it"),
                    text);
    return fail(
        ErrorCode::BadSyntax,
        ZELO_TEXT("core",
                  "'{}': a colour begins with gel:, cct:, xy:, uv:, srgb:, spd: or palette:"),
        text);
}

std::string toText(const Asked& asked) {
    return std::visit(Writer{}, asked);
}

namespace {

struct Sayer {
    Sentence operator()(const AskedGel& a) const {
        Sentence said = a.id;
        if (!a.layer.empty())
            said = say(ZELO_TEXT("core", "{} over {}"), said, a.layer);
        if (!a.lamp.empty())
            return say(ZELO_TEXT("core", "{} before {}"), said, a.lamp);
        return a.lamp_k ? say(ZELO_TEXT("core", "{} at {:.0f} K"), said, *a.lamp_k) : said;
    }
    Sentence operator()(const AskedWhite& a) const {
        return a.duv.value_or(0) != 0
                   ? say(ZELO_TEXT("core", "white of {:.0f} K, tint {:+.4f}"), a.cct_k, *a.duv)
                   : say(ZELO_TEXT("core", "white of {:.0f} K"), a.cct_k);
    }
    Sentence operator()(const AskedXy& a) const {
        return fmt::format("x {:.4f}, y {:.4f}", a.x, a.y);
    }
    Sentence operator()(const AskedUv& a) const {
        return fmt::format("u′ {:.4f}, v′ {:.4f}", a.u, a.v);
    }
    Sentence operator()(const AskedSrgb& a) const {
        return fmt::format("hex #{:02x}{:02x}{:02x}", a.r, a.g, a.b);
    }
    Sentence operator()(const AskedMeasured& a) const {
        return say(ZELO_TEXT("core", "measured {}"), a.name);
    }
    Sentence operator()(const AskedPalette& a) const {
        return say(ZELO_TEXT("core", "palette {}"), a.name);
    }
};

} // namespace

Sentence inWords(const Asked& asked) {
    return std::visit(Sayer{}, asked);
}

} // namespace zelo::light
