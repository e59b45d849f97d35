// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/stations.h"

#include "desk/kit/draw.h"

#include <QKeyEvent>
#include <QMouseEvent>

namespace zelo::desk {

namespace {
constexpr int kLeastGap = 8;
constexpr int kKeyGap = 5;
} // namespace

Stations::Stations(const QString& name, const QString& tip, const QStringList& words,
                   const QStringList& keys, bool spread, QWidget* parent)
    : QWidget(parent), words_(words), keys_(keys), spread_(spread) {
    setAccessibleName(name);
    setToolTip(tip);
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleDescription(words_.value(0));
}

void Stations::setChosen(int index) {
    if (index == chosen_)
        return;
    chosen_ = index;
    setAccessibleDescription(words_.value(index));
    update();
}

void Stations::setWords(const QStringList& words) {
    if (words == words_)
        return;
    words_ = words;
    setAccessibleDescription(words_.value(chosen_));
    update();
}

void Stations::setSmall(bool small) {
    small_ = small;
    update();
}

void Stations::setGap(int gap) {
    gap_ = gap;
    update();
}

void Stations::setRows(int rows) {
    rows_ = std::max(1, rows);
    update();
}

void Stations::setOnEdge(bool on) {
    on_edge_ = on;
    update();
}

QSize Stations::sizeHint() const {
    constexpr int kAny = 100'000;
    const int last = static_cast<int>(words_.size()) - 1;
    return {(spread_ ? wordRect(last) : wordRect(last, kAny)).right() + 8, 32};
}

// Widths are those of the bold word, so nothing moves when another is chosen.
int Stations::wordWidth(int i) const {
    const int key = keys_.isEmpty() ? 0 : textWidth(keys_[i], typeface(Type::Small)) + kKeyGap;
    return key + textWidth(words_[i], typeface(small_ ? Type::Small : Type::Work, true));
}

int Stations::leastWidth() const {
    int all = 0;
    for (int i = 0; i < words_.size(); ++i)
        all += wordWidth(i) + (i > 0 ? kLeastGap : 0);
    return all;
}

QRect Stations::wordRect(int index, int room) const {
    const int row = index / inRow();
    const int first = row * inRow();
    const int end = std::min(static_cast<int>(words_.size()), first + inRow());
    const auto keyOf = [&](int i) {
        return keys_.isEmpty() ? 0 : textWidth(keys_[i], typeface(Type::Small)) + kKeyGap;
    };
    int keys = 0;
    int words = 0;
    for (int i = first; i < end; ++i) {
        keys += keyOf(i);
        words += wordWidth(i) - keyOf(i);
    }
    // Where they do not fit the gaps give room first, then all words alike.
    const int gaps = std::max(1, end - first - 1);
    const bool fits = keys + words + gap_ * gaps <= room;
    const int gap = std::max(kLeastGap, spread_ || !fits ? (room - keys - words) / gaps : gap_);
    const double narrow =
        std::clamp((room - gap * gaps - keys) / std::max(1.0, words * 1.0), 0.0, 1.0);
    const auto widthOf = [&](int i) { return keyOf(i) + (wordWidth(i) - keyOf(i)) * narrow; };
    double x = 0;
    for (int i = first; i < index; ++i)
        x += widthOf(i) + gap;
    const int high = height() / rows_;
    return {static_cast<int>(x), row * high, static_cast<int>(std::ceil(widthOf(index))), high};
}

int Stations::at(const QPoint& pos) const {
    for (int i = 0; i < words_.size(); ++i)
        if (wordRect(i).adjusted(-8, 0, 8, 0).contains(pos))
            return i;
    return -1;
}

void Stations::choose(int index) {
    if (index < 0 || index >= words_.size() || index == chosen_)
        return;
    setChosen(index);
    emit stationChosen(index);
}

void Stations::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const int high = height() / rows_;
    for (int last = inRow() - 1; !on_edge_ && last < words_.size() + inRow() - 1; last += inRow()) {
        const QRect r = wordRect(std::min(last, static_cast<int>(words_.size()) - 1));
        p.fillRect(0, r.bottom() - 8, r.right() + 1, 1, theme().faint);
    }
    for (int i = 0; i < words_.size(); ++i) {
        const QRect r = wordRect(i);
        const int rule = r.bottom() - 8;
        const int base = rule - 10;
        const bool on = i == chosen_;
        int x = r.left();
        if (!keys_.isEmpty())
            x += drawText(p, x, base, keys_[i], typeface(Type::Small), theme().dim) + kKeyGap;
        const QFont f = typeface(small_ ? Type::Small : Type::Work, on);
        const int room = r.right() + 1 - x;
        const int inset = std::max(0, (room - textWidth(words_[i], f)) / 2);
        drawElided(p, x + inset, base, room, words_[i], f,
                   on || i == hovered_ ? theme().bright : theme().text);
        if (on)
            drawPointer(p, {r.center().x() + 0.5, rule - 0.5}, Points::Up, 11, 7, theme().bright);
        else
            p.fillRect(r.center().x(), rule + 1, 1, 2, theme().faint);
    }
    if (hasFocus())
        drawFocusBrackets(p, wordRect(chosen_).adjusted(-5, high - 9 - 26, 5, -13));
}

void Stations::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        choose(at(event->pos()));
}

void Stations::mouseMoveEvent(QMouseEvent* event) {
    const int now = at(event->pos());
    if (now != hovered_) {
        hovered_ = now;
        setCursor(now >= 0 ? Qt::PointingHandCursor : Qt::ArrowCursor);
        update();
    }
}

void Stations::leaveEvent(QEvent*) {
    hovered_ = -1;
    update();
}

std::vector<PaintedPart> Stations::parts() {
    std::vector<PaintedPart> all;
    for (int i = 0; i < words_.size(); ++i)
        all.push_back({words_[i], keys_.value(i), wordRect(i), QAccessible::RadioButton,
                       i == chosen_, [this, i] { choose(i); }});
    return all;
}

bool Stations::claims(const QKeyEvent& key) const {
    return isArrow(key) || key.key() == Qt::Key_Home || key.key() == Qt::Key_End;
}

void Stations::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Right || event->key() == Qt::Key_Down)
        return choose(chosen_ + 1);
    if (event->key() == Qt::Key_Left || event->key() == Qt::Key_Up)
        return choose(chosen_ - 1);
    if (event->key() == Qt::Key_Home)
        return choose(0);
    if (event->key() == Qt::Key_End)
        return choose(static_cast<int>(words_.size()) - 1);
    QWidget::keyPressEvent(event);
}

} // namespace zelo::desk
