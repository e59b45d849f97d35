// SPDX-License-Identifier: GPL-3.0-or-later
// Real spectrometers through spotread: what it writes, and the whole conversation with a stand-in
// that speaks as it does (tests/stand_in/spotread).
#include "host/spot_read.h"
#include "support/places.h"

#include <gtest/gtest.h>

namespace zelo::host {
namespace {

using Event = SpotReadOutput::Event;
using Kind = Event::Kind;

const std::string kPrompt =
    "Place instrument on spot to be measured,\n"
    "and hit [A-Z] to read white and setup FWA compensation (keyed to letter)\n"
    "[a-z] to read and make FWA compensated reading from keyed reference\n"
    "'r' to set reference, 's' to save spectrum,\n"
    "'h' to toggle high res., 'k' to do a calibration\n"
    "Hit ESC or Q to exit, any other key to take a reading: ";

TEST(SpotReadOutput, TellsWhatItWaitsFor) {
    SpotReadOutput output;
    EXPECT_TRUE(output.take("Connecting to the instrument ..\n").empty());
    const auto ready = output.take(kPrompt);
    ASSERT_EQ(ready.size(), 1u);
    EXPECT_EQ(ready[0].kind, Kind::Ready);
    const auto needs = output.take("\nSpot read needs a calibration before continuing\n"
                                   "Place the instrument on its reflective white reference S/N 7,\n"
                                   " and then hit any key to continue,\n"
                                   " or hit Esc or Q to abort: ");
    ASSERT_EQ(needs.size(), 1u);
    EXPECT_EQ(needs[0].kind, Kind::Needs);
    EXPECT_EQ(needs[0].text, "Place the instrument on its reflective white reference S/N 7,");
}

TEST(SpotReadOutput, ReadsSpectraInWhateverPieces) {
    const std::string all =
        "Spectrum from 380.000000 to 730.000000 nm in 8 steps\n"
        "   0.001,    0.5, 1.25, 2, 3e-2, 0, 0.125,    4\n Result is XYZ: 1 2 3\n" +
        kPrompt;
    for (const std::size_t piece : {1ul, 7ul, 1000ul}) {
        SpotReadOutput output;
        std::vector<Event> events;
        for (std::size_t at = 0; at < all.size(); at += piece)
            for (auto& e : output.take(std::string_view(all).substr(at, piece)))
                events.push_back(e);
        ASSERT_EQ(events.size(), 2u) << piece;
        EXPECT_EQ(events[0].kind, Kind::Reading);
        EXPECT_EQ(events[0].samples.values,
                  (std::vector<double>{0.001, 0.5, 1.25, 2, 0.03, 0, 0.125, 4}));
        EXPECT_EQ(events[0].samples.wavelengths_nm.front(), 380);
        EXPECT_EQ(events[0].samples.wavelengths_nm[1], 430);
        EXPECT_EQ(events[0].samples.wavelengths_nm.back(), 730);
        EXPECT_EQ(events[1].kind, Kind::Ready);
    }
}

TEST(SpotReadOutput, WhatIsWrongIsAFailureAndNothingIsUnbounded) {
    const auto one = [](const std::string& text) {
        SpotReadOutput output;
        const auto events = output.take(text);
        return events.size() == 1 ? events[0] : Event{Kind::Ready};
    };
    EXPECT_EQ(one("Spot read failed due to misread\n").text, "Spot read failed due to misread");
    EXPECT_EQ(one("Spectrum from 380 to 730 nm in 36 steps\n1, 2, 3\n").kind, Kind::Failed);
    for (const char* none : {"Spectrum from 380 to 730 nm in 999999999 steps\n1, 2\n",
                             "Spectrum from 730 to 380 nm in 3 steps\n1, 2, 3\n",
                             "Spectrum from nowhere\n", "\n\n\n"}) {
        SpotReadOutput output;
        EXPECT_TRUE(output.take(none).empty()) << none;
    }
    SpotReadOutput output;
    EXPECT_TRUE(output.take(std::string(5 << 20, 'x')).empty());
    EXPECT_EQ(output.take("\n" + kPrompt).size(), 1u) << "and it goes on";
}

class SpotReadTest : public ::testing::Test {
protected:
    // As the stand-in is told to be.
    SpotRead with(const std::string& how) {
        setenv("STAND_IN", how.c_str(), 1);
        return SpotRead(std::string(places::test_data) + "/../stand_in/spotread");
    }
    Result<colour::Spectrum> measure(SpotRead& meter, bool go_on = true) {
        return meter.measure(
            [this, go_on](const std::string& text) {
                asked.push_back(text);
                return go_on;
            },
            [this] { return stops; });
    }
    std::vector<std::string> asked;
    bool stops = false;
};

TEST_F(SpotReadTest, MeasuresAgainAndAgain) {
    auto meter = with("lamp");
    ASSERT_TRUE(meter.installed());
    const auto first = measure(meter);
    ASSERT_TRUE(first) << first.error().text();
    // The stand-in's lamp is a ramp from 380 to 730 nm.
    EXPECT_GT(first->values()[300], 1.8 * first->values()[150]);
    EXPECT_EQ(first->values()[380], 0) << "beyond what it measures";
    for (int n = 2; n < 60; ++n) { // whatever comes together
        const auto next = measure(meter);
        ASSERT_TRUE(next);
        EXPECT_NEAR(next->sum() / first->sum(), n, 0.02 * n) << "it grows by as much each time";
    }
    EXPECT_TRUE(asked.empty());
}

TEST_F(SpotReadTest, AsksForItsCalibrationInWords) {
    auto meter = with("calibrate");
    ASSERT_TRUE(measure(meter));
    ASSERT_EQ(asked.size(), 1u);
    EXPECT_NE(asked[0].find("white reference"), std::string::npos) << asked[0];
    asked.clear();
    ASSERT_TRUE(measure(meter));
    EXPECT_TRUE(asked.empty()) << "once is enough";
    auto other = with("calibrate");
    const auto left = measure(other, false);
    ASSERT_FALSE(left);
    EXPECT_NE(left.error().text().find("stopped"), std::string::npos);
}

TEST_F(SpotReadTest, SaysWhatGoesWrongAndWorksAgain) {
    auto none = with("no instrument");
    const auto no = measure(none);
    ASSERT_FALSE(no);
    EXPECT_NE(no.error().text().find("No instrument"), std::string::npos) << no.error().text();
    auto once = with("misread once");
    const auto bad = measure(once);
    ASSERT_FALSE(bad);
    EXPECT_NE(bad.error().text().find("misread"), std::string::npos);
    auto dies = with("dies");
    ASSERT_FALSE(measure(dies));
    setenv("STAND_IN", "lamp", 1);
    EXPECT_TRUE(measure(dies)) << "it is started anew";
    SpotRead nowhere("no-such-program-spotread");
    EXPECT_FALSE(nowhere.installed());
    EXPECT_FALSE(measure(nowhere));
    auto silent = with("silent");
    stops = true;
    EXPECT_FALSE(measure(silent)) << "nobody waits for it";
}

TEST_F(SpotReadTest, LightWithNoiseBelowNothingIsALight) {
    auto meter = with("noise");
    const auto light = measure(meter);
    ASSERT_TRUE(light) << light.error().text();
    for (const double v : light->values())
        EXPECT_GE(v, 0);
    auto dark = with("nan");
    EXPECT_FALSE(measure(dark));
}

} // namespace
} // namespace zelo::host
