// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/value_control.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"

#include <QAccessible>
#include <QApplication>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMouseEvent>
#include <algorithm>
#include <cmath>

namespace zelo::desk {

ValueControl::ValueControl(const QString& name, const QString& tip, const Range& range,
                           QWidget* parent)
    : QWidget(parent), range_(range) {
    setAccessibleName(name);
    setToolTip(tip);
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
    setCursor(Qt::SizeHorCursor);
}

void ValueControl::setValue(double value) {
    value = std::clamp(value, range_.least, range_.most);
    if (value == value_)
        return;
    value_ = value;
    setAccessibleDescription(numberText(value_, range_.decimals) + " " + unit_);
    if (QAccessible::isActive()) {
        QAccessibleValueChangeEvent changed(this, value_);
        QAccessible::updateAccessibility(&changed);
    }
    update();
}

void ValueControl::setRange(const Range& range) {
    range_ = range;
    setValue(std::clamp(value_, range.least, range.most));
    update();
}

void ValueControl::setUnit(const QString& unit) {
    unit_ = unit;
    update();
}

double ValueControl::valueAt(const QPoint&) const {
    return NAN;
}

double ValueControl::stepFor(Qt::KeyboardModifiers modifiers) const {
    return range_.step * (modifiers & Qt::ShiftModifier     ? 0.1
                          : modifiers & Qt::ControlModifier ? 10
                                                            : 1);
}

void ValueControl::take(double value) {
    gesture_.begin();
    edit(value);
}

void ValueControl::step(double value) {
    gesture_.step();
    edit(value);
}

void ValueControl::edit(double value) {
    value = std::clamp(value, range_.least, range_.most);
    if (value == value_)
        return;
    setValue(value);
    emit valueEdited(value_, gesture_.now());
}

// Esc in the editor leaves it; it must not reach the window, where it puts down what is in hand.
// Enter takes the number; passed on to this control it would open the editor again. A second press
// where the first began the typing is a double press on the number.
bool ValueControl::eventFilter(QObject* watched, QEvent* event) {
    if (watched != editor_)
        return QWidget::eventFilter(watched, event);
    if (event->type() == QEvent::MouseButtonDblClick && typing_since_.isValid() &&
        typing_since_.elapsed() < 2 * QApplication::doubleClickInterval()) {
        stopTyping(false);
        setFocus();
        emit resetWanted();
        return true;
    }
    if (event->type() != QEvent::KeyPress)
        return QWidget::eventFilter(watched, event);
    const auto& key = *static_cast<QKeyEvent*>(event);
    if (key.key() != Qt::Key_Escape && !isEnter(key))
        return QWidget::eventFilter(watched, event);
    event->accept();
    stopTyping(isEnter(key));
    setFocus();
    return true;
}

namespace {
bool beginsNumber(const QKeyEvent& key) {
    return isText(key) && (key.text()[0].isDigit() || QStringLiteral("+-−.,").contains(key.text()));
}
} // namespace

bool ValueControl::claims(const QKeyEvent& key) const {
    switch (key.key()) {
    case Qt::Key_Home:
    case Qt::Key_End:
    case Qt::Key_PageUp:
    case Qt::Key_PageDown:
    case Qt::Key_Backspace:
        return true;
    default:
        return beginsNumber(key) || isArrow(key) || isEnter(key);
    }
}

bool ValueControl::event(QEvent* event) {
    if (event->type() == QEvent::HoverEnter || event->type() == QEvent::HoverLeave) {
        hovered_ = event->type() == QEvent::HoverEnter;
        update();
    }
    return QWidget::event(event);
}

void ValueControl::keyPressEvent(QKeyEvent* event) {
    const double by = stepFor(event->modifiers());
    switch (event->key()) {
    case Qt::Key_Up:
    case Qt::Key_Right:
        return step(value_ + by);
    case Qt::Key_Down:
    case Qt::Key_Left:
        return step(value_ - by);
    case Qt::Key_PageUp:
        return step(value_ + 10 * range_.step);
    case Qt::Key_PageDown:
        return step(value_ - 10 * range_.step);
    case Qt::Key_Home:
        return step(range_.least);
    case Qt::Key_End:
        return step(range_.most);
    case Qt::Key_Backspace:
        emit resetWanted();
        return;
    case Qt::Key_Return:
    case Qt::Key_Enter:
        return startTyping(numberText(value_, range_.decimals).remove(QChar(0x2009)));
    default:
        break;
    }
    if (beginsNumber(*event))
        return startTyping(event->text());
    QWidget::keyPressEvent(event);
}

void ValueControl::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return QWidget::mousePressEvent(event);
    dragging_ = true;
    moved_ = false;
    pressed_ = event->pos();
    pressed_value_ = value_;
    gesture_.begin();
    const double under = valueAt(event->pos());
    if (std::isfinite(under))
        edit(under);
    update();
}

