// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/detail/inner.h"

#include "base/clones.h"

#include <bit>
#include <cstdint>

namespace zelo::mix {

namespace {
// Sixteen sums side by side, so that the loops run in vector registers.
constexpr std::size_t kLanes = 16;
constexpr std::size_t kWhole = colour::kGridSize / kLanes * kLanes;

double total(const double (&lane)[kLanes]) {
    double sum = 0;
    for (const double l : lane)
        sum += l;
    return sum;
}
} // namespace

ZELO_CLONES double inner(const double* a, const double* b) {
    double lane[kLanes] = {};
    for (std::size_t i = 0; i < kWhole; i += kLanes)
        for (std::size_t k = 0; k < kLanes; ++k)
            lane[k] += a[i + k] * b[i + k];
    double sum = total(lane);
    for (std::size_t i = kWhole; i < colour::kGridSize; ++i)
        sum += a[i] * b[i];
    return sum;
}

ZELO_CLONES std::array<double, 3> inner3(const double* a, const double* x, const double* y,
                                         const double* z) {
    double lane[3][kLanes] = {};
    for (std::size_t i = 0; i < kWhole; i += kLanes)
        for (std::size_t k = 0; k < kLanes; ++k) {
            const double here = a[i + k];
            lane[0][k] += here * x[i + k];
            lane[1][k] += here * y[i + k];
            lane[2][k] += here * z[i + k];
        }
    std::array<double, 3> sum{total(lane[0]), total(lane[1]), total(lane[2])};
    for (std::size_t i = kWhole; i < colour::kGridSize; ++i) {
        sum[0] += a[i] * x[i];
        sum[1] += a[i] * y[i];
        sum[2] += a[i] * z[i];
    }
    return sum;
}

std::array<double, 3> inner3(const double* a, const std::array<colour::Grid, 3>& xyz) {
    return inner3(a, xyz[0].data(), xyz[1].data(), xyz[2].data());
}

ZELO_CLONES std::array<double, 3> inner3(const double* a, const double* b,
                                         const std::array<colour::Grid, 3>& xyz) {
    const double* x = xyz[0].data();
    const double* y = xyz[1].data();
    const double* z = xyz[2].data();
    double lane[3][kLanes] = {};
    for (std::size_t i = 0; i < kWhole; i += kLanes)
        for (std::size_t k = 0; k < kLanes; ++k) {
            const double here = a[i + k] * b[i + k];
            lane[0][k] += here * x[i + k];
            lane[1][k] += here * y[i + k];
            lane[2][k] += here * z[i + k];
        }
    std::array<double, 3> sum{total(lane[0]), total(lane[1]), total(lane[2])};
    for (std::size_t i = kWhole; i < colour::kGridSize; ++i) {
        const double here = a[i] * b[i];
        sum[0] += here * x[i];
        sum[1] += here * y[i];
        sum[2] += here * z[i];
    }
    return sum;
}

// 2^(k + f) with f within ±½: the power of two by its bits, 2^f by its series to 3e-13. One pass
// without copies, so that it runs in vector registers from end to end.
ZELO_CLONES void expOfMinus(const double* a, double factor, double* out) {
    constexpr double kLog2e = 1.4426950408889634;
    constexpr double kLn2 = 0.6931471805599453;
    constexpr double kShift = 6755399441055744.0; // 1.5 · 2^52: rounds to a whole number
    for (std::size_t i = 0; i < colour::kGridSize; ++i) {
        const double x = a[i] * -kLog2e;
        const double whole = x + kShift;
        const double f = (x - (whole - kShift)) * kLn2;
        double e = 1.0 / 3628800;
        e = e * f + 1.0 / 362880;
        e = e * f + 1.0 / 40320;
        e = e * f + 1.0 / 5040;
        e = e * f + 1.0 / 720;
        e = e * f + 1.0 / 120;
        e = e * f + 1.0 / 24;
        e = e * f + 1.0 / 6;
        e = e * f + 0.5;
        e = e * f + 1;
        e = e * f + 1;
        // k in the exponent's place
        const auto bits =
            std::bit_cast<std::uint64_t>(e) + (std::bit_cast<std::uint64_t>(whole) << 52);
        out[i] = factor * std::bit_cast<double>(bits);
    }
}

} // namespace zelo::mix
