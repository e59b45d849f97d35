// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/ripple_edits.h"

#include "show/detail/kept_checks.h"
#include "show/limits.h"

#include <algorithm>

namespace zelo::show {

namespace {

Done checkKept(const Show& show, const Ripple& ripple) {
    if (auto ok = checkRipple(ripple); !ok)
        return ok;
    for (const RippleStep& step : ripple.steps)
        if (const PaletteId id = step.colour.palette()) {
            const Palette* palette = show.palette(id);
            if (!palette || !palette->colour)
                return fail(ErrorCode::NotFound,
                            ZELO_TEXT("core", "no palette of a colour with id {}"), id.value);
        }
    for (const FixtureId id : ripple.lamps)
        if (!show.fixture(id))
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"), id.value);
    return {};
}

Sentence rippleName() {
    return say(ZELO_TEXT("core", "ripple"));
}

} // namespace

Result<ShowPtr> addRipple(const ShowPtr& show, Ripple ripple) {
    ripple.name = toUtf8(std::move(ripple.name));
    if (auto ok = checkName(show->ripples, rippleName(), ripple.name, RippleId{}); !ok)
        return passOn(ok.error());
    if (auto ok = checkKept(*show, ripple); !ok)
        return passOn(ok.error());
    Show next = *show;
    ripple.id = {++next.last_ripple_id};
    const auto id = ripple.id;
    next.ripples = next.ripples.with(id, std::move(ripple));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeRipple(const ShowPtr& show, Ripple ripple) {
    const Ripple* old = show->ripples.find(ripple.id);
    if (!old)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no ripple with id {}"),
                    ripple.id.value);
    ripple.name = toUtf8(std::move(ripple.name));
    if (auto ok = checkChanged(show->ripples, rippleName(), *old, ripple); !ok)
        return passOn(ok.error());
    if (auto ok = checkKept(*show, ripple); !ok)
        return passOn(ok.error());
    Show next = *show;
    const auto id = ripple.id;
    next.ripples = next.ripples.with(id, std::move(ripple));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeRipple(const ShowPtr& show, RippleId id) {
    const Ripple* ripple = show->ripples.find(id);
    if (!ripple)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no ripple with id {}"), id.value);
    if (ripple->locked)
        return passOn(locked(rippleName(), ripple->name).error());
    for (const auto& [fader_id, fader] : show->faders)
        if (fader->ripple == id)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "fader '{}' plays ripple '{}'"),
                        fader->name, ripple->name);
    Show next = *show;
    next.ripples = next.ripples.without(id);
    return nextShow(std::move(next));
}

Ripple withStep(Ripple ripple, light::Asked colour, colour::Uv uv) {
    RippleStep step{std::move(colour), uv};
    if (!ripple.steps.empty()) { // as the last one
        step.time_s = ripple.steps.back().time_s;
        step.change = ripple.steps.back().change;
    }
    ripple.steps.push_back(std::move(step));
    return ripple;
}

Ripple withStepAt(Ripple ripple, std::size_t from, std::size_t to) {
    const auto begin = ripple.steps.begin();
    const auto at = [&](std::size_t i) { return begin + static_cast<std::ptrdiff_t>(i); };
    if (from < to)
        std::rotate(at(from), at(from + 1), at(to + 1));
    else
        std::rotate(at(to), at(from), at(from + 1));
    return ripple;
}

Ripple faster(Ripple ripple, double factor) {
    const auto scale = [&](double& time_s) {
        time_s = std::clamp(time_s / factor, 0.0, kLongest_s);
    };
    for (RippleStep& step : ripple.steps)
        scale(step.time_s);
    for (double* time_s : {&ripple.after_s, &ripple.pause_s, &ripple.every_s, &ripple.rise_s,
                           &ripple.stay_s, &ripple.fall_s})
        scale(*time_s);
    return ripple;
}

Ripple atBeat(Ripple ripple, double beat_s) {
    const auto within = [](double time_s) { return std::clamp(time_s, 0.0, kLongest_s); };
    if (ripple.pattern == Pattern::Pulse) {
        ripple.every_s = within(beat_s);
        return ripple;
    }
    if (ripple.pattern == Pattern::March) {
        const auto lamps = static_cast<double>(std::max<std::size_t>(1, ripple.lamps.size()));
        const double now = ripple.band > 0 ? ripple.band * ripple.after_s
                                           : lamps * ripple.after_s + ripple.pause_s;
        if (!(now > 0)) {
            ripple.after_s = within(beat_s / (ripple.band > 0 ? ripple.band : lamps));
            return ripple;
        }
        ripple.after_s = within(ripple.after_s * beat_s / now);
        ripple.pause_s = within(ripple.pause_s * beat_s / now);
        return ripple;
    }
    double all = 0;
    for (const RippleStep& step : ripple.steps)
        all += step.time_s;
    const auto count = static_cast<double>(ripple.steps.size());
    for (RippleStep& step : ripple.steps)
        step.time_s = within(all > 0 ? step.time_s * beat_s * count / all : beat_s);
    return ripple;
}

ShowPtr withRippleAlone(const Show& show, const Ripple& ripple) {
    Show one = show;
    one.cue_lists = {};
    one.faders = {};
    one.locked = {};
    one.ripples = Table<RippleId, Ripple>().with(ripple.id, ripple);
    std::vector<Values::Change> lit;
    for (const auto id : ripple.lamps) {
        Value value;
        value.intensity = 1.0;
        lit.emplace_back(id, std::make_shared<const Value>(value));
    }
    one.standing = Values{}.changed(std::move(lit));
    return nextShow(std::move(one));
}

RippleUses usesOf(const Show& show, RippleId id) {
    RippleUses uses;
    for (const auto& [list_id, list] : show.cue_lists)
        for (const auto& [number, cue] : list->cues)
            if (std::any_of(cue->ripples.begin(), cue->ripples.end(),
                            [&](const CueRipple& act) { return act.ripple == id; }))
                uses.cues.emplace_back(list_id, number);
    for (const auto& [fader_id, fader] : show.faders)
        if (fader->ripple == id)
            uses.faders.push_back(fader_id);
    return uses;
}

} // namespace zelo::show
