// SPDX-License-Identifier: GPL-3.0-or-later
// The output map: which universe goes where, and what must not leave this computer.
#include "host/outputs.h"
#include "show/kept.h"
#include "wire/net/e131_receiver.h"

#include <gtest/gtest.h>
#include <map>

namespace zelo::host {
namespace {

using namespace std::chrono_literals;
using show::OutputLine;
using show::Protocol;

class OutputsTest : public ::testing::Test {
protected:
    OutputsTest() {
        e131 = std::move(*wire::E131Receiver::open("127.0.0.1", 0, [this](const auto& p) {
            const std::lock_guard lock(mutex);
            priority = p.priority;
            if (p.options & wire::kStreamTerminated)
                ++ended[p.universe];
            else
                sacn[p.universe] = p.values.at(0);
        }));
        art = std::move(*wire::UdpPort::open(
            "127.0.0.1", 0, {[this](auto bytes, const wire::Endpoint&) {
                const std::lock_guard lock(mutex);
                const auto packet = wire::decodeArtNet(bytes);
                const auto* dmx = packet ? std::get_if<wire::ArtDmx>(&*packet) : nullptr;
                if (dmx)
                    ports[dmx->port_address] = dmx->values.at(0);
            }}));
        art->start();
        outputs = std::make_unique<Outputs>(wire::Cid{}, OutputPorts{e131->port(), art->port()});
        for (const std::uint16_t u : {1, 2, 5})
            frame.at(u).values[0] = static_cast<std::uint8_t>(10 * u);
    }
    template <class F>
    bool comes(F there) {
        for (int i = 0; i < 300; ++i) {
            {
                const std::lock_guard lock(mutex);
                if (there())
                    return true;
            }
            std::this_thread::sleep_for(5ms);
        }
        return false;
    }
    using Seen = std::map<int, int>;

