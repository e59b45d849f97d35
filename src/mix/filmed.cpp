// SPDX-License-Identifier: GPL-3.0-or-later
// Filmed: of all mixes of one colour and brightness the one that others see most like the wanted
// light: cameras where the eye's colour is exact, the eye where a camera's is.
#include "mix/detail/inner.h"
#include "mix/detail/problem.h"
#include "mix/quadratic.h"

#include <algorithm>
#include <cmath>

namespace zelo::mix {

namespace {

// Beside squared misses: what the spectrum weighs among mixes that are seen alike, and a ridge for
// emitters that are alike. Too small to cost 1e-6 of a miss.
constexpr double kSpectrum = 1e-8;
constexpr double kRidge = 1e-12;
constexpr int kRounds = 4;                  // for the brightness that one sees
constexpr double kSettled[] = {1e-5, 5e-5}; // of a miss, without and with its slope: what is
                                            // left goes with the square
constexpr int kWeighings = 60;              // among several
constexpr double kEven = 1e-4;              // share of the largest miss: less is no gain
constexpr int kPatience = 8;                // weighings without a gain that are borne at first

} // namespace

// What one sees of each emitter, and of the wanted light: `first` and `second` are 0 in sum where
// the mix has the wanted shares.
struct LinearEngine::Watched {
    using Row = std::array<double, light::kMostParts>;
    Row first, second, of;
    double of_wanted = 0; // 0: it does not see the wanted light

