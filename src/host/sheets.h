// SPDX-License-Identifier: GPL-3.0-or-later
// The show for people, as tables: its cues, its colours, its patch.
#pragma once

#include "play/mixes.h"
#include "show/show.h"

#include <string>

namespace zelo::host {

// CSV (RFC 4180): number, name, up, down, delays, colour time and delay, follow, way, note. Times
// in seconds; empty where a cue says nothing of its own.
std::string cueSheet(const show::Show& show, const show::CueList& list);

// Palettes: name, what it is, colour as asked for, u', v', CCT and Duv where it has them,
// intensity.
std::string colourSheet(const show::Show& show, const play::Sources& from, play::Mixes& mixes);
// Lamps in the order of their numbers: number, label, type, mode, universe, address, slots, groups,
// place, note.
std::string patchSheet(const show::Show& show, const play::Sources& from);

} // namespace zelo::host
