// SPDX-License-Identifier: GPL-3.0-or-later
// A show made ready to be played.
#pragma once

#include "light/mode_table.h"
#include "play/laid.h"
#include "play/program.h"
#include "show/show.h"

#include <map>
#include <memory>

namespace zelo::play {

// What standing light and hand ask of a lamp, and how it is made.
struct AskedLamp {
    show::Shown told;                          // palettes followed, gradients laid out
    std::shared_ptr<const MixedColour> colour; // null when no colour is asked for
    std::optional<light::Drives> drives;       // of that colour, or set by hand; nothing: home
    double dim = 1;                            // what a way through dark leaves of it
    bool by_hand = false;                      // some drives are set by hand, not mixed
    bool in_hand = false;
};

// A program, whose everything in it is, and what it came from.
struct Compiled {
    std::shared_ptr<const Program> program;
    std::vector<show::FixtureId> fixtures;                       // by lamp
    std::vector<std::shared_ptr<const mix::Mixer>> mixers;       // by lamp; null: no such type
    std::vector<std::shared_ptr<const light::ModeTable>> tables; // by lamp; null likewise
    std::vector<AskedLamp> asked;                                // by lamp
    std::vector<show::CueListId> lists;                          // by list
    std::vector<show::FaderId> faders;                           // by fader
    std::vector<show::RippleId> ripples;                         // by ripple
    show::State state;
    // The gradients that lamps show, laid out.
    std::map<show::LayingPtr, std::shared_ptr<const LaidOut>> laid = {};

    std::optional<std::uint32_t> lampOf(show::FixtureId id) const;

    // Of what cues and looks say, what does not depend on anything else is taken over to the next.
    struct Made {
        SourcePtr source;
        bool follows = false; // palettes, alone or in gradients
    };
    std::map<std::shared_ptr<const void>, Made> made = {}; // by cue or look
    std::uint64_t version = 0;                             // of the sources
    colour::CamerasPtr cameras;                            // that Filmed minds
};

// Of light that goes by this family; none of what is white.
std::optional<show::Family> familyOf(const colour::Uv& uv, const colour::Uv& white);
// Whether a fader of emitters brings the one of this name, which gives this light.
bool bringsEmitter(const show::Fader& fader, const std::string& name, const colour::Xyz& light,
                   const colour::Uv& white);

// A pure function of the show, the hand, and what its colours and types come from; `mixes` and the
// one before only save work. Palettes are followed and gradients laid out. Of a lamp whose type is
// not there nothing is said. Ways are those of the one before, where they still lead there.
Compiled compiled(const show::State& state, const Sources& from, Mixes& mixes,
                  const Compiled* before = nullptr);

// The palette that the colour a cue says of this lamp follows; none, also of a gradient: 0.
show::PaletteId paletteIn(const Compiled& compiled, std::size_t list, std::size_t cue,
                          std::uint32_t lamp);

// How colours of these lamps are to fade, whatever the show says.
struct LampWay {
    std::optional<route::StopWay> way; // nothing: as needed
    mix::MixWish mixing = {};          // keep-outs and pins along it
};
using LampWays = std::map<show::FixtureId, LampWay>;

// The same with ways planned that are missing, until `enough` says so; the same one when there was
// none to plan. Of what standing light and hand change from `before` (null: nothing):
std::shared_ptr<const Compiled> withWaysOfChanges(const std::shared_ptr<const Compiled>& compiled,
                                                  const Compiled* before, Ways& ways,
                                                  const std::function<bool()>& enough = {},
                                                  const LampWays* own = nullptr);
// Of the cues, in their order; of very many those behind go straight.
std::shared_ptr<const Compiled> withWaysOfCues(const std::shared_ptr<const Compiled>& compiled,
                                               Ways& ways,
                                               const std::function<bool()>& enough = {});

} // namespace zelo::play
