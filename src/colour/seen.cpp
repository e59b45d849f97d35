// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/seen.h"

#include "base/assert.h"
#include "colour/appearance.h"
#include "colour/observer.h"

namespace zelo::colour {

namespace {

// `see`: the XYZ of a light for who looks on.
template <class See>
std::vector<SurfaceSeen> seenBy(const See& see, std::span<const Spectrum> reflectances,
                                const Spectrum& wanted, const Spectrum& got, const Xyz& white) {
    const double w = see(wanted).Y;
    const double g = see(got).Y;
    if (!(w > 0 && g > 0))
        return {};
    const Appearance eye(Appearance::Model::Cam16, {white.X / white.Y, 1, white.Z / white.Y});
    std::vector<SurfaceSeen> all;
    for (const Spectrum& r : reflectances) {
        SurfaceSeen s;
        s.wanted = (1 / w) * see(r * wanted);
        s.got = (1 / g) * see(r * got);
        s.delta_e = distance(eye.of(s.wanted), eye.of(s.got));
        all.push_back(s);
    }
    return all;
}

} // namespace

std::vector<SurfaceSeen> surfacesSeen(std::span<const Spectrum> reflectances,
                                      const Spectrum& wanted, const Spectrum& got,
                                      const Spectrum& white) {
    const Xyz adapted = toXyz(white);
    ZELO_ASSERT(toXyz(wanted).Y > 0 && toXyz(got).Y > 0 && adapted.Y > 0);
    return seenBy([](const Spectrum& light) { return toXyz(light); }, reflectances, wanted, got,
                  adapted);
}

std::vector<SurfaceSeen> surfacesShown(std::span<const Spectrum> reflectances,
                                       const Spectrum& wanted, const Spectrum& got,
                                       const Camera& camera) {
    return seenBy([&](const Spectrum& light) { return camera.shown(light); }, reflectances, wanted,
                  got, toXyz(camera.white()));
}

} // namespace zelo::colour
