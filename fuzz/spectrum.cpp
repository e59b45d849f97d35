// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/spectrum_file.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto samples = zelo::files::parseSpectrum(zelo::fuzz::text(data, size));
    zelo::fuzz::expectSaid(samples);
    if (samples && !zelo::colour::lightFromSamples(*samples))
        std::abort(); // what was read as sound must resample
    return 0;
}
