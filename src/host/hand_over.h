// SPDX-License-Identifier: GPL-3.0-or-later
// A cue list for another desk: what each cue looks like, slot by slot, and its times; fades that a
// desk would play otherwise as steps of their own.
#pragma once

#include "files/ascii_cues.h"
#include "play/compile.h"

#include <functional>

namespace zelo::host {

struct HandOver {
    show::CueListId list;
    double tolerance_uv = 0.006; // how far a fade's colours may be from ours
};

struct HandedOver {
    files::AsciiCues cues;
    int steps = 0;               // cues that stand for parts of a fade
    std::vector<Sentence> notes; // what another desk will do otherwise
};

// All lamps of the rig that are patched and have a type, one channel of the desk for each slot, in
// the order of the rig; every cue says all of them, as they rest. A cue whose fade other desks play
// as we do, each channel straight in its up or down time, stays one cue (its brightness may take
// the desk's own curve from end to end); else straight pieces within the tolerance at all moments
// follow one another by themselves, with decimals between the cues' numbers. NotFound: no such
// list. Cost: some milliseconds a cue; `enough` ends it early, with what is there.
Result<HandedOver> handOver(const show::ShowPtr& show, const play::Sources& from,
                            play::Mixes& mixes, const HandOver& wish,
                            const std::function<bool()>& enough = {});

// One turn of a ripple as cues that follow one another: the first where it begins, the last where
// it has come round. Of its lamps alone, and of those the colours alone where it has no intensities
// of its own and they have a dimmer. NotFound: no such ripple; BadValue: none of its lamps makes
// colours, or it turns faster than in kShortestTurnAsCues_s.
inline constexpr double kShortestTurnAsCues_s = 0.2;
Result<HandedOver> handOverTurn(const show::ShowPtr& show, const play::Sources& from,
                                play::Mixes& mixes, show::RippleId ripple,
                                double tolerance_uv = 0.006);

} // namespace zelo::host
