// SPDX-License-Identifier: GPL-3.0-or-later
// The MIDI devices of this computer: all that are there are listened to, also those that come
// later, and each is told where its faders and lamps should stand.
#pragma once

#include "remote/control.h"

#include <chrono>
#include <functional>
#include <memory>
#include <string>
#include <thread>
#include <vector>

namespace zelo::remote {

class MidiPorts {
public:
    // Both are called on threads of the system's or of this. None comes after the destructor.
    using Heard = std::function<void(const Moved&)>;
    using Changed = std::function<void()>; // devices came or went
    // Jack: of a server that runs as long as this; for tests on a system without a sequencer. (A
    // server that ends takes the program with it: its library frees what is still open.)
    enum class System { Sequencer, Jack };
    // Looks for them at once and again after each time `between`, on a thread of its own: a system
    // that hangs holds up nobody here.
    MidiPorts(Heard heard, Changed changed,
              std::chrono::milliseconds between = std::chrono::seconds(3),
              System system = System::Sequencer);
    ~MidiPorts(); // waits half a second at most

    bool available() const;                   // the system has MIDI at all
    std::vector<std::string> devices() const; // that are listened to
    void send(const Control& control,
              double value); // to its device, soon; where it is not: nothing

private:
    struct Ports;
    std::shared_ptr<Ports> ports_;
    std::thread thread_;
};

} // namespace zelo::remote
