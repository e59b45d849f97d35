// SPDX-License-Identifier: GPL-3.0-or-later
// A DMX frame: the slots of every universe in use, and where frames go.
#pragma once

#include <algorithm>
#include <array>
#include <cstdint>
#include <vector>

namespace zelo::light {

inline constexpr int kSlots = 512;
inline constexpr int kLastUniverse = 63999; // ANSI E1.31

struct UniverseSlots {
    std::uint16_t universe = 1; // 1..63999
    std::array<std::uint8_t, kSlots> values{};
    friend bool operator==(const UniverseSlots&, const UniverseSlots&) = default;
};

struct Frame {
    std::vector<UniverseSlots> universes; // by number, each once

    UniverseSlots& at(std::uint16_t universe) { // added in order when not there
        auto it = std::lower_bound(
            universes.begin(), universes.end(), universe,
            [](const UniverseSlots& u, std::uint16_t number) { return u.universe < number; });
        if (it == universes.end() || it->universe != universe) {
            it = universes.insert(it, UniverseSlots{});
            it->universe = universe;
        }
        return *it;
    }
    friend bool operator==(const Frame&, const Frame&) = default;
};

// Sockets, recorders and tests implement it.
class FrameSink {
public:
    virtual ~FrameSink() = default;
    virtual void send(const Frame& frame) = 0; // on the playback thread: must not block
};

} // namespace zelo::light
