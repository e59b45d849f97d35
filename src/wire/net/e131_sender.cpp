// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/e131_sender.h"

#include <asio.hpp>

namespace zelo::wire {

using asio::ip::udp;

struct E131Sender::Socket {
    asio::io_context context;
    udp::socket socket{context};
    udp::endpoint to;
    bool multicast = false;
};

E131Sender::E131Sender(E131Settings settings)
    : settings_(std::move(settings)), socket_(std::make_unique<Socket>()) {
    packet_.cid = settings_.cid;
    packet_.source_name = settings_.source_name;
    packet_.priority = settings_.priority;
    packet_.values.resize(light::kSlots);
}

Result<std::unique_ptr<E131Sender>> E131Sender::open(E131Settings settings) {
    asio::error_code error;
    const bool multicast = settings.address == "multicast";
    const auto address =
        multicast ? asio::ip::address_v4() : asio::ip::make_address_v4(settings.address, error);
    if (error)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': expected an IPv4 address"),
                    settings.address);
    const auto from = settings.from.empty() ? asio::ip::address_v4::any()
                                            : asio::ip::make_address_v4(settings.from, error);
    if (error)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': expected an IPv4 address"),
                    settings.from);
    std::unique_ptr<E131Sender> sender(new E131Sender(std::move(settings)));
    auto& s = *sender->socket_;
    s.to = udp::endpoint(address, sender->settings_.port);
    s.multicast = multicast;
    s.socket.open(udp::v4(), error);
    if (!error && !sender->settings_.from.empty())
        s.socket.bind({from, 0}, error);
    if (!error && multicast)
        s.socket.set_option(asio::ip::multicast::outbound_interface(from), error);
    if (!error)
        s.socket.non_blocking(true, error);
    if (error)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "no socket for E1.31: {}"), error.message());
    return sender;
}

E131Sender::~E131Sender() {
    packet_.options = kStreamTerminated;
    for (int i = 0; i < 3; ++i)
        for (auto& stream : streams_.streams())
            sendPacket(*stream);
}

void E131Sender::sendAt(const light::Frame& frame, Clock::time_point now) {
    for (const auto& universe : frame.universes)
        if (KeepAlive::Stream* due = streams_.due(universe, now))
            sendPacket(*due);
}

void E131Sender::sendPacket(KeepAlive::Stream& stream) {
    if (socket_->multicast)
        socket_->to.address(
            asio::ip::address_v4(0xefff0000u | stream.sent.universe)); // 239.255.high.low
    packet_.universe = stream.sent.universe;
    packet_.sequence = stream.sequence++;
    std::copy(stream.sent.values.begin(), stream.sent.values.end(), packet_.values.begin());
    const auto size = encode(packet_, bytes_);
    asio::error_code error;
    socket_->socket.send_to(asio::buffer(bytes_.data(), size), socket_->to, 0, error);
    ++(error ? refused_ : packets_);
}

} // namespace zelo::wire
