// SPDX-License-Identifier: GPL-3.0-or-later
// OSC packets (Open Sound Control 1.0): what they move, and back. Messages alone and in bundles,
// which act at once whatever time they carry.
#pragma once

#include "remote/control.h"

#include <cstdint>
#include <span>
#include <vector>

namespace zelo::remote {

inline constexpr std::size_t kMostOscMessages = 64; // of a packet; more are left out

// The first number of each message (int, float, double, true, false); without any it is a key that
// is pressed. Messages of other kinds and what is not OSC give nothing.
std::vector<Moved> readOsc(std::span<const std::uint8_t> packet);

std::vector<std::uint8_t> oscFor(const std::string& path, float value);

} // namespace zelo::remote
