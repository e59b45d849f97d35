// SPDX-License-Identifier: GPL-3.0-or-later
// zelo gels, zelo fixtures: what is at hand.
#include "colour/lamp.h"
#include "commands.h"
#include "mix/nearest_gels.h"
#include "print.h"
#include "report.h"

#include <algorithm>
#include <fmt/format.h>

namespace zelo::cli {

namespace {

constexpr std::size_t kNearest = 12;

Done printGels(Context& context, const std::string& like, const std::string& by) {
    if (by != "colour" && by != "spectrum")
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--by {}: expected colour or spectrum"),
                    by);
    std::optional<light::Wanted> target;
    if (!like.empty()) {
        auto read = light::parseColour(like, context.library);
        if (!read)
            return passOn(read.error(), "--like");
        target = *read;
        if (by == "spectrum" && !target->spectrum)
            return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--by spectrum: {} has no spectrum"),
                        like);
    }
    std::vector<const light::Gel*> gels;
    const auto books = context.library.books();
    for (const auto& book : books)
        for (const auto& gel : book->gels)
            gels.push_back(&gel);
    const auto lamp = colour::lampOf({light::kGelLampK});
    auto list =
        mix::nearestGels(gels, target.value_or(light::wantedUv(colour::toUv(colour::toXyz(lamp)))),
                         lamp, by == "spectrum" ? mix::Near::Spectrum : mix::Near::Colour,
                         target ? kNearest : gels.size());
    if (!target) // the whole book, in its order
        std::sort(list.begin(), list.end(), [&](const auto& a, const auto& b) {
            return std::find(gels.begin(), gels.end(), a.gel) <
                   std::find(gels.begin(), gels.end(), b.gel);
        });
    Json all = Json::array();
    for (const auto& l : list) {
        if (!context.json) {
            put("{:>6}  {:<18} lets {:3.0f} % through", l.gel->id, l.gel->name,
                100 * l.transmitted);
            if (target)
                put("   {:.4f} off", l.miss_uv);
            if (target && target->spectrum)
                put(", spectrum {:.0f} % off", 100 * l.spectral_miss);
            put("\n");
            continue;
        }
        Json j{{"id", l.gel->id},
               {"name", l.gel->name},
               {"uv", {l.uv.u, l.uv.v}},
               {"transmittance", l.transmitted}};
        if (target) {
            j["distance_uv"] = l.miss_uv;
            j["spectral_miss"] = orNull(l.spectral_miss);
        }
        all.push_back(std::move(j));
    }
    if (context.json)
        put("{}\n", Json{{"gels", all}}.dump(1));
    return {};
}

Done printFixtures(Context& context, bool ids) {
    Json all = Json::array();
    for (const auto& type : context.library.types()) {
        if (ids) {
            put("{}\n", type->id);
            continue;
        }
        if (!context.json) {
            put("{:<12} {}: {}\n", type->id, type->name, type->description);
            for (const auto& mode : type->modes)
                put("{:<12}   --mode '{}': {} slots\n", "", mode.name, mode.footprint);
            continue;
        }
        Json j{{"id", type->id}, {"name", type->name}, {"maker", type->maker}};
        j["emitters"] = Json::array();
        for (const auto& e : type->emitters)
            j["emitters"].push_back(e.name);
        j["modes"] = Json::array();
        for (const auto& mode : type->modes)
            j["modes"].push_back({{"name", mode.name},
                                  {"slots", mode.footprint},
                                  {"dimmer", mode.dimmer().has_value()}});
        all.push_back(std::move(j));
    }
    if (context.json && !ids)
        put("{}\n", Json{{"fixtures", all}}.dump(1));
    return {};
}

} // namespace

void addGels(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("gels", "the swatch book, or the gels nearest to a light");
    auto like = std::make_shared<std::string>();
    c->add_option("--like", *like, "a colour: list the nearest gels");
    c->add_option("--book", context.books, "another swatch book");
    c->add_option("--show", context.show, "the show of palette:NAME and of its own fixture types");
    c->add_flag("--json", context.json, "JSON on stdout");
    auto by = std::make_shared<std::string>("colour");
    c->add_option("--by", *by, "what counts as near: colour or spectrum")->capture_default_str();
    c->callback([&context, like, by] {
        context.run = [&context, like, by] { return printGels(context, *like, *by); };
    });
}

void addFixtures(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("fixtures", "fixture types and their modes");
    c->add_flag("--json", context.json, "JSON on stdout");
    auto ids = std::make_shared<bool>(false);
    c->add_flag("--ids", *ids, "their ids alone, a line each");
    c->callback([&context, ids] {
        context.run = [&context, ids] { return printFixtures(context, *ids); };
    });
}

} // namespace zelo::cli
