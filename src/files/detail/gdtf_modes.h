// SPDX-License-Identifier: GPL-3.0-or-later
// The modes of a GDTF description: channels, and which part of the fixture each sets.
#pragma once

#include "files/detail/gdtf_emitters.h"

namespace zelo::files::gdtf {

// What modes refer to by name; parts that only modes name (flags, wheels in use, engines, emitters
// known by an attribute) are added to the type as they are met.
struct Named {
    std::map<std::string, std::size_t> emitters; // place in the type
    std::vector<ToldBrightness> told;            // of each emitter of the type
    pugi::xml_node geometries, beam;             // of the fixture; its first Beam
    std::map<std::string, light::Flag> filters;
    std::map<std::string, light::Wheel> wheels;
    std::map<std::string, light::Response> profiles;
    pugi::xml_node physical;
};

// All modes that can be used; of the others, and of channels that name what is not there, a note.
// Parts must have their final places before drives are numbered, so they are gathered over all
// modes first, and the brightness of emitters is settled.
Result<std::vector<light::Mode>> readModes(const pugi::xml_node& modes, Named& named,
                                           light::FixtureType& type);

bool anyAdditive(const pugi::xml_node& modes); // a channel drives an emitter

} // namespace zelo::files::gdtf
