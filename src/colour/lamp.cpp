// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/lamp.h"

#include "base/assert.h"
#include "colour/resample.h"

#include <Eigen/Core>

#include <algorithm>
#include <cmath>

namespace zelo::colour {

namespace {

struct DaylightRow {
    double wavelength_nm, s0, s1, s2;
};
constexpr DaylightRow kDaylight[] = {
#include "standards/daylight_components.inc"
};

} // namespace

namespace {

using Values = Eigen::Array<double, kGridSize, 1>;
constexpr double kC2NmK = 1.4388e7; // m K -> nm K

// What Planck's exponent is at each wavelength; from 0.18 up.
Values exponents(Kelvin t) {
    ZELO_ASSERT(t.value >= kCoolestK && t.value <= kHottestK);
    return kC2NmK / t.value / Values::LinSpaced(kGridFirstNm, kGridLastNm);
}

} // namespace

Spectrum blackbody(Kelvin t) {
    constexpr double reference_nm = 560;
    static const Values fifth_power =
        (reference_nm / Values::LinSpaced(kGridFirstNm, kGridLastNm)).pow(5);
    const double at_reference = std::expm1(kC2NmK / (reference_nm * t.value));
    Grid grid;
    Eigen::Map<Values>(grid.data()) = fifth_power * at_reference / (exponents(t).exp() - 1);
    return Spectrum(grid);
}

Spectrum blackbodyGrowth(Kelvin t) {
    const Spectrum light = blackbody(t);
    const Values x = exponents(t);
    Grid grid;
    Eigen::Map<Values>(grid.data()) =
        Eigen::Map<const Values>(light.values().data()) * x / (1 - (-x).exp());
    return Spectrum(grid);
}

Spectrum daylight(Kelvin t) {
    ZELO_ASSERT(t.value >= kDaylightFromK && t.value <= kDaylightToK);
    const double r = 1000 / t.value;
    const double xD = t.value <= 7000
                          ? -4.6070 * r * r * r + 2.9678 * r * r + 0.09911 * r + 0.244063
                          : -2.0064 * r * r * r + 1.9018 * r * r + 0.24748 * r + 0.237040;
    const double yD = -3.000 * xD * xD + 2.870 * xD - 0.275;
    const double M = 0.0241 + 0.2562 * xD - 0.7341 * yD;
    const double M1 = (-1.3515 - 1.7703 * xD + 5.9114 * yD) / M;
    const double M2 = (0.0300 - 31.4424 * xD + 30.0717 * yD) / M;
    Samples samples;
    for (const auto& row : kDaylight) {
        samples.wavelengths_nm.push_back(row.wavelength_nm);
        samples.values.push_back(std::max(0.0, (row.s0 + M1 * row.s1 + M2 * row.s2) / 100));
    }
    auto spectrum = lightFromSamples(samples);
    ZELO_ASSERT(spectrum.has_value());
    return *spectrum;
}

Spectrum lampOf(Kelvin t) {
    return t.value < kDaylightFromK || t.value > kDaylightToK ? blackbody(t) : daylight(t);
}

} // namespace zelo::colour
