// SPDX-License-Identifier: GPL-3.0-or-later
// The show: one immutable value. An edit (show/edits.h) makes the next one; parts that did not
// change are shared. Everything refers by stable ids, never by position or name.
#pragma once

#include "base/quantity.h"
#include "colour/xyz.h"
#include "light/drives.h"
#include "mix/mix.h"

#include <cstdint>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace zelo::show {

struct FixtureId {
    int value = 0; // from 1, never used again in a show
    auto operator<=>(const FixtureId&) const = default;
};
struct GroupId {
    int value = 0;
    auto operator<=>(const GroupId&) const = default;
};

// On the plan: metres, x to the right seen from the house, y upstage, z up from the floor.
struct Place {
    double x_m = 0;
    double y_m = 0;
    double z_m = 0;
    double aim_deg = 0; // where the beam goes on the plan: 0 = upstage, growing to the right
    friend bool operator==(const Place&, const Place&) = default;
};

struct Fixture {
    FixtureId id;
    int number = 0; // as people call it; free to repeat or change
    std::string label;
    std::string type;           // id of a fixture type of the library
    std::string mode;           // name; empty = the type's first
    std::uint16_t universe = 1; // 1..63999
    int address = 1;            // of its first slot, 1..512
    Place place;
    std::string note;
    std::string unknown; // JSON members of the file that we do not use, kept for writing
    friend bool operator==(const Fixture&, const Fixture&) = default;
};

struct Group {
    GroupId id;
    std::string name;
    std::vector<FixtureId> fixtures; // in the order they were selected
    std::string unknown;
    friend bool operator==(const Group&, const Group&) = default;
};

// A colour as it was asked for, and how to mix it on whatever fixture shows it.
struct ColourWish {
    std::string asked; // notation of light/wanted.h: "gel:214@3200"
    colour::Uv uv;     // what it was then: shown when its gel or file is not to be had
    mix::Intent intent = mix::Intent::Truest;
    double give_up = 0.3;
    std::vector<std::string> keep_out;                // names of emitters
    std::vector<std::pair<std::string, double>> pins; // name and drive
    friend bool operator==(const ColourWish&, const ColourWish&) = default;
};

// What a fixture shows. Colour and intensity are apart: either may be set without the other.
struct Value {
    std::optional<double> intensity; // 0..1
    std::optional<ColourWish> colour;
    std::optional<light::Drives> drives; // emitters set by hand, instead of the mix of `colour`
    bool empty() const { return !intensity && !colour && !drives; }
    friend bool operator==(const Value&, const Value&) = default;
};

template <class Id, class T>
using Parts = std::map<Id, std::shared_ptr<const T>>;
using Values = Parts<FixtureId, Value>;

struct Show {
    std::string name;
    double white_cct_k = 4300; // what the eye takes for white: screen, saturation, hue
    Parts<FixtureId, Fixture> fixtures;
    std::vector<std::shared_ptr<const Group>> groups;
    Values look; // what the stage shows when nothing is in hand
    int last_fixture_id = 0;
    int last_group_id = 0;
    std::string unknown;

    const Fixture* fixture(FixtureId id) const {
        const auto it = fixtures.find(id);
        return it == fixtures.end() ? nullptr : it->second.get();
    }
    const Group* group(GroupId id) const {
        for (const auto& g : groups)
            if (g->id == id)
                return g.get();
        return nullptr;
    }
};

using ShowPtr = std::shared_ptr<const Show>;

// Values set by hand and not yet kept: part of what undo covers, apart from the show.
using HandPtr = std::shared_ptr<const Values>;

// Hand over look, intensity and colour each on its own. Hand drives hide a kept colour's mix.
Value shownValue(const Show& show, const Values& hand, FixtureId id);

// The lineup: fixtures in their order.
using Lineup = std::vector<FixtureId>;

} // namespace zelo::show
