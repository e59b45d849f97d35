// SPDX-License-Identifier: GPL-3.0-or-later
// Fixture types from GDTF 1.2 (DIN SPEC 15800): an unpacked folder with description.xml, or a
// .gdtf archive. Read are emitters and droop, filters, wheels, gamuts, response curves, and modes
// with the channels that set these. What is not used is kept with the type, so that writing loses
// nothing, and what had to be modelled is listed in FixtureType::notes.
#pragma once

#include "base/result.h"
#include "light/fixture_type.h"

#include <filesystem>
#include <map>
#include <string>
#include <string_view>

namespace zelo::files {

// From the text of description.xml; `power` is the text of an optional zelochrome.json beside it:
// {"emitters": {"Red": {"power_w": 12.5}}}.
Result<light::FixtureType> parseGdtf(std::string_view description, std::string_view power = {});

// From the files of an archive by name; they are kept with the type.
Result<light::FixtureType> typeOfFiles(std::map<std::string, std::string> files);

// `path`: a folder or an archive. The id is the name of the folder or archive without its ending.
Result<light::FixtureType> readGdtf(const std::filesystem::path& path);

} // namespace zelo::files
