// SPDX-License-Identifier: GPL-3.0-or-later
#include "manual.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

namespace zelo::manual {

namespace {

using Words = std::vector<std::string>;

Words longOptions(const CLI::App& app) {
    Words all;
    for (const CLI::Option* o : optionsOf(app))
        for (const auto& name : o->get_lnames())
            all.push_back("--" + name);
    return all;
}

// In single quotes, as shells take it; `escaped`: characters that need a backslash besides.
std::string quoted(std::string_view text, std::string_view escaped, bool fish) {
    std::string out;
    for (const char c : text) {
        if (c == '\n')
            out += ' ';
        else if (c == '\'')
            out += fish ? "\\'" : "'\\''";
        else if (escaped.find(c) != std::string_view::npos)
            out += std::string("\\") + c;
        else
            out += c;
    }
    return out;
}

// The command that prints what the first positional that has one can be.
std::string listedBy(const CLI::App& app, const Program& program) {
    for (const CLI::Option* o : optionsOf(app))
        if (const auto it = program.listed_by.find(o->get_name());
            positional(*o) && it != program.listed_by.end())
            return it->second;
    return {};
}

// All apps whose options stand on a line: the commands, or the program itself without any.
std::vector<const CLI::App*> linesOf(const CLI::App& app) {
    auto all = commandsOf(app);
    if (all.empty())
        all.push_back(&app);
    return all;
}

std::string functionOf(const Program& program) {
    std::string name = "_" + program.name;
    std::replace(name.begin(), name.end(), '-', '_');
    return name;
}

std::string bash(const CLI::App& app, const Program& program) {
    std::map<std::string, Words> values; // of all commands together
    std::string options, lists;
    Words names;
    for (const CLI::App* line : linesOf(app)) {
        const std::string which = line == &app ? "*" : line->get_name();
        if (line != &app)
            names.push_back(line->get_name());
        options +=
            fmt::format("      {}) words=\"{}\" ;;\n", which, fmt::join(longOptions(*line), " "));
        if (const auto list = listedBy(*line, program); !list.empty())
            lists += fmt::format("      {}) words=$({} 2>/dev/null) ;;\n", which, list);
        for (const CLI::Option* o : optionsOf(*line))
            if (const auto words = wordsOf(*o, program); !words.empty() && !positional(*o))
                values["--" + o->get_lnames().front()] = words;
    }
    std::string after;
    for (const auto& [option, words] : values)
        after += fmt::format("    {}) words=\"{}\" ;;\n", option, fmt::join(words, " "));
    const std::string first =
        names.empty()
            ? std::string()
            : fmt::format("  if [ \"$COMP_CWORD\" -eq 1 ]; then\n    COMPREPLY=($(compgen "
                          "-W \"{} --help --version\" -- \"$here\"))\n    return\n  fi\n",
                          fmt::join(names, " "));
    return fmt::format(R"sh(# Shell completion of {0} (bash), made by the program itself.
{1}() {{
  local here=${{COMP_WORDS[COMP_CWORD]}} before=${{COMP_WORDS[COMP_CWORD-1]}} words=""
{2}  case $before in
{3}    *)
    if [ "${{here#-}}" != "$here" ]; then
      case ${{COMP_WORDS[1]}} in
{4}      esac
    else
      case ${{COMP_WORDS[1]}} in
{5}      esac
    fi ;;
  esac
  if [ -z "$words" ]; then
    COMPREPLY=($(compgen -f -- "$here"))
  else
    COMPREPLY=($(compgen -W "$words" -- "$here"))
  fi
}}
complete -o filenames -F {1} {0}
)sh",
                       program.name, functionOf(program), first, after, options, lists);
}

std::string zsh(const CLI::App& app, const Program& program) {
    const auto text = [](std::string_view words) { return quoted(words, "[]:\\", false); };
    const auto arguments = [&](const CLI::App& line, const char* indent) {
        std::string all;
        for (const CLI::Option* o : optionsOf(line)) {
            if (positional(*o))
                continue;
            const auto words = wordsOf(*o, program);
            const std::string value = !takesValue(*o) ? std::string()
                                      : words.empty()
                                          ? std::string(":value:_files")
                                          : fmt::format(":value:({})", fmt::join(words, " "));
            for (const auto& name : o->get_lnames())
                all += fmt::format(" \\\n{}'*--{}[{}]{}'", indent, name, text(o->get_description()),
                                   value);
        }
        const auto list = listedBy(line, program);
        return fmt::format("_arguments{} \\\n{}'*:argument:{}'", all, indent,
                           list.empty() ? "_files"
                                        : fmt::format("_alternative \"files:file:_files\" "
                                                      "\"words:word:($({} 2>/dev/null))\"",
                                                      list));
    };
    std::string body;
    if (commandsOf(app).empty()) {
        body = "  " + arguments(app, "    ") + "\n";
    } else {
        std::string names, cases;
        for (const CLI::App* c : commandsOf(app)) {
            names += fmt::format("\n      '{}:{}'", c->get_name(), text(c->get_description()));
            cases += fmt::format("    {}) {} ;;\n", c->get_name(), arguments(*c, "      "));
        }
        body = fmt::format("  if (( CURRENT == 2 )); then\n    local -a commands=({}\n    )\n"
                           "    _describe command commands\n    return\n  fi\n  shift words\n"
                           "  (( CURRENT-- ))\n  case $words[1] in\n{}  esac\n",
                           names, cases);
    }
    return fmt::format("#compdef {0}\n# Shell completion of {0} (zsh), made by the program "
                       "itself.\n{1}() {{\n{2}}}\n{1} \"$@\"\n",
                       program.name, functionOf(program), body);
}

std::string fish(const CLI::App& app, const Program& program) {
    const auto text = [](std::string_view words) { return quoted(words, "\\", true); };
    std::string out =
        fmt::format("# Shell completion of {} (fish), made by the program itself.\n", program.name);
    for (const CLI::App* line : linesOf(app)) {
        std::string when;
        if (line != &app) {
            out += fmt::format("complete -c {} -n __fish_use_subcommand -f -a {} -d '{}'\n",
                               program.name, line->get_name(), text(line->get_description()));
            when = fmt::format(" -n '__fish_seen_subcommand_from {}'", line->get_name());
        }
        for (const CLI::Option* o : optionsOf(*line)) {
            if (positional(*o))
                continue;
            const auto words = wordsOf(*o, program);
            const std::string value = !takesValue(*o) ? std::string()
                                      : words.empty()
                                          ? std::string(" -r")
                                          : fmt::format(" -x -a '{}'", fmt::join(words, " "));
            for (const auto& name : o->get_lnames())
                out += fmt::format("complete -c {}{} -l {} -d '{}'{}\n", program.name, when, name,
                                   text(o->get_description()), value);
        }
        if (const auto list = listedBy(*line, program); !list.empty())
            out +=
                fmt::format("complete -c {}{} -a '({} 2>/dev/null)'\n", program.name, when, list);
    }
    return out;
}

} // namespace

std::optional<Shell> shellNamed(const std::string& name) {
    if (name == "bash")
        return Shell::Bash;
    if (name == "zsh")
        return Shell::Zsh;
    if (name == "fish")
        return Shell::Fish;
    return std::nullopt;
}

std::string completion(const CLI::App& app, const Program& program, Shell shell) {
    switch (shell) {
    case Shell::Zsh:
        return zsh(app, program);
    case Shell::Fish:
        return fish(app, program);
    default:
        return bash(app, program);
    }
}

} // namespace zelo::manual
