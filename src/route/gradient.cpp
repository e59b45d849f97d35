// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/gradient.h"

#include "base/text.h"
#include "colour/oklab.h"

#include <algorithm>
#include <cmath>
#include <random>
#include <set>

namespace zelo::route {

using colour::Oklab;
using colour::Uv;

namespace {

constexpr int kFine = 2000; // points along one part when places are looked for

struct Path { // a polyline, with its points in Oklab
    std::vector<Uv> uv;
    std::vector<Oklab> lab;
};

Oklab labAt(const Path& path, double x) {
    const auto i = std::min(static_cast<std::size_t>(x), path.lab.size() - 2);
    const double part = x - static_cast<double>(i);
    const Oklab& a = path.lab[i];
    const Oklab& b = path.lab[i + 1];
    return {a.L + part * (b.L - a.L), a.a + part * (b.a - a.a), a.b + part * (b.b - a.b)};
}

// `count` places from end to end with equal chords. Evenly along the arc first; then each place
// moves to where its two neighbours are equally far, over and over, until all chords are alike.
std::vector<double> evenPlaces(const Path& path, int count) {
    const auto n = static_cast<std::size_t>(count);
    std::vector<double> places(n, 0.0);
    if (n == 1)
        return places;
    std::vector<double> gone{0};
    for (std::size_t i = 1; i < path.lab.size(); ++i)
        gone.push_back(gone.back() + distance(path.lab[i], path.lab[i - 1]));
    for (std::size_t k = 0; k < n; ++k) {
        const double want = gone.back() * static_cast<double>(k) / static_cast<double>(n - 1);
        const auto next = std::lower_bound(gone.begin(), gone.end(), want) - gone.begin();
        places[k] = static_cast<double>(
            std::min<std::ptrdiff_t>(next, static_cast<std::ptrdiff_t>(gone.size()) - 1));
    }
    places.back() = static_cast<double>(path.lab.size() - 1);
    constexpr int kMostSweeps = 2000;
    constexpr double kAlike = 0.98; // smallest / largest chord
    for (int sweep = 0; sweep < kMostSweeps; ++sweep) {
        double least = HUGE_VAL;
        double most = 0;
        for (std::size_t k = 1; k < n; ++k) {
            const double chord = distance(labAt(path, places[k - 1]), labAt(path, places[k]));
            least = std::min(least, chord);
            most = std::max(most, chord);
        }
        if (least >= kAlike * most || n == 2)
            break;
        for (std::size_t k = 1; k + 1 < n; ++k) {
            const Oklab before = labAt(path, places[k - 1]);
            const Oklab after = labAt(path, places[k + 1]);
            double low = places[k - 1];
            double high = places[k + 1];
            for (int step = 0; step < 24; ++step) {
                const double mid = (low + high) / 2;
                const Oklab here = labAt(path, mid);
                (distance(before, here) < distance(here, after) ? low : high) = mid;
            }
            // A step further than the balance: a long row settles in far fewer sweeps.
            const double to = places[k] + 1.5 * (low - places[k]);
            places[k] = std::clamp(to, places[k - 1], places[k + 1]);
        }
    }
    return places;
}

Uv pointAt(const Path& path, double x) {
    const auto i = std::min(static_cast<std::size_t>(x), path.uv.size() - 2);
    return path.uv[i] + (x - static_cast<double>(i)) * (path.uv[i + 1] - path.uv[i]);
}

} // namespace

Result<Arrangement> parseArrangement(std::string_view text) {
    Arrangement a;
    const std::string_view whole = text;
    if (const auto plus = text.find('+'); plus != std::string_view::npos) {
        const auto offset = toNumber(text.substr(plus + 1));
        if (!offset || *offset < 0 || *offset > 1)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "'{}': the offset behind + must be within 0..1"), whole);
        a.offset = *offset;
        text = text.substr(0, plus);
    }
    const auto parts = split(text, ':');
    constexpr std::pair<const char*, Arrange> kNames[] = {
        {"forward", Arrange::Forward},        {"reverse", Arrange::Reverse},
        {"from-middle", Arrange::FromMiddle}, {"to-middle", Arrange::ToMiddle},
        {"mirrored", Arrange::Mirrored},      {"shuffled", Arrange::Shuffled},
        {"blocks", Arrange::Blocks},          {"repeated", Arrange::Repeated}};
    const auto known = std::find_if(std::begin(kNames), std::end(kNames),
                                    [&](const auto& n) { return parts[0] == n.first; });
    const bool said = parts.size() == 2;
    const bool number = said && toInteger(parts[1]).has_value();
    const int n = number ? toInteger(parts[1]).value_or(0) : 0;
    if (known == std::end(kNames) || parts.size() > 2 || (said && !number))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core",
                              "'{}': expected forward, reverse, from-middle, to-middle, mirrored, "
                              "shuffled[:SEED], blocks:N or repeated:N"),
                    whole);
    a.kind = known->second;
    const bool counted = a.kind == Arrange::Blocks || a.kind == Arrange::Repeated;
    if (counted && n < 1)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': needs a number of 1 or more"),
                    whole);
    if (counted)
        a.n = n;
    else if (number && a.kind == Arrange::Shuffled)
        a.seed = static_cast<std::uint32_t>(n);
    else if (number)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': takes no number"), whole);
    return a;
}

