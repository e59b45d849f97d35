// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/filter.h"

#include "base/clones.h"

#include <algorithm>
#include <cmath>

namespace zelo::light {

namespace {

template <class F>
colour::Spectrum mapped(const colour::Spectrum& s, F&& f) {
    colour::Grid grid;
    for (std::size_t i = 0; i < grid.size(); ++i)
        grid[i] = f(s[i]);
    return colour::Spectrum(grid);
}

} // namespace

colour::Spectrum densityOf(const colour::Spectrum& transmittance) {
    return mapped(transmittance,
                  [](double t) { return -std::log(std::clamp(t, kLeastTransmittance, 1.0)); });
}

colour::Spectrum transmittanceOf(const colour::Spectrum& density) {
    return mapped(density, [](double d) { return std::exp(-d); });
}

ZELO_CLONES void addScaled(double share, const double* from, double* to);
ZELO_CLONES void addScaled(double share, const double* from, double* to) {
    for (std::size_t i = 0; i < colour::kGridSize; ++i)
        to[i] += share * from[i];
}

ZELO_CLONES void addBetween(double part, const double* from, const double* next, double* to);
ZELO_CLONES void addBetween(double part, const double* from, const double* next, double* to) {
    for (std::size_t i = 0; i < colour::kGridSize; ++i)
        to[i] += (1 - part) * from[i] + part * next[i];
}

void Flag::addDensity(double position, colour::Grid& density) const {
    double from = 0; // position and point below; none: out of the beam
    const Point* below = nullptr;
    for (const Point& p : points) {
        if (position <= p.position) {
            const double span = p.position - from;
            const double part = span > 0 ? (position - from) / span : 1;
            const double* there = p.density.values().data();
            if (below && part < 1)
                addBetween(part, below->density.values().data(), there, density.data());
            else if (part > 0)
                addScaled(part, there, density.data());
            return;
        }
        from = p.position;
        below = &p;
    }
    if (below)
        addScaled(1, below->density.values().data(), density.data());
}

Flag::Slope Flag::slopeAt(double position) const {
    Slope slope;
    double from = 0;
    for (const Point& p : points) {
        if (position < p.position || (&p == &points.back() && position <= p.position)) {
            slope.above = &p.density;
            slope.rate = p.position > from ? 1 / (p.position - from) : 0;
            return slope;
        }
        from = p.position;
        slope.below = &p.density;
    }
    return slope;
}

colour::Spectrum Flag::transmittance(double position) const {
    colour::Grid density{};
    addDensity(position, density);
    return transmittanceOf(colour::Spectrum(density));
}

double Wheel::rest() const {
    for (std::size_t i = 0; i < places.size(); ++i)
        if (!places[i].transmittance)
            return settingOf(static_cast<double>(i));
    return 0;
}

double Wheel::slotAt(double setting) const {
    const double n = static_cast<double>(places.size());
    const double slot =
        halves ? std::round(2 * setting * n) / 2 : std::round(std::clamp(setting, 0.0, 1.0) * n);
    return std::fmod(std::max(0.0, slot), n);
}

std::optional<colour::Spectrum> Wheel::transmittance(double setting) const {
    const double slot = slotAt(setting);
    const auto low = static_cast<std::size_t>(slot);
    const double part = slot - static_cast<double>(low);
    const auto& a = places[low].transmittance;
    if (part == 0)
        return a;
    const auto& b = places[(low + 1) % places.size()].transmittance;
    if (!a && !b)
        return std::nullopt;
    const auto open = colour::Spectrum::flat(1);
    return (a ? *a : open).scaled(1 - part) + (b ? *b : open).scaled(part);
}

std::string Wheel::nameAt(double setting) const {
    const double slot = slotAt(setting);
    const auto low = static_cast<std::size_t>(slot);
    if (slot == static_cast<double>(low))
        return places[low].name;
    return places[low].name + " / " + places[(low + 1) % places.size()].name;
}

} // namespace zelo::light
