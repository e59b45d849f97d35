// SPDX-License-Identifier: GPL-3.0-or-later
// Choices that a file has by name. The first of the names is the usual one: it is not written, and
// stands where there is none.
#pragma once

#include "files/detail/json_object.h"

#include <utility>

namespace zelo::files {

template <class Value, std::size_t N>
const char* nameIn(const std::pair<Value, const char*> (&names)[N], Value value) {
    for (const auto& [one, name] : names)
        if (one == value)
            return name;
    return names[0].second;
}

// Complains of another name.
template <class Value, std::size_t N>
Value readNamed(JsonObject& o, const char* member,
                const std::pair<Value, const char*> (&names)[N]) {
    const std::string text = o.text(member, names[0].second);
    for (const auto& [one, name] : names)
        if (text == name)
            return one;
    std::string all;
    for (const auto& [one, name] : names)
        all += fmt::format("{}{}", all.empty() ? "" : ", ", name);
    o.complain(member, say(ZELO_TEXT("core", "'{}': expected one of {}"), text, all));
    return names[0].first;
}

template <class Value, std::size_t N>
void writeNamed(Json& j, const char* member, Value value,
                const std::pair<Value, const char*> (&names)[N]) {
    if (value != names[0].first)
        j[member] = nameIn(names, value);
}

} // namespace zelo::files
