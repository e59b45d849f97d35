// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/trims.h"

#include "show/limits.h"

#include <algorithm>

namespace zelo::show {

namespace {

// What of a table these lamps have changes; nothing of a lamp that has nothing.
template <class F>
Values changed(const Values& values, const Lineup& lineup, F change) {
    std::vector<Values::Change> changes;
    for (const FixtureId id : lineup) {
        const Value* before = values.find(id);
        Value value = before ? *before : Value{};
        if (change(id, value))
            changes.emplace_back(
                id, value.empty() ? nullptr : std::make_shared<const Value>(std::move(value)));
    }
    return changes.empty() ? values : values.changed(std::move(changes));
}

HandPtr held(Values values) {
    return std::make_shared<const Values>(std::move(values));
}

bool letGo(Value& value) {
    if (!trimmed(value))
        return false;
    value.trim = 1;
    value.nudge = {0, 0};
    return true;
}

} // namespace

bool trimmed(const Value& value) {
    return value.trim != 1 || value.nudge.u != 0 || value.nudge.v != 0;
}

HandPtr brighterBy(const State& state, const Lineup& lineup, double ratio,
                   const std::function<bool(FixtureId)>& lit) {
    return held(changed(*state.hand, lineup, [&](FixtureId id, Value& v) {
        if (!valueOf(*state.show, *state.hand, id).intensity && !(lit && lit(id)))
            return false;
        if (v.intensity && v.intensity->here())
            v.intensity = std::clamp(*v.intensity->here() * v.trim * ratio, 0.0, 1.0);
        v.trim =
            v.intensity && v.intensity->here() ? 1 : std::clamp(v.trim * ratio, 0.0, kMostTrim);
        return true;
    }));
}

HandPtr nudgedBy(const State& state, const Lineup& lineup,
                 const std::function<colour::Uv(FixtureId)>& step) {
    return held(changed(*state.hand, lineup, [&](FixtureId id, Value& v) {
        const colour::Uv by = step(id);
        if ((by.u == 0 && by.v == 0) || !valueOf(*state.show, *state.hand, id).colour)
            return false;
        v.nudge = {std::clamp(v.nudge.u + by.u, -kMostNudge_uv, kMostNudge_uv),
                   std::clamp(v.nudge.v + by.v, -kMostNudge_uv, kMostNudge_uv)};
        return true;
    }));
}

State withoutTrims(const State& state, const Lineup& lineup) {
    const auto without = [&](const Values& values) {
        return changed(values, lineup, [](FixtureId, Value& v) { return letGo(v); });
    };
    State next = state;
    if (Values values = without(*state.hand); !(values == *state.hand))
        next.hand = held(std::move(values));
    if (Values values = without(state.show->standing); !(values == state.show->standing)) {
        Show show = *state.show;
        show.standing = std::move(values);
        next.show = nextShow(std::move(show));
    }
    return next;
}

} // namespace zelo::show
