// SPDX-License-Identifier: GPL-3.0-or-later
// How far off a colour is, in words.
#pragma once

#include "colour/observer.h"
#include "colour/xyz.h"

#include <array>
#include <string>

namespace zelo::mix {

enum class MissGrade { Same, SideBySide, Close, Visible, Different }; // design §6

// < 0.001 same, < 0.003 side by side only, < 0.006 close, < 0.015 visible, else different.
MissGrade gradeOf(double miss_uv);

// Farther than this from the nearest colour that can be shown, a colour is out of reach.
inline constexpr double kReached_uv = 0.004;

// Which way it went: against the white point paler or deeper, else the strongest hue word.
enum class MissWay { None, Paler, Deeper, Redder, Greener, Bluer, Yellower, Pinker };
MissWay wayOf(const colour::Uv& wanted, const colour::Uv& got, const colour::Uv& white);

// Relative spectral difference, both at the same luminous intensity: √∫(got − wanted)² / √∫wanted².
// Infinite when one of them is dark.
double spectralMiss(const colour::Spectrum& got, const colour::Spectrum& wanted);

// The same two lights as others see them: narrow-band mixes that match for one observer part for
// another.
struct ObserverMiss {
    colour::Observer observer = colour::Observer::Cie1931_2;
    double miss_uv = 0; // in that observer's u'v'
};
std::array<ObserverMiss, 4> missByObserver(const colour::Spectrum& wanted,
                                           const colour::Spectrum& got);
const char* words(colour::Observer observer); // "CIE 1964 10°"

const char* words(MissGrade grade); // "side by side only"
const char* words(MissWay way);     // "paler", "" for None

} // namespace zelo::mix
