// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/gradient.h"

#include "colour/oklab.h"

#include <algorithm>
#include <cmath>

namespace zelo::route {

using colour::Oklab;
using colour::Uv;

namespace {

constexpr double kNoWay2 = 1e-12; // between equal ends: its length, squared
constexpr int kFinest = 4000;
constexpr int kFine = 400; // points along one way, at least

// Positions of all stops, and which of them stand by hand.
struct Standing {
    std::vector<double> at;
    std::vector<char> by_hand;
};

Result<Standing> standing(const std::vector<std::optional<double>>& positions) {
    const std::size_t n = positions.size();
    Standing all{std::vector<double>(n), std::vector<char>(n, 0)};
    std::size_t before = 0; // the last one that stands
    double last = 0;
    for (std::size_t i = 0; i < n; ++i) {
        const auto& placed = positions[i];
        if (!placed && i != 0 && i + 1 != n)
            continue;
        const double here = placed.value_or(i == 0 ? 0 : 1);
        if (!(here >= 0 && here <= 1))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "stop {} at {}: must be within 0..1"), i + 1, here);
        if (i > 0 && !(here > last))
            return placed ? fail(ErrorCode::BadValue,
                                 ZELO_TEXT("core", "stop {} at {}: must lie behind the stop at {}"),
                                 i + 1, here, last)
                          : fail(ErrorCode::BadValue,
                                 ZELO_TEXT("core",
                                           "a stop at {} leaves no room for the stops behind it"),
                                 last);
        for (std::size_t k = before + 1; k < i; ++k)
            all.at[k] = last + (here - last) * static_cast<double>(k - before) /
                                   static_cast<double>(i - before);
        all.at[i] = here;
        all.by_hand[i] = placed.has_value();
        before = i;
        last = here;
    }
    return all;
}

// The colours between two stops that stand, through those that do not.
struct Stretch {
    double from, to; // positions
    std::vector<Uv> uv;
    std::vector<Oklab> lab;
    std::vector<double> at; // of each point, 0..1 of the stretch
    bool jumps = false;

    Oklab labAt(double x) const {
        const auto i = std::min(static_cast<std::size_t>(x), lab.size() - 2);
        const double part = x - static_cast<double>(i);
        const Oklab& a = lab[i];
        const Oklab& b = lab[i + 1];
        return {a.L + part * (b.L - a.L), a.a + part * (b.a - a.a), a.b + part * (b.b - a.b)};
    }
    Uv uvAt(double x) const {
        const auto i = std::min(static_cast<std::size_t>(x), uv.size() - 2);
        return uv[i] + (x - static_cast<double>(i)) * (uv[i + 1] - uv[i]);
    }
};

// The first place behind `x` that is `chord` away from there; the end when none is.
double stepFrom(const Stretch& s, double x, double chord) {
    const Oklab here = s.labAt(x);
    auto i = static_cast<std::size_t>(x) + 1;
    while (i < s.lab.size() && distance(s.lab[i], here) < chord)
        ++i;
    if (i >= s.lab.size())
        return static_cast<double>(s.lab.size() - 1);
    // Where the line to point i leaves the ball about `here`.
    const double low = std::max(x, static_cast<double>(i - 1));
    const Oklab from = s.labAt(low);
    const Oklab& to = s.lab[i];
    const Oklab out{from.L - here.L, from.a - here.a, from.b - here.b};
    const Oklab on{to.L - from.L, to.a - from.a, to.b - from.b};
    const double on_on = on.L * on.L + on.a * on.a + on.b * on.b;
    const double out_on = out.L * on.L + out.a * on.a + out.b * on.b;
    const double missing = chord * chord - (out.L * out.L + out.a * out.a + out.b * out.b);
    if (!(on_on > 0))
        return static_cast<double>(i);
    const double part =
        (std::sqrt(std::max(0.0, out_on * out_on + on_on * missing)) - out_on) / on_on;
    return low + std::clamp(part, 0.0, 1.0) * (static_cast<double>(i) - low);
}

