// SPDX-License-Identifier: GPL-3.0-or-later
// A cue list for people, as a table: a row a cue.
#pragma once

#include "show/show.h"

#include <string>

namespace zelo::host {

// CSV (RFC 4180): number, name, up, down, delays, colour time and delay, follow, way, note. Times
// in seconds; empty where a cue says nothing of its own.
std::string cueSheet(const show::Show& show, const show::CueList& list);

} // namespace zelo::host
