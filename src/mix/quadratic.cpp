// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/quadratic.h"

#include <Eigen/Cholesky>
#include <algorithm>
#include <cmath>

namespace zelo::mix {

namespace {

constexpr std::size_t kN = light::kMostParts;
using Square = std::array<std::array<double, kN>, kN>;
using Row = Quadratic::Row;

constexpr double kViolated = 1e-11; // drives are 0..1; anything less is rounding
constexpr double kDependent = 1e-13;
constexpr double kFlat = 1e-9; // of a row's largest: less tells nothing

// A constraint normal · x >= bound (or = bound). Its normal is a row, or plus or minus one axis.
struct Constraint {
    int row = -1; // equality
    int axis = -1;
    double sign = 1;
    double bound = 0;
};

// Plain arrays, not a matrix library: the problem has a handful of variables and every step is a
// few rotations (benchmarks/mix_bench.cpp: three times the speed of small dense solves).
class ActiveSet {
public:
    explicit ActiveSet(const Quadratic& q) : q_(q), n_(q.n) {
        // G = L Lᵀ; J = L⁻ᵀ; x = −G⁻¹ g.
        Square L; // only the triangle that is written is read
        for (std::size_t i = 0; i < n_; ++i)
            for (std::size_t j = 0; j <= i; ++j) {
                double sum = q.G[i][j];
                for (std::size_t k = 0; k < j; ++k)
                    sum -= L[i][k] * L[j][k];
                L[i][j] = i == j ? std::sqrt(std::max(sum, 1e-300)) : sum / L[j][j];
            }
        for (std::size_t c = 0; c < n_; ++c) { // column c of L⁻¹ is row c of J
            for (std::size_t i = 0; i < c; ++i)
                J_[c][i] = 0;
            for (std::size_t i = c; i < n_; ++i) {
                double sum = i == c ? 1 : 0;
                for (std::size_t k = c; k < i; ++k)
                    sum -= L[i][k] * J_[c][k];
                J_[c][i] = sum / L[i][i];
            }
        }
        for (std::size_t i = 0; i < n_; ++i)
            for (std::size_t c = 0; c < n_; ++c) {
                double along = 0;
                for (std::size_t k = 0; k < n_; ++k)
                    along += J_[k][c] * q.g[k];
                x_[i] -= J_[i][c] * along;
            }
    }

    std::optional<light::Drives> solve() {
        for (std::size_t e = 0; e < q_.equalities; ++e)
            if (!takeIn({static_cast<int>(e), -1, 1, q_.rhs[e]}))
                return std::nullopt;
        fixed_ = count_;
        for (std::size_t round = 0; round < 20 * kN; ++round) {
            const Constraint worst = mostViolated();
            if (worst.axis < 0)
                return polished();
            if (!takeIn(worst))
                return std::nullopt;
        }
        return std::nullopt;
    }

private:
    Constraint mostViolated() const {
        Constraint worst;
        double most = kViolated;
        for (std::size_t i = 0; i < n_; ++i) {
            if (-x_[i] > most) {
                most = -x_[i];
                worst = {-1, static_cast<int>(i), 1, 0};
            }
            if (x_[i] - 1 > most) {
                most = x_[i] - 1;
                worst = {-1, static_cast<int>(i), -1, -1};
            }
        }
        return worst;
    }

    double valueOf(const Constraint& c) const { // normal · x − bound
        if (c.row < 0)
            return c.sign * x_[static_cast<std::size_t>(c.axis)] - c.bound;
        double sum = -c.bound;
        for (std::size_t i = 0; i < n_; ++i)
            sum += q_.row[static_cast<std::size_t>(c.row)][i] * x_[i];
        return sum;
    }

    // d = Jᵀ · normal
    Row along(const Constraint& c) const {
        Row d{};
        for (std::size_t k = 0; k < n_; ++k) {
            if (c.row < 0) {
                d[k] = c.sign * J_[static_cast<std::size_t>(c.axis)][k];
                continue;
            }
            for (std::size_t i = 0; i < n_; ++i)
                d[k] += J_[i][k] * q_.row[static_cast<std::size_t>(c.row)][i];
        }
        return d;
    }

