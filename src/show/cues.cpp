// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/cues.h"

#include "base/text.h"
#include "show/limits.h"

#include <algorithm>
#include <fmt/format.h>

namespace zelo::show {

Result<CueNumber> parseCueNumber(std::string_view text) {
    const auto wrong = [&] {
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "cue '{}': expected a number such as 7 or 7.5"), text);
    };
    const auto trim = trimmed(text);
    const auto point = trim.find('.');
    const std::string whole(trim.substr(0, point));
    std::string part(point == std::string_view::npos ? "" : trim.substr(point + 1));
    const auto digits = [](std::string_view t, std::size_t most) {
        return t.size() <= most &&
               std::all_of(t.begin(), t.end(), [](char c) { return c >= '0' && c <= '9'; });
    };
    if (whole.empty() || !digits(whole, 6) || !digits(part, 3) ||
        (point != std::string_view::npos && part.empty()))
        return wrong();
    part.resize(3, '0');
    const CueNumber number{1000 * *toInteger(whole) + *toInteger(part)};
    if (number.thousandths < 1 || number.thousandths > kMostCueNumber)
        return wrong();
    return number;
}

std::string toText(CueNumber number) {
    std::string text =
        fmt::format("{}.{:03}", number.thousandths / 1000, number.thousandths % 1000);
    while (text.back() == '0')
        text.pop_back();
    if (text.back() == '.')
        text.pop_back();
    return text;
}

} // namespace zelo::show
