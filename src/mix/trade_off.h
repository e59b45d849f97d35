// SPDX-License-Identifier: GPL-3.0-or-later
// The trade-off: what an intent gains for the brightness it may give up.
#pragma once

#include "mix/mix.h"

namespace zelo::mix {

enum class Gain { Ssi, Rf, Agreement, Watts, CameraMiss }; // what an intent is judged by
const char* nameOf(Gain gain); // "ssi", "rf", "agreement", "watts", "camera miss"

// Truest: SSI to the wanted light. Kindest: R_f for a white, agreement for a colour. Leanest:
// watts. Filmed: the largest miss of its cameras. Nothing for Brightest, which gives nothing up,
// for Filmed without a camera, and for lights without a spectrum where one is needed.
std::optional<Gain> gainOf(const MixWish& wish, const light::Wanted& wanted);

struct TradePoint {
    double give_up = 0;
    double brightness_cd = 0;
    double value = 0; // of the gain
};

// `points` (at least 2) wishes from 0 to `most` given up; those whose value means nothing are left
// out. `white`: what the eye takes for white where the wanted light has no lamp. Cost: a mix and a
// reading each.
std::vector<TradePoint> tradeOff(const Mixer& mixer, const light::Wanted& wanted,
                                 const MixWish& wish, const colour::Spectrum& white,
                                 int points = 20, double most = 0.95);

} // namespace zelo::mix
