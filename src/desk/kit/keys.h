// SPDX-License-Identifier: GPL-3.0-or-later
// Whose a key is. The widget with the focus claims the keys that are its own (letters and figures
// in a field, arrows in a list, Enter on a button); shortcuts of the window see the rest. One
// policy for all widgets, Qt's and ours.
#pragma once

#include <QKeyEvent>
#include <QObject>

class QWidget;

namespace zelo::desk {

// What a widget of ours claims. Others are known by what they are.
class OwnKeys {
public:
    virtual bool claims(const QKeyEvent& key) const = 0;

protected:
    ~OwnKeys() = default;
};

bool isText(const QKeyEvent& key);  // it writes a sign: no Ctrl, Alt or Meta; the keypad does too
bool isArrow(const QKeyEvent& key); // with or without Shift and Ctrl, not with Alt
bool isEnter(const QKeyEvent& key);
bool claimedBy(const QWidget& focused, const QKeyEvent& key);

// Watches the application's keys while it lives.
class Keys : public QObject {
    Q_OBJECT
public:
    explicit Keys(QObject* parent);

signals:
    void altTapped(); // pressed and released, and nothing between

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    bool pressed(QWidget& focused, QKeyEvent& key);
    bool alt_alone_ = false;
};

} // namespace zelo::desk
