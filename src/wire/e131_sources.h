// SPDX-License-Identifier: GPL-3.0-or-later
// Which sources a receiver of E1.31 follows (§6.2.3 and §6.2.6): of a universe the sources of the
// highest priority, and where there are several of that one, the highest value of each slot. A
// source that says that it ends, or is silent for 2.5 seconds, gives way; with none left the last
// values stay. Previews are for other screens. Pure: the time is passed in.
#pragma once

#include "wire/e131.h"

#include <chrono>
#include <map>
#include <optional>

namespace zelo::wire {

class E131Sources {
public:
    using Time = std::chrono::steady_clock::time_point;
    using Values = std::array<std::uint8_t, light::kSlots>;

    // What the universe shows after this packet; nothing where it changes nothing there.
    std::optional<Values> take(const DataPacket& packet, Time now);
    // Universes of which sources fell silent, and what they show now.
    std::vector<std::pair<std::uint16_t, Values>> expire(Time now);

    static constexpr std::chrono::milliseconds kSilent{2500};
    static constexpr std::size_t kMostSources = 32; // of a universe; hostile ones invent more
    static constexpr std::size_t kMostUniverses = 1024;

private:
    struct Source {
        std::uint8_t priority = 100;
        Values values{};
        Time heard;
    };
    struct Universe {
        std::map<Cid, Source> sources;
        Values shown{};
        bool any = false; // something was shown
    };
    static std::optional<Values> changed(Universe& universe);
    std::map<std::uint16_t, Universe> universes_;
};

} // namespace zelo::wire
