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

} // namespace zelo::show
