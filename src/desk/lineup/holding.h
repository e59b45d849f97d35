// SPDX-License-Identifier: GPL-3.0-or-later
// What holds lamps of the lineup, and letting go of it: solo, locks, what is in hand.
#pragma once

#include "desk/kit/document.h"

namespace zelo::desk {

// Only the lamps of the lineup show; where these are solo already, or the lineup is empty, all do.
void soloLineup(Document& document);

// The lamps of the lineup keep what they show against all but Dark; where all of them do already,
// they are unlocked.
void lockLineup(Document& document);

// A part of what is in hand of the lineup goes, or all of it.
void putDownOfLineup(Document& document, show::Which which);

} // namespace zelo::desk
