// SPDX-License-Identifier: GPL-3.0-or-later
// The light check: for one fixture, the chain from what was asked for to the light that comes out,
// link by link in words, and where it breaks.
#pragma once

#include "play/stage.h"
#include "show/patch.h"

namespace zelo::play {

struct CheckLink {
    enum class State {
        Good,  // light gets through here
        Mind,  // it does, but something is to be known
        Stops, // the light ends here
    };
    State state = State::Good;
    Sentence what;  // "Intensity"
    Sentence words; // "0 %, set by hand"
};

// What goes out of this computer; the stage does not know.
struct OutputState {
    bool sends = true;           // there is an output at all
    bool on_stage = true;        // not in Rehearsal
    bool network_chosen = false; // what leaves this computer may
    bool receivers_known = false;
    int receivers = 0; // nodes that answer, where the protocol has answers
};

// In the order of the chain: patch, intensity, colour, emitters, master, Dark, output. NotFound
// when there is no such fixture.
Result<std::vector<CheckLink>> lightCheck(const Stage& stage, show::FixtureId id,
                                          const show::SlotsOf& slots_of, const OutputState& output);

// One sentence: the first link that stops the light, or that it shines.
Sentence verdict(const std::vector<CheckLink>& links);

// The output line that carries a universe of the show; nothing when none does. With no line at all
// every universe goes to this computer: `none_needed`.
struct Carried {
    const show::OutputLine* line = nullptr;
    bool none_needed = false;
};
Carried carrierOf(const show::Show& show, std::uint16_t universe);

} // namespace zelo::play
