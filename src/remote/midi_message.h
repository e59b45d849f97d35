// SPDX-License-Identifier: GPL-3.0-or-later
// MIDI messages of faders, wheels and keys: bytes to what was moved, and back for motors and lamps
// (MIDI 1.0 detailed specification: control change, note on and off, pitch bend).
#pragma once

#include "remote/control.h"

#include <cstdint>
#include <optional>
#include <span>
#include <vector>

namespace zelo::remote {

// Nothing for any other message, and for one that is cut off.
std::optional<Moved> readMidi(std::span<const std::uint8_t> message, const std::string& device);

// Empty for a path. `value` 0..1.
std::vector<std::uint8_t> midiFor(const Control& control, double value);

// How a wheel says by how much it was turned, in seven bits.
enum class Turn {
    TwosComplement, // 1, 2… up; 127, 126… down
    Around64        // 65, 66… up; 63, 62… down
};
// Steps of a controller's value, 0..1 as readMidi gives it.
int stepsOf(Turn turn, double value);
// As the first value of a slow turn tells it.
Turn turnOf(double first);

} // namespace zelo::remote