void ValueControl::mouseMoveEvent(QMouseEvent* event) {
    if (!dragging_)
        return;
    const QPoint way = event->pos() - pressed_;
    if (!moved_ && way.manhattanLength() < 3)
        return;
    moved_ = true;
    const double under = valueAt(event->pos());
    if (std::isfinite(under) && !(event->modifiers() & (Qt::ShiftModifier | Qt::ControlModifier)))
        return edit(under);
    const double pixels = std::isfinite(under) ? -way.y() : way.x() - way.y();
    edit(pressed_value_ + pixels / pixelsPerStep() * stepFor(event->modifiers()));
}

void ValueControl::mouseReleaseEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    dragging_ = false;
    if (!moved_ && !std::isfinite(valueAt(event->pos()))) {
        startTyping(numberText(value_, range_.decimals).remove(QChar(0x2009)));
        typing_since_.start();
    }
    update();
}

void ValueControl::mouseDoubleClickEvent(QMouseEvent*) {
    stopTyping(false);
    emit resetWanted();
}

void ValueControl::wheelEvent(QWheelEvent* event) {
    const int turned = event->angleDelta().y() ? event->angleDelta().y() : event->angleDelta().x();
    step(value_ + turned / 120.0 * stepFor(event->modifiers()));
    event->accept();
}

void ValueControl::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void ValueControl::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

void ValueControl::startTyping(const QString& first) {
    if (editor_)
        return;
    typing_since_.invalidate();
    editor_ = new QLineEdit(first, this);
    editor_->setAccessibleName(accessibleName());
    editor_->setToolTip(toolTip());
    editor_->setFrame(false);
    editor_->setAlignment(Qt::AlignRight);
    editor_->setFont(typeface(Type::Work));
    editor_->setGeometry(editorRect());
    QPalette p = palette();
    p.setColor(QPalette::Base, theme().well);
    p.setColor(QPalette::Text, theme().bright);
    editor_->setPalette(p);
    editor_->show();
    editor_->setFocus();
    if (first.size() > 1)
        editor_->selectAll();
    connect(editor_, &QLineEdit::editingFinished, this, [this] { stopTyping(true); });
    editor_->installEventFilter(this);
    update();
}

void ValueControl::stopTyping(bool take) {
    if (!editor_)
        return;
    QLineEdit* editor = editor_;
    editor_ = nullptr;
    editor->hide();
    editor->deleteLater();
    typing_since_.invalidate();
    if (const auto value = numberIn(editor->text()); take && value)
        this->take(*value);
    update();
}

// --- NumberField -----------------------------------------------------------------------------

NumberField::NumberField(const QString& name, const QString& tip, const Range& range,
                         const QString& unit, QWidget* parent)
    : ValueControl(name, tip, range, parent) {
    setUnit(unit);
}

int NumberField::numberRight() const {
    constexpr int kNumber = 48; // keeps its room
    const int unit_width = unit().isEmpty() ? 0 : textWidth(unit(), typeface(Type::Small)) + 5;
    return std::max(width() - unit_width - 4, std::min(kNumber, width() - 4));
}

QRect NumberField::editorRect() const {
    return {2, 2, numberRight(), height() - 4};
}

void NumberField::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const int base = height() / 2 + 5;
    const int right = numberRight();
    if (!typing()) {
        const QColor& c = isEnabled() ? theme().bright : theme().faint;
        const int w = drawTextRight(p, right, base, numberText(value(), range().decimals),
                                    typeface(Type::Work), c);
        if (isEnabled() && hovered())
            p.fillRect(right - std::max(w, 28), base + 4, std::max(w, 28), 1, theme().rule);
        else if (isEnabled())
            drawDotted(p, right - std::max(w, 28), right, base + 4, theme().rule);
    }
    drawElided(p, right + 5, base, width() - right - 5, unit(), typeface(Type::Small), theme().dim);
    if (hasFocus())
        drawFocusBrackets(p, QRect(right - 46, base - 16, 50, 24));
}

// --- ValueSlider -----------------------------------------------------------------------------

double ValueSlider::valueAt(const QPoint& pos) const {
    const double part = std::clamp((pos.x() - 6.0) / (width() - 12.0), 0.0, 1.0);
    return range().least + part * (range().most - range().least);
}

void ValueSlider::paintEvent(QPaintEvent*) {
    QPainter p(this);
    const int y = height() - 9;
    const int left = 6;
    const int right = width() - 6;
    const double part = (value() - range().least) / (range().most - range().least);
    const double x = left + part * (right - left);
    p.fillRect(left, y, right - left + 1, 1, theme().faint);
    for (int i = 0; i <= 10; ++i)
        p.fillRect(left + i * (right - left) / 10, y + 1, 1, i % 5 ? 3 : 6, theme().faint);
    p.fillRect(QRectF(left, y - 1, x - left, 2), theme().text);
    drawPointer(p, {x, y - 1.0}, Points::Down, 11, 8, theme().bright);
    if (hasFocus())
        drawFocusBrackets(p, QRect(0, y - 14, width(), 24));
}

} // namespace zelo::desk
