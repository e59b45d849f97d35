// SPDX-License-Identifier: GPL-3.0-or-later
// zelo: batch work and scripts. Exit 0 done, 1 failed inside or something
// found (check), 2 bad input.
#include "commands.h"
#include "files/show_file.h"
#include "host/paths.h"
#include "manual/manual.h"
#include "route/way.h"

#include <CLI/Config.hpp>
#include <CLI/Formatter.hpp>
#include <cstdio>
#include <exception>

namespace {

int fail(const zelo::Error& error) {
    std::fprintf(stderr, "zelo: %s\n", error.text().c_str());
    const bool inside = error.code == zelo::ErrorCode::Io;
    return inside ? 1 : 2;
}

template <class Of>
std::vector<std::string> namesOf(std::initializer_list<Of> all, const char* (*name)(Of)) {
    std::vector<std::string> names;
    for (const Of one : all)
        names.emplace_back(name(one));
    return names;
}

zelo::manual::Program itself(const CLI::App& app) {
    using zelo::mix::Intent;
    using zelo::route::Kind;
    zelo::manual::Program zelo{"zelo", ZELO_VERSION,
                               "colours, mixes and fixtures on the command line", app.get_footer()};
    zelo.words = {
        {"intent", namesOf({Intent::Brightest, Intent::Truest, Intent::Kindest, Intent::Leanest,
                            Intent::Filmed},
                           zelo::mix::nameOf)},
        {"route", namesOf({Kind::Levels, Kind::Straight, Kind::Around, Kind::Dark, Kind::Jump},
                          zelo::route::nameOf)},
        {"side", {"short", "long", "cw", "ccw"}},
        {"nearest", {"uv", "hue"}},
        {"by", {"colour", "spectrum"}},
        {"exact-for", {"eye", "camera"}}};
    zelo.listed_by = {{"FIXTURE", "zelo fixtures --ids"}};
    return zelo;
}

int run(int argc, char** argv) {
    CLI::App app{"Zelochrome on the command line: colours, mixes, fixtures."};
    app.name("zelo");
    app.set_version_flag("--version", "zelo " ZELO_VERSION);
    app.require_subcommand(1);
    app.footer("A colour is written gel:ID[@KELVIN|@FILE][+gel:ID], cct:K[/DUV], xy:X,Y, uv:U,V,\n"
               "srgb:#RRGGBB or spd:FILE. A fixture is an id of `zelo fixtures` or a GDTF file.");

    auto data = zelo::host::dataFolder();
    zelo::host::Library library(data ? *data : std::filesystem::path());
    zelo::cli::Context context{library};
    zelo::cli::addLight(app, context);
    zelo::cli::addMatch(app, context);
    zelo::cli::addRoutes(app, context);
    zelo::cli::addGradient(app, context);
    zelo::cli::addPlay(app, context);
    zelo::cli::addRipple(app, context);
    zelo::cli::addCheck(app, context);
    zelo::cli::addConvert(app, context);
    zelo::cli::addGels(app, context);
    zelo::cli::addFixtures(app, context);

    std::string topic;
    auto* help = app.add_subcommand("help", "explain a command");
    help->add_option("COMMAND", topic, "the command");
    bool man = false;
    std::string shell;
    help->add_flag("--man", man, "the manual page, for man(1)");
    help->add_option("--completion", shell, "the completion of a shell")
        ->check(CLI::IsMember({"bash", "zsh", "fish"}));
    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& e) {
        std::string names;
        bool known = argc < 2 || argv[1][0] == '-';
        for (const CLI::App* c : app.get_subcommands([](CLI::App*) { return true; })) {
            names += (names.empty() ? "" : ", ") + c->get_name();
            known = known || c->get_name() == argv[1];
        }
        if (!known)
            return fail({zelo::ErrorCode::NotFound,
                         std::string(argv[1]) + ": no such command: expected one of " + names,
                         {}});
        return app.exit(e) == 0 ? 0 : 2;
    }
    if (zelo::manual::printed(app, itself(app), {man, shell}))
        return 0;
    if (help->parsed()) {
        const auto all = app.get_subcommands([&](CLI::App* c) { return c->get_name() == topic; });
        const CLI::App* about = topic.empty() ? &app : all.empty() ? nullptr : all.front();
        if (!about)
            return fail({zelo::ErrorCode::NotFound, "no command '" + topic + "'", {}});
        std::fputs(about->help().c_str(), stdout);
        return 0;
    }
    if (!data)
        return fail(data.error());
    for (const auto& trouble : library.troubles())
        std::fprintf(stderr, "zelo: left out: %s\n", trouble.english().c_str());
    for (const auto& book : context.books)
        if (auto added = library.addBook(book); !added)
            return fail(added.error());
    if (!context.show.empty()) {
        const auto opened = zelo::files::readShow(context.show);
        if (!opened)
            return fail(opened.error());
        library.setShow(opened->show);
    }
    if (auto done = context.run(); !done)
        return fail(done.error());
    return context.exit_code;
}

} // namespace

int main(int argc, char** argv) {
    try {
        return run(argc, argv);
    } catch (const std::exception& e) {
        std::fprintf(stderr, "zelo: %s\n", e.what());
        return 1;
    }
}
