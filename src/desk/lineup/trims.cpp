// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/lineup/trims.h"

#include "colour/cct.h"
#include "desk/kit/qt_text.h"
#include "play/shown_values.h"
#include "show/trims.h"

#include <algorithm>

namespace zelo::desk {

namespace {

// Cues or faders give it, not hand or standing light.
bool played(const play::Engine::From& from) {
    using Layer = play::Engine::From::Layer;
    return from.layer == Layer::List || from.layer == Layer::Fader || from.layer == Layer::Adding;
}

} // namespace

void shiftIntensity(Document& document, double by, const show::HandPtr& base,
                    std::optional<show::FixtureId> with, int gesture) {
    const auto& lineup = document.lineup();
    const show::HandPtr from = base ? base : document.state().hand;
    const auto levelOf = [&](show::FixtureId id) {
        const auto* lamp = document.stage().lamp(id);
        const show::Value* now = document.state().hand->find(id);
        const show::Value* held = from->find(id);
        if (!lamp || !played(lamp->intensity_from) || (held && held->intensity))
            return document.shown(*from, id).trimmed().value_or(0);
        const double trim = now ? now->trim : 1; // it is in what is shown
        return trim > 0 ? lamp->intensity / trim * (held ? held->trim : 1) : 0;
    };
    const auto lit = [&](show::FixtureId id) {
        const auto* lamp = document.stage().lamp(id);
        return lamp && played(lamp->intensity_from);
    };
    double brightest = 0;
    for (const auto id : lineup)
        brightest = std::max(brightest, levelOf(id));
    const double own = with ? levelOf(*with) : 0;
    const double led = own > 0 ? own : brightest;
    const auto hand =
        led > 0 ? show::brighterBy({document.state().show, from}, lineup,
                                   std::min(std::max(0.0, led + by) / led, 1 / brightest), lit)
                : show::withIntensity(from, lineup, by);
    document.setHand(QObject::tr("Intensity"), hand, fmt::format("intensity-{}", gesture));
}

void nudgeLineup(Document& document, colour::Nudge nudge, double length, int gesture) {
    const colour::Uv white = colour::planckianUv({document.show().white_cct_k});
    // A colour that cues or faders give is taken in hand, and nudged there.
    show::Lineup taken;
    for (const show::FixtureId id : document.lineup())
        if (const auto* lamp = document.stage().lamp(id); lamp && played(lamp->colour_from))
            taken.push_back(id);
    std::vector<show::Values::Change> colours;
    for (const auto& [id, value] : play::shownValues(document.stage(), taken))
        if (value->colour) {
            const show::Value* held = document.state().hand->find(id);
            show::Value next = held ? *held : show::Value{};
            next.colour = value->colour;
            colours.emplace_back(id, std::make_shared<const show::Value>(std::move(next)));
        }
    const auto base =
        std::make_shared<const show::Values>(document.state().hand->changed(std::move(colours)));
    const show::State from{document.state().show, base};
    const auto hand = show::nudgedBy(from, document.lineup(), [&](show::FixtureId id) {
        const auto shown = document.shown(*base, id).nudged();
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