    double sum(const Drives& drives) const {
        double all = 0;
        for (std::size_t e = 0; e < drives.size(); ++e)
            all += drives[e] * of[e];
        return all;
    }
    double miss(const Drives& drives) const {
        double a = 0, b = 0;
        for (std::size_t e = 0; e < drives.size(); ++e) {
            a += drives[e] * first[e];
            b += drives[e] * second[e];
        }
        const double all = sum(drives);
        return all > 0 ? std::sqrt(a * a + b * b) / all : 0;
    }
};

LinearEngine::Watched LinearEngine::watched(const colour::ShareRows& rows,
                                            const colour::Spectrum& wanted) const {
    const auto sums = [&](const double* light) {
        return inner3(light, rows.first.data(), rows.second.data(), rows.of.data());
    };
    const auto of_light = sums(wanted.values().data());
    Watched seen;
    seen.of_wanted = of_light[2];
    if (!(seen.of_wanted > 0))
        return seen;
    const double first = of_light[0] / seen.of_wanted;
    const double second = of_light[1] / seen.of_wanted;
    for (std::size_t e = 0; e < xyz_.size(); ++e) {
        const auto [a, b, of] = sums(&spectra_[e * colour::kGridSize]);
        seen.of[e] = of;
        seen.first[e] = a - first * of;
        seen.second[e] = b - second * of;
    }
    return seen;
}

// Minimise Σ weight · miss² + kSpectrum · (relative spectral difference)². A miss is a length over
// what is seen, both linear in the drives: with the latter held at what it was in the round before,
// and its slope along, the program is quadratic; what is seen hardly changes, so that few rounds
// settle it (a sequential quadratic program whose first step is nearly whole).
std::optional<Drives> LinearEngine::filmedBy(const Problem& p, std::span<const Watched> by,
                                             std::span<const double> weights,
                                             const SpectralTerm& truth, const Xyz& d,
                                             double least_y, bool exactly) const {
    const auto n = xyz_.size();
    Quadratic q;
    q.n = p.free.size();
    q.equalities = exactly ? 3 : 2;
    setColourRows(q, p, d, least_y);
    std::array<double, kMostCameras> seen{}; // by each, of the mix
    std::array<double, kMostCameras> miss{};
    for (std::size_t k = 0; k < by.size(); ++k)
        seen[k] = by[k].of_wanted / d.Y * least_y;
    const double bright = least_y / d.Y;
    const double spectrum = kSpectrum / (truth.ww * bright * bright);
    const auto form = [&](std::size_t e, std::size_t f) {
        double sum = spectrum * truth.at(e, f);
        for (std::size_t k = 0; k < by.size(); ++k)
            sum += weights[k] / (seen[k] * seen[k]) *
                   (by[k].first[e] * by[k].first[f] + by[k].second[e] * by[k].second[f]);
        return sum;
    };
    std::optional<Drives> found, free;
    for (int round = 0; round < kRounds; ++round) {
        double largest = 0;
        for (std::size_t i = 0; i < q.n; ++i) {
            const std::size_t e = p.free[i];
            for (std::size_t j = 0; j <= i; ++j)
                q.G[i][j] = q.G[j][i] = form(e, p.free[j]);
            q.g[i] = 0;
            for (std::size_t k = 0; k < by.size(); ++k) // brighter for it: the same is less
                q.g[i] -= weights[k] * miss[k] * miss[k] / seen[k] * by[k].of[e];
            for (std::size_t f = 0; f < n && p.has_pins; ++f)
                if (p.held[f] > 0)
                    q.g[i] += p.held[f] * form(e, f);
            largest = std::max(largest, q.G[i][i]);
        }
        if (!(largest > 0))
            return std::nullopt;
        for (std::size_t i = 0; i < q.n; ++i) {
            for (std::size_t j = 0; j < q.n; ++j)
                q.G[i][j] /= largest;
            q.g[i] /= largest;
            q.G[i][i] += kRidge;
        }
        free = free ? minimiseFrom(q, *free) : minimise(q);
        if (!free)
            return found;
        found = p.whole(*free);
        double moved = 0;
        for (std::size_t k = 0; k < by.size(); ++k) {
            const double now = by[k].sum(*found);
            miss[k] = by[k].miss(*found);
            if (!(now > 0))
                return found;
            moved = std::max(moved, miss[k] * std::abs(now / seen[k] - 1));
            seen[k] = now;
        }
        if (moved < kSettled[round > 0])
            break;
    }
    return found;
}

// Of several the largest miss is made small: weights grow with the misses until those that matter
// are even (C. L. Lawson, 1961), and the best that was met is taken.
std::optional<Drives> LinearEngine::filmed(const Problem& p, const MixWish& wish,
                                           const colour::Spectrum& wanted, const Xyz& d,
                                           double least_y, bool exactly) const {
    std::array<Watched, kMostCameras> all;
    std::size_t count = 0;
    const auto add = [&](const colour::ShareRows& rows) {
        all[count] = watched(rows, wanted);
        count += all[count].of_wanted > 0;
    };
    if (for_camera_)
        add(colour::eyeShares());
    for (std::size_t k = 0; !for_camera_ && k < wish.cameraCount(); ++k)
        add((*wish.cameras)[k].shares());
    if (count == 0)
        return std::nullopt;
    const std::span by = std::span<const Watched>(all).first(count);
    const SpectralTerm truth(*this, wanted, d);
    std::array<double, kMostCameras> weights{};
    weights.fill(1.0 / static_cast<double>(count));
    std::optional<Drives> best;
    double least = HUGE_VAL;
    for (int i = 0; i < (by.size() > 1 ? kWeighings : 1); ++i) {
        const auto found =
            filmedBy(p, by, std::span(weights).first(count), truth, d, least_y, exactly);
        if (!found)
            return best;
        double largest = 0;
        double sum = 0;
        for (std::size_t k = 0; k < by.size(); ++k) {
            const double miss = by[k].miss(*found);
            largest = std::max(largest, miss);
            weights[k] *= miss;
            sum += weights[k];
        }
        const bool better = largest < least * (1 - kEven);
        if (largest < least) {
            least = largest;
            best = found;
        }
        if (!(sum > 0) || (!better && i > kPatience))
            break;
        for (std::size_t k = 0; k < count; ++k)
            weights[k] /= sum;
    }
    return best;
}

} // namespace zelo::mix
