// SPDX-License-Identifier: GPL-3.0-or-later
// A wheel's slots as a strip shows them.
#pragma once

#include "colour/xyz.h"
#include "desk/kit/light_colours.h"
#include "desk/kit/slot_strip.h"
#include "light/fixture_type.h"

#include <optional>

namespace zelo::desk {

// Of the wheel that is `part` of the type: each slot (and half, where it can stand there) in the
// light that it makes of `drives`, and how far that is from the wish, if there is one.
std::vector<SlotStrip::Chip> slotChips(const light::FixtureType& type, std::size_t part,
                                       light::Drives drives,
                                       const std::optional<colour::Uv>& wanted,
                                       const LightColours& colours);

} // namespace zelo::desk
