// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/edits.h"

#include "base/assert.h"
#include "base/text.h"
#include "light/frame.h"

#include <algorithm>

namespace zelo::show {

namespace {

Done checkFixture(const Fixture& f) {
    if (f.type.empty())
        return fail(ErrorCode::BadValue, "fixture {}: needs a fixture type", f.number);
    if (f.universe < 1 || f.universe > light::kLastUniverse)
        return fail(ErrorCode::BadValue, "fixture {}: universe {}: must be within 1..{}", f.number,
                    f.universe, light::kLastUniverse);
    if (f.address < 1 || f.address > light::kSlots)
        return fail(ErrorCode::BadValue, "fixture {}: address {}: must be within 1..512", f.number,
                    f.address);
    return {};
}

template <class F>
HandPtr changed(const HandPtr& hand, const Lineup& lineup, F change) {
    Values next = *hand;
    for (const FixtureId id : lineup) {
        auto& part = next[id];
        Value value = part ? *part : Value{};
        change(value);
        part = std::make_shared<const Value>(std::move(value));
    }
    return std::make_shared<const Values>(std::move(next));
}

template <class F>
Result<ShowPtr> changedGroup(const ShowPtr& show, GroupId id, F change) {
    Show next = *show;
    for (auto& g : next.groups)
        if (g->id == id) {
            Group group = *g;
            change(group);
            g = std::make_shared<const Group>(std::move(group));
            return nextShow(std::move(next));
        }
    return fail(ErrorCode::NotFound, "no group with id {}", id.value);
}

} // namespace

Result<ShowPtr> renameShow(const ShowPtr& show, std::string name) {
    if (trimmed(name).empty())
        return fail(ErrorCode::BadValue, "a show needs a name");
    Show next = *show;
    next.name = std::move(name);
    return nextShow(std::move(next));
}

Result<ShowPtr> addFixture(const ShowPtr& show, Fixture fixture) {
    if (auto ok = checkFixture(fixture); !ok)
        return passOn(ok.error());
    Show next = *show;
    const FixtureId id{++next.last_fixture_id};
    fixture.id = id;
    next.fixtures[id] = std::make_shared<const Fixture>(std::move(fixture));
    return nextShow(std::move(next));
}

Result<ShowPtr> changeFixture(const ShowPtr& show, Fixture fixture) {
    if (!show->fixture(fixture.id))
        return fail(ErrorCode::NotFound, "no fixture with id {}", fixture.id.value);
    if (auto ok = checkFixture(fixture); !ok)
        return passOn(ok.error());
    Show next = *show;
    const auto id = fixture.id;
    next.fixtures[id] = std::make_shared<const Fixture>(std::move(fixture));
    return nextShow(std::move(next));
}

Result<ShowPtr> calibrate(const ShowPtr& show, FixtureId id, Calibration calibration) {
    const Fixture* f = show->fixture(id);
    if (!f)
        return fail(ErrorCode::NotFound, "no fixture with id {}", id.value);
    Fixture next = *f;
    next.calibration =
        calibration.empty() ? nullptr : std::make_shared<const Calibration>(std::move(calibration));
    return changeFixture(show, std::move(next));
}

Result<ShowPtr> removeFixtures(const ShowPtr& show, const std::vector<FixtureId>& ids) {
    Show next = *show;
    for (const FixtureId id : ids) {
        if (next.fixtures.erase(id) == 0)
            return fail(ErrorCode::NotFound, "no fixture with id {}", id.value);
        next.look.erase(id);
        for (auto& look : next.looks)
            if (look->values.contains(id)) {
                Look without = *look;
                without.values.erase(id);
                look = std::make_shared<const Look>(std::move(without));
            }
    }
    for (auto& group : next.groups) {
        Group kept = *group;
        std::erase_if(kept.fixtures, [&](FixtureId id) { return !next.fixtures.contains(id); });
        if (!(kept == *group))
            group = std::make_shared<const Group>(std::move(kept));
    }
    return nextShow(std::move(next));
}

Result<ShowPtr> addGroup(const ShowPtr& show, std::string name, std::vector<FixtureId> fixtures) {
    if (trimmed(name).empty())
        return fail(ErrorCode::BadValue, "a group needs a name");
    if (fixtures.empty())
        return fail(ErrorCode::BadValue, "group '{}': needs at least one fixture", name);
    for (const auto& g : show->groups)
        if (g->name == name)
            return fail(ErrorCode::BadValue, "there is a group '{}' already", name);
    for (const FixtureId id : fixtures)
        if (!show->fixture(id))
            return fail(ErrorCode::NotFound, "no fixture with id {}", id.value);
    Show next = *show;
    next.groups.push_back(std::make_shared<const Group>(
        Group{{++next.last_group_id}, std::move(name), std::move(fixtures), {}}));
    return nextShow(std::move(next));
}

Result<ShowPtr> removeGroup(const ShowPtr& show, GroupId id) {
    Show next = *show;
    if (std::erase_if(next.groups, [&](const auto& g) { return g->id == id; }) == 0)
        return fail(ErrorCode::NotFound, "no group with id {}", id.value);
    return nextShow(std::move(next));
}

Result<ShowPtr> renameGroup(const ShowPtr& show, GroupId id, std::string name) {
    if (trimmed(name).empty())
        return fail(ErrorCode::BadValue, "a group needs a name");
    for (const auto& g : show->groups)
        if (g->name == name && g->id != id)
            return fail(ErrorCode::BadValue, "there is a group '{}' already", name);
    return changedGroup(show, id, [&](Group& g) { g.name = std::move(name); });
}

Result<ShowPtr> refillGroup(const ShowPtr& show, GroupId id, std::vector<FixtureId> fixtures) {
    if (fixtures.empty())
        return fail(ErrorCode::BadValue, "a group needs at least one fixture");
    for (const FixtureId f : fixtures)
        if (!show->fixture(f))
            return fail(ErrorCode::NotFound, "no fixture with id {}", f.value);
    return changedGroup(show, id, [&](Group& g) { g.fixtures = std::move(fixtures); });
}

Result<ShowPtr> keepHand(const ShowPtr& show, const Values& hand) {
    Show next = *show;
    for (const auto& [id, value] : hand)
        if (show->fixture(id) && !value->empty())
            next.look[id] = std::make_shared<const Value>(shownValue(*show, hand, id));
    return nextShow(std::move(next));
}

HandPtr withColour(const HandPtr& hand, const Lineup& lineup, const ColourWish& colour) {
    return changed(hand, lineup, [&](Value& v) {
        v.colour = colour;
        v.colour_from = {};
        v.drives.reset();
    });
}

HandPtr withIntensity(const HandPtr& hand, const Lineup& lineup, double intensity) {
    return changed(hand, lineup, [&](Value& v) {
        v.intensity = std::clamp(intensity, 0.0, 1.0);
        v.intensity_from = {};
    });
}

HandPtr withPalette(const HandPtr& hand, const Lineup& lineup, const Palette& palette) {
    return changed(hand, lineup, [&](Value& v) {
        if (palette.intensity) {
            v.intensity = palette.intensity;
            v.intensity_from = palette.id;
        }
        if (palette.colour) {
            v.colour = palette.colour;
            v.colour_from = palette.id;
            v.drives.reset();
        }
    });
}

HandPtr withDrives(const HandPtr& hand, const Lineup& lineup, const light::Drives& drives,
                   const std::optional<ColourWish>& colour) {
    return changed(hand, lineup, [&](Value& v) {
        v.drives = drives;
        if (colour) {
            v.colour = colour;
            v.colour_from = {};
        }
    });
}

HandPtr putDown(const HandPtr& hand, const Lineup& lineup) {
    Values next = *hand;
    for (const FixtureId id : lineup)
        next.erase(id);
    return std::make_shared<const Values>(std::move(next));
}

} // namespace zelo::show
