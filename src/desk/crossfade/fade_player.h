// SPDX-License-Identifier: GPL-3.0-or-later
// Plays the crossfade in its time, slower, or over and over: on the screen moment by moment, or on
// the lamps by the engine itself, on the very ways that cues would take.
#pragma once

#include "desk/crossfade/crossfade_model.h"

#include <QElapsedTimer>
#include <QTimer>

namespace zelo::desk {

class FadePlayer : public QObject {
    Q_OBJECT
public:
    FadePlayer(CrossfadeModel& model, QObject* parent);
    bool playing() const { return clock_.isValid(); }
    void start();
    void stop(); // the lamps show what they do again
    void toggle() { playing() ? stop() : start(); }
    int slower() const { return slower_; } // times
    void setSlower(int times);
    bool loops() const { return loops_; }
    void setLoops(bool on);

signals:
    void playingChanged();

private:
    void step();
    double whole_s() const; // of one run
    CrossfadeModel& model_;
    QTimer timer_;
    QElapsedTimer clock_; // of the run; not valid while nothing plays
    bool begun_ = false;  // the lamps are on their way
    bool stepping_ = false;
    bool loops_ = false;
    int slower_ = 1;
};

} // namespace zelo::desk
