// SPDX-License-Identifier: GPL-3.0-or-later
// zelo gels, zelo fixtures: what is at hand.
#include "colour/lamp.h"
#include "commands.h"
#include "report.h"

#include <algorithm>
#include <fmt/format.h>

namespace zelo::cli {

namespace {

struct Listed {
    const light::Gel* gel;
    light::Wanted wanted;
    double distance_uv;
};

Done printGels(Context& context, const std::string& like) {
    std::optional<light::Wanted> target;
    if (!like.empty()) {
        auto read = light::parseColour(like, context.library);
        if (!read)
            return passOn(read.error(), "--like");
        target = *read;
    }
    std::vector<Listed> list;
    const auto books = context.library.books();
    for (const auto& book : books)
        for (const auto& gel : book->gels) {
            auto wanted = light::parseColour("gel:" + gel.id, context.library);
            if (!wanted)
                return passOn(wanted.error());
            const double d = target ? colour::distance(wanted->uv(), target->uv()) : 0;
            list.push_back({&gel, std::move(*wanted), d});
        }
    if (target) {
        std::stable_sort(list.begin(), list.end(), [](const Listed& a, const Listed& b) {
            return a.distance_uv < b.distance_uv;
        });
        constexpr std::size_t kNearest = 12;
        list.resize(std::min(list.size(), kNearest));
    }
    Json all = Json::array();
    for (const auto& l : list) {
        if (!context.json) {
            fmt::print("{:>6}  {:<18} lets {:3.0f} % through", l.gel->id, l.gel->name,
                       100 * l.wanted.transmitted);
            if (target)
                fmt::print("   {:.4f} off", l.distance_uv);
            fmt::print("\n");
            continue;
        }
        const auto uv = l.wanted.uv();
        Json j{{"id", l.gel->id},
               {"name", l.gel->name},
               {"uv", {uv.u, uv.v}},
               {"transmittance", l.wanted.transmitted}};
        if (target)
            j["distance_uv"] = l.distance_uv;
        all.push_back(std::move(j));
    }
    if (context.json)
        fmt::print("{}\n", Json{{"gels", all}}.dump(1));
    return {};
}

Done printFixtures(Context& context) {
    Json all = Json::array();
    for (const auto& type : context.library.types()) {
        if (!context.json) {
            fmt::print("{:<12} {}: {}\n", type->id, type->name, type->description);
            for (const auto& mode : type->modes)
                fmt::print("{:<12}   --mode '{}': {} slots\n", "", mode.name, mode.footprint);
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
    if (context.json)
        fmt::print("{}\n", Json{{"fixtures", all}}.dump(1));
    return {};
}

} // namespace

void addGels(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("gels", "the swatch book, or the gels nearest to a light");
    auto like = std::make_shared<std::string>();
    c->add_option("--like", *like, "a colour: list the nearest gels");
    c->add_option("--book", context.books, "another swatch book");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback(
        [&context, like] { context.run = [&context, like] { return printGels(context, *like); }; });
}

void addFixtures(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("fixtures", "fixture types and their modes");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback([&context] { context.run = [&context] { return printFixtures(context); }; });
}

} // namespace zelo::cli
