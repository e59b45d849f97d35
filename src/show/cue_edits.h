// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of cue lists, cues and faders. Each takes a show and gives the next one.
#pragma once

#include "show/show.h"

namespace zelo::show {

// BadValue for an empty or taken name, or a time beyond show/limits.h.
Result<ShowPtr> addCueList(const ShowPtr& show, CueList list); // with a new id
// Name, times, lock; its cues stay. NotFound, or BadValue when it is locked (unless only the lock
// differs).
Result<ShowPtr> changeCueList(const ShowPtr& show, CueList list);
Result<ShowPtr> removeCueList(const ShowPtr& show, CueListId id);

// Adds the cue, or replaces the one of its number. NotFound; BadValue when that or the list is
// locked, or for a time or number out of range.
Result<ShowPtr> keepCue(const ShowPtr& show, CueListId list, Cue cue);
// What these lamps show now, as a cue of this number: links to palettes and gradients kept. With
// `changed_only` without what the cues before it stand for already.
Result<ShowPtr> keepAsCue(const State& state, const Lineup& lineup, CueListId list, Cue cue,
                          bool changed_only);
Result<ShowPtr> removeCue(const ShowPtr& show, CueListId list, CueNumber number);
// The number between these two that is shortest: after 7 comes 8, between 7 and 8 comes 7.5.
// Nothing when there is none.
std::optional<CueNumber> numberAfter(const CueList& list, std::optional<CueNumber> after);

Result<ShowPtr> addFader(const ShowPtr& show, Fader fader); // with a new id; NotFound: its look
Result<ShowPtr> changeFader(const ShowPtr& show, Fader fader);
Result<ShowPtr> removeFader(const ShowPtr& show, FaderId id);

// What all cues up to this one say of each lamp together; attributes each on its own.
Values standsFor(const CueList& list, CueNumber number);

} // namespace zelo::show
