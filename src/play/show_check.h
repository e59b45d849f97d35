// SPDX-License-Identifier: GPL-3.0-or-later
// What is wrong with a show before anybody plays it: fades that show a colour nobody asked for,
// lamps whose slots clash, colours that lamps cannot show.
#pragma once

#include "play/compile.h"
#include "route/fade_check.h"

#include <optional>
#include <vector>

namespace zelo::play {

struct Finding {
    enum class Kind { Fade, Clash, Miss };
    Kind kind = Kind::Fade;
    show::CueListId list = {}; // none: standing light
    std::optional<show::CueNumber> cue;
    std::vector<show::FixtureId> lamps; // in the order of the rig
    double from_s = 0, to_s = 0;        // of the cue's start; of a Fade
    Sentence what;
    std::vector<route::Cure> cures; // after which the fade shows nothing of the kind
    // Of a Fade: its first lamp, evenly over it.
    std::shared_ptr<const mix::Mixer> mixer = {};
    std::vector<route::FadeMoment> moments = {};
};

// "fade", "clash", "miss".
const char* nameOf(Finding::Kind kind);
const char* nameOf(route::Cure cure); // "colour in the dark", …

inline constexpr std::size_t kMomentsOfFinding = 57;
// A colour is missed when it is farther than this from the one asked for.
inline constexpr double kMissed_uv = 0.015;

// What a fault of a fade between these colours looks like: "orange to cyan turns green for 2.1 s".
Sentence wordsOf(const route::FadeFault& fault, const colour::Uv& from, const colour::Uv& to,
                 const colour::Uv& white);

// Lists cue by cue, each from what the cues before it left (the first from the dark), lamps with
// the same finding together; then clashes, then misses of standing light and cues. Costs some
// hundred microseconds for each change that no other lamp has. `enough` ends it early.
std::vector<Finding> checkShow(const Compiled& compiled, const Sources& from, Mixes& mixes,
                               const std::function<bool()>& enough = {});

} // namespace zelo::play
