// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/cue_edits.h"

#include "show/detail/changed.h"
#include "show/detail/kept_checks.h"

#include <algorithm>
#include <cmath>

namespace zelo::show {

namespace {

Sentence listName() {
    return say(ZELO_TEXT("core", "cue list"));
}

Done checkTimes(const Sentence& what, std::initializer_list<double> times) {
    for (const double t : times)
        if (!(t >= 0 && t <= kLongest_s)) // NaN is not
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "{}: a time of {} s: must be within 0..{}"), what, t,
                        kLongest_s);
    return {};
}

Done checkCue(const Cue& cue) {
    const Sentence what = say(ZELO_TEXT("core", "cue {}"), toText(cue.number));
    if (cue.number.thousandths < 1 || cue.number.thousandths > kMostCueNumber)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: its number is out of range"), what);
    if (auto ok = checkText(what, cue.name, kLongestName); !ok)
        return ok;
    if (auto ok = checkText(what, cue.note, kLongestNote); !ok)
        return ok;
    return checkTimes(what,
                      {cue.up_s, cue.down_s, cue.up_delay_s, cue.down_delay_s,
                       cue.colour_s.value_or(0), cue.colour_delay_s.value_or(0), cue.follow_s});
}

// The list to be changed, when that is allowed.
Result<const CueList*> openList(const Show& show, CueListId id) {
    const CueList* list = show.cue_lists.find(id);
    if (!list)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue list with id {}"), id.value);
    if (list->locked)
        return passOn(locked(listName(), list->name).error());
    return list;
}

ShowPtr withList(const ShowPtr& show, CueList list) {
    Show next = *show;
    const auto id = list.id;
    next.cue_lists = next.cue_lists.with(id, std::move(list));
    return nextShow(std::move(next));
}

Done lockedCue(const Cue& cue) {
    return fail(ErrorCode::BadValue,
                ZELO_TEXT("core", "cue {} is locked: unlock it first, in the menu of its row"),
                toText(cue.number));
}

// What `later` says over what stood before.
void sayOver(Value& value, const Value& later) {
    if (later.intensity) {
        value.intensity = later.intensity;
        value.trim = later.trim;
    }
    if (later.colour) {
        value.colour = later.colour;
        value.nudge = later.nudge;
        value.parts.clear();
    }
    for (const auto& [part, level] : later.parts)
        value.parts[part] = level;
    for (const auto& [setting, share] : later.settings)
        value.settings[setting] = share;
}

// What plays goes among the others, by name.
void putBeside(Cue& cue) {
    cue.versions.push_back({cue.versionName(), cue.values});
    std::sort(cue.versions.begin(), cue.versions.end(),
              [](const CueVersion& a, const CueVersion& b) { return a.name < b.name; });
}

} // namespace

Result<ShowPtr> addCueList(const ShowPtr& show, CueList list) {
    list.name = toUtf8(std::move(list.name));
    if (auto ok = checkName(show->cue_lists, listName(), list.name, CueListId{}); !ok)
        return passOn(ok.error());
    if (auto ok = checkTimes(list.name, {list.back_s, list.release_s}); !ok)
        return passOn(ok.error());
    Show next = *show;
    list.id = {++next.last_cue_list_id};
    const auto id = list.id;
    next.cue_lists = next.cue_lists.with(id, std::move(list));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeCueList(const ShowPtr& show, CueList list) {
    const CueList* old = show->cue_lists.find(list.id);
    if (!old)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue list with id {}"),
                    list.id.value);
    list.name = toUtf8(std::move(list.name));
    list.cues = old->cues;
    if (auto ok = checkChanged(show->cue_lists, listName(), *old, list); !ok)
        return passOn(ok.error());
    if (auto ok = checkTimes(list.name, {list.back_s, list.release_s}); !ok)
        return passOn(ok.error());
    return withList(show, std::move(list));
}

Result<ShowPtr> removeCueList(const ShowPtr& show, CueListId id) {
    if (const auto list = openList(*show, id); !list)
        return passOn(list.error());
    for (const auto& [fader_id, fader] : show->faders)
        if (fader->list == id)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "fader '{}' plays this list"),
                        fader->name);
    Show next = *show;
    next.cue_lists = next.cue_lists.without(id);
    return nextShow(std::move(next));
}

Result<ShowPtr> keepCue(const ShowPtr& show, CueListId list, Cue cue) {
    const auto open = openList(*show, list);
    if (!open)
        return passOn(open.error());
    cue.name = toUtf8(std::move(cue.name));
    cue.note = toUtf8(std::move(cue.note));
    if (auto ok = checkCue(cue); !ok)
        return passOn(ok.error());
    const Cue* old = (*open)->cues.find(cue.number);
    if (old && old->locked) {
        Cue same = *old;
        same.locked = cue.locked;
        if (!(same == cue))
            return passOn(lockedCue(*old).error());
    }
    if (!old && (*open)->cues.size() >= kMostCues)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a list has {} cues at most"),
                    kMostCues);
    CueList next = **open;
    const CueNumber number = cue.number;
    next.cues = next.cues.with(number, std::move(cue));
    return withList(show, std::move(next));
}

