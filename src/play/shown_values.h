// SPDX-License-Identifier: GPL-3.0-or-later
// What lamps show at a moment, as values that a cue or a look can keep.
#pragma once

#include "play/stage.h"

namespace zelo::play {

// Of each lamp of the lineup, whatever it comes from: its intensity before master, solo and Dark,
// and the colour of the layer that gives it, with its links to palettes and gradients. Trims and
// nudges go along. Where lights
// are added up, or there is no colour but home, the drives themselves. Of a lamp that fades: what
// it fades to. Lamps that show nothing are left out.
show::Values shownValues(const Stage& stage, const show::Lineup& lineup);

// What a lock keeps of them: what they show now, with the master in it, part by part.
show::Values lockedValues(const Stage& stage, const show::Lineup& lineup);

} // namespace zelo::play
