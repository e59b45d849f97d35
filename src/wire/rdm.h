// SPDX-License-Identifier: GPL-3.0-or-later
// RDM (ANSI E1.20-2010) messages: bytes to and from values; docs/wire.md has the layout. Pure.
// Discovery on the cable is the gateway's work; its list comes as Art-Net's table of devices.
#pragma once

#include "base/result.h"

#include <cstdint>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::wire {

// Maker and serial number: one for each device in the world.
struct Uid {
    std::uint16_t maker = 0;
    std::uint32_t serial = 0;
    auto operator<=>(const Uid&) const = default;
};
std::string toText(const Uid& uid); // "7ff0:00002a04"
std::optional<Uid> uidOf(std::string_view text);
inline constexpr std::size_t kUidBytes = 6;
Uid getUid(std::span<const std::uint8_t> bytes, std::size_t at);
void putUid(std::span<std::uint8_t> bytes, std::size_t at, const Uid& uid);

enum class RdmClass : std::uint8_t {
    Get = 0x20,
    GetResponse = 0x21,
    Set = 0x30,
    SetResponse = 0x31,
};
enum class RdmAnswer : std::uint8_t { Ack = 0, AckTimer = 1, Nack = 2, AckOverflow = 3 };

inline constexpr Uid kToAll{0xffff, 0xffffffff}; // a broadcast: nobody answers
// It is for this device: its own, to all, or to all of its maker.
constexpr bool isFor(const Uid& to, const Uid& device) {
    return to == device ||
           (to.serial == 0xffffffff && (to.maker == 0xffff || to.maker == device.maker));
}

// Parameter ids that we use (table A-3).
namespace pid {
inline constexpr std::uint16_t kQueued = 0x0020;
inline constexpr std::uint16_t kStatus = 0x0030;
inline constexpr std::uint16_t kSupported = 0x0050;
inline constexpr std::uint16_t kDeviceInfo = 0x0060;
inline constexpr std::uint16_t kModel = 0x0080;
inline constexpr std::uint16_t kMaker = 0x0081;
inline constexpr std::uint16_t kLabel = 0x0082;
inline constexpr std::uint16_t kSoftwareLabel = 0x00c0;
inline constexpr std::uint16_t kPersonality = 0x00e0;
inline constexpr std::uint16_t kPersonalityDescription = 0x00e1;
inline constexpr std::uint16_t kStartAddress = 0x00f0;
inline constexpr std::uint16_t kIdentify = 0x1000;
} // namespace pid

// Reasons to say no (table A-17).
namespace nack {
inline constexpr std::uint16_t kUnknownPid = 0;
inline constexpr std::uint16_t kFormat = 1;
inline constexpr std::uint16_t kUnsupportedClass = 5;
inline constexpr std::uint16_t kOutOfRange = 6;
inline constexpr std::uint16_t kSubDevice = 9;
} // namespace nack

struct RdmMessage {
    Uid to, from;
    std::uint8_t transaction = 0;
    std::uint8_t answer = 1; // of a response: an RdmAnswer; of a request: the port, from 1
    RdmClass command = RdmClass::Get;
    std::uint16_t parameter = 0;
    std::vector<std::uint8_t> data; // at most 231 bytes
    std::uint16_t sub_device = 0;   // 0: the device itself
    std::uint8_t queued = 0;        // of a response: messages that wait to be asked for
    friend bool operator==(const RdmMessage&, const RdmMessage&) = default;
};
inline constexpr std::size_t kRdmMostData = 231;

// With its start code 0xCC and checksum. Requires data within the bound.
std::vector<std::uint8_t> encoded(const RdmMessage& message);

// Truncated, BadSyntax (start codes, lengths that disagree, checksum) or Unsupported (a class that
// is none of the four); `where` names the offset.
Result<RdmMessage> decodeRdm(std::span<const std::uint8_t> bytes);
// Who sent it, where that much can be read, whatever else is wrong.
std::optional<Uid> senderOf(std::span<const std::uint8_t> bytes);

RdmMessage answerTo(const RdmMessage& request, std::vector<std::uint8_t> data,
                    RdmAnswer answer = RdmAnswer::Ack);
RdmMessage refusalOf(const RdmMessage& request, std::uint16_t reason);
const char* nackWords(std::uint16_t reason); // "value out of range"

struct DeviceInfo {
    std::uint16_t model = 0;
    std::uint32_t software = 0;
    std::uint16_t footprint = 0;
    std::uint8_t personality = 1; // the one in use, from 1
    std::uint8_t personalities = 1;
    std::uint16_t address = 0; // 1..512; 0xffff = it takes no slots
    friend bool operator==(const DeviceInfo&, const DeviceInfo&) = default;
};
std::vector<std::uint8_t> encoded(const DeviceInfo& info);
Result<DeviceInfo> decodeDeviceInfo(std::span<const std::uint8_t> data);

} // namespace zelo::wire