Result<ShowPtr> keepAsCue(const State& state, const Lineup& lineup, CueListId list, Cue cue,
                          bool changed_only) {
    std::vector<Values::Change> shown;
    for (const FixtureId id : lineup)
        shown.emplace_back(id,
                           std::make_shared<const Value>(valueOf(*state.show, *state.hand, id)));
    return keepAsCue(state.show, Values{}.changed(std::move(shown)), lineup, list, std::move(cue),
                     changed_only);
}

Result<ShowPtr> keepAsCue(const ShowPtr& show, const Values& shown, const Lineup& lineup,
                          CueListId list, Cue cue, bool changed_only) {
    const CueList* into = show->cue_lists.find(list);
    if (!into)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue list with id {}"), list.value);
    CueList before = *into;
    before.cues = before.cues.withoutIf([&](CueNumber n, const Cue&) { return !(n < cue.number); });
    const Values stands = before.cues.empty()
                              ? Values{}
                              : standsFor(before, before.cues.entry(before.cues.size() - 1).first);
    std::vector<Values::Change> values;
    for (const FixtureId id : lineup) {
        const Value* there = shown.find(id);
        Value value = there ? *there : Value{};
        if (const Value* known = changed_only ? stands.find(id) : nullptr) {
            if (value.intensity == known->intensity)
                value.intensity.reset();
            if (value.colour == known->colour && value.parts == known->parts) {
                value.colour.reset();
                value.parts.clear();
            }
            std::erase_if(value.settings, [&](const auto& setting) {
                const auto it = known->settings.find(setting.first);
                return it != known->settings.end() && it->second == setting.second;
            });
        }
        if (!value.empty())
            values.emplace_back(id, std::make_shared<const Value>(std::move(value)));
    }
    if (values.empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "cue {}: nothing in it to keep"),
                    toText(cue.number));
    cue.values = Values::of(std::move(values));
    return keepCue(show, list, std::move(cue));
}

Result<ShowPtr> removeCue(const ShowPtr& show, CueListId list, CueNumber number) {
    const auto open = openList(*show, list);
    if (!open)
        return passOn(open.error());
    const Cue* cue = (*open)->cues.find(number);
    if (!cue)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue {} in '{}'"), toText(number),
                    (*open)->name);
    if (cue->locked)
        return passOn(lockedCue(*cue).error());
    CueList next = **open;
    next.cues = next.cues.without(number);
    return withList(show, std::move(next));
}

namespace {

// Those cues, when they may all be changed.
Result<std::vector<std::shared_ptr<const Cue>>> openCues(const CueList& list,
                                                         const CueNumbers& numbers) {
    std::vector<std::shared_ptr<const Cue>> cues;
    for (const CueNumber number : numbers) {
        const auto& cue = list.cues.item(number);
        if (!cue)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue {} in '{}'"), toText(number),
                        list.name);
        if (cue->locked)
            return passOn(lockedCue(*cue).error());
        cues.push_back(cue);
    }
    return cues;
}

} // namespace

Result<ShowPtr> changeCues(const ShowPtr& show, CueListId list, const CueNumbers& numbers,
                           const std::function<void(Cue&)>& change) {
    ShowPtr next = show;
    for (const CueNumber number : numbers) {
        const CueList* now = next->cue_lists.find(list);
        const Cue* cue = now ? now->cues.find(number) : nullptr;
        if (now && !cue)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue {} in '{}'"), toText(number),
                        now->name);
        Cue changed = cue ? *cue : Cue{};
        change(changed);
        changed.number = number;
        auto kept = keepCue(next, list, std::move(changed));
        if (!kept)
            return kept;
        next = *kept;
    }
    return next;
}

Result<ShowPtr> removeCues(const ShowPtr& show, CueListId list, const CueNumbers& numbers) {
    const auto open = openList(*show, list);
    if (!open)
        return passOn(open.error());
    if (const auto cues = openCues(**open, numbers); !cues)
        return passOn(cues.error());
    CueList next = **open;
    next.cues = next.cues.withoutIf([&](CueNumber n, const Cue&) {
        return std::find(numbers.begin(), numbers.end(), n) != numbers.end();
    });
    return withList(show, std::move(next));
}

