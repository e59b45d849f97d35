// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/draw.h"

#include "desk/kit/text_log.h"

#include <QFontMetrics>
#include <algorithm>
#include <cmath>
#include <vector>

namespace zelo::desk {

namespace {

constexpr double kNarrowest = 0.6;
constexpr int kSmallest_px = 9;

// "R_f 87" in its parts: plain, lowered, plain.
struct Piece {
    QString text;
    bool lowered;
};

std::vector<Piece> pieces(const QString& text) {
    std::vector<Piece> all;
    qsizetype from = 0;
    for (qsizetype at = text.indexOf("R_"); at >= 0; at = text.indexOf("R_", from)) {
        if (at + 2 >= text.size())
            break;
        all.push_back({text.mid(from, at + 1 - from), false});
        all.push_back({text.mid(at + 2, 1), true});
        from = at + 3;
    }
    all.push_back({text.mid(from), false});
    return all;
}

QFont lowered(QFont font) {
    font.setPixelSize(std::max(8, font.pixelSize() * 3 / 4));
    return font;
}

void logged(const QPainter& p, int x, int y, const QString& text, const QFont& font,
            bool cut = false) {
    const QFontMetrics metrics(font);
    TextLog::add(p, QRectF(x, y - metrics.capHeight(), textWidth(text, font), metrics.capHeight()),
                 text, cut);
}

} // namespace

int textWidth(const QString& text, const QFont& font) {
    if (!text.contains("R_"))
        return QFontMetrics(font).horizontalAdvance(text);
    int width = 0;
    for (const Piece& piece : pieces(text))
        width += QFontMetrics(piece.lowered ? lowered(font) : font).horizontalAdvance(piece.text);
    return width;
}

int drawText(QPainter& p, int x, int y, const QString& text, const QFont& font, const QColor& c) {
    p.setPen(c);
    if (!text.contains("R_")) {
        p.setFont(font);
        p.drawText(QPoint(x, y), text);
        logged(p, x, y, text, font);
        return textWidth(text, font);
    }
    const int left = x;
    for (const Piece& piece : pieces(text)) {
        const QFont f = piece.lowered ? lowered(font) : font;
        p.setFont(f);
        p.drawText(QPoint(x, piece.lowered ? y + 3 : y), piece.text);
        x += QFontMetrics(f).horizontalAdvance(piece.text);
    }
    logged(p, left, y, text, font);
    return x - left;
}

int drawElided(QPainter& p, int x, int y, int room, const QString& text, const QFont& font,
               const QColor& c) {
    const int wide = textWidth(text, font);
    if (wide <= room)
        return drawText(p, x, y, text, font, c);
    const double narrow = std::max(kNarrowest, room / static_cast<double>(wide));
    const int before = static_cast<int>(room / narrow); // of letters as wide as they are
    const bool cut = wide > before;
    const QString part = cut ? QFontMetrics(font).elidedText(text, Qt::ElideRight, before) : text;
    p.save();
    p.translate(x, y);
    p.scale(narrow, 1);
    if (cut) {
        p.setFont(font);
        p.setPen(c);
        p.drawText(QPoint(0, 0), part);
        logged(p, 0, 0, part, font, true);
    } else {
        drawText(p, 0, 0, part, font, c);
    }
    p.restore();
    return room;
}

void drawEnds(QPainter& p, int left, int right, int y, const Ends& ends) {
    constexpr int kGap = 10;
    const int half = (right - left - kGap) / 2;
    const int wide =
        std::min(textWidth(ends.right, ends.right_font),
                 std::max(half, right - left - kGap - textWidth(ends.left, ends.left_font)));
    drawElided(p, right - wide, y, wide, ends.right, ends.right_font, ends.right_colour);
    drawElided(p, left, y, right - left - wide - kGap, ends.left, ends.left_font, ends.left_colour);
}

void paintGround(QPainter& p, const QRect& ground, const QColor& c) {
    p.fillRect(ground, c);
    TextLog::cover(p, ground);
}

int drawWrapped(QPainter& p, const QRect& room, const QString& text, const QFont& font,
                const QColor& c) {
    QFont fits = font;
    const auto takenBy = [&](const QFont& f) {
        return QFontMetrics(f).boundingRect(room.adjusted(0, 0, 0, 4000), Qt::TextWordWrap, text);
    };
    while (takenBy(fits).height() > room.height() && fits.pixelSize() > kSmallest_px)
        fits.setPixelSize(fits.pixelSize() - 1);
    p.setFont(fits);
    p.setPen(c);
    p.drawText(room, Qt::TextWordWrap, text);
    const QRect taken = takenBy(fits);
    TextLog::add(p, taken, text, taken.height() > room.height() || taken.width() > room.width());
    return taken.height();
}

int drawTextRight(QPainter& p, int right, int y, const QString& text, const QFont& font,
                  const QColor& c) {
    const int width = textWidth(text, font);
    drawText(p, right - width, y, text, font, c);
    return width;
}

void drawTextCentred(QPainter& p, int centre, int y, const QString& text, const QFont& font,
                     const QColor& c) {
    drawText(p, centre - textWidth(text, font) / 2, y, text, font, c);
}

void drawPointer(QPainter& p, const QPointF& a, Points to, double base, double height,
                 const QColor& c) {
    const double b = base / 2;
    QPolygonF triangle;
    switch (to) {
    case Points::Up:
        triangle << a << a + QPointF(-b, height) << a + QPointF(b, height);
        break;
    case Points::Down:
        triangle << a << a + QPointF(-b, -height) << a + QPointF(b, -height);
        break;
    case Points::Left:
        triangle << a << a + QPointF(height, -b) << a + QPointF(height, b);
        break;
    case Points::Right:
        triangle << a << a + QPointF(-height, -b) << a + QPointF(-height, b);
        break;
    }
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(Qt::NoPen);
    p.setBrush(c);
    p.drawPolygon(triangle);
    p.restore();
}

void drawDotted(QPainter& p, int x1, int x2, int y, const QColor& c) {
    for (int x = x1; x < x2; x += 3)
        p.fillRect(x, y, 1, 1, c);
}

void drawFocusBrackets(QPainter& p, const QRect& r) {
    constexpr int leg = 6;
    const QColor& c = theme().bright;
    for (const int x : {r.left(), r.right() - leg + 1})
        for (const int y : {r.top(), r.bottom() - 1})
            p.fillRect(x, y, leg, 2, c);
    for (const int x : {r.left(), r.right() - 1})
        for (const int y : {r.top(), r.bottom() - leg + 1})
            p.fillRect(x, y, 2, leg, c);
}

void drawMissMark(QPainter& p, const QPointF& centre, const colour::Uv& off) {
    constexpr double none = 0.0004;
    constexpr double other = 0.012;
    const double size = std::hypot(off.u, off.v);
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(theme().dim, 1));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(centre, 5, 5);
    if (size > other) {
        p.setPen(QPen(theme().text, 1.4));
        p.drawLine(centre + QPointF(-4.5, 4.5), centre + QPointF(4.5, -4.5));
    } else {
        const double far = size < none ? 0 : 3 * (size - none) / (other - none);
        const QPointF dot = size > 0 ? centre + QPointF(off.u, -off.v) / size * far : centre;
        p.setPen(Qt::NoPen);
        p.setBrush(theme().text);
        p.drawEllipse(dot, 2, 2);
    }
    p.restore();
}

