// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/detail/calm.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using light::Drives;

namespace {

Drives middle(const Drives& a, const Drives& b) {
    Drives m(a.size());
    for (std::size_t e = 0; e < a.size(); ++e)
        m[e] = (a[e] + b[e]) / 2;
    return m;
}

} // namespace

LargestStep largestStep(const std::vector<CalmPoint>& points) {
    LargestStep largest;
    for (std::size_t i = 1; i < points.size(); ++i)
        for (std::size_t e = 0; e < points[i].drives.size(); ++e)
            if (const double s = std::abs(points[i].drives[e] - points[i - 1].drives[e]);
                s > largest.step)
                largest = {s, i};
    return largest;
}

Drives follow(const mix::Mixer& mixer, const CalmPoint& point, const Drives& target,
              const mix::MixWish& wish) {
    if (!(point.brightness_cd > 0))
        return mixer.type().dimmed(target, 0);
    if (const auto near =
            mixer.closestDrives(target, point.brightness_cd * colour::toXyz(point.uv), wish))
        return *near;
    mix::MixWish brightest_wish = wish;
    brightest_wish.intent = mix::Intent::Brightest;
    const auto brightest = mixer.solve(light::wantedUv(point.uv), brightest_wish);
    return brightest.got.Y > 0 ? mixer.dimmed(brightest.drives,
                                              std::min(1.0, point.brightness_cd / brightest.got.Y))
                               : mixer.type().dimmed(target, 0);
}

void mixTogether(const mix::Mixer& mixer, std::vector<CalmPoint>& points, const mix::MixWish& wish,
                 Ends ends, const std::vector<Drives>& near) {
    // Each step of flags costs more, and there is less to even out: few ways lead to one colour.
    const int sweeps = mixer.additive() ? 8 : 1;
    const auto fill = [&](auto&& self, std::size_t a, std::size_t b) -> void {
        if (b - a < 2)
            return;
        const std::size_t m = (a + b) / 2;
        points[m].drives =
            follow(mixer, points[m], middle(points[a].drives, points[b].drives), wish);
        self(self, a, m);
        self(self, m, b);
    };
    fill(fill, 0, points.size() - 1);
    const std::size_t last = points.size() - 1;
    for (int sweep = 0; sweep < sweeps; ++sweep) {
        for (std::size_t i = 1; i < last; ++i) {
            const std::size_t k = sweep % 2 ? last - i : i;
            Drives target = middle(points[k - 1].drives, points[k + 1].drives);
            if (!near.empty())
                for (std::size_t e = 0; e < target.size(); ++e)
                    target[e] += kPull * (near[k][e] - target[e]);
            points[k].drives = follow(mixer, points[k], target, wish);
        }
        if (ends == Ends::Held)
            continue;
        points[0].drives = follow(mixer, points[0], points[1].drives, wish);
        points[last].drives = follow(mixer, points[last], points[last - 1].drives, wish);
    }
}

void evenOut(const mix::Mixer& mixer, std::vector<CalmPoint>& points, double seen,
             const mix::MixWish& wish, Ends ends) {
    constexpr int kPlaces = 3; // stretches that may need it, of each length
    constexpr int kSweeps = 2;
    constexpr double kLeastWeight = 0.02;
    constexpr double kGain = 0.01; // of the largest step
    constexpr int kPatience = 2;
    struct Try {
        std::size_t stretch; // points on each side
        int rounds;
    };
    constexpr Try kTries[] = {{11, 6}, {18, 10}}; // what a short one leaves a long one may do
    const std::size_t begin = ends == Ends::Held ? 1 : 0;
    const std::size_t end = points.size() - 1 - begin;
    LargestStep largest = largestStep(points);
    for (int place = 0; place < 2 * kPlaces && largest.step > seen; ++place) {
        const auto [stretch, rounds] = kTries[place / kPlaces];
        const std::size_t first =
            std::max(begin, largest.at > stretch ? largest.at - stretch : begin);
        const std::size_t last = std::min(largest.at + stretch, end);
        auto tried = points;
        std::vector<std::array<double, light::kMostParts>> weight(points.size() + 1);
        for (auto& w : weight)
            w.fill(1);
        const LargestStep before = largest;
        int idle = 0; // rounds without much of a gain
        for (int round = 0; round < rounds; ++round) {
            const auto step = [&](std::size_t i, std::size_t e) { // to point i from before
                return std::abs(tried[i].drives[e] - tried[i - 1].drives[e]);
            };
            const std::size_t from = std::max<std::size_t>(1, first);
            const std::size_t to = std::min(last + 1, points.size() - 1);
            double most = 0;
            for (std::size_t i = from; i <= to; ++i)
                for (std::size_t e = 0; e < tried[i].drives.size(); ++e)
                    most = std::max(most, step(i, e));
            for (std::size_t i = from; i <= to; ++i)
                for (std::size_t e = 0; e < tried[i].drives.size(); ++e)
                    weight[i][e] =
                        std::max(weight[i][e] * std::max(step(i, e) / most, kLeastWeight), 1e-9);
            for (int sweep = 0; sweep < kSweeps; ++sweep)
                for (std::size_t i = first; i <= last; ++i) {
                    const std::size_t k = sweep % 2 ? last + first - i : i;
                    Drives target = tried[k].drives;
                    for (std::size_t e = 0; e < target.size(); ++e) {
                        const double l = k > 0 ? weight[k][e] : 0;
                        const double r = k + 1 < points.size() ? weight[k + 1][e] : 0;
                        const double left = k > 0 ? tried[k - 1].drives[e] : 0;
                        const double right = k + 1 < points.size() ? tried[k + 1].drives[e] : 0;
                        target[e] = (l * left + r * right) / (l + r);
                    }
                    tried[k].drives = follow(mixer, tried[k], target, wish);
                }
            const LargestStep now = largestStep(tried);
            const double gain = largest.step - now.step;
            if (gain > 0) {
                largest = now;
                points = tried;
            }
            idle = gain > kGain * largest.step ? 0 : idle + 1;
            if (idle > kPatience)
                break;
        }
        if (largest.step >= before.step) // no more to be had from such stretches
            place = place < kPlaces ? kPlaces - 1 : 2 * kPlaces;
    }
}

} // namespace zelo::route
