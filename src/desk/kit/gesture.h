// SPDX-License-Identifier: GPL-3.0-or-later
// Numbers for gestures, so that each is one step to undo: a drag has one number from press to
// release; turns of the wheel and presses of a key that follow closely share one.
#pragma once

namespace zelo::desk {

class Gesture {
public:
    int begin();                        // a drag, a number that was typed
    int step();                         // a turn or a press: the one before, when it was just now
    int now() const { return number_; } // 0 before the first

private:
    int number_ = 0;
    long long last_ms_ = 0;
};

} // namespace zelo::desk
