// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/changes.h"

namespace zelo::host {

Changes changesBetween(const show::State& before, const show::State& now) {
    Changes changes;
    const show::Show& a = *before.show;
    const show::Show& b = *now.show;
    const auto note = [&](bool differs, Change what) {
        if (differs)
            changes = changes | what;
    };
    note(!(a.fixtures == b.fixtures && a.groups == b.groups && a.stage == b.stage), Change::Rig);
    note(!(a.types == b.types), Change::Types);
    note(!(a.standing == b.standing && a.locked == b.locked && a.looks == b.looks &&
           a.cue_lists == b.cue_lists && a.faders == b.faders && a.ripples == b.ripples &&
           a.dark_first == b.dark_first && a.even_to_the_eye == b.even_to_the_eye &&
           a.way == b.way && a.routes == b.routes && a.routes_between == b.routes_between),
         Change::Values);
    note(!(a.cue_lists == b.cue_lists && a.faders == b.faders && a.ripples == b.ripples),
         Change::Cues);
    // Cameras too: what is filmed follows them as what uses a palette follows that.
    note(!(a.palettes == b.palettes && a.measured == b.measured && a.cameras == b.cameras &&
           a.favourites == b.favourites),
         Change::Palettes);
    note(!(*before.hand == *now.hand), Change::Hand);
    note(a.outputs != b.outputs, Change::Outputs);
    note(a.crossfade != b.crossfade || !(a.routes == b.routes) ||
             a.routes_between != b.routes_between,
         Change::Crossfade);
    note(a.white_cct_k != b.white_cct_k, Change::White);
    return changes;
}

} // namespace zelo::host
