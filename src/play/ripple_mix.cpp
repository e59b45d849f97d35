// SPDX-License-Identifier: GPL-3.0-or-later
#include "play/ripple_mix.h"

#include "route/gradient_mix.h"

#include <cmath>

namespace zelo::play {

using light::Drives;

show::ColourWish wishOf(const show::Show& show, const show::Ripple& ripple,
                        const show::RippleStep& step) {
    show::ColourWish wish;
    wish.intent = ripple.intent;
    wish.give_up = ripple.give_up;
    wish.uv = step.uv;
    if (const auto* here = step.colour.here())
        wish.asked = *here;
    else if (const auto* palette = show.palette(step.colour.palette()); palette && palette->colour)
        wish = *palette->colour;
    else
        wish.asked = light::AskedUv{step.uv.u, step.uv.v};
    return wish;
}

namespace {

bool onlyColour(const MixedColour& made) {
    return made.wish.pins.empty() && made.wish.keep_out.empty();
}

// The same colours, none brighter than the dimmest of them.
void level(const mix::Mixer& mixer, std::vector<Drives>& steps) {
    double least_cd = HUGE_VAL;
    for (const Drives& d : steps)
        if (const double cd = mixer.xyzOf(d).Y; cd > 0)
            least_cd = std::min(least_cd, cd);
    for (Drives& d : steps) {
        const colour::Xyz xyz = mixer.xyzOf(d);
        if (!(xyz.Y > least_cd))
            continue;
        const double factor = least_cd / xyz.Y;
        if (const auto exact = mixer.closestDrives(
                d.scaled(factor), {factor * xyz.X, factor * xyz.Y, factor * xyz.Z}))
            d = *exact;
        else if (mixer.additive())
            d = d.scaled(factor);
    }
}

} // namespace

PlayedRipple::Table mixRipple(const show::Show& show, const show::Ripple& ripple,
                              const std::shared_ptr<const mix::Mixer>& mixer, const Sources& from,
                              Mixes& mixes, const colour::Uv& off, const colour::Uv& nudge) {
    PlayedRipple::Table table;
    std::vector<std::shared_ptr<const MixedColour>> made;
    std::vector<Drives> steps;
    bool alike = true; // one wish for all of them
    for (const auto& step : ripple.steps) {
        made.push_back(mixes.mixed(from, mixer, wishOf(show, ripple, step), off, nudge));
        steps.push_back(made.back()->mix.drives);
        alike = alike && onlyColour(*made.back());
    }
    if (alike)
        route::mixRound(*mixer, steps);
    if (ripple.as_bright)
        level(*mixer, steps);
    for (std::size_t s = 0; s < steps.size(); ++s) {
        table.steps.emplace_back(steps[s].begin(), steps[s].end());
        const colour::Xyz got = mixer->xyzOf(steps[s]);
        table.miss_uv.push_back(
            colour::hasChromaticity(got)
                ? colour::distance(colour::toUv(got) + off, made[s]->wanted.uv())
                : NAN);
    }
    return table;
}

} // namespace zelo::play
