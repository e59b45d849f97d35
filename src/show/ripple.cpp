// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/ripple.h"

#include "show/limits.h"

namespace zelo::show {

namespace {

constexpr std::pair<Pattern, const char*> kPatterns[] = {
    {Pattern::Cycle, "cycle"}, {Pattern::March, "march"}, {Pattern::Pulse, "pulse"}};

bool within(double x, double least, double most) { // NaN is not
    return x >= least && x <= most;
}

} // namespace

const char* nameOf(Pattern pattern) {
    for (const auto& [one, name] : kPatterns)
        if (one == pattern)
            return name;
    return kPatterns[0].second;
}

std::optional<Pattern> patternNamed(std::string_view name) {
    for (const auto& [one, its] : kPatterns)
        if (name == its)
            return one;
    return std::nullopt;
}

Done checkRipple(const Ripple& r) {
    const std::size_t least = r.pattern == Pattern::Pulse && r.over_below ? 1 : 2;
    if (r.steps.size() < least || r.steps.size() > kMostStops)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "a ripple of {} steps: must have {} to {}"), r.steps.size(),
                    least, kMostStops);
    for (std::size_t i = 0; i < r.steps.size(); ++i) {
        const RippleStep& s = r.steps[i];
        if (!within(s.time_s, 0, kLongest_s))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "step {}: a time of {} s: must be within 0..{}"), i + 1,
                        s.time_s, kLongest_s);
        if (!within(s.change, 0, 1) || !within(s.intensity.value_or(0), 0, 1))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "step {}: its shares must be within 0..1"), i + 1);
    }
    for (const double t :
         {r.after_s, r.pause_s, r.every_s, r.rise_s, r.stay_s, r.fall_s, r.release_s})
        if (!within(t, 0, kLongest_s))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "a time of {} s: must be within 0..{}"), t, kLongest_s);
    if (!within(r.turns.value_or(0), -kMostTurns, kMostTurns) || r.band < 0 ||
        r.band > static_cast<int>(kMostFixtures))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "turns must be within -{}..{}, a band within 0..{} lamps"),
                    kMostTurns, kMostTurns, kMostFixtures);
    if (r.lamps.size() > kMostFixtures)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a ripple has {} lamps at most"),
                    kMostFixtures);
    return r.way ? checkWay(*r.way, 1, kFarthestVia) : Done{};
}

} // namespace zelo::show
