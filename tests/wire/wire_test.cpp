// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/capture.h"
#include "wire/e131.h"
#include "wire/net/e131_receiver.h"
#include "wire/net/e131_sender.h"

#include <condition_variable>
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
