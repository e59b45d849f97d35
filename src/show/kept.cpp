// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/kept.h"

#include "base/text.h"
#include "light/frame.h"
#include "show/detail/changed.h"
#include "show/detail/kept_checks.h"
#include "show/holders.h"
#include "show/limits.h"

#include <algorithm>
#include <cmath>

namespace zelo::show {

namespace {

bool follows(const Value& v, PaletteId id) {
    return (v.colour && v.colour->palette() == id) || (v.intensity && v.intensity->palette() == id);
}

bool hasStopOf(const Gradient& gradient, PaletteId id) {
    return std::any_of(gradient.stops.begin(), gradient.stops.end(),
                       [&](const GradientStop& s) { return s.colour.palette() == id; });
}

// In a gradient of its own with a stop that follows it.
bool hasStopOf(const Value& v, PaletteId id) {
    const LayingPtr* laying = v.colour ? v.colour->laying() : nullptr;
    return laying && (*laying)->own && hasStopOf(*(*laying)->own, id);
}

Done checkGiven(const Palette& palette) {
    if (palette.gradient && !palette.colour && !palette.intensity)
        return checkGradient(*palette.gradient);
    if (!palette.colour && !palette.intensity)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "palette '{}': needs a colour or an intensity"),
                    palette.name);
    if (palette.gradient)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "palette '{}': is a gradient, or has a colour or an "
                                      "intensity, not both"),
                    palette.name);
    return {};
}

// As it is now, following nothing.
void fix(Value& v, const Shown& now, PaletteId id) {
    if (v.colour && v.colour->palette() == id)
        v.colour = now.colour ? std::optional(Source<ColourWish>(*now.colour)) : std::nullopt;
    if (v.intensity && v.intensity->palette() == id)
        v.intensity = now.intensity ? std::optional(Source<double>(*now.intensity)) : std::nullopt;
}

std::shared_ptr<const Crossfade> withEnds(const std::shared_ptr<const Crossfade>& fade,
                                          const std::function<void(FadeEnd&)>& change) {
    if (!fade)
        return fade;
    Crossfade next = *fade;
    change(next.from);
    change(next.to);
    return next == *fade ? fade : std::make_shared<const Crossfade>(std::move(next));
}

Resolve resolveOr(const Resolve& resolve, const State& state) {
    return resolve ? resolve
                   : [show = state.show](FixtureId, const Value& v) { return followed(*show, v); };
}

} // namespace

Result<ShowPtr> addPalette(const ShowPtr& show, Palette palette) {
    palette.name = toUtf8(std::move(palette.name));
    if (auto ok =
            checkName(show->palettes, say(ZELO_TEXT("core", "palette")), palette.name, PaletteId{});
        !ok)
        return passOn(ok.error());
    if (auto ok = checkGiven(palette); !ok)
        return passOn(ok.error());
    Show next = *show;
    palette.id = {++next.last_palette_id};
    const auto id = palette.id;
    next.palettes = next.palettes.with(id, std::move(palette));
    return nextShow(std::move(next));
}

Result<ShowPtr> keepPalette(const ShowPtr& show, const Values& hand, const Lineup& lineup,
                            KeepWhat what, std::string name, const Resolve& resolve) {
    if (lineup.empty())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "no lamps in the lineup: nothing to keep"));
    const Value first = valueOf(*show, hand, lineup.front());
    const Shown value = resolve ? resolve(lineup.front(), first) : followed(*show, first);
    Palette palette;
    palette.name = std::move(name);
    if (what != KeepWhat::Intensity)
        palette.colour = value.nudged();
    if (what != KeepWhat::Colour)
        palette.intensity = value.trimmed();
    return addPalette(show, std::move(palette));
}

