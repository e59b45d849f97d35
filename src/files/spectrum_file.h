// SPDX-License-Identifier: GPL-3.0-or-later
// One measured spectrum from a file: CSV (nm, value), CGATS.17 (.sp, .txt) or TM-27 (.spdx). The
// kind is told by what is in it, not by its name.
#pragma once

#include "base/result.h"
#include "colour/resample.h"

#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace zelo::files {

// One spectrum as its file has it: the samples in its own units, and of TM-27 what else is told
// (name and text of each element; empty for other formats).
struct SpectrumTable {
    using Elements = std::vector<std::pair<std::string, std::string>>;
    colour::Samples samples;
    Elements header;       // "Manufacturer", "Description", …
    Elements distribution; // "SpectralQuantity", "BandwidthFWHM", …
};
Result<SpectrumTable> parseSpectrumTable(std::string_view text);
Result<colour::Samples> parseSpectrum(std::string_view text); // the samples alone

// "its 350–830 nm are used from 380 to 780 nm"; nothing where all is used.
std::optional<Sentence> cutNote(const colour::Samples& samples);

// Reads and resamples a light. Errors name the file and the place in it; `notes` gets what is left
// out.
Result<colour::Spectrum> readLight(const std::filesystem::path& path,
                                   std::vector<Sentence>* notes = nullptr);

enum class TableFormat { Csv, Cgats, Tm27 };
// By a file's ending: .csv; .sp, .txt; .spdx. Unsupported for any other, naming those.
Result<TableFormat> formatOf(const std::filesystem::path& path);

// A spectrum as text, every sample as it is (9 digits). `description` is a line about it.
std::string spectrumText(const colour::Samples& samples, TableFormat format,
                         const std::string& description);
std::string spectrumText(const SpectrumTable& table, TableFormat format,
                         const std::string& description);

} // namespace zelo::files
