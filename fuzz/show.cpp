// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/show_file.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto opened = zelo::files::parseShow(zelo::fuzz::text(data, size));
    zelo::fuzz::expectSaid(opened);
    if (!opened)
        return 0;
    // What was read is written as something that reads the same.
    const auto text = zelo::files::showText(*opened->show, *opened->hand);
    if (text && !zelo::files::checkShowText(*text))
        std::abort();
    return 0;
}
