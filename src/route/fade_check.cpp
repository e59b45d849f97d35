// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/fade_check.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using colour::Uv;
using colour::Xyz;
using light::Drives;

namespace {

constexpr int kMoments = 200;         // of each stretch in which something moves
constexpr double kVisible = 0.02;     // of the brighter end
constexpr double kOtherColour = 0.02; // Δu'v' from the lit end
constexpr double kMostDip = 0.35;
constexpr double kOffTheWay = 0.05;

bool lit(const mix::Mixer& mixer, const LampState& s) {
    return s.intensity > 0 && mixer.xyzOf(s.drives).Y > 0;
}

double partOf(double t, double delay, double length) {
    if (t < delay)
        return 0;
    return length > 0 ? std::min(1.0, (t - delay) / length) : 1;
}

double distanceToSegment(const Uv& p, const Uv& a, const Uv& b) {
    const Uv way = b - a;
    const double size = dot(way, way);
    const double t = size > 0 ? std::clamp(dot(p - a, way) / size, 0.0, 1.0) : 0;
    return distance(p, a + t * way);
}

// When to look: where intensity or colour moves, and at both ends of each such stretch.
std::vector<double> moments(const FadeTimes& times, double fade_s) {
    const std::pair<double, double> moving[] = {
        {times.delay_s, times.delay_s + fade_s},
        {times.colour_delay_s, times.colour_delay_s + times.colour_s}};
    std::vector<double> marks{0};
    for (const auto& [begin, end] : moving)
        marks.insert(marks.end(), {begin, end});
    std::sort(marks.begin(), marks.end());
    std::vector<double> all;
    for (std::size_t i = 0; i + 1 < marks.size(); ++i) {
        const double a = marks[i];
        const double b = marks[i + 1];
        if (!(b > a))
            continue;
        const bool moves = std::any_of(std::begin(moving), std::end(moving), [&](const auto& m) {
            return m.first <= a && b <= m.second;
        });
        const int steps = moves ? kMoments : 1;
        for (int k = 0; k < steps; ++k)
            all.push_back(a + (b - a) * k / steps);
        all.push_back(std::nextafter(b, a)); // before what happens there
    }
    all.push_back(marks.back());
    return all;
}

double fadeTime(const FadeSetup& s) {
    return s.after.intensity >= s.before.intensity ? s.times.up_s : s.times.down_s;
}

std::vector<FadeMoment> simulated(const mix::Mixer& mixer, const FadeSetup& s, const Uv& white,
                                  const std::vector<double>& times) {
    const double fade_s = fadeTime(s);
    std::optional<Fade> planned; // a route is looked up by the share of the colour's time
    if (s.route != Kind::Levels) {
        FadeWish wish;
        wish.kind = s.route;
        wish.floor = s.floor;
        wish.white = white;
        if (auto fade = planFade(mixer, s.before.drives, s.after.drives, wish))
            planned = std::move(*fade);
    }
    std::vector<FadeMoment> seen;
    for (const double t : times) {
        const double part = partOf(t, s.times.colour_delay_s, s.times.colour_s);
        Drives drives;
        if (planned) {
            const auto last = planned->points.size() - 1;
            drives = planned
                         ->points[static_cast<std::size_t>(
                             std::lround(part * static_cast<double>(last)))]
                         .drives;
        } else {
            drives = levelsBetween(mixer, s.before.drives, s.after.drives, part);
        }
        const double intensity = s.before.intensity + (s.after.intensity - s.before.intensity) *
                                                          partOf(t, s.times.delay_s, fade_s);
        seen.push_back({t, drives, intensity, intensity * mixer.xyzOf(drives)});
    }
    return seen;
}

// Collects the moments that are wrong in one way into a fault.
class Watch {
public:
    explicit Watch(Fault kind) { fault_.kind = kind; }
    void see(double t_s, double how_bad, const Uv& shown) {
        if (!found_)
            fault_.from_s = t_s;
        found_ = true;
        fault_.lasts_s = t_s - fault_.from_s;
        if (how_bad > fault_.worst) {
            fault_.worst = how_bad;
            fault_.shown = shown;
        }
    }
    void into(std::vector<FadeFault>& faults) const {
        if (found_)
            faults.push_back(fault_);
    }

private:
    FadeFault fault_;
    bool found_ = false;
};

} // namespace

