// SPDX-License-Identifier: GPL-3.0-or-later
// A hash that is the same on every machine and in every run, for names of things: not against
// anybody who wants two to be the same.
#pragma once

#include <cstdint>
#include <string_view>

namespace zelo {

inline constexpr std::uint64_t kFnvPrime = 1099511628211u;

// FNV-1a of 64 bits; another `start` gives another, independent one.
constexpr std::uint64_t fnv1a(std::string_view bytes, std::uint64_t start = 14695981039346656037u) {
    for (const char c : bytes)
        start = (start ^ static_cast<unsigned char>(c)) * kFnvPrime;
    return start;
}

} // namespace zelo
