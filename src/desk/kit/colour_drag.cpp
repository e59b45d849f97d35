// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/colour_drag.h"

#include "base/text.h"
#include "desk/kit/qt_text.h"

namespace zelo::desk {

QMimeData* colourMime(const light::Asked& asked) {
    const std::string text = light::toText(asked);
    auto* mime = new QMimeData;
    mime->setData(kColourMime, QByteArray::fromStdString(text));
    mime->setText(toQt(text));
    return mime;
}

std::optional<light::Asked> colourOf(const QMimeData* mime) {
    if (!mime || !mime->hasFormat(kColourMime))
        return std::nullopt;
    auto asked = light::parseAsked(mime->data(kColourMime).toStdString());
    return asked ? std::optional(std::move(*asked)) : std::nullopt;
}

void giveColour(Document& document, const show::Lineup& fixtures, const light::Asked& asked) {
    if (fixtures.empty())
        return document.tell(QObject::tr("No lamp here takes the colour."));
    const auto* named = std::get_if<light::AskedPalette>(&asked);
    if (const auto* palette = named ? document.show().paletteNamed(named->name) : nullptr)
        return document.setHand(palette->gradient
                                    ? QObject::tr("Gradient %1").arg(toQt(named->name))
                                    : QObject::tr("Palette %1").arg(toQt(named->name)),
                                show::withPalette(document.state().hand, fixtures, *palette));
    const auto wanted = document.wanted(asked);
    if (!wanted)
        return document.tell(said(wanted.error()));
    auto hand = document.state().hand;
    for (const auto id : fixtures) { // what it is mixed by stays: intent, keep-outs, pins
        auto wish = document.shown(*hand, id).colour.value_or(show::ColourWish{});
        wish.asked = asked;
        wish.uv = (*wanted)->uv();
        hand = show::withColour(hand, {id}, wish);
    }
    document.setHand(QObject::tr("Colour %1").arg(said(light::inWords(asked))), hand);
}

} // namespace zelo::desk
