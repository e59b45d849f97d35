// SPDX-License-Identifier: GPL-3.0-or-later
// A mix: how the emitters of one fixture type make a wanted colour, and how well.
#pragma once

#include "colour/polygon.h"
#include "mix/droop.h"

#include <memory>

namespace zelo::mix {

class NonAdditive;

// Everything about one fixture type and mode that mixes need, computed once. Immutable; share it
// between threads.
//
// Where a mode drives emitters, their mix makes the colour and flags and wheels rest open unless
// pinned. Where it drives none, flags or the fixture's own engine make it, found by an optimiser
// from a sampled table; with wheels alone the nearest slot is taken (detail/non_additive.h).
class Mixer {
public:
    // Keeps the type alive. Requires a mode of this type.
    Mixer(std::shared_ptr<const light::FixtureType> type, const light::Mode& mode);
    ~Mixer();
    Mixer(Mixer&&) noexcept;
    Mixer& operator=(Mixer&&) noexcept;

    const light::FixtureType& type() const { return *type_; }
    const light::Mode& mode() const { return *mode_; }
    const std::vector<colour::Xyz>& emitters() const { return linear_.xyz(); } // XYZ at full
    bool additive() const { return !non_additive_; } // emitters make the colour
    bool slotsAlone() const; // wheels or scrollers do: there is no way from one slot to the next
    // Reach: counter-clockwise hull of the chromaticities; empty when nothing shines. Of flags and
    // wheels it is the convex hull of samples: a colour inside may still be missed a little.
    const colour::Polygon& hull() const;
    // The mode sets this part; of an emitter also: it is not dark.
    bool usable(std::size_t part) const { return usable_[part]; }

    // Always answers. Without a spectrum Truest takes the smoothest one with the colour.
    // Requires wish.check().
    Mix solve(const light::Wanted& wanted, const MixWish& wish) const;

    // The drives nearest to `target` (least squares) that make exactly this light, cd; nothing when
    // none do, or where droop would not settle. Keep-outs and pins of the wish hold. For following
    // a planned way with the least movement.
    std::optional<light::Drives> closestDrives(const light::Drives& target,
                                               const colour::Xyz& exact,
                                               const MixWish& wish = {}) const;

    // Electrical watts of drives; radiant watts where a type's data gives no power.
    double powerOf(const light::Drives& drives) const;

    colour::Xyz xyzOf(const light::Drives& drives) const; // of all parts so set
    colour::Xyz partLight(std::size_t part) const;        // light that shows which part it is
    colour::Xyz emitterAt(std::size_t emitter, double drive) const; // droop in it

    // Drives whose light is `factor` (0..1) of that of `drives`, of the same colour. What is dark
    // stays dark; where droop leaves no exact colour to what is lit, each keeps its share of Y.
    light::Drives dimmed(const light::Drives& drives, double factor) const;

    // Relative spectral difference of a mix from the wanted light, both at the same luminous
    // intensity: √∫(mix − wanted)² / √∫wanted². Requires a wanted spectrum.
    double spectralMiss(const light::Drives& drives, const colour::Spectrum& wanted) const;

private:
    // What a wish makes of the parts: the emitters' bounds, and how all parts stand but for them.
    struct Held {
        LinearEngine::Bounds bounds;
        light::Drives parts;
    };
    Held heldBy(const MixWish& wish) const;

    std::shared_ptr<const light::FixtureType> type_;
    const light::Mode* mode_;
    std::vector<char> usable_;
    std::vector<double> power_w_; // of all parts; radiant power where the data does not say
    Droop droop_;
    LinearEngine linear_; // of the emitters at full
    light::Drives ready_; // all parts while nothing is asked for
    bool alone_ = true;   // emitters, and nothing else that acts on their light
    std::unique_ptr<const NonAdditive> non_additive_; // where no emitter is driven
};

} // namespace zelo::mix
