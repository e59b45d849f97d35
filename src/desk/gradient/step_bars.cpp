// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/gradient/step_bars.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"
#include "desk/lineup/lineup_panel.h"

#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kLabel = 16;   // baseline of the words
constexpr int kFoot = 30;    // under the bars
constexpr int kBand = 22;    // top of the thin band, from the lower edge
constexpr int kFigures = 14; // room for them over the highest bar
constexpr int kBandHeight = 8;
constexpr double kUnusual = 0.15; // off the usual by more than this share
} // namespace

StepBars::StepBars(Document& document, GradientModel& model, LineupPanel& lamps, QWidget* parent)
    : QWidget(parent), document_(document), model_(model), lamps_(lamps) {
    setAccessibleName(tr("Steps"));
    setToolTip(tr("How far it is to the eye from each lamp to the next (ΔE in Oklab × 100); bright "
                  "where it is more than 15 % off the usual. The thin band under it: the same "
                  "stops on a desk that knows levels only."));
    watch(model_, &GradientModel::modelChanged, this, [this] { update(); });
}

int StepBars::bars() const {
    return height() - kFoot;
}

bool StepBars::figures() const { // where there is room for them
    return bars() - kLabel - kFigures >= 20;
}

int StepBars::highest() const {
    return std::max(6, bars() - kLabel - 4 - (figures() ? kFigures : 0));
}

double StepBars::stepOf(std::size_t step) const {
    const auto& lineup = document_.lineup();
    return step + 1 < lineup.size() ? model_.stepBetween(lineup[step], lineup[step + 1]) : NAN;
}

bool StepBars::unusual(double step) const {
    const double usual = model_.judged().usual;
    return std::abs(step - usual) > kUnusual * usual;
}

QRect StepBars::barOf(std::size_t step) const {
    const double usual = model_.judged().usual;
    const double value = stepOf(step);
    if (!(usual > 0) || std::isnan(value))
        return {};
    const QRectF a = lamps_.glassOf(step).translated(-x(), 0);
    const QRectF b = lamps_.glassOf(step + 1).translated(-x(), 0);
    const double centre = (a.center().x() + b.center().x()) / 2;
    const int wide = static_cast<int>(std::clamp((b.left() - a.left()) * 0.3, 1.0, 16.0));
    const int high = static_cast<int>(
        std::clamp(std::round(highest() * value / (2 * usual)), 1.0, 1.0 * highest()));
    return {static_cast<int>(centre) - wide / 2, bars() - high, wide, high};
}

QRect StepBars::bandOf(std::size_t place) const {
    const QRectF here = lamps_.glassOf(place).translated(-x(), 0);
    const double pitch = document_.lineup().size() > 1
                             ? lamps_.glassOf(1).left() - lamps_.glassOf(0).left()
                             : here.width();
    const double left = here.center().x() - pitch / 2;
    return QRectF(left, height() - kBand, pitch, kBandHeight).toRect();
}

void StepBars::paintEvent(QPaintEvent*) {
    if (!model_.gradient())
        return;
    QPainter p(this);
    const auto& lineup = document_.lineup();
    drawText(p, 10, kLabel, tr("step from lamp to lamp, ΔE"), typeface(Type::Small), theme().dim);
    p.fillRect(10, bars(), width() - 20, 1, theme().hair);
    if (model_.judged().usual > 0)
        drawDotted(p, 10, width() - 10, bars() - highest() / 2, theme().rule);
    // Figures thin out when lamps stand close.
    const double pitch =
        lineup.size() > 1 ? lamps_.glassOf(1).left() - lamps_.glassOf(0).left() : 60;
    const int every = static_cast<int>(
        std::ceil((textWidth(QStringLiteral("10.7"), typeface(Type::Small)) + 6) / pitch));
    for (std::size_t i = 0; i + 1 < lineup.size(); ++i) {
        const QRect bar = barOf(i);
        if (bar.isEmpty())
            continue;
        const double step = stepOf(i);
        p.fillRect(bar, unusual(step) ? theme().bright : theme().rule);
        if (figures() && static_cast<int>(i) % every == 0)
            drawTextCentred(p, bar.center().x(), bar.top() - 5, numberText(step, 1),
                            typeface(Type::Small), unusual(step) ? theme().bright : theme().dim);
    }
    for (std::size_t i = 0; i < lineup.size(); ++i) {
        const auto place = model_.laid().placeOf(lineup[i]);
        if (!place)
            continue;
        const auto& light = model_.plain()[*place];
        p.fillRect(bandOf(i),
                   colour::hasChromaticity(light) ? document_.colours().of(light) : theme().glass);
    }
    drawTextRight(p, width() - 10, kLabel, tr("thin band: as levels alone would"),
                  typeface(Type::Small), theme().dim);
}

std::vector<PaintedPart> StepBars::parts() {
    std::vector<PaintedPart> all;
    const auto& lineup = document_.lineup();
    for (std::size_t i = 0; model_.gradient() && i + 1 < lineup.size(); ++i) {
        const double step = stepOf(i);
        if (std::isnan(step))
            continue;
        const auto number = [&](std::size_t place) {
            return document_.show().fixture(lineup[place])->number;
        };
        all.push_back({tr("step from lamp %1 to %2").arg(number(i)).arg(number(i + 1)),
                       tr("%1 ΔE").arg(numberText(step, 1)), barOf(i)});
    }
    return all;
}

} // namespace zelo::desk
