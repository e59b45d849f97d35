// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/arrangement.h"

#include "base/text.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>
#include <random>

namespace zelo::route {

namespace {

constexpr double kDegree = std::numbers::pi / 180;

Result<Arrangement> unknown(std::string_view text) {
    return fail(ErrorCode::BadValue,
                ZELO_TEXT("core",
                          "'{}': expected forward, reverse, from-middle, to-middle, "
                          "to-and-fro[:PASSES], shuffled[:SEED], mirrored, blocks:N or repeated:N, "
                          "with commas between"),
                text);
}

// There and back, so many times over 0..1.
double zigzag(double x, int passes) {
    const double at = x * passes;
    const double whole = std::min(std::floor(at), passes - 1.0);
    const double part = at - whole;
    return static_cast<long>(whole) % 2 ? 1 - part : part;
}

// std::shuffle differs between libraries.
template <class T>
void shuffle(std::vector<T>& all, std::uint32_t seed) {
    std::mt19937 random(seed);
    for (std::size_t i = all.size(); i > 1; --i)
        std::swap(all[i - 1], all[random() % i]);
}

// Of `count` things in a row, when each is walked to: the middle first, the right of two first.
std::vector<int> fromMiddle(int count) {
    std::vector<int> when(static_cast<std::size_t>(count));
    int left = (count - 1) / 2;
    int right = left + 1;
    for (int k = 0; k < count; ++k) {
        const bool go_left = right >= count || (left >= 0 && k % 2 == 0);
        when[static_cast<std::size_t>(go_left ? left-- : right++)] = k;
    }
    return when;
}

// Places of `count` things in a row, each the whole gradient.
std::vector<double> ordered(int count, const Arrangement& a, std::uint32_t seed) {
    std::vector<double> places(static_cast<std::size_t>(count), 0.0);
    if (count < 2)
        return places;
    const double last = count - 1;
    const auto middle = fromMiddle(count);
    for (int i = 0; i < count; ++i) {
        const auto k = static_cast<std::size_t>(i);
        switch (a.order) {
        case Order::Forward:
        case Order::Shuffled:
            places[k] = i / last;
            break;
        case Order::Reverse:
            places[k] = (last - i) / last;
            break;
        case Order::FromMiddle:
            places[k] = middle[k] / last;
            break;
        case Order::ToMiddle:
            places[k] = (last - middle[k]) / last;
            break;
        case Order::ToAndFro:
            places[k] = zigzag(i / last, a.passes);
            break;
        }
    }
    if (a.order == Order::Shuffled)
        shuffle(places, seed);
    return places;
}

} // namespace

Result<Arrangement> parseArrangement(std::string_view text) {
    Arrangement a;
    const std::string_view whole = text;
    if (const auto plus = text.find('+'); plus != std::string_view::npos) {
        const auto offset = toNumber(text.substr(plus + 1));
        if (!offset || !(*offset >= 0 && *offset <= 1))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "'{}': the offset behind + must be within 0..1"), whole);
        a.offset = *offset;
        text = text.substr(0, plus);
    }
    constexpr std::pair<const char*, Order> kOrders[] = {
        {"forward", Order::Forward},        {"reverse", Order::Reverse},
        {"from-middle", Order::FromMiddle}, {"to-middle", Order::ToMiddle},
        {"to-and-fro", Order::ToAndFro},    {"shuffled", Order::Shuffled}};
    for (const auto& word : split(text, ',')) {
        const auto parts = split(word, ':');
        const auto order = std::find_if(std::begin(kOrders), std::end(kOrders),
                                        [&](const auto& o) { return parts[0] == o.first; });
        const bool many = parts[0] == "blocks" || parts[0] == "repeated";
        const bool counts =
            many || (order != std::end(kOrders) &&
                     (order->second == Order::ToAndFro || order->second == Order::Shuffled));
        if ((order == std::end(kOrders) && !many && parts[0] != "mirrored") || parts.size() > 2)
            return unknown(whole);
        if (!counts && parts.size() == 2)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': takes no number"), word);
        const int number = parts.size() == 2 ? toInteger(parts[1]).value_or(0) : 0;
        if (counts && (many || parts.size() == 2) && !(number >= 1 && number <= kMostLaid))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': needs a number from 1 to {}"),
                        word, kMostLaid);
        if (order != std::end(kOrders))
            a.order = order->second;
        if (parts[0] == "mirrored")
            a.mirrored = true;
        else if (parts[0] == "blocks")
            a.block = number;
        else if (parts[0] == "repeated")
            a.repeats = number;
        else if (number > 0 && a.order == Order::ToAndFro)
            a.passes = number;
        else if (number > 0)
            a.seed = static_cast<std::uint32_t>(number);
    }
    return a;
}

