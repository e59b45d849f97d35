// SPDX-License-Identifier: GPL-3.0-or-later
// ANSI E1.31-2018 (sACN) data packets: bytes to and from values. Offsets and constants are those of
// the standard; docs/wire.md has the layout. Pure: no sockets, no clock.
#pragma once

#include "base/result.h"
#include "light/frame.h"

#include <array>
#include <cstddef>
#include <cstdint>
#include <span>
#include <string>
#include <vector>

namespace zelo::wire {

inline constexpr std::uint16_t kE131Port = 5568;
inline constexpr std::size_t kE131Header = 126; // bytes before the first slot
inline constexpr std::uint8_t kStreamTerminated = 0x40;
inline constexpr std::uint8_t kPreview = 0x80;
inline constexpr std::uint16_t kDiscoveryUniverse = 64214;

using Cid = std::array<std::uint8_t, 16>; // who sends: one UUID for each component

struct DataPacket {
    Cid cid{};
    std::string source_name; // at most 63 bytes of UTF-8
    std::uint8_t priority = 100;
    std::uint16_t sync_universe = 0;
    std::uint8_t sequence = 0;
    std::uint8_t options = 0;
    std::uint16_t universe = 1;
    std::vector<std::uint8_t> values; // 0..512, behind start code 0
    friend bool operator==(const DataPacket&, const DataPacket&) = default;
};

// Writes the packet into `to`, which must hold kE131Header + slots.size() bytes; returns its size.
// Cuts the name at a whole UTF-8 character. Allocates nothing.
std::size_t encode(const DataPacket& packet, std::span<std::uint8_t> to);
std::vector<std::uint8_t> encoded(const DataPacket& packet);

// Truncated, BadSyntax (not E1.31, lengths that disagree), BadValue (universe 0 or over 63999), or
// Unsupported (another start code, a sync or discovery packet); `where` names the offset.
Result<DataPacket> decode(std::span<const std::uint8_t> bytes);

// Universe synchronisation (§6.3): data that names this universe is shown when it comes.
struct SyncPacket {
    Cid cid{};
    std::uint8_t sequence = 0;
    std::uint16_t universe = 1;
    friend bool operator==(const SyncPacket&, const SyncPacket&) = default;
};
inline constexpr std::size_t kSyncBytes = 49;
std::array<std::uint8_t, kSyncBytes> encoded(const SyncPacket& packet);
Result<SyncPacket> decodeSync(std::span<const std::uint8_t> bytes);

// Universe discovery (§8): what a source sends, every ten seconds, in pages of 512 universes.
struct DiscoveryPacket {
    Cid cid{};
    std::string source_name;
    std::uint8_t page = 0, last_page = 0;
    std::vector<std::uint16_t> universes; // growing, at most kUniversesPerPage
    friend bool operator==(const DiscoveryPacket&, const DiscoveryPacket&) = default;
};
inline constexpr std::size_t kUniversesPerPage = 512;
std::vector<std::uint8_t> encoded(const DiscoveryPacket& packet);
Result<DiscoveryPacket> decodeDiscovery(std::span<const std::uint8_t> bytes);

// Of two sequence numbers in a row, whether the later packet must be dropped (§6.7.2 of E1.31).
constexpr bool outOfSequence(std::uint8_t last, std::uint8_t next) {
    const auto step = static_cast<std::int8_t>(next - last);
    return step <= 0 && step > -20;
}

} // namespace zelo::wire
