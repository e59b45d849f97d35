// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/rainbow_ripple.h"

#include "colour/cct.h"
#include "mix/together.h"
#include "route/rainbow.h"

#include <set>

namespace zelo::play {

Result<show::Ripple> rainbowRipple(const show::Show& show,
                                   const std::vector<show::FixtureId>& lamps, double saturation,
                                   const Sources& from, Mixes& mixes, int hues) {
    std::set<std::shared_ptr<const mix::Mixer>> types;
    for (const show::FixtureId id : lamps)
        if (const auto* fixture = show.fixture(id))
            if (auto mixer = mixes.mixer(from, fixture->type, fixture->mode);
                mixer && mixer->hull().hasInside())
                types.insert(std::move(mixer));
    if (types.empty())
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "none of these lamps makes colours all round"));
    std::vector<const mix::Mixer*> all;
    for (const auto& mixer : types)
        all.push_back(mixer.get());
    const auto disc =
        route::Disc::of(mix::commonReach(all), colour::planckianUv({show.white_cct_k}));
    if (!disc)
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "these types share no reach about the white"));
    const auto colours = route::rainbow(*disc, saturation, hues);
    if (!colours)
        return passOn(colours.error());
    show::Ripple ripple;
    ripple.lamps = lamps;
    ripple.turns = 1;
    ripple.as_bright = true;
    for (const colour::Uv& uv : *colours) {
        show::RippleStep step{light::Asked(light::AskedUv{uv.u, uv.v}), uv};
        step.time_s = 0.5;
        step.change = 1;
        ripple.steps.push_back(std::move(step));
    }
    return ripple;
}

} // namespace zelo::play
