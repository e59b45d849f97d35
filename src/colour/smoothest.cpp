// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/smoothest.h"

#include "colour/observer.h"

#include <Eigen/LU>
#include <algorithm>
#include <vector>

namespace zelo::colour {

namespace {

constexpr int kNodeNm = 5;
constexpr int kNodes = 81;

// Share of node `n` in the grid sample i.
double hat(int n, int i) {
    return std::max(0.0, 1 - std::abs(i - n * kNodeNm) / static_cast<double>(kNodeNm));
}

using NodeXyz = Eigen::Matrix<double, 3, kNodes>;

// XYZ of each node's hat function, per watt, through which `lamp` shines.
NodeXyz nodeXyz(const Spectrum& lamp) {
    const auto& f = matchingFunctions(Observer::Cie1931_2);
    NodeXyz m;
    m.setZero();
    for (int n = 0; n < kNodes; ++n)
        for (int i = std::max(0, (n - 1) * kNodeNm); i < static_cast<int>(kGridSize); ++i) {
            const double w = hat(n, i);
            if (i > n * kNodeNm && w == 0)
                break;
            const auto at = static_cast<std::size_t>(i);
            m.col(n) += w * lamp[at] * Eigen::Vector3d(f.x[at], f.y[at], f.z[at]);
        }
    return m;
}

// Σ (s[i+1] - s[i])² as a matrix, with a breath of ridge so that dark ends are unique.
Eigen::MatrixXd slopeMatrix() {
    Eigen::MatrixXd h = 1e-9 * Eigen::MatrixXd::Identity(kNodes, kNodes);
    for (int i = 0; i + 1 < kNodes; ++i) {
        h(i, i) += 1;
        h(i + 1, i + 1) += 1;
        h(i, i + 1) -= 1;
        h(i + 1, i) -= 1;
    }
    return h;
}

// Non-negative, least squared slope, and A of it is the target's colour at Y = 1.
std::optional<Grid> smoothest(const NodeXyz& A, const Xyz& xyz) {
    if (!(xyz.Y > 0))
        return std::nullopt;
    static const Eigen::MatrixXd H = slopeMatrix();
    const Eigen::Vector3d target = Eigen::Vector3d(xyz.X, xyz.Y, xyz.Z) / xyz.Y;

    std::vector<char> held(kNodes, 0); // nodes held at 0
    Eigen::VectorXd s = Eigen::VectorXd::Zero(kNodes);
    for (int round = 0; round < 4 * kNodes; ++round) {
        std::vector<int> free;
        for (int i = 0; i < kNodes; ++i)
            if (!held[static_cast<std::size_t>(i)])
                free.push_back(i);
        const int n = static_cast<int>(free.size());
        if (n < 3)
            return std::nullopt;
        Eigen::MatrixXd kkt = Eigen::MatrixXd::Zero(n + 3, n + 3);
        for (int i = 0; i < n; ++i) {
            for (int j = 0; j < n; ++j)
                kkt(i, j) = H(free[static_cast<std::size_t>(i)], free[static_cast<std::size_t>(j)]);
            for (int c = 0; c < 3; ++c)
                kkt(i, n + c) = kkt(n + c, i) = A(c, free[static_cast<std::size_t>(i)]);
        }
        Eigen::VectorXd rhs = Eigen::VectorXd::Zero(n + 3);
        rhs.tail(3) = target;
        const Eigen::VectorXd x = kkt.partialPivLu().solve(rhs);
        if (!x.allFinite())
            return std::nullopt;
        s.setZero();
        for (int i = 0; i < n; ++i)
            s[free[static_cast<std::size_t>(i)]] = x[i];
        const double scale = std::max(1e-300, s.cwiseAbs().maxCoeff());
        bool clipped = false;
        for (int i = 0; i < kNodes; ++i)
            if (s[i] < -1e-11 * scale) {
                held[static_cast<std::size_t>(i)] = 1;
                clipped = true;
            }
        if (clipped)
            continue;
        // Let go of the held node that the slope pulls up most, if any.
        const Eigen::VectorXd pull = H * s + A.transpose() * x.tail(3);
        int worst = -1;
        double least = -1e-9 * scale;
        for (int i = 0; i < kNodes; ++i)
            if (held[static_cast<std::size_t>(i)] && pull[i] < least && round < 2 * kNodes) {
                least = pull[i];
                worst = i;
            }
        if (worst >= 0) {
            held[static_cast<std::size_t>(worst)] = 0;
            continue;
        }
        if (!((A * s.cwiseMax(0) - target).norm() <= 1e-9 * target.norm()))
            return std::nullopt;
        Grid grid{};
        for (int i = 0; i < static_cast<int>(kGridSize); ++i) {
            const int node = std::min(i / kNodeNm, kNodes - 2);
            grid[static_cast<std::size_t>(i)] =
                std::max(0.0, hat(node, i) * s[node] + hat(node + 1, i) * s[node + 1]);
        }
        return grid;
    }
    return std::nullopt;
}

} // namespace

std::optional<Spectrum> smoothestSpectrum(const Xyz& xyz) {
    static const NodeXyz A = nodeXyz(Spectrum::flat(1));
    const auto grid = smoothest(A, xyz);
    return grid ? std::optional(Spectrum(*grid).scaled(xyz.Y / kMaximumEfficacy)) : std::nullopt;
}

std::optional<Spectrum> throughSmoothestFilter(const Spectrum& lamp, const Xyz& xyz) {
    const double most = *std::max_element(lamp.values().begin(), lamp.values().end());
    if (!(most > 0))
        return std::nullopt;
    const auto filter = smoothest(nodeXyz(lamp.scaled(1 / most)), xyz);
    if (!filter)
        return std::nullopt;
    const Spectrum light = lamp * Spectrum(*filter);
    return light.scaled(xyz.Y / toXyz(light).Y);
}

} // namespace zelo::colour
