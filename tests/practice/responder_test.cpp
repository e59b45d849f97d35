// SPDX-License-Identifier: GPL-3.0-or-later
// The practice rig's RDM answers, as a controller would ask.
#include "practice/responder.h"
#include "support/test_types.h"
#include "wire/bytes.h"

#include <gtest/gtest.h>
#include <set>

namespace zelo::practice {
namespace {

namespace pid = wire::pid;

class ResponderTest : public ::testing::Test {
protected:
    ResponderTest() {
        auto made = *test::typeOf(test::kThree, 1, false); // three slots
        made.modes.push_back(made.modes[0]);
        made.modes[1].name = "second";
        const auto type = std::make_shared<light::FixtureType>(made);
        for (int i = 0; i < 40; ++i)
            EXPECT_TRUE(rig.add(i + 1, i + 1, type, "", static_cast<std::uint16_t>(i < 30 ? 1 : 6),
                                1 + 10 * (i % 30)));
    }
    std::vector<Responder::Reply> ask(Responder& r, const wire::Uid& to, wire::RdmClass command,
                                      std::uint16_t parameter, std::vector<std::uint8_t> data = {},
                                      std::uint16_t port = 0) {
        wire::RdmMessage m{to, {1, 2}, 9, 1, command, parameter, std::move(data)};
        m.sub_device = sub_device;
        changed.clear();
        return r.take(wire::ArtRdm{port, wire::encoded(m)}, changed);
    }
    static wire::RdmMessage messageIn(const Responder::Reply& reply) {
        return *wire::decodeRdm(std::get<wire::ArtRdm>(*wire::decodeArtNet(reply.bytes)).message);
    }
    std::uint16_t sub_device = 0;
    wire::RdmMessage answer(Responder& r, std::size_t lamp, wire::RdmClass command,
                            std::uint16_t parameter, std::vector<std::uint8_t> data = {}) {
        const auto replies = ask(r, r.uid(lamp), command, parameter, std::move(data));
        EXPECT_EQ(replies.size(), 1u);
        const auto packet = std::get<wire::ArtRdm>(*wire::decodeArtNet(replies.at(0).bytes));
        return *wire::decodeRdm(packet.message);
    }

