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
    friend bool operator==(const ColourWish&, const ColourWish&) = default;
};

// What a fixture is told to show. Intensity, colour and single parts are apart: each may be set
// without the others.
struct Value {
    std::optional<Source<double>> intensity; // 0..1
    std::optional<Source<ColourWish>> colour;
    PartLevels parts;    // set by hand, each on its own, over the mix of the colour or over home
    std::string unknown; // as in Head
    bool empty() const { return !intensity && !colour && parts.empty(); }
    friend bool operator==(const Value&, const Value&) = default;
};

// The same with what the palettes say in it.
struct Shown {
    std::optional<double> intensity;
    std::optional<ColourWish> colour;
    PartLevels parts;
    PaletteId intensity_from, colour_from;            // none: set by themselves
    bool intensity_laid = false, colour_laid = false; // a place in a gradient
    bool empty() const { return !intensity && !colour && parts.empty(); }
};

using Values = Table<FixtureId, Value>;

} // namespace zelo::show
