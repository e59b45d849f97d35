// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/fade.h"

#include "colour/oklab.h"
#include "mix/together.h"
#include "route/detail/calm.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using colour::Uv;
using colour::Xyz;
using light::Drives;

namespace {

constexpr int kFine = 600;        // points along a way when its pace is worked out
constexpr double kVisible = 0.02; // of the brightest point: below it colour is not seen
constexpr double kCapped = 1e-3;  // share of the brightness that is told as taken
constexpr double kSeen = 0.03;    // of a drive, per 1 % of the way: steps below are never too large

// Slower at both ends: its speed grows and falls evenly over the middle.
double eased(double t) {
    return t * t * (3 - 2 * t);
}

// Where along the curve one is at each share of the time, at constant Oklab distance (Y = 1), or
// eased.
std::vector<Uv> paced(const Curve& curve, const Uv& white, int samples, bool eased_ends) {
    const colour::OklabSpace space(colour::toXyz(white));
    std::vector<Uv> fine;
    std::vector<double> gone{0};
    for (int i = 0; i <= kFine; ++i) {
        fine.push_back(curve(static_cast<double>(i) / kFine));
        if (i > 0)
            gone.push_back(
                gone.back() +
                distance(space.from(colour::toXyz(fine[static_cast<std::size_t>(i)])),
                         space.from(colour::toXyz(fine[static_cast<std::size_t>(i - 1)]))));
    }
    std::vector<Uv> way;
    std::size_t at = 0;
    for (int k = 0; k < samples; ++k) {
        const double share = static_cast<double>(k) / (samples - 1);
        const double want = gone.back() * (eased_ends ? eased(share) : share);
        while (at + 2 < gone.size() && gone[at + 1] < want)
            ++at;
        const double span = gone[at + 1] - gone[at];
        const double part = span > 0 ? std::clamp((want - gone[at]) / span, 0.0, 1.0) : 0;
        way.push_back(fine[at] + part * (fine[at + 1] - fine[at]));
    }
    way.back() = fine.back();
    return way;
}

double brightestOf(const mix::Mixer& mixer, const Uv& uv, mix::MixWish wish) {
    wish.intent = mix::Intent::Brightest;
    return mixer.solve(light::wantedUv(uv), wish).got.Y;
}

// The most light along a way. Where it takes a search, or rounds for droop, some places are asked,
// and those between only where the way comes near it.
class Most {
public:
    Most(const mix::Mixer& mixer, const std::vector<Uv>& way, const mix::MixWish& wish)
        : mixer_(mixer), way_(way), wish_(wish) {
        const bool at_once = mixer.additive() && !mixer.type().droops();
        for (std::size_t i = 0; !at_once && i < way.size(); i += kEvery)
            some_.push_back(brightestOf(mixer, way[i], wish));
    }
    double at(std::size_t i, double planned) const {
        if (i / kEvery + 1 < some_.size()) {
            const double on = static_cast<double>(i % kEvery) / kEvery;
            const double a = some_[i / kEvery];
            const double rough = a + on * (some_[i / kEvery + 1] - a);
            if (i % kEvery == 0 || planned < (1 - kSafe) * rough)
                return rough;
            if (!mixer_.additive() && planned > (1 + kSafe) * rough)
                return kLess * rough;
        }
        return brightestOf(mixer_, way_[i], wish_);
    }

private:
    static constexpr std::size_t kEvery = 10;
    static constexpr double kSafe = 0.1;
    static constexpr double kLess = 0.985; // surely to be had
    const mix::Mixer& mixer_;
    const std::vector<Uv>& way_;
    const mix::MixWish& wish_;
    std::vector<double> some_;
};

// The mixes that the intent would choose point by point, roughly: some are solved, straight lines
// between. Empty where there is no choice, or it would cost too much.
std::vector<Drives> intentAlong(const mix::Mixer& mixer, const std::vector<CalmPoint>& points,
                                const mix::MixWish& wish) {
    // Stretches between those that are solved; with droop each costs ten times as much.
    const std::size_t stretches = mixer.type().droops() ? 3 : 10;
    std::size_t lit = 0;
    for (std::size_t e = 0; e < mixer.type().emitters.size(); ++e)
        lit += mixer.usable(e);
    if (!mixer.additive() || lit <= 3 || points.size() <= stretches ||
        wish.intent == mix::Intent::Kindest)
        return {};
    std::vector<Drives> solved;
    const auto last = static_cast<double>(points.size() - 1);
    const auto at = [&](std::size_t k) {
        return static_cast<std::size_t>(
            std::lround(static_cast<double>(k) * last / static_cast<double>(stretches)));
    };
    for (std::size_t k = 0; k <= stretches; ++k) {
        const CalmPoint& p = points[at(k)];
        const auto mix = mixer.solve(light::wantedUv(p.uv), wish);
        if (!(mix.got.Y > 0))
            return {};
        solved.push_back(mixer.dimmed(mix.drives, std::min(1.0, p.brightness_cd / mix.got.Y)));
    }
    std::vector<Drives> near;
    std::size_t k = 0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        while (k + 2 <= stretches && at(k + 1) <= i)
            ++k;
        const double on = static_cast<double>(i - at(k)) / static_cast<double>(at(k + 1) - at(k));
        Drives drives = solved[k];
        for (std::size_t e = 0; e < drives.size(); ++e)
            drives[e] += on * (solved[k + 1][e] - drives[e]);
        near.push_back(drives);
    }
    return near;
}

