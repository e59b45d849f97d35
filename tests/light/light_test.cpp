// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/cct.h"
#include "colour/lamp.h"
#include "light/frame.h"
#include "light/levels.h"
#include "light/mode_table.h"
#include "light/wanted.h"

#include <gtest/gtest.h>
#include <random>

namespace zelo::light {
namespace {

class Sources : public ColourSources {
public:
    Result<Gel> gel(const std::string& id) const override {
        if (id == "7")
            return Gel{"7", "Half", colour::Spectrum::flat(0.5)};
        return fail(ErrorCode::NotFound, "no gel {}", id);
    }
    Result<colour::Spectrum> spectrum(const std::string& path) const override {
        if (path == "lamp.csv")
            return colour::blackbody({2500});
        return fail(ErrorCode::NotFound, "{}: no such file", path);
    }
    Result<Wanted> palette(const std::string& name) const override {
        return fail(ErrorCode::NotFound, "no palette {}", name);
    }
};

TEST(Response, CurvesAndTheirInverses) {
    const auto cubic = Response::ofPieces({{0, {0, 0.5, 0, 0}}, {0.5, {0.25, 1.5, 0, 0}}});
    ASSERT_TRUE(cubic);
    const auto bowed = Response::ofPieces({{0, {0.05, 0.3, 0.65, 0}}});
    const auto bent = Response::ofPieces({{0, {0, 0.2, 0.3, 0.5}}});
    for (const Response& r : {Response(), Response::square(), *cubic, *bowed, *bent})
        for (double level = 0; level <= 1; level += 0.01)
            EXPECT_NEAR(r.level(r.drive(level)), level, 1e-9);
    EXPECT_EQ(Response::square().drive(0.5), 0.25);
    EXPECT_NEAR(cubic->drive(0.75), 0.625, 1e-12);
    EXPECT_EQ(Response().drive(7), 1);
    EXPECT_EQ(Response::square().level(2), 1);
    EXPECT_EQ(bowed->level(0.02), 0) << "it gives more from the start";
    const auto early = Response::ofPieces({{0, {0, 0, 4, 0}}}); // all of it at a half
    EXPECT_NEAR(early->level(1), 0.5, 1e-12);
    EXPECT_EQ(early->level(1.001), 1) << "nothing gives that";
}

TEST(Response, AFallingCurveHasItsInverseToo) {
    const auto straight = Response::ofPieces({{0, {1, -1, 0, 0}}});
    const auto bent = Response::ofPieces({{0, {0.9, -0.2, 0, 0}}, {0.5, {0.8, -1.8, 0.4, 0}}});
    for (const Response& r : {*straight, *bent})
        for (double level = 0.02; level < 0.93; level += 0.05)
            EXPECT_NEAR(r.level(r.drive(level)), level, 1e-9);
    EXPECT_EQ(straight->level(1), 0);
    EXPECT_EQ(straight->level(2), 0);
    EXPECT_NEAR(straight->level(0), 1, 1e-9);
}

TEST(Response, RefusesDisorder) {
    EXPECT_FALSE(Response::ofPieces({}));
    EXPECT_FALSE(Response::ofPieces({{0.5, {0, 1, 0, 0}}, {0.2, {0, 1, 0, 0}}}));
    EXPECT_FALSE(Response::ofPieces({{0, {0, NAN, 0, 0}}}));
}

FixtureType twoEmitters(Role first, int bytes) {
    FixtureType type;
    type.emitters = {{"A", colour::Spectrum::flat(1), false, 0},
                     {"B", colour::Spectrum::flat(3), false, 0}};
    Mode mode{"m", {}, 0};
    int offset = 1;
    const auto add = [&](Role role, std::size_t emitter) {
        Channel c;
        c.role = role;
        c.part = emitter;
        for (int b = 0; b < bytes; ++b)
            c.offsets.push_back(offset++);
        mode.channels.push_back(c);
    };
    add(first, 0);
    add(Role::Part, 0);
    add(Role::Part, 1);
    mode.footprint = offset - 1;
    type.modes = {mode};
    return type;
}

TEST(Levels, GoThroughTheWireAndBack) {
    for (const int bytes : {1, 2, 3}) {
        const auto type = twoEmitters(Role::Dimmer, bytes);
        const Mode& mode = type.modes[0];
        const std::uint32_t most = mode.channels[0].most();
        EXPECT_EQ(most, bytes == 1 ? 255u : bytes == 2 ? 65535u : 16777215u);
        const ChannelValues values{most, most / 3, 1};
        std::vector<std::uint8_t> bytes_out(static_cast<std::size_t>(mode.footprint));
        writeSlots(mode, values, bytes_out);
        EXPECT_EQ(readSlots(mode, bytes_out), values);
        EXPECT_EQ(bytes_out.back(), 1) << "the last byte is the finest";
    }
}

TEST(Levels, TheDimmerScalesEveryEmitter) {
    const auto type = twoEmitters(Role::Dimmer, 1);
    const auto full = drivesOf(type, type.modes[0], {255, 255, 51});
    EXPECT_NEAR(full[0], 1, 1e-12);
    EXPECT_NEAR(full[1], 0.2, 1e-12);
    const auto dim = drivesOf(type, type.modes[0], {51, 255, 51});
    EXPECT_NEAR(dim[1], 0.04, 1e-12);
    const auto xyz = xyzOf(type, full);
    EXPECT_NEAR(xyz.Y, type.emitters[0].xyz().Y + 0.2 * type.emitters[1].xyz().Y, 1e-9);
}

TEST(Levels, NearestValueIsTheNearest) {
    Channel c;
    c.offsets = {1};
    c.response = Response::square();
    for (double drive = 0; drive <= 1; drive += 0.003) {
        const auto v = channelValue(c, drive);
        for (const std::uint32_t other : {v - 1, v + 1})
            if (other <= 255)
                EXPECT_LE(std::abs(c.response.level(drive) * 255 - v),
                          std::abs(c.response.level(drive) * 255 - other) + 1e-9);
    }
}

TEST(Frame, UniversesStayInOrder) {
    Frame frame;
    frame.at(7).values[0] = 1;
    frame.at(2).values[0] = 2;
    frame.at(7).values[1] = 3;
    ASSERT_EQ(frame.universes.size(), 2u);
    EXPECT_EQ(frame.universes[0].universe, 2);
    EXPECT_EQ(frame.universes[1].values[1], 3);
}

TEST(Wanted, ReadsEveryNotation) {
    const Sources sources;
    const auto colour = [&](const char* text) {
        const auto read = parseColour(text, sources);
        EXPECT_TRUE(read.has_value()) << text;
        return read ? *read : Wanted{};
    };
    EXPECT_NEAR(colour("xy:0.44,0.40").xyz.X, 1.1, 1e-12);
    EXPECT_NEAR(colour("uv:0.25,0.52").uv().u, 0.25, 1e-12);
    EXPECT_TRUE(colour("cct:3200").spectrum.has_value());
    EXPECT_NEAR(colour::cctOf(colour("cct:3200/0.005").uv())->duv, 0.005, 3e-5);
    ASSERT_TRUE(colour("cct:3200/0.005").spectrum) << "a tint is a filter over its lamp";
    EXPECT_NEAR(colour::cctOf(colour::toUv(colour::toXyz(*colour("cct:3200/0.005").spectrum)))->duv,
                0.005, 3e-5);
    const auto red = colour("srgb:#FF0000");
    EXPECT_NEAR(colour::toXy(red.xyz).x, 0.64, 1e-3);
    EXPECT_NEAR(colour::toXy(red.xyz).y, 0.33, 1e-3);
    EXPECT_EQ(colour("spd:lamp.csv").xyz.Y, 1);
    // A grey gel leaves the lamp's colour; two let through a quarter; the lamp may be a file.
    const auto plain = colour("gel:7");
    EXPECT_LT(distance(plain.uv(), colour("cct:3200").uv()), 1e-9);
    EXPECT_NEAR(plain.transmitted, 0.5, 1e-12);
    EXPECT_NEAR(colour("gel:7+gel:7@5600").transmitted, 0.25, 1e-12);
    EXPECT_LT(distance(colour("gel:7@lamp.csv").uv(), colour("cct:2500").uv()), 1e-9);
    EXPECT_LT(distance(colour("gel:7@2700+gel:7").uv(), colour("cct:2700").uv()), 1e-9);
}

TEST(Wanted, SaysWhatIsWrong) {
    const Sources sources;
    struct Case {
        const char* text;
        const char* says;
    };
    const Case cases[] = {{"", "a colour begins with"},
                          {"blue", "a colour begins with"},
                          {"gel:", "gel:ID"},
                          {"gel:7@", "gel:ID"},
                          {"gel:99", "no gel 99"},
                          {"gel:7+gel:99", "no gel 99"},
                          {"gel:7@50", "colour temperature"},
                          {"gel:7@none.csv", "none.csv"},
                          {"cct:warm", "colour temperature"},
                          {"cct:3200/0.2", "Duv within"},
                          {"cct:3200/0/0", "Duv within"},
                          {"xy:0.3", "two numbers"},
                          {"xy:0.9,0.9", "no light"},
                          {"uv:0.3,0", "two numbers"},
                          {"xy:nan,0.3", "two numbers"},
                          {"srgb:#12345", "RRGGBB"},
                          {"srgb:#GG0000", "RRGGBB"},
                          {"srgb:#000000", "black"},
                          {"spd:none.csv", "none.csv"},
                          {"palette:x", "no palette"}};
    for (const auto& c : cases) {
        const auto read = parseColour(c.text, sources);
        ASSERT_FALSE(read) << c.text;
        EXPECT_NE(read.error().text().find(c.says), std::string::npos)
            << c.text << " → " << read.error().text();
    }
}

TEST(Wanted, GelTextComesBackInOneWay) {
    const auto asked = parseAsked("gel:A@3200+gel:B");
    ASSERT_TRUE(asked);
    EXPECT_EQ(std::get<AskedGel>(*asked), (AskedGel{"A", 3200.0, "", "B"}));
    EXPECT_EQ(toText(*asked), "gel:A+gel:B@3200");
    EXPECT_EQ(*parseAsked(toText(*asked)), *asked);
    for (const char* bad : {"gel:A@1@2", "gel:A@1+gel:B@3", "gel:A+gel:B+gel:C",
                            "gel:A+gel:", "gel:A@", "gel:A@+gel:B", "gel:@3200"})
        EXPECT_FALSE(parseAsked(bad)) << bad; // a fuzzer found that some of these came back changed
}

TEST(Asked, ComesBackFromItsTextToTheBit) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> share(0.05, 0.6);
    std::uniform_real_distribution<double> kelvin(1000, 20000);
    for (int i = 0; i < 2000; ++i)
        for (const Asked& asked : {Asked(AskedXy{share(random), share(random)}),
                                   Asked(AskedUv{share(random), share(random)}),
                                   Asked(AskedWhite{kelvin(random), share(random) / 20}),
                                   Asked(AskedWhite{kelvin(random), std::nullopt}),
                                   Asked(AskedGel{"214", kelvin(random), "", ""})})
            ASSERT_EQ(*parseAsked(toText(asked)), asked) << toText(asked);
    for (const char* text : {"srgb:#00a1ff", "spd:street lamp", "palette:embers", "gel:7@lamp.sp"})
        EXPECT_EQ(toText(*parseAsked(text)), text);
}

TEST(Asked, InWordsIsWhatPeopleSay) {
    EXPECT_EQ(inWords(AskedGel{"214", 3200.0, {}, {}}).english(), "214 at 3200 K");
    EXPECT_EQ(inWords(AskedGel{"214", {}, {}, "338"}).english(), "214 over 338");
    EXPECT_EQ(inWords(AskedWhite{5600, {}}).english(), "white of 5600 K");
    EXPECT_EQ(inWords(AskedWhite{5600, -0.004}).english(), "white of 5600 K, tint -0.0040");
    EXPECT_EQ(inWords(AskedXy{0.44, 0.4}).english(), "x 0.4400, y 0.4000");
    EXPECT_EQ(inWords(AskedSrgb{240, 128, 64}).english(), "hex #f08040");
    EXPECT_EQ(inWords(AskedPalette{"dusk"}).english(), "palette dusk");
    EXPECT_EQ(inWords(AskedMeasured{"moon"}).english(), "measured moon");
}

// The quick way gives the same values as the one that searches.
TEST(ModeTable, GivesTheNearestValues) {
    Mode mode;
    const auto add = [&](Response response, int bytes, std::vector<SlotRange> ranges = {}) {
        Channel c;
        c.role = Role::Part;
        c.response = std::move(response);
        c.offsets.resize(static_cast<std::size_t>(bytes));
        c.ranges = std::move(ranges);
        mode.channels.push_back(c);
    };
    const auto dead = *Response::ofPieces({{0, {0, 0, 0, 0}}, {0.1, {0, 0, 1.5, 0}}});
    const auto kinked = *Response::ofPieces({{0, {0, 0.2, 0, 0}}, {0.5, {0.1, 1.8, 0, 0}}});
    for (const int bytes : {1, 2}) {
        add({}, bytes);
        add(Response::square(), bytes);
        add(dead, bytes);
        add(kinked, bytes);
    }
    add({}, 1, {{0, 99, 0}, {100, 199, 1}, {200, 255, 2}});
    const ModeTable table(mode);
    for (std::size_t i = 0; i < mode.channels.size(); ++i)
        for (int k = -1; k <= 4001; ++k) {
            const double drive = k / 4000.0;
            const auto searched = channelValue(mode.channels[i], drive);
            const auto quick = table.value(i, drive);
            if (quick != searched) // only where both are as near
                EXPECT_NEAR(driveOf(mode.channels[i], (double(quick) + searched) / 2),
                            std::clamp(drive, 0.0, 1.0), 1e-9)
                    << i << " " << drive;
            EXPECT_LE(std::abs(int(quick) - int(searched)), 1) << i << " " << drive;
        }
}

} // namespace
} // namespace zelo::light
