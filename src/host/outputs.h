// SPDX-License-Identifier: GPL-3.0-or-later
// The output map at work: each universe of a frame goes where the show's output lines say. With no
// line every universe goes as E1.31 to this computer. What would leave this computer is held back
// until a network card has been chosen. All that goes to one place goes by one sender, whichever
// lines it comes from, so that a line may grow while its universes run.
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

    // From the interface's thread. One sentence for each line that does not go out, and why (two
    // lines to one universe of one place: the first has it). Universes that stay go on without a
    // break; those that go end their streams.
    std::vector<Sentence> set(const std::vector<show::OutputLine>& lines,
                              const NetworkChoice& network);

    void send(const light::Frame& frame) override;

    // Packets sent to the places in use now.
    std::uint64_t packets() const;
    // One sentence for each place that packets got lost on the way to: how many, and why.
    std::vector<Sentence> lost() const;

private:
    struct Sender { // to one place
        show::Protocol protocol = show::Protocol::E131;
        std::string address;
        std::string from; // by this network card
        std::unique_ptr<wire::E131Sender> e131;
        std::unique_ptr<wire::ArtNetSender> art_net;
    };
    struct Place {
        std::shared_ptr<Sender> sender;
        std::vector<show::OutputLine> lines; // none: all universes, as they are
        light::Frame frame;                  // reused: its universes are renumbered
        std::vector<wire::E131Sender::Outgoing> outgoing;
    };
    using Places = std::vector<Place>;
    Result<std::shared_ptr<Sender>> opened(const show::OutputLine& line,
                                           const NetworkChoice& network) const;
    std::shared_ptr<Places> now() const;

    wire::Cid cid_;
    OutputPorts ports_;
    mutable std::mutex mutex_;       // of places_; held for a pointer's copy
    std::shared_ptr<Places> places_; // what is in it but the senders' counts belongs to send()
};

} // namespace zelo::host
