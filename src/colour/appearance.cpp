// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/appearance.h"

#include "base/assert.h"
#include "colour/detail/matrix.h"

#include <algorithm>

namespace zelo::colour {

namespace {

using namespace detail;

const Matrix3d kCat02 =
    rows(0.7328, 0.4296, -0.1624, -0.7036, 1.6975, 0.0061, 0.0030, 0.0136, 0.9834);
const Matrix3d kHuntPointerEstevez =
    rows(0.38971, 0.68898, -0.07868, -0.22981, 1.18340, 0.04641, 0, 0, 1);
const Matrix3d kCat02ToHpe = kHuntPointerEstevez * kCat02.inverse();

// Viewing conditions of TM-30.
constexpr double kLA = 100;
constexpr double kYb = 20;
constexpr double kC = 0.69;
constexpr double kNc = 1;

struct Conditions {
    double FL, n, Nbb, z;
};
Conditions conditions() {
    const double k = 1 / (5 * kLA + 1);
    const double k4 = k * k * k * k;
    const double n = kYb / 100;
    return {0.2 * k4 * 5 * kLA + 0.1 * (1 - k4) * (1 - k4) * std::cbrt(5 * kLA), n,
            0.725 * std::pow(1 / n, 0.2), 1.48 + std::sqrt(n)};
}
const Conditions kView = conditions();

double compressed(double x) {
    const double p = std::pow(kView.FL * std::abs(x) / 100, 0.42);
    return std::copysign(400 * p / (p + 27.13), x) + 0.1;
}

} // namespace

Appearance::Appearance(Model model, const Xyz& white) : model_(model), scale_(100 / white.Y) {
    ZELO_ASSERT(white.Y > 0);
    const Vector3d w = scale_ * Vector3d(white.X, white.Y, white.Z);
    const Vector3d cones = (model == Model::Cam02 ? kCat02 : kCat16) * w;
    for (int i = 0; i < 3; ++i)
        gain_[i] = 100 / cones[i];
    white_A_ = achromatic(responses({w[0], w[1], w[2]}));
}

Appearance::Responses Appearance::responses(const Xyz& s) const {
    Vector3d cones = (model_ == Model::Cam02 ? kCat02 : kCat16) * Vector3d(s.X, s.Y, s.Z);
    for (int i = 0; i < 3; ++i)
        cones[i] *= gain_[i];
    if (model_ == Model::Cam02)
        cones = kCat02ToHpe * cones;
    return {compressed(cones[0]), compressed(cones[1]), compressed(cones[2])};
}

double Appearance::achromatic(const Responses& c) const {
    return (2 * c.r + c.g + c.b / 20 - 0.305) * kView.Nbb;
}

Ucs Appearance::of(const Xyz& surface) const {
    const auto c = responses(scale_ * surface);
    const double a = c.r - 12 * c.g / 11 + c.b / 11;
    const double b = (c.r + c.g - 2 * c.b) / 9;
    const double h = std::atan2(b, a);
    const double et = (std::cos(h + 2) + 3.8) / 4;
    const double J = 100 * std::pow(std::max(0.0, achromatic(c)) / white_A_, kC * kView.z);
    const double t =
        50000.0 / 13 * kNc * kView.Nbb * et * std::hypot(a, b) / (c.r + c.g + 21 * c.b / 20);
    const double C = std::pow(std::max(0.0, t), 0.9) * std::sqrt(J / 100) *
                     std::pow(1.64 - std::pow(0.29, kView.n), 0.73);
    const double M = C * std::pow(kView.FL, 0.25);
    const double Mu = std::log1p(0.0228 * M) / 0.0228;
    return {1.7 * J / (1 + 0.007 * J), Mu * std::cos(h), Mu * std::sin(h)};
}

} // namespace zelo::colour
