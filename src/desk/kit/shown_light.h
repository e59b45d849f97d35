// SPDX-License-Identifier: GPL-3.0-or-later
// Lights as who looks on sees them: what LightColours is to be given to draw them. For the eye that
// is their XYZ; a camera goes by the spectrum, so that lights that are alike for the eye may
// differ.
#pragma once

#include "desk/kit/light_colours.h"
#include "light/fixture_type.h"
#include "light/wanted.h"
#include "mix/mix.h"
#include "play/stage.h"

namespace zelo::desk {

// Of a colour without a spectrum a camera is taken to see the smoothest light that has it.
colour::Xyz shownLight(const LightColours& by, const light::Wanted& wanted);
colour::Xyz shownLight(const LightColours& by, const colour::Spectrum& light);
colour::Xyz shownLight(const LightColours& by, const colour::Uv& wanted); // so too
// `light`: the XYZ that these drives give.
colour::Xyz shownLight(const LightColours& by, const light::FixtureType& type,
                       const light::Drives& drives, const colour::Xyz& light);
colour::Xyz shownLight(const LightColours& by, const mix::Mixer& mixer, const light::Drives& drives,
                       const colour::Xyz& light);
colour::Xyz shownLight(const LightColours& by, const play::StageLamp& lamp); // as it is sent
// Of one emitter at full, or of the lamp through one flag.
colour::Xyz shownPart(const LightColours& by, const mix::Mixer& mixer, std::size_t part);

// Drawn at one brightness; black where there is no light.
template <class... Light>
QColor colourOfLight(const LightColours& by, const Light&... light) {
    return by.of(shownLight(by, light...));
}

} // namespace zelo::desk
