// SPDX-License-Identifier: GPL-3.0-or-later
// From drives to whole channel values, rounded together so that the colour stays.
#pragma once

#include "light/levels.h"
#include "mix/mix.h"

namespace zelo::mix {

// What is sent to one fixture, and the light it makes.
struct Sent {
    light::ChannelValues values; // one per channel of the mode
    light::Drives drives;        // as they leave the fixture, intensity in them
    colour::Xyz xyz;
};

// What parts and dimmer are to give for `drives` at `intensity`: on the dimmer where there is one,
// else in the parts. `AtOnce`: emitters are scaled as they are, without a look at how they droop.
struct WantedParts {
    light::Drives parts;
    double dimmer = 1;
};
WantedParts wantedParts(const Mixer& mixer, const light::Drives& drives, double intensity);
WantedParts wantedAtOnce(const Mixer& mixer, const light::Drives& drives, double intensity);

// Channel values for `drives` at `intensity` (0..1): on the dimmer where there is one, else in the
// emitters. The values of all lit emitters are searched together for the least Δu'v' from the
// drives' own colour, brightness free within 10 % (design: §6): all combinations of one step up and
// down for up to 6 lit emitters of 8 bit, of two steps for up to 5 (one step alone does not halve
// the error there); beyond, and for finer channels, pairs of emitters until none is better. Flags
// and engines of 8 bit: all combinations of one step.
Sent rounded(const Mixer& mixer, const light::Drives& drives, double intensity);

// These values, and the light they make.
Sent sentAs(const Mixer& mixer, light::ChannelValues values);

// Each value rounded alone: what the search is measured against.
Sent roundedAlone(const Mixer& mixer, const light::Drives& drives, double intensity);

} // namespace zelo::mix
