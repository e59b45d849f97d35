// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/text_log.h"

#include <QPaintEngine>
#include <QPainter>
#include <QPixmap>
#include <QStringList>
#include <QWidget>

namespace zelo::desk {

namespace {
TextLog* g_log = nullptr;

// Of the interface, which may be several of the device.
QRectF inPixels(const QPainter& p, const QRectF& r) {
    const QRectF place = p.deviceTransform().mapRect(r);
    const double dpr = p.device()->devicePixelRatioF();
    return {place.topLeft() / dpr, place.size() / dpr};
}
} // namespace

TextLog::TextLog() : before_(g_log) {
    g_log = this;
}

TextLog::~TextLog() {
    g_log = before_;
}

void TextLog::add(const QPainter& p, const QRectF& ink, const QString& text, bool cut) {
    if (!g_log || text.trimmed().isEmpty() || !p.paintEngine())
        return;
    QRectF place = inPixels(p, ink);
    const QRegion clip = p.paintEngine()->systemClip(); // of the device
    const double dpr = p.device()->devicePixelRatioF();
    const QRect box = clip.boundingRect();
    const QRectF bounds(QPointF(box.topLeft()) / dpr, QSizeF(box.size()) / dpr);
    constexpr double kEdge = 1.5; // antialiased ink
    const bool outside =
        !clip.isEmpty() && !bounds.adjusted(-kEdge, -kEdge, kEdge, kEdge).contains(place);
    if (!clip.isEmpty())
        place &= bounds;
    if (!place.isEmpty())
        g_log->texts_.push_back({text, place, cut || outside});
}

void TextLog::cover(const QPainter& p, const QRectF& ground) {
    if (!g_log)
        return;
    const QRectF over = inPixels(p, ground);
    std::erase_if(g_log->texts_, [&](const PaintedText& t) { return over.contains(t.place); });
}

QString paintedBy(QWidget& widget) {
    if (widget.size().isEmpty())
        return {};
    const TextLog log;
    QPixmap paper(widget.size());
    widget.render(&paper, QPoint(), QRegion(), QWidget::RenderFlags());
    QStringList all;
    for (const PaintedText& t : log.texts())
        all << t.text;
    return all.join(", ");
}

} // namespace zelo::desk
