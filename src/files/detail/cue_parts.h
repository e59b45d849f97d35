// SPDX-License-Identifier: GPL-3.0-or-later
// Cue lists and faders in a show file.
#pragma once

#include "files/detail/show_parts.h"

namespace zelo::files {

// Into `to.show`. Fixtures, palettes, colours, layings and looks must be read.
void readCueLists(JsonObject& top, Reading& to);
void readFaders(JsonObject& top, Reading& to);

std::string cueListText(const show::CueList& list, Tables& tables);
Json faderJson(const show::Fader& fader);

} // namespace zelo::files
