// SPDX-License-Identifier: GPL-3.0-or-later
// One surface under two lights: what it looks like, and how different.
#pragma once

#include "colour/camera.h"
#include "colour/spectrum.h"
#include "colour/xyz.h"

#include <span>
#include <vector>

namespace zelo::colour {

struct SurfaceSeen {
    Xyz wanted;         // CIE 1931, the perfect white under this light has the Y of `white` = 1
    Xyz got;            // the same under the other light
    double delta_e = 0; // CAM16-UCS, the eye adapted to `white`
};

// Each reflectance under both lights, brought to the same luminance of a perfect white. `white` is
// the light that the eye is adapted to. Requires light in all three.
std::vector<SurfaceSeen> surfacesSeen(std::span<const Spectrum> reflectances,
                                      const Spectrum& wanted, const Spectrum& got,
                                      const Spectrum& white);

// The same as a camera shows it to an eye adapted to its white: wanted and got are Camera::shown,
// brought to the same shown luminance of a perfect white. Empty where it shows no light of one.
std::vector<SurfaceSeen> surfacesShown(std::span<const Spectrum> reflectances,
                                       const Spectrum& wanted, const Spectrum& got,
                                       const Camera& camera);

} // namespace zelo::colour
