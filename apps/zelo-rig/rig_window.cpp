// SPDX-License-Identifier: GPL-3.0-or-later
#include "rig_window.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"

#include <QTimer>
#include <algorithm>
#include <chrono>
#include <cmath>

namespace zelo::rig {

using desk::theme;
using desk::Type;
using desk::typeface;

RigWindow::RigWindow(const RigLoop& loop) : loop_(loop), colours_(Kelvin{4300}) {
    setWindowTitle(tr("Zelochrome practice rig"));
    setAccessibleName(tr("Practice rig"));
    setToolTip(tr("Simulated lamps: what a real rig would show of what is sent"));
    resize(620, 400);
    auto* timer = new QTimer(this);
    connect(timer, &QTimer::timeout, this, [this] { update(); });
    timer->start(33);
}

void RigWindow::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().floor);
    const auto lamps = loop_.view();
    desk::drawText(p, 20, 32, tr("Practice rig"), typeface(Type::Title), theme().text);
    desk::drawTextRight(p, width() - 20, 32,
                        tr("%1 lamps, 127.0.0.1:%2, %3 packets")
                            .arg(lamps.size())
                            .arg(loop_.port())
                            .arg(desk::numberText(static_cast<double>(loop_.packets()), 0)),
                        typeface(Type::Small), theme().dim);
    if (lamps.empty())
        return;
    double brightest = 0; // cd of the brightest lamp now: the others stand against it
    for (const auto& l : lamps)
        brightest = std::max(brightest, l.xyz.Y);
    const int columns = std::max(
        1, static_cast<int>(std::ceil(std::sqrt(static_cast<double>(lamps.size()) * 1.8))));
    const double cell_w = (width() - 40.0) / columns;
    const int rows = (static_cast<int>(lamps.size()) + columns - 1) / columns;
    const double cell_h = (height() - 64.0) / rows;
    p.setRenderHint(QPainter::Antialiasing);
    for (std::size_t i = 0; i < lamps.size(); ++i) {
        const int column = static_cast<int>(i) % columns;
        const int row = static_cast<int>(i) / columns;
        const QPointF centre(20 + (column + 0.5) * cell_w, 48 + (row + 0.42) * cell_h);
        const double r = std::min(cell_w, cell_h) * 0.34;
        const auto& xyz = lamps[i].xyz;
        // A lamp that is asked to identify itself blinks white, twice a second.
        const bool blink =
            lamps[i].identifying && std::chrono::steady_clock::now().time_since_epoch() /
                                            std::chrono::milliseconds(250) % 2 ==
                                        0;
        if (lamps[i].identifying) {
            p.setPen(QPen(theme().bright, 2));
            p.setBrush(blink ? QBrush(theme().bright) : QBrush(Qt::NoBrush));
        } else if (xyz.Y > 0) {
            const double level = std::cbrt(xyz.Y / brightest); // as the eye sees brightness
            p.setPen(Qt::NoPen);
            p.setBrush(colours_.of(xyz, std::max(0.08, level)));
        } else {
            p.setPen(QPen(theme().rule, 1));
            p.setBrush(Qt::NoBrush);
        }
        p.drawEllipse(centre, r, r);
        desk::drawTextCentred(p, static_cast<int>(centre.x()),
                              static_cast<int>(centre.y() + r) + 15,
                              QString::number(lamps[i].number), typeface(Type::Small), theme().dim);
    }
}

} // namespace zelo::rig
