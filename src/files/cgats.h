// SPDX-License-Identifier: GPL-3.0-or-later
// CGATS.17 tables: fields and rows of text, and the spectral columns among them.
#pragma once

#include "base/result.h"
#include "colour/resample.h"

#include <map>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::files {

struct CgatsTable {
    std::string kind;                            // first word of the file: "CGATS.17", "SPECT"
    std::map<std::string, std::string> keywords; // outside the tables
    std::vector<std::string> fields;
    std::vector<std::vector<std::string>> rows; // as many words as fields each
    std::vector<int> row_lines;                 // line of each row in the file, from 1

    int field(std::string_view name) const; // index, -1 when there is none
};

// The first table of the file. At most 100 000 rows and 10 000 fields. BadSyntax with the line.
Result<CgatsTable> parseCgats(std::string_view text);

// Spectral columns: SPECTRAL_NM380, SPECTRAL_NM_380, SPECTRAL_380, SPEC_380, NM380.
struct SpectralColumns {
    std::vector<double> wavelengths_nm; // increasing
    std::vector<std::size_t> columns;
};
Result<SpectralColumns> spectralColumns(const CgatsTable& table);

// The spectrum in one row. BadValue names line and field.
Result<colour::Samples> spectrumInRow(const CgatsTable& table, const SpectralColumns& columns,
                                      std::size_t row);

} // namespace zelo::files
