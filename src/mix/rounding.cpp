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
constexpr std::size_t kFew = 5;        // emitters that can afford three steps each: 7⁵ = 16 807
constexpr int kFarthest = 3;

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
    std::array<Parts, 2 * kFarthest + 1> at; // value - 3 … value + 3
    int lowest, highest;                     // -3..3: how far it can move
    int step = 0;

    const Parts& lightAt(int s) const { return at[static_cast<std::size_t>(s + kFarthest)]; }
};

struct Search {
    std::array<Lit, light::kMostParts> lit;
    std::size_t count = 0;
    Parts always; // of what burns beside them
    Uv target;
    double target_y = 0;

    Parts parts(const Xyz& c) const {
        const double s = colour::weightUv(c);
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
        Parts p = always;
        for (std::size_t k = 0; k < count; ++k)
            p = p + lit[k].lightAt(lit[k].step);
        return p;
    }
};

constexpr double kBetter = 1 - 1e-12; // rounding alone is no reason to move

void searchAll(Search& s) {
    std::array<int, light::kMostParts> best{};
    double least = s.standing();
    std::array<int, light::kMostParts> now{};
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
    walk(walk, 0, s.always);
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

// All channels at home, the dimmer set, parts rounded one by one.
light::ChannelValues plainValues(const Mixer& mixer, const WantedParts& wanted) {
    auto values = light::homeValues(mixer.mode());
    for (std::size_t i = 0; i < mixer.mode().channels.size(); ++i) {
        const Channel& c = mixer.mode().channels[i];
        if (c.role == light::Role::Dimmer)
            values[i] = light::channelValue(c, wanted.dimmer);
        else if (c.role == light::Role::Part)
            values[i] = light::channelValue(c, wanted.parts[c.part]);
    }
    return values;
}

WantedParts wantedOf(const Mixer& mixer, const Drives& drives, double intensity, bool exactly) {
    intensity = std::clamp(intensity, 0.0, 1.0);
    WantedParts wanted{drives, intensity};
    if (!mixer.mode().dimmer())
        wanted.parts =
            exactly ? mixer.dimmed(drives, intensity) : mixer.type().dimmed(drives, intensity);
    if (!mixer.additive()) // the level of lamps that have no channel is the dimmer's to carry
        for (std::size_t i = 0; i < drives.size(); ++i)
            if (mixer.type().lamp(i) && drives[i] > 0) {
                wanted.dimmer *= std::min(1.0, drives[i]);
                break;
            }
    return wanted;
}

// The light of one emitter through the flags and wheels that stand before it.
class Shone {
public:
    Shone(const Mixer& mixer, const Drives& filters)
        : mixer_(mixer), through_(light::filtersAt(mixer.type(), filters)), dim_(filters.dim) {}
    Xyz operator()(std::size_t emitter, double drive) const {
        if (!through_)
            return dim_ * mixer_.emitterAt(emitter, drive);
        const light::Emitter& e = mixer_.type().emitters[emitter];
        return dim_ *
               colour::toXyz((e.droop.empty() ? e.spectrum.scaled(drive) : e.lightAt(drive)) *
                             *through_);
    }

private:
    const Mixer& mixer_;
    std::optional<colour::Spectrum> through_;
    double dim_;
};

// Flags and engines: light does not add up, so every combination of one step is tried in full, of
// the coarse channels; one step of 16 bit is not seen.
void searchSettings(const Mixer& mixer, const Xyz& target, light::ChannelValues& values) {
    constexpr std::size_t kMostSearched = 4;
    const light::Mode& mode = mixer.mode();
    std::vector<std::size_t> coarse;
    for (std::size_t i = 0; i < mode.channels.size(); ++i) {
        const Channel& c = mode.channels[i];
        const bool axis = c.role == light::Role::Part && c.bits() == 8 && c.ranges.empty() &&
                          mixer.type().part(c.part).kind != light::PartKind::Emitter;
        if (axis && coarse.size() < kMostSearched)
            coarse.push_back(i);
    }
    const Uv uv = colour::toUv(target);
    const auto start = values;
    double least = HUGE_VAL;
    const auto combinations = static_cast<int>(std::pow(3, coarse.size()));
    for (int code = 0; code < combinations && !coarse.empty(); ++code) {
        auto tried = start;
        bool inside = true;
        for (std::size_t k = 0, rest = static_cast<std::size_t>(code); k < coarse.size();
             ++k, rest /= 3) {
            const Channel& c = mode.channels[coarse[k]];
            const auto step = static_cast<std::int64_t>(rest % 3) - 1;
            const auto value = static_cast<std::int64_t>(start[coarse[k]]) + step;
            inside &= value >= c.first && value <= c.end();
            tried[coarse[k]] = static_cast<std::uint32_t>(value);
        }
        if (!inside)
            continue;
        const Xyz xyz = mixer.xyzOf(light::drivesOf(mixer.type(), mode, tried));
        if (!colour::hasChromaticity(xyz) ||
            std::abs(xyz.Y - target.Y) > kBrightnessFree * target.Y)
            continue;
        if (const double miss = colour::distance(colour::toUv(xyz), uv); miss < least * kBetter) {
            least = miss;
            values = std::move(tried);
        }
    }
}

} // namespace

