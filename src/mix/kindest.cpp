// SPDX-License-Identifier: GPL-3.0-or-later
// Kindest: among the mixes of one colour and brightness, the one under which surfaces look best.
#include "colour/cct.h"
#include "colour/lamp.h"
#include "colour/rendering.h"
#include "mix/detail/problem.h"

#include <Eigen/LU>
#include <Eigen/QR>
#include <algorithm>

namespace zelo::mix {

namespace {

constexpr int kMostTries = 260;     // of about 50 µs: within 20 ms
constexpr double kFirstStep = 0.30; // in drives
constexpr double kLastStep = 0.004;

} // namespace

std::optional<colour::Kindness> kindnessFor(const light::Wanted& wanted) {
    constexpr double kAgreementWhiteK = 4300; // what the eye takes for white without a lamp
    const auto cct = colour::cctOf(wanted.uv());
    if (colour::indicesMeanSomething(cct))
        return colour::Kindness::fidelity(cct->cct);
    if (wanted.spectrum)
        return colour::Kindness::agreement(
            *wanted.spectrum, wanted.lamp ? *wanted.lamp : colour::lampOf({kAgreementWhiteK}));
    return std::nullopt;
}

// A compass search in the space of drives that change neither colour nor brightness: the null space
// of the emitters' XYZ. Its moves keep the colour to rounding; never worse than any of `starts`.
Drives LinearEngine::kindest(const Problem& p, const light::Wanted& wanted,
                             std::span<const Drives> starts) const {
    const auto kindness = kindnessFor(wanted);
    const auto n = static_cast<Eigen::Index>(p.free.size());
    if (!kindness)
        return starts.front();
    const auto scoreOf = [&](const Drives& drives) {
        std::array<Xyz, 1 + colour::kSamplesTm30> sum{};
        for (std::size_t e = 0; e < rendering_.size(); ++e)
            if (drives[e] > 0)
                for (std::size_t s = 0; s < sum.size(); ++s)
                    sum[s] += drives[e] * rendering_[e][s];
        return sum[0].Y > 0 ? kindness->score(std::span(sum).subspan(1), sum[0]) : 0;
    };
    Drives best = starts.front();
    double best_score = scoreOf(best);
    int tries = 1;
    for (const Drives& start : starts.subspan(1)) {
        const double score = scoreOf(start);
        ++tries;
        if (score > best_score && xyzOf(start).Y >= xyzOf(starts.front()).Y * (1 - 1e-9)) {
            best = start;
            best_score = score;
        }
    }
    if (n <= 3)
        return best;
    Eigen::MatrixXd M(3, n);
    for (Eigen::Index i = 0; i < n; ++i) {
        const Xyz& m = p.xyz[static_cast<std::size_t>(i)];
        M.col(i) = Eigen::Vector3d(m.X, m.Y, m.Z);
    }
    const Eigen::MatrixXd free_ways = M.fullPivLu().kernel();
    const Eigen::MatrixXd ways = Eigen::HouseholderQR<Eigen::MatrixXd>(free_ways).householderQ() *
                                 Eigen::MatrixXd::Identity(n, free_ways.cols());
    for (double step = kFirstStep; step >= kLastStep && tries < kMostTries;) {
        bool better = false;
        for (Eigen::Index w = 0; w < ways.cols() && tries < kMostTries; ++w)
            for (const double sign : {1.0, -1.0}) {
                double far = step; // cut short where an emitter meets its end
                for (Eigen::Index i = 0; i < n; ++i) {
                    const double a = best[p.free[static_cast<std::size_t>(i)]];
                    const double v = sign * ways(i, w);
                    if (v > 1e-12)
                        far = std::min(far, (1 - a) / v);
                    else if (v < -1e-12)
                        far = std::min(far, a / -v);
                }
                if (far < kLastStep / 4)
                    continue;
                Drives tried = best;
                for (Eigen::Index i = 0; i < n; ++i) {
                    double& a = tried[p.free[static_cast<std::size_t>(i)]];
                    a = std::clamp(a + far * sign * ways(i, w), 0.0, 1.0);
                }
                const double score = scoreOf(tried);
                ++tries;
                if (score > best_score + 1e-9) {
                    best = tried;
                    best_score = score;
                    better = true;
                }
            }
        if (!better)
            step /= 2;
    }
    return best;
}

} // namespace zelo::mix
