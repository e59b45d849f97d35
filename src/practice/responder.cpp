// SPDX-License-Identifier: GPL-3.0-or-later
#include "practice/responder.h"

#include "wire/bytes.h"

#include <algorithm>
#include <set>
#include <utility>

namespace zelo::practice {

using wire::ArtRdm;
using wire::RdmClass;
using wire::RdmMessage;

namespace {

constexpr std::uint16_t kMaker = 0x7ff0; // one of E1.20's for prototypes
constexpr std::uint32_t kFirstSerial = 0x2a00;
constexpr auto kSlowAnswer = std::chrono::milliseconds(350);
constexpr std::size_t kTwin = 26, kGarbled = 17;
constexpr std::size_t kTextMost = 32; // of E1.20's labels

Manner mannerOf(std::size_t lamp, std::size_t count) {
    if (lamp + 1 == count)
        return Manner::Silent;
    if (lamp == kTwin)
        return Manner::Twin;
    if (lamp == kGarbled)
        return Manner::Garbled;
    switch (lamp % 9) {
    case 2:
        return Manner::Pieces;
    case 4:
        return Manner::Slow;
    case 7:
        return Manner::Later;
    default:
        return Manner::Plain;
    }
}

std::vector<std::uint8_t> textData(const std::string& text) {
    return {text.begin(), text.begin() + static_cast<long>(std::min(text.size(), kTextMost))};
}

std::vector<std::uint8_t> number16(unsigned value) {
    std::vector<std::uint8_t> data(2);
    wire::put16(data, 0, value);
    return data;
}

constexpr std::uint16_t kOwnParameters[] = {wire::pid::kModel, wire::pid::kMaker, wire::pid::kLabel,
                                            wire::pid::kPersonality,
                                            wire::pid::kPersonalityDescription};
constexpr std::uint16_t kNeededParameters[] = {wire::pid::kSupported, wire::pid::kDeviceInfo,
                                               wire::pid::kSoftwareLabel, wire::pid::kStartAddress,
                                               wire::pid::kIdentify};
bool knows(std::uint16_t parameter) {
    const auto in = [&](const auto& list) {
        return std::find(std::begin(list), std::end(list), parameter) != std::end(list);
    };
    return in(kOwnParameters) || in(kNeededParameters);
}

std::size_t modeIndex(const Lamp& lamp) { // an empty name is the first
    const auto& modes = lamp.type->modes;
    for (std::size_t i = 0; i < modes.size(); ++i)
        if (modes[i].name == lamp.mode)
            return i;
    return 0;
}

} // namespace

Responder::Responder(PracticeRig& rig, bool awkward) : rig_(rig) {
    const auto& lamps = rig_.lamps();
    for (std::size_t i = 0; i < lamps.size(); ++i) {
        Device d;
        d.uid = {kMaker, kFirstSerial + static_cast<std::uint32_t>(lamps[i].id)};
        d.label = fmt::format("lamp {}", lamps[i].number);
        if (awkward)
            d.manner = mannerOf(i, lamps.size());
        if (d.manner == Manner::Twin && i > 0)
            d.uid = devices_[i - 1].uid;
        devices_.push_back(std::move(d));
    }
}

std::vector<std::uint16_t> Responder::ports() const {
    std::set<std::uint16_t> ports;
    for (const Lamp& lamp : rig_.lamps())
        ports.insert(static_cast<std::uint16_t>(lamp.universe - 1));
    return {ports.begin(), ports.end()};
}

std::vector<Responder::Reply> Responder::take(const wire::ArtPacket& packet,
                                              std::vector<std::size_t>& changed) {
    if (const auto* dmx = std::get_if<wire::ArtDmx>(&packet)) {
        changed = rig_.take(static_cast<std::uint16_t>(dmx->port_address + 1), dmx->values);
        return {};
    }
    if (const auto* poll = std::get_if<wire::ArtPoll>(&packet))
        return pollReplies(*poll);
    if (const auto* asked = std::get_if<wire::ArtTodRequest>(&packet))
        return table(asked->port_address);
    if (const auto* control = std::get_if<wire::ArtTodControl>(&packet))
        return control->command == wire::ArtTodControl::kFlush ? table(control->port_address)
                                                               : std::vector<Reply>();
    if (const auto* rdm = std::get_if<ArtRdm>(&packet))
        return takeRdm(*rdm, changed);
    return {};
}

std::vector<Responder::Reply> Responder::pollReplies(const wire::ArtPoll& poll) const {
    const auto all = ports();
    if ((poll.flags & wire::ArtPoll::kTargeted) &&
        std::none_of(all.begin(), all.end(),
                     [&](std::uint16_t port) { return port >= poll.bottom && port <= poll.top; }))
        return {};
    std::vector<Reply> replies;
    wire::ArtPollReply reply;
    reply.ip = {127, 0, 0, 1};
    reply.name = "Practice rig";
    reply.long_name = "Zelochrome practice rig";
    reply.bind_index = 0;
    for (const std::uint16_t port : all) { // a reply for each four ports of a sub-net
        const bool full = reply.outputs.size() == 4 ||
                          (!reply.outputs.empty() && reply.outputs[0] >> 4 != port >> 4);
        if (full) {
            replies.push_back({wire::encoded(reply)});
            reply.outputs.clear();
        }
        if (reply.outputs.empty())
            ++reply.bind_index;
        reply.outputs.push_back(port);
    }
    replies.push_back({wire::encoded(reply)});
    return replies;
}

std::vector<Responder::Reply> Responder::table(std::uint16_t port_address) const {
    std::vector<Reply> replies;
    std::vector<wire::Uid> all;
    for (std::size_t i = 0; i < devices_.size(); ++i)
        if (rig_.lamps()[i].universe == port_address + 1)
            all.push_back(devices_[i].uid);
    constexpr std::size_t kBlock = 24; // small, so that tables come in several packets
    for (std::size_t from = 0; from == 0 || from < all.size(); from += kBlock) {
        wire::ArtTodData tod;
        tod.port_address = port_address;
        tod.total = static_cast<std::uint16_t>(all.size());
        tod.block = static_cast<std::uint8_t>(from / kBlock);
        tod.uids.assign(all.begin() + static_cast<long>(from),
                        all.begin() + static_cast<long>(std::min(from + kBlock, all.size())));
        replies.push_back({wire::encoded(tod)});
    }
    return replies;
}

std::vector<Responder::Reply> Responder::takeRdm(const ArtRdm& rdm,
                                                 std::vector<std::size_t>& changed) {
    std::vector<Reply> replies;
    const auto message = wire::decodeRdm(rdm.message);
    const bool request =
        message && (message->command == RdmClass::Get || message->command == RdmClass::Set);
    if (!request) // a response is for whoever asked
        return replies;
    for (std::size_t i = 0; i < devices_.size(); ++i) {
        Device& d = devices_[i];
        const bool here = rig_.lamps()[i].universe == rdm.port_address + 1;
        if (!here || !wire::isFor(message->to, d.uid) || d.manner == Manner::Silent)
            continue;
        if (message->to != d.uid) { // to all: acted on, not answered
            if (message->command == RdmClass::Set)
                (void)answer(i, *message, changed);
            continue;
        }
        const auto said = inTheirManner(i, *message, changed);
        if (!said)
            continue;
        auto bytes = wire::encoded(*said);
        if (d.manner == Manner::Garbled)
            bytes.back() = static_cast<std::uint8_t>(bytes.back() + 1);
        replies.push_back({wire::encoded(ArtRdm{rdm.port_address, std::move(bytes)}),
                           d.manner == Manner::Slow ? kSlowAnswer : std::chrono::milliseconds(0)});
    }
    return replies;
}

// As the device answers: at once, later by a queued message, or in pieces.
std::optional<RdmMessage> Responder::inTheirManner(std::size_t lamp, const RdmMessage& request,
                                                   std::vector<std::size_t>& changed) {
    namespace pid = wire::pid;
    Device& d = devices_[lamp];
    if (d.manner == Manner::Later) {
        if (request.parameter == pid::kQueued && request.command == RdmClass::Get) {
            if (!d.queued) { // nothing waits: no status messages either
                auto none = wire::answerTo(request, {});
                none.parameter = pid::kStatus;
                return none;
            }
            RdmMessage queued = *std::exchange(d.queued, std::nullopt);
            queued.transaction = request.transaction;
            return queued;
        }
        d.queued = answer(lamp, request, changed);
        auto later = wire::answerTo(request, number16(2), wire::RdmAnswer::AckTimer);
        later.queued = 1;
        return later;
    }
    RdmMessage whole = answer(lamp, request, changed);
    const bool words = request.command == RdmClass::Get && whole.data.size() > 4 &&
                       request.parameter == pid::kModel;
    if (d.manner == Manner::Pieces && words) {
        const auto half = whole.data.begin() + static_cast<long>(whole.data.size() / 2);
        if (std::exchange(d.second_piece, !d.second_piece)) {
            whole.data.erase(whole.data.begin(), half);
        } else {
            whole.data.erase(half, whole.data.end());
            whole.answer = static_cast<std::uint8_t>(wire::RdmAnswer::AckOverflow);
        }
    }
    return whole;
}

wire::DeviceInfo Responder::infoOf(std::size_t lamp) const {
    const Lamp& l = rig_.lamps()[lamp];
    wire::DeviceInfo info;
    info.model = 1;
    info.software = 1;
    info.footprint = static_cast<std::uint16_t>(l.type->mode(l.mode)->footprint);
    info.personality = static_cast<std::uint8_t>(modeIndex(l) + 1);
    info.personalities = static_cast<std::uint8_t>(l.type->modes.size());
    info.address = static_cast<std::uint16_t>(l.address);
    return info;
}

RdmMessage Responder::answer(std::size_t lamp, const RdmMessage& request,
                             std::vector<std::size_t>& changed) {
    namespace pid = wire::pid;
    namespace nack = wire::nack;
    const Lamp& l = rig_.lamps()[lamp];
    Device& d = devices_[lamp];
    const bool set = request.command == RdmClass::Set;
    const auto& data = request.data;
    const auto refuse = [&](std::uint16_t why) { return wire::refusalOf(request, why); };
    const auto done = [&] {
        changed.push_back(lamp);
        return wire::answerTo(request, {});
    };
    if (request.sub_device != 0)
        return refuse(nack::kSubDevice);
    const bool bare =
        request.parameter != pid::kPersonalityDescription && request.parameter != pid::kQueued;
    if (!set && bare && !data.empty() && knows(request.parameter))
        return refuse(nack::kFormat);
    switch (request.parameter) {
    case pid::kSupported: { // those that every device must have are not listed
        std::vector<std::uint8_t> list;
        for (const std::uint16_t p : kOwnParameters) {
            const auto bytes = number16(p);
            list.insert(list.end(), bytes.begin(), bytes.end());
        }
        return set ? refuse(nack::kUnsupportedClass) : wire::answerTo(request, std::move(list));
    }
    case pid::kSoftwareLabel:
        return set ? refuse(nack::kUnsupportedClass)
                   : wire::answerTo(request, textData("practice 1"));
    case pid::kDeviceInfo:
        return set ? refuse(nack::kUnsupportedClass)
                   : wire::answerTo(request, wire::encoded(infoOf(lamp)));
    case pid::kMaker:
        return set ? refuse(nack::kUnsupportedClass)
                   : wire::answerTo(request, textData(l.type->maker));
    case pid::kModel:
        return set ? refuse(nack::kUnsupportedClass)
                   : wire::answerTo(request, textData(l.type->name));
    case pid::kLabel:
        if (!set)
            return wire::answerTo(request, textData(d.label));
        if (data.size() > kTextMost)
            return refuse(nack::kFormat);
        d.label.assign(data.begin(), data.end());
        return done();
    case pid::kPersonality:
        if (!set) {
            const auto info = infoOf(lamp);
            return wire::answerTo(request, {info.personality, info.personalities});
        }
        if (data.size() != 1)
            return refuse(nack::kFormat);
        if (data[0] < 1 || data[0] > l.type->modes.size() ||
            !rig_.setMode(lamp, l.type->modes[data[0] - 1u].name))
            return refuse(nack::kOutOfRange);
        return done();
    case pid::kPersonalityDescription: {
        if (set)
            return refuse(nack::kUnsupportedClass);
        if (data.size() != 1)
            return refuse(nack::kFormat);
        if (data[0] < 1 || data[0] > l.type->modes.size())
            return refuse(nack::kOutOfRange);
        const auto& mode = l.type->modes[data[0] - 1u];
        std::vector<std::uint8_t> said{data[0], 0, 0};
        wire::put16(said, 1, static_cast<unsigned>(mode.footprint));
        const auto words = textData(mode.name);
        said.insert(said.end(), words.begin(), words.end());
        return wire::answerTo(request, std::move(said));
    }
    case pid::kStartAddress:
        if (!set)
            return wire::answerTo(request, number16(static_cast<unsigned>(l.address)));
        if (data.size() != 2)
            return refuse(nack::kFormat);
        if (!rig_.setAddress(lamp, wire::get16(data, 0)))
            return refuse(nack::kOutOfRange);
        return done();
    case pid::kIdentify:
        if (!set)
            return wire::answerTo(request, {static_cast<std::uint8_t>(d.identifying)});
        if (data.size() != 1 || data[0] > 1)
            return refuse(nack::kFormat);
        d.identifying = data[0] == 1;
        return done();
    default:
        return refuse(nack::kUnknownPid);
    }
}

} // namespace zelo::practice