Result<ShowPtr> changePalette(const ShowPtr& show, Palette palette) {
    palette.name = toUtf8(std::move(palette.name));
    const Palette* old = show->palette(palette.id);
    if (!old)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no palette with id {}"),
                    palette.id.value);
    if (auto ok = checkChanged(show->palettes, say(ZELO_TEXT("core", "palette")), *old, palette);
        !ok)
        return passOn(ok.error());
    if (auto ok = checkGiven(palette); !ok)
        return passOn(ok.error());
    Show next = *show;
    const auto id = palette.id;
    next.palettes = next.palettes.with(id, std::move(palette));
    return nextShow(std::move(next));
}

namespace {

// Every step of every ripple that follows this palette through `change`.
template <class F>
Table<RippleId, Ripple> withSteps(const Table<RippleId, Ripple>& ripples, PaletteId of, F change) {
    return changedItems(ripples, [&](RippleId, const Ripple& ripple) {
        std::optional<Ripple> copy;
        for (std::size_t i = 0; i < ripple.steps.size(); ++i)
            if (ripple.steps[i].colour.palette() == of) {
                if (!copy)
                    copy = ripple;
                change(copy->steps[i]);
            }
        return copy;
    });
}

} // namespace

Uses usesOf(const State& state, PaletteId id) {
    Uses uses;
    eachHolder(state, [&](const Holder& holder, const Values& values) {
        std::vector<FixtureId> here;
        for (const auto& [fixture, value] : values)
            if (follows(*value, id) || hasStopOf(*value, id))
                here.push_back(fixture);
        if (holder.kind == Holder::Kind::Look && !here.empty())
            uses.looks.emplace_back(holder.look, here.size());
        else if (const std::pair cue{holder.list, holder.number};
                 holder.kind == Holder::Kind::Cue && !here.empty() &&
                 (uses.cues.empty() || uses.cues.back() != cue)) // its versions are one
            uses.cues.push_back(cue);
        else if (holder.kind == Holder::Kind::Standing)
            uses.standing = std::move(here);
        else if (holder.kind == Holder::Kind::Hand)
            uses.hand = std::move(here);
    });
    for (const auto& [other, palette] : state.show->palettes)
        if (palette->gradient && hasStopOf(*palette->gradient, id))
            uses.gradients.push_back(other);
    for (const auto& [ripple_id, ripple] : state.show->ripples)
        if (std::any_of(ripple->steps.begin(), ripple->steps.end(),
                        [&](const RippleStep& s) { return s.colour.palette() == id; }))
            uses.ripples.push_back(ripple_id);
    return uses;
}

Result<State> removePalette(const State& state, PaletteId id, const Resolve& resolve) {
    const Palette* palette = state.show->palette(id);
    if (!palette)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no palette with id {}"), id.value);
    if (palette->locked)
        return passOn(locked(say(ZELO_TEXT("core", "palette")), palette->name).error());
    const Resolve now = resolveOr(resolve, state);
    State next = changeValues(state, [&](FixtureId fixture, Value& v) {
        if (!follows(v, id))
            return false;
        fix(v, now(fixture, v), id);
        return true;
    });
    next = changeGradients(next, [&](Gradient& g) {
        const bool used = hasStopOf(g, id);
        for (GradientStop& stop : g.stops)
            if (stop.colour.palette() == id && palette->colour) {
                stop.uv = palette->colour->uv;
                stop.colour = palette->colour->asked;
            }
        return used;
    });
    Show without = *next.show;
    without.ripples = withSteps(without.ripples, id, [&](RippleStep& step) {
        if (palette->colour) {
            step.uv = palette->colour->uv;
            step.colour = palette->colour->asked;
        }
    });
    without.crossfade = withEnds(without.crossfade, [&](FadeEnd& end) {
        if (palette->colour && end.colour && end.colour->palette() == id)
            end.colour = *palette->colour;
    });
    std::erase_if(without.routes_between,
                  [&](const RouteBetween& b) { return b.from == id || b.to == id; });
    without.palettes = without.palettes.without(id);
    next.show = nextShow(std::move(without));
    return pruned(next); // what was laid out changed since it was kept is its own now
}

