// SPDX-License-Identifier: GPL-3.0-or-later
// A fixture type: its emitters, and for each mode the channels that drive them.
#pragma once

#include "colour/observer.h"
#include "colour/spectrum.h"
#include "light/drives.h"
#include "light/response.h"

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

namespace zelo::light {

struct Emitter {
    std::string name;
    colour::Spectrum spectrum; // at full, W/(sr nm): its Y under CIE 1931 is its cd
    bool modelled = false;     // the data gave no spectrum: this one was made from its colour
    double power_w = 0;        // electrical, at full; 0 = the data does not say

    colour::Xyz xyz(colour::Observer o = colour::Observer::Cie1931_2) const {
        return colour::toXyz(spectrum, o);
    }
};

enum class Role { Emitter, Dimmer, Other };

struct Channel {
    std::string attribute;    // of GDTF: ColorAdd_R, Dimmer, …
    std::string name;         // for people: "Red"
    std::vector<int> offsets; // of its bytes in the mode, coarse first, from 1
    Role role = Role::Other;
    std::size_t emitter = 0; // index of the emitter when role is Emitter
    Response response;
    std::uint32_t home = 0;      // resting value
    std::uint32_t highlight = 0; // value that makes the fixture easy to see

    int bits() const { return 8 * static_cast<int>(offsets.size()); }
    std::uint32_t most() const { // largest value: 255, 65535, 16777215
        return static_cast<std::uint32_t>((std::uint64_t{1} << bits()) - 1);
    }
};

struct Mode {
    std::string name;
    std::vector<Channel> channels; // by first offset
    int footprint = 0;             // DMX slots it takes

    std::optional<std::size_t> dimmer() const; // index of the dimmer channel, if there is one
    // Index of the channel that drives an emitter, if one does.
    std::optional<std::size_t> channelOf(std::size_t emitter) const;
};

struct FixtureType {
    std::string id;   // name of its folder or archive: "gannet-8"
    std::string name; // "Gannet 8"
    std::string maker;
    std::string description;
    std::vector<Emitter> emitters;  // at most kMostEmitters
    std::vector<Mode> modes;        // at least one
    std::vector<std::string> notes; // what the reader did not use or had to model

    const Mode* mode(std::string_view mode_name) const; // empty name: the first
};

} // namespace zelo::light
