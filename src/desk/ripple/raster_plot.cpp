// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/ripple/raster_plot.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QToolTip>
#include <cmath>

namespace zelo::desk {

namespace {

constexpr int kTop = 24;        // of the raster: the line's head and its time stand above
constexpr int kLeft = 24;       // numbers of the lamps
constexpr int kFoot = 24;       // the seconds
constexpr int kRowAtLeast = 12; // of a number
constexpr double kSteps_s[] = {0.01, 0.02, 0.05, 0.1, 0.2, 0.5,  1,    2,    5,    10,
                               20,   60,   120,  300, 600, 1800, 3600, 7200, 21600};

} // namespace

RasterPlot::RasterPlot(RippleModel& model, QWidget* parent) : QWidget(parent), model_(model) {
    setAccessibleName(tr("Raster of the ripple"));
    setToolTip(tr("Lamps down, time across. Drag the line to look ahead; ← → in steps, Shift "
                  "fine, Ctrl coarse, Home its beginning; Esc lets go"));
    setFocusPolicy(Qt::StrongFocus);
    watch(model_, &RippleModel::modelChanged, this, [this] { update(); });
    watch(model_, &RippleModel::momentChanged, this, [this] { update(); });
    watch(model_.document(), this, Change::Seen, [this] {
        image_.forget();
        update();
    });
}

QRect RasterPlot::plot() const {
    return {kLeft, kTop, width() - kLeft, height() - kTop - kFoot};
}

double RasterPlot::xOf(double t_s) const {
    const QRect r = plot();
    return r.left() + t_s / model_.pictures()->span_s * r.width();
}

double RasterPlot::timeAt(double x) const {
    const QRect r = plot();
    return std::clamp((x - r.left()) / r.width(), 0.0, 1.0) * model_.pictures()->span_s;
}

QPoint RasterPlot::pointAt(double t_s) const {
    return {static_cast<int>(std::lround(xOf(t_s))), plot().center().y()};
}

void RasterPlot::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const auto* pictures = model_.pictures();
    if (!pictures || pictures->raster.cells.empty())
        return;
    const auto& raster = pictures->raster;
    const QRect r = plot();
    p.drawImage(r, image_.of(raster, model_.picturesPtr(), model_.document().colours()));
    const double row = static_cast<double>(r.height()) / static_cast<double>(raster.lamps.size());
    int last = -kRowAtLeast;
    for (std::size_t i = 0; i < raster.lamps.size(); ++i) {
        const int y = static_cast<int>(r.top() + (static_cast<double>(i) + 0.5) * row);
        if (y - last < kRowAtLeast)
            continue;
        last = y;
        if (const auto* f =
                model_.document().show().fixture(pictures->ripple->lamps[raster.lamps[i]]))
            drawTextRight(p, kLeft - 6, y + 4, QString::number(f->number), typeface(Type::Small),
                          theme().dim);
    }
    // A rule of seconds.
    double step = kSteps_s[0];
    for (const double s : kSteps_s)
        if (step = s; s / pictures->span_s * r.width() >= 56)
            break;
    for (int k = 0; k * step / 5 <= pictures->span_s + 1e-9; ++k) {
        const double t = k * step / 5;
        const int x = static_cast<int>(std::lround(xOf(t)));
        const bool whole = k % 5 == 0;
        p.fillRect(std::min(x, r.right()), r.bottom() + 1, 1, whole ? 6 : 3, theme().rule);
        if (whole) {
            QString text = numberText(t, step < 0.1 ? 2 : step < 1 ? 1 : 0);
            if (t + step > pictures->span_s)
                text = tr("%1 s").arg(text);
            const int wide = textWidth(text, typeface(Type::Small));
            drawText(p, std::clamp(x - wide / 2, kLeft - 4, std::max(0, width() - wide)),
                     height() - 4, text, typeface(Type::Small), theme().dim);
        }
    }
    const double x = std::round(std::clamp(xOf(model_.lineAt()), 1.0 * r.left(), 1.0 * r.right()));
    p.fillRect(QRectF(x - 1, r.top(), 3, r.height()), Qt::black);
    p.fillRect(QRectF(x, r.top(), 1, r.height()), Qt::white);
    drawPointer(p, QPointF(x + 0.5, r.top()), Points::Down, 13, 8, theme().bright);
    const QString caption = tr("lamps down, time across");
    const int caption_wide = textWidth(caption, typeface(Type::Small));
    drawText(p, x < kLeft + caption_wide + 20 ? width() - caption_wide : kLeft, 12, caption,
             typeface(Type::Small), theme().dim);
    const QString now = tr("%1 s").arg(numberText(model_.moment_s(), 1));
    const int wide = textWidth(now, typeface(Type::Small));
    drawText(p,
             static_cast<int>(x) + 12 + wide > width() ? static_cast<int>(x) - 12 - wide
                                                       : static_cast<int>(x) + 12,
             r.top() - 5, now, typeface(Type::Small), theme().bright);
    if (hasFocus())
        drawFocusBrackets(p, QRect(static_cast<int>(x) - 7, r.top() - 9, 15, 11));
}

