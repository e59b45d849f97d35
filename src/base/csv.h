// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string>

namespace zelo {

// As one cell of a table (RFC 4180): quoted where it has a comma, a quote or the end of a line.
std::string csvCell(const std::string& text);

} // namespace zelo