// Where along low..high, which lie beside one another, the way to `before` is to the way to `after`
// as `gap_before` is to `gap_after`.
double balanced(const Stretch& s, double low, double high, double gap_before, double gap_after) {
    constexpr double kClose = 1e-4; // of a step
    const Oklab before = s.labAt(low);
    const Oklab after = s.labAt(high);
    const double close = kClose * (high - low);
    const auto over = [&](double x) {
        const Oklab here = s.labAt(x);
        return distance(before, here) * gap_after - distance(here, after) * gap_before;
    };
    double f_low = -distance(before, after) * gap_before;
    double f_high = distance(before, after) * gap_after;
    int side = 0;
    for (int k = 0; k < 20 && high - low > close && f_high > f_low; ++k) { // Illinois
        const double x = (low * f_high - high * f_low) / (f_high - f_low);
        const double f = over(x);
        if (std::abs(f) <= kClose * std::max(f_high, -f_low))
            return x;
        (f < 0 ? low : high) = x;
        (f < 0 ? f_low : f_high) = f;
        if (const int now = f < 0 ? -1 : 1; std::exchange(side, now) == now)
            (f < 0 ? f_high : f_low) /= 2;
    }
    return (low + high) / 2;
}

// Smallest / largest chord for its gap, of places that begin at 0; the last gap leads to the end.
double alike(const Stretch& s, const std::vector<double>& at, const std::vector<double>& gaps) {
    double least = HUGE_VAL;
    double most = 0;
    for (std::size_t k = 0; k < gaps.size(); ++k) {
        const Oklab to = k + 1 < at.size() ? s.labAt(at[k + 1]) : s.lab.back();
        const double per = distance(s.labAt(at[k]), to) / gaps[k];
        least = std::min(least, per);
        most = std::max(most, per);
    }
    return most > 0 ? least / most : 1;
}

// At a sharp corner a step can jump, and what is over comes out at the end: each place moves to
// where its two neighbours are as far as their gaps say, over and over.
void evenOut(const Stretch& s, const std::vector<double>& gaps, std::vector<double>& at) {
    constexpr double kAlike = 0.985;
    const std::size_t sweeps = 60'000 / (at.size() + 10); // bounded in time
    std::vector<double> best = at;
    double best_alike = alike(s, at, gaps);
    for (std::size_t sweep = 0; sweep < sweeps && best_alike < kAlike; ++sweep) {
        // A step further than the balance: a long row settles in far fewer sweeps. Where that
        // swings to and fro about a corner, smaller ones come to rest.
        const double far = sweep < sweeps / 3 ? 1.5 : sweep < 2 * sweeps / 3 ? 1 : 0.4;
        for (std::size_t k = 1; k < at.size(); ++k) {
            const double next =
                k + 1 < at.size() ? at[k + 1] : static_cast<double>(s.lab.size() - 1);
            const double low = balanced(s, at[k - 1], next, gaps[k - 1], gaps[k]);
            at[k] = std::clamp(at[k] + far * (low - at[k]), at[k - 1], next);
        }
        if (const double now = alike(s, at, gaps); now > best_alike) {
            best_alike = now;
            best = at;
        }
    }
    at = best;
}

// Where along the stretch the places lie, whose gaps are `gaps` (from its beginning to its end): so
// that each chord is as long as its gap. The length of a chord for all the gap there is is found by
// halving: with one too long the end comes too early.
std::vector<double> evenPlaces(const Stretch& s, const std::vector<double>& gaps) {
    const auto walk = [&](double chord) {
        std::vector<double> at{0};
        for (std::size_t k = 0; k + 1 < gaps.size(); ++k)
            at.push_back(stepFrom(s, at.back(), chord * gaps[k]));
        return at;
    };
    double arc = 0;
    for (std::size_t i = 1; i < s.lab.size(); ++i)
        arc += distance(s.lab[i], s.lab[i - 1]);
    double low = 0;
    double high = 1.0001 * arc + 1e-12;
    for (int k = 0; k < 45; ++k) {
        const double mid = (low + high) / 2;
        const auto at = walk(mid);
        (distance(s.labAt(at.back()), s.lab.back()) > mid * gaps.back() ? low : high) = mid;
    }
    auto at = walk(low);
    evenOut(s, gaps, at);
    return at;
}

} // namespace

