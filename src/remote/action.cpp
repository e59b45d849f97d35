// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/action.h"

#include "base/text.h"
#include "remote/control.h"

#include <algorithm>

namespace zelo::remote {

namespace {

struct Known {
    Does does;
    const char* word;
    Way way;
};
constexpr Known kKnown[] = {
    {Does::Master, "master", Way::Fader},   {Does::Fader, "fader", Way::Fader},
    {Does::Emitter, "emitter", Way::Fader}, {Does::Next, "next", Way::Key},
    {Does::Back, "back", Way::Key},         {Does::Hold, "hold", Way::Key},
    {Does::Dark, "dark", Way::Key},         {Does::Level, "level", Way::Wheel},
    {Does::Warmth, "warmth", Way::Wheel},   {Does::Tint, "tint", Way::Wheel},
    {Does::Depth, "depth", Way::Wheel}};
constexpr std::string_view kRoot = "/zelo/";

const Known& known(Does does) {
    return kKnown[static_cast<std::size_t>(does)];
}

// A word, and what stands behind it.
std::optional<Action> read(std::string_view word, std::string_view rest) {
    for (const Known& k : kKnown) {
        if (word != k.word)
            continue;
        Action action{k.does, 0, {}};
        if (k.does == Does::Fader) {
            const auto number = toInteger(rest);
            if (!number || *number < 1 || *number > kMostFaders)
                return std::nullopt;
            action.number = *number;
        } else if (k.does == Does::Emitter) {
            if (rest.empty() || rest.size() > kLongestName || !isUtf8(rest))
                return std::nullopt;
            action.name = rest;
        } else if (!rest.empty()) {
            return std::nullopt;
        }
        return action;
    }
    return std::nullopt;
}

std::string written(const Action& action, char between) {
    const std::string word = known(action.does).word;
    return action.does == Does::Fader     ? fmt::format("{}{}{}", word, between, action.number)
           : action.does == Does::Emitter ? fmt::format("{}{}{}", word, between, action.name)
                                          : word;
}

} // namespace

Way wayOf(Does does) {
    return known(does).way;
}

std::string toText(const Action& action) {
    return written(action, ' ');
}

Result<Action> parseAction(const std::string& text) {
    const auto space = text.find(' ');
    const auto action = read(std::string_view(text).substr(0, space),
                             space == std::string::npos ? std::string_view()
                                                        : std::string_view(text).substr(space + 1));
    if (!action)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "'{}': expected master, fader 1 to {}, emitter NAME, next, "
                                      "back, hold, dark, level, warmth, tint or depth"),
                    toUtf8(text.substr(0, 60)), kMostFaders);
    return *action;
}

std::vector<Action> standing() {
    std::vector<Action> all;
    for (const Known& k : kKnown)
        if (k.does != Does::Fader && k.does != Does::Emitter)
            all.push_back({k.does, 0, {}});
    return all;
}

std::string pathOf(const Action& action) {
    return std::string(kRoot) + written(action, '/');
}

std::optional<Action> actionOfPath(const std::string& path) {
    if (!startsWith(path, kRoot))
        return std::nullopt;
    const auto rest = std::string_view(path).substr(kRoot.size());
    const auto slash = rest.find('/');
    return read(rest.substr(0, slash),
                slash == std::string_view::npos ? std::string_view() : rest.substr(slash + 1));
}

} // namespace zelo::remote
