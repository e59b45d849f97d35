// SPDX-License-Identifier: GPL-3.0-or-later
// What a lamp shows by its channel values alone, as another desk has them.
#pragma once

#include "light/levels.h"
#include "mix/mix.h"

namespace zelo::host {

struct SlotLight {
    double intensity = 0; // of its dimmer; without one what its light is of the most
    light::Drives drives; // of its parts at full
};
SlotLight slotLight(const mix::Mixer& mixer, const light::ChannelValues& values);

} // namespace zelo::host
