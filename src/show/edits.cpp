// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/edits.h"

#include "base/text.h"
#include "light/frame.h"
#include "show/detail/changed.h"
#include "show/holders.h"
#include "show/limits.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace zelo::show {

namespace {

Done within(const Fixture& f, const char* what, double value, double most) {
    if (std::abs(value) <= most) // NaN is not
        return {};
    return fail(ErrorCode::BadValue, ZELO_TEXT("core", "fixture {}: {} {}: must be within -{}..{}"),
                f.number, what, value, most, most);
}

void makeValid(Fixture& f) {
    for (std::string* text : {&f.label, &f.type, &f.mode, &f.note, &f.uid})
        *text = toUtf8(std::move(*text));
}

// The values of a lineup mostly are one and the same: so are then the changed ones.
template <class F>
HandPtr changed(const HandPtr& hand, const Lineup& lineup, F change) {
    std::map<const Value*, Values::Item> made;
    std::vector<Values::Change> changes;
    changes.reserve(lineup.size());
    for (const FixtureId id : lineup) {
        const Values::Item& before = hand->item(id);
        auto& after = made[before.get()];
        if (!after) {
            Value value = before ? *before : Value{};
            change(value);
            after = std::make_shared<const Value>(std::move(value));
        }
        changes.emplace_back(id, after);
    }
    return std::make_shared<const Values>(hand->changed(std::move(changes)));
}

template <class F>
Result<ShowPtr> changedGroup(const ShowPtr& show, GroupId id, F change) {
    const Group* old = show->group(id);
    if (!old)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no group with id {}"), id.value);
    if (old->locked)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "group '{}' is locked: unlock it first"),
                    old->name);
    Group group = *old;
    change(group);
    Show next = *show;
    next.groups = next.groups.with(id, std::move(group));
    return nextShow(std::move(next));
}

Done checkMembers(const Show& show, const std::vector<FixtureId>& fixtures) {
    if (fixtures.empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "a group needs at least one fixture"));
    if (fixtures.size() > kMostFixtures)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "{} fixtures in a group: at most {}"),
                    fixtures.size(), kMostFixtures);
    for (const FixtureId id : fixtures)
        if (!show.fixture(id))
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"), id.value);
    return {};
}

Done checkGroupName(const Show& show, const std::string& name, GroupId own) {
    if (trimmed(name).empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "a group needs a name"));
    for (const auto& [id, g] : show.groups)
        if (g->name == name && id != own)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "there is a group '{}' already"),
                        name);
    return checkText(say(ZELO_TEXT("core", "group")), name, kLongestName);
}

} // namespace

Done checkFixture(const Fixture& f) {
    if (f.type.empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "fixture {}: needs a fixture type"),
                    f.number);
    if (f.number < 0 || f.number > kLastNumber)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "number {}: must be within 0..{}"),
                    f.number, kLastNumber);
    if (f.universe < 1 || f.universe > light::kLastUniverse)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "fixture {}: universe {}: must be within 1..{}"), f.number,
                    f.universe, light::kLastUniverse);
    if (f.address < 1 || f.address > light::kSlots)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "fixture {}: address {}: must be within 1..512"), f.number,
                    f.address);
    for (const auto& [what, value] : {std::pair("x_m", f.place.x_m), std::pair("y_m", f.place.y_m),
                                      std::pair("z_m", f.place.z_m)})
        if (auto ok = within(f, what, value, kFarthest_m); !ok)
            return ok;
    if (auto ok = within(f, "aim_deg", f.place.aim_deg, kMostTurn_deg); !ok)
        return ok;
    for (const auto& [what, text, longest] :
         {std::tuple("label", &f.label, kLongestName), std::tuple("type", &f.type, kLongestName),
          std::tuple("mode", &f.mode, kLongestName), std::tuple("note", &f.note, kLongestNote)})
        if (auto ok = checkText(what, *text, longest); !ok)
            return passOn(ok.error(), say(ZELO_TEXT("core", "fixture {}"), f.number));
    for (const auto& [part, level] : f.home)
        if (!(level >= 0 && level <= 1))
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "fixture {}: home of {}: {}: must be within 0..1"),
                        f.number, part, level);
    return {};
}

