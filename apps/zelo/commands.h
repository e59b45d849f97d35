// SPDX-License-Identifier: GPL-3.0-or-later
// The commands of zelo, one file each. A command adds itself to the parser and, when chosen, prints
// to stdout; it answers with an error for bad input, which main prints and turns into exit code 2.
#pragma once

#include "host/library.h"

#include <CLI/App.hpp>
#include <functional>

namespace zelo::cli {

struct Context {
    host::Library& library;
    bool json = false;
    std::vector<std::string> books = {}; // --book FILE: read before a command runs
    std::string show = {};               // --show FILE: its palettes and types are known
    std::function<Done()> run = {};      // set by the command that was chosen
    int exit_code = 0;                   // of a command that was done
};

void addLight(CLI::App& app, Context& context);
void addMatch(CLI::App& app, Context& context);
void addRoutes(CLI::App& app, Context& context); // reach, fade
void addGradient(CLI::App& app, Context& context);
void addPlay(CLI::App& app, Context& context);
void addRipple(CLI::App& app, Context& context);
void addCheck(CLI::App& app, Context& context);
void addConvert(CLI::App& app, Context& context);
void addGels(CLI::App& app, Context& context);
void addFixtures(CLI::App& app, Context& context);

} // namespace zelo::cli
