// SPDX-License-Identifier: GPL-3.0-or-later
// A gradient's colours as mixes of one fixture type, chosen along it together: two lamps beside
// each other do not make nearly the same colour from quite different emitters, which would part on
// skin.
#pragma once

#include "mix/mix.h"

#include <optional>
#include <vector>

namespace zelo::route {

enum class Choose { Together, EachAlone }; // alone: by the intent, lamp by lamp

struct GradientMix {
    std::vector<mix::Mix> mixes; // of each colour; where it is out of reach the nearest to it
    double largest_step = 0;     // of any drive, between neighbours
    std::optional<double> alone; // what it is when each is chosen alone; not known of many colours
};

// `colours`: each once, from one end of the gradient to the other. Each has the brightness that the
// intent gives it alone; keep-outs and pins hold. Chosen together only where a step is seen. Of
// many colours some are so chosen, and the others lie between those in drives and in brightness.
// Requires wish.check(). Cost: some ten microseconds a colour.
GradientMix mixGradient(const mix::Mixer& mixer, const std::vector<colour::Uv>& colours,
                        const mix::MixWish& wish, Choose choose = Choose::Together);

// Mixes of colours that follow one another in a round, the last meeting the first: with the same
// colours and brightnesses, so that drives move as little as they can from each to the next. They
// stay as they are where nothing is gained. Cost: about a millisecond for ten of them.
void mixRound(const mix::Mixer& mixer, std::vector<light::Drives>& round);

} // namespace zelo::route