std::vector<double> arranged(int lamps, const Arrangement& a) {
    std::vector<double> places;
    const double last = std::max(1, lamps - 1);
    const double half = (lamps - 1) / 2.0;
    for (int i = 0; i < lamps; ++i) {
        const double out = half > 0 ? std::abs(i - half) : 0; // from the middle
        const double least = lamps % 2 ? 0 : 0.5;
        const double from_middle = half > least ? (out - least) / (half - least) : 0;
        switch (a.kind) {
        case Arrange::Forward:
        case Arrange::Shuffled:
            places.push_back(i / last);
            break;
        case Arrange::Reverse:
            places.push_back((lamps - 1 - i) / last);
            break;
        case Arrange::FromMiddle:
            places.push_back(from_middle);
            break;
        case Arrange::ToMiddle:
        case Arrange::Mirrored:
            places.push_back(1 - from_middle);
            break;
        case Arrange::Blocks: {
            const int blocks = (lamps + a.n - 1) / a.n;
            const int block = i / a.n;
            places.push_back(blocks > 1 ? block / (blocks - 1.0) : 0);
            break;
        }
        case Arrange::Repeated: {
            const int size = std::max(1, (lamps + a.n - 1) / a.n);
            places.push_back(size > 1 ? static_cast<double>(i % size) / (size - 1) : 0);
            break;
        }
        }
    }
    if (a.kind == Arrange::Shuffled) {
        std::mt19937 random(a.seed);
        for (std::size_t i = places.size(); i > 1; --i) // std::shuffle differs between libraries
            std::swap(places[i - 1], places[random() % i]);
    }
    const auto turned =
        static_cast<std::ptrdiff_t>(std::lround(a.offset * lamps)) % std::max(1, lamps);
    std::rotate(places.rbegin(), places.rbegin() + turned, places.rend());
    return places;
}

Result<Gradient> spread(const std::vector<Uv>& reach, const std::vector<Stop>& stops, int lamps,
                        const GradientWish& wish, const Arrangement& arrangement) {
    if (stops.size() < 2)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} stops: a gradient needs at least two"), stops.size());
    if (lamps < 1 || lamps > 100'000)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} lamps: must be within 1..100000"),
                    lamps);
    if (wish.way != Kind::Straight && wish.way != Kind::Around)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "a gradient goes straight or around, not by {}"),
                    nameOf(wish.way));
    std::vector<double> at; // of each stop; those between without a place are spread evenly
    bool by_hand = false;
    double last = 0;
    for (std::size_t i = 0; i < stops.size(); ++i) {
        const double even = static_cast<double>(i) / (static_cast<double>(stops.size()) - 1);
        const double here = stops[i].position.value_or(even);
        if (!(here >= 0 && here <= 1) || (i > 0 && here <= last))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "stop {} at {}: positions must grow within 0..1"), i + 1,
                        here);
        by_hand |= stops[i].position.has_value() && i > 0 && i + 1 < stops.size();
        at.push_back(here);
        last = here;
    }
    std::optional<Disc> disc;
    if (wish.way == Kind::Around) {
        auto made = Disc::of(reach, wish.white);
        if (!made)
            return passOn(made.error());
        disc = *made;
    }
    const colour::OklabSpace space(colour::toXyz(wish.white));
    std::vector<Path> parts;
    for (std::size_t i = 0; i + 1 < stops.size(); ++i) {
        const Curve curve =
            disc ? aroundWay(*disc, stops[i].uv, stops[i + 1].uv, wish.floor, wish.side).curve
                 : straightWay(stops[i].uv, stops[i + 1].uv);
        Path path;
        for (int k = 0; k <= kFine; ++k) {
            path.uv.push_back(curve(static_cast<double>(k) / kFine));
            path.lab.push_back(space.from(colour::toXyz(path.uv.back())));
        }
        parts.push_back(std::move(path));
    }
    Gradient g;
    g.positions = arranged(lamps, arrangement);
    const std::set<double> distinct(g.positions.begin(), g.positions.end());
    const std::vector<double> places(distinct.begin(), distinct.end());
    std::vector<Uv> colours;
    if (!by_hand) { // one path through all stops
        Path whole;
        for (const Path& p : parts) {
            whole.uv.insert(whole.uv.end(), p.uv.begin() + (whole.uv.empty() ? 0 : 1), p.uv.end());
            whole.lab.insert(whole.lab.end(), p.lab.begin() + (whole.lab.empty() ? 0 : 1),
                             p.lab.end());
        }
        for (const double x : evenPlaces(whole, static_cast<int>(places.size())))
            colours.push_back(pointAt(whole, x));
    } else { // each part keeps its stops; even steps within it
        for (const double place : places) {
            std::size_t part = 0;
            while (part + 2 < at.size() && place > at[part + 1])
                ++part;
            const double local =
                std::clamp((place - at[part]) / (at[part + 1] - at[part]), 0.0, 1.0);
            double length = 0;
            const Path& path = parts[part];
            std::vector<double> gone{0};
            for (std::size_t i = 1; i < path.lab.size(); ++i)
                gone.push_back(length += distance(path.lab[i], path.lab[i - 1]));
            const auto next = std::lower_bound(gone.begin(), gone.end(), local * length);
            const auto i = std::max<std::ptrdiff_t>(1, next - gone.begin());
            const double span =
                gone[static_cast<std::size_t>(i)] - gone[static_cast<std::size_t>(i - 1)];
            const double share =
                span > 0 ? (local * length - gone[static_cast<std::size_t>(i - 1)]) / span : 0;
            colours.push_back(pointAt(path, static_cast<double>(i - 1) + share));
        }
    }
    double least = HUGE_VAL;
    double most = 0;
    for (std::size_t i = 1; i < colours.size(); ++i) {
        const double step = distance(space.from(colour::toXyz(colours[i])),
                                     space.from(colour::toXyz(colours[i - 1])));
        least = std::min(least, step);
        most = std::max(most, step);
    }
    g.evenness = most > 0 ? least / most : 1;
    for (const double p : g.positions)
        g.lamps.push_back(colours[static_cast<std::size_t>(
            std::lower_bound(places.begin(), places.end(), p) - places.begin())]);
    return g;
}

} // namespace zelo::route
