// SPDX-License-Identifier: GPL-3.0-or-later
// A Spectrum is a function of wavelength on the project's one grid: 380..780 nm, every 1 nm.
// It holds radiant power (W/nm, or relative) or a transmittance or reflectance (0..1); its owner
// says which. Values are finite and >= 0. Immutable and shared: copy it freely, read it from any
// thread. Cost: 401 doubles; each operation visits them once.
#pragma once

#include <array>
#include <cstddef>
#include <memory>

namespace zelo::colour {

inline constexpr int kGridFirstNm = 380;
inline constexpr int kGridLastNm = 780;
inline constexpr std::size_t kGridSize = 401;

using Grid = std::array<double, kGridSize>;

class Spectrum {
public:
    Spectrum();                            // 0 everywhere: no light
    explicit Spectrum(const Grid& values); // Requires: finite, >= 0

    static Spectrum flat(double value);

    double operator[](std::size_t i) const { return (*values_)[i]; } // at 380 + i nm
    const Grid& values() const { return *values_; }

    // Between samples linear, 0 outside the grid.
    double at(double wavelength_nm) const;

    double sum() const; // over the grid, i.e. the integral with dλ = 1 nm
    double largest() const;
    int peakNm() const; // wavelength of the largest value; 380 when dark

    Spectrum scaled(double factor) const; // Requires factor >= 0
    friend Spectrum operator+(const Spectrum& a, const Spectrum& b);
    friend Spectrum operator*(const Spectrum& a, const Spectrum& b); // light through a filter
    friend bool operator==(const Spectrum& a, const Spectrum& b) {
        return a.values_ == b.values_ || *a.values_ == *b.values_;
    }

private:
    std::shared_ptr<const Grid> values_;
};

} // namespace zelo::colour
