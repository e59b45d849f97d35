// SPDX-License-Identifier: GPL-3.0-or-later
// Fixture types to GDTF 1.2. A type that was read keeps its files: only what changed since is
// written anew, all else (models, protocols, attributes that we do not use) stays as it came.
#pragma once

#include "base/result.h"
#include "light/fixture_type.h"

#include <filesystem>

namespace zelo::files {

// The files of the archive by name: description.xml, zelochrome.json (power), and what was kept.
// Reading them gives the type again: levels to the last digit, spectra and transmittances to 1e-12.
std::map<std::string, std::string> gdtfFiles(const light::FixtureType& type);

// `path`: NAME.gdtf becomes an archive, any other name a folder. Written whole or not at all; a
// folder that holds anything but a GDTF description is left alone.
Done writeGdtf(const light::FixtureType& type, const std::filesystem::path& path);

} // namespace zelo::files
