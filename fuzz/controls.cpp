// SPDX-License-Identifier: GPL-3.0-or-later
// What devices say, and tables of what they do.
#include "remote/bindings.h"
#include "remote/osc_message.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::span bytes(data, size);
    for (const auto& moved : zelo::remote::readOsc(bytes)) {
        if (!std::isfinite(moved.value))
            std::abort();
        zelo::remote::actionOfPath(moved.control.name);
    }
    zelo::remote::readMidi(bytes, "device");
    const std::string text(bytes.begin(), bytes.end());
    const auto table = zelo::remote::parseBindings(text);
    zelo::fuzz::expectSaid(table);
    if (!table)
        return 0;
    const auto again = zelo::remote::parseBindings(toText(*table));
    if (!again || *again != *table) // what is written can be read
        std::abort();
    return 0;
}
