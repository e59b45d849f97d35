// SPDX-License-Identifier: GPL-3.0-or-later
// The same problems solved by general packages: what our own solvers are checked and timed against.
#pragma once

#include "mix/mix.h"

#include <glpk.h>
#include <nlopt.hpp>
#include <vector>

namespace zelo::test {

// Largest t with Σ a_i m_i = t d, 0 <= a_i <= 1, by the simplex of GLPK; 0 when there is none.
inline double brightestByLinearProgram(const std::vector<colour::Xyz>& m, const colour::Xyz& d) {
    glp_term_out(GLP_OFF);
    glp_prob* lp = glp_create_prob();
    glp_set_obj_dir(lp, GLP_MAX);
    const int n = static_cast<int>(m.size());
    glp_add_rows(lp, 3);
    glp_add_cols(lp, n + 1);
    for (int r = 1; r <= 3; ++r)
        glp_set_row_bnds(lp, r, GLP_FX, 0, 0);
    const auto part = [](const colour::Xyz& c, int r) { return r == 1 ? c.X : r == 2 ? c.Y : c.Z; };
    double scale = 0;
    for (const auto& c : m)
        scale = std::max({scale, c.X, c.Y, c.Z});
    for (int j = 1; j <= n + 1; ++j) {
        int rows[4] = {0, 1, 2, 3};
        double values[4] = {0, 0, 0, 0};
        for (int r = 1; r <= 3; ++r)
            values[r] = j <= n ? part(m[static_cast<std::size_t>(j - 1)], r) / scale : -part(d, r);
        glp_set_mat_col(lp, j, 3, rows, values);
        if (j <= n)
            glp_set_col_bnds(lp, j, GLP_DB, 0, 1);
        else
            glp_set_col_bnds(lp, j, GLP_LO, 0, 0);
        glp_set_obj_coef(lp, j, j <= n ? 0 : 1);
    }
    glp_smcp settings;
    glp_init_smcp(&settings);
    settings.msg_lev = GLP_MSG_OFF;
    settings.tol_bnd = settings.tol_dj = 1e-10;
    const double t = glp_simplex(lp, &settings) == 0 && glp_get_status(lp) == GLP_OPT
                         ? glp_get_obj_val(lp) * scale
                         : 0;
    glp_delete_prob(lp);
    return t;
}

// The least that the largest step between neighbours can be, of drives that make these lights one
// after the other with these ends (empty: any); by GLPK's simplex. A variable for each drive and
// one for the step.
inline double leastStepByLinearProgram(const std::vector<colour::Xyz>& m,
                                       const std::vector<colour::Xyz>& lights,
                                       const light::Drives& first, const light::Drives& last) {
    glp_term_out(GLP_OFF);
    glp_prob* lp = glp_create_prob();
    glp_set_obj_dir(lp, GLP_MIN);
    const int n = static_cast<int>(m.size());
    const int points = static_cast<int>(lights.size());
    const auto at = [n](int k, int e) { return k * n + e + 1; };
    const int step = points * n + 1;
    glp_add_cols(lp, step);
    glp_set_col_bnds(lp, step, GLP_LO, 0, 0);
    glp_set_obj_coef(lp, step, 1);
    for (int k = 0; k < points; ++k)
        for (int e = 0; e < n; ++e) {
            const auto i = static_cast<std::size_t>(e);
            const auto& end = k == 0 ? first : last;
            if ((k == 0 || k == points - 1) && !end.empty()) {
                const double held = end[i];
                glp_set_col_bnds(lp, at(k, e), GLP_FX, held, held);
            } else {
                glp_set_col_bnds(lp, at(k, e), GLP_DB, 0, 1);
            }
        }
    const auto row = [&](double low, double high, const std::vector<std::pair<int, double>>& of) {
        const int r = glp_add_rows(lp, 1);
        glp_set_row_bnds(lp, r, low == high ? GLP_FX : GLP_DB, low, high);
        std::vector<int> columns{0};
        std::vector<double> values{0};
        for (const auto& [column, value] : of) {
            columns.push_back(column);
            values.push_back(value);
        }
        glp_set_mat_row(lp, r, static_cast<int>(of.size()), columns.data(), values.data());
    };
    double scale = 0;
    for (const auto& c : m)
        scale = std::max({scale, c.X, c.Y, c.Z});
    for (int k = first.empty() ? 0 : 1; k < (last.empty() ? points : points - 1); ++k)
        for (int r = 0; r < 3; ++r) { // the light, to a hair: rounding must not make it impossible
            const auto part = [r](const colour::Xyz& c) {
                return r == 0 ? c.X : r == 1 ? c.Y : c.Z;
            };
            std::vector<std::pair<int, double>> of;
            for (int e = 0; e < n; ++e)
                of.emplace_back(at(k, e), part(m[static_cast<std::size_t>(e)]) / scale);
            const double wanted = part(lights[static_cast<std::size_t>(k)]) / scale;
            row(wanted - 1e-6, wanted + 1e-6, of);
        }
    for (int k = 1; k < points; ++k)
        for (int e = 0; e < n; ++e)
            for (const double sign : {1.0, -1.0})
                row(-2, 0, {{at(k, e), sign}, {at(k - 1, e), -sign}, {step, -1.0}});
    glp_smcp settings;
    glp_init_smcp(&settings);
    settings.msg_lev = GLP_MSG_OFF;
    settings.meth = GLP_DUALP;
    settings.presolve = GLP_ON;
    const double least = glp_simplex(lp, &settings) == 0 && glp_get_status(lp) == GLP_OPT
                             ? glp_get_obj_val(lp)
                             : HUGE_VAL;
    glp_delete_prob(lp);
    return least;
}

// The program of Truest, by NLopt's SLSQP: minimise ∫(Σ a S − s W)², s for equal luminance, with
// the exact colour d and Y = y. Returns the root of the objective over the root of ∫(s W)².
struct TruestProblem {
    const mix::Mixer& mixer;
    const light::Wanted& wanted;
    double y;
};

inline double truestByGeneralSolver(const TruestProblem& p, light::Drives start,
                                    int max_evaluations = 4000) {
    const auto n = static_cast<unsigned>(start.size());
    nlopt::opt opt(nlopt::LD_SLSQP, n);
    opt.set_lower_bounds(0);
    opt.set_upper_bounds(1);
    // The integral as a quadratic form, worked out once, as a careful user of the package would.
    struct Data {
        std::vector<std::vector<double>> G;
    } data;
    const auto& w = p.wanted.spectrum->values();
    const double yw = colour::toXyz(*p.wanted.spectrum).Y;
    std::vector<std::vector<double>> r; // residual spectrum of each emitter
    double norm = 0;
    for (unsigned e = 0; e < n; ++e) {
        const auto& s = p.mixer.type().emitters[e].spectrum.values();
        r.emplace_back(w.size());
        for (std::size_t i = 0; i < w.size(); ++i)
            r[e][i] = s[i] - p.mixer.emitters()[e].Y / yw * w[i];
    }
    for (const double v : w)
        norm += v * v * p.y / yw * p.y / yw;
    data.G.assign(n, std::vector<double>(n, 0.0));
    for (unsigned e = 0; e < n; ++e)
        for (unsigned f = 0; f < n; ++f)
            for (std::size_t i = 0; i < w.size(); ++i)
                data.G[e][f] += r[e][i] * r[f][i] / norm;
    const auto objective = [](unsigned count, const double* a, double* gradient, void* raw) {
        const auto& d = *static_cast<Data*>(raw);
        double sum = 0;
        for (unsigned e = 0; e < count; ++e) {
            double row = 0;
            for (unsigned f = 0; f < count; ++f)
                row += d.G[e][f] * a[f];
            sum += a[e] * row;
            if (gradient)
                gradient[e] = 2 * row;
        }
        return sum;
    };
    opt.set_min_objective(objective, &data);
    struct Row {
        std::vector<double> c;
        double rhs;
    };
    std::vector<Row> rows(3);
    const auto& d = p.wanted.xyz;
    for (unsigned e = 0; e < n; ++e) {
        const auto& m = p.mixer.emitters()[e];
        rows[0].c.push_back((m.X - d.X / d.Y * m.Y) / p.y);
        rows[1].c.push_back((m.Z - d.Z / d.Y * m.Y) / p.y);
        rows[2].c.push_back(m.Y / p.y);
    }
    rows[2].rhs = 1;
    const auto equality = [](unsigned count, const double* a, double* gradient, void* raw) {
        const auto& row = *static_cast<Row*>(raw);
        double sum = -row.rhs;
        for (unsigned e = 0; e < count; ++e) {
            sum += row.c[e] * a[e];
            if (gradient)
                gradient[e] = row.c[e];
        }
        return sum;
    };
    for (auto& row : rows)
        opt.add_equality_constraint(equality, &row, 1e-10);
    opt.set_xtol_rel(1e-10);
    opt.set_maxeval(max_evaluations);
    std::vector<double> a(start.begin(), start.end());
    double least = HUGE_VAL;
    try {
        opt.optimize(a, least);
    } catch (const std::exception&) {
        // SLSQP stops on rounding near its optimum; what it has is its answer.
    }
    return std::sqrt(std::max(0.0, least));
}

} // namespace zelo::test
