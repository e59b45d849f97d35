// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/base64.h"

#include <array>
#include <cstdint>

namespace zelo::files {

namespace {
constexpr std::string_view kDigits =
    "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";
}

std::string toBase64(std::string_view bytes) {
    std::string text;
    text.reserve((bytes.size() + 2) / 3 * 4);
    for (std::size_t i = 0; i < bytes.size(); i += 3) {
        const auto byte = [&](std::size_t k) -> std::uint32_t {
            return i + k < bytes.size() ? static_cast<std::uint8_t>(bytes[i + k]) : 0u;
        };
        const std::uint32_t three = byte(0) << 16 | byte(1) << 8 | byte(2);
        for (std::size_t k = 0; k < 4; ++k)
            text += i + k > bytes.size() ? '=' : kDigits[three >> (18 - 6 * k) & 63];
    }
    return text;
}

Result<std::string> fromBase64(std::string_view text) {
    const auto bad = fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "not readable as base64"));
    if (text.size() % 4 != 0)
        return bad;
    std::array<std::int8_t, 256> value;
    value.fill(-1);
    for (std::size_t i = 0; i < kDigits.size(); ++i)
        value[static_cast<std::uint8_t>(kDigits[i])] = static_cast<std::int8_t>(i);
    std::string bytes;
    bytes.reserve(text.size() / 4 * 3);
    for (std::size_t i = 0; i < text.size(); i += 4) {
        const bool last = i + 4 == text.size();
        const std::size_t pad = !last ? 0 : (text[i + 3] == '=') + (text[i + 2] == '=');
        std::uint32_t three = 0;
        for (std::size_t k = 0; k < 4; ++k) {
            const auto v = value[static_cast<std::uint8_t>(text[i + k])];
            if (v < 0 && k < 4 - pad)
                return bad;
            three = three << 6 | (k < 4 - pad ? static_cast<std::uint32_t>(v) : 0u);
        }
        for (std::size_t k = 0; k < 3 - pad; ++k)
            bytes += static_cast<char>(three >> (16 - 8 * k) & 255);
    }
    return bytes;
}

} // namespace zelo::files
