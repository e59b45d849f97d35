// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/split_field.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"

namespace zelo::desk {

SplitField::SplitField(Document& document, MatchModel& match, QWidget* window)
    : Overlay(window), document_(document), match_(match) {
    setAccessibleName(tr("Split field"));
    setToolTip(tr("Wanted at the left, got at the right (Z or a press closes)"));
    connect(&match_, &MatchModel::rowsChanged, this, [this] { update(); });
}

void SplitField::mousePressEvent(QMouseEvent*) {
    hide();
}

void SplitField::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().bench);
    const int seam = width() / 2;
    const light::Wanted* wanted = match_.wanted();
    p.fillRect(0, 0, seam, height(), wanted ? document_.colours().of(wanted->xyz) : theme().glass);
    // Every type of the lineup touches the wanted half, the one in focus half the height.
    const auto& rows = match_.rows();
    double y = 0;
    for (std::size_t i = 0; i < rows.size(); ++i) {
        const bool focus = i == match_.focusIndex();
        const double share = rows.size() == 1 ? 1
                             : focus          ? 0.5
                                              : 0.5 / static_cast<double>(rows.size() - 1);
        const auto& xyz = rows[i].lamp.sent.xyz;
        const QRectF part(seam, std::round(y), width() - seam, std::ceil(share * height()) + 1);
        p.fillRect(part,
                   colour::hasChromaticity(xyz) ? document_.colours().of(xyz) : theme().glass);
        y += share * height();
        const QString said = QStringLiteral("%1  %2").arg(rows[i].name, rows[i].words);
        const int w = textWidth(said, typeface(Type::Small));
        const int base = static_cast<int>(y) - 12; // words on a dark strip, away from the seam
        p.fillRect(width() - w - 32, base - 15, w + 20, 21, QColor(0, 0, 0, 150));
        drawText(p, width() - w - 22, base, said, typeface(Type::Small), QColor(0xf2, 0xf2, 0xf2));
    }
}

} // namespace zelo::desk
