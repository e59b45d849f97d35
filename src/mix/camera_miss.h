// SPDX-License-Identifier: GPL-3.0-or-later
// What cameras make of a mix: how far it is for them from the wanted light, and how much room a
// fixture leaves for them.
#pragma once

#include "mix/mix.h"

namespace zelo::mix {

struct CameraMiss {
    std::string name;
    colour::Camera::Rgb rgb{}; // of the mix, balanced, the largest 1; 0, 0, 0 where it sees none
    std::optional<double>
        miss; // distance of the r, g shares; nothing where it sees one of them not
};
std::vector<CameraMiss> missByCamera(const colour::Spectrum& wanted, const colour::Spectrum& got,
                                     const colour::Cameras& cameras);
// Nothing where none of them sees both lights.
std::optional<double> largestCameraMiss(const colour::Spectrum& wanted, const colour::Spectrum& got,
                                        const colour::Cameras& cameras);

// Why Filmed cannot do all: "3 emitters leave no room: as Truest", "5 emitters leave 2 ways free, 2
// cameras want 4". Empty where there is room, and where the wish has no camera.
Sentence cameraRoom(const Mixer& mixer, const MixWish& wish);

} // namespace zelo::mix
