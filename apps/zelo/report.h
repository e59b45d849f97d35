// SPDX-License-Identifier: GPL-3.0-or-later
// What zelo says of a light, as JSON. Numbers without meaning are null, never NaN.
#pragma once

#include "colour/cct.h"
#include "colour/rendering.h"
#include "colour/xyz.h"
#include "light/wanted.h"

#include <cmath>
#include <nlohmann/json.hpp>

namespace zelo::cli {

using Json = nlohmann::ordered_json;

inline Json orNull(double value) {
    return std::isfinite(value) ? Json(value) : Json(nullptr);
}

inline std::optional<colour::Cct> cctOf(const colour::Xyz& c) {
    return colour::hasChromaticity(c) ? colour::cctOf(colour::toUv(c)) : std::nullopt;
}

// {"xyz":[…],"uv":[…],"cct":…,"duv":…}
inline Json lightJson(const colour::Xyz& c) {
    Json j;
    j["xyz"] = {c.X, c.Y, c.Z};
    if (colour::hasChromaticity(c)) {
        const auto uv = colour::toUv(c);
        j["uv"] = {uv.u, uv.v};
    } else {
        j["uv"] = nullptr;
    }
    const auto cct = cctOf(c);
    j["cct"] = cct ? Json(cct->cct.value) : Json(nullptr);
    j["duv"] = cct ? Json(cct->duv) : Json(nullptr);
    return j;
}

struct Rendering { // where it means something
    std::optional<colour::Cie13> cie13;
    std::optional<colour::Tm30> tm30;
};

inline Rendering renderingOf(const std::optional<colour::Spectrum>& spectrum) {
    if (!spectrum)
        return {};
    const auto cct = cctOf(colour::toXyz(*spectrum));
    if (!colour::indicesMeanSomething(cct))
        return {};
    Rendering r{colour::cie13Of(*spectrum, cct->cct), colour::tm30Of(*spectrum, cct->cct)};
    if (r.cie13->ra < 0)
        r.cie13.reset();
    return r;
}

} // namespace zelo::cli
