// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/lineup/trims.h"

#include "colour/cct.h"
#include "desk/kit/qt_text.h"
#include "show/trims.h"

#include <algorithm>

namespace zelo::desk {

void shiftIntensity(Document& document, double by, const show::HandPtr& base,
                    std::optional<show::FixtureId> with, int gesture) {
    const auto& lineup = document.lineup();
    const show::HandPtr from = base ? base : document.state().hand;
    const auto levelOf = [&](show::FixtureId id) {
        return document.shown(*from, id).trimmed().value_or(0);
    };
    double brightest = 0;
    for (const auto id : lineup)
        brightest = std::max(brightest, levelOf(id));
    const double own = with ? levelOf(*with) : 0;
    const double led = own > 0 ? own : brightest;
    const auto hand = led > 0
                          ? show::brighterBy({document.state().show, from}, lineup,
                                             std::min(std::max(0.0, led + by) / led, 1 / brightest))
                          : show::withIntensity(from, lineup, by);
    document.setHand(QObject::tr("Intensity"), hand, fmt::format("intensity-{}", gesture));
}

void nudgeLineup(Document& document, colour::Nudge nudge, double length, int gesture) {
    const colour::Uv white = colour::planckianUv({document.show().white_cct_k});
    const auto hand = show::nudgedBy(document.state(), document.lineup(), [&](show::FixtureId id) {
        const auto shown = document.shown(id).nudged();
        return shown ? colour::nudgeOf(shown->uv, nudge, white, length) : colour::Uv{0, 0};
    });
    if (*hand == *document.state().hand)
        return document.tell(QObject::tr("No lamp of the lineup shows a colour to nudge."));
    const QStringList names{QObject::tr("Warmer"), QObject::tr("Cooler"), QObject::tr("Greener"),
                            QObject::tr("Pinker"), QObject::tr("Paler"),  QObject::tr("Deeper")};
    document.setHand(names[static_cast<int>(nudge)], hand,
                     fmt::format("nudge-{}-{}", static_cast<int>(nudge), gesture));
}

std::size_t trimmedIn(const Document& document, const show::Lineup& lineup) {
    return static_cast<std::size_t>(
        std::count_if(lineup.begin(), lineup.end(), [&](show::FixtureId id) {
            return show::trimmed(show::valueOf(document.show(), *document.state().hand, id));
        }));
}

bool letGoOfTrims(Document& document, const show::Lineup& lineup) {
    const std::size_t count = trimmedIn(document, lineup);
    if (count == 0)
        return false;
    document.edit(QObject::tr("Let go of %n trim(s)", nullptr, static_cast<int>(count)),
                  Result<show::State>(show::withoutTrims(document.state(), lineup)));
    return true;
}

void soloLineup(Document& document) {
    auto controls = document.controls();
    auto wanted = document.lineup();
    std::sort(wanted.begin(), wanted.end());
    controls.solo = controls.solo == wanted ? show::Lineup{} : wanted;
    document.setControls(controls);
}

} // namespace zelo::desk
