// SPDX-License-Identifier: GPL-3.0-or-later
// Strokes and marks that several widgets share (design: look, "Marks"). All are told by shape; none
// by a tint.
#pragma once

#include "colour/xyz.h"
#include "desk/kit/theme.h"

#include <QPainter>

namespace zelo::desk {

// Text with its baseline at y; returns the width. The sign behind "R_" is lowered: R_f.
int drawText(QPainter& p, int x, int y, const QString& text, const QFont& font, const QColor& c);
int drawTextRight(QPainter& p, int right, int y, const QString& text, const QFont& font,
                  const QColor& c);
void drawTextCentred(QPainter& p, int centre, int y, const QString& text, const QFont& font,
                     const QColor& c);
// In `room`: with narrower letters when it is longer, down to three fifths, and shortened beyond.
// Returns the width it takes.
int drawElided(QPainter& p, int x, int y, int room, const QString& text, const QFont& font,
               const QColor& c);
// A line with words at both ends: those at the left have the room that the others leave.
struct Ends {
    QString left;
    QFont left_font;
    QColor left_colour;
    QString right;
    QFont right_font;
    QColor right_colour;
};
void drawEnds(QPainter& p, int left, int right, int y, const Ends& ends);
// The ground of a panel that lies over others.
void paintGround(QPainter& p, const QRect& ground, const QColor& c);
// In whole words over several lines, from the top of `room`, in smaller letters when it needs more
// height; returns the height they take.
int drawWrapped(QPainter& p, const QRect& room, const QString& text, const QFont& font,
                const QColor& c);
int textWidth(const QString& text, const QFont& font);

enum class Points { Up, Down, Left, Right };
// Solid triangle with its apex at `apex`; `base` wide, `height` high.
void drawPointer(QPainter& p, const QPointF& apex, Points to, double base, double height,
                 const QColor& c);

void drawDotted(QPainter& p, int x1, int x2, int y, const QColor& c); // 1 on, 2 off
// Four corners round a thing that has the keyboard: never a full outline.
void drawFocusBrackets(QPainter& p, const QRect& around);
// Ring of 10 px with a dot where the miss points; a stroke through it = another colour.
void drawMissMark(QPainter& p, const QPointF& centre, const colour::Uv& off);
// Diagonal strokes in the lowest 6 px of a light that is out of reach.
void drawHatch(QPainter& p, const QRectF& light);
// Wanted: a cross with an open middle. Got: a ring. White with a black casing, for use on light.
void drawWanted(QPainter& p, const QPointF& at);
void drawGot(QPainter& p, const QPointF& at);

} // namespace zelo::desk
