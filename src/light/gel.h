// SPDX-License-Identifier: GPL-3.0-or-later
// Gels, and the swatch book they hang in.
#pragma once

#include "colour/spectrum.h"

#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace zelo::light {

struct Gel {
    std::string id;                 // its number in the book: "214"
    std::string name;               // "Apricot"
    colour::Spectrum transmittance; // 0..1
};

struct SwatchBook {
    std::string name;
    std::vector<Gel> gels; // in the order of the book

    const Gel* find(std::string_view id) const; // ids compare without regard to case
};

} // namespace zelo::light
