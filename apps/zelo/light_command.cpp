// SPDX-License-Identifier: GPL-3.0-or-later
// zelo light COLOUR: colour, CCT, Duv, R_a, R_f, R_g, SSI of a light.
#include "colour/lamp.h"
#include "colour/ssi.h"
#include "commands.h"
#include "print.h"
#include "report.h"

#include <fmt/format.h>

namespace zelo::cli {

namespace {

struct Similarity {
    std::optional<double> ssi;
    std::string reference;
};

// Against a blackbody below 4000 K, CIE daylight from there, at the light's own CCT.
Similarity similarityOf(const light::Wanted& wanted) {
    const auto cct = cctOf(wanted.xyz);
    if (!wanted.spectrum || !cct)
        return {};
    const bool day = cct->cct.value >= colour::kDaylightFromK;
    return {colour::spectralSimilarity(*wanted.spectrum, colour::lampOf(cct->cct)),
            fmt::format("{} {:.0f} K", day ? "daylight" : "blackbody", cct->cct.value)};
}

Done printLight(Context& context, const std::string& colour) {
    const auto wanted = light::parseColour(colour, context.library);
    if (!wanted)
        return passOn(wanted.error());
    const auto rendering = renderingOf(wanted->spectrum);
    const auto similarity = similarityOf(*wanted);
    if (context.json) {
        Json j = lightJson(wanted->xyz);
        j["ra"] = rendering.cie13 ? Json(rendering.cie13->ra) : Json(nullptr);
        j["r"] = rendering.cie13 ? Json(rendering.cie13->r) : Json(nullptr);
        j["rf"] = rendering.tm30 ? Json(rendering.tm30->rf) : Json(nullptr);
        j["rg"] = rendering.tm30 ? Json(rendering.tm30->rg) : Json(nullptr);
        j["ssi"] = similarity.ssi ? Json(*similarity.ssi) : Json(nullptr);
        j["ssi_reference"] = similarity.ssi ? Json(similarity.reference) : Json(nullptr);
        put("{}\n", j.dump(1));
        return {};
    }
    const auto uv = wanted->uv();
    const auto xy = colour::toXy(wanted->xyz);
    put("{}\n  u′ v′     {:.4f} {:.4f}\n  x y       {:.4f} {:.4f}\n", colour, uv.u, uv.v, xy.x,
        xy.y);
    if (const auto cct = cctOf(wanted->xyz))
        put("  CCT       {:.0f} K\n  Duv       {:+.4f}\n", cct->cct.value, cct->duv);
    else
        put("  CCT       no meaningful CCT\n");
    if (std::holds_alternative<light::AskedGel>(wanted->asked))
        put("  lets      {:.0f} % through\n", 100 * wanted->transmitted);
    if (rendering.cie13)
        put("  R_a       {:.0f}   R9 {:.0f}\n", rendering.cie13->ra, rendering.cie13->r[8]);
    if (rendering.tm30)
        put("  R_f       {:.0f}   R_g {:.0f}\n", rendering.tm30->rf, rendering.tm30->rg);
    if (similarity.ssi)
        put("  SSI       {:.0f}   ({})\n", *similarity.ssi, similarity.reference);
    return {};
}

} // namespace

void addLight(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("light", "colour, CCT, Duv, R_a, R_f, R_g, SSI of a light");
    auto colour = std::make_shared<std::string>();
    c->add_option("COLOUR", *colour, "the light")->required();
    c->add_option("--book", context.books, "another swatch book");
    c->add_option("--show", context.show, "the show of palette:NAME and of its own fixture types");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback([&context, colour] {
        context.run = [&context, colour] { return printLight(context, *colour); };
    });
}

} // namespace zelo::cli
