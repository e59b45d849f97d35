// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/planned.h"

#include "route/fade.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

namespace {

constexpr double kSame = 1e-9;        // of drives
constexpr double kStraightDip = 0.35; // of saturation: more is seen as white
constexpr double kAroundFloor = 0.8;
constexpr std::size_t kMostKnown = 20'000;

bool same(std::span<const double> a, const double* b) {
    for (std::size_t i = 0; i < a.size(); ++i)
        if (!(std::abs(a[i] - b[i]) <= kSame))
            return false;
    return true;
}

PlannedPtr planned(const mix::Mixer& mixer, const light::Drives& from, const light::Drives& to,
                   const colour::Uv& white) {
    if (!mixer.additive() || !colour::hasChromaticity(mixer.xyzOf(from)) ||
        !colour::hasChromaticity(mixer.xyzOf(to)))
        return nullptr;
    route::FadeWish wish;
    wish.kind = route::Kind::Straight;
    wish.floor = kAroundFloor;
    wish.white = white;
    auto fade = route::planFade(mixer, from, to, wish);
    if (fade && fade->white_dip > kStraightDip) {
        wish.kind = route::Kind::Around;
        if (auto around = route::planFade(mixer, from, to, wish))
            fade = std::move(around);
    }
    if (!fade)
        return nullptr;
    Planned way;
    way.parts = from.size();
    for (std::size_t i = 0; i < fade->points.size(); ++i) {
        const light::Drives& at = i == 0                         ? from
                                  : i + 1 == fade->points.size() ? to
                                                                 : fade->points[i].drives;
        way.rows.insert(way.rows.end(), at.begin(), at.end());
    }
    return std::make_shared<const Planned>(std::move(way));
}

} // namespace

void Planned::at(double share, double* to) const {
    const auto count = static_cast<double>(rows.size() / parts);
    const double x = std::clamp(share, 0.0, 1.0) * (count - 1);
    const double whole = std::min(std::floor(x), count - 2);
    const double* a = rows.data() + static_cast<std::size_t>(whole) * parts;
    for (std::size_t e = 0; e < parts; ++e)
        to[e] = a[e] + (x - whole) * (a[e + parts] - a[e]);
}

bool Planned::leads(const double* from, const double* to) const {
    return same(front(), from) && same(back(), to);
}

Ways::Key Ways::keyOf(const mix::Mixer& mixer, const light::Drives& from, const light::Drives& to,
                      const colour::Uv& white) {
    Key key{&mixer, {from.begin(), from.end()}};
    key.ends.insert(key.ends.end(), to.begin(), to.end());
    key.ends.insert(key.ends.end(), {white.u, white.v});
    return key;
}

std::optional<PlannedPtr> Ways::known(const mix::Mixer& mixer, const light::Drives& from,
                                      const light::Drives& to, const colour::Uv& white) const {
    const std::lock_guard lock(mutex_);
    const auto it = known_.find(keyOf(mixer, from, to, white));
    return it == known_.end() ? std::nullopt : std::optional(it->second.way);
}

PlannedPtr Ways::asNeeded(const std::shared_ptr<const mix::Mixer>& mixer, const light::Drives& from,
                          const light::Drives& to, const colour::Uv& white) {
    if (auto there = known(*mixer, from, to, white))
        return *there;
    auto made = planned(*mixer, from, to, white);
    const std::lock_guard lock(mutex_);
    if (known_.size() >= kMostKnown)
        known_.clear();
    return known_.try_emplace(keyOf(*mixer, from, to, white), Entry{mixer, std::move(made)})
        .first->second.way;
}

} // namespace zelo::play
