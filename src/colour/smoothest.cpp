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

// Σ (s[i+1] - s[i])² as a matrix, with a breath of ridge so that dark ends are unique: it has a
// diagonal and its two neighbours.
constexpr double kRidge = 1e-9;
double slopeDiagonal(int node) {
    return kRidge + (node == 0 || node == kNodes - 1 ? 1 : 2);
}
Eigen::VectorXd slopes(const Eigen::VectorXd& s) {
    Eigen::VectorXd all(kNodes);
    for (int i = 0; i < kNodes; ++i)
        all[i] = slopeDiagonal(i) * s[i] - (i > 0 ? s[i - 1] : 0) - (i + 1 < kNodes ? s[i + 1] : 0);
    return all;
}

// The least slope with A s = target and the held nodes at 0, and what each row of A costs:
// H s + Aᵀ λ = 0 on the free nodes. The three rows are eliminated, the rest is solved along the
// nodes; what that loses where no node is held (H is all but singular then) comes back by
// refinement.
class FreeNodes {
public:
    FreeNodes(const NodeXyz& A, const std::vector<char>& held) {
        for (int i = 0; i < kNodes; ++i)
            if (!held[static_cast<std::size_t>(i)])
                nodes_.push_back(i);
        const auto n = static_cast<int>(nodes_.size());
        rows_.resize(3, n);
        lower_ = pivot_ = Eigen::VectorXd::Zero(n);
        for (int k = 0; k < n; ++k) {
            const int node = nodes_[static_cast<std::size_t>(k)];
            rows_.col(k) = A.col(node);
            const bool beside = k > 0 && nodes_[static_cast<std::size_t>(k) - 1] == node - 1;
            lower_[k] = beside ? -1 / pivot_[k - 1] : 0;
            pivot_[k] = slopeDiagonal(node) - (beside ? 1 / pivot_[k - 1] : 0);
        }
        columns_.resize(n, 3);
        for (int c = 0; c < 3; ++c)
            columns_.col(c) = along(rows_.row(c).transpose());
        small_ = (rows_ * columns_).fullPivLu();
    }
    int size() const { return static_cast<int>(nodes_.size()); }
    // False when it has no finite answer.
    bool solve(const Eigen::Vector3d& target, Eigen::VectorXd& s, Eigen::Vector3d& cost) const {
        constexpr int kRefinements = 3;
        Eigen::VectorXd x = Eigen::VectorXd::Zero(size());
        cost.setZero();
        s = Eigen::VectorXd::Zero(kNodes);
        for (int round = 0; round <= kRefinements; ++round) {
            const Eigen::VectorXd bent = slopes(s);
            Eigen::VectorXd left(size());
            for (int k = 0; k < size(); ++k)
                left[k] = -bent[nodes_[static_cast<std::size_t>(k)]];
            left -= rows_.transpose() * cost;
            const Eigen::VectorXd straight = along(left);
            const Eigen::Vector3d more = small_.solve(rows_ * straight - (target - rows_ * x));
            cost += more;
            x += straight - columns_ * more;
            if (!x.allFinite())
                return false;
            for (int k = 0; k < size(); ++k)
                s[nodes_[static_cast<std::size_t>(k)]] = x[k];
        }
        return true;
    }

private:
    Eigen::VectorXd along(Eigen::VectorXd b) const { // of H on the free nodes
        for (int k = 1; k < size(); ++k)
            b[k] -= lower_[k] * b[k - 1];
        for (int k = size() - 1; k >= 0; --k)
            b[k] = b[k] / pivot_[k] - (k + 1 < size() ? lower_[k + 1] * b[k + 1] : 0);
        return b;
    }
    std::vector<int> nodes_;
    Eigen::Matrix<double, 3, Eigen::Dynamic> rows_;
    Eigen::VectorXd lower_, pivot_;                    // H = L D Lᵀ
    Eigen::Matrix<double, Eigen::Dynamic, 3> columns_; // H⁻¹ Aᵀ
    Eigen::FullPivLU<Eigen::Matrix3d> small_;
};

// Non-negative, least squared slope, and A of it is the target's colour at Y = 1.
std::optional<Grid> smoothest(const NodeXyz& A, const Xyz& xyz) {
    if (!(xyz.Y > 0))
        return std::nullopt;
    const Eigen::Vector3d target = Eigen::Vector3d(xyz.X, xyz.Y, xyz.Z) / xyz.Y;

    std::vector<char> held(kNodes, 0); // nodes held at 0
    Eigen::VectorXd s = Eigen::VectorXd::Zero(kNodes);
    for (int round = 0; round < 4 * kNodes; ++round) {
        const FreeNodes free(A, held);
        Eigen::Vector3d cost;
        if (free.size() < 3 || !free.solve(target, s, cost))
            return std::nullopt;
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
        const Eigen::VectorXd pull = slopes(s) + A.transpose() * cost;
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