Result<Gradient> spread(const colour::Polygon& reach, const std::vector<Stop>& stops,
                        const std::vector<double>& places, const GradientWish& wish) {
    if (stops.size() < 2)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} stops: a gradient needs at least two"), stops.size());
    if (!wish.ways.empty() && wish.ways.size() + 1 != stops.size())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} ways between {} stops: must be {}"),
                    wish.ways.size(), stops.size(), stops.size() - 1);
    for (const double p : places)
        if (!(p >= 0 && p <= 1))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "place {}: must be within 0..1"), p);
    std::vector<std::optional<double>> positions;
    for (const Stop& stop : stops)
        positions.push_back(stop.position);
    const auto stand = standing(positions);
    if (!stand)
        return passOn(stand.error());
    const auto wayOf = [&](std::size_t i) -> const StopWay& {
        return wish.ways.empty() ? wish.way : wish.ways[i];
    };
    std::optional<Disc> disc;
    for (std::size_t i = 0; i + 1 < stops.size(); ++i) {
        const Kind kind = wayOf(i).kind;
        if (kind == Kind::Levels && !wish.levels)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "levels are another way on each fixture type: expected "
                                          "straight, around, dark or jump"));
        if (kind != Kind::Around || disc)
            continue;
        auto made = Disc::of(reach, wish.white);
        if (!made)
            return passOn(made.error());
        disc = *made;
    }
    const colour::OklabSpace space(colour::toXyz(wish.white));
    const int fine = std::clamp(2 * static_cast<int>(places.size()), kFine, kFinest);
    std::vector<Stretch> stretches;
    for (std::size_t i = 0; i + 1 < stops.size(); ++i) {
        const StopWay& way = wayOf(i);
        const bool jumps = way.kind == Kind::Jump || way.kind == Kind::Dark;
        if (i == 0 || stand->by_hand[i] || jumps || stretches.back().jumps)
            stretches.push_back({stand->at[i], 0, {}, {}, {}, jumps});
        Stretch& s = stretches.back();
        s.to = stand->at[i + 1];
        std::vector<Uv> through{stops[i].uv};
        through.insert(through.end(), way.via.begin(), way.via.end());
        through.push_back(stops[i + 1].uv);
        const Curve curve =
            jumps ? Curve([&](double x) { return x < way.jump_at ? stops[i].uv : stops[i + 1].uv; })
            : way.kind == Kind::Levels ? wish.levels(i)
            : way.kind == Kind::Around
                ? aroundWay(*disc, through, way.floor, way.side, way.keep_out).curve
                : straightWay(through);
        for (int k = s.uv.empty() ? 0 : 1; k <= fine; ++k) {
            const double x = static_cast<double>(k) / fine;
            const bool end = k == fine && way.kind != Kind::Around; // exactly
            s.uv.push_back(end ? stops[i + 1].uv : curve(x));
            s.lab.push_back(space.from(colour::toXyz(s.uv.back())));
            s.at.push_back(stand->at[i] + x * (stand->at[i + 1] - stand->at[i]));
        }
    }
    // Every place once, in order.
    std::vector<double> distinct = places;
    std::sort(distinct.begin(), distinct.end());
    distinct.erase(std::unique(distinct.begin(), distinct.end()), distinct.end());
    std::vector<Uv> colours(distinct.size());
    for (std::size_t k = 0; k < distinct.size(); ++k)
        colours[k] = distinct[k] < stand->at.front() ? stops.front().uv : stops.back().uv;
    for (const Stretch& s : stretches) {
        const auto first = std::lower_bound(distinct.begin(), distinct.end(), s.from);
        const auto last = std::upper_bound(first, distinct.end(), s.to);
        const auto index = static_cast<std::size_t>(first - distinct.begin());
        std::vector<double> gaps; // as shares of the stretch
        double before = s.from;
        for (auto it = first; it != last; ++it)
            gaps.push_back((*it - std::exchange(before, *it)) / (s.to - s.from));
        gaps.push_back((s.to - before) / (s.to - s.from));
        const bool to_the_eye = wish.even == Even::ToTheEye && !s.jumps;
        // Gaps of nothing, where a stop stands on a place, are no steps.
        std::vector<double> at;
        if (to_the_eye) {
            std::vector<double> open;
            std::copy_if(gaps.begin(), gaps.end(), std::back_inserter(open),
                         [](double g) { return g > 1e-12; });
            if (open.size() > 1)
                at = evenPlaces(s, open);
        }
        std::size_t walked = 0;
        for (std::size_t k = 0; first + static_cast<std::ptrdiff_t>(k) != last; ++k) {
            const double place = distinct[index + k];
            if (place <= s.from)
                colours[index + k] = s.uv.front();
            else if (place >= s.to)
                colours[index + k] = s.uv.back();
            else if (to_the_eye)
                colours[index + k] = s.uvAt(at[++walked]);
            else {
                const auto next = std::upper_bound(s.at.begin(), s.at.end(), place) - s.at.begin();
                const auto i = static_cast<std::size_t>(std::max<std::ptrdiff_t>(1, next) - 1);
                const double span = s.at[i + 1] - s.at[i];
                colours[index + k] = s.uvAt(static_cast<double>(i) + (place - s.at[i]) / span);
            }
        }
    }
    Gradient g;
    g.at = stand->at;
    std::vector<Oklab> seen;
    for (const Uv& uv : colours)
        seen.push_back(space.from(colour::toXyz(uv)));
    for (std::size_t k = 1; k < seen.size(); ++k)
        g.steps.push_back(100 * distance(seen[k], seen[k - 1]));
    for (const Stretch& s : stretches) { // steps that lie within it
        double least = HUGE_VAL;
        double most = 0;
        for (std::size_t k = 1; k < distinct.size(); ++k)
            if (!s.jumps && distinct[k - 1] >= s.from - 1e-12 && distinct[k] <= s.to + 1e-12) {
                const double per = g.steps[k - 1] / (distinct[k] - distinct[k - 1]);
                least = std::min(least, per);
                most = std::max(most, per);
            }
        if (most > 0)
            g.evenness = std::min(g.evenness, least / most);
    }
    for (const double p : places)
        g.colours.push_back(colours[static_cast<std::size_t>(
            std::lower_bound(distinct.begin(), distinct.end(), p) - distinct.begin())]);
    return g;
}

