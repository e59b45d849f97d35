// SPDX-License-Identifier: GPL-3.0-or-later
// The show: one immutable value. An edit (show/edits.h) makes the next one; parts that did not
// change are shared. Everything refers by stable ids, never by position or name.
#pragma once

#include "base/quantity.h"
#include "base/table.h"
#include "colour/camera.h"
#include "colour/xyz.h"
#include "light/asked.h"
#include "light/fixture_type.h"
#include "mix/mix.h"
#include "show/cues.h"
#include "show/gradient.h"
#include "show/ripple.h"
#include "show/value.h"

#include <cstdint>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace zelo::show {

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
    std::string unknown = {};
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
    // Of its parts, where no colour is asked for; of a part that is not named its type's own home.
    PartLevels home = {};
    bool exempt = false; // from solo, Dark and the master: house light
    std::shared_ptr<const Calibration> calibration = {}; // null: as its type's data says
    std::string uid;                                     // RDM: "7ff0:00002a04"; empty = not known
    std::string note;
    std::string unknown; // JSON members of the file that we do not use, kept for writing
    friend bool operator==(const Fixture&, const Fixture&) = default;
};

struct Group : Head<GroupId> {
    std::vector<FixtureId> fixtures; // in the order they were selected
    friend bool operator==(const Group&, const Group&) = default;
};

// A named colour, or intensity, or both, for any fixture; or a gradient, for any lineup. What uses
// it follows when it changes.
struct Palette : Head<PaletteId> {
    std::optional<double> intensity;
    std::optional<ColourWish> colour;
    std::shared_ptr<const Gradient> gradient = {}; // instead of the two above; null: none
    bool givesColour() const { return colour || gradient; }
    bool givesIntensity() const { return intensity || (gradient && gradient->givesIntensity()); }
    friend bool operator==(const Palette& a, const Palette& b) {
        return static_cast<const Head<PaletteId>&>(a) == b && a.intensity == b.intensity &&
               a.colour == b.colour &&
               (a.gradient == b.gradient ||
                (a.gradient && b.gradient && *a.gradient == *b.gradient));
    }
};

// A kept state of some fixtures.
struct Look : Head<LookId> {
    Values values;
    double time_s = 2; // in which it comes when it is shown at a press
    std::shared_ptr<const std::string> picture = {}; // PNG or JPEG, as it is; null: its small lamps
    friend bool operator==(const Look& a, const Look& b) {
        return static_cast<const Head<LookId>&>(a) == b && a.values == b.values &&
               a.time_s == b.time_s &&
               (a.picture == b.picture || (a.picture && b.picture && *a.picture == *b.picture));
    }
};

struct Point { // on the plan, m
    double x_m = 0;
    double y_m = 0;
    friend bool operator==(const Point&, const Point&) = default;
};
struct Area { // a named part of the stage
    std::string name;
    std::vector<Point> outline;
    std::string unknown = {};
    friend bool operator==(const Area&, const Area&) = default;
};
struct StagePlan { // what is drawn beneath the lamps
    std::vector<Point> outline;
    std::vector<Area> areas;
    std::vector<Point> figures = {}; // where people stand in the stage picture; empty: as it comes
    std::string unknown = {};
    friend bool operator==(const StagePlan&, const StagePlan&) = default;
};

// A light that was measured: asked for as spd:NAME.
struct Measured {
    std::string name;
    colour::Spectrum spectrum;
    std::string unknown = {};
};

// A camera that lights are matched for.
struct FilmCamera {
    std::string name;
    colour::Camera::Channels channels;                  // sensitivities, of any scale
    light::Asked balance = light::AskedWhite{5600, {}}; // its white: a CCT, a gel, a measured light
    bool used = true;                                   // Filmed minds it
    std::string unknown = {};
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
    int priority = 100; // of E1.31, 0..200: receivers follow the highest
    bool sync = false;  // of E1.31: all of its universes are shown at one moment
    std::string unknown = {};
    friend bool operator==(const OutputLine&, const OutputLine&) = default;
};

struct Show {
    std::string name;
    double white_cct_k = 4300; // what the eye takes for white: screen, saturation, hue
    Table<FixtureId, Fixture> fixtures;
    Table<GroupId, Group> groups;
    Table<PaletteId, Palette> palettes;
    Table<LookId, Look> looks;
    Table<CueListId, CueList> cue_lists;
    Table<FaderId, Fader> faders;
    Table<RippleId, Ripple> ripples;
    bool dark_first = true;       // a dark lamp takes its next colour before its light comes
    bool even_to_the_eye = false; // intensities fade evenly in perceived brightness, not in level
    std::optional<route::StopWay> way = {}; // of colours that fade; without: as needed
    Table<RouteId, Route> routes;
    std::vector<RouteBetween> routes_between;                    // each pair of palettes once
    std::shared_ptr<const Crossfade> crossfade;                  // that is worked on; null: none
    std::shared_ptr<const StagePlan> stage;                      // null: bare floor
    Table<std::string, Measured> measured;                       // by name
    Table<std::string, FilmCamera> cameras;                      // by name
    Table<std::string, light::FixtureType> types;                // by id: made or read for it
    std::shared_ptr<const std::vector<light::Asked>> favourites; // null: none
    std::vector<OutputLine> outputs;
    Values standing;         // standing light: what the stage shows below all else
    Values locked;           // what lamps keep against all but Dark: all of it, by itself
    int last_fixture_id = 0; // ids are never used again
    int last_group_id = 0;
    int last_palette_id = 0;
    int last_look_id = 0;
    int last_cue_list_id = 0;
    int last_fader_id = 0;
    int last_ripple_id = 0;
    int last_route_id = 0;
    std::string unknown;

    const Fixture* fixture(FixtureId id) const { return fixtures.find(id); }
    const Group* group(GroupId id) const { return groups.find(id); }
    const Palette* palette(PaletteId id) const { return palettes.find(id); }
    const Palette* paletteNamed(std::string_view palette_name) const {
        for (const auto& [id, p] : palettes)
            if (p->name == palette_name)
                return p.get();
        return nullptr;
    }
    const Look* lookOf(LookId id) const { return looks.find(id); }
    bool favourite(const light::Asked& asked) const;
};

using ShowPtr = std::shared_ptr<const Show>;
inline ShowPtr nextShow(Show show) { // what an edit ends in
    return std::make_shared<const Show>(std::move(show));
}

// Values set by hand and not yet kept: part of what undo covers, apart from the show.
using HandPtr = std::shared_ptr<const Values>;

// A show together with what is in hand: what undo moves between, and what a file holds.
struct State {
    ShowPtr show;
    HandPtr hand;
    friend bool operator==(const State&, const State&) = default; // the very same
};

// The gradient of a laying: its own, or the kept one. Null when that is not there.
const Gradient* gradientOf(const Show& show, const Laying& laying);

// With what its palettes say now in it. A palette that is not there says nothing, and so does a
// gradient: what it makes of each lamp is worked out from all of them (play/laid.h).
Shown followed(const Show& show, const Value& value);

// Hand over standing light: intensity and colour each on its own, parts each by its name. A colour
// in hand hides parts that were kept. Links to palettes stay links.
Value valueOf(const Show& show, const Values& hand, FixtureId id);
// The same, palettes followed.
Shown shownValue(const Show& show, const Values& hand, FixtureId id);

// All parts of a type with these drives, by name. Requires drives of this type.
PartLevels partLevels(const light::FixtureType& type, const light::Drives& drives);

// The lineup: fixtures in their order.
using Lineup = std::vector<FixtureId>;

} // namespace zelo::show
