// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/message_line.h"

#include "desk/kit/draw.h"

namespace zelo::desk {

MessageLine::MessageLine(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Message"));
    setToolTip(tr("A click closes it"));
    gone_.setSingleShot(true);
    connect(&gone_, &QTimer::timeout, this, &MessageLine::over);
    hide();
}

void MessageLine::tell(const QString& text) {
    // Long enough to be read: about twelve signs a second, six seconds at least.
    gone_.start(std::max<int>(6000, static_cast<int>(text.size()) * 80));
    showText(text);
}

void MessageLine::stand(const QString& trouble) {
    standing_ = trouble;
    if (!gone_.isActive())
        over();
}

void MessageLine::over() {
    gone_.stop();
    if (standing_.isEmpty())
        hide();
    else
        showText(standing_);
}

void MessageLine::showText(const QString& text) {
    text_ = text;
    setAccessibleDescription(text);
    show();
    raise();
    update();
}

void MessageLine::mousePressEvent(QMouseEvent*) {
    over();
}

void MessageLine::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().lift);
    p.fillRect(0, 0, 3, height(), theme().bright);
    const QString shown =
        QFontMetrics(typeface(Type::Work)).elidedText(text_, Qt::ElideMiddle, width() - 32);
    drawText(p, 16, height() / 2 + 5, shown, typeface(Type::Work), theme().bright);
}

} // namespace zelo::desk
