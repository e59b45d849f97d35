// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/skin_panel.h"

#include "colour/lamp.h"
#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/split_chip.h"
#include "desk/kit/watch.h"
#include "light/levels.h"

#include <algorithm>
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
                  "makes. ΔE in CAM16-UCS, the eye adapted to the lamp, or all as the camera "
                  "shows it: below 1 nobody sees it. The worst stands out"));
    watch(focus_, &FocusModel::rowsChanged, this, [this] { ask(); });
}

double SkinPanel::worst() const {
    double most = seen_.empty() ? NAN : 0;
    for (std::size_t i = 0; i < seen_.size() && i < kSkins; ++i)
        most = std::max(most, seen_[i].delta_e);
    return most;
}

std::optional<std::size_t> SkinPanel::worstSample() const {
    if (seen_.empty())
        return std::nullopt;
    const auto less = [](const auto& a, const auto& b) { return a.delta_e < b.delta_e; };
    return static_cast<std::size_t>(std::max_element(seen_.begin(), seen_.end(), less) -
                                    seen_.begin());
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
        [lamp = row->lamp, &library = document_.library(), by = document_.colours(),
         white = Kelvin{document_.show().white_cct_k}] {
            std::vector<colour::Spectrum> surfaces;
            for (const auto& s : library.surfaces().gels)
                surfaces.push_back(s.transmittance);
            const auto& wanted = lamp.colour->wanted;
            const auto got = light::spectrumOf(lamp.mixer->type(), lamp.sent.drives);
            return by.camera()
                       ? colour::surfacesShown(surfaces, *wanted.spectrum, got, *by.camera())
                       : colour::surfacesSeen(surfaces, *wanted.spectrum, got,
                                              wanted.lamp.value_or(colour::lampOf(white)));
        },
        [this](const std::vector<colour::SurfaceSeen>& seen) {
            seen_ = seen;
            QStringList told;
            if (const auto& samples = document_.library().surfaces().gels; !seen_.empty())
                told = {tr("largest difference on skin %1").arg(numberText(worst(), 1)),
                        tr("largest of all on %1").arg(toQt(samples[*worstSample()].id))};
            setAccessibleDescription(told.join("; "));
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
        const bool worst = worstSample() == i;
        drawTextCentred(p, static_cast<int>(centre.x()), base, toQt(samples[i].id),
                        typeface(Type::Small, worst), worst ? theme().bright : theme().dim);
        drawTextCentred(p, static_cast<int>(centre.x()), base + 14, numberText(seen_[i].delta_e, 1),
                        typeface(Type::Small, worst), worst ? theme().bright : theme().text);
    }
}

} // namespace zelo::desk
