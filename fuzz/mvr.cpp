// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/mvr.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto rig = zelo::files::parseMvr(zelo::fuzz::text(data, size));
    zelo::fuzz::expectSaid(rig);
    if (rig)
        for (const auto& f : rig->fixtures)
            if (f.universe < 1 || f.address < 1 || f.address > 512)
                std::abort();
    return 0;
}
