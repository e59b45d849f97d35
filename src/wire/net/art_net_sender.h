// SPDX-License-Identifier: GPL-3.0-or-later
// Sends frames as ArtDmx to one address; a universe's number is its port address. Like E131Sender:
// on change, then three repeats, then once in 800 ms; never blocks. When the sender goes, the nodes
// hold what they show: Art-Net has no word for an end.
#pragma once

#include "light/frame.h"
#include "wire/art_net.h"
#include "wire/net/keep_alive.h"
#include "wire/net/udp_port.h"

#include <atomic>

namespace zelo::wire {

class ArtNetSender {
public:
    struct Settings {
        std::string from = "127.0.0.1"; // of the network card
        std::string to = "127.0.0.1";   // a node, or a network's broadcast address
        std::uint16_t port = kArtNetPort;
    };
    static Result<std::unique_ptr<ArtNetSender>> open(const Settings& settings);

    // Port address 0..32767 for each universe; others are passed over.
    void sendAt(const light::Frame& frame, KeepAlive::Clock::time_point now);

    std::uint64_t packets() const { return packets_; }
    std::uint64_t refused() const { return refused_; } // not taken by the system

private:
    ArtNetSender() = default;
    std::unique_ptr<UdpPort> port_;
    Endpoint to_;
    KeepAlive streams_;
    std::array<std::uint8_t, kArtDmxHeader + light::kSlots> bytes_{};
    std::atomic<std::uint64_t> packets_{0};
    std::atomic<std::uint64_t> refused_{0};
};

} // namespace zelo::wire
