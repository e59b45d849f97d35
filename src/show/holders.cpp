// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/holders.h"

#include "show/detail/changed.h"

#include <fmt/format.h>

namespace zelo::show {

void eachHolder(const State& state, const std::function<void(const Holder&, const Values&)>& see) {
    see({Holder::Kind::Standing, {}, {}, {}}, state.show->standing);
    see({Holder::Kind::Locked, {}, {}, {}}, state.show->locked);
    for (const auto& [id, look] : state.show->looks)
        see({Holder::Kind::Look, id, {}, {}}, look->values);
    for (const auto& [id, list] : state.show->cue_lists)
        for (const auto& [number, cue] : list->cues) {
            see({Holder::Kind::Cue, {}, id, number}, cue->values);
            for (const CueVersion& version : cue->versions)
                see({Holder::Kind::Cue, {}, id, number}, version.values);
        }
    if (state.show->crossfade)
        for (const FadeEnd* end : {&state.show->crossfade->from, &state.show->crossfade->to})
            see({Holder::Kind::Fade, {}, {}, {}}, end->lamps);
    see({Holder::Kind::Hand, {}, {}, {}}, *state.hand);
}

State changeHolders(const State& state,
                    const std::function<Values(const Holder&, const Values&)>& change) {
    Show next = *state.show;
    next.standing = change({Holder::Kind::Standing, {}, {}, {}}, next.standing);
    next.locked = change({Holder::Kind::Locked, {}, {}, {}}, next.locked);
    next.looks = changedItems(next.looks, [&](LookId id, const Look& look) -> std::optional<Look> {
        Values values = change({Holder::Kind::Look, id, {}, {}}, look.values);
        if (values == look.values)
            return std::nullopt;
        Look copy = look;
        copy.values = std::move(values);
        return copy;
    });
    next.cue_lists =
        changedCues(next.cue_lists, [&](CueListId id, const Cue& cue) -> std::optional<Cue> {
            const Holder holder{Holder::Kind::Cue, {}, id, cue.number};
            Values values = change(holder, cue.values);
            std::vector<CueVersion> versions = cue.versions;
            for (CueVersion& version : versions)
                version.values = change(holder, version.values);
            if (values == cue.values && versions == cue.versions)
                return std::nullopt;
            Cue copy = cue;
            copy.values = std::move(values);
            copy.versions = std::move(versions);
            return copy;
        });
    bool faded = false;
    if (state.show->crossfade) {
        Crossfade copy = *state.show->crossfade;
        for (FadeEnd* end : {&copy.from, &copy.to}) {
            Values lamps = change({Holder::Kind::Fade, {}, {}, {}}, end->lamps);
            faded = faded || !(lamps == end->lamps);
            end->lamps = std::move(lamps);
        }
        if (faded)
            next.crossfade = std::make_shared<const Crossfade>(std::move(copy));
    }
    State changed = state;
    const Show& was = *state.show;
    if (faded || !(next.looks == was.looks) || !(next.cue_lists == was.cue_lists) ||
        !(next.standing == was.standing) || !(next.locked == was.locked))
        changed.show = nextShow(std::move(next));
    Values held = change({Holder::Kind::Hand, {}, {}, {}}, *state.hand);
    if (!(held == *state.hand))
        changed.hand = std::make_shared<const Values>(std::move(held));
    return changed;
}

State changeValues(const State& state, const std::function<bool(FixtureId, Value&)>& change) {
    return changeHolders(state, [&](const Holder&, const Values& values) {
        std::vector<Values::Change> changes;
        for (const auto& [id, value] : values) {
            Value next = *value;
            if (change(id, next))
                changes.emplace_back(
                    id, next.empty() ? nullptr : std::make_shared<const Value>(std::move(next)));
        }
        return changes.empty() ? values : values.changed(std::move(changes));
    });
}

State changeLayings(const State& state, const std::function<LayingPtr(const Laying&)>& change) {
    std::map<const Laying*, LayingPtr> known;
    const auto changed = [&](auto& source) {
        const LayingPtr* laying = source ? source->laying() : nullptr;
        if (!laying)
            return false;
        const auto [at, fresh] = known.try_emplace(laying->get());
        if (fresh)
            at->second = change(**laying);
        if (!at->second)
            return false;
        source = at->second;
        return true;
    };
    return changeValues(state, [&](FixtureId, Value& v) {
        const bool colour = changed(v.colour);
        const bool intensity = changed(v.intensity);
        return colour || intensity;
    });
}

State changeGradients(const State& state, const std::function<bool(Gradient&)>& change) {
    State next = changeLayings(state, [&](const Laying& laying) -> LayingPtr {
        if (!laying.own)
            return nullptr;
        Gradient gradient = *laying.own;
        if (!change(gradient))
            return nullptr;
        Laying copy = laying;
        copy.own = std::make_shared<const Gradient>(std::move(gradient));
        return std::make_shared<const Laying>(std::move(copy));
    });
    auto palettes = changedItems(
        state.show->palettes, [&](PaletteId, const Palette& palette) -> std::optional<Palette> {
            if (!palette.gradient)
                return std::nullopt;
            Gradient gradient = *palette.gradient;
            if (!change(gradient))
                return std::nullopt;
            Palette copy = palette;
            copy.gradient = std::make_shared<const Gradient>(std::move(gradient));
            return copy;
        });
    if (!(palettes == state.show->palettes)) {
        Show changed = *next.show;
        changed.palettes = std::move(palettes);
        next.show = nextShow(std::move(changed));
    }
    return next;
}

namespace {

// Stops that follow a palette which is not there, or has no colour, stay as they were.
State withSoundStops(const State& state, std::size_t& lost) {
    const auto sound = [&](const GradientStop& stop) {
        const Palette* p = state.show->palette(stop.colour.palette());
        return stop.colour.here() || (p && p->colour);
    };
    State next = changeGradients(state, [&](Gradient& g) {
        bool changed = false;
        for (GradientStop& stop : g.stops)
            if (!sound(stop)) {
                stop.colour = light::Asked(light::AskedUv{stop.uv.u, stop.uv.v});
                changed = true;
                ++lost;
            }
        return changed;
    });
    return changeLayings(next, [&](const Laying& laying) -> LayingPtr {
        const Palette* p = state.show->palette(laying.palette);
        if (!laying.palette || !laying.own || (p && p->gradient))
            return nullptr;
        Laying copy = laying; // it was kept once: now it is its own
        copy.palette = {};
        return std::make_shared<const Laying>(std::move(copy));
    });
}

} // namespace

namespace {

// Ways and ends that refer to what is not there.
State withSoundWays(const State& state, std::size_t& lost) {
    const Show& show = *state.show;
    Show next = show;
    bool changed = false;
    const auto colourThere = [&](PaletteId id) {
        const Palette* p = show.palette(id);
        return p && p->colour;
    };
    if (show.crossfade) {
        Crossfade fade = *show.crossfade;
        for (FadeEnd* end : {&fade.from, &fade.to}) {
            if (end->colour && end->colour->palette() && !colourThere(end->colour->palette()))
                end->colour.reset();
            if (end->look.value != 0 && !show.lookOf(end->look))
                end->look = {};
        }
        if (!(fade == *show.crossfade)) {
            next.crossfade = std::make_shared<const Crossfade>(std::move(fade));
            changed = true;
            ++lost;
        }
    }
    const auto between = std::erase_if(next.routes_between, [&](const RouteBetween& b) {
        return !colourThere(b.from) || !colourThere(b.to) || !show.routes.find(b.route);
    });
    next.cue_lists = changedCues(show.cue_lists, [&](CueListId, const Cue& cue) {
        std::optional<Cue> copy;
        if (cue.route && !show.routes.find(cue.route)) {
            copy = cue;
            copy->route = {};
            ++lost;
        }
        return copy;
    });
    lost += between;
    if (!changed && between == 0 && next.cue_lists == show.cue_lists)
        return state;
    return {nextShow(std::move(next)), state.hand};
}

} // namespace

namespace {

// Ripples of lamps and palettes that are there, and cues of ripples that are.
State withSoundRipples(const State& state) {
    const Show& show = *state.show;
    Show next = show;
    next.ripples =
        changedItems(show.ripples, [&](RippleId, const Ripple& ripple) -> std::optional<Ripple> {
            Ripple copy = ripple;
            std::erase_if(copy.lamps, [&](FixtureId lamp) { return !show.fixture(lamp); });
            for (RippleStep& step : copy.steps) {
                const Palette* p = show.palette(step.colour.palette());
                if (step.colour.palette() && !(p && p->colour))
                    step.colour = light::Asked(light::AskedUv{step.uv.u, step.uv.v});
            }
            return copy == ripple ? std::nullopt : std::optional(copy);
        });
    const auto gone = [&](const CueRipple& act) { return !show.ripples.find(act.ripple); };
    next.cue_lists = changedCues(show.cue_lists, [&](CueListId, const Cue& cue) {
        std::optional<Cue> copy;
        if (std::any_of(cue.ripples.begin(), cue.ripples.end(), gone)) {
            copy = cue;
            std::erase_if(copy->ripples, gone);
        }
        return copy;
    });
    if (next.ripples == show.ripples && next.cue_lists == show.cue_lists)
        return state;
    return {nextShow(std::move(next)), state.hand};
}

} // namespace

State pruned(const State& given, std::vector<Sentence>* notes) {
    std::size_t stops = 0;
    std::size_t ways = 0;
    const State state = withSoundRipples(withSoundWays(withSoundStops(given, stops), ways));
    const Show& show = *state.show;
    std::size_t lamps = 0;
    std::size_t links = 0;
    State next = changeHolders(state, [&](const Holder&, const Values& values) {
        std::vector<Values::Change> changes;
        for (const auto& [id, value] : values) {
            if (!show.fixture(id)) {
                ++lamps;
                changes.emplace_back(id, nullptr);
                continue;
            }
            const auto lost = [&](const auto& source) {
                if (!source || !source->palette())
                    return false;
                const Palette* p = show.palette(source->palette());
                return !p || (source->laying() && !p->gradient);
            };
            if (!lost(value->intensity) && !lost(value->colour))
                continue;
            ++links;
            Value left = *value;
            if (lost(left.intensity))
                left.intensity.reset();
            if (lost(left.colour))
                left.colour.reset();
            changes.emplace_back(id, left.empty() ? nullptr
                                                  : std::make_shared<const Value>(std::move(left)));
        }
        return changes.empty() ? values : values.changed(std::move(changes));
    });
    std::size_t members = 0;
    std::vector<Table<GroupId, Group>::Change> groups;
    for (const auto& [id, group] : show.groups) {
        const auto gone = [&](FixtureId f) { return !show.fixture(f); };
        const auto count = std::count_if(group->fixtures.begin(), group->fixtures.end(), gone);
        if (count == 0)
            continue;
        members += static_cast<std::size_t>(count);
        Group kept = *group;
        std::erase_if(kept.fixtures, gone);
        groups.emplace_back(id, std::make_shared<const Group>(std::move(kept)));
    }
    if (!groups.empty()) {
        Show changed = *next.show;
        changed.groups = changed.groups.changed(std::move(groups));
        next.show = nextShow(std::move(changed));
    }
    const std::size_t faders = next.show->faders.size();
    const auto playing = next.show->faders.withoutIf([&](FaderId, const Fader& f) {
        return f.look.value != 0    ? !show.lookOf(f.look)
               : f.list.value != 0  ? !show.cue_lists.find(f.list)
               : f.ripple           ? !show.ripples.find(f.ripple)
               : f.group.value != 0 ? !show.group(f.group)
                                    : !f.ofEmitters();
    });
    if (playing.size() != faders) {
        Show changed = *next.show;
        changed.faders = playing;
        next.show = nextShow(std::move(changed));
    }
    const auto tell = [&](std::size_t count, Sentence what) {
        if (count > 0 && notes)
            notes->push_back(std::move(what));
    };
    tell(lamps,
         say(ZELO_TEXT("core", "left out, of lamps that are not in the rig: {} values"), lamps));
    tell(links,
         say(ZELO_TEXT("core", "left out, since their palette is not there: {} values"), links));
    tell(stops,
         say(ZELO_TEXT("core", "stops whose palette is not there stay as they were: {}"), stops));
    tell(faders - playing.size(),
         say(ZELO_TEXT("core", "left out, since what they play is not there: {} faders"),
             faders - playing.size()));
    tell(ways,
         say(ZELO_TEXT("core", "left out, of ways whose palette, look or route is not there: {}"),
             ways));
    tell(members, say(ZELO_TEXT("core", "left out, of groups, not in the rig: {} lamps"), members));
    return next;
}

} // namespace zelo::show
