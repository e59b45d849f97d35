// SPDX-License-Identifier: GPL-3.0-or-later
// Sends universes as E1.31 to one address, 127.0.0.1 unless chosen otherwise, or to each universe's
// own multicast address (§9.3.1: 239.255.high.low). Runs in the thread that calls send(); the
// socket does not block: a packet that the system cannot take is counted.
//
// Only on change, with keep-alive (net/keep_alive.h). A universe that is not sent any more is
// terminated, by three packets with the flag; all are by the destructor. Every ten seconds, and
// when the universes change, it tells which they are (§8).
#pragma once

#include "base/result.h"
#include "light/frame.h"
#include "wire/e131.h"
#include "wire/net/keep_alive.h"

#include <atomic>
#include <memory>
#include <system_error>
#include <vector>

namespace zelo::wire {

struct E131Settings {
    std::string address = "127.0.0.1"; // IPv4, or "multicast"
    std::string from = {};             // of the network card; empty = whatever the system takes
    std::uint16_t port = kE131Port;
    std::string source_name = "Zelochrome";
    std::uint8_t priority = 100;
    Cid cid{};
};

class E131Sender : public light::FrameSink {
public:
    using Clock = KeepAlive::Clock;

    struct Outgoing {
        const light::UniverseSlots* levels; // as it is numbered there
        std::uint8_t priority = 100;
        std::uint16_t sync_universe = 0; // 0: shown at once; else with all others of this number
    };

    static Result<std::unique_ptr<E131Sender>> open(E131Settings settings);
    ~E131Sender() override;

    void send(const light::Frame& frame) override { sendAt(frame, Clock::now()); }
    void sendAt(const light::Frame& frame, Clock::time_point now); // time passed in, for tests
    void sendAt(std::span<const Outgoing> universes, Clock::time_point now);

    std::uint64_t packets() const { return packets_; } // of levels, sent
    std::uint64_t refused() const { return refused_; } // not taken by the system
    std::error_code lastRefusal() const { return {why_.load(), std::system_category()}; }

private:
    struct Socket;
    explicit E131Sender(E131Settings settings);
    void take(const Outgoing& universe, Clock::time_point now);
    void endRound(Clock::time_point now);
    void sendPacket(KeepAlive::Stream& stream);
    void sendDiscovery();
    bool put(std::span<const std::uint8_t> bytes, std::uint16_t multicast_universe);

    E131Settings settings_;
    std::unique_ptr<Socket> socket_;
    KeepAlive streams_;
    DataPacket packet_; // reused: sending allocates nothing once a universe is known
    std::array<std::uint8_t, kE131Header + light::kSlots> bytes_{};
    std::uint8_t sync_sequence_ = 0;
    std::vector<std::uint16_t> to_sync_; // of this round
    Clock::time_point next_discovery_{};
    std::atomic<std::uint64_t> packets_{0};
    std::atomic<std::uint64_t> refused_{0};
    std::atomic<int> why_{0};
};

} // namespace zelo::wire
