// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/detail/level_light.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using colour::Xyz;
using light::Drives;

namespace {

constexpr std::size_t kTable = 512; // steps of a level; straight between them
constexpr double kDark = 0.002;     // levels that are as good as off, or at full

struct Matrix { // symmetric, 3 × 3
    double a[3][3] = {};
};

// Null when it has no inverse worth the name.
bool solve(const Matrix& m, const Xyz& right, Xyz& out) {
    const auto& a = m.a;
    const double c00 = a[1][1] * a[2][2] - a[1][2] * a[2][1];
    const double c01 = a[1][2] * a[2][0] - a[1][0] * a[2][2];
    const double c02 = a[1][0] * a[2][1] - a[1][1] * a[2][0];
    const double det = a[0][0] * c00 + a[0][1] * c01 + a[0][2] * c02;
    const double scale = a[0][0] * a[1][1] * a[2][2];
    if (!(std::abs(det) > 1e-9 * scale) || !(scale > 0))
        return false;
    const double c11 = a[0][0] * a[2][2] - a[0][2] * a[2][0];
    const double c12 = a[0][1] * a[2][0] - a[0][0] * a[2][1];
    const double c22 = a[0][0] * a[1][1] - a[0][1] * a[1][0];
    out = {(c00 * right.X + c01 * right.Y + c02 * right.Z) / det,
           (c01 * right.X + c11 * right.Y + c12 * right.Z) / det,
           (c02 * right.X + c12 * right.Y + c22 * right.Z) / det};
    return true;
}

} // namespace

LevelLight::LevelLight(const mix::Mixer& mixer)
    : mixer_(mixer), emitters_(mixer.type().emitters.size()) {
    for (std::size_t e = 0; e < emitters_; ++e) {
        const auto channel = mixer.mode().channelOf(e);
        const light::Response* response =
            channel ? &mixer.mode().channels[*channel].response : nullptr;
        responses_.push_back(response && !response->linear() ? response : nullptr);
        for (std::size_t i = 0; i <= kTable; ++i) {
            const double level = static_cast<double>(i) / kTable;
            light_.push_back(
                mixer.emitterAt(e, responses_[e] ? responses_[e]->drive(level) : level));
        }
    }
}

LevelLight::Levels LevelLight::levelsOf(const Drives& drives) const {
    Levels levels = drives;
    for (std::size_t e = 0; e < emitters_; ++e)
        if (responses_[e])
            levels[e] = responses_[e]->level(drives[e]);
    return levels;
}

Drives LevelLight::drivesOf(const Levels& levels) const {
    Drives drives = levels;
    for (std::size_t e = 0; e < emitters_; ++e)
        if (responses_[e])
            drives[e] = responses_[e]->drive(levels[e]);
    return drives;
}

Xyz LevelLight::at(const Levels& levels) const {
    return between(levels, levels, 0);
}

Xyz LevelLight::between(const Levels& a, const Levels& b, double share) const {
    Xyz sum;
    for (std::size_t e = 0; e < emitters_; ++e) {
        const double level = a[e] + share * (b[e] - a[e]);
        if (!(level > 0))
            continue;
        const double x = std::min(level, 1.0) * kTable;
        const auto i = std::min(static_cast<std::size_t>(x), kTable - 1);
        const double on = x - static_cast<double>(i);
        const Xyz* table = &light_[e * (kTable + 1) + i];
        sum.X += table[0].X + on * (table[1].X - table[0].X);
        sum.Y += table[0].Y + on * (table[1].Y - table[0].Y);
        sum.Z += table[0].Z + on * (table[1].Z - table[0].Z);
    }
    return sum;
}

Xyz LevelLight::slope(std::size_t emitter, double level) const {
    const auto i =
        std::min(static_cast<std::size_t>(std::clamp(level, 0.0, 1.0) * kTable), kTable - 1);
    const Xyz* table = &light_[emitter * (kTable + 1) + i];
    return static_cast<double>(kTable) * (table[1] - table[0]);
}

// Newton's steps of least size, first with what may go both ways, then with all that is lit, then
// with all.
bool LevelLight::moved(Levels& levels, const Xyz& to) const {
    constexpr int kSteps = 3;
    constexpr double kNear = 2e-3; // of the light
    const double size = norm(to);
    for (const int set : {0, 1, 2}) {
        Levels tried = levels;
        bool fine = true;
        for (int step = 0; step < kSteps && fine; ++step) {
            const Xyz off = to - at(tried);
            if (norm(off) <= 0.5 * kNear * size)
                break;
            Matrix m;
            std::array<Xyz, light::kMostParts> slopes;
            for (std::size_t e = 0; e < emitters_; ++e) {
                const double d = levels[e];
                const bool free = set == 2 || (d > kDark && (set == 1 || d < 1 - kDark));
                slopes[e] = free && mixer_.usable(e) ? slope(e, tried[e]) : Xyz{};
                const double s[3] = {slopes[e].X, slopes[e].Y, slopes[e].Z};
                for (int i = 0; i < 3; ++i)
                    for (int j = 0; j < 3; ++j)
                        m.a[i][j] += s[i] * s[j];
            }
            Xyz lambda;
            fine = solve(m, off, lambda);
            for (std::size_t e = 0; e < emitters_ && fine; ++e)
                tried[e] += dot(slopes[e], lambda);
        }
        for (std::size_t e = 0; e < emitters_ && fine; ++e) {
            fine = tried[e] >= -1e-4 && tried[e] <= 1 + 1e-4;
            tried[e] = std::clamp(tried[e], 0.0, 1.0);
        }
        if (fine && norm(to - at(tried)) <= kNear * size) {
            levels = tried;
            return true;
        }
    }
    return false;
}

} // namespace zelo::route
