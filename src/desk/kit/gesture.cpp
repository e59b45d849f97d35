// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/gesture.h"

#include <QDateTime>

namespace zelo::desk {

namespace {
constexpr long long kClose_ms = 600;
int g_last = 0; // no two gestures of the whole window share a number
} // namespace

int Gesture::begin() {
    last_ms_ = 0; // steps that follow are another
    return number_ = ++g_last;
}

int Gesture::step() {
    const long long now = QDateTime::currentMSecsSinceEpoch();
    if (now - last_ms_ > kClose_ms)
        begin();
    last_ms_ = now;
    return number_;
}

} // namespace zelo::desk
