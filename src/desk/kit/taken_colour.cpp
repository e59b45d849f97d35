// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/taken_colour.h"

#include "desk/kit/qt_text.h"

#include <QCoreApplication>

namespace zelo::desk {

TakenColour takenColour(const Document& document, const light::Asked& asked,
                        show::PaletteId palette) {
    TakenColour taken{asked, {0.2105, 0.4737}};
    const show::Palette* kept = document.show().palette(palette);
    if (kept && kept->colour) {
        taken.colour = palette;
        taken.uv = kept->colour->uv;
    }
    if (const auto light = document.wanted(kept && kept->colour ? kept->colour->asked : asked))
        taken.uv = (*light)->uv();
    return taken;
}

std::optional<TakenColour> takenColour(const Document& document, show::FixtureId id) {
    const show::Value value = show::valueOf(document.show(), *document.state().hand, id);
    if (value.colour && value.colour->palette() && !value.colour->laying())
        return takenColour(document, light::AskedUv{}, value.colour->palette());
    if (const auto wish = document.shown(id).colour)
        return takenColour(document, wish->asked, {});
    const auto* lamp = document.stage().lamp(id);
    if (!lamp || !colour::hasChromaticity(lamp->sent.xyz))
        return std::nullopt;
    const auto uv = colour::toUv(lamp->sent.xyz);
    return takenColour(document, light::AskedUv{uv.u, uv.v}, {});
}

show::PaletteId paletteOf(const Document& document, const light::Asked& asked) {
    const auto* named = std::get_if<light::AskedPalette>(&asked);
    const auto* palette = named ? document.show().paletteNamed(named->name) : nullptr;
    return palette ? palette->id : show::PaletteId{};
}

QString nameOf(const Document& document, const show::Source<light::Asked>& colour,
               const colour::Uv& uv) {
    if (const show::Palette* p = document.show().palette(colour.palette()))
        return toQt(p->name);
    const light::Asked* asked = colour.here();
    if (!asked)
        return QCoreApplication::translate("zelo::desk::TakenColour", "a colour");
    if (const auto* gel = std::get_if<light::AskedGel>(asked))
        if (const auto known = document.library().gel(gel->id))
            return toQt(known->name.empty() ? gel->id : known->name);
    if (std::holds_alternative<light::AskedUv>(*asked) ||
        std::holds_alternative<light::AskedXy>(*asked))
        return uvText(uv);
    return said(light::inWords(*asked));
}

} // namespace zelo::desk
