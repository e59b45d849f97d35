// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/e131.h"

#include "base/assert.h"

#include <algorithm>
#include <cstring>

namespace zelo::wire {

namespace {

constexpr std::array<std::uint8_t, 16> kPreamble = {0,   0x10, 0,   0,   'A', 'S', 'C', '-',
                                                    'E', '1',  '.', '1', '7', 0,   0,   0};
constexpr std::uint32_t kRootVectorData = 4;
constexpr std::uint32_t kFramingVectorData = 2;
constexpr std::uint8_t kDmpVectorSet = 2;
constexpr std::uint8_t kDmpAddressType = 0xa1;
constexpr std::size_t kNameBytes = 64;

// Offsets of the layers: length fields count from here to the end of the packet.
constexpr std::size_t kRoot = 16;
constexpr std::size_t kFraming = 38;
constexpr std::size_t kName = 44;
constexpr std::size_t kDmp = 115;

void put16(std::span<std::uint8_t> to, std::size_t at, std::size_t value) {
    to[at] = static_cast<std::uint8_t>(value >> 8);
    to[at + 1] = static_cast<std::uint8_t>(value);
}

void put32(std::span<std::uint8_t> to, std::size_t at, std::uint32_t value) {
    put16(to, at, value >> 16);
    put16(to, at + 2, value & 0xffff);
}

std::uint16_t get16(std::span<const std::uint8_t> from, std::size_t at) {
    return static_cast<std::uint16_t>(from[at] << 8 | from[at + 1]);
}

std::uint32_t get32(std::span<const std::uint8_t> from, std::size_t at) {
    return static_cast<std::uint32_t>(get16(from, at)) << 16 | get16(from, at + 2);
}

tl::unexpected<Error> broken(ErrorCode code, std::size_t offset, Sentence what) {
    return passOn(Error{code, std::move(what), {}}, say(ZELO_TEXT("core", "offset {}"), offset));
}

} // namespace

std::size_t encode(const DataPacket& packet, std::span<std::uint8_t> to) {
    const std::size_t size = kE131Header + packet.values.size();
    ZELO_ASSERT(packet.values.size() <= light::kSlots && to.size() >= size);
    std::fill(to.begin(), to.begin() + kE131Header, std::uint8_t{0});
    const auto length = [&](std::size_t layer) { put16(to, layer, 0x7000 | (size - layer)); };

    std::copy(kPreamble.begin(), kPreamble.end(), to.begin());
    length(kRoot);
    put32(to, 18, kRootVectorData);
    std::copy(packet.cid.begin(), packet.cid.end(), to.begin() + 22);

    length(kFraming);
    put32(to, 40, kFramingVectorData);
    std::size_t name = std::min(packet.source_name.size(), kNameBytes - 1);
    while (name > 0 && name < packet.source_name.size() &&
           (static_cast<std::uint8_t>(packet.source_name[name]) & 0xc0) == 0x80)
        --name;
    std::memcpy(&to[kName], packet.source_name.data(), name);
    to[108] = packet.priority;
    put16(to, 109, packet.sync_universe);
    to[111] = packet.sequence;
    to[112] = packet.options;
    put16(to, 113, packet.universe);

    length(kDmp);
    to[117] = kDmpVectorSet;
    to[118] = kDmpAddressType;
    put16(to, 119, 0);
    put16(to, 121, 1);
    put16(to, 123, packet.values.size() + 1);
    to[125] = 0; // start code
    std::copy(packet.values.begin(), packet.values.end(), to.begin() + kE131Header);
    return size;
}

std::vector<std::uint8_t> encoded(const DataPacket& packet) {
    std::vector<std::uint8_t> bytes(kE131Header + packet.values.size());
    encode(packet, bytes);
    return bytes;
}

Result<DataPacket> decode(std::span<const std::uint8_t> bytes) {
    if (bytes.size() < kE131Header - 1)
        return broken(ErrorCode::Truncated, bytes.size(),
                      say(ZELO_TEXT("core", "{} bytes: a data packet has {} or more"), bytes.size(),
                          kE131Header));
    if (!std::equal(kPreamble.begin(), kPreamble.end(), bytes.begin()))
        return broken(ErrorCode::BadSyntax, 0, "not an E1.31 packet");
    if (get32(bytes, 18) != kRootVectorData)
        return broken(ErrorCode::Unsupported, 18,
                      say(ZELO_TEXT("core", "root vector {}: not data"), get32(bytes, 18)));
    if (get32(bytes, 40) != kFramingVectorData)
        return broken(ErrorCode::Unsupported, 40,
                      say(ZELO_TEXT("core", "framing vector {}: not data"), get32(bytes, 40)));
    for (const std::size_t layer : {kRoot, kFraming, kDmp})
        if ((get16(bytes, layer) & 0xf000) != 0x7000 ||
            layer + (get16(bytes, layer) & 0x0fffu) > bytes.size())
            return broken(ErrorCode::BadSyntax, layer, "flags or length do not fit the packet");
    if (bytes[117] != kDmpVectorSet || bytes[118] != kDmpAddressType || get16(bytes, 119) != 0 ||
        get16(bytes, 121) != 1)
        return broken(ErrorCode::BadSyntax, 117, "not a set of slots from the first one");
    const std::size_t count = get16(bytes, 123);
    if (count < 1 || count > light::kSlots + 1 || 125 + count > bytes.size())
        return broken(
            ErrorCode::BadSyntax, 123,
            say(ZELO_TEXT("core", "{} values: must be within 1..513 and in the packet"), count));
    if (bytes[125] != 0)
        return broken(ErrorCode::Unsupported, 125,
                      say(ZELO_TEXT("core", "start code {}: only 0 is levels"), bytes[125]));
    DataPacket packet;
    std::copy_n(bytes.begin() + 22, packet.cid.size(), packet.cid.begin());
    const auto* name = reinterpret_cast<const char*>(&bytes[kName]);
    packet.source_name.assign(name, ::strnlen(name, kNameBytes));
    packet.priority = bytes[108];
    packet.sync_universe = get16(bytes, 109);
    packet.sequence = bytes[111];
    packet.options = bytes[112];
    packet.universe = get16(bytes, 113);
    if (packet.universe < 1 || packet.universe > light::kLastUniverse)
        return broken(
            ErrorCode::BadValue, 113,
            say(ZELO_TEXT("core", "universe {}: must be within 1..63999"), packet.universe));
    if (packet.priority > 200)
        return broken(
            ErrorCode::BadValue, 108,
            say(ZELO_TEXT("core", "priority {}: must be within 0..200"), packet.priority));
    packet.values.assign(bytes.begin() + kE131Header,
                         bytes.begin() + static_cast<std::ptrdiff_t>(125 + count));
    return packet;
}

} // namespace zelo::wire