    PracticeRig rig{1};
    std::vector<std::size_t> changed;
};

TEST_F(ResponderTest, TellsItsPortsAndTables) {
    Responder r(rig, false);
    const auto replies = r.take(wire::ArtPoll{}, changed);
    ASSERT_EQ(replies.size(), 1u);
    const auto reply = std::get<wire::ArtPollReply>(*wire::decodeArtNet(replies[0].bytes));
    EXPECT_EQ(reply.outputs, (std::vector<std::uint16_t>{0, 5}));
    std::size_t listed = 0;
    const auto blocks = r.take(wire::ArtTodRequest{0}, changed);
    EXPECT_GT(blocks.size(), 1u) << "a long table comes in several packets";
    for (const auto& block : blocks) {
        const auto tod = std::get<wire::ArtTodData>(*wire::decodeArtNet(block.bytes));
        EXPECT_EQ(tod.total, 30);
        listed += tod.uids.size();
    }
    EXPECT_EQ(listed, 30u);
}

TEST_F(ResponderTest, SetsAddressModeAndIdentify) {
    Responder r(rig, false);
    const auto set = wire::RdmClass::Set;
    const auto get = wire::RdmClass::Get;
    EXPECT_EQ(answer(r, 3, set, pid::kStartAddress, {0x01, 0x00}).answer, 0);
    EXPECT_EQ(rig.lamps()[3].address, 256);
    EXPECT_EQ(changed, std::vector<std::size_t>{3});
    EXPECT_EQ(answer(r, 3, set, pid::kStartAddress, {0x02, 0x00}).answer, 2) << "512 + 3 slots";
    EXPECT_EQ(rig.lamps()[3].address, 256);
    EXPECT_EQ(answer(r, 3, set, pid::kStartAddress, {1}).answer, 2) << "one byte is no address";
    EXPECT_EQ(answer(r, 3, set, pid::kPersonality, {2}).answer, 0);
    EXPECT_EQ(rig.lamps()[3].mode, "second");
    EXPECT_EQ(answer(r, 3, set, pid::kPersonality, {3}).answer, 2);
    const auto info = wire::decodeDeviceInfo(answer(r, 3, get, pid::kDeviceInfo).data);
    EXPECT_EQ(info->address, 256);
    EXPECT_EQ(info->personality, 2);
    EXPECT_EQ(info->personalities, 2);
    EXPECT_EQ(answer(r, 3, set, pid::kIdentify, {1}).answer, 0);
    EXPECT_TRUE(r.identifying(3));
    EXPECT_EQ(answer(r, 3, get, pid::kIdentify).data, std::vector<std::uint8_t>{1});
    EXPECT_EQ(answer(r, 3, set, pid::kIdentify, {2}).answer, 2);
    EXPECT_EQ(answer(r, 3, get, 0x0099).answer, 2) << "a parameter it does not know";
    EXPECT_EQ(answer(r, 3, set, pid::kModel, {1}).answer, 2);
    const auto words = answer(r, 3, get, pid::kPersonalityDescription, {2}).data;
    EXPECT_EQ(std::string(words.begin() + 3, words.end()), "second");
}

TEST_F(ResponderTest, IsAsStrictAsTheStandard) {
    Responder r(rig, false);
    const auto set = wire::RdmClass::Set;
    const auto get = wire::RdmClass::Get;
    const auto reason = [](const wire::RdmMessage& m) {
        return m.answer == 2 ? wire::get16(m.data, 0) : -1;
    };
    // What every device must know, and what this one has beside it.
    const auto listed = answer(r, 3, get, pid::kSupported).data;
    std::set<int> parameters;
    for (std::size_t i = 0; i + 1 < listed.size(); i += 2)
        parameters.insert(wire::get16(listed, i));
    EXPECT_EQ(parameters, (std::set<int>{pid::kModel, pid::kMaker, pid::kLabel, pid::kPersonality,
                                         pid::kPersonalityDescription}));
    for (const int p : parameters)
        if (p != pid::kPersonalityDescription)
            EXPECT_EQ(answer(r, 3, get, static_cast<std::uint16_t>(p)).answer, 0) << p;
    EXPECT_FALSE(answer(r, 3, get, pid::kSoftwareLabel).data.empty());
    EXPECT_EQ(reason(answer(r, 3, set, pid::kSoftwareLabel, {1})), wire::nack::kUnsupportedClass);
    EXPECT_EQ(reason(answer(r, 3, set, pid::kStartAddress, {0, 0})), wire::nack::kOutOfRange);
    EXPECT_EQ(reason(answer(r, 3, get, pid::kDeviceInfo, {1})), wire::nack::kFormat);
    EXPECT_EQ(reason(answer(r, 3, get, 0x0099)), wire::nack::kUnknownPid);
    sub_device = 1;
    EXPECT_EQ(reason(answer(r, 3, get, pid::kDeviceInfo)), wire::nack::kSubDevice);
    sub_device = 0;
    // A response is never answered.
    EXPECT_TRUE(ask(r, r.uid(3), wire::RdmClass::GetResponse, pid::kDeviceInfo).empty());
    EXPECT_TRUE(ask(r, r.uid(3), wire::RdmClass::SetResponse, pid::kIdentify, {1}).empty());
    EXPECT_FALSE(r.identifying(3));
    // Lamp 31 is on another port.
    EXPECT_TRUE(ask(r, r.uid(31), get, pid::kDeviceInfo).empty());
    EXPECT_EQ(ask(r, r.uid(31), get, pid::kDeviceInfo, {}, 5).size(), 1u);
    // What is for all is done by all of the port, and answered by none.
    EXPECT_TRUE(ask(r, wire::kToAll, set, pid::kIdentify, {1}).empty());
    EXPECT_TRUE(r.identifying(0) && r.identifying(29));
    EXPECT_FALSE(r.identifying(31));
    EXPECT_TRUE(ask(r, {r.uid(0).maker, 0xffffffff}, set, pid::kIdentify, {0}).empty());
    EXPECT_FALSE(r.identifying(0));
    EXPECT_TRUE(ask(r, {0x1111, 0xffffffff}, set, pid::kIdentify, {1}).empty());
    EXPECT_FALSE(r.identifying(0)) << "another maker's";
}

TEST_F(ResponderTest, AnswersPollsThatAreForItsPorts) {
    Responder r(rig, false);
    const auto polled = [&](std::uint16_t bottom, std::uint16_t top) {
        return r.take(wire::ArtPoll{wire::ArtPoll::kTargeted, top, bottom}, changed).size();
    };
    EXPECT_EQ(polled(0, 0), 1u);
    EXPECT_EQ(polled(3, 9), 1u);
    EXPECT_EQ(polled(1, 4), 0u);
    EXPECT_EQ(r.take(wire::ArtTodControl{5, wire::ArtTodControl::kFlush}, changed).size(), 1u)
        << "its table anew";
    EXPECT_TRUE(r.take(wire::ArtTodControl{5, 0}, changed).empty());
}

TEST_F(ResponderTest, SomeAnswerLaterAndSomeInPieces) {
    Responder r(rig, true);
    const auto lampOf = [&](Manner manner) {
        for (std::size_t i = 0; i < 30; ++i)
            if (r.manner(i) == manner)
                return i;
        ADD_FAILURE();
        return std::size_t{0};
    };
    const auto get = wire::RdmClass::Get;
    const std::size_t later = lampOf(Manner::Later);
    const auto first = answer(r, later, get, pid::kModel);
    EXPECT_EQ(first.answer, static_cast<int>(wire::RdmAnswer::AckTimer));
    EXPECT_EQ(first.queued, 1);
    const auto queued = answer(r, later, get, pid::kQueued, {4});
    EXPECT_EQ(queued.parameter, pid::kModel);
    EXPECT_EQ(std::string(queued.data.begin(), queued.data.end()), "test");
    EXPECT_EQ(answer(r, later, get, pid::kQueued, {4}).parameter, pid::kStatus) << "no more waits";
    const std::size_t pieces = lampOf(Manner::Pieces);
    EXPECT_EQ(answer(r, pieces, get, pid::kPersonality).answer, 0);
}

TEST_F(ResponderTest, LevelsReachTheLamp) {
    Responder r(rig, false);
    std::vector<std::uint8_t> levels(512, 0);
    levels[10] = 255; // lamp 2's red
    EXPECT_TRUE(r.take(wire::ArtDmx{0, 0, levels}, changed).empty());
    EXPECT_EQ(changed, std::vector<std::size_t>{1});
    EXPECT_GT(rig.shown(1).xyz.Y, 0);
}

TEST_F(ResponderTest, AnAwkwardRigHasEveryKindOfTrouble) {
    Responder r(rig, true);
    std::map<Manner, int> counts;
    for (std::size_t i = 0; i < 40; ++i)
        ++counts[r.manner(i)];
    EXPECT_GE(counts[Manner::Slow], 3);
    EXPECT_GE(counts[Manner::Later], 3);
    EXPECT_EQ(counts[Manner::Garbled], 1);
    EXPECT_EQ(counts[Manner::Twin], 1);
    EXPECT_EQ(counts[Manner::Silent], 1);
    for (std::size_t i = 0; i < 40; ++i) {
        const auto replies =
            ask(r, r.uid(i), wire::RdmClass::Get, pid::kDeviceInfo, {}, i < 30 ? 0 : 5);
        const bool twin =
            r.manner(i) == Manner::Twin || (i + 1 < 40 && r.manner(i + 1) == Manner::Twin);
        EXPECT_EQ(replies.size(), r.manner(i) == Manner::Silent ? 0u : twin ? 2u : 1u) << i;
        if (r.manner(i) == Manner::Slow) {
            EXPECT_GT(replies[0].after.count(), 100);
        }
    }
}

} // namespace
} // namespace zelo::practice