Result<State> mergePalettes(const State& state, PaletteId from, PaletteId into) {
    const Palette* gone = state.show->palette(from);
    const Palette* stays = state.show->palette(into);
    if (!gone || !stays || from == into)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "merging needs two palettes"));
    if (gone->locked)
        return passOn(locked(say(ZELO_TEXT("core", "palette")), gone->name).error());
    if (!gone->gradient != !stays->gradient)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "'{}' is a gradient, '{}' is not: they do not merge"),
                    gone->gradient ? gone->name : stays->name,
                    gone->gradient ? stays->name : gone->name);
    if ((gone->colour && !stays->colour) || (gone->givesIntensity() && !stays->givesIntensity()))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "palette '{}' has no {}: what follows '{}' needs it"),
                    stays->name,
                    gone->colour && !stays->colour ? say(ZELO_TEXT("core", "colour"))
                                                   : say(ZELO_TEXT("core", "intensity")),
                    gone->name);
    State next = changeLayings(state, [&](const Laying& laying) -> LayingPtr {
        if (laying.palette != from)
            return nullptr;
        Laying copy = laying;
        copy.palette = into;
        return std::make_shared<const Laying>(std::move(copy));
    });
    next = changeValues(next, [&](FixtureId, Value& v) {
        if (!follows(v, from))
            return false;
        if (v.colour && v.colour->palette() == from)
            v.colour = into;
        if (v.intensity && v.intensity->palette() == from)
            v.intensity = into;
        return true;
    });
    next = changeGradients(next, [&](Gradient& g) {
        const bool used = hasStopOf(g, from);
        for (GradientStop& stop : g.stops)
            if (stop.colour.palette() == from)
                stop.colour = into;
        return used;
    });
    Show merged = *next.show;
    merged.ripples = withSteps(merged.ripples, from, [&](RippleStep& step) { step.colour = into; });
    merged.crossfade = withEnds(merged.crossfade, [&](FadeEnd& end) {
        if (end.colour && end.colour->palette() == from)
            end.colour = into;
    });
    next.show = nextShow(std::move(merged));
    return removePalette(next, from);
}

LayingPtr layingOf(const State& state, const Lineup& lineup) {
    for (const FixtureId id : lineup) {
        const Value value = valueOf(*state.show, *state.hand, id);
        if (const LayingPtr* laying = value.colour ? value.colour->laying() : nullptr)
            return *laying;
    }
    return nullptr;
}

Result<HandPtr> withGradient(const HandPtr& hand, const Lineup& lineup, Gradient gradient,
                             PaletteId was) {
    if (auto ok = checkGradient(gradient); !ok)
        return passOn(ok.error());
    return withLaying(hand,
                      std::make_shared<const Laying>(Laying{
                          was, std::make_shared<const Gradient>(std::move(gradient)), lineup}),
                      gradient.givesIntensity());
}

Result<State> keepGradient(const State& state, const LayingPtr& laying, std::string name) {
    const Gradient* gradient = gradientOf(*state.show, *laying);
    if (!gradient)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no gradient to keep"));
    Palette palette;
    palette.name = std::move(name);
    palette.gradient = std::make_shared<const Gradient>(*gradient);
    const auto next = addPalette(state.show, std::move(palette));
    if (!next)
        return passOn(next.error());
    return changeLayings({*next, state.hand}, [&](const Laying& other) -> LayingPtr {
        if (&other != laying.get())
            return nullptr;
        return std::make_shared<const Laying>(
            Laying{{(*next)->last_palette_id}, nullptr, other.lamps});
    });
}

