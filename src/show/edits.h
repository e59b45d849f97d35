// SPDX-License-Identifier: GPL-3.0-or-later
// Edits: each takes a show and gives the next one, or says why not. The show given never changes.
#pragma once

#include "base/result.h"
#include "show/show.h"

namespace zelo::show {

// BadValue for an empty name.
Result<ShowPtr> renameShow(const ShowPtr& show, std::string name);

// Adds a fixture with the next free id (fixture.id is ignored). BadValue for an empty type, a
// universe outside 1..63999 or an address outside 1..512.
Result<ShowPtr> addFixture(const ShowPtr& show, Fixture fixture);
// Replaces the fixture of the same id. NotFound, or as addFixture.
Result<ShowPtr> changeFixture(const ShowPtr& show, Fixture fixture);
// From now on the fixture is mixed by this; an empty one takes it back. NotFound.
Result<ShowPtr> calibrate(const ShowPtr& show, FixtureId id, Calibration calibration);
// Takes them out of groups and looks too. NotFound when one is not there.
Result<ShowPtr> removeFixtures(const ShowPtr& show, const std::vector<FixtureId>& ids);

// BadValue for an empty or taken name or no fixtures, NotFound for a fixture that is not there.
Result<ShowPtr> addGroup(const ShowPtr& show, std::string name, std::vector<FixtureId> fixtures);
Result<ShowPtr> removeGroup(const ShowPtr& show, GroupId id);
// BadValue for an empty name or one that another has.
Result<ShowPtr> renameGroup(const ShowPtr& show, GroupId id, std::string name);
// Its fixtures, in this order, from now on. As addGroup.
Result<ShowPtr> refillGroup(const ShowPtr& show, GroupId id, std::vector<FixtureId> fixtures);

// Puts what is in hand into the look. The caller empties the hand.
Result<ShowPtr> keepHand(const ShowPtr& show, const Values& hand);

// --- what is in hand -------------------------------------------------------------------------

HandPtr withColour(const HandPtr& hand, const Lineup& lineup, const ColourWish& colour);
HandPtr withIntensity(const HandPtr& hand, const Lineup& lineup, double intensity); // 0..1
// What the palette has, and following it: colour, intensity or both.
HandPtr withPalette(const HandPtr& hand, const Lineup& lineup, const Palette& palette);
// `colour` goes with the drives: what they were a mix of before the hand took over.
HandPtr withDrives(const HandPtr& hand, const Lineup& lineup, const light::Drives& drives,
                   const std::optional<ColourWish>& colour);
HandPtr putDown(const HandPtr& hand, const Lineup& lineup); // of these fixtures
inline HandPtr emptyHand() {
    return std::make_shared<const Values>();
}

} // namespace zelo::show
