// SPDX-License-Identifier: GPL-3.0-or-later
// A camera: three sensitivities and a white balance. What it makes of a light, how far two lights
// are apart for it, and how it shows them.
#pragma once

#include "base/result.h"
#include "colour/resample.h"
#include "colour/spectrum.h"
#include "colour/xyz.h"

#include <array>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace zelo::colour {

// What tells lights apart by two shares of a sum: ∫S·first / ∫S·of and ∫S·second / ∫S·of. Of a
// camera r and g; of the eye u' and v'.
struct ShareRows {
    Grid first{}, second{}, of{};
};
const ShareRows& eyeShares(); // CIE 1931: u' = ∫S·4x̄ / ∫S·(x̄ + 15ȳ + 3z̄), v' = ∫S·9ȳ / the same

class Camera {
public:
    using Rgb = std::array<double, 3>;
    using Channels = std::array<Spectrum, 3>; // sensitivities of r, g, b, in any scale

    // BadValue, with the channel, where one sees nothing, everything alike, or not the white.
    static Result<Camera> of(std::string name, const Channels& channels, const Spectrum& white);

    const std::string& name() const { return name_; }
    const Spectrum& white() const { return white_; } // that it is balanced to; Y = 1
    const Grid& sensitivity(std::size_t channel) const { return rows_[channel]; } // balanced

    // Balanced: its white, with Y = 1, is 1, 1, 1.
    Rgb seen(const Spectrum& light) const;
    // r and g of what it sees: shares of all three. Nothing where it sees no light.
    struct Chromaticity {
        double r = 0, g = 0;
    };
    std::optional<Chromaticity> chromaticityOf(const Spectrum& light) const;
    // Distance of the r, g shares of two lights; nothing where it does not see one of them.
    std::optional<double> miss(const Spectrum& a, const Spectrum& b) const;
    const ShareRows& shares() const { return shares_; }

    // What it shows: XYZ by the 3 × 3 matrix that, by least squares, brings its channels for the 99
    // surfaces of TM-30 under its white to what the eye sees (CIE 1931), the white exactly. To be
    // drawn for an eye that is adapted to the white.
    Xyz shown(const Spectrum& light) const;
    double shownError() const { return shown_error_; } // √ of the mean squared error of Y, X, Z

    // The three channels as if they were linear sRGB: a chart of what it sees in which all lights
    // have a chromaticity, for reach and brightness (design §2 by other rows).
    Xyz chart(const Spectrum& light) const;

    friend bool operator==(const Camera& a, const Camera& b) {
        return a.name_ == b.name_ && a.rows_ == b.rows_ && a.white_ == b.white_;
    }

private:
    std::string name_;
    Spectrum white_;
    std::array<Grid, 3> rows_{};
    ShareRows shares_;
    std::array<std::array<double, 3>, 3> to_xyz_{}; // row by row
    double shown_error_ = 0;
};

// From samples as they were measured; beyond their range nothing is seen. BadValue, with channel
// and row, as checkSamples() says, and where much of 400 to 700 nm is left out, or has gaps.
Result<Camera::Channels> channelsFrom(const std::array<Samples, 3>& samples);

using Cameras = std::vector<Camera>;
using CamerasPtr = std::shared_ptr<const Cameras>;

} // namespace zelo::colour
