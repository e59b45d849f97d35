// SPDX-License-Identifier: GPL-3.0-or-later
// Trims: small changes by hand over what is kept, which stays what it was: intensities by a ratio,
// colours by a step in u'v'. Held in hand, and let go one by one or all.
#pragma once

#include "show/edits.h"

namespace zelo::show {

bool trimmed(const Value& value); // its intensity or colour

// Intensities times this ratio: numbers that are held in hand change, over all else it is a trim.
// Lamps without an intensity stay as they are; `lit`: which have one from a cue or a fader.
HandPtr brighterBy(const State& state, const Lineup& lineup, double ratio,
                   const std::function<bool(FixtureId)>& lit = {});
// Colours by a step of each lamp's own; {0, 0}: not that lamp.
HandPtr nudgedBy(const State& state, const Lineup& lineup,
                 const std::function<colour::Uv(FixtureId)>& step);
// These lamps' trims go: in hand, and those that were kept.
State withoutTrims(const State& state, const Lineup& lineup);

} // namespace zelo::show
