// SPDX-License-Identifier: GPL-3.0-or-later
// What cues stand for, lamp by lamp: for small pictures of a list. `by`: the camera whose picture
// it is; null: the eye's.
#pragma once

#include "play/compile.h"

namespace zelo::play {

struct CueLamp {
    colour::Xyz at_full;  // its light at full, of the colour it has then; home where none is said
    double intensity = 0; // 0..1, of the list alone
    bool told = false;    // this very cue says something of it
};

// Of each cue of the list these lamps in their order, once the cue is done. Empty when the list is
// not there. Costs a light for each colour that a cue says.
std::vector<std::vector<CueLamp>> cuePictures(const Compiled& compiled, show::CueListId list,
                                              const show::Lineup& lamps,
                                              const colour::Camera* by = nullptr);

// The same of each look, of the lamps that it says something of, spread over at most so many.
std::map<show::LookId, std::vector<CueLamp>> lookPictures(const show::ShowPtr& show,
                                                          const Sources& from, Mixes& mixes,
                                                          std::size_t most,
                                                          const colour::Camera* by = nullptr);

} // namespace zelo::play
