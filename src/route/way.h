// SPDX-License-Identifier: GPL-3.0-or-later
// The way of a fade through colour, as a curve in u'v' from one end to the other.
#pragma once

#include "route/disc.h"

#include <functional>
#include <optional>
#include <span>
#include <string_view>

namespace zelo::route {

enum class Kind { Levels, Straight, Around, Dark, Jump };
std::optional<Kind> kindNamed(std::string_view name); // "levels", "around", "dark", …
const char* nameOf(Kind kind);

enum class Side { Short, Long, Ccw, Cw }; // ccw: growing hue angle in the u'v' diagram
std::optional<Side> sideNamed(std::string_view name);

// A curve: s from 0 to 1 along it, in its own measure (evenly in u'v' or in the disc).
using Curve = std::function<colour::Uv(double s)>;

Curve straightWay(const colour::Uv& from, const colour::Uv& to);
// From point to point, evenly by length. Requires two at least.
Curve straightWay(const std::vector<colour::Uv>& points);

struct AroundWay {
    Curve curve;
    double length = 0;    // in the unit disc
    bool ccw = false;     // the side it took
    double in_sector = 0; // radians that it turns through the sector to keep out of
};

// A range of hue angles to keep out of, from one counter-clockwise to the other, radians.
struct Sector {
    double from = 0;
    double to = 0;

    bool holds(double angle) const;
    // How much of a turn (counter-clockwise from `start` by `swing`) lies in it, radians.
    double overlap(double start, double swing) const;
    friend bool operator==(const Sector&, const Sector&) = default;
};
// Stretches of hue by the angle about the white in u'v', all round (colour/hue_words.h). Which way
// a miss went is no hue (mix/miss.h).
struct HueName {
    const char* name; // in English, marked (base/sentence.h)
    Sector sector;
};
std::span<const HueName> hueNames();
const char* hueNameAt(double angle);
const char* hueWord(const colour::Uv& uv, const colour::Uv& white); // "white" where it is near that

// What the two sides round the white are called, in the hues above: that of the way half way, or
// where they are alike that of a point off it. Null where nothing tells them apart.
struct SideWords {
    const char* ccw = nullptr;
    const char* cw = nullptr;
};
SideWords sideWords(const Disc& disc, const colour::Uv& from, const colour::Uv& to, double floor);

// "red", "orange", "yellow", "green", "cyan", "blue", "violet" or "pink": the stretch of hue about
// the white that has this name; or "FROM:TO" in degrees, counter-clockwise.
Result<Sector> parseSector(std::string_view text);

// The shortest curve in the unit disc that stays outside the disc of radius floor · min(ρ0, ρ1):
// tangent, arc, tangent; on one side of white. floor 0..1: 0 is direct, 1 follows the rim of the
// less saturated end. Ends outside the reach are taken onto its edge.
AroundWay aroundWay(const Disc& disc, const colour::Uv& from, const colour::Uv& to, double floor,
                    Side side);

// The same through points on the way, each leg on its own with the floor of the least saturated end
// of all. A sector to keep out of comes before the wish for a side: each leg takes the side that
// turns less through it. `ccw` is the first leg's.
AroundWay aroundWay(const Disc& disc, const std::vector<colour::Uv>& points, double floor,
                    Side side, const std::optional<Sector>& keep_out);

// How much saturation a way loses: 1 − min ρ along it / min(ρ0, ρ1). 0 when an end is white.
double whiteDip(const Disc& disc, const std::vector<colour::Uv>& way);

} // namespace zelo::route
