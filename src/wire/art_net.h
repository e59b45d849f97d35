// SPDX-License-Identifier: GPL-3.0-or-later
// Art-Net 4 packets that we send and take: levels, poll and reply, the table of RDM devices of a
// port, and RDM messages; docs/wire.md has the layout. Pure: no sockets, no clock.
#pragma once

#include "base/result.h"
#include "wire/rdm.h"

#include <array>
#include <span>
#include <variant>

namespace zelo::wire {

inline constexpr std::uint16_t kArtNetPort = 6454;
inline constexpr std::uint16_t kLastPortAddress = 32767; // 15 bits: net, sub-net, universe

struct ArtDmx {
    std::uint8_t sequence = 0; // 1..255; 0 = not used
    std::uint16_t port_address = 0;
    std::vector<std::uint8_t> values; // 2..512, an even number
    friend bool operator==(const ArtDmx&, const ArtDmx&) = default;
};

struct ArtPoll {
    std::uint8_t flags = 0;
    // With kTargeted only nodes with a port from `bottom` to `top` answer.
    std::uint16_t top = 0, bottom = 0;
    static constexpr std::uint8_t kTargeted = 0x20;
    friend bool operator==(const ArtPoll&, const ArtPoll&) = default;
};

struct ArtPollReply {
    std::array<std::uint8_t, 4> ip{};
    std::string name;            // at most 17 bytes
    std::string long_name;       // at most 63
    std::uint8_t bind_index = 1; // a node with more than four ports answers once for each four
    std::vector<std::uint16_t> outputs; // port addresses that it plays, at most 4, of one sub-net
    bool rdm = true;
    bool controller = false; // it sends levels; else it plays them
    friend bool operator==(const ArtPollReply&, const ArtPollReply&) = default;
};

struct ArtTodRequest {
    std::uint16_t port_address = 0;
    friend bool operator==(const ArtTodRequest&, const ArtTodRequest&) = default;
};

struct ArtTodControl {
    std::uint16_t port_address = 0;
    std::uint8_t command = 0;
    static constexpr std::uint8_t kFlush = 1; // forget the table, look anew
    friend bool operator==(const ArtTodControl&, const ArtTodControl&) = default;
};

struct ArtTodData {
    std::uint16_t port_address = 0;
    bool refused = false; // the port has no table
    std::uint16_t total = 0;
    std::uint8_t block = 0; // of the table, from 0
    std::vector<Uid> uids;  // in this block, at most 200
    friend bool operator==(const ArtTodData&, const ArtTodData&) = default;
};
inline constexpr std::size_t kTodMostUids = 200;

struct ArtRdm {
    std::uint16_t port_address = 0;
    std::vector<std::uint8_t> message; // an RDM message with its start code 0xCC
    friend bool operator==(const ArtRdm&, const ArtRdm&) = default;
};

using ArtPacket =
    std::variant<ArtDmx, ArtPoll, ArtPollReply, ArtTodRequest, ArtTodControl, ArtTodData, ArtRdm>;

std::vector<std::uint8_t> encoded(const ArtPacket& packet);
// ArtDmx without allocation; `to` holds kArtDmxHeader + slots bytes. Returns the size.
inline constexpr std::size_t kArtDmxHeader = 18;
std::size_t encodeArtDmx(std::uint16_t port_address, std::uint8_t sequence,
                         std::span<const std::uint8_t> values, std::span<std::uint8_t> to);

// Truncated, BadSyntax (not Art-Net, counts that disagree), BadValue, or Unsupported (another
// packet of Art-Net); `where` names the offset.
Result<ArtPacket> decodeArtNet(std::span<const std::uint8_t> bytes);

} // namespace zelo::wire
