// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/skin_panel.h"

#include "colour/lamp.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/split_chip.h"
#include "desk/kit/watch.h"
#include "light/levels.h"

#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kColumns = 3;
constexpr std::size_t kSkins = 4; // of the samples, the first
} // namespace

SkinPanel::SkinPanel(Document& document, FocusModel& focus, QWidget* parent)
    : QWidget(parent), document_(document), focus_(focus) {
    setAccessibleName(tr("On skin and cloth"));
    setToolTip(tr("Left half: under the light wanted. Right half: under what the type in focus "
                  "makes. ΔE in CAM16-UCS, the eye adapted to the lamp: below 1 nobody sees it"));
    watch(focus_, &FocusModel::rowsChanged, this, [this] { ask(); });
}

double SkinPanel::worst() const {
    double most = seen_.empty() ? NAN : 0;
    for (std::size_t i = 0; i < seen_.size() && i < kSkins; ++i)
        most = std::max(most, seen_[i].delta_e);
    return most;
}

void SkinPanel::ask() {
    const TypeRow* row = focus_.focus();
    if (!row || !row->lamp.colour || !row->lamp.colour->wanted.spectrum ||
        !(row->lamp.sent.xyz.Y > 0)) {
        document_.forget("skin");
        seen_.clear();
        return update();
    }
    document_.later(
        "skin", this,
        [lamp = row->lamp, &library = document_.library(),
         white = Kelvin{document_.show().white_cct_k}] {
            std::vector<colour::Spectrum> surfaces;
            for (const auto& s : library.surfaces().gels)
                surfaces.push_back(s.transmittance);
            const auto& wanted = lamp.colour->wanted;
            return colour::surfacesSeen(surfaces, *wanted.spectrum,
                                        light::spectrumOf(lamp.mixer->type(), lamp.sent.drives),
                                        wanted.lamp.value_or(colour::lampOf(white)));
        },
        [this](const std::vector<colour::SurfaceSeen>& seen) {
            seen_ = seen;
            setAccessibleDescription(
                tr("largest difference on skin %1").arg(numberText(worst(), 1)));
            update();
        });
}

QRectF SkinPanel::discOf(std::size_t sample) const {
    const int rows = (static_cast<int>(seen_.size()) + kColumns - 1) / kColumns;
    const double wide = width() / static_cast<double>(kColumns);
    const double high = (height() - 22.0) / rows;
    const double r = std::min(wide / 2 - 4, (high - 32) / 2);
    const int column = static_cast<int>(sample) % kColumns;
    const int row = static_cast<int>(sample) / kColumns;
    return {std::round((column + 0.5) * wide) - r, std::round(22 + row * high + r) - r, 2 * r,
            2 * r};
}

std::vector<PaintedPart> SkinPanel::parts() {
    const auto& samples = document_.library().surfaces().gels;
    std::vector<PaintedPart> all;
    for (std::size_t i = 0; i < seen_.size() && i < samples.size(); ++i)
        all.push_back({toQt(samples[i].id), tr("ΔE %1").arg(numberText(seen_[i].delta_e, 1)),
                       discOf(i).toRect()});
    return all;
}

void SkinPanel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    drawEnds(p, 0, width(), 14,
             {tr("On skin and cloth"), typeface(Type::Work), theme().bright, tr("ΔE"),
              typeface(Type::Small), theme().dim});
    if (seen_.empty()) {
        if (focus_.wanted())
            drawWrapped(p, QRect(0, 26, width(), height() - 30),
                        tr("A colour typed as numbers has no spectrum: how it looks on skin "
                           "depends on the light that has it. Ask for a gel, a white or a measured "
                           "light."),
                        typeface(Type::Small), theme().dim);
        return;
    }
    const auto& samples = document_.library().surfaces().gels;
    for (std::size_t i = 0; i < seen_.size() && i < samples.size(); ++i) {
        const QRectF disc = discOf(i);
        const QPointF centre = disc.center();
        paintSplitDisc(p, disc, document_.colours().surface(seen_[i].wanted),
                       document_.colours().surface(seen_[i].got));
        const int base = static_cast<int>(disc.bottom()) + 13;
        drawTextCentred(p, static_cast<int>(centre.x()), base, toQt(samples[i].id),
                        typeface(Type::Small), theme().dim);
        drawTextCentred(p, static_cast<int>(centre.x()), base + 14, numberText(seen_[i].delta_e, 1),
                        typeface(Type::Small), theme().text);
    }
}

} // namespace zelo::desk
