// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/seen.h"

#include "base/assert.h"
#include "colour/appearance.h"
#include "colour/observer.h"

namespace zelo::colour {

std::vector<SurfaceSeen> surfacesSeen(std::span<const Spectrum> reflectances,
                                      const Spectrum& wanted, const Spectrum& got,
                                      const Spectrum& white) {
    const double w = toXyz(wanted).Y;
    const double g = toXyz(got).Y;
    const Xyz adapted = toXyz(white);
    ZELO_ASSERT(w > 0 && g > 0 && adapted.Y > 0);
    const Appearance eye(Appearance::Model::Cam16,
                         {adapted.X / adapted.Y, 1, adapted.Z / adapted.Y});
    std::vector<SurfaceSeen> all;
    for (const Spectrum& r : reflectances) {
        SurfaceSeen s;
        s.wanted = toXyz((r * wanted).scaled(1 / w));
        s.got = toXyz((r * got).scaled(1 / g));
        s.delta_e = distance(eye.of(s.wanted), eye.of(s.got));
        all.push_back(s);
    }
    return all;
}

} // namespace zelo::colour
