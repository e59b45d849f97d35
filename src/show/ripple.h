// SPDX-License-Identifier: GPL-3.0-or-later
// A ripple as a show has it: colours that move along lamps, step by step. How it plays:
// play/ripple_time.h.
#pragma once

#include "show/gradient.h"

namespace zelo::show {

struct RippleId {
    int value = 0; // 0 = none
    explicit operator bool() const { return value != 0; }
    auto operator<=>(const RippleId&) const = default;
};

struct RippleStep {
    Source<light::Asked> colour;          // or it follows a palette that has one
    colour::Uv uv;                        // what it was then: taken when it is not to be had
    double time_s = 1;                    // with the change into the next
    double change = 0.3;                  // share of that time, 0..1; 0: hard
    std::optional<double> intensity = {}; // 0..1; without: what lies below
    std::string unknown = {};
    friend bool operator==(const RippleStep&, const RippleStep&) = default;
};

enum class Pattern { // stored by name
    Cycle,           // all lamps go through the steps, each later than the one before
    March,           // the next colour enters at one end, and stays until the one after it
    Pulse            // accents pass over the first step, or over what lies below
};
const char* nameOf(Pattern pattern); // "cycle"
std::optional<Pattern> patternNamed(std::string_view name);

enum class RippleEnd { Again, ToAndFro, Stop }; // stored by name
enum class Chance {                             // stored by name
    None,                                       // by order or place
    OneAfterAnother,                            // in a seeded order
    EachItsOwn                                  // with a seeded moment of its own
};

// What a cue does with one; stored by name. Freeze holds it, or lets it go on.
enum class RippleDoes { Start, LetGo, Freeze };

struct Ripple : Head<RippleId> {
    Pattern pattern = Pattern::Cycle;
    std::vector<RippleStep> steps; // two or more; of Pulse over what lies below one
    double after_s = 0.3;          // from lamp to lamp
    std::optional<double> turns;   // of Cycle, instead: so many turns lie along the lamps
    int band = 0;                  // of March: lamps that show one colour; 0: all of them
    double pause_s = 0;            // of March: before the next colour enters; where band is 0
    double every_s = 3;            // of Pulse: from accent to accent
    double rise_s = 0.4, stay_s = 0.2, fall_s = 1; // of Pulse
    bool over_below = false; // of Pulse: over what lies below, all steps are accents
    RippleEnd end = RippleEnd::Again;
    bool lets_go = false; // at the end of Stop; else it holds
    Chance chance = Chance::None;
    std::uint32_t seed = 1;
    double release_s = 1;                   // in which it is let go
    std::optional<route::StopWay> way = {}; // between steps; without: as needed
    route::Arrangement arrangement = {};
    std::optional<AlongPlan> along = {}; // by place on the plan; else by order
    std::vector<FixtureId> lamps;        // in their order, each once
    mix::Intent intent = mix::Intent::Truest;
    double give_up = 0.3;
    bool as_bright = false; // on each type all steps as bright as the dimmest of them
    friend bool operator==(const Ripple&, const Ripple&) = default;
};

// BadValue: too few or too many steps, times or shares out of range, a way that is none.
Done checkRipple(const Ripple& ripple);

} // namespace zelo::show
