// SPDX-License-Identifier: GPL-3.0-or-later
#include "show/patch.h"

#include "base/text.h"
#include "light/frame.h"
#include "show/edits.h"
#include "show/limits.h"

#include <algorithm>
#include <bitset>
#include <cmath>
#include <set>

namespace zelo::show {

namespace {

constexpr int kMostAtOnce = 2000;

struct Taken {
    int from = 1, to = 1; // both in it
    FixtureId id;
};

// Slots in use, a bit each, by universe.
class Room {
public:
    void take(std::uint16_t universe, int address, int slots) {
        auto& taken = taken_[universe];
        for (int s = address; s < address + slots && s <= kSlotsInUniverse; ++s)
            taken.set(static_cast<std::size_t>(s - 1));
    }
    std::optional<Address> nextFree(int count, Address from) const {
        if (count < 1 || count > kSlotsInUniverse)
            return std::nullopt;
        for (int universe = from.universe; universe <= light::kLastUniverse; ++universe) {
            const int first = universe == from.universe ? from.slot : 1;
            const auto taken = taken_.find(static_cast<std::uint16_t>(universe));
            if (taken == taken_.end()) {
                if (first + count - 1 <= kSlotsInUniverse)
                    return Address{static_cast<std::uint16_t>(universe), first};
                continue;
            }
            int free = 0; // in a row, up to this slot
            for (int slot = first; slot <= kSlotsInUniverse; ++slot) {
                free = taken->second.test(static_cast<std::size_t>(slot - 1)) ? 0 : free + 1;
                if (free == count)
                    return Address{static_cast<std::uint16_t>(universe), slot - count + 1};
            }
        }
        return std::nullopt;
    }

private:
    std::map<std::uint16_t, std::bitset<kSlotsInUniverse>> taken_;
};

Room roomOf(const Show& show, const SlotsOf& slots_of, std::span<const FixtureId> but) {
    const std::set<FixtureId> left_out(but.begin(), but.end());
    Room room;
    for (const auto& [id, f] : show.fixtures)
        if (!left_out.contains(id))
            if (const int slots = slots_of(*f); slots > 0)
                room.take(f->universe, f->address, slots);
    return room;
}

} // namespace

PatchFaults patchFaults(const Show& show, const SlotsOf& slots_of) {
    std::map<int, std::vector<Taken>> all; // by universe
    for (const auto& [id, f] : show.fixtures)
        if (const int slots = slots_of(*f); slots > 0)
            all[f->universe].push_back({f->address, f->address + slots - 1, id});
    PatchFaults faults;
    for (auto& [universe, taken] : all) {
        std::sort(taken.begin(), taken.end(), [](const Taken& a, const Taken& b) {
            return std::pair(a.from, a.id) < std::pair(b.from, b.id);
        });
        const Taken* furthest = nullptr;
        for (const Taken& t : taken) {
            if (t.to > kSlotsInUniverse)
                faults.past_end.push_back(t.id);
            if (furthest && t.from <= furthest->to)
                faults.clashes.push_back(
                    {t.id, furthest->id, std::min(furthest->to, t.to) - t.from + 1});
            if (!furthest || t.to > furthest->to)
                furthest = &t;
        }
    }
    return faults;
}

std::optional<Address> nextFree(const Show& show, const SlotsOf& slots_of, int count, Address from,
                                std::span<const FixtureId> moving) {
    return roomOf(show, slots_of, moving).nextFree(count, from);
}

Result<ShowPtr> addMany(const ShowPtr& show, const AddWish& wish, std::vector<FixtureId>* added) {
    if (wish.count < 1 || wish.count > kMostAtOnce)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{} fixtures: must be within 1..{}"),
                    wish.count, kMostAtOnce);
    if (wish.footprint < 1 || wish.footprint > kSlotsInUniverse || wish.spacing < 0)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{} slots, {} apart: must be within 1..{}"), wish.footprint,
                    wish.spacing, kSlotsInUniverse);
    const int pitch = wish.spacing > 0 ? wish.spacing : wish.footprint;
    std::vector<Fixture> fixtures;
    int universe = wish.like.universe;
    int address = wish.like.address;
    for (int i = 0; i < wish.count; ++i) {
        if (i > 0 && address + wish.footprint - 1 > kSlotsInUniverse) {
            ++universe;
            address = 1;
        }
        if (universe > light::kLastUniverse)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "there is no universe {}"),
                        universe);
        Fixture f = wish.like;
        f.number += i;
        f.universe = static_cast<std::uint16_t>(universe);
        f.address = address;
        f.place.x_m += i * wish.step_m;
        fixtures.push_back(std::move(f));
        address += pitch;
    }
    return addFixtures(show, std::move(fixtures), added);
}

Result<ShowPtr> readdress(const ShowPtr& show, const SlotsOf& slots_of,
                          std::span<const FixtureId> ids, Address from) {
    Room room = roomOf(*show, slots_of, ids);
    std::vector<Address> places;
    for (const FixtureId id : ids) {
        const Fixture* f = show->fixture(id);
        if (!f)
            return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no fixture with id {}"), id.value);
        const int slots = std::max(1, slots_of(*f));
        const auto place = room.nextFree(slots, from);
        if (!place)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "no room for fixture {} from {}.{} on"), f->number,
                        from.universe, from.slot);
        room.take(place->universe, place->slot, slots);
        places.push_back(*place);
        from = *place;
    }
    return changeEach(show, ids, [&](Fixture& f, std::size_t i) {
        f.universe = places[i].universe;
        f.address = places[i].slot;
    });
}

Result<ShowPtr> renumber(const ShowPtr& show, std::span<const FixtureId> ids, int first) {
    if (first < 1)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "number {}: must be at least 1"), first);
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
        return fail(
            ErrorCode::BadSyntax,
            ZELO_TEXT("core",
                      "line 1: expected a heading with columns apart by tabs, among them 'type'"));
    std::vector<Fixture> fixtures;
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
                return fail(ErrorCode::BadValue,
                            ZELO_TEXT("core", "line {}, {}: '{}': must be within {}..{}"), l + 1,
                            name, value, low, high);
            };
            const auto metres = [&](double& into) -> Done {
                const auto n = toNumber(value);
                if (!n || std::abs(*n) > kFarthest_m)
                    return fail(
                        ErrorCode::BadValue,
                        ZELO_TEXT("core", "line {}, {}: '{}': must be metres, within -{}..{}"),
                        l + 1, name, value, kFarthest_m, kFarthest_m);
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
                                                      : kLastNumber;
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
        if (const auto sound = checkFixture(f); !sound)
            return passOn(sound.error(), say(ZELO_TEXT("core", "line {}"), l + 1));
        fixtures.push_back(std::move(f));
        if (fixtures.size() > kMostFixtures)
            return fail(ErrorCode::TooLarge, ZELO_TEXT("core", "line {}: more than {} fixtures"),
                        l + 1, kMostFixtures);
    }
    return addFixtures(show, std::move(fixtures), added);
}

} // namespace zelo::show
