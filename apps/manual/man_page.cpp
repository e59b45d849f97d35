// SPDX-License-Identifier: GPL-3.0-or-later
#include "manual.h"

#include "base/text.h"

#include <algorithm>
#include <cctype>
#include <fmt/format.h>

namespace zelo::manual {

namespace {

std::string roff(std::string_view text) { // plain text as roff takes it
    std::string out;
    for (const char c : text) {
        if (c == '\\')
            out += "\\e";
        else if (c == '-')
            out += "\\-";
        else if (c == '\n')
            out += "\n.br\n";
        else if ((c == '.' || c == '\'') && (out.empty() || out.back() == '\n'))
            out += std::string("\\&") + c;
        else
            out += c;
    }
    return out;
}

std::string optionsPage(const CLI::App& app) {
    std::string page;
    for (const CLI::Option* o : optionsOf(app)) {
        const std::string value = takesValue(*o) ? o->get_type_name() : std::string();
        page +=
            positional(*o)
                ? fmt::format(".TP\n.I {}\n{}\n", roff(o->get_name()), roff(o->get_description()))
                : fmt::format(".TP\n.B {}\n{}\n", roff(trimmed(o->get_name() + " " + value)),
                              roff(o->get_description()));
    }
    return page;
}

std::string usageOf(const CLI::App& app) {
    std::string usage;
    for (const CLI::Option* o : optionsOf(app))
        if (positional(*o))
            usage += " " + o->get_name() + (o->get_items_expected_max() > 1 ? "..." : "");
    return usage;
}

} // namespace

std::string manPage(const CLI::App& app, const Program& program) {
    std::string upper = program.name;
    std::transform(upper.begin(), upper.end(), upper.begin(),
                   [](unsigned char c) { return static_cast<char>(std::toupper(c)); });
    const auto commands = commandsOf(app);
    std::string page = fmt::format(
        ".TH {} 1 \"\" \"Zelochrome {}\" \"User Commands\"\n.SH NAME\n{} \\- {}\n.SH SYNOPSIS\n"
        ".B {}\n{}[\n.I OPTION\n] ...{}\n.SH DESCRIPTION\n{}\n",
        roff(upper), program.version, roff(program.name), program.summary, roff(program.name),
        commands.empty() ? "" : ".I COMMAND\n",
        commands.empty() ? fmt::format("\n.I {}", roff(trimmed(usageOf(app)))) : "",
        roff(program.about.empty() ? app.get_description() : program.about));
    if (commands.empty())
        page += ".SH OPTIONS\n" + optionsPage(app);
    else
        page += ".SH COMMANDS\n";
    for (const CLI::App* c : commands)
        page +=
            fmt::format(".SS {}\n{}\n{}", roff(program.name + " " + c->get_name() + usageOf(*c)),
                        roff(c->get_description()), optionsPage(*c));
    page += ".SH EXIT STATUS\n0 done, 1 failed inside, 2 bad input.\n";
    return page;
}

} // namespace zelo::manual
