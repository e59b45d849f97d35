// SPDX-License-Identifier: GPL-3.0-or-later
#include "host/slot_light.h"

#include <algorithm>

namespace zelo::host {

SlotLight slotLight(const mix::Mixer& mixer, const light::ChannelValues& values) {
    const auto& type = mixer.type();
    const auto& mode = mixer.mode();
    SlotLight all{0, type.ready(mode)};
    for (std::size_t i = 0; i < mode.channels.size(); ++i)
        if (mode.channels[i].role == light::Role::Part)
            all.drives[mode.channels[i].part] = light::driveOf(mode.channels[i], values[i]);
    if (const auto dimmer = mode.dimmer()) {
        all.intensity =
            std::clamp(light::driveOf(mode.channels[*dimmer], values[*dimmer]), 0.0, 1.0);
        return all;
    }
    const double light = mixer.xyzOf(all.drives).Y;
    double most = 0;
    for (std::size_t i = 0; i < all.drives.size(); ++i)
        if (type.lamp(i))
            most = std::max(most, all.drives[i]);
    for (std::size_t i = 0; i < all.drives.size() && most > 0; ++i)
        if (type.lamp(i))
            all.drives[i] /= most;
    const double at_full = mixer.xyzOf(all.drives).Y; // emitters may droop
    all.intensity = at_full > 0 ? std::min(1.0, light / at_full) : most;
    return all;
}

} // namespace zelo::host
