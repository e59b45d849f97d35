// SPDX-License-Identifier: GPL-3.0-or-later
// Runs a target over the files of a folder, and over each of them cut short and stirred a little.
#include "target.h"

#include <cstdio>
#include <filesystem>
#include <fstream>
#include <iterator>
#include <string>

int main(int argc, char** argv) {
    if (argc != 2)
        return 2;
    int inputs = 0;
    const auto run = [&](const std::string& bytes) {
        LLVMFuzzerTestOneInput(reinterpret_cast<const std::uint8_t*>(bytes.data()), bytes.size());
        ++inputs;
    };
    for (const auto& entry : std::filesystem::directory_iterator(argv[1])) {
        std::ifstream in(entry.path(), std::ios::binary);
        const std::string whole{std::istreambuf_iterator<char>(in), {}};
        run(whole);
        for (std::size_t step = 1; step <= 60; ++step) {
            run(whole.substr(0, whole.size() * step / 61));
            std::string stirred = whole;
            if (!stirred.empty())
                stirred[(step * 7919) % stirred.size()] ^= static_cast<char>(1u << step % 8);
            run(stirred);
        }
    }
    std::printf("%d inputs\n", inputs);
    return inputs > 60 ? 0 : 1; // an empty corpus tests nothing
}
