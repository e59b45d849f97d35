// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/oklab.h"

#include "base/assert.h"
#include "colour/detail/matrix.h"

namespace zelo::colour {

namespace {

using namespace detail;

const Matrix3d kToLms = rows(0.8189330101, 0.3618667424, -0.1288597137, //
                             0.0329845436, 0.9293118715, 0.0361456387,  //
                             0.0482003018, 0.2643662691, 0.6338517070);
const Matrix3d kToLab = rows(0.2104542553, 0.7936177850, -0.0040720468, //
                             1.9779984951, -2.4285922050, 0.4505937099, //
                             0.0259040371, 0.7827717662, -0.8086757660);
const Matrix3d kFromLms = kToLms.inverse();
const Matrix3d kFromLab = kToLab.inverse();

} // namespace

OklabSpace::OklabSpace(const Xyz& white) {
    ZELO_ASSERT(white.Y > 0);
    const Vector3d lms = kToLms * Vector3d(white.X, white.Y, white.Z);
    for (int i = 0; i < 3; ++i)
        white_[i] = lms[i];
}

Oklab OklabSpace::from(const Xyz& c) const {
    Vector3d lms = kToLms * Vector3d(c.X, c.Y, c.Z);
    for (int i = 0; i < 3; ++i)
        lms[i] = std::cbrt(lms[i] / white_[i]);
    const Vector3d lab = kToLab * lms;
    return {lab[0], lab[1], lab[2]};
}

Xyz OklabSpace::back(const Oklab& c) const {
    Vector3d lms = kFromLab * Vector3d(c.L, c.a, c.b);
    for (int i = 0; i < 3; ++i)
        lms[i] = lms[i] * lms[i] * lms[i] * white_[i];
    const Vector3d xyz = kFromLms * lms;
    return {xyz[0], xyz[1], xyz[2]};
}

} // namespace zelo::colour
