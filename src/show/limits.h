// SPDX-License-Identifier: GPL-3.0-or-later
// The bounds of a show, one for edits, writer and reader: what can be made can be saved, and what
// was saved can be opened.
#pragma once

#include <cstddef>

namespace zelo::show {

inline constexpr std::size_t kMostFixtures = 20'000;
inline constexpr std::size_t kMostKept = 20'000; // groups, palettes, looks, lights, each
inline constexpr std::size_t kMostTypes = 500;   // of the show's own
inline constexpr std::size_t kMostOutputs = 2'000;
inline constexpr std::size_t kMostAreas = 1'000;
inline constexpr std::size_t kMostEmittersOfFader = 64;
inline constexpr std::size_t kMostFigures = 20;   // in the stage picture
inline constexpr std::size_t kMostPoints = 1'000; // of an outline
inline constexpr int kLastId = 1 << 30;
inline constexpr int kLastNumber = 999'999'999; // of a fixture, as people call it
inline constexpr double kFarthest_m = 10'000;   // from the middle of the plan
inline constexpr double kMostTurn_deg = 36'000;
inline constexpr std::size_t kLongestName = 1'000; // bytes
inline constexpr std::size_t kLongestNote = 20'000;
// Of parts in one value: of all types that a lamp ever had.
inline constexpr std::size_t kMostNames = 500;
inline constexpr std::size_t kMostStops = 200; // of a gradient
inline constexpr std::size_t kMostVias = 50;   // points on the way from a stop to the next
inline constexpr double kLeastWhite_k = 1'000; // that ways go round
inline constexpr double kMostWhite_k = 25'000;
inline constexpr double kFarthestVia = 1'000; // of a kept route, in the distance of its ends
inline constexpr int kMostTurns = 1'000;      // of a ripple, along its lamps
inline constexpr std::size_t kMostLayings = 20'000;
inline constexpr std::size_t kMostCues = 20'000;        // of a list
inline constexpr std::size_t kMostVersions = 26;        // of a cue
inline constexpr std::size_t kMostPicture = 512u << 10; // bytes, of a look
inline constexpr double kLongest_s = 86'400;            // a time of a cue
inline constexpr int kMostCueNumber = 999'999'999;      // in thousandths
inline constexpr double kMostPower = 1e12;              // of a spectrum, W/(sr nm)
inline constexpr double kMostTrim = 1'000;              // of an intensity
inline constexpr double kMostNudge_uv = 1;              // of a colour
inline constexpr double kMostOff_uv = 0.2;              // of a calibration by hand
inline constexpr std::size_t kMostShowBytes = 64u << 20;

} // namespace zelo::show
