// SPDX-License-Identifier: GPL-3.0-or-later
// What stands in a beam: flags that are driven in by degrees, and wheels and scrollers of gels.
#pragma once

#include "colour/spectrum.h"

#include <optional>
#include <string>
#include <vector>

namespace zelo::light {

inline constexpr double kLeastTransmittance = 1e-6; // darker counts as this: its density is finite

colour::Spectrum densityOf(const colour::Spectrum& transmittance); // −ln T
colour::Spectrum transmittanceOf(const colour::Spectrum& density);

// A filter driven in by degrees. Between measured positions its density is interpolated (log
// domain, Beer–Lambert); from 0, where it is out of the beam, to the first; past the last it stays.
struct Flag {
    struct Point {
        double position = 1;      // 0..1: how far in
        colour::Spectrum density; // −ln of the transmittance
        friend bool operator==(const Point&, const Point&) = default;
    };
    std::string name;          // "Cyan"
    std::vector<Point> points; // by position, at least one
    bool modelled = false;     // the data gave no spectrum

    // Adds what the flag holds back at `position` (0..1) to `density`.
    void addDensity(double position, colour::Grid& density) const;
    colour::Spectrum transmittance(double position) const;
    // The measured points that `position` lies between and how fast the density goes from one to
    // the other: d(density)/d(position) = (above − below) · rate; null below: out of the beam.
    struct Slope {
        const colour::Spectrum* below = nullptr;
        const colour::Spectrum* above = nullptr; // null past the last point: it stays
        double rate = 0;
    };
    Slope slopeAt(double position) const;
};

struct Slot {
    std::string name;
    std::optional<colour::Spectrum> transmittance; // none: open
    bool modelled = false;
};

// A wheel or scroller: one slot in the beam, or two halves of neighbours where it can stand
// between. Its setting is a share of the way round, 0..1: slot i of n stands at i / n.
struct Wheel {
    std::string name;
    std::vector<Slot> places; // at least one, at most kMostSlots
    bool halves = false;      // it can stand between two slots
    static constexpr std::size_t kMostSlots = 100;

    double rest() const; // the first open slot, else the first
    double settingOf(double slot) const { return slot / static_cast<double>(places.size()); }
    double slotAt(double setting) const; // 0 … n, n.5; whole numbers without halves
    // Light through both halves in their shares; null where the slot is open.
    std::optional<colour::Spectrum> transmittance(double setting) const;
    std::string nameAt(double setting) const; // "Amber", "Amber / Rose"
};

} // namespace zelo::light
