// SPDX-License-Identifier: GPL-3.0-or-later
// The program's log: a few files that take turns under the state folder. Until it is started
// nothing is written, so that tools and tests leave no trace. Thread-safe.
#pragma once

#include "base/result.h"

#include <filesystem>
#include <string>
#include <string_view>

namespace zelo::host {

enum class LogLevel { Debug, Info, Warning, Error };

// "debug", "info", "warning" or "error". BadValue.
Result<LogLevel> logLevelNamed(std::string_view name);

// Writes FOLDER/zelochrome.log from this level on; at 1 MB the next file begins, three are kept.
// Io when that cannot be.
Done startLog(const std::filesystem::path& folder, LogLevel least);
void log(LogLevel level, std::string_view line);
void endLog();                     // all of it on disk
std::filesystem::path logFolder(); // empty: it was not started

} // namespace zelo::host
