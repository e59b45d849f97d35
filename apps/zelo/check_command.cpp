// SPDX-License-Identifier: GPL-3.0-or-later
// zelo check: what is wrong with a show before anybody plays it.
#include "commands.h"
#include "files/show_file.h"
#include "host/handed_check.h"
#include "play/show_check.h"
#include "print.h"
#include "report.h"
#include "show/edits.h"

#include <fmt/format.h>

namespace zelo::cli {

namespace {

// "1, 2, 5": as people call them.
std::string lampsText(const show::Show& show, const std::vector<show::FixtureId>& lamps) {
    std::string text;
    for (const show::FixtureId id : lamps)
        text += fmt::format("{}{}", text.empty() ? "" : ", ", show.fixture(id)->number);
    return fmt::format("lamp{} {}", lamps.size() == 1 ? "" : "s", text);
}

Done printCheck(Context& context, const std::string& path, bool handed_over) {
    const auto opened = files::readShow(path);
    if (!opened)
        return passOn(opened.error());
    for (const auto& note : opened->notes)
        put(stderr, "zelo: {}: {}\n", path, note);
    const show::Show& show = *opened->show;
    play::Mixes mixes;
    const auto from = context.library.sources();
    std::vector<play::Finding> found;
    if (!handed_over)
        found = play::checkShow(play::compiled({opened->show, show::emptyHand()}, *from, mixes),
                                *from, mixes);
    for (const auto& [id, list] : show.cue_lists)
        if (handed_over) {
            auto more = host::checkHandedOver(opened->show, *from, mixes, {id});
            if (!more)
                return passOn(more.error());
            found.insert(found.end(), more->begin(), more->end());
        }
    Json all = Json::array();
    for (const play::Finding& f : found) {
        const show::CueList* list = show.cue_lists.find(f.list);
        Json one{{"kind", play::nameOf(f.kind)},
                 {"list", list ? Json(list->name) : Json(nullptr)},
                 {"cue", f.cue ? Json(toText(*f.cue)) : Json(nullptr)},
                 {"lamps", Json::array()},
                 {"from_s", f.from_s},
                 {"to_s", f.to_s},
                 {"what", f.what.english()},
                 {"cures", Json::array()}};
        for (const show::FixtureId id : f.lamps)
            one["lamps"].push_back(show.fixture(id)->number);
        for (const route::Cure cure : f.cures)
            one["cures"].push_back(play::nameOf(cure));
        all.push_back(std::move(one));
        if (context.json)
            continue;
        put("{}{}: {}\n",
            f.cue ? fmt::format("cue {} of '{}', ", toText(*f.cue), list->name) : std::string(),
            lampsText(show, f.lamps), f.what);
        if (!f.cures.empty()) {
            std::string cures;
            for (const route::Cure cure : f.cures)
                cures += fmt::format("{}{}", cures.empty() ? "" : ", ", play::nameOf(cure));
            put("  cures: {}\n", cures);
        }
    }
    if (context.json)
        put("{}\n", Json{{"findings", std::move(all)}}.dump(1));
    else if (found.empty())
        put("nothing found\n");
    context.exit_code = found.empty() ? 0 : 1;
    return {};
}

} // namespace

void addCheck(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand(
        "check", "fades that show a colour nobody asked for, clashes, misses; exit 1 when found");
    struct Options {
        std::string path;
        bool handed_over = false;
    };
    auto o = std::make_shared<Options>();
    c->add_option("SHOW", o->path, "the show (.zelo)")->required();
    c->add_flag("--handed-over", o->handed_over,
                "the fades alone, as another desk plays the cues handed over to it");
    c->add_option("--book", context.books, "another swatch book");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback([&context, o] {
        context.show = o->path; // its types and palettes are known then
        context.run = [&context, o] { return printCheck(context, o->path, o->handed_over); };
    });
}

} // namespace zelo::cli
