// SPDX-License-Identifier: GPL-3.0-or-later
// The manual page and the shell completions of a program, out of its own parser: they cannot lag
// behind.
#pragma once

#include <CLI/App.hpp>
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace zelo::manual {

struct Program {
    std::string name, version;
    std::string summary; // "colours, mixes and fixtures on the command line"
    std::string about;   // the page's description; empty: the parser's
    // Words that an option takes, by its long name, where the parser itself does not check them.
    std::map<std::string, std::vector<std::string>> words = {};
    // Of positionals: a command of a shell that prints the words that fit, a line each.
    std::map<std::string, std::string> listed_by = {};
};

enum class Shell { Bash, Zsh, Fish };
std::optional<Shell> shellNamed(const std::string& name); // "bash", "zsh", "fish"

std::string manPage(const CLI::App& app, const Program& program); // roff, section 1
std::string completion(const CLI::App& app, const Program& program, Shell shell);

// Adds what a program without commands prints them by: --man and --completion SHELL, told by no
// help.
struct Asked {
    bool man = false;
    std::string shell;
};
void addTo(CLI::App& app, Asked& asked);
// True when one was asked for; it is printed then.
bool printed(const CLI::App& app, const Program& program, const Asked& asked);

// --- for the files beside this one

bool positional(const CLI::Option& option);
bool takesValue(const CLI::Option& option);
std::vector<const CLI::App*> commandsOf(const CLI::App& app);
// Without those that no help tells.
std::vector<const CLI::Option*> optionsOf(const CLI::App& app);
// What the option can be given; empty: anything.
std::vector<std::string> wordsOf(const CLI::Option& option, const Program& program);

} // namespace zelo::manual
