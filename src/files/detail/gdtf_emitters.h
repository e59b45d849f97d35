// SPDX-License-Identifier: GPL-3.0-or-later
// The emitters of a GDTF description: measured, or modelled from what is told of them; and how
// bright they are, where only the beam says.
#pragma once

#include "files/detail/gdtf_parts.h"

namespace zelo::files::gdtf {

// What a file says of an emitter's brightness.
struct ToldBrightness {
    bool absolute = false; // its spectrum is in W/(sr nm) as it stands
    double share = 0;      // else: percent of the beam's output (Y of its Color); 0 = nothing
};

struct ReadEmitter {
    light::Emitter emitter; // without absolute brightness its spectrum is of any size
    ToldBrightness told;
};

// Of several Measurements the one at the highest Physical is full; the others are droop. What
// cannot be read is told and left out; an emitter of which nothing is known is an error.
Result<ReadEmitter> readEmitter(const pugi::xml_node& node, Notes& notes);

// A light known by its attribute alone: "ColorAdd_R", "ColorRGB_Red".
struct AdditiveLight {
    const char* name; // "Red"
    double nm;        // of its line, or 0:
    double cct_k;     // a white of this colour temperature
};
std::optional<AdditiveLight> additiveLight(std::string_view attribute);
ReadEmitter modelledEmitter(const AdditiveLight& light);

// Luminous intensity in the middle of a Beam, cd: its LuminousFlux within half of its BeamAngle as
// if evenly; nothing where it does not say.
std::optional<double> beamCandela(const pugi::xml_node& beam);

// Emitters without absolute brightness get one: a share of the beam's output, or as much as the
// measured ones have; each is told. One place of `told` for each emitter.
void settleBrightness(const pugi::xml_node& beam, const std::vector<ToldBrightness>& told,
                      std::vector<light::Emitter>& emitters, Notes& notes);

// A lamp for flags to stand before, where only the Beam says what burns: modelled.
std::optional<light::Emitter> lampOfBeam(const pugi::xml_node& beam);

} // namespace zelo::files::gdtf
