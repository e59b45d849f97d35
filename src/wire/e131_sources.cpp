// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/e131_sources.h"

#include <algorithm>

namespace zelo::wire {

std::optional<E131Sources::Values> E131Sources::changed(Universe& universe) {
    if (universe.sources.empty())
        return std::nullopt;
    std::uint8_t highest = 0;
    for (const auto& [cid, source] : universe.sources)
        highest = std::max(highest, source.priority);
    Values merged{};
    for (const auto& [cid, source] : universe.sources)
        for (std::size_t i = 0; source.priority == highest && i < merged.size(); ++i)
            merged[i] = std::max(merged[i], source.values[i]);
    if (universe.any && merged == universe.shown)
        return std::nullopt;
    universe.any = true;
    universe.shown = merged;
    return merged;
}

std::optional<E131Sources::Values> E131Sources::take(const DataPacket& packet, Time now) {
    if (packet.options & kPreview)
        return std::nullopt;
    if (!universes_.contains(packet.universe) && universes_.size() >= kMostUniverses)
        return std::nullopt;
    Universe& universe = universes_[packet.universe];
    std::erase_if(universe.sources, [&](const auto& s) { return now - s.second.heard > kSilent; });
    if (packet.options & kStreamTerminated) {
        universe.sources.erase(packet.cid);
        return changed(universe);
    }
    if (!universe.sources.contains(packet.cid) && universe.sources.size() >= kMostSources)
        return std::nullopt;
    Source& source = universe.sources[packet.cid];
    source.priority = packet.priority;
    source.values.fill(0);
    std::copy(packet.values.begin(), packet.values.end(), source.values.begin());
    source.heard = now;
    return changed(universe);
}

std::vector<std::pair<std::uint16_t, E131Sources::Values>> E131Sources::expire(Time now) {
    std::vector<std::pair<std::uint16_t, Values>> all;
    for (auto& [number, universe] : universes_) {
        const auto gone = std::erase_if(
            universe.sources, [&](const auto& s) { return now - s.second.heard > kSilent; });
        if (gone == 0)
            continue;
        if (const auto values = changed(universe))
            all.emplace_back(number, *values);
    }
    return all;
}

} // namespace zelo::wire
