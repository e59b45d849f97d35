// SPDX-License-Identifier: GPL-3.0-or-later
// The reach seen from the white point as a unit disc: the angle is the hue in u'v', the radius the
// saturation ρ(p) = |p − w| / |edge − w| in the same direction: 0 at white, 1 at the limit.
#pragma once

#include "base/result.h"
#include "colour/polygon.h"

namespace zelo::route {

struct Polar { // in the unit disc
    double rho = 0;
    double angle = 0; // radians from +u', growing counter-clockwise
};

class Disc {
public:
    // BadValue when the white does not lie inside the reach, or the reach has no inside.
    static Result<Disc> of(colour::Polygon hull, const colour::Uv& white);

    const colour::Uv& white() const { return white_; }
    const colour::Polygon& hull() const { return hull_; }
    double edge(double angle) const; // distance from white to the edge of the reach
    Polar toDisc(const colour::Uv& p) const;
    colour::Uv fromDisc(const Polar& p) const;
    double saturation(const colour::Uv& p) const { return toDisc(p).rho; }

private:
    Disc(colour::Polygon hull, const colour::Uv& white) : hull_(std::move(hull)), white_(white) {}
    colour::Polygon hull_;
    colour::Uv white_;
};

} // namespace zelo::route
