// SPDX-License-Identifier: GPL-3.0-or-later
// The stage: what every fixture shows for one show, one hand and one set of controls, down to the
// channel values. A pure function of them; immutable once computed.
#pragma once

#include "light/frame.h"
#include "mix/rounding.h"
#include "play/mixes.h"

#include <memory>
#include <vector>

namespace zelo::play {

struct Controls {
    double master = 1; // 0..1
    bool dark = false; // blackout
};

// Why a lamp is dark, the first reason of the chain; None when it shines.
enum class DarkWhy {
    None,
    NoType,  // the library has no such fixture type or mode
    PastEnd, // its slots run past 512
    Blackout,
    Master,
    NoIntensity, // none set
    Intensity,   // set to 0
    Emitters,    // all emitters at 0
};
const char* words(DarkWhy why); // "master at 0"; "" for None

struct StageLamp {
    show::FixtureId id;
    std::shared_ptr<const mix::Mixer> mixer;   // null for NoType
    std::shared_ptr<const MixedColour> colour; // null when no colour is asked for
    light::Drives drives; // of the emitters before intensity: mixed, by hand, or at home
    bool by_hand = false; // some drives are set by hand, not mixed
    bool in_hand = false;
    show::Shown told;     // palettes followed, gradients laid out
    double intensity = 0; // 0..1, before the master
    mix::Sent sent;       // rounded, master and blackout in it
    DarkWhy dark = DarkWhy::None;

    // Δu'v' of what the drives give from what is wanted; 0 without a colour or light.
    double miss_uv = 0;
};

struct Stage {
    show::State state;
    Controls controls;
    std::vector<StageLamp> lamps; // by fixture id
    // The gradients that lamps show, laid out.
    std::map<show::LayingPtr, std::shared_ptr<const LaidOut>> laid = {};

    const show::Show& show() const { return *state.show; }
    const StageLamp* lamp(show::FixtureId id) const;
};

// `mixes` only remembers: what comes out depends on the other four alone.
Stage computeStage(const show::State& state, const Controls& controls, const Sources& from,
                   Mixes& mixes);

// The DMX slots of a stage: every universe that holds a fixture. Where fixtures overlap the one
// with the higher id wins.
light::Frame frameOf(const Stage& stage);

} // namespace zelo::play
