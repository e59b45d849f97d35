// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/gradient_mix.h"

#include "route/detail/calm.h"

#include <algorithm>
#include <numeric>

namespace zelo::route {

using colour::Uv;

namespace {

constexpr double kSeen = 0.02;     // steps below it are no matter
constexpr std::size_t kAll = 40;   // so many colours are each solved
constexpr std::size_t kKnots = 24; // of more, so many are; the others lie between them
constexpr double kJump = 4;        // times the usual step

// Which colours carry the others: evenly along the gradient, and both sides of a jump.
std::vector<std::size_t> knotsOf(const std::vector<Uv>& colours) {
    const std::size_t n = colours.size();
    std::vector<std::size_t> knots;
    if (n <= kAll) {
        knots.resize(n);
        std::iota(knots.begin(), knots.end(), 0u);
        return knots;
    }
    for (std::size_t k = 0; k < kKnots; ++k)
        knots.push_back(k * (n - 1) / (kKnots - 1));
    std::vector<double> steps;
    for (std::size_t i = 1; i < n; ++i)
        steps.push_back(colour::distance(colours[i], colours[i - 1]));
    auto sorted = steps;
    const auto middle = sorted.begin() + static_cast<std::ptrdiff_t>(sorted.size() / 2);
    std::nth_element(sorted.begin(), middle, sorted.end());
    for (std::size_t i = 1; i < n; ++i)
        if (steps[i - 1] > kJump * *middle)
            knots.insert(knots.end(), {i - 1, i});
    std::sort(knots.begin(), knots.end());
    knots.erase(std::unique(knots.begin(), knots.end()), knots.end());
    return knots;
}

CalmPoint pointOf(const mix::Mix& m, const Uv& asked) {
    return {colour::hasChromaticity(m.got) ? colour::toUv(m.got) : asked, m.got.Y, m.drives};
}

// A colour between two that are mixed, as near as can be to a mix between theirs.
mix::Mix between(const mix::Mixer& mixer, const Uv& uv, const mix::Mix& before,
                 const mix::Mix& after, double part, const mix::MixWish& wish) {
    mix::MixWish brightest = wish;
    brightest.intent = mix::Intent::Brightest;
    mix::Mix m = mixer.solve(light::wantedUv(uv), brightest);
    CalmPoint point = pointOf(m, uv);
    point.brightness_cd = std::min(m.got.Y, before.got.Y + part * (after.got.Y - before.got.Y));
    light::Drives target = before.drives;
    for (std::size_t e = 0; e < target.size(); ++e)
        target[e] += part * (after.drives[e] - target[e]);
    m.drives = follow(mixer, point, target, wish);
    m.got = mixer.xyzOf(m.drives);
    return m;
}

double largestStepOf(const std::vector<mix::Mix>& mixes) {
    double largest = 0;
    for (std::size_t i = 1; i < mixes.size(); ++i)
        for (std::size_t e = 0; e < mixes[i].drives.size(); ++e)
            largest = std::max(largest, std::abs(mixes[i].drives[e] - mixes[i - 1].drives[e]));
    return largest;
}

} // namespace

GradientMix mixGradient(const mix::Mixer& mixer, const std::vector<Uv>& colours,
                        const mix::MixWish& wish, Choose choose) {
    GradientMix all;
    all.mixes.resize(colours.size());
    if (choose == Choose::EachAlone || !mixer.additive() || colours.size() < 2) {
        for (std::size_t i = 0; i < colours.size(); ++i)
            all.mixes[i] = mixer.solve(light::wantedUv(colours[i]), wish);
        all.largest_step = largestStepOf(all.mixes);
        all.alone = all.largest_step;
        return all;
    }
    const auto knots = knotsOf(colours);
    std::vector<CalmPoint> points;
    for (const std::size_t k : knots) {
        all.mixes[k] = mixer.solve(light::wantedUv(colours[k]), wish);
        points.push_back(pointOf(all.mixes[k], colours[k]));
    }
    const double alone = largestStep(points).step;
    if (knots.size() == colours.size())
        all.alone = alone;
    if (alone > kSeen) {
        mixTogether(mixer, points, wish, Ends::Free);
        evenOut(mixer, points, kSeen, wish, Ends::Free);
        if (largestStep(points).step < alone)
            for (std::size_t k = 0; k < knots.size(); ++k) {
                mix::Mix& m = all.mixes[knots[k]];
                m.drives = points[k].drives;
                m.got = mixer.xyzOf(m.drives);
            }
    }
    for (std::size_t k = 1; k < knots.size(); ++k)
        for (std::size_t i = knots[k - 1] + 1; i < knots[k]; ++i)
            all.mixes[i] = between(mixer, colours[i], all.mixes[knots[k - 1]], all.mixes[knots[k]],
                                   static_cast<double>(i - knots[k - 1]) /
                                       static_cast<double>(knots[k] - knots[k - 1]),
                                   wish);
    all.largest_step = largestStepOf(all.mixes);
    return all;
}

namespace {

double largestStepRound(const std::vector<light::Drives>& round) {
    double largest = 0;
    for (std::size_t i = 0; i < round.size(); ++i)
        for (std::size_t e = 0; e < round[i].size(); ++e)
            largest = std::max(largest, std::abs(round[(i + 1) % round.size()][e] - round[i][e]));
    return largest;
}

} // namespace

void mixRound(const mix::Mixer& mixer, std::vector<light::Drives>& round) {
    constexpr int kSweeps = 12;
    const std::size_t n = round.size();
    if (!mixer.additive() || n < 2)
        return;
    std::vector<CalmPoint> points;
    for (const light::Drives& drives : round) {
        const colour::Xyz xyz = mixer.xyzOf(drives);
        if (!colour::hasChromaticity(xyz))
            return; // dark ones are nobody's neighbours
        points.push_back({colour::toUv(xyz), xyz.Y, drives});
    }
    for (int sweep = 0; sweep < kSweeps; ++sweep)
        for (std::size_t i = 0; i < n; ++i) {
            light::Drives target = points[(i + n - 1) % n].drives;
            const light::Drives& after = points[(i + 1) % n].drives;
            for (std::size_t e = 0; e < target.size(); ++e) {
                target[e] = (target[e] + after[e]) / 2;
                target[e] += kPull * (round[i][e] - target[e]); // towards what the intent chose
            }
            points[i].drives = follow(mixer, points[i], target);
        }
    std::vector<light::Drives> calm;
    for (CalmPoint& point : points)
        calm.push_back(point.drives);
    if (largestStepRound(calm) < largestStepRound(round))
        round = std::move(calm);
}

} // namespace zelo::route
