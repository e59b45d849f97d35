// SPDX-License-Identifier: GPL-3.0-or-later
#include "files/swatch_book_file.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto read = zelo::files::parseSwatchBook(zelo::fuzz::text(data, size));
    zelo::fuzz::expectSaid(read);
    if (read)
        for (const auto& gel : read->book.gels)
            if (gel.id.empty() || !(gel.transmittance.largest() < 10))
                std::abort();
    return 0;
}
