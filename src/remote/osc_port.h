// SPDX-License-Identifier: GPL-3.0-or-later
// The socket that OSC comes in by: on this computer alone, or on its networks. Whoever sent last is
// told how things stand.
#pragma once

#include "base/result.h"
#include "remote/bindings.h"

#include <functional>
#include <memory>

namespace zelo::remote {

class OscPort {
public:
    // `heard` is called on the port's thread; none comes after the destructor. Busy, Io. Port 0
    // takes any free one.
    using Heard = std::function<void(const Moved&)>;
    static Result<std::unique_ptr<OscPort>> open(Listens where, std::uint16_t port, Heard heard);
    ~OscPort();

    std::uint16_t port() const;
    void send(const std::string& path, float value); // to who sent last; before: nothing
    int senders() const; // so many times another one was the last to send

private:
    OscPort();
    struct Own;
    std::unique_ptr<Own> own_;
};

} // namespace zelo::remote
