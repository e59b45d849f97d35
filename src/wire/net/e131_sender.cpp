// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/e131_sender.h"

#include <asio.hpp>

namespace zelo::wire {

using asio::ip::udp;

namespace {
constexpr int kRepeats = 3;
constexpr auto kKeepAlive = std::chrono::milliseconds(800);
} // namespace

struct E131Sender::Socket {
    asio::io_context context;
    udp::socket socket{context};
    udp::endpoint to;
};

struct E131Sender::Stream {
    light::UniverseSlots sent;
    int repeats_left = 0;
    std::uint8_t sequence = 0;
    Clock::time_point last;
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
    const auto address = asio::ip::make_address_v4(settings.address, error);
    if (error)
        return fail(ErrorCode::BadValue, "'{}': expected an IPv4 address", settings.address);
    std::unique_ptr<E131Sender> sender(new E131Sender(std::move(settings)));
    auto& s = *sender->socket_;
    s.to = udp::endpoint(address, sender->settings_.port);
    s.socket.open(udp::v4(), error);
    if (!error)
        s.socket.non_blocking(true, error);
    if (error)
        return fail(ErrorCode::Io, "no socket for E1.31: {}", error.message());
    return sender;
}

E131Sender::~E131Sender() {
    packet_.options = kStreamTerminated;
    for (int i = 0; i < 3; ++i)
        for (auto& stream : streams_)
            sendPacket(*stream);
}

void E131Sender::sendAt(const light::Frame& frame, Clock::time_point now) {
    for (const auto& universe : frame.universes) {
        Stream* stream = nullptr;
        for (auto& s : streams_)
            if (s->sent.universe == universe.universe)
                stream = s.get();
        if (!stream) {
            streams_.push_back(std::make_unique<Stream>());
            stream = streams_.back().get();
            stream->sent = universe;
            stream->repeats_left = kRepeats + 1;
        } else if (stream->sent.values != universe.values) {
            stream->sent.values = universe.values;
            stream->repeats_left = kRepeats + 1;
        }
        if (stream->repeats_left == 0 && now - stream->last < kKeepAlive)
            continue;
        stream->repeats_left = std::max(0, stream->repeats_left - 1);
        stream->last = now;
        sendPacket(*stream);
    }
}

void E131Sender::sendPacket(Stream& stream) {
    packet_.universe = stream.sent.universe;
    packet_.sequence = stream.sequence++;
    std::copy(stream.sent.values.begin(), stream.sent.values.end(), packet_.values.begin());
    const auto size = encode(packet_, bytes_);
    asio::error_code error;
    socket_->socket.send_to(asio::buffer(bytes_.data(), size), socket_->to, 0, error);
    ++(error ? refused_ : packets_);
}

} // namespace zelo::wire
