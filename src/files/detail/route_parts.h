// SPDX-License-Identifier: GPL-3.0-or-later
// Kept routes and the crossfade that is worked on, in a show file.
#pragma once

#include "files/detail/show_parts.h"

namespace zelo::files {

// Into `to.show`. Fixtures, palettes, colours, layings and looks must be read.
void readRoutes(JsonObject& top, Reading& to); // and what leads between palettes
void readCrossfade(JsonObject& top, Reading& to);

Json routeJson(const show::Route& route);
Json routeBetweenJson(const show::RouteBetween& between);
std::string crossfadeText(const show::Crossfade& fade, Tables& tables);

} // namespace zelo::files
