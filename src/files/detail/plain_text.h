// SPDX-License-Identifier: GPL-3.0-or-later
// What every reader of text does first: any bytes become valid UTF-8 of a bounded shape, so that
// cutting it into lines, words and cells takes no more room than a few times its size.
#pragma once

#include "base/result.h"

#include <pugixml.hpp>
#include <string>
#include <string_view>

namespace zelo::files {

inline constexpr std::size_t kMostLines = 1'000'000;
inline constexpr std::size_t kLongestLine = 1u << 20; // bytes

// Without a byte order mark; made valid (base/text.h). TooLarge names the line.
Result<std::string> plainText(std::string_view bytes);

inline constexpr std::size_t kMostXmlMarks = 2'000'000;  // tags, opening and closing
inline constexpr std::size_t kMostXmlEquals = 3'000'000; // attributes, at most

// BadSyntax with the line; TooLarge. `what`: the file's name for the message.
Result<std::unique_ptr<pugi::xml_document>> boundedXml(std::string_view bytes,
                                                       const Sentence& what);

} // namespace zelo::files
