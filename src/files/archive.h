// SPDX-License-Identifier: GPL-3.0-or-later
// ZIP archives as files by name, in memory. Every size is bounded before anything is unpacked.
#pragma once

#include "base/result.h"

#include <functional>
#include <map>
#include <string>
#include <string_view>

namespace zelo::files {

using Files = std::map<std::string, std::string>;

inline constexpr std::size_t kMostFileBytes = 32u << 20; // of one file
inline constexpr std::size_t kMostArchiveBytes = 64u << 20;
inline constexpr std::size_t kMostFiles = 500;

// `what`: say(ZELO_TEXT("core", "a GDTF archive")), for the message. `left`: of bytes that archives
// in each other may still unpack to in all; what is unpacked is taken off it.
// `wanted`: the names of what is unpacked; all without it. The bounds are of that alone.
Result<Files> unzipped(std::string_view bytes, const Sentence& what, std::size_t* left = nullptr,
                       const std::function<bool(std::string_view)>& wanted = nullptr);
inline constexpr std::size_t kMostUnpacked = 192u << 20; // of all archives in one file
Result<std::string> zipped(const Files& files);          // the same bytes each time

} // namespace zelo::files
