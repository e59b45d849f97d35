// SPDX-License-Identifier: GPL-3.0-or-later
// Wanted: the light asked for, and the one way in which a colour is written in text.
//
//   gel:ID[@LAMP][+gel:ID]   LAMP: kelvin (3200 when left out) or a spectrum file
//   cct:K  cct:K/DUV  xy:X,Y  uv:U,V (CIE 1976)  srgb:#RRGGBB  spd:FILE  palette:NAME
#pragma once

#include "base/result.h"
#include "colour/spectrum.h"
#include "colour/xyz.h"
#include "light/gel.h"

#include <optional>
#include <string>

namespace zelo::light {

struct Wanted {
    std::string asked;                        // as written: "gel:214@3200"
    colour::Xyz xyz;                          // CIE 1931, Y = 1
    std::optional<colour::Spectrum> spectrum; // where known, scaled to Y = 1
    std::optional<colour::Spectrum> lamp;     // behind a gel: what the eye takes for white there
    double transmitted = 1; // of a gel: share of the lamp's light let through (luminance)

    colour::Uv uv() const { return colour::toUv(xyz); }
};

inline constexpr double kGelLampK = 3200;

// Where named things come from; the owner of books and files implements it.
class ColourSources {
public:
    virtual ~ColourSources() = default;
    virtual Result<Gel> gel(const std::string& id) const = 0;
    virtual Result<colour::Spectrum> spectrum(const std::string& path) const = 0;
    virtual Result<Wanted> palette(const std::string& name) const = 0;
};

// Reads a colour as written above. Errors say which part is wrong and what was expected.
Result<Wanted> parseColour(const std::string& text, const ColourSources& sources);

// The parts of a gel's notation; empty when `text` is not of the form gel:….
struct GelText {
    std::string id;
    std::string lamp;  // as written: "3200" or a file; empty = not said
    std::string layer; // second gel's id; empty = none
};
std::optional<GelText> parseGelText(const std::string& text);
std::string toText(const GelText& gel);

} // namespace zelo::light
