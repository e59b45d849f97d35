// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/observer.h"

namespace zelo::colour {

namespace {

struct Row {
    double wavelength_nm, x, y, z;
};

constexpr Row kCie1931_2[] = {
#include "standards/observer_cie1931_2.inc"
};
constexpr Row kCie1964_10[] = {
#include "standards/observer_cie1964_10.inc"
};
constexpr Row kCie2015_2[] = {
#include "standards/observer_cie2015_2.inc"
};
constexpr Row kCie2015_10[] = {
#include "standards/observer_cie2015_10.inc"
};

MatchingFunctions columns(const Row (&rows)[kGridSize]) {
    MatchingFunctions f;
    for (std::size_t i = 0; i < kGridSize; ++i) {
        f.x[i] = rows[i].x;
        f.y[i] = rows[i].y;
        f.z[i] = rows[i].z;
    }
    return f;
}

} // namespace

const MatchingFunctions& matchingFunctions(Observer observer) {
    static const MatchingFunctions all[] = {columns(kCie1931_2), columns(kCie1964_10),
                                            columns(kCie2015_2), columns(kCie2015_10)};
    return all[static_cast<std::size_t>(observer)];
}

Xyz toXyz(const Spectrum& spectrum, Observer observer) {
    const auto& f = matchingFunctions(observer);
    const Grid& s = spectrum.values();
    Xyz sum;
    for (std::size_t i = 0; i < kGridSize; ++i) {
        sum.X += s[i] * f.x[i];
        sum.Y += s[i] * f.y[i];
        sum.Z += s[i] * f.z[i];
    }
    return kMaximumEfficacy * sum;
}

const std::array<Uv, kGridSize>& spectralLocus() {
    static const auto locus = [] {
        const auto& f = matchingFunctions(Observer::Cie1931_2);
        std::array<Uv, kGridSize> uv;
        for (std::size_t i = 0; i < kGridSize; ++i)
            uv[i] = toUv({f.x[i], f.y[i], f.z[i]});
        return uv;
    }();
    return locus;
}

} // namespace zelo::colour
