// SPDX-License-Identifier: GPL-3.0-or-later
// Small text helpers. All text is UTF-8; numbers are read and written in the C locale.
#pragma once

#include "base/result.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace zelo {

std::string_view trimmed(std::string_view text);

// Views into `text`; empty pieces are kept. "a,,b" by ',' gives three.
std::vector<std::string_view> split(std::string_view text, char by);

// Lines without their end (\n, \r\n or \r).
std::vector<std::string_view> lines(std::string_view text);

// A whole finite number ("1e-3", "+2"), nothing before or after; no value otherwise.
std::optional<double> toNumber(std::string_view text);
std::optional<int> toInteger(std::string_view text);

// ASCII letters made small; other bytes stay.
std::string lowered(std::string_view text);

bool isUtf8(std::string_view text);
// Valid UTF-8 whatever comes: what is valid stays, a character that is cut off at the end goes, and
// any other byte is taken for the Latin-1 character it was before UTF-8.
std::string toUtf8(std::string text);

bool startsWith(std::string_view text, std::string_view with);
bool endsWith(std::string_view text, std::string_view with);

} // namespace zelo
