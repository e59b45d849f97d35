// SPDX-License-Identifier: GPL-3.0-or-later
// The light of a lamp whose emitters add up, by the levels of their channels, from tables: hundreds
// of thousands of looks where fading channels in straight lines is weighed.
#pragma once

#include "mix/mix.h"

#include <vector>

namespace zelo::route {

class LevelLight {
public:
    // Requires an additive mixer. Parts that are no emitters stay as they rest.
    explicit LevelLight(const mix::Mixer& mixer);

    using Levels = light::Drives; // 0..1 of each emitter's channel, behind the response
    Levels levelsOf(const light::Drives& drives) const;
    light::Drives drivesOf(const Levels& levels) const;
    colour::Xyz at(const Levels& levels) const;
    // Halfway and so on between two: a share of 0 is `a`.
    colour::Xyz between(const Levels& a, const Levels& b, double share) const;

    // Levels near these that give this light, by the least change; nothing where none were found
    // within their bounds.
    bool moved(Levels& levels, const colour::Xyz& to) const;

private:
    colour::Xyz slope(std::size_t emitter, double level) const;
    const mix::Mixer& mixer_;
    std::size_t emitters_;
    std::vector<const light::Response*> responses_; // null: its level is its drive
    struct Place {
        colour::Xyz here, more; // and to the next place
    };
    std::vector<Place> light_; // emitter by emitter, at even levels
};

} // namespace zelo::route
