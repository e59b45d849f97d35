// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/lineup/trims.h"

#include "colour/cct.h"
#include "desk/kit/qt_text.h"
#include "play/shown_values.h"
#include "show/trims.h"

#include <QInputDialog>
#include <QSettings>

#include <algorithm>

namespace zelo::desk {

namespace {

// Cues or faders give it, not hand or standing light.
bool played(const play::Engine::From& from) {
    using Layer = play::Engine::From::Layer;
    return from.layer == Layer::List || from.layer == Layer::Fader || from.layer == Layer::Adding;
}

bool litByPlay(const Document& document, show::FixtureId id) {
    const auto* lamp = document.stage().lamp(id);
    return lamp && played(lamp->intensity_from);
}

// What a lamp has with this hand: what cues or faders give it, times its trim, or what is told.
double levelIn(const Document& document, const show::Values& hand, show::FixtureId id) {
    const show::Value* now = document.state().hand->find(id);
    const show::Value* held = hand.find(id);
    if (!litByPlay(document, id) || (held && held->intensity))
        return document.shown(hand, id).trimmed().value_or(0);
    const double trim = now ? now->trim : 1; // it is in what is shown
    return trim > 0 ? document.stage().lamp(id)->intensity / trim * (held ? held->trim : 1) : 0;
}

} // namespace

void halveIntensity(Document& document) {
    const auto hand = show::brighterBy(document.state(), document.lineup(), 0.5,
                                       [&](show::FixtureId id) { return litByPlay(document, id); });
    if (*hand == *document.state().hand)
        return document.tell(QObject::tr("No lamp of the lineup has an intensity to halve."));
    document.setHand(QObject::tr("Half as bright"), hand);
}

void copyFirstLamp(Document& document) {
    const auto& lineup = document.lineup();
    const auto shown =
        lineup.empty() ? show::Values{} : play::shownValues(document.stage(), {lineup.front()});
    if (lineup.size() < 2 || shown.empty())
        return document.tell(QObject::tr(
            "Nothing to copy: the first lamp of the lineup shows nothing, or is alone."));
    show::Value value = *shown.entry(0).second;
    if (value.colour && value.colour->laying()) // its place in a gradient is its own
        if (const auto colour = document.shown(lineup.front()).colour)
            value.colour = *colour;
    std::vector<show::Values::Change> changes;
    for (std::size_t i = 1; i < lineup.size(); ++i)
        changes.emplace_back(lineup[i], std::make_shared<const show::Value>(value));
    document.setHand(
        QObject::tr("As the first lamp"),
        std::make_shared<const show::Values>(document.state().hand->changed(std::move(changes))));
}

void shiftIntensity(Document& document, double by, const show::HandPtr& base,
                    std::optional<show::FixtureId> with, int gesture) {
    const auto& lineup = document.lineup();
    const show::HandPtr from = base ? base : document.state().hand;
    const auto levelOf = [&](show::FixtureId id) { return levelIn(document, *from, id); };
    const auto lit = [&](show::FixtureId id) { return litByPlay(document, id); };
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

namespace {
constexpr const char* kStep = "nudge/step_uv";
constexpr double kLeastStep_uv = 0.0005, kMostStep_uv = 0.03;
} // namespace

double nudgeStep() {
    return std::clamp(QSettings().value(kStep, kNudge_uv).toDouble(), kLeastStep_uv, kMostStep_uv);
}

void setNudgeStep(double step_uv) {
    QSettings().setValue(kStep, std::clamp(step_uv, kLeastStep_uv, kMostStep_uv));
}

void askNudgeStep(Document& document, QWidget* window) {
    auto* ask = new QInputDialog(window);
    ask->setAttribute(Qt::WA_DeleteOnClose);
    ask->setWindowTitle(QObject::tr("Step of nudges"));
    ask->setLabelText(QObject::tr("How far one press makes a colour warmer, greener and so on, in "
                                  "u′v′; with Shift a quarter of it"));
    ask->setInputMode(QInputDialog::DoubleInput);
    ask->setDoubleRange(kLeastStep_uv, kMostStep_uv);
    ask->setDoubleDecimals(4);
    ask->setDoubleStep(0.001);
    ask->setDoubleValue(nudgeStep());
    QObject::connect(ask, &QInputDialog::doubleValueSelected, window, [&document](double step) {
        setNudgeStep(step);
        document.tell(QObject::tr("A press of a nudge goes %1 far.").arg(numberText(step, 4)));
    });
    ask->open();
}

} // namespace zelo::desk