std::vector<double> arranged(int lamps, const Arrangement& a) {
    const int units = (lamps + a.block - 1) / std::max(1, a.block);
    const int repeats = std::clamp(a.repeats, 1, std::max(1, units));
    std::vector<double> of_unit;
    for (int r = 0; r < repeats; ++r) { // as equal as they can be
        const auto first = static_cast<long>(units) * r / repeats;
        const int size = static_cast<int>(static_cast<long>(units) * (r + 1) / repeats - first);
        const int half = a.mirrored ? (size + 1) / 2 : size;
        const auto places = ordered(half, a, a.seed + static_cast<std::uint32_t>(r));
        for (int i = 0; i < size; ++i)
            of_unit.push_back(places[static_cast<std::size_t>(i < half ? i : size - 1 - i)]);
    }
    std::vector<double> all;
    for (int i = 0; i < lamps; ++i)
        all.push_back(of_unit[static_cast<std::size_t>(i / a.block)]);
    if (lamps > 0)
        std::rotate(all.rbegin(), all.rbegin() + std::lround(a.offset * lamps) % lamps, all.rend());
    return all;
}

namespace {

// From the first, 0, to the last, 1.
std::vector<double> scaled(std::vector<double> far) {
    if (far.empty())
        return far;
    const auto [least, most] = std::minmax_element(far.begin(), far.end());
    const double from = *least;
    const double span = *most - from;
    for (double& f : far)
        f = span > 0 ? (f - from) / span : 0;
    return far;
}

} // namespace

std::vector<double> alongLine(const std::vector<Place>& places, double direction_deg) {
    std::vector<double> far;
    for (const Place& p : places)
        far.push_back(p.x_m * std::cos(direction_deg * kDegree) +
                      p.y_m * std::sin(direction_deg * kDegree));
    return scaled(std::move(far));
}

std::vector<double> awayFrom(const std::vector<Place>& places, const Place& centre) {
    std::vector<double> far;
    for (const Place& p : places)
        far.push_back(std::hypot(p.x_m - centre.x_m, p.y_m - centre.y_m));
    return scaled(std::move(far));
}

std::vector<double> arranged(const std::vector<double>& along, const Arrangement& a) {
    std::vector<double> all = along;
    if (a.order == Order::Shuffled)
        shuffle(all, a.seed);
    for (double& x : all) {
        if (a.block > 1) {
            const double stretch = std::min(std::floor(x * a.block), a.block - 1.0);
            x = stretch / (a.block - 1);
        }
        if (a.offset > 0 && a.offset < 1)
            x = x - a.offset < 0 ? x - a.offset + 1 : x - a.offset;
        if (a.repeats > 1) {
            const double turn = std::min(std::floor(x * a.repeats), a.repeats - 1.0);
            x = x * a.repeats - turn;
        }
        if (a.mirrored)
            x = 1 - std::abs(2 * x - 1);
        switch (a.order) {
        case Order::Reverse:
            x = 1 - x;
            break;
        case Order::FromMiddle:
            x = std::abs(2 * x - 1);
            break;
        case Order::ToMiddle:
            x = 1 - std::abs(2 * x - 1);
            break;
        case Order::ToAndFro:
            x = zigzag(x, a.passes);
            break;
        case Order::Forward:
        case Order::Shuffled:
            break;
        }
    }
    return all;
}

} // namespace zelo::route
