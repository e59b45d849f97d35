// SPDX-License-Identifier: GPL-3.0-or-later
// Listens for E1.31 on one address and port, on a thread of its own. Malformed and out-of-sequence
// packets are counted and dropped.
#pragma once

#include "base/result.h"
#include "wire/e131.h"

#include <atomic>
#include <functional>
#include <memory>

namespace zelo::wire {

class E131Receiver {
public:
    // `take` is called on the receiver's thread. Io when the port is in use:
    // "127.0.0.1:5568 is in use: another receiver runs already".
    static Result<std::unique_ptr<E131Receiver>> open(const std::string& address,
                                                      std::uint16_t port,
                                                      std::function<void(const DataPacket&)> take);
    ~E131Receiver(); // stops and joins

    std::uint16_t port() const; // the real one, also when opened with port 0
    std::uint64_t malformed() const { return malformed_; }
    std::uint64_t late() const { return late_; }

private:
    struct Socket;
    explicit E131Receiver(std::function<void(const DataPacket&)> take);
    void listen();
    void takeIn(std::span<const std::uint8_t> bytes);

    std::function<void(const DataPacket&)> take_;
    std::unique_ptr<Socket> socket_;
    std::atomic<std::uint64_t> malformed_{0};
    std::atomic<std::uint64_t> late_{0};
};

} // namespace zelo::wire
