// SPDX-License-Identifier: GPL-3.0-or-later
// Wanted: the light that is asked for.
#pragma once

#include "base/result.h"
#include "colour/spectrum.h"
#include "colour/xyz.h"
#include "light/asked.h"
#include "light/gel.h"

#include <optional>
#include <string>

namespace zelo::light {

struct Wanted {
    Asked asked;
    colour::Xyz xyz;                          // CIE 1931, Y = 1
    std::optional<colour::Spectrum> spectrum; // where known, scaled to Y = 1
    std::optional<colour::Spectrum> lamp;     // behind a gel: what the eye takes for white there
    double transmitted = 1; // of a gel: share of the lamp's light let through (luminance)

    colour::Uv uv() const { return colour::toUv(xyz); }
    friend bool operator==(const Wanted&, const Wanted&) = default;
};

// A light of which only the colour is asked for. Requires v > 0.
inline Wanted wantedUv(const colour::Uv& uv) {
    return {AskedUv{uv.u, uv.v}, colour::toXyz(uv), std::nullopt, std::nullopt, 1};
}

// Where named things come from; the owner of books and files implements it.
class ColourSources {
public:
    virtual ~ColourSources() = default;
    virtual Result<Gel> gel(const std::string& id) const = 0;
    virtual Result<colour::Spectrum> spectrum(const std::string& path) const = 0;
    virtual Result<Wanted> palette(const std::string& name) const = 0;
};

// The light itself. Errors say which part is not to be had.
Result<Wanted> wantedOf(const Asked& asked, const ColourSources& sources);

// Fails where a chromaticity is asked for that no light has: "xy:0.01,0.01: no light has …".
Done checkAnyLight(const Asked& asked);

// All at once: from the notation.
Result<Wanted> parseColour(const std::string& text, const ColourSources& sources);

} // namespace zelo::light
