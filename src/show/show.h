// SPDX-License-Identifier: GPL-3.0-or-later
// The show: one immutable value. An edit (show/edits.h) makes the next one; parts that did not
// change are shared. Everything refers by stable ids, never by position or name.
#pragma once

#include "base/quantity.h"
#include "colour/xyz.h"
#include "light/fixture_type.h"
#include "mix/mix.h"

#include <cstdint>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
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
struct PaletteId {
    int value = 0; // 0 = none
    explicit operator bool() const { return value != 0; }
    auto operator<=>(const PaletteId&) const = default;
};
struct LookId {
    int value = 0;
    auto operator<=>(const LookId&) const = default;
};

// On the plan: metres, x to the right seen from the house, y upstage, z up from the floor.
struct Place {
    double x_m = 0;
    double y_m = 0;
    double z_m = 0;
    double aim_deg = 0; // where the beam goes on the plan: 0 = upstage, growing to the right
    friend bool operator==(const Place&, const Place&) = default;
};

// What one fixture was measured to be: its own data, in place of its type's.
struct Calibration {
    std::map<std::string, colour::Spectrum> emitters; // by name, at full, W/(sr nm)
    // By hand: the u'v' it shows less the one its data says. Colours are asked for that far the
    // other way.
    colour::Uv off{0, 0};
    bool empty() const { return emitters.empty() && off.u == 0 && off.v == 0; }
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
    // Drives of its parts, by name, where no colour is asked for; of a part that is not named its
    // type's own home.
    std::vector<std::pair<std::string, double>> home = {};
    std::shared_ptr<const Calibration> calibration = {}; // null: as its type's data says
    std::string uid;                                     // RDM: "7ff0:00002a04"; empty = not known
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
    // Palettes that intensity and colour follow. What they were last stands in the members above,
    // for when the palette is gone.
    PaletteId intensity_from = {};
    PaletteId colour_from = {};
    bool empty() const { return !intensity && !colour && !drives; }
    friend bool operator==(const Value&, const Value&) = default;
};

// A named colour, or intensity, or both, for any fixture. What uses it follows when it changes.
struct Palette {
    PaletteId id;
    std::string name; // each once in a show
    std::optional<double> intensity;
    std::optional<ColourWish> colour;
    bool locked = false; // refuses to be changed or deleted
    std::string unknown;
    friend bool operator==(const Palette&, const Palette&) = default;
};

template <class Id, class T>
using Parts = std::map<Id, std::shared_ptr<const T>>;
using Values = Parts<FixtureId, Value>;

// A kept state of some fixtures.
struct Look {
    LookId id;
    std::string name; // each once in a show
    Values values;
    bool locked = false;
    std::string unknown;
};

struct Point { // on the plan, m
    double x_m = 0;
    double y_m = 0;
    friend bool operator==(const Point&, const Point&) = default;
};
struct Area { // a named part of the stage
    std::string name;
    std::vector<Point> outline;
    friend bool operator==(const Area&, const Area&) = default;
};
struct StagePlan { // what is drawn beneath the lamps
    std::vector<Point> outline;
    std::vector<Area> areas;
    friend bool operator==(const StagePlan&, const StagePlan&) = default;
};

// A light that was measured: asked for as spd:NAME.
struct Measured {
    std::string name;
    colour::Spectrum spectrum;
};

enum class Protocol { E131 = 1, ArtNet = 2 }; // stored by name

// Where a run of universes goes. With no such line every universe goes as E1.31 to this computer.
struct OutputLine {
    std::uint16_t first = 1; // universe of the show, 1..63999
    int count = 1;           // that many from it on
    Protocol protocol = Protocol::E131;
    std::string address = "127.0.0.1"; // IPv4; E1.31 also "multicast"
    int to = 1; // its first there: a universe 1..63999, or an Art-Net port address 0..32767
    bool on = true;
    friend bool operator==(const OutputLine&, const OutputLine&) = default;
};

struct Show {
    std::string name;
    double white_cct_k = 4300; // what the eye takes for white: screen, saturation, hue
    Parts<FixtureId, Fixture> fixtures;
    std::vector<std::shared_ptr<const Group>> groups;
    std::vector<std::shared_ptr<const Palette>> palettes;
    std::vector<std::shared_ptr<const Look>> looks;
    std::shared_ptr<const StagePlan> stage; // null: bare floor
    std::vector<std::shared_ptr<const Measured>> measured;
    std::map<std::string, std::shared_ptr<const light::FixtureType>> types; // made or read for it
    std::vector<std::string> favourites; // swatches, as asked for: "gel:214"
    std::vector<OutputLine> outputs;
    Values look; // what the stage shows when nothing is in hand
    int last_fixture_id = 0;
    int last_group_id = 0;
    int last_palette_id = 0;
    int last_look_id = 0;
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
    const Palette* palette(PaletteId id) const {
        for (const auto& p : palettes)
            if (p->id == id)
                return p.get();
        return nullptr;
    }
    const Palette* paletteNamed(std::string_view palette_name) const {
        for (const auto& p : palettes)
            if (p->name == palette_name)
                return p.get();
        return nullptr;
    }
    const Look* lookOf(LookId id) const {
        for (const auto& l : looks)
            if (l->id == id)
                return l.get();
        return nullptr;
    }
};

using ShowPtr = std::shared_ptr<const Show>;
inline ShowPtr nextShow(Show show) { // what an edit ends in
    return std::make_shared<const Show>(std::move(show));
}

// Values set by hand and not yet kept: part of what undo covers, apart from the show.
using HandPtr = std::shared_ptr<const Values>;

// With what its palettes say now in it.
Value followed(const Show& show, Value value);

// Hand over look, intensity and colour each on its own, palettes followed. Hand drives hide a kept
// colour's mix.
Value shownValue(const Show& show, const Values& hand, FixtureId id);

// The lineup: fixtures in their order.
using Lineup = std::vector<FixtureId>;

} // namespace zelo::show
