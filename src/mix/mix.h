// SPDX-License-Identifier: GPL-3.0-or-later
// A mix: how the emitters of one fixture type make a wanted colour, and how well.
#pragma once

#include "base/result.h"
#include "light/drives.h"
#include "light/fixture_type.h"
#include "light/wanted.h"
#include "mix/gamut_solid.h"

#include <functional>
#include <memory>
#include <string>
#include <vector>

namespace zelo::mix {

enum class Intent { // stored in shows by name
    Brightest = 0,
    Truest = 1,  // spectrum nearest the wanted one
    Kindest = 2, // best colour rendering
    Leanest = 3, // least electrical power
};

const char* nameOf(Intent intent); // "brightest"
std::optional<Intent> intentNamed(std::string_view name);

enum class Nearest { Uv, Hue }; // what to take when the colour is out of reach

struct Pin {
    std::size_t part = 0; // index in the fixture type: an emitter, flag, wheel or axis
    double drive = 0;
    friend bool operator==(const Pin&, const Pin&) = default;
};

struct MixWish {
    Intent intent = Intent::Truest;    // what to favour among all mixes that show the colour
    double give_up = 0.3;              // share of the brightness it may cost, 0..1
    std::vector<std::size_t> keep_out; // parts the mix must not use: dark, out of the beam, open
    std::vector<Pin> pins;             // parts held at a drive; one pin each at most
    Nearest nearest = Nearest::Uv;
    colour::Uv white; // where Nearest::Hue goes to; unused otherwise

    // BadValue: "give-up 1.4: must be within 0..1".
    Done check(std::size_t parts) const;
    friend bool operator==(const MixWish&, const MixWish&) = default;
};

// What two wishes have in common, for all that lies between them: keep-outs and pins of both, and
// the intent where it is one.
MixWish inBoth(const MixWish& a, const MixWish& b);

enum class MixEnd {
    InReach,
    OutOfReach, // drives make the nearest colour
    Dark,       // the emitters that may be used give no light
};

struct Mix {
    light::Drives drives; // one per part of the type, 0..1, always playable
    MixEnd end = MixEnd::Dark;
    colour::Xyz got;         // of these drives, cd
    double miss_uv = 0;      // Δu'v' between wanted and got, before rounding
    double brightest_cd = 0; // the most this colour can have with these keep-outs and pins

    double ofBrightest() const { return brightest_cd > 0 ? got.Y / brightest_cd : 0; }
};

struct Quadratic;
class Sampled;

// Everything about one fixture type and mode that mixes need, computed once. Immutable; share it
// between threads.
//
// Where a mode drives emitters, their mix makes the colour and flags and wheels rest open unless
// pinned. Where it drives none, flags or the fixture's own engine make it, found by an optimiser
// from a sampled table; with wheels alone the nearest slot is taken (detail/sampled.h).
class Mixer {
public:
    // Keeps the type alive. Requires a mode of this type.
    Mixer(std::shared_ptr<const light::FixtureType> type, const light::Mode& mode)
        : Mixer(std::move(type), mode, true) {}
    ~Mixer();
    Mixer(Mixer&&) noexcept;
    Mixer& operator=(Mixer&&) noexcept;

    const light::FixtureType& type() const { return *type_; }
    const light::Mode& mode() const { return *mode_; }
    const std::vector<colour::Xyz>& emitters() const { return xyz_; } // XYZ at full
    bool additive() const { return !sampled_; }                       // emitters make the colour
    bool slotsAlone() const; // wheels or scrollers do: there is no way from one slot to the next
    // Reach: counter-clockwise hull of the chromaticities; empty when nothing shines. Of flags and
    // wheels it is the convex hull of samples: a colour inside may still be missed a little.
    const std::vector<colour::Uv>& hull() const { return hull_; }
    // The mode sets this part; of an emitter also: it is not dark.
    bool usable(std::size_t part) const { return usable_[part]; }