    // Steps until the constraint holds, dropping others whose multiplier would turn negative.
    bool takeIn(const Constraint& c) {
        double u_new = 0;
        for (std::size_t guard = 0; guard < 4 * kN; ++guard) {
            Row d = along(c);
            // z: the step in x; r: how the multipliers of the active set answer it.
            Row z{};
            double curve = 0;
            double all = 0;
            for (std::size_t k = 0; k < n_; ++k) {
                all += d[k] * d[k];
                if (k < count_)
                    continue;
                curve += d[k] * d[k];
                for (std::size_t i = 0; i < n_; ++i)
                    z[i] += J_[i][k] * d[k];
            }
            Row r{};
            for (std::size_t k = count_; k-- > 0;) {
                r[k] = d[k];
                for (std::size_t j = k + 1; j < count_; ++j)
                    r[k] -= R_[k][j] * r[j];
                r[k] /= R_[k][k];
            }
            const double slack = valueOf(c);
            const bool dependent = curve <= kDependent * all;
            if (c.row >= 0 && dependent) // a row said twice
                return std::abs(slack) <= 1e-9 * (1 + std::abs(c.bound));
            std::size_t leaves = count_;
            double t1 = HUGE_VAL;
            for (std::size_t k = fixed_; k < count_ && c.row < 0; ++k)
                if (r[k] > 1e-14 && u_[k] / r[k] < t1) {
                    t1 = u_[k] / r[k];
                    leaves = k;
                }
            const double t2 = dependent ? HUGE_VAL : -slack / curve;
            const double t = std::min(t1, t2);
            if (!std::isfinite(t))
                return false;
            for (std::size_t k = 0; k < count_; ++k)
                u_[k] -= t * r[k];
            u_new += t;
            if (!dependent)
                for (std::size_t i = 0; i < n_; ++i)
                    x_[i] += t * z[i];
            if (t == t2)
                return activate(c, d, u_new);
            drop(leaves);
        }
        return false;
    }

    // A rotation of columns j-1 and j of J, as Goldfarb and Idnani write it.
    struct Turn {
        double cc, ss, xny;
        void apply(double& a, double& b) const {
            const double t1 = a;
            a = t1 * cc + b * ss;
            b = xny * (t1 + a) - b;
        }
    };

    bool activate(const Constraint& c, Row& d, double u) {
        if (count_ == n_)
            return false;
        for (std::size_t j = n_ - 1; j > count_; --j) {
            const double h = std::sqrt(d[j - 1] * d[j - 1] + d[j] * d[j]);
            if (h == 0)
                continue;
            Turn turn{d[j - 1] / h, d[j] / h, 0};
            d[j] = 0;
            d[j - 1] = turn.cc < 0 ? -h : h;
            if (turn.cc < 0)
                turn = {-turn.cc, -turn.ss, 0};
            turn.xny = turn.ss / (1 + turn.cc);
            for (std::size_t k = 0; k < n_; ++k)
                turn.apply(J_[k][j - 1], J_[k][j]);
        }
        for (std::size_t i = 0; i < n_; ++i)
            R_[i][count_] = i <= count_ ? d[i] : 0;
        constraints_[count_] = c;
        u_[count_] = u;
        ++count_;
        return true;
    }

    void drop(std::size_t gone) {
        for (std::size_t i = gone; i + 1 < count_; ++i) {
            constraints_[i] = constraints_[i + 1];
            u_[i] = u_[i + 1];
            for (std::size_t j = 0; j < n_; ++j)
                R_[j][i] = R_[j][i + 1];
        }
        --count_;
        for (std::size_t j = gone; j < count_; ++j) {
            const double h = std::sqrt(R_[j][j] * R_[j][j] + R_[j + 1][j] * R_[j + 1][j]);
            if (h == 0)
                continue;
            Turn turn{R_[j][j] / h, R_[j + 1][j] / h, 0};
            R_[j + 1][j] = 0;
            R_[j][j] = turn.cc < 0 ? -h : h;
            if (turn.cc < 0)
                turn = {-turn.cc, -turn.ss, 0};
            turn.xny = turn.ss / (1 + turn.cc);
            for (std::size_t k = j + 1; k < count_; ++k)
                turn.apply(R_[j][k], R_[j + 1][k]);
            for (std::size_t k = 0; k < n_; ++k)
                turn.apply(J_[k][j], J_[k][j + 1]);
        }
    }

