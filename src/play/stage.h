// SPDX-License-Identifier: GPL-3.0-or-later
// The stage: what every fixture shows at a moment of play, down to the channel values, beside what
// was asked of it. Immutable once computed.
#pragma once

#include "mix/rounding.h"
#include "play/playing.h"

#include <chrono>
#include <memory>
#include <vector>

namespace zelo::play {

struct Controls {
    double master = 1;                      // 0..1
    bool dark = false;                      // blackout
    std::vector<show::FixtureId> solo = {}; // only these show, beside exempt ones; empty: all do
    friend bool operator==(const Controls&, const Controls&) = default;
};

// Why a lamp is dark, the first reason of the chain; None when it shines.
enum class DarkWhy {
    None,
    NoType,  // the library has no such fixture type or mode
    PastEnd, // its slots run past 512
    Blackout,
    Solo,   // others are
    Locked, // when it was dark
    Master,
    NoIntensity, // none set
    Intensity,   // set to 0
    Emitters,    // all emitters at 0
};
const char* words(DarkWhy why); // "master at 0"; "" for None

struct StageLamp {
    show::FixtureId id;
    std::shared_ptr<const mix::Mixer> mixer;   // null for NoType
    std::shared_ptr<const MixedColour> colour; // that standing light or hand ask for; null: none
    light::Drives drives; // of the emitters before intensity: mixed, by hand, or at home
    bool by_hand = false; // some drives are set by hand, not mixed
    bool in_hand = false;
    bool locked = false;  // keeps what it shows
    bool moving = false;  // fades, or waits to
    show::Shown told;     // palettes followed, gradients laid out
    double intensity = 0; // 0..1, before the master
    double mastered = 0;  // with it, where it acts on the lamp; Dark and solo do not count
    mix::Sent sent;       // master and blackout in it; at rest rounded together
    DarkWhy dark = DarkWhy::None;
    Engine::From intensity_from, colour_from;

    // Δu'v' of what the drives give from what is wanted; 0 without a colour or light, and while it
    // moves.
    double miss_uv = 0;
};

// Where a cue list is. Times are its own: they run as its rate says.
struct StageList {
    show::CueListId id;
    std::optional<show::CueNumber> cue, next; // it stands in; that Next starts
    bool held = false;
    double rate = 1;
    double since_s = 0;                  // since the cue began
    double lasts_s = 0;                  // from there to the end of all its fades
    std::optional<double> follow_s = {}; // from there until the next one follows by itself
    bool fades() const { return cue && since_s < lasts_s; }
};
struct StageFader {
    show::FaderId id;
    double level = 0;    // 0..1
    bool hidden = false; // it is up, and nothing comes of it: others are brighter, or later
};

struct StageRipple {
    show::RippleId id;
    bool runs = false, frozen = false;
    double rate = 1;
    double time_s = 0; // its own, since it began
};

struct Stage {
    show::State state;
    Controls controls;
    std::vector<StageLamp> lamps; // by fixture id
    std::vector<StageList> lists = {};
    std::vector<StageFader> faders = {};
    std::vector<StageRipple> ripples = {};
    // The gradients that lamps show, laid out.
    std::map<show::LayingPtr, std::shared_ptr<const LaidOut>> laid = {};
    bool runs = false; // goes on changing by itself
    bool whole = true; // all that rests is rounded together; false: look again
    std::shared_ptr<const Compiled> compiled = {}; // of a moment of play: what plays

    const show::Show& show() const { return *state.show; }
    const StageLamp* lamp(show::FixtureId id) const;
    const StageList* list(show::CueListId id) const;
    const StageRipple* ripple(show::RippleId id) const;
};

// Channel values rounded together: the same light on the same type is searched once. Of one thread.
class Rounding {
public:
    std::shared_ptr<const mix::Sent> rounded(const std::shared_ptr<const mix::Mixer>& mixer,
                                             const light::Drives& drives, double intensity);

private:
    struct Key {
        const mix::Mixer* mixer;
        std::vector<double> light;
        auto operator<=>(const Key&) const = default;
    };
    struct Entry {
        std::shared_ptr<const mix::Mixer> mixer; // its place is not used again meanwhile
        std::shared_ptr<const mix::Sent> sent;
    };
    std::map<Key, Entry> known_;
};

// Where lists and faders are at that moment.
void tellPlay(const Compiled& compiled, const Moment& moment, Stage& to);

// A moment of play. `rests` takes the values of what rests, for the next frame. After this time no
// more is rounded together, and the stage is not `whole`.
Stage stageOf(
    const Compiled& compiled, const Moment& moment, const Controls& controls, Rounding& rounding,
    std::vector<Rest>& rests,
    std::chrono::steady_clock::time_point until = std::chrono::steady_clock::time_point::max());

// What all comes to once it rests, with nothing else at play. `mixes` only remembers: what comes
// out depends on the other four alone.
Stage computeStage(const show::State& state, const Controls& controls, const Sources& from,
                   Mixes& mixes);

// As commands, for a program where no lamp is solo.
std::vector<Command> commandsOf(const Controls& controls, const Compiled& compiled);

} // namespace zelo::play
