// SPDX-License-Identifier: GPL-3.0-or-later
// Swatch books: CGATS.17 tables (SAMPLE_ID, SAMPLE_NAME, SPECTRAL_NM…) and CSV (id,name,400,405,…).
#pragma once

#include "base/result.h"
#include "files/spectrum_file.h"
#include "light/gel.h"

#include <filesystem>
#include <string_view>

namespace zelo::files {

struct ReadBook {
    light::SwatchBook book;
    std::vector<Sentence> notes; // "values are percent", …
};

// Transmittances 0..1, or 0..100 when any exceeds 1.5, which is noted. All or nothing: a bad row
// fails with its line.
Result<ReadBook> parseSwatchBook(std::string_view text);
Result<ReadBook> readSwatchBook(const std::filesystem::path& path);

// A book as text, each gel at every nm of the grid (6 digits). Unsupported for TM-27, which holds
// one light.
Result<std::string> swatchBookText(const light::SwatchBook& book, TableFormat format);

} // namespace zelo::files