void measure(const std::optional<Disc>& disc, Fade& fade) {
    std::vector<Uv> seen;
    double brightest = 0;
    for (const FadePoint& p : fade.points)
        brightest = std::max(brightest, p.brightness_cd);
    for (std::size_t i = 0; i < fade.points.size(); ++i) {
        FadePoint& p = fade.points[i];
        p.saturation = disc ? disc->saturation(p.uv) : 0;
        if (p.brightness_cd > kVisible * brightest)
            seen.push_back(p.uv);
    }
    const double per = (static_cast<double>(fade.points.size()) - 1) / 100;
    for (std::size_t i = 1; i < fade.points.size(); ++i)
        for (std::size_t e = 0; e < fade.points[i].drives.size(); ++e)
            fade.largest_step =
                std::max(fade.largest_step,
                         per * std::abs(fade.points[i].drives[e] - fade.points[i - 1].drives[e]));
    fade.white_dip = disc ? whiteDip(*disc, seen) : 0;
}

FadePoint pointOf(const mix::Mixer& mixer, double t, const Drives& drives, const Uv& dark_uv) {
    const Xyz xyz = mixer.xyzOf(drives);
    return {t, colour::hasChromaticity(xyz) ? colour::toUv(xyz) : dark_uv, 0, xyz.Y, drives};
}

} // namespace

Done FadeWish::check() const {
    const auto share = [](const char* name, double value) -> Done {
        if (!(value >= 0 && value <= 1))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} {}: must be within 0..1"), name,
                        value);
        return {};
    };
    if (auto ok = share("floor", floor); !ok)
        return ok;
    if (auto ok = share("dark share", dark_share); !ok)
        return ok;
    if (auto ok = share("jump at", jump_at); !ok)
        return ok;
    if (samples < 2 || samples > 100'000)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} samples: must be within 2..100000"),
                    samples);
    return {};
}

Drives levelsBetween(const mix::Mixer& mixer, const Drives& from, const Drives& to, double t) {
    Drives drives = from; // lamps without a channel: their level goes evenly too
    for (std::size_t i = 0; i < drives.size(); ++i)
        drives[i] += t * (to[i] - from[i]);
    for (const light::Channel& c : mixer.mode().channels) {
        if (c.role != light::Role::Part)
            continue;
        if (!c.ranges.empty()) { // a wheel goes through the slots between
            const double v = light::channelValue(c, from[c.part]);
            drives[c.part] = light::driveOf(c, v + t * (light::channelValue(c, to[c.part]) - v));
            continue;
        }
        const double a = c.response.level(from[c.part]);
        const double b = c.response.level(to[c.part]);
        drives[c.part] = c.response.drive(a + t * (b - a));
    }
    return drives;
}

