// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/capture.h"
#include "wire/e131.h"
#include "wire/e131_sources.h"
#include "wire/net/e131_receiver.h"
#include "wire/net/e131_sender.h"
#include "wire/net/udp_port.h"

#include <condition_variable>
#include <fcntl.h>
#include <filesystem>
#include <gtest/gtest.h>

namespace zelo::wire {
namespace {

DataPacket example() {
    DataPacket p;
    for (std::size_t i = 0; i < p.cid.size(); ++i)
        p.cid[i] = static_cast<std::uint8_t>(0xa0 + i);
    p.source_name = "Zelochrome";
    p.priority = 120;
    p.sequence = 7;
    p.universe = 513;
    p.values = {1, 2, 255};
    return p;
}

// The layout of ANSI E1.31-2018, byte by byte, written down from its tables.
TEST(E131, BytesAreThoseOfTheStandard) {
    const auto bytes = encoded(example());
    ASSERT_EQ(bytes.size(), 129u);
    const auto hex = [&](std::size_t from, std::size_t count) {
        std::string text;
        for (std::size_t i = from; i < from + count; ++i)
            text += fmt::format("{:02x}", bytes[i]);
        return text;
    };
    EXPECT_EQ(hex(0, 16), "001000004153432d45312e3137000000");
    EXPECT_EQ(hex(16, 6), "707100000004"); // 129 - 16 = 0x71
    EXPECT_EQ(hex(22, 16), "a0a1a2a3a4a5a6a7a8a9aaabacadaeaf");
    EXPECT_EQ(hex(38, 6), "705b00000002");
    EXPECT_EQ(hex(44, 12), "5a656c6f6368726f6d650000");
    EXPECT_EQ(hex(108, 7), "78000007000201"); // priority, sync, sequence, options, universe
    EXPECT_EQ(hex(115, 11), "700e02a1000000010004"
                            "00");
    EXPECT_EQ(hex(126, 3), "0102ff");
}

TEST(E131, ComesBackAsItWas) {
    for (const std::size_t slots : {0u, 1u, 24u, 512u}) {
        auto p = example();
        p.values.assign(slots, 9);
        p.options = kStreamTerminated;
        p.sync_universe = 9;
        const auto back = decode(encoded(p));
        ASSERT_TRUE(back) << back.error().text();
        EXPECT_EQ(*back, p);
    }
}

TEST(E131, ALongNameIsCutAtAWholeCharacter) {
    auto p = example();
    p.source_name = std::string(62, 'x') + "é"; // two bytes over the edge
    EXPECT_EQ(decode(encoded(p))->source_name, std::string(62, 'x'));
}

TEST(E131, EveryCutAndEveryFlippedByteIsHarmless) {
    const auto whole = encoded(example());
    for (std::size_t n = 0; n < whole.size(); ++n)
        EXPECT_FALSE(decode(std::span(whole).first(n))) << n;
    for (std::size_t at = 0; at < whole.size(); ++at)
        for (const std::uint8_t mask : {0x01, 0x80, 0xff}) {
            auto bytes = whole;
            bytes[at] ^= mask;
            const auto read = decode(bytes);
            if (read)
                EXPECT_LE(read->values.size(), 512u);
            else
                EXPECT_FALSE(read.error().text().empty());
        }
}

TEST(E131, ForeignPacketsAreToldApart) {
    auto bytes = encoded(example());
    bytes[125] = 0xdd; // per-slot priority start code
    EXPECT_EQ(decode(bytes).error().code, ErrorCode::Unsupported);
    bytes = encoded(example());
    bytes[21] = 8; // extended: sync or discovery
    EXPECT_EQ(decode(bytes).error().code, ErrorCode::Unsupported);
    bytes = encoded(example());
    bytes[113] = bytes[114] = 0;
    EXPECT_NE(decode(bytes).error().text().find("universe 0"), std::string::npos);
}

TEST(E131, SynchronisationAndDiscoveryAreThoseOfTheStandard) {
    SyncPacket sync{example().cid, 9, 0x1234};
    const auto b = encoded(sync);
    const auto hex = [](std::span<const std::uint8_t> bytes) {
        std::string text;
        for (const auto byte : bytes)
            text += fmt::format("{:02x}", byte);
        return text;
    };
    EXPECT_EQ(hex(std::span(b).subspan(16, 6)), "702100000008");
    EXPECT_EQ(hex(std::span(b).subspan(38, 11)), "700b0000000109"
                                                 "12340000");
    EXPECT_EQ(*decodeSync(b), sync);
    DiscoveryPacket found{example().cid, "Zelochrome", 0, 1, {1, 2, 513, 63999}};
    const auto d = encoded(found);
    ASSERT_EQ(d.size(), 128u);
    EXPECT_EQ(hex(std::span(d).subspan(16, 6)), "707000000008");
    EXPECT_EQ(hex(std::span(d).subspan(38, 6)), "705a00000002");
    EXPECT_EQ(hex(std::span(d).subspan(112, 16)), "7010"
                                                  "00000001"
                                                  "0001"
                                                  "000100020201f9ff");
    EXPECT_EQ(*decodeDiscovery(d), found);
    for (std::size_t n = 0; n < b.size(); ++n)
        EXPECT_FALSE(decodeSync({b.data(), n}));
    for (std::size_t n = 0; n < d.size(); ++n)
        EXPECT_FALSE(decodeDiscovery({d.data(), n})) << n;
    EXPECT_EQ(decodeSync(d).error().code, ErrorCode::Unsupported);
    EXPECT_EQ(decode(d).error().code, ErrorCode::Unsupported);
}

// Who is followed: §6.2.3 (priority) and §6.2.6 (the end of a source).
class SourcesTest : public ::testing::Test {
protected:
    std::optional<std::uint8_t> from(int source, int priority, int value, int options = 0) {
        DataPacket p;
        p.cid[0] = static_cast<std::uint8_t>(source);
        p.priority = static_cast<std::uint8_t>(priority);
        p.options = static_cast<std::uint8_t>(options);
        p.values = {static_cast<std::uint8_t>(value), static_cast<std::uint8_t>(100 - value)};
        const auto shown = sources.take(p, now);
        return shown ? std::optional((*shown)[0]) : std::nullopt;
    }
    E131Sources sources;
    E131Sources::Time now{};
};

TEST_F(SourcesTest, TheHighestPriorityIsFollowedWhoeverSends) {
    EXPECT_EQ(from(1, 100, 10), 10);
    EXPECT_EQ(from(2, 120, 20), 20);
    for (int i = 0; i < 5; ++i) { // two sources side by side do not flicker
        now += std::chrono::milliseconds(23);
        EXPECT_EQ(from(1, 100, 30 + i), std::nullopt);
        EXPECT_EQ(from(2, 120, 20), std::nullopt);
    }
    EXPECT_EQ(from(2, 120, 21), 21);
    EXPECT_EQ(from(2, 90, 21), 34) << "it has stepped back behind the other";
}

TEST_F(SourcesTest, EqualOnesAreMergedSlotBySlot) {
    EXPECT_EQ(from(1, 100, 10), 10);
    DataPacket p;
    p.cid[0] = 2;
    p.values = {60, 5};
    const auto shown = sources.take(p, now);
    ASSERT_TRUE(shown);
    EXPECT_EQ((*shown)[0], 60);
    EXPECT_EQ((*shown)[1], 90) << "the highest of each slot";
}

TEST_F(SourcesTest, ALostSourceGivesWayAfterTwoAndAHalfSeconds) {
    from(1, 100, 10);
    from(2, 150, 20);
    now += std::chrono::milliseconds(2000);
    from(1, 100, 10);
    EXPECT_TRUE(sources.expire(now).empty());
    now += std::chrono::milliseconds(600);
    const auto gone = sources.expire(now);
    ASSERT_EQ(gone.size(), 1u);
    EXPECT_EQ(gone[0].second[0], 10);
    // One that says that it ends gives way at once; with none left the values stay.
    EXPECT_EQ(from(3, 200, 77), 77);
    EXPECT_EQ(from(3, 200, 77, kStreamTerminated), 10);
    EXPECT_EQ(from(1, 100, 10, kStreamTerminated), std::nullopt);
    now += std::chrono::seconds(5);
    EXPECT_TRUE(sources.expire(now).empty());
}

TEST_F(SourcesTest, PreviewsAndCrowdsChangeNothing) {
    EXPECT_EQ(from(1, 100, 10), 10);
    EXPECT_EQ(from(2, 200, 99, kPreview), std::nullopt);
    for (int i = 2; i < 250; ++i)
        from(i, 50, 200);
    EXPECT_EQ(from(1, 100, 11), 11);
}

TEST(E131, LatePacketsAreDroppedAndRestartsAreNot) {
    EXPECT_FALSE(outOfSequence(7, 8));
    EXPECT_TRUE(outOfSequence(7, 7));
    EXPECT_TRUE(outOfSequence(7, 250)); // 13 behind
    EXPECT_FALSE(outOfSequence(7, 200));
    EXPECT_FALSE(outOfSequence(255, 0));
}

// Receives into a list that a test can wait on.
class Ear {
public:
    Ear() {
        auto opened = E131Receiver::open("127.0.0.1", 0, [this](const DataPacket& p) {
            const std::lock_guard lock(mutex_);
            heard_.push_back(p);
            more_.notify_all();
        });
        EXPECT_TRUE(opened.has_value());
        receiver = std::move(*opened);
    }
    std::vector<DataPacket> waitFor(std::size_t count) {
        std::unique_lock lock(mutex_);
        more_.wait_for(lock, std::chrono::seconds(5), [&] { return heard_.size() >= count; });
        return heard_;
    }
    std::unique_ptr<E131Receiver> receiver;

private:
    std::mutex mutex_;
    std::condition_variable more_;
    std::vector<DataPacket> heard_;
};

std::unique_ptr<E131Sender> mouth(const Ear& ear) {
    E131Settings settings;
    settings.port = ear.receiver->port();
    settings.source_name = "test";
    return std::move(*E131Sender::open(settings));
}

TEST(E131Sender, SendsOnChangeRepeatsAndKeepsAlive) {
    Ear ear;
    auto sender = mouth(ear);
    light::Frame frame;
    frame.at(1).values[0] = 10;
    const auto start = E131Sender::Clock::now();
    const auto at = [&](int ms) { sender->sendAt(frame, start + std::chrono::milliseconds(ms)); };
    for (int ms = 0; ms < 700; ms += 23) // 31 frames that do not change
        at(ms);
    EXPECT_EQ(sender->packets(), 4u) << "once and three repeats";
    at(900);
    EXPECT_EQ(sender->packets(), 5u) << "at least once a second";
    frame.at(1).values[0] = 11;
    at(923);
    EXPECT_EQ(sender->packets(), 6u);
    const auto heard = ear.waitFor(6);
    ASSERT_EQ(heard.size(), 6u);
    for (std::size_t i = 0; i < heard.size(); ++i)
        EXPECT_EQ(heard[i].sequence, i);
    EXPECT_EQ(heard[0].values[0], 10);
    EXPECT_EQ(heard[5].values[0], 11);
    EXPECT_EQ(heard[0].source_name, "test");
}

TEST(E131Receiver, ASourceThatEndedBeginsAnew) {
    Ear ear;
    light::Frame frame;
    for (int run = 0; run < 2; ++run) { // the same source, started twice: sequence 0 again
        auto sender = mouth(ear);
        for (int i = 0; i < 8; ++i) {
            frame.at(1).values[0] = static_cast<std::uint8_t>(10 * run + i);
            sender->sendAt(frame, E131Sender::Clock::now());
        }
        sender.reset();
    }
    EXPECT_EQ(ear.waitFor(22).size(), 22u) << "eight and three that say the end, twice";
    EXPECT_EQ(ear.receiver->late(), 0u);
}

TEST(E131Sender, SaysThreeTimesThatItEnds) {
    Ear ear;
    auto sender = mouth(ear);
    light::Frame frame;
    frame.at(4);
    sender->send(frame);
    sender.reset();
    const auto heard = ear.waitFor(4);
    ASSERT_EQ(heard.size(), 4u);
    for (std::size_t i = 1; i < 4; ++i)
        EXPECT_TRUE(heard[i].options & kStreamTerminated);
}

TEST(E131Sender, AUniverseThatLeavesIsTerminatedAndTheOthersGoOn) {
    Ear ear;
    auto sender = mouth(ear);
    light::Frame both;
    both.at(4);
    both.at(5);
    auto now = E131Sender::Clock::now();
    sender->sendAt(both, now);
    light::Frame one;
    one.at(5).values[0] = 1;
    sender->sendAt(one, now += std::chrono::milliseconds(23));
    const auto heard = ear.waitFor(6);
    ASSERT_EQ(heard.size(), 6u);
    int ended = 0;
    for (const auto& p : heard) {
        ended += p.universe == 4 && (p.options & kStreamTerminated);
        EXPECT_FALSE(p.universe == 5 && (p.options & kStreamTerminated));
    }
    EXPECT_EQ(ended, 3);
}

// A socket that keeps all that comes to it.
class RawEar {
public:
    RawEar() {
        port = std::move(*UdpPort::open("127.0.0.1", 0, {[this](auto bytes, const Endpoint&) {
                                            const std::lock_guard lock(mutex);
                                            all.emplace_back(bytes.begin(), bytes.end());
                                        }}));
        port->start();
    }
    template <class Decoded, class F>
    std::vector<Decoded> heard(F decodeIt, std::size_t count) {
        for (int i = 0; i < 400; ++i) {
            std::vector<Decoded> found;
            {
                const std::lock_guard lock(mutex);
                for (const auto& bytes : all)
                    if (const auto d = decodeIt(bytes))
                        found.push_back(*d);
            }
            if (found.size() >= count)
                return found;
            std::this_thread::sleep_for(std::chrono::milliseconds(5));
        }
        return {};
    }
    std::mutex mutex;
    std::vector<std::vector<std::uint8_t>> all;
    std::unique_ptr<UdpPort> port;
};

TEST(E131Sender, TellsItsUniversesEveryTenSecondsAndWhenTheyChange) {
    RawEar ear;
    E131Settings settings;
    settings.port = ear.port->port();
    auto sender = std::move(*E131Sender::open(settings));
    light::Frame frame;
    frame.at(7);
    frame.at(3);
    const auto now = E131Sender::Clock::now();
    sender->sendAt(frame, now);
    const auto first = ear.heard<DiscoveryPacket>(decodeDiscovery, 1);
    ASSERT_EQ(first.size(), 1u);
    EXPECT_EQ(first[0].universes, (std::vector<std::uint16_t>{3, 7}));
    sender->sendAt(frame, now + std::chrono::seconds(9));
    sender->sendAt(frame, now + std::chrono::milliseconds(10'001));
    EXPECT_EQ(ear.heard<DiscoveryPacket>(decodeDiscovery, 2).size(), 2u);
    frame.universes.resize(1);
    sender->sendAt(frame, now + std::chrono::milliseconds(10'050));
    const auto fewer = ear.heard<DiscoveryPacket>(decodeDiscovery, 3);
    ASSERT_EQ(fewer.size(), 3u);
    EXPECT_EQ(fewer.back().universes, std::vector{frame.universes[0].universe});
}

TEST(E131Sender, ManyUniversesAreToldInPages) {
    RawEar ear;
    E131Settings settings;
    settings.port = ear.port->port();
    auto sender = std::move(*E131Sender::open(settings));
    light::Frame frame;
    for (int u = 1; u <= 600; ++u)
        frame.at(static_cast<std::uint16_t>(u));
    const auto start = E131Sender::Clock::now();
    // Levels and their repeats, more at once than a socket holds; then a frame in which none is
    // due.
    for (const int ms : {0, 23, 46, 69, 9'500}) {
        sender->sendAt(frame, start + std::chrono::milliseconds(ms));
        std::this_thread::sleep_for(std::chrono::milliseconds(60));
    }
    sender->sendAt(frame, start + std::chrono::milliseconds(10'001));
    const auto secondPage = [](const std::vector<std::uint8_t>& bytes) {
        const auto page = decodeDiscovery(bytes);
        return page && page->page == 1 ? std::optional(*page) : std::nullopt;
    };
    const auto pages = ear.heard<DiscoveryPacket>(secondPage, 1);
    ASSERT_GE(pages.size(), 1u);
    EXPECT_EQ(pages[0].last_page, 1);
    EXPECT_EQ(pages[0].universes.size(), 600u - kUniversesPerPage);
    EXPECT_EQ(pages[0].universes.back(), 600);
}

TEST(E131Sender, PrioritiesAndSynchronisationGoWithTheirUniverses) {
    RawEar ear;
    E131Settings settings;
    settings.port = ear.port->port();
    auto sender = std::move(*E131Sender::open(settings));
    light::UniverseSlots a, b, c;
    a.universe = 1;
    b.universe = 2;
    c.universe = 9;
    const std::vector<E131Sender::Outgoing> all{{&a, 150, 1}, {&b, 150, 1}, {&c, 90, 0}};
    sender->sendAt(all, E131Sender::Clock::now());
    const auto data = ear.heard<DataPacket>(decode, 3);
    ASSERT_EQ(data.size(), 3u);
    EXPECT_EQ(data[0].priority, 150);
    EXPECT_EQ(data[1].sync_universe, 1);
    EXPECT_EQ(data[2].priority, 90);
    EXPECT_EQ(data[2].sync_universe, 0);
    const auto sync = ear.heard<SyncPacket>(decodeSync, 1);
    ASSERT_EQ(sync.size(), 1u) << "one for both";
    EXPECT_EQ(sync[0].universe, 1);
    const std::lock_guard lock(ear.mutex);
    const auto at = [&](auto decodeIt) {
        std::size_t last = 0;
        for (std::size_t i = 0; i < ear.all.size(); ++i)
            if (decodeIt(ear.all[i]))
                last = i;
        return last;
    };
    EXPECT_GT(at(decodeSync), at(decode)) << "when all is there";
}

TEST(E131Sender, WhatTheSystemRefusesIsCountedWithItsReason) {
    E131Settings settings;
    settings.address = "203.0.113.9"; // of no network
    settings.from = "127.0.0.1";      // and from where nothing leaves
    auto sender = E131Sender::open(settings);
    ASSERT_TRUE(sender) << sender.error().text();
    light::Frame frame;
    frame.at(1);
    (*sender)->send(frame);
    EXPECT_EQ((*sender)->packets(), 0u);
    EXPECT_GT((*sender)->refused(), 0u);
    EXPECT_FALSE((*sender)->lastRefusal().message().empty());
}

TEST(E131Sender, BroadcastAddressesWork) {
    E131Settings settings;
    settings.address = "127.255.255.255";
    auto sender = E131Sender::open(settings);
    ASSERT_TRUE(sender);
    light::Frame frame;
    frame.at(1);
    (*sender)->send(frame);
    EXPECT_EQ((*sender)->refused(), 0u) << (*sender)->lastRefusal().message();
}

TEST(Sockets, AreNotInheritedByProgramsStartedFromHere) {
    Ear ear;
    RawEar raw;
    auto sender = mouth(ear);
    for (const auto& entry : std::filesystem::directory_iterator("/proc/self/fd")) {
        std::error_code gone;
        const auto to = std::filesystem::read_symlink(entry.path(), gone).string();
        if (to.rfind("socket:", 0) != 0)
            continue;
        const int flags = ::fcntl(std::stoi(entry.path().filename()), F_GETFD);
        EXPECT_TRUE(flags & FD_CLOEXEC) << to;
    }
}

TEST(E131Sender, RefusesANameForAnAddress) {
    E131Settings settings;
    settings.address = "localhost";
    EXPECT_FALSE(E131Sender::open(settings));
}

TEST(E131Receiver, APortInUseIsToldInOneLine) {
    Ear ear;
    const auto second = E131Receiver::open("127.0.0.1", ear.receiver->port(), [](const auto&) {});
    ASSERT_FALSE(second);
    EXPECT_NE(second.error().text().find("is in use"), std::string::npos);
}

TEST(E131, AnotherDissectorAgrees) {
    const auto line =
        dissected(encoded(example()), kE131Port, "--enable-heuristic acn -o acn.dmx_enable:TRUE",
                  "-e acn.dmx.universe -e acn.dmx.priority -e acn.dmx.seq_number"
                  " -e acn.dmx.source_name");
    if (!line)
        GTEST_SKIP() << "no tshark";
    EXPECT_NE(line->find("513"), std::string::npos) << *line;
    EXPECT_NE(line->find("Zelochrome"), std::string::npos) << *line;
}

} // namespace
} // namespace zelo::wire
