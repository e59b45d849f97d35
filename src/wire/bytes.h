// SPDX-License-Identifier: GPL-3.0-or-later
// Fields of a packet at their offsets, big-endian unless said otherwise. The caller has checked the
// length.
#pragma once

#include <cstdint>
#include <span>
#include <string>
#include <string_view>

namespace zelo::wire {

inline std::uint16_t get16(std::span<const std::uint8_t> b, std::size_t at) {
    return static_cast<std::uint16_t>(b[at] << 8 | b[at + 1]);
}
inline std::uint32_t get32(std::span<const std::uint8_t> b, std::size_t at) {
    return static_cast<std::uint32_t>(get16(b, at)) << 16 | get16(b, at + 2);
}
inline void put16(std::span<std::uint8_t> b, std::size_t at, unsigned value) {
    b[at] = static_cast<std::uint8_t>(value >> 8);
    b[at + 1] = static_cast<std::uint8_t>(value);
}
inline void put32(std::span<std::uint8_t> b, std::size_t at, std::uint32_t value) {
    put16(b, at, value >> 16);
    put16(b, at + 2, value & 0xffff);
}
// Text up to its first zero byte, unprintable bytes left out.
inline std::string getText(std::span<const std::uint8_t> b) {
    std::string text;
    for (const std::uint8_t c : b) {
        if (c == 0)
            break;
        if (c >= 0x20 && c != 0x7f)
            text += static_cast<char>(c);
    }
    return text;
}
// Cut to the room less one byte, the rest zero.
inline void putText(std::span<std::uint8_t> room, std::string_view text) {
    for (std::size_t i = 0; i < room.size(); ++i)
        room[i] = i + 1 < room.size() && i < text.size() ? static_cast<std::uint8_t>(text[i]) : 0;
}

} // namespace zelo::wire
