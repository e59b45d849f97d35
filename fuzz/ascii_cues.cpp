// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/ascii_cues.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto cues = zelo::files::parseAsciiCues(zelo::fuzz::text(data, size));
    zelo::fuzz::expectSaid(cues);
    if (cues && !zelo::files::parseAsciiCues(zelo::files::asciiCuesText(*cues)))
        std::abort(); // what was read can be written, and read again
    return 0;
}
