// SPDX-License-Identifier: GPL-3.0-or-later
// The practice rig's answers to Art-Net and RDM: each lamp is a device. An awkward rig has, among
// its well-behaved devices, some that answer slowly or ask to be asked again later, one whose
// checksums are wrong, two of one identity, and one that is silent.
// Not thread-safe: as the rig.
#pragma once

#include "practice/practice_rig.h"
#include "wire/art_net.h"

#include <chrono>

namespace zelo::practice {

enum class Manner { Plain, Slow, Later, Garbled, Twin, Silent };

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
        bool asked_before = false; // of Later: the next answer comes
    };
    std::vector<std::uint16_t> ports() const;
    wire::RdmMessage answer(std::size_t lamp, const wire::RdmMessage& request,
                            std::vector<std::size_t>& changed);
    wire::DeviceInfo infoOf(std::size_t lamp) const;

    PracticeRig& rig_;
    std::vector<Device> devices_; // as the rig's lamps
};

} // namespace zelo::practice
