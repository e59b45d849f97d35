// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/response.h"

#include <algorithm>
#include <cmath>

namespace zelo::light {

Response Response::square() {
    Response r;
    r.pieces_ = {{0, {0, 0, 1, 0}}};
    return r;
}

Result<Response> Response::ofPieces(std::vector<Piece> pieces) {
    if (pieces.empty())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "a response curve needs at least one point"));
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        const auto& p = pieces[i];
        if (!std::isfinite(p.from) ||
            !std::all_of(std::begin(p.c), std::end(p.c), [](double c) { return std::isfinite(c); }))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "point {} of a response curve is not a number"), i + 1);
        if (i > 0 && p.from <= pieces[i - 1].from)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "point {} of a response curve at {}: must increase"),
                        i + 1, p.from);
    }
    Response r;
    r.pieces_ = std::move(pieces);
    return r;
}

double Response::drive(double level) const {
    level = std::clamp(level, 0.0, 1.0);
    if (pieces_.empty())
        return level;
    const auto after = std::upper_bound(pieces_.begin(), pieces_.end(), level,
                                        [](double l, const Piece& p) { return l < p.from; });
    if (after == pieces_.begin())
        return 0;
    const Piece& p = *(after - 1);
    const double x = level - p.from;
    return std::clamp(p.c[0] + x * (p.c[1] + x * (p.c[2] + x * p.c[3])), 0.0, 1.0);
}

double Response::level(double wanted) const {
    if (pieces_.empty())
        return std::clamp(wanted, 0.0, 1.0);
    if (wanted <= drive(0))
        return 0;
    double low = 0;
    double high = 1;
    while (high - low > 1e-12) {
        const double middle = (low + high) / 2;
        (drive(middle) < wanted ? low : high) = middle;
    }
    return high;
}

} // namespace zelo::light
