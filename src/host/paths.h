// SPDX-License-Identifier: GPL-3.0-or-later
// Where things are on this machine.
#pragma once

#include "base/result.h"

#include <filesystem>

namespace zelo::host {

// The folder with fixtures/, gels/, shows/: $ZELOCHROME_DATA, else beside the executable's build
// tree, else ../share/zelochrome of the executable. NotFound names the places looked at.
Result<std::filesystem::path> dataFolder();

// $XDG_CONFIG_HOME/zelochrome and $XDG_STATE_HOME/zelochrome, made when missing.
std::filesystem::path configFolder();
std::filesystem::path stateFolder();

} // namespace zelo::host
