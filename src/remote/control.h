// SPDX-License-Identifier: GPL-3.0-or-later
// One fader, knob, wheel or key outside the program, and what it says when it is moved.
#pragma once

#include <compare>
#include <cstddef>
#include <string>

namespace zelo::remote {

inline constexpr std::size_t kLongestName = 200; // of a device or a path, bytes

struct Control {
    enum class Kind {
        Level, // MIDI controller
        Bend,  // MIDI pitch bend: a fader of 14 bits
        Key,   // MIDI note
        Path   // OSC address
    };
    Kind kind = Kind::Level;
    int channel = 0;  // of MIDI, 0..15
    int number = 0;   // of the controller or the note, 0..127
    std::string name; // of the device, or the path
    auto operator<=>(const Control&) const = default;
};

// "controller 7, channel 1, of Twelve Faders"; "/desk/1".
std::string inWords(const Control& control);

struct Moved {
    Control control;
    double value = 0;      // 0..1; of a path whatever it sent
    bool released = false; // of a key
};

} // namespace zelo::remote
