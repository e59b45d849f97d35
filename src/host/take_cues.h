// SPDX-License-Identifier: GPL-3.0-or-later
// Cues of another desk as a cue list of the show.
#pragma once

#include "files/ascii_cues.h"
#include "play/mixes.h"
#include "show/cues.h"

namespace zelo::host {

struct TakenCues {
    show::CueList list;          // without an id
    std::vector<Sentence> notes; // what was left out
};

// Slot by slot through the patch of the file (without one a channel is the slot of its number) to
// the lamps of the rig: their intensity, and their emitters, flags and wheels part by part; other
// channels where they are not at rest. Channels that a cue does not name are at 0. A cue says what
// is otherwise than in the cue before it. Lines of a cue that are not read stand in its note.
// BadValue: no cue reaches a lamp of the rig.
Result<TakenCues> takeCues(const show::Show& show, const play::Sources& from, play::Mixes& mixes,
                           const files::AsciiCues& cues, std::string name);

} // namespace zelo::host
