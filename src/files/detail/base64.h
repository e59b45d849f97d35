// SPDX-License-Identifier: GPL-3.0-or-later
// Base64 (RFC 4648 §4), for archives inside JSON.
#pragma once

#include "base/result.h"

#include <string>
#include <string_view>

namespace zelo::files {

std::string toBase64(std::string_view bytes);
Result<std::string> fromBase64(std::string_view text); // BadSyntax

} // namespace zelo::files
