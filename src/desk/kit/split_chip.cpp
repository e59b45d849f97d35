// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/split_chip.h"

#include "desk/kit/draw.h"

#include <QPainterPath>

namespace zelo::desk {

void paintSplitChip(QPainter& p, const QRect& chip, const QColor& wanted, const QColor& got,
                    bool out_of_reach) {
    const int half = chip.width() / 2;
    const QRect right(chip.left() + half, chip.top(), chip.width() - half, chip.height());
    p.fillRect(chip.left(), chip.top(), half, chip.height(), wanted);
    p.fillRect(right, got);
    if (out_of_reach)
        drawHatch(p, right);
}

void paintSplitDisc(QPainter& p, const QRectF& disc, const QColor& wanted, const QColor& got) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    QPainterPath whole;
    whole.addEllipse(disc);
    p.setClipPath(whole);
    p.setRenderHint(QPainter::Antialiasing, false); // the halves touch
    const double r = disc.width() / 2;
    p.fillRect(QRectF(disc.left() - 1, disc.top() - 1, r + 1, 2 * r + 2), wanted);
    p.fillRect(QRectF(disc.center().x(), disc.top() - 1, r + 1, 2 * r + 2), got);
    p.restore();
}

} // namespace zelo::desk
