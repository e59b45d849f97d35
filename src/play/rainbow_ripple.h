// SPDX-License-Identifier: GPL-3.0-or-later
// A ripple of all hues, for lamps of whatever types.
#pragma once

#include "play/mixes.h"

namespace zelo::play {

inline constexpr int kHues = 12; // of a rainbow, unless asked for others

// Steps all round the reach that these lamps share, at this saturation (0..1 of it): equal steps to
// the eye, all at one brightness on each type. It runs as a Cycle, once along the lamps; it has no
// name yet. BadValue: no lamp makes colours, their types share no reach, or as route::rainbow().
Result<show::Ripple> rainbowRipple(const show::Show& show,
                                   const std::vector<show::FixtureId>& lamps, double saturation,
                                   const Sources& from, Mixes& mixes, int hues = kHues);

} // namespace zelo::play