Result<ShowPtr> renumberCues(const ShowPtr& show, CueListId list, const CueNumbers& numbers,
                             CueNumber first, CueNumber step) {
    const auto open = openList(*show, list);
    if (!open)
        return passOn(open.error());
    const auto cues = openCues(**open, numbers);
    if (!cues)
        return passOn(cues.error());
    CueList next = **open;
    next.cues = next.cues.withoutIf([&](CueNumber n, const Cue&) {
        return std::find(numbers.begin(), numbers.end(), n) != numbers.end();
    });
    long long to = first.thousandths;
    std::vector<Table<CueNumber, Cue>::Change> renumbered;
    for (const auto& cue : *cues) {
        if (to < 1 || to > kMostCueNumber)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "cue {}: its new number would be out of range"),
                        toText(cue->number));
        Cue moved = *cue;
        moved.number = {static_cast<int>(to)};
        if (next.cues.find(moved.number))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "there is a cue {} already"),
                        toText(moved.number));
        renumbered.emplace_back(moved.number, std::make_shared<const Cue>(std::move(moved)));
        to += step.thousandths;
    }
    next.cues = next.cues.changed(std::move(renumbered));
    return withList(show, std::move(next));
}

Result<ShowPtr> swapCues(const ShowPtr& show, CueListId list, CueNumber a, CueNumber b) {
    const auto open = openList(*show, list);
    if (!open)
        return passOn(open.error());
    const auto cues = openCues(**open, {a, b});
    if (!cues)
        return passOn(cues.error());
    Cue first = *(*cues)[0];
    Cue second = *(*cues)[1];
    std::swap(first.number, second.number);
    CueList next = **open;
    next.cues = next.cues.with(a, std::move(second)).with(b, std::move(first));
    return withList(show, std::move(next));
}

Result<Copied> insertCues(const ShowPtr& show, CueListId list, std::optional<CueNumber> after,
                          std::vector<Cue> cues) {
    Copied copied{show, {}};
    for (Cue& cue : cues) {
        const CueList* now = copied.show->cue_lists.find(list);
        if (!now)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue list with id {}"),
                        list.value);
        const auto number = numberAfter(*now, after);
        if (!number)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "no number is free after cue {}: renumber first"),
                        after ? toText(*after) : "0");
        cue.number = *number;
        cue.locked = false;
        const auto kept = keepCue(copied.show, list, std::move(cue));
        if (!kept)
            return passOn(kept.error());
        copied.show = *kept;
        copied.numbers.push_back(*number);
        after = number;
    }
    return copied;
}

Result<ShowPtr> letGoInCue(const ShowPtr& show, CueListId list, CueNumber number,
                           const Lineup& lineup, Which what) {
    return changeCues(show, list, {number}, [&](Cue& cue) {
        cue.values = lessened(cue.values, lineup, [&](Value& value) { letGo(value, what); });
    });
}

Result<ShowPtr> keepVersion(const ShowPtr& show, CueListId list, CueNumber number, Values values,
                            std::string* named) {
    const CueList* in = show->cue_lists.find(list);
    const Cue* cue = in ? in->cues.find(number) : nullptr;
    if (cue && cue->versions.size() + 1 >= kMostVersions)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a cue has {} versions at most"),
                    kMostVersions);
    return changeCues(show, list, {number}, [&](Cue& c) {
        const auto taken = [&](const std::string& name) {
            return name == c.versionName() ||
                   std::any_of(c.versions.begin(), c.versions.end(),
                               [&](const CueVersion& v) { return v.name == name; });
        };
        std::string name = "a";
        while (taken(name))
            ++name.back();
        putBeside(c);
        c.values = values;
        c.version = name;
        if (named)
            *named = name;
    });
}

namespace {

Error noVersion(CueNumber number, const std::string& name) {
    return Error{ErrorCode::NotFound,
                 say(ZELO_TEXT("core", "cue {} has no version '{}'"), toText(number), name),
                 {}};
}

} // namespace

Result<ShowPtr> playVersion(const ShowPtr& show, CueListId list, CueNumber number,
                            const std::string& name) {
    bool found = false;
    auto next = changeCues(show, list, {number}, [&](Cue& c) {
        const auto it = std::find_if(c.versions.begin(), c.versions.end(),
                                     [&](const CueVersion& v) { return v.name == name; });
        found = it != c.versions.end();
        if (!found)
            return;
        Values values = it->values;
        c.versions.erase(it);
        putBeside(c);
        c.values = std::move(values);
        c.version = name;
    });
    if (next && !found)
        return passOn(noVersion(number, name));
    return next;
}

Result<ShowPtr> dropVersion(const ShowPtr& show, CueListId list, CueNumber number,
                            const std::string& name) {
    bool found = false;
    auto next = changeCues(show, list, {number}, [&](Cue& c) {
        found = std::erase_if(c.versions, [&](const CueVersion& v) { return v.name == name; }) > 0;
    });
    if (next && !found)
        return passOn(noVersion(number, name));
    return next;
}