void RasterPlot::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && model_.pictures())
        model_.lookAt(timeAt(event->position().x()));
}

void RasterPlot::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton && model_.pictures())
        model_.lookAt(timeAt(event->position().x()));
}

bool RasterPlot::claims(const QKeyEvent& key) const {
    return (key.key() == Qt::Key_Left || key.key() == Qt::Key_Right || key.key() == Qt::Key_Home) &&
           !(key.modifiers() & Qt::AltModifier);
}

void RasterPlot::keyPressEvent(QKeyEvent* event) {
    if (!model_.pictures())
        return QWidget::keyPressEvent(event);
    const auto modifiers = event->modifiers();
    const double step = modifiers & Qt::ShiftModifier     ? 0.01
                        : modifiers & Qt::ControlModifier ? 1
                                                          : 0.1;
    switch (event->key()) {
    case Qt::Key_Left:
        return model_.lookAt(model_.moment_s() - step);
    case Qt::Key_Right:
        return model_.lookAt(model_.moment_s() + step);
    case Qt::Key_Home:
        return model_.lookAt(0);
    default:
        QWidget::keyPressEvent(event);
    }
}

bool RasterPlot::event(QEvent* event) {
    const auto* pictures = model_.pictures();
    if (event->type() == QEvent::ToolTip && pictures && !pictures->raster.cells.empty()) {
        const auto* help = static_cast<QHelpEvent*>(event);
        const QRect r = plot();
        if (r.contains(help->pos())) {
            const auto& raster = pictures->raster;
            const auto row = static_cast<std::size_t>(help->pos().y() - r.top()) *
                             raster.lamps.size() / static_cast<std::size_t>(r.height());
            const auto column = static_cast<std::size_t>(help->pos().x() - r.left()) *
                                raster.columns / static_cast<std::size_t>(r.width());
            const auto& cell = raster.at(row, column);
            const auto* f =
                model_.document().show().fixture(pictures->ripple->lamps[raster.lamps[row]]);
            const QString what = cell.below ? tr("what lies below")
                                 : colour::hasChromaticity(cell.light)
                                     ? uvText(colour::toUv(cell.light))
                                     : tr("no light");
            QToolTip::showText(help->globalPos(),
                               tr("Lamp %1 at %2 s: %3")
                                   .arg(f ? f->number : 0)
                                   .arg(numberText(timeAt(help->pos().x()), 2), what),
                               this);
            return true;
        }
    }
    return QWidget::event(event);
}

std::vector<PaintedPart> RasterPlot::parts() {
    if (!model_.pictures())
        return {};
    return {{tr("Line for now"), tr("%1 s").arg(numberText(model_.moment_s(), 2)),
             QRect(pointAt(model_.lineAt()) - QPoint(6, 6), QSize(13, 13))}};
}

} // namespace zelo::desk
