// SPDX-License-Identifier: GPL-3.0-or-later
#include "remote/osc_port.h"

#include "remote/osc_message.h"
#include "wire/net/udp_port.h"

#include <mutex>
#include <optional>

namespace zelo::remote {

struct OscPort::Own {
    Heard heard;
    std::mutex mutex; // of the next two
    std::optional<wire::Endpoint> last;
    int senders = 0;
    std::unique_ptr<wire::UdpPort> socket; // goes first: its thread uses the others
};

OscPort::OscPort() : own_(std::make_unique<Own>()) {}

OscPort::~OscPort() {
    own_->socket.reset();
}

Result<std::unique_ptr<OscPort>> OscPort::open(Listens where, std::uint16_t port, Heard heard) {
    std::unique_ptr<OscPort> made(new OscPort);
    Own* own = made->own_.get();
    own->heard = std::move(heard);
    auto socket = wire::UdpPort::open(
        where == Listens::Network ? "0.0.0.0" : "127.0.0.1", port,
        {[own](std::span<const std::uint8_t> packet, const wire::Endpoint& from) {
            const auto all = readOsc(packet);
            if (all.empty())
                return; // not OSC: whoever sends such things is not answered
            {
                const std::scoped_lock lock(own->mutex);
                own->senders += own->last != from;
                own->last = from;
            }
            for (const Moved& moved : all)
                own->heard(moved);
        }});
    if (!socket)
        return passOn(socket.error());
    own->socket = std::move(*socket);
    own->socket->start();
    return made;
}

std::uint16_t OscPort::port() const {
    return own_->socket->port();
}

int OscPort::senders() const {
    const std::scoped_lock lock(own_->mutex);
    return own_->senders;
}

void OscPort::send(const std::string& path, float value) {
    std::optional<wire::Endpoint> to;
    {
        const std::scoped_lock lock(own_->mutex);
        to = own_->last;
    }
    if (to)
        own_->socket->send(oscFor(path, value), *to);
}

} // namespace zelo::remote