Result<State> changeGradient(const State& state, PaletteId id, Gradient gradient,
                             const Resolve& resolve) {
    const Palette* old = state.show->palette(id);
    if (!old || !old->gradient)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no gradient with id {}"), id.value);
    const Resolve before = resolveOr(resolve, state);
    const bool gives = gradient.givesIntensity();
    Palette palette = *old;
    palette.gradient = std::make_shared<const Gradient>(std::move(gradient));
    const auto next = changePalette(state.show, std::move(palette));
    if (!next)
        return passOn(next.error());
    // In hand what was changed from it is what it is now.
    State all = changeLayings({*next, state.hand}, [&](const Laying& laying) -> LayingPtr {
        if (laying.palette != id || !laying.own ||
            !(*laying.own == *(*next)->palette(id)->gradient))
            return nullptr;
        return std::make_shared<const Laying>(Laying{id, nullptr, laying.lamps});
    });
    return changeValues(all, [&](FixtureId fixture, Value& v) {
        const LayingPtr* laying = v.colour ? v.colour->laying() : nullptr;
        if (laying && keptOf(**laying) == id && gives) {
            if (v.intensity && v.intensity->laying() == v.colour->laying())
                return false;
            v.intensity = *laying;
            return true;
        }
        if (gives || !v.intensity || v.intensity->palette() != id)
            return false;
        const auto was = before(fixture, v).intensity;
        v.intensity = was ? std::optional(Source<double>(*was)) : std::nullopt;
        return true;
    });
}

HandPtr withLayingChanged(const State& state, const HandPtr& hand, const LayingPtr& laying,
                          const LayingPtr& changed) {
    std::vector<Values::Change> changes;
    for (const FixtureId id : laying->lamps) {
        const Value now = valueOf(*state.show, *hand, id);
        const bool colour = now.colour && now.colour->laying() && *now.colour->laying() == laying;
        const bool intensity =
            now.intensity && now.intensity->laying() && *now.intensity->laying() == laying;
        if (!colour && !intensity)
            continue;
        const Value* held = hand->find(id);
        Value next = held ? *held : Value{};
        if (colour)
            next.colour = changed;
        if (intensity)
            next.intensity = changed;
        changes.emplace_back(id, std::make_shared<const Value>(std::move(next)));
    }
    return std::make_shared<const Values>(hand->changed(std::move(changes)));
}

HandPtr withFixed(const State& state, const Lineup& lineup, const Resolve& resolve) {
    std::vector<Values::Change> changes;
    for (const FixtureId id : lineup) {
        const Value value = valueOf(*state.show, *state.hand, id);
        const bool colour = value.colour && value.colour->laying();
        const bool intensity = value.intensity && value.intensity->laying();
        if (!colour && !intensity)
            continue;
        const Shown now = resolve(id, value);
        const Value* held = state.hand->find(id);
        Value next = held ? *held : Value{};
        if (colour && now.colour)
            next.colour = *now.colour;
        if (intensity && now.intensity)
            next.intensity = *now.intensity;
        changes.emplace_back(id, std::make_shared<const Value>(std::move(next)));
    }
    return changes.empty()
               ? state.hand
               : std::make_shared<const Values>(state.hand->changed(std::move(changes)));
}

Result<ShowPtr> keepLook(const ShowPtr& show, const Values& hand, const Lineup& lineup,
                         std::string name) {
    if (lineup.empty())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "no lamps in the lineup: nothing to keep"));
    std::vector<Values::Change> values;
    for (const FixtureId id : lineup)
        if (Value value = valueOf(*show, hand, id); !value.empty())
            values.emplace_back(id, std::make_shared<const Value>(std::move(value)));
    Look look;
    look.name = std::move(name);
    look.values = Values::of(std::move(values));
    return addLook(show, std::move(look));
}

Result<ShowPtr> addLook(const ShowPtr& show, Look look) {
    look.name = toUtf8(std::move(look.name));
    if (auto ok = checkName(show->looks, say(ZELO_TEXT("core", "look")), look.name, LookId{}); !ok)
        return passOn(ok.error());
    Show next = *show;
    look.id = {++next.last_look_id};
    const auto id = look.id;
    next.looks = next.looks.with(id, std::move(look));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeLook(const ShowPtr& show, Look look) {
    const Look* old = show->lookOf(look.id);
    if (!old)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no look with id {}"), look.id.value);
    look.name = toUtf8(std::move(look.name));
    if (auto ok = checkChanged(show->looks, say(ZELO_TEXT("core", "look")), *old, look); !ok)
        return passOn(ok.error());
    if (!(look.time_s >= 0 && look.time_s <= kLongest_s))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{}: a time of {} s: must be within 0..{}"), look.name,
                    look.time_s, kLongest_s);
    Show next = *show;
    const auto id = look.id;
    next.looks = next.looks.with(id, std::move(look));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeLook(const ShowPtr& show, LookId id) {
    const Look* look = show->lookOf(id);
    if (!look)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no look with id {}"), id.value);
    if (look->locked)
        return passOn(locked(say(ZELO_TEXT("core", "look")), look->name).error());
    for (const auto& [fader_id, fader] : show->faders)
        if (fader->look == id)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "fader '{}' plays look '{}'"),
                        fader->name, look->name);
    Show next = *show;
    next.looks = next.looks.without(id);
    return nextShow(std::move(next));
}

