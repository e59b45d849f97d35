// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/crossfade/fade_player.h"

namespace zelo::desk {

namespace {
constexpr int kEvery_ms = 33;
constexpr int kStands_ms = 600; // each end is seen, before and after
} // namespace

FadePlayer::FadePlayer(CrossfadeModel& model, QObject* parent) : QObject(parent), model_(model) {
    timer_.setInterval(kEvery_ms);
    timer_.setTimerType(Qt::PreciseTimer);
    connect(&timer_, &QTimer::timeout, this, &FadePlayer::step);
    connect(&model_, &CrossfadeModel::modelChanged, this, [this] { // something else is done
        if (playing() && (!model_.picture() || !model_.looking()))
            stop();
    });
    connect(&model_, &CrossfadeModel::momentChanged, this, [this] { // the line is dragged
        if (playing() && !stepping_) {
            timer_.stop();
            clock_.invalidate();
            emit playingChanged();
        }
    });
}

double FadePlayer::whole_s() const {
    return model_.fade().time_s * slower_;
}

void FadePlayer::setSlower(int times) {
    slower_ = times;
    if (playing())
        start();
    emit playingChanged();
}

void FadePlayer::setLoops(bool on) {
    loops_ = on;
    emit playingChanged();
}

void FadePlayer::start() {
    if (!model_.picture())
        return model_.document().tell(tr("Nothing to play yet: choose two colours."));
    begun_ = false;
    stepping_ = true;
    model_.setMoment(0);
    stepping_ = false;
    clock_.start();
    timer_.start();
    emit playingChanged();
}

void FadePlayer::stop() {
    if (!playing())
        return;
    timer_.stop();
    clock_.invalidate();
    model_.letGo();
    emit playingChanged();
}

// The engine's own fade, or the moment for the screen; the line goes along.
void FadePlayer::step() {
    if (!model_.looking()) // something was done by hand: it is to be seen
        return stop();
    const double ms = static_cast<double>(clock_.elapsed()) - kStands_ms;
    if (ms < 0)
        return;
    if (!begun_) {
        begun_ = true;
        if (model_.onLamps())
            model_.fadeOnLamps(whole_s());
    }
    const double share = whole_s() > 0 ? ms / (1000 * whole_s()) : 1;
    stepping_ = true;
    model_.follow(std::min(1.0, share));
    stepping_ = false;
    if (ms <= 1000 * whole_s() + 2 * kStands_ms)
        return;
    if (loops_)
        return start();
    stop();
}

} // namespace zelo::desk
