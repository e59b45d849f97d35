// SPDX-License-Identifier: GPL-3.0-or-later
// One measured spectrum from a file: CSV (nm, value), CGATS.17 (.sp, .txt) or TM-27 (.spdx). The
// kind is told by what is in it, not by its name.
#pragma once

#include "base/result.h"
#include "colour/resample.h"

#include <filesystem>
#include <string>
#include <string_view>

namespace zelo::files {

// The samples as written, in the file's own units.
Result<colour::Samples> parseSpectrum(std::string_view text);

// Reads and resamples a light. Errors name the file and the place in it.
Result<colour::Spectrum> readLight(const std::filesystem::path& path);

enum class TableFormat { Csv, Cgats, Tm27 };
// By a file's ending: .csv; .sp, .txt; .spdx. Unsupported for any other, naming those.
Result<TableFormat> formatOf(const std::filesystem::path& path);

// A spectrum as text, every sample as it is (9 digits). `description` is a line about it.
std::string spectrumText(const colour::Samples& samples, TableFormat format,
                         const std::string& description);

} // namespace zelo::files
