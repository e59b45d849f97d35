// SPDX-License-Identifier: GPL-3.0-or-later
// Reads the vectors under tests/data/; their README says where each comes from.
#pragma once

#include "colour/resample.h"
#include "support/places.h"

#include <fstream>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>
#include <string>

namespace zelo::test {

inline std::string dataPath(const std::string& name) {
    return std::string(places::test_data) + "/" + name;
}

inline nlohmann::json readJson(const std::string& name) {
    std::ifstream in(dataPath(name));
    EXPECT_TRUE(in) << name;
    return nlohmann::json::parse(in);
}

// A CSV of nm, value with one heading row. (The product's own reader is tested elsewhere.)
inline colour::Samples readCsv(const std::string& name) {
    std::ifstream in(dataPath(name));
    EXPECT_TRUE(in) << name;
    colour::Samples samples;
    std::string line;
    std::getline(in, line);
    while (std::getline(in, line)) {
        const auto comma = line.find(',');
        samples.wavelengths_nm.push_back(std::stod(line.substr(0, comma)));
        samples.values.push_back(std::stod(line.substr(comma + 1)));
    }
    return samples;
}

inline colour::Spectrum readLightCsv(const std::string& name) {
    auto light = colour::lightFromSamples(readCsv(name));
    EXPECT_TRUE(light.has_value()) << name;
    return light.value_or(colour::Spectrum());
}

} // namespace zelo::test
