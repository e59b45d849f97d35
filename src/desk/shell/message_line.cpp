// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/message_line.h"

#include "desk/kit/draw.h"

#include <QAccessible>
#include <QDateTime>
#include <QMouseEvent>
#include <algorithm>

namespace zelo::desk {

namespace {
constexpr std::size_t kMost = 3; // at once; older ones give way
constexpr int kLong_ms = 300;    // shorter work is not worth a word
constexpr int kLeft = 16, kRight = 12, kAbove = 8;

qint64 now_ms() {
    return QDateTime::currentMSecsSinceEpoch();
}
} // namespace

MessageLine::MessageLine(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Messages"));
    setToolTip(tr("A click closes it"));
    next_.setSingleShot(true);
    connect(&next_, &QTimer::timeout, this, &MessageLine::forget);
    connect(&tick_, &QTimer::timeout, this, &MessageLine::changed);
    hide();
}

void MessageLine::tell(const QString& text, std::function<void()> press) {
    std::erase_if(told_, [&](const Told& t) { return t.text == text; });
    // Long enough to be read: about twelve signs a second, six seconds at least.
    told_.push_back({text, now_ms() + std::max<qint64>(6000, text.size() * 80), std::move(press)});
    if (told_.size() > kMost)
        told_.erase(told_.begin());
    changed();
    QAccessibleEvent heard(this, QAccessible::Alert);
    QAccessible::updateAccessibility(&heard);
}

void MessageLine::stand(const QString& trouble) {
    standing_ = trouble;
    changed();
}

bool MessageLine::Work::shown() const {
    return now_ms() - since_ms >= kLong_ms;
}

QString MessageLine::said(const Work& work) const {
    return tr("%1: %2 s. A click stops it.").arg(work.what).arg((now_ms() - work.since_ms) / 1000);
}

void MessageLine::begin(int work, const QString& what) {
    works_.push_back({work, what, now_ms()});
    tick_.start(kLong_ms);
}

void MessageLine::end(int work) {
    std::erase_if(works_, [&](const Work& w) { return w.id == work; });
    if (works_.empty())
        tick_.stop();
    changed();
}

QStringList MessageLine::texts() const {
    QStringList texts;
    for (const Work& w : works_)
        if (w.shown())
            texts << said(w);
    if (!standing_.isEmpty())
        texts << standing_;
    for (const Told& t : told_)
        texts << t.text;
    return texts;
}

void MessageLine::forget() {
    std::erase_if(told_, [now = now_ms()](const Told& t) { return t.until_ms <= now; });
    changed();
}

void MessageLine::changed() {
    next_.stop();
    if (!told_.empty()) {
        const auto first =
            std::min_element(told_.begin(), told_.end(),
                             [](const Told& a, const Told& b) { return a.until_ms < b.until_ms; });
        next_.start(static_cast<int>(std::max<qint64>(1, first->until_ms - now_ms())));
    }
    setAccessibleDescription(texts().join('\n'));
    setVisible(!texts().isEmpty());
    emit roomWanted();
    update();
}

int MessageLine::heightOf(const QString& text) const {
    const QRect room(0, 0, width() - kLeft - kRight, 1000);
    return QFontMetrics(typeface(Type::Work)).boundingRect(room, Qt::TextWordWrap, text).height() +
           2 * kAbove;
}

QSize MessageLine::sizeHint() const {
    int height = 0;
    for (const QString& text : texts())
        height += heightOf(text) + 1;
    return {width(), height};
}

void MessageLine::mousePressEvent(QMouseEvent* event) {
    int y = 0;
    for (const Work& w : works_) {
        if (!w.shown())
            continue;
        y += heightOf(said(w)) + 1;
        if (event->pos().y() < y) {
            emit stopWanted(w.id);
            return;
        }
    }
    y += standing_.isEmpty() ? 0 : heightOf(standing_) + 1; // that one stays
    for (std::size_t i = 0; i < told_.size(); ++i) {
        const int height = heightOf(told_[i].text) + 1;
        if (event->pos().y() >= y && event->pos().y() < y + height) {
            const auto press = told_[i].press;
            told_.erase(told_.begin() + static_cast<std::ptrdiff_t>(i));
            changed();
            return press ? press() : void();
        }
        y += height;
    }
}

void MessageLine::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintGround(p, rect(), theme().lift);
    p.fillRect(0, 0, 3, height(), theme().bright);
    int y = 0;
    for (const QString& text : texts()) {
        if (y > 0)
            p.fillRect(kLeft, y - 1, width() - kLeft - kRight, 1, theme().faint);
        const int height = heightOf(text);
        drawWrapped(p, QRect(kLeft, y + kAbove, width() - kLeft - kRight, height - 2 * kAbove),
                    text, typeface(Type::Work), theme().bright);
        y += height + 1;
    }
}

} // namespace zelo::desk
