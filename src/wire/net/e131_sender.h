// SPDX-License-Identifier: GPL-3.0-or-later
// Sends frames as E1.31 to one address, 127.0.0.1 unless chosen otherwise. Runs in the thread that
// calls send(); the socket does not block: a packet that the system cannot take is counted.
//
// Only on change, with keep-alive (§6.6.1 of E1.31): a universe that changed is sent, then three
// repeats, then once in 800 ms. Terminated: three packets with the flag, by the destructor.
#pragma once

#include "base/result.h"
#include "light/frame.h"
#include "wire/e131.h"

#include <atomic>
#include <chrono>
#include <memory>

namespace zelo::wire {

struct E131Settings {
    std::string address = "127.0.0.1"; // IPv4
    std::uint16_t port = kE131Port;
    std::string source_name = "Zelochrome";
    std::uint8_t priority = 100;
    Cid cid{};
};

class E131Sender : public light::FrameSink {
public:
    using Clock = std::chrono::steady_clock;

    static Result<std::unique_ptr<E131Sender>> open(E131Settings settings);
    ~E131Sender() override;

    void send(const light::Frame& frame) override { sendAt(frame, Clock::now()); }
    void sendAt(const light::Frame& frame, Clock::time_point now); // time passed in, for tests

    std::uint64_t packets() const { return packets_; } // sent
    std::uint64_t refused() const { return refused_; } // not taken by the system

private:
    struct Socket;
    struct Stream;
    explicit E131Sender(E131Settings settings);
    void sendPacket(Stream& stream);

    E131Settings settings_;
    std::unique_ptr<Socket> socket_;
    std::vector<std::unique_ptr<Stream>> streams_;
    DataPacket packet_; // reused: sending allocates nothing once a universe is known
    std::array<std::uint8_t, kE131Header + light::kSlots> bytes_{};
    std::atomic<std::uint64_t> packets_{0};
    std::atomic<std::uint64_t> refused_{0};
};

} // namespace zelo::wire
