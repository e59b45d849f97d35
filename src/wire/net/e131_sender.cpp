// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/e131_sender.h"

#include "wire/net/close_on_exec.h"

#include <algorithm>
#include <asio.hpp>

namespace zelo::wire {

using asio::ip::udp;

namespace {

constexpr int kTimesEnded = 3;
constexpr auto kDiscoverEvery = std::chrono::seconds(10);

asio::ip::address_v4 multicastOf(std::uint16_t universe) { // 239.255.high.low
    return asio::ip::address_v4(0xefff0000u | universe);
}

} // namespace

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
    if (!error) {
        closeOnExec(s.socket);
        s.socket.set_option(asio::socket_base::broadcast(true), error);
    }
    if (!error)
        s.socket.set_option(asio::ip::multicast::outbound_interface(from), error);
    if (!error)
        s.socket.non_blocking(true, error);
    if (error)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "no socket for E1.31: {}"), error.message());
    return sender;
}

E131Sender::~E131Sender() {
    packet_.options = kStreamTerminated;
    for (int i = 0; i < kTimesEnded; ++i)
        for (auto& stream : streams_.streams())
            sendPacket(*stream);
}

void E131Sender::sendAt(const light::Frame& frame, Clock::time_point now) {
    for (const auto& universe : frame.universes)
        take({&universe, settings_.priority, 0}, now);
    endRound(now);
}

void E131Sender::sendAt(std::span<const Outgoing> universes, Clock::time_point now) {
    for (const Outgoing& universe : universes)
        take(universe, now);
    endRound(now);
}

void E131Sender::take(const Outgoing& universe, Clock::time_point now) {
    KeepAlive::Stream* due = streams_.due(*universe.levels, now);
    if (!due)
        return;
    packet_.priority = universe.priority;
    packet_.sync_universe = universe.sync_universe;
    sendPacket(*due);
    if (universe.sync_universe != 0 &&
        std::find(to_sync_.begin(), to_sync_.end(), universe.sync_universe) == to_sync_.end())
        to_sync_.push_back(universe.sync_universe);
}

void E131Sender::endRound(Clock::time_point now) {
    packet_.sync_universe = 0;
    const bool others = streams_.endRound([this](KeepAlive::Stream& ended) {
        packet_.options = kStreamTerminated;
        for (int i = 0; i < kTimesEnded; ++i)
            sendPacket(ended);
        packet_.options = 0;
    });
    for (const std::uint16_t universe : to_sync_)
        put(encoded(SyncPacket{packet_.cid, sync_sequence_++, universe}), universe);
    to_sync_.clear();
    if (others || now >= next_discovery_) {
        next_discovery_ = now + kDiscoverEvery;
        sendDiscovery();
    }
}

void E131Sender::sendPacket(KeepAlive::Stream& stream) {
    packet_.universe = stream.sent.universe;
    packet_.sequence = stream.sequence++;
    std::copy(stream.sent.values.begin(), stream.sent.values.end(), packet_.values.begin());
    const auto size = encode(packet_, bytes_);
    if (put({bytes_.data(), size}, packet_.universe))
        ++packets_;
}

void E131Sender::sendDiscovery() {
    std::vector<std::uint16_t> all;
    for (const auto& stream : streams_.streams())
        all.push_back(stream->sent.universe);
    if (all.empty())
        return;
    std::sort(all.begin(), all.end());
    const std::size_t pages = (all.size() + kUniversesPerPage - 1) / kUniversesPerPage;
    for (std::size_t page = 0; page < pages; ++page) {
        DiscoveryPacket packet{packet_.cid,
                               settings_.source_name,
                               static_cast<std::uint8_t>(page),
                               static_cast<std::uint8_t>(pages - 1),
                               {}};
        const auto from = all.begin() + static_cast<std::ptrdiff_t>(page * kUniversesPerPage);
        packet.universes.assign(
            from, from + std::min<std::ptrdiff_t>(kUniversesPerPage, all.end() - from));
        const auto bytes = encoded(packet);
        // It is for all on the network, however levels go; what stays here stays here.
        if (socket_->to.address().is_loopback() && !socket_->multicast) {
            put(bytes, 0);
            continue;
        }
        asio::error_code error;
        socket_->socket.send_to(asio::buffer(bytes),
                                {multicastOf(kDiscoveryUniverse), settings_.port}, 0, error);
    }
}

bool E131Sender::put(std::span<const std::uint8_t> bytes, std::uint16_t multicast_universe) {
    if (socket_->multicast)
        socket_->to.address(multicastOf(multicast_universe));
    asio::error_code error;
    socket_->socket.send_to(asio::buffer(bytes.data(), bytes.size()), socket_->to, 0, error);
    if (!error)
        return true;
    ++refused_;
    why_ = error.value();
    return false;
}

} // namespace zelo::wire
