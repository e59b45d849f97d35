// SPDX-License-Identifier: GPL-3.0-or-later
// What is painted as text while one of these lives, and where: for the tests that look for texts
// that overlap or are cut.
#pragma once

#include <QRectF>
#include <QString>
#include <vector>

class QPainter;
class QWidget;

namespace zelo::desk {

struct PaintedText {
    QString text;
    QRectF place; // of its ink that is seen, pixels of what is painted
    bool cut;     // a part of it is outside of its widget, or it was shortened
};

class TextLog {
public:
    TextLog();
    ~TextLog();
    TextLog(const TextLog&) = delete;
    TextLog& operator=(const TextLog&) = delete;
    const std::vector<PaintedText>& texts() const { return texts_; }

    // Called by what draws text (kit/draw); does nothing while no log lives.
    static void add(const QPainter& p, const QRectF& ink, const QString& text, bool cut = false);
    static void cover(const QPainter& p, const QRectF& ground); // what was painted there is gone

private:
    std::vector<PaintedText> texts_;
    TextLog* before_; // it goes on when this ends
};

// What the widget itself paints as text now, in the order in which it does: for assistive tools.
QString paintedBy(QWidget& widget);

} // namespace zelo::desk
