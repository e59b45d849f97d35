// SPDX-License-Identifier: GPL-3.0-or-later
// What every number on the screen can do: type it, drag it, wheel it (Shift fine, Ctrl coarse),
// arrow keys, Home and End for the limits, double-click to reset. Sub-classes paint.
#pragma once

#include "desk/kit/gesture.h"
#include "desk/kit/keys.h"

#include <QElapsedTimer>
#include <QWidget>

class QLineEdit;

namespace zelo::desk {

class ValueControl : public QWidget, public OwnKeys {
    Q_OBJECT
public:
    struct Range {
        double least = 0;
        double most = 100;
        double step = 1; // Shift: a tenth, Ctrl: ten times
        int decimals = 0;
    };
    ValueControl(const QString& name, const QString& tip, const Range& range, QWidget* parent);

    double value() const { return value_; }
    void setValue(double value); // without a signal
    void setRange(const Range& range);
    const Range& range() const { return range_; }
    void setUnit(const QString& unit);
    const QString& unit() const { return unit_; }
    void take(double value); // as if it had been typed
    bool typing() const { return editor_ != nullptr; }
    bool claims(const QKeyEvent& key) const override;

signals:
    // One gesture (a drag, a burst of the wheel) has one number, so it can be one undo step.
    void valueEdited(double value, int gesture);
    void resetWanted();

protected:
    virtual QRect editorRect() const { return rect(); }
    // The value under the pointer; NaN where a drag is relative (then `dragStart` + pixels).
    virtual double valueAt(const QPoint& pos) const;
    virtual double pixelsPerStep() const { return 3; }
    bool dragging() const { return dragging_; }
    bool hovered() const { return hovered_; }

    bool event(QEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    void edit(double value); // in the gesture that goes on
    void step(double value); // by a key or the wheel
    void startTyping(const QString& first);
    void stopTyping(bool take);
    double stepFor(Qt::KeyboardModifiers modifiers) const;

    Range range_;
    double value_ = 0;
    QString unit_;
    QLineEdit* editor_ = nullptr;
    bool dragging_ = false;
    bool moved_ = false;
    bool hovered_ = false;
    QPoint pressed_;
    double pressed_value_ = 0;
    Gesture gesture_;
    QElapsedTimer typing_since_; // of the press that began it
};

// A number alone: right aligned, a dotted line under it, its unit behind it.
class NumberField : public ValueControl {
    Q_OBJECT
public:
    NumberField(const QString& name, const QString& tip, const Range& range, const QString& unit,
                QWidget* parent);
    QSize sizeHint() const override { return {90, 24}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    QRect editorRect() const override;

private:
    int numberRight() const;
};

// A ruled scale with a pointer standing on it.
class ValueSlider : public ValueControl {
    Q_OBJECT
public:
    using ValueControl::ValueControl;
    QSize sizeHint() const override { return {200, 24}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    double valueAt(const QPoint& pos) const override;
};

} // namespace zelo::desk
