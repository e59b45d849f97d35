// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/surfaces.h"

#include "base/assert.h"

#include <Eigen/Core>

namespace zelo::colour {

namespace {

constexpr double kCie13[][kSamplesCie13 + 1] = {
#include "standards/samples_cie13.inc"
};
constexpr double kTm30[][kSamplesTm30 + 1] = {
#include "standards/samples_tm30.inc"
};
constexpr std::size_t kCie13StepNm = 5;

} // namespace

Surfaces::Surfaces(std::vector<double> reflectances, std::size_t size, Observer observer)
    : reflectances_(std::move(reflectances)), size_(size), observer_(observer) {}

const Surfaces& Surfaces::cie13() { // 5 nm, linear between
    static const Surfaces set = [] {
        std::vector<double> r(kSamplesCie13 * kGridSize);
        for (std::size_t s = 0; s < kSamplesCie13; ++s)
            for (std::size_t i = 0; i < kGridSize; ++i) {
                const std::size_t row = std::min(i / kCie13StepNm, std::size(kCie13) - 2);
                const double part = static_cast<double>(i - row * kCie13StepNm) / kCie13StepNm;
                r[s * kGridSize + i] =
                    kCie13[row][s + 1] * (1 - part) + kCie13[row + 1][s + 1] * part;
            }
        return Surfaces(std::move(r), kSamplesCie13, Observer::Cie1931_2);
    }();
    return set;
}

const Surfaces& Surfaces::tm30() {
    static const Surfaces set = [] {
        std::vector<double> r(kSamplesTm30 * kGridSize);
        for (std::size_t s = 0; s < kSamplesTm30; ++s)
            for (std::size_t i = 0; i < kGridSize; ++i)
                r[s * kGridSize + i] = kTm30[i][s + 1];
        return Surfaces(std::move(r), kSamplesTm30, Observer::Cie1964_10);
    }();
    return set;
}

void Surfaces::under(const Spectrum& light, std::span<Xyz> out) const {
    ZELO_ASSERT(out.size() == size_);
    const auto& f = matchingFunctions(observer_);
    Eigen::Matrix<double, static_cast<int>(kGridSize), 3> weights;
    for (std::size_t i = 0; i < kGridSize; ++i) {
        const auto row = static_cast<Eigen::Index>(i);
        weights(row, 0) = kMaximumEfficacy * light[i] * f.x[i];
        weights(row, 1) = kMaximumEfficacy * light[i] * f.y[i];
        weights(row, 2) = kMaximumEfficacy * light[i] * f.z[i];
    }
    using Rows =
        Eigen::Matrix<double, Eigen::Dynamic, static_cast<int>(kGridSize), Eigen::RowMajor>;
    const Eigen::Map<const Rows> r(reflectances_.data(), static_cast<Eigen::Index>(size_),
                                   static_cast<Eigen::Index>(kGridSize));
    const Eigen::Matrix<double, Eigen::Dynamic, 3, 0, static_cast<int>(kSamplesTm30), 3> xyz =
        r.lazyProduct(weights);
    for (std::size_t s = 0; s < size_; ++s) {
        const auto row = static_cast<Eigen::Index>(s);
        out[s] = {xyz(row, 0), xyz(row, 1), xyz(row, 2)};
    }
}

} // namespace zelo::colour
