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

// Writes beside, fsyncs, renames: after a crash either the old file is there or the new one. A link
// stays a link, what it leads to is replaced; the file keeps its mode bits.
Done writeFile(const std::filesystem::path& path, std::string_view bytes);

// The folder it is in: "." for a mere name.
std::filesystem::path folderOf(const std::filesystem::path& path);

// The steps of it, for those who look between them.
// Where a chain of links leads; `path` itself when it is none.
std::filesystem::path linkTarget(const std::filesystem::path& path);
// A name for a new file beside `target`, of any length of the target's: ".MARK-1.part".
std::filesystem::path partBeside(const std::filesystem::path& target);
// A whole new file, flushed to the disk, with the mode bits of `like` where that is there.
Done writePart(const std::filesystem::path& part, std::string_view bytes,
               const std::filesystem::path& like);
Done replaceBy(const std::filesystem::path& part, const std::filesystem::path& target);
// Parts in a folder whose program ended in the middle. How many went.
int removeStrayParts(const std::filesystem::path& folder);

} // namespace zelo
