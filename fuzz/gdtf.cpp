// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "light/levels.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto type = zelo::files::parseGdtf(zelo::fuzz::text(data, size), "{\"emitters\": {}}");
    zelo::fuzz::expectSaid(type);
    if (!type)
        return 0;
    for (const auto& mode : type->modes) { // every mode can be played
        const auto drives = zelo::light::drivesOf(*type, mode, zelo::light::homeValues(mode));
        for (const double d : drives)
            if (!(d >= 0 && d <= 1))
                std::abort();
        const auto light = zelo::light::xyzOf(*type, drives);
        if (!(light.Y >= 0))
            std::abort();
        std::vector<std::uint8_t> slots(512);
        if (mode.footprint <= 512)
            zelo::light::writeSlots(mode, zelo::light::homeValues(mode), slots);
    }
    const auto out = zelo::files::gdtfFiles(*type); // what was read can be written, and read again
    if (!zelo::files::parseGdtf(out.at("description.xml")))
        std::abort();
    return 0;
}