void drawHatch(QPainter& p, const QRectF& light) {
    p.save();
    const double height = std::min(6.0, light.height());
    const QRectF band(light.left(), light.bottom() - height, light.width(), height);
    p.setClipRect(band, Qt::IntersectClip);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(Qt::black, 1.3));
    for (double x = band.left() - height; x < band.right(); x += 4)
        p.drawLine(QPointF(x, band.bottom()), QPointF(x + height, band.top()));
    p.restore();
}

namespace {
template <class F>
void cased(QPainter& p, double width, F draw) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(Qt::black, width + 2, Qt::SolidLine, Qt::FlatCap));
    draw(1.0);
    p.setPen(QPen(Qt::white, width, Qt::SolidLine, Qt::FlatCap));
    draw(0.0);
    p.restore();
}
} // namespace

void drawWanted(QPainter& p, const QPointF& at) {
    cased(p, 1.5, [&](double grow) {
        for (const QPointF d : {QPointF(1, 0), QPointF(-1, 0), QPointF(0, 1), QPointF(0, -1)})
            p.drawLine(at + d * (2.5 - grow), at + d * (7.5 + grow));
    });
}

void drawGot(QPainter& p, const QPointF& at) {
    cased(p, 1.5, [&](double) { p.drawEllipse(at, 5.5, 5.5); });
}

} // namespace zelo::desk
