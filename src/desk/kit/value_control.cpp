// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/value_control.h"

#include "desk/kit/draw.h"
#include "desk/kit/qt_text.h"

#include <QAccessible>
#include <QDateTime>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMouseEvent>
#include <algorithm>
#include <cmath>

namespace zelo::desk {

namespace {
constexpr qint64 kSameGestureMs =
    600; // wheel steps and key presses closer than this belong together
int g_gesture = 0;
} // namespace

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

void ValueControl::edit(double value, bool new_gesture) {
    const qint64 now = QDateTime::currentMSecsSinceEpoch();
    if (new_gesture && (gesture_ == 0 || now - last_step_ms_ > kSameGestureMs))
        gesture_ = ++g_gesture;
    last_step_ms_ = now;
    value = std::clamp(value, range_.least, range_.most);
    if (value == value_)
        return;
    setValue(value);
    emit valueEdited(value_, gesture_);
}

// Esc in the editor leaves it; it must not reach the window, where it puts down what is in hand.
// Enter takes the number; passed on to this control it would open the editor again.
bool ValueControl::eventFilter(QObject* watched, QEvent* event) {
    const bool press = event->type() == QEvent::KeyPress;
    if (watched != editor_ || (!press && event->type() != QEvent::ShortcutOverride))
        return QWidget::eventFilter(watched, event);
    const int key = static_cast<QKeyEvent*>(event)->key();
    const bool enter = key == Qt::Key_Return || key == Qt::Key_Enter;
    if (key != Qt::Key_Escape && !enter)
        return QWidget::eventFilter(watched, event);
    event->accept();
    if (press) {
        stopTyping(enter);
        setFocus();
    }
    return true;
}

bool ValueControl::event(QEvent* event) {
    // A figure typed on a number is for the number, not the key of a view.
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const QString text = key->text();
        if (key->modifiers() == Qt::NoModifier && text.size() == 1 &&
            (text[0].isDigit() || QStringLiteral("-.pxPX").contains(text[0]))) {
            event->accept();
            return true;
        }
    }
    if (event->type() == QEvent::HoverEnter || event->type() == QEvent::HoverLeave) {
        hovered_ = event->type() == QEvent::HoverEnter;
        update();
    }
    return QWidget::event(event);
}

void ValueControl::keyPressEvent(QKeyEvent* event) {
    const double step = stepFor(event->modifiers());
    switch (event->key()) {
    case Qt::Key_Up:
    case Qt::Key_Right:
        return edit(value_ + step, true);
    case Qt::Key_Down:
    case Qt::Key_Left:
        return edit(value_ - step, true);
    case Qt::Key_PageUp:
        return edit(value_ + 10 * range_.step, true);
    case Qt::Key_PageDown:
        return edit(value_ - 10 * range_.step, true);
    case Qt::Key_Home:
        return edit(range_.least, true);
    case Qt::Key_End:
        return edit(range_.most, true);
    case Qt::Key_Backspace:
        emit resetWanted();
        return;
    case Qt::Key_Return:
    case Qt::Key_Enter:
        return startTyping(numberText(value_, range_.decimals).remove(QChar(0x2009)));
    default:
        break;
    }
    const QString text = event->text();
    if (!(event->modifiers() & (Qt::ControlModifier | Qt::AltModifier)) && !text.isEmpty() &&
        (text[0].isDigit() || text[0] == '-' || text[0] == '.'))
        return startTyping(text);
    QWidget::keyPressEvent(event);
}

void ValueControl::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return QWidget::mousePressEvent(event);
    dragging_ = true;
    moved_ = false;
    pressed_ = event->pos();
    pressed_value_ = value_;
    gesture_ = ++g_gesture;
    const double under = valueAt(event->pos());
    if (std::isfinite(under))
        edit(under, false);
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
        return edit(under, false);
    const double pixels = std::isfinite(under) ? -way.y() : way.x() - way.y();
    edit(pressed_value_ + pixels / pixelsPerStep() * stepFor(event->modifiers()), false);
}

void ValueControl::mouseReleaseEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    dragging_ = false;
    if (!moved_ && !std::isfinite(valueAt(event->pos())))
        startTyping(numberText(value_, range_.decimals).remove(QChar(0x2009)));
    update();
}

void ValueControl::mouseDoubleClickEvent(QMouseEvent*) {
    stopTyping(false);
    emit resetWanted();
}

void ValueControl::wheelEvent(QWheelEvent* event) {
    const int turned = event->angleDelta().y() ? event->angleDelta().y() : event->angleDelta().x();
    edit(value_ + turned / 120.0 * stepFor(event->modifiers()), true);
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
    QString text = editor->text().trimmed();
    text.remove(QChar(0x2009)).replace(QChar(0x2212), '-').replace(',', '.');
    bool number = false;
    const double value = text.toDouble(&number);
    if (take && number && std::isfinite(value)) {
        gesture_ = ++g_gesture;
        edit(value, false);
    }
    update();
}

// --- NumberField -----------------------------------------------------------------------------

NumberField::NumberField(const QString& name, const QString& tip, const Range& range,
                         const QString& unit, QWidget* parent)
    : ValueControl(name, tip, range, parent) {
    setUnit(unit);
}

int NumberField::numberRight() const {
    const int unit_width = unit().isEmpty() ? 0 : textWidth(unit(), typeface(Type::Small)) + 5;
    return width() - unit_width - 4;
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
    drawText(p, right + 5, base, unit(), typeface(Type::Small), theme().dim);
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
