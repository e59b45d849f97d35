// SPDX-License-Identifier: GPL-3.0-or-later
// A fader outside stands where it stood; what it moves may stand elsewhere. It takes hold once it
// has met or passed that: nothing jumps. Until then it says where it is waited for.
#pragma once

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>

namespace zelo::remote {

class TakeOver {
public:
    // Moved to `hand`, while the thing stands at `now`, which may lag behind what was set last:
    // what to set it to, or nothing yet.
    std::optional<double> moved(double hand, double now) {
        constexpr double kNear = 2.5 / 127; // two steps of seven bits: it has met it
        const bool met = std::abs(hand - now) <= kNear;
        const bool passed = before_ && (*before_ - now) * (hand - now) <= 0;
        const bool goes_on = holds_ && ours(now);
        before_ = hand;
        now_ = now;
        holds_ = goes_on || met || passed;
        if (!holds_) {
            waits_ = true;
            set_.fill(NAN);
            return std::nullopt;
        }
        waits_ = false;
        set_[next_++ % set_.size()] = hand;
        return hand;
    }
    bool waits() const { return waits_; }

private:
    // Nobody else has moved it: it is where it was, or where this one has set it.
    bool ours(double now) const {
        constexpr double kSame = 1e-3;
        return std::abs(now - now_) <= kSame ||
               std::any_of(set_.begin(), set_.end(),
                           [&](double set) { return std::abs(set - now) <= kSame; });
    }
    std::optional<double> before_;        // where the hand was last
    std::array<double, 32> set_ = none(); // what it set last
    std::size_t next_ = 0;
    double now_ = NAN;
    bool holds_ = false;
    bool waits_ = false;

    static constexpr std::array<double, 32> none() {
        std::array<double, 32> all{};
        all.fill(NAN);
        return all;
    }
};

} // namespace zelo::remote
