// SPDX-License-Identifier: GPL-3.0-or-later
// Published reflectances: the surfaces that colour rendering is judged on (data/standards/).
#pragma once

#include "colour/observer.h"

#include <span>
#include <vector>

namespace zelo::colour {

inline constexpr std::size_t kSamplesCie13 = 14; // CIE 13.3
inline constexpr std::size_t kSamplesTm30 = 99;  // ANSI/IES TM-30-20 and CIE 224:2017

// Tristimulus values of all surfaces of one set under a light, by one matrix product.
class Surfaces {
public:
    static const Surfaces& cie13(); // CIE 1931 2°
    static const Surfaces& tm30();  // CIE 1964 10°

    std::size_t size() const { return size_; }
    Observer observer() const { return observer_; }
    // XYZ of each surface; a perfect white has the Y of toXyz(light, observer()).
    // Cost: 1203 multiplications a surface. Requires out.size() == size().
    void under(const Spectrum& light, std::span<Xyz> out) const;
    double reflectance(std::size_t surface, std::size_t i) const { // at 380 + i nm
        return reflectances_[surface * kGridSize + i];
    }

private:
    Surfaces(std::vector<double> reflectances, std::size_t size, Observer observer);
    std::vector<double> reflectances_; // surface by surface
    std::size_t size_;
    Observer observer_;
};

} // namespace zelo::colour
