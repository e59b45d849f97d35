// SPDX-License-Identifier: GPL-3.0-or-later
// Cells of comma-separated lines (RFC 4180, without line breaks in cells).
#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace zelo::files {

// "quoted, cells" may hold commas, "" is a quote.
inline std::vector<std::string> csvCells(std::string_view line) {
    std::vector<std::string> cells(1);
    bool quoted = false;
    for (std::size_t i = 0; i < line.size(); ++i) {
        const char c = line[i];
        if (c == '"' && quoted && i + 1 < line.size() && line[i + 1] == '"') {
            cells.back() += '"';
            ++i;
        } else if (c == '"') {
            quoted = !quoted;
        } else if (c == ',' && !quoted) {
            cells.emplace_back();
        } else {
            cells.back() += c;
        }
    }
    return cells;
}

inline std::string csvQuoted(std::string_view text) {
    std::string out = "\"";
    for (const char c : text) {
        if (c == '"')
            out += '"';
        out += c == '\n' || c == '\r' ? ' ' : c;
    }
    return out + "\"";
}

} // namespace zelo::files
