// SPDX-License-Identifier: GPL-3.0-or-later
// Finds what hangs on the network: Art-Net nodes by poll, their ports' tables of RDM devices, and
// each device's maker, model, label, personality and address. Also asks one device to identify
// itself or to take another address.
//
// It works on a thread of its own and hangs on nobody: each question has a deadline and is asked
// twice at most. Up to eight devices are asked side by side, but one question at a time on each
// port, since its cable carries one; while a device needs time (ACK_TIMER), others are asked, and
// then it is asked for its queued message. Answers in pieces (ACK_OVERFLOW) are put together. What
// answers badly, twice or not at all is reported with the device.
//
// On a network it also listens on the broadcast address: old nodes answer a poll by broadcast, and
// a socket of a card's own address hears none. It answers polls of other controllers itself.
#pragma once

#include "wire/art_net.h"
#include "wire/net/udp_port.h"

#include <atomic>
#include <deque>
#include <map>
#include <mutex>

namespace zelo::wire {

struct FoundDevice {
    Uid uid;
    Endpoint node;
    std::uint16_t port_address = 0;
    bool done = false;     // all questions are answered or given up
    bool answered = false; // at least with its device info
    DeviceInfo info;
    std::string maker, model, label, personality;
    std::vector<Sentence> troubles; // "does not answer", one line each
};

struct FinderState {
    bool searching = false;
    int nodes = 0;                    // that answered the poll within the last ten seconds
    int ports = 0;                    // of RDM, found by this search
    int ports_asked = 0;              // whose table has come, or was given up
    std::vector<FoundDevice> devices; // in the order of the tables
    std::vector<Sentence> troubles;   // of nodes and ports
    std::uint64_t malformed = 0;      // packets dropped
    int devicesDone() const;
};

struct FinderSettings {
    std::string from = "127.0.0.1"; // of the network card
    std::string to = "127.0.0.1";   // the network's broadcast address, or one node
    std::uint16_t port = kArtNetPort;
    Uid own{0x7ff0, 0x5a450001}; // a prototype maker's id of E1.20
    std::chrono::milliseconds answer_within{600};
    std::chrono::milliseconds nodes_within{700};
    std::chrono::milliseconds poll_every{3000};
};

class Finder {
public:
    using Told = std::function<void()>;
    using Answer = std::function<void(const Done&)>;

    // `on_change` is called on the finder's thread whenever state() has something new.
    static Result<std::unique_ptr<Finder>> open(FinderSettings settings, Told on_change);
    ~Finder();

    void search(); // begins anew
    void stop();   // keeps what was found
    FinderState state() const;
    int nodes() const { return nodes_; } // seen within the last ten seconds
    std::uint16_t port() const { return port_->port(); }

    // The answer comes on the finder's thread: done, or why not.
    void identify(const Uid& uid, bool on, Answer answer);
    void setAddress(const Uid& uid, int address, Answer answer);         // 1..512
    void setPersonality(const Uid& uid, int personality, Answer answer); // from 1

private:
    using Clock = std::chrono::steady_clock;
    struct Question {
        Uid uid;
        RdmClass command = RdmClass::Get;
        std::uint16_t parameter = 0;
        std::vector<std::uint8_t> data;
        Answer answer = {}; // of a set; of a get `device` says whose it is
        std::size_t device = 0;
        int tries = 0;
        int later = 0; // how often it said so
        std::uint8_t transaction = 0;
        Clock::time_point deadline = {}; // of the answer, or when it is asked again
        bool in_flight = false;          // on the cable now
        bool for_queued = false;         // what is asked for next is the queued message
        std::vector<std::uint8_t> pieces = {};
    };
    struct Cable { // one port of a node
        Endpoint node;
        std::uint16_t port_address = 0;
        bool operator==(const Cable&) const = default;
    };
    struct Port {
        Endpoint node;
        std::uint16_t port_address = 0;
        Clock::time_point deadline;
        int tries = 0;
        std::vector<std::vector<Uid>> blocks;
        std::size_t known = 0;
        bool done = false;
    };

    Finder(FinderSettings settings, Told on_change);
    void take(std::span<const std::uint8_t> bytes, const Endpoint& from);
    void takeReply(const ArtPollReply& reply, const Endpoint& from);
    void takeTod(const ArtTodData& tod, const Endpoint& from);
    void takeRdm(const ArtRdm& rdm);
    void takeAnswer(Question& question, const RdmMessage& message);
    void tick();
    void poll();
    void ask(Question& question);
    void askWhatWaits(); // each question whose cable is free
    Cable cableOf(const Uid& uid) const;
    void takePoll(const Endpoint& from);
    void askPort(Port& port);
    void portDone(Port& port);
    void next(std::size_t device);
    void giveUp(Question question, const Sentence& why);
    void trouble(std::size_t device, const Sentence& line);
    void set(const Uid& uid, std::uint16_t parameter, std::vector<std::uint8_t> data,
             Answer answer);
    void changed();

    FinderSettings settings_;
    Told on_change_;
    std::atomic<int> nodes_{0};
    mutable std::mutex mutex_; // of state_
    FinderState state_;
    // The rest belongs to the thread.
    Endpoint to_;
    std::map<Endpoint, Clock::time_point> seen_;
    std::deque<Port> ports_;
    std::deque<std::size_t> waiting_; // devices not asked yet
    std::deque<Question> open_;       // questions that wait for their answer
    std::map<std::pair<Uid, std::uint8_t>, Clock::time_point> answered_; // to tell a second answer
    std::vector<std::size_t> step_; // of each device: which question is next
    int active_ = 0;
    std::uint8_t transaction_ = 0;
    Clock::time_point next_poll_{};
    Clock::time_point nodes_until_{};
    std::unique_ptr<UdpPort> port_;       // its thread uses the others
    std::unique_ptr<UdpPort> broadcasts_; // hands to it what it hears; null on this computer alone
};

} // namespace zelo::wire
