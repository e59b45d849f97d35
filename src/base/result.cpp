// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/result.h"

namespace zelo {

std::string Error::text() const {
    return sentence().english();
}

Sentence Error::sentence() const {
    if (where.empty())
        return what;
    Sentence all;
    all.plain = false;
    for (const Sentence& place : where) {
        all.form += all.parts.empty() ? "{}" : ", {}";
        all.parts.push_back(place);
    }
    all.form += ": {}";
    all.parts.push_back(what);
    return all;
}

tl::unexpected<Error> passOn(Error error, Sentence place) {
    if (error.what.plain)
        error.what.form = oneReadableLine(std::move(error.what.form));
    if (!place.empty()) {
        if (place.plain)
            place.form = oneReadableLine(std::move(place.form));
        error.where.insert(error.where.begin(), std::move(place));
    }
    return tl::unexpected<Error>(std::move(error));
}

} // namespace zelo
