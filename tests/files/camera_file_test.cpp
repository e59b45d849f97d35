// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/camera_file.h"
#include "support/cameras.h"

#include <gtest/gtest.h>

namespace zelo::files {
namespace {

std::string csv(const char* separator = ",") {
    std::string text = "nm,r,g,b\n";
    for (int nm = 380; nm <= 780; nm += 10) {
        const auto bell = [&](double at, double width) {
            return std::exp(-0.5 * std::pow((nm - at) / width, 2));
        };
        text += std::to_string(nm);
        for (const double v : {bell(600, 40), bell(535, 40), bell(455, 30)})
            text += separator + std::to_string(v);
        text += "\n";
    }
    return text;
}

std::string errorOf(const std::string& text) {
    const auto read = parseCamera(text);
    return read ? std::string() : read.error().text();
}

TEST(CameraFile, ThreeCamerasShipAndTellTheirNames) {
    for (const char* id : {"kittiwake", "fulmar", "guillemot"}) {
        const auto camera = test::shippedCamera(id);
        EXPECT_EQ(camera.name()[0], std::toupper(id[0]));
        EXPECT_LT(camera.shownError(), 0.05);
    }
    EXPECT_GT(
        *test::shippedCamera("kittiwake").miss(colour::lampOf({3200}), colour::lampOf({5600})),
        0.1);
}

TEST(CameraFile, TableFormsMeanTheSame) {
    const auto comma = parseCamera(csv());
    const auto semicolon = parseCamera(csv(";"));
    ASSERT_TRUE(comma);
    ASSERT_TRUE(semicolon);
    EXPECT_EQ(comma->channels, semicolon->channels);
    // As CGATS: a wavelength a row, and a channel a row.
    std::string by_row = "CGATS.17\nDESCRIPTOR \"Turnstone\"\nBEGIN_DATA_FORMAT\nNM RGB_R RGB_G "
                         "RGB_B\nEND_DATA_FORMAT\nBEGIN_DATA\n";
    std::string fields, values[3];
    for (int nm = 380; nm <= 780; nm += 10) {
        const auto at = static_cast<std::size_t>(nm - 380);
        fields += " SPECTRAL_NM" + std::to_string(nm);
        by_row += std::to_string(nm);
        for (std::size_t k = 0; k < 3; ++k) {
            const auto v = " " + fmt::format("{:.6f}", comma->channels[k][at]);
            by_row += v;
            values[k] += v;
        }
        by_row += "\n";
    }
    by_row += "END_DATA\n";
    std::string by_channel =
        "CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID" + fields + "\nEND_DATA_FORMAT\nBEGIN_DATA\n";
    for (std::size_t k = 0; k < 3; ++k)
        by_channel += std::to_string(k + 1) + values[k] + "\n";
    by_channel += "END_DATA\n";
    for (const auto& text : {by_row, by_channel}) {
        const auto read = parseCamera(text);
        ASSERT_TRUE(read) << read.error().text();
        for (std::size_t k = 0; k < 3; ++k)
            for (std::size_t i = 0; i < colour::kGridSize; i += 7)
                EXPECT_NEAR(read->channels[k][i], comma->channels[k][i], 2e-5);
    }
    EXPECT_EQ(parseCamera(by_row)->name, "Turnstone");
}

TEST(CameraFile, FaultsAreToldByLine) {
    std::string text = csv();
    text.replace(text.find("\n400,") + 1, 4, "400;");
    EXPECT_NE(errorOf("nm,r,g,b\n380,1,2\n").find("line 2"), std::string::npos);
    EXPECT_NE(errorOf("nm,r,g,b\n380,1,2,x\n").find("line 2"), std::string::npos);
    EXPECT_FALSE(errorOf("").empty());
    EXPECT_FALSE(errorOf("nm,r,g,b\n").empty());
    EXPECT_FALSE(errorOf("CGATS.17\nBEGIN_DATA_FORMAT\nNM RGB_R\nEND_DATA_FORMAT\nBEGIN_DATA\n380 "
                         "1\nEND_DATA\n")
                     .empty());
    std::string many = "nm,r,g,b\n";
    for (int i = 0; i < 30000; ++i)
        many += std::to_string(380 + i * 0.01) + ",1,1,1\n";
    EXPECT_FALSE(errorOf(many).empty());
}

TEST(CameraFile, NoiseBelowNothingIsTakenForNothingAndTold) {
    std::string text = csv();
    const auto at = text.find("780,");
    text = text.substr(0, at) + "780,-0.004,0,0\n";
    const auto read = parseCamera(text);
    ASSERT_TRUE(read) << read.error().text();
    EXPECT_EQ(read->channels[0][400], 0);
    ASSERT_EQ(read->notes.size(), 1u);
    const auto worse = text.substr(0, at) + "780,-0.2,0,0\n";
    EXPECT_FALSE(errorOf(worse).empty());
    std::string part = "nm,r,g,b\n";
    for (int nm = 400; nm <= 700; nm += 10)
        part += csv().substr(csv().find("\n" + std::to_string(nm)) + 1,
                             csv().find('\n', csv().find("\n" + std::to_string(nm)) + 1) -
                                 csv().find("\n" + std::to_string(nm)));
    const auto known = parseCamera(part);
    ASSERT_TRUE(known) << known.error().text();
    EXPECT_EQ(known->notes.size(), 1u) << "beyond 400 to 700 nm it sees nothing, which is told";
    EXPECT_EQ(known->channels[2][0], 0);
}

} // namespace
} // namespace zelo::files
