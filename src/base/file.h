// SPDX-License-Identifier: GPL-3.0-or-later
// Whole files in and out. Reading is bounded; writing never leaves half a file behind.
#pragma once

#include "base/result.h"

#include <filesystem>
#include <string>
#include <string_view>

namespace zelo {

// All bytes of a regular file. NotFound, Io, or TooLarge beyond `most` bytes.
Result<std::string> readFile(const std::filesystem::path& path, std::size_t most = 64u << 20);

// Writes beside, fsyncs, renames: after a crash either the old file is there or the new one.
Done writeFile(const std::filesystem::path& path, std::string_view bytes);

} // namespace zelo
