// SPDX-License-Identifier: GPL-3.0-or-later
// A strictly convex quadratic program of a few variables within 0..1.
#pragma once

#include "light/drives.h"

#include <array>
#include <optional>

namespace zelo::mix {

inline constexpr std::size_t kMostEqualities = 3;

// Minimise ½ xᵀ G x + gᵀ x  subject to  row_e · x = rhs_e  and  0 <= x_i <= 1.
struct Quadratic {
    using Row = std::array<double, light::kMostParts>;
    std::size_t n = 0;                    // variables
    std::array<Row, light::kMostParts> G; // symmetric, positive definite; n × n of it are read
    Row g{};
    std::size_t equalities = 0;
    std::array<Row, kMostEqualities> row;
    std::array<double, kMostEqualities> rhs{};
};

// The dual active-set method of Goldfarb and Idnani (Math. Programming 27, 1983): it starts from
// the free minimum and takes in one violated constraint after the other, so it needs no feasible
// start and every step is a small dense solve. Equalities hold to rounding at the end.
// Nothing when no x satisfies the constraints. Allocates nothing.
std::optional<light::Drives> minimise(const Quadratic& q);

// The same answer, sooner where the one of a program like it, `near`, stands at the same bounds.
std::optional<light::Drives> minimiseFrom(const Quadratic& q, const light::Drives& near);

} // namespace zelo::mix
