// SPDX-License-Identifier: GPL-3.0-or-later
// Lamps on the plan, many at once: in a row, evenly, turned; and which of them light an area.
// Each edit is all or none: NotFound for a fixture that is not there, BadValue for too few.
#pragma once

#include "base/result.h"
#include "show/show.h"

#include <span>

namespace zelo::show {

// In one row: across when they spread more across than along, else along, at their mean. From 2 on.
Result<ShowPtr> alignInRow(const ShowPtr& show, std::span<const FixtureId> ids);
// The same step from one to the next in the order given, the first and last stay. From 3 on.
Result<ShowPtr> spreadEvenly(const ShowPtr& show, std::span<const FixtureId> ids);
// About the middle of them all, beams too; clockwise on the plan.
Result<ShowPtr> turnAbout(const ShowPtr& show, std::span<const FixtureId> ids, double degrees);
// Only the beams: pan, clockwise.
Result<ShowPtr> panBeams(const ShowPtr& show, std::span<const FixtureId> ids, double degrees);

// The middle of a lamp's light on the floor of the plan: thrown further from higher up.
Point litPoint(const Place& place);
inline constexpr double kLitRadius_m = 2.4; // of the light around it

// The area at a point, the smallest where they overlap; null when none.
const Area* areaAt(const StagePlan& stage, const Point& at);
// Fixtures whose light's middle falls into the area or within 0.6 m of it, from left to right.
std::vector<FixtureId> fixturesLighting(const Show& show, const Area& area);

} // namespace zelo::show
