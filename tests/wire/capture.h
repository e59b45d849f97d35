// SPDX-License-Identifier: GPL-3.0-or-later
// What tshark, which knows the protocols on its own, reads in a packet of ours.
#pragma once

#include <cstdint>
#include <cstdio>
#include <cstdlib>
#include <fstream>
#include <gtest/gtest.h>
#include <optional>
#include <span>
#include <string>

namespace zelo::wire {

// The values of `fields` ("-e acn.dmx.universe …") apart by tabs; nothing where there is no tshark.
inline std::optional<std::string> dissected(std::span<const std::uint8_t> payload, int port,
                                            const std::string& options, const std::string& fields) {
    if (std::system("command -v tshark >/dev/null") != 0)
        return std::nullopt;
    const auto* test = ::testing::UnitTest::GetInstance()->current_test_info();
    const std::string path =
        ::testing::TempDir() + "/zelo-" + test->test_suite_name() + "-" + test->name() + ".pcap";
    {
        std::ofstream out(path, std::ios::binary);
        const auto put = [&](std::initializer_list<int> bytes) {
            for (const int b : bytes)
                out.put(static_cast<char>(b));
        };
        const auto size = static_cast<int>(payload.size());
        put({0xd4, 0xc3, 0xb2, 0xa1, 2, 0, 4, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0xff, 0xff, 0, 0});
        put({101, 0, 0, 0}); // raw IP
        const int all = size + 28;
        put({0, 0, 0, 0, 0, 0, 0, 0, all & 255, all >> 8, 0, 0, all & 255, all >> 8, 0, 0});
        put({0x45, 0, all >> 8, all & 255, 0, 0, 0, 0, 64, 17, 0, 0, 127, 0, 0, 1, 127, 0, 0, 1});
        put({0x30, 0x39, port >> 8, port & 255, (size + 8) >> 8, (size + 8) & 255, 0, 0});
        out.write(reinterpret_cast<const char*>(payload.data()), size);
    }
    const std::string command =
        "tshark -r " + path + " " + options + " -T fields " + fields + " 2>/dev/null";
    FILE* pipe = ::popen(command.c_str(), "r");
    char line[512] = {};
    const bool read = pipe && std::fgets(line, sizeof line, pipe) != nullptr;
    if (pipe)
        ::pclose(pipe);
    std::string text = read ? line : "";
    while (!text.empty() && text.back() == '\n')
        text.pop_back();
    return text;
}

} // namespace zelo::wire
