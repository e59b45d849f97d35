// SPDX-License-Identifier: GPL-3.0-or-later
// Before version 3 levels of parts were kept by their place in the type and not by name. The reader
// gives them names "#1", "#2" …; here they get their own, from the types.
#pragma once

#include "play/mixes.h"
#include "show/show.h"

namespace zelo::host {

// The same state when there is nothing of the kind. Parts whose type is not to be had keep "#n".
show::State namedParts(const show::State& state, const play::Sources& types);

} // namespace zelo::host
