// SPDX-License-Identifier: GPL-3.0-or-later
// The modes of a GDTF description: channels, and which part of the fixture each sets.
#pragma once

#include "files/detail/gdtf_parts.h"

namespace zelo::files::gdtf {

// What modes refer to by name; parts that only modes name (flags, wheels in use, engines) are added
// to the type as they are met.
struct Named {
    std::map<std::string, std::size_t> emitters; // place in the type
    std::map<std::string, light::Flag> filters;
    std::map<std::string, light::Wheel> wheels;
    std::map<std::string, light::Response> profiles;
    pugi::xml_node physical;
};

// All modes. Parts must have their final places before drives are numbered, so flags, wheels and
// engines are gathered over all modes first.
Result<std::vector<light::Mode>> readModes(const pugi::xml_node& modes, const Named& named,
                                           light::FixtureType& type);

} // namespace zelo::files::gdtf
