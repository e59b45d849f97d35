// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/rdm.h"

#include "base/assert.h"
#include "wire/bytes.h"

#include <algorithm>

namespace zelo::wire {

namespace {
constexpr std::uint8_t kStartCode = 0xcc;
constexpr std::uint8_t kSubStartCode = 0x01;
constexpr std::size_t kHead = 24; // bytes before the data
constexpr std::size_t kChecksum = 2;
constexpr std::size_t kDeviceInfoBytes = 19;

unsigned checksum(std::span<const std::uint8_t> bytes) {
    unsigned sum = 0;
    for (const std::uint8_t b : bytes)
        sum += b;
    return sum & 0xffff;
}
} // namespace

std::string toText(const Uid& uid) {
    return fmt::format("{:04x}:{:08x}", uid.maker, uid.serial);
}

std::optional<Uid> uidOf(std::string_view text) {
    if (text.size() != 13 || text[4] != ':')
        return std::nullopt;
    std::uint64_t value = 0;
    for (std::size_t i = 0; i < text.size(); ++i) {
        if (i == 4)
            continue;
        constexpr std::string_view digits = "0123456789abcdef";
        const auto digit = digits.find(static_cast<char>(text[i] | 0x20));
        if (digit == std::string_view::npos)
            return std::nullopt;
        value = value << 4 | digit;
    }
    return Uid{static_cast<std::uint16_t>(value >> 32), static_cast<std::uint32_t>(value)};
}

Uid getUid(std::span<const std::uint8_t> bytes, std::size_t at) {
    return {get16(bytes, at), get32(bytes, at + 2)};
}

void putUid(std::span<std::uint8_t> bytes, std::size_t at, const Uid& uid) {
    put16(bytes, at, uid.maker);
    put32(bytes, at + 2, uid.serial);
}

std::vector<std::uint8_t> encoded(const RdmMessage& m) {
    ZELO_ASSERT(m.data.size() <= kRdmMostData);
    std::vector<std::uint8_t> b(kHead + m.data.size() + kChecksum);
    b[0] = kStartCode;
    b[1] = kSubStartCode;
    b[2] = static_cast<std::uint8_t>(kHead + m.data.size());
    putUid(b, 3, m.to);
    putUid(b, 9, m.from);
    b[15] = m.transaction;
    b[16] = m.answer;
    b[17] = m.queued;
    put16(b, 18, m.sub_device);
    b[20] = static_cast<std::uint8_t>(m.command);
    put16(b, 21, m.parameter);
    b[23] = static_cast<std::uint8_t>(m.data.size());
    std::copy(m.data.begin(), m.data.end(), b.begin() + kHead);
    put16(b, b.size() - kChecksum, checksum({b.data(), b.size() - kChecksum}));
    return b;
}

Result<RdmMessage> decodeRdm(std::span<const std::uint8_t> b) {
    const auto at = [](const char* offset, auto error) {
        return passOn(std::move(error.value()), offset);
    };
    if (b.size() < kHead + kChecksum)
        return fail(ErrorCode::Truncated, ZELO_TEXT("core", "{} bytes, RDM needs {}"), b.size(),
                    kHead + kChecksum);
    if (b[0] != kStartCode || b[1] != kSubStartCode)
        return at("offset 0",
                  fail(ErrorCode::BadSyntax,
                       ZELO_TEXT("core", "start codes {:02x} {:02x}: not RDM"), b[0], b[1]));
    const std::size_t length = b[2];
    if (length < kHead || length + kChecksum > b.size() || length != kHead + b[23])
        return at("offset 2",
                  fail(ErrorCode::BadSyntax,
                       ZELO_TEXT("core", "length {} with {} of data in {} bytes: they disagree"),
                       length, b[23], b.size()));
    if (get16(b, length) != checksum(b.first(length)))
        return at("offset 24", fail(ErrorCode::BadSyntax,
                                    ZELO_TEXT("core", "checksum {:04x}, the bytes give {:04x}"),
                                    get16(b, length), checksum(b.first(length))));
    RdmMessage m;
    switch (b[20]) {
    case 0x20:
    case 0x21:
    case 0x30:
    case 0x31:
        m.command = static_cast<RdmClass>(b[20]);
        break;
    default:
        return at("offset 20",
                  fail(ErrorCode::Unsupported, ZELO_TEXT("core", "command class {:02x}"), b[20]));
    }
    m.to = getUid(b, 3);
    m.from = getUid(b, 9);
    m.transaction = b[15];
    m.answer = b[16];
    m.queued = b[17];
    m.sub_device = get16(b, 18);
    m.parameter = get16(b, 21);
    m.data.assign(b.begin() + kHead, b.begin() + static_cast<std::ptrdiff_t>(length));
    return m;
}

std::optional<Uid> senderOf(std::span<const std::uint8_t> bytes) {
    if (bytes.size() < 15 || bytes[0] != kStartCode)
        return std::nullopt;
    return getUid(bytes, 9);
}

RdmMessage answerTo(const RdmMessage& request, std::vector<std::uint8_t> data, RdmAnswer answer) {
    RdmMessage m = request;
    std::swap(m.to, m.from);
    m.command = request.command == RdmClass::Set ? RdmClass::SetResponse : RdmClass::GetResponse;
    m.answer = static_cast<std::uint8_t>(answer);
    m.queued = 0;
    m.data = std::move(data);
    return m;
}

RdmMessage refusalOf(const RdmMessage& request, std::uint16_t reason) {
    return answerTo(request,
                    {static_cast<std::uint8_t>(reason >> 8), static_cast<std::uint8_t>(reason)},
                    RdmAnswer::Nack);
}

const char* nackWords(std::uint16_t reason) {
    switch (reason) {
    case nack::kUnknownPid:
        return "it does not know this parameter";
    case nack::kFormat:
        return "it finds the message badly formed";
    case nack::kUnsupportedClass:
        return "it does not let this be set";
    case nack::kOutOfRange:
        return "value out of its range";
    case nack::kSubDevice:
        return "it has no such part";
    default:
        return "it says no";
    }
}

std::vector<std::uint8_t> encoded(const DeviceInfo& info) {
    std::vector<std::uint8_t> b(kDeviceInfoBytes);
    put16(b, 0, 0x0100); // RDM 1.0
    put16(b, 2, info.model);
    put16(b, 4, 0x0101); // category: fixture, fixed
    put32(b, 6, info.software);
    put16(b, 10, info.footprint);
    b[12] = info.personality;
    b[13] = info.personalities;
    put16(b, 14, info.address);
    return b; // no sub-devices, no sensors
}

Result<DeviceInfo> decodeDeviceInfo(std::span<const std::uint8_t> b) {
    if (b.size() != kDeviceInfoBytes)
        return fail(ErrorCode::BadSyntax, ZELO_TEXT("core", "device info of {} bytes: expected {}"),
                    b.size(), kDeviceInfoBytes);
    DeviceInfo info;
    info.model = get16(b, 2);
    info.software = get32(b, 6);
    info.footprint = get16(b, 10);
    info.personality = b[12];
    info.personalities = b[13];
    info.address = get16(b, 14);
    if (info.footprint > 512)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "footprint {}: must be within 0..512"),
                    info.footprint);
    if (info.address != 0xffff && (info.address < 1 || info.address > 512))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "start address {}: must be within 1..512"), info.address);
    return info;
}

} // namespace zelo::wire
