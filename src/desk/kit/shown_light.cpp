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

colour::Xyz shownLight(const LightColours& by, const colour::Uv& wanted) {
    return by.camera() ? shownLight(by, light::wantedUv(wanted)) : colour::toXyz(wanted);
}

colour::Xyz shownLight(const LightColours& by, const colour::Spectrum& light) {
    return by.camera() ? by.camera()->shown(light) : colour::toXyz(light);
}

colour::Xyz shownLight(const LightColours& by, const light::FixtureType& type,
                       const light::Drives& drives, const colour::Xyz& light) {
    const colour::Camera* camera = by.camera();
    return camera && light.Y > 0 ? camera->shown(light::spectrumOf(type, drives)) : light;
}

colour::Xyz shownLight(const LightColours& by, const mix::Mixer& mixer, const light::Drives& drives,
                       const colour::Xyz& light) {
    return shownLight(by, mixer.type(), drives, light);
}

colour::Xyz shownLight(const LightColours& by, const play::StageLamp& lamp) {
    return lamp.mixer ? shownLight(by, *lamp.mixer, lamp.sent.drives, lamp.sent.xyz)
                      : lamp.sent.xyz;
}

colour::Xyz shownPart(const LightColours& by, const mix::Mixer& mixer, std::size_t part) {
    const light::FixtureType& type = mixer.type();
    if (!by.camera())
        return mixer.partLight(part);
    if (part < type.emitters.size())
        return by.camera()->shown(type.emitters[part].spectrum);
    light::Drives drives = type.ready(mixer.mode());
    if (type.part(part).kind == light::PartKind::Flag)
        drives[part] = 1;
    return by.camera()->shown(light::spectrumOf(type, drives));
}

} // namespace zelo::desk