Result<State> showLook(const State& state, LookId id) {
    const Look* look = state.show->lookOf(id);
    if (!look)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no look with id {}"), id.value);
    std::vector<Values::Change> standing, held;
    for (const auto& [fixture, value] : look->values) {
        standing.emplace_back(fixture, value);
        if (state.hand->contains(fixture))
            held.emplace_back(fixture, nullptr);
    }
    Show next = *state.show;
    next.standing = next.standing.changed(std::move(standing));
    State shown{nextShow(std::move(next)), state.hand};
    if (!held.empty())
        shown.hand = std::make_shared<const Values>(state.hand->changed(std::move(held)));
    return shown;
}

Result<ShowPtr> pictureOfLook(const ShowPtr& show, LookId id, std::string picture) {
    const Look* look = show->lookOf(id);
    if (!look)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no look with id {}"), id.value);
    if (auto ok = checkPicture(picture); !ok)
        return passOn(ok.error(), look->name);
    Look next = *look;
    next.picture =
        picture.empty() ? nullptr : std::make_shared<const std::string>(std::move(picture));
    return changeLook(show, std::move(next));
}

Done checkPicture(const std::string& picture) {
    if (picture.size() > kMostPicture)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a picture of {} kB: {} at most"),
                    picture.size() >> 10, kMostPicture >> 10);
    const std::string_view bytes = picture;
    if (!bytes.empty() && !bytes.starts_with("\x89PNG\r\n\x1a\n") &&
        !bytes.starts_with("\xff\xd8\xff"))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "a picture must be a PNG or a JPEG"));
    return {};
}

HandPtr withLook(const HandPtr& hand, const Look& look) {
    std::vector<Values::Change> values;
    for (const auto& [id, value] : look.values)
        values.emplace_back(id, value);
    return std::make_shared<const Values>(hand->changed(std::move(values)));
}

Result<ShowPtr> keepMeasured(const ShowPtr& show, std::string name, colour::Spectrum spectrum) {
    name = toUtf8(std::move(name));
    if (trimmed(name).empty() || name.find_first_of("+@") != std::string::npos)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "'{}': a measured light needs a name without + and @"), name);
    if (auto ok = checkText(say(ZELO_TEXT("core", "measured light")), name, kLongestName); !ok)
        return passOn(ok.error());
    if (show->measured.size() >= kMostKept && !show->measured.contains(name))
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a show has {} measured lights at most"),
                    kMostKept);
    auto kept = storable(spectrum);
    if (!kept)
        return passOn(kept.error(), name);
    Show next = *show;
    next.measured = next.measured.with(name, Measured{name, std::move(*kept)});
    return nextShow(std::move(next));
}

namespace {

Done checkBalance(const light::Asked& balance) {
    const auto* cct = std::get_if<light::AskedWhite>(&balance);
    if (cct && !(cct->cct_k >= kLeastWhite_k && cct->cct_k <= kMostWhite_k))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "balanced to {} K: must be within {} to "
                                      "{} K"),
                    cct->cct_k, kLeastWhite_k, kMostWhite_k);
    return {};
}

