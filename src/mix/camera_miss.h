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

// The light of these drives as the camera shows it; null: as the eye sees it.
colour::Xyz shownBy(const colour::Camera* camera, const Mixer& mixer, const light::Drives& drives);

// What a type leaves to choose for who looks on, once the colour and its brightness are exact.
struct CameraRoom {
    std::size_t parts = 0;  // emitters or flags that a wish leaves free
    std::size_t ways = 0;   // that they can go in with the colour kept
    std::size_t wanted = 0; // two for each that looks on: a camera, or the eye where one is exact
    bool for_eye = false;   // exact for a camera is asked of what only the eye's can be exact on
    bool none() const { return wanted > 0 && ways == 0; }
};
CameraRoom cameraRoom(const Mixer& mixer, const MixWish& wish);
// "3 emitters or filters leave no room for a camera: as Truest"; empty where there is room for all.
Sentence words(const CameraRoom& room);

} // namespace zelo::mix
