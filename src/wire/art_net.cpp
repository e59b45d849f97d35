// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/art_net.h"

#include "base/assert.h"
#include "wire/bytes.h"

#include <algorithm>
#include <cstring>

namespace zelo::wire {

namespace {

constexpr std::array<std::uint8_t, 8> kName{'A', 'r', 't', '-', 'N', 'e', 't', 0};
constexpr std::uint16_t kVersion = 14;
constexpr std::size_t kPollBytes = 18;
constexpr std::size_t kTodRequestBytes = 24 + 32; // room for all addresses, however few are used
constexpr std::size_t kPollReplyBytes = 239;
constexpr std::uint16_t kOemUnknown = 0x00ff;
constexpr std::uint8_t kStyleController = 1;
constexpr std::size_t kPollReplyLeast = 207; // up to the MAC address: what old nodes send

enum Op : std::uint16_t {
    kPoll = 0x2000,
    kPollReply = 0x2100,
    kDmx = 0x5000,
    kTodRequest = 0x8000,
    kTodData = 0x8100,
    kTodControl = 0x8200,
    kRdm = 0x8300,
};

// Name, code (little-endian) and version.
void putHead(std::span<std::uint8_t> b, Op op) {
    std::copy(kName.begin(), kName.end(), b.begin());
    b[8] = static_cast<std::uint8_t>(op & 0xff);
    b[9] = static_cast<std::uint8_t>(op >> 8);
    if (op != kPollReply)
        put16(b, 10, kVersion);
}

std::uint8_t netOf(std::uint16_t port_address) {
    return static_cast<std::uint8_t>(port_address >> 8);
}
std::uint8_t lowOf(std::uint16_t port_address) {
    return static_cast<std::uint8_t>(port_address & 0xff);
}

std::vector<std::uint8_t> bytesOf(const ArtPoll& poll) {
    std::vector<std::uint8_t> b(kPollBytes);
    putHead(b, kPoll);
    b[12] = poll.flags;
    put16(b, 14, poll.top);
    put16(b, 16, poll.bottom);
    return b;
}

std::vector<std::uint8_t> bytesOf(const ArtDmx& dmx) {
    auto values = dmx.values; // an even number of them
    values.resize(std::max<std::size_t>(2, values.size() + values.size() % 2));
    std::vector<std::uint8_t> b(kArtDmxHeader + values.size());
    encodeArtDmx(dmx.port_address, dmx.sequence, values, b);
    return b;
}

std::vector<std::uint8_t> bytesOf(const ArtPollReply& reply) {
    ZELO_ASSERT(reply.outputs.size() <= 4);
    std::vector<std::uint8_t> b(kPollReplyBytes);
    const std::span all(b);
    putHead(b, kPollReply);
    std::copy(reply.ip.begin(), reply.ip.end(), b.begin() + 10);
    b[14] = kArtNetPort & 0xff; // little-endian
    b[15] = kArtNetPort >> 8;
    const std::uint16_t first = reply.outputs.empty() ? std::uint16_t{0} : reply.outputs.front();
    b[18] = netOf(first);
    b[19] = static_cast<std::uint8_t>(first >> 4 & 15);
    put16(b, 20, kOemUnknown);
    b[23] = reply.rdm ? 0x02 : 0;
    putText(all.subspan(26, 18), reply.name);
    putText(all.subspan(44, 64), reply.long_name);
    put16(b, 172, static_cast<unsigned>(reply.outputs.size()));
    for (std::size_t i = 0; i < reply.outputs.size(); ++i) {
        b[174 + i] = 0x80; // plays DMX512
        b[182 + i] = 0x80; // is being played
        b[190 + i] = static_cast<std::uint8_t>(reply.outputs[i] & 15);
    }
    b[200] = reply.controller ? kStyleController : 0;
    std::copy(reply.ip.begin(), reply.ip.end(), b.begin() + 207);
    b[211] = reply.bind_index;
    b[212] = 0x08; // 15 bit port addresses
    return b;
}

std::vector<std::uint8_t> bytesOf(const ArtTodRequest& request) {
    std::vector<std::uint8_t> b(kTodRequestBytes);
    putHead(b, kTodRequest);
    b[21] = netOf(request.port_address);
    b[23] = 1; // one address follows
    b[24] = lowOf(request.port_address);
    return b;
}

std::vector<std::uint8_t> bytesOf(const ArtTodControl& control) {
    std::vector<std::uint8_t> b(24);
    putHead(b, kTodControl);
    b[21] = netOf(control.port_address);
    b[22] = control.command;
    b[23] = lowOf(control.port_address);
    return b;
}

std::vector<std::uint8_t> bytesOf(const ArtTodData& tod) {
    ZELO_ASSERT(tod.uids.size() <= kTodMostUids);
    std::vector<std::uint8_t> b(28 + kUidBytes * tod.uids.size());
    putHead(b, kTodData);
    b[12] = 1; // RDM 1.0
    b[13] = 1; // port
    b[20] = 1; // bind index
    b[21] = netOf(tod.port_address);
    b[22] = tod.refused ? 0xff : 0;
    b[23] = lowOf(tod.port_address);
    put16(b, 24, tod.total);
    b[26] = tod.block;
    b[27] = static_cast<std::uint8_t>(tod.uids.size());
    for (std::size_t i = 0; i < tod.uids.size(); ++i)
        putUid(b, 28 + kUidBytes * i, tod.uids[i]);
    return b;
}

std::vector<std::uint8_t> bytesOf(const ArtRdm& rdm) {
    ZELO_ASSERT(!rdm.message.empty());
    std::vector<std::uint8_t> b(24 + rdm.message.size() - 1);
    putHead(b, kRdm);
    b[12] = 1;
    b[21] = netOf(rdm.port_address);
    b[23] = lowOf(rdm.port_address);
    std::copy(rdm.message.begin() + 1, rdm.message.end(), b.begin() + 24); // without start code
    return b;
}

using Bytes = std::span<const std::uint8_t>;

std::uint16_t portAddress(Bytes b, std::size_t net, std::size_t low) {
    return static_cast<std::uint16_t>((b[net] & 0x7f) << 8 | b[low]);
}

tl::unexpected<Error> tooShort(Bytes b, std::size_t least) {
    return fail(ErrorCode::Truncated, ZELO_TEXT("core", "{} bytes, this packet needs {}"), b.size(),
                least);
}

Result<ArtPacket> readDmx(Bytes b) {
    if (b.size() < kArtDmxHeader)
        return tooShort(b, kArtDmxHeader);
    const std::size_t slots = get16(b, 16);
    if (slots < 1 || slots > 512 || kArtDmxHeader + slots > b.size())
        return passOn(
            {ErrorCode::BadSyntax,
             say(ZELO_TEXT("core", "{} slots in {} bytes: expected 2..512"), slots, b.size()),
             {say(ZELO_TEXT("core", "offset {}"), 16)}});
    return ArtDmx{
        b[12], portAddress(b, 15, 14), {b.begin() + 18, b.begin() + 18 + static_cast<long>(slots)}};
}

Result<ArtPacket> readPollReply(Bytes b) {
    if (b.size() < kPollReplyLeast)
        return tooShort(b, kPollReplyLeast);
    ArtPollReply reply;
    std::copy_n(b.begin() + 10, 4, reply.ip.begin());
    reply.rdm = b[23] & 0x02;
    reply.name = getText(b.subspan(26, 18));
    reply.long_name = getText(b.subspan(44, 64));
    const std::size_t ports = std::min<std::size_t>(get16(b, 172), 4);
    for (std::size_t i = 0; i < ports; ++i)
        if (b[174 + i] & 0x80)
            reply.outputs.push_back(static_cast<std::uint16_t>(
                (b[18] & 0x7f) << 8 | (b[19] & 15) << 4 | (b[190 + i] & 15)));
    reply.controller = b[200] == kStyleController;
    reply.bind_index = b.size() > 211 ? b[211] : std::uint8_t{1};
    return reply;
}

Result<ArtPacket> readPoll(Bytes b) {
    if (b.size() < 14) // what old controllers send
        return tooShort(b, 14);
    ArtPoll poll{b[12]};
    if (b.size() >= kPollBytes) {
        poll.top = get16(b, 14);
        poll.bottom = get16(b, 16);
    }
    return poll;
}

Result<ArtPacket> readTodControl(Bytes b) {
    if (b.size() < 24)
        return tooShort(b, 24);
    return ArtTodControl{portAddress(b, 21, 23), b[22]};
}

Result<ArtPacket> readTodRequest(Bytes b) {
    if (b.size() < 25)
        return tooShort(b, 25);
    return ArtTodRequest{portAddress(b, 21, 24)}; // the first of its addresses
}

Result<ArtPacket> readTodData(Bytes b) {
    if (b.size() < 28)
        return tooShort(b, 28);
    ArtTodData tod;
    tod.port_address = portAddress(b, 21, 23);
    tod.refused = b[22] == 0xff;
    tod.total = get16(b, 24);
    tod.block = b[26];
    const std::size_t count = b[27];
    if (count > kTodMostUids || 28 + kUidBytes * count > b.size())
        return passOn({ErrorCode::BadSyntax,
                       say(ZELO_TEXT("core", "{} devices in {} bytes"), count, b.size()),
                       {say(ZELO_TEXT("core", "offset {}"), 27)}});
    for (std::size_t i = 0; i < count; ++i)
        tod.uids.push_back(getUid(b, 28 + kUidBytes * i));
    return tod;
}

Result<ArtPacket> readRdm(Bytes b) {
    if (b.size() < 25)
        return tooShort(b, 25);
    ArtRdm rdm{portAddress(b, 21, 23), {0xcc}};
    rdm.message.insert(rdm.message.end(), b.begin() + 24, b.end());
    return rdm;
}

} // namespace

std::vector<std::uint8_t> encoded(const ArtPacket& packet) {
    return std::visit([](const auto& p) { return bytesOf(p); }, packet);
}

std::size_t encodeArtDmx(std::uint16_t port_address, std::uint8_t sequence,
                         std::span<const std::uint8_t> values, std::span<std::uint8_t> to) {
    ZELO_ASSERT(to.size() >= kArtDmxHeader + values.size() && port_address <= kLastPortAddress);
    putHead(to, kDmx);
    to[12] = sequence;
    to[13] = 0; // physical port
    to[14] = lowOf(port_address);
    to[15] = netOf(port_address);
    put16(to, 16, static_cast<unsigned>(values.size()));
    std::copy(values.begin(), values.end(), to.begin() + kArtDmxHeader);
    return kArtDmxHeader + values.size();
}

Result<ArtPacket> decodeArtNet(Bytes b) {
    if (b.size() < 12)
        return tooShort(b, 12);
    if (!std::equal(kName.begin(), kName.end(), b.begin()))
        return passOn({ErrorCode::BadSyntax,
                       say(ZELO_TEXT("core", "not Art-Net")),
                       {say(ZELO_TEXT("core", "offset {}"), 0)}});
    const auto op = static_cast<unsigned>(b[8] | b[9] << 8);
    if (op != kPollReply && get16(b, 10) < kVersion)
        return passOn({ErrorCode::Unsupported,
                       say(ZELO_TEXT("core", "version {}: expected {}"), get16(b, 10), kVersion),
                       {say(ZELO_TEXT("core", "offset {}"), 10)}});
    switch (op) {
    case kDmx:
        return readDmx(b);
    case kPoll:
        return readPoll(b);
    case kPollReply:
        return readPollReply(b);
    case kTodRequest:
        return readTodRequest(b);
    case kTodData:
        return readTodData(b);
    case kTodControl:
        return readTodControl(b);
    case kRdm:
        return readRdm(b);
    default:
        return passOn({ErrorCode::Unsupported,
                       say(ZELO_TEXT("core", "packet code {:04x}: not used"), op),
                       {say(ZELO_TEXT("core", "offset {}"), 8)}});
    }
}

} // namespace zelo::wire
