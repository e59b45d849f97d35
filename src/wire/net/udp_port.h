// SPDX-License-Identifier: GPL-3.0-or-later
// One UDP socket with a thread of its own: datagrams in, datagrams out, and a tick.
#pragma once

#include "base/result.h"

#include <array>
#include <chrono>
#include <cstdint>
#include <functional>
#include <memory>
#include <span>
#include <string>

namespace zelo::wire {

struct Endpoint {
    std::array<std::uint8_t, 4> ip{127, 0, 0, 1};
    std::uint16_t port = 0;
    auto operator<=>(const Endpoint&) const = default;
};
std::string toText(const Endpoint& endpoint);                        // "127.0.0.1:6454"
Result<std::array<std::uint8_t, 4>> ipv4Of(const std::string& text); // BadValue

class UdpPort {
public:
    struct Taker { // both are called on the port's thread
        std::function<void(std::span<const std::uint8_t>, const Endpoint& from)> datagram;
        std::function<void()> tick = {};
        std::chrono::milliseconds every{20};
    };
    // Port 0 takes any free one. Io when it is in use, BadValue for an address that is none. It can
    // send at once; the taker is called from start() on, when the owner holds it.
    static Result<std::unique_ptr<UdpPort>> open(const std::string& address, std::uint16_t port,
                                                 Taker taker);
    ~UdpPort(); // stops and joins; no call comes after it

    void start(); // once

    std::uint16_t port() const;
    // From any thread; false when the system does not take it. Broadcast addresses are allowed.
    bool send(std::span<const std::uint8_t> bytes, const Endpoint& to);
    void post(std::function<void()> job); // onto the port's thread

private:
    struct Socket;
    explicit UdpPort(Taker taker);
    void listen();
    void wait();
    Taker taker_;
    std::unique_ptr<Socket> socket_;
};

} // namespace zelo::wire
