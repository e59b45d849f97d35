// SPDX-License-Identifier: GPL-3.0-or-later
// The physical part of a GDTF description: filters, wheels, gamuts, response curves. (Emitters:
// gdtf_emitters.h.)
#pragma once

#include "colour/resample.h"
#include "light/fixture_type.h"

#include <array>
#include <map>
#include <pugixml.hpp>

namespace zelo::files::gdtf {

double sane(double value); // within ±1e9; what is nearer to 0 than 1e-12 is 0
double number(const pugi::xml_node& node, const char* attribute, double otherwise);
tl::unexpected<Error> bad(const std::string& where, Sentence what);

// "0.3,0.3,1200" → x, y, Y.
std::optional<std::array<double, 3>> colourOf(const pugi::xml_node& node, const char* attribute);

// A smooth spectrum of this chromaticity, of any size; nothing for one that no light has.
std::optional<colour::Spectrum> smoothOf(const std::array<double, 3>& xyY);

// The measurements of an emitter or filter by their Physical, also those without points.
std::vector<pugi::xml_node> measurementsOf(const pugi::xml_node& node);
Result<colour::Samples> readPoints(const pugi::xml_node& measurement);

using Notes = std::vector<Sentence>;

// Measurements by Physical, percent driven in.
Result<light::Flag> readFilter(const pugi::xml_node& node, Notes& notes);
// Slots by their Filter (names in `filters`), else modelled from their Color.
Result<light::Wheel> readWheel(const pugi::xml_node& node,
                               const std::map<std::string, light::Flag>& filters, Notes& notes);
Result<light::Response> readProfile(const pugi::xml_node& node);

// A flag known by its attribute alone ("ColorSub_C", "CTO"): modelled; nothing for others.
std::optional<light::Flag> modelledFlag(const std::string& attribute);

// Corners and white of a gamut with the engine's light; without a declared one the colour space's
// or sRGB's.
void setGamut(const pugi::xml_node& physical, const std::string& gamut, const std::string& space,
              const std::vector<light::Emitter>& emitters, light::Engine& engine);

} // namespace zelo::files::gdtf
