// SPDX-License-Identifier: GPL-3.0-or-later
// Where a lamp of a ripple is at a moment: between which two steps, and how far. Pure functions of
// time; no lamp, no colour.
#pragma once

#include "show/ripple.h"

#include <span>
#include <vector>

namespace zelo::play {

inline constexpr int kBelow = -1; // instead of a step: what lies below

// From one step on its way to another. At rest both are the same and the share is 0.
struct Beat {
    int from = kBelow, to = kBelow;
    double share = 0; // 0..1
    friend bool operator==(const Beat&, const Beat&) = default;
};

// What the times of a ripple come to, over so many places along its lamps.
struct RippleTimes {
    show::Pattern pattern = show::Pattern::Cycle;
    show::RippleEnd end = show::RippleEnd::Again;
    bool lets_go = false;
    bool over_below = false;    // of Pulse
    std::vector<double> time_s; // of each step, Cycle
    std::vector<double> change; // of each step, share
    double turn_s = 1;          // T: all steps once, there and back where it goes so
    double after_s = 0;         // d: from place to place
    double every_s = 1;         // L: from colour to colour of March, accent to accent of Pulse
    double rise_s = 0, stay_s = 0, fall_s = 0;
    std::size_t steps() const { return time_s.size(); }
    double shortest_s() const; // of its steps: in which what changes fades, at most 1 s
};
// Never a turn of less than kShortestTurn_s. Requires at least one step and place.
RippleTimes rippleTimes(const show::Ripple& ripple, int places);
inline constexpr double kShortestTurn_s = 0.01; // frames are slower: it is played all the same

// How much later than the first each lamp is, s. `places`: 0..1 along it, by lamp (arranged(), or
// by place on the plan). One after another and each its own are by the seed alone.
struct RippleDelays {
    RippleTimes times;
    std::vector<double> delay_s; // by lamp
};
RippleDelays rippleDelays(const show::Ripple& ripple, std::span<const double> places);

// Of a lamp that is so much later than the first, at the ripple's own time: t_s may be below 0.
Beat beatAt(const RippleTimes& times, double t_s, double delay_s);
// Once past this own time nothing changes any more; HUGE_VAL: never. `latest_s`: the last delay.
double endOf(const RippleTimes& times, double latest_s);
// The own time, nearest to `t_s`, at which a lamp of this delay is as far in these times as
// it is in `before` at t_s: its phase is kept when times change.
double samePhase(const RippleTimes& before, const RippleTimes& now, double t_s);

} // namespace zelo::play
