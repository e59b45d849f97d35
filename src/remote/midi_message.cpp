// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/midi_message.h"

#include <algorithm>
#include <cmath>

namespace zelo::remote {

namespace {
constexpr int kOff = 0x80, kOn = 0x90, kController = 0xb0, kBend = 0xe0;
constexpr double kMost7 = 127, kMost14 = 16383;
constexpr int kFirstOfModes = 120; // controllers from here on are messages to all notes

std::uint8_t byte(int value) {
    return static_cast<std::uint8_t>(value);
}
} // namespace

std::optional<Moved> readMidi(std::span<const std::uint8_t> message, const std::string& device) {
    if (message.size() != 3 || message[1] > 127 || message[2] > 127)
        return std::nullopt;
    const int what = message[0] & 0xf0;
    Moved moved;
    moved.control = {Control::Kind::Level, message[0] & 0x0f, message[1], device};
    moved.value = message[2] / kMost7;
    if (what == kController && message[1] < kFirstOfModes)
        return moved;
    if (what == kBend) {
        moved.control.kind = Control::Kind::Bend;
        moved.control.number = 0;
        moved.value = (message[1] | message[2] << 7) / kMost14;
        return moved;
    }
    if (what == kOn || what == kOff) {
        moved.control.kind = Control::Kind::Key;
        moved.released = what == kOff || message[2] == 0;
        return moved;
    }
    return std::nullopt;
}

std::vector<std::uint8_t> midiFor(const Control& control, double value) {
    value = std::clamp(value, 0.0, 1.0);
    const int seven = static_cast<int>(std::lround(value * kMost7));
    switch (control.kind) {
    case Control::Kind::Level:
        return {byte(kController | control.channel), byte(control.number), byte(seven)};
    case Control::Kind::Bend: {
        const int fourteen = static_cast<int>(std::lround(value * kMost14));
        return {byte(kBend | control.channel), byte(fourteen & 0x7f), byte(fourteen >> 7)};
    }
    case Control::Kind::Key:
        return {byte(kOn | control.channel), byte(control.number), byte(seven)};
    case Control::Kind::Path:
        break;
    }
    return {};
}

int stepsOf(Turn turn, double value) {
    const int seven = static_cast<int>(std::lround(std::clamp(value, 0.0, 1.0) * kMost7));
    if (turn == Turn::Around64)
        return seven - 64;
    return seven < 64 ? seven : seven - 128;
}

Turn turnOf(double first) {
    const int seven = static_cast<int>(std::lround(std::clamp(first, 0.0, 1.0) * kMost7));
    return seven >= 48 && seven <= 80 ? Turn::Around64 : Turn::TwosComplement;
}

} // namespace zelo::remote
