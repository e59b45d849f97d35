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
constexpr std::size_t kExhaustive = 6; // emitters: 3⁶ = 729 combinations
constexpr std::size_t kFew = 5;        // emitters that can afford two steps each: 5⁵ = 3125
constexpr int kFarthest = 2;

// How a light lies to the target, in parts that add up over the emitters: with S = X + 15Y + 3Z,
// u' - u0 = (4X - u0 S) / S and v' - v0 = (9Y - v0 S) / S.
struct Parts {
    double u = 0, v = 0, s = 0, y = 0;
    friend Parts operator+(const Parts& a, const Parts& b) {
        return {a.u + b.u, a.v + b.v, a.s + b.s, a.y + b.y};
    }
    friend Parts operator-(const Parts& a, const Parts& b) {
        return {a.u - b.u, a.v - b.v, a.s - b.s, a.y - b.y};
    }
};

// One lit emitter: its rounded value and the light of the values beside it.
struct Lit {
    std::size_t channel;
    std::uint32_t value;
    std::array<Parts, 2 * kFarthest + 1> at; // value - 2 … value + 2
    int lowest, highest;                     // -2..2: how far it can move
    int step = 0;

    const Parts& lightAt(int s) const { return at[static_cast<std::size_t>(s + kFarthest)]; }
};

struct Search {
    std::array<Lit, light::kMostEmitters> lit;
    std::size_t count = 0;
    Uv target;
    double target_y = 0;

    Parts parts(const Xyz& c) const {
        const double s = c.X + 15 * c.Y + 3 * c.Z;
        return {4 * c.X - target.u * s, 9 * c.Y - target.v * s, s, c.Y};
    }
    // Squared Δu'v', or worse than anything when the brightness leaves its room. Compared as
    // (u² + v²) < least s², so that nothing is divided in the search.
    bool nearer(const Parts& p, double least2) const {
        return (p.u * p.u + p.v * p.v) < least2 * p.s * p.s &&
               std::abs(p.y - target_y) <= kBrightnessFree * target_y;
    }
    static double miss2(const Parts& p) { return (p.u * p.u + p.v * p.v) / (p.s * p.s); }
    // Of the combination as it stands; HUGE_VAL when it may not be taken.
    double standing() const {
        const Parts p = sum();
        return p.s > 0 && nearer(p, HUGE_VAL) ? miss2(p) : HUGE_VAL;
    }
    Parts sum() const {
        Parts p;
        for (std::size_t k = 0; k < count; ++k)
            p = p + lit[k].lightAt(lit[k].step);
        return p;
    }
};

constexpr double kBetter = 1 - 1e-12; // rounding alone is no reason to move

void searchAll(Search& s) {
    std::array<int, light::kMostEmitters> best{};
    double least = s.standing();
    std::array<int, light::kMostEmitters> now{};
    const auto walk = [&](auto&& self, std::size_t k, const Parts& so_far) -> void {
        const Lit& lit = s.lit[k];
        for (int step = lit.lowest; step <= lit.highest; ++step) {
            now[k] = step;
            const Parts p = so_far + lit.lightAt(step);
            if (k + 1 < s.count) {
                self(self, k + 1, p);
            } else if (s.nearer(p, least * kBetter)) {
                least = Search::miss2(p);
                best = now;
            }
        }
    };
    walk(walk, 0, {});
    for (std::size_t k = 0; k < s.count; ++k)
        s.lit[k].step = best[k];
}

void searchPairs(Search& s) {
    double least = s.standing();
    for (bool better = true; better;) {
        better = false;
        const Parts all = s.sum();
        std::size_t best_i = 0;
        std::size_t best_j = 0;
        int step_i = 0;
        int step_j = 0;
        for (std::size_t i = 0; i < s.count; ++i)
            for (int a = s.lit[i].lowest; a <= s.lit[i].highest; ++a) {
                const Parts one = all + s.lit[i].lightAt(a) - s.lit[i].lightAt(s.lit[i].step);
                for (std::size_t j = i + 1; j < s.count; ++j)
                    for (int b = s.lit[j].lowest; b <= s.lit[j].highest; ++b) {
                        const Parts p = one + s.lit[j].lightAt(b) - s.lit[j].lightAt(s.lit[j].step);
                        if (!s.nearer(p, least * kBetter))
                            continue;
                        least = Search::miss2(p);
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
                s.parts(light::driveOf(c, static_cast<std::uint32_t>(value + step)) *
                        mixer.emitters()[c.emitter]);
    }
    if (s.count == 0)
        return sentOf(mixer, std::move(values));
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
