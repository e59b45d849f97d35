// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/srgb.h"

#include "base/assert.h"
#include "colour/detail/matrix.h"
#include "colour/monitor.h"

#include <algorithm>

namespace zelo::colour {

namespace {

using namespace detail;

// IEC 61966-2-1:1999, from its primaries and D65 (0.3127, 0.3290).
const Matrix3d kFromLinear = rows(0.4123907993, 0.3575843394, 0.1804807884, //
                                  0.2126390059, 0.7151686788, 0.0721923154, //
                                  0.0193308187, 0.1191947798, 0.9505321522);
const Matrix3d kToLinear = kFromLinear.inverse();

const Matrix3d kCat16Back = kCat16.inverse();

double decoded(std::uint8_t value) {
    const double s = value / 255.0;
    return s <= 0.04045 ? s / 12.92 : std::pow((s + 0.055) / 1.055, 2.4);
}

constexpr double kKnee = 0.80;
constexpr double kShownNorm = 0.88;

// A channel's distance from the largest one, as a share of the largest: 0 none, 1 the gamut's
// edge. Kept up to the knee, then bent so that nothing passes 1.
double kneeBent(double d) {
    return d <= kKnee ? d : kKnee + (1 - kKnee) * -std::expm1(-(d - kKnee) / (1 - kKnee));
}

} // namespace

Xyz toXyz(const Srgb& c) {
    const Vector3d xyz = kFromLinear * Vector3d(decoded(c.r), decoded(c.g), decoded(c.b));
    return {xyz[0], xyz[1], xyz[2]};
}

LinearRgb toLinearRgb(const Xyz& c) {
    const Vector3d rgb = kToLinear * vec(c);
    return {rgb[0], rgb[1], rgb[2]};
}

std::uint8_t srgbEncoded(double linear) {
    const double c = std::clamp(linear, 0.0, 1.0);
    const double s = c <= 0.0031308 ? 12.92 * c : 1.055 * std::pow(c, 1 / 2.4) - 0.055;
    return static_cast<std::uint8_t>(std::lround(s * 255));
}

Screen::Screen(const Xyz& adapted_white, std::shared_ptr<const Monitor> monitor)
    : monitor_(std::move(monitor)) {
    ZELO_ASSERT(adapted_white.Y > 0);
    const Vector3d from = kCat16 * vec((1 / adapted_white.Y) * adapted_white);
    const Vector3d to = kCat16 * (kFromLinear * Vector3d(1, 1, 1));
    for (int i = 0; i < 3; ++i)
        gain_[i] = to[i] / from[i];
}

LinearRgb Screen::adapted(const Xyz& light) const {
    Vector3d cones = kCat16 * vec(light);
    for (int i = 0; i < 3; ++i)
        cones[i] *= gain_[i];
    const Vector3d rgb = kToLinear * (kCat16Back * cones);
    return {rgb[0], rgb[1], rgb[2]};
}

namespace {

struct Bent {
    double c[3];
    bool outside;
};

Bent bentInside(const LinearRgb& rgb) {
    Bent bent{{rgb.r, rgb.g, rgb.b}, false};
    const double top = std::max({rgb.r, rgb.g, rgb.b});
    for (double& c : bent.c) {
        const double d = (top - c) / top;
        bent.outside |= d > 1.001;
        c = top * (1 - kneeBent(d));
    }
    return bent;
}

} // namespace

Srgb Screen::sent(const LinearRgb& c) const {
    return monitor_ ? monitor_->shown(c)
                    : Srgb{srgbEncoded(c.r), srgbEncoded(c.g), srgbEncoded(c.b)};
}

ScreenColour Screen::show(const Xyz& light, double level) const {
    const LinearRgb rgb = adapted(light);
    if (!(std::max({rgb.r, rgb.g, rgb.b}) > 0))
        return {};
    const Bent bent = bentInside(rgb);
    double norm8 = 0;
    for (const double c : bent.c)
        norm8 += std::pow(c, 8);
    const double scale = kShownNorm * level / std::pow(norm8, 1.0 / 8);
    return {sent({bent.c[0] * scale, bent.c[1] * scale, bent.c[2] * scale}), bent.outside};
}

ScreenColour Screen::showSurface(const Xyz& light) const {
    const LinearRgb rgb = adapted(light);
    if (!(std::max({rgb.r, rgb.g, rgb.b}) > 0))
        return {};
    const Bent bent = bentInside(rgb);
    return {sent({bent.c[0], bent.c[1], bent.c[2]}), bent.outside};
}

} // namespace zelo::colour