// Its largest sensitivity 1, in single precision.
Result<colour::Camera::Channels> storableChannels(const FilmCamera& camera) {
    double most = 0;
    for (const auto& c : camera.channels)
        most = std::max(most, c.largest());
    if (!(most > 0))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "camera {}: sees nothing"), camera.name);
    auto channels = camera.channels;
    for (auto& c : channels) {
        auto kept = storable(c.scaled(1 / most));
        if (!kept)
            return passOn(kept.error(), camera.name);
        c = std::move(*kept);
    }
    return channels;
}

} // namespace

Result<ShowPtr> keepCamera(const ShowPtr& show, FilmCamera camera) {
    camera.name = toUtf8(std::move(camera.name));
    if (trimmed(camera.name).empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "a camera needs a name"));
    if (auto ok = checkText(say(ZELO_TEXT("core", "camera")), camera.name, kLongestName); !ok)
        return passOn(ok.error());
    if (auto ok = checkBalance(camera.balance); !ok)
        return passOn(ok.error(), camera.name);
    std::size_t used = camera.used;
    for (const auto& [name, other] : show->cameras)
        used += other->used && name != camera.name;
    if (used > mix::kMostCameras)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "{} cameras in use: at most {} at once"),
                    used, mix::kMostCameras);
    if (show->cameras.size() >= kMostKept && !show->cameras.contains(camera.name))
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a show has {} cameras at most"),
                    kMostKept);
    auto channels = storableChannels(camera);
    if (!channels)
        return passOn(channels.error());
    camera.channels = std::move(*channels);
    if (auto seen = colour::Camera::of(camera.name, camera.channels, colour::Spectrum::flat(1));
        !seen)
        return passOn(seen.error());
    Show next = *show;
    const std::string name = camera.name;
    next.cameras = next.cameras.with(name, std::move(camera));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeCamera(const ShowPtr& show, const std::string& name) {
    if (!show->cameras.contains(name))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no camera '{}'"), name);
    Show next = *show;
    next.cameras = next.cameras.without(name);
    return nextShow(std::move(next));
}

Result<ShowPtr> removeMeasured(const ShowPtr& show, const std::string& name) {
    if (!show->measured.contains(name))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no measured light '{}'"), name);
    Show next = *show;
    next.measured = next.measured.without(name);
    return nextShow(std::move(next));
}

Result<ShowPtr> toggleFavourite(const ShowPtr& show, const light::Asked& asked) {
    auto all = show->favourites ? *show->favourites : std::vector<light::Asked>();
    if (std::erase(all, asked) == 0)
        all.push_back(asked);
    if (all.size() > kMostKept)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a show has {} favourites at most"),
                    kMostKept);
    Show next = *show;
    next.favourites = std::make_shared<const std::vector<light::Asked>>(std::move(all));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeStage(const ShowPtr& show, StagePlan stage) {
    if (!stage.outline.empty() && stage.outline.size() < 3)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "the stage's outline needs three points or more"));
    if (stage.areas.size() > kMostAreas || stage.outline.size() > kMostPoints)
        return fail(ErrorCode::TooLarge,
                    ZELO_TEXT("core", "the stage has {} areas and {} corners at most"), kMostAreas,
                    kMostPoints);
    const auto far = [](const std::vector<Point>& outline) {
        return std::any_of(outline.begin(), outline.end(), [](const Point& p) {
            return !(std::abs(p.x_m) <= kFarthest_m && std::abs(p.y_m) <= kFarthest_m);
        });
    };
    if (far(stage.outline))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "the stage's outline: must be within -{}..{} m"), kFarthest_m,
                    kFarthest_m);
    if (far(stage.figures) || stage.figures.size() > kMostFigures)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "figures on stage: {} at most, within -{}..{} m"),
                    kMostFigures, kFarthest_m, kFarthest_m);
    for (Area& area : stage.areas) {
        area.name = toUtf8(std::move(area.name));
        if (auto ok = checkText(say(ZELO_TEXT("core", "area")), area.name, kLongestName); !ok)
            return passOn(ok.error());
        if (far(area.outline) || area.outline.size() > kMostPoints)
            return fail(
                ErrorCode::BadValue,
                ZELO_TEXT("core",
                          "area '{}': must be within -{}..{} m and have {} corners at most"),
                area.name, kFarthest_m, kFarthest_m, kMostPoints);
        if (trimmed(area.name).empty())
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "an area of the stage needs a name"));
        if (area.outline.size() < 3)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "area '{}': needs three points or more"), area.name);
    }
    Show next = *show;
    next.stage = std::make_shared<const StagePlan>(std::move(stage));
    return nextShow(std::move(next));
}