Done checkText(const Sentence& what, const std::string& text, std::size_t longest) {
    if (text.size() > longest)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "{} '{}…': {} bytes, at most {}"), what,
                    toUtf8(text.substr(0, 40)), text.size(), longest);
    return {};
}

Result<colour::Spectrum> storable(const colour::Spectrum& spectrum) {
    colour::Grid grid = spectrum.values();
    for (std::size_t i = 0; i < grid.size(); ++i) {
        if (grid[i] > kMostPower)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "power {} at {} nm: must be within 0..{}"), grid[i],
                        colour::kGridFirstNm + static_cast<int>(i), kMostPower);
        grid[i] = static_cast<double>(static_cast<float>(grid[i]));
    }
    return colour::Spectrum(grid);
}

State emptyState() {
    Show show;
    show.name = "Untitled";
    return {std::make_shared<const Show>(std::move(show)), emptyHand()};
}

Result<ShowPtr> renameShow(const ShowPtr& show, std::string name) {
    name = toUtf8(std::move(name)); // first: it may grow
    if (trimmed(name).empty())
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "a show needs a name"));
    if (auto ok = checkText(say(ZELO_TEXT("core", "name")), name, kLongestName); !ok)
        return passOn(ok.error());
    Show next = *show;
    next.name = std::move(name);
    return nextShow(std::move(next));
}

Result<ShowPtr> restAtZero(
    const ShowPtr& show, const std::vector<FixtureId>& ids,
    const std::function<std::shared_ptr<const light::FixtureType>(const std::string&)>& type) {
    std::vector<FixtureId> there;
    for (const FixtureId id : ids)
        if (show->fixture(id))
            there.push_back(id);
    return changeEach(show, there, [&](Fixture& f, std::size_t) {
        const auto its = type(f.type);
        for (std::size_t e = 0; its && e < its->emitters.size(); ++e)
            f.home[its->emitters[e].name] = 0;
    });
}

Result<ShowPtr> addFixtures(const ShowPtr& show, std::vector<Fixture> fixtures,
                            std::vector<FixtureId>* added) {
    if (show->fixtures.size() + fixtures.size() > kMostFixtures)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "{} fixtures: a show has {} at most"),
                    show->fixtures.size() + fixtures.size(), kMostFixtures);
    if (show->last_fixture_id > kLastId - static_cast<int>(kMostFixtures))
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "this show has used up its ids"));
    Show next = *show;
    std::vector<Table<FixtureId, Fixture>::Change> changes;
    for (Fixture& fixture : fixtures) {
        makeValid(fixture);
        if (auto ok = checkFixture(fixture); !ok)
            return passOn(ok.error());
        fixture.id = {++next.last_fixture_id};
        const auto id = fixture.id;
        changes.emplace_back(id, std::make_shared<const Fixture>(std::move(fixture)));
        if (added)
            added->push_back(id);
    }
    next.fixtures = next.fixtures.changed(std::move(changes));
    return nextShow(std::move(next));
}

Result<ShowPtr> addFixture(const ShowPtr& show, Fixture fixture) {
    std::vector<Fixture> one;
    one.push_back(std::move(fixture));
    return addFixtures(show, std::move(one));
}

Result<ShowPtr> changeEach(const ShowPtr& show, std::span<const FixtureId> ids,
                           const std::function<void(Fixture&, std::size_t)>& change) {
    std::map<FixtureId, Fixture> now; // one may be named twice
    for (std::size_t i = 0; i < ids.size(); ++i) {
        const Fixture* f = show->fixture(ids[i]);
        if (!f)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"),
                        ids[i].value);
        Fixture& fixture = now.try_emplace(ids[i], *f).first->second;
        change(fixture, i);
        fixture.id = ids[i];
        makeValid(fixture);
        if (auto ok = checkFixture(fixture); !ok)
            return passOn(ok.error());
    }
    std::vector<Table<FixtureId, Fixture>::Change> changes;
    for (auto& [id, fixture] : now)
        changes.emplace_back(id, std::make_shared<const Fixture>(std::move(fixture)));
    Show next = *show;
    next.fixtures = next.fixtures.changed(std::move(changes));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeFixture(const ShowPtr& show, Fixture fixture) {
    const FixtureId id = fixture.id;
    return changeEach(show, std::span(&id, 1),
                      [&](Fixture& f, std::size_t) { f = std::move(fixture); });
}

