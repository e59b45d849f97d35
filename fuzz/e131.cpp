// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/e131.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto packet = zelo::wire::decode({data, size});
    zelo::fuzz::expectSaid(packet);
    if (!packet)
        return 0;
    const auto again = zelo::wire::decode(zelo::wire::encoded(*packet));
    if (!again || again->values != packet->values || again->universe != packet->universe)
        std::abort();
    return 0;
}
