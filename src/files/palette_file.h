// SPDX-License-Identifier: GPL-3.0-or-later
// Colours by name: GIMP palettes (.gpl) and CSV with u'v', CCT and, where they are told, levels.
#pragma once

#include "base/result.h"
#include "colour/xyz.h"
#include "light/gel.h"

#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace zelo::files {

struct PaletteColour {
    std::string name;
    colour::Uv uv;
    std::vector<std::pair<std::string, double>> levels; // "petrel-4 Red" → 0..1
};

struct PaletteTable {
    std::string name;
    std::vector<PaletteColour> colours;
    std::vector<Sentence> notes = {}; // lines that are left out
};

enum class PaletteFormat { Gpl, Csv };

// .gpl: a first line "GIMP Palette", then red, green, blue (0..255, sRGB) and a name in each line.
// .csv: a heading with name, u' and v' (or u, v); other columns that hold numbers are levels.
// All or nothing; errors name the line.
Result<PaletteTable> parsePalettes(std::string_view text);
bool looksLikePalettes(std::string_view text);

// In .gpl a colour beyond sRGB is brought towards white until it fits, at full brightness; how many
// were is told in `moved`. CSV holds them as they are (9 digits).
std::string palettesText(const PaletteTable& table, PaletteFormat format, int* moved = nullptr);

// The colours of a swatch book under its lamp (3200 K).
PaletteTable palettesOf(const light::SwatchBook& book);

} // namespace zelo::files
