// SPDX-License-Identifier: GPL-3.0-or-later
// Every place that holds values of fixtures, and the one walk over them all. Whatever has to reach
// all values (removing, following, where used, merging, files) goes through here, so that a new
// holder is added in one place.
#pragma once

#include "show/show.h"

#include <functional>

namespace zelo::show {

struct Holder {
    // Cue: also its versions. Fade: an end of the crossfade.
    enum class Kind { Standing, Locked, Look, Cue, Hand, Fade };
    Kind kind = Kind::Standing;
    LookId look = {};      // of a Look
    CueListId list = {};   // of a Cue
    CueNumber number = {}; // likewise
};

void eachHolder(const State& state, const std::function<void(const Holder&, const Values&)>& see);

// Every holder's values through `change`; those that come back the very same are shared.
State changeHolders(const State& state,
                    const std::function<Values(const Holder&, const Values&)>& change);

// Every value through `change`, which says whether it changed it. One that is empty afterwards
// goes.
State changeValues(const State& state, const std::function<bool(FixtureId, Value&)>& change);

// Every gradient, kept or laid over lamps, through `change`, which says whether it changed it.
// Lamps that shared a laying share the changed one.
State changeGradients(const State& state, const std::function<bool(Gradient&)>& change);

// Every laying through `change`: null leaves it as it is.
State changeLayings(const State& state, const std::function<LayingPtr(const Laying&)>& change);

// Without values of fixtures and links to palettes that are not there (any more): what refers to
// nothing goes, the rest stays. The same state when there is nothing of the kind; `notes` is told.
State pruned(const State& state, std::vector<Sentence>* notes = nullptr);

} // namespace zelo::show
