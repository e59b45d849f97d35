// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/detail/level_light.h"

#include "mix/symmetric3.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using colour::Xyz;
using light::Drives;

namespace {

constexpr std::size_t kTable = 128; // steps of a level; straight between them
constexpr double kDark = 0.002;     // levels that are as good as off, or at full

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
            const Xyz light =
                mixer.emitterAt(e, responses_[e] ? responses_[e]->drive(level) : level);
            if (i > 0)
                light_.back().more = light - light_.back().here;
            light_.push_back({light, {}});
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
        const auto i = static_cast<std::size_t>(x);
        const Place& place = light_[e * (kTable + 1) + i];
        const double on = x - static_cast<double>(i);
        sum.X += place.here.X + on * place.more.X;
        sum.Y += place.here.Y + on * place.more.Y;
        sum.Z += place.here.Z + on * place.more.Z;
    }
    return sum;
}

Xyz LevelLight::slope(std::size_t emitter, double level) const {
    const auto i =
        std::min(static_cast<std::size_t>(std::clamp(level, 0.0, 1.0) * kTable), kTable - 1);
    return static_cast<double>(kTable) * light_[emitter * (kTable + 1) + i].more;
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
            mix::Symmetric3 m;
            std::array<Xyz, light::kMostParts> slopes;
            for (std::size_t e = 0; e < emitters_; ++e) {
                const double d = levels[e];
                const bool free = set == 2 || (d > kDark && (set == 1 || d < 1 - kDark));
                slopes[e] = free && mixer_.usable(e) ? slope(e, tried[e]) : Xyz{};
                m.add(slopes[e]);
            }
            const auto lambda = m.solve(off);
            fine = lambda.has_value();
            for (std::size_t e = 0; e < emitters_ && fine; ++e)
                tried[e] += dot(slopes[e], *lambda);
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
