// SPDX-License-Identifier: GPL-3.0-or-later
// The practice rig on the network: its lamps, the receiver that feeds them, and what is printed.
#pragma once

#include "practice/practice_rig.h"
#include "wire/net/e131_receiver.h"

#include <mutex>

namespace zelo::rig {

struct RigWish {
    std::string show; // whose patch the lamps have
    bool demo = false;
    bool headless = false;
    bool watch = false; // print a JSON line for each lamp that changed
    bool exact = false; // lamps shine just as their data says
    std::uint64_t seed = 1;
    int port = 5568;
    std::string shot; // draw the window to this PNG after two seconds, and exit
};

class RigLoop {
public:
    // Fails with the file and place of a broken show, or when the port is in use.
    static Result<std::unique_ptr<RigLoop>> open(const RigWish& wish);

    struct View { // for the window
        int number;
        colour::Xyz xyz;
    };
    std::vector<View> view() const;
    std::uint64_t packets() const;
    std::uint16_t port() const { return receiver_->port(); }

private:
    explicit RigLoop(const RigWish& wish) : rig_(wish.seed, wish.exact), watch_(wish.watch) {}
    void take(const wire::DataPacket& packet);

    mutable std::mutex mutex_;
    practice::PracticeRig rig_;
    bool watch_;
    std::uint64_t packets_ = 0;
    std::unique_ptr<wire::E131Receiver> receiver_; // last: its thread uses the others
};

} // namespace zelo::rig
