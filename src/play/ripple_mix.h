// SPDX-License-Identifier: GPL-3.0-or-later
// How lamps that are made alike show the steps of a ripple.
#pragma once

#include "play/mixes.h"
#include "play/program.h"

namespace zelo::play {

// What a step asks for: its palette as it is now, or the colour that was kept with it.
show::ColourWish wishOf(const show::Show& show, const show::Ripple& ripple,
                        const show::RippleStep& step);

// The steps' drives, chosen together all round the turn where only colours are asked for; all as
// bright as the dimmest where the ripple says so. Ways are not planned yet. `off`: as in
// Mixes::mixed(); `nudge`: by hand, over whatever plays. Cost: about a millisecond for ten steps.
PlayedRipple::Table mixRipple(const show::Show& show, const show::Ripple& ripple,
                              const std::shared_ptr<const mix::Mixer>& mixer, const Sources& from,
                              Mixes& mixes, const colour::Uv& off, const colour::Uv& nudge);

} // namespace zelo::play
