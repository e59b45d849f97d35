// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/ripple_time.h"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <random>

namespace zelo::play {

using show::Pattern;
using show::RippleEnd;

namespace {

constexpr double kSamePlace = 1e-9;

// Of n things in their order: 0 … n−1, and back to 1 where it goes to and fro.
long roundOf(RippleEnd end, long n) {
    return end == RippleEnd::ToAndFro && n >= 3 ? 2 * n - 2 : n;
}

long placeAt(RippleEnd end, long n, long k) {
    const long round = roundOf(end, n);
    const long at = ((k % round) + round) % round;
    return at < n ? at : round - at;
}

int stepAt(const RippleTimes& times, long k) {
    return static_cast<int>(placeAt(times.end, static_cast<long>(times.steps()), k));
}

long stepsOfTurn(const RippleTimes& times) {
    return roundOf(times.end, static_cast<long>(times.steps()));
}

Beat still(int step) {
    return {step, step, 0};
}

// A share of nothing is all of it.
Beat onTheWay(int from, int to, double share) {
    if (share >= 1 || from == to)
        return still(to);
    return share > 0 ? Beat{from, to, share} : still(from);
}

Beat cycleAt(const RippleTimes& times, double tau) {
    if (times.end == RippleEnd::Stop) { // before it the first step, after it the last
        if (tau <= 0)
            return still(0);
        if (tau >= times.turn_s)
            return still(stepAt(times, stepsOfTurn(times) - 1));
    }
    double t = std::fmod(tau, times.turn_s);
    if (t < 0)
        t += times.turn_s;
    const long count = stepsOfTurn(times);
    for (long k = 0; k < count; ++k) {
        const auto s = static_cast<std::size_t>(stepAt(times, k));
        const bool last = k + 1 == count;
        if (t < times.time_s[s] || last) {
            const double stays = (1 - times.change[s]) * times.time_s[s];
            const double changes = times.change[s] * times.time_s[s];
            if (t <= stays || !(changes > 0) || (last && times.end == RippleEnd::Stop))
                return still(static_cast<int>(s));
            return onTheWay(static_cast<int>(s), stepAt(times, k + 1), (t - stays) / changes);
        }
        t -= times.time_s[s];
    }
    return still(0);
}

// Colour k comes at k·L and takes m·d.
Beat marchAt(const RippleTimes& times, double tau) {
    if (tau < 0)
        return {};
    auto k = static_cast<long>(std::floor(tau / times.every_s));
    const long count = stepsOfTurn(times);
    if (times.end == RippleEnd::Stop && k >= count) {
        if (!times.lets_go)
            return still(stepAt(times, count - 1));
        k = count;
    }
    const bool leaves = times.end == RippleEnd::Stop && k == count; // to what lies below
    const int to = leaves ? kBelow : stepAt(times, k);
    const int from = k == 0 ? kBelow : stepAt(times, k - 1);
    const double takes = times.change[static_cast<std::size_t>(leaves ? from : to)] * times.after_s;
    const double since = tau - static_cast<double>(k) * times.every_s;
    return takes > 0 ? onTheWay(from, to, since / takes) : still(to);
}

double envelope(const RippleTimes& times, double u) {
    if (u < 0)
        return 0;
    if (u < times.rise_s)
        return u / times.rise_s;
    u -= times.rise_s;
    if (u <= times.stay_s)
        return 1;
    u -= times.stay_s;
    return u < times.fall_s ? 1 - u / times.fall_s : 0;
}

Beat pulseAt(const RippleTimes& times, double tau) {
    const int rest = times.over_below ? kBelow : 0;
    const auto first = times.over_below ? 0L : 1L;
    const long accents = static_cast<long>(times.steps()) - first;
    const double lasts = times.rise_s + times.stay_s + times.fall_s;
    double most = 0;
    int which = rest;
    for (auto k = static_cast<long>(std::floor(tau / times.every_s));
         k >= 0 && tau - static_cast<double>(k) * times.every_s < lasts; --k) {
        if (times.end == RippleEnd::Stop && k >= accents)
            continue;
        const double now = envelope(times, tau - static_cast<double>(k) * times.every_s);
        if (now > most) {
            most = now;
            which = static_cast<int>(first + placeAt(times.end, accents, k));
        }
    }
    return most > 0 ? onTheWay(rest, which, most) : still(rest);
}

} // namespace

double RippleTimes::shortest_s() const {
    double least = 1;
    for (const double t : time_s)
        if (t > 0)
            least = std::min(least, t);
    return least;
}

RippleTimes rippleTimes(const show::Ripple& ripple, int places) {
    RippleTimes times;
    times.pattern = ripple.pattern;
    times.end = ripple.end;
    times.lets_go = ripple.lets_go;
    times.over_below = ripple.over_below;
    times.rise_s = ripple.rise_s;
    times.stay_s = ripple.stay_s;
    times.fall_s = ripple.fall_s;
    for (const auto& step : ripple.steps) {
        times.time_s.push_back(step.time_s);
        const bool jumps = ripple.way && ripple.way->kind == route::Kind::Jump;
        times.change.push_back(jumps ? 0 : step.change);
    }
    double turn = 0;
    for (long k = 0; k < stepsOfTurn(times); ++k)
        turn += times.time_s[static_cast<std::size_t>(stepAt(times, k))];
    if (ripple.pattern == Pattern::Cycle && !(turn >= kShortestTurn_s)) { // as fast as can be
        const double each = kShortestTurn_s / static_cast<double>(stepsOfTurn(times));
        std::fill(times.time_s.begin(), times.time_s.end(), each);
        turn = kShortestTurn_s;
    }
    times.turn_s = turn;
    times.after_s = ripple.after_s;
    if (ripple.turns && ripple.pattern == Pattern::Cycle)
        times.after_s = turn * *ripple.turns / places;
    if (ripple.pattern == Pattern::March) {
        times.every_s = ripple.band > 0 ? ripple.band * ripple.after_s
                                        : places * ripple.after_s + ripple.pause_s;
        times.every_s = std::max(times.every_s, kShortestTurn_s);
        times.turn_s = times.every_s * static_cast<double>(stepsOfTurn(times));
    }
    if (ripple.pattern == Pattern::Pulse) {
        const double accents = static_cast<double>(times.steps() - (ripple.over_below ? 0 : 1));
        // Tails are looked back for: so many may be on their way at once.
        constexpr double kMostAtOnce = 64;
        const double lasts = ripple.rise_s + ripple.stay_s + ripple.fall_s;
        times.every_s = std::max({ripple.every_s, kShortestTurn_s, lasts / kMostAtOnce});
        times.turn_s = times.every_s * accents;
    }
    return times;
}

RippleDelays rippleDelays(const show::Ripple& ripple, std::span<const double> places) {
    std::vector<double> apart(places.begin(), places.end());
    std::sort(apart.begin(), apart.end());
    int count = 1;
    for (std::size_t i = 1; i < apart.size(); ++i)
        count += apart[i] - apart[i - 1] > kSamePlace;
    if (ripple.along)
        count = std::max(1, static_cast<int>(places.size()));
    RippleDelays all{rippleTimes(ripple, count), {}};
    std::mt19937 random(ripple.seed);
    if (ripple.chance == show::Chance::EachItsOwn) {
        // Not a distribution of the library: those differ from one to the next.
        for (std::size_t i = 0; i < places.size(); ++i)
            all.delay_s.push_back(all.times.turn_s *
                                  (static_cast<double>(random()) / 4294967296.0));
        return all;
    }
    std::vector<std::size_t> order(places.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    if (ripple.chance == show::Chance::OneAfterAnother)
        for (std::size_t i = order.size(); i > 1; --i)
            std::swap(order[i - 1], order[random() % i]);
    for (std::size_t i = 0; i < places.size(); ++i)
        all.delay_s.push_back(all.times.after_s * (ripple.chance == show::Chance::OneAfterAnother
                                                       ? static_cast<double>(order[i])
                                                       : places[i] * (count - 1)));
    return all;
}

Beat beatAt(const RippleTimes& times, double t_s, double delay_s) {
    const double tau = t_s - delay_s;
    switch (times.pattern) {
    case Pattern::Cycle:
        if (times.end == RippleEnd::Stop && times.lets_go && tau >= times.turn_s)
            return {};
        return cycleAt(times, tau);
    case Pattern::March:
        return marchAt(times, tau);
    case Pattern::Pulse:
        break;
    }
    return pulseAt(times, tau);
}

double endOf(const RippleTimes& times, double latest_s) {
    if (times.end != RippleEnd::Stop)
        return HUGE_VAL;
    const double tail = times.pattern == Pattern::March ? times.every_s + times.after_s
                        : times.pattern == Pattern::Pulse
                            ? times.rise_s + times.stay_s + times.fall_s
                            : 0;
    return times.turn_s + std::max(0.0, latest_s) + tail;
}

double samePhase(const RippleTimes& before, const RippleTimes& now, double t_s) {
    if (before.pattern != now.pattern || before.steps() != now.steps())
        return t_s / before.turn_s * now.turn_s;
    if (before.pattern != Pattern::Cycle)
        return t_s / before.every_s * now.every_s;
    // Step by step: as far in the same one.
    const double rounds = std::floor(t_s / before.turn_s);
    double left = t_s - rounds * before.turn_s;
    double mapped = rounds * now.turn_s;
    const long count = std::min(stepsOfTurn(before), stepsOfTurn(now));
    for (long k = 0; k < count; ++k) {
        const auto s = static_cast<std::size_t>(stepAt(before, k));
        if (left < before.time_s[s] || k + 1 == count)
            return mapped + (before.time_s[s] > 0 ? left / before.time_s[s] : 0) * now.time_s[s];
        left -= before.time_s[s];
        mapped += now.time_s[s];
    }
    return mapped;
}

} // namespace zelo::play
