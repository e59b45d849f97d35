// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/outputs.h"

#include "base/text.h"

#include <arpa/inet.h>
#include <ifaddrs.h>
#include <net/if.h>

namespace zelo::host {

namespace {
bool here(const std::string& address) {
    return startsWith(address, "127.");
}

std::string textOf(const sockaddr* address) {
    char text[INET_ADDRSTRLEN] = {};
    const auto* in = reinterpret_cast<const sockaddr_in*>(address);
    return address && inet_ntop(AF_INET, &in->sin_addr, text, sizeof text) ? text : std::string();
}
} // namespace

std::vector<NetworkCard> networkCards() {
    std::vector<NetworkCard> cards;
    ifaddrs* all = nullptr;
    if (getifaddrs(&all) != 0)
        return cards;
    for (const ifaddrs* i = all; i; i = i->ifa_next)
        if (i->ifa_addr && i->ifa_addr->sa_family == AF_INET && (i->ifa_flags & IFF_UP))
            cards.push_back(
                {i->ifa_name, textOf(i->ifa_addr),
                 i->ifa_flags & IFF_BROADCAST ? textOf(i->ifa_broadaddr) : textOf(i->ifa_addr)});
    freeifaddrs(all);
    return cards;
}

Result<std::shared_ptr<Outputs::Line>> Outputs::opened(const show::OutputLine& line, bool all,
                                                       const NetworkChoice& network) const {
    if (!here(line.address) && !network.leavesComputer())
        return fail(
            ErrorCode::Unsupported,
            ZELO_TEXT("core",
                      "not sent to {}: choose a network first, until then all stays on this "
                      "computer"),
            line.address);
    const std::string from = here(line.address) ? std::string("127.0.0.1") : network.card;
    if (const auto lines = now())
        for (const auto& known : *lines)
            if (known->as == line && known->all == all && known->from == from)
                return known;
    auto made = std::make_shared<Line>();
    made->as = line;
    made->from = from;
    made->all = all;
    if (line.protocol == show::Protocol::ArtNet) {
        auto sender = wire::ArtNetSender::open({from, line.address, ports_.art_net});
        if (!sender)
            return passOn(sender.error());
        made->art_net = std::move(*sender);
        return made;
    }
    wire::E131Settings settings;
    settings.address = line.address;
    settings.from = from;
    settings.port = ports_.e131;
    settings.cid = cid_;
    auto sender = wire::E131Sender::open(settings);
    if (!sender)
        return passOn(sender.error());
    made->e131 = std::move(*sender);
    return made;
}

std::shared_ptr<const Outputs::Lines> Outputs::now() const {
    const std::lock_guard lock(mutex_);
    return lines_;
}

std::vector<Sentence> Outputs::set(const std::vector<show::OutputLine>& lines,
                                   const NetworkChoice& network) {
    std::vector<Sentence> troubles;
    auto next = std::make_shared<Lines>();
    const auto add = [&](const show::OutputLine& line, bool all) {
        auto made = opened(line, all, network);
        if (made)
            next->push_back(std::move(*made));
        else
            troubles.push_back(made.error().sentence());
    };
    for (const auto& line : lines)
        if (line.on)
            add(line, false);
    if (lines.empty())
        add({}, true);
    std::shared_ptr<const Lines> gone = std::move(next);
    const std::lock_guard lock(mutex_);
    lines_.swap(gone); // its lines end their streams when nobody sends with them any more
    return troubles;
}

void Outputs::send(const light::Frame& frame) {
    const auto lines = now();
    const auto time = wire::KeepAlive::Clock::now();
    for (std::size_t i = 0; lines && i < lines->size(); ++i) {
        Line& line = *(*lines)[i];
        if (line.all) {
            line.e131->sendAt(frame, time);
            continue;
        }
        std::size_t used = 0;
        for (const auto& universe : frame.universes) {
            const int off = universe.universe - line.as.first;
            if (off < 0 || off >= line.as.count)
                continue;
            if (used == line.frame.universes.size())
                line.frame.universes.emplace_back();
            auto& there = line.frame.universes[used++];
            there.universe = static_cast<std::uint16_t>(line.as.to + off);
            there.values = universe.values;
        }
        line.frame.universes.resize(used);
        if (line.e131)
            line.e131->sendAt(line.frame, time);
        else
            line.art_net->sendAt(line.frame, time);
    }
}

std::uint64_t Outputs::packets() const {
    const auto lines = now();
    std::uint64_t all = 0;
    for (std::size_t i = 0; lines && i < lines->size(); ++i) {
        const Line& line = *(*lines)[i];
        all += line.e131 ? line.e131->packets() : line.art_net->packets();
    }
    return all;
}

} // namespace zelo::host
