// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/detail/spectral_csv.h"

#include "base/text.h"

namespace zelo::files {

Result<std::vector<colour::Samples>> spectralCsv(std::string_view text, std::size_t values,
                                                 const Sentence& expected) {
    std::vector<colour::Samples> columns(values);
    int line_no = 0;
    bool heading_allowed = true;
    for (const std::string_view raw : lines(text)) {
        ++line_no;
        const auto line = trimmed(raw);
        if (line.empty() || line[0] == '#')
            continue;
        const char by = line.find(';') != std::string_view::npos   ? ';'
                        : line.find(',') != std::string_view::npos ? ','
                                                                   : '\t';
        const auto cells = split(line, by);
        const auto nm = toNumber(cells[0]);
        if (!nm && heading_allowed) { // one heading row
            heading_allowed = false;
            continue;
        }
        heading_allowed = false;
        for (std::size_t k = 0; k < values; ++k) {
            const auto value = k + 1 < cells.size() ? toNumber(cells[k + 1]) : std::nullopt;
            if (!nm || !value)
                return passOn(
                    Error{ErrorCode::BadValue,
                          say(ZELO_TEXT("core", "'{}': expected {}"), line.substr(0, 60), expected),
                          {}},
                    say(ZELO_TEXT("core", "line {}"), line_no));
            columns[k].wavelengths_nm.push_back(*nm);
            columns[k].values.push_back(*value);
        }
        if (values > 0 && columns[0].values.size() > colour::kMostSamples)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "more than {} rows"),
                        colour::kMostSamples);
    }
    return columns;
}

} // namespace zelo::files
