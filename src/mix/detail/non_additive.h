// SPDX-License-Identifier: GPL-3.0-or-later
// Mixes of fixtures that do not add emitters up: flags before a lamp, the fixture's own engine, and
// wheels and scrollers. A table of settings is sampled once; a wish starts at the entries nearest
// to it and is finished by a general optimiser (SLSQP of NLopt).
#pragma once

#include "colour/polygon.h"
#include "light/fixture_type.h"
#include "mix/wish.h"

#include <functional>
#include <memory>

namespace zelo::mix {

class NonAdditive {
public:
    NonAdditive(std::shared_ptr<const light::FixtureType> type, const light::Mode& mode);

    const colour::Polygon& reach() const { return reach_; } // convex hull of the samples
    bool slotsAlone() const { return axes_.empty(); }       // wheels and nothing else
    colour::Xyz xyzOf(const light::Drives& drives) const;

    // Brightest, Truest and Kindest as for emitters. Leanest is Brightest: the lamp takes the same
    // power whatever stands before it. Where wheels alone can be set, the nearest slot.
    Mix solve(const light::Wanted& wanted, const MixWish& wish) const;

    // The setting nearest to `target` with this light; nothing when it cannot be that bright.
    // Wheels take the nearest slot whatever it misses. Keep-outs and pins of the wish hold.
    std::optional<light::Drives> closestDrives(const light::Drives& target,
                                               const colour::Xyz& exact, const MixWish& wish) const;

private:
    struct Sample {
        light::Drives drives;
        colour::Uv uv;
        double y;
    };
    // What a wish leaves free: axes to move (flags, an engine's two), or wheels to turn.
    struct Free {
        light::Drives base;
        std::vector<std::size_t> axes;
        std::vector<std::size_t> wheels;
    };
    Free freeOf(const MixWish& wish) const;
    std::vector<Sample> samplesOf(const Free& free, std::size_t most) const;
    std::vector<Sample> spreadOver(const Free& free, std::size_t most) const;
    void add(std::vector<Sample>& samples, const light::Drives& drives) const;
    void refineReach(std::vector<colour::Uv>& points) const;

    bool quick(const light::Drives& drives) const; // flags alone stand before the lamp
    // The light of a setting, and how it changes with each free axis, in the order of Free::axes.
    struct Seen {
        colour::Xyz here;
        std::array<colour::Xyz, light::kMostParts> along; // once slopes were asked for
        colour::Grid through;                             // of flags, times the lamp's level
        bool dark = true;                                 // no lamp is lit

        colour::Uv uv() const { return colour::toUv(here); }
        colour::Uv uvAlong(std::size_t axis) const;
        bool lit() const { return colour::hasChromaticity(here); }
    };
    void see(const light::Drives& drives, Seen& seen) const; // without slopes
    void seeSlopes(const Free& free, const light::Drives& drives, Seen& seen) const;

    // Moves the axes as little as possible until the colour is exactly `uv`, and its light `y`
    // unless that is 0; what it comes to, or nothing where it cannot.
    std::optional<colour::Xyz> settle(const Free& free, const colour::Uv& uv, light::Drives& drives,
                                      double y = 0) const;
    // Minimises `cost` over the axes from `drives`, keeping the colour (when given) and Y >=
    // least_y.
    // A cost gives its slope along each free axis too, unless that is null.
    using Cost = std::function<double(const light::Drives&, const Seen&, double* slope)>;
    light::Drives optimised(const Free& free, const Cost& cost,
                            const std::optional<colour::Uv>& keep, double least_y,
                            const light::Drives& from) const;
    Mix nearestSample(const std::vector<Sample>& samples, const light::Wanted& wanted,
                      const MixWish& wish) const;
    light::Drives nearestColour(const Free& free, const std::vector<const Sample*>& starts,
                                const light::Wanted& wanted, const MixWish& wish) const;
    light::Drives kindest(const Free& free, const light::Wanted& wanted, double least_y,
                          const light::Drives& truest, const light::Drives& brightest) const;
    Mix finished(const light::Drives& drives, const light::Wanted& wanted, double most) const;

    std::shared_ptr<const light::FixtureType> type_;
    const light::Mode* mode_;
    std::vector<std::size_t> axes_, wheels_; // parts that the mode sets
    bool flags_only_ = false;                // one lamp, flags before it: the quick way to XYZ
    // Of the sources at full: spectrum times K_m and each matching function.
    std::array<colour::Grid, 3> lamp_{};
    std::vector<Sample> samples_; // of everything free
    colour::Polygon reach_;
};

} // namespace zelo::mix
