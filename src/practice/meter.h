// SPDX-License-Identifier: GPL-3.0-or-later
// The practice meter: a simulated spectrometer before one lamp of the practice rig. Each reading
// has a little noise, as real ones do: 0.3 % of the value and 0.02 % of the highest, by a seed.
#pragma once

#include "practice/practice_rig.h"

#include <random>

namespace zelo::practice {

class Meter {
public:
    Meter(const PracticeRig& rig, std::uint64_t seed) : rig_(rig), random_(seed) {}

    // Its present light with noise. Nothing when there is no lamp with this id.
    std::optional<colour::Spectrum> measure(int id);

private:
    double noise(); // about normal, deviation 1
    const PracticeRig& rig_;
    std::mt19937_64 random_;
};

} // namespace zelo::practice
