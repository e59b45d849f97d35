// SPDX-License-Identifier: GPL-3.0-or-later
// What a fixture is told to show, and the tables of such values that looks, cues and the hand are.
#pragma once

#include "base/table.h"
#include "colour/xyz.h"
#include "light/asked.h"
#include "mix/mix.h"
#include "show/gradient.h"
#include "show/source.h"

#include <map>
#include <optional>
#include <string>
#include <vector>

namespace zelo::show {

// Levels of a fixture's parts by their names, sorted by name, each 0..1.
using PartLevels = std::map<std::string, double>;

// A colour as it was asked for, and how to mix it on whatever fixture shows it.
struct ColourWish {
    light::Asked asked;
    colour::Uv uv; // what it was then: shown when its gel or file is not to be had
    mix::Intent intent = mix::Intent::Truest;
    double give_up = 0.3;
    std::vector<std::string> keep_out = {};                // names of emitters
    std::vector<std::pair<std::string, double>> pins = {}; // name and drive
    std::string unknown = {};                              // as in Head
    bool exact_for_camera = false; // the first camera sees it exactly, the eye as nearly as may be
    friend bool operator==(const ColourWish&, const ColourWish&) = default;
};

// What a fixture is told to show. Intensity, colour and single parts are apart: each may be set
// without the others.
struct Value {
    std::optional<Source<double>> intensity; // 0..1
    std::optional<Source<ColourWish>> colour;
    PartLevels parts;    // set by hand, each on its own, over the mix of the colour or over home
    PartLevels settings; // of what else a fixture has, by name, shares of their channels
    double trim = 1;     // of the intensity, also of one that lies below: times this
    colour::Uv nudge = {0, 0}; // of the colour, likewise: this much further
    std::string unknown;       // as in Head
    bool empty() const {
        return !intensity && !colour && parts.empty() && settings.empty() && trim == 1 &&
               nudge == colour::Uv{0, 0};
    }
    friend bool operator==(const Value&, const Value&) = default;
};

// The same with what the palettes say in it.
struct Shown {
    std::optional<double> intensity;  // before its trim
    std::optional<ColourWish> colour; // before its nudge
    PartLevels parts;
    double trim = 1;
    colour::Uv nudge = {0, 0};
    PaletteId intensity_from, colour_from;            // none: set by themselves
    bool intensity_laid = false, colour_laid = false; // a place in a gradient
    bool empty() const { return !intensity && !colour && parts.empty(); }
    std::optional<double> trimmed() const { // its intensity
        return intensity ? std::optional(std::min(1.0, *intensity * trim)) : std::nullopt;
    }
    std::optional<ColourWish> nudged() const; // its colour: by u'v' where it was nudged
};

using Values = Table<FixtureId, Value>;

// What of a value is meant. All: also what else the fixture has.
enum class Which { Intensity, Colour, All };
void letGo(Value& value, Which which);

} // namespace zelo::show
