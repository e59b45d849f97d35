// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/ripple_edits.h"

#include "show/detail/kept_checks.h"

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

} // namespace zelo::show
