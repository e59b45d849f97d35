// SPDX-License-Identifier: GPL-3.0-or-later
// Emitters whose light adds up, as a value: their spectra, XYZ, Gram matrix and power, and the
// gamut solid that they span. All mixes of emitters are solved on one: of a type as it is, of its
// emitters behind a filter, of emitters as they shine at lower drives (droop.h). Pins and keep-outs
// are bounds of its drives. Immutable; share it between threads.
#pragma once

#include "colour/polygon.h"
#include "mix/gamut_solid.h"
#include "mix/wish.h"

#include <array>
#include <span>

namespace zelo::mix {

struct LinearEmitter {
    colour::Spectrum spectrum; // at full, W/(sr nm)
    double power_w = 0;        // at full
    bool usable = true;        // it may be driven
};

struct Problem;

class LinearEngine {
public:
    // Drives of its emitters, in their order, at most kMostParts. `rendering`: with what Kindest
    // needs, most of the cost. `exact_for`: colours are those of this camera's chart, not the
    // eye's: XYZ, u'v', reach and brightness; it is not kept.
    LinearEngine(std::span<const LinearEmitter> emitters, bool rendering,
                 const colour::Camera* exact_for = nullptr);

    const std::vector<colour::Xyz>& xyz() const { return xyz_; } // at full
    const colour::Polygon& hull() const { return hull_; }        // reach of the usable ones
    colour::Xyz xyzOf(const light::Drives& drives) const;
    double powerOf(std::size_t emitter) const { return power_w_[emitter]; }

    // What the drives are held within: each is free, from 0 to 1, or fixed.
    struct Bounds {
        light::Drives held;                          // of the fixed ones, 0 of the others
        std::array<char, light::kMostParts> fixed{}; // kept out, pinned, or burning by themselves
        bool any = false;                            // anything is fixed
        bool shines = false;                         // and gives light
    };
    Bounds free() const { return {light::Drives(xyz_.size()), {}, false, false}; }

    // Always answers. Of the wish its intent, give-up and what is nearest count; its pins and
    // keep-outs are in the bounds. Without a spectrum Truest takes the smoothest one.
    Mix solve(const light::Wanted& wanted, const MixWish& wish, const Bounds& bounds) const;

    // What the bounds leave to solve. `problem` must outlive its use; it borrows from the engine.
    Problem problemOf(const Bounds& bounds) const;

private:
    Mix inReach(const Problem& p, const light::Wanted& wanted, const MixWish& wish) const;
    Mix nearest(const Problem& p, const light::Wanted& wanted, const MixWish& wish) const;
    // The programs (programs.cpp). `exactly`: at Y = least_y, else at any brightness.
    std::optional<light::Drives> leanest(const Problem& p, const colour::Xyz& d, double least_y,
                                         bool exactly) const;
    std::optional<light::Drives> truest(const Problem& p, const colour::Spectrum& wanted,
                                        const colour::Xyz& d, double least_y, bool exactly) const;
    // ∫(mix − wanted)², both as bright, as a form in the drives of all emitters.
    struct SpectralTerm {
        SpectralTerm(const LinearEngine& engine, const colour::Spectrum& wanted,
                     const colour::Xyz& d);
        double at(std::size_t i, std::size_t j) const {
            return gram[i * n + j] - y[i] * h[j] - y[j] * h[i] + y[i] * y[j] * ww;
        }
        std::size_t n;
        const double* gram;
        double ww; // ∫ wanted²
        std::array<double, light::kMostParts> y, h;
    };
    // Filmed (filmed.cpp): nothing where the wish has no camera that sees the wanted light.
    std::optional<light::Drives> filmed(const Problem& p, const MixWish& wish,
                                        const colour::Spectrum& wanted, const colour::Xyz& d,
                                        double least_y, bool exactly) const;
    struct Watched;
    Watched watched(const colour::ShareRows& rows, const colour::Spectrum& wanted) const;
    std::optional<light::Drives> filmedBy(const Problem& p, std::span<const Watched> by,
                                          std::span<const double> weights,
                                          const SpectralTerm& truth, const colour::Xyz& d,
                                          double least_y, bool exactly) const;
    // A mix of `starts` or any between that renders surfaces best (kindest.cpp).
    light::Drives kindest(const Problem& p, const light::Wanted& wanted,
                          std::span<const light::Drives> starts) const;

    bool for_camera_ = false;
    std::vector<colour::Xyz> xyz_;
    colour::Polygon hull_;
    std::vector<double> gram_;    // ∫ SPD_i SPD_j, row by row
    std::vector<double> spectra_; // emitter by emitter, on the grid
    std::vector<double> power_w_;
    std::vector<std::size_t> usable_; // and their light:
    std::vector<colour::Xyz> usable_xyz_;
    GamutSolid solid_; // of the usable ones: the usual wish has no bounds
    // Of each emitter at full, 10° observer: its own XYZ, then the 99 samples of TM-30 under it.
    std::vector<std::vector<colour::Xyz>> rendering_;
};

} // namespace zelo::mix
