// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/colour_parts.h"

#include "show/edits.h"

namespace zelo::files {

std::string jsonText(const Json& json) {
    return json.dump(-1, ' ', false, Json::error_handler_t::replace);
}

std::string shortText(JsonObject& o, const char* name, std::size_t longest) {
    std::string text = o.text(name);
    if (auto ok = show::checkText(name, text, longest); !ok)
        o.complain(name, ok.error().what);
    return text;
}

std::optional<colour::Uv> uvOf(const Json& json, double farthest) {
    if (!json.is_array() || json.size() != 2 || !json[0].is_number() || !json[1].is_number())
        return std::nullopt;
    const colour::Uv uv{json[0].get<double>(), json[1].get<double>()};
    return std::abs(uv.u) <= farthest && std::abs(uv.v) <= farthest ? std::optional(uv)
                                                                    : std::nullopt;
}

std::optional<colour::Uv> readUv(JsonObject& o, const char* name) {
    const Json* json = o.member(name);
    if (!json)
        return std::nullopt;
    const auto uv = uvOf(*json);
    if (!uv)
        o.complain(name, say(ZELO_TEXT("core", "expected two numbers within -1..1")));
    return uv;
}

mix::Intent readIntent(JsonObject& o) {
    const auto name = o.text("intent", mix::nameOf(mix::Intent::Truest));
    const auto intent = mix::intentNamed(name);
    if (!intent)
        o.complain(
            "intent",
            say(ZELO_TEXT("core", "'{}': expected brightest, truest, kindest, leanest or filmed"),
                name));
    return intent.value_or(mix::Intent::Truest);
}

light::Asked readAsked(JsonObject& o, const colour::Uv& uv, std::vector<Sentence>& notes) {
    const std::string text = shortText(o, "asked", show::kLongestNote); // it may be a file's path
    if (text.empty())
        o.complain("asked",
                   say(ZELO_TEXT("core", "is missing: a colour such as \"gel:214@3200\"")));
    if (auto asked = light::parseAsked(text))
        return std::move(*asked);
    else if (!text.empty())
        notes.push_back(say(ZELO_TEXT("core", "{}: {}; taken for the colour kept with it"),
                            o.at("asked").text(), asked.error().text()));
    const bool known = uv.u >= 0 && uv.v > 0.01;
    return known ? light::AskedUv{uv.u, uv.v} : light::AskedUv{};
}

show::Source<light::Asked> readColour(JsonObject& o, colour::Uv& uv, std::vector<Sentence>& notes) {
    uv = readUv(o, "uv").value_or(uv);
    if (const show::PaletteId id{o.integer("palette", 0, 0, show::kLastId)})
        return id;
    return readAsked(o, uv, notes);
}

void writeColour(Json& j, const show::Source<light::Asked>& colour, const colour::Uv& uv) {
    if (const light::Asked* here = colour.here())
        j["asked"] = light::toText(*here);
    else
        j["palette"] = colour.palette().value;
    j["uv"] = {uv.u, uv.v};
}

} // namespace zelo::files
