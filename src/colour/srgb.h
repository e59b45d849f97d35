// SPDX-License-Identifier: GPL-3.0-or-later
// sRGB both ways (IEC 61966-2-1): typed hex colours in, colours on the screen out.
#pragma once

#include "colour/xyz.h"

#include <cstdint>
#include <memory>

namespace zelo::colour {

struct LinearRgb { // linear light with sRGB primaries and D65; may leave 0..1
    double r = 0;
    double g = 0;
    double b = 0;
};

struct Srgb {
    std::uint8_t r = 0;
    std::uint8_t g = 0;
    std::uint8_t b = 0;
    friend bool operator==(const Srgb&, const Srgb&) = default;
};

Xyz toXyz(const Srgb& c); // D65 as it stands, Y of #ffffff = 1
LinearRgb toLinearRgb(const Xyz& c);
std::uint8_t srgbEncoded(double linear); // clipped to 0..255

struct ScreenColour {
    Srgb rgb;
    bool outside = false; // beyond what the monitor can show: drawn as near as it can, and marked
};

// A light on the screen (design: look, "Light on the screen"; colour §11). The eye is adapted to
// one white (CAT16, full adaptation), which becomes the monitor's. Colours are shown at one
// brightness: the 8-norm of the linear channels is 0.88, times `level` (0..1). What lies outside
// is compressed towards the largest channel from 0.80 of the way on, so neighbours stay apart.
class Monitor;

class Screen {
public:
    // Requires Y > 0. Without a monitor's profile it is sRGB.
    explicit Screen(const Xyz& adapted_white, std::shared_ptr<const Monitor> monitor = {});
    ScreenColour show(const Xyz& light, double level = 1) const; // dark light is black
    // The same without normalising: `light` relative to a white of Y = 1, for surfaces.
    ScreenColour showSurface(const Xyz& light) const;

private:
    LinearRgb adapted(const Xyz& light) const;
    Srgb sent(const LinearRgb& c) const;
    double gain_[3]; // in CAT16's cone space
    std::shared_ptr<const Monitor> monitor_;
};

} // namespace zelo::colour
