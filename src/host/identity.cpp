// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/identity.h"

#include <random>

namespace zelo::host {

wire::Cid randomCid() {
    std::random_device random;
    wire::Cid cid;
    for (auto& byte : cid)
        byte = static_cast<std::uint8_t>(random());
    cid[6] = static_cast<std::uint8_t>((cid[6] & 0x0f) | 0x40);
    cid[8] = static_cast<std::uint8_t>((cid[8] & 0x3f) | 0x80);
    return cid;
}

Identity::Identity(const wire::Cid& installed, const std::filesystem::path& state_folder) {
    auto held = Disk().hold(state_folder / "identity.lock");
    if (held)
        held_ = std::move(*held);
    cid_ = held_ ? installed : randomCid();
}

} // namespace zelo::host
