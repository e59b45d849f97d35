// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/split_field.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"
#include "desk/kit/watch.h"

namespace zelo::desk {

SplitField::SplitField(Document& document, FocusModel& focus, QWidget* window)
    : Overlay(window), document_(document), focus_(focus) {
    setAccessibleName(tr("Split field"));
    setToolTip(tr("Wanted at the left, got at the right (Z or a press closes)"));
    connect(&focus_, &FocusModel::rowsChanged, this, [this] { update(); });
}

void SplitField::mousePressEvent(QMouseEvent*) {
    hide();
}

namespace {

void paintSplit(QPainter& p, const QRect& room, const Document& document, const FocusModel& focus) {
    paintGround(p, room, theme().bench);
    const int seam = room.width() / 2;
    const light::Wanted* wanted = focus.wanted();
    p.fillRect(0, 0, seam, room.height(),
               wanted ? colourOfLight(document.colours(), *wanted) : theme().glass);
    // Every type of the lineup touches the wanted half, the one in focus half the height.
    const auto& rows = focus.rows();
    double y = 0;
    for (std::size_t i = 0; i < rows.size(); ++i) {
        const bool in_focus = i == focus.focusIndex();
        const double share = rows.size() == 1 ? 1
                             : in_focus       ? 0.5
                                              : 0.5 / static_cast<double>(rows.size() - 1);
        const auto& xyz = rows[i].lamp.sent.xyz;
        const QRectF part(seam, std::round(y), room.width() - seam,
                          std::ceil(share * room.height()) + 1);
        p.fillRect(part, colour::hasChromaticity(xyz)
                             ? colourOfLight(document.colours(), rows[i].lamp)
                             : theme().glass);
        y += share * room.height();
        const QString said = QStringLiteral("%1  %2").arg(rows[i].name, rows[i].words);
        const int w = textWidth(said, typeface(Type::Small));
        const int base = static_cast<int>(y) - 12; // words on a dark strip, away from the seam
        p.fillRect(room.width() - w - 32, base - 15, w + 20, 21, QColor(0, 0, 0, 150));
        drawText(p, room.width() - w - 22, base, said, typeface(Type::Small),
                 QColor(0xf2, 0xf2, 0xf2));
    }
}

} // namespace

void SplitField::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintSplit(p, rect(), document_, focus_);
}

// --- SplitWindow -----------------------------------------------------------------------------

SplitWindow::SplitWindow(Document& document, FocusModel& focus, QWidget* window)
    : OwnWindow("split", tr("Wanted and got"), {640, 480}, window), document_(document),
      focus_(focus) {
    setToolTip(tr("Wanted at the left, got at the right: put it on another screen (Esc closes, F "
                  "fills the screen)"));
    connect(&focus_, &FocusModel::rowsChanged, this, [this] { update(); });
    watch(document_, this, Change::Seen, [this] { update(); });
}

void SplitWindow::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintSplit(p, rect(), document_, focus_);
}

} // namespace zelo::desk
