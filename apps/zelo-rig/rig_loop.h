// SPDX-License-Identifier: GPL-3.0-or-later
// The practice rig on the network: its lamps, the receiver that feeds them, and what is printed.
#pragma once

#include "host/meter.h"
#include "practice/meter.h"
#include "practice/practice_rig.h"
#include "practice/responder.h"
#include "wire/e131_sources.h"
#include "wire/net/e131_receiver.h"
#include "wire/net/lines.h"
#include "wire/net/udp_port.h"

#include <mutex>

namespace zelo::host {
class Library;
}
namespace zelo::show {
struct Show;
}

namespace zelo::rig {

struct RigWish {
    std::string show; // whose patch the lamps have
    bool demo = false;
    bool headless = false;
    bool watch = false; // print a JSON line for each lamp that changed
    bool exact = false; // lamps shine just as their data says
    std::uint64_t seed = 1;
    int port = 5568;
    int art_port = wire::kArtNetPort;
    int meter_port = host::kMeterPort;
    bool awkward = true; // some devices answer RDM slowly, badly, twice or not at all
    int spare = 0;       // so many more lamps than the show has, on free slots
    std::string shot;    // draw the window to this PNG after two seconds, and exit
};

class RigLoop {
public:
    // Fails with the file and place of a broken show, or when the port is in use.
    static Result<std::unique_ptr<RigLoop>> open(const RigWish& wish);

    struct View { // for the window
        int number;
        colour::Xyz xyz;
        bool identifying;
    };
    std::vector<View> view() const;
    std::uint64_t packets() const;
    std::uint16_t port() const { return receiver_->port(); }
    std::uint16_t meterPort() const { return meter_ ? meter_->port() : std::uint16_t{0}; }
    std::uint16_t artPort() const { return art_ ? art_->port() : std::uint16_t{0}; }

private:
    explicit RigLoop(const RigWish& wish) : rig_(wish.seed, wish.exact), watch_(wish.watch) {}
    void addLamps(const RigWish& wish, const show::Show& show, const host::Library& library);
    Done listen(const RigWish& wish);
    void take(const wire::DataPacket& packet);
    void takeArt(std::span<const std::uint8_t> bytes, const wire::Endpoint& from);
    std::string measured(const std::string& line); // the meter's answer
    void tick();
    void sendReady(); // answers whose time has come; the lock held
    void print(const std::vector<std::size_t>& lamps);

    mutable std::mutex mutex_;
    practice::PracticeRig rig_;
    bool watch_;
    std::uint64_t packets_ = 0;
    wire::E131Sources sources_;
    std::unique_ptr<practice::Responder> responder_;
    struct Late {
        std::chrono::steady_clock::time_point at;
        std::vector<std::uint8_t> bytes;
        wire::Endpoint to;
    };
    std::vector<Late> late_;
    std::unique_ptr<practice::Meter> readings_;
    std::unique_ptr<wire::LineServer> meter_;      // null when its port is in use
    std::unique_ptr<wire::UdpPort> art_;           // null when its port is in use
    std::unique_ptr<wire::E131Receiver> receiver_; // last: its thread uses the others
};

} // namespace zelo::rig
