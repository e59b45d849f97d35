// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/art_net.h"
#include "target.h"

int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto packet = zelo::wire::decodeArtNet({data, size});
    zelo::fuzz::expectSaid(packet);
    if (!packet)
        return 0;
    if (const auto* rdm = std::get_if<zelo::wire::ArtRdm>(&*packet)) {
        const auto message = zelo::wire::decodeRdm(rdm->message);
        zelo::fuzz::expectSaid(message);
        if (message && *zelo::wire::decodeRdm(zelo::wire::encoded(*message)) != *message)
            std::abort();
        if (message)
            zelo::fuzz::expectSaid(zelo::wire::decodeDeviceInfo(message->data));
    }
    const auto again = zelo::wire::decodeArtNet(zelo::wire::encoded(*packet));
    if (!again || again->index() != packet->index())
        std::abort();
    return 0;
}
