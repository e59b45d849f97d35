// SPDX-License-Identifier: GPL-3.0-or-later
// Wanted beside got: the left half of a chip or a disc against its right half, without a seam.
#pragma once

#include <QColor>
#include <QPainter>

namespace zelo::desk {

// `out_of_reach`: the right half is hatched.
void paintSplitChip(QPainter& p, const QRect& chip, const QColor& wanted, const QColor& got,
                    bool out_of_reach = false);
void paintSplitDisc(QPainter& p, const QRectF& disc, const QColor& wanted, const QColor& got);

} // namespace zelo::desk
