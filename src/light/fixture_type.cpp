// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/fixture_type.h"

#include "base/text.h"

#include <algorithm>

namespace zelo::light {

colour::Spectrum Emitter::lightAt(double drive) const {
    const double d = std::clamp(drive, 0.0, 1.0);
    const colour::Spectrum* below = nullptr;
    double from = 0;
    for (std::size_t i = 0; i <= droop.size(); ++i) {
        const bool full = i == droop.size();
        const double to = full ? 1 : droop[i].drive;
        const auto& s = full ? spectrum : droop[i].spectrum;
        if (d <= to) {
            const double part = to > from ? (d - from) / (to - from) : 1;
            return below ? below->scaled(1 - part) + s.scaled(part) : s.scaled(part);
        }
        below = &s;
        from = to;
    }
    return spectrum;
}

std::optional<std::size_t> Mode::dimmer() const {
    for (std::size_t i = 0; i < channels.size(); ++i)
        if (channels[i].role == Role::Dimmer)
            return i;
    return std::nullopt;
}

std::vector<std::size_t> Mode::settings() const {
    std::vector<std::size_t> all;
    for (std::size_t i = 0; i < channels.size(); ++i)
        if (channels[i].role == Role::Other)
            all.push_back(i);
    return all;
}

std::optional<std::size_t> Mode::channelOf(std::size_t part) const {
    for (std::size_t i = 0; i < channels.size(); ++i)
        if (channels[i].role == Role::Part && channels[i].part == part)
            return i;
    return std::nullopt;
}

const Mode* FixtureType::mode(std::string_view mode_name) const {
    for (const Mode& m : modes)
        if (mode_name.empty() || m.name == mode_name)
            return &m;
    return nullptr;
}

Part FixtureType::part(std::size_t i) const {
    if (i < emitters.size())
        return {PartKind::Emitter, i};
    i -= emitters.size();
    if (i < flags.size())
        return {PartKind::Flag, i};
    i -= flags.size();
    if (i < wheels.size())
        return {PartKind::Wheel, i};
    i -= wheels.size();
    ZELO_ASSERT(i < 3 * engines.size());
    constexpr PartKind kOfEngine[] = {PartKind::EngineLevel, PartKind::EngineFirst,
                                      PartKind::EngineSecond};
    return {kOfEngine[i % 3], i / 3};
}

std::size_t FixtureType::indexOf(const Part& p) const {
    switch (p.kind) {
    case PartKind::Emitter:
        return p.index;
    case PartKind::Flag:
        return emitters.size() + p.index;
    case PartKind::Wheel:
        return emitters.size() + flags.size() + p.index;
    default:
        break;
    }
    const std::size_t first = emitters.size() + flags.size() + wheels.size() + 3 * p.index;
    return first + (p.kind == PartKind::EngineLevel ? 0 : p.kind == PartKind::EngineFirst ? 1 : 2);
}

std::string FixtureType::partName(std::size_t i) const {
    const Part p = part(i);
    switch (p.kind) {
    case PartKind::Emitter:
        return emitters[p.index].name;
    case PartKind::Flag:
        return flags[p.index].name;
    case PartKind::Wheel:
        return wheels[p.index].name;
    case PartKind::EngineLevel:
        return engines[p.index].name;
    case PartKind::EngineFirst:
        return engines[p.index].first.name;
    case PartKind::EngineSecond:
        break;
    }
    return engines[p.index].second.name;
}

std::optional<std::size_t> FixtureType::partNamed(std::string_view wanted) const {
    for (std::size_t i = 0; i < partCount(); ++i)
        if (lowered(partName(i)) == lowered(wanted))
            return i;
    return std::nullopt;
}

Drives FixtureType::rest() const {
    Drives drives(partCount());
    for (std::size_t w = 0; w < wheels.size(); ++w)
        drives[indexOf({PartKind::Wheel, w})] = wheels[w].rest();
    for (std::size_t e = 0; e < engines.size(); ++e) {
        const auto white = engines[e].whiteSetting();
        drives[indexOf({PartKind::EngineFirst, e})] = white.first;
        drives[indexOf({PartKind::EngineSecond, e})] = white.second;
    }
    return drives;
}

Drives FixtureType::ready(const Mode& m) const {
    Drives drives = rest();
    for (std::size_t e = 0; e < emitters.size(); ++e)
        if (emitters[e].source)
            drives[e] = 1;
    for (const Channel& c : m.channels)
        if (c.role == Role::Part && part(c.part).kind == PartKind::EngineFirst)
            drives[indexOf({PartKind::EngineLevel, part(c.part).index})] = 1;
    return drives;
}

bool FixtureType::lamp(std::size_t i) const {
    const PartKind kind = part(i).kind;
    return kind == PartKind::Emitter || kind == PartKind::EngineLevel;
}

Drives FixtureType::dimmed(const Drives& drives, double factor) const {
    ZELO_ASSERT(drives.size() == partCount());
    Drives out = drives;
    for (std::size_t i = 0; i < emitters.size(); ++i)
        out[i] *= factor;
    for (std::size_t e = 0; e < engines.size(); ++e)
        out[indexOf({PartKind::EngineLevel, e})] *= factor;
    return out;
}

bool FixtureType::droops() const {
    return std::any_of(emitters.begin(), emitters.end(),
                       [](const Emitter& e) { return !e.droop.empty(); });
}

} // namespace zelo::light
