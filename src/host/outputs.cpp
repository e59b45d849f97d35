// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/outputs.h"

#include "base/text.h"
#include "show/kept.h"

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

Result<std::shared_ptr<Outputs::Sender>> Outputs::opened(const show::OutputLine& line,
                                                         const NetworkChoice& network) const {
    if (!here(line.address) && !network.leavesComputer())
        return fail(
            ErrorCode::Unsupported,
            ZELO_TEXT("core",
                      "not sent to {}: choose a network first, until then all stays on this "
                      "computer"),
            line.address);
    const std::string from = here(line.address) ? std::string("127.0.0.1") : network.card;
    if (const auto places = now())
        for (const Place& place : *places)
            if (place.sender->protocol == line.protocol && place.sender->address == line.address &&
                place.sender->from == from)
                return place.sender;
    auto made = std::make_shared<Sender>();
    made->protocol = line.protocol;
    made->address = line.address;
    made->from = from;
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

std::shared_ptr<Outputs::Places> Outputs::now() const {
    const std::lock_guard lock(mutex_);
    return places_;
}

std::vector<Sentence> Outputs::set(const std::vector<show::OutputLine>& lines,
                                   const NetworkChoice& network) {
    std::vector<Sentence> troubles;
    auto next = std::make_shared<Places>();
    const auto add = [&](const show::OutputLine& line, bool all) {
        for (Place& place : *next) {
            if (place.sender->protocol != line.protocol || place.sender->address != line.address)
                continue;
            for (const show::OutputLine& other : place.lines)
                if (show::sameThere(other, line)) {
                    troubles.push_back(
                        say(ZELO_TEXT("core", "universes {} to {}: another line sends to these "
                                              "of {}: not sent"),
                            line.first, line.first + line.count - 1, line.address));
                    return;
                }
            place.lines.push_back(line);
            return;
        }
        auto sender = opened(line, network);
        if (!sender)
            return troubles.push_back(sender.error().sentence());
        Place place;
        place.sender = std::move(*sender);
        if (!all)
            place.lines = {line};
        next->push_back(std::move(place));
    };
    for (const auto& line : lines)
        if (line.on)
            add(line, false);
    if (lines.empty())
        add({}, true);
    const std::lock_guard lock(mutex_);
    places_.swap(next); // senders that go end their streams when nobody sends with them any more
    return troubles;
}

void Outputs::send(const light::Frame& frame) {
    const auto places = now();
    const auto time = wire::KeepAlive::Clock::now();
    for (std::size_t i = 0; places && i < places->size(); ++i) {
        Place& place = (*places)[i];
        if (place.lines.empty()) {
            place.sender->e131->sendAt(frame, time);
            continue;
        }
        std::size_t used = 0;
        place.outgoing.clear();
        for (const auto& line : place.lines)
            for (const auto& universe : frame.universes) {
                const int off = universe.universe - line.first;
                if (off < 0 || off >= line.count)
                    continue;
                if (used == place.frame.universes.size())
                    place.frame.universes.emplace_back();
                auto& there = place.frame.universes[used++];
                there.universe = static_cast<std::uint16_t>(line.to + off);
                there.values = universe.values;
                place.outgoing.push_back({nullptr, static_cast<std::uint8_t>(line.priority),
                                          static_cast<std::uint16_t>(line.sync ? line.to : 0)});
            }
        place.frame.universes.resize(used);
        if (place.sender->art_net) {
            place.sender->art_net->sendAt(place.frame, time);
            continue;
        }
        for (std::size_t u = 0; u < used; ++u)
            place.outgoing[u].levels = &place.frame.universes[u];
        place.sender->e131->sendAt(place.outgoing, time);
    }
}

std::uint64_t Outputs::packets() const {
    const auto places = now();
    std::uint64_t all = 0;
    for (std::size_t i = 0; places && i < places->size(); ++i) {
        const Sender& sender = *(*places)[i].sender;
        all += sender.e131 ? sender.e131->packets() : sender.art_net->packets();
    }
    return all;
}

std::vector<Sentence> Outputs::lost() const {
    std::vector<Sentence> all;
    const auto places = now();
    for (std::size_t i = 0; places && i < places->size(); ++i) {
        const Sender& sender = *(*places)[i].sender;
        const auto lost = sender.e131 ? sender.e131->refused() : sender.art_net->refused();
        if (lost == 0)
            continue;
        all.push_back(sender.e131
                          ? say(ZELO_TEXT("core", "{}: lost packets: {} ({})"), sender.address,
                                lost, sender.e131->lastRefusal().message())
                          : say(ZELO_TEXT("core", "{}: lost packets: {}"), sender.address, lost));
    }
    return all;
}

} // namespace zelo::host
