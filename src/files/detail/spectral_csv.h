// SPDX-License-Identifier: GPL-3.0-or-later
// Tables of text with a wavelength and some values in each line.
#pragma once

#include "base/result.h"
#include "colour/resample.h"

#include <string_view>
#include <vector>

namespace zelo::files {

// One line a wavelength in nm and `values` columns, by semicolons, commas or tabs; a heading, empty
// lines and those that begin with # are passed over. BadValue names the line, and `expected` what
// stands in one; TooLarge beyond colour::kMostSamples lines. Not yet checked as samples.
Result<std::vector<colour::Samples>> spectralCsv(std::string_view text, std::size_t values,
                                                 const Sentence& expected);

} // namespace zelo::files
