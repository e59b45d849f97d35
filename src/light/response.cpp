// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/response.h"

#include <algorithm>
#include <cmath>

namespace zelo::light {

namespace {
constexpr double kLevel = 1e-13; // a level is found to this
} // namespace

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
    r.falls_ = r.drive(1) < r.drive(0);
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
    if (falls_)
        return levelOfFalling(wanted);
    if (wanted <= drive(0))
        return 0;
    if (wanted > 1)
        return 1;
    // Its piece, then Newton's steps that never leave what is known to hold it.
    double low = 0;
    double high = 1;
    const auto piece = std::partition_point(pieces_.begin(), pieces_.end(), [&](const Piece& p) {
        return p.from <= 0 || (p.from < 1 && drive(p.from) < wanted);
    });
    if (piece != pieces_.begin())
        low = std::max(0.0, (piece - 1)->from);
    if (piece != pieces_.end())
        high = std::min(1.0, piece->from);
    const Piece& p = piece == pieces_.begin() ? *piece : *(piece - 1);
    if (const double c1 = p.c[1], c2 = p.c[2]; p.c[3] == 0 && c1 >= 0 && c2 >= 0 && c1 + c2 > 0) {
        // c2 x² + c1 x = q, rising: the root that loses no digits.
        const double q = std::max(0.0, wanted - p.c[0]);
        const double x = q > 0 ? 2 * q / (c1 + std::sqrt(c1 * c1 + 4 * c2 * q)) : 0;
        return std::clamp(p.from + x, low, high);
    }
    double x = (low + high) / 2;
    while (high - low > kLevel) {
        const double d = x - p.from;
        const double value = p.c[0] + d * (p.c[1] + d * (p.c[2] + d * p.c[3]));
        const double off = std::clamp(value, 0.0, 1.0) - wanted;
        (off < 0 ? low : high) = x;
        const double slope = p.c[1] + d * (2 * p.c[2] + d * 3 * p.c[3]);
        const double next = value > 0 && value < 1 ? x - off / slope : low;
        if (next > low && next < high && std::abs(next - x) <= kLevel)
            return next;
        x = next > low && next < high ? next : (low + high) / 2;
    }
    return high;
}

double Response::levelOfFalling(double wanted) const {
    if (wanted >= drive(0))
        return 0;
    double low = 0; // above what is wanted
    double high = 1;
    while (high - low > kLevel) {
        const double x = (low + high) / 2;
        (drive(x) > wanted ? low : high) = x;
    }
    return high;
}

} // namespace zelo::light
