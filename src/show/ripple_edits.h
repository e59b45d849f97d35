// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of kept ripples. Each takes a show and gives the next one.
#pragma once

#include "show/show.h"

namespace zelo::show {

// With a new id. BadValue for an empty or taken name, or as checkRipple(); NotFound: a palette or
// lamp that is not there.
Result<ShowPtr> addRipple(const ShowPtr& show, Ripple ripple);
// Replaces the ripple of this id: what plays goes on without a jump. NotFound; BadValue when it is
// locked (unless only the lock differs), or as above.
Result<ShowPtr> changeRipple(const ShowPtr& show, Ripple ripple);
// NotFound, or BadValue when it is locked or a fader plays it.
Result<ShowPtr> removeRipple(const ShowPtr& show, RippleId id);

// The next step, of a colour; the ones before it stay as they are.
Ripple withStep(Ripple ripple, light::Asked colour, colour::Uv uv);
// A step goes to another place among them. Requires both to be there.
Ripple withStepAt(Ripple ripple, std::size_t from, std::size_t to);

// All its times so many times as short; each stays within what a ripple may have.
Ripple faster(Ripple ripple, double factor);
// From colour to colour in this time, s: the steps of a Cycle, which keep their shares of it; of
// March the lamps' times and the pause; of Pulse from accent to accent.
Ripple atBeat(Ripple ripple, double beat_s);

// The same show where this ripple alone plays, over its lamps at full: what it makes of them.
ShowPtr withRippleAlone(const Show& show, const Ripple& ripple);

// What starts, lets go of or freezes it.
struct RippleUses {
    std::vector<std::pair<CueListId, CueNumber>> cues;
    std::vector<FaderId> faders;
    bool any() const { return !cues.empty() || !faders.empty(); }
};
RippleUses usesOf(const Show& show, RippleId id);

} // namespace zelo::show
