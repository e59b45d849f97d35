// SPDX-License-Identifier: GPL-3.0-or-later
#include "route/gradient_mix.h"

#include "route/detail/calm.h"

namespace zelo::route {

GradientMix mixGradient(const mix::Mixer& mixer, const std::vector<colour::Uv>& colours,
                        const mix::MixWish& wish, Choose choose) {
    constexpr double kSeen = 0.02; // steps below it are no matter
    GradientMix all;
    std::vector<CalmPoint> points;
    for (const colour::Uv& uv : colours) {
        all.mixes.push_back(mixer.solve(light::wantedUv(uv), wish));
        const mix::Mix& m = all.mixes.back();
        points.push_back(
            {colour::hasChromaticity(m.got) ? colour::toUv(m.got) : uv, m.got.Y, m.drives});
    }
    all.largest_step = all.alone = largestStep(points).step;
    if (choose == Choose::EachAlone || !mixer.additive() || points.size() < 2 || all.alone <= kSeen)
        return all;
    mixTogether(mixer, points, wish, Ends::Free);
    evenOut(mixer, points, kSeen, wish, Ends::Free);
    const double together = largestStep(points).step;
    if (together >= all.alone)
        return all;
    all.largest_step = together;
    for (std::size_t i = 0; i < points.size(); ++i) {
        mix::Mix& m = all.mixes[i];
        m.drives = points[i].drives;
        m.got = mixer.xyzOf(m.drives);
    }
    return all;
}

} // namespace zelo::route
