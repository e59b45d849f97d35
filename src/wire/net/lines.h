// SPDX-License-Identifier: GPL-3.0-or-later
// A line protocol over TCP on this computer: a request is one line; the answer is text and ends
// with an empty line. For the practice meter.
#pragma once

#include "base/result.h"

#include <chrono>
#include <cstdint>
#include <functional>
#include <memory>
#include <string>

namespace zelo::wire {

// Answers on 127.0.0.1 from a thread of its own, one request after the other.
class LineServer {
public:
    // `answer` is called on the server's thread; what it gives must hold no empty line. Port 0
    // takes any free one. Io when it is in use.
    static Result<std::unique_ptr<LineServer>>
    open(std::uint16_t port, std::function<std::string(const std::string&)> answer);
    ~LineServer();
    std::uint16_t port() const;

private:
    struct Socket;
    explicit LineServer(std::function<std::string(const std::string&)> answer);
    void accept();
    std::function<std::string(const std::string&)> answer_;
    std::unique_ptr<Socket> socket_;
};

// Asks and waits for the answer: Io when nobody is there or it takes longer than `within`;
// TooLarge beyond 4 MiB. Not for the interface's thread.
Result<std::string> askLine(std::uint16_t port, const std::string& line,
                            std::chrono::milliseconds within);

} // namespace zelo::wire
