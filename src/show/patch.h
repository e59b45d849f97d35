// SPDX-License-Identifier: GPL-3.0-or-later
// The patch: which slots fixtures take, where they clash, and edits of many at once. How many slots
// a fixture takes is told by the caller, who knows the library.
#pragma once

#include "base/result.h"
#include "show/show.h"

#include <functional>
#include <span>

namespace zelo::show {

using SlotsOf = std::function<int(const Fixture&)>; // 0 = not known: it takes none

inline constexpr int kSlotsInUniverse = 512;

struct Address {
    std::uint16_t universe = 1; // 1..63999
    int slot = 1;               // 1..512
    friend bool operator==(const Address&, const Address&) = default;
};

struct Clash {
    FixtureId fixture; // the later one by address
    FixtureId with;
    int shared = 0; // slots that both claim
};

struct PatchFaults {
    // Every fixture that shares slots with one before it, once: with the one that reaches furthest.
    std::vector<Clash> clashes;
    std::vector<FixtureId> past_end; // their slots run past 512
};
PatchFaults patchFaults(const Show& show, const SlotsOf& slots_of);

// The first room for `count` slots from `from` on, in later universes too; fixtures in `moving`
// count as gone. Nothing when there is none up to universe 63999, or count is not within 1..512.
std::optional<Address> nextFree(const Show& show, const SlotsOf& slots_of, int count, Address from,
                                std::span<const FixtureId> moving = {});

struct AddWish {
    Fixture like; // type, mode, universe, address, place; its number is the first
    int count = 1;
    int footprint = 1; // slots of one
    int spacing = 0;   // from address to address; 0 = one after the other without a gap
    double step_m = 1; // from lamp to lamp on the plan, to the right
};
// What does not fit into a universe goes on at slot 1 of the next. BadValue for a count outside
// 1..2000, or as addFixture. The new ids are in `added`.
Result<ShowPtr> addMany(const ShowPtr& show, const AddWish& wish, std::vector<FixtureId>* added);

// One after the other from `from` on, in the order given, each at the first free place.
Result<ShowPtr> readdress(const ShowPtr& show, const SlotsOf& slots_of,
                          std::span<const FixtureId> ids, Address from);
// Numbers from `first` on, in the order given. BadValue below 1.
Result<ShowPtr> renumber(const ShowPtr& show, std::span<const FixtureId> ids, int first);

// As a spreadsheet takes it: columns apart by tabs, a heading line.
// number, label, type, mode, universe, address, x_m, y_m, z_m, note
std::string patchText(const Show& show, std::span<const FixtureId> ids);
// Adds a fixture for each line under such a heading (any columns, any order; type is needed).
// Errors name line and column. All or none.
Result<ShowPtr> addFromText(const ShowPtr& show, std::string_view text,
                            std::vector<FixtureId>* added);

} // namespace zelo::show
