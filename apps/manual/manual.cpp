// SPDX-License-Identifier: GPL-3.0-or-later
#include "manual.h"

#include <cstdio>
#include <sstream>

namespace zelo::manual {

bool positional(const CLI::Option& o) {
    return o.get_lnames().empty() && o.get_snames().empty();
}

bool takesValue(const CLI::Option& option) {
    return option.get_items_expected_max() != 0;
}

std::vector<const CLI::App*> commandsOf(const CLI::App& app) {
    return app.get_subcommands([](const CLI::App*) { return true; });
}

std::vector<const CLI::Option*> optionsOf(const CLI::App& app) {
    return app.get_options([](const CLI::Option* o) { return !o->get_group().empty(); });
}

std::vector<std::string> wordsOf(const CLI::Option& option, const Program& program) {
    if (!option.get_lnames().empty())
        if (const auto it = program.words.find(option.get_lnames().front());
            it != program.words.end())
            return it->second;
    // A choice that the parser checks is told in its type: "TEXT:{en,de}".
    const std::string type = option.get_type_name();
    const auto open = type.find('{');
    const auto close = type.find('}', open);
    std::vector<std::string> words;
    if (open == std::string::npos || close == std::string::npos)
        return words;
    std::istringstream list(type.substr(open + 1, close - open - 1));
    for (std::string word; std::getline(list, word, ',');)
        words.push_back(word);
    return words;
}

void addTo(CLI::App& app, Asked& asked) {
    app.add_flag("--man", asked.man, "the manual page, for man(1)")->group("");
    app.add_option("--completion", asked.shell, "the completion of bash, zsh or fish")
        ->check(CLI::IsMember({"bash", "zsh", "fish"}))
        ->group("");
}

bool printed(const CLI::App& app, const Program& program, const Asked& asked) {
    const auto shell = shellNamed(asked.shell);
    if (!asked.man && !shell)
        return false;
    std::fputs((asked.man ? manPage(app, program) : completion(app, program, *shell)).c_str(),
               stdout);
    return true;
}

} // namespace zelo::manual
