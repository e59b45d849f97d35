// SPDX-License-Identifier: GPL-3.0-or-later
// One colour on one fixture type: what zelo says of it, to people and as JSON.
#pragma once

#include "choices.h"
#include "mix/camera_miss.h"

namespace zelo::cli {

struct Matched {
    light::Wanted wanted;
    mix::Mix mix;
    mix::Sent sent;
    Rendering rendering;
    double agreement = NAN;
    colour::Spectrum light; // of the mix
    std::vector<mix::CameraMiss> cameras;
    Sentence room; // why not all of them can be satisfied; empty: they can
};

// `dim`: the dimmer, 0..1. `wish`: for the cameras that look on. `white`: what the eye takes for
// white where the wanted light has no lamp.
Matched matched(const mix::Mixer& mixer, const light::Wanted& wanted, const mix::Mix& mix,
                double dim, const colour::Spectrum& white, const mix::MixWish& wish);

Json matchJson(const mix::Mixer& mixer, const Matched& m);
void printMatch(const mix::Mixer& mixer, const Matched& m, const colour::Uv& white);

} // namespace zelo::cli
