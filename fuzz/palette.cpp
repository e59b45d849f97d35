// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/palette_file.h"
#include "target.h"

// What is read can be written, and reads the same again.
int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace zelo::files;
    const auto table = parsePalettes(zelo::fuzz::text(data, size));
    zelo::fuzz::expectSaid(table);
    if (!table || table->colours.empty())
        return 0;
    palettesText(*table, PaletteFormat::Gpl);
    const auto again = parsePalettes(palettesText(*table, PaletteFormat::Csv));
    if (!again || again->colours.size() != table->colours.size())
        std::abort();
    return 0;
}