Result<ShowPtr> asInCue(const ShowPtr& show, CueListId list, CueNumber number, CueNumber as,
                        const Lineup& lineup) {
    const CueList* in = show->cue_lists.find(list);
    if (in && !in->cues.find(as))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue {} in '{}'"), toText(as),
                    in->name);
    const Values stands = in ? standsFor(*in, as) : Values{};
    return changeCues(show, list, {number}, [&](Cue& cue) {
        std::vector<Values::Change> changes;
        for (const FixtureId id : lineup)
            if (const auto& value = stands.item(id))
                changes.emplace_back(id, value);
        cue.values = cue.values.changed(std::move(changes));
    });
}

std::optional<CueNumber> numberAfter(const CueList& list, std::optional<CueNumber> after) {
    const int from = after ? after->thousandths : 0;
    int to = kMostCueNumber + 1; // the next one that is taken
    for (const auto& [number, cue] : list.cues)
        if (number.thousandths > from) {
            to = number.thousandths;
            break;
        }
    for (const int step : {1000, 500, 100, 10, 1}) { // the shortest that lies between
        const int next = from / step * step + step;
        if (next > from && next < to)
            return CueNumber{next};
    }
    return std::nullopt;
}

namespace {

Done checkSource(const Show& show, Fader& fader) {
    if (fader.look.value != 0 && !show.lookOf(fader.look))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no look with id {}"), fader.look.value);
    if (fader.list.value != 0 && !show.cue_lists.find(fader.list))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no cue list with id {}"),
                    fader.list.value);
    if (fader.ripple && !show.ripples.find(fader.ripple))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no ripple with id {}"),
                    fader.ripple.value);
    if (fader.group.value != 0 && !show.group(fader.group))
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no group with id {}"),
                    fader.group.value);
    if (fader.emitters.size() > kMostEmittersOfFader)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a fader has {} emitters at most"),
                    kMostEmittersOfFader);
    for (std::string& name : fader.emitters) {
        name = toUtf8(std::move(name));
        if (auto ok = checkText(say(ZELO_TEXT("core", "emitter")), name, kLongestName); !ok)
            return ok;
    }
    if (fader.look.value == 0 && fader.list.value == 0 && fader.group.value == 0 && !fader.ripple &&
        !fader.ofEmitters())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "fader '{}': needs a look, a list, a group or emitters"),
                    fader.name);
    return {};
}

} // namespace

Result<ShowPtr> addFader(const ShowPtr& show, Fader fader) {
    fader.name = toUtf8(std::move(fader.name));
    if (auto ok = checkName(show->faders, say(ZELO_TEXT("core", "fader")), fader.name, FaderId{});
        !ok)
        return passOn(ok.error());
    if (auto ok = checkSource(*show, fader); !ok)
        return passOn(ok.error());
    Show next = *show;
    fader.id = {++next.last_fader_id};
    const auto id = fader.id;
    next.faders = next.faders.with(id, std::move(fader));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeFader(const ShowPtr& show, Fader fader) {
    const Fader* old = show->faders.find(fader.id);
    if (!old)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fader with id {}"), fader.id.value);
    fader.name = toUtf8(std::move(fader.name));
    if (auto ok = checkChanged(show->faders, say(ZELO_TEXT("core", "fader")), *old, fader); !ok)
        return passOn(ok.error());
    if (auto ok = checkSource(*show, fader); !ok)
        return passOn(ok.error());
    Show next = *show;
    const auto id = fader.id;
    next.faders = next.faders.with(id, std::move(fader));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeFader(const ShowPtr& show, FaderId id) {
    const Fader* fader = show->faders.find(id);
    if (!fader)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fader with id {}"), id.value);
    if (fader->locked)
        return passOn(locked(say(ZELO_TEXT("core", "fader")), fader->name).error());
    Show next = *show;
    next.faders = next.faders.without(id);
    return nextShow(std::move(next));
}

SaidBy saidBy(const CueList& list, CueNumber number, FixtureId lamp) {
    SaidBy by;
    for (const auto& [at, cue] : list.cues) {
        if (number < at)
            break;
        const Value* value = cue->values.find(lamp);
        if (value && value->intensity)
            by.intensity = at;
        if (value && (value->colour || !value->parts.empty()))
            by.colour = at;
    }
    return by;
}

Values standsFor(const CueList& list, CueNumber number) {
    std::map<FixtureId, Value> all;
    for (const auto& [n, cue] : list.cues) {
        if (number < n)
            break;
        for (const auto& [id, value] : cue->values)
            sayOver(all[id], *value);
    }
    std::vector<Values::Change> values;
    for (auto& [id, value] : all)
        values.emplace_back(id, std::make_shared<const Value>(std::move(value)));
    return Values::of(std::move(values));
}

} // namespace zelo::show
