// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/levels.h"

#include <algorithm>
#include <cmath>

namespace zelo::light {

std::string settingText(const Channel& channel, std::uint32_t value) {
    for (const NamedRange& range : channel.named)
        if (value >= range.from && value <= range.to) {
            const double within =
                range.to > range.from ? (value - range.from) / double(range.to - range.from) : 0;
            const bool single =
                range.to - range.from < channel.most() / 8; // all of it does the same
            return single ? range.name : fmt::format("{} {:.0f} %", range.name, 100 * within);
        }
    return fmt::format("{:.0f} %", 100 * channel.shareOf(value));
}

void takeSettings(const Mode& mode, const ChannelValues& from, ChannelValues& to) {
    for (std::size_t i = 0; i < mode.channels.size(); ++i)
        if (mode.channels[i].role == Role::Other)
            to[i] = from[i];
}

ChannelValues homeValues(const Mode& mode) {
    ChannelValues values;
    for (const Channel& c : mode.channels)
        values.push_back(c.home);
    return values;
}

std::uint32_t channelValue(const Channel& channel, double drive) {
    if (!channel.ranges.empty()) {
        const auto nearest =
            std::min_element(channel.ranges.begin(), channel.ranges.end(),
                             [&](const SlotRange& a, const SlotRange& b) {
                                 return std::abs(a.setting - drive) < std::abs(b.setting - drive);
                             });
        return nearest->from + (nearest->to - nearest->from) / 2;
    }
    const double level = std::clamp(channel.response.level(drive), 0.0, 1.0);
    return channel.first +
           static_cast<std::uint32_t>(std::llround(level * (channel.end() - channel.first)));
}

double driveOf(const Channel& channel, double value) {
    if (!channel.ranges.empty()) {
        const double whole = std::round(value);
        for (const SlotRange& r : channel.ranges)
            if (whole >= r.from && whole <= r.to)
                return r.setting;
        return channel.ranges.front().setting;
    }
    const double first = channel.first;
    const double above = std::clamp<double>(value, first, channel.end()) - first;
    return channel.response.drive(
        channel.end() > channel.first ? above / (channel.end() - channel.first) : 0);
}

Drives drivesOf(const FixtureType& type, const Mode& mode, const ChannelValues& values) {
    ZELO_ASSERT(values.size() == mode.channels.size());
    Drives drives = type.ready(mode);
    double dimmer = 1;
    bool driven = false; // any emitter: its droop follows its own channel
    for (std::size_t i = 0; i < values.size(); ++i) {
        const Channel& c = mode.channels[i];
        driven |= c.role == Role::Part && c.part < type.emitters.size();
        if (c.role == Role::Dimmer)
            dimmer = driveOf(c, values[i]);
        else if (c.role == Role::Part && values[i] >= c.first && values[i] <= c.end())
            drives[c.part] = driveOf(c, values[i]);
    }
    if (driven && type.droops()) {
        drives.dim = dimmer;
        return drives;
    }
    return type.dimmed(drives, dimmer);
}

colour::Xyz xyzOf(const FixtureType& type, const Drives& drives, colour::Observer observer) {
    return colour::toXyz(spectrumOf(type, drives), observer);
}

colour::Spectrum spectrumOf(const FixtureType& type, const Drives& drives) {
    ZELO_ASSERT(drives.size() == type.partCount());
    colour::Grid sum{};
    const auto add = [&](const colour::Spectrum& s, double factor) {
        factor *= drives.dim;
        for (std::size_t i = 0; i < sum.size(); ++i)
            sum[i] += factor * s[i];
    };
    for (std::size_t e = 0; e < type.emitters.size(); ++e) {
        if (drives[e] == 0)
            continue;
        if (type.emitters[e].droop.empty())
            add(type.emitters[e].spectrum, drives[e]);
        else
            add(type.emitters[e].lightAt(drives[e]), 1);
    }
    for (std::size_t e = 0; e < type.engines.size(); ++e) {
        const std::size_t at = type.indexOf({PartKind::EngineLevel, e});
        if (drives[at] > 0)
            add(type.engines[e].lightOf(type.engines[e].uvOf(drives[at + 1], drives[at + 2])),
                drives[at]);
    }
    if (const auto through = filtersAt(type, drives))
        for (std::size_t i = 0; i < sum.size(); ++i)
            sum[i] *= (*through)[i];
    return colour::Spectrum(sum);
}

std::optional<colour::Spectrum> filtersAt(const FixtureType& type, const Drives& drives) {
    std::optional<colour::Spectrum> all;
    const auto take = [&](const colour::Spectrum& s) { all = all ? *all * s : s; };
    colour::Grid density{};
    bool flagged = false;
    for (std::size_t f = 0; f < type.flags.size(); ++f)
        if (const double position = drives[type.indexOf({PartKind::Flag, f})]; position > 0) {
            type.flags[f].addDensity(position, density);
            flagged = true;
        }
    if (flagged)
        take(transmittanceOf(colour::Spectrum(density)));
    for (std::size_t w = 0; w < type.wheels.size(); ++w)
        if (const auto s = type.wheels[w].transmittance(drives[type.indexOf({PartKind::Wheel, w})]))
            take(*s);
    return all;
}

void writeSlots(const Mode& mode, const ChannelValues& values, std::span<std::uint8_t> to) {
    ZELO_ASSERT(values.size() == mode.channels.size());
    for (std::size_t i = 0; i < values.size(); ++i) {
        const auto write = [&](const std::vector<int>& offsets) {
            for (std::size_t b = 0; b < offsets.size(); ++b)
                to[static_cast<std::size_t>(offsets[b] - 1)] =
                    static_cast<std::uint8_t>(values[i] >> (8 * (offsets.size() - 1 - b)));
        };
        write(mode.channels[i].offsets);
        for (const auto& cell : mode.channels[i].also)
            write(cell);
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
