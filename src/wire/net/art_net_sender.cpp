// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/art_net_sender.h"

namespace zelo::wire {

Result<std::unique_ptr<ArtNetSender>> ArtNetSender::open(const Settings& settings) {
    const auto to = ipv4Of(settings.to);
    if (!to)
        return passOn(to.error());
    auto port = UdpPort::open(settings.from, 0, {[](auto, const Endpoint&) {}});
    if (!port)
        return passOn(port.error());
    std::unique_ptr<ArtNetSender> sender(new ArtNetSender);
    sender->port_ = std::move(*port);
    sender->to_ = {*to, settings.port};
    return sender;
}

void ArtNetSender::sendAt(const light::Frame& frame, KeepAlive::Clock::time_point now) {
    for (const auto& universe : frame.universes) {
        if (universe.universe > kLastPortAddress)
            continue;
        KeepAlive::Stream* due = streams_.due(universe, now);
        if (!due)
            continue;
        due->sequence = static_cast<std::uint8_t>(due->sequence == 255 ? 1 : due->sequence + 1);
        const auto size = encodeArtDmx(universe.universe, due->sequence, due->sent.values, bytes_);
        ++(port_->send({bytes_.data(), size}, to_) ? packets_ : refused_);
    }
    streams_.endRound([](KeepAlive::Stream&) {}); // Art-Net has no word for the end
}

} // namespace zelo::wire
