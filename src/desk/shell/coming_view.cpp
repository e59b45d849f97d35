// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/coming_view.h"

#include "desk/kit/draw.h"

namespace zelo::desk {

ComingView::ComingView(const QString& title, const QString& line, QWidget* parent)
    : QWidget(parent), title_(title), line_(line) {
    setAccessibleName(title);
    setAccessibleDescription(line);
}

void ComingView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().bench);
    drawText(p, 24, 36, title_, typeface(Type::Title), theme().text);
    drawWrapped(p, QRect(24, 52, width() - 48, 80), line_, typeface(Type::Work), theme().dim);
}

} // namespace zelo::desk