    // G may be nearly singular; its solves then leave the equalities off by far more than
    // rounding. Put x back on them by the least change of the variables that are free.
    light::Drives polished() {
        std::array<char, kN> held{};
        for (std::size_t k = fixed_; k < count_; ++k) {
            const Constraint& c = constraints_[k];
            x_[static_cast<std::size_t>(c.axis)] = c.sign > 0 ? 0 : 1;
            held[static_cast<std::size_t>(c.axis)] = 1;
        }
        for (int pass = 0; pass < 2 && q_.equalities > 0; ++pass) {
            Eigen::Vector3d off = Eigen::Vector3d::Zero();
            Eigen::Matrix3d S = Eigen::Matrix3d::Identity();
            for (std::size_t e = 0; e < q_.equalities; ++e) {
                off[static_cast<Eigen::Index>(e)] = q_.rhs[e];
                for (std::size_t i = 0; i < n_; ++i)
                    off[static_cast<Eigen::Index>(e)] -= q_.row[e][i] * x_[i];
                for (std::size_t f = 0; f < q_.equalities; ++f) {
                    double sum = 0;
                    for (std::size_t i = 0; i < n_; ++i)
                        if (!held[i])
                            sum += q_.row[e][i] * q_.row[f][i];
                    S(static_cast<Eigen::Index>(e), static_cast<Eigen::Index>(f)) = sum;
                }
            }
            const Eigen::Vector3d y = S.ldlt().solve(off);
            if (!y.allFinite())
                break; // fewer free variables than equations: x is as good as it gets
            for (std::size_t i = 0; i < n_; ++i)
                for (std::size_t e = 0; e < q_.equalities && !held[i]; ++e)
                    x_[i] += q_.row[e][i] * y[static_cast<Eigen::Index>(e)];
        }
        light::Drives drives(n_);
        for (std::size_t i = 0; i < n_; ++i)
            drives[i] = std::clamp(x_[i], 0.0, 1.0);
        return drives;
    }

    const Quadratic& q_;
    std::size_t n_;
    Square J_; // n × n of it
    Square R_; // upper triangle of the active set
    Row x_{};
    std::array<Constraint, kN> constraints_;
    Row u_{};
    std::size_t count_ = 0;
    std::size_t fixed_ = 0;
};

} // namespace

std::optional<light::Drives> minimise(const Quadratic& q) {
    if (q.n == 0)
        return std::nullopt;
    return ActiveSet(q).solve();
}

namespace {

// The rows of the free variables, made ready to tell some of them by the others: each row's pivot
// is 1 there and 0 in the other rows. `turned` times the rows as they were is what they are.
struct Told {
    std::array<Row, kMostEqualities> row{};
    std::array<double, kMostEqualities> rhs{};
    std::array<std::array<double, kMostEqualities>, kMostEqualities> turned{};
    std::array<std::size_t, kMostEqualities> pivot{};
    std::array<char, kN> is_pivot{};

