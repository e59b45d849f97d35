// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/planned.h"

#include "route/fade.h"

#include <algorithm>
#include <cmath>

namespace zelo::play {

namespace {

constexpr double kSame = 1e-9;            // of drives
constexpr std::size_t kMostKnown = 5'000; // some kilobytes each

bool same(std::span<const double> a, const double* b) {
    for (std::size_t i = 0; i < a.size(); ++i)
        if (!(std::abs(a[i] - b[i]) <= kSame))
            return false;
    return true;
}

Result<route::Fade> fadeOf(const Ways::Ask& ask) {
    const auto& reach = ask.wish.reach.empty() ? ask.mixer->hull() : ask.wish.reach;
    route::FadeWish wish =
        route::fadeWish(ask.wish.way.value_or(route::StopWay{}), ask.white, reach);
    wish.reach = ask.wish.reach;
    wish.mixing = ask.mixing;
    return ask.wish.way ? route::planFade(*ask.mixer, ask.from, ask.to, wish)
                        : route::planAsNeeded(*ask.mixer, ask.from, ask.to, wish);
}

PlannedPtr made(const Ways::Ask& ask) {
    if (!ask.mixer->additive() || !colour::hasChromaticity(ask.mixer->xyzOf(ask.from)) ||
        !colour::hasChromaticity(ask.mixer->xyzOf(ask.to)))
        return nullptr;
    const auto fade = fadeOf(ask);
    if (!fade)
        return nullptr;
    Planned way;
    way.parts = ask.from.size();
    way.wish = ask.wish;
    for (std::size_t i = 0; i < fade->points.size(); ++i) {
        const light::Drives& at = i == 0                         ? ask.from
                                  : i + 1 == fade->points.size() ? ask.to
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

Ways::Key Ways::keyOf(const Ask& ask) {
    Key key{ask.mixer.get(), {ask.from.begin(), ask.from.end()}};
    const auto add = [&](double x) { key.ends.push_back(x); };
    key.ends.insert(key.ends.end(), ask.to.begin(), ask.to.end());
    add(ask.white.u);
    add(ask.white.v);
    add(static_cast<double>(ask.mixing.intent));
    add(ask.mixing.give_up);
    for (const std::size_t part : ask.mixing.keep_out)
        add(-1 - static_cast<double>(part));
    for (const mix::Pin& pin : ask.mixing.pins) {
        add(static_cast<double>(pin.part));
        add(pin.drive);
    }
    // Cameras by what they see: an edited one has a name that was there before.
    add(ask.mixing.exact_for_camera);
    for (std::size_t c = 0; c < ask.mixing.cameraCount(); ++c)
        for (const std::size_t channel : {0, 1, 2}) {
            double sum = 0, slope = 0;
            const auto& seen = (*ask.mixing.cameras)[c].sensitivity(channel);
            for (std::size_t i = 0; i < colour::kGridSize; ++i) {
                sum += seen[i];
                slope += static_cast<double>(i) * seen[i];
            }
            add(sum);
            add(slope);
        }
    for (const colour::Uv& corner : ask.wish.reach.corners()) {
        add(corner.u);
        add(corner.v);
    }
    if (!ask.wish.way)
        return key;
    const route::StopWay& way = *ask.wish.way;
    add(static_cast<double>(way.kind));
    add(way.floor);
    add(static_cast<double>(way.side));
    add(way.jump_at);
    add(way.dark_share);
    add(way.eased);
    add(way.keep_out ? way.keep_out->from : -1000);
    add(way.keep_out ? way.keep_out->to : -1000);
    for (const colour::Uv& via : way.via) {
        add(via.u);
        add(via.v);
    }
    return key;
}

PlannedPtr Ways::planned(const Ask& ask) {
    Key key = keyOf(ask);
    {
        const std::lock_guard lock(mutex_);
        if (const auto it = known_.find(key); it != known_.end())
            return it->second.way;
    }
    auto way = made(ask);
    const std::lock_guard lock(mutex_);
    if (known_.size() >= kMostKnown)
        known_.clear();
    return known_.try_emplace(std::move(key), Entry{ask.mixer, std::move(way)}).first->second.way;
}

} // namespace zelo::play