Sent sentAs(const Mixer& mixer, light::ChannelValues values) {
    Sent sent;
    sent.drives = light::drivesOf(mixer.type(), mixer.mode(), values);
    sent.values = std::move(values);
    sent.xyz = mixer.xyzOf(sent.drives);
    return sent;
}

WantedParts wantedParts(const Mixer& mixer, const Drives& drives, double intensity) {
    return wantedOf(mixer, drives, intensity, true);
}

WantedParts wantedAtOnce(const Mixer& mixer, const Drives& drives, double intensity) {
    return wantedOf(mixer, drives, intensity, false);
}

Sent roundedAlone(const Mixer& mixer, const Drives& drives, double intensity) {
    return sentAs(mixer, plainValues(mixer, wantedParts(mixer, drives, intensity)));
}

Sent rounded(const Mixer& mixer, const Drives& drives, double intensity) {
    const WantedParts all = wantedParts(mixer, drives, intensity);
    const Drives& wanted = all.parts;
    auto values = plainValues(mixer, all);
    const Xyz target = mixer.xyzOf(wanted);
    if (!(target.Y > 0))
        return sentAs(mixer, std::move(values));
    if (!mixer.additive()) {
        const auto sent = sentAs(mixer, values);
        if (sent.xyz.Y > 0) // the dimmer's own steps are no fault of the colour's
            searchSettings(mixer, sent.xyz.Y / target.Y * target, values);
        return sentAs(mixer, std::move(values));
    }
    Search s;
    s.target = colour::toUv(target);
    s.target_y = target.Y;
    bool fine = false;
    const light::Mode& mode = mixer.mode();
    const std::size_t emitters = mixer.emitters().size();
    Drives beside = wanted; // what is not searched, as it is sent
    for (std::size_t i = 0; i < mode.channels.size(); ++i) {
        const Channel& c = mode.channels[i];
        if (c.role != light::Role::Part)
            continue;
        if (c.part >= emitters) {
            beside[c.part] = light::driveOf(c, values[i]);
            continue;
        }
        beside[c.part] = 0;
        if (!(wanted[c.part] > 0) || s.count == light::kMostParts)
            continue;
        s.lit[s.count++] = {i, values[i], {}, 0, 0};
        fine |= c.bits() > 8;
    }
    if (s.count == 0)
        return sentAs(mixer, std::move(values));
    s.always = s.parts(mixer.xyzOf(beside));
    const Shone shone(mixer, beside);
    const int far = s.count <= kFew && !fine ? kFarthest : 1;
    for (std::size_t k = 0; k < s.count; ++k) {
        Lit& lit = s.lit[k];
        const Channel& c = mode.channels[lit.channel];
        const auto value = static_cast<std::int64_t>(lit.value);
        lit.lowest = -static_cast<int>(std::min<std::int64_t>(far, value - c.first));
        lit.highest = static_cast<int>(std::min<std::int64_t>(far, c.end() - value));
        for (int step = lit.lowest; step <= lit.highest; ++step)
            lit.at[static_cast<std::size_t>(step + kFarthest)] =
                s.parts(shone(c.part, light::driveOf(c, static_cast<std::uint32_t>(value + step))));
    }
    if (s.count <= kExhaustive && !fine)
        searchAll(s);
    else
        searchPairs(s);
    for (std::size_t k = 0; k < s.count; ++k)
        values[s.lit[k].channel] =
            static_cast<std::uint32_t>(static_cast<std::int64_t>(s.lit[k].value) + s.lit[k].step);
    return sentAs(mixer, std::move(values));
}

} // namespace zelo::mix
