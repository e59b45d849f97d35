// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/e131.h"

#include "base/assert.h"
#include "wire/bytes.h"

#include <algorithm>
#include <cstring>

namespace zelo::wire {

namespace {

constexpr std::array<std::uint8_t, 16> kPreamble = {0,   0x10, 0,   0,   'A', 'S', 'C', '-',
                                                    'E', '1',  '.', '1', '7', 0,   0,   0};
constexpr std::uint32_t kRootVectorData = 4;
constexpr std::uint32_t kRootVectorExtended = 8;
constexpr std::uint32_t kFramingVectorData = 2;
constexpr std::uint32_t kFramingVectorSync = 1;
constexpr std::uint32_t kFramingVectorDiscovery = 2;
constexpr std::uint32_t kVectorUniverseList = 1;
constexpr std::size_t kDiscoveryHeader = 120;
constexpr std::uint8_t kDmpVectorSet = 2;
constexpr std::uint8_t kDmpAddressType = 0xa1;
constexpr std::size_t kNameBytes = 64;

// Offsets of the layers: length fields count from here to the end of the packet.
constexpr std::size_t kRoot = 16;
constexpr std::size_t kFraming = 38;
constexpr std::size_t kName = 44;
constexpr std::size_t kDmp = 115;

tl::unexpected<Error> broken(ErrorCode code, std::size_t offset, Sentence what) {
    return passOn(Error{code, std::move(what), {}}, say(ZELO_TEXT("core", "offset {}"), offset));
}

// Root layer of a packet of this size: who sends, and what kind.
void putRoot(std::span<std::uint8_t> to, std::size_t size, std::uint32_t vector, const Cid& cid) {
    std::copy(kPreamble.begin(), kPreamble.end(), to.begin());
    put16(to, kRoot, static_cast<unsigned>(0x7000 | (size - kRoot)));
    put32(to, 18, vector);
    std::copy(cid.begin(), cid.end(), to.begin() + 22);
}

void putFraming(std::span<std::uint8_t> to, std::size_t size, std::uint32_t vector) {
    put16(to, kFraming, static_cast<unsigned>(0x7000 | (size - kFraming)));
    put32(to, 40, vector);
}

void putName(std::span<std::uint8_t> to, const std::string& source) { // cut at a whole character
    std::size_t name = std::min(source.size(), kNameBytes - 1);
    while (name > 0 && name < source.size() &&
           (static_cast<std::uint8_t>(source[name]) & 0xc0) == 0x80)
        --name;
    std::memcpy(&to[kName], source.data(), name);
}

// An extended packet of this kind, whole up to `least` bytes; nothing, or why not.
Done checkExtended(std::span<const std::uint8_t> bytes, std::size_t least, std::uint32_t vector) {
    if (bytes.size() < least)
        return broken(
            ErrorCode::Truncated, bytes.size(),
            say(ZELO_TEXT("core", "{} bytes, this packet needs {}"), bytes.size(), least));
    if (!std::equal(kPreamble.begin(), kPreamble.end(), bytes.begin()))
        return broken(ErrorCode::BadSyntax, 0, "not an E1.31 packet");
    if (get32(bytes, 18) != kRootVectorExtended || get32(bytes, 40) != vector)
        return broken(ErrorCode::Unsupported, 18,
                      say(ZELO_TEXT("core", "vectors {} and {}: another kind of packet"),
                          get32(bytes, 18), get32(bytes, 40)));
    return {};
}

} // namespace

std::array<std::uint8_t, kSyncBytes> encoded(const SyncPacket& packet) {
    std::array<std::uint8_t, kSyncBytes> to{};
    putRoot(to, to.size(), kRootVectorExtended, packet.cid);
    putFraming(to, to.size(), kFramingVectorSync);
    to[44] = packet.sequence;
    put16(to, 45, packet.universe);
    return to;
}

Result<SyncPacket> decodeSync(std::span<const std::uint8_t> bytes) {
    if (auto ok = checkExtended(bytes, kSyncBytes, kFramingVectorSync); !ok)
        return passOn(ok.error());
    SyncPacket packet;
    std::copy_n(bytes.begin() + 22, packet.cid.size(), packet.cid.begin());
    packet.sequence = bytes[44];
    packet.universe = get16(bytes, 45);
    return packet;
}

std::vector<std::uint8_t> encoded(const DiscoveryPacket& packet) {
    ZELO_ASSERT(packet.universes.size() <= kUniversesPerPage);
    std::vector<std::uint8_t> to(kDiscoveryHeader + 2 * packet.universes.size());
    putRoot(to, to.size(), kRootVectorExtended, packet.cid);
    putFraming(to, to.size(), kFramingVectorDiscovery);
    putName(to, packet.source_name);
    put16(to, 112, static_cast<unsigned>(0x7000 | (to.size() - 112)));
    put32(to, 114, kVectorUniverseList);
    to[118] = packet.page;
    to[119] = packet.last_page;
    for (std::size_t i = 0; i < packet.universes.size(); ++i)
        put16(to, kDiscoveryHeader + 2 * i, packet.universes[i]);
    return to;
}

Result<DiscoveryPacket> decodeDiscovery(std::span<const std::uint8_t> bytes) {
    if (auto ok = checkExtended(bytes, kDiscoveryHeader, kFramingVectorDiscovery); !ok)
        return passOn(ok.error());
    const std::size_t length = get16(bytes, 112) & 0x0fffu;
    if (get32(bytes, 114) != kVectorUniverseList || length < 8 || 112 + length > bytes.size() ||
        length > 8 + 2 * kUniversesPerPage)
        return broken(ErrorCode::BadSyntax, 112, "not a list of universes");
    DiscoveryPacket packet;
    std::copy_n(bytes.begin() + 22, packet.cid.size(), packet.cid.begin());
    const auto* name = reinterpret_cast<const char*>(&bytes[kName]);
    packet.source_name.assign(name, ::strnlen(name, kNameBytes));
    packet.page = bytes[118];
    packet.last_page = bytes[119];
    for (std::size_t at = kDiscoveryHeader; at + 2 <= 112 + length; at += 2)
        packet.universes.push_back(get16(bytes, at));
    return packet;
}

std::size_t encode(const DataPacket& packet, std::span<std::uint8_t> to) {
    const std::size_t size = kE131Header + packet.values.size();
    ZELO_ASSERT(packet.values.size() <= light::kSlots && to.size() >= size);
    std::fill(to.begin(), to.begin() + kE131Header, std::uint8_t{0});
    putRoot(to, size, kRootVectorData, packet.cid);
    putFraming(to, size, kFramingVectorData);
    putName(to, packet.source_name);
    to[108] = packet.priority;
    put16(to, 109, packet.sync_universe);
    to[111] = packet.sequence;
    to[112] = packet.options;
    put16(to, 113, packet.universe);

    put16(to, kDmp, static_cast<unsigned>(0x7000 | (size - kDmp)));
    to[117] = kDmpVectorSet;
    to[118] = kDmpAddressType;
    put16(to, 119, 0);
    put16(to, 121, 1);
    put16(to, 123, static_cast<unsigned>(packet.values.size() + 1));
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
