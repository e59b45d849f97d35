// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/udp_port.h"

#include "wire/net/close_on_exec.h"

#include <asio.hpp>
#include <mutex>
#include <thread>

namespace zelo::wire {

using asio::ip::udp;

struct UdpPort::Socket {
    asio::io_context context;
    udp::socket socket{context};
    asio::steady_timer timer{context};
    udp::endpoint from;
    std::array<std::uint8_t, 2048> bytes{};
    std::mutex sending;
    std::thread thread;
};

std::string toText(const Endpoint& e) {
    return fmt::format("{}.{}.{}.{}:{}", e.ip[0], e.ip[1], e.ip[2], e.ip[3], e.port);
}

Result<std::array<std::uint8_t, 4>> ipv4Of(const std::string& text) {
    asio::error_code error;
    const auto address = asio::ip::make_address_v4(text, error);
    if (error)
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "'{}': expected an IPv4 address"), text);
    return address.to_bytes();
}

UdpPort::UdpPort(Taker taker) : taker_(std::move(taker)), socket_(std::make_unique<Socket>()) {}

Result<std::unique_ptr<UdpPort>> UdpPort::open(const std::string& address, std::uint16_t port,
                                               Taker taker) {
    const auto ip = ipv4Of(address);
    if (!ip)
        return passOn(ip.error());
    std::unique_ptr<UdpPort> made(new UdpPort(std::move(taker)));
    auto& s = *made->socket_;
    asio::error_code error;
    s.socket.open(udp::v4(), error);
    if (!error) {
        closeOnExec(s.socket);
        s.socket.set_option(asio::socket_base::broadcast(true), error);
    }
    if (!error)
        s.socket.bind({asio::ip::address_v4(*ip), port}, error);
    if (!error)
        s.socket.non_blocking(true, error);
    if (error == asio::error::address_in_use)
        return fail(ErrorCode::Io,
                    ZELO_TEXT("core", "{}:{} is in use: another program listens there"), address,
                    port);
    if (error)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "cannot listen on {}:{}: {}"), address, port,
                    error.message());
    return made;
}

void UdpPort::start() {
    listen();
    if (taker_.tick)
        wait();
    socket_->thread = std::thread([&s = *socket_] { s.context.run(); });
}

UdpPort::~UdpPort() {
    socket_->context.stop();
    if (socket_->thread.joinable())
        socket_->thread.join();
}

std::uint16_t UdpPort::port() const {
    asio::error_code error;
    return socket_->socket.local_endpoint(error).port();
}

bool UdpPort::send(std::span<const std::uint8_t> bytes, const Endpoint& to) {
    const std::lock_guard lock(socket_->sending);
    asio::error_code error;
    socket_->socket.send_to(asio::buffer(bytes.data(), bytes.size()),
                            {asio::ip::address_v4(to.ip), to.port}, 0, error);
    return !error;
}

void UdpPort::post(std::function<void()> job) {
    asio::post(socket_->context, std::move(job));
}

void UdpPort::listen() {
    auto& s = *socket_;
    s.socket.async_receive_from(
        asio::buffer(s.bytes), s.from, [this, &s](asio::error_code error, std::size_t n) {
            if (error == asio::error::operation_aborted)
                return;
            if (!error)
                taker_.datagram({s.bytes.data(), n},
                                {s.from.address().to_v4().to_bytes(), s.from.port()});
            listen();
        });
}

void UdpPort::wait() {
    socket_->timer.expires_after(taker_.every);
    socket_->timer.async_wait([this](asio::error_code error) {
        if (error)
            return;
        taker_.tick();
        wait();
    });
}

} // namespace zelo::wire