    // Always answers. Without a spectrum Truest takes the smoothest one with the colour.
    // Requires wish.check().
    Mix solve(const light::Wanted& wanted, const MixWish& wish) const;

    // The drives nearest to `target` (least squares) that make exactly this light, cd; nothing when
    // none do, or where droop would not settle. Keep-outs and pins of the wish hold. For following
    // a planned way with the least movement.
    std::optional<light::Drives> nearestTo(const light::Drives& target, const colour::Xyz& exact,
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
    // `rendering`: what Kindest needs, most of the cost.
    Mixer(std::shared_ptr<const light::FixtureType> type, const light::Mode& mode, bool rendering);
    struct Problem;
    Problem problemOf(const MixWish& wish) const;
    std::shared_ptr<const Mixer> asIfAt(const light::Drives& drives, Intent intent) const;
    std::shared_ptr<const Mixer> withEmitters(std::vector<light::Emitter> emitters,
                                              Intent intent) const;
    Mix solveFiltered(const light::Wanted& wanted, const MixWish& wish) const;
    Mix solveDrooping(const light::Wanted& wanted, const MixWish& wish) const;
    std::optional<Mix> brightestDrooping(const light::Wanted& wanted, const MixWish& wish) const;
    colour::Xyz slopeAt(std::size_t emitter, double drive) const; // of its light, by the drive
    double shareAt(std::size_t emitter, double drive) const;      // of the light at full
    double driveFor(std::size_t emitter, double share) const;     // the other way
    Mix solveAdditive(const light::Wanted& wanted, const MixWish& wish) const;
    Mix solveInReach(const Problem& p, const light::Wanted& wanted, const MixWish& wish) const;
    Mix nearestMix(const Problem& p, const light::Wanted& wanted, const MixWish& wish) const;
    // A mix of Brightest, Truest and Leanest or any between that renders surfaces best; see
    // kindest.cpp.
    light::Drives kindest(const Problem& p, const light::Wanted& wanted,
                          std::span<const light::Drives> starts) const;
    std::optional<light::Drives> leanest(const Problem& p, const colour::Xyz& d, double least_y,
                                         bool exactly) const;
    std::optional<light::Drives> nearestFree(const Problem& p, const light::Drives& target,
                                             const colour::Xyz& exact) const;
    void setColourRows(Quadratic& q, const Problem& p, const colour::Xyz& d, double least_y) const;
    std::optional<light::Drives> truest(const Problem& p, const colour::Spectrum& wanted,
                                        const colour::Xyz& d, double least_y, bool exactly) const;
    Mix finished(const light::Drives& drives, MixEnd end, const light::Wanted& wanted,
                 double brightest_cd) const;

    std::shared_ptr<const light::FixtureType> type_;
    const light::Mode* mode_;
    std::vector<colour::Xyz> xyz_;
    std::vector<char> usable_;
    std::vector<colour::Uv> hull_;
    std::vector<double> gram_;    // ∫ SPD_i SPD_j, row by row
    std::vector<double> spectra_; // emitter by emitter, on the grid
    GamutSolid solid_;            // of the usable emitters: the usual wish has no pins or keep-outs
    std::vector<std::size_t> all_free_;
    std::vector<colour::Xyz> free_xyz_;
    std::vector<double> power_w_; // at full; radiant power where the data does not say
    // Of each emitter at full, 10° observer: its own XYZ, then the 99 samples of TM-30 under it.
    std::vector<std::vector<colour::Xyz>> rendering_;
    // Of each emitter: its light at 0, at the measured drives and at full; between them linear.
    std::vector<std::vector<std::pair<double, colour::Xyz>>> droop_;
    bool alone_ = true;                      // emitters, and nothing else that acts on their light
    bool plain_ = true;                      // and without droop: light adds up
    std::unique_ptr<const Sampled> sampled_; // where no emitter is driven
};

} // namespace zelo::mix
