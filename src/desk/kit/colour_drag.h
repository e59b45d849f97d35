// SPDX-License-Identifier: GPL-3.0-or-later
// A colour on its way: dragged from the swatch book onto a lamp, an area or the bench.
#pragma once

#include "desk/kit/document.h"

#include <QMimeData>
#include <optional>

namespace zelo::desk {

inline constexpr const char* kColourMime = "application/x-zelochrome-colour";

// Carries the colour as it is asked for, and as plain text too.
QMimeData* colourMime(const light::Asked& asked);
std::optional<light::Asked> colourOf(const QMimeData* mime);

// These fixtures take the colour into the hand, or follow the palette of palette:NAME. Says so when
// it cannot be read.
void giveColour(Document& document, const show::Lineup& fixtures, const light::Asked& asked);

} // namespace zelo::desk
