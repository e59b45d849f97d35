// SPDX-License-Identifier: GPL-3.0-or-later
// Droop: emitters whose light at lower drives is not that at full made smaller. By measured drives
// a table; what is solved is a linear engine of the emitters as they shine at the drives that come
// out, again and again until the drives stay.
#pragma once

#include "light/fixture_type.h"
#include "mix/linear_engine.h"

namespace zelo::mix {

class Droop {
public:
    // Copies the spectra (which are shared). `usable` and `power_w` as a linear engine has them.
    Droop(std::vector<light::Emitter> emitters, std::vector<char> usable,
          std::vector<double> power_w);

    bool any() const { return any_; }                           // an emitter droops
    colour::Xyz at(std::size_t emitter, double drive) const;    // its light
    colour::Xyz slope(std::size_t emitter, double drive) const; // of it, by the drive
    double share(std::size_t emitter, double drive) const;      // of its luminance at full
    double driveFor(std::size_t emitter, double share) const;   // the other way
    colour::Xyz sum(const light::Drives& drives) const;         // of all

    // A linear engine of the emitters at full.
    LinearEngine atFull(bool rendering, const colour::Camera* exact_for = nullptr) const;

    // As LinearEngine::solve, with drives as they are set. `exact_for`: the camera in whose chart
    // `full` and the wanted light are; null: the eye.
    Mix solve(const LinearEngine& full, const light::Wanted& wanted, const MixWish& wish,
              const LinearEngine::Bounds& bounds, const colour::Camera* exact_for) const;
    // The drives nearest to `target` that make this light; nothing when none do or the light
    // would not settle.
    std::optional<light::Drives> closestDrives(const LinearEngine& full,
                                               const light::Drives& target,
                                               const colour::Xyz& exact,
                                               const LinearEngine::Bounds& bounds) const;

private:
    LinearEngine asIfAt(const light::Drives& drives, bool rendering,
                        const colour::Camera* exact_for = nullptr) const;
    Problem realProblem(const LinearEngine& full, const LinearEngine::Bounds& bounds) const;
    std::optional<Mix> brightest(const LinearEngine& full, const light::Wanted& wanted,
                                 const LinearEngine::Bounds& bounds) const;

    std::vector<light::Emitter> emitters_;
    std::vector<char> usable_;
    std::vector<double> power_w_;
    // Of each emitter its light at 0, at the measured drives and at full; between them linear.
    std::vector<std::vector<std::pair<double, colour::Xyz>>> tables_;
    std::vector<double> full_y_;
    bool any_ = false;
};

} // namespace zelo::mix
