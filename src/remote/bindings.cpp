// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/bindings.h"

#include "base/text.h"

#include <algorithm>
#include <nlohmann/json.hpp>

namespace zelo::remote {

using Json = nlohmann::ordered_json;

namespace {

constexpr const char* kFormat = "zelochrome-controls";
constexpr std::size_t kLargest = 1 << 20;
constexpr const char* kKinds[] = {"controller", "bend", "note", "path"};
constexpr const char* kTurns[] = {"two's complement", "around 64"};
constexpr const char* kListens[] = {"nowhere", "this computer", "network"};

template <std::size_t N>
std::optional<std::size_t> among(const char* const (&words)[N], const Json& value) {
    for (std::size_t i = 0; value.is_string() && i < N; ++i)
        if (value.get_ref<const std::string&>() == words[i])
            return i;
    return std::nullopt;
}

std::optional<int> wholeOf(const Json& in, const char* key, int least, int most) {
    const auto it = in.find(key);
    if (it == in.end() || !it->is_number_integer())
        return std::nullopt;
    const auto value = it->get<std::int64_t>();
    return value >= least && value <= most ? std::optional(static_cast<int>(value)) : std::nullopt;
}

Json toJson(const Binding& b) {
    const Control& c = b.control;
    Json json;
    json["does"] = toText(b.action);
    json["by"] = kKinds[static_cast<std::size_t>(c.kind)];
    if (c.kind == Control::Kind::Path) {
        json["path"] = c.name;
        return json;
    }
    json["device"] = c.name;
    json["channel"] = c.channel + 1;
    if (c.kind != Control::Kind::Bend)
        json["number"] = c.number;
    if (wayOf(b.action.does) == Way::Wheel)
        json["turn"] = kTurns[static_cast<std::size_t>(b.turn)];
    return json;
}

Result<Binding> bindingOf(const Json& json) {
    if (!json.is_object())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "expected does, by and what it is"));
    const auto does = json.find("does");
    if (does == json.end() || !does->is_string())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "does: expected what it does"));
    Binding binding;
    auto action = parseAction(does->get_ref<const std::string&>());
    if (!action)
        return passOn(action.error(), Sentence("does"));
    binding.action = *action;
    const auto by = json.find("by");
    const auto kind = by == json.end() ? std::nullopt : among(kKinds, *by);
    if (!kind)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "by: expected controller, bend, note or path"));
    Control& c = binding.control;
    c.kind = static_cast<Control::Kind>(*kind);
    const bool path = c.kind == Control::Kind::Path;
    const auto name = json.find(path ? "path" : "device");
    if (name == json.end() || !name->is_string() ||
        name->get_ref<const std::string&>().size() > kLongestName ||
        (path && !startsWith(name->get_ref<const std::string&>(), "/")))
        return path ? fail(ErrorCode::BadValue,
                           ZELO_TEXT("core", "path: expected one that begins with /"))
                    : fail(ErrorCode::BadValue, ZELO_TEXT("core", "device: expected its name"));
    c.name = name->get<std::string>();
    if (path)
        return binding;
    const auto channel = wholeOf(json, "channel", 1, 16);
    if (!channel)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "channel: expected 1 to 16"));
    c.channel = *channel - 1;
    if (c.kind != Control::Kind::Bend) {
        const auto number = wholeOf(json, "number", 0, 127);
        if (!number)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "number: expected 0 to 127"));
        c.number = *number;
    }
    if (const auto turn = json.find("turn"); turn != json.end()) {
        const auto how = among(kTurns, *turn);
        if (!how)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "turn: expected two's complement or around 64"));
        binding.turn = static_cast<Turn>(*how);
    }
    return binding;
}

} // namespace

bool Bindings::bind(const Binding& binding) {
    for (Binding& b : all)
        if (b.control == binding.control) {
            b = binding;
            return true;
        }
    if (all.size() >= kMostBindings)
        return false;
    all.push_back(binding);
    return true;
}

const Binding* Bindings::find(const Control& control) const {
    const auto it = std::find_if(all.begin(), all.end(),
                                 [&](const Binding& b) { return b.control == control; });
    return it == all.end() ? nullptr : &*it;
}

void Bindings::forget(const Action& action) {
    std::erase_if(all, [&](const Binding& b) { return b.action == action; });
}

std::string toText(const Bindings& bindings) {
    Json json;
    json["format"] = kFormat;
    json["version"] = 1;
    json["osc"] = {{"listens", kListens[static_cast<std::size_t>(bindings.osc)]},
                   {"port", bindings.osc_port}};
    json["controls"] = Json::array();
    for (const Binding& b : bindings.all)
        json["controls"].push_back(toJson(b));
    return json.dump(2, ' ', false, Json::error_handler_t::replace) + '\n';
}

Result<Bindings> parseBindings(const std::string& text) {
    if (text.size() > kLargest)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a table of controls of {} bytes"),
                    text.size());
    const Json json = Json::parse(text, nullptr, false);
    if (json.is_discarded() || !json.is_object() || json.value("format", Json()) != kFormat)
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "not a table of controls"));
    if (const auto version = wholeOf(json, "version", 1, 1); !version)
        return fail(ErrorCode::Unsupported,
                    ZELO_TEXT("core", "a table of controls of another version"));
    Bindings all;
    if (const auto osc = json.find("osc"); osc != json.end()) {
        const auto listens =
            osc->is_object() ? among(kListens, osc->value("listens", Json())) : std::nullopt;
        const auto port = osc->is_object() ? wholeOf(*osc, "port", 1, 65535) : std::nullopt;
        if (!listens || !port)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "osc: expected listens (nowhere, this computer, network) "
                                          "and port"));
        all.osc = static_cast<Listens>(*listens);
        all.osc_port = static_cast<std::uint16_t>(*port);
    }
    const auto controls = json.find("controls");
    if (controls == json.end() || !controls->is_array())
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "no list of controls"));
    if (controls->size() > kMostBindings)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "{} controls: at most {}"),
                    controls->size(), kMostBindings);
    for (std::size_t i = 0; i < controls->size(); ++i) {
        auto one = bindingOf((*controls)[i]);
        if (!one)
            return passOn(one.error(), say(ZELO_TEXT("core", "control {}"), i + 1));
        all.bind(*one);
    }
    return all;
}

} // namespace zelo::remote
