// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/ssi.h"

#include <algorithm>
#include <cmath>

namespace zelo::colour {

namespace {

constexpr std::size_t kBins = 30; // centred on 380, 390 … 670 nm
constexpr std::size_t kBinNm = 10;
using Bins = std::array<double, kBins>;

// Sums with half weight at both ends of a bin, then scaled to a sum of 1.
std::optional<Bins> binned(const Spectrum& s) {
    Bins bins{};
    double total = 0;
    for (std::size_t b = 0; b < kBins; ++b) {
        for (std::size_t k = 0; k <= kBinNm; ++k) {
            const int i = static_cast<int>(b * kBinNm + k) - 5; // 0 is 380 nm
            const double weight = k == 0 || k == kBinNm ? 0.5 : 1;
            bins[b] += weight * s[static_cast<std::size_t>(std::max(i, 0))];
        }
        total += bins[b];
    }
    if (!(total > 0))
        return std::nullopt;
    for (double& b : bins)
        b /= total;
    return bins;
}

double weightOf(std::size_t bin) {
    constexpr double first[] = {12.0 / 45, 22.0 / 45, 32.0 / 45, 40.0 / 45, 44.0 / 45};
    if (bin < std::size(first))
        return first[bin];
    if (bin == kBins - 2)
        return 11.0 / 15;
    return bin == kBins - 1 ? 3.0 / 15 : 1;
}

} // namespace

std::optional<double> spectralSimilarity(const Spectrum& test, const Spectrum& reference) {
    const auto t = binned(test);
    const auto r = binned(reference);
    if (!t || !r)
        return std::nullopt;
    // Two zeros at each end let the three-point smoothing run over the edges.
    std::array<double, kBins + 4> d{};
    for (std::size_t b = 0; b < kBins; ++b)
        d[b + 2] = weightOf(b) * ((*t)[b] - (*r)[b]) / ((*r)[b] + 1.0 / kBins);
    double sum = 0;
    for (std::size_t i = 1; i + 1 < d.size(); ++i) {
        const double smooth = 0.22 * d[i - 1] + 0.56 * d[i] + 0.22 * d[i + 1];
        sum += smooth * smooth;
    }
    return 100 - 32 * std::sqrt(sum);
}

} // namespace zelo::colour
