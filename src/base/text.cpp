// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/text.h"

#include <charconv>
#include <cmath>

namespace zelo {

std::string_view trimmed(std::string_view text) {
    const auto from = text.find_first_not_of(" \t\r\n\v\f");
    if (from == std::string_view::npos)
        return {};
    return text.substr(from, text.find_last_not_of(" \t\r\n\v\f") - from + 1);
}

std::vector<std::string_view> split(std::string_view text, char by) {
    std::vector<std::string_view> parts;
    std::size_t from = 0;
    for (;;) {
        const auto to = text.find(by, from);
        parts.push_back(text.substr(from, to == std::string_view::npos ? to : to - from));
        if (to == std::string_view::npos)
            return parts;
        from = to + 1;
    }
}

std::vector<std::string_view> lines(std::string_view text) {
    std::vector<std::string_view> found;
    while (!text.empty()) {
        const auto end = text.find_first_of("\r\n");
        found.push_back(text.substr(0, end));
        if (end == std::string_view::npos)
            break;
        const bool two = text[end] == '\r' && end + 1 < text.size() && text[end + 1] == '\n';
        text.remove_prefix(end + (two ? 2 : 1));
    }
    return found;
}

namespace {
template <class T>
std::optional<T> parsed(std::string_view text) {
    text = trimmed(text);
    if (startsWith(text, "+"))
        text.remove_prefix(1);
    T value{};
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (error != std::errc() || end != text.data() + text.size())
        return std::nullopt;
    return value;
}
} // namespace

std::optional<double> toNumber(std::string_view text) {
    const auto value = parsed<double>(text);
    return value && std::isfinite(*value) ? value : std::nullopt;
}

std::optional<int> toInteger(std::string_view text) {
    return parsed<int>(text);
}

std::string lowered(std::string_view text) {
    std::string small(text);
    for (char& c : small)
        if (c >= 'A' && c <= 'Z')
            c = static_cast<char>(c - 'A' + 'a');
    return small;
}

bool startsWith(std::string_view text, std::string_view with) {
    return text.substr(0, with.size()) == with;
}

bool endsWith(std::string_view text, std::string_view with) {
    return text.size() >= with.size() && text.substr(text.size() - with.size()) == with;
}

} // namespace zelo
