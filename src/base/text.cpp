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

namespace {

// Bytes of the character that begins at `at`: 0 when there is none, -1 when it is cut off by the
// end.
int utf8Length(std::string_view text, std::size_t at) {
    const auto byte = [&](std::size_t i) { return static_cast<unsigned char>(text[i]); };
    const unsigned first = byte(at);
    if (first < 0x80)
        return 1;
    const int length = first >= 0xc2 && first <= 0xdf   ? 2
                       : first >= 0xe0 && first <= 0xef ? 3
                       : first >= 0xf0 && first <= 0xf4 ? 4
                                                        : 0;
    for (int i = 1; i < length; ++i) {
        const std::size_t next = at + static_cast<std::size_t>(i);
        if (next == text.size())
            return -1;
        const unsigned low = i > 1           ? 0x80 // too long, a surrogate, past the last one
                             : first == 0xe0 ? 0xa0
                             : first == 0xf0 ? 0x90
                                             : 0x80;
        const unsigned high = i > 1 ? 0xbf : first == 0xed ? 0x9f : first == 0xf4 ? 0x8f : 0xbf;
        if (byte(next) < low || byte(next) > high)
            return 0;
    }
    return length;
}

std::size_t validUpTo(std::string_view text) {
    std::size_t at = 0;
    while (at < text.size()) {
        const int length = utf8Length(text, at);
        if (length <= 0)
            break;
        at += static_cast<std::size_t>(length);
    }
    return at;
}

} // namespace

bool isUtf8(std::string_view text) {
    return validUpTo(text) == text.size();
}

std::string toUtf8(std::string text) {
    std::size_t at = validUpTo(text);
    if (at == text.size())
        return text;
    std::string valid = text.substr(0, at);
    while (at < text.size()) {
        const int length = utf8Length(text, at);
        if (length < 0)
            break;
        if (length > 0) {
            valid.append(text, at, static_cast<std::size_t>(length));
            at += static_cast<std::size_t>(length);
            continue;
        }
        const auto byte = static_cast<unsigned char>(text[at++]);
        valid += static_cast<char>(0xc0 | byte >> 6);
        valid += static_cast<char>(0x80 | (byte & 0x3f));
    }
    return valid;
}

bool startsWith(std::string_view text, std::string_view with) {
    return text.substr(0, with.size()) == with;
}

bool endsWith(std::string_view text, std::string_view with) {
    return text.size() >= with.size() && text.substr(text.size() - with.size()) == with;
}

} // namespace zelo
