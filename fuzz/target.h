// SPDX-License-Identifier: GPL-3.0-or-later
// A fuzz target: whatever the bytes, no crash, no hang, no huge allocation, and a failure says why.
// Each .cpp here is one program: with Clang a libFuzzer (tools/fuzz), in the daily check a run over
// its seed corpus (replay.cpp has the main).
#pragma once

#include "base/result.h"

#include <cstddef>
#include <cstdint>
#include <cstdlib>
#include <string_view>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size);

namespace zelo::fuzz {

inline std::string_view text(const std::uint8_t* data, std::size_t size) {
    return {reinterpret_cast<const char*>(data), size};
}

// A reader's failure is one line that is not empty.
template <class T>
void expectSaid(const Result<T>& result) {
    if (!result &&
        (result.error().what.empty() || result.error().text().find('\n') != std::string::npos))
        std::abort();
}

} // namespace zelo::fuzz
