// SPDX-License-Identifier: GPL-3.0-or-later
// Edits: each takes a show and gives the next one, or says why not. The show given never changes.
#pragma once

#include "base/result.h"
#include "show/show.h"

#include <functional>
#include <span>

namespace zelo::show {

// BadValue for an empty name.
Result<ShowPtr> renameShow(const ShowPtr& show, std::string name);

// Adds a fixture with the next free id (fixture.id is ignored). BadValue for an empty type, a
// universe outside 1..63999, an address outside 1..512, a place or number beyond show/limits.h.
Result<ShowPtr> addFixture(const ShowPtr& show, Fixture fixture);
// Replaces the fixture of the same id. NotFound, or as addFixture.
Result<ShowPtr> changeFixture(const ShowPtr& show, Fixture fixture);
// From now on the fixture is mixed by this; an empty one takes it back. NotFound.
// BadValue for a power or offset beyond show/limits.h. Spectra are kept in single precision.
Result<ShowPtr> calibrate(const ShowPtr& show, FixtureId id, Calibration calibration);
// Takes them out of groups and of all that holds values too. NotFound when one is not there.
Result<State> removeFixtures(const State& state, const std::vector<FixtureId>& ids);
// Of many at once: `change` is given a copy of each, with its place in `ids`. All or none:
// NotFound, or as addFixture.
Result<ShowPtr> changeEach(const ShowPtr& show, std::span<const FixtureId> ids,
                           const std::function<void(Fixture&, std::size_t)>& change);
// Of those that are there and have a type: no emitter of theirs is on where no colour is asked for.
Result<ShowPtr> restAtZero(
    const ShowPtr& show, const std::vector<FixtureId>& ids,
    const std::function<std::shared_ptr<const light::FixtureType>(const std::string&)>& type);
// Adds all of them, or none; `added` takes their ids. TooLarge beyond what a show may hold.
Result<ShowPtr> addFixtures(const ShowPtr& show, std::vector<Fixture> fixtures,
                            std::vector<FixtureId>* added = nullptr);

// BadValue for an empty or taken name or no fixtures, NotFound for a fixture that is not there.
Result<ShowPtr> addGroup(const ShowPtr& show, std::string name, std::vector<FixtureId> fixtures);
// As below, groups that are locked refuse: BadValue.
Result<ShowPtr> removeGroup(const ShowPtr& show, GroupId id);
// BadValue for an empty name or one that another has.
Result<ShowPtr> renameGroup(const ShowPtr& show, GroupId id, std::string name);
// Its fixtures, in this order, from now on. As addGroup.
Result<ShowPtr> refillGroup(const ShowPtr& show, GroupId id, std::vector<FixtureId> fixtures);

// Puts what is in hand into the standing light, links to palettes kept. The caller empties the
// hand.
Result<ShowPtr> keepHand(const ShowPtr& show, const Values& hand);

// These lamps keep what these values say against all but Dark. Each of them says intensity, parts
// and settings; nothing of it follows. NotFound for a lamp that is not there.
Result<ShowPtr> lockLamps(const ShowPtr& show, const Values& shown);
Result<ShowPtr> unlockLamps(const ShowPtr& show, const Lineup& lineup);

// The values of the lamps of `from` for those of `to`, by order: the first for the first, from the
// beginning again where there are more. Gradients that lay over all of them lie over these.
Values byOrder(const Values& values, const Lineup& from, const Lineup& to);

// --- what is in hand -------------------------------------------------------------------------

HandPtr withColour(const HandPtr& hand, const Lineup& lineup, const ColourWish& colour);
HandPtr withIntensity(const HandPtr& hand, const Lineup& lineup, double intensity); // 0..1
// Follows the palette: colour, intensity or both, whatever it has. A gradient is laid over the
// lineup in its order.
HandPtr withPalette(const HandPtr& hand, const Lineup& lineup, const Palette& palette);
// Its lamps show their places in it: their colours, and their intensities where it gives them.
HandPtr withLaying(const HandPtr& hand, const LayingPtr& laying, bool intensity);
// These parts by hand, each on its own: others stay as they are.
HandPtr withParts(const HandPtr& hand, const Lineup& lineup, const PartLevels& parts);
// A channel that is neither intensity nor colour, by name: a share of all its values, 0..1.
HandPtr withSetting(const HandPtr& hand, const Lineup& lineup, const std::string& name,
                    double share);
HandPtr putDown(const HandPtr& hand, const Lineup& lineup, Which which = Which::All);
HandPtr putDownSetting(const HandPtr& hand, const Lineup& lineup, const std::string& name);
inline HandPtr emptyHand() {
    return std::make_shared<const Values>();
}
State emptyState(); // a show without lamps, called "Untitled"

// As addFixture, without adding it.
Done checkFixture(const Fixture& fixture);
// A spectrum as a show keeps it: single precision. BadValue for a power beyond kMostPower.
Result<colour::Spectrum> storable(const colour::Spectrum& spectrum);
// TooLarge beyond so many bytes: `what` names it. To be asked of text that is UTF-8 already.
Done checkText(const Sentence& what, const std::string& text, std::size_t longest);

} // namespace zelo::show
