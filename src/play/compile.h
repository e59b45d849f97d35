// SPDX-License-Identifier: GPL-3.0-or-later
// A show made ready to be played.
#pragma once

#include "play/mixes.h"
#include "play/program.h"

#include <map>
#include <memory>

namespace zelo::play {

// A program, and whose everything in it is.
struct Compiled {
    std::shared_ptr<const Program> program;
    std::vector<show::FixtureId> fixtures;                 // by lamp
    std::vector<std::shared_ptr<const mix::Mixer>> mixers; // by lamp; null: no such type
    std::vector<show::CueListId> lists;                    // by list
    std::vector<show::FaderId> faders;                     // by fader

    std::optional<std::uint32_t> lampOf(show::FixtureId id) const;
};

// A pure function of the show and what its colours and types come from; `mixes` only remembers.
// Palettes are followed and gradients laid out. Of a lamp whose type is not there nothing is said.
Compiled compiled(const show::ShowPtr& show, const Sources& from, Mixes& mixes);

} // namespace zelo::play
