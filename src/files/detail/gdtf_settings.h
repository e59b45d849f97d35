// SPDX-License-Identifier: GPL-3.0-or-later
// Channels of a GDTF mode that are neither intensity nor colour: all that their values do.
#pragma once

#include "files/detail/gdtf_parts.h"

namespace zelo::files::gdtf {

// Its name, its named ranges, its resting value and whether it goes there at once.
void readSetting(const pugi::xml_node& node, light::Channel& channel);
// Each setting gets a name of its own in its mode.
void nameApart(light::Mode& mode);

} // namespace zelo::files::gdtf
