// SPDX-License-Identifier: GPL-3.0-or-later
// Response: how a channel's level (0..1, the share of its largest value) becomes a drive (0..1).
#pragma once

#include "base/result.h"

#include <string>
#include <vector>

namespace zelo::light {

class Response {
public:
    // From level `from` on: drive = c[0] + c[1] x + c[2] x² + c[3] x³, x = level - from.
    struct Piece {
        double from = 0;
        double c[4] = {0, 1, 0, 0};
        friend bool operator==(const Piece&, const Piece&) = default;
    };

    Response() = default;     // linear
    static Response square(); // drive = level²
    // Fails when there is no piece, one is out of order, or a value is not finite.
    static Result<Response> ofPieces(std::vector<Piece> pieces);

    bool linear() const { return pieces_.empty(); }
    double drive(double level) const; // 0..1 whatever the curve says
    // The least level that gives at least this drive, of a curve that falls from end to end at
    // most this drive; 1 when none does. To 1e-12 when not linear: assumes a curve that goes one
    // way.
    double level(double drive) const;

    const std::vector<Piece>& pieces() const { return pieces_; }
    friend bool operator==(const Response&, const Response&) = default;

private:
    double levelOfFalling(double drive) const;
    std::vector<Piece> pieces_;
    bool falls_ = false; // less drive at full than at 0
};

} // namespace zelo::light
