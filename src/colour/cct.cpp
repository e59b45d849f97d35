// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/cct.h"

#include "colour/lamp.h"
#include "colour/observer.h"

#include <algorithm>
#include <cmath>
#include <vector>

namespace zelo::colour {

namespace {

// CIE 1960: u = u', v = 2/3 v'.
struct Uv60 {
    double u, v;
};
Uv60 to60(const Uv& c) {
    return {c.u, c.v * 2 / 3};
}

struct Row {
    double t;
    Uv60 at;
};

constexpr double kFirstK = 1000;
constexpr double kLastK = 25000;
constexpr double kStep = 1.0025;
constexpr double kMostDuv = 0.05;
constexpr double kTriangularBelow = 0.002;

const std::vector<Row>& locusTable() {
    static const auto table = [] {
        std::vector<Row> rows;
        for (double t = kFirstK / kStep / kStep; t < kLastK * kStep * kStep; t *= kStep)
            rows.push_back({t, to60(planckianUv({t}))});
        return rows;
    }();
    return table;
}

double distance60(const Uv60& a, const Uv60& b) {
    return std::hypot(a.u - b.u, a.v - b.v);
}

} // namespace

Uv planckianUv(Kelvin t) {
    return toUv(toXyz(blackbody(t)));
}

LocusPlace::LocusPlace(Kelvin at) {
    const Xyz light = toXyz(blackbody(at));
    const Xyz growth = toXyz(blackbodyGrowth(at));
    at_ = toUv(light);
    // CIE 1960's u = 4 X / S and v = 6 Y / S, S = X + 15 Y + 3 Z, towards cold and over S² alike.
    const auto sum = [](const Xyz& c) { return c.X + 15 * c.Y + 3 * c.Z; };
    const double du = 4 * (light.X * sum(growth) - growth.X * sum(light));
    const double dv = 6 * (light.Y * sum(growth) - growth.Y * sum(light));
    // Towards cold the locus runs to growing u; its normal with v > 0 is the green side.
    const double length = std::hypot(du, dv);
    normal_ = {-dv / length, du / length * 1.5};
}

Uv LocusPlace::beside(double duv) const {
    return at_ + duv * normal_;
}

Uv uvOf(const Cct& c) {
    return c.duv == 0 ? planckianUv(c.cct) : LocusPlace(c.cct).beside(c.duv);
}

std::optional<Cct> cctOf(const Uv& uv) {
    const auto& rows = locusTable();
    const Uv60 p = to60(uv);
    std::size_t m = 0;
    double nearest2 = HUGE_VAL;
    for (std::size_t i = 0; i < rows.size(); ++i) {
        const double du = rows[i].at.u - p.u;
        const double dv = rows[i].at.v - p.v;
        if (const double d2 = du * du + dv * dv; d2 < nearest2) {
            nearest2 = d2;
            m = i;
        }
    }
    if (!std::isfinite(nearest2) || m == 0 || m + 1 == rows.size() || std::sqrt(nearest2) > 0.06)
        return std::nullopt;

    const Row& a = rows[m - 1];
    const Row& b = rows[m];
    const Row& c = rows[m + 1];
    const double da = distance60(a.at, p);
    const double db = distance60(b.at, p);
    const double dc = distance60(c.at, p);

    const double l = distance60(a.at, c.at);
    const double x = (da * da - dc * dc + l * l) / (2 * l);
    const double foot_v = a.at.v + (c.at.v - a.at.v) * x / l;
    const double side = p.v >= foot_v ? 1 : -1;
    Cct found;
    const double triangular = std::sqrt(std::max(0.0, da * da - x * x));
    if (triangular < kTriangularBelow) {
        found = {{a.t + (c.t - a.t) * x / l}, side * triangular};
    } else {
        const double X = (c.t - b.t) * (a.t - c.t) * (b.t - a.t);
        const double qa = (a.t * (dc - db) + b.t * (da - dc) + c.t * (db - da)) / X;
        const double qb =
            -(a.t * a.t * (dc - db) + b.t * b.t * (da - dc) + c.t * c.t * (db - da)) / X;
        const double qc = -(da * (c.t - b.t) * b.t * c.t + db * (a.t - c.t) * a.t * c.t +
                            dc * (b.t - a.t) * a.t * b.t) /
                          X;
        const double t = -qb / (2 * qa);
        found = {{t}, side * (qa * t * t + qb * t + qc)};
    }
    constexpr double slack = 1e-6;
    if (!(found.cct.value >= kFirstK * (1 - slack) && found.cct.value <= kLastK * (1 + slack)) ||
        std::abs(found.duv) > kMostDuv)
        return std::nullopt;
    return found;
}

} // namespace zelo::colour
