// SPDX-License-Identifier: GPL-3.0-or-later
// The output map at work: each universe of a frame goes where the show's output lines say. With no
// line every universe goes as E1.31 to this computer. What would leave this computer is held back
// until a network card has been chosen.
#pragma once

#include "light/frame.h"
#include "show/show.h"
#include "wire/e131.h"
#include "wire/net/art_net_sender.h"
#include "wire/net/e131_sender.h"

#include <mutex>

namespace zelo::host {

struct NetworkChoice {
    std::string card = "127.0.0.1"; // address of the network card; this computer only unless chosen
    bool leavesComputer() const { return card.rfind("127.", 0) != 0; }
    friend bool operator==(const NetworkChoice&, const NetworkChoice&) = default;
};

// Network cards of this computer: name, IPv4 address and broadcast address.
struct NetworkCard {
    std::string name, address, broadcast;
};
std::vector<NetworkCard> networkCards();

struct OutputPorts { // other ones than the standards', for tests and practice rigs
    std::uint16_t e131 = wire::kE131Port;
    std::uint16_t art_net = wire::kArtNetPort;
};

class Outputs : public light::FrameSink {
public:
    Outputs(wire::Cid cid, OutputPorts ports) : cid_(cid), ports_(ports) {}

    // From the interface's thread. One sentence for each line that does not go out, and why. Lines
    // that stay as they were go on without a break; those that go end their streams.
    std::vector<Sentence> set(const std::vector<show::OutputLine>& lines,
                              const NetworkChoice& network);

    void send(const light::Frame& frame) override;

    // Packets sent by the lines in use now.
    std::uint64_t packets() const;

private:
    struct Line {
        show::OutputLine as; // what it was opened for
        std::string from;    // by this network card
        bool all = false;    // all universes, as they are
        light::Frame frame;  // reused: its universes are renumbered
        std::unique_ptr<wire::E131Sender> e131;
        std::unique_ptr<wire::ArtNetSender> art_net;
    };
    using Lines = std::vector<std::shared_ptr<Line>>;
    Result<std::shared_ptr<Line>> opened(const show::OutputLine& line, bool all,
                                         const NetworkChoice& network) const;
    std::shared_ptr<const Lines> now() const;

    wire::Cid cid_;
    OutputPorts ports_;
    mutable std::mutex mutex_; // of lines_; held for a pointer's copy
    std::shared_ptr<const Lines> lines_;
};

} // namespace zelo::host
