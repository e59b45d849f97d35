// SPDX-License-Identifier: GPL-3.0-or-later
// RDM and Art-Net packets against the layouts of ANSI E1.20 and Art-Net 4, written down byte by
// byte from their tables.
#include "wire/art_net.h"
#include "wire/capture.h"

#include <gtest/gtest.h>

namespace zelo::wire {
namespace {

std::string hexOf(std::span<const std::uint8_t> bytes) {
    std::string text;
    for (const auto b : bytes)
        text += fmt::format("{:02x}", b);
    return text;
}

RdmMessage request() {
    RdmMessage m;
    m.to = {0x1234, 0x56789abc};
    m.from = {0xcba9, 0x87654321};
    m.transaction = 0;
    m.answer = 1;
    m.command = RdmClass::Set;
    m.parameter = pid::kStartAddress;
    m.data = {0x00, 0x65};
    return m;
}

TEST(Rdm, BytesAreThoseOfTheStandard) {
    const auto bytes = encoded(request());
    EXPECT_EQ(hexOf({bytes.data(), 26}), "cc011a"
                                         "123456789abc"
                                         "cba987654321"
                                         "00010000003000f0020065");
    unsigned sum = 0;
    for (std::size_t i = 0; i + 2 < bytes.size(); ++i)
        sum += bytes[i];
    EXPECT_EQ(bytes.size(), 28u);
    EXPECT_EQ(bytes[26] << 8 | bytes[27], static_cast<int>(sum & 0xffff));
    EXPECT_EQ(*decodeRdm(bytes), request());
}

TEST(Rdm, WhatIsBroken) {
    const auto good = encoded(request());
    for (std::size_t n = 0; n < good.size(); ++n)
        EXPECT_FALSE(decodeRdm({good.data(), n})) << n << " bytes";
    // One flipped bit anywhere is found by the checksum or before it.
    for (std::size_t i = 0; i < good.size(); ++i)
        for (int bit = 0; bit < 8; ++bit) {
            auto bad = good;
            bad[i] = static_cast<std::uint8_t>(bad[i] ^ (1 << bit));
            EXPECT_FALSE(decodeRdm(bad)) << "byte " << i << " bit " << bit;
        }
    EXPECT_EQ(senderOf(good), (Uid{0xcba9, 0x87654321}));
    EXPECT_FALSE(senderOf({good.data(), 10}));
    EXPECT_NE(decodeRdm({good.data(), 9}).error().text().find("26"), std::string::npos);
}

TEST(Rdm, AnswersGoBackToTheAsker) {
    const auto ack = answerTo(request(), {});
    EXPECT_EQ(ack.to, request().from);
    EXPECT_EQ(ack.from, request().to);
    EXPECT_EQ(ack.command, RdmClass::SetResponse);
    EXPECT_EQ(ack.answer, 0);
    const auto no = refusalOf(request(), nack::kOutOfRange);
    EXPECT_EQ(no.answer, 2);
    EXPECT_EQ(hexOf(no.data), "0006");
}

TEST(Rdm, UidsAreText) {
    EXPECT_EQ(toText(Uid{0x7ff0, 0x2a04}), "7ff0:00002a04");
    EXPECT_EQ(uidOf("7FF0:00002A04"), (Uid{0x7ff0, 0x2a04}));
    for (const char* bad : {"", "7ff0", "7ff0-00002a04", "7ff0:00002a0", "7ff0:00002a0g"})
        EXPECT_FALSE(uidOf(bad)) << bad;
}

TEST(Rdm, DeviceInfoKeepsItsFields) {
    const DeviceInfo info{0x0102, 0x03040506, 18, 2, 3, 511};
    const auto bytes = encoded(info);
    EXPECT_EQ(hexOf(bytes), "01000102010103040506001202030"
                            "1ff000000");
    EXPECT_EQ(*decodeDeviceInfo(bytes), info);
    auto bad = bytes;
    bad[14] = bad[15] = 0;
    EXPECT_FALSE(decodeDeviceInfo(bad)) << "address 0";
    EXPECT_FALSE(decodeDeviceInfo({bytes.data(), 18}));
}

TEST(ArtNet, LevelsAreThoseOfTheStandard) {
    const auto bytes = encoded(ArtDmx{7, 0x1234, {1, 2, 255, 4}});
    EXPECT_EQ(hexOf(bytes), "4172742d4e65740000"
                            "50000e0700"
                            "3412"
                            "0004010"
                            "2ff04");
    EXPECT_EQ(std::get<ArtDmx>(*decodeArtNet(bytes)), (ArtDmx{7, 0x1234, {1, 2, 255, 4}}));
}

TEST(ArtNet, APollReplyHasItsFieldsInTheirPlaces) {
    const ArtPollReply reply{{10, 0, 0, 7}, "Node", "A node", 1, {0x0123, 0x0124}, true};
    const auto b = encoded(reply);
    ASSERT_EQ(b.size(), 239u);
    EXPECT_EQ(hexOf({b.data(), 20}), "4172742d4e6574000021"
                                     "0a000007"
                                     "3619"
                                     "00000102");
    EXPECT_EQ(hexOf({b.data() + 20, 2}), "00ff") << "a maker that has no code";
    EXPECT_TRUE(b[212] & 0x08) << "port addresses of 15 bits";
    EXPECT_EQ(b[26], 'N');
    EXPECT_EQ(b[44], 'A');
    EXPECT_EQ(b[173], 2);
    EXPECT_EQ(hexOf({b.data() + 174, 4}), "80800000");
    EXPECT_EQ(hexOf({b.data() + 190, 4}), "03040000");
    EXPECT_EQ(std::get<ArtPollReply>(*decodeArtNet(b)), reply);
    EXPECT_TRUE(decodeArtNet({b.data(), 207})) << "older nodes send less";
    EXPECT_FALSE(decodeArtNet({b.data(), 206}));
}

TEST(ArtNet, EveryPacketComesBackAsItWas) {
    std::vector<Uid> many;
    for (std::uint32_t i = 0; i < kTodMostUids; ++i)
        many.push_back({0x7ff0, i});
    const ArtPacket packets[] = {
        ArtPoll{2, 0x123, 7},          ArtTodRequest{0x7fff},
        ArtTodControl{9, 1},           ArtTodData{0x1ff, false, 400, 1, many},
        ArtTodData{3, true, 0, 0, {}}, ArtRdm{9, encoded(request())}};
    for (const auto& p : packets) {
        const auto bytes = encoded(p);
        const auto back = decodeArtNet(bytes);
        ASSERT_TRUE(back) << back.error().text();
        EXPECT_EQ(*back, p);
        const bool longer = std::holds_alternative<ArtTodRequest>(p) || // than needs be read
                            std::holds_alternative<ArtPoll>(p) || std::holds_alternative<ArtRdm>(p);
        for (std::size_t n = 0; n + 1 < bytes.size() && !longer; ++n)
            EXPECT_FALSE(decodeArtNet({bytes.data(), n})) << p.index() << ", " << n << " bytes";
    }
    // Without its start code: 24 bytes before the sub-start code.
    const auto rdm = encoded(packets[5]);
    EXPECT_EQ(hexOf(std::span(rdm).subspan(20, 6)), "00000009011a");
}

TEST(ArtNet, LengthsAreThoseOfTheStandard) {
    EXPECT_EQ(encoded(ArtTodRequest{3}).size(), 56u) << "room for 32 addresses";
    const auto odd = encoded(ArtDmx{1, 0, {9, 8, 7}});
    EXPECT_EQ(odd.size(), 18u + 4);
    EXPECT_EQ(std::get<ArtDmx>(*decodeArtNet(odd)).values, (std::vector<std::uint8_t>{9, 8, 7, 0}));
    const auto poll = encoded(ArtPoll{});
    EXPECT_TRUE(decodeArtNet({poll.data(), 14})) << "as old ones poll";
}

TEST(ArtNet, AnotherDissectorAgrees) {
    const auto read = [](const ArtPacket& packet, const std::string& fields) {
        return dissected(encoded(packet), kArtNetPort, "-d udp.port==6454,artnet", fields);
    };
    const auto dmx = read(ArtDmx{7, 0x0123, {1, 2, 255, 4}},
                          "-e artnet.header.opcode -e artnet.output.sequence"
                          " -e artnet.output.universe -e artnet.output.length");
    if (!dmx)
        GTEST_SKIP() << "no tshark";
    EXPECT_EQ(*dmx, "0x5000\t7\t291\t4");
    EXPECT_EQ(*read(ArtRdm{9, encoded(request())},
                    "-e rdm.dst -e rdm.src -e rdm.cc -e rdm.pid -e rdm.pdl"
                    " -e rdm.pd.dmx_start_address"),
              "123456789abc\tcba987654321\t0x30\t0x00f0\t2\t101");
    const auto reply = read(ArtPollReply{{10, 0, 0, 7}, "Node", "A node", 1, {0x0123}, true},
                            "-e artnet.poll_reply.short_name -e artnet.poll_reply.num_ports");
    EXPECT_EQ(*reply, "Node\t1");
    const auto tod = read(ArtTodData{3, false, 1, 0, {{0x7ff0, 0x2a04}}},
                          "-e artnet.tod_data.uid_total -e artnet.tod_data.uid_count");
    EXPECT_EQ(*tod, "1\t1");
}

TEST(ArtNet, WhatIsNotForUsIsRefusedInWords) {
    auto poll = encoded(ArtPoll{});
    poll[0] = 'B';
    EXPECT_NE(decodeArtNet(poll).error().text().find("not Art-Net"), std::string::npos);
    poll = encoded(ArtPoll{});
    poll[11] = 13;
    EXPECT_EQ(decodeArtNet(poll).error().code, ErrorCode::Unsupported);
    poll = encoded(ArtPoll{});
    poll[9] = 0x60;
    EXPECT_EQ(decodeArtNet(poll).error().code, ErrorCode::Unsupported);
    auto dmx = encoded(ArtDmx{0, 0, {1, 2}});
    dmx[16] = 2; // 514 slots
    EXPECT_FALSE(decodeArtNet(dmx));
    auto tod = encoded(ArtTodData{0, false, 1, 0, {{1, 2}}});
    tod[27] = 2;
    EXPECT_FALSE(decodeArtNet(tod));
}

} // namespace
} // namespace zelo::wire
