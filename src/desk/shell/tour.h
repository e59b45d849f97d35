// SPDX-License-Identifier: GPL-3.0-or-later
// The tour of the first start: three steps that point at the real controls and go on when the
// person has done the thing. It covers nothing that a step needs, can be left at any time and taken
// up again where it was.
#pragma once

#include "desk/kit/setting.h"
#include "show/show.h"

#include <QPointer>
#include <QWidget>

namespace zelo::desk {

class Button;
class MainWindow;
class Document;

inline constexpr Setting<int> kTourStep{"start/tour_step", 0}; // done so far; 3: all

class Tour : public QWidget {
    Q_OBJECT
public:
    static constexpr int kSteps = 3;
    Tour(Document& document, MainWindow& window);
    void toggle(); // takes it up, from the beginning once it is through; or leaves it
    int step() const { return step_; }          // 0..2, while it is shown
    QWidget* target() const { return target_; } // what it points at now
    QString text() const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void timerEvent(QTimerEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override; // another size

private:
    class Mark; // brackets round what it points at
    void begin(int step);
    void leave();
    void aim();         // at what comes next in the step
    bool done() const;  // what the step asks for
    bool given() const; // one colour to all of a group
    Document& document_;
    MainWindow& window_;
    int step_ = 0;
    int timer_ = 0; // while it is shown
    QString words_;
    QPointer<QWidget> target_;
    QRect hole_;         // of the target, in the window
    show::HandPtr hand_; // when the step began
    std::size_t tried_ = 0;
    Button* leave_;
    Button* next_;
    Mark* mark_;
};

} // namespace zelo::desk
