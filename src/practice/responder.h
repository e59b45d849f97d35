// SPDX-License-Identifier: GPL-3.0-or-later
// The practice rig's answers to Art-Net and RDM: each lamp is a device of the port that its
// universe is. It is as strict as the standards: what is not for a device, or is no request, is not
// answered. An awkward rig has, among its well-behaved devices, some that answer slowly, later (by
// a queued message) or in several pieces, one whose checksums are wrong, two of one identity, and
// one that is silent. Not thread-safe: as the rig.
#pragma once

#include "practice/practice_rig.h"
#include "wire/art_net.h"

#include <chrono>
#include <optional>

namespace zelo::practice {

enum class Manner { Plain, Slow, Later, Pieces, Garbled, Twin, Silent };

class Responder {
public:
    // The rig outlives it and keeps its lamps.
    Responder(PracticeRig& rig, bool awkward);

    struct Reply {
        std::vector<std::uint8_t> bytes; // an Art-Net packet
        std::chrono::milliseconds after{0};
    };
    // What comes back for a packet; levels have none. ArtDmx goes to the rig; `changed` then holds
    // the places of the lamps that changed.
    std::vector<Reply> take(const wire::ArtPacket& packet, std::vector<std::size_t>& changed);

    bool identifying(std::size_t lamp) const { return devices_[lamp].identifying; }
    wire::Uid uid(std::size_t lamp) const { return devices_[lamp].uid; }
    Manner manner(std::size_t lamp) const { return devices_[lamp].manner; }

private:
    struct Device {
        wire::Uid uid;
        Manner manner = Manner::Plain;
        bool identifying = false;
        std::string label;
        std::optional<wire::RdmMessage> queued = {}; // of Later: waits to be asked for
        bool second_piece = false;                   // of Pieces
    };
    std::vector<std::uint16_t> ports() const;
    std::vector<Reply> pollReplies(const wire::ArtPoll& poll) const;
    std::vector<Reply> table(std::uint16_t port_address) const;
    std::vector<Reply> takeRdm(const wire::ArtRdm& rdm, std::vector<std::size_t>& changed);
    std::optional<wire::RdmMessage> inTheirManner(std::size_t lamp, const wire::RdmMessage& request,
                                                  std::vector<std::size_t>& changed);
    wire::RdmMessage answer(std::size_t lamp, const wire::RdmMessage& request,
                            std::vector<std::size_t>& changed);
    wire::DeviceInfo infoOf(std::size_t lamp) const;

    PracticeRig& rig_;
    std::vector<Device> devices_; // as the rig's lamps
};

} // namespace zelo::practice
