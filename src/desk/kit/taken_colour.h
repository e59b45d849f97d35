// SPDX-License-Identifier: GPL-3.0-or-later
// A colour that a stop or a step takes: set there, or following a palette.
#pragma once

#include "desk/kit/document.h"

namespace zelo::desk {

struct TakenColour {
    show::Source<light::Asked> colour;
    colour::Uv uv; // what it is now
};
// Of the palette where there is one with a colour.
TakenColour takenColour(const Document& document, const light::Asked& asked,
                        show::PaletteId palette);
// What a lamp is told to show, or what it shows; nothing for one without a colour.
std::optional<TakenColour> takenColour(const Document& document, show::FixtureId lamp);
// Of what was dropped or pressed: none when it is no palette.
show::PaletteId paletteOf(const Document& document, const light::Asked& asked);
// "Brine rose", "kelvin white of 3200"
QString nameOf(const Document& document, const show::Source<light::Asked>& colour,
               const colour::Uv& uv);

} // namespace zelo::desk
