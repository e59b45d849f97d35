// SPDX-License-Identifier: GPL-3.0-or-later
// The fade check: does one fixture show a colour nobody asked for on the way from one state to the
// next? On plain values: what it shows, what it will show, and the times.
#pragma once

#include "route/fade.h"

#include <vector>

namespace zelo::route {

struct LampState {
    light::Drives drives; // of the emitters; a dark fixture rests at its home values
    double intensity = 0; // 0..1
};

struct FadeTimes { // seconds
    double up_s = 5;
    double down_s = 5;
    double delay_s = 0;
    double colour_s = 5;
    double colour_delay_s = 0;
};

struct FadeSetup {
    LampState before, after;
    FadeTimes times;
    Kind route = Kind::Levels; // how the colour goes between lit ends
    double floor = 0.8;        // of Around
};

enum class Fault {
    FromDark,  // first light of another colour than the one it fades up to
    ToDark,    // last light of another colour than the one it fades down from
    WhiteDip,  // loses more than 35 % of its saturation between lit ends
    OffTheWay, // more than 0.05 in u'v' off the straight way between lit ends
};

struct FadeFault {
    Fault kind = Fault::FromDark;
    double from_s = 0; // when it begins to show, and for how long
    double lasts_s = 0;
    double worst = 0; // Δu'v', or the share of saturation lost
    colour::Uv shown; // the colour at the worst moment
};

// Nothing is visible below 2 % of the brighter end. `white`: what saturation is measured from.
// Looked at 200 times in each stretch in which something moves, however long the delays are. Cost:
// that many evaluations of the fixture's light, some 100 µs.
std::vector<FadeFault> checkFade(const mix::Mixer& mixer, const FadeSetup& setup,
                                 const colour::Uv& white);

struct FadeMoment {
    double t_s = 0;
    light::Drives drives; // at full
    double intensity = 0;
    colour::Xyz light;
};
// The lamp at so many moments, evenly from the fade's beginning to its end. Requires two at least.
std::vector<FadeMoment> momentsOfFade(const mix::Mixer& mixer, const FadeSetup& setup,
                                      const colour::Uv& white, std::size_t moments);

enum class Cure {
    ColourInDark,     // set the colour before the fade, while there is no light
    ColourInZeroTime, // the colour does not fade: at once where it is dark
    HomeAtZero,       // rest the emitters at zero instead of full
    OtherRoute,       // go round the white
};

// The setup with a cure applied; nothing where it does not apply (a dark end for the first three,
// two lit ends for the last).
std::optional<FadeSetup> withCure(const FadeSetup& setup, Cure cure);

// Cures after which the check finds nothing, in the order above.
std::vector<Cure> curesFor(const mix::Mixer& mixer, const FadeSetup& setup,
                           const colour::Uv& white);

} // namespace zelo::route
