// SPDX-License-Identifier: GPL-3.0-or-later
// The manual page and the shell completion of zelo, out of its own parser: they cannot lag behind.
#pragma once

#include <CLI/App.hpp>
#include <string>

namespace zelo::cli {

std::string manPage(const CLI::App& app, const std::string& version); // roff, section 1
std::string bashCompletion(const CLI::App& app);

} // namespace zelo::cli
