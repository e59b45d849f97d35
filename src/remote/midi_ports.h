// SPDX-License-Identifier: GPL-3.0-or-later
// The MIDI devices of this computer: all that are there are listened to, also those that come
// later, and each is told where its faders and lamps should stand.
#pragma once

#include "remote/control.h"

#include <functional>
#include <memory>
#include <string>
#include <vector>

namespace zelo::remote {

class MidiPorts {
public:
    // Called on a thread of the system's. None comes after the destructor.
    using Heard = std::function<void(const Moved&)>;
    explicit MidiPorts(Heard heard);
    ~MidiPorts();

    bool available() const; // the system has MIDI at all
    void look();            // for devices that came or went; some milliseconds
    const std::vector<std::string>& devices() const; // that are listened to
    void send(const Control& control, double value); // to its device; where it is not: nothing

private:
    struct Ports;
    std::unique_ptr<Ports> ports_;
};

} // namespace zelo::remote
