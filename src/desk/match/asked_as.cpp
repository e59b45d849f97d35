// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/match/asked_as.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/text_field.h"
#include "desk/kit/value_control.h"
#include "desk/kit/watch.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr int kRow = 18;
constexpr int kFields = 146; // y of the numbers
constexpr int kCount = 8;

QString wordOf(int ask) {
    const QStringList words{QObject::tr("gel"),
                            QObject::tr("white: kelvin, tint"),
                            QObject::tr("x y"),
                            QObject::tr("u′ v′"),
                            QObject::tr("hue, saturation"),
                            QObject::tr("hex sRGB"),
                            QObject::tr("measured spectrum"),
                            QObject::tr("another lamp")};
    return words[ask];
}
} // namespace

AskedAs::AskedAs(FocusModel& focus, Asking& asking, QWidget* parent)
    : QWidget(parent), focus_(focus), asking_(asking),
      a_(new NumberField(tr("First coordinate"), tr("x, u′ or the hue in degrees"),
                         {0, 0.8, 0.001, 4}, {}, this)),
      b_(new NumberField(tr("Second coordinate"), tr("y, v′ or the saturation in %"),
                         {0, 0.9, 0.001, 4}, {}, this)),
      lamp_(new NumberField(tr("As this lamp shows"), tr("The number of the lamp"), {1, 9999, 1, 0},
                            {}, this)),
      hex_(new TextField(tr("Hex sRGB"), tr("Six hex digits: #f08040"), TextField::Esc::Restores,
                         this)) {
    setAccessibleName(tr("Asked for as"));
    setToolTip(tr(
        "In which way the colour is asked for (↑ ↓, Enter for a gel or a file): it stays the same "
        "colour"));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    hex_->setMaxLength(7);
    connect(a_, &NumberField::valueEdited, this, [this](double value, int gesture) {
        asking_.setAskedNumbers(value, b_->value(), gesture);
    });
    connect(b_, &NumberField::valueEdited, this, [this](double value, int gesture) {
        asking_.setAskedNumbers(a_->value(), value, gesture);
    });
    connect(lamp_, &NumberField::valueEdited, this, [this](double value) {
        lamp_->setValue(value);
        asking_.takeLamp(static_cast<int>(std::lround(value)));
    });
    connect(hex_, &QLineEdit::returnPressed, this, [this] {
        QString text = hex_->text().trimmed();
        if (!text.startsWith('#'))
            text.prepend('#');
        asking_.pick("srgb:" + fromQt(text));
    });
    watch(focus_, &FocusModel::rowsChanged, this, [this] { refresh(); });
    refresh();
}

void AskedAs::choose(int ask) {
    chosen_ = std::clamp(ask, 0, kCount - 1);
    const auto as = static_cast<Ask>(chosen_);
    if (as == Ask::Gel)
        emit bookWanted();
    else if (as == Ask::Measured)
        emit measuredWanted();
    else if (as != Ask::Lamp)
        asking_.askAs(as);
    else if (asking_.askedAs() != Ask::Uv)
        asking_.askAs(Ask::Uv);
    refresh();
}

void AskedAs::moveTo(int ask) {
    ask = std::clamp(ask, 0, kCount - 1);
    const auto as = static_cast<Ask>(ask);
    if (as != Ask::Gel && as != Ask::Measured)
        return choose(ask);
    chosen_ = ask;
    setAccessibleDescription(tr("%1: Enter chooses it").arg(wordOf(ask)));
    update();
}

void AskedAs::refresh() {
    // As another lamp: a chromaticity that stays with this choice until something else is asked.
    if (chosen_ != static_cast<int>(Ask::Lamp) || asking_.askedAs() != Ask::Uv)
        chosen_ = static_cast<int>(asking_.askedAs());
    const auto as = static_cast<Ask>(chosen_);
    const bool hue = as == Ask::HueSaturation;
    const bool pair = as == Ask::Xy || as == Ask::Uv || hue;
    a_->setVisible(pair);
    b_->setVisible(pair);
    hex_->setVisible(as == Ask::Hex);
    lamp_->setVisible(as == Ask::Lamp);
    a_->setRange(hue ? ValueControl::Range{0, 360, 1, 0} : ValueControl::Range{0, 0.8, 0.001, 4});
    b_->setRange(hue ? ValueControl::Range{0, 100, 1, 0} : ValueControl::Range{0, 0.9, 0.001, 4});
    a_->setUnit(hue ? tr("°") : as == Ask::Xy ? tr("x") : tr("u′"));
    b_->setUnit(hue ? tr("%") : as == Ask::Xy ? tr("y") : tr("v′"));
    if (const auto numbers = asking_.askedNumbers()) {
        a_->setValue(numbers->first);
        b_->setValue(numbers->second);
    }
    if (!hex_->hasFocus())
        hex_->setText(asking_.hex());
    setAccessibleDescription(wordOf(chosen_));
    update();
}

void AskedAs::mousePressEvent(QMouseEvent* event) {
    const int row = event->pos().y() / kRow;
    if (event->button() == Qt::LeftButton && row < kCount)
        choose(row);
}

std::vector<PaintedPart> AskedAs::parts() {
    std::vector<PaintedPart> all;
    for (int i = 0; i < kCount; ++i)
        all.push_back({wordOf(i),
                       {},
                       QRect(0, i * kRow, width(), kRow),
                       QAccessible::RadioButton,
                       i == chosen_,
                       [this, i] { choose(i); }});
    return all;
}

bool AskedAs::claims(const QKeyEvent& key) const {
    return isArrow(key) || isEnter(key);
}

void AskedAs::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down)
        return moveTo(chosen_ + (event->key() == Qt::Key_Down ? 1 : -1));
    const bool own = hasFocus(); // fields inside pass their Enter on
    if (own && isEnter(*event))
        return choose(chosen_);
    QWidget::keyPressEvent(event);
}

void AskedAs::resizeEvent(QResizeEvent*) {
    const int half = (width() - 4) / 2;
    a_->setGeometry(0, kFields, half, 24);
    b_->setGeometry(half + 4, kFields, half, 24);
    hex_->setGeometry(0, kFields, 110, 24);
    lamp_->setGeometry(0, kFields, 84, 24);
}

void AskedAs::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(0, 2, 1, kCount * kRow - 6, theme().faint);
    for (int i = 0; i < kCount; ++i) {
        const int y = i * kRow;
        const bool on = i == chosen_;
        p.fillRect(0, y + kRow / 2, 3, 1, theme().faint);
        if (on)
            drawPointer(p, {9.0, y + kRow / 2 + 0.5}, Points::Right, 9, 6, theme().bright);
        drawElided(p, 16, y + 13, width() - 16, wordOf(i), typeface(Type::Work, on),
                   on ? theme().bright : theme().text);
    }
    if (hasFocus())
        drawFocusBrackets(p, QRect(0, 0, width() - 2, kCount * kRow));
}

} // namespace zelo::desk
