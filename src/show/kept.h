// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of what is kept under a name: palettes, looks, measured lights, favourites; and of the
// stage, the outputs and the show's own fixture types. Each takes a show and gives the next one.
#pragma once

#include "base/result.h"
#include "show/edits.h"
#include "show/show.h"

#include <functional>

namespace zelo::show {

// --- palettes --------------------------------------------------------------------------------

// What a value shows, its palettes and gradients worked out; play/laid.h has one that knows
// gradients too.
using Resolve = std::function<Shown(FixtureId, const Value&)>;

// What the first of the lineup shows: its colour, its intensity, or both. A colour that follows
// another palette is kept as it is now. BadValue for an empty or taken name, or when there is
// neither in it (a fixture without a colour).
enum class KeepWhat { Colour, Intensity, Both };
Result<ShowPtr> keepPalette(const ShowPtr& show, const Values& hand, const Lineup& lineup,
                            KeepWhat what, std::string name, const Resolve& resolve = {});
// Adds as it is, with a new id. BadValue as above.
Result<ShowPtr> addPalette(const ShowPtr& show, Palette palette);
// Replaces the palette of this id: all that follows it shows the new values. NotFound; BadValue
// when it is locked (unless only `locked` differs), or for its name.
Result<ShowPtr> changePalette(const ShowPtr& show, Palette palette);

// Where a palette is used; also as a stop of a gradient.
struct Uses {
    std::vector<FixtureId> standing;
    std::vector<FixtureId> hand;
    std::vector<std::pair<LookId, std::size_t>> looks; // and of how many fixtures there
    std::vector<std::pair<CueListId, CueNumber>> cues;
    std::vector<PaletteId> gradients; // kept ones with a stop that follows it
    std::vector<RippleId> ripples;    // with a step that follows it
    bool none() const {
        return standing.empty() && hand.empty() && looks.empty() && cues.empty() &&
               gradients.empty() && ripples.empty();
    }
};
Uses usesOf(const State& state, PaletteId id);

// What followed it keeps its values as they are now. NotFound, or BadValue when it is locked.
// Without `resolve` lamps of a gradient lose their values.
Result<State> removePalette(const State& state, PaletteId id, const Resolve& resolve = {});
// What followed `from` follows `into` from now on, and `from` goes. BadValue when it is locked or
// `into` lacks what followers of `from` take from it, or one of them alone is a gradient.
Result<State> mergePalettes(const State& state, PaletteId from, PaletteId into);

// --- gradients -------------------------------------------------------------------------------

// The first that lamps of the lineup show; null when they show none.
LayingPtr layingOf(const State& state, const Lineup& lineup);
// Into the hand: lamps of the lineup show their places in it, in their order. `was`: the kept one
// that it was made from. BadValue as checkGradient().
Result<HandPtr> withGradient(const HandPtr& hand, const Lineup& lineup, Gradient gradient,
                             PaletteId was = {});
// Keeps the gradient under a name; lamps in hand that show this very laying follow it. BadValue as
// addPalette().
Result<State> keepGradient(const State& state, const LayingPtr& laying, std::string name);
// Every gradient's user follows it as it is from now on; those in hand that show it changed follow
// it too. Intensities that it gives no more stay as they were (`resolve`). NotFound, or BadValue
// when it is locked or unsound.
Result<State> changeGradient(const State& state, PaletteId id, Gradient gradient,
                             const Resolve& resolve = {});
// Every lamp that shows `laying` shows `changed` instead, in hand. Its lamps alone.
HandPtr withLayingChanged(const State& state, const HandPtr& hand, const LayingPtr& laying,
                          const LayingPtr& changed);
// Lamps of layings keep what they show now and follow no gradient any more.
HandPtr withFixed(const State& state, const Lineup& lineup, const Resolve& resolve);

// --- looks -----------------------------------------------------------------------------------

// What these fixtures show now, links to palettes kept. BadValue for an empty or taken name or an
// empty lineup.
Result<ShowPtr> keepLook(const ShowPtr& show, const Values& hand, const Lineup& lineup,
                         std::string name);
// With a new id. BadValue for an empty or taken name.
Result<ShowPtr> addLook(const ShowPtr& show, Look look);
Result<ShowPtr> changeLook(const ShowPtr& show, Look look); // as changePalette
// NotFound, or BadValue when it is locked or a fader plays it.
Result<ShowPtr> removeLook(const ShowPtr& show, LookId id);
// What it says is the standing light of its lamps, and nothing of them is in hand. NotFound.
Result<State> showLook(const State& state, LookId id);
// Its picture from now on, a PNG or JPEG; empty: its small lamps again. BadValue for anything else
// or more than kMostPicture bytes.
Result<ShowPtr> pictureOfLook(const ShowPtr& show, LookId id, std::string picture);
Done checkPicture(const std::string& picture); // as pictureOfLook
// All its values into the hand.
HandPtr withLook(const HandPtr& hand, const Look& look);

// --- the rest --------------------------------------------------------------------------------

// Replaces one of the same name. BadValue for an empty name or one with a '+' or '@', or a power
// beyond show/limits.h. Kept in single precision.
Result<ShowPtr> keepMeasured(const ShowPtr& show, std::string name, colour::Spectrum spectrum);
// The same of a camera; of those in use kMostCameras at most. BadValue for a balance that is no
// light or beyond 1 000 to 25 000 K, and for channels as colour::Camera says.
Result<ShowPtr> keepCamera(const ShowPtr& show, FilmCamera camera);
Result<ShowPtr> removeCamera(const ShowPtr& show, const std::string& name);
Result<ShowPtr> removeMeasured(const ShowPtr& show, const std::string& name);
Result<ShowPtr> toggleFavourite(const ShowPtr& show, const light::Asked& asked);
// BadValue for an area without a name or an outline of fewer than three points.
Result<ShowPtr> changeStage(const ShowPtr& show, StagePlan stage);
// BadValue names the line: universes out of range or twice, or an address that is none.
Result<ShowPtr> changeOutputs(const ShowPtr& show, std::vector<OutputLine> outputs);
Done checkOutput(const OutputLine& line);
bool sameThere(const OutputLine& a, const OutputLine& b); // both send to one universe of one place
// Keeps a fixture type with the show, under its id; one of this id is replaced.
Result<ShowPtr> keepType(const ShowPtr& show, std::shared_ptr<const light::FixtureType> type);
// BadValue while fixtures use it, unless the library has one of this id (`known`) for them.
Result<ShowPtr> removeType(const ShowPtr& show, const std::string& id, bool known = false);

bool isIpv4(std::string_view address); // "10.0.0.7"

} // namespace zelo::show
