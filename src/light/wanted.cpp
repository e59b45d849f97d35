// SPDX-License-Identifier: GPL-3.0-or-later
#include "light/wanted.h"

#include "colour/cct.h"
#include "colour/dominant.h"
#include "colour/lamp.h"
#include "colour/observer.h"
#include "colour/smoothest.h"
#include "colour/srgb.h"

namespace zelo::light {

using colour::Spectrum;
using colour::Xyz;

namespace {

Result<Wanted> ofSpectrum(const Asked& asked, const Spectrum& spectrum) {
    const Xyz xyz = colour::toXyz(spectrum);
    if (!(xyz.Y > 0))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: no visible light"), toText(asked));
    const double scale = 1 / xyz.Y;
    return Wanted{asked, scale * xyz, spectrum.scaled(scale), std::nullopt, 1};
}

Result<Wanted> ofXyz(const Asked& asked, const Xyz& xyz) {
    if (!(xyz.X >= -1e-9 && xyz.Z >= -1e-9))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: no light has this chromaticity"),
                    toText(asked));
    return Wanted{asked, xyz, std::nullopt, std::nullopt, 1};
}

struct Maker {
    const ColourSources& sources;
    const Asked& asked;

    Result<Wanted> operator()(const AskedGel& a) const {
        Spectrum lamp;
        if (a.lamp.empty()) {
            lamp = colour::lampOf({a.lamp_k.value_or(kGelLampK)});
        } else {
            auto measured = sources.spectrum(a.lamp);
            if (!measured)
                return passOn(measured.error());
            lamp = *measured;
        }
        auto gel = sources.gel(a.id);
        if (!gel)
            return passOn(gel.error());
        Spectrum light = lamp * gel->transmittance;
        if (!a.layer.empty()) {
            auto second = sources.gel(a.layer);
            if (!second)
                return passOn(second.error());
            light = light * second->transmittance;
        }
        auto wanted = ofSpectrum(asked, light);
        if (wanted) {
            wanted->lamp = lamp;
            wanted->transmitted = colour::toXyz(light).Y / colour::toXyz(lamp).Y;
        }
        return wanted;
    }
    Result<Wanted> operator()(const AskedWhite& a) const {
        if (!a.duv)
            return ofSpectrum(asked, colour::blackbody({a.cct_k}));
        const Xyz tinted = colour::toXyz(colour::uvOf({{a.cct_k}, *a.duv}));
        return Wanted{asked, tinted,
                      colour::throughSmoothestFilter(colour::blackbody({a.cct_k}), tinted),
                      std::nullopt, 1};
    }
    Result<Wanted> operator()(const AskedXy& a) const {
        return ofXyz(asked, colour::toXyz(colour::Xy{a.x, a.y}));
    }
    Result<Wanted> operator()(const AskedUv& a) const {
        return ofXyz(asked, colour::toXyz(colour::Uv{a.u, a.v}));
    }
    Result<Wanted> operator()(const AskedSrgb& a) const {
        const Xyz xyz = colour::toXyz(colour::Srgb{a.r, a.g, a.b});
        if (!(xyz.Y > 0))
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "{}: black is no colour of light"),
                        toText(asked));
        return Wanted{asked, (1 / xyz.Y) * xyz, std::nullopt, std::nullopt, 1};
    }
    Result<Wanted> operator()(const AskedMeasured& a) const {
        auto spectrum = sources.spectrum(a.name);
        if (!spectrum)
            return passOn(spectrum.error());
        return ofSpectrum(asked, *spectrum);
    }
    Result<Wanted> operator()(const AskedPalette& a) const { return sources.palette(a.name); }
};

} // namespace

Result<Wanted> wantedOf(const Asked& asked, const ColourSources& sources) {
    return std::visit(Maker{sources, asked}, asked);
}

Done checkAnyLight(const Asked& asked) {
    std::optional<colour::Xy> xy;
    if (const auto* a = std::get_if<AskedXy>(&asked))
        xy = colour::Xy{a->x, a->y};
    else if (const auto* uv = std::get_if<AskedUv>(&asked))
        xy = colour::toXy(colour::toXyz(colour::Uv{uv->u, uv->v}));
    if (xy && !colour::anyLightHas(*xy))
        return fail(ErrorCode::BadValue,
                    ZELO_TEXT("core", "{}: no light has this chromaticity; expected one within the "
                                      "spectral colours"),
                    toText(asked));
    return {};
}

Result<Wanted> parseColour(const std::string& text, const ColourSources& sources) {
    const auto asked = parseAsked(text);
    if (!asked)
        return passOn(asked.error());
    if (auto ok = checkAnyLight(*asked); !ok)
        return passOn(ok.error());
    auto light = wantedOf(*asked, sources);
    if (!light)
        return passOn(light.error(), text); // as it was typed
    return light;
}

} // namespace zelo::light
