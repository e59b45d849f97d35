// SPDX-License-Identifier: GPL-3.0-or-later
// What colours and gradients of a show file are both made of.
#pragma once

#include "colour/xyz.h"
#include "files/detail/json_object.h"
#include "light/asked.h"
#include "mix/mix.h"
#include "show/limits.h"
#include "show/source.h"

namespace zelo::files {

std::string jsonText(const Json& json); // one line; what is not UTF-8 is replaced

std::string shortText(JsonObject& o, const char* name, std::size_t longest = show::kLongestName);
// Two numbers within -1..1; nothing when it is not there, or faulty.
std::optional<colour::Uv> readUv(JsonObject& o, const char* name);
std::optional<colour::Uv> uvOf(const Json& json, double farthest = 1);
// "asked"; one that cannot be read is taken for the colour kept with it, which is told.
light::Asked readAsked(JsonObject& o, const colour::Uv& uv, std::vector<Sentence>& notes);
// "palette" or else "asked", with the "uv" that it was, which stays as it is when it is not there.
show::Source<light::Asked> readColour(JsonObject& o, colour::Uv& uv, std::vector<Sentence>& notes);
void writeColour(Json& j, const show::Source<light::Asked>& colour, const colour::Uv& uv);

mix::Intent readIntent(JsonObject& o); // "intent"; Truest where there is none

// Intent, give-up, for whom it is exact, keep-outs and pins of what has them.
template <class Mixing>
void readMixing(JsonObject& o, Mixing& to) {
    to.intent = readIntent(o);
    to.give_up = o.number("give_up", 0.3, 0, 1);
    to.exact_for_camera = o.flag("exact_for_camera");
    o.each("keep_out", show::kMostNames, [&](const Json& j, const JsonPath& at) {
        if (j.is_string())
            to.keep_out.push_back(j.get<std::string>());
        else
            o.take(Error{ErrorCode::BadValue,
                         say(ZELO_TEXT("core", "expected the name of an emitter")),
                         {at.text()}});
    });
    if (const Json* pins = o.member("pins")) {
        JsonObject p(*pins, o.at("pins"));
        if (pins->is_object())
            for (const auto& [emitter, drive] : pins->items())
                to.pins.emplace_back(emitter, p.number(emitter.c_str(), 0, 0, 1));
        o.take(p.error());
    }
}

template <class Mixing>
void writeMixing(Json& j, const Mixing& from) {
    j["intent"] = mix::nameOf(from.intent);
    j["give_up"] = from.give_up;
    if (from.exact_for_camera)
        j["exact_for_camera"] = true;
    if (!from.keep_out.empty())
        j["keep_out"] = from.keep_out;
    if (!from.pins.empty()) {
        Json pins = Json::object();
        for (const auto& [emitter, drive] : from.pins)
            pins[emitter] = drive;
        j["pins"] = pins;
    }
}

} // namespace zelo::files
