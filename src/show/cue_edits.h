// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of cue lists, cues and faders. Each takes a show and gives the next one.
#pragma once

#include "show/show.h"

#include <functional>

namespace zelo::show {

// BadValue for an empty or taken name, or a time beyond show/limits.h.
Result<ShowPtr> addCueList(const ShowPtr& show, CueList list); // with a new id
// Name, times, lock; its cues stay. NotFound, or BadValue when it is locked (unless only the lock
// differs).
Result<ShowPtr> changeCueList(const ShowPtr& show, CueList list);
Result<ShowPtr> removeCueList(const ShowPtr& show, CueListId id); // BadValue: a fader plays it

// Adds the cue, or replaces the one of its number. NotFound; BadValue when that or the list is
// locked, or for a time or number out of range.
Result<ShowPtr> keepCue(const ShowPtr& show, CueListId list, Cue cue);
// What these lamps show, of all values, as a cue of this number: links to palettes and gradients
// kept. With `changed_only` without what the cues before it stand for already.
Result<ShowPtr> keepAsCue(const ShowPtr& show, const Values& shown, const Lineup& lineup,
                          CueListId list, Cue cue, bool changed_only);
// The same of hand and standing light.
Result<ShowPtr> keepAsCue(const State& state, const Lineup& lineup, CueListId list, Cue cue,
                          bool changed_only);
Result<ShowPtr> removeCue(const ShowPtr& show, CueListId list, CueNumber number);

// All of these, or none: NotFound for one that is not there, BadValue for one that is locked or
// would be out of range. Only removeCues counts the ones that are gone already as done.
using CueNumbers = std::vector<CueNumber>;
Result<ShowPtr> changeCues(const ShowPtr& show, CueListId list, const CueNumbers& numbers,
                           const std::function<void(Cue&)>& change); // all but the number
Result<ShowPtr> removeCues(const ShowPtr& show, CueListId list, const CueNumbers& numbers);
// In their order: the first gets `first`, each other one `step` more. BadValue when another cue has
// such a number.
Result<ShowPtr> renumberCues(const ShowPtr& show, CueListId list, const CueNumbers& numbers,
                             CueNumber first, CueNumber step);
// The two change places: each has the number of the other.
Result<ShowPtr> swapCues(const ShowPtr& show, CueListId list, CueNumber a, CueNumber b);
// These once more after the cue of this number, under numbers that are free there; with them,
// those.
struct Copied {
    ShowPtr show;
    CueNumbers numbers;
};
Result<Copied> insertCues(const ShowPtr& show, CueListId list, std::optional<CueNumber> after,
                          std::vector<Cue> cues);
// The cue says nothing of these lamps any more: they stay as the cues before it left them. What is
// left out of `what` stays.
Result<ShowPtr> letGoInCue(const ShowPtr& show, CueListId list, CueNumber number,
                           const Lineup& lineup, Which what);
// Another try beside the cue: its values go beside it under their letter, these play under the next
// free one, which `named` takes. NotFound, BadValue as keepCue.
Result<ShowPtr> keepVersion(const ShowPtr& show, CueListId list, CueNumber number, Values values,
                            std::string* named = nullptr);
// The version of this name plays from now on, the one that played stands beside. NotFound.
Result<ShowPtr> playVersion(const ShowPtr& show, CueListId list, CueNumber number,
                            const std::string& name);
// One that stands beside goes. NotFound.
Result<ShowPtr> dropVersion(const ShowPtr& show, CueListId list, CueNumber number,
                            const std::string& name);
// From this cue on these lamps are as in another one of the list.
Result<ShowPtr> asInCue(const ShowPtr& show, CueListId list, CueNumber number, CueNumber as,
                        const Lineup& lineup);
// The number between these two that is shortest: after 7 comes 8, between 7 and 8 comes 7.5.
// Nothing when there is none.
std::optional<CueNumber> numberAfter(const CueList& list, std::optional<CueNumber> after);

// With a new id. NotFound: its look, list or group; BadValue when it has none of them nor emitters,
// or for its name.
Result<ShowPtr> addFader(const ShowPtr& show, Fader fader);
Result<ShowPtr> changeFader(const ShowPtr& show, Fader fader);
Result<ShowPtr> removeFader(const ShowPtr& show, FaderId id);

// Which cues, up to this one, last said what the lamp shows in it; none: it was never said.
struct SaidBy {
    std::optional<CueNumber> intensity, colour;
};
SaidBy saidBy(const CueList& list, CueNumber number, FixtureId lamp);

// What all cues up to this one say of each lamp together; attributes each on its own.
Values standsFor(const CueList& list, CueNumber number);

} // namespace zelo::show
