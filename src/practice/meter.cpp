// SPDX-License-Identifier: GPL-3.0-or-later
#include "practice/meter.h"

#include <algorithm>

namespace zelo::practice {

namespace {
constexpr double kOfValue = 0.003;
constexpr double kOfHighest = 0.0002;
} // namespace

// The sum of twelve even ones: the same numbers with every library.
double Meter::noise() {
    double sum = -6;
    for (int i = 0; i < 12; ++i)
        sum += static_cast<double>(random_() >> 11) * 0x1p-53;
    return sum;
}

std::optional<colour::Spectrum> Meter::measure(int id) {
    const auto& lamps = rig_.lamps();
    const auto lamp =
        std::find_if(lamps.begin(), lamps.end(), [&](const Lamp& l) { return l.id == id; });
    if (lamp == lamps.end())
        return std::nullopt;
    const auto light = rig_.spectrum(static_cast<std::size_t>(lamp - lamps.begin()));
    colour::Grid grid = light.values();
    const double highest = *std::max_element(grid.begin(), grid.end());
    for (double& power : grid)
        power = std::max(0.0, power * (1 + kOfValue * noise()) + kOfHighest * highest * noise());
    return colour::Spectrum(grid);
}

} // namespace zelo::practice