std::vector<FadeMoment> momentsOfFade(const mix::Mixer& mixer, const FadeSetup& s, const Uv& white,
                                      std::size_t count) {
    const double ends =
        std::max(s.times.delay_s + fadeTime(s), s.times.colour_delay_s + s.times.colour_s);
    std::vector<double> times;
    for (std::size_t i = 0; i < count; ++i)
        times.push_back(ends * static_cast<double>(i) / static_cast<double>(count - 1));
    return simulated(mixer, s, white, times);
}

std::vector<FadeFault> checkFade(const mix::Mixer& mixer, const FadeSetup& s, const Uv& white) {
    const bool was_lit = lit(mixer, s.before);
    const bool will_be_lit = lit(mixer, s.after);
    std::vector<FadeFault> faults;
    if (!was_lit && !will_be_lit)
        return faults;
    const Xyz first = s.before.intensity * mixer.xyzOf(s.before.drives);
    const Xyz last = s.after.intensity * mixer.xyzOf(s.after.drives);
    const double visible = kVisible * std::max(first.Y, last.Y);
    const auto seen = simulated(mixer, s, white, moments(s.times, fadeTime(s)));
    if (!was_lit || !will_be_lit) {
        const Uv end = colour::toUv(was_lit ? first : last);
        Watch watch(was_lit ? Fault::ToDark : Fault::FromDark);
        for (const FadeMoment& m : seen)
            if (m.light.Y > visible)
                if (const double off = distance(colour::toUv(m.light), end); off > kOtherColour)
                    watch.see(m.t_s, off, colour::toUv(m.light));
        watch.into(faults);
        return faults;
    }
    const Uv a = colour::toUv(first);
    const Uv b = colour::toUv(last);
    const auto disc = Disc::of(mixer.hull(), white);
    const double ends = disc ? std::min(disc->saturation(a), disc->saturation(b)) : 0;
    Watch dip(Fault::WhiteDip);
    Watch off_way(Fault::OffTheWay);
    for (const FadeMoment& m : seen) {
        if (m.light.Y <= visible)
            continue;
        const Uv here = colour::toUv(m.light);
        if (ends > 1e-6)
            if (const double lost = 1 - disc->saturation(here) / ends; lost > kMostDip)
                dip.see(m.t_s, lost, here);
        // A route that was asked for is not off its way.
        if (s.route == Kind::Levels)
            if (const double off = distanceToSegment(here, a, b); off > kOffTheWay)
                off_way.see(m.t_s, off, here);
    }
    dip.into(faults);
    off_way.into(faults);
    return faults;
}

std::optional<FadeSetup> withCure(const FadeSetup& setup, Cure cure) {
    FadeSetup s = setup;
    const bool from_dark = setup.before.intensity <= 0;
    const bool to_dark = setup.after.intensity <= 0;
    if (from_dark && to_dark)
        return std::nullopt;
    if (cure == Cure::OtherRoute) {
        if (from_dark || to_dark)
            return std::nullopt;
        s.route = Kind::Around;
        return s;
    }
    if (!from_dark && !to_dark)
        return std::nullopt;
    switch (cure) {
    case Cure::ColourInDark:
        (from_dark ? s.before : s.after).drives = (from_dark ? s.after : s.before).drives;
        break;
    case Cure::ColourInZeroTime:
        s.times.colour_s = 0;
        s.times.colour_delay_s = from_dark ? 0 : s.times.delay_s + s.times.down_s;
        break;
    default:
        (from_dark ? s.before : s.after).drives = Drives(s.after.drives.size());
    }
    return s;
}

std::vector<Cure> curesFor(const mix::Mixer& mixer, const FadeSetup& setup, const Uv& white) {
    std::vector<Cure> cures;
    for (const auto cure :
         {Cure::ColourInDark, Cure::ColourInZeroTime, Cure::HomeAtZero, Cure::OtherRoute})
        if (const auto cured = withCure(setup, cure);
            cured && checkFade(mixer, *cured, white).empty())
            cures.push_back(cure);
    return cures;
}

} // namespace zelo::route
