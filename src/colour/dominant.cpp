// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/dominant.h"

#include "colour/observer.h"

namespace zelo::colour {

namespace {

// The locus bends back on itself in rounding beyond these: the ends of the purple line.
constexpr std::size_t kFirst = 5;  // 385 nm
constexpr std::size_t kLast = 320; // 700 nm

struct Met {
    double t;  // along the ray, 1 = the point it goes through
    double nm; // 0 on the purple line
};

// Where the ray from `white` through `to` leaves the spectral locus and the purple line.
std::optional<Met> meet(const Xy& white, const Xy& to) {
    const double dx = to.x - white.x;
    const double dy = to.y - white.y;
    std::optional<Met> found;
    const auto tryEdge = [&](const Xy& a, const Xy& b, double nm_a, double nm_b) {
        const double ex = b.x - a.x;
        const double ey = b.y - a.y;
        const double det = dx * ey - dy * ex;
        if (det == 0)
            return;
        const double t = ((a.x - white.x) * ey - (a.y - white.y) * ex) / det;
        const double s = ((a.x - white.x) * dy - (a.y - white.y) * dx) / det;
        if (t > 0 && s >= 0 && s <= 1 && (!found || t < found->t))
            found = Met{t, nm_a + s * (nm_b - nm_a)};
    };
    const auto& locus = spectralLocus();
    const auto xy = [&](std::size_t i) { return toXy(toXyz(locus[i])); };
    Xy last = xy(kFirst);
    for (std::size_t i = kFirst + 1; i <= kLast; ++i) {
        const Xy next = xy(i);
        const double nm = kGridFirstNm + static_cast<double>(i);
        tryEdge(last, next, nm - 1, nm);
        last = next;
    }
    tryEdge(last, xy(kFirst), 0, 0);
    return found;
}

} // namespace

bool anyLightHas(const Xy& colour) {
    constexpr Xy kMiddle{1.0 / 3, 1.0 / 3};
    constexpr double kAtTheEdge = 0.002;
    const double far = std::hypot(colour.x - kMiddle.x, colour.y - kMiddle.y);
    if (!(far > 0))
        return far == 0;
    const auto edge = meet(kMiddle, colour);
    return edge && far <= edge->t * far + kAtTheEdge;
}

std::optional<Dominant> dominantOf(const Xy& colour, const Xy& white) {
    if (std::hypot(colour.x - white.x, colour.y - white.y) < 1e-6)
        return std::nullopt;
    const auto ahead = meet(white, colour);
    if (!ahead || ahead->t < 1 - 1e-6)
        return std::nullopt;
    if (ahead->nm > 0)
        return Dominant{ahead->nm, false, 1 / ahead->t};
    const auto behind = meet(white, {2 * white.x - colour.x, 2 * white.y - colour.y});
    if (!behind || behind->nm == 0)
        return std::nullopt;
    return Dominant{behind->nm, true, 1 / ahead->t};
}

} // namespace zelo::colour
