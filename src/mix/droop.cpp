// SPDX-License-Identifier: GPL-3.0-or-later
#include "mix/droop.h"

#include "colour/smoothest.h"
#include "mix/detail/problem.h"

#include <algorithm>

namespace zelo::mix {

using light::Wanted;

namespace {
constexpr int kRounds = 20;
constexpr double kSettled = 1e-9;    // in drives
constexpr double kLeastDrive = 1e-3; // below it light has the shape it has here
} // namespace

Droop::Droop(std::vector<light::Emitter> emitters, std::vector<char> usable,
             std::vector<double> power_w)
    : emitters_(std::move(emitters)), usable_(std::move(usable)), power_w_(std::move(power_w)) {
    for (const auto& e : emitters_) {
        full_y_.push_back(e.xyz().Y);
        auto& measured = tables_.emplace_back();
        measured.emplace_back(0, Xyz{});
        for (const auto& d : e.droop)
            measured.emplace_back(d.drive, colour::toXyz(d.spectrum));
        measured.emplace_back(1, e.xyz());
        any_ |= !e.droop.empty();
    }
}

Xyz Droop::slope(std::size_t emitter, double drive) const {
    const auto& points = tables_[emitter];
    std::size_t i = 1;
    while (i + 1 < points.size() && points[i].first < drive)
        ++i;
    return 1 / (points[i].first - points[i - 1].first) * (points[i].second - points[i - 1].second);
}

Xyz Droop::at(std::size_t emitter, double drive) const {
    const auto& points = tables_[emitter];
    std::size_t i = 1;
    while (i + 1 < points.size() && points[i].first < drive)
        ++i;
    const auto& [from, below] = points[i - 1];
    const auto& [to, above] = points[i];
    const double part = std::clamp((drive - from) / (to - from), 0.0, 1.0);
    return (1 - part) * below + part * above;
}

double Droop::share(std::size_t e, double drive) const {
    return full_y_[e] > 0 ? at(e, drive).Y / full_y_[e] : drive;
}

double Droop::driveFor(std::size_t e, double wanted) const {
    const auto& points = tables_[e];
    for (std::size_t i = 1; i < points.size() && full_y_[e] > 0; ++i) {
        const double below = points[i - 1].second.Y / full_y_[e];
        const double above = points[i].second.Y / full_y_[e];
        if (wanted <= above || i + 1 == points.size())
            return points[i - 1].first +
                   (above > below ? std::clamp((wanted - below) / (above - below), 0.0, 1.0) : 1) *
                       (points[i].first - points[i - 1].first);
    }
    return wanted;
}

Xyz Droop::sum(const Drives& drives) const {
    Xyz all;
    for (std::size_t e = 0; e < tables_.size(); ++e)
        if (drives[e] > 0)
            all += at(e, drives[e]);
    return all;
}

LinearEngine Droop::atFull(bool rendering, const colour::Camera* exact_for) const {
    std::vector<LinearEmitter> all;
    for (std::size_t e = 0; e < emitters_.size(); ++e)
        all.push_back({emitters_[e].spectrum, power_w_[e], usable_[e] != 0});
    return LinearEngine(all, rendering, exact_for);
}

// Each emitter with the light it has at this drive, made as bright as at full.
LinearEngine Droop::asIfAt(const Drives& drives, bool rendering,
                           const colour::Camera* exact_for) const {
    std::vector<LinearEmitter> all;
    for (std::size_t e = 0; e < emitters_.size(); ++e) {
        const double d = std::max(drives[e], kLeastDrive);
        const double of_full = share(e, d);
        all.push_back(
            {of_full > 0 ? emitters_[e].lightAt(d).scaled(1 / of_full) : emitters_[e].spectrum,
             power_w_[e], usable_[e] != 0});
    }
    return LinearEngine(all, rendering, exact_for);
}

// The problem with the fixed ones' light as it is at their drives.
Problem Droop::realProblem(const LinearEngine& full, const LinearEngine::Bounds& bounds) const {
    Problem p = full.problemOf(bounds);
    p.base = sum(p.held);
    return p;
}

// As solve(), with the emitters' XYZ alone; nothing where the colour is out of reach.
std::optional<Mix> Droop::brightest(const LinearEngine& full, const Wanted& wanted,
                                    const LinearEngine::Bounds& bounds) const {
    const Problem p = realProblem(full, bounds);
    std::vector<Xyz> seen(p.free.size());
    Drives drives(emitters_.size(), 1);
    for (int round = 0; round < kRounds; ++round) {
        for (std::size_t k = 0; k < seen.size(); ++k) {
            const double d = std::max(drives[p.free[k]], kLeastDrive);
            seen[k] = 1 / share(p.free[k], d) * at(p.free[k], d);
        }
        const auto end = GamutSolid(seen, p.base).brightest(wanted.xyz);
        if (!end)
            return std::nullopt;
        Drives now = p.whole(end->drives);
        double moved = 0;
        for (std::size_t k = 0; k < seen.size(); ++k) {
            double& d = now[p.free[k]];
            d = driveFor(p.free[k], d);
            moved = std::max(moved, std::abs(d - drives[p.free[k]]));
        }
        drives = now;
        if (moved < kSettled)
            break;
    }
    const Mix mix = mixOf(drives, MixEnd::InReach, sum(drives), wanted, 0);
    constexpr double kExact = 1e-7;
    if (mix.miss_uv > kExact)
        return std::nullopt;
    return mixOf(drives, MixEnd::InReach, mix.got, wanted, mix.got.Y);
}

// Solved as if light added up, each emitter with the light it has at the drive it had last; then
// its drive is the one that gives its share of that light. The light changes slowly with the drive,
// so a few rounds settle it. A search would find its way anew in each round: Kindest is searched
// for once, on the settled problem of Truest, and its colour then made exact.
Mix Droop::solve(const LinearEngine& full, const Wanted& wanted, const MixWish& wish,
                 const LinearEngine::Bounds& bounds, const colour::Camera* exact_for) const {
    if (wish.intent == Intent::Brightest && !exact_for)
        if (auto mix = brightest(full, wanted, bounds))
            return *mix;
    const auto n = emitters_.size();
    const bool searches = wish.intent == Intent::Kindest;
    MixWish linear = wish;
    if (searches)
        linear.intent = Intent::Truest;
    Wanted spectral = wanted; // once for all rounds
    if (!spectral.spectrum && linear.intent != Intent::Leanest)
        spectral.spectrum = colour::smoothestSpectrum(wanted.xyz);
    LinearEngine::Bounds shares = bounds;
    for (std::size_t e = 0; e < n; ++e)
        if (bounds.held[e] > 0)
            shares.held[e] = std::min(1.0, share(e, bounds.held[e]));
    const auto real = [&](const Drives& of_light) {
        Drives drives = of_light;
        for (std::size_t e = 0; e < n; ++e)
            drives[e] = bounds.fixed[e] ? bounds.held[e] : driveFor(e, of_light[e]);
        return drives;
    };
    Drives drives(n, 1);
    for (std::size_t e = 0; e < n; ++e)
        if (bounds.fixed[e])
            drives[e] = bounds.held[e];
    Mix mix;
    for (int round = 0; round < kRounds; ++round) {
        mix = asIfAt(drives, false, exact_for).solve(spectral, linear, shares);
        const Drives before = drives;
        drives = real(mix.drives);
        double moved = 0;
        for (std::size_t e = 0; e < n; ++e)
            moved = std::max(moved, std::abs(drives[e] - before[e]));
        if (moved < kSettled)
            break;
    }
    if (searches && mix.end == MixEnd::InReach) {
        linear.intent = Intent::Kindest;
        const Drives found = real(asIfAt(drives, true).solve(wanted, linear, shares).drives);
        const double as_bright = sum(drives).Y;
        if (const auto exact =
                closestDrives(full, found, as_bright / wanted.xyz.Y * wanted.xyz, bounds))
            drives = *exact;
    }
    const Xyz got = sum(drives);
    return mixOf(drives, mix.end, got, wanted, brightestOf(mix, got));
}

// Light is taken along its tangents at the drives it had last, until it holds: between measured
// drives it is straight, so that two rounds mostly do.
std::optional<Drives> Droop::closestDrives(const LinearEngine& full, const Drives& target,
                                           const Xyz& exact,
                                           const LinearEngine::Bounds& bounds) const {
    constexpr int kTangentRounds = 12;
    constexpr double kHolds = 1e-9;
    constexpr double kNear = 1e-6; // of the light: less is no light of this colour
    Problem p = realProblem(full, bounds);
    const Xyz fixed = p.base;
    std::optional<Drives> found;
    Drives here = target;
    for (int round = 0; round < kTangentRounds; ++round) {
        p.own_xyz.clear();
        p.base = fixed;
        for (const std::size_t e : p.free) {
            // Late rounds through nothing instead: tangents may go to and fro over a corner.
            const bool tangent = round < kTangentRounds / 2;
            const double d = std::clamp(here[e], kLeastDrive, 1.0);
            const Xyz steep = tangent ? slope(e, d) : 1 / d * at(e, d);
            p.own_xyz.push_back(steep);
            if (tangent)
                p.base += at(e, d) - d * steep;
        }
        p.xyz = p.own_xyz;
        const auto free = closestFree(p, target, exact);
        if (!free)
            break;
        found = p.whole(*free);
        here = *found;
        if (norm(sum(here) - exact) < kHolds * norm(exact))
            break;
    }
    if (found && !(norm(sum(*found) - exact) < kNear * norm(exact)))
        return std::nullopt;
    return found;
}

} // namespace zelo::mix
