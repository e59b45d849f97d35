// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/e131_receiver.h"

#include "wire/net/close_on_exec.h"

#include <asio.hpp>
#include <map>
#include <thread>

namespace zelo::wire {

using asio::ip::udp;

struct E131Receiver::Socket {
    asio::io_context context;
    udp::socket socket{context};
    udp::endpoint from;
    std::array<std::uint8_t, 2048> bytes{};
    std::map<std::pair<Cid, std::uint16_t>, std::uint8_t> last; // sequence by source and universe
    std::thread thread;
};

E131Receiver::E131Receiver(std::function<void(const DataPacket&)> take)
    : take_(std::move(take)), socket_(std::make_unique<Socket>()) {}

Result<std::unique_ptr<E131Receiver>>
E131Receiver::open(const std::string& address, std::uint16_t port,
                   std::function<void(const DataPacket&)> take) {
    asio::error_code error;
    const auto ip = asio::ip::make_address_v4(address, error);
    if (error)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': expected an IPv4 address"),
                    address);
    std::unique_ptr<E131Receiver> receiver(new E131Receiver(std::move(take)));
    auto& s = *receiver->socket_;
    s.socket.open(udp::v4(), error);
    if (!error)
        closeOnExec(s.socket);
    if (!error)
        s.socket.bind(udp::endpoint(ip, port), error);
    if (error == asio::error::address_in_use)
        return fail(ErrorCode::Io,
                    ZELO_TEXT("core", "{}:{} is in use: another receiver runs already"), address,
                    port);
    if (error)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "cannot listen on {}:{}: {}"), address, port,
                    error.message());
    receiver->listen();
    s.thread = std::thread([&s] { s.context.run(); });
    return receiver;
}

E131Receiver::~E131Receiver() {
    socket_->context.stop();
    if (socket_->thread.joinable())
        socket_->thread.join();
}

std::uint16_t E131Receiver::port() const {
    asio::error_code error;
    return socket_->socket.local_endpoint(error).port();
}

void E131Receiver::listen() {
    socket_->socket.async_receive_from(asio::buffer(socket_->bytes), socket_->from,
                                       [this](asio::error_code error, std::size_t n) {
                                           if (error == asio::error::operation_aborted)
                                               return;
                                           if (!error)
                                               takeIn({socket_->bytes.data(), n});
                                           listen();
                                       });
}

void E131Receiver::takeIn(std::span<const std::uint8_t> bytes) {
    const auto packet = decode(bytes);
    if (!packet) {
        malformed_ += packet.error().code != ErrorCode::Unsupported; // else another kind
        return;
    }
    const auto key = std::pair(packet->cid, packet->universe);
    const auto known = socket_->last.find(key);
    if (known != socket_->last.end() && outOfSequence(known->second, packet->sequence)) {
        ++late_;
        return;
    }
    // A hostile sender may invent identities: remember a bounded number of them.
    constexpr std::size_t kMostSources = 4096;
    if (known == socket_->last.end() && socket_->last.size() >= kMostSources)
        socket_->last.clear();
    // A source that ended its stream begins anew when it comes back (§6.2.6).
    if (packet->options & kStreamTerminated)
        socket_->last.erase(key);
    else
        socket_->last[key] = packet->sequence;
    take_(*packet);
}

} // namespace zelo::wire
