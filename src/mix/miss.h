// SPDX-License-Identifier: GPL-3.0-or-later
// How far off a colour is, in words.
#pragma once

#include "colour/xyz.h"

#include <string>

namespace zelo::mix {

enum class MissGrade { Same, SideBySide, Close, Visible, Different }; // design §6

// < 0.001 same, < 0.003 side by side only, < 0.006 close, < 0.015 visible, else different.
MissGrade gradeOf(double miss_uv);

// Which way it went: against the white point paler or deeper, else the strongest hue word.
enum class MissWay { None, Paler, Deeper, Redder, Greener, Bluer, Yellower, Pinker };
MissWay wayOf(const colour::Uv& wanted, const colour::Uv& got, const colour::Uv& white);

const char* words(MissGrade grade); // "side by side only"
const char* words(MissWay way);     // "paler", "" for None

} // namespace zelo::mix