Result<ShowPtr> calibrate(const ShowPtr& show, FixtureId id, Calibration calibration) {
    if (!(std::abs(calibration.off.u) <= kMostOff_uv && std::abs(calibration.off.v) <= kMostOff_uv))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "calibration {}, {}: must be within -{}..{}"),
                    calibration.off.u, calibration.off.v, kMostOff_uv, kMostOff_uv);
    for (auto& [emitter, spectrum] : calibration.emitters) {
        auto kept = storable(spectrum);
        if (!kept)
            return passOn(kept.error(), emitter);
        spectrum = std::move(*kept);
    }
    return changeEach(show, std::span(&id, 1), [&](Fixture& f, std::size_t) {
        f.calibration = calibration.empty()
                            ? nullptr
                            : std::make_shared<const Calibration>(std::move(calibration));
    });
}

Result<State> removeFixtures(const State& state, const std::vector<FixtureId>& ids) {
    std::vector<Table<FixtureId, Fixture>::Change> gone;
    for (const FixtureId id : ids) {
        if (!state.show->fixture(id))
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"), id.value);
        gone.emplace_back(id, nullptr);
    }
    Show next = *state.show;
    next.fixtures = next.fixtures.changed(std::move(gone));
    return pruned({nextShow(std::move(next)), state.hand});
}

Result<ShowPtr> addGroup(const ShowPtr& show, std::string name, std::vector<FixtureId> fixtures) {
    name = toUtf8(std::move(name));
    if (auto ok = checkGroupName(*show, name, {}); !ok)
        return passOn(ok.error());
    if (auto ok = checkMembers(*show, fixtures); !ok)
        return passOn(ok.error());
    if (show->groups.size() >= kMostKept)
        return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "a show has {} groups at most"),
                    kMostKept);
    Show next = *show;
    Group group;
    group.id = {++next.last_group_id};
    group.name = std::move(name);
    group.fixtures = std::move(fixtures);
    const auto id = group.id;
    next.groups = next.groups.with(id, std::move(group));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeGroup(const ShowPtr& show, GroupId id) {
    auto sound = changedGroup(show, id, [](Group&) {});
    if (!sound)
        return sound;
    for (const auto& [fader_id, fader] : show->faders)
        if (fader->group == id)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "fader '{}' plays group '{}'"),
                        fader->name, show->group(id)->name);
    Show next = *show;
    next.groups = next.groups.without(id);
    return nextShow(std::move(next));
}

Result<ShowPtr> renameGroup(const ShowPtr& show, GroupId id, std::string name) {
    name = toUtf8(std::move(name));
    if (auto ok = checkGroupName(*show, name, id); !ok)
        return passOn(ok.error());
    return changedGroup(show, id, [&](Group& g) { g.name = std::move(name); });
}

Result<ShowPtr> refillGroup(const ShowPtr& show, GroupId id, std::vector<FixtureId> fixtures) {
    if (auto ok = checkMembers(*show, fixtures); !ok)
        return passOn(ok.error());
    return changedGroup(show, id, [&](Group& g) { g.fixtures = std::move(fixtures); });
}

Result<ShowPtr> keepHand(const ShowPtr& show, const Values& hand) {
    std::vector<Values::Change> kept;
    for (const auto& [id, value] : hand)
        if (show->fixture(id) && !value->empty()) {
            Value all = valueOf(*show, hand, id);
            if (all.intensity && all.intensity->here()) { // a number of its own: nothing to trim
                all.intensity = std::min(1.0, *all.intensity->here() * all.trim);
                all.trim = 1;
            }
            kept.emplace_back(id, std::make_shared<const Value>(std::move(all)));
        }
    Show next = *show;
    next.standing = next.standing.changed(std::move(kept));
    return nextShow(std::move(next));
}

HandPtr withColour(const HandPtr& hand, const Lineup& lineup, const ColourWish& colour) {
    return changed(hand, lineup, [&](Value& v) {
        v.colour = colour;
        v.nudge = {0, 0};
        v.parts.clear();
    });
}

