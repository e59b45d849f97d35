// SPDX-License-Identifier: GPL-3.0-or-later
// A fixture's own colour engine: channels that ask for hue and saturation, for a CCT and tint, or
// for a chromaticity, and a fixture that makes it. What it makes is modelled by the gamut and white
// that its data declares.
#pragma once

#include "colour/polygon.h"
#include "colour/spectrum.h"
#include "colour/xyz.h"

#include <string>
#include <vector>

namespace zelo::light {

enum class EngineKind {
    HueSaturation, // hue: angle about the white in u'v', degrees; saturation: share of the edge
    CctTint,       // K and Duv
    Chromaticity,  // x and y
};

struct EngineAxis { // what the channel's level runs over
    std::string name;
    double from = 0;
    double to = 1;

    double value(double setting) const { return from + setting * (to - from); }
    double setting(double value) const; // 0..1, held at the ends
    friend bool operator==(const EngineAxis&, const EngineAxis&) = default;
};

class Engine {
public:
    EngineKind kind = EngineKind::HueSaturation;
    std::string name;
    EngineAxis first, second;
    std::vector<colour::Spectrum> corners; // of the gamut, absolute, at full
    colour::Spectrum white;                // absolute, at full
    bool modelled = false;                 // spectra made from the declared colours

    // Call once the above is set; requires three corners and a white that shine.
    void arrange();

    // The chromaticity a setting asks for, brought to the gamut's edge when outside it.
    colour::Uv uvOf(double first_setting, double second_setting) const;
    struct Setting {
        double first, second;
    };
    // The setting nearest to a chromaticity.
    Setting settingFor(const colour::Uv& uv) const;

    Setting whiteSetting() const { return white_setting_; } // where it rests

    // The light of a chromaticity within the gamut: the white and the two corners beside it, in
    // shares that run evenly in u'v' from the white to the edge.
    colour::Spectrum lightOf(const colour::Uv& uv) const;
    colour::Xyz xyzOf(const colour::Uv& uv) const; // the same, as XYZ

    const colour::Polygon& hull() const { return hull_; } // the gamut

private:
    struct Shares {
        std::size_t a = 0, b = 0; // of the corners
        double of_a = 0, of_b = 0, of_white = 1;
    };
    Shares sharesOf(const colour::Uv& uv) const;
    double edge(double angle) const;
    colour::Uv held(const colour::Uv& uv) const;
    colour::Polygon hull_;
    std::vector<std::size_t> corner_of_; // the corner that stands at each of the hull's
    std::vector<colour::Xyz> corner_xyz_;
    colour::Xyz white_xyz_;
    colour::Uv white_uv_;
    Setting white_setting_{0, 0};
    std::vector<std::pair<Setting, colour::Uv>> table_; // of CctTint: where its settings come to
};

} // namespace zelo::light
