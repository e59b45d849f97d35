// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/shown_light.h"

#include "colour/smoothest.h"
#include "light/levels.h"

namespace zelo::desk {

colour::Xyz shownLight(const LightColours& by, const light::Wanted& wanted) {
    const colour::Camera* camera = by.camera();
    if (!camera)
        return wanted.xyz;
    if (wanted.spectrum)
        return camera->shown(*wanted.spectrum);
    const auto smooth = colour::smoothestSpectrum(wanted.xyz);
    return smooth ? camera->shown(*smooth) : wanted.xyz;
}

colour::Xyz shownLight(const LightColours& by, const mix::Mixer& mixer, const light::Drives& drives,
                       const colour::Xyz& light) {
    const colour::Camera* camera = by.camera();
    return camera && light.Y > 0 ? camera->shown(light::spectrumOf(mixer.type(), drives)) : light;
}

colour::Xyz shownLight(const LightColours& by, const play::StageLamp& lamp) {
    return lamp.mixer ? shownLight(by, *lamp.mixer, lamp.sent.drives, lamp.sent.xyz)
                      : lamp.sent.xyz;
}

} // namespace zelo::desk
