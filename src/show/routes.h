// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of the crossfade that is worked on and of kept routes. Each takes a show and gives the next
// one.
#pragma once

#include "show/edits.h"

namespace zelo::show {

// Null: none. BadValue for a way, time or tolerance out of range, NotFound for a look or palette
// that is not there.
Result<ShowPtr> withCrossfade(const ShowPtr& show, std::shared_ptr<const Crossfade> crossfade);
// What ways go round and saturation is measured from. BadValue outside 1 000..25 000 K.
Result<ShowPtr> withWhite(const ShowPtr& show, double cct_k);
Result<ShowPtr> withDarkFirst(const ShowPtr& show, bool on);

// What these lamps show now, palettes and gradients worked out, as an end.
FadeEnd endOf(const Lineup& lineup, const std::function<Shown(FixtureId)>& shown);

// Keeps the way under a name, with a new id. BadValue for an empty or taken name.
Result<ShowPtr> keepRoute(const ShowPtr& show, std::string name, route::StopWay way);
// NotFound, or BadValue when it is locked (unless only the lock differs), or for its name.
Result<ShowPtr> changeRoute(const ShowPtr& show, Route route);
// Cues that take it keep its way as their own; pairs of palettes let it go. As above.
Result<ShowPtr> removeRoute(const ShowPtr& show, RouteId id);

// From now on every change between the two takes it; none: as any other. NotFound; BadValue for one
// palette twice, or one without a colour.
Result<ShowPtr> routeBetween(const ShowPtr& show, PaletteId from, PaletteId to, RouteId route);

// How colours fade, as it stands in the show; the first that there is: the cue's route, its own
// way, what its two palettes say (none: 0), the show's. Nothing: as needed. `loose`: its points are
// relative to the ends.
struct WayHeld {
    std::optional<route::StopWay> way;
    bool loose = false;
};
WayHeld wayHeld(const Show& show, const Cue* cue, PaletteId from, PaletteId to);

} // namespace zelo::show
