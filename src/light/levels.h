// SPDX-License-Identifier: GPL-3.0-or-later
// Between channel values, drives and light: the chain of design §4.
#pragma once

#include "light/fixture_type.h"

#include <span>

namespace zelo::light {

// One value per channel of a mode, in the order of Mode::channels.
using ChannelValues = std::vector<std::uint32_t>;

// What a value of a channel that is neither intensity nor colour does, by its named ranges:
// "Open", "Strobe 40 %"; without such a range its share.
std::string settingText(const Channel& channel, std::uint32_t value);

ChannelValues homeValues(const Mode& mode);
// The values of what is neither intensity nor colour, as they are there.
void takeSettings(const Mode& mode, const ChannelValues& from, ChannelValues& to);

// Value of a channel nearest to a drive, alone. (Colours are rounded together: mix/rounding.h.) Of
// a wheel in steps the middle of the nearest one.
std::uint32_t channelValue(const Channel& channel, double drive);
double driveOf(const Channel& channel, double value); // also of values on the way

// Drives as they leave the fixture: lamps times the dimmer, the other parts as they are set.
// Emitters without a channel in this mode stay dark, sources burn. Requires one value per channel.
Drives drivesOf(const FixtureType& type, const Mode& mode, const ChannelValues& values);

// What parts so set give: Σ emitter_i(drive_i) and the engines' light, through the flags and
// wheels.
colour::Xyz xyzOf(const FixtureType& type, const Drives& drives,
                  colour::Observer observer = colour::Observer::Cie1931_2);
colour::Spectrum spectrumOf(const FixtureType& type, const Drives& drives);

// What the flags and wheels so set let through, all together; nothing when all are open.
std::optional<colour::Spectrum> filtersAt(const FixtureType& type, const Drives& drives);

// Channel values to and from the slots of a universe. `to` and `from` begin at the fixture's
// address and hold at least `footprint` bytes.
void writeSlots(const Mode& mode, const ChannelValues& values, std::span<std::uint8_t> to);
ChannelValues readSlots(const Mode& mode, std::span<const std::uint8_t> from);

} // namespace zelo::light
