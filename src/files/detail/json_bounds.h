// SPDX-License-Identifier: GPL-3.0-or-later
// JSON that is bounded before it is built: how deep, how many members in an object, how many values
// in all. Whatever comes, building it takes little time and no more than a few hundred megabytes.
#pragma once

#include "base/result.h"

#include <nlohmann/json_fwd.hpp>
#include <string_view>

namespace zelo::files {

using Json = nlohmann::ordered_json;

inline constexpr int kDeepestJson = 48;
inline constexpr std::size_t kMostMembers = 1'000;        // of one object
inline constexpr std::size_t kLongestJsonText = 1u << 20; // bytes; of an archive in it any
inline constexpr std::size_t kMostJsonValues = 3'000'000;

// BadSyntax with the line, TooLarge naming the bound and the line. Text that is not UTF-8 is made
// so first (base/text.h).
Result<Json> boundedJson(std::string_view text);

} // namespace zelo::files
