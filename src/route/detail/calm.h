// SPDX-License-Identifier: GPL-3.0-or-later
// Mixes of colours one after the other that are chosen together: with these colours and
// brightnesses, so that drives move as little as they can from one to the next.
#pragma once

#include "mix/mix.h"

#include <vector>

namespace zelo::route {

struct CalmPoint {
    colour::Uv uv;
    double brightness_cd = 0;
    light::Drives drives = {}; // of the ends: what they begin from
};

struct LargestStep {
    double step = 0;    // of any drive
    std::size_t at = 0; // from the point before this one
};
LargestStep largestStep(const std::vector<CalmPoint>& points);

enum class Ends { Held, Free };

// The drives nearest to `target` with the point's colour and brightness; where rounding leaves
// none, the brightest of its colour, dimmed.
light::Drives follow(const mix::Mixer& mixer, const CalmPoint& point, const light::Drives& target,
                     const mix::MixWish& wish = {});

// First the middle of each stretch between its ends, over and over (so far points are tied early),
// then sweeps that pull each towards the middle of its neighbours, and a little (kPull) towards
// `near`, drives for each point, where it is not empty. Requires two points or more.
inline constexpr double kPull = 0.02;
void mixTogether(const mix::Mixer& mixer, std::vector<CalmPoint>& points,
                 const mix::MixWish& wish = {}, Ends ends = Ends::Held,
                 const std::vector<light::Drives>& near = {});

// The sweeps above make the sum of squared steps small, not the largest step. Where that is larger
// than `seen`, the stretch about it is swept again with weights on the steps that grow with their
// size (Lawson's way from least squares to the least largest), as long as the largest shrinks.
void evenOut(const mix::Mixer& mixer, std::vector<CalmPoint>& points, double seen,
             const mix::MixWish& wish = {}, Ends ends = Ends::Held);

} // namespace zelo::route
