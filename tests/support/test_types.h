// SPDX-License-Identifier: GPL-3.0-or-later
// Fixture types made in the test: emitters from simple lines, any number of them.
#pragma once

#include "mix/mix.h"

namespace zelo::test {

inline colour::Spectrum lineSpectrum(double peak_nm, double width_nm, double candela) {
    colour::Grid g;
    for (std::size_t i = 0; i < g.size(); ++i)
        g[i] = std::exp(-std::pow((380.0 + static_cast<double>(i) - peak_nm) / width_nm, 2));
    const colour::Spectrum s(g);
    const double y = colour::toXyz(s).Y;
    return s.scaled(y > 0 ? candela / y : 0);
}

struct EmitterSpec {
    double peak_nm, width_nm, candela;
};

inline std::shared_ptr<const light::FixtureType> typeOf(const std::vector<EmitterSpec>& emitters,
                                                        int bytes = 1, bool dimmer = true,
                                                        bool square = false) {
    auto type = std::make_shared<light::FixtureType>();
    type->id = type->name = "test";
    light::Mode mode{"all", {}, 0};
    int offset = 1;
    const auto channel = [&](light::Role role, std::size_t part) {
        light::Channel c;
        c.role = role;
        c.part = part;
        c.name = c.attribute = role == light::Role::Dimmer ? "Dimmer" : "E";
        if (square && role == light::Role::Part)
            c.response = light::Response::square();
        for (int b = 0; b < bytes; ++b)
            c.offsets.push_back(offset++);
        c.home = role == light::Role::Part ? c.most() : 0;
        mode.channels.push_back(c);
    };
    if (dimmer)
        channel(light::Role::Dimmer, 0);
    for (std::size_t e = 0; e < emitters.size(); ++e) {
        const auto& s = emitters[e];
        type->emitters.push_back({"E" + std::to_string(e + 1),
                                  lineSpectrum(s.peak_nm, s.width_nm, s.candela), false, 10});
        channel(light::Role::Part, e);
    }
    mode.footprint = offset - 1;
    type->modes = {mode};
    return type;
}

inline const std::vector<EmitterSpec> kEight = {{660, 12, 500},  {634, 10, 1800}, {596, 9, 1100},
                                                {550, 45, 5000}, {523, 18, 2300}, {500, 15, 1500},
                                                {465, 12, 600},  {447, 10, 210}};
inline const std::vector<EmitterSpec> kThree = {{630, 10, 1800}, {525, 18, 3300}, {462, 12, 560}};
inline const std::vector<EmitterSpec> kFour = {
    {630, 10, 1800}, {525, 18, 3300}, {462, 12, 560}, {555, 70, 4400}};
inline const std::vector<EmitterSpec> kFive = {
    {634, 10, 1800}, {596, 9, 1100}, {550, 45, 5000}, {523, 18, 2300}, {465, 12, 600}};

inline light::Wanted wantedXyz(const colour::Xyz& xyz) {
    return {{}, (1 / xyz.Y) * xyz, std::nullopt, std::nullopt, 1};
}
inline light::Wanted wantedSpectrum(const colour::Spectrum& s) {
    const auto xyz = colour::toXyz(s);
    return {{}, (1 / xyz.Y) * xyz, s.scaled(1 / xyz.Y), std::nullopt, 1};
}

} // namespace zelo::test
