// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/colour_drag.h"

#include "base/text.h"
#include "desk/kit/qt_text.h"

namespace zelo::desk {

QMimeData* colourMime(const std::string& asked) {
    auto* mime = new QMimeData;
    mime->setData(kColourMime, QByteArray::fromStdString(asked));
    mime->setText(toQt(asked));
    return mime;
}

std::optional<std::string> colourOf(const QMimeData* mime) {
    if (!mime || !mime->hasFormat(kColourMime))
        return std::nullopt;
    return mime->data(kColourMime).toStdString();
}

void giveColour(Document& document, const show::Lineup& fixtures, const std::string& asked) {
    auto& session = document.session();
    if (fixtures.empty())
        return document.tell(QObject::tr("No lamp here takes the colour."));
    const std::string name = startsWith(asked, "palette:") ? asked.substr(8) : std::string();
    if (const auto* palette = document.show().paletteNamed(name))
        return session.setHand(fromQt(QObject::tr("Palette %1").arg(toQt(name))),
                               show::withPalette(session.hand(), fixtures, *palette));
    const auto wanted = session.mixes().wanted(asked);
    if (!wanted)
        return document.tell(toQt(wanted.error().text()));
    auto hand = session.hand();
    for (const auto id : fixtures) { // what it is mixed by stays: intent, keep-outs, pins
        auto wish =
            show::shownValue(*session.show(), *hand, id).colour.value_or(show::ColourWish{});
        wish.asked = asked;
        wish.uv = wanted->uv();
        hand = show::withColour(hand, {id}, wish);
    }
    session.setHand(fromQt(QObject::tr("Colour %1").arg(toQt(asked))), hand);
}

} // namespace zelo::desk
