// SPDX-License-Identifier: GPL-3.0-or-later
// A fixture type: the parts that make its light, and for each mode the channels that set them.
//
// Parts stand in one order, which is the order of Drives: emitters, flags, wheels, then three for
// each engine (its level, its first and its second axis).
#pragma once

#include "colour/observer.h"
#include "colour/spectrum.h"
#include "light/drives.h"
#include "light/engine.h"
#include "light/filter.h"
#include "light/response.h"

#include <cstdint>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace zelo::light {

struct Emitter {
    std::string name;
    colour::Spectrum spectrum; // at full, W/(sr nm): its Y under CIE 1931 is its cd
    bool modelled = false;     // the data gave no spectrum: this one was made from its colour
    double power_w = 0;        // electrical, at full; 0 = the data does not say
    bool source = false;       // a lamp that burns by itself, behind flags or wheels

    // Droop: its light at lower drives, where that is not the full light made smaller. By drive,
    // each within 0..1.
    struct Part {
        double drive = 0;
        colour::Spectrum spectrum; // absolute, at that drive
    };
    std::vector<Part> droop = {};

    colour::Xyz xyz(colour::Observer o = colour::Observer::Cie1931_2) const {
        return colour::toXyz(spectrum, o);
    }
    // At a drive, between measured drives linear; below the first its light made smaller.
    colour::Spectrum lightAt(double drive) const;
};

enum class Role { Part, Dimmer, Other };

// A stretch of a channel's values that stands for one place of a wheel.
struct SlotRange {
    std::uint32_t from = 0, to = 0; // both in it
    double setting = 0;             // of the wheel
    friend bool operator==(const SlotRange&, const SlotRange&) = default;
};

// A stretch of the values of a channel that does something of its own: "Open", "Strobe".
struct NamedRange {
    std::string name;
    std::uint32_t from = 0, to = 0; // both in it
    friend bool operator==(const NamedRange&, const NamedRange&) = default;
};

struct Channel {
    std::string attribute;    // of GDTF: ColorAdd_R, Dimmer, …
    std::string name;         // for people: "Red"
    std::vector<int> offsets; // of its bytes in the mode, coarse first, from 1
    Role role = Role::Other;
    std::size_t part = 0; // index of the part when role is Part
    Response response;
    std::uint32_t home = 0;      // resting value
    std::uint32_t highlight = 0; // value that makes the fixture easy to see
    // The stretch of values that the function has, when it is not all: outside it the part rests.
    std::uint32_t first = 0;
    std::optional<std::uint32_t> last = {};  // none: most()
    std::vector<SlotRange> ranges = {};      // of a wheel in steps
    std::vector<NamedRange> named = {};      // of what is neither intensity nor colour, by value
    bool snaps = false;                      // jumps to a new value instead of going there
    std::vector<std::vector<int>> also = {}; // where the same bytes stand once more: further cells

    std::vector<int> everywhere() const { // its bytes in all cells
        std::vector<int> all = offsets;
        for (const auto& cell : also)
            all.insert(all.end(), cell.begin(), cell.end());
        return all;
    }
    int bits() const { return 8 * static_cast<int>(offsets.size()); }
    std::uint32_t most() const { // largest value: 255, 65535, 16777215
        return static_cast<std::uint32_t>((std::uint64_t{1} << bits()) - 1);
    }
    std::uint32_t end() const { return last.value_or(most()); }
    // Of what is neither intensity nor colour, its value as a share of all.
    double shareOf(std::uint32_t value) const { return value / static_cast<double>(most()); }
    std::uint32_t valueOf(double share) const { // the nearest
        return static_cast<std::uint32_t>(share * most() + 0.5);
    }
};

struct Mode {
    std::string name;
    std::vector<Channel> channels; // by first offset
    int footprint = 0;             // DMX slots it takes

    std::optional<std::size_t> dimmer() const; // index of the dimmer channel, if there is one
    // Index of the channel that sets a part, if one does.
    std::optional<std::size_t> channelOf(std::size_t part) const;
    // What else the fixture has: indices of the channels that are neither intensity nor colour,
    // each with a name of its own.
    std::vector<std::size_t> settings() const;
};

enum class PartKind { Emitter, Flag, Wheel, EngineLevel, EngineFirst, EngineSecond };

struct Part {
    PartKind kind = PartKind::Emitter;
    std::size_t index = 0; // among emitters, flags, wheels or engines
};

// How a device of this type names itself over RDM (E1.20), as its file says.
struct RdmModel {
    std::uint16_t maker = 0;
    std::uint16_t model = 0;
    std::map<int, std::string> personalities = {}; // by number, from 1: the name of the mode
    friend bool operator==(const RdmModel&, const RdmModel&) = default;
};

// What came with the type in its file, by name, and goes back into it: nothing that we do not use
// is lost. Shared, never changed.
using KeptFiles = std::shared_ptr<const std::map<std::string, std::string>>;

struct FixtureType {
    std::string id;   // name of its folder or archive: "gannet-8"
    std::string name; // "Gannet 8"
    std::string maker;
    std::string description;
    std::vector<Emitter> emitters;
    std::vector<Mode> modes;     // at least one
    std::vector<Sentence> notes; // what the reader did not use or had to model
    std::vector<Flag> flags = {};
    std::vector<Wheel> wheels = {};
    std::vector<Engine> engines = {};
    KeptFiles kept = nullptr;
    std::optional<RdmModel> rdm = {};

    const Mode* mode(std::string_view mode_name) const; // empty name: the first

    std::size_t partCount() const { // at most kMostParts
        return emitters.size() + flags.size() + wheels.size() + 3 * engines.size();
    }
    Part part(std::size_t i) const; // Requires i < partCount()
    std::size_t indexOf(const Part& part) const;
    std::string partName(std::size_t i) const;
    std::optional<std::size_t> partNamed(std::string_view name) const; // case does not matter

    // Parts as they rest: no light, flags out of the beam, wheels open, engines at their white.
    Drives rest() const;
    // As rest(), with the sources alight, and the engine that the mode uses.
    Drives ready(const Mode& mode) const;
    // The same light made smaller: emitters and engine levels times `factor`, the rest as it is.
    Drives dimmed(const Drives& drives, double factor) const;
    bool lamp(std::size_t part) const; // it gives light: dimmed() acts on it
    bool droops() const;               // an emitter has other light at lower drives
};

} // namespace zelo::light
