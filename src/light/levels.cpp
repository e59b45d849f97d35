// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/levels.h"

#include <algorithm>
#include <cmath>

namespace zelo::light {

ChannelValues homeValues(const Mode& mode) {
    ChannelValues values;
    for (const Channel& c : mode.channels)
        values.push_back(c.home);
    return values;
}

std::uint32_t nearestValue(const Channel& channel, double drive) {
    const double level = std::clamp(channel.response.level(drive), 0.0, 1.0);
    return static_cast<std::uint32_t>(std::llround(level * channel.most()));
}

double driveOf(const Channel& channel, std::uint32_t value) {
    return channel.response.drive(static_cast<double>(std::min(value, channel.most())) /
                                  channel.most());
}

Drives drivesOf(const FixtureType& type, const Mode& mode, const ChannelValues& values) {
    ZELO_ASSERT(values.size() == mode.channels.size());
    Drives drives(type.emitters.size());
    double dimmer = 1;
    for (std::size_t i = 0; i < values.size(); ++i) {
        const Channel& c = mode.channels[i];
        if (c.role == Role::Emitter)
            drives[c.emitter] = driveOf(c, values[i]);
        else if (c.role == Role::Dimmer)
            dimmer = driveOf(c, values[i]);
    }
    return drives.scaled(dimmer);
}

colour::Xyz xyzOf(const FixtureType& type, const Drives& drives, colour::Observer observer) {
    return colour::toXyz(spectrumOf(type, drives), observer);
}

colour::Spectrum spectrumOf(const FixtureType& type, const Drives& drives) {
    ZELO_ASSERT(drives.size() == type.emitters.size());
    colour::Grid sum{};
    for (std::size_t e = 0; e < drives.size(); ++e) {
        if (drives[e] == 0)
            continue;
        const auto& s = type.emitters[e].spectrum.values();
        for (std::size_t i = 0; i < sum.size(); ++i)
            sum[i] += drives[e] * s[i];
    }
    return colour::Spectrum(sum);
}

void writeSlots(const Mode& mode, const ChannelValues& values, std::span<std::uint8_t> to) {
    ZELO_ASSERT(values.size() == mode.channels.size());
    for (std::size_t i = 0; i < values.size(); ++i) {
        const auto& offsets = mode.channels[i].offsets;
        for (std::size_t b = 0; b < offsets.size(); ++b)
            to[static_cast<std::size_t>(offsets[b] - 1)] =
                static_cast<std::uint8_t>(values[i] >> (8 * (offsets.size() - 1 - b)));
    }
}

ChannelValues readSlots(const Mode& mode, std::span<const std::uint8_t> from) {
    ChannelValues values;
    for (const Channel& c : mode.channels) {
        std::uint32_t value = 0;
        for (const int offset : c.offsets)
            value = value << 8 | from[static_cast<std::size_t>(offset - 1)];
        values.push_back(value);
    }
    return values;
}

} // namespace zelo::light
