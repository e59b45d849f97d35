// SPDX-License-Identifier: GPL-3.0-or-later
// Printing: names come out of files, and a terminal would act on the control characters in them.
#pragma once

#include <cstdio>
#include <fmt/format.h>
#include <string>

namespace zelo::cli {

// Control characters but line end and tab become ?.
inline std::string harmless(std::string text) {
    for (std::size_t i = 0; i < text.size(); ++i) {
        const auto c = static_cast<unsigned char>(text[i]);
        // C1 controls are two bytes of UTF-8: c2 80 … c2 9f.
        const bool second_half =
            i > 0 && static_cast<unsigned char>(text[i - 1]) == 0xc2 && c >= 0x80 && c <= 0x9f;
        if (second_half)
            text[i - 1] = ' ';
        if ((c < 0x20 && c != '\n' && c != '\t') || c == 0x7f || second_half)
            text[i] = '?';
    }
    return text;
}

template <class... Args>
void put(std::FILE* to, fmt::format_string<Args...> form, Args&&... arguments) {
    const std::string text = harmless(fmt::format(form, std::forward<Args>(arguments)...));
    std::fwrite(text.data(), 1, text.size(), to);
}
template <class... Args>
void put(fmt::format_string<Args...> form, Args&&... arguments) {
    put(stdout, form, std::forward<Args>(arguments)...);
}

} // namespace zelo::cli