bool isIpv4(std::string_view address) {
    const auto parts = split(address, '.');
    return parts.size() == 4 && std::all_of(parts.begin(), parts.end(), [](std::string_view part) {
               const auto n = toInteger(part);
               return n && *n >= 0 && *n <= 255 && part.size() <= 3 && part[0] != '+';
           });
}

Done checkOutput(const OutputLine& line) {
    if (line.first < 1 || line.count < 1 || line.first + line.count - 1 > light::kLastUniverse)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "universes {} to {}: must be within 1..{}"), line.first,
                    line.first + line.count - 1, light::kLastUniverse);
    const bool art_net = line.protocol == Protocol::ArtNet;
    const int least = art_net ? 0 : 1;
    const int most = art_net ? 32767 : light::kLastUniverse;
    if (line.to < least || line.to + line.count - 1 > most)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "there {} to {}: must be within {}..{}"),
                    line.to, line.to + line.count - 1, least, most);
    constexpr int kMostPriority = 200;
    if (line.priority < 0 || line.priority > kMostPriority)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "priority {}: must be within 0..{}"),
                    line.priority, kMostPriority);
    if (!(line.address == "multicast" && !art_net) && !isIpv4(line.address))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': expected an IPv4 address{}"),
                    line.address, art_net ? "" : " or multicast");
    return {};
}

bool sameThere(const OutputLine& a, const OutputLine& b) {
    return a.protocol == b.protocol && a.address == b.address && a.to < b.to + b.count &&
           b.to < a.to + a.count;
}

Result<ShowPtr> changeOutputs(const ShowPtr& show, std::vector<OutputLine> outputs) {
    if (outputs.size() > kMostOutputs)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "{} outputs: at most {}"),
                    outputs.size(), kMostOutputs);
    for (std::size_t i = 0; i < outputs.size(); ++i)
        if (auto ok = checkOutput(outputs[i]); !ok)
            return passOn(ok.error(), say(ZELO_TEXT("core", "output {}"), i + 1));
    for (std::size_t i = 0; i < outputs.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            if (outputs[i].on && outputs[j].on && sameThere(outputs[i], outputs[j]))
                return fail(ErrorCode::BadValue,
                            ZELO_TEXT("core", "output {}: output {} sends to the same universe of "
                                              "{} already"),
                            i + 1, j + 1, outputs[i].address);
    Show next = *show;
    next.outputs = std::move(outputs);
    return nextShow(std::move(next));
}

Result<ShowPtr> keepType(const ShowPtr& show, std::shared_ptr<const light::FixtureType> type) {
    if (type->id.empty() || type->modes.empty())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "a fixture type needs a name and a mode"));
    if (show->types.size() >= kMostTypes && !show->types.contains(type->id))
        return fail(ErrorCode::TooLarge,
                    ZELO_TEXT("core", "a show has {} fixture types of its own at most"),
                    kMostTypes);
    Show next = *show;
    const std::string id = type->id;
    next.types = next.types.with(id, std::move(type));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeType(const ShowPtr& show, const std::string& id, bool known) {
    if (!show->types.contains(id))
        return fail(ErrorCode::NotFound,
                    ZELO_TEXT("core", "the show has no fixture type '{}' of its own"), id);
    const auto users = std::count_if(show->fixtures.begin(), show->fixtures.end(),
                                     [&](const auto& f) { return f.second->type == id; });
    if (users > 0 && !known)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} of the rig's fixtures are of type '{}'"), users, id);
    Show next = *show;
    next.types = next.types.without(id);
    return nextShow(std::move(next));
}

} // namespace zelo::show
