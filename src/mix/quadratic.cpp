// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/quadratic.h"

#include <Eigen/Dense>
#include <cmath>

namespace zelo::mix {

namespace {

constexpr int kN = static_cast<int>(light::kMostEmitters);
using Matrix = Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::ColMajor, kN, kN>;
using Vector = Eigen::Matrix<double, Eigen::Dynamic, 1, Eigen::ColMajor, kN, 1>;

constexpr double kViolated = 1e-11; // drives are 0..1; anything less is rounding
constexpr double kDependent = 1e-13;

// A constraint normal · x >= bound (or = bound). Its normal is a row or plus or minus one axis.
struct Constraint {
    int row = -1; // equality
    int axis = -1;
    double sign = 1;
    double bound = 0;
};

class ActiveSet {
public:
    explicit ActiveSet(const Quadratic& q) : q_(q), n_(static_cast<int>(q.n)) {
        Matrix G(n_, n_);
        for (int i = 0; i < n_; ++i)
            for (int j = 0; j < n_; ++j)
                G(i, j) = q.G[static_cast<std::size_t>(i)][static_cast<std::size_t>(j)];
        cholesky_.compute(G);
        Vector g(n_);
        for (int i = 0; i < n_; ++i)
            g[i] = q.g[static_cast<std::size_t>(i)];
        x_ = -cholesky_.solve(g);
    }

    std::optional<light::Drives> solve() {
        for (std::size_t e = 0; e < q_.equalities; ++e)
            if (!takeIn({static_cast<int>(e), -1, 1, q_.rhs[e]}))
                return std::nullopt;
        fixed_ = count_;
        for (int round = 0; round < 20 * kN; ++round) {
            const Constraint worst = mostViolated();
            if (worst.axis < 0)
                return polished();
            if (!takeIn(worst))
                return std::nullopt;
        }
        return std::nullopt;
    }

private:
    Vector normal(const Constraint& c) const {
        Vector v = Vector::Zero(n_);
        if (c.row >= 0)
            for (int i = 0; i < n_; ++i)
                v[i] = q_.row[static_cast<std::size_t>(c.row)][static_cast<std::size_t>(i)];
        else
            v[c.axis] = c.sign;
        return v;
    }

    Constraint mostViolated() const {
        Constraint worst;
        double most = kViolated;
        for (int i = 0; i < n_; ++i) {
            if (-x_[i] > most) {
                most = -x_[i];
                worst = {-1, i, 1, 0};
            }
            if (x_[i] - 1 > most) {
                most = x_[i] - 1;
                worst = {-1, i, -1, -1};
            }
        }
        return worst;
    }

    // Steps until the constraint holds, dropping others whose multiplier would turn negative.
    bool takeIn(const Constraint& c) {
        const Vector np = normal(c);
        const Vector gnp = cholesky_.solve(np);
        double u_new = 0;
        for (int guard = 0; guard < 4 * kN; ++guard) {
            // z: the step in x; r: how the multipliers of the active set answer it.
            Vector r(count_);
            Vector z = gnp;
            if (count_ > 0) {
                const auto N = normals_.leftCols(count_);
                const auto GN = solved_.leftCols(count_);
                const Matrix S = N.transpose() * GN;
                r = S.ldlt().solve(N.transpose() * gnp);
                z -= GN * r;
            }
            const double slack = np.dot(x_) - c.bound;
            const double curve = z.dot(np);
            const bool dependent = curve <= kDependent * gnp.dot(np);
            int leaves = -1;
            double t1 = HUGE_VAL;
            for (int k = fixed_; k < count_; ++k)
                if (r[k] > 1e-14 && u_[k] / r[k] < t1) {
                    t1 = u_[k] / r[k];
                    leaves = k;
                }
            if (c.row >= 0) // equalities come first and step both ways
                t1 = HUGE_VAL;
            const double t2 = dependent ? HUGE_VAL : -slack / curve;
            if (dependent && c.row >= 0)
                return std::abs(slack) <= 1e-9 * (1 + std::abs(c.bound)); // a row said twice
            const double t = std::min(t1, t2);
            if (!std::isfinite(t))
                return false;
            for (int k = 0; k < count_; ++k)
                u_[k] -= t * r[k];
            u_new += t;
            if (!dependent)
                x_ += t * z;
            if (t == t2) {
                if (count_ == n_)
                    return false;
                constraints_[static_cast<std::size_t>(count_)] = c;
                normals_.col(count_) = np;
                solved_.col(count_) = gnp;
                u_[count_] = u_new;
                ++count_;
                return true;
            }
            drop(leaves);
        }
        return false;
    }

    void drop(int k) {
        for (int i = k; i + 1 < count_; ++i) {
            constraints_[static_cast<std::size_t>(i)] =
                constraints_[static_cast<std::size_t>(i + 1)];
            normals_.col(i) = normals_.col(i + 1);
            solved_.col(i) = solved_.col(i + 1);
            u_[i] = u_[i + 1];
        }
        --count_;
    }

    // G may be nearly singular; its solves then leave the equalities off by far more than
    // rounding. Put x back on them by the least change of the variables that are free.
    light::Drives polished() {
        std::array<char, light::kMostEmitters> held{};
        for (int k = fixed_; k < count_; ++k) {
            const Constraint& c = constraints_[static_cast<std::size_t>(k)];
            x_[c.axis] = c.sign > 0 ? 0 : 1;
            held[static_cast<std::size_t>(c.axis)] = 1;
        }
        const int rows = static_cast<int>(q_.equalities);
        Eigen::Matrix<double, 3, kN> A = Eigen::Matrix<double, 3, kN>::Zero();
        for (int e = 0; e < rows; ++e)
            for (int i = 0; i < n_; ++i)
                A(e, i) = q_.row[static_cast<std::size_t>(e)][static_cast<std::size_t>(i)];
        for (int pass = 0; pass < 2 && rows > 0; ++pass) {
            Eigen::Vector3d off = Eigen::Vector3d::Zero();
            Eigen::Matrix3d S = Eigen::Matrix3d::Identity();
            S.topLeftCorner(rows, rows).setZero();
            for (int e = 0; e < rows; ++e) {
                off[e] = q_.rhs[static_cast<std::size_t>(e)] - A.row(e).head(n_).dot(x_);
                for (int f = 0; f < rows; ++f)
                    for (int i = 0; i < n_; ++i)
                        if (!held[static_cast<std::size_t>(i)])
                            S(e, f) += A(e, i) * A(f, i);
            }
            const Eigen::Vector3d y = S.completeOrthogonalDecomposition().solve(off);
            for (int i = 0; i < n_; ++i)
                if (!held[static_cast<std::size_t>(i)])
                    x_[i] += A.col(i).dot(y);
        }
        light::Drives drives(q_.n);
        for (int i = 0; i < n_; ++i)
            drives[static_cast<std::size_t>(i)] = std::clamp(x_[i], 0.0, 1.0);
        return drives;
    }

    const Quadratic& q_;
    int n_;
    Eigen::LLT<Matrix> cholesky_;
    Vector x_;
    std::array<Constraint, light::kMostEmitters> constraints_;
    Matrix normals_ = Matrix::Zero(n_, kN);
    Matrix solved_ = Matrix::Zero(n_, kN);
    std::array<double, light::kMostEmitters + 1> u_{};
    int count_ = 0;
    int fixed_ = 0;
};

} // namespace

std::optional<light::Drives> minimise(const Quadratic& q) {
    if (q.n == 0)
        return std::nullopt;
    return ActiveSet(q).solve();
}

} // namespace zelo::mix
