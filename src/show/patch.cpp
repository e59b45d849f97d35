// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/patch.h"

#include "base/text.h"
#include "light/frame.h"
#include "show/edits.h"

#include <algorithm>

namespace zelo::show {

namespace {

constexpr int kMostAtOnce = 2000;

struct Taken {
    int from = 1, to = 1; // both in it
    FixtureId id;
};

// Slots in use by universe, by their first.
std::map<int, std::vector<Taken>> takenSlots(const Show& show, const SlotsOf& slots_of,
                                             std::span<const FixtureId> but) {
    std::map<int, std::vector<Taken>> all;
    for (const auto& [id, f] : show.fixtures) {
        if (std::find(but.begin(), but.end(), id) != but.end())
            continue;
        if (const int slots = slots_of(*f); slots > 0)
            all[f->universe].push_back({f->address, f->address + slots - 1, id});
    }
    for (auto& [universe, taken] : all)
        std::sort(taken.begin(), taken.end(),
                  [](const Taken& a, const Taken& b) { return a.from < b.from; });
    return all;
}

} // namespace

PatchFaults patchFaults(const Show& show, const SlotsOf& slots_of) {
    PatchFaults faults;
    for (const auto& [universe, taken] : takenSlots(show, slots_of, {}))
        for (std::size_t i = 0; i < taken.size(); ++i) {
            if (taken[i].to > kSlotsInUniverse)
                faults.past_end.push_back(taken[i].id);
            for (std::size_t k = i + 1; k < taken.size() && taken[k].from <= taken[i].to; ++k)
                faults.clashes.push_back({taken[k].id, taken[i].id,
                                          std::min(taken[i].to, taken[k].to) - taken[k].from + 1});
        }
    return faults;
}

std::optional<Address> nextFree(const Show& show, const SlotsOf& slots_of, int count, Address from,
                                std::span<const FixtureId> moving) {
    if (count < 1 || count > kSlotsInUniverse)
        return std::nullopt;
    const auto all = takenSlots(show, slots_of, moving);
    for (int universe = from.universe; universe <= light::kLastUniverse; ++universe) {
        int slot = universe == from.universe ? from.slot : 1;
        if (const auto taken = all.find(universe); taken != all.end())
            for (const Taken& t : taken->second) {
                if (t.to < slot)
                    continue;
                if (t.from >= slot + count)
                    break;
                slot = t.to + 1;
            }
        if (slot + count - 1 <= kSlotsInUniverse)
            return Address{static_cast<std::uint16_t>(universe), slot};
    }
    return std::nullopt;
}

Result<ShowPtr> addMany(const ShowPtr& show, const AddWish& wish, std::vector<FixtureId>* added) {
    if (wish.count < 1 || wish.count > kMostAtOnce)
        return fail(ErrorCode::BadValue, "{} fixtures: must be within 1..{}", wish.count,
                    kMostAtOnce);
    if (wish.footprint < 1 || wish.footprint > kSlotsInUniverse || wish.spacing < 0)
        return fail(ErrorCode::BadValue, "{} slots, {} apart: must be within 1..{}", wish.footprint,
                    wish.spacing, kSlotsInUniverse);
    const int pitch = wish.spacing > 0 ? wish.spacing : wish.footprint;
    ShowPtr next = show;
    int universe = wish.like.universe;
    int address = wish.like.address;
    for (int i = 0; i < wish.count; ++i) {
        if (i > 0 && address + wish.footprint - 1 > kSlotsInUniverse) {
            ++universe;
            address = 1;
        }
        if (universe > light::kLastUniverse)
            return fail(ErrorCode::BadValue, "there is no universe {}", universe);
        Fixture f = wish.like;
        f.number += i;
        f.universe = static_cast<std::uint16_t>(universe);
        f.address = address;
        f.place.x_m += i * wish.step_m;
        auto with = addFixture(next, std::move(f));
        if (!with)
            return with;
        next = *with;
        if (added)
            added->push_back(FixtureId{next->last_fixture_id});
        address += pitch;
    }
    return next;
}

Result<ShowPtr> changeEach(const ShowPtr& show, std::span<const FixtureId> ids,
                           const std::function<void(Fixture&, std::size_t)>& change) {
    ShowPtr next = show;
    for (std::size_t i = 0; i < ids.size(); ++i) {
        const Fixture* f = next->fixture(ids[i]);
        if (!f)
            return fail(ErrorCode::NotFound, "no fixture with id {}", ids[i].value);
        Fixture changed = *f;
        change(changed, i);
        auto with = changeFixture(next, std::move(changed));
        if (!with)
            return with;
        next = *with;
    }
    return next;
}

Result<ShowPtr> readdress(const ShowPtr& show, const SlotsOf& slots_of,
                          std::span<const FixtureId> ids, Address from) {
    ShowPtr next = show;
    std::vector<FixtureId> moving(ids.begin(), ids.end()); // those not yet at their new place
    for (const FixtureId id : ids) {
        const Fixture* f = next->fixture(id);
        if (!f)
            return fail(ErrorCode::NotFound, "no fixture with id {}", id.value);
        const auto place = nextFree(*next, slots_of, std::max(1, slots_of(*f)), from, moving);
        if (!place)
            return fail(ErrorCode::BadValue, "no room for fixture {} from {}.{} on", f->number,
                        from.universe, from.slot);
        auto moved = changeEach(next, std::span(&id, 1), [&](Fixture& c, std::size_t) {
            c.universe = place->universe;
            c.address = place->slot;
        });
        if (!moved)
            return moved;
        next = *moved;
        moving.erase(moving.begin());
        from = *place;
    }
    return next;
}

Result<ShowPtr> renumber(const ShowPtr& show, std::span<const FixtureId> ids, int first) {
    if (first < 1)
        return fail(ErrorCode::BadValue, "number {}: must be at least 1", first);
    return changeEach(show, ids, [first](Fixture& f, std::size_t place) {
        f.number = first + static_cast<int>(place);
    });
}

std::string patchText(const Show& show, std::span<const FixtureId> ids) {
    std::string text = "number\tlabel\ttype\tmode\tuniverse\taddress\tx_m\ty_m\tz_m\tnote\n";
    const auto cell = [](std::string s) {
        std::replace_if(
            s.begin(), s.end(), [](char c) { return c == '\t' || c == '\n' || c == '\r'; }, ' ');
        return s;
    };
    for (const FixtureId id : ids)
        if (const Fixture* f = show.fixture(id))
            text +=
                fmt::format("{}\t{}\t{}\t{}\t{}\t{}\t{}\t{}\t{}\t{}\n", f->number, cell(f->label),
                            cell(f->type), cell(f->mode), f->universe, f->address, f->place.x_m,
                            f->place.y_m, f->place.z_m, cell(f->note));
    return text;
}

Result<ShowPtr> addFromText(const ShowPtr& show, std::string_view text,
                            std::vector<FixtureId>* added) {
    const auto all = lines(text);
    std::vector<std::string> columns;
    if (!all.empty())
        for (const auto word : split(all[0], '\t'))
            columns.push_back(lowered(trimmed(word)));
    if (std::find(columns.begin(), columns.end(), "type") == columns.end())
        return fail(ErrorCode::BadSyntax,
                    "line 1: expected a heading with columns apart by tabs, among them 'type'");
    ShowPtr next = show;
    for (std::size_t l = 1; l < all.size(); ++l) {
        if (trimmed(all[l]).empty())
            continue;
        const auto cells = split(all[l], '\t');
        Fixture f;
        f.number = static_cast<int>(l);
        for (std::size_t c = 0; c < cells.size() && c < columns.size(); ++c) {
            const std::string& name = columns[c];
            const auto value = trimmed(cells[c]);
            if (value.empty())
                continue;
            const auto whole = [&](int low, int high) -> Result<int> {
                const auto n = toInteger(value);
                if (n && *n >= low && *n <= high)
                    return *n;
                return fail(ErrorCode::BadValue, "line {}, {}: '{}': must be within {}..{}", l + 1,
                            name, value, low, high);
            };
            const auto metres = [&](double& into) -> Done {
                const auto n = toNumber(value);
                if (!n)
                    return fail(ErrorCode::BadValue, "line {}, {}: '{}': must be metres", l + 1,
                                name, value);
                into = *n;
                return {};
            };
            Done ok;
            if (name == "type" || name == "mode" || name == "label" || name == "note") {
                (name == "type"    ? f.type
                 : name == "mode"  ? f.mode
                 : name == "label" ? f.label
                                   : f.note) = value;
            } else if (name == "number" || name == "universe" || name == "address") {
                const int high = name == "address"    ? kSlotsInUniverse
                                 : name == "universe" ? light::kLastUniverse
                                                      : 1'000'000;
                const auto n = whole(1, high);
                if (!n)
                    return passOn(n.error());
                if (name == "universe")
                    f.universe = static_cast<std::uint16_t>(*n);
                else
                    (name == "number" ? f.number : f.address) = *n;
            } else if (name == "x_m" || name == "y_m" || name == "z_m") {
                ok = metres(name == "x_m"   ? f.place.x_m
                            : name == "y_m" ? f.place.y_m
                                            : f.place.z_m);
            }
            if (!ok)
                return passOn(ok.error());
        }
        auto with = addFixture(next, std::move(f));
        if (!with)
            return passOn(with.error(), fmt::format("line {}", l + 1));
        next = *with;
        if (added)
            added->push_back(FixtureId{next->last_fixture_id});
    }
    return next;
}

} // namespace zelo::show
