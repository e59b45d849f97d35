// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/difference.h"

#include <numbers>

namespace zelo::colour {

namespace {

constexpr double kPi = std::numbers::pi;

double f(double t) {
    constexpr double kDelta = 6.0 / 29;
    return t > kDelta * kDelta * kDelta ? std::cbrt(t) : t / (3 * kDelta * kDelta) + 4.0 / 29;
}

double degrees(double b, double a) { // 0..360, 0 without a hue
    if (a == 0 && b == 0)
        return 0;
    const double h = std::atan2(b, a) * 180 / kPi;
    return h < 0 ? h + 360 : h;
}

double cosDeg(double d) {
    return std::cos(d * kPi / 180);
}
double sinDeg(double d) {
    return std::sin(d * kPi / 180);
}

double pow7(double x) {
    return x * x * x * x * x * x * x;
}

} // namespace

Lab toLab(const Xyz& c, const Xyz& white) {
    const double fx = f(c.X / white.X);
    const double fy = f(c.Y / white.Y);
    const double fz = f(c.Z / white.Z);
    return {116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)};
}

double deltaE2000(const Lab& x, const Lab& y) {
    const double mean_c = (std::hypot(x.a, x.b) + std::hypot(y.a, y.b)) / 2;
    const double G = 0.5 * (1 - std::sqrt(pow7(mean_c) / (pow7(mean_c) + pow7(25))));
    const double a1 = (1 + G) * x.a;
    const double a2 = (1 + G) * y.a;
    const double C1 = std::hypot(a1, x.b);
    const double C2 = std::hypot(a2, y.b);
    const double h1 = degrees(x.b, a1);
    const double h2 = degrees(y.b, a2);

    const double dL = y.L - x.L;
    const double dC = C2 - C1;
    double dh = 0;
    double h_mean = h1 + h2;
    if (C1 * C2 != 0) {
        dh = h2 - h1;
        if (dh > 180)
            dh -= 360;
        else if (dh < -180)
            dh += 360;
        if (std::abs(h1 - h2) <= 180)
            h_mean = (h1 + h2) / 2;
        else
            h_mean = (h1 + h2 + (h1 + h2 < 360 ? 360 : -360)) / 2;
    }
    const double dH = 2 * std::sqrt(C1 * C2) * sinDeg(dh / 2);

    const double L = (x.L + y.L) / 2 - 50;
    const double C = (C1 + C2) / 2;
    const double T = 1 - 0.17 * cosDeg(h_mean - 30) + 0.24 * cosDeg(2 * h_mean) +
                     0.32 * cosDeg(3 * h_mean + 6) - 0.20 * cosDeg(4 * h_mean - 63);
    const double bend = (h_mean - 275) / 25;
    const double turn = 30 * std::exp(-bend * bend);
    const double RC = 2 * std::sqrt(pow7(C) / (pow7(C) + pow7(25)));
    const double SL = 1 + 0.015 * L * L / std::sqrt(20 + L * L);
    const double SC = 1 + 0.045 * C;
    const double SH = 1 + 0.015 * C * T;
    const double RT = -sinDeg(2 * turn) * RC;
    const double l = dL / SL;
    const double c = dC / SC;
    const double h = dH / SH;
    return std::sqrt(l * l + c * c + h * h + RT * c * h);
}

} // namespace zelo::colour
