// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/rounding.h"

#include <algorithm>
#include <cmath>

namespace zelo::mix {

using colour::Uv;
using colour::Xyz;
using light::Channel;
using light::Drives;

namespace {

constexpr double kBrightnessFree = 0.10;
constexpr std::size_t kExhaustive = 8; // emitters: 3⁸ = 6561 combinations
constexpr std::size_t kFew = 5;        // emitters that can afford two steps each: 5⁵ = 3125
constexpr int kFarthest = 2;

// One lit emitter: its rounded value and the light of the values beside it.
struct Lit {
    std::size_t channel;
    std::uint32_t value;
    std::array<Xyz, 2 * kFarthest + 1> at; // value - 2 … value + 2
    int lowest, highest;                   // -2..2: how far it can move
    int step = 0;

    const Xyz& lightAt(int s) const { return at[static_cast<std::size_t>(s + kFarthest)]; }
};

struct Search {
    std::array<Lit, light::kMostEmitters> lit;
    std::size_t count = 0;
    Uv target;
    double target_y = 0;

    // Δu'v', or worse than anything when the brightness leaves its room.
    double miss(const Xyz& c) const {
        if (!(std::abs(c.Y - target_y) <= kBrightnessFree * target_y) ||
            !colour::hasChromaticity(c))
            return HUGE_VAL;
        return colour::distance(colour::toUv(c), target);
    }
    Xyz sum() const {
        Xyz c;
        for (std::size_t k = 0; k < count; ++k)
            c += lit[k].lightAt(lit[k].step);
        return c;
    }
};

void searchAll(Search& s) {
    std::array<int, light::kMostEmitters> best{};
    double least = s.miss(s.sum());
    std::array<int, light::kMostEmitters> now{};
    const auto walk = [&](auto&& self, std::size_t k, const Xyz& so_far) -> void {
        if (k == s.count) {
            if (const double m = s.miss(so_far); m < least - 1e-15) {
                least = m;
                best = now;
            }
            return;
        }
        for (int step = s.lit[k].lowest; step <= s.lit[k].highest; ++step) {
            now[k] = step;
            self(self, k + 1, so_far + s.lit[k].lightAt(step));
        }
    };
    walk(walk, 0, {});
    for (std::size_t k = 0; k < s.count; ++k)
        s.lit[k].step = best[k];
}

void searchPairs(Search& s) {
    double least = s.miss(s.sum());
    for (bool better = true; better;) {
        better = false;
        const Xyz all = s.sum();
        std::size_t best_i = 0;
        std::size_t best_j = 0;
        int step_i = 0;
        int step_j = 0;
        for (std::size_t i = 0; i < s.count; ++i)
            for (std::size_t j = i; j < s.count; ++j)
                for (int a = s.lit[i].lowest; a <= s.lit[i].highest; ++a)
                    for (int b = s.lit[j].lowest; b <= s.lit[j].highest; ++b) {
                        if (i == j && a != b)
                            continue;
                        const auto moved = [](const Lit& l, int step) {
                            return l.lightAt(step) - l.lightAt(l.step);
                        };
                        Xyz c = all + moved(s.lit[i], a);
                        if (i != j)
                            c += moved(s.lit[j], b);
                        if (const double m = s.miss(c); m < least - 1e-15) {
                            least = m;
                            best_i = i;
                            best_j = j;
                            step_i = a;
                            step_j = b;
                            better = true;
                        }
                    }
        if (better) {
            s.lit[best_i].step = step_i;
            s.lit[best_j].step = step_j;
        }
    }
}

Sent sentOf(const Mixer& mixer, light::ChannelValues values) {
    Sent sent;
    sent.drives = light::drivesOf(mixer.type(), mixer.mode(), values);
    sent.values = std::move(values);
    sent.xyz = mixer.xyzOf(sent.drives);
    return sent;
}

// All channels at home, the dimmer set, emitters rounded one by one. `scale`: what is left for
// the emitters to carry.
light::ChannelValues plainValues(const Mixer& mixer, const Drives& drives, double intensity,
                                 double& scale) {
    const light::Mode& mode = mixer.mode();
    auto values = light::homeValues(mode);
    const auto dimmer = mode.dimmer();
    scale = dimmer ? 1 : intensity;
    for (std::size_t i = 0; i < mode.channels.size(); ++i) {
        const Channel& c = mode.channels[i];
        if (c.role == light::Role::Dimmer)
            values[i] = light::nearestValue(c, intensity);
        else if (c.role == light::Role::Emitter)
            values[i] = light::nearestValue(c, drives[c.emitter] * scale);
    }
    return values;
}

} // namespace

Sent roundedAlone(const Mixer& mixer, const Drives& drives, double intensity) {
    double scale = 1;
    return sentOf(mixer, plainValues(mixer, drives, std::clamp(intensity, 0.0, 1.0), scale));
}

Sent rounded(const Mixer& mixer, const Drives& drives, double intensity) {
    double scale = 1;
    auto values = plainValues(mixer, drives, std::clamp(intensity, 0.0, 1.0), scale);
    const Xyz target = scale * mixer.xyzOf(drives);
    if (!(target.Y > 0))
        return sentOf(mixer, std::move(values));
    Search s;
    s.target = colour::toUv(target);
    s.target_y = target.Y;
    bool fine = false;
    const light::Mode& mode = mixer.mode();
    for (std::size_t i = 0; i < mode.channels.size(); ++i) {
        const Channel& c = mode.channels[i];
        if (c.role != light::Role::Emitter || !(drives[c.emitter] * scale > 0) ||
            s.count == light::kMostEmitters)
            continue;
        s.lit[s.count++] = {i, values[i], {}, 0, 0};
        fine |= c.bits() > 8;
    }
    const int far = s.count <= kFew && !fine ? kFarthest : 1;
    for (std::size_t k = 0; k < s.count; ++k) {
        Lit& lit = s.lit[k];
        const Channel& c = mode.channels[lit.channel];
        const auto value = static_cast<std::int64_t>(lit.value);
        lit.lowest = -static_cast<int>(std::min<std::int64_t>(far, value));
        lit.highest = static_cast<int>(std::min<std::int64_t>(far, c.most() - value));
        for (int step = lit.lowest; step <= lit.highest; ++step)
            lit.at[static_cast<std::size_t>(step + kFarthest)] =
                light::driveOf(c, static_cast<std::uint32_t>(value + step)) *
                mixer.emitters()[c.emitter];
    }
    if (s.count <= kExhaustive && !fine)
        searchAll(s);
    else
        searchPairs(s);
    for (std::size_t k = 0; k < s.count; ++k)
        values[s.lit[k].channel] =
            static_cast<std::uint32_t>(static_cast<std::int64_t>(s.lit[k].value) + s.lit[k].step);
    return sentOf(mixer, std::move(values));
}

} // namespace zelo::mix