HandPtr withIntensity(const HandPtr& hand, const Lineup& lineup, double intensity) {
    return changed(hand, lineup, [&](Value& v) {
        v.intensity = std::clamp(intensity, 0.0, 1.0);
        v.trim = 1;
    });
}

HandPtr withLaying(const HandPtr& hand, const LayingPtr& laying, bool intensity) {
    return changed(hand, laying->lamps, [&](Value& v) {
        v.colour = laying;
        v.nudge = {0, 0};
        v.parts.clear();
        if (intensity) {
            v.intensity = laying;
            v.trim = 1;
        }
    });
}

HandPtr withPalette(const HandPtr& hand, const Lineup& lineup, const Palette& palette) {
    if (palette.gradient)
        return withLaying(hand, std::make_shared<const Laying>(Laying{palette.id, {}, lineup}),
                          palette.gradient->givesIntensity());
    return changed(hand, lineup, [&](Value& v) {
        if (palette.intensity) {
            v.intensity = palette.id;
            v.trim = 1;
        }
        if (palette.colour) {
            v.colour = palette.id;
            v.nudge = {0, 0};
            v.parts.clear();
        }
    });
}

HandPtr withParts(const HandPtr& hand, const Lineup& lineup, const PartLevels& parts) {
    return changed(hand, lineup, [&](Value& v) {
        for (const auto& [part, level] : parts)
            v.parts[part] = std::clamp(level, 0.0, 1.0);
    });
}

HandPtr withSetting(const HandPtr& hand, const Lineup& lineup, const std::string& name,
                    double share) {
    return changed(hand, lineup, [&](Value& v) { v.settings[name] = std::clamp(share, 0.0, 1.0); });
}

Result<ShowPtr> lockLamps(const ShowPtr& show, const Values& shown) {
    std::vector<Values::Change> locked;
    for (const auto& [id, value] : shown) {
        if (!show->fixture(id))
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"), id.value);
        locked.emplace_back(id, value);
    }
    Show next = *show;
    next.locked = next.locked.changed(std::move(locked));
    return nextShow(std::move(next));
}

Result<ShowPtr> unlockLamps(const ShowPtr& show, const Lineup& lineup) {
    std::vector<Values::Change> gone;
    for (const FixtureId id : lineup)
        if (show->locked.contains(id))
            gone.emplace_back(id, nullptr);
    Show next = *show;
    next.locked = next.locked.changed(std::move(gone));
    return nextShow(std::move(next));
}

Values byOrder(const Values& values, const Lineup& from, const Lineup& to) {
    std::vector<Values::Change> all;
    std::map<const Laying*, LayingPtr> over; // gradients, over these lamps
    const auto moved = [&](auto& source) {
        const LayingPtr* laying = source ? source->laying() : nullptr;
        if (!laying)
            return;
        LayingPtr& here = over[laying->get()];
        if (!here) {
            Laying copy = **laying;
            copy.lamps = to;
            here = std::make_shared<const Laying>(std::move(copy));
        }
        source = here;
    };
    for (std::size_t i = 0; i < to.size() && !from.empty(); ++i)
        if (const Value* value = values.find(from[i % from.size()])) {
            Value copy = *value;
            moved(copy.colour);
            moved(copy.intensity);
            all.emplace_back(to[i], std::make_shared<const Value>(std::move(copy)));
        }
    return Values{}.changed(std::move(all));
}

namespace {

// The very same hand where nothing goes.
template <class F>
HandPtr less(const HandPtr& hand, const Lineup& lineup, F lessen) {
    Values left = lessened(*hand, lineup, lessen);
    return left == *hand ? hand : std::make_shared<const Values>(std::move(left));
}

} // namespace

HandPtr putDown(const HandPtr& hand, const Lineup& lineup, Which which) {
    return less(hand, lineup, [&](Value& value) { letGo(value, which); });
}

HandPtr putDownSetting(const HandPtr& hand, const Lineup& lineup, const std::string& name) {
    return less(hand, lineup, [&](Value& value) { value.settings.erase(name); });
}

} // namespace zelo::show
