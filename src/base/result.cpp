// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/result.h"

#include "base/text.h"

namespace zelo {

std::string oneReadableLine(std::string text) {
    constexpr std::size_t kLongest = 400;
    const bool cut = text.size() > kLongest;
    if (cut)
        text.resize(kLongest);
    text = toUtf8(std::move(text));
    if (cut)
        text.append("…");
    for (char& c : text)
        if (static_cast<unsigned char>(c) < 0x20 || c == 0x7f)
            c = ' ';
    return text;
}

tl::unexpected<Error> passOn(Error error, const std::string& place) {
    error.detail = oneReadableLine(std::move(error.detail));
    if (!place.empty())
        error.where = oneReadableLine(error.where.empty() ? place : place + ", " + error.where);
    return tl::unexpected<Error>(std::move(error));
}

} // namespace zelo