    std::mutex mutex;
    Seen sacn, ports, ended;
    int priority = 0;
    std::unique_ptr<wire::E131Receiver> e131;
    std::unique_ptr<wire::UdpPort> art;
    std::unique_ptr<Outputs> outputs;
    light::Frame frame;
};

TEST_F(OutputsTest, WithNoLineAllGoesToThisComputer) {
    EXPECT_TRUE(outputs->set({}, {}).empty());
    outputs->send(frame);
    EXPECT_TRUE(comes([&] { return sacn == Seen{{1, 10}, {2, 20}, {5, 50}}; }));
    EXPECT_EQ(outputs->packets(), 3u);
}

TEST_F(OutputsTest, LinesRenumberAndChooseTheProtocol) {
    EXPECT_TRUE(outputs
                    ->set({{1, 2, Protocol::ArtNet, "127.0.0.1", 16},
                           {5, 1, Protocol::E131, "127.0.0.1", 77},
                           {2, 1, Protocol::E131, "127.0.0.1", 99, false}},
                          {})
                    .empty());
    outputs->send(frame);
    EXPECT_TRUE(comes([&] {
        return ports == Seen{{16, 10}, {17, 20}} && sacn == Seen{{77, 50}};
    })) << "a line that is off sends nothing";
}

TEST_F(OutputsTest, NothingLeavesThisComputerWithoutAChoice) {
    const std::vector<OutputLine> lines{{1, 1, Protocol::E131, "192.0.2.7", 1},
                                        {2, 1, Protocol::E131, "multicast", 2},
                                        {5, 1, Protocol::ArtNet, "192.0.2.8", 0}};
    const auto troubles = outputs->set(lines, {});
    ASSERT_EQ(troubles.size(), 3u);
    EXPECT_NE(troubles[0].english().find("192.0.2.7: choose a network first"), std::string::npos);
    outputs->send(frame);
    EXPECT_EQ(outputs->packets(), 0u);
    EXPECT_FALSE(NetworkChoice{}.leavesComputer());
    EXPECT_TRUE(NetworkChoice{"10.0.0.2"}.leavesComputer());
    // A card that this computer does not have is told.
    EXPECT_FALSE(outputs->set({lines[0]}, {"192.0.2.99"}).empty());
}

TEST_F(OutputsTest, ALineThatGoesEndsItsStreams) {
    outputs->set({{5, 1, Protocol::E131, "127.0.0.1", 5}}, {});
    outputs->send(frame);
    outputs->set({{1, 1, Protocol::ArtNet, "127.0.0.1", 0}}, {});
    EXPECT_TRUE(comes([&] { return ended[5] == 3; })) << "three packets say so";
    outputs->send(frame);
    EXPECT_TRUE(comes([&] { return ports.contains(0); }));
}

TEST_F(OutputsTest, ALineThatStaysIsNotBroken) {
    const OutputLine stays{5, 1, Protocol::E131, "127.0.0.1", 5};
    outputs->set({stays}, {});
    for (int i = 0; i < 6; ++i)
        outputs->send(frame);
    const auto before = outputs->packets();
    outputs->set({{1, 1, Protocol::ArtNet, "127.0.0.1", 0}, stays}, {});
    EXPECT_EQ(outputs->packets(), before) << "the same sender goes on counting";
    outputs->send(frame);
    EXPECT_TRUE(comes([&] { return ports.contains(0); }));
    const std::lock_guard lock(mutex);
    EXPECT_TRUE(ended.empty()) << "no receiver was told of an end";
}

TEST_F(OutputsTest, ALineThatGrowsLeavesRunningUniversesAlone) {
    const auto line = [](int count) {
        return std::vector<OutputLine>{{1, count, Protocol::E131, "127.0.0.1", 1}};
    };
    outputs->set(line(4), {});
    for (int i = 0; i < 3; ++i)
        outputs->send(frame);
    EXPECT_TRUE(comes([&] { return sacn == Seen{{1, 10}, {2, 20}}; }));
    const auto before = outputs->packets();
    outputs->set(line(5), {});
    outputs->send(frame);
    EXPECT_TRUE(comes([&] { return sacn.contains(5); }));
    EXPECT_GT(outputs->packets(), before);
    {
        const std::lock_guard lock(mutex);
        EXPECT_TRUE(ended.empty()) << "nobody was told of an end";
    }
    outputs->set(line(1), {});
    outputs->send(frame);
    EXPECT_TRUE(comes([&] { return ended == Seen{{2, 3}, {5, 3}}; })) << "those that leave are";
}

TEST_F(OutputsTest, TwoLinesToOneUniverseOfOnePlaceAreRefused) {
    const auto troubles = outputs->set({{1, 2, Protocol::E131, "127.0.0.1", 7},
                                        {5, 1, Protocol::E131, "127.0.0.1", 8},
                                        {5, 1, Protocol::E131, "127.0.0.1", 9}},
                                       {});
    ASSERT_EQ(troubles.size(), 1u);
    EXPECT_NE(troubles[0].english().find("another line"), std::string::npos);
    outputs->send(frame);
    EXPECT_TRUE(comes([&] { return sacn == Seen{{7, 10}, {8, 20}, {9, 50}}; }));
    auto show = std::make_shared<const show::Show>();
    EXPECT_TRUE(show::changeOutputs(
        show, {{1, 2, Protocol::E131, "127.0.0.1", 7}, {5, 1, Protocol::ArtNet, "127.0.0.1", 8}}));
    const auto twice = show::changeOutputs(
        show, {{1, 2, Protocol::E131, "127.0.0.1", 7}, {5, 1, Protocol::E131, "127.0.0.1", 8}});
    ASSERT_FALSE(twice);
    EXPECT_NE(twice.error().text().find("output 2"), std::string::npos) << twice.error().text();
}

TEST_F(OutputsTest, APriorityIsChosenForEachLine) {
    OutputLine line{1, 1, Protocol::E131, "127.0.0.1", 1};
    line.priority = 150;
    outputs->set({line}, {});
    outputs->send(frame);
    EXPECT_TRUE(comes([&] { return priority == 150; }));
    line.priority = 201;
    EXPECT_FALSE(show::checkOutput(line));
    line.priority = -1;
    EXPECT_FALSE(show::checkOutput(line));
}

TEST_F(OutputsTest, WhatIsLostIsToldWithItsReason) {
    outputs->send(frame);
    EXPECT_TRUE(outputs->lost().empty());
    // Port 0 is nobody's: the system takes no packet for it.
    Outputs nowhere(wire::Cid{}, OutputPorts{0, 0});
    nowhere.set({{1, 1, Protocol::E131, "127.0.0.1", 1}, {2, 1, Protocol::ArtNet, "127.0.0.1", 0}},
                {});
    nowhere.send(frame);
    EXPECT_EQ(nowhere.packets(), 0u);
    const auto lost = nowhere.lost();
    ASSERT_EQ(lost.size(), 2u);
    EXPECT_NE(lost[0].english().find("127.0.0.1: lost packets: "), std::string::npos) << lost[0];
    EXPECT_NE(lost[1].english().find("lost packets: 1"), std::string::npos) << lost[1];
}

TEST_F(OutputsTest, ThisComputerIsAmongTheCards) {
    bool found = false;
    for (const auto& card : networkCards())
        found = found || card.address == "127.0.0.1";
    EXPECT_TRUE(found);
}

} // namespace
} // namespace zelo::host
