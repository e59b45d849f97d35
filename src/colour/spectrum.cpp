// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/spectrum.h"

#include "base/assert.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace zelo::colour {

namespace {
std::shared_ptr<const Grid> shared(const Grid& values) {
    return std::make_shared<const Grid>(values);
}
} // namespace

Spectrum::Spectrum() {
    static const auto dark = shared(Grid{});
    values_ = dark;
}

Spectrum::Spectrum(const Grid& values) : values_(shared(values)) {
    ZELO_ASSERT(std::all_of(values.begin(), values.end(),
                            [](double v) { return std::isfinite(v) && v >= 0; }));
}

Spectrum Spectrum::flat(double value) {
    Grid values;
    values.fill(value);
    return Spectrum(values);
}

double Spectrum::at(double wavelength_nm) const {
    const double x = wavelength_nm - kGridFirstNm;
    if (!(x >= 0) || x > kGridSize - 1)
        return 0;
    const auto i = std::min(static_cast<std::size_t>(x), kGridSize - 2);
    const double part = x - static_cast<double>(i);
    return (*this)[i] * (1 - part) + (*this)[i + 1] * part;
}

double Spectrum::sum() const {
    return std::accumulate(values_->begin(), values_->end(), 0.0);
}

double Spectrum::largest() const {
    return *std::max_element(values_->begin(), values_->end());
}

int Spectrum::peakNm() const {
    const auto at = std::max_element(values_->begin(), values_->end()) - values_->begin();
    return kGridFirstNm + static_cast<int>(at);
}

Spectrum Spectrum::scaled(double factor) const {
    Grid values = *values_;
    for (double& v : values)
        v *= factor;
    return Spectrum(values);
}

Spectrum operator+(const Spectrum& a, const Spectrum& b) {
    Grid values = *a.values_;
    for (std::size_t i = 0; i < kGridSize; ++i)
        values[i] += b[i];
    return Spectrum(values);
}

Spectrum operator*(const Spectrum& a, const Spectrum& b) {
    Grid values = *a.values_;
    for (std::size_t i = 0; i < kGridSize; ++i)
        values[i] *= b[i];
    return Spectrum(values);
}

} // namespace zelo::colour