double lightAt(const std::vector<double>& at, const std::vector<StopWay>& ways, double place) {
    for (std::size_t i = 0; i + 1 < at.size() && i < ways.size(); ++i) {
        if (ways[i].kind != Kind::Dark || place < at[i] || place > at[i + 1])
            continue;
        const double x = (place - at[i]) / (at[i + 1] - at[i]);
        const double dark = std::clamp(ways[i].jump_at, 1e-6, 1 - 1e-6);
        const double left = x < dark ? 1 - x / dark : (x - dark) / (1 - dark);
        return left * left * left;
    }
    return 1;
}

StopWay loosened(const StopWay& way, const Uv& from, const Uv& to) {
    StopWay loose = way;
    const Uv along = to - from;
    const double size = dot(along, along);
    if (!(size > kNoWay2))
        loose.via.clear();
    for (Uv& via : loose.via) {
        const Uv off = via - from;
        via = {dot(off, along) / size, (along.u * off.v - along.v * off.u) / size};
    }
    return loose;
}

StopWay fitted(const StopWay& loose, const Uv& from, const Uv& to) {
    StopWay way = loose;
    const Uv along = to - from;
    if (!(dot(along, along) > kNoWay2))
        way.via.clear();
    for (Uv& via : way.via)
        via = from + Uv{via.u * along.u - via.v * along.v, via.u * along.v + via.v * along.u};
    return way;
}

StopWay ledBack(const StopWay& way) {
    StopWay back = way;
    back.side = way.side == Side::Ccw ? Side::Cw : way.side == Side::Cw ? Side::Ccw : way.side;
    back.jump_at = 1 - way.jump_at;
    std::reverse(back.via.begin(), back.via.end());
    return back;
}

StopWay turnedRound(const StopWay& loose) {
    StopWay way = ledBack(loose);
    for (Uv& via : way.via)
        via = {1 - via.u, -via.v};
    return way;
}

Result<std::vector<double>> standingAt(const std::vector<std::optional<double>>& positions) {
    auto all = standing(positions);
    if (!all)
        return passOn(all.error());
    return std::move(all->at);
}

} // namespace zelo::route
