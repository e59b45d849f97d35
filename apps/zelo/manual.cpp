// SPDX-License-Identifier: GPL-3.0-or-later
#include "manual.h"

#include "base/text.h"

#include <fmt/format.h>

namespace zelo::cli {

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

std::string valueOf(const CLI::Option& option) {
    return option.get_items_expected_max() == 0 ? "" : option.get_type_name();
}

std::vector<const CLI::App*> commandsOf(const CLI::App& app) {
    return app.get_subcommands([](const CLI::App*) { return true; });
}

bool positional(const CLI::Option& o) {
    return o.get_lnames().empty() && o.get_snames().empty();
}

} // namespace

std::string manPage(const CLI::App& app, const std::string& version) {
    std::string page = fmt::format(
        ".TH ZELO 1 \"\" \"Zelochrome {}\" \"User Commands\"\n.SH NAME\nzelo \\- {}\n"
        ".SH SYNOPSIS\n.B zelo\n.I COMMAND\n[\n.I OPTION\n] ...\n.SH DESCRIPTION\n{}\n"
        ".SH COMMANDS\n",
        version, "colours, mixes and fixtures on the command line", roff(app.get_footer()));
    for (const CLI::App* c : commandsOf(app)) {
        std::string usage = "zelo " + c->get_name();
        for (const CLI::Option* o :
             c->get_options([](const CLI::Option* x) { return positional(*x); }))
            usage += " " + o->get_name() + (o->get_items_expected_max() > 1 ? "..." : "");
        page += fmt::format(".SS {}\n{}\n", roff(usage), roff(c->get_description()));
        for (const CLI::Option* o : c->get_options()) {
            if (positional(*o))
                page += fmt::format(".TP\n.I {}\n{}\n", roff(o->get_name()),
                                    roff(o->get_description()));
            else
                page += fmt::format(".TP\n.B {}\n{}\n",
                                    roff(trimmed(o->get_name() + " " + valueOf(*o))),
                                    roff(o->get_description()));
        }
    }
    page += ".SH EXIT STATUS\n0 done, 1 failed inside, 2 bad input.\n";
    return page;
}

std::string bashCompletion(const CLI::App& app) {
    std::string names;
    std::string cases;
    for (const CLI::App* c : commandsOf(app)) {
        names += (names.empty() ? "" : " ") + c->get_name();
        std::string options;
        for (const CLI::Option* o : c->get_options())
            for (const auto& l : o->get_lnames())
                options += (options.empty() ? "--" : " --") + l;
        cases += fmt::format("    {}) words=\"{}\" ;;\n", c->get_name(), options);
    }
    return fmt::format(R"sh(# Shell completion of zelo (bash), made by `zelo help --completion`.
_zelo() {{
  local here=${{COMP_WORDS[COMP_CWORD]}} before=${{COMP_WORDS[COMP_CWORD-1]}} words=""
  if [ "$COMP_CWORD" -eq 1 ]; then
    words="{} --help --version"
  elif [ "${{here#-}}" != "$here" ]; then
    case ${{COMP_WORDS[1]}} in
{}    esac
  else
    case $before in
      --intent) words="brightest truest kindest leanest" ;;
      --route) words="levels straight around dark jump" ;;
      --side) words="short long cw ccw" ;;
      --nearest) words="uv hue" ;;
      --by) words="colour spectrum" ;;
      reach|match|gradient|fade|--with)
        words=$(zelo fixtures --json 2>/dev/null | sed -n 's/^ *"id": "\(.*\)",$/\1/p') ;;
      *) COMPREPLY=($(compgen -f -- "$here")); return ;;
    esac
  fi
  COMPREPLY=($(compgen -W "$words" -- "$here"))
}}
complete -o filenames -F _zelo zelo
)sh",
                       names, cases);
}

} // namespace zelo::cli
