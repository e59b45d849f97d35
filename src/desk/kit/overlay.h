// SPDX-License-Identifier: GPL-3.0-or-later
// What lies over the window or over a view and goes by Esc: the newest first, before anything that
// is in hand is put down. The keyboard goes back to where it was.
#pragma once

#include <QPointer>
#include <QWidget>

namespace zelo::desk {

class Overlay : public QWidget {
    Q_OBJECT
public:
    explicit Overlay(QWidget* under); // covers all of it

    virtual void open(); // over `under`, with the keyboard
    void toggle() { isVisible() ? hide() : open(); }

    static Overlay* topmost(const QWidget& window); // the one opened last; null when none is there

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    QPointer<QWidget> focus_before_;
    int opened_ = 0;
};

} // namespace zelo::desk
