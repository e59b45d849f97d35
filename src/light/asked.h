// SPDX-License-Identifier: GPL-3.0-or-later
// Asked: in which way a colour is asked for, as a value; and the one notation it is written in.
//
//   gel:ID[@LAMP][+gel:ID]   LAMP: kelvin (3200 when left out) or a spectrum file
//   cct:K  cct:K/DUV  xy:X,Y  uv:U,V (CIE 1976)  srgb:#RRGGBB  spd:NAME  palette:NAME
//
// Numbers are written so that they read back as they were, to the bit.
#pragma once

#include "base/result.h"

#include <compare>
#include <cstdint>
#include <optional>
#include <string>
#include <variant>

namespace zelo::light {

inline constexpr double kGelLampK = 3200;

struct AskedGel {
    std::string id;
    std::optional<double> lamp_k; // of the lamp behind it; neither this nor `lamp`: kGelLampK
    std::string lamp;             // a spectrum instead, by name or file
    std::string layer;            // a second gel's id; empty = none
    auto operator<=>(const AskedGel&) const = default;
};
struct AskedWhite {
    double cct_k = 4300;
    std::optional<double> duv; // without: on the Planckian locus, with the blackbody's spectrum
    auto operator<=>(const AskedWhite&) const = default;
};
struct AskedXy { // CIE 1931
    double x = 1.0 / 3;
    double y = 1.0 / 3;
    auto operator<=>(const AskedXy&) const = default;
};
struct AskedUv { // CIE 1976
    double u = 0.2105;
    double v = 0.4737;
    auto operator<=>(const AskedUv&) const = default;
};
struct AskedSrgb {
    std::uint8_t r = 255, g = 255, b = 255;
    auto operator<=>(const AskedSrgb&) const = default;
};
struct AskedMeasured {
    std::string name; // of a light that was measured for the show, or a file
    auto operator<=>(const AskedMeasured&) const = default;
};
struct AskedPalette {
    std::string name;
    auto operator<=>(const AskedPalette&) const = default;
};

using Asked =
    std::variant<AskedGel, AskedWhite, AskedXy, AskedUv, AskedSrgb, AskedMeasured, AskedPalette>;

// Reads the notation; which gels, files and palettes there are does not matter here. Errors say
// which part is wrong and what was expected.
Result<Asked> parseAsked(const std::string& text);
std::string toText(const Asked& asked);
// The same for people: "214 at 3200 K", "white of 3200 K", "hex #f08040". Not to be read again.
Sentence inWords(const Asked& asked);

} // namespace zelo::light