Result<Fade> planFade(const mix::Mixer& mixer, const Drives& from, const Drives& to,
                      const FadeWish& wish) {
    if (auto ok = wish.check(); !ok)
        return passOn(ok.error());
    if (auto ok = wish.mixing.check(mixer.type().partCount()); !ok)
        return passOn(ok.error());
    std::optional<Disc> disc;
    if (auto made = Disc::of(wish.reach.empty() ? mixer.hull() : wish.reach, wish.white))
        disc = *made;
    else if (wish.kind == Kind::Around)
        return passOn(made.error());
    // A dark end has the colour of the other one: nothing is on the way between them.
    const auto uvOf = [&](const Drives& drives, const Uv& otherwise) {
        const Xyz xyz = mixer.xyzOf(drives);
        return colour::hasChromaticity(xyz) ? colour::toUv(xyz) : otherwise;
    };
    const FadePoint first = pointOf(mixer, 0, from, uvOf(to, wish.white));
    const FadePoint last = pointOf(mixer, 1, to, uvOf(from, wish.white));
    const int n = wish.samples;
    const auto time = [&](int i) { return static_cast<double>(i) / (n - 1); };
    Fade fade;
    fade.kind = wish.kind;
    if (wish.kind == Kind::Levels) {
        for (int i = 0; i < n; ++i)
            fade.points.push_back(
                pointOf(mixer, time(i), levelsBetween(mixer, from, to, time(i)), first.uv));
    } else if (wish.kind == Kind::Jump || wish.kind == Kind::Dark) {
        const double down = (1 - wish.dark_share) / 2; // the colour changes while there is no light
        for (int i = 0; i < n; ++i) {
            const double t = time(i);
            const bool before = t < (wish.kind == Kind::Jump ? wish.jump_at : 0.5);
            const FadePoint& end = before ? first : last;
            double y = colour::evenlySeen(first.brightness_cd, last.brightness_cd, t);
            if (wish.kind == Kind::Dark)
                y = colour::evenlySeen(end.brightness_cd, 0,
                                       down > 0 ? std::min(1.0, (before ? t : 1 - t) / down) : 1);
            y = i == 0 ? first.brightness_cd : i == n - 1 ? last.brightness_cd : y;
            const double most = brightestOf(mixer, end.uv, wish.mixing);
            const double scale = end.brightness_cd > 0 ? std::min(y, most) / end.brightness_cd : 0;
            FadePoint p{t, end.uv, 0, scale * end.brightness_cd,
                        scale <= 1 ? mixer.dimmed(end.drives, scale)
                                   : mixer.type().dimmed(end.drives, scale)};
            if (std::any_of(p.drives.begin(), p.drives.end(), [](double d) { return d > 1; }))
                p.drives = follow(mixer, {p.uv, p.brightness_cd}, end.drives, wish.mixing);
            fade.points.push_back(p);
        }
    } else {
        std::vector<Uv> marks{first.uv};
        marks.insert(marks.end(), wish.via.begin(), wish.via.end());
        marks.push_back(last.uv);
        Curve curve = straightWay(marks);
        if (wish.kind == Kind::Around) {
            const auto around = aroundWay(*disc, marks, wish.floor, wish.side, wish.keep_out);
            curve = around.curve;
            fade.ccw = around.ccw;
            fade.in_sector = around.in_sector;
        }
        const auto way = paced(curve, wish.white, n, wish.eased);
        const Most most_of(mixer, way, wish.mixing);
        for (int i = 0; i < n; ++i) {
            const double planned = colour::evenlySeen(first.brightness_cd, last.brightness_cd,
                                                      wish.eased ? eased(time(i)) : time(i));
            const double most = most_of.at(static_cast<std::size_t>(i), planned);
            if (planned > 0)
                fade.reach_dip = std::max(fade.reach_dip, 1 - std::min(1.0, most / planned));
            fade.points.push_back({time(i), way[static_cast<std::size_t>(i)], 0,
                                   std::min(planned, most), Drives(from.size()),
                                   planned > (1 + kCapped) * most});
        }
        std::vector<CalmPoint> points;
        for (const FadePoint& p : fade.points)
            points.push_back({p.uv, p.brightness_cd, p.drives});
        points.front().drives = from;
        points.back().drives = to;
        mixTogether(mixer, points, wish.mixing, Ends::Held,
                    intentAlong(mixer, points, wish.mixing));
        if (mixer.additive())
            evenOut(mixer, points, kSeen * 100 / (n - 1), wish.mixing);
        for (std::size_t i = 0; i < points.size(); ++i) {
            fade.points[i].drives = points[i].drives;
            if (!mixer.additive()) // flags may give a little less than was thought
                fade.points[i].brightness_cd =
                    std::min(fade.points[i].brightness_cd, mixer.xyzOf(points[i].drives).Y);
        }
    }
    measure(disc, fade);
    return fade;
}

FadeWish fadeWish(const StopWay& way, const Uv& white, const colour::Polygon& reach) {
    FadeWish wish;
    wish.kind = way.kind;
    wish.floor = way.floor;
    wish.side = way.side;
    for (Uv via : way.via) {
        via.v = std::max(via.v, 0.01);
        wish.via.push_back(!reach.hasInside() ? via : mix::intoReach(reach, via));
    }
    wish.keep_out = way.keep_out;
    wish.jump_at = way.jump_at;
    wish.dark_share = way.dark_share;
    wish.eased = way.eased;
    wish.white = white;
    return wish;
}

Result<Fade> planAsNeeded(const mix::Mixer& mixer, const Drives& from, const Drives& to,
                          FadeWish wish) {
    constexpr double kStraightDip = 0.35; // of saturation: more is seen as white
    wish.kind = Kind::Straight;
    wish.floor = 0.8;
    auto straight = planFade(mixer, from, to, wish);
    if (!straight || straight->white_dip <= kStraightDip)
        return straight;
    wish.kind = Kind::Around;
    auto around = planFade(mixer, from, to, wish);
    return around ? std::move(around) : std::move(straight);
}

std::vector<double> mostAlong(const mix::Mixer& mixer, const Fade& fade,
                              const mix::MixWish& mixing) {
    std::vector<double> most;
    for (const FadePoint& p : fade.points)
        most.push_back(std::max(p.brightness_cd, brightestOf(mixer, p.uv, mixing)));
    return most;
}

std::optional<double> calmBrightness(const mix::Mixer& mixer, const Drives& from, const Drives& to,
                                     const FadeWish& wish) {
    constexpr double kLeast = 0.1;
    constexpr double kNear = 0.02; // of brightness: near enough
    const auto calm = [&](double share) {
        const auto fade = planFade(mixer, mixer.dimmed(from, share), mixer.dimmed(to, share), wish);
        return fade && fade->largest_step <= kCalmStep;
    };
    if (calm(1))
        return 1;
    if (!calm(kLeast))
        return std::nullopt;
    double low = kLeast;
    double high = 1;
    while (high - low > kNear) {
        const double middle = (low + high) / 2;
        (calm(middle) ? low : high) = middle;
    }
    return low;
}

} // namespace zelo::route