    // False where the rows do not tell as many variables.
    bool eliminate(std::size_t rows, std::size_t n) {
        for (std::size_t e = 0; e < rows; ++e)
            turned[e][e] = 1;
        for (std::size_t e = 0; e < rows; ++e) {
            std::size_t at = 0;
            double largest = 0;
            double whole = 0;
            for (std::size_t i = 0; i < n; ++i) {
                whole = std::max(whole, std::abs(row[e][i]));
                if (!is_pivot[i] && std::abs(row[e][i]) > largest) {
                    largest = std::abs(row[e][i]);
                    at = i;
                }
            }
            if (!(largest > kFlat * std::max(whole, kFlat)))
                return false;
            pivot[e] = at;
            is_pivot[at] = 1;
            const double scale = 1 / row[e][at];
            for (std::size_t i = 0; i < n; ++i)
                row[e][i] *= scale;
            for (std::size_t f = 0; f < rows; ++f)
                turned[e][f] *= scale;
            rhs[e] *= scale;
            for (std::size_t f = 0; f < rows; ++f) {
                const double times = row[f][at];
                if (f == e || times == 0)
                    continue;
                for (std::size_t i = 0; i < n; ++i)
                    row[f][i] -= times * row[e][i];
                for (std::size_t k = 0; k < rows; ++k)
                    turned[f][k] -= times * turned[e][k];
                rhs[f] -= times * rhs[e];
            }
        }
        return true;
    }
};

double slopeOf(const Quadratic& q, std::size_t i, const light::Drives& x) {
    double slope = q.g[i];
    for (std::size_t j = 0; j < q.n; ++j)
        slope += q.G[i][j] * x[j];
    return slope;
}

// The optimum where just those stand at their bounds that do in `near`; nothing where it is not one
// of the whole program.
std::optional<light::Drives> withTheSameAtBounds(const Quadratic& q, const light::Drives& near) {
    light::Drives x(q.n);
    std::array<std::size_t, kN> free{};
    std::array<char, kN> held{};
    std::size_t n = 0;
    for (std::size_t i = 0; i < q.n; ++i) {
        held[i] = near[i] <= 0 || near[i] >= 1;
        x[i] = held[i] && near[i] > 0 ? 1 : 0;
        if (!held[i])
            free[n++] = i;
    }
    if (n < q.equalities)
        return std::nullopt;
    Told told;
    for (std::size_t e = 0; e < q.equalities; ++e) {
        told.rhs[e] = q.rhs[e];
        for (std::size_t i = 0; i < q.n; ++i)
            told.rhs[e] -= q.row[e][i] * x[i];
        for (std::size_t a = 0; a < n; ++a)
            told.row[e][a] = q.row[e][free[a]];
    }
    if (!told.eliminate(q.equalities, n))
        return std::nullopt;
    // The others move on their own, and those that are told with them: along way[k].
    std::array<Row, kN> way;
    std::size_t ways = 0;
    for (std::size_t e = 0; e < q.equalities; ++e)
        x[free[told.pivot[e]]] = told.rhs[e];
    for (std::size_t a = 0; a < n; ++a) {
        if (told.is_pivot[a])
            continue;
        Row& w = way[ways++];
        for (std::size_t b = 0; b < n; ++b)
            w[b] = b == a ? 1 : 0;
        for (std::size_t e = 0; e < q.equalities; ++e)
            w[told.pivot[e]] = -told.row[e][a];
    }
    // Wᵀ G W y = −Wᵀ (G x + g), by Cholesky.
    Square L;
    Row y;
    std::array<Row, kN> curved;
    for (std::size_t k = 0; k < ways; ++k)
        for (std::size_t a = 0; a < n; ++a) {
            curved[k][a] = 0;
            for (std::size_t b = 0; b < n; ++b)
                curved[k][a] += q.G[free[a]][free[b]] * way[k][b];
        }
    Row slope;
    for (std::size_t a = 0; a < n; ++a)
        slope[a] = slopeOf(q, free[a], x);
    for (std::size_t k = 0; k < ways; ++k) {
        double along = 0;
        for (std::size_t a = 0; a < n; ++a)
            along -= way[k][a] * slope[a];
        for (std::size_t l = 0; l <= k; ++l) {
            double sum = 0;
            for (std::size_t a = 0; a < n; ++a)
                sum += curved[k][a] * way[l][a];
            for (std::size_t m = 0; m < l; ++m)
                sum -= L[k][m] * L[l][m];
            if (l == k && !(sum > 0))
                return std::nullopt;
            L[k][l] = l == k ? std::sqrt(sum) : sum / L[l][l];
        }
        for (std::size_t m = 0; m < k; ++m)
            along -= L[k][m] * y[m];
        y[k] = along / L[k][k];
    }
    for (std::size_t k = ways; k-- > 0;) {
        for (std::size_t m = k + 1; m < ways; ++m)
            y[k] -= L[m][k] * y[m];
        y[k] /= L[k][k];
        for (std::size_t a = 0; a < n; ++a)
            x[free[a]] += y[k] * way[k][a];
    }
    for (std::size_t a = 0; a < n; ++a)
        if (!(x[free[a]] >= 0 && x[free[a]] <= 1))
            return std::nullopt;
    // What the sum changes with each row, as the variables say that the rows tell.
    std::array<double, kMostEqualities> multiplier{};
    for (std::size_t e = 0; e < q.equalities; ++e) {
        const double steep = slopeOf(q, free[told.pivot[e]], x);
        for (std::size_t f = 0; f < q.equalities; ++f)
            multiplier[f] += told.turned[e][f] * steep;
    }
    // Those at bounds are rightly there where the sum would grow for each that is moved inside.
    for (std::size_t i = 0; i < q.n; ++i) {
        if (!held[i])
            continue;
        double steep = slopeOf(q, i, x);
        for (std::size_t e = 0; e < q.equalities; ++e)
            steep -= q.row[e][i] * multiplier[e];
        if (near[i] > 0 ? steep > 0 : steep < 0)
            return std::nullopt;
    }
    return x;
}

} // namespace

std::optional<light::Drives> minimiseFrom(const Quadratic& q, const light::Drives& near) {
    const auto same = withTheSameAtBounds(q, near);
    return same ? same : minimise(q);
}

} // namespace zelo::mix
