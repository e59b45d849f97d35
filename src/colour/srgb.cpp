// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/srgb.h"

#include "base/assert.h"
#include "colour/detail/matrix.h"
#include "colour/monitor.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace zelo::colour {

namespace {

using namespace detail;

// IEC 61966-2-1:1999, from its primaries and D65 (0.3127, 0.3290).
const Matrix3d kFromLinear = rows(0.4123907993, 0.3575843394, 0.1804807884, //
                                  0.2126390059, 0.7151686788, 0.0721923154, //
                                  0.0193308187, 0.1191947798, 0.9505321522);
const Matrix3d kToLinear = kFromLinear.inverse();

const Matrix3d kCat16Back = kCat16.inverse();

double decoded(double s) {
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
    const Vector3d xyz =
        kFromLinear * Vector3d(decoded(c.r / 255.0), decoded(c.g / 255.0), decoded(c.b / 255.0));
    return {xyz[0], xyz[1], xyz[2]};
}

LinearRgb toLinearRgb(const Xyz& c) {
    const Vector3d rgb = kToLinear * vec(c);
    return {rgb[0], rgb[1], rgb[2]};
}

std::uint8_t srgbEncoded(double linear) {
    // The least light of each value above 0: found among these without a power of each channel.
    static const auto least = [] {
        std::array<double, 255> light;
        for (std::size_t i = 0; i < light.size(); ++i)
            light[i] = decoded((static_cast<double>(i) + 0.5) / 255);
        return light;
    }();
    return static_cast<std::uint8_t>(
        std::partition_point(least.begin(), least.end(), [&](double l) { return l <= linear; }) -
        least.begin());
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
    const auto squared = [](double c) { return c * c; };
    double norm8 = 0;
    for (const double c : bent.c)
        norm8 += squared(squared(squared(c)));
    const double scale = kShownNorm * level / std::sqrt(std::sqrt(std::sqrt(norm8)));
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
