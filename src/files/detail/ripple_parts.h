// SPDX-License-Identifier: GPL-3.0-or-later
// Ripples in a show file.
#pragma once

#include "files/detail/show_parts.h"

namespace zelo::files {

// Into `to.show`. Fixtures and palettes must be read.
void readRipples(JsonObject& top, Reading& to);
Json rippleJson(const show::Ripple& ripple);

} // namespace zelo::files
