// SPDX-License-Identifier: GPL-3.0-or-later
// A crossfade of one fixture, planned: colour along a way at a steady pace, brightness evenly as
// the eye sees it, mixes chosen along the whole way together, and the steps a console can follow.
#pragma once

#include "colour/polygon.h"
#include "mix/mix.h"
#include "mix/rounding.h"
#include "route/gradient.h"

#include <optional>
#include <vector>

namespace zelo::route {

struct FadeWish {
    Kind kind = Kind::Around;
    double floor = 0.8;                  // saturation floor of Around, 0..1
    Side side = Side::Short;             // of Around
    std::vector<colour::Uv> via = {};    // colours on the way, of Straight and Around
    std::optional<Sector> keep_out = {}; // hues that Around is to stay out of
    colour::Polygon reach = {};          // of several types together; empty: the mixer's own
    colour::Uv white;        // what colour goes round, and Oklab's white; inside the reach
    double dark_share = 0.3; // of the time with no light, for Dark: 0..1
    double jump_at = 0.5;    // moment of Jump: 0..1
    bool eased = false;      // colour and brightness go slower at both ends
    int samples = 101;       // along the way, at least 2
    // Keep-outs and pins that both ends hold: they hold along the way.
    mix::MixWish mixing = {};

    Done check() const;
};

// As a way is kept. Points on it are taken into the reach: they may come from another lamp.
FadeWish fadeWish(const StopWay& way, const colour::Uv& white, const colour::Polygon& reach);

struct FadePoint {
    double t = 0; // share of the time
    colour::Uv uv;
    double saturation = 0;
    double brightness_cd = 0;
    light::Drives drives;
    bool capped = false; // the reach allows less than was planned
};

struct Fade {
    std::vector<FadePoint> points;
    double white_dip = 0;
    double largest_step = 0;  // of any drive, per 1 % of the way
    double reach_dip = 0;     // share of the planned brightness that the reach does not allow
    Kind kind = Kind::Levels; // the way that it goes
    std::optional<bool> ccw;  // the side that Around took
    double in_sector = 0; // radians of hue that it had to turn through the sector to stay out of
};

// From one mix to another, both of this mixer; a dark one takes the colour of the other. Fails with
// BadValue for a wish that does not hold or a white outside the reach. Levels and Jump always
// succeed. Cost: about a millisecond.
Result<Fade> planFade(const mix::Mixer& mixer, const light::Drives& from, const light::Drives& to,
                      const FadeWish& wish);

// As needed: straight where that keeps its saturation (a dip of 0.35 at most), else around on the
// shorter side with a floor of 0.8. Of the wish: white, reach, mixing, samples, pace.
Result<Fade> planAsNeeded(const mix::Mixer& mixer, const light::Drives& from,
                          const light::Drives& to, FadeWish wish);

// The most light that the colour of each point can have, cd. Cost: as a plan.
std::vector<double> mostAlong(const mix::Mixer& mixer, const Fade& fade,
                              const mix::MixWish& mixing = {});

// A step of a drive, per 1 % of the way, that is not seen as a jump.
inline constexpr double kCalmStep = 0.04;

// The share of the ends' brightness, the larger the better, at which no drive steps more than
// kCalmStep; 1 when it never does, nothing when dimming does not help (down to a tenth). Cost: a
// few plans.
std::optional<double> calmBrightness(const mix::Mixer& mixer, const light::Drives& from,
                                     const light::Drives& to, const FadeWish& wish);

// Straight lines in channel values between two mixes, then the response: what a plain desk does.
light::Drives levelsBetween(const mix::Mixer& mixer, const light::Drives& from,
                            const light::Drives& to, double t);

struct FadeStep {
    double t = 0; // share of the time when it is reached
    mix::Sent sent;
};

struct Steps {
    std::vector<FadeStep> steps; // the first at t = 0, the last at t = 1
    double worst_uv = 0;         // how far straight fading between them leaves the way
    double worst_brightness = 0; // share of the brightest point of the way
};

// Few cue steps such that straight-line fading of channel values between them stays within
// `tolerance_uv` and 5 % brightness of the fade, of the place of it that is nearest and at most 3 %
// of the time away (a light that comes that much early is not seen to be). Where emitters make the
// light, nodes may leave the way within the tolerance and a search takes the fewest it finds; never
// more than the greedy answer along the way itself (each reaches as far as it can). Re-simulated
// from the rounded values; where two neighbouring points alone break the tolerance, both are steps.
// Cost: some milliseconds.
Steps stepsFor(const mix::Mixer& mixer, const Fade& fade, double tolerance_uv = 0.006);

// What a console makes of them: each channel in a straight line from step to step.
Fade asConsole(const mix::Mixer& mixer, const Steps& steps, const colour::Uv& white,
               int samples = 101);

} // namespace zelo::route
