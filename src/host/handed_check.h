// SPDX-License-Identifier: GPL-3.0-or-later
// The fade check of a list as another desk plays it once it was handed over.
#pragma once

#include "host/hand_over.h"
#include "play/show_check.h"

namespace zelo::host {

// From cue to cue of what was handed over each slot goes straight in the cue's time and all
// together: what shows a colour there that nobody asked for. Fades that went over in steps are
// played as ours, within the tolerance: the fade check of the show has them. NotFound: no such
// list. Cost: that of handOver(), and some hundred microseconds for each change that no other lamp
// has. `enough` ends it early.
Result<std::vector<play::Finding>> checkHandedOver(const show::ShowPtr& show,
                                                   const play::Sources& from, play::Mixes& mixes,
                                                   const HandOver& wish,
                                                   const std::function<bool()>& enough = {});

} // namespace zelo::host
